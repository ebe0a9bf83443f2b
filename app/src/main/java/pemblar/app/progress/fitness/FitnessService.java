package pemblar.app.progress.fitness;

import java.time.InstantSource;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.athlete.Athlete;
import pemblar.app.frame.Recent;
import pemblar.app.recording.RecordingReading;
import pemblar.app.session.reading.SessionPieces;
import pemblar.app.threshold.ThresholdService;
import pemblar.core.aerobic.AerobicTrend;
import pemblar.core.aerobic.Pieces;
import pemblar.core.aerobic.SessionMean;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.DatedValues;
import pemblar.core.threshold.Quantity;

/** Am I getting fitter: the aerobic trend of one sport. */
@Service
class FitnessService {
    private static final int DAYS = 365;
    private static final int MOST_FITS = 100;
    private final SessionPieces pieces;
    private final RecordingReading recordings;
    private final ThresholdService thresholds;
    private final InstantSource clock;
    private final Recent<List<SessionMean>, AerobicTrend> fits = new Recent<>(MOST_FITS, AerobicTrend::of);

    FitnessService(
            SessionPieces pieces, RecordingReading recordings, ThresholdService thresholds, InstantSource clock) {
        this.pieces = pieces;
        this.recordings = recordings;
        this.thresholds = thresholds;
        this.clock = clock;
    }

    /** A sport's trend with what it rests on. */
    record Aerobic(AerobicTrend trend, FitnessWords.Basis basis) {}

    /** For an athlete whom the caller has already asked for. */
    @Transactional(readOnly = true)
    Aerobic aerobic(Athlete athlete, Sport sport) {
        LocalDate from = athlete.dayOf(clock.instant()).minusDays(DAYS);
        Reserve reserve = new Reserve(thresholds.of(athlete));
        List<SessionPieces.Piece> all = pieces.from(athlete, sport, from);
        Map<Long, List<SessionPieces.Piece>> bySession = all.stream()
                .filter(p -> isWithin(reserve.fraction(p)))
                .collect(
                        Collectors.groupingBy(SessionPieces.Piece::sessionId, LinkedHashMap::new, Collectors.toList()));
        List<SessionMean> means = new ArrayList<>();
        bySession.forEach((id, list) -> means.add(mean(id, list, reserve)));
        long steady = all.stream()
                .mapToLong(SessionPieces.Piece::sessionId)
                .distinct()
                .count();
        return new Aerobic(fits.of(means), basis(recordings.counted(athlete, sport, from), (int) steady, bySession));
    }

    private static FitnessWords.Basis basis(
            RecordingReading.Counted counted, int steady, Map<Long, List<SessionPieces.Piece>> within) {
        int told = counted.recordings() - counted.withoutHeartRate() - counted.withoutOutput();
        return new FitnessWords.Basis(
                counted.recordings(),
                counted.withoutHeartRate(),
                counted.withoutOutput(),
                Math.max(0, told - steady),
                steady - within.size(),
                within.size(),
                within.values().stream().mapToInt(List::size).sum(),
                sessions(within, p -> p.sky() && !Double.isNaN(p.celsius())),
                within.size() - sessions(within, p -> !Double.isNaN(p.celsius())));
    }

    private static int sessions(Map<Long, List<SessionPieces.Piece>> all, Predicate<SessionPieces.Piece> any) {
        return (int) all.values().stream().filter(s -> s.stream().anyMatch(any)).count();
    }

    private static boolean isWithin(double fraction) {
        return fraction >= Pieces.LEAST_RESERVE && fraction <= Pieces.MOST_RESERVE;
    }

    /** Share of the heart-rate reserve; what holds on a day is looked up once for all of its stretches. */
    private static final class Reserve {
        private final DatedValues values;
        private final Map<LocalDate, double[]> byDay = new HashMap<>();

        Reserve(DatedValues values) {
            this.values = values;
        }

        double fraction(SessionPieces.Piece p) {
            double[] held = byDay.computeIfAbsent(p.day(), day ->
                    new double[] {value(Quantity.RESTING_HEART_RATE, day), value(Quantity.MAXIMUM_HEART_RATE, day)});
            return (p.bpm() - held[0]) / (held[1] - held[0]);
        }

        private double value(Quantity quantity, LocalDate day) {
            return values.latest(quantity, day).map(d -> d.value()).orElse(Double.NaN);
        }
    }

    private static SessionMean mean(long id, List<SessionPieces.Piece> list, Reserve reserve) {
        double heat = list.stream()
                .mapToDouble(p -> Double.isNaN(p.celsius()) ? 0 : Math.max(0, p.celsius() - AerobicTrend.COOL_CELSIUS))
                .average()
                .orElse(0);
        double hours =
                list.stream().mapToDouble(SessionPieces.Piece::hours).average().orElse(0);
        double log = list.stream()
                .mapToDouble(p -> Math.log(p.output() / reserve.fraction(p)))
                .average()
                .orElse(0);
        return new SessionMean(
                String.valueOf(id), list.get(0).day(), list.get(0).surface(), heat, hours, log, list.size());
    }

    /**
     * Sports of which a heart beat's worth can be told: power on wheels, or speed of which hills have a known cost;
     * never empty.
     */
    static List<Sport> told(Athlete athlete) {
        List<Sport> told = athlete.sports().stream()
                .filter(s -> s.onWheels() || s.hillsCost())
                .toList();
        return told.isEmpty() ? List.of(athlete.first()) : told;
    }
}
