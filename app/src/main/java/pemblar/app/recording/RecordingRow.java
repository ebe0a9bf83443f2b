package pemblar.app.recording;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.TreeMap;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.annotations.SQLRestriction;
import org.hibernate.type.SqlTypes;
import pemblar.app.effort.EffortSource;
import pemblar.app.recording.bytes.SummaryJson;
import pemblar.core.evidence.Floors;
import pemblar.core.load.LoadChoice;
import pemblar.core.load.SessionLoad;
import pemblar.core.load.SessionLoad.Source;
import pemblar.core.load.SessionSummary;
import pemblar.core.model.Reserve;
import pemblar.core.recording.Channel;
import pemblar.core.recording.Recording;
import pemblar.core.recording.Series;
import pemblar.core.sport.Measure;
import pemblar.core.sport.Sport;
import pemblar.core.zone.ZoneSet.TimeInZones;

/** The stored summary of a recording: what pages and trends query. */
@Entity
@Table(name = "recording")
@SQLRestriction("deleted_at is null")
class RecordingRow {
    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    Long id;

    Long athleteId;
    String sha256;
    String fileName;

    @Enumerated(EnumType.STRING)
    Sport sport;

    Instant startedAt;
    Instant endedAt;
    LocalDate day;
    int timerSeconds;
    double elapsedSeconds;
    Double distanceMetres;
    Double meanWatts;
    Double equivalentWatts;
    Double steadiness;
    Double intensity;
    Double meanBpm;
    Double maxBpm;
    Double meanCadence;
    Double meanSpeed;
    Double flatSpeed;
    Double lowestReserveJoules;
    Integer lowestReserveSecond;
    Double leastCriticalWatts;
    /** Of the sky, where the recording has no temperature of its own. */
    Double skyCelsius;

    @JdbcTypeCode(SqlTypes.ARRAY)
    Double[] floorWatts;

    int curvesVersion;
    Double loadPoints;
    String loadSource;

    @JdbcTypeCode(SqlTypes.JSON)
    String loads;

    @JdbcTypeCode(SqlTypes.JSON)
    String zones;

    String lowData;
    String problems;
    String silhouette;

    @Enumerated(EnumType.STRING)
    Source chosenSource;

    Double setLoad;
    String loadReason = "";
    String loadBy = "";
    Instant loadAt;
    Double perceivedEffort;
    /** Planned load times the part that was done; null without a plan. */
    Double planPoints;
    /** Whether the hard steps of its session were all over their targets; null where that is not told. */
    Boolean targetsBeaten;
    /** Counts the changes of what the recording says. */
    int revision;

    /** How many things are probably wrong, and what they are; looked at by the version of the rules. */
    int doubts;

    String doubtWords = "";
    Double mendedLoad;
    int doubtsVersion;

    Instant deletedAt;

    protected RecordingRow() {}

    RecordingRow(long athleteId, String sha256, String fileName, LocalDate day, String problems) {
        this.athleteId = athleteId;
        this.sha256 = sha256;
        this.fileName = fileName;
        this.day = day;
        this.problems = problems;
    }

    void fill(Recording recording, SessionSummary summary, String silhouette) {
        this.sport = recording.sport();
        this.startedAt = recording.start();
        this.endedAt = recording.end();
        this.timerSeconds = recording.seconds();
        this.elapsedSeconds = recording.elapsedSeconds();
        this.distanceMetres = recording.distanceMetres().orElse(null);
        this.meanWatts = mean(recording, Channel.POWER);
        this.meanBpm = mean(recording, Channel.HEART_RATE);
        this.maxBpm = recording.channel(Channel.HEART_RATE).map(Series::max).orElse(null);
        this.meanCadence = mean(recording, Channel.CADENCE);
        this.meanSpeed = mean(recording, Channel.SPEED);
        this.equivalentWatts = boxed(summary.equivalentPowerWatts());
        this.steadiness = boxed(summary.steadiness());
        this.flatSpeed = boxed(summary.flatSpeed());
        this.lowData = String.join(", ", summary.lowData());
        this.silhouette = silhouette;
        valued(summary);
    }

    /** What rests on thresholds and zones. */
    void valued(SessionSummary summary) {
        this.intensity = boxed(summary.intensity());
        this.lowestReserveJoules = summary.lowestReserve().map(l -> l.joules()).orElse(null);
        this.lowestReserveSecond = summary.lowestReserve().map(l -> l.index()).orElse(null);
        this.leastCriticalWatts = boxed(summary.leastCriticalWatts());
        this.loads = SummaryJson.loads(summary.loads());
        this.zones = SummaryJson.zones(summary.zones());
        this.revision++;
        count();
    }

    /** Keeps the floor for critical power of a ride that drove the reserve below zero. */
    void floor(Recording recording) {
        if (leastCriticalWatts == null || !recording.has(Channel.POWER)) return;
        double[] table = Floors.table(recording);
        floorWatts = table.length == 0 ? null : Arrays.stream(table).boxed().toArray(Double[]::new);
    }

    /** Takes over what the plan says of the load. @param plan null without one */
    void follow(PlannedFor.Plan plan) {
        this.targetsBeaten = null;
        this.planPoints = plan == null ? null : plan.points(timerSeconds);
        count();
    }

    EffortSource source() {
        return new EffortSource(id, athleteId, sport, day);
    }

    /** The load that counts. */
    void count() {
        LoadChoice.Counting counting = counting(SummaryJson.loads(loads)).orElse(null);
        this.loadPoints = counting == null ? null : (Double) counting.points();
        this.loadSource = counting == null ? null : counting.source().name();
    }

    /** What would count if the recording's own channels gave these loads. */
    Optional<LoadChoice.Counting> counting(Map<Source, Double> computed) {
        return new LoadChoice(chosenSource, setLoad).of(allLoads(computed));
    }

    /** Every load that is known, in the order of preference. */
    Map<Source, Double> allLoads(Map<Source, Double> computed) {
        Map<Source, Double> all = new LinkedHashMap<>(computed);
        if (perceivedEffort != null)
            all.put(Source.PERCEIVED_EFFORT, SessionLoad.ofPerceivedEffort(timerSeconds, perceivedEffort));
        if (planPoints != null) all.put(Source.PLAN, planPoints);
        return all;
    }

    /**
     * The stored summary as the core has it; best means stay where they are stored, and what they miss is not told
     * apart.
     */
    SessionSummary summary() {
        Map<Measure, TimeInZones> times = new LinkedHashMap<>();
        SummaryJson.zones(zones)
                .forEach((measure, seconds) -> times.put(
                        measure,
                        new TimeInZones(
                                seconds,
                                timerSeconds
                                        - seconds.stream()
                                                .mapToInt(Integer::intValue)
                                                .sum())));
        return new SessionSummary(
                optional(equivalentWatts),
                optional(flatSpeed),
                optional(steadiness),
                optional(intensity),
                SummaryJson.loads(loads),
                new TreeMap<>(),
                times,
                lowestReserveJoules == null
                        ? Optional.empty()
                        : Optional.of(new Reserve.Lowest(
                                lowestReserveJoules, lowestReserveSecond == null ? -1 : lowestReserveSecond)),
                optional(leastCriticalWatts),
                List.of());
    }

    /** True when the recording has a channel of power, speed or heart rate. */
    boolean has(Channel channel) {
        return (channel == Channel.POWER ? meanWatts : channel == Channel.SPEED ? meanSpeed : meanBpm) != null;
    }

    private static OptionalDouble optional(Double value) {
        return value == null ? OptionalDouble.empty() : OptionalDouble.of(value);
    }

    private static Double mean(Recording recording, Channel channel) {
        return recording.channel(channel).map(Series::mean).orElse(null);
    }

    private static Double boxed(OptionalDouble value) {
        return value.isPresent() ? (Double) value.getAsDouble() : null;
    }
}
