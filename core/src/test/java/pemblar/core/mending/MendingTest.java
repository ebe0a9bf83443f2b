package pemblar.core.mending;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import pemblar.core.recording.Channel;
import pemblar.core.recording.Lap;
import pemblar.core.recording.Pause;
import pemblar.core.recording.Recording;
import pemblar.core.recording.Series;
import pemblar.core.sport.Sport;

class MendingTest {
    private static final Instant START = Instant.parse("2026-05-01T08:00:00Z");

    private static Recording recording(double[] watts, double[] bpm) {
        Map<String, Series> channels = new LinkedHashMap<>();
        channels.put(Channel.POWER.key(), Series.of(watts));
        if (bpm != null) channels.put(Channel.HEART_RATE.key(), Series.of(bpm));
        double[] metres = new double[watts.length];
        for (int i = 0; i < metres.length; i++) metres[i] = 10 * (i + 1);
        channels.put(Channel.DISTANCE.key(), Series.of(metres));
        return new Recording(
                Sport.RIDE,
                START,
                watts.length,
                List.of(new Pause(5, 30)),
                channels,
                List.of(new Lap(0, 4, 0), new Lap(4, watts.length, 1)));
    }

    private static double[] filled(int size, double value) {
        double[] values = new double[size];
        Arrays.fill(values, value);
        return values;
    }

    @Test
    void aTrimCutsTheGridAndDistanceLapsPausesAndStartFollow() {
        Recording cut = Mending.apply(
                recording(new double[] {1, 2, 3, 4, 5, 6, 7, 8, 9, 10}, null), List.of(new Edit.Trim(2, 8)));
        assertThat(cut.seconds()).isEqualTo(6);
        assertThat(cut.channel(Channel.POWER)).contains(Series.of(3, 4, 5, 6, 7, 8));
        assertThat(cut.channel(Channel.DISTANCE)).contains(Series.of(10, 20, 30, 40, 50, 60));
        assertThat(cut.start()).isEqualTo(START.plusSeconds(2));
        assertThat(cut.pauses()).containsExactly(new Pause(3, 30));
        assertThat(cut.laps()).containsExactly(new Lap(0, 2, 0), new Lap(2, 6, 1));
    }

    @Test
    void aTrimAfterThePauseStartsLaterByThePause() {
        Recording cut = Mending.apply(recording(filled(10, 100), null), List.of(new Edit.Trim(6, 10)));
        assertThat(cut.start()).isEqualTo(START.plusSeconds(36));
        assertThat(cut.pauses()).isEmpty();
    }

    @Test
    void editsAreMeantOnTheGridOfTheOriginalInWhateverOrderATrimComes() {
        Recording original = recording(new double[] {1, 2, 3, 4, 5, 6, 7, 8, 9, 10}, null);
        Edit hide = new Edit.Hide("power", 4, 6);
        Edit trim = new Edit.Trim(2, 10);
        assertThat(Mending.apply(original, List.of(hide, trim)))
                .isEqualTo(Mending.apply(original, List.of(trim, hide)));
        assertThat(Mending.apply(original, List.of(trim, hide))
                        .channel(Channel.POWER)
                        .orElseThrow()
                        .isPresent(2))
                .isFalse();
    }

    @Test
    void aBridgedSpikeIsTheLineBetweenItsNeighboursAndAtTheEdgeItIsMissing() {
        Recording mended = Mending.apply(
                recording(new double[] {100, 2000, 2000, 160, 160, 3000}, null),
                List.of(new Edit.Bridge("power", 1, 3), new Edit.Bridge("power", 5, 6)));
        Series watts = mended.channel(Channel.POWER).orElseThrow();
        assertThat(new double[] {watts.at(1), watts.at(2)}).containsExactly(120, 140);
        assertThat(watts.isPresent(5)).isFalse();
    }

    @Test
    void aChannelOfWhichAllIsHiddenIsGoneAndTheOriginalStaysAsItWas() {
        Recording original = recording(filled(10, 100), filled(10, 150));
        assertThat(Mending.apply(original, List.of(new Edit.Hide("heartRate", 0, 10)))
                        .has(Channel.HEART_RATE))
                .isFalse();
        assertThat(original.channel(Channel.HEART_RATE).orElseThrow().present()).isEqualTo(10);
        assertThat(Mending.apply(original, List.of())).isSameAs(original);
    }

    @Test
    void aChannelOfAnotherDeviceIsBroughtToTheGridByClockTimeOverThePause() {
        Recording mine = recording(filled(10, 100), null);
        double[] theirs = new double[60];
        for (int i = 0; i < 60; i++) theirs[i] = 100 + i;
        Recording other = new Recording(
                Sport.RIDE, START.plusSeconds(2), 60, List.of(), Map.of("heartRate", Series.of(theirs)), List.of());
        Series found = Replacing.series(mine, other, "heartRate", 0).orElseThrow();
        assertThat(found.isPresent(0)).isFalse();
        assertThat(found.at(2)).isEqualTo(100);
        assertThat(found.at(4)).isEqualTo(102);
        assertThat(found.at(5)).as("30 s later by the clock").isEqualTo(133);
        Recording mended = Mending.apply(mine, List.of(new Edit.Replace("heartRate", found, 0, 10)));
        assertThat(mended.channel(Channel.HEART_RATE)).contains(found);
        Recording elsewhere =
                new Recording(Sport.RIDE, START.plusSeconds(99_999), 60, List.of(), other.channels(), List.of());
        assertThat(Replacing.series(mine, elsewhere, "heartRate", 0)).isEmpty();
    }

    @Test
    void aSpikeIsWhatIsFarAboveTheBestOrJumpsAndFallsBack() {
        double[] watts = filled(600, 200);
        watts[100] = 1400;
        watts[101] = 1350;
        watts[300] = 2600;
        for (int i = 400; i < 420; i++) watts[i] = 1250; // a sprint does not fall back within three seconds
        List<Proposal> found = Proposals.of(recording(watts, null), new Proposals.Known(1000, 70, Double.NaN));
        assertThat(found)
                .extracting(p -> p.edit().from(), p -> p.edit().to(), p -> p.kind())
                .containsExactly(
                        org.assertj.core.groups.Tuple.tuple(100, 102, Proposal.Kind.SPIKE),
                        org.assertj.core.groups.Tuple.tuple(300, 301, Proposal.Kind.SPIKE));
    }

    @Test
    void aStuckHeartRateNeedsWorkThatVaries() {
        double[] bpm = new double[1200];
        for (int i = 0; i < bpm.length; i++) bpm[i] = i >= 300 && i < 540 ? 150 : 140 + i % 7;
        double[] steady = filled(1200, 200);
        double[] varied = new double[1200];
        for (int i = 0; i < varied.length; i++) varied[i] = i / 60 % 2 == 0 ? 150 : 250;
        assertThat(Proposals.of(recording(steady, bpm), Proposals.Known.NOTHING))
                .isEmpty();
        assertThat(Proposals.of(recording(varied, bpm), Proposals.Known.NOTHING))
                .extracting(p -> p.kind(), p -> p.edit().from(), p -> p.edit().to())
                .containsExactly(org.assertj.core.groups.Tuple.tuple(Proposal.Kind.STUCK_HEART_RATE, 300, 540));
        assertThat(Proposals.of(recording(varied, bpm), new Proposals.Known(Double.NaN, Double.NaN, 130)))
                .extracting(Proposal::kind)
                .contains(Proposal.Kind.HEART_RATE_TOO_HIGH);
    }

    @Test
    void whatAPersonFoundRightIsNotProposedAgainAndTheNextIs() {
        double[] watts = filled(600, 200);
        watts[100] = 1400;
        watts[300] = 1500;
        Recording recording = recording(watts, null);
        List<Proposal> found = Proposals.of(recording, Proposals.Known.NOTHING);
        assertThat(found).hasSize(2);
        Edit.Keep keep = found.get(0).keep();
        assertThat(keep).isEqualTo(new Edit.Keep("power", 100, 101));
        assertThat(Mending.apply(recording, List.of(keep))).isEqualTo(recording);
        assertThat(Proposals.unlessKept(found, 0, List.of(keep))).containsExactly(found.get(1));
        assertThat(Proposals.unlessKept(found, 200, List.of(new Edit.Keep("power", 300, 501))))
                .as("on the grid of an original that began 200 s earlier")
                .isEmpty();
        assertThat(Proposals.unlessKept(found, 0, List.of(new Edit.Keep("heartRate", 0, 600))))
                .as("of another channel")
                .isEqualTo(found);
    }

    @Test
    void anEndThatWasFoundRightStaysAndALongerOneIsProposed() {
        double[] watts = filled(2000, 200);
        Arrays.fill(watts, 1600, 2000, 0);
        List<Proposal> found = Proposals.of(recording(watts, null), Proposals.Known.NOTHING);
        Edit.Keep keep = found.get(0).keep();
        assertThat(keep).isEqualTo(new Edit.Keep("", 1600, 2000));
        assertThat(Proposals.unlessKept(found, 0, List.of(keep))).isEmpty();
        assertThat(Proposals.unlessKept(found, 0, List.of(new Edit.Keep("", 1700, 2000))))
                .isEqualTo(found);
    }

    @Test
    void whatNobodyCanReachCannotBeRight() {
        double[] watts = filled(600, 200);
        watts[100] = 1400;
        watts[300] = 20_000;
        assertThat(Proposals.of(recording(watts, null), Proposals.Known.NOTHING))
                .extracting(Proposal::canBeRight)
                .containsExactly(true, false);
        assertThat(Proposals.of(recording(filled(900, 1500), null), Proposals.Known.NOTHING))
                .as("1500 W for a quarter of an hour")
                .isNotEmpty()
                .noneMatch(Proposal::canBeRight);
    }

    @Test
    void aDescentWithoutPedallingInTheMiddleIsNoEnd() {
        double[] watts = filled(2000, 200);
        Arrays.fill(watts, 800, 1200, 0);
        assertThat(Proposals.of(recording(watts, null), Proposals.Known.NOTHING))
                .isEmpty();
        Arrays.fill(watts, 1600, 2000, 0);
        assertThat(Proposals.of(recording(watts, null), Proposals.Known.NOTHING))
                .extracting(Proposal::edit)
                .containsExactly(new Edit.Trim(0, 1600));
    }
}
