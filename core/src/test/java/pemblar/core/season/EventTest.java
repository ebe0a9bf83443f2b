package pemblar.core.season;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.List;
import java.util.Set;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;

/** The load of an event lies on its own days, each with what that day costs. */
class EventTest {
    private static final LocalDate DAY = LocalDate.of(2026, 6, 19);
    private static final Offset<Double> EXACT = Offset.offset(1e-9);

    @Test
    void evenlyWhereNothingElseIsSaid() {
        Event event = new Event(DAY, 4, Priority.A, 800);
        assertThat(event.loadOn(3)).isEqualTo(200, EXACT);
        assertThat(event.loadOn(DAY.plusDays(2))).isEqualTo(200, EXACT);
        assertThat(event.loadOn(DAY.plusDays(4))).isZero();
        assertThat(event.loadOn(DAY.minusDays(1))).isZero();
    }

    @Test
    void eachStageItsOwn() {
        Event event = Event.of(DAY, Priority.A, List.of(40.0, 310.0, 150.0));
        assertThat(event.days()).isEqualTo(3);
        assertThat(event.load()).isEqualTo(500, EXACT);
        assertThat(event.loadOn(DAY.plusDays(1))).isEqualTo(310, EXACT);
        assertThat(event.on(DAY.plusDays(7)).loadOn(DAY.plusDays(8))).isEqualTo(310, EXACT);
    }

    /** What is done or planned by a session of its own is not counted twice. */
    @Test
    void daysThatAreTakenCostNothingMore() {
        Event left = Event.of(DAY, Priority.A, List.of(40.0, 310.0, 150.0)).without(Set.of(DAY.plusDays(1)));
        assertThat(left.byDay()).containsExactly(40.0, 0.0, 150.0);
        assertThat(left.load()).isEqualTo(190, EXACT);
        assertThat(new Event(DAY, 2, Priority.B, 100).without(Set.of(DAY)).byDay())
                .containsExactly(0.0, 50.0);
    }

    @Test
    void noMoreThanAnyEventMayCost() {
        Event event = Event.of(DAY, Priority.A, List.of(15_000.0, 5_000.0, 5_000.0));
        assertThat(event.load()).isEqualTo(Event.MOST_LOAD, EXACT);
        assertThat(event.loadOn(0)).isEqualTo(12_000, EXACT);
        assertThatThrownBy(() -> new Event(DAY, 2, Priority.A, 10, List.of(10.0)))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("byDay");
    }

    /** The trend ahead has each stage's points on its day. */
    @Test
    void theOutlookHoldsThemOnTheirDays() {
        Event event = Event.of(DAY, Priority.A, List.of(40.0, 310.0, 150.0));
        Outlook.Plan plan = new Outlook.Plan(List.of(), List.of(event), new Hours(10, List.of()));
        double[] loads = Outlook.of(DAY.minusDays(2), new double[7], DAY.minusDays(2), plan, Set.of(DAY.plusDays(2)));
        assertThat(loads).containsExactly(0, 0, 40, 310, 0, 0, 0);
    }
}
