package pemblar.core.schedule;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import pemblar.core.season.Block.Phase;
import pemblar.core.sport.Sport;

/**
 * Puts sessions on the days of a block: hard ones first, 36 hours apart (or what the person keeps) or, when wished, in
 * pairs inside 24 hours; then the long one, then easy ones, with lengths such that the block comes to its load. At most
 * six days in seven are used.
 */
public final class DayPlan {
    private static final double HOURS_BETWEEN_HARD = 36;
    static final double HOURS_OF_A_STACK = 24;
    private static final int SHORTEST_HARD_MINUTES = 45;
    private static final int SHORTEST_LONG_MINUTES = 75;
    private static final double HARD_IN_SEVEN_DAYS = 2;
    private static final int CALM_DAYS_BEFORE_RACE = 2;
    private static final int MOST_DAYS_IN_A_WEEK = 6;
    private static final int DAYS_OF_REST_BEFORE_AIM = 3;
    private static final int LONG_RACE_SECONDS = 3 * 3600;
    private static final int SHARP_HARD_MINUTES = 35;
    private final Wish wish;
    private final List<Day> days;
    private final List<Fixed> fixed;
    private final List<Slot> slots = new ArrayList<>();

    /**
     * A day that can be trained.
     *
     * @param minutes 0 for a day that cannot
     * @param startMinute clock time at which its session begins, minutes since midnight
     */
    public record Day(LocalDate date, int minutes, int startMinute) {}

    /**
     * A session that stays as it is; those of the days around the block count for the distance between hard ones.
     *
     * @param legs strength work that is heavy on the legs: nothing hard in the 24 h after it
     */
    public record Fixed(
            LocalDate date, int startMinute, int seconds, double load, boolean hard, boolean race, boolean legs) {
        /** One that is not heavy on the legs. */
        public Fixed(LocalDate date, int startMinute, int seconds, double load, boolean hard, boolean race) {
            this(date, startMinute, seconds, load, hard, race, false);
        }

        boolean isTooSoonBefore(double hardStart) {
            double start = date.toEpochDay() * 24.0 + startMinute / 60.0;
            return legs && Spacing.isTooSoonAfterLegs(start, seconds / 3600.0, hardStart);
        }
    }

    /**
     * What a block is to be.
     *
     * @param load points of the whole block, fixed sessions included
     * @param longDay weekday of the long session, or null
     * @param stack hard sessions come in pairs on following days
     * @param leanTo what the hard sessions train first; empty leaves it to the phase
     * @param raceLike the long sessions hold efforts after hours where hard ones are far enough
     * @param aims days on which A events begin
     * @param hoursBetweenHard from the end of one hard session to the start of the next, as long as it mostly is
     */
    public record Wish(
            Phase phase,
            boolean easy,
            double load,
            DayOfWeek longDay,
            boolean stack,
            List<Purpose> leanTo,
            boolean raceLike,
            List<LocalDate> aims,
            double hoursBetweenHard) {
        public Wish {
            if (!(hoursBetweenHard >= 0 && hoursBetweenHard <= 168))
                throw new IllegalArgumentException("hoursBetweenHard must be in 0..168, was " + hoursBetweenHard);
            leanTo = List.copyOf(leanTo);
            aims = List.copyOf(aims);
        }

        /** Without A events near, and without race-like sessions. */
        public Wish(Phase phase, boolean easy, double load, DayOfWeek longDay, boolean stack, List<Purpose> leanTo) {
            this(phase, easy, load, longDay, stack, leanTo, false, List.of(), HOURS_BETWEEN_HARD);
        }
    }

    /** What is special about a session. */
    public enum Kind {
        PLAIN,
        /** Short, on the last days before an A event. */
        OPENER,
        /** A long one with efforts after hours, as the event has them. */
        RACE_LIKE
    }

    /**
     * A session to be: its day, its clock time, what it is for, its length.
     *
     * @param sport null for any
     * @param sharp of a taper: hard, but short
     */
    public record Slot(
            LocalDate date,
            int startMinute,
            Purpose purpose,
            int seconds,
            int mostSeconds,
            Sport sport,
            Kind kind,
            boolean sharp) {
        /** Of any sport, with nothing special about it. */
        public Slot(LocalDate date, int startMinute, Purpose purpose, int seconds, int mostSeconds) {
            this(date, startMinute, purpose, seconds, mostSeconds, null, Kind.PLAIN, false);
        }

        /** The same of another sport. */
        public Slot in(Sport other) {
            return new Slot(date, startMinute, purpose, seconds, mostSeconds, other, kind, sharp);
        }

        public double load() {
            return purpose.load(seconds);
        }

        Slot lasting(int newSeconds) {
            return new Slot(date, startMinute, purpose, newSeconds, mostSeconds, sport, kind, sharp);
        }

        /** Hours since the first day of the epoch. */
        double hour() {
            return date.toEpochDay() * 24.0 + startMinute / 60.0;
        }
    }

    private DayPlan(List<Day> days, List<Fixed> fixed, Wish wish) {
        this.days = days;
        this.fixed = fixed;
        this.wish = wish;
    }

    /**
     * Sessions for the days of one block, in order of time. What the days cannot hold is left out; compare the sum of
     * loads with what was wished.
     */
    public static List<Slot> of(List<Day> days, List<Fixed> fixed, Wish wish) {
        return of(days, fixed, wish, null);
    }

    /** @param shares which sport each session is of; null for any */
    public static List<Slot> of(List<Day> days, List<Fixed> fixed, Wish wish, SportShares shares) {
        DayPlan plan = new DayPlan(days, fixed, wish);
        plan.openers();
        plan.hard();
        plan.longOnes();
        plan.easyOnes();
        plan.slots.sort(Comparator.comparingDouble(Slot::hour));
        if (shares != null) plan.shareOut(shares);
        LocalDate first = days.isEmpty() ? LocalDate.MIN : days.get(0).date();
        LocalDate last =
                days.isEmpty() ? LocalDate.MIN : days.get(days.size() - 1).date();
        double fixedLoad = fixed.stream()
                .filter(f -> !f.race() && !f.date().isBefore(first) && !f.date().isAfter(last))
                .mapToDouble(Fixed::load)
                .sum();
        return Lengths.fit(plan.slots, wish.load() - fixedLoad).stream()
                .sorted(Comparator.comparingDouble(Slot::hour))
                .toList();
    }

    private void shareOut(SportShares shares) {
        List<Slot> shared = shares.assign(slots);
        slots.clear();
        slots.addAll(shared);
    }

    /** One short session on the eve of an A event, else on the day before that. */
    private void openers() {
        for (LocalDate aim : wish.aims())
            days.stream()
                    .filter(d -> d.date().equals(aim.minusDays(1)) || d.date().equals(aim.minusDays(2)))
                    .filter(this::isFree)
                    .max(Comparator.comparing(Day::date))
                    .ifPresent(d -> slots.add(new Slot(
                            d.date(),
                            d.startMinute(),
                            Purpose.SPRINTS,
                            0,
                            d.minutes() * 60,
                            null,
                            Kind.OPENER,
                            false)));
    }

    /** The last three days before an A event hold nothing but the opener. */
    private boolean isEveOfAim(Day day) {
        return wish.aims().stream()
                .anyMatch(aim ->
                        day.date().isBefore(aim) && !day.date().isBefore(aim.minusDays(DAYS_OF_REST_BEFORE_AIM)));
    }

    /** The day after a race of hours is for recovery. */
    private boolean isAfterLongRace(Day day) {
        return fixed.stream()
                .anyMatch(f -> f.race()
                        && f.seconds() > LONG_RACE_SECONDS
                        && f.date().plusDays(1).equals(day.date()));
    }

    private List<Purpose> kinds() {
        if (wish.phase() == Phase.RECOVERY) return List.of();
        if (wish.easy()) return List.of(Purpose.TEMPO);
        List<Purpose> usual = switch (wish.phase()) {
            case BASE -> List.of(Purpose.TEMPO, Purpose.SPRINTS);
            case BUILD -> List.of(Purpose.THRESHOLD, Purpose.INTERVALS);
            default -> List.of(Purpose.INTERVALS, Purpose.THRESHOLD);
        };
        if (wish.leanTo().isEmpty() || wish.phase() == Phase.BASE) return usual;
        List<Purpose> kinds = new ArrayList<>(wish.leanTo());
        for (Purpose purpose : usual) if (kinds.size() < 2 && !kinds.contains(purpose)) kinds.add(purpose);
        return kinds;
    }

    private void hard() {
        List<Purpose> kinds = kinds();
        if (kinds.isEmpty()) return;
        int wanted = wish.easy()
                ? Math.max(1, days.size() / 7)
                : (int) Math.max(1, Math.round(HARD_IN_SEVEN_DAYS * days.size() / 7));
        for (int k = 0; k < wanted; k++) {
            Purpose purpose = kinds.get(k % kinds.size());
            boolean second = wish.stack() && k % 2 == 1 && !slots.isEmpty();
            int anchor = k * days.size() / wanted;
            Optional<Day> day = second ? stacked(slots.get(slots.size() - 1)) : free(anchor, purpose);
            day.or(() -> second ? free(anchor, purpose) : Optional.empty()).ifPresent(d -> add(d, purpose));
        }
    }

    /** The best day for a hard session, from its turn in the block on, else before. */
    private Optional<Day> free(int anchor, Purpose purpose) {
        return days.stream()
                .filter(d -> d.minutes() >= (isSharp() ? SHARP_HARD_MINUTES : SHORTEST_HARD_MINUTES)
                        && isFree(d)
                        && !isEveOfAim(d)
                        && !isAfterLongRace(d)
                        && !isLongDay(d)
                        && !nearRace(d)
                        && farFromHard(d, purpose))
                .min(Comparator.comparingInt(d -> unfit(d, anchor)));
    }

    private int unfit(Day day, int anchor) {
        int late = days.indexOf(day) - anchor;
        int beforeLong = wish.longDay() != null && day.date().plusDays(1).getDayOfWeek() == wish.longDay() ? 3 : 0;
        return (late >= 0 ? 2 * late : 3 * -late) + beforeLong;
    }

    private Optional<Day> stacked(Slot first) {
        return days.stream()
                .filter(d -> d.minutes() >= SHORTEST_HARD_MINUTES
                        && isFree(d)
                        && !isEveOfAim(d)
                        && !isAfterLongRace(d)
                        && !nearRace(d)
                        && !d.date().equals(first.date()))
                .filter(d -> hour(d) - first.hour() > 0 && hour(d) - first.hour() <= HOURS_OF_A_STACK)
                .filter(d -> hardBut(first).stream().allMatch(h -> isFar(h, span(d, first.purpose()))))
                .findFirst();
    }

    private static double hour(Day day) {
        return day.date().toEpochDay() * 24.0 + day.startMinute() / 60.0;
    }

    /** When hard sessions lie so far. @param but this one; null for all */
    private List<Spacing.Span> hardBut(Slot but) {
        List<Spacing.Span> spans = new ArrayList<>();
        for (Slot s : slots)
            if (s.purpose().isHard() && s != but) spans.add(span(s.hour(), usualSeconds(s.purpose(), s.mostSeconds())));
        for (Fixed f : fixed)
            if (f.hard()) spans.add(span(f.date().toEpochDay() * 24.0 + f.startMinute() / 60.0, f.seconds()));
        return spans;
    }

    private static Spacing.Span span(Day day, Purpose purpose) {
        return span(hour(day), usualSeconds(purpose, day.minutes() * 60));
    }

    private static Spacing.Span span(double start, int seconds) {
        return new Spacing.Span(start, start + seconds / 3600.0);
    }

    private static int usualSeconds(Purpose purpose, int mostSeconds) {
        return Math.min(mostSeconds, Lengths.usualSeconds(purpose));
    }

    private boolean isFar(Spacing.Span one, Spacing.Span other) {
        return !Spacing.isNear(one.hoursTo(other), wish.hoursBetweenHard());
    }

    private boolean farFromHard(Day day, Purpose purpose) {
        return !purpose.isHard()
                || hardBut(null).stream().allMatch(h -> isFar(h, span(day, purpose)))
                        && fixed.stream().noneMatch(f -> f.isTooSoonBefore(hour(day)));
    }

    private boolean isFree(Day day) {
        return day.minutes() > 0
                && slots.stream().noneMatch(s -> s.date().equals(day.date()))
                && fixed.stream().noneMatch(f -> f.date().equals(day.date()));
    }

    private boolean isLongDay(Day day) {
        return day.date().getDayOfWeek() == wish.longDay() && hasLong();
    }

    private boolean isSharp() {
        return wish.phase() == Phase.TAPER;
    }

    private boolean hasLong() {
        return wish.phase() != Phase.TAPER && wish.phase() != Phase.RECOVERY;
    }

    private boolean nearRace(Day day) {
        return fixed.stream()
                .anyMatch(f -> f.race()
                        && !f.date().isBefore(day.date())
                        && f.date().toEpochDay() - day.date().toEpochDay() <= CALM_DAYS_BEFORE_RACE);
    }

    private void longOnes() {
        if (!hasLong()) return;
        for (Day day : days)
            if (isLongDay(day)
                    && isFree(day)
                    && day.minutes() >= SHORTEST_LONG_MINUTES
                    && !isEveOfAim(day)
                    && !isAfterLongRace(day)
                    && !nearRace(day)) addLong(day);
    }

    private void addLong(Day day) {
        boolean raceLike = wish.raceLike() && !wish.easy() && farFromHard(day, Purpose.RACE);
        slots.add(new Slot(
                day.date(),
                day.startMinute(),
                Purpose.LONG,
                0,
                day.minutes() * 60,
                null,
                raceLike ? Kind.RACE_LIKE : Kind.PLAIN,
                false));
    }

    /**
     * Easy sessions on the other days; a day after a hard one is for recovery; every seventh day in a row stays free.
     */
    private void easyOnes() {
        for (Day day : days) {
            if (!isFree(day) || isEveOfAim(day)) continue;
            boolean afterHard = isAfterLongRace(day)
                    || slots.stream()
                            .anyMatch(s ->
                                    s.purpose().isHard() && s.date().plusDays(1).equals(day.date()));
            add(day, afterHard ? Purpose.RECOVERY : Purpose.EASY);
        }
        for (int from = 0; from < days.size(); from += 7) rest(days.subList(from, Math.min(days.size(), from + 7)));
    }

    private void rest(List<Day> week) {
        LocalDate first = week.get(0).date();
        LocalDate last = week.get(week.size() - 1).date();
        List<Slot> inside = slots.stream()
                .filter(s -> !s.date().isBefore(first) && !s.date().isAfter(last))
                .toList();
        long used = inside.size()
                + fixed.stream()
                        .filter(f -> !f.date().isBefore(first) && !f.date().isAfter(last))
                        .map(Fixed::date)
                        .distinct()
                        .count();
        if (used <= MOST_DAYS_IN_A_WEEK) return;
        inside.stream()
                .filter(s -> s.purpose() == Purpose.RECOVERY || s.purpose() == Purpose.EASY)
                .min(Comparator.comparingInt(s -> s.date().minusDays(1).getDayOfWeek() == wish.longDay()
                        ? 0
                        : s.purpose() == Purpose.RECOVERY ? 1 : 2))
                .ifPresent(slots::remove);
    }

    private void add(Day day, Purpose purpose) {
        boolean sharp = purpose.isHard() && isSharp();
        slots.add(new Slot(day.date(), day.startMinute(), purpose, 0, day.minutes() * 60, null, Kind.PLAIN, sharp));
    }
}
