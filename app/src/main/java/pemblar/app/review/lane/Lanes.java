package pemblar.app.review.lane;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import pemblar.app.frame.page.Shown;
import pemblar.app.frame.page.Units;
import pemblar.app.review.Cuts;
import pemblar.app.review.ReviewStore;
import pemblar.app.review.StepTable;
import pemblar.app.session.reading.SessionService;
import pemblar.core.model.Reserve;
import pemblar.core.recording.Channel;
import pemblar.core.recording.Derived;
import pemblar.core.recording.Recording;
import pemblar.core.recording.Series;
import pemblar.core.sport.SpeedUnit;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.Quantity;
import pemblar.core.workout.Basis;

/**
 * The lanes of a recording as the page draws them: every channel, what follows from them, and the marks on the axis.
 */
final class Lanes {
    private static final List<Channel> NOT_DRAWN = List.of(Channel.DISTANCE, Channel.LATITUDE, Channel.LONGITUDE);
    private static final double MOST_REMAINING_SECONDS = 3600;
    private static final int ROUTE_POINTS = 900;
    private static final int ROUTE_SIZE = 1000;

    private Lanes() {}

    /**
     * One lane. Values are whole numbers of {@code 1 / scale} units, each as its difference from the last one that is
     * not missing; a gap is null.
     *
     * @param role which of the quantities' colours it has
     * @param band the basis of the targets that are drawn behind it; empty for none
     */
    /** @param factor from SI to the unit, by which targets are drawn */
    record Lane(
            String key,
            String name,
            String unit,
            String role,
            double factor,
            double scale,
            String band,
            Integer[] deltas) {}

    /** How a channel is shown: name, unit, factor to that unit, and digits kept. */
    private record Look(String name, String unit, String role, double factor, double scale, String band) {}

    static List<Lane> of(SessionService.Opened opened, Cuts cuts, List<ReviewStore.DerivedRow> derived) {
        Recording recording = opened.recording().orElseThrow();
        List<Lane> lanes = new ArrayList<>();
        for (Channel channel : Channel.values())
            if (!NOT_DRAWN.contains(channel))
                recording
                        .channel(channel)
                        .ifPresent(
                                s -> lanes.add(lane(channel.key(), look(channel, recording.sport()), own(channel, s))));
        reserve(opened, cuts, lanes);
        recording.channels().forEach((key, series) -> {
            if (Channel.ofKey(key).isEmpty())
                lanes.add(lane(key, new Look(key, "", "other", 1, scale(series), ""), series));
        });
        for (ReviewStore.DerivedRow row : derived) {
            Series left = recording.channels().get(row.derived().left());
            Series right = recording.channels().get(row.derived().right());
            if (left == null || right == null) continue;
            Series series = Derived.of(left, row.derived().operation(), right);
            lanes.add(lane(
                    "derived:" + row.id(),
                    new Look(
                            row.derived().name(),
                            Shown.channel(row.derived().left()) + " "
                                    + row.derived().operation().sign() + " "
                                    + Shown.channel(row.derived().right()),
                            "other",
                            1,
                            scale(series),
                            ""),
                    series));
        }
        return lanes;
    }

    private static Look look(Channel channel, Sport sport) {
        return switch (channel) {
            case POWER -> new Look("Power", "W", "power", 1, 1, "power");
            case HEART_RATE -> new Look("Heart rate", "beats/min", "heart", 1, 1, "heart_rate");
            case CADENCE ->
                new Look(
                        "Cadence",
                        sport.cadenceUnit().equals("spm")
                                ? "steps/min"
                                : sport.cadenceUnit().equals("rpm") ? "per min" : sport.cadenceUnit(),
                        "cadence",
                        1,
                        1,
                        "cadence");
            case SPEED -> speed(Shown.unit(sport));
            case ALTITUDE -> new Look("Altitude", "m", "altitude", 1, 5, "");
            case TEMPERATURE -> new Look("Temperature", Units.mine().temperatureUnit(), "other", 1, 1, "");
            case STEP_LENGTH -> new Look("Step length", "m", "cadence", 1, 1000, "");
            case GROUND_CONTACT_TIME -> new Look("Ground contact", "ms", "cadence", 1000, 1, "");
            case VERTICAL_OSCILLATION -> new Look("Vertical oscillation", "cm", "cadence", 100, 10, "");
            case DISTANCE, LATITUDE, LONGITUDE -> throw new IllegalArgumentException(channel + " is no lane");
        };
    }

    private static Look speed(SpeedUnit unit) {
        return unit.isPace()
                ? new Look("Pace", unit.axisUnit(), "speed", 1, 100, "pace")
                : new Look("Speed", unit.axisUnit(), "speed", unit.perMetrePerSecond(), 10, "pace");
    }

    /** Temperatures in the person's degrees, which no factor gives. */
    private static Series own(Channel channel, Series series) {
        if (channel != Channel.TEMPERATURE) return series;
        double[] degrees = new double[series.size()];
        for (int i = 0; i < degrees.length; i++) degrees[i] = Units.mine().temperature(series.at(i));
        return Series.of(degrees);
    }

    /** About a thousand steps over the range of an unknown quantity. */
    private static double scale(Series series) {
        double most = 0;
        for (int i = 0; i < series.size(); i++)
            if (Math.abs(series.at(i)) > most && Double.isFinite(series.at(i))) most = Math.abs(series.at(i));
        return most == 0 ? 1 : Math.pow(10, Math.max(0, 3 - Math.ceil(Math.log10(most))));
    }

    private static void reserve(SessionService.Opened opened, Cuts cuts, List<Lane> lanes) {
        Recording recording = opened.recording().orElseThrow();
        if (!recording.has(Channel.POWER) || !opened.thresholds().knows(Quantity.CRITICAL_POWER, Quantity.W_PRIME))
            return;
        Reserve model = new Reserve(
                opened.thresholds().require(Quantity.CRITICAL_POWER),
                opened.thresholds().require(Quantity.W_PRIME));
        Series reserve = model.over(recording.channel(Channel.POWER).orElseThrow(), recording.pauses());
        lanes.add(lane("reserve", new Look("Reserve", "kJ", "reserve", 0.001, 10, ""), reserve));
        double[] remaining = new double[reserve.size()];
        java.util.Arrays.fill(remaining, Double.NaN);
        boolean any = false;
        for (var m : cuts.matched().steps()) {
            if (m.step().basis() != Basis.POWER || !(m.step().targetAt(0.5) > model.criticalPowerWatts())) continue;
            any = true;
            for (int i = m.from(); i < m.to(); i++)
                remaining[i] = Math.max(
                        0,
                        Math.min(
                                MOST_REMAINING_SECONDS,
                                model.secondsToExhaustion(
                                        reserve.at(i), m.step().targetAt((i + 0.5 - m.from()) / (m.to() - m.from())))));
        }
        if (any)
            lanes.add(lane(
                    "remaining",
                    new Look("Time left at target", "min", "reserve", 1 / 60.0, 10, ""),
                    Series.of(remaining)));
    }

    private static Lane lane(String key, Look look, Series series) {
        return new Lane(
                key,
                look.name(),
                look.unit(),
                look.role(),
                look.factor(),
                look.scale(),
                look.band(),
                deltas(series, look.factor() * look.scale()));
    }

    static Integer[] deltas(Series series, double factor) {
        Integer[] deltas = new Integer[series.size()];
        int before = 0;
        for (int i = 0; i < deltas.length; i++) {
            double value = series.at(i) * factor;
            if (!(Math.abs(value) < Integer.MAX_VALUE / 2.0)) continue;
            int now = (int) Math.rint(value);
            deltas[i] = now - before;
            before = now;
        }
        return deltas;
    }

    /**
     * Positions on a square of 1000, each with its second: the shape of the way, without a map. Empty without
     * positions.
     */
    static List<int[]> route(Recording recording) {
        Series latitude = recording.channel(Channel.LATITUDE).orElse(null);
        Series longitude = recording.channel(Channel.LONGITUDE).orElse(null);
        if (latitude == null || longitude == null) return List.of();
        double[] box = {
            Double.POSITIVE_INFINITY, Double.NEGATIVE_INFINITY, Double.POSITIVE_INFINITY, Double.NEGATIVE_INFINITY
        };
        for (int i = 0; i < latitude.size(); i++) {
            if (!latitude.isPresent(i) || !longitude.isPresent(i)) continue;
            box[0] = Math.min(box[0], latitude.at(i));
            box[1] = Math.max(box[1], latitude.at(i));
            box[2] = Math.min(box[2], longitude.at(i));
            box[3] = Math.max(box[3], longitude.at(i));
        }
        double narrow = Math.cos(Math.toRadians((box[0] + box[1]) / 2));
        double side = Math.max(box[1] - box[0], (box[3] - box[2]) * narrow);
        if (!(side > 0)) return List.of();
        List<int[]> points = new ArrayList<>();
        int every = Math.max(1, recording.seconds() / ROUTE_POINTS);
        for (int i = 0; i < latitude.size(); i += every) {
            if (!latitude.isPresent(i) || !longitude.isPresent(i)) continue;
            points.add(new int[] {
                i,
                (int) Math.round(ROUTE_SIZE * (longitude.at(i) - box[2]) * narrow / side),
                (int) Math.round(ROUTE_SIZE * (box[1] - latitude.at(i)) / side)
            });
        }
        return points;
    }

    /**
     * What lies on the axis: stretches, targets, laps, notes, kept ranges, pauses. All seconds are of the recording as
     * it counts.
     */
    static Map<String, Object> marks(
            SessionService.Opened opened, Cuts cuts, List<List<Object>> notes, List<List<Object>> ranges) {
        Recording recording = opened.recording().orElseThrow();
        Map<String, Object> marks = new LinkedHashMap<>();
        List<List<Object>> stretches = new ArrayList<>();
        for (var one : cuts.stretches().all())
            stretches.add(List.of(
                    one.from(),
                    one.to(),
                    StepTable.name(cuts, one, stretches.size()),
                    one.ignored(),
                    one.step() >= 0
                            ? Math.round(100 * cuts.plan().get(one.step()).intensity())
                            : -1));
        marks.put("stretches", stretches);
        marks.put("bands", StepTable.bands(cuts.matched()));
        marks.put(
                "laps",
                recording.laps().stream()
                        .map(lap -> List.of(lap.from(), lap.to()))
                        .toList());
        marks.put(
                "pauses",
                recording.pauses().stream()
                        .map(p -> List.of(p.index(), Math.round(p.seconds())))
                        .toList());
        marks.put("notes", notes);
        marks.put("ranges", ranges);
        return marks;
    }
}
