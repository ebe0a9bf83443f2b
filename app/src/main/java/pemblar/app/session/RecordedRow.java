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
class RecordedRow {
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
}
