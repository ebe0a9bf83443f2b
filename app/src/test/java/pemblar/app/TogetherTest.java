package pemblar.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.springframework.dao.DataAccessException;
import org.springframework.jdbc.core.JdbcTemplate;
import pemblar.app.frame.Together;
import pemblar.app.frame.Together.Answer;

@Tag("http")
class TogetherTest {
    private final JdbcTemplate sql = new JdbcTemplate(Running.APPLICATION.getBean(javax.sql.DataSource.class));

    @Test
    void eachQuestionHasItsOwnRowsInTheirOrder() {
        Together all = new Together();
        Answer<Long> many = all.question("select generate_series(1, ?)", (rs, i) -> rs.getLong(1) + 10L * i, 3);
        Answer<String> none = all.question("select 'x' where ? < 0 and ?", (rs, i) -> rs.getString(1), 3, true);
        Answer<String> one = all.question("select ? || 'y' || ?", (rs, i) -> rs.getString(1), "x", 3);
        for (int again = 0; again < 12; again++) { // from the sixth on the database has them prepared
            Together anew = new Together();
            Answer<Long> rows = anew.question("select generate_series(1, ?)", (rs, i) -> rs.getLong(1), 2);
            anew.ask(sql);
            assertThat(rows.list()).containsExactly(1L, 2L);
        }
        all.ask(sql);
        assertThat(many.list()).containsExactly(1L, 12L, 23L);
        assertThat(none.list()).isEmpty();
        assertThat(one.list()).containsExactly("xy3");
    }

    @Test
    void oneThatIsWrongFailsAllAndTheConnectionStaysWell() {
        Together all = new Together();
        Answer<Long> good = all.question("select cast(? as bigint)", (rs, i) -> rs.getLong(1), 1);
        all.question("select ? from a_table_that_is_not", (rs, i) -> rs.getLong(1), 1);
        assertThatThrownBy(() -> all.ask(sql)).isInstanceOf(DataAccessException.class);
        Together anew = new Together();
        Answer<Long> after = anew.question("select cast(? as bigint)", (rs, i) -> rs.getLong(1), 7);
        anew.ask(sql);
        assertThat(after.list()).isEqualTo(List.of(7L));
        assertThat(good.list().size()).isLessThanOrEqualTo(1);
    }
}
