package pemblar.core.adjust;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.LocalDate;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import pemblar.core.adjust.Situation.Target;
import pemblar.core.load.LoadTrend;
import pemblar.core.season.Block.Phase;
import pemblar.core.season.Event;
import pemblar.core.season.Priority;

class WhatIfTest {
    private static final LocalDate TODAY = LocalDate.of(2027, 3, 1);

    private static Session session(String id, int day, double load, double hours, boolean pinned) {
        return new Session(
                id, TODAY.plusDays(day), Session.NOON, "ride", "easy", load, hours, false, false, pinned, false);
    }

    private static final List<Session> AHEAD = List.of(
            session("a", 0, 60, 1, false),
            session("b", 2, 90, 2, false),
            session("c", 3, 50, 1, true),
            session("d", 6, 100, 3, false));
    private static final List<Target> BLOCKS = List.of(
            new Target(TODAY, 7, Phase.BUILD, 300, 7, OptionalDouble.empty()),
            new Target(TODAY.plusDays(7), 7, Phase.BUILD, 350, 8, OptionalDouble.empty()));

    private static Situation situation() {
        return new Situation(
                TODAY,
                50,
                50,
                Collections.nCopies(7, 50.0),
                LoadTrend.Settings.DEFAULT,
                List.of(),
                AHEAD,
                BLOCKS,
                List.of(),
                new Situation.Limits(6, 36, -30, 4, Double.NaN, false),
                List.of(),
                List.of(),
                List.of(),
                List.of());
    }

    private static Situation leadingTo(Event... events) {
        List<Situation.Coming> coming = Arrays.stream(events)
                .map(e -> new Situation.Coming(e, Optional.empty(), false))
                .toList();
        return situation().withEvents(coming);
    }

    @Test
    void anEventTakesItsLoadAlongAndWhatIsPlannedOnItsNewDayIsLetGo() {
        Situation s = leadingTo(
                new Event(TODAY.plusDays(5), 1, Priority.B, 150), new Event(TODAY.plusDays(10), 1, Priority.A, 200));
        List<Change> changes = new WhatIf.EventMoved(TODAY.plusDays(5), TODAY.plusDays(2)).changes(s);
        assertEquals(
                List.of(new Change.MoveEvent(TODAY.plusDays(5), TODAY.plusDays(2)), new Change.Drop("b")), changes);
        double keep = Math.exp(-1 / LoadTrend.Settings.DEFAULT.chronicDays());
        double moved = 150 * (1 - keep) * (Math.pow(keep, 7) - Math.pow(keep, 4));
        double dropped = 90 * (1 - keep) * Math.pow(keep, 7);
        double was =
                Adjusting.preview(s, Trigger.Kind.EVENT, List.of()).effect().chronic();
        double is = Adjusting.preview(s, Trigger.Kind.EVENT, changes).effect().chronic();
        assertEquals(was + moved - dropped, is, 1e-9);
    }

    @Test
    void whenTheAEventMovesTheFiguresAreOfItsNewMorning() {
        LocalDate from = TODAY.plusDays(10);
        Situation s = leadingTo(new Event(from, 1, Priority.A, 200));
        WhatIf.EventMoved question = new WhatIf.EventMoved(from, TODAY.plusDays(4));
        assertEquals(Optional.of(TODAY.plusDays(4)), question.aimAfter(s));
        assertEquals(4, Adjusting.line(s, question.changes(s)).size() - 1);
        assertEquals(10, Adjusting.line(s, List.of()).size() - 1);
    }

    @Test
    void anEventThatIsNotThereCannotBeMoved() {
        assertThrows(
                IllegalArgumentException.class,
                () -> new WhatIf.EventMoved(TODAY.plusDays(5), TODAY.plusDays(2)).changes(situation()));
    }

    @Test
    void daysOffDropWhatIsNotPinnedAndTakeTheirShareOfAnEmptyBlock() {
        List<Change> changes = new WhatIf.DaysOff(TODAY.plusDays(2), TODAY.plusDays(8)).changes(situation());
        assertEquals(
                List.of(
                        new Change.Drop("b"),
                        new Change.Drop("d"),
                        new Change.Retarget(TODAY.plusDays(7), 350 * (1 - 2 / 7.0))),
                changes);
    }

    @Test
    void lessTimeIsTakenFromEverySessionAlike() {
        // a, b and d hold 6 h, the empty block 8 h, over two weeks: 7 h a week; two less leave 5/7 of each
        List<Change> changes = new WhatIf.LessTime(2, TODAY.plusDays(13)).changes(situation());
        assertEquals(4, changes.size());
        assertEquals(5 / 7.0, ((Change.Scale) changes.get(0)).factor(), 1e-9);
        assertEquals(350 * 5 / 7.0, ((Change.Retarget) changes.get(3)).load(), 1e-9);
        assertTrue(
                new WhatIf.LessTime(30, TODAY.plusDays(13)).changes(situation()).contains(new Change.Drop("a")),
                "more than there is");
    }

    @Test
    void aBlockThatReachesBeyondTheDaysGivesOfThemAlone() {
        LocalDate until = TODAY.plusDays(8);
        // a, b and d hold 6 h, two of the empty block's seven days 16/7 h, over nine days
        double factor = 1 - 2 * (9 / 7.0) / (6 + 16 / 7.0);
        List<Change> less = new WhatIf.LessTime(2, until).changes(situation());
        assertEquals(factor, ((Change.Scale) less.get(0)).factor(), 1e-9);
        assertEquals(350 * (5 / 7.0 + 2 / 7.0 * factor), ((Change.Retarget) less.get(3)).load(), 1e-9);
        List<Change> nothing = new WhatIf.Share(0, until).changes(situation());
        assertEquals(350 * 5 / 7.0, ((Change.Retarget) nothing.get(3)).load(), 1e-9);
    }

    @Test
    void theEffectIsThatOfTheChangedPlan() {
        Situation s = situation();
        List<Double> leave = Adjusting.line(s, List.of());
        List<Double> half = Adjusting.line(s, new WhatIf.Share(50, TODAY.plusDays(20)).changes(s));
        assertTrue(half.get(half.size() - 1) < leave.get(leave.size() - 1));
        assertEquals(leave, Adjusting.line(s, new WhatIf.Share(100, TODAY.plusDays(20)).changes(s)));
    }

    @Test
    void nonsenseIsRefused() {
        assertThrows(IllegalArgumentException.class, () -> new WhatIf.DaysOff(TODAY, TODAY.minusDays(1)));
        assertThrows(IllegalArgumentException.class, () -> new WhatIf.LessTime(Double.NaN, TODAY));
        assertThrows(IllegalArgumentException.class, () -> new WhatIf.Share(-1, TODAY));
    }
}
