package pemblar.app.recording.anew;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.Set;
import java.util.stream.Collectors;
import pemblar.core.load.SessionSummary.Part;
import pemblar.core.sport.Sport;

@Entity
@Table(name = "recomputation")
class RecomputationRow {
    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    Long id;

    Long athleteId;
    LocalDate fromDay;
    LocalDate untilDay;
    int total;
    int done;
    long lastRecordingId;
    String parts;
    String sports;

    protected RecomputationRow() {}

    RecomputationRow(
            long athleteId, LocalDate fromDay, LocalDate untilDay, int total, Set<Sport> sports, Set<Part> parts) {
        this.athleteId = athleteId;
        this.fromDay = fromDay;
        this.untilDay = untilDay;
        this.total = total;
        this.sports = sports.stream().map(Enum::name).collect(Collectors.joining(","));
        this.parts = parts.stream().map(Enum::name).collect(Collectors.joining(","));
    }

    Set<Sport> sports() {
        return Arrays.stream(sports.split(","))
                .map(Sport::valueOf)
                .collect(Collectors.toCollection(() -> EnumSet.noneOf(Sport.class)));
    }

    Set<Part> parts() {
        return Arrays.stream(parts.split(","))
                .map(Part::valueOf)
                .collect(Collectors.toCollection(() -> EnumSet.noneOf(Part.class)));
    }
}
