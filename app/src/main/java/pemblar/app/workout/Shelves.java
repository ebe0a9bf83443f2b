package pemblar.app.workout;

import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import org.springframework.stereotype.Component;
import pemblar.app.frame.page.Markup;
import pemblar.core.schedule.FoundBy;
import pemblar.core.workout.Forecast;
import pemblar.core.workout.TrainedDurations;
import pemblar.core.workout.Workout;
import pemblar.core.zone.Zones;

/**
 * What each workout of the library takes for an athlete. The same workout with the same values gives the same figures,
 * so they are kept for a while.
 */
@Component
class Shelves {
    private static final int KEPT = 5000;
    private static final double WIDTH = 240;
    private static final double HEIGHT = 58;
    private final Map<Key, Figures> known =
            java.util.Collections.synchronizedMap(new LinkedHashMap<>(256, 0.75f, true) {
                private static final long serialVersionUID = 1;

                @Override
                protected boolean removeEldestEntry(Map.Entry<Key, Figures> eldest) {
                    return size() > KEPT;
                }
            });

    private record Key(Workout workout, Zones zones) {}

    private record Figures(Integer seconds, Double load, String drawn, Set<Integer> trains, Set<String> foundBy) {}

    Shelf of(Shelved kept, Zones zones) {
        Figures figures =
                known.computeIfAbsent(new Key(kept.workout(), zones), key -> figures(key.workout(), key.zones()));
        return new Shelf(kept, figures.seconds(), figures.load(), figures.drawn(), figures.trains(), figures.foundBy());
    }

    private static Figures figures(Workout workout, Zones zones) {
        try {
            Forecast forecast = Forecast.of(workout, zones);
            return new Figures(
                    forecast.seconds(),
                    forecast.load().isPresent() ? (Double) forecast.load().getAsDouble() : null,
                    drawn(Drawing.of(forecast, zones, workout.sport())),
                    TrainedDurations.of(forecast),
                    FoundBy.words(forecast, zones, workout.sport()));
        } catch (IllegalArgumentException e) {
            return new Figures(null, null, "", Set.of(), Set.of()); // a threshold is missing: the shelf says so
        }
    }

    private static String drawn(Drawing drawing) {
        double left = drawing.shapes().get(0).from();
        double width = drawing.shapes().get(drawing.shapes().size() - 1).to() - left;
        Map<Integer, StringBuilder> paths = new TreeMap<>();
        for (Drawing.Shape s : drawing.shapes())
            paths.computeIfAbsent(s.zone(), z -> new StringBuilder())
                    .append(String.format(
                            Locale.ROOT,
                            "M%.0f 60V%.0fL%.0f %.0fV60z",
                            x(s.from(), left, width),
                            y(s.beginY()),
                            x(s.to(), left, width),
                            y(s.endY())));
        Markup text = new Markup();
        paths.forEach((zone, path) -> text.begin("path")
                .with("d", path.toString())
                .with("class", "z" + zone)
                .end());
        return text.toString();
    }

    private static double x(double at, double left, double width) {
        return WIDTH * (at - left) / width;
    }

    private static double y(double at) {
        return 60 - HEIGHT * (Drawing.FLOOR - at) / Drawing.HEIGHT;
    }
}
