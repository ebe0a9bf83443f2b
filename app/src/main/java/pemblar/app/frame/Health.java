package pemblar.app.frame;

import java.sql.Connection;
import java.sql.SQLException;
import java.time.Duration;
import java.time.Instant;
import java.time.InstantSource;
import java.util.LinkedHashMap;
import java.util.Map;
import javax.sql.DataSource;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import pemblar.app.replica.Replica;

/** What can be known of the state of this node and of the work that waits for all of them. */
@Component
class Health {
    private static final int PATIENCE_SECONDS = 2;
    private final DataSource database;
    private final JdbcClient sql;
    private final InstantSource clock;
    private final Instant begun;
    private final ObjectProvider<Replica> copy;

    Health(DataSource database, JdbcClient sql, InstantSource clock, ObjectProvider<Replica> copy) {
        this.copy = copy;
        this.database = database;
        this.sql = sql;
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

    /** One figure a line, each with what it means. */
    String figures() {
        Map<String, Number> all = new LinkedHashMap<>();
        all.put(
                "pemblar_up_seconds # since this node began",
                Duration.between(begun, clock.instant()).toSeconds());
        Runtime machine = Runtime.getRuntime();
        all.put("pemblar_memory_used_bytes # of this node's heap", machine.totalMemory() - machine.freeMemory());
        all.put("pemblar_memory_most_bytes # that its heap may have", machine.maxMemory());
        all.put(
                "pemblar_jobs_waiting # due and not begun, of all nodes",
                count("select count(*) from scheduled_tasks where not picked and execution_time < now()"));
        all.put("pemblar_jobs_running # of all nodes", count("select count(*) from scheduled_tasks where picked"));
        all.put(
                "pemblar_jobs_failing # that failed at their last try",
                count("select count(*) from scheduled_tasks where consecutive_failures > 0"));
        all.put(
                "pemblar_job_oldest_seconds # how long the oldest one that is due has waited",
                count("select coalesce(extract(epoch from now() - min(execution_time)), 0)::bigint from scheduled_tasks"
                        + " where not picked and execution_time < now()"));
        all.put(
                "pemblar_uploads_waiting # files not read yet",
                count("select count(*) from import_file where state = 'WAITING'"));
        all.put(
                "pemblar_mails_waiting # written and not sent",
                count("select count(*) from mail where sent_at is null"));
        all.put("pemblar_signed_in # web sessions", count("select count(*) from spring_session"));
        copy.ifAvailable(c -> ofTheCopy(c.figures(), all));
        StringBuilder text = new StringBuilder();
        all.forEach((name, value) -> line(text, name.split(" # "), value));
        return text.toString();
    }

    private static void ofTheCopy(Replica.Figures copy, Map<String, Number> all) {
        all.put("pemblar_copy_asked # 1 while the copy of the database answers reading pages", copy.isAsked() ? 1 : 0);
        all.put("pemblar_copy_behind_milliseconds # how old what it shows is", copy.behindMillis());
        all.put("pemblar_copy_behind_bytes # of the main database's log", copy.behindBytes());
        all.put("pemblar_copy_answered # pages, since this node began", copy.answered());
        all.put("pemblar_copy_asked_again # pages it could not answer and the main one was asked", copy.askedAgain());
    }

    private static void line(StringBuilder text, String[] name, Number value) {
        text.append("# HELP ").append(name[0]).append(' ').append(name[1]).append('\n');
        text.append("# TYPE ").append(name[0]).append(" gauge\n");
        text.append(name[0]).append(' ').append(value.longValue()).append('\n');
    }

    private long count(String statement) {
        return sql.sql(statement).query(Long.class).single();
    }
}
