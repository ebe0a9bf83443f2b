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
 * Several questions about one row's id, in one round trip to the database: a page that asks seven small tables waits
 * once and not seven times. Each question has the id as its one parameter.
 */
public final class Together {
    private final List<Answer<?>> asked = new ArrayList<>();

    /** What a question gave; empty before {@link #ask}. */
    public static final class Answer<T> {
        private final String question;
        private final RowMapper<T> mapper;
        private final List<T> rows = new ArrayList<>();

        private Answer(String question, RowMapper<T> mapper) {
            this.question = question;
            this.mapper = mapper;
        }

        public List<T> list() {
            return List.copyOf(rows);
        }

        private void read(ResultSet results) throws SQLException {
            while (results.next()) rows.add(mapper.mapRow(results, rows.size()));
        }
    }

    /** @param question with one question mark, and without a semicolon */
    public <T> Answer<T> question(String question, RowMapper<T> mapper) {
        Answer<T> answer = new Answer<>(question, mapper);
        asked.add(answer);
        return answer;
    }

    public void ask(JdbcOperations sql, long id) {
        String all = asked.stream().map(a -> a.question).collect(Collectors.joining(";"));
        sql.execute(all, (PreparedStatement statement) -> {
            for (int i = 1; i <= asked.size(); i++) statement.setLong(i, id);
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
