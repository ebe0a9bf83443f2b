package pemblar.app.threshold;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.LocalDate;
import pemblar.core.threshold.DatedValues.Dated;
import pemblar.core.threshold.Quantity;

@Entity
@Table(name = "dated_value")
class DatedValueRow {
    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    Long id;

    Long athleteId;

    @Enumerated(EnumType.STRING)
    Quantity quantity;

    LocalDate validFrom;
    double amount;

    protected DatedValueRow() {}

    DatedValueRow(long athleteId, Dated dated) {
        this.athleteId = athleteId;
        this.quantity = dated.quantity();
        this.validFrom = dated.from();
        this.amount = dated.value();
    }

    Dated toCore() {
        return new Dated(quantity, validFrom, amount);
    }
}
