package pemblar.core.schedule;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import pemblar.core.schedule.DayPlan.Kind;
import pemblar.core.schedule.DayPlan.Slot;
import pemblar.core.schedule.Filling.Candidate;
import pemblar.core.schedule.Filling.Choice;
import pemblar.core.schedule.Filling.Variant;
import pemblar.core.sport.Sport;
import pemblar.core.workout.Basis;
import pemblar.core.workout.Shorthand;
import pemblar.core.workout.Workout;

class FillingTest {
    private static final LocalDate DAY = LocalDate.of(2027, 3, 1);
    private static final Workout ANY =
            Shorthand.read("30min 60%", Sport.RIDE, Basis.POWER).workout().orElseThrow();
    private static final List<Candidate> LIBRARY = List.of(
            candidate(1, Purpose.THRESHOLD, 4500, 85, Kind.PLAIN),
            candidate(2, Purpose.THRESHOLD, 4200, 80, Kind.PLAIN),
            candidate(3, Purpose.EASY, 3600, 42, Kind.PLAIN),
            candidate(4, Purpose.LONG, 9000, 110, Kind.PLAIN),
            candidate(5, Purpose.SPRINTS, 2100, 25, Kind.OPENER));

    /** At 40 to 190 % of its length, in steps of 5 %, of which only 70 to 130 % may be taken. */
    private static Candidate candidate(long id, Purpose purpose, int seconds, double load, Kind kind) {
        List<Variant> variants = IntStream.rangeClosed(8, 38)
                .mapToObj(i -> new Variant(ANY, seconds * i / 20, load * i / 20, purpose, !purpose.isHard()))
                .toList();
        return new Candidate(id, Sport.RIDE, kind, seconds, variants);
    }

    private static Slot slot(int day, Purpose purpose, int minutes, int most) {
        return new Slot(DAY.plusDays(day), 1080, purpose, minutes * 60, most * 60);
    }

    private static Choice one(Slot slot, double load) {
        return new Filling(LIBRARY).fill(List.of(slot), load).get(0);
    }

    @Test
    void eachSessionGetsAWorkoutOfItsPurposeAndTheBlockKeepsItsLoad() {
        List<Slot> slots = List.of(
                slot(0, Purpose.THRESHOLD, 75, 90),
                slot(1, Purpose.EASY, 60, 90),
                slot(3, Purpose.THRESHOLD, 70, 90),
                slot(6, Purpose.LONG, 150, 240));
        List<Choice> choices = new Filling(LIBRARY).fill(slots, 340);
        assertThat(choices.stream().map(c -> c.candidate().orElseThrow().id())).containsExactly(1L, 3L, 2L, 4L);
        assertThat(choices.stream().mapToDouble(Choice::load).sum()).isCloseTo(340, within(3.0));
        assertThat(choices.get(0).seconds()).isEqualTo(4500);
    }

    @Test
    void noWorkoutIsPutBeyond70To130PercentOfItsLength() {
        Choice longest = one(slot(0, Purpose.EASY, 60, 300), 500);
        assertThat(longest.seconds()).isEqualTo(4680);
        Choice shortest = one(slot(0, Purpose.EASY, 60, 300), 28);
        assertThat(shortest.seconds()).isEqualTo(2520);
        assertThat(one(slot(0, Purpose.LONG, 60, 65), 60).candidate()).isEmpty();
    }

    @Test
    void theSameWorkoutIsNotTakenAgainWhileAnotherWouldDo() {
        Filling filling = new Filling(LIBRARY);
        for (long id : new long[] {1, 2})
            assertThat(filling.fill(List.of(slot(0, Purpose.THRESHOLD, 75, 90)), 85)
                            .get(0)
                            .candidate()
                            .orElseThrow()
                            .id())
                    .isEqualTo(id);
    }

    @Test
    void aSessionThatTheLibraryHasNothingForKeepsItsPurposeOnly() {
        Choice choice = one(slot(0, Purpose.SPRINTS, 60, 90), 50);
        assertThat(choice.candidate()).isEmpty();
        assertThat(choice.load()).isEqualTo(Purpose.SPRINTS.load(3600));
        Slot ran = slot(0, Purpose.EASY, 60, 90).in(Sport.RUN);
        assertThat(one(ran, 50).candidate()).as("a ride is no run").isEmpty();
    }

    @Test
    void noSessionGrowsBeyondTheMinutesOfItsDay() {
        assertThat(one(slot(0, Purpose.EASY, 60, 65), 500).seconds()).isLessThanOrEqualTo(65 * 60);
    }

    @Test
    void whatIsHardAtOneLengthAndNotAtAnotherIsJudgedAtTheLengthAtWhichItIsPut() {
        Candidate tempo = new Candidate(
                9,
                Sport.RIDE,
                Kind.PLAIN,
                3600,
                List.of(
                        new Variant(ANY, 3000, 50, Purpose.EASY, true),
                        new Variant(ANY, 3600, 70, Purpose.TEMPO, false),
                        new Variant(ANY, 4200, 90, Purpose.THRESHOLD, false)));
        Choice hard = new Filling(List.of(tempo))
                .fill(List.of(slot(0, Purpose.THRESHOLD, 60, 90)), 70)
                .get(0);
        assertThat(hard.seconds()).isEqualTo(4200);
        Choice easy = new Filling(List.of(tempo))
                .fill(List.of(slot(0, Purpose.EASY, 60, 90)), 200)
                .get(0);
        assertThat(easy.seconds()).as("a longer one would be hard").isEqualTo(3000);
    }
}
