package pemblar.app.frame;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

class LimitsTest {
    private final Limits limits = new Limits();

    @Test
    void theEleventhTryInAMinuteIsRefusedAndAnotherPersonIsNot() {
        for (int i = 0; i < 10; i++) assertThat(limits.allowSignIn("one@example.org")).isTrue();
        assertThat(limits.allowSignIn("one@example.org")).isFalse();
        assertThat(limits.allowSignIn("other@example.org")).isTrue();
    }

    @Test
    void uploadsHaveALimitOfTheirOwn() {
        for (int i = 0; i < 60; i++) assertThat(limits.allowUpload(1)).isTrue();
        assertThat(limits.allowUpload(1)).isFalse();
        assertThat(limits.allowUpload(2)).isTrue();
        assertThat(limits.allowSignIn("1")).isTrue();
    }

    /** Whoever tries with ever new names cannot fill the memory. */
    @Test
    void manyNamesAreForgottenAgain() {
        for (int i = 0; i < 10; i++) limits.allowSignIn("first");
        assertThat(limits.allowSignIn("first")).isFalse();
        for (int i = 0; i < 10_001; i++) limits.allowSignIn("name " + i);
        assertThat(limits.allowSignIn("first")).as("pushed out by later ones").isTrue();
    }
}
