package pemblar.app.frame;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import java.sql.Connection;
import java.sql.SQLException;
import javax.sql.DataSource;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.datasource.DataSourceTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.TransactionTemplate;

/** A change that calls on others is one change; another person's, another athlete's and a later one are not. */
@Tag("unit")
class AskedOnceTest {
    private static final Viewer COACH = new Viewer(2, "Oda");
    private static final Viewer SELF = new Viewer(3, "Jonna");
    private TransactionTemplate transaction;
    private TransactionTemplate another;

    @BeforeEach
    void aDatabaseThatOpensTransactions() throws SQLException {
        DataSource source = mock(DataSource.class);
        when(source.getConnection()).thenAnswer(call -> mock(Connection.class));
        DataSourceTransactionManager manager = new DataSourceTransactionManager(source);
        transaction = new TransactionTemplate(manager);
        another = new TransactionTemplate(manager);
        another.setPropagationBehavior(TransactionDefinition.PROPAGATION_REQUIRES_NEW);
    }

    private static boolean asked(Viewer viewer, long athlete) {
        return AskedOnce.isFirst(new Visit(athlete, viewer), false);
    }

    @Test
    void onceInATransactionForEachPersonAndAthlete() {
        transaction.executeWithoutResult(status -> {
            assertThat(asked(COACH, 1)).isTrue();
            assertThat(asked(COACH, 1)).isFalse();
            assertThat(asked(SELF, 1)).isTrue();
            assertThat(asked(COACH, 4)).isTrue();
        });
        transaction.executeWithoutResult(status -> assertThat(asked(COACH, 1)).isTrue());
    }

    /** Who may write a note may not, by that, change the plan within the same transaction. */
    @Test
    void whatWasAskedLooselyIsAskedAgainStrictly() {
        transaction.executeWithoutResult(status -> {
            assertThat(AskedOnce.isFirst(new Visit(1, COACH), true)).isTrue();
            assertThat(AskedOnce.isFirst(new Visit(1, COACH), false)).isTrue();
            assertThat(AskedOnce.isFirst(new Visit(1, COACH), true))
                    .as("the strict answer holds")
                    .isFalse();
        });
    }

    @Test
    void aTransactionWithinAnotherAsksForItself() {
        transaction.executeWithoutResult(status -> {
            assertThat(asked(COACH, 1)).isTrue();
            another.executeWithoutResult(inner -> assertThat(asked(COACH, 1)).isTrue());
            assertThat(asked(COACH, 1)).as("and the outer one remembers").isFalse();
        });
    }
}
