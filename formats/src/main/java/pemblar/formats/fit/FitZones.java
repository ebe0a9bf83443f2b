package pemblar.formats.fit;

import static pemblar.formats.fit.BaseType.ENUM;
import static pemblar.formats.fit.BaseType.STRING;
import static pemblar.formats.fit.BaseType.UINT16;
import static pemblar.formats.fit.BaseType.UINT32;
import static pemblar.formats.fit.BaseType.UINT32Z;
import static pemblar.formats.fit.BaseType.UINT8;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import pemblar.core.sport.Measure;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.Quantity;
import pemblar.core.threshold.Thresholds;
import pemblar.core.zone.ZoneSet;
import pemblar.core.zone.Zones;
import pemblar.formats.Reading.Problem;
import pemblar.formats.fit.FitWriter.Field;
import pemblar.formats.fit.FitWriter.Layout;

/**
 * An athlete's thresholds and zones for one sport as a FIT sport file, which a device takes beside its workouts.
 *
 * @param thresholdWatts 0 when not known; bpm likewise
 * @param power zones from the lowest, heart rate and speed likewise; empty when there are none
 */
public record FitZones(
        Sport sport,
        Instant created,
        int thresholdWatts,
        int thresholdBpm,
        int maximumBpm,
        List<Limit> power,
        List<Limit> heartRate,
        List<Limit> speed) {
    private static final int NAME_BYTES = 32;
    private static final Layout FILE_ID = Layout.of(
            Profile.FILE_ID,
            new Field(0, ENUM),
            new Field(1, UINT16),
            new Field(2, UINT16),
            new Field(3, UINT32Z),
            new Field(4, UINT32));
    private static final Layout SPORT = Layout.of(Profile.SPORT, new Field(0, ENUM));
    private static final Layout TARGET =
            Layout.of(Profile.ZONES_TARGET, new Field(1, UINT8), new Field(2, UINT8), new Field(3, UINT16));
    private static final Layout HEART_ZONE = Layout.of(
            Profile.HEART_RATE_ZONE, new Field(254, UINT16), new Field(1, UINT8), new Field(2, STRING, NAME_BYTES));
    private static final Layout POWER_ZONE = Layout.of(
            Profile.POWER_ZONE, new Field(254, UINT16), new Field(1, UINT16), new Field(2, STRING, NAME_BYTES));
    private static final Layout SPEED_ZONE = Layout.of(
            Profile.SPEED_ZONE, new Field(254, UINT16), new Field(0, UINT16), new Field(1, STRING, NAME_BYTES));

    /** A zone's name and its upper end in W, bpm or m/s; NaN for the last, which is open. */
    public record Limit(String name, double high) {}

    /** What a file held: zones, empty when it cannot be used, and what was wrong. */
    public record Answer(Optional<FitZones> zones, List<Problem> problems) {}

    public FitZones {
        power = List.copyOf(power);
        heartRate = List.copyOf(heartRate);
        speed = List.copyOf(speed);
    }

    public static FitZones of(Zones zones, Sport sport, Instant created) {
        Thresholds values = zones.thresholds().forSport(sport);
        return new FitZones(
                sport,
                created,
                whole(values, Quantity.THRESHOLD_POWER),
                whole(values, Quantity.THRESHOLD_HEART_RATE),
                whole(values, Quantity.MAXIMUM_HEART_RATE),
                limits(zones.of(Measure.POWER, sport)),
                limits(zones.of(Measure.HEART_RATE, sport)),
                limits(zones.of(Measure.SPEED, sport)));
    }

    private static int whole(Thresholds values, Quantity quantity) {
        return (int) Math.round(values.get(quantity).orElse(0));
    }

    private static List<Limit> limits(Optional<ZoneSet> set) {
        List<Limit> limits = new ArrayList<>();
        set.ifPresent(zones -> {
            for (int zone = 1; zone <= zones.count(); zone++)
                limits.add(new Limit(
                        zones.names().get(zone - 1), zone == zones.count() ? Double.NaN : zones.ceilingOf(zone)));
        });
        return limits;
    }

    public byte[] write(long serial) {
        FitWriter out = new FitWriter();
        out.write(FILE_ID, Profile.TYPE_SPORT, Profile.MANUFACTURER_DEVELOPMENT, 1, serial, Profile.seconds(created));
        out.write(SPORT, Profile.sportNumber(sport));
        out.write(TARGET, known(maximumBpm), known(thresholdBpm), known(thresholdWatts));
        write(out, HEART_ZONE, heartRate, 1);
        write(out, POWER_ZONE, power, 1);
        write(out, SPEED_ZONE, speed, 1000);
        return out.finish();
    }

    private static Integer known(int value) {
        return value == 0 ? null : (Integer) value;
    }

    private static void write(FitWriter out, Layout layout, List<Limit> limits, double scale) {
        for (int i = 0; i < limits.size(); i++) {
            Double high = limits.get(i).high() * scale;
            out.write(layout, i, high, limits.get(i).name());
        }
    }

    public static Answer read(byte[] bytes) {
        if (!FitDecoder.looksLikeFit(bytes))
            return new Answer(Optional.empty(), List.of(new Problem("byte 0", "this is not a FIT file", true)));
        Reader reader = new Reader();
        List<Problem> problems = new ArrayList<>(FitDecoder.decode(bytes, reader));
        boolean any = !reader.power.isEmpty() || !reader.heartRate.isEmpty() || !reader.speed.isEmpty();
        if (!any) problems.add(new Problem("", "the file holds no zones", true));
        if (problems.stream().anyMatch(Problem::damage)) return new Answer(Optional.empty(), problems);
        return new Answer(
                Optional.of(new FitZones(
                        reader.sport,
                        reader.created,
                        reader.watts,
                        reader.bpm,
                        reader.maximum,
                        reader.power,
                        reader.heartRate,
                        reader.speed)),
                problems);
    }

    private static final class Reader implements FitDecoder.Sink {
        private static final int MOST_ZONES = 32;
        /** Times of the protocol have 32 bits; a damaged file may say that it has 64. */
        private static final long MOST_SECONDS = 0xFFFF_FFFFL;

        private Sport sport = Sport.OTHER;
        private Instant created = Instant.EPOCH;
        private int watts;
        private int bpm;
        private int maximum;
        private final List<Limit> power = new ArrayList<>();
        private final List<Limit> heartRate = new ArrayList<>();
        private final List<Limit> speed = new ArrayList<>();

        @Override
        public void message(FitMessage m) {
            switch (m.global()) {
                case Profile.FILE_ID -> created = Profile.instant(Math.max(0, Math.min(MOST_SECONDS, m.whole(4))));
                case Profile.SPORT -> sport = Profile.sport(m.whole(0));
                case Profile.ZONES_TARGET -> {
                    maximum = (int) Math.max(0, m.whole(1));
                    bpm = (int) Math.max(0, m.whole(2));
                    watts = (int) Math.max(0, m.whole(3));
                }
                case Profile.HEART_RATE_ZONE -> add(heartRate, m.text(2), m.number(1));
                case Profile.POWER_ZONE -> add(power, m.text(2), m.number(1));
                case Profile.SPEED_ZONE -> add(speed, m.text(1), m.number(0) / 1000);
                default -> {}
            }
        }

        private static void add(List<Limit> limits, String name, double high) {
            if (limits.size() < MOST_ZONES) limits.add(new Limit(name, high));
        }
    }
}
