package pemblar.core.schedule;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.LongRange;
import org.junit.jupiter.api.Test;
import pemblar.core.schedule.DayPlan.Day;
import pemblar.core.schedule.DayPlan.Fixed;
import pemblar.core.schedule.DayPlan.Slot;
import pemblar.core.schedule.DayPlan.Wish;
import pemblar.core.season.Block.Phase;

class DayPlanTest {
    private static final LocalDate MONDAY = LocalDate.of(2027, 3, 1);

    /** Evenings at 17:30, weekends at 9:00. */
    private static List<Day> days(int... minutes) {
        List<Day> days = new ArrayList<>();
        for (int i = 0; i < minutes.length; i++) {
            LocalDate date = MONDAY.plusDays(i);
            days.add(new Day(date, minutes[i], date.getDayOfWeek().getValue() >= 6 ? 540 : 1050));
        }
        return days;
    }

    private static Wish wish(Phase phase, double load) {
        return new Wish(phase, false, load, DayOfWeek.SUNDAY, false, List.of());
    }

    @Test
    void aBuildWeekHasTwoHardSessionsALongDayAndItsLoad() {
        List<Slot> slots = DayPlan.of(days(0, 90, 60, 90, 0, 120, 240), List.of(), wish(Phase.BUILD, 420));
        assertThat(slots.stream()
                        .filter(s -> s.purpose().isHard())
                        .map(s -> s.date().getDayOfWeek()))
                .containsExactly(DayOfWeek.TUESDAY, DayOfWeek.THURSDAY);
        assertThat(slots.get(slots.size() - 1).purpose()).isEqualTo(Purpose.LONG);
        assertThat(slots.stream().mapToDouble(Slot::load).sum()).isCloseTo(420, within(420 * 0.05));
    }

    @Test
    void stackedHardDaysFollowEachOtherWithinADay() {
        List<Slot> hard = DayPlan.of(
                        days(60, 90, 90, 90, 60, 90, 240),
                        List.of(),
                        new Wish(Phase.BUILD, false, 420, DayOfWeek.SUNDAY, true, List.of()))
                .stream()
                .filter(s -> s.purpose().isHard())
                .toList();
        assertThat(hard).hasSize(2);
        assertThat(hard.get(1).hour() - hard.get(0).hour()).isBetween(1.0, 24.0);
    }

    @Test
    void aHardSessionOnTheEveBeforeTheBlockKeepsTheFirstDayEasy() {
        List<Slot> slots = DayPlan.of(
                days(90, 90, 90, 90, 90, 90, 90),
                List.of(new Fixed(MONDAY.minusDays(1), 1080, 3600, 90, true, false)),
                wish(Phase.PEAK, 300));
        assertThat(slots.stream()
                        .filter(s -> s.purpose().isHard())
                        .findFirst()
                        .orElseThrow()
                        .date())
                .isAfter(MONDAY);
    }

    @Test
    void whoKeepsHardSessionsFartherApartGetsThemSo() {
        for (double hours : new double[] {24, 36, 47, 60}) {
            Wish wish = new Wish(Phase.BUILD, false, 420, DayOfWeek.SUNDAY, false, List.of(), false, List.of(), hours);
            List<Slot> hard = DayPlan.of(days(0, 90, 90, 90, 90, 120, 240), List.of(), wish).stream()
                    .filter(s -> s.purpose().isHard())
                    .toList();
            assertThat(hard).hasSizeGreaterThanOrEqualTo(hours > 50 ? 1 : 2);
            for (int i = 1; i < hard.size(); i++) {
                Slot before = hard.get(i - 1);
                assertThat(hard.get(i).hour() - before.hour() - before.seconds() / 3600.0)
                        .as("from the end of one to the start of the next, " + hours + " h kept")
                        .isGreaterThanOrEqualTo(hours - 0.5);
            }
        }
    }

    @Test
    void nothingHardLiesInTheDayAfterHeavyLegWork() {
        Fixed legs = new Fixed(MONDAY, 1080, 3600, 40, false, false, true);
        Fixed trunk = new Fixed(MONDAY, 1080, 3600, 40, false, false, false);
        assertThat(firstHard(legs)).isAfter(MONDAY.plusDays(1));
        assertThat(firstHard(trunk)).isEqualTo(MONDAY.plusDays(1));
    }

    private static LocalDate firstHard(Fixed monday) {
        return DayPlan.of(days(0, 90, 90, 90, 90, 90, 90), List.of(monday), wish(Phase.PEAK, 300)).stream()
                .filter(s -> s.purpose().isHard())
                .findFirst()
                .orElseThrow()
                .date();
    }

    @Test
    void theDaysBeforeARaceAreCalm() {
        List<Slot> slots = DayPlan.of(
                days(90, 90, 90, 90, 90, 90, 0),
                List.of(new Fixed(MONDAY.plusDays(6), 540, 10_800, 220, true, true)),
                wish(Phase.TAPER, 200));
        assertThat(slots.stream().filter(s -> s.purpose().isHard()).map(Slot::date))
                .allMatch(d -> d.isBefore(MONDAY.plusDays(4)));
        assertThat(slots.stream().mapToDouble(Slot::load).sum()).isCloseTo(200, within(12.0));
    }

    @Test
    void recoveryHasNothingHardAndNothingLong() {
        assertThat(DayPlan.of(days(90, 90, 90, 90, 90, 120, 240), List.of(), wish(Phase.RECOVERY, 180)).stream()
                        .map(Slot::purpose))
                .allMatch(p -> p == Purpose.EASY || p == Purpose.RECOVERY);
    }

    @Test
    void whatTheEventDemandsComesFirst() {
        Wish wish = new Wish(Phase.BUILD, false, 400, DayOfWeek.SUNDAY, false, List.of(Purpose.TEMPO));
        assertThat(DayPlan.of(days(0, 90, 60, 90, 0, 120, 240), List.of(), wish).stream()
                        .filter(s -> s.purpose().isHard())
                        .map(Slot::purpose))
                .containsExactly(Purpose.TEMPO, Purpose.THRESHOLD);
    }

    @Test
    void withoutTimeThereAreNoSessions() {
        assertThat(DayPlan.of(days(0, 0, 0, 0, 0, 0, 0), List.of(), wish(Phase.BUILD, 400)))
                .isEmpty();
    }

    @Property(tries = 500)
    void hardSessionsKeepTheirDistanceAndNoDayIsOverfull(@ForAll @LongRange(min = 0, max = 1_000_000) long seed) {
        Random random = new Random(seed);
        int[] minutes = new int[3 + random.nextInt(26)];
        for (int i = 0; i < minutes.length; i++) minutes[i] = random.nextInt(4) == 0 ? 0 : 30 + 15 * random.nextInt(16);
        boolean stack = random.nextBoolean();
        List<Slot> slots = DayPlan.of(
                days(minutes),
                List.of(),
                new Wish(
                        Phase.values()[random.nextInt(5)],
                        random.nextBoolean(),
                        random.nextInt(1200),
                        DayOfWeek.of(1 + random.nextInt(7)),
                        stack,
                        List.of()));
        List<Slot> hard = slots.stream().filter(s -> s.purpose().isHard()).toList();
        for (int i = 1; i < hard.size(); i++) {
            double gap = hard.get(i).hour() - hard.get(i - 1).hour();
            assertThat(gap >= 36 || stack && gap <= 24).as("gap of " + gap).isTrue();
        }
        for (int i = 2; i < hard.size(); i++)
            assertThat(hard.get(i).hour() - hard.get(i - 2).hour()).isGreaterThanOrEqualTo(36);
        for (Slot slot : slots)
            assertThat(slot.seconds())
                    .isBetween(1, minutes[(int) (slot.date().toEpochDay() - MONDAY.toEpochDay())] * 60);
        assertThat(slots.stream().map(Slot::date).distinct().count()).isEqualTo(slots.size());
    }

    /** Ordinary days: five evenings and a weekend, a load that these hours can hold. */
    @Property(tries = 500)
    void theBlockComesWithinFivePercentOfItsTarget(@ForAll @LongRange(min = 0, max = 1_000_000) long seed) {
        Random random = new Random(seed);
        int weeks = 1 + random.nextInt(3);
        int[] minutes = new int[7 * weeks];
        for (int i = 0; i < minutes.length; i++) minutes[i] = new int[] {60, 90, 75, 90, 60, 150, 240}[i % 7];
        double load = (180 + random.nextInt(270)) * weeks;
        Phase phase = new Phase[] {Phase.BASE, Phase.BUILD, Phase.PEAK}[random.nextInt(3)];
        List<Slot> slots = DayPlan.of(days(minutes), List.of(), wish(phase, load));
        assertThat(slots.stream().mapToDouble(Slot::load).sum()).isCloseTo(load, within(0.05 * load));
    }

    private static Wish towards(LocalDate aim, Phase phase, double load, boolean raceLike) {
        return new Wish(phase, false, load, DayOfWeek.SUNDAY, false, List.of(), raceLike, List.of(aim), 36);
    }

    @Test
    void theLastThreeDaysBeforeAnAEventHoldOneShortOpenerAndTheTaperKeepsSomethingSharp() {
        LocalDate aim = MONDAY.plusDays(13);
        List<Slot> slots = DayPlan.of(
                days(60, 90, 60, 90, 60, 90, 120, 60, 90, 60, 90, 60, 90, 0),
                List.of(new Fixed(aim, 540, 14_400, 260, true, true)),
                towards(aim, Phase.TAPER, 260, false));
        List<Slot> last =
                slots.stream().filter(s -> s.date().isAfter(aim.minusDays(4))).toList();
        assertThat(last).hasSize(1);
        assertThat(last.get(0).kind()).isEqualTo(DayPlan.Kind.OPENER);
        assertThat(last.get(0).date()).isEqualTo(aim.minusDays(1));
        assertThat(last.get(0).seconds()).isBetween(1500, 2700);
        assertThat(slots.stream().filter(s -> s.purpose().isHard()))
                .isNotEmpty()
                .allMatch(s -> s.sharp() && s.seconds() <= 3600);
    }

    @Test
    void theDayAfterARaceOfHoursIsForRecovery() {
        for (int seconds : new int[] {3600, 14_400}) {
            Fixed race = new Fixed(MONDAY.minusDays(1), 540, seconds, 200, true, true);
            Slot monday = DayPlan.of(days(90, 0, 90, 0, 90, 0, 180), List.of(race), wish(Phase.BUILD, 420))
                    .get(0);
            assertThat(monday.date()).isEqualTo(MONDAY);
            assertThat(monday.purpose()).isEqualTo(seconds == 3600 ? Purpose.EASY : Purpose.RECOVERY);
        }
    }

    @Test
    void longSessionsAreLikeTheRaceOnlyWhereHardOnesAreFarEnough() {
        LocalDate aim = MONDAY.plusDays(60);
        List<Slot> far = DayPlan.of(days(0, 90, 0, 90, 0, 0, 240), List.of(), towards(aim, Phase.BUILD, 420, true));
        assertThat(far.get(far.size() - 1).kind()).isEqualTo(DayPlan.Kind.RACE_LIKE);
        Fixed saturday = new Fixed(MONDAY.plusDays(5), 540, 3600, 80, true, false);
        List<Slot> near =
                DayPlan.of(days(0, 90, 0, 90, 0, 0, 240), List.of(saturday), towards(aim, Phase.BUILD, 420, true));
        assertThat(near.get(near.size() - 1).kind()).isEqualTo(DayPlan.Kind.PLAIN);
    }

    @Test
    void onFootNoSessionGrowsAsLongAsOnWheels() {
        for (Slot slot : DayPlan.of(
                days(120, 120, 120, 120, 120, 120, 420),
                List.of(),
                wish(Phase.BASE, 900),
                SportShares.of(pemblar.core.sport.Sport.RUN)))
            assertThat(slot.seconds()).isLessThanOrEqualTo(slot.purpose() == Purpose.LONG ? 165 * 60 : 90 * 60);
    }
}
