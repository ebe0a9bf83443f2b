package pemblar.app.archive.taking;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import pemblar.app.frame.StoredForm;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Puts rows into tables, each held against its columns, the table's conditions and its area's own. */
@Component
class Tables {
    private final JdbcClient sql;
    private final Map<String, StoredForm> forms;
    private final Map<String, Map<String, Column>> columns = new ConcurrentHashMap<>();

    Tables(JdbcClient sql, List<StoredForm> forms) {
        this.sql = sql;
        this.forms = forms.stream().collect(Collectors.toMap(StoredForm::table, f -> f));
    }

    private record Column(boolean counts, boolean wanted) {}

    /** @throws RuntimeException when the area that the table belongs to could not read the row */
    void check(String table, ObjectNode row) {
        row.properties().forEach(field -> {
            Column column = columns(table).get(field.getKey());
            JsonNode value = field.getValue();
            boolean number = value.isNumber() && Double.isFinite(value.asDouble());
            if (column != null && column.counts && !number && !value.isNull())
                throw new LeftOut(field.getKey() + " is no number");
        });
        StoredForm form = forms.get(table);
        if (form == null) return;
        Map<String, String> values = new HashMap<>();
        for (String column : row.propertyNames()) Line.text(row, column).ifPresent(v -> values.put(column, v));
        form.check(values);
    }

    void checkAll(String table, Iterable<Long> athletes) {
        StoredForm form = forms.get(table);
        if (form != null) athletes.forEach(form::checkAll);
    }

    boolean isWanted(String table, String column) {
        return columns(table).get(column).wanted;
    }

    /** @return its number here, 0 in a table without numbers, null when there is such a row already */
    Long insert(String table, ObjectNode row) {
        Map<String, Column> known = columns(table);
        String list = known.keySet().stream()
                .filter(c -> row.has(c) && !c.equals("id"))
                .collect(Collectors.joining(", "));
        return sql.sql("insert into " + table + " (" + list + ") select " + list + " from jsonb_populate_record(null::"
                        + table + ", cast(? as jsonb)) on conflict do nothing returning "
                        + (known.containsKey("id") ? "id" : "0"))
                .param(row.toString())
                .query(Long.class)
                .optional()
                .orElse(null);
    }

    /** Work that leaves nothing behind when it fails, and the transaction usable. */
    <T> T orNothing(Supplier<T> work) {
        sql.sql("savepoint one").update();
        try {
            return work.get();
        } catch (RuntimeException e) {
            sql.sql("rollback to savepoint one").update();
            throw new LeftOut(LeftOut.why(e));
        } finally {
            sql.sql("release savepoint one").update();
        }
    }

    private Map<String, Column> columns(String table) {
        return columns.computeIfAbsent(table, this::read);
    }

    private Map<String, Column> read(String table) {
        Map<String, Column> read = new LinkedHashMap<>();
        sql.sql("select column_name, numeric_precision is not null, is_nullable = 'NO' from information_schema.columns"
                        + " where table_schema = 'public' and table_name = ? order by ordinal_position")
                .param(table)
                .query((rs, i) -> read.put(rs.getString(1), new Column(rs.getBoolean(2), rs.getBoolean(3))))
                .list();
        return read;
    }
}
