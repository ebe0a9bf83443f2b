package pemblar.app.operator;

import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** How much is kept, as the database knows it. */
@Component
class Sizes {
    private static final int SHOWN = 8;
    private final JdbcClient sql;

    Sizes(JdbcClient sql) {
        this.sql = sql;
    }

    /** @param rows as the database last counted them; {@code bytes} with indexes */
    public record Table(String name, long rows, long bytes) {
        public String megabytes() {
            return megabytes(bytes);
        }

        static String megabytes(long bytes) {
            return bytes < 10_000_000 ? "under 10" : String.valueOf(bytes / 1_000_000);
        }
    }

    String wholeMegabytes() {
        return Table.megabytes(sql.sql("select pg_database_size(current_database())")
                .query(Long.class)
                .single());
    }

    List<Table> largest() {
        return sql.sql("select relname, greatest(n_live_tup, 0), pg_total_relation_size(relid) as bytes from"
                        + " pg_stat_user_tables order by bytes desc limit " + SHOWN)
                .query((rs, i) -> new Table(rs.getString(1).replace('_', ' '), rs.getLong(2), rs.getLong(3)))
                .list();
    }
}
