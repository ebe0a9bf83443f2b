package pemblar.app.planner;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import pemblar.app.athlete.Athlete;
import pemblar.app.frame.page.Shown;
import pemblar.app.load.DayLoad;
import pemblar.app.load.TrendService.Trend;
import pemblar.app.season.Held;
import pemblar.app.season.SeasonEvent;
import pemblar.app.season.SeasonSettings;
import pemblar.app.session.change.SketchService.Slotted;
import pemblar.app.workout.ShippedShelf;
import pemblar.core.load.LoadTrend;
import pemblar.core.schedule.Purpose;
import pemblar.core.schedule.SportShares;
import pemblar.core.season.Aim;
import pemblar.core.season.Block;
import pemblar.core.season.Priority;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.Quantity;
import pemblar.core.threshold.Sex;
import pemblar.core.threshold.Thresholds;
import pemblar.core.workout.ShorthandText;
import pemblar.core.zone.Zones;

/**
 * Boards of forty set-ups against the rules of a day plan: three sports and two mixes, 3 to 15 hours a week, towards
 * one day and towards a race of stages. They are printed for a coach to read in {@code docs/plans.md}, which this test
 * keeps true; {@code -Dplans.write=true} writes it anew.
 */
@Tag("unit")
class PlansTest {
    static final double PER_HOUR = 52;
    static final LocalDate TODAY = LocalDate.of(2027, 3, 1);
    static final LocalDate AIM = TODAY.plusDays(97);
    private static final Shown SHOWN = new Shown();
    private static final Zones ZONES = Zones.usual(Thresholds.NONE
            .with(Quantity.THRESHOLD_POWER, 250)
            .with(Quantity.CRITICAL_POWER, 256)
            .with(Quantity.W_PRIME, 20_000)
            .with(Quantity.THRESHOLD_SPEED, 3.8)
            .with(Quantity.SWIMMING_THRESHOLD_SPEED, 1.1)
            .with(Quantity.THRESHOLD_HEART_RATE, 170)
            .with(Quantity.MAXIMUM_HEART_RATE, 188)
            .with(Quantity.RESTING_HEART_RATE, 50));

    record Setup(String name, Sport sport, Map<Sport, Integer> shares, int hours, int stages) {
        @Override
        public String toString() {
            return name + ", " + hours + " h a week, towards "
                    + (stages == 1 ? "one day" : "a race of " + stages + " stages");
        }

        List<Sport> sports() {
            return shares.isEmpty() ? List.of(sport) : List.copyOf(shares.keySet());
        }
    }

    record Board(Setup setup, Held held, List<BlockFilling.Filled> blocks) {
        Stream<Slotted> sessions() {
            return blocks.stream().flatMap(b -> b.sessions().stream());
        }

        Stream<Slotted> training() {
            return sessions().filter(s -> s.sketch().purpose() != Purpose.RACE);
        }
    }

    static List<Setup> setups() {
        List<Setup> all = new ArrayList<>();
        for (int stages : new int[] {1, 4})
            for (int hours : new int[] {3, 6, 10, 15}) {
                all.add(new Setup("Riding", Sport.RIDE, Map.of(), hours, stages));
                all.add(new Setup("Running", Sport.RUN, Map.of(), hours, stages));
                all.add(new Setup("Swimming", Sport.SWIM, Map.of(), hours, stages));
                all.add(new Setup(
                        "Riding and running", Sport.RIDE, Map.of(Sport.RIDE, 60, Sport.RUN, 40), hours, stages));
                all.add(new Setup(
                        "Swimming, riding and running",
                        Sport.OTHER,
                        Map.of(Sport.SWIM, 20, Sport.RIDE, 45, Sport.RUN, 35),
                        hours,
                        stages));
            }
        return all;
    }

    static Board board(Setup setup) {
        Trend trend = trend(setup);
        Athlete athlete = athlete(setup);
        Held asked = held(setup);
        Held held = asked.withBlocks(SeasonPlanner.plan(SeasonPlanner.ask(athlete, asked, trend, PER_HOUR), asked)
                .blocks());
        SportShares shares = BoardFilling.shares(athlete, held, TODAY);
        FillingLibrary library = FillingLibrary.of(ShippedShelf.all(), shares.sports(), ZONES);
        BlockFilling filling =
                new BlockFilling(new BlockFilling.Ground(held, TODAY, races(held), library, shares, Map.of(), 36));
        return new Board(
                setup,
                held,
                held.blocks().stream()
                        .filter(b -> b.targetLoad() > 0)
                        .map(filling::fill)
                        .toList());
    }

    static Athlete athlete(Setup setup) {
        return new Athlete(
                1, "Nobody", setup.sports(), Sex.NOT_GIVEN, java.time.ZoneOffset.UTC, LoadTrend.Settings.DEFAULT);
    }

    private static List<pemblar.core.schedule.DayPlan.Fixed> races(Held held) {
        return held.events().stream()
                .flatMap(e -> BoardFilling.races(e, List.of()).stream())
                .toList();
    }

    /** Six weeks at two thirds of the hours, at what an easy hour costs. */
    static Trend trend(Setup setup) {
        List<DayLoad> days = new ArrayList<>();
        double[] loads = new double[42];
        for (int i = 0; i < 42; i++) {
            double hours = i % 7 == 0 ? 0 : setup.hours() * 0.66 / 6;
            loads[i] = hours * PER_HOUR;
            days.add(new DayLoad(1, TODAY.minusDays(42L - i), 0, loads[i], 0, 0, Math.round(hours * 3600), 0));
        }
        return new Trend(TODAY, days, LoadTrend.of(TODAY.minusDays(42), loads, LoadTrend.Settings.DEFAULT));
    }

    static Held held(Setup setup) {
        int hour = setup.hours();
        int evening = Math.min(120, Math.max(40, hour * 60 / 7));
        int longest = Math.min(360, Math.max(75, hour * 60 / 3));
        List<Integer> minutes = hour <= 3
                ? List.of(0, 45, 0, 45, 0, 0, 90)
                : List.of(evening, evening, evening, evening, 0, longest / 2 + 30, longest);
        SeasonSettings usual = SeasonSettings.USUAL;
        double aim = Math.max(10, Math.rint(0.72 * hour * 52 / 7));
        SeasonSettings settings = new SeasonSettings(
                null,
                Aim.Kind.CHRONIC_LOAD,
                aim,
                usual.blockDays(),
                usual.easyEvery(),
                false,
                7,
                5,
                hour,
                minutes,
                DayOfWeek.SUNDAY,
                false,
                setup.shares());
        SeasonEvent event = new SeasonEvent(
                1,
                AIM,
                setup.stages(),
                "Made-up event",
                Priority.A,
                SeasonEvent.Kind.RACE,
                setup.sport(),
                null,
                setup.stages() * 3 * 3600 + 1800,
                List.of(new SeasonEvent.EventDemand(
                        720, SeasonEvent.Unit.WATTS, 260, SeasonEvent.After.TIME, 7200, "")));
        return new Held(0, settings, List.of(), List.of(event), List.of(), List.of());
    }

    @ParameterizedTest
    @MethodSource("setups")
    void everyBoardKeepsTheRules(Setup setup) {
        Board board = board(setup);
        assertThat(board.training().count()).as("something is planned").isGreaterThan(20);
        hardOnesAreThirtySixHoursApart(board);
        noDayIsTakenTwiceAndNoneTooLong(board);
        theEveOfTheEventIsCalm(board);
        everySessionHasAWorkoutWithinItsLimits(board);
        sportsHaveTheirShares(board);
        whatDoesNotFitIsSaid(board);
    }

    private static double hour(Slotted s) {
        return s.sketch().day().toEpochDay() * 24.0 + s.sketch().startMinute() / 60.0;
    }

    private static void hardOnesAreThirtySixHoursApart(Board board) {
        List<Double> hard = board.sessions()
                .filter(s -> s.sketch().purpose().isHard() && s.sketch().purpose() != Purpose.RACE)
                .map(PlansTest::hour)
                .sorted()
                .toList();
        for (int i = 1; i < hard.size(); i++)
            assertThat(hard.get(i) - hard.get(i - 1)).isGreaterThanOrEqualTo(36);
    }

    private static void noDayIsTakenTwiceAndNoneTooLong(Board board) {
        List<LocalDate> days = board.sessions().map(s -> s.sketch().day()).toList();
        assertThat(days).doesNotHaveDuplicates();
        board.training()
                .forEach(s -> assertThat(s.sketch().seconds())
                        .isLessThanOrEqualTo(60
                                * board.held()
                                        .settings()
                                        .dayMinutes()
                                        .get(s.sketch().day().getDayOfWeek().getValue() - 1)));
    }

    private static void theEveOfTheEventIsCalm(Board board) {
        List<Slotted> last = board.training()
                .filter(s -> !s.sketch().day().isBefore(AIM.minusDays(3))
                        && s.sketch().day().isBefore(AIM))
                .toList();
        assertThat(last.size()).isLessThanOrEqualTo(1);
        assertThat(last).allMatch(s -> s.sketch().seconds() <= 50 * 60);
        assertThat(board.training())
                .noneMatch(s -> BlockFilling.isOn(
                        board.held().events().get(0), s.sketch().day()));
        assertThat(board.training()
                        .filter(s -> s.sketch()
                                .day()
                                .equals(AIM.plusDays(board.setup().stages()))))
                .noneMatch(s -> s.sketch().purpose().isHard() || s.sketch().purpose() == Purpose.LONG);
        assertThat(board.training()
                        .filter(s -> s.sketch().day().isAfter(AIM.minusDays(14))
                                && s.sketch().day().isBefore(AIM)))
                .as("a taper keeps something sharp")
                .anyMatch(s -> s.sketch().purpose().isHard() || s.sketch().purpose() == Purpose.SPRINTS);
    }

    private static void everySessionHasAWorkoutWithinItsLimits(Board board) {
        Map<Long, Integer> own = new HashMap<>();
        FillingLibrary.of(ShippedShelf.all(), board.setup().sports(), ZONES)
                .candidates()
                .forEach(c -> own.put(c.id(), c.own()));
        List<String> sketches = board.training()
                .filter(s -> s.chosen() == null)
                .map(s -> "@@ " + s.sketch().sport() + " " + s.sketch().purpose() + " "
                        + s.sketch().seconds() / 60)
                .toList();
        assertThat(sketches).as("left without a workout").isEmpty();
        board.training()
                .filter(s -> s.chosen().workoutId() == null)
                .forEach(s -> assertThat(s.chosen().title())
                        .as("a changed workout says what is in it")
                        .matches("[A-Z][a-z ]+, .*\\d.*"));
        board.training()
                .filter(s -> s.chosen().workoutId() != null)
                .forEach(s -> assertThat(s.sketch().seconds())
                        .isEqualTo(own.get(s.chosen().workoutId())));
    }

    private static void sportsHaveTheirShares(Board board) {
        Map<Sport, Double> time = new EnumMap<>(Sport.class);
        board.training()
                .forEach(s -> time.merge(s.sketch().sport(), (double) s.sketch().seconds(), Double::sum));
        double all = time.values().stream().mapToDouble(t -> t).sum();
        if (board.setup().shares().isEmpty())
            assertThat(time).containsOnlyKeys(board.setup().sport());
        board.setup()
                .shares()
                .forEach((sport, share) -> assertThat(Math.abs(100 * time.getOrDefault(sport, 0.0) / all - share))
                        .as(sport + " in " + time)
                        .isLessThanOrEqualTo(10));
    }

    private static void whatDoesNotFitIsSaid(Board board) {
        for (BlockFilling.Filled f : board.blocks()) {
            double load = f.load() / f.block().targetLoad() - 1;
            double hours = (double) f.seconds() / f.block().targetSeconds() - 1;
            String said = new BoardFilling.Filled(
                            f.block(),
                            f.sessions(),
                            f.load(),
                            f.seconds(),
                            0,
                            pemblar.app.session.change.SketchService.Existing.AROUND)
                    .difference();
            assertThat(said.isEmpty())
                    .as(f.block().name() + " load " + load + ", hours " + hours + ": " + said)
                    .isEqualTo(Math.abs(load) <= 0.05 && Math.abs(hours) <= 0.05);
        }
    }

    @Test
    void thePlansForACoachToReadAreTheseBoards() throws IOException {
        StringBuilder text = new StringBuilder("""
                # Twenty-four boards to read

                Made by `PlansTest` from the shipped workouts, for an athlete with usual thresholds who trained two
                thirds of the hours for six weeks. Each is checked against the rules of a day plan (computation 11);
                here is what a coach would see: the second block, and the last two before the event.
                `-Dplans.write=true` on that test writes this page anew.
                """);
        setups().stream().limit(24).forEach(setup -> print(text, board(setup)));
        Path page = Path.of("..", "docs", "plans.md");
        if (Boolean.getBoolean("plans.write")) Files.writeString(page, text);
        assertThat(Files.readString(page)).isEqualTo(text.toString());
    }

    private static void print(StringBuilder text, Board board) {
        text.append("\n## ").append(board.setup()).append("\n\n");
        List<BlockFilling.Filled> before = board.blocks().stream()
                .filter(b -> b.block().first().isBefore(AIM))
                .toList();
        print(text, before.get(Math.min(1, before.size() - 1)));
        for (int i = Math.max(2, before.size() - 2); i < before.size(); i++) print(text, before.get(i));
    }

    private static void print(StringBuilder text, BlockFilling.Filled filled) {
        Block block = filled.block();
        text.append("**").append(block.name()).append("**, ").append(SHOWN.span(block.first(), block.last()));
        text.append(String.format(
                java.util.Locale.ROOT,
                ": load %d of %d, %s of %s%n%n",
                Math.round(filled.load()),
                Math.round(block.targetLoad()),
                SHOWN.duration(filled.seconds()),
                SHOWN.duration(block.targetSeconds())));
        text.append(filled.sessions().stream().map(PlansTest::line).collect(Collectors.joining("\n")));
        text.append("\n\n");
    }

    private static String line(Slotted s) {
        String what = s.chosen() == null
                ? s.sketch().title()
                : s.chosen().title() + ": `"
                        + ShorthandText.of(s.chosen().design().steps().orElseThrow()) + "`";
        return "- " + SHOWN.day(s.sketch().day()) + ", " + s.sketch().sport().key() + ", "
                + SHOWN.duration(s.sketch().seconds()) + ", "
                + Shown.word(s.sketch().purpose()) + ". " + what;
    }
}
