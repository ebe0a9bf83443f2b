package pemblar.app.ribbon;

import java.util.List;
import org.springframework.jdbc.core.JdbcOperations;
import org.springframework.stereotype.Component;
import pemblar.app.athlete.Beginning;
import pemblar.app.athlete.PageFrame;
import pemblar.app.frame.Once;
import pemblar.app.frame.Together;

/** What the areas look up for a page's frame is asked of the database in one round trip. */
@Component
class FrameQuestions {
    private final List<Beginning> beginnings;
    private final JdbcOperations jdbc;

    FrameQuestions(List<Beginning> beginnings, JdbcOperations jdbc) {
        this.beginnings = beginnings;
        this.jdbc = jdbc;
    }

    void ask(PageFrame.Around around) {
        if (!Once.isReading()) return;
        Together all = new Together();
        List<Runnable> kept = beginnings.stream().map(b -> b.ask(all, around)).toList();
        all.ask(jdbc);
        kept.forEach(Runnable::run);
    }
}
