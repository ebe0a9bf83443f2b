package pemblar.formats.csv;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class SheetTextTest {
    @ParameterizedTest
    @ValueSource(strings = {"=1+1", "+1", "-1", "@sum", "\t=1", "\r=1", "=1\n2", "-"})
    void whatASpreadsheetWouldComputeIsMarked(String text) {
        assertThat(SheetText.harmless(text)).isEqualTo("'" + text);
    }

    @Test
    void allElseStaysAsItWasWritten() {
        for (String text : new String[] {"", "two by twenty", "a=b", " -1", "8 x (1min z4)\n= hard"})
            assertThat(SheetText.harmless(text)).isEqualTo(text);
    }
}
