package pemblar.app.session.change;

import java.time.InstantSource;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.AthleteService;
import pemblar.app.frame.Visit;
import pemblar.app.recording.RecordingService;
import pemblar.app.session.IntakeService;
import pemblar.app.session.PlanState;
import pemblar.app.session.RecordedRow;
import pemblar.app.session.SessionDesk;
import pemblar.app.session.SessionRow;
import pemblar.app.session.TrainingSessionRepository;
import pemblar.app.session.done.LiftedSessions;
import pemblar.core.design.Design;
import pemblar.core.strength.StrengthWorkout;
import pemblar.core.workout.Workout;
import pemblar.core.zone.DatedZones;
import pemblar.core.zone.Zones;

/** Changes to what is planned. Each keeps what was before, for the day, so that it can be taken back. */
@Service
public class ScheduleService {
    private static final int MOST_NAMED = 8;
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEEE d MMMM", Locale.ENGLISH);
    private final TrainingSessionRepository sessions;
    private final SessionDesk desk;
    private final LiftedSessions lifted;
    private final RecordingService recordings;
    private final AthleteService athletes;
    private final InstantSource clock;

    ScheduleService(
            TrainingSessionRepository sessions,
            SessionDesk desk,
            LiftedSessions lifted,
            RecordingService recordings,
            AthleteService athletes,
            InstantSource clock) {
        this.lifted = lifted;
        this.recordings = recordings;
        this.sessions = sessions;
        this.desk = desk;
        this.athletes = athletes;
        this.clock = clock;
    }

    /**
     * What is to be put on a day, and the version of the library's workout it is; the id is null when it is in no
     * library.
     */
    public record Chosen(String title, Design design, Long workoutId, Integer version) {
        public Chosen(String title, Workout workout, Long workoutId, Integer version) {
            this(title, new Design.Endurance(workout), workoutId, version);
        }
    }

    /** Puts a workout on a day. {@code startMinute} is the clock time in minutes since midnight, or null. */
    @Transactional
    public long schedule(Visit visit, LocalDate day, Integer startMinute, Chosen chosen) {
        Athlete athlete = desk.athlete(visit);
        SessionRow row = sessions.save(row(athlete, new Placed(day, startMinute, chosen), desk.zones(athlete)));
        row.by(visit.viewer().name());
        desk.remember(
                visit, "Put “" + row.title() + "” on " + DAY.format(day) + ".", PlanState.making(List.of(row.id())));
        return row.id();
    }

    /** A workout on a day: what a template is made of. */
    public record Placed(LocalDate day, Integer startMinute, Chosen chosen) {}

    /**
     * What is planned on some days, done or not, at its present scale. For an athlete whom the caller has already asked
     * for.
     */
    @Transactional(readOnly = true)
    public List<Placed> planned(Athlete athlete, LocalDate from, LocalDate to) {
        return sessions.between(athlete.id(), from, to).stream()
                .filter(row -> row.isSeenBy(athlete))
                .flatMap(row -> row.design().map(design -> placed(row, design)).stream())
                .toList();
    }

    private static Placed placed(SessionRow row, Design design) {
        boolean whole = row.scalePercent() == 100;
        return new Placed(
                row.day(),
                row.startMinute(),
                new Chosen(row.title(), design, whole ? row.workoutId() : null, whole ? row.workoutVersion() : null));
    }

    /** A row that is not kept yet, with the figures of its day. */
    private SessionRow row(Athlete athlete, Placed placed, DatedZones zones) {
        Chosen chosen = placed.chosen();
        return chosen.design().answer(new Design.Cases<>() {
            @Override
            public SessionRow endurance(Workout workout) {
                SessionRow row =
                        new SessionRow(athlete.id(), desk.near(athlete, placed.day()), workout.sport(), chosen.title());
                row.startAt(placed.startMinute());
                row.take(workout, chosen.workoutId(), chosen.version());
                SessionDesk.forecast(row, zones.on(row.day()));
                return row;
            }

            @Override
            public SessionRow strength(StrengthWorkout workout) {
                return lifted.row(athlete, placed.day(), placed.startMinute(), chosen.title(), workout);
            }
        });
    }

    /** Puts many workouts on their days in one step, which one undo takes back. @return their ids */
    @Transactional
    public List<Long> scheduleAll(Visit visit, List<Placed> all, String label) {
        Athlete athlete = desk.athlete(visit);
        DatedZones zones = desk.zones(athlete);
        List<Long> created = new ArrayList<>();
        for (Placed placed : all) {
            SessionRow row = row(athlete, placed, zones);
            row.by(visit.viewer().name());
            created.add(sessions.save(row).id());
        }
        desk.remember(visit, label, PlanState.making(created));
        return created;
    }

    /** The same without undo, for making a whole plan. */
    @Transactional
    public long add(long athleteId, LocalDate day, Integer startMinute, String title, Workout workout) {
        Athlete athlete = athletes.forJob(athleteId);
        Placed placed = new Placed(day, startMinute, new Chosen(title, workout, null, null));
        return sessions.save(row(athlete, placed, desk.zones(athlete))).id();
    }

    @Transactional
    public void move(Visit visit, long sessionId, Integer version, LocalDate day) {
        SessionRow row = desk.require(visit, sessionId);
        desk.expect(row, version);
        desk.open(visit, sessionId);
        PlanState before = PlanState.changing(row);
        row.moveTo(desk.near(visit, day));
        desk.touch(row, visit.viewer());
        SessionDesk.forecast(row, desk.zones(desk.athlete(visit)).on(day));
        desk.remember(visit, "Moved “" + row.title() + "” to " + DAY.format(day) + ".", before);
    }

    @Transactional
    public long copy(Visit visit, long sessionId, LocalDate day) {
        SessionRow row = desk.require(visit, sessionId);
        if (!row.hasPlan())
            throw new IllegalArgumentException("Only a planned session can be copied; this one has no plan.");
        SessionRow copy = row.copyTo(desk.near(visit, day));
        SessionDesk.forecast(copy, desk.zones(desk.athlete(visit)).on(day));
        sessions.save(copy);
        desk.remember(
                visit,
                "Copied “" + row.title() + "” to " + DAY.format(day) + ".",
                PlanState.making(List.of(copy.id())));
        return copy.id();
    }

    /** Drops what was planned; a recording stays, as a session without a plan. */
    @Transactional
    public void remove(Visit visit, long sessionId, Integer version) {
        SessionRow row = desk.require(visit, sessionId);
        desk.expect(row, version);
        PlanState before = PlanState.changing(row);
        if (row.isDone()) row.clearPlan();
        else sessions.delete(row);
        desk.remember(visit, "Dropped “" + row.title() + "” from " + DAY.format(row.day()) + ".", before);
    }

    @Transactional
    public void scale(Visit visit, long sessionId, Integer version, int percent) {
        if (percent < 10 || percent > 200) throw new IllegalArgumentException("Scale: choose 10 to 200 %.");
        SessionRow row = desk.open(visit, sessionId);
        desk.expect(row, version);
        if (!row.isPlanned()) throw new IllegalArgumentException("Only a planned session can be scaled.");
        PlanState before = PlanState.changing(row);
        row.scale(percent);
        desk.touch(row, visit.viewer());
        SessionDesk.forecast(row, desk.zones(desk.athlete(visit)).on(row.day()));
        desk.remember(visit, "“" + row.title() + "” is now " + percent + " % of its design.", before);
    }

    /** Lets a planned session take over a newer version of its workout; its day, time and scale stay. */
    @Transactional
    public void follow(Visit visit, long sessionId, Chosen newer) {
        SessionRow row = desk.open(visit, sessionId);
        if (!row.isPlanned() || !newer.workoutId().equals(row.workoutId()))
            throw new IllegalArgumentException("This session does not come from that workout.");
        PlanState before = PlanState.changing(row);
        row.take(SketchService.endurance(newer), newer.workoutId(), newer.version());
        row.call(newer.title(), row.sport());
        SessionDesk.forecast(row, desk.zones(desk.athlete(visit)).on(row.day()));
        desk.remember(
                visit,
                "“" + row.title() + "” on " + DAY.format(row.day()) + " follows version " + newer.version() + ".",
                before);
    }

    /** Separates a recording from its plan: the recording gets a session of its own. */
    @Transactional
    public long unmatch(Visit visit, long sessionId) {
        SessionRow row = desk.require(visit, sessionId);
        if (row.recording() == null || !row.hasPlan())
            throw new IllegalArgumentException("There is no match to undo here.");
        PlanState.Was before = PlanState.Was.of(row);
        RecordedRow recording = row.recording();
        row.record(null);
        sessions.flush();
        Athlete athlete = desk.athlete(visit);
        SessionRow own = IntakeService.unplanned(athlete, recording);
        own.record(recording);
        own.describeAs(row);
        sessions.save(own);
        recordings.follow(athlete, recording.id());
        desk.remember(
                visit,
                "The recording is no longer matched to “" + row.title() + "”.",
                new PlanState(List.of(before), List.of(own.id())));
        return own.id();
    }

    /** Matches the recording of an unplanned session to a planned one that has none. */
    @Transactional
    public void match(Visit visit, long recordedId, long plannedId) {
        SessionRow recorded = desk.require(visit, recordedId);
        SessionRow planned = desk.require(visit, plannedId);
        if (recorded.recording() == null || recorded.hasPlan() || planned.recording() != null || !planned.hasPlan())
            throw new IllegalArgumentException(
                    "Choose a recording without a plan and a planned session without a recording.");
        PlanState before = PlanState.changing(List.of(recorded, planned));
        RecordedRow recording = recorded.recording();
        recorded.record(null);
        sessions.flush();
        planned.record(recording);
        planned.draft(false);
        recordings.follow(desk.athlete(visit), recording.id());
        sessions.delete(recorded);
        desk.remember(visit, "The recording is matched to “" + planned.title() + "”.", before);
    }

    /** Planned sessions of a span get their figures anew, as after a new threshold. */
    @Transactional
    public int forecastAgain(Athlete athlete, LocalDate from, LocalDate until) {
        var values = desk.zones(athlete);
        List<SessionRow> rows = sessions.plannedIn(athlete.id(), from, until);
        for (SessionRow row : rows) SessionDesk.forecast(row, values.on(row.day()));
        return rows.size();
    }

    /** Planned sessions without a recording, from a day on, whose targets name zones of a set; each in a few words. */
    @Transactional(readOnly = true)
    public List<String> usersOfZones(Athlete athlete, Zones.Key key, LocalDate from) {
        LocalDate today = athlete.dayOf(clock.instant());
        return sessions.plannedIn(athlete.id(), from.isAfter(today) ? from : today, LocalDate.of(9999, 1, 1)).stream()
                .filter(row -> row.isSeenBy(athlete)
                        && row.sport() == key.sport()
                        && row.workout().namesZones(key.measure()))
                .map(row -> "“" + row.title() + "” on " + DAY.format(row.day()))
                .limit(MOST_NAMED)
                .toList();
    }
}
