package pemblar.app.strength;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import pemblar.core.strength.Exercise;
import pemblar.core.strength.Loadable;
import pemblar.core.strength.Maxima;
import pemblar.core.strength.Prescription;
import pemblar.core.strength.StrengthShorthand;

/** Sets in the words in which people say them. */
@Tag("unit")
class SetWordsTest {
    private static final Maxima MAXIMA = Maxima.of(List.of(
            new Exercise.Own("back squat", OptionalDouble.of(100)),
            new Exercise.Own("bench press", OptionalDouble.empty()),
            new Exercise.Own("pull-up", OptionalDouble.empty()),
            new Exercise.Own("plank", OptionalDouble.empty())));

    private static List<String> planned(String text) {
        return Prescription.of(
                        StrengthShorthand.read(text).workout().orElseThrow(),
                        MAXIMA,
                        Loadable.inSteps(2.5),
                        OptionalDouble.empty())
                .stream()
                .map(SetWords::planned)
                .toList();
    }

    @Test
    void eachKindOfLoadHasItsWords() {
        assertThat(planned("back squat 1 x 5 at 80%")).containsExactly("80 kg × 5");
        assertThat(planned("bench press 1 x 8 at 70%")).containsExactly("8, find the load out");
        assertThat(planned("pull-up 1 x 6 at body mass")).containsExactly("body mass × 6");
        assertThat(planned("pull-up 1 x 6 at body mass +5kg")).containsExactly("body mass + 5 kg × 6");
        assertThat(planned("plank 1 x 45s")).containsExactly("45 s");
        assertThat(planned("back squat as many as possible at 85%")).containsExactly("85 kg × as many as possible");
    }

    @Test
    void equalSetsAreSaidOnce() {
        assertThat(SetWords.together(List.of("80 × 5", "80 × 5", "80 × 5", "85 × 3")))
                .isEqualTo("80 × 5 (3 sets), 85 × 3");
        assertThat(SetWords.together(List.of("80 × 5", "85 × 3", "80 × 5"))).isEqualTo("80 × 5, 85 × 3, 80 × 5");
        assertThat(SetWords.together(List.of())).isEmpty();
    }
}
