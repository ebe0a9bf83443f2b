package pemblar.app.bench.sync;

import java.time.Instant;
import java.time.InstantSource;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.athlete.AthleteService;
import pemblar.app.frame.NotFoundException;
import pemblar.app.frame.Secret;
import pemblar.app.frame.Viewer;
import pemblar.app.frame.Visit;

/** Devices that sync over HTTP with a token of their own, which can be revoked. */
@Service
public class DeviceService {
    private final DeviceRepository devices;
    private final AthleteService athletes;
    private final InstantSource clock;

    DeviceService(DeviceRepository devices, AthleteService athletes, InstantSource clock) {
        this.devices = devices;
        this.athletes = athletes;
        this.clock = clock;
    }

    public record Known(long id, String name, boolean revoked, Instant lastSync) {
        public String state() {
            if (revoked) return "revoked";
            return lastSync == null ? "has not synced yet" : "synced";
        }
    }

    /** A device that asks: whose it is, and in whose name it acts. */
    record Asking(long athleteId, Viewer viewer, boolean revoked) {}

    @Transactional(readOnly = true)
    public List<Known> of(Visit visit) {
        athletes.require(visit);
        return devices.findByAthleteIdOrderByName(visit.athleteId()).stream()
                .map(d -> new Known(d.id, d.name, d.revoked, d.lastSync))
                .toList();
    }

    /** Makes a token for a new device. It is told once and cannot be read again. */
    @Transactional
    public String add(Visit visit, String name) {
        athletes.require(visit);
        if (name.isBlank() || name.length() > 60) throw new IllegalArgumentException("Name: enter 1 to 60 characters.");
        String token = Secret.random();
        devices.save(new DeviceRow(
                visit.athleteId(), visit.viewer().accountId(), name.strip(), Secret.hash(token), clock.instant()));
        return token;
    }

    @Transactional
    public void revoke(Visit visit, long deviceId, boolean revoked) {
        athletes.require(visit);
        devices.findByIdAndAthleteId(deviceId, visit.athleteId())
                .orElseThrow(() -> new NotFoundException("device"))
                .revoked = revoked;
    }

    /** Empty for a token that nobody gave out. */
    @Transactional
    Optional<Asking> asking(String token) {
        Optional<DeviceRow> row = devices.findByTokenSha256(Secret.hash(token));
        row.filter(d -> !d.revoked).ifPresent(d -> d.lastSync = clock.instant());
        return row.map(d -> new Asking(d.athleteId, new Viewer(d.accountId, d.name), d.revoked));
    }
}
