package pemblar.app.checkin;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.InstantSource;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.NavigableMap;
import java.util.TreeMap;
import java.util.function.Function;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.AthleteService;
import pemblar.app.frame.Once;
import pemblar.app.frame.Visit;
import pemblar.core.checkin.Bands;
import pemblar.core.checkin.Measure;

/** Keeps check-ins and says where they stand. One a day and source; the hand wins, and every source is kept. */
@Service
public class CheckinService {
    private static final int DAYS_BEFORE = 35;
    private final JdbcClient sql;
    private final AthleteService athletes;
    private final InstantSource clock;
    private final ApplicationEventPublisher events;

    CheckinService(JdbcClient sql, AthleteService athletes, InstantSource clock, ApplicationEventPublisher events) {
        this.sql = sql;
        this.athletes = athletes;
        this.clock = clock;
        this.events = events;
    }

    /** Where a value comes from, the strongest first. */
    public enum Source {
        HAND,
        FILE,
        DEVICE,
        SENSOR
    }

    /** Something about an athlete changed that proposals rest on. */
    public record Changed(long athleteId) {}

    /**
     * Keeps one morning; an empty one takes away what this source said. @throws IllegalArgumentException for a day to
     * come
     */
    @Transactional
    public void keep(Visit visit, Source source, Checkin checkin) {
        Athlete athlete = athletes.require(visit);
        write(athlete, source, visit.viewer().name(), checkin);
        events.publishEvent(new Changed(visit.athleteId()));
    }

    /** Many mornings at once, all or none. */
    @Transactional
    public int keepAll(Visit visit, Source source, List<Checkin> all) {
        Athlete athlete = athletes.require(visit);
        for (Checkin checkin : all) write(athlete, source, visit.viewer().name(), checkin);
        events.publishEvent(new Changed(visit.athleteId()));
        return all.size();
    }

    private void write(Athlete athlete, Source source, String by, Checkin c) {
        LocalDate today = athlete.dayOf(clock.instant());
        if (c.day().isAfter(today))
            throw new IllegalArgumentException(
                    "Day: " + c.day() + " is still to come; the latest possible is " + today + ".");
        if (c.day().isBefore(today.minusYears(30)))
            throw new IllegalArgumentException("Day: " + c.day() + " is too far back.");
        sql.sql("delete from checkin where athlete_id = ? and day = ? and source = ?")
                .params(athlete.id(), c.day(), source.name())
                .update();
        if (c.isEmpty()) return;
        sql.sql("insert into checkin (athlete_id, day, source, resting_heart_rate, rmssd, "
                        + "sleep_minutes, soreness, mood, stress, energy, body_mass, illness, injury, "
                        + "note, entered_by, entered_at) values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)")
                .params(
                        athlete.id(),
                        c.day(),
                        source.name(),
                        c.restingHeartRate(),
                        c.rmssd(),
                        c.sleepMinutes(),
                        c.soreness(),
                        c.mood(),
                        c.stress(),
                        c.energy(),
                        c.bodyMass(),
                        c.illness(),
                        c.injury(),
                        c.note(),
                        by,
                        clock.instant().atOffset(ZoneOffset.UTC))
                .update();
    }

    /** For making the demo. */
    @Transactional
    public void make(Athlete athlete, Source source, List<Checkin> all) {
        for (Checkin checkin : all) write(athlete, source, "", checkin);
    }

    /** Every day that says something, all sources together. For an athlete whom the caller has already asked for. */
    @Transactional(readOnly = true)
    public NavigableMap<LocalDate, Checkin> between(Athlete athlete, LocalDate from, LocalDate to) {
        return Once.of("checkins", List.of(athlete, from, to), () -> look(athlete, from, to));
    }

    private NavigableMap<LocalDate, Checkin> look(Athlete athlete, LocalDate from, LocalDate to) {
        NavigableMap<LocalDate, Checkin> days = new TreeMap<>();
        sql.sql("select * from checkin where athlete_id = ? and day between ? and ? order by day, "
                        + "case source when 'HAND' then 0 when 'FILE' then 1 when 'DEVICE' then 2 else 3 end")
                .params(athlete.id(), from, to)
                .query((rs, i) -> checkin(rs))
                .list()
                .forEach(c -> days.merge(c.day(), c, Checkin::over));
        return Collections.unmodifiableNavigableMap(days);
    }

    /** The bands of each measure as of a day. */
    public List<Bands> bands(NavigableMap<LocalDate, Checkin> days, LocalDate on) {
        List<Bands> all = new ArrayList<>();
        for (Measure measure : Measure.values()) all.add(Bands.of(measure, values(days, value(measure)), on));
        return all;
    }

    public List<Bands> bands(Athlete athlete, LocalDate on) {
        return bands(between(athlete, on.minusDays(DAYS_BEFORE), on), on);
    }

    static Function<Checkin, Double> value(Measure measure) {
        return switch (measure) {
            case RESTING_HEART_RATE -> Checkin::restingHeartRate;
            case VARIABILITY -> Checkin::rmssd;
            case SLEEP -> Checkin::sleepMinutes;
        };
    }

    static NavigableMap<LocalDate, Double> values(
            NavigableMap<LocalDate, Checkin> days, Function<Checkin, Double> value) {
        NavigableMap<LocalDate, Double> values = new TreeMap<>();
        days.forEach((day, c) -> {
            if (value.apply(c) != null) values.put(day, value.apply(c));
        });
        return values;
    }

    private static Checkin checkin(ResultSet rs) throws SQLException {
        return new Checkin(
                rs.getObject("day", LocalDate.class),
                rs.getObject("resting_heart_rate", Double.class),
                rs.getObject("rmssd", Double.class),
                rs.getObject("sleep_minutes", Double.class),
                rs.getObject("soreness", Integer.class),
                rs.getObject("mood", Integer.class),
                rs.getObject("stress", Integer.class),
                rs.getObject("energy", Integer.class),
                rs.getObject("body_mass", Double.class),
                rs.getString("illness"),
                rs.getString("injury"),
                rs.getString("note"));
    }
}
