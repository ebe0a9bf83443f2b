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

/** A place on a day: planned, done, or both. */
@Entity
@Table(name = "session")
@SQLRestriction("deleted_at is null")
class SessionRow {
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

    SessionRow(long athleteId, LocalDate day, Sport sport, String title) {
        this.athleteId = athleteId;
        this.day = day;
        this.sport = sport;
        this.title = title.length() > 80 ? title.substring(0, 80) : title;
    }

    /** It has a workout. */
    boolean isPlanned() {
        return structure != null;
    }

    /** It has a workout, or a length and a purpose. */
    boolean hasPlan() {
        return isPlanned() || purpose != null;
    }

    /** With a recording, or told to be done without one. */
    boolean isDone() {
        return recording != null || doneSeconds != null;
    }

    boolean isSeenBy(Athlete athlete) {
        return !draft || athlete.draftsSeen();
    }

    /** What it holds, at its present scale; empty for a sketch and for what was only done. */
    Optional<Design> design() {
        if (isPlanned()) return Optional.of(new Design.Endurance(workout()));
        return strength == null
                ? Optional.empty()
                : StrengthShorthand.read(strength).workout().map(Design.Strength::new);
    }

    /** The workout at its present scale. */
    Workout workout() {
        return WorkoutJson.read(structure).scaled(scalePercent / 100.0);
    }

    /** A planned session as a new one of the same design on another day. */
    SessionRow copyTo(LocalDate other) {
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
}
