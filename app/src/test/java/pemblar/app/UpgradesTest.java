package pemblar.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.MigrationVersion;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.springframework.dao.DataAccessException;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.datasource.DriverManagerDataSource;
import org.springframework.jdbc.datasource.SingleConnectionDataSource;

/**
 * From each earlier schema to today's, with rows of today's demo in every table that was there then, as far as its
 * columns were: each step meets tables that are not empty. What the application of a schema wrote itself is brought up
 * by {@link MigrationTest}. In CI some of them, all with {@code -Dschemas=each}.
 */
@Tag("http")
class UpgradesTest {
    /** The one before it is brought up with data of its own. */
    private static final int FIRST = 9;

    private static final boolean EACH = "each".equals(System.getProperty("schemas"));
    private static final int ROWS = 12;
    /** As many are tried until so many are in: what a row belongs to may not have been copied. */
    private static final int TRIED = 400;
    /** To which much else belongs. */
    private static final Map<String, Integer> MORE = Map.of("session", 300, "recording", 60);
    /** What is only computed, and computed anew when it is asked for. */
    private static final List<String> COMPUTED = List.of("morning_state", "load_day");

    private static final JdbcTemplate TODAY = of(Running.DATABASE.address("pemblar"));

    private static JdbcTemplate of(String address) {
        return new JdbcTemplate(new DriverManagerDataSource(address, "pemblar", ""));
    }

    static IntStream schemas() {
        int last = TODAY.queryForObject(
                "select max(version::int) from flyway_schema_history where success and version is not null",
                Integer.class);
        return EACH ? IntStream.range(FIRST, last) : IntStream.of(13, last - 1);
    }

    @ParameterizedTest
    @MethodSource("schemas")
    void whatIsInTheTablesOfThenIsThereToday(int schema) {
        String address = Running.DATABASE.create("upgraded" + schema);
        migrate(address, MigrationVersion.fromVersion(String.valueOf(schema)));
        Map<String, Long> before = counts(of(address), fill(address).keySet());
        COMPUTED.forEach(before::remove);
        assertThat(before).hasSizeGreaterThan(19);
        migrate(address, MigrationVersion.LATEST);
        assertThat(counts(of(address), before.keySet())).isEqualTo(before);
    }

    private static void migrate(String address, MigrationVersion to) {
        Flyway.configure().dataSource(address, "pemblar", "").target(to).load().migrate();
    }

    private static Map<String, Long> counts(JdbcTemplate sql, Iterable<String> tables) {
        Map<String, Long> counts = new LinkedHashMap<>();
        for (String table : tables) counts.put(table, sql.queryForObject("select count(*) from " + table, Long.class));
        return counts;
    }

    private static List<String> names(JdbcTemplate sql, String query, Object... args) {
        return sql.queryForList(query, String.class, args);
    }

    private static List<String> columns(JdbcTemplate sql, String table) {
        return names(
                sql,
                "select column_name from information_schema.columns where table_schema = 'public' and table_name = ?"
                        + " and is_generated = 'NEVER' order by ordinal_position",
                table);
    }

    /** Goes over the tables until no more rows get in: those that others belong to come first so. */
    private static Map<String, Long> fill(String address) {
        SingleConnectionDataSource one = new SingleConnectionDataSource(address, "pemblar", "", true);
        try {
            JdbcTemplate then = new JdbcTemplate(one);
            // an athlete had one sport then, which today's rows do not say
            if (columns(then, "athlete").contains("sport"))
                then.execute("alter table athlete alter column sport set default 'RIDE'");
            List<String> left = names(
                    then,
                    "select table_name from information_schema.tables where table_schema = 'public'"
                            + " and table_type = 'BASE TABLE' and table_name <> 'flyway_schema_history' order by 1");
            Map<String, Long> filled = new LinkedHashMap<>();
            for (int size = -1; size != filled.size(); ) {
                size = filled.size();
                for (String table : left) if (!filled.containsKey(table)) copy(then, table, filled);
            }
            return filled;
        } finally {
            one.destroy();
        }
    }

    /** Sessions of strength first, so that what was lifted has one to belong to. */
    private static String order(String table) {
        return table.equals("session") ? "id in (select session_id from strength_set) desc, 1" : "1";
    }

    private static void copy(JdbcTemplate then, String table, Map<String, Long> filled) {
        List<String> columns = new ArrayList<>(columns(then, table));
        columns.retainAll(columns(TODAY, table));
        if (columns.isEmpty()) return;
        String named = String.join(", ", columns);
        String insert = "insert into " + table + " (" + named + ") overriding system value values ("
                + "?, ".repeat(columns.size() - 1) + "?) on conflict do nothing";
        long in = 0;
        for (Map<String, Object> row : TODAY.queryForList(
                "select " + named + " from " + table + " order by " + order(table) + " limit " + TRIED)) {
            if (in >= MORE.getOrDefault(table, ROWS)) break;
            try {
                in += then.update(insert, row.values().toArray());
            } catch (DataAccessException e) {
                // what it belongs to was not copied, or it holds what could not be then
            }
        }
        if (in > 0) filled.put(table, in);
    }
}
