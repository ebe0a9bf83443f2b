package pemblar.app.frame;

import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import org.springframework.jdbc.core.JdbcOperations;
import org.springframework.jdbc.core.RowMapper;

/**
 * Several questions in one round trip to the database: a page that asks seven small tables waits once and not seven
 * times.
 */
public final class Together {
    private final List<Answer<?>> asked = new ArrayList<>();

    /** What a question gave; empty before {@link #ask}. */
    public static final class Answer<T> {
        private final String question;
        private final RowMapper<T> mapper;
        private final Object[] values;
        private final List<T> rows = new ArrayList<>();

        private Answer(String question, RowMapper<T> mapper, Object[] values) {
            this.question = question;
            this.values = values;
            this.mapper = mapper;
        }

        public List<T> list() {
            return List.copyOf(rows);
        }

        private void read(ResultSet results) throws SQLException {
            while (results.next()) rows.add(mapper.mapRow(results, rows.size()));
        }
    }

    /** @param question without a semicolon @param values one for each of its question marks */
    public <T> Answer<T> question(String question, RowMapper<T> mapper, Object... values) {
        Answer<T> answer = new Answer<>(question, mapper, values);
        asked.add(answer);
        return answer;
    }

    public void ask(JdbcOperations sql) {
        if (asked.isEmpty()) return;
        String all = asked.stream().map(a -> a.question).collect(Collectors.joining(";"));
        sql.execute(all, (PreparedStatement statement) -> {
            int at = 0;
            for (Answer<?> answer : asked) for (Object value : answer.values) statement.setObject(++at, value);
            boolean isResult = statement.execute();
            for (Answer<?> answer : asked) {
                if (!isResult) throw new SQLException("a question gave no rows: " + answer.question);
                try (ResultSet results = statement.getResultSet()) {
                    answer.read(results);
                }
                isResult = statement.getMoreResults();
            }
            return null;
        });
    }
}
