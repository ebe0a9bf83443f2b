package pemblar.app.frame;

import java.util.Map;
import java.util.function.Consumer;

/**
 * What an area asks of the rows of one of its tables beyond what the database asks: that its own pages can read what
 * stands in them. Rows that come from outside, in an archive, are held against it.
 */
public interface StoredForm {
    String table();

    /**
     * @param row values by column, as text; null where there is none
     * @throws RuntimeException when the area could not read such a row
     */
    void check(Map<String, String> row);

    /** Looks at all rows of an athlete together. @throws RuntimeException when they do not go together */
    default void checkAll(long athleteId) {}

    static StoredForm of(String table, Consumer<Map<String, String>> check) {
        return of(table, check, athleteId -> {});
    }

    static StoredForm of(String table, Consumer<Map<String, String>> check, Consumer<Long> checkAll) {
        return new StoredForm() {
            @Override
            public String table() {
                return table;
            }

            @Override
            public void check(Map<String, String> row) {
                check.accept(row);
            }

            @Override
            public void checkAll(long athleteId) {
                checkAll.accept(athleteId);
            }
        };
    }
}
