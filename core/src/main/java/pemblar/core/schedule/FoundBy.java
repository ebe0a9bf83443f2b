package pemblar.core.schedule;

import java.util.Locale;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import pemblar.core.sport.Measure;
import pemblar.core.sport.Sport;
import pemblar.core.workout.Forecast;
import pemblar.core.workout.PlannedStep;
import pemblar.core.zone.ZoneSet;
import pemblar.core.zone.Zones;

/**
 * The words by which somebody would look for a workout that do not stand in it: what it is for, and the zones that it
 * spends some time in, by number and by name.
 */
public final class FoundBy {
    private static final double LEAST_SECONDS = 120;

    private FoundBy() {}

    /**
     * Lower case; the purpose, and for each zone as z4 and as threshold; the highest zone counts however short it is.
     */
    public static Set<String> words(Forecast forecast, Zones zones, Sport sport) {
        Set<String> words = new TreeSet<>();
        words.add(Purpose.of(forecast, sport).name().toLowerCase(Locale.ROOT).replace('_', ' '));
        TreeMap<Integer, Double> seconds = new TreeMap<>();
        TreeMap<Integer, String> names = new TreeMap<>();
        for (PlannedStep step : forecast.steps()) {
            if (step.basis() == null || !Double.isFinite(step.seconds())) continue;
            Measure measure = step.basis().measure();
            zones.of(measure, sport).ifPresent(set -> {
                int zone = zone(step, set);
                seconds.merge(zone, step.seconds(), Double::sum);
                names.putIfAbsent(zone, set.names().get(zone - 1));
            });
        }
        seconds.forEach((zone, time) -> {
            if (time < LEAST_SECONDS && !zone.equals(seconds.lastKey())) return;
            words.add("z" + zone);
            words.add(names.get(zone).toLowerCase(Locale.ROOT));
        });
        return words;
    }

    private static int zone(PlannedStep step, ZoneSet set) {
        return Math.max(1, set.zoneOf(step.targetAt(0.5) + 1e-9));
    }
}
