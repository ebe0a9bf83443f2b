package pemblar.core.season;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;
import pemblar.core.load.LoadTrend;
import pemblar.core.season.Block.Phase;
import pemblar.core.season.Season.Target;

class GeneratorTest {
    private static final LocalDate MONDAY = LocalDate.of(2027, 1, 4);
    private static final LocalDate RACE = LocalDate.of(2027, 6, 20);
    private static final Hours TEN = new Hours(12, List.of());

    private static Ask ask(Aim aim, Hours hours, double build, List<Event> events) {
        return new Ask(MONDAY, RACE.plusDays(21), events, aim, Rhythm.everyBlock(4, 7), build, hours, 55, Ask.Start.steady(50), List.of());
    }

    private static Event a(LocalDate day) {
        return new Event(day, Priority.A, Double.NaN);
    }

    @Test
    void aSeasonTowardsOneEventGoesThroughAllPhases() {
        Season season = Generator.plan(ask(new Aim(Aim.Kind.CHRONIC_LOAD, 66), TEN, 5, List.of(a(RACE))));
        assertThat(season.targets().stream().map(Target::phase).distinct()).containsExactly(Phase.BASE, Phase.BUILD, Phase.PEAK, Phase.TAPER, Phase.RECOVERY);
        assertThat(season.outcome().met()).isTrue();
        assertThat(season.outcome().reached()).isCloseTo(66, within(0.1));
        int morning = (int) (RACE.toEpochDay() - MONDAY.toEpochDay()) - 1;
        assertThat(season.forecast().get(morning).chronic()).isCloseTo(66, within(0.1));
    }

    @Test
    void theTaperEndsOnTheEventAndIsHalfOfTheLoadBefore() {
        Season season = Generator.plan(ask(new Aim(Aim.Kind.CHRONIC_LOAD, 66), TEN, 5, List.of(a(RACE))));
        Target taper = season.targets().stream().filter(t -> t.phase() == Phase.TAPER).findFirst().orElseThrow();
        Target before = season.targets().get(season.targets().indexOf(taper) - 1);
        assertThat(taper.last()).isEqualTo(RACE);
        assertThat(taper.days()).isBetween(8, 14);
        assertThat(taper.first().getDayOfWeek()).isEqualTo(DayOfWeek.MONDAY);
        assertThat(before.easy()).isFalse();
        assertThat(taper.load() / taper.days()).isCloseTo(0.5 * before.load() / before.days(), within(1e-9));
    }

    @Test
    void everyFourthBlockIsSixtyPercentOfTheOneBefore() {
        Season season = Generator.plan(ask(new Aim(Aim.Kind.CHRONIC_LOAD, 66), TEN, 5, List.of(a(RACE))));
        List<Target> targets = season.targets();
        assertThat(targets.subList(0, 4).stream().map(Target::easy)).containsExactly(false, false, false, true);
        assertThat(targets.get(3).load()).isCloseTo(0.6 * targets.get(2).load(), within(1e-9));
        assertThat(targets.get(2).load()).isGreaterThan(targets.get(1).load());
    }

    /** By hand: chronic 50, one week at L adds (L - 50)(1 - e^(-7/42)); at most 5 gives L = 50 + 5 / 0.15352 = 82.57. */
    @Test
    void theBuildRateHoldsTheFirstWeekAtWhatItAllows() {
        Season season = Generator.plan(ask(new Aim(Aim.Kind.CHRONIC_LOAD, 400), new Hours(100, List.of()), 5, List.of(a(RACE))));
        assertThat(season.targets().get(0).load() / 7).isCloseTo(82.57, within(0.01));
        assertThat(season.targets().get(0).limit()).isEqualTo(Limit.BUILD_RATE);
        assertThat(season.outcome().binding()).isEqualTo(Limit.BUILD_RATE);
    }

    @Test
    void hoursThatDoNotSufficeAreNamedWithTheNearestAim() {
        Season season = Generator.plan(ask(new Aim(Aim.Kind.CHRONIC_LOAD, 90), new Hours(8, List.of()), 6, List.of(a(RACE))));
        assertThat(season.outcome().met()).isFalse();
        assertThat(season.outcome().binding()).isEqualTo(Limit.HOURS);
        double nearest = season.outcome().reached();
        Season again = Generator.plan(ask(new Aim(Aim.Kind.CHRONIC_LOAD, nearest), new Hours(8, List.of()), 6, List.of(a(RACE))));
        assertThat(again.outcome().met()).isTrue();
        assertThat(again.outcome().reached()).isCloseTo(nearest, within(0.2));
    }

    @Test
    void averageHoursAreMetOverTheWholeSeason() {
        Season season = Generator.plan(ask(new Aim(Aim.Kind.WEEKLY_HOURS, 7), TEN, 5, List.of(a(RACE))));
        double hours = season.targets().stream().mapToDouble(Target::hours).sum();
        int days = season.targets().stream().mapToInt(Target::days).sum();
        assertThat(7 * hours / days).isCloseTo(7, within(0.01));
    }

    @Test
    void aHolidayTakesTheLoadOfItsDaysAway() {
        LocalDate from = MONDAY.plusDays(35);
        Hours hours = new Hours(12, List.of(new Hours.Exception(from, from.plusDays(6), 0)));
        Season season = Generator.plan(ask(new Aim(Aim.Kind.CHRONIC_LOAD, 66), hours, 5, List.of(a(RACE))));
        Target holiday = season.targets().stream().filter(t -> t.first().equals(from)).findFirst().orElseThrow();
        assertThat(holiday.load()).isZero();
        assertThat(holiday.limit()).isEqualTo(Limit.HOURS);
    }

    @Test
    void twoEventsHaveTheirOwnTapersAndBothMeetTheAim() {
        Event second = a(RACE.plusDays(63));
        Ask ask = new Ask(MONDAY, RACE.plusDays(80), List.of(a(RACE), second), new Aim(Aim.Kind.CHRONIC_LOAD, 62), Rhythm.everyBlock(4, 7), 5, TEN, 55, Ask.Start.steady(50), List.of());
        Season season = Generator.plan(ask);
        assertThat(season.targets().stream().filter(t -> t.phase() == Phase.TAPER).map(Target::last)).containsExactly(RACE, second.day());
        assertThat(season.outcome().met()).isTrue();
        assertThat(season.forecast().get((int) (second.day().toEpochDay() - MONDAY.toEpochDay()) - 1).chronic()).isCloseTo(62, within(0.7));
    }

    @Test
    void theThreeDaysBeforeABEventAreHalfAsHeavy() {
        LocalDate day = MONDAY.plusDays(54);
        Season season = Generator.plan(ask(new Aim(Aim.Kind.CHRONIC_LOAD, 66), TEN, 5, List.of(a(RACE), new Event(day, Priority.B, 120))));
        List<LoadTrend.Day> days = season.forecast();
        for (int i = 51; i < 54; i++) assertThat(days.get(i).load()).isCloseTo(days.get(50).load() / 2, within(1e-9));
        assertThat(days.get(54).load()).isEqualTo(120);
    }

    @Test
    void aPinnedBlockKeepsItsDaysAndLoadAndTheRestGoesAround() {
        Block pin = new Block(MONDAY.plusDays(16), 9, Phase.BUILD, "Camp", "", 900, 0, false, true);
        Ask ask = ask(new Aim(Aim.Kind.CHRONIC_LOAD, 66), TEN, 5, List.of(a(RACE)));
        Season season = Generator.plan(new Ask(ask.first(), ask.last(), ask.events(), ask.aim(), ask.rhythm(), ask.highestBuild(), ask.hours(), ask.loadPerHour(), ask.start(), List.of(pin)));
        Target kept = season.targets().stream().filter(Target::pinned).findFirst().orElseThrow();
        assertThat(kept.first()).isEqualTo(pin.first());
        assertThat(kept.days()).isEqualTo(9);
        assertThat(kept.load()).isEqualTo(900);
        assertThat(kept.overran()).isTrue();
        assertThat(season.outcome().met()).isTrue();
    }

    @Test
    void blocksOfNineDaysKeepTheirLength() {
        Ask ask = new Ask(MONDAY, RACE, List.of(a(RACE)), new Aim(Aim.Kind.CHRONIC_LOAD, 60), Rhythm.everyDays(23, 9, 5), 5, TEN, 55, Ask.Start.steady(50), List.of());
        List<Target> targets = Generator.plan(ask).targets();
        assertThat(targets.subList(0, 3).stream().map(Target::days)).containsExactly(9, 9, 5);
        assertThat(targets.get(2).easy()).isTrue();
    }
}
