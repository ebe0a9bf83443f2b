package pemblar.core.workout;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import pemblar.core.sport.Sport;
import pemblar.core.workout.SharedClock.At;
import pemblar.core.workout.SharedClock.Event;
import pemblar.core.workout.SharedClock.Kind;

class SharedClockTest {
    private final SharedClock clock = clock("10min 55%, 4x(4min 105%, 3min 50%), 10min 45%");

    private static SharedClock clock(String shorthand) {
        return new SharedClock(Shorthand.read(shorthand, Sport.RIDE).workout().orElseThrow());
    }

    private At at(int second, Event... events) {
        return clock.at(second, List.of(events));
    }

    @Test
    void stepsFollowTheClock() {
        assertThat(at(0)).isEqualTo(new At(0, 0, 600, false));
        assertThat(at(599).part()).isZero();
        assertThat(at(600)).isEqualTo(new At(1, 0, 240, false));
        assertThat(at(900)).isEqualTo(new At(2, 60, 180, false));
        assertThat(clock.end(List.of())).isEqualTo(600 + 4 * 420 + 600);
        assertThat(at(2879).over()).isFalse();
        assertThat(at(2880).over()).isTrue();
    }

    @Test
    void aLongerRecoveryIsTheOneUnderWayElseTheNext() {
        Event inTheRecovery = new Event(900, Kind.LONGER, 30);
        assertThat(at(1049, inTheRecovery)).isEqualTo(new At(2, 209, 210, false));
        assertThat(at(1050, inTheRecovery).part()).isEqualTo(3);
        Event inTheWork = new Event(700, Kind.LONGER, 30);
        assertThat(at(839, inTheWork)).isEqualTo(new At(1, 239, 240, false));
        assertThat(at(840, inTheWork)).isEqualTo(new At(2, 0, 210, false));
        assertThat(clock.end(List.of(inTheRecovery, inTheWork))).isEqualTo(2880 + 60);
    }

    @Test
    void whereNoRecoveryOrSetIsItIsKnown() {
        assertThat(clock.hasRecovery(0)).isTrue();
        assertThat(clock.hasRecovery(8)).isTrue();
        assertThat(clock.hasRecovery(9)).isFalse();
        assertThat(clock.isInSet(0)).isFalse();
        assertThat(clock.isInSet(1)).isTrue();
        assertThat(clock.isInSet(9)).isFalse();
    }

    @Test
    void twiceLongerIsTwiceAsMuch() {
        Event first = new Event(850, Kind.LONGER, 30);
        assertThat(at(860, first, new Event(855, Kind.LONGER, 30)).length()).isEqualTo(240);
    }

    @Test
    void aStepASetAndTheHourAreEndedForAll() {
        assertThat(at(660, new Event(660, Kind.NEXT, 0))).isEqualTo(new At(2, 0, 180, false));
        assertThat(at(1000, new Event(1000, Kind.END_SET, 0))).isEqualTo(new At(9, 0, 600, false));
        assertThat(at(100, new Event(50, Kind.END_SET, 0)).part()).isEqualTo(1); // outside any set: the step
        assertThat(at(700, new Event(650, Kind.STOP, 0)).over()).isTrue();
        assertThat(at(640, new Event(650, Kind.STOP, 0)).over()).isFalse();
    }

    @Test
    void anOpenStepWaitsForTheLead() {
        SharedClock open = clock("lap 50%, 5min 90%");
        assertThat(open.at(4000, List.of())).isEqualTo(new At(0, 4000, SharedClock.OPEN, false));
        assertThat(open.end(List.of())).isEqualTo(SharedClock.OPEN);
        List<Event> next = List.of(new Event(400, Kind.NEXT, 0));
        assertThat(open.at(430, next)).isEqualTo(new At(1, 30, 300, false));
        assertThat(open.end(next)).isEqualTo(700);
    }

    @Test
    void aStepThatABodyEndsHasNoCommonClock() {
        assertThatThrownBy(() -> clock("10min 50%, 2km 80%")).hasMessageContaining("by distance");
        assertThatThrownBy(() -> clock("10min 50%, until reserve<20% 130%")).hasMessageContaining("by the reserve");
    }

    @Test
    void setsInSetsEndAsAWhole() {
        SharedClock nested = clock("2x(3x(1min 120%, 1min 50%), 5min 50%), 10min 50%");
        assertThat(nested.parts()).isEqualTo(15);
        assertThat(nested.at(70, List.of(new Event(70, Kind.END_SET, 0))).part())
                .isEqualTo(14);
    }

    /** However it is led, time goes on without a gap: never back, each step whole or ended by the lead. */
    @Test
    void ledInAnyWayTheClockOnlyGoesForward() {
        for (int seed = 0; seed < 300; seed++) {
            Random random = new Random(seed);
            List<Event> events = new ArrayList<>();
            for (int i = 0; i < random.nextInt(12); i++)
                events.add(new Event(random.nextInt(3000), Kind.values()[random.nextInt(3)], 15 * random.nextInt(9)));
            events.sort(Comparator.comparingInt(Event::second));
            At before = clock.at(0, events);
            for (int second = 1; second < 4000; second++) {
                At now = clock.at(second, events);
                assertThat(now.part()).isGreaterThanOrEqualTo(before.part());
                if (now.part() == before.part() && !now.over())
                    assertThat(now.elapsed()).isEqualTo(before.elapsed() + 1);
                before = now;
            }
            assertThat(before.over()).isTrue();
            assertThat(clock.at(clock.end(events), events).over()).isTrue();
            assertThat(clock.at(clock.end(events) - 1, events).over()).isFalse();
        }
    }
}
