package pemblar.app.evidence;

import java.time.InstantSource;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.AthleteService;
import pemblar.app.effort.EffortService;
import pemblar.app.effort.EffortService.Scope;
import pemblar.app.frame.NotFoundException;
import pemblar.app.frame.Visit;
import pemblar.app.session.reading.SessionEfforts;
import pemblar.app.threshold.ThresholdService;
import pemblar.core.effort.BestCurve;
import pemblar.core.effort.BestCurve.Point;
import pemblar.core.model.CriticalPower;
import pemblar.core.model.PowerDuration;
import pemblar.core.range.DayRange;
import pemblar.core.sport.Measure;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.AllOut;
import pemblar.core.threshold.Endurance;
import pemblar.core.threshold.Estimate;
import pemblar.core.threshold.Evidence;
import pemblar.core.threshold.Method;
import pemblar.core.threshold.Quantity;
import pemblar.core.threshold.Suggestion;
import pemblar.core.workout.Pace;

/** All evidence for an athlete's thresholds: what was kept, and what is found in the sessions by itself. */
@Service
public class EvidenceService {
    public static final int RECENT_DAYS = 90;
    private static final int YEAR = 365;
    private static final int LONGEST_REASON = 200;
    private final EvidenceRepository evidence;
    private final SetAsideRepository setAsides;
    private final EffortService efforts;
    private final SessionEfforts sessions;
    private final AthleteService athletes;
    private final InstantSource clock;
    private final ThresholdService thresholds;

    EvidenceService(
            EvidenceRepository evidence,
            SetAsideRepository setAsides,
            EffortService efforts,
            SessionEfforts sessions,
            AthleteService athletes,
            InstantSource clock,
            ThresholdService thresholds) {
        this.thresholds = thresholds;
        this.sessions = sessions;
        this.evidence = evidence;
        this.setAsides = setAsides;
        this.efforts = efforts;
        this.athletes = athletes;
        this.clock = clock;
    }

    /** All pieces for some quantities, newest first. For an athlete whom the caller has already asked for. */
    @Transactional(readOnly = true)
    public List<Piece> of(Athlete athlete, List<Quantity> quantities) {
        LocalDate today = athlete.dayOf(clock.instant());
        Map<String, String> reasons = setAsides.findByAthleteId(athlete.id()).stream()
                .collect(Collectors.toMap(r -> r.evidenceKey, r -> r.reason));
        List<Piece> pieces = new ArrayList<>();
        for (EvidenceRow row : evidence.findByAthleteIdOrderByDayDesc(athlete.id()))
            pieces.add(piece("kept-" + row.id, row.toCore(), row.sessionId, reasons, true));
        if (quantities.contains(Quantity.CRITICAL_POWER)) {
            found(athlete, today, reasons).forEach(pieces::add);
            for (SessionEfforts.BelowZero below : sessions.belowZero(athlete, today.minusDays(YEAR)))
                pieces.add(new Piece(
                        "reserve-" + below.recordingId(),
                        belowZero(below),
                        below.sessionId(),
                        reasons.get("reserve-" + below.recordingId()),
                        false,
                        below.floorWatts(),
                        Double.NaN));
        }
        return pieces.stream()
                .filter(p -> quantities.contains(p.evidence().quantity()))
                .sorted(Comparator.comparing((Piece p) -> p.evidence().day()).reversed())
                .toList();
    }

    private static Piece piece(
            String key, Evidence evidence, Long sessionId, Map<String, String> reasons, boolean kept) {
        return new Piece(key, evidence, sessionId, reasons.get(key), kept);
    }

    private static Evidence belowZero(SessionEfforts.BelowZero below) {
        double watts = below.leastCriticalWatts();
        String moment = below.second() == null ? "" : " at " + Pace.clock(below.second());
        return new Evidence(
                Sport.RIDE,
                below.day(),
                new Estimate(Quantity.CRITICAL_POWER, watts, watts, Double.POSITIVE_INFINITY),
                Method.RESERVE_BELOW_ZERO,
                below.title() + moment,
                "the reserve was spent and more: critical power or W′ may be set too low, or the power read too high");
    }

    /** CP and W′ of the model over the best efforts of the last 90 days, when there is enough evidence. */
    private List<Piece> found(Athlete athlete, LocalDate today, Map<String, String> reasons) {
        BestCurve curve =
                efforts.curve(new Scope(athlete, Sport.RIDE, Measure.POWER, DayRange.upTo(today, RECENT_DAYS)));
        Optional<CriticalPower> model = PowerDuration.of(curve).critical().filter(CriticalPower::isEnough);
        if (model.isEmpty()) return List.of();
        CriticalPower critical = model.get();
        List<Long> sources = critical.efforts().stream()
                .flatMap(e -> curve.points((int) e.seconds(), (int) e.seconds()).stream())
                .map(Point::source)
                .distinct()
                .toList();
        Map<Long, LocalDate> days = sessions.named(athlete, sources).stream()
                .collect(Collectors.toMap(SessionEfforts.Named::recordingId, SessionEfforts.Named::day));
        LocalDate newest = days.values().stream().max(Comparator.naturalOrder()).orElse(today);
        String source = critical.efforts().size() + " efforts of "
                + critical.efforts().stream().map(e -> Pace.clock(e.seconds())).collect(Collectors.joining(", "));
        List<AllOut> efforts = critical.efforts().stream()
                .flatMap(e -> curve.points((int) e.seconds(), (int) e.seconds()).stream()
                        .filter(p -> days.containsKey(p.source()))
                        .map(p -> new AllOut(days.get(p.source()), e.watts(), e.seconds())))
                .toList();
        List<Piece> both = new ArrayList<>();
        for (Estimate e : List.of(
                around(Quantity.CRITICAL_POWER, critical.watts(), critical.wattsError()),
                around(Quantity.W_PRIME, critical.reserveJoules(), critical.reserveError())))
            both.add(new Piece(
                    "bests-" + e.quantity(),
                    new Evidence(Sport.RIDE, newest, e, Method.BEST_EFFORTS, source, "", efforts),
                    null,
                    reasons.get("bests-" + e.quantity()),
                    false,
                    List.of(),
                    critical.covariance()));
        return both;
    }

    private static Estimate around(Quantity quantity, double value, double error) {
        return new Estimate(quantity, value, Math.max(value / 100, value - error), value + error);
    }

    /** What the pieces that count say together. @param wPrime the one that is valid, J */
    public static Combined combined(List<Piece> pieces, LocalDate today, OptionalDouble wPrime) {
        return Combined.of(pieces, today, wPrime);
    }

    /** The same for pages that show no more than the suggestions. */
    public static Map<Quantity, Suggestion> suggestions(List<Piece> pieces, LocalDate today) {
        return combined(pieces, today, OptionalDouble.empty()).suggestions();
    }

    /** Keeps what a calculator answered, every estimate of it. */
    @Transactional
    public void keep(Visit visit, List<Evidence> pieces, Long sessionId) {
        athletes.require(visit);
        for (Evidence piece : pieces)
            evidence.save(
                    new EvidenceRow(visit.athleteId(), visit.viewer().accountId(), piece, sessionId, clock.instant()));
    }

    @Transactional
    public void delete(Visit visit, long id) {
        athletes.require(visit);
        evidence.delete(evidence.findByIdAndAthleteId(id, visit.athleteId())
                .orElseThrow(() -> new NotFoundException("evidence")));
    }

    @Transactional
    public void setAside(Visit visit, String key, String reason) {
        athletes.require(visit);
        if (reason.isBlank() || reason.length() > LONGEST_REASON)
            throw new IllegalArgumentException(
                    "Reason: say in up to " + LONGEST_REASON + " characters why it does not count.");
        if (!key.matches("(kept|bests|reserve)-[A-Z_0-9]{1,40}")) throw new NotFoundException("evidence");
        setAsides.save(new SetAsideRow(visit.athleteId(), key, reason.strip()));
    }

    @Transactional
    public void bringBack(Visit visit, String key) {
        athletes.require(visit);
        setAsides.delete(setAsides
                .findById(new SetAsideRow.Key(visit.athleteId(), key))
                .orElseThrow(() -> new NotFoundException("evidence")));
    }

    /** The endurance exponent for power, from the athlete's best efforts of a year or the default. */
    @Transactional(readOnly = true)
    public Endurance endurance(Athlete athlete, Sport sport) {
        return Endurance.ofPower(ownBests(athlete, sport, Measure.POWER));
    }

    /** The same for a running race of a distance. */
    @Transactional(readOnly = true)
    public Endurance endurance(Athlete athlete, double metres, double seconds) {
        return Endurance.ofRunning(ownBests(athlete, Sport.RUN, Measure.SPEED), metres, seconds, athlete.sex());
    }

    /** Without what the threshold that holds says was easy. */
    private List<Point> ownBests(Athlete athlete, Sport sport, Measure measure) {
        LocalDate today = athlete.dayOf(clock.instant());
        double threshold = thresholds
                .of(athlete)
                .on(today)
                .forSport(sport)
                .get(measure == Measure.POWER ? Quantity.THRESHOLD_POWER : Quantity.THRESHOLD_SPEED)
                .orElse(Double.NaN);
        List<Point> bests = efforts.curve(new Scope(athlete, sport, measure, DayRange.upTo(today, YEAR)))
                .points(1200, 14_400);
        return Endurance.maybeAllOut(bests, sport, measure, threshold);
    }
}
