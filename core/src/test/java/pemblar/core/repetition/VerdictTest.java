package pemblar.core.repetition;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import pemblar.core.recording.Channel;
import pemblar.core.repetition.RepetitionSet.Quantity;
import pemblar.core.repetition.RepetitionSet.Repetition;
import pemblar.core.repetition.Verdict.Asked;
import pemblar.core.repetition.Verdict.Kind;
import pemblar.core.repetition.Verdict.Statement;

class VerdictTest {
    private static RepetitionSet set(double[] watts, double[] cadence, double[] valleys) {
        List<Repetition> all = new ArrayList<>();
        for (int i = 0; i < watts.length; i++)
            all.add(new Repetition(
                    new Span(i * 100, i * 100 + 60),
                    watts[i],
                    0.03,
                    cadence[i],
                    Double.NaN,
                    Double.NaN,
                    170,
                    valleys[i],
                    valleys[i] + 2,
                    Double.NaN));
        Map<Quantity, Slope> slopes = new EnumMap<>(Quantity.class);
        slopes.put(Quantity.MAIN, Slope.of(watts));
        slopes.put(Quantity.VALLEY_HEART_RATE, Slope.of(valleys));
        slopes.put(Quantity.END_HEART_RATE, Slope.of(RepetitionSet.values(all, Quantity.END_HEART_RATE)));
        return new RepetitionSet(Channel.POWER, all, slopes, Optional.empty(), false);
    }

    private static Statement one(List<Statement> all, Kind kind) {
        return all.stream()
                .filter(s -> s.kind() == kind)
                .findFirst()
                .orElseThrow(() -> new AssertionError(kind + " is not among " + all));
    }

    @Test
    void theExampleOfTheDesign() {
        RepetitionSet set =
                set(new double[] {281, 279, 282, 278, 280, 271}, new double[] {70, 69, 68, 77, 78, 80}, new double[] {
                    118, 121, 119, 120, 121, Double.NaN
                });
        List<Statement> verdict = Verdict.of(set, new Asked(275, 290, 60, 75));
        assertThat(one(verdict, Kind.TARGET_MET).count()).isEqualTo(5);
        assertThat(one(verdict, Kind.HELD).value()).isBetween(-0.01, 0.0);
        assertThat(one(verdict, Kind.CADENCE_LEFT_BAND).count()).isEqualTo(4);
        assertThat(one(verdict, Kind.RECOVERED_TO).value()).isEqualTo(121);
        assertThat(one(verdict, Kind.RECOVERED_TO).lowest()).isEqualTo(118);
        assertThat(one(verdict, Kind.RECOVERY_ENDED).value()).isEqualTo(123);
        assertThat(one(verdict, Kind.RECOVERY_ENDED).lowest()).isEqualTo(120);
    }

    @Test
    void aFallBeyondNoiseIsSaid() {
        RepetitionSet set =
                set(new double[] {300, 294, 289, 282, 277}, new double[] {70, 70, 70, 70, 70}, new double[] {
                    110, 116, 121, 127, Double.NaN
                });
        List<Statement> verdict = Verdict.of(set, Asked.NOTHING);
        assertThat(one(verdict, Kind.FELL).value()).isBetween(-0.025, -0.015);
        assertThat(one(verdict, Kind.RECOVERS_LESS).value()).isBetween(5.0, 6.0);
        assertThat(verdict.stream().map(Statement::kind)).doesNotContain(Kind.TARGET_MET, Kind.CADENCE_IN_BAND);
    }

    @Test
    void aSureButTinyChangeIsHolding() {
        RepetitionSet set =
                set(new double[] {280.0, 280.3, 280.6, 280.9, 281.2}, new double[] {70, 70, 70, 70, 70}, new double[] {
                    110, 111, 110, 111, Double.NaN
                });
        assertThat(set.slopes().get(Quantity.MAIN).isTrend()).isFalse();
        assertThat(one(Verdict.of(set, Asked.NOTHING), Kind.HELD).value()).isBetween(0.0009, 0.0012);
    }

    /** 240, 290, 250, 300: four percent a repetition that noise could make is no holding, and no rise either. */
    @Test
    void whatIsUnevenIsNotSaidToHold() {
        RepetitionSet set = set(new double[] {240, 290, 250, 300}, new double[] {70, 70, 70, 70}, new double[] {
            110, 111, 110, Double.NaN
        });
        assertThat(one(Verdict.of(set, Asked.NOTHING), Kind.UNEVEN).value()).isBetween(0.03, 0.06);
        assertThat(Verdict.of(set, Asked.NOTHING).stream().map(Statement::kind)).doesNotContain(Kind.HELD, Kind.ROSE);
    }

    /** 0.25 % a repetition is no trend to speak of, but 3.8 % from the first of sixteen to the last is no holding. */
    @Test
    void aSureChangeThatAddsUpIsNeitherHeldNorUneven() {
        double[] watts = new double[16];
        double[] cadence = new double[16];
        double[] valleys = new double[16];
        for (int i = 0; i < 16; i++) {
            watts[i] = 250 - 0.64 * i + (i % 2);
            cadence[i] = 70;
            valleys[i] = 110;
        }
        RepetitionSet set = set(watts, cadence, valleys);
        assertThat(set.slopes().get(Quantity.MAIN).isTrend()).isFalse();
        assertThat(set.slopes().get(Quantity.MAIN).isBeyondNoise()).isTrue();
        assertThat(one(Verdict.of(set, Asked.NOTHING), Kind.CREPT).value()).isBetween(-0.003, -0.002);
    }
}
