package pemblar.app.session;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.FetchType;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.OneToOne;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Locale;
import java.util.Optional;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.annotations.SQLRestriction;
import org.hibernate.type.SqlTypes;
import pemblar.app.athlete.Athlete;
import pemblar.core.design.Design;
import pemblar.core.schedule.Purpose;
import pemblar.core.sport.Sport;
import pemblar.core.strength.StrengthShorthand;
import pemblar.core.workout.Workout;
import pemblar.formats.json.WorkoutJson;

/**
 * A place on a day: planned, done, or both. Its fields are this package's; the other packages of the area read it by
 * its methods and change it by what is done to a session.
 */
@Entity
@Table(name = "session")
@SQLRestriction("deleted_at is null")
public class SessionRow {
    private static final int LONGEST_TITLE = 80;

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    Long id;

    Long athleteId;
    LocalDate day;
    Integer startMinute;

    @Enumerated(EnumType.STRING)
    Sport sport;

    String title;

    @JdbcTypeCode(SqlTypes.JSON)
    String structure;

    /** A strength session in its shorthand; null for all others. */
    String strength;
    /** Whether it is heavy on the legs; null until an older one was looked at. */
    Boolean heavyLegs;

    int scalePercent = 100;
    Long workoutId;
    Integer workoutVersion;
    Integer plannedSeconds;
    Double plannedLoad;
    String plannedSilhouette = "";
    /** What the session is for; of a workout it follows from its steps. */
    @Enumerated(EnumType.STRING)
    Purpose purpose;

    Integer doneSeconds;
    Double doneMetres;
    Double doneEffort;
    String doneNote;
    Double doneLoad;
    boolean placed;
    String kind = "";
    String equipment = "";
    String surface = "";
    String weather = "";
    /** Own words, parted by commas. */
    String tags = "";
    /** Stretches cut by hand; null where laps or the pattern say it. Seconds are those of the original file. */
    @JdbcTypeCode(SqlTypes.JSON)
    String stretches;
    /** The verdict in the words of a person; null for the computed one. */
    String verdict;

    /** Not shared yet: only coaches who plan see it. */
    boolean draft;
    /** Put there by a coach. */
    boolean coached;

    Instant deletedAt;

    @Version
    int version;

    String changedBy = "";

    @OneToOne(fetch = FetchType.LAZY)
    @JoinColumn(name = "recording_id")
    RecordedRow recording;

    protected SessionRow() {}

    public SessionRow(long athleteId, LocalDate day, Sport sport, String title) {
        this.athleteId = athleteId;
        this.day = day;
        this.sport = sport;
        this.title = cut(title);
    }

    /** It has a workout. */
    public boolean isPlanned() {
        return structure != null;
    }

    /** It has a workout, or a length and a purpose. */
    public boolean hasPlan() {
        return isPlanned() || purpose != null;
    }

    /** With a recording, or told to be done without one. */
    public boolean isDone() {
        return recording != null || doneSeconds != null;
    }

    public boolean isSeenBy(Athlete athlete) {
        return !draft || athlete.draftsSeen();
    }

    /** What it holds, at its present scale; empty for a sketch and for what was only done. */
    public Optional<Design> design() {
        if (isPlanned()) return Optional.of(new Design.Endurance(workout()));
        return strength == null
                ? Optional.empty()
                : StrengthShorthand.read(strength).workout().map(Design.Strength::new);
    }

    /** The workout at its present scale. */
    public Workout workout() {
        return WorkoutJson.read(structure).scaled(scalePercent / 100.0);
    }

    /** A planned session as a new one of the same design on another day. */
    public SessionRow copyTo(LocalDate other) {
        SessionRow copy = new SessionRow(athleteId, other, sport, title);
        copy.startMinute = startMinute;
        copy.structure = structure;
        copy.strength = strength;
        copy.heavyLegs = heavyLegs;
        copy.purpose = purpose;
        copy.plannedSeconds = plannedSeconds;
        copy.plannedLoad = plannedLoad;
        copy.plannedSilhouette = plannedSilhouette;
        copy.scalePercent = scalePercent;
        copy.workoutId = workoutId;
        copy.workoutVersion = workoutVersion;
        return copy;
    }

    private static String cut(String title) {
        return title.length() > LONGEST_TITLE ? title.substring(0, LONGEST_TITLE) : title;
    }

    public void by(String name) {
        changedBy = name;
    }

    /** Taken out of every page; until it is purged it can be brought back. */
    public void delete(Instant at) {
        deletedAt = at;
    }

    public void moveTo(LocalDate other) {
        day = other;
    }

    /** @param minute since midnight, or null */
    public void startAt(Integer minute) {
        startMinute = minute;
    }

    public void draft(boolean is) {
        draft = is;
    }

    /** A plan of the season put it there, and nobody has touched it since. */
    public void putByPlan() {
        placed = true;
    }

    public void scale(int percent) {
        scalePercent = percent;
    }

    /** A workout at its full scale, from the library or from nowhere. */
    public void take(Workout workout, Long libraryId, Integer libraryVersion) {
        structure = WorkoutJson.write(workout);
        workoutId = libraryId;
        workoutVersion = libraryVersion;
    }

    /** Takes over what the library calls it. */
    public void call(String name, Sport of) {
        title = cut(name);
        sport = of;
    }

    /** By length and purpose alone, without steps. */
    public void sketch(Purpose of, int seconds, double load) {
        purpose = of;
        plannedSeconds = seconds;
        plannedLoad = load;
        plannedSilhouette = String.format(Locale.ROOT, "%d,%.3f,%.3f", seconds, of.intensity(), of.intensity());
    }

    /** Sets in their shorthand; null for none. */
    public void lift(String sets, boolean heavy) {
        strength = sets;
        heavyLegs = heavy;
    }

    public void heavyLegs(boolean heavy) {
        heavyLegs = heavy;
    }

    /** What sets are expected to cost; their load is null where it cannot be told. */
    public void expect(Purpose of, int seconds, Double load, String silhouette) {
        purpose = of;
        plannedSeconds = seconds;
        plannedLoad = load;
        plannedSilhouette = silhouette;
    }

    /** What it costs was not planned. */
    public void withoutPlannedLoad() {
        plannedLoad = null;
    }

    /** Nothing is planned any more. */
    public void clearPlan() {
        clearSteps();
        strength = null;
        purpose = null;
        plannedLoad = null;
        plannedSeconds = null;
        plannedSilhouette = "";
    }

    /** No steps any more; length and purpose stay. */
    public void clearSteps() {
        structure = null;
        workoutId = null;
        workoutVersion = null;
        scalePercent = 100;
    }

    /** What a person tells of a session without a recording. @param effort 0 to 10; null for none, as {@code metres} */
    public record Told(int seconds, Double metres, Double effort, String note) {
        public static Told lasting(int seconds, Double effort) {
            return new Told(seconds, null, effort, "");
        }
    }

    /** @param load null when it is not known */
    public void tell(Told told, Double load) {
        doneSeconds = told.seconds();
        doneMetres = told.metres();
        doneEffort = told.effort();
        doneNote = told.note();
        doneLoad = load;
    }

    public void untell() {
        doneSeconds = null;
        doneMetres = null;
        doneEffort = null;
        doneNote = null;
        doneLoad = null;
    }

    /** @param what null takes the recording away */
    public void record(RecordedRow what) {
        recording = what;
    }

    /** Takes over the words that describe another one. */
    public void describeAs(SessionRow other) {
        kind = other.kind;
        equipment = other.equipment;
        surface = other.surface;
        weather = other.weather;
        tags = other.tags;
    }

    public void kind(String words) {
        kind = words;
    }

    public void equipment(String words) {
        equipment = words;
    }

    public void surface(String words) {
        surface = words;
    }

    public void weather(String words) {
        weather = words;
    }

    public void tags(String joined) {
        tags = joined;
    }

    /** @param cut null where laps or the pattern say it */
    public void stretches(String cut) {
        stretches = cut;
    }

    /** @param words null for the computed one */
    public void verdict(String words) {
        verdict = words;
    }

    public Long id() {
        return id;
    }

    public Long athleteId() {
        return athleteId;
    }

    public LocalDate day() {
        return day;
    }

    public Integer startMinute() {
        return startMinute;
    }

    public Sport sport() {
        return sport;
    }

    public String title() {
        return title;
    }

    public String strength() {
        return strength;
    }

    public Boolean heavyLegs() {
        return heavyLegs;
    }

    public int scalePercent() {
        return scalePercent;
    }

    public Long workoutId() {
        return workoutId;
    }

    public Integer workoutVersion() {
        return workoutVersion;
    }

    public Integer plannedSeconds() {
        return plannedSeconds;
    }

    public Double plannedLoad() {
        return plannedLoad;
    }

    public Purpose purpose() {
        return purpose;
    }

    public Integer doneSeconds() {
        return doneSeconds;
    }

    public Double doneEffort() {
        return doneEffort;
    }

    public boolean placed() {
        return placed;
    }

    public String kind() {
        return kind;
    }

    public String equipment() {
        return equipment;
    }

    public String surface() {
        return surface;
    }

    public String weather() {
        return weather;
    }

    public String tags() {
        return tags;
    }

    public String stretches() {
        return stretches;
    }

    public String verdict() {
        return verdict;
    }

    public boolean draft() {
        return draft;
    }

    public boolean coached() {
        return coached;
    }

    public int version() {
        return version;
    }

    public RecordedRow recording() {
        return recording;
    }
}
