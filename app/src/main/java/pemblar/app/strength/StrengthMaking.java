package pemblar.app.strength;

import java.time.InstantSource;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.function.DoubleUnaryOperator;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.athlete.Athlete;
import pemblar.app.frame.Viewer;
import pemblar.app.frame.Visit;
import pemblar.app.session.done.LiftedSessions;
import pemblar.app.strength.design.StrengthLibrary;
import pemblar.app.strength.design.Strokes;
import pemblar.app.strength.maximum.MaximaService;
import pemblar.core.strength.LoggedSet.Counts;
import pemblar.core.strength.Prescription.Row;
import pemblar.core.strength.StrengthShorthand;
import pemblar.core.strength.StrengthText;
import pemblar.core.strength.StrengthWorkout;

/** Makes a whole past of strength work at once, as a demo needs it: sessions, their sets, and the maxima they moved. */
@Service
public class StrengthMaking {
    private static final int MINUTE = 18 * 60;
    private final LiftedSessions sessions;
    private final MaximaService maxima;
    private final StrengthLibrary library;
    private final JdbcTemplate sql;
    private final InstantSource clock;

    StrengthMaking(
            LiftedSessions sessions,
            MaximaService maxima,
            StrengthLibrary library,
            JdbcTemplate sql,
            InstantSource clock) {
        this.sessions = sessions;
        this.maxima = maxima;
        this.library = library;
        this.sql = sql;
        this.clock = clock;
    }

    @Transactional
    public void keep(Viewer viewer, String title, String text) {
        library.save(viewer, null, new StrengthLibrary.Label(title, "", "", true), text);
    }

    @Transactional
    public void maximum(Visit visit, MaximaService.New maximum) {
        maxima.set(visit, maximum);
    }

    @Transactional
    public void link(Visit visit, MaximaService.Link link) {
        maxima.link(visit, link);
    }

    /** @param text in the shorthand of strength */
    public record Wanted(LocalDate day, String title, String text) {}

    /**
     * A session on a day; behind today it was lifted as prescribed.
     *
     * @param able repetitions that were done where so many were asked for; of a set to as many as possible, what came
     *     of it
     */
    @Transactional
    public void session(Visit visit, Athlete athlete, Wanted wanted, DoubleUnaryOperator able) {
        LocalDate day = wanted.day();
        StrengthWorkout workout =
                StrengthShorthand.read(wanted.text()).workout().orElseThrow();
        MaximaService.Strength strength = maxima.on(athlete, day, workout.exercises());
        List<Row> rows = strength.rows(workout);
        LiftedSessions.Prepared prepared = new LiftedSessions.Prepared(
                wanted.title(), StrengthText.of(workout), workout.seconds(), workout.load(), Strokes.shares(rows));
        if (!day.isBefore(athlete.dayOf(clock.instant()))) {
            sessions.add(visit.athleteId(), day, MINUTE, prepared);
            return;
        }
        long id = sessions.addDone(visit.athleteId(), day, MINUTE, prepared, StrengthWorkout.PLANNED_EFFORT);
        double body = strength.bodyKilograms().orElse(0);
        List<Object[]> sets = new ArrayList<>();
        for (int place = 0; place < rows.size(); place++) {
            Row row = rows.get(place);
            int asked = row.set().repetitions();
            int lifted = row.set().asManyAsPossible() ? (int) able.applyAsDouble(asked) : asked;
            sets.add(set(visit, id, place, new Done(row, kilograms(row, body), lifted)));
        }
        sql.batchUpdate(
                "insert into strength_set (athlete_id, session_id, client_key, place, exercise, "
                        + "load_kilograms, repetitions,"
                        + " held_seconds, in_reserve, test, warm_up, counts, repetition_maximum, prescribed, "
                        + "note, entered_by, done_at)"
                        + " values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, null, ?, '', ?, ?)",
                sets);
    }

    /** A set as it was lifted. */
    private record Done(Row row, double kilograms, int repetitions) {}

    private static double kilograms(Row row, double bodyKilograms) {
        boolean body = row.set().load() instanceof pemblar.core.strength.SetLoad.BodyMass;
        return Math.max(0, row.shownKilograms().orElse(0) + (body ? bodyKilograms : 0));
    }

    private Object[] set(Visit visit, long id, int place, Done done) {
        Row row = done.row();
        Counts counts = row.warmUp() ? Counts.NONE : row.lift().counts();
        return new Object[] {
            visit.athleteId(),
            id,
            "p" + place + "-" + row.lift().exercise(),
            place,
            row.lift().exercise(),
            done.kilograms(),
            done.repetitions(),
            row.set().heldSeconds(),
            row.warmUp() || row.set().heldSeconds() > 0 ? null : 2,
            row.set().asManyAsPossible(),
            row.warmUp(),
            counts.name(),
            row.shownKilograms().isPresent() ? row.shownKilograms().getAsDouble() : null,
            visit.viewer().name(),
            clock.instant().atOffset(ZoneOffset.UTC)
        };
    }
}
