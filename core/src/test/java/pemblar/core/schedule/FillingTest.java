package pemblar.core.schedule;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;
import pemblar.core.schedule.DayPlan.Slot;
import pemblar.core.schedule.Filling.Candidate;
import pemblar.core.schedule.Filling.Choice;

class FillingTest {
    private static final LocalDate DAY = LocalDate.of(2027, 3, 1);
    private static final List<Candidate> LIBRARY = List.of(
            new Candidate(1, Purpose.THRESHOLD, 4500, 85),
            new Candidate(2, Purpose.THRESHOLD, 4200, 80),
            new Candidate(3, Purpose.EASY, 3600, 42),
            new Candidate(4, Purpose.LONG, 9000, 110));

    private static Slot slot(int day, Purpose purpose, int minutes, int most) {
        return new Slot(DAY.plusDays(day), 1080, purpose, minutes * 60, most * 60);
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
        assertThat(choices.stream().mapToDouble(Choice::load).sum()).isCloseTo(340, within(2.0));
        assertThat(choices.get(0).scalePercent()).isEqualTo(100);
    }

    @Test
    void theSameWorkoutIsNotTakenAgainWhileAnotherWouldDo() {
        Filling filling = new Filling(LIBRARY);
        assertThat(filling.fill(List.of(slot(0, Purpose.THRESHOLD, 75, 90)), 85)
                        .get(0)
                        .candidate()
                        .orElseThrow()
                        .id())
                .isEqualTo(1);
        assertThat(filling.fill(List.of(slot(7, Purpose.THRESHOLD, 75, 90)), 85)
                        .get(0)
                        .candidate()
                        .orElseThrow()
                        .id())
                .isEqualTo(2);
    }

    @Test
    void aSessionThatTheLibraryHasNothingForKeepsItsPurposeOnly() {
        Choice choice = new Filling(LIBRARY)
                .fill(List.of(slot(0, Purpose.SPRINTS, 60, 90)), 50)
                .get(0);
        assertThat(choice.candidate()).isEmpty();
        assertThat(choice.load()).isEqualTo(Purpose.SPRINTS.load(3600));
    }

    @Test
    void noSessionGrowsBeyondTheMinutesOfItsDay() {
        Choice choice = new Filling(LIBRARY)
                .fill(List.of(slot(0, Purpose.EASY, 60, 65)), 500)
                .get(0);
        assertThat(choice.candidate().orElseThrow().seconds() * choice.scalePercent() / 100)
                .isLessThanOrEqualTo(65 * 60);
    }
}
