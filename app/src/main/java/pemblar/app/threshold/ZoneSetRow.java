package pemblar.app.threshold;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.LocalDate;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import pemblar.core.sport.Measure;
import pemblar.core.sport.Sport;
import pemblar.core.zone.DatedZones;
import pemblar.core.zone.Zones;
import pemblar.formats.json.ZoneSchemeJson;

/** A scheme that an athlete took up for a sport, from a day on. */
@Entity
@Table(name = "zone_set")
class ZoneSetRow {
    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    Long id;

    Long athleteId;

    @Enumerated(EnumType.STRING)
    Sport sport;

    @Enumerated(EnumType.STRING)
    Measure measure;

    LocalDate validFrom;

    @JdbcTypeCode(SqlTypes.JSON)
    String scheme;

    Long schemeId;

    protected ZoneSetRow() {}

    ZoneSetRow(long athleteId, DatedZones.Dated set, Long schemeId) {
        this.athleteId = athleteId;
        this.sport = set.key().sport();
        this.measure = set.key().measure();
        this.validFrom = set.from();
        this.scheme = ZoneSchemeJson.write(set.scheme());
        this.schemeId = schemeId;
    }

    DatedZones.Dated toCore() {
        return new DatedZones.Dated(new Zones.Key(sport, measure), validFrom, ZoneSchemeJson.read(scheme));
    }
}
