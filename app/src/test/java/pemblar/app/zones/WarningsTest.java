package pemblar.app.zones;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import pemblar.core.threshold.Plausibility.Doubt;
import pemblar.core.threshold.Plausibility.Warning;

@Tag("unit")
class WarningsTest {
    @ParameterizedTest
    @EnumSource(Doubt.class)
    void everyDoubtIsAWholeSentenceWithItsNumbers(Doubt doubt) {
        String word = Warnings.words(List.of(new Warning(doubt, 4.2, 4.0))).get(0);
        assertTrue(Character.isUpperCase(word.charAt(0)) && (word.endsWith(".") || word.endsWith("?")), word);
        assertTrue(word.matches("(?s).*\\d.*") && !word.contains("null") && !word.contains("%s"), word);
    }

    @Test
    void aContradictedThresholdSaysByWhatAndForHowLong() {
        assertEquals(
                "In the last year 268 W were held for 75 min, more than the threshold power of 250 W: the "
                        + "threshold looks too low, or a power meter read too high.",
                Warnings.words(List.of(new Warning(Doubt.POWER_CONTRADICTED, 268, 250)))
                        .get(0));
    }
}
