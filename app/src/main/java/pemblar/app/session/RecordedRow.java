package pemblar.app.session;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.time.LocalDate;
import org.hibernate.annotations.Immutable;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.annotations.Synchronize;
import org.hibernate.type.SqlTypes;
import pemblar.core.sport.Sport;

/**
 * The figures of a session's recording, read from the view that recordings publish; what one transaction has read of it
 * does not follow what the same transaction changes.
 */
@Entity
@Immutable
@Synchronize("recording") // so that changes of the recording are written before this is asked for
@Table(name = "recorded")
public class RecordedRow {
    @Id
    Long id;

    Long athleteId;

    @Enumerated(EnumType.STRING)
    Sport sport;

    LocalDate day;
    String fileName;
    Instant startedAt;
    Instant endedAt;
    int timerSeconds;
    Double distanceMetres;
    Double equivalentWatts;
    Double meanBpm;
    Double meanSpeed;
    Double flatSpeed;
    Double intensity;
    Double lowestReserveJoules;
    Integer lowestReserveSecond;
    Double leastCriticalWatts;

    @JdbcTypeCode(SqlTypes.ARRAY)
    Double[] floorWatts;

    Double loadPoints;
    String loadSource;

    @JdbcTypeCode(SqlTypes.JSON)
    String zones;

    String silhouette;
    Double perceivedEffort;
    Boolean targetsBeaten;
    int revision;
    int doubts;
    String doubtWords;
    Double mendedLoad;

    protected RecordedRow() {}

    public Long id() {
        return id;
    }

    public Long athleteId() {
        return athleteId;
    }

    public Sport sport() {
        return sport;
    }

    public LocalDate day() {
        return day;
    }

    public String fileName() {
        return fileName;
    }

    public Double intensity() {
        return intensity;
    }

    public Integer lowestReserveSecond() {
        return lowestReserveSecond;
    }

    public Double leastCriticalWatts() {
        return leastCriticalWatts;
    }

    public Double[] floorWatts() {
        return floorWatts;
    }

    public Double loadPoints() {
        return loadPoints;
    }

    public String zones() {
        return zones;
    }

    public String silhouette() {
        return silhouette;
    }

    public Double perceivedEffort() {
        return perceivedEffort;
    }

    public int revision() {
        return revision;
    }

    public int doubts() {
        return doubts;
    }

    public String doubtWords() {
        return doubtWords;
    }

    public Double mendedLoad() {
        return mendedLoad;
    }
}
