package pemblar.app.review;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import pemblar.app.frame.page.Shown;
import pemblar.app.session.reading.SessionService.Opened;
import pemblar.core.matching.Stretches;
import pemblar.core.matching.Stretches.One;
import pemblar.core.repetition.Span;
import pemblar.core.sport.Sport;

/** Five repetitions of two minutes with two easy ones after each; what they did is known. */
@Tag("unit")
class RepetitionTableTest {
    private static final int ROUND = 240;
    private static final int COUNT = 5;
    private static final String PLAN = "5 x (2min 95-105% 90-100rpm, 2min 50%)";

    private static Openings fives(Sport sport, String channel, double easy, double... hard) {
        Openings made = Openings.of(sport, ROUND * COUNT).with(channel, easy);
        for (int i = 0; i < COUNT; i++) made.but(channel, i * ROUND, i * ROUND + 120, hard[i]);
        return made;
    }

    private static Openings lapped(Openings made) {
        int[] ends = new int[2 * COUNT];
        for (int i = 0; i < ends.length; i++) ends[i] = (i + 1) * ROUND / 2;
        return made.laps(ends);
    }

    private static Optional<RepetitionTable> table(Opened opened) {
        return RepetitionTable.of(Cuts.of(opened), Double.NaN, Double.NaN, new Shown());
    }

    private static RepetitionPlot plot(RepetitionTable table, String name) {
        return table.plots().stream()
                .filter(p -> p.name().equals(name))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void heldPowerIsSaidWithItsTargetAndItsCadence() {
        Openings made = fives(Sport.RIDE, "power", 100, 200, 201, 199, 200, 200)
                .with("cadence", 95)
                .planned(PLAN);
        RepetitionTable table = table(lapped(made).open()).orElseThrow();
        assertThat(table.how()).isEqualTo("5 times 2min, as planned");
        assertThat(table.words())
                .contains("Target met in 5 of 5.")
                .contains("Power held (")
                .contains("within noise")
                .contains("Cadence stayed in its band.");
        assertThat(plot(table, "mean power").word()).isEqualTo("within noise");
        assertThat(plot(table, "mean power").first()).isEqualTo("200 W");
    }

    /** 210, 204, 198, 192, 186: six watts or three percent less each time, and the last is under 190. */
    @Test
    void fallingPowerIsMoreThanNoiseAndTheFiguresItRestsOnAreLinked() {
        RepetitionTable table = table(lapped(fives(Sport.RIDE, "power", 100, 210, 204, 198, 192, 186)
                                .planned(PLAN))
                        .open())
                .orElseThrow();
        assertThat(table.words())
                .contains("Power fell (−3.0 % per repetition, more than noise).")
                .contains("Target met in 4 of 5.");
        assertThat(table.verdict())
                .allSatisfy(s -> assertThat(s.to()).isGreaterThan(s.from()).isLessThanOrEqualTo(ROUND * COUNT));
        RepetitionPlot power = plot(table, "mean power");
        assertThat(power.marked()).isTrue();
        assertThat(power.word()).isEqualTo("−3.0 % per repetition");
        assertThat(power.dots()).hasSize(5);
        assertThat(power.dots().get(0).y())
                .as("higher up")
                .isLessThan(power.dots().get(4).y());
    }

    @Test
    void cadenceThatLeavesItsBandIsNamedWithItsRepetition() {
        Openings made = fives(Sport.RIDE, "power", 100, 200, 200, 200, 200, 200)
                .with("cadence", 95)
                .but("cadence", 3 * ROUND, COUNT * ROUND, 80)
                .planned(PLAN);
        assertThat(table(lapped(made).open()).orElseThrow().words())
                .contains("Cadence was out of its band from the 4th on.");
    }

    @Test
    void effortsAreFoundWithoutAPlan() {
        RepetitionTable table = table(
                        fives(Sport.RIDE, "power", 100, 250, 252, 250, 249, 250).open())
                .orElseThrow();
        assertThat(table.how()).startsWith("5 efforts of about 2:0").endsWith("found in the recording");
        List<Span> spans = RepetitionTable.spans(
                Cuts.of(fives(Sport.RIDE, "power", 100, 250, 252, 250, 249, 250).open()), Double.NaN);
        for (int i = 0; i < COUNT; i++) assertThat(spans.get(i).from()).isBetween(i * ROUND - 2, i * ROUND + 2);
    }

    @Test
    void onFootTheyAreFoundBySpeedAndReadAsPace() {
        RepetitionTable table =
                table(fives(Sport.RUN, "speed", 2.5, 4, 4, 4, 4, 4).open()).orElseThrow();
        assertThat(plot(table, "mean pace").first()).isEqualTo("4:10 /km");
    }

    /** On wheels speed says more about wind and road than about effort. */
    @Test
    void speedOnWheelsIsNoEffort() {
        assertThat(table(fives(Sport.RIDE, "speed", 5, 11, 11, 11, 11, 11).open()))
                .isEmpty();
    }

    @Test
    void stretchesSetByHandAreTheRepetitionsAndAnIgnoredOneIsLeftOut() {
        One[] stretches = new One[COUNT];
        for (int i = 0; i < COUNT; i++) stretches[i] = new One(i * ROUND, i * ROUND + 100, Stretches.NO_STEP, i == 2);
        RepetitionTable table = table(fives(Sport.RIDE, "power", 100, 200, 200, 500, 200, 200)
                        .byHand(stretches)
                        .open())
                .orElseThrow();
        assertThat(table.how()).contains("4 efforts").contains("set by hand");
        assertThat(plot(table, "mean power").dots()).hasSize(4);
        assertThat(plot(table, "mean power").dots()).noneMatch(d -> d.label().contains("500"));
    }

    @Test
    void aSteadyRideHasNoRepetitions() {
        assertThat(table(Openings.of(Sport.RIDE, 3600).with("power", 150).open()))
                .isEmpty();
        assertThat(table(Openings.of(Sport.RIDE, 3600).with("heartRate", 130).open()))
                .isEmpty();
    }

    /** Two sets of three: the second 3 % lower, and what lies between the sets is no repetition. */
    @Test
    void setsAreKeptApartAndTheSecondIsSeenAgainstTheFirst() {
        Openings made = Openings.of(Sport.RIDE, 1800).with("power", 100);
        int[] ends = new int[14];
        int at = 0;
        int lap = 0;
        for (int set = 0; set < 2; set++) {
            for (int i = 0; i < 3; i++) {
                made.but("power", at, at + 120, set == 0 ? 200 : 194);
                ends[lap++] = at + 120;
                ends[lap++] = at + 240;
                at += 240;
            }
            ends[lap++] = at + 180;
            at += 180;
        }
        RepetitionTable table = table(made.laps(ends)
                        .planned("2 x (3 x (2min 95-105%, 2min 50%), 3min 45%)")
                        .open())
                .orElseThrow();
        assertThat(table.how()).isEqualTo("2 sets of 3 times 2min, as planned");
        assertThat(table.words())
                .contains("Set 1: target met in 3 of 3.")
                .contains("Set 2: target met in 3 of 3. Power held")
                .contains("Set 2 was 3.0 % lower than set 1");
        assertThat(table.parts()).hasSize(1);
        assertThat(table.parts().get(0).rows()).hasSize(6);
        assertThat(table.parts().get(0).rows().get(3).set()).isEqualTo(2);
    }

    /** Seated and standing in turn: two kinds, each with its own trend, and no recovery between them. */
    @Test
    void eachStepOfARepeatHasItsOwnTrend() {
        Openings made = Openings.of(Sport.RIDE, 5 * 180).with("power", 90).with("heartRate", 150);
        int[] ends = new int[15];
        for (int i = 0; i < 5; i++) {
            made.but("power", i * 180, i * 180 + 60, 200).but("power", i * 180 + 60, i * 180 + 120, 220 - 5 * i);
            made.but("heartRate", i * 180 + 120, i * 180 + 179, 120);
            for (int j = 0; j < 3; j++) ends[3 * i + j] = i * 180 + 60 * (j + 1);
        }
        RepetitionTable table = table(made.laps(ends)
                        .planned("5 x (1min 95-105% seated, 1min 105-115% standing, 1min 45%)")
                        .open())
                .orElseThrow();
        assertThat(table.parts().stream().map(RepetitionTable.Part::title))
                .containsExactly("1min at 95-105% seated", "1min at 105-115% standing");
        assertThat(table.words())
                .contains("1min at 95-105% seated: target met in 5 of 5. Power held")
                .contains("1min at 105-115% standing: target met in ")
                .contains("Power fell (−2.4 % per repetition, more than noise).")
                .contains("Heart rate's lowest in the recoveries was 120 bpm. At their ends it was 130 bpm.")
                .containsOnlyOnce("recoveries");
    }
}
