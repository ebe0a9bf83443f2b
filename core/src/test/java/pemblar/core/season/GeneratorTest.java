package pemblar.core.season;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;
import pemblar.core.load.LoadTrend;
import pemblar.core.season.Block.Phase;
import pemblar.core.season.Season.Target;

class GeneratorTest {
    private static final LocalDate MONDAY = LocalDate.of(2027, 1, 4);
    private static final LocalDate RACE = LocalDate.of(2027, 6, 20);
    private static final Hours TWELVE = new Hours(12, List.of());
    private static final LoadPerHour FIFTY_FIVE = LoadPerHour.even(55);

    private static Ask ask(Aim aim, Hours hours, double build, List<Event> events) {
        return new Ask(
                MONDAY,
                RACE.plusDays(21),
                events,
                aim,
                Rhythm.everyBlock(4, 7),
                build,
                hours,
                FIFTY_FIVE,
                Ask.Start.steady(50),
                List.of(),
                Ask.Shape.FREE);
    }

    private static Event a(LocalDate day) {
        return new Event(day, Priority.A, 200);
    }

    private static Aim chronic(double value) {
        return new Aim(Aim.Kind.CHRONIC_LOAD, value);
    }

    private static Target holding(Season season, LocalDate day) {
        return season.targets().stream()
                .filter(t -> !day.isBefore(t.first()) && !day.isAfter(t.last()))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void aSeasonTowardsOneEventGoesThroughAllPhasesAndMeetsItsAim() {
        Season season = Generator.plan(ask(chronic(66), TWELVE, 5, List.of(a(RACE))));
        assertThat(season.targets().stream().map(Target::phase).distinct())
                .containsExactly(Phase.BASE, Phase.BUILD, Phase.PEAK, Phase.TAPER, Phase.RECOVERY);
        assertThat(season.outcome().met()).isTrue();
        int morning = (int) (RACE.toEpochDay() - MONDAY.toEpochDay());
        assertThat(season.forecast().get(morning).chronicBefore()).isCloseTo(66, within(1e-6));
        assertThat(season.forecast().get(morning).load()).isEqualTo(200);
    }

    /**
     * By hand: chronic 50, seven days at L add (L - 50)(1 - e^(-7/42)); at most 5 gives L = 50 + 5 / 0.153518 = 82.57.
     */
    @Test
    void theBuildRateHoldsTheFirstWeekAtWhatItAllows() {
        Season season = Generator.plan(ask(chronic(400), new Hours(100, List.of()), 5, List.of(a(RACE))));
        assertThat(season.outcome().binding()).containsExactly(Limit.BUILD_RATE);
        assertThat(season.highestBuild()).isCloseTo(5, within(1e-5));
        assertThat(season.targets().get(0).load() / 7).isLessThan(82.58);
    }

    @Test
    void hoursThatDoNotSufficeAreNamedWithTheNearestAimWhichCanThenBeMet() {
        Season season = Generator.plan(ask(chronic(90), new Hours(8, List.of()), 6, List.of(a(RACE))));
        assertThat(season.outcome().met()).isFalse();
        assertThat(season.outcome().binding()).containsExactly(Limit.HOURS);
        Season again =
                Generator.plan(ask(chronic(season.outcome().nearest()), new Hours(8, List.of()), 6, List.of(a(RACE))));
        assertThat(again.outcome().met()).isTrue();
    }

    @Test
    void twoEventsTenDaysApartShareOneTaperAndKeepLoadBetween() {
        Season season = Generator.plan(ask(chronic(60), TWELVE, 5, List.of(a(RACE), a(RACE.plusDays(10)))));
        List<Target> tapers =
                season.targets().stream().filter(t -> t.phase() == Phase.TAPER).toList();
        assertThat(tapers).hasSize(1);
        assertThat(RACE.toEpochDay() - tapers.get(0).first().toEpochDay()).isBetween(8L, 14L);
        Target between = holding(season, RACE.plusDays(4));
        assertThat(between.phase()).isEqualTo(Phase.PEAK);
        assertThat(holding(season, RACE.plusDays(10)).phase()).isEqualTo(Phase.PEAK);
    }

    @Test
    void aStageRaceHoldsItsDaysAloneAndItsLoadLiesOnThem() {
        Event stages = new Event(RACE, 6, Priority.A, 900);
        Season season = Generator.plan(ask(chronic(60), TWELVE, 5, List.of(stages)));
        int first = (int) (RACE.toEpochDay() - MONDAY.toEpochDay());
        for (int i = 0; i < 6; i++)
            assertThat(season.forecast().get(first + i).load()).isEqualTo(150);
        assertThat(holding(season, RACE).last()).isEqualTo(RACE.plusDays(5));
        assertThat(holding(season, RACE).eventLoad()).isCloseTo(900, within(1e-9));
        assertThat(holding(season, RACE.plusDays(6)).phase()).isEqualTo(Phase.RECOVERY);
    }

    @Test
    void aBEventHasThreeOrFourEasyDaysOfItsOwn() {
        LocalDate day = MONDAY.plusDays(54);
        Season season = Generator.plan(ask(chronic(66), TWELVE, 5, List.of(a(RACE), new Event(day, Priority.B, 120))));
        Target easy = holding(season, day);
        assertThat(easy.phase()).isEqualTo(Phase.TAPER);
        assertThat(day.toEpochDay() - easy.first().toEpochDay()).isBetween(3L, 4L);
        assertThat(easy.last()).isEqualTo(day);
    }

    @Test
    void aWeekAwayServesAsTheEasyBlockWhenOneIsDue() {
        LocalDate from = MONDAY.plusDays(14);
        Season season = Generator.plan(ask(
                chronic(60),
                new Hours(12, List.of(new Hours.Exception(from, from.plusDays(6), 0))),
                5,
                List.of(a(RACE))));
        assertThat(season.targets().subList(0, 5).stream().map(Target::easy))
                .containsExactly(false, false, true, false, false);
        assertThat(season.targets().get(2).load()).isZero();
    }

    @Test
    void aPinnedBlockKeepsItsDaysAndLoadAndWhatItBreaksIsNamed() {
        Block pin = new Block(MONDAY.plusDays(16), 7, Phase.BUILD, "Camp", "", 99_999, 0, false, true);
        Season season =
                Generator.plan(ask(chronic(66), TWELVE, 5, List.of(a(RACE))).withPinned(List.of(pin)));
        Target kept =
                season.targets().stream().filter(Target::pinned).findFirst().orElseThrow();
        assertThat(kept.load()).isCloseTo(99_999, within(1e-6));
        assertThat(kept.overran()).isTrue();
        assertThat(season.broken())
                .contains(
                        new Season.Broken(pin.first(), Limit.HOURS), new Season.Broken(pin.first(), Limit.BUILD_RATE));
    }

    @Test
    void theFirstPhaseAndTheTaperCanBeChosen() {
        Ask ask = ask(chronic(60), TWELVE, 5, List.of(a(RACE)));
        Ask.Shape shape = new Ask.Shape(java.util.Optional.of(9), java.util.Optional.of(Phase.BUILD), Double.NaN);
        Season season = Generator.plan(new Ask(
                ask.first(),
                ask.last(),
                ask.events(),
                ask.aim(),
                ask.rhythm(),
                5,
                TWELVE,
                FIFTY_FIVE,
                ask.start(),
                List.of(),
                shape));
        assertThat(season.targets().get(0).phase()).isEqualTo(Phase.BUILD);
        assertThat(RACE.toEpochDay() - holding(season, RACE).first().toEpochDay())
                .isEqualTo(9);
    }

    /** A rise of the weeks before that no rest can bring under the limit at once is excused, and said. */
    @Test
    void daysThatBreakTheBuildRateEvenWithoutLoadAreExcused() {
        Ask.Start steep = new Ask.Start(
                80, List.of(40.0, 42.0, 44.0, 46.0, 48.0, 50.0, 52.0), LoadTrend.Settings.DEFAULT, List.of());
        Ask ask = new Ask(
                MONDAY,
                RACE,
                List.of(a(RACE)),
                chronic(60),
                Rhythm.everyBlock(4, 7),
                3,
                TWELVE,
                FIFTY_FIVE,
                steep,
                List.of(),
                Ask.Shape.FREE);
        Season season = Generator.plan(ask);
        assertThat(season.excused()).contains(MONDAY).doesNotContain(MONDAY.plusDays(6));
    }

    @Test
    void theBuildIsEven() {
        Season season = Generator.plan(ask(chronic(62), TWELVE, 5, List.of(a(RACE))));
        List<Double> levels = season.targets().stream()
                .filter(t ->
                        t.last().isBefore(RACE) && !t.easy() && (t.phase() == Phase.BASE || t.phase() == Phase.BUILD))
                .map(t -> t.load() / t.trainable())
                .toList();
        double uneven = 0;
        for (int i = 2; i < levels.size(); i++)
            uneven += Math.abs(levels.get(i) - 2 * levels.get(i - 1) + levels.get(i - 2));
        assertThat(uneven).isLessThan(3);
        for (int i = 1; i < levels.size(); i++) assertThat(levels.get(i)).isGreaterThan(levels.get(i - 1) - 1e-6);
    }
}
