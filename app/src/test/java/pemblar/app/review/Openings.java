package pemblar.app.review;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import pemblar.app.athlete.Athlete;
import pemblar.app.session.Described;
import pemblar.app.session.Slab;
import pemblar.app.session.reading.SessionService.Opened;
import pemblar.core.design.Design;
import pemblar.core.load.LoadTrend;
import pemblar.core.matching.Stretches.One;
import pemblar.core.recording.Lap;
import pemblar.core.recording.Recording;
import pemblar.core.recording.Series;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.Quantity;
import pemblar.core.threshold.Sex;
import pemblar.core.threshold.Thresholds;
import pemblar.core.workout.Shorthand;
import pemblar.core.workout.Workout;
import pemblar.core.zone.Zones;

/** Makes opened sessions for tests, with a threshold of 200 W and 4 m/s. */
final class Openings {
    static final Thresholds VALUES = Thresholds.NONE
            .with(Quantity.THRESHOLD_POWER, 200)
            .with(Quantity.THRESHOLD_SPEED, 4)
            .with(Quantity.BODY_MASS, 60);
    private final Sport sport;
    private final int seconds;
    private final Map<String, double[]> channels = new LinkedHashMap<>();
    private List<Lap> laps = List.of();
    private Optional<Workout> workout = Optional.empty();
    private Optional<List<One>> byHand = Optional.empty();
    private Thresholds values = VALUES;
    private int trimmed;

    private Openings(Sport sport, int seconds) {
        this.sport = sport;
        this.seconds = seconds;
    }

    static Openings of(Sport sport, int seconds) {
        return new Openings(sport, seconds);
    }

    Openings with(String channel, double value) {
        double[] all = new double[seconds];
        Arrays.fill(all, value);
        channels.put(channel, all);
        return this;
    }

    /** Another value over [from, to). */
    Openings but(String channel, int from, int to, double value) {
        Arrays.fill(channels.get(channel), from, to, value);
        return this;
    }

    Openings laps(int... ends) {
        Lap[] all = new Lap[ends.length];
        for (int i = 0; i < ends.length; i++) all[i] = new Lap(i == 0 ? 0 : ends[i - 1], ends[i], Lap.NO_STEP);
        laps = List.of(all);
        return this;
    }

    Openings laps(List<Lap> some) {
        laps = some;
        return this;
    }

    Openings planned(String shorthand) {
        workout = Shorthand.read(shorthand, sport).workout();
        return this;
    }

    Openings byHand(One... stretches) {
        byHand = Optional.of(List.of(stretches));
        return this;
    }

    /** The recording as it counts lost some seconds of its start. */
    Openings trimmed(int by) {
        trimmed = by;
        return this;
    }

    Openings knowing(Thresholds some) {
        values = some;
        return this;
    }

    Opened open() {
        Map<String, Series> series = new LinkedHashMap<>();
        channels.forEach((key, all) -> series.put(key, Series.of(all)));
        Recording recording =
                new Recording(sport, Instant.parse("2026-05-04T16:00:00Z"), seconds, List.of(), series, laps);
        Athlete athlete = new Athlete(
                1, "Test Person", java.util.List.of(sport), Sex.NOT_GIVEN, ZoneOffset.UTC, LoadTrend.Settings.DEFAULT);
        Slab slab = new Slab(
                9,
                LocalDate.of(2026, 5, 4),
                null,
                sport,
                "A session",
                workout.isPresent(),
                100,
                null,
                null,
                null,
                null,
                false,
                0,
                "",
                null,
                null);
        Described described = new Described("", "", "", "", List.of(), byHand, Optional.empty());
        return new Opened(
                athlete,
                slab,
                workout.map(Design.Endurance::new),
                Zones.usual(values),
                Optional.of(recording),
                Optional.empty(),
                null,
                null,
                trimmed,
                seconds + trimmed,
                described,
                List.of());
    }
}
