package pemblar.app.threshold;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import pemblar.core.zone.ZoneScheme;
import pemblar.formats.json.ZoneSchemeJson;

/** A scheme that a person saved under a name of their own. */
@Entity
@Table(name = "zone_scheme")
class ZoneSchemeRow {
    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    Long id;

    Long accountId;
    String name;

    @JdbcTypeCode(SqlTypes.JSON)
    String scheme;

    protected ZoneSchemeRow() {}

    ZoneSchemeRow(long accountId, ZoneScheme scheme) {
        this.accountId = accountId;
        fill(scheme);
    }

    void fill(ZoneScheme of) {
        this.name = of.name();
        this.scheme = ZoneSchemeJson.write(of);
    }

    ZoneScheme toCore() {
        return ZoneSchemeJson.read(scheme);
    }
}
