package pemblar.app.account;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What is tried first is refused; what nobody else has is not. */
@Tag("unit")
class KnownPasswordsTest {
    @ParameterizedTest
    @ValueSource(strings = {"1234567890", "qwertyuiop", "QwertyUiop", "qwertyuiop1!", "q1w2e3r4t5"})
    void isRefusedWithAWayOut(String known) {
        assertThatThrownBy(() -> AccountService.password(known))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("tried first")
                .hasMessageNotContaining(known);
    }

    @ParameterizedTest
    @ValueSource(strings = {"a long password", "pemblar-demo", "seven grey herons", "2026 2027 2028"})
    void isTaken(String own) {
        assertThat(AccountService.password(own)).isEqualTo(own);
    }

    @Test
    void theListIsThere() {
        assertThat(KnownPasswords.size()).isGreaterThan(2000);
    }
}
