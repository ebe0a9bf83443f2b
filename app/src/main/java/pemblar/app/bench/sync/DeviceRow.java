package pemblar.app.bench.sync;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;

@Entity
@Table(name = "device")
class DeviceRow {
    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    Long id;

    Long athleteId;
    Long accountId;
    String name;
    String tokenSha256;
    boolean revoked;
    Instant createdAt;
    Instant lastSync;

    protected DeviceRow() {}

    DeviceRow(long athleteId, long accountId, String name, String tokenSha256, Instant createdAt) {
        this.athleteId = athleteId;
        this.accountId = accountId;
        this.name = name;
        this.tokenSha256 = tokenSha256;
        this.createdAt = createdAt;
    }
}
