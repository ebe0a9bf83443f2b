package pemblar.app.seal;

import java.util.List;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.jdbc.core.simple.JdbcClient;

/**
 * A column of a table whose secrets are sealed, with {@code sealed_by} beside it.
 *
 * @param key the column that numbers its rows
 */
public record SealedColumn(String table, String key, String column) {
    private static final Logger LOG = LoggerFactory.getLogger(SealedColumn.class);

    /** What a row's secret belongs to, in the words that are sealed in. */
    public String whose(long number) {
        return table + " " + number;
    }

    private record Row(long number, Seal.Sealed sealed) {}

    /** Seals anew what lies as it is or was sealed by an earlier key; another node may do the same meanwhile. */
    public void sealAnew(JdbcClient sql, Seal seal) {
        String by = seal.key().orElse(null);
        int closed = 0;
        for (Row row : others(sql, by)) {
            Optional<byte[]> secret = seal.open(whose(row.number()), row.sealed());
            if (secret.isEmpty()) closed++;
            else if (by != null) replace(sql, row, seal.close(whose(row.number()), secret.get()));
        }
        if (closed > 0)
            LOG.error(
                    "{} rows of {} were sealed by a key that PEMBLAR_KEY does not name: add it behind a comma",
                    closed,
                    table);
    }

    private List<Row> others(JdbcClient sql, String by) {
        return sql.sql("select " + key + ", " + column + ", sealed_by from " + table
                        + " where sealed_by is distinct from ? order by " + key)
                .param(by)
                .query((rs, i) -> new Row(rs.getLong(1), new Seal.Sealed(rs.getBytes(2), rs.getString(3))))
                .list();
    }

    private void replace(JdbcClient sql, Row row, Seal.Sealed sealed) {
        sql.sql("update " + table + " set " + column + " = ?, sealed_by = ? where " + key + " = ? and " + column
                        + " = ?")
                .params(
                        sealed.content(),
                        sealed.by(),
                        row.number(),
                        row.sealed().content())
                .update();
    }
}
