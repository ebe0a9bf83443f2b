package pemblar.core.adjust;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import pemblar.core.adjust.Situation.Target;
import pemblar.core.schedule.Spacing;
import pemblar.core.season.Event;

/** The load trend over the days ahead with some plan: by the same recursion as everywhere. Index 0 is today. */
final class Foresight {
    static final int FLOOR_DAYS = 14;
    private static final int LEAST_DAYS = 15;
    private static final int MOST_DAYS = 1100;
    private static final int WEEK = 7;
    private static final double DUST = 1e-9;
    private static final double SLIGHT = 0.1;
    private final Situation s;
    private final Plan plan;
    private final int aim;
    private final double[] chronic;
    private final double[] acute;
    private final double[] trained;
    private final double[] idle;

    Foresight(Situation s, Plan plan) {
        this.s = s;
        this.plan = plan;
        LocalDate morning = plan.nextAim(s.today()).map(Event::day).orElseGet(() -> dayAfterLast(plan));
        this.aim = (int)
                Math.max(1, Math.min(MOST_DAYS, morning.toEpochDay() - s.today().toEpochDay()));
        int days = Math.max(LEAST_DAYS, aim + 1);
        double[] training = new double[days];
        double[] events = new double[days];
        fill(training, events);
        this.chronic = new double[days + 1];
        this.acute = new double[days + 1];
        this.trained = new double[days + WEEK];
        this.idle = new double[days + WEEK];
        run(training, events);
    }

    private LocalDate dayAfterLast(Plan of) {
        return of.sessions().stream()
                .map(Session::day)
                .max(LocalDate::compareTo)
                .map(d -> d.plusDays(1))
                .orElse(s.today().plusDays(1));
    }

    private void fill(double[] training, double[] events) {
        for (Session session : plan.sessions()) add(training, session.day(), session.load());
        for (Situation.Coming coming : plan.events())
            for (int i = 0; i < coming.event().days(); i++)
                add(events, coming.event().day().plusDays(i), coming.event().loadOn(i));
        for (Target block : plan.blocks()) if (isEmpty(block)) spread(training, block);
    }

    private void add(double[] loads, LocalDate day, double load) {
        long index = day.toEpochDay() - s.today().toEpochDay();
        if (index >= 0 && index < loads.length) loads[(int) index] += load;
    }

    /** Nothing was planned in it before the changes, and nothing is after them. */
    private boolean isEmpty(Target block) {
        boolean before = s.ahead().stream().anyMatch(a -> block.contains(a.day()))
                || s.behind().stream()
                        .anyMatch(b ->
                                !b.unplanned() && block.contains(b.planned().day()));
        return !before && plan.sessions().stream().noneMatch(a -> block.contains(a.day()));
    }

    private void spread(double[] training, Target block) {
        List<LocalDate> days = block.first()
                .datesUntil(block.last().plusDays(1))
                .filter(d -> !plan.isEventDay(d)
                        && s.awayOn(d).filter(a -> a.hoursPerWeek() <= 0).isEmpty())
                .toList();
        for (LocalDate day : days) add(training, day, block.load() / days.size());
    }

    private void run(double[] training, double[] events) {
        double keepChronic = Math.exp(-1 / s.trend().chronicDays());
        double keepAcute = Math.exp(-1 / s.trend().acuteDays());
        chronic[0] = s.chronic();
        acute[0] = s.acute();
        for (int i = 0; i < WEEK; i++) trained[i] = idle[i] = s.chronicPast().get(i);
        for (int i = 0; i < training.length; i++) {
            chronic[i + 1] = chronic[i] * keepChronic + (training[i] + events[i]) * (1 - keepChronic);
            acute[i + 1] = acute[i] * keepAcute + (training[i] + events[i]) * (1 - keepAcute);
            trained[i + WEEK] = trained[i + WEEK - 1] * keepChronic + training[i] * (1 - keepChronic);
            idle[i + WEEK] = idle[i + WEEK - 1] * keepChronic;
        }
    }

    /** Chronic load on the morning of a day ahead. */
    double chronicOn(LocalDate day) {
        int index = (int) Math.max(
                0, Math.min(chronic.length - 1L, day.toEpochDay() - s.today().toEpochDay()));
        return chronic[index];
    }

    /** Chronic load of each evening from yesterday's to the eve of the aim. */
    List<Double> chronicLine() {
        List<Double> line = new ArrayList<>();
        for (int i = 0; i <= aim; i++) line.add(chronic[i]);
        return line;
    }

    Effect effect() {
        double lowest = Double.POSITIVE_INFINITY;
        for (int i = 1; i <= aim; i++) lowest = Math.min(lowest, chronic[i] - acute[i]);
        double highest = Double.NEGATIVE_INFINITY;
        for (int i = 1; i < Math.max(2, aim); i++) highest = Math.max(highest, build(i));
        return new Effect(chronic[aim], chronic[aim] - acute[aim], lowest, highest);
    }

    private double build(int day) {
        return trained[day + WEEK] - trained[day];
    }

    /** The lowest balance of the next 14 mornings, to that of the event at most. */
    double lowestSoon() {
        double lowest = Double.POSITIVE_INFINITY;
        for (int i = 1; i <= lastForFloor(); i++) lowest = Math.min(lowest, chronic[i] - acute[i]);
        return lowest;
    }

    /**
     * The first day from tomorrow to the eve of the aim on which the build rate is over its limit by as much as can be
     * seen; days that are so without any load do not count.
     */
    Optional<LocalDate> overBuilt() {
        for (int i = 1; i < aim; i++) {
            boolean excused = idle[i + WEEK] - idle[i] > s.limits().buildRate() + DUST;
            if (!excused && build(i) > s.limits().buildRate() + SLIGHT)
                return Optional.of(s.today().plusDays(i));
        }
        return Optional.empty();
    }

    /**
     * The first day ahead that breaks the build rate in its evening or the floor in its morning, as the limits count
     * them.
     */
    Optional<LocalDate> firstBroken() {
        for (int i = 1; i < acute.length; i++)
            if (isBroken(s.today().plusDays(i))) return Optional.of(s.today().plusDays(i));
        return Optional.empty();
    }

    boolean isBroken(LocalDate day) {
        int i = (int) (day.toEpochDay() - s.today().toEpochDay());
        if (i <= lastForFloor() && chronic[i] - acute[i] < s.limits().balanceFloor() - DUST) return true;
        return i < aim
                && idle[i + WEEK] - idle[i] <= s.limits().buildRate() + DUST
                && build(i) > s.limits().buildRate() + DUST;
    }

    /** How far the build rate is over its limit at the most. */
    double overBuilding() {
        return overBuildingByDay().values().stream().mapToDouble(by -> by).max().orElse(0);
    }

    /** Evenings on which the build rate is over its limit, and by how much; not where it is so without any load. */
    Map<LocalDate, Double> overBuildingByDay() {
        Map<LocalDate, Double> over = new HashMap<>();
        for (int i = 1; i < aim; i++)
            if (idle[i + WEEK] - idle[i] <= s.limits().buildRate() + DUST
                    && build(i) > s.limits().buildRate() + DUST)
                over.put(s.today().plusDays(i), build(i) - s.limits().buildRate());
        return over;
    }

    /** Mornings under the floor, of those that count for it, and by how much. */
    Map<LocalDate, Double> underFloorByDay() {
        Map<LocalDate, Double> under = new HashMap<>();
        for (int i = 1; i <= lastForFloor(); i++) {
            double missing = s.limits().balanceFloor() - (chronic[i] - acute[i]);
            if (missing > DUST) under.put(s.today().plusDays(i), missing);
        }
        return under;
    }

    private int lastForFloor() {
        return plan.nextAim(s.today()).isPresent() ? Math.min(FLOOR_DAYS, aim) : FLOOR_DAYS;
    }

    Set<Broken> broken() {
        Set<Broken> broken = EnumSet.noneOf(Broken.class);
        if (effect().highestBuild() > s.limits().buildRate() + DUST) broken.add(Broken.BUILD_RATE);
        if (lowestSoon() < s.limits().balanceFloor() - DUST) broken.add(Broken.BALANCE);
        if (plan.sessions().stream().anyMatch(a -> hoursOn(a.day()) > s.limits().hoursPerDay() + DUST))
            broken.add(Broken.HOURS);
        if (Spacing.isNear(closest(), s.limits().spacingHours())) broken.add(Broken.SPACING);
        if (plan.sessions().stream().anyMatch(a -> Weathers.isOutdoors(a) && s.isForbidden(a.day())))
            broken.add(Broken.WEATHER);
        return broken;
    }

    double hoursOn(LocalDate day) {
        return plan.sessions().stream()
                .filter(a -> a.day().equals(day))
                .mapToDouble(Session::hours)
                .sum();
    }

    /**
     * Hours from the end of one hard session to the start of the next, the least there is; what was done hard counts.
     */
    double closest() {
        List<Session> hard = hardInOrder();
        double closest = Double.POSITIVE_INFINITY;
        for (int i = 1; i < hard.size(); i++) {
            if (hard.get(i).day().isBefore(s.today())) continue;
            closest = Math.min(closest, hard.get(i - 1).hoursTo(hard.get(i)));
        }
        return closest;
    }

    /** Hard sessions by their start: those done, as long as they took, and those ahead. */
    List<Session> hardInOrder() {
        List<Session> hard = new ArrayList<>();
        for (Situation.Behind b : s.behind())
            if (b.planned().hard() && b.done().isPresent())
                hard.add(b.planned()
                        .swapped(b.done().get().load(), b.done().get().hours(), true));
        for (Session a : plan.sessions()) if (a.hard()) hard.add(a);
        hard.sort(java.util.Comparator.comparing(Session::start));
        return hard;
    }
}
