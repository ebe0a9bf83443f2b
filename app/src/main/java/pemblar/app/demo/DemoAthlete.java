package pemblar.app.demo;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Random;
import pemblar.app.season.EventPart;
import pemblar.app.season.SeasonEvent;
import pemblar.app.season.SeasonEvent.After;
import pemblar.app.season.SeasonEvent.EventDemand;
import pemblar.app.season.SeasonEvent.Unit;
import pemblar.app.season.SeasonSettings;
import pemblar.benchunit.Body;
import pemblar.benchunit.Faults;
import pemblar.core.season.Aim;
import pemblar.core.season.Block;
import pemblar.core.season.Priority;
import pemblar.core.sport.Sport;

/**
 * One invented athlete over two and a half years. Days are counted from the day of loading, so that it always lies
 * inside the plan. What the body can do rises over the seasons; what is known of it follows some weeks later.
 */
public record DemoAthlete(
        String name,
        String email,
        List<Sport> sports,
        String zone,
        double watts,
        double metresPerSecond,
        double restingBpm,
        double maximumBpm,
        double kilograms,
        int blockDays,
        int blocksBetweenEasy,
        int easyDays,
        String lastEvent,
        String bEvent,
        String aEvent,
        int seed) {
    /** Threshold speed in water, m/s. */
    static final double SWIM_SPEED = 1.12;
    /** Days between the two swims of a test. */
    static final int SWIM_TEST = -20;

    static final int FIRST_DAY = -740;
    static final int LAST_A = -330;
    static final int CLUB_RACE = -40;
    static final int NEXT_A = 66;
    static final int NEXT_B = 24;
    public static final int ILL_FROM = -128;
    public static final int ILL_TO = -119;
    static final int LEFT_RUNNING = -11;
    static final int DAYS_BETWEEN_TESTS = 77;
    /** Tested, and not adopted yet. */
    static final int LATEST_TEST = -12;

    public boolean rides() {
        return sports.contains(Sport.RIDE);
    }

    boolean runs() {
        return sports.contains(Sport.RUN);
    }

    boolean swims() {
        return sports.contains(Sport.SWIM);
    }

    public boolean isMixed() {
        return sports.size() > 1;
    }

    /** The sport of the events: several at once are none of them. */
    /** The triathlete's event is told part by part. */
    List<EventPart> parts() {
        return swims()
                ? List.of(
                        new EventPart(1, Sport.SWIM, 1500.0, 30 * 60, null),
                        new EventPart(1, Sport.RIDE, 40_000.0, 76 * 60, null),
                        new EventPart(1, Sport.RUN, 10_000.0, 48 * 60, null))
                : List.of();
    }

    Sport raceSport() {
        return rides() ? Sport.RIDE : sports.get(0);
    }

    /** A race as the recordings hold it: 55 min at threshold on wheels, ten kilometres on foot. */
    SeasonEvent race(LocalDate day, String name, Priority priority) {
        return new SeasonEvent(
                0,
                day,
                1,
                name,
                priority,
                SeasonEvent.Kind.RACE,
                raceSport(),
                rides() ? null : (Double) 10_000.0,
                rides() ? 3300 : 2640,
                List.of());
    }

    Sport eventSport() {
        return isMixed() ? Sport.OTHER : sports.get(0);
    }

    private static boolean isSwimDay(LocalDate date) {
        return date.getDayOfWeek() == DayOfWeek.MONDAY || date.getDayOfWeek() == DayOfWeek.THURSDAY;
    }

    /** Share of the final ability that the body has on a day. */
    double ability(int day) {
        double seasons = 0.88 + 0.12 * (day - FIRST_DAY) / (double) (NEXT_A - FIRST_DAY);
        double sharpness = 0.02 * Math.cos(2 * Math.PI * (day - NEXT_A) / (NEXT_A - LAST_A));
        double illness = day >= ILL_FROM && day < ILL_TO + 20 ? -0.03 : 0;
        return seasons + sharpness + illness;
    }

    Body body(Sport what, int day) {
        double fit = ability(day);
        return new Body(
                what,
                watts * fit,
                21_000 * fit,
                (what == Sport.SWIM ? SWIM_SPEED : metresPerSecond) * fit,
                restingBpm,
                maximumBpm,
                kilograms);
    }

    static Block.Phase phase(int day) {
        int next = day <= LAST_A ? LAST_A : NEXT_A;
        int before = next - day;
        if (day > LAST_A && day <= LAST_A + 21 || day > NEXT_A) return Block.Phase.RECOVERY;
        if (before <= 11) return Block.Phase.TAPER;
        if (before <= 28) return Block.Phase.PEAK;
        return before <= 98 ? Block.Phase.BUILD : Block.Phase.BASE;
    }

    /** How much is trained, 1 is an ordinary week of the build. */
    static double amount(int day, boolean easy) {
        double phase = switch (phase(day)) {
            case BASE -> 0.85;
            case BUILD -> 1.0;
            case PEAK -> 1.02;
            case TAPER -> 0.55;
            case RECOVERY -> 0.45;
        };
        double years = 0.88 + 0.12 * (day - FIRST_DAY) / (double) -FIRST_DAY;
        return phase * years * (easy ? 0.62 : 1);
    }

    /** Title of what is planned on a day; empty for rest. */
    String planned(LocalDate date, int day, boolean easy) {
        DayOfWeek weekday = date.getDayOfWeek();
        if (day == LAST_A || day == CLUB_RACE || day == NEXT_B || day == NEXT_A)
            return rides() ? "Race ride" : "Race run";
        if (isTest(day)) return testTitle();
        if (isTest(day - 2) && rides()) return "Twenty minutes all-out";
        boolean base = phase(day) == Block.Phase.BASE;
        boolean odd = (date.toEpochDay() / 7) % 2 == 0;
        boolean running = !rides() || isMixed() && (weekday == DayOfWeek.WEDNESDAY || weekday == DayOfWeek.SATURDAY);
        if (easy && weekday == DayOfWeek.THURSDAY) return "";
        return switch (weekday) {
            case TUESDAY ->
                running
                        ? base ? "Threshold blocks" : "Eight hundreds"
                        : base
                                ? odd ? "Two by twenty" : "Seated and standing"
                                : odd ? "Five by four, hard" : "Over and under";
            case WEDNESDAY -> running ? "Easy loop" : "Easy spin";
            case THURSDAY ->
                isMixed()
                        ? "Easy lengths"
                        : running
                                ? odd ? "Strides" : "Steady by heart"
                                : base ? "Sprints in endurance" : "Two by twenty";
            case SATURDAY -> running ? "Steady by heart" : "Steady valley road";
            case SUNDAY -> running ? "Long run with changes" : "Long, firm at the end";
            case MONDAY -> !isMixed() || easy ? "" : odd ? "Hundreds, even" : "Four hundreds";
            default -> "";
        };
    }

    /** A day on which what the body can do is tested; from it the new values hold. */
    static boolean isTest(int day) {
        return (day - FIRST_DAY) % DAYS_BETWEEN_TESTS == 0 || day == LATEST_TEST;
    }

    String testTitle() {
        return rides() ? "Two all-out efforts" : "Half-hour trial";
    }

    int startMinute(LocalDate date) {
        if (isMixed() && isSwimDay(date)) return 6 * 60 + 45;
        boolean weekend = date.getDayOfWeek().getValue() >= 6;
        return weekend ? 9 * 60 : 17 * 60 + 40;
    }

    boolean isMissed(int day, Random random) {
        boolean lately = isMixed() && day >= -3;
        return lately
                || day >= ILL_FROM && day <= ILL_TO
                || random.nextDouble() < 0.06 && !isTest(day) && day != CLUB_RACE;
    }

    static Faults faults(int day, LocalDate date, Random random) {
        double heat = Math.max(0, Math.cos(Math.PI * (date.getDayOfYear() - 200) / 183.0));
        int home = day == LEFT_RUNNING && !isSwimDay(date) ? 1500 : 0;
        boolean cut = random.nextDouble() < 0.04 && !isTest(day);
        return new Faults(
                cut ? 1500 + random.nextInt(1200) : 0,
                home,
                random.nextDouble() < 0.03,
                random.nextDouble() < 0.03,
                heat);
    }

    /** What the next A event asks for: in watts per kilogram, or by pace. */
    List<EventDemand> demands() {
        if (!rides())
            return List.of(
                    new EventDemand(600, Unit.SPEED, Math.rint(metresPerSecond * 104) / 100, After.FRESH, 0, ""),
                    new EventDemand(2400, Unit.SPEED, Math.rint(metresPerSecond * 96) / 100, After.TIME, 3600, ""));
        double perKilogram = watts / kilograms;
        return List.of(
                new EventDemand(300, Unit.WATTS_PER_KG, rounded(perKilogram * 1.22), After.FRESH, 0, ""),
                new EventDemand(300, Unit.WATTS_PER_KG, rounded(perKilogram * 1.12), After.WORK, 1_500_000, ""),
                new EventDemand(1200, Unit.WATTS_PER_KG, rounded(perKilogram * 0.98), After.FRESH, 0, ""),
                new EventDemand(15, Unit.WATTS, Math.rint(watts * 2.6 / 10) * 10, After.TIME, 7200, ""));
    }

    private static double rounded(double value) {
        return Math.rint(value * 100) / 100;
    }

    SeasonSettings settings() {
        return new SeasonSettings(
                null,
                Aim.Kind.CHRONIC_LOAD,
                rides() ? 68 : 52,
                blockDays,
                blocksBetweenEasy + 1,
                false,
                easyDays,
                5,
                12,
                List.of(0, 90, 60, 90, 0, 120, 240),
                DayOfWeek.SUNDAY,
                false,
                Map.of());
    }

    /** A week with little time, some weeks ahead. */
    SeasonSettings.Away away(LocalDate today) {
        return new SeasonSettings.Away(today.plusDays(33), today.plusDays(38), 3, "work trip");
    }
}
