package pemblar.app.frame.health;

import com.zaxxer.hikari.HikariDataSource;
import com.zaxxer.hikari.HikariPoolMXBean;
import java.sql.SQLException;
import java.util.List;
import javax.sql.DataSource;
import org.springframework.dao.DataAccessException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.TransactionException;

/** What waits for all nodes, as the database knows it, and this node's connections to it. */
@Component
class Work {
    private final JdbcClient sql;
    private final DataSource database;

    Work(JdbcClient sql, DataSource database) {
        this.sql = sql;
        this.database = database;
    }

    /** The jobs of one kind. */
    record Jobs(String kind, long waiting, long running, long failing, long oldestSeconds) {}

    private List<Jobs> jobs() {
        return sql.sql("select task_name, count(*) filter (where not picked and execution_time < now()),"
                        + " count(*) filter (where picked), count(*) filter (where consecutive_failures > 0),"
                        + " coalesce(extract(epoch from now() - min(execution_time) filter (where not picked and"
                        + " execution_time < now())), 0)::bigint from scheduled_tasks group by task_name order by 1")
                .query((rs, i) -> new Jobs(rs.getString(1), rs.getLong(2), rs.getLong(3), rs.getLong(4), rs.getLong(5)))
                .list();
    }

    private long count(String statement) {
        return sql.sql(statement).query(Long.class).single();
    }

    /** Without the database there is one figure that says so. */
    void tell(FigureText text) {
        String name = "pemblar_database_answers";
        String meaning = "1 while it does; without it what follows is missing";
        FigureText asked = new FigureText();
        try {
            ofTheJobs(asked);
            ofWhatWaits(asked);
        } catch (DataAccessException | TransactionException e) {
            text.gauge(name, meaning, 0);
            return;
        }
        text.gauge(name, meaning, 1).add(asked);
    }

    private void ofTheJobs(FigureText text) {
        List<Jobs> all = jobs();
        text.named("pemblar_jobs_waiting", "gauge", "due and not begun, of all nodes, by kind");
        all.forEach(j -> text.value("pemblar_jobs_waiting", "kind", j.kind, j.waiting));
        text.named("pemblar_jobs_running", "gauge", "of all nodes, by kind");
        all.forEach(j -> text.value("pemblar_jobs_running", "kind", j.kind, j.running));
        text.named("pemblar_jobs_failing", "gauge", "that failed at their last try, by kind");
        all.forEach(j -> text.value("pemblar_jobs_failing", "kind", j.kind, j.failing));
        text.named("pemblar_job_oldest_seconds", "gauge", "how long the oldest one that is due has waited, by kind");
        all.forEach(j -> text.value("pemblar_job_oldest_seconds", "kind", j.kind, j.oldestSeconds));
    }

    private void ofWhatWaits(FigureText text) {
        text.gauge(
                "pemblar_uploads_waiting",
                "files not read yet",
                count("select count(*) from import_file where state = 'WAITING'"));
        text.gauge(
                "pemblar_upload_oldest_seconds",
                "how long the oldest of them has waited",
                count("select coalesce(extract(epoch from now() - min(created_at)), 0)::bigint from import_file"
                        + " where state = 'WAITING'"));
        text.gauge(
                "pemblar_mails_waiting",
                "written and not sent",
                count("select count(*) from mail where sent_at is null"));
        text.gauge(
                "pemblar_mail_oldest_seconds",
                "how long the oldest of them has waited",
                count("select coalesce(extract(epoch from now() - min(written_at)), 0)::bigint from mail"
                        + " where sent_at is null"));
        text.gauge("pemblar_signed_in", "web sessions", count("select count(*) from spring_session"));
    }

    /** How many are in use, and how many requests wait for one. */
    void ofTheConnections(FigureText text) {
        try {
            if (!database.isWrapperFor(HikariDataSource.class)) return;
            HikariDataSource pool = database.unwrap(HikariDataSource.class);
            HikariPoolMXBean now = pool.getHikariPoolMXBean();
            if (now == null) return;
            String name = "pemblar_database_connections";
            text.named(name, "gauge", "of this node, by what they do");
            text.value(name, "state", "used", now.getActiveConnections());
            text.value(name, "state", "free", now.getIdleConnections());
            text.gauge("pemblar_database_connections_most", "that this node may have", pool.getMaximumPoolSize());
            text.gauge(
                    "pemblar_database_connections_wanted",
                    "requests and jobs that wait for one",
                    now.getThreadsAwaitingConnection());
        } catch (SQLException e) {
            throw new IllegalStateException(e);
        }
    }
}
