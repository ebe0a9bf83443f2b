package pemblar.app.evidence;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.stream.IntStream;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.AllOut;
import pemblar.core.threshold.Estimate;
import pemblar.core.threshold.Evidence;
import pemblar.core.threshold.Method;
import pemblar.core.threshold.Quantity;

/** Evidence that a person kept: typed, or taken from a stretch of a session. */
@Entity
@Table(name = "evidence")
class EvidenceRow {
    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    Long id;

    Long athleteId;
    Long accountId;

    @Enumerated(EnumType.STRING)
    Sport sport;

    @Enumerated(EnumType.STRING)
    Quantity quantity;

    @Enumerated(EnumType.STRING)
    Method method;

    LocalDate day;
    double best;
    double low;
    double high;
    String source;
    String remark;
    Long sessionId;
    Instant createdAt;
    LocalDate[] effortDays;
    double[] effortLevels;
    double[] effortSeconds;

    protected EvidenceRow() {}

    EvidenceRow(long athleteId, long accountId, Evidence evidence, Long sessionId, Instant createdAt) {
        this.athleteId = athleteId;
        this.accountId = accountId;
        this.sport = evidence.sport();
        this.quantity = evidence.quantity();
        this.method = evidence.method();
        this.day = evidence.day();
        this.best = evidence.estimate().best();
        this.low = evidence.estimate().low();
        this.high = evidence.estimate().high();
        this.source = evidence.source();
        this.remark = evidence.remark();
        this.sessionId = sessionId;
        this.createdAt = createdAt;
        List<AllOut> efforts = evidence.efforts();
        this.effortDays = efforts.stream().map(AllOut::day).toArray(LocalDate[]::new);
        this.effortLevels = efforts.stream().mapToDouble(AllOut::level).toArray();
        this.effortSeconds = efforts.stream().mapToDouble(AllOut::seconds).toArray();
    }

    Evidence toCore() {
        return new Evidence(sport, day, new Estimate(quantity, best, low, high), method, source, remark, efforts());
    }

    private List<AllOut> efforts() {
        return IntStream.range(0, effortDays.length)
                .mapToObj(i -> new AllOut(effortDays[i], effortLevels[i], effortSeconds[i]))
                .toList();
    }
}
