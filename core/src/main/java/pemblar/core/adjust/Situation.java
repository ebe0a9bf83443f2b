package pemblar.core.adjust;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import pemblar.core.load.LoadTrend;
import pemblar.core.season.Block.Phase;
import pemblar.core.season.Event;

/**
 * All that a proposal may rest on.
 *
 * @param chronic this morning's, of yesterday's evening; {@code acute} likewise: today's sessions are ahead
 * @param chronicPast the seven evenings up to yesterday's, oldest first
 */
public record Situation(
        LocalDate today,
        double chronic,
        double acute,
        List<Double> chronicPast,
        LoadTrend.Settings trend,
        List<Behind> behind,
        List<Session> ahead,
        List<Target> blocks,
        List<Coming> events,
        Limits limits,
        List<Checkin> checkins,
        List<Away> away,
        List<Threshold> thresholds,
        List<Weather> weather) {
    private static final int FRESH_DAYS = 3;

    public Situation {
        chronicPast = List.copyOf(chronicPast);
        if (chronicPast.size() != 7)
            throw new IllegalArgumentException("chronicPast must have 7 values, has " + chronicPast.size());
        behind = List.copyOf(behind);
        ahead = List.copyOf(ahead);
        blocks = List.copyOf(blocks);
        events = List.copyOf(events);
        checkins = List.copyOf(checkins);
        away = List.copyOf(away);
        thresholds = List.copyOf(thresholds);
        weather = List.copyOf(weather);
    }

    /**
     * A session whose day has come.
     *
     * @param done what was done of it; empty when it was missed
     * @param lowestReserve J, when known
     * @param beaten its key targets were beaten
     * @param unplanned nobody had planned it: it was done, and it was never asked
     */
    public record Behind(
            Session planned, Optional<Done> done, OptionalDouble lowestReserve, boolean beaten, boolean unplanned) {
        public Behind {
            if (unplanned && done.isEmpty())
                throw new IllegalArgumentException("neither planned nor done: " + planned.id());
        }

        public Behind(Session planned, Optional<Done> done, OptionalDouble lowestReserve, boolean beaten) {
            this(planned, done, lowestReserve, beaten, false);
        }

        public boolean isMissed() {
            return done.isEmpty();
        }
    }

    public record Done(double load, double hours) {}

    /** A block: its target, and what has been done in it when known. */
    public record Target(LocalDate first, int days, Phase phase, double load, double hours, OptionalDouble done) {
        public LocalDate last() {
            return first.plusDays(days - 1L);
        }

        public boolean contains(LocalDate day) {
            return !day.isBefore(first) && !day.isAfter(last());
        }
    }

    /** An event ahead; {@code movedFrom} is the day before it was moved. */
    public record Coming(Event event, Optional<LocalDate> movedFrom, boolean added) {}

    /**
     * The person's own.
     *
     * @param highestCelsius no outdoor session above it; NaN: no such limit
     * @param ice sessions on ice are wanted
     * @param easing how the return after illness or injury begins
     * @param weekdayHours what a Monday to a Sunday holds at most before a session is moved there; empty: as any day
     */
    public record Limits(
            double buildRate,
            double hoursPerDay,
            double spacingHours,
            double balanceFloor,
            double highestCelsius,
            boolean ice,
            Easing easing,
            List<Double> weekdayHours) {
        public static final Limits USUAL = new Limits(5, 4, 36, -30, Double.NaN, true);

        public Limits {
            weekdayHours = List.copyOf(weekdayHours);
            if (!weekdayHours.isEmpty() && weekdayHours.size() != 7)
                throw new IllegalArgumentException("weekdayHours must have 7 values, has " + weekdayHours.size());
        }

        /** With the usual return, every weekday alike. */
        public Limits(
                double buildRate,
                double hoursPerDay,
                double spacingHours,
                double balanceFloor,
                double highestCelsius,
                boolean ice) {
            this(buildRate, hoursPerDay, spacingHours, balanceFloor, highestCelsius, ice, Easing.USUAL, List.of());
        }

        double hoursOf(LocalDate day) {
            return weekdayHours.isEmpty()
                    ? hoursPerDay
                    : Math.min(hoursPerDay, weekdayHours.get(day.getDayOfWeek().getValue() - 1));
        }
    }

    /**
     * The return after n days of illness or injury: on its day i at most chronic x (share + (1 - share) x i / n), and
     * nothing hard before day max(2, n x hardAfter). A rule of ours, to be changed by the person.
     *
     * @param share of chronic load from which the return rises to all of it, 0..1
     * @param hardAfter share of the days away that have to pass again before anything hard, 0..2
     */
    public record Easing(double share, double hardAfter) {
        public static final Easing USUAL = new Easing(0.5, 0.5);

        public Easing {
            if (!(share >= 0 && share <= 1)) throw new IllegalArgumentException("share must be in 0..1, was " + share);
            if (!(hardAfter >= 0 && hardAfter <= 2))
                throw new IllegalArgumentException("hardAfter must be in 0..2, was " + hardAfter);
        }
    }

    /** NaN is not said; illness and injury in a few words, empty when there is none. */
    public record Checkin(
            LocalDate day, double restingHeartRate, double rmssd, double soreness, String illness, String injury) {}

    /** Why somebody is away. */
    public enum Reason {
        TRAVEL,
        ILLNESS,
        INJURY,
        WORK;

        /** After these the return is eased. */
        public boolean easesReturn() {
            return this == ILLNESS || this == INJURY;
        }
    }

    /** Days that can't be trained, or only for so many hours a week. @param sport the only one then; empty: any */
    public record Away(LocalDate first, LocalDate last, Reason reason, double hoursPerWeek, String sport) {
        public Away(LocalDate first, LocalDate last, Reason reason, double hoursPerWeek) {
            this(first, last, reason, hoursPerWeek, "");
        }

        boolean allows(Session session) {
            return sport.isEmpty() || sport.equals(session.sport());
        }

        public boolean contains(LocalDate day) {
            return !day.isBefore(first) && !day.isAfter(last);
        }

        public int days() {
            return (int) (last.toEpochDay() - first.toEpochDay()) + 1;
        }
    }

    public record Threshold(String sport, String quantity, LocalDate from, double value) {}

    /** NaN is not known. */
    public record Weather(LocalDate day, double celsius, boolean ice) {}

    /** The next A event that has not begun; empty without one. */
    public Optional<Event> nextAim() {
        return events.stream()
                .map(Coming::event)
                .filter(e -> e.priority() == pemblar.core.season.Priority.A
                        && e.day().isAfter(today))
                .min(java.util.Comparator.comparing(Event::day));
    }

    /** The same with other events. */
    Situation withEvents(List<Coming> others) {
        return new Situation(
                today,
                chronic,
                acute,
                chronicPast,
                trend,
                behind,
                ahead,
                blocks,
                others,
                limits,
                checkins,
                away,
                thresholds,
                weather);
    }

    /** Nothing hard or long is put there: the days before the next A event, and the eve of a B event. */
    boolean isKeptFresh(LocalDate day) {
        return nextAim()
                        .filter(e -> !day.isBefore(e.day().minusDays(FRESH_DAYS)) && !day.isAfter(e.last()))
                        .isPresent()
                || events.stream()
                        .map(Coming::event)
                        .anyMatch(e -> e.priority() == pemblar.core.season.Priority.B
                                && day.equals(e.day().minusDays(1)));
    }

    boolean isEventDay(LocalDate day) {
        return events.stream().map(Coming::event).anyMatch(e -> !day.isBefore(e.day()) && !day.isAfter(e.last()));
    }

    Optional<Away> awayOn(LocalDate day) {
        return away.stream().filter(a -> a.contains(day)).findFirst();
    }

    /** True when a session outdoors would be beyond what the person wants. */
    boolean isForbidden(LocalDate day) {
        return weather.stream()
                .anyMatch(w ->
                        w.day().equals(day) && (w.ice() && !limits.ice() || w.celsius() > limits.highestCelsius()));
    }
}
