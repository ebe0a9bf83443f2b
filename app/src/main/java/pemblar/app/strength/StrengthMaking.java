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
    public void maximum(Visit visit, String exercise, LocalDate day, double kilograms, String said) {
        maxima.set(visit, exercise, day, kilograms, said, null);
    }

    @Transactional
    public void link(Visit visit, String exercise, String of, double percent, boolean reportsBack) {
        maxima.link(visit, new MaximaService.Link(exercise, of, percent, reportsBack));
    }

    /**
     * A session on a day; behind today it was lifted as prescribed.
     *
     * @param able repetitions that were done where so many were asked for; of a set to as many as possible, what came
     *     of it
     */
    @Transactional
    public void session(
            Visit visit, Athlete athlete, LocalDate day, String title, String text, DoubleUnaryOperator able) {
        StrengthWorkout workout = StrengthShorthand.read(text).workout().orElseThrow();
        MaximaService.Strength strength = maxima.on(athlete, day, workout.exercises());
        List<Row> rows = strength.rows(workout);
        LiftedSessions.Prepared prepared = new LiftedSessions.Prepared(
                title, StrengthText.of(workout), workout.seconds(), workout.load(), Strokes.shares(rows));
        if (!day.isBefore(athlete.dayOf(clock.instant()))) {
            sessions.add(visit.athleteId(), day, MINUTE, prepared);
            return;
        }
        long id = sessions.addDone(visit.athleteId(), day, MINUTE, prepared, StrengthWorkout.PLANNED_EFFORT);
        List<Object[]> sets = new ArrayList<>();
        for (int place = 0; place < rows.size(); place++)
            sets.add(set(visit.athleteId(), id, visit.viewer(), place, rows.get(place), strength, able));
        sql.batchUpdate(
                "insert into strength_set (athlete_id, session_id, client_key, place, exercise, "
                        + "load_kilograms, repetitions,"
                        + " held_seconds, in_reserve, test, warm_up, counts, repetition_maximum, prescribed, "
                        + "note, entered_by, done_at)"
                        + " values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, null, ?, '', ?, ?)",
                sets);
    }

    private Object[] set(
            long athleteId,
            long id,
            Viewer viewer,
            int place,
            Row row,
            MaximaService.Strength strength,
            DoubleUnaryOperator able) {
        boolean body = row.set().load() instanceof pemblar.core.strength.SetLoad.BodyMass;
        double kilograms = Math.max(
                0,
                row.shownKilograms().orElse(0)
                        + (body ? strength.bodyKilograms().orElse(0) : 0));
        int asked = row.set().repetitions();
        int lifted = row.set().asManyAsPossible() ? (int) able.applyAsDouble(asked) : asked;
        Counts counts = row.warmUp() ? Counts.NONE : row.lift().counts();
        return new Object[] {
            athleteId,
            id,
            "p" + place + "-" + row.lift().exercise(),
            place,
            row.lift().exercise(),
            kilograms,
            lifted,
            row.set().heldSeconds(),
            row.warmUp() || row.set().heldSeconds() > 0 ? null : 2,
            row.set().asManyAsPossible(),
            row.warmUp(),
            counts.name(),
            row.shownKilograms().isPresent() ? row.shownKilograms().getAsDouble() : null,
            viewer.name(),
            clock.instant().atOffset(ZoneOffset.UTC)
        };
    }
}
