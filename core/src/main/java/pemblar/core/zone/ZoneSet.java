package pemblar.core.zone;

import java.util.List;
import pemblar.core.recording.Series;
import pemblar.core.sport.Measure;

/**
 * Zones of one quantity: n - 1 boundaries, strictly rising, in percent of a reference; zone i (from 1) is [boundary
 * i-1, boundary i). A boundary is one number shared by two zones, so neighbours cannot disagree.
 *
 * @param reference threshold, maximum or reserve, in the quantity's own unit
 * @param offset added to every value: the resting heart rate for zones of the reserve, else 0
 * @param percents boundaries in % of the reference
 * @param names one for each zone
 */
public record ZoneSet(Measure measure, double reference, double offset, List<Double> percents, List<String> names) {
    public ZoneSet {
        percents = List.copyOf(percents);
        names = List.copyOf(names);
        if (!(reference > 0 && reference < 10_000))
            throw new IllegalArgumentException("reference must be in (0, 10000), was " + reference);
        if (names.size() != percents.size() + 1)
            throw new IllegalArgumentException(
                    "names must be one more than boundaries, were " + names.size() + " for " + percents.size());
        for (int i = 1; i < percents.size(); i++)
            if (!(percents.get(i) > percents.get(i - 1)))
                throw new IllegalArgumentException(
                        "boundaries must rise, " + percents.get(i) + " follows " + percents.get(i - 1));
    }

    /** Seconds in each zone, and those whose value is missing. */
    public record TimeInZones(List<Integer> seconds, int missingSeconds) {
        public TimeInZones {
            seconds = List.copyOf(seconds);
        }

        public int presentSeconds() {
            return seconds.stream().mapToInt(Integer::intValue).sum();
        }
    }

    public int count() {
        return names.size();
    }

    /**
     * Zone of a value, from 1; compared exactly as 100 (v - offset) >= p reference. NaN is in no zone and answers 0.
     */
    public int zoneOf(double value) {
        if (Double.isNaN(value)) return 0;
        int zone = 1;
        while (zone <= percents.size() && 100 * (value - offset) >= percents.get(zone - 1) * reference) zone++;
        return zone;
    }

    /** Lower end of a zone (from 1) in the quantity's unit; 0 for the first. */
    public double floorOf(int zone) {
        return zone == 1 ? 0 : boundary(zone - 1);
    }

    /** Upper end of a zone (from 1) in the quantity's unit; infinite for the last. */
    public double ceilingOf(int zone) {
        return zone == count() ? Double.POSITIVE_INFINITY : boundary(zone);
    }

    private double boundary(int index) {
        return offset + percents.get(index - 1) * reference / 100;
    }

    public TimeInZones timeIn(Series values) {
        double[] floors = new double[count()];
        for (int i = 1; i < floors.length; i++) floors[i] = percents.get(i - 1) * reference;
        int[] seconds = new int[count() + 1];
        for (int i = 0; i < values.size(); i++) {
            double scaled = 100 * (values.at(i) - offset);
            if (Double.isNaN(scaled)) {
                seconds[0]++;
                continue;
            }
            int zone = 1;
            while (zone < floors.length && scaled >= floors[zone]) zone++;
            seconds[zone]++;
        }
        return new TimeInZones(java.util.Arrays.stream(seconds).skip(1).boxed().toList(), seconds[0]);
    }
}
