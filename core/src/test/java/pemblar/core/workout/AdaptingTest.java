package pemblar.core.workout;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import pemblar.core.sport.Sport;
import pemblar.core.workout.Element.Repeat;
import pemblar.core.workout.Element.Step;

/** Only stretches of endurance and the numbers of repeats change. */
class AdaptingTest {
    private static Workout ride(String shorthand) {
        return Shorthand.read(shorthand, Sport.RIDE, Basis.POWER).workout().orElseThrow();
    }

    private static String text(Workout workout) {
        return ShorthandText.of(workout);
    }

    @Test
    void repeatsComeMoreOftenAndNeitherEffortsNorBreaksNorWarmUpChange() {
        Workout before = ride("15min 45>75%, 5 x (4min 106-110%, 4min 50%), 10min 55>45%");
        assertThat(text(Adapting.by(before, 1.2)))
                .isEqualTo("15min 45>75%, 6 x (4min 106-110%, 4min 50%), 10min 55>45%");
        assertThat(text(Adapting.by(before, 0.4))).contains("2 x (4min");
    }

    @Test
    void enduranceGrowsInStepsOfFiveMinutesAndHundredMetres() {
        assertThat(text(Adapting.by(ride("15min 45>65%, 75min 65-70%, 10min 60>45%"), 1.3)))
                .isEqualTo("15min 45>65%, 1h40min 65-70%, 10min 60>45%");
        Workout swim = Shorthand.read("400m z1, 2km z2, 200m z1", Sport.SWIM, Basis.PACE)
                .workout()
                .orElseThrow();
        assertThat(text(Adapting.by(swim, 0.83))).isEqualTo("300m z1, 1.7km z2, 200m z1");
    }

    @Test
    void noSprintAndNoStrideIsEverStretched() {
        Workout strides = ride("30min 60%, 8 x (20s 120%, 70s 50%), 5min 50%");
        List<Workout> variants = Adapting.variants(strides);
        assertThat(variants.get(0)).isEqualTo(strides);
        assertThat(variants).doesNotHaveDuplicates().hasSizeGreaterThan(8);
        for (Workout variant : variants) {
            Repeat repeat = (Repeat) variant.elements().get(1);
            assertThat(repeat.elements()).isEqualTo(((Repeat) strides.elements().get(1)).elements());
            assertThat(((Step) variant.elements().get(2)).length()).isEqualTo(new Length.Time(300));
        }
    }
}
