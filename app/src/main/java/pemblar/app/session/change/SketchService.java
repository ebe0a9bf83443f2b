package pemblar.app.session.change;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.athlete.Athlete;
import pemblar.app.frame.Visit;
import pemblar.app.session.PlanState;
import pemblar.app.session.SessionDesk;
import pemblar.app.session.SessionRow;
import pemblar.app.session.TrainingSessionRepository;
import pemblar.app.session.change.ScheduleService.Chosen;
import pemblar.core.design.Design;
import pemblar.core.schedule.Purpose;
import pemblar.core.sport.Sport;
import pemblar.core.strength.StrengthWorkout;
import pemblar.core.workout.Workout;
import pemblar.core.zone.DatedZones;

/**
 * Sessions by length and purpose, to be filled with workouts later, and whole blocks of sessions from a plan of the
 * season.
 */
@Service
public class SketchService {
    private static final int SHORTEST_SECONDS = 300;
    private static final int LONGEST_SECONDS = 86_400;
    private static final int MOST_REPEATED = 200;
    private static final int LONGEST_TITLE = 80;
    private final TrainingSessionRepository sessions;
    private final SessionDesk desk;

    SketchService(TrainingSessionRepository sessions, SessionDesk desk) {
        this.sessions = sessions;
        this.desk = desk;
    }

    /**
     * A session to be.
     *
     * @param startMinute minutes since midnight, or null
     * @param load points that it is expected to cost, or null for what its purpose says
     */
    public record Sketch(
            LocalDate day, Integer startMinute, String title, Sport sport, Purpose purpose, int seconds, Double load) {
        public Sketch(LocalDate day, Integer startMinute, String title, Sport sport, Purpose purpose, int seconds) {
            this(day, startMinute, title, sport, purpose, seconds, null);
        }

        Sketch checked() {
            if (title.isBlank() || title.length() > LONGEST_TITLE)
                throw new IllegalArgumentException("Title: enter 1 to 80 characters.");
            if (seconds < SHORTEST_SECONDS || seconds > LONGEST_SECONDS)
                throw new IllegalArgumentException("Length: enter 5 min to 24 h; nothing was put on the board.");
            return this;
        }

        Sketch on(LocalDate other) {
            return new Sketch(other, startMinute, title, sport, purpose, seconds, load);
        }
    }

    /** A session of a plan: a sketch, with a workout at a scale when the library has one. */
    public record Slotted(Sketch sketch, Chosen chosen, int scalePercent) {}

    /** @return its id */
    @Transactional
    public long sketch(Visit visit, Sketch sketch) {
        return made(visit, sketch, Set.of(sketch.day().getDayOfWeek()), sketch.day())
                .get(0);
    }

    /** The same on some weekdays up to a day: a commitment that repeats. @return how many */
    @Transactional
    public int repeat(Visit visit, Sketch sketch, Set<DayOfWeek> weekdays, LocalDate until) {
        return made(visit, sketch, weekdays, until).size();
    }

    private List<Long> made(Visit visit, Sketch sketch, Set<DayOfWeek> weekdays, LocalDate until) {
        sketch.checked();
        if (weekdays.isEmpty()) throw new IllegalArgumentException("Weekdays: choose at least one.");
        if (until.isBefore(sketch.day()))
            throw new IllegalArgumentException("Until: choose a day that is not before the first one.");
        desk.near(visit, sketch.day());
        desk.near(visit, until);
        List<Long> made = new ArrayList<>();
        for (LocalDate day = sketch.day(); !day.isAfter(until); day = day.plusDays(1)) {
            if (!weekdays.contains(day.getDayOfWeek())) continue;
            if (made.size() == MOST_REPEATED)
                throw new IllegalArgumentException(
                        "Until: that would be more than " + MOST_REPEATED + " sessions; choose an earlier day.");
            made.add(sessions.save(row(visit, sketch.on(day))).id());
        }
        if (made.isEmpty())
            throw new IllegalArgumentException(
                    "Until: none of these weekdays lies between the first and the last day.");
        String label = made.size() == 1
                ? "Sketched “" + sketch.title() + "” on " + SessionDesk.day(sketch.day()) + "."
                : "Sketched “" + sketch.title() + "” " + made.size() + " times.";
        desk.remember(visit, label, PlanState.making(made));
        return made;
    }

    private static SessionRow row(Visit visit, Sketch sketch) {
        SessionRow row = new SessionRow(
                visit.athleteId(), sketch.day(), sketch.sport(), sketch.title().strip());
        row.startAt(sketch.startMinute());
        row.sketch(
                sketch.purpose(),
                sketch.seconds(),
                sketch.load() == null ? sketch.purpose().load(sketch.seconds()) : sketch.load());
        row.by(visit.viewer().name());
        return row;
    }

    /**
     * Gives a sketched session a workout, scaled to the length that was sketched when a scale reaches it; day and clock
     * time stay.
     */
    @Transactional
    public void fillIn(Visit visit, long sessionId, Integer version, Chosen chosen) {
        SessionRow row = desk.open(visit, sessionId);
        desk.expect(row, version);
        PlanState before = PlanState.changing(row);
        Integer wanted = row.plannedSeconds();
        DatedZones zones = desk.zones(desk.athlete(visit));
        take(row, chosen, 100);
        SessionDesk.forecast(row, zones.on(row.day()));
        if (wanted != null && row.plannedSeconds() != null && row.plannedSeconds() > 0) {
            row.scale(Math.max(40, Math.min(200, (int) Math.round(20.0 * wanted / row.plannedSeconds()) * 5)));
            SessionDesk.forecast(row, zones.on(row.day()));
        }
        desk.touch(row, visit.viewer());
        desk.remember(visit, "“" + row.title() + "” on " + SessionDesk.day(row.day()) + " has its steps.", before);
    }

    private static void take(SessionRow row, Chosen chosen, int percent) {
        row.call(chosen.title(), chosen.design().sport());
        row.take(endurance(chosen), chosen.workoutId(), chosen.version());
        row.scale(percent);
    }

    /** A sketch of endurance takes an endurance workout; strength has its own way onto a day. */
    static Workout endurance(Chosen chosen) {
        return chosen.design().answer(new Design.Cases<>() {
            @Override
            public Workout endurance(Workout workout) {
                return workout;
            }

            @Override
            public Workout strength(StrengthWorkout workout) {
                throw new IllegalArgumentException(
                        "“" + chosen.title() + "” is a strength workout; put it on the day itself.");
            }
        });
    }

    /** What becomes of sessions that stand where a plan is put. */
    public enum Existing {
        /** What was put by hand stays, and the plan is put around it. */
        AROUND,
        /** All that is not done gives way. */
        REPLACE,
        /** All stays, and nothing is put. */
        KEEP
    }

    /** Days with what becomes of their sessions. */
    public record Stretch(LocalDate first, LocalDate last, Existing existing) {
        boolean givesWay(SessionRow row) {
            if (row.day().isBefore(first) || row.day().isAfter(last)) return false;
            return existing == Existing.REPLACE || existing == Existing.AROUND && row.placed();
        }
    }

    /**
     * Puts the sessions of a plan on their days. What an earlier plan put there and nobody has touched or done since
     * gives way to it, and what was put by hand where that is wanted.
     *
     * @return how many sessions were put
     */
    @Transactional
    public int place(Visit visit, List<Stretch> stretches, List<Slotted> all, String label) {
        Athlete athlete = desk.athlete(visit);
        DatedZones zones = desk.zones(athlete);
        LocalDate from =
                stretches.stream().map(Stretch::first).min(LocalDate::compareTo).orElseThrow();
        List<SessionRow> old = sessions.openFrom(visit.athleteId(), from).stream()
                .filter(r -> r.isSeenBy(athlete) && stretches.stream().anyMatch(s -> s.givesWay(r)))
                .toList();
        List<PlanState.Was> before = old.stream().map(PlanState.Was::of).toList();
        old.forEach(sessions::delete);
        List<Long> made = new ArrayList<>();
        for (Slotted slotted : all) {
            desk.near(athlete, slotted.sketch().day());
            SessionRow row = row(visit, slotted.sketch());
            if (slotted.chosen() != null) take(row, slotted.chosen(), slotted.scalePercent());
            SessionDesk.forecast(row, zones.on(row.day()));
            row.putByPlan();
            made.add(sessions.save(row).id());
        }
        desk.remember(visit, label, new PlanState(before, made));
        return made.size();
    }
}
