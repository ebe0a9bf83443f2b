package pemblar.app.planner.setup;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import pemblar.app.frame.page.Shown;
import pemblar.app.session.reading.SessionService.Whole;
import pemblar.core.sport.Measure;
import pemblar.core.sport.Sport;
import pemblar.core.workout.Forecast;
import pemblar.core.workout.Workout;
import pemblar.core.zone.DatedZones;

/**
 * Time in zones of some sessions, by sport and quantity: the second zone of power in one sport is not that of pace in
 * another, so they are never added.
 */
public record ZoneTimes(Map<Of, List<Integer>> seconds) {
    /** Whose zones, in what. */
    public record Of(Sport sport, Measure measure) {
        /** As “riding, power”. */
        public String words() {
            String by = measure == Measure.SPEED && sport.speed().isPace() ? "pace" : Shown.word(measure);
            return sport.doing() + ", " + by;
        }
    }

    /** A share of the time, in percent from the left. */
    public record Share(int zone, double x, double width, int seconds) {}

    /** Sessions that are over by their recordings, those ahead by their steps; one quantity for each session. */
    public static ZoneTimes of(List<Whole> sessions, java.time.LocalDate today, DatedZones values) {
        Map<Of, List<Integer>> sums = new LinkedHashMap<>();
        for (Whole session : sessions)
            told(session, today, values).ifPresent(told -> sums.merge(told.of(), told.seconds(), ZoneTimes::plus));
        return new ZoneTimes(sums);
    }

    private record Told(Of of, List<Integer> seconds) {}

    private static Optional<Told> told(Whole session, java.time.LocalDate today, DatedZones values) {
        if (session.slab().done() != null) return recorded(session);
        return session.slab().day().isBefore(today) ? Optional.empty() : planned(session, values);
    }

    /** The sport's own quantity, else heart rate. */
    private static Optional<Told> recorded(Whole session) {
        Sport sport = session.slab().sport();
        Measure measure = session.zones().containsKey(sport.ownMeasure()) ? sport.ownMeasure() : Measure.HEART_RATE;
        List<Integer> seconds = session.zones().getOrDefault(measure, List.of());
        return seconds.isEmpty() ? Optional.empty() : Optional.of(new Told(new Of(sport, measure), seconds));
    }

    /** Empty without steps, or when a threshold is missing. */
    private static Optional<Told> planned(Whole session, DatedZones values) {
        Workout workout = session.workout().orElse(null);
        if (workout == null) return Optional.empty();
        try {
            var zones = values.on(session.slab().day());
            List<Integer> seconds = Forecast.of(workout, zones).secondsInZones(zones, workout);
            Of of = new Of(workout.sport(), workout.basis().measure());
            return seconds.isEmpty() ? Optional.empty() : Optional.of(new Told(of, seconds));
        } catch (IllegalArgumentException e) {
            return Optional.empty();
        }
    }

    private static List<Integer> plus(List<Integer> a, List<Integer> b) {
        return IntStream.range(0, Math.max(a.size(), b.size()))
                .mapToObj(z -> (z < a.size() ? a.get(z) : 0) + (z < b.size() ? b.get(z) : 0))
                .toList();
    }

    /** Zones with some time in them, in order; empty for a quantity that none of the sessions has. */
    public List<Share> shares(Of of) {
        List<Integer> all = seconds.getOrDefault(of, List.of());
        double total = all.stream().mapToInt(Integer::intValue).sum();
        List<Share> shares = new ArrayList<>();
        double x = 0;
        for (int z = 0; z < all.size() && total > 0; z++) {
            if (all.get(z) == 0) continue;
            double width = 100 * all.get(z) / total;
            shares.add(new Share(z + 1, x, width, all.get(z)));
            x += width;
        }
        return shares;
    }
}
