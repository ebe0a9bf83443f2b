package pemblar.core.profile;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import pemblar.core.effort.BestCurve.Point;
import pemblar.core.threshold.Sex;

/**
 * Reference bands of power per kg, by sex and duration, against which an athlete's best efforts are held.
 *
 * @param names of the bands from the lowest; one more than floors
 * @param floors W/kg at which each band after the first begins, by sex (women and men) and duration in s; strictly
 *     rising
 */
public record ProfileBands(List<String> names, Map<Sex, TreeMap<Integer, List<Double>>> floors) {
    /** The durations, s, of the profile. */
    public static final List<Integer> SECONDS = List.of(5, 60, 300, 1200, 3600);

    public ProfileBands {
        names = List.copyOf(names);
        floors = Map.copyOf(floors);
        for (var bySex : floors.values())
            for (List<Double> row : bySex.values()) {
                if (row.size() != names.size() - 1)
                    throw new IllegalArgumentException(
                            "each row needs " + (names.size() - 1) + " floors, has " + row.size());
                double before = 0;
                for (double floor : row) {
                    if (!(floor > before && floor < 50))
                        throw new IllegalArgumentException(
                                "floors must rise from above 0 to below 50 W/kg, " + floor + " follows " + before);
                    before = floor;
                }
            }
    }

    /**
     * One duration of an athlete.
     *
     * @param wattsPerKilogram best of the range; empty when there is none
     * @param level place among the bands: 1.5 is in the middle of the second band; empty when untested
     * @param tested false when no effort within 5 % of the model shows what the athlete can do here
     */
    public record Rung(
            int seconds,
            Optional<Double> wattsPerKilogram,
            Optional<Double> level,
            boolean tested,
            List<Double> floors) {}

    /** Floors of a duration; when sex is not given, the mean of women's and men's. */
    public List<Double> floors(Sex sex, int seconds) {
        if (sex != Sex.NOT_GIVEN) return floors.get(sex).get(seconds);
        List<Double> women = floors.get(Sex.FEMALE).get(seconds);
        List<Double> men = floors.get(Sex.MALE).get(seconds);
        List<Double> means = new ArrayList<>();
        for (int i = 0; i < men.size(); i++) means.add((women.get(i) + men.get(i)) / 2);
        return means;
    }

    /**
     * Place among the bands: whole numbers are the floors; below the first and above the last the neighbouring band's
     * width goes on.
     */
    public static double level(List<Double> floors, double wattsPerKilogram) {
        int last = floors.size() - 1;
        if (wattsPerKilogram <= floors.get(0)) return wattsPerKilogram / floors.get(0);
        for (int i = 0; i < last; i++)
            if (wattsPerKilogram <= floors.get(i + 1))
                return i + 1 + (wattsPerKilogram - floors.get(i)) / (floors.get(i + 1) - floors.get(i));
        double width = last == 0 ? floors.get(0) : floors.get(last) - floors.get(last - 1);
        return last + 1 + (wattsPerKilogram - floors.get(last)) / width;
    }

    /**
     * The profile of an athlete.
     *
     * @param bests W/kg at the durations of {@link #SECONDS}; NaN or left out where there is none
     * @param untested durations that no all-out effort shows
     */
    public List<Rung> profile(Sex sex, Map<Integer, Double> bests, List<Integer> untested) {
        List<Rung> rungs = new ArrayList<>();
        for (int seconds : SECONDS) {
            List<Double> row = floors(sex, seconds);
            Optional<Double> best = Optional.ofNullable(bests.get(seconds)).filter(Double::isFinite);
            boolean tested = best.isPresent() && !untested.contains(seconds);
            rungs.add(new Rung(
                    seconds, best, tested ? best.map(value -> level(row, value)) : Optional.empty(), tested, row));
        }
        return rungs;
    }

    /** The lowest of the tested rungs; empty when fewer than two are tested, as then nothing stands out. */
    public static Optional<Rung> weakest(List<Rung> rungs) {
        List<Rung> tested = rungs.stream().filter(Rung::tested).toList();
        return tested.size() < 2
                ? Optional.empty()
                : tested.stream()
                        .min(java.util.Comparator.comparingDouble(r -> r.level().orElseThrow()));
    }

    /** A point of a curve as W/kg by its duration. */
    public static Map<Integer, Double> at(List<Point> perKilogram) {
        Map<Integer, Double> values = new TreeMap<>();
        for (Point point : perKilogram)
            if (SECONDS.contains(point.seconds())) values.put(point.seconds(), point.value());
        return values;
    }
}
