package pemblar.app.season;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.LocalDate;
import pemblar.core.season.Priority;

@Entity
@Table(name = "event")
class EventRow {
    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    Long id;
    Long athleteId;
    LocalDate day;
    String name;
    @Enumerated(EnumType.STRING)
    Priority priority;

    protected EventRow() {}

    EventRow(long athleteId, LocalDate day, String name, Priority priority) {
        this.athleteId = athleteId;
        this.day = day;
        this.name = name;
        this.priority = priority;
    }
}
