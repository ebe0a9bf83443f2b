package pemblar.app.frame.health;

import java.sql.Connection;
import java.sql.SQLException;
import java.time.Duration;
import java.time.Instant;
import java.time.InstantSource;
import javax.sql.DataSource;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.stereotype.Component;
import pemblar.app.replica.Replica;

/** What can be known of the state of this node and of the work that waits for all of them. */
@Component
class Health {
    private static final int PATIENCE_SECONDS = 2;
    private final DataSource database;
    private final Answers answers;
    private final Work work;
    private final InstantSource clock;
    private final Instant begun;
    private final ObjectProvider<Replica> copy;

    Health(DataSource database, Answers answers, Work work, InstantSource clock, ObjectProvider<Replica> copy) {
        this.copy = copy;
        this.database = database;
        this.answers = answers;
        this.work = work;
        this.clock = clock;
        this.begun = clock.instant();
    }

    boolean isReady() {
        try (Connection connection = database.getConnection()) {
            return connection.isValid(PATIENCE_SECONDS);
        } catch (SQLException e) {
            return false;
        }
    }

    /** One figure a line, each with what it means: of this node first, then of the work that all nodes share. */
    String figures() {
        Runtime machine = Runtime.getRuntime();
        FigureText text = new FigureText();
        text.gauge(
                "pemblar_up_seconds",
                "since this node began",
                Duration.between(begun, clock.instant()).toSeconds());
        text.gauge("pemblar_memory_used_bytes", "of this node's heap", machine.totalMemory() - machine.freeMemory());
        text.gauge("pemblar_memory_most_bytes", "that its heap may have", machine.maxMemory());
        answers.tell(text);
        work.ofTheConnections(text);
        copy.ifAvailable(c -> ofTheCopy(c.figures(), text));
        work.tell(text);
        return text.toString();
    }

    private static void ofTheCopy(Replica.Figures copy, FigureText text) {
        text.gauge(
                "pemblar_copy_asked", "1 while the copy of the database answers reading pages", copy.isAsked() ? 1 : 0);
        text.gauge("pemblar_copy_behind_milliseconds", "how old what it shows is", copy.behindMillis());
        text.gauge("pemblar_copy_behind_bytes", "of the main database's log", copy.behindBytes());
        text.gauge("pemblar_copy_answered", "pages, since this node began", copy.answered());
        text.gauge(
                "pemblar_copy_asked_again", "pages it could not answer and the main one was asked", copy.askedAgain());
    }
}
