package pemblar.app.session.reading;

import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.athlete.Athlete;
import pemblar.app.load.TrendService;
import pemblar.app.load.TrendService.Trend;
import pemblar.app.session.SessionRow;
import pemblar.app.session.TrainingSessionRepository;
import pemblar.core.load.LoadTrend;
import pemblar.core.mending.Proposal;
import pemblar.core.range.DayRange;
import pemblar.core.sport.Sport;

/** Recordings that are probably wrong somewhere and wait to be mended, and what that does to what rests on them. */
@Service
public class DoubtService {
    private static final int DAYS = 42;
    private static final int NEWEST_DAYS = 3;
    private static final int MOST = 10;
    private static final int MOST_OF_EFFORTS = 500;
    private static final double MATTERS_POINTS = 5;
    private final TrainingSessionRepository sessions;
    private final TrendService trends;

    DoubtService(TrainingSessionRepository sessions, TrendService trends) {
        this.sessions = sessions;
        this.trends = trends;
    }

    /** @param load that counts now; {@code mended} that would count; either null when there is none */
    public record Doubt(long sessionId, String title, LocalDate day, String words, Double load, Double mended) {
        /** Mending it changes the load by more than a few points. */
        public boolean matters() {
            return load != null && mended != null && Math.abs(load - mended) >= MATTERS_POINTS;
        }

        /** What mending does, in words; a load that changes by a point is not said to stay. */
        public String sentence() {
            String probably = "Probably " + words + ".";
            if (load == null || mended == null) return probably;
            return Math.round(load) == Math.round(mended)
                    ? probably + " The load stays at " + Math.round(load) + "."
                    : probably + " Load " + Math.round(load) + " would be " + Math.round(mended) + ".";
        }
    }

    /**
     * What waits, the latest first.
     *
     * @param balance this morning as it stands, {@code mended} with all of it mended; null when that changes nothing
     */
    public record Waiting(List<Doubt> doubts, Double balance, Double mended) {
        public boolean isEmpty() {
            return doubts.isEmpty();
        }
    }

    /** Of the last 42 days what changes a load, and of the last 3 days anything; for an athlete already asked for. */
    @Transactional(readOnly = true)
    public Waiting waiting(Athlete athlete, Trend trend) {
        LocalDate today = trend.today();
        List<Doubt> doubts = sessions.doubted(athlete.id(), today.minusDays(DAYS), MOST).stream()
                .map(DoubtService::doubt)
                .filter(d -> d.matters() || !d.day().isBefore(today.minusDays(NEWEST_DAYS)))
                .toList();
        Map<LocalDate, Double> changes = new HashMap<>();
        for (Doubt d : doubts) if (d.matters()) changes.merge(d.day(), d.mended() - d.load(), Double::sum);
        LoadTrend.Day now = trend.on(today);
        if (changes.isEmpty() || now == null) return new Waiting(doubts, null, null);
        LoadTrend.Day mended = trends.with(athlete, trend, changes).on(today);
        return new Waiting(doubts, now.balance(), mended == null ? null : (Double) mended.balance());
    }

    /** Of some days what changes best efforts in a sport, and so what is read from them, the latest first. */
    @Transactional(readOnly = true)
    public Waiting ofEfforts(Athlete athlete, Sport sport, DayRange days) {
        return new Waiting(
                efforts(athlete, sport, days)
                        .limit(MOST)
                        .map(DoubtService::doubt)
                        .toList(),
                null,
                null);
    }

    /** The recordings of those. */
    @Transactional(readOnly = true)
    public Set<Long> recordingsOfEfforts(Athlete athlete, Sport sport, DayRange days) {
        return efforts(athlete, sport, days).map(s -> s.recording().id()).collect(Collectors.toSet());
    }

    private Stream<SessionRow> efforts(Athlete athlete, Sport sport, DayRange days) {
        return sessions.doubted(athlete.id(), days.from(), MOST_OF_EFFORTS).stream()
                .filter(s -> s.sport() == sport
                        && !s.day().isAfter(days.to())
                        && Proposal.Kind.isOfEfforts(s.recording().doubtWords()));
    }

    /** Those of some sessions that are in doubt, by their ids; for an athlete already asked for. */
    @Transactional(readOnly = true)
    public Map<Long, Doubt> of(Athlete athlete, List<Long> ids) {
        Map<Long, Doubt> all = new HashMap<>();
        if (ids.isEmpty()) return all;
        for (SessionRow row : sessions.all(athlete.id(), ids))
            if (row.recording() != null && row.recording().doubts() > 0) all.put(row.id(), doubt(row));
        return all;
    }

    private static Doubt doubt(SessionRow row) {
        return new Doubt(
                row.id(),
                row.title(),
                row.day(),
                row.recording().doubtWords(),
                row.recording().loadPoints(),
                row.recording().mendedLoad());
    }
}
