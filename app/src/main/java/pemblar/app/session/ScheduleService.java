package pemblar.app.session;

import java.time.Duration;
import java.time.InstantSource;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.AthleteService;
import pemblar.app.frame.NotFoundException;
import pemblar.app.frame.Viewer;
import pemblar.app.threshold.ThresholdService;
import pemblar.core.Sport;
import pemblar.core.workout.Forecast;
import pemblar.core.workout.Workout;
import pemblar.core.zone.Zones;
import pemblar.formats.json.WorkoutJson;
import tools.jackson.databind.json.JsonMapper;

/** Changes to what is planned. Each keeps what was before, for the day, so that it can be taken back. */
@Service
public class ScheduleService {
    private static final int MOST_NAMED = 8;
    private static final Duration KEPT = Duration.ofDays(1);
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEEE d MMMM", Locale.ENGLISH);
    private static final JsonMapper JSON = JsonMapper.shared();
    private final TrainingSessionRepository sessions;
    private final RecordingRepository recordings;
    private final UndoRepository undos;
    private final AthleteService athletes;
    private final ThresholdService thresholds;
    private final InstantSource clock;

    ScheduleService(TrainingSessionRepository sessions, RecordingRepository recordings, UndoRepository undos, AthleteService athletes,
                    ThresholdService thresholds, InstantSource clock) {
        this.sessions = sessions;
        this.recordings = recordings;
        this.undos = undos;
        this.athletes = athletes;
        this.thresholds = thresholds;
        this.clock = clock;
    }

    /** A workout to be put on a day, and the version of the library's workout it is; the id is null when it is in no library. */
    public record Chosen(String title, Workout workout, Long workoutId, Integer version) {}

    /** Puts a workout on a day. {@code startMinute} is the clock time in minutes since midnight, or null. */
    @Transactional
    public long schedule(long athleteId, Viewer viewer, LocalDate day, Integer startMinute, Chosen chosen) {
        Athlete athlete = athletes.require(athleteId, viewer);
        SessionRow row = add(athlete, day, startMinute, chosen.title(), chosen.workout());
        row.workoutId = chosen.workoutId();
        row.workoutVersion = chosen.version();
        remember(athleteId, viewer, "Put “" + row.title + "” on " + DAY.format(day) + ".", new PlanState(List.of(), List.of(row.id)));
        return row.id;
    }

    /** A workout on a day: what a template is made of. */
    public record Placed(LocalDate day, Integer startMinute, Chosen chosen) {}

    /** What is planned on some days, done or not, at its present scale. For an athlete whom the caller has already asked for. */
    @Transactional(readOnly = true)
    public List<Placed> planned(Athlete athlete, LocalDate from, LocalDate to) {
        return sessions.between(athlete.id(), from, to).stream().filter(SessionRow::isPlanned)
            .map(row -> new Placed(row.day, row.startMinute, new Chosen(row.title, row.workout(), row.scalePercent == 100 ? row.workoutId : null, row.scalePercent == 100 ? row.workoutVersion : null))).toList();
    }

    /** Puts many workouts on their days in one step, which one undo takes back. */
    @Transactional
    public void scheduleAll(long athleteId, Viewer viewer, List<Placed> all, String label) {
        Athlete athlete = athletes.require(athleteId, viewer);
        var values = thresholds.zonesOf(athlete);
        List<Long> created = new java.util.ArrayList<>();
        for (Placed placed : all) {
            SessionRow row = new SessionRow(athleteId, placed.day(), placed.chosen().workout().sport(), placed.chosen().title());
            row.startMinute = placed.startMinute();
            row.structure = WorkoutJson.write(placed.chosen().workout());
            row.workoutId = placed.chosen().workoutId();
            row.workoutVersion = placed.chosen().version();
            forecast(row, values.on(row.day));
            created.add(sessions.save(row).id);
        }
        remember(athleteId, viewer, label, new PlanState(List.of(), created));
    }

    /** The same without undo, for making a whole plan. */
    @Transactional
    public long add(long athleteId, LocalDate day, Integer startMinute, String title, Workout workout) {
        return add(athletes.forJob(athleteId), day, startMinute, title, workout).id;
    }

    private SessionRow add(Athlete athlete, LocalDate day, Integer startMinute, String title, Workout workout) {
        SessionRow row = new SessionRow(athlete.id(), day, workout.sport(), title);
        row.startMinute = startMinute;
        row.structure = WorkoutJson.write(workout);
        forecast(row, thresholds.zonesOf(athlete).on(day));
        return sessions.save(row);
    }

    @Transactional
    public void move(long athleteId, Viewer viewer, long sessionId, LocalDate day) {
        SessionRow row = open(athleteId, viewer, sessionId);
        PlanState before = new PlanState(List.of(PlanState.Was.of(row)), List.of());
        row.day = day;
        forecast(row, thresholds.zonesOf(athletes.require(athleteId, viewer)).on(day));
        remember(athleteId, viewer, "Moved “" + row.title + "” to " + DAY.format(day) + ".", before);
    }

    @Transactional
    public long copy(long athleteId, Viewer viewer, long sessionId, LocalDate day) {
        SessionRow row = require(athleteId, viewer, sessionId);
        if (!row.isPlanned()) throw new IllegalArgumentException("Only a planned session can be copied; this one has no workout.");
        SessionRow copy = row.copyTo(day);
        forecast(copy, thresholds.zonesOf(athletes.require(athleteId, viewer)).on(day));
        sessions.save(copy);
        remember(athleteId, viewer, "Copied “" + row.title + "” to " + DAY.format(day) + ".", new PlanState(List.of(), List.of(copy.id)));
        return copy.id;
    }

    /** Drops what was planned; a recording stays, as a session without a plan. */
    @Transactional
    public void remove(long athleteId, Viewer viewer, long sessionId) {
        SessionRow row = require(athleteId, viewer, sessionId);
        PlanState before = new PlanState(List.of(PlanState.Was.of(row)), List.of());
        remember(athleteId, viewer, "Dropped “" + row.title + "” from " + DAY.format(row.day) + ".", before);
        if (row.recording == null) sessions.delete(row);
        else clearPlan(row);
    }

    private static void clearPlan(SessionRow row) {
        row.structure = null;
        row.workoutId = null;
        row.workoutVersion = null;
        row.plannedLoad = null;
        row.plannedSeconds = null;
        row.plannedSilhouette = "";
        row.scalePercent = 100;
    }

    @Transactional
    public void scale(long athleteId, Viewer viewer, long sessionId, int percent) {
        if (percent < 10 || percent > 200) throw new IllegalArgumentException("Scale: choose 10 to 200 %.");
        SessionRow row = open(athleteId, viewer, sessionId);
        if (!row.isPlanned()) throw new IllegalArgumentException("Only a planned session can be scaled.");
        PlanState before = new PlanState(List.of(PlanState.Was.of(row)), List.of());
        row.scalePercent = percent;
        forecast(row, thresholds.zonesOf(athletes.require(athleteId, viewer)).on(row.day));
        remember(athleteId, viewer, "“" + row.title + "” is now " + percent + " % of its design.", before);
    }

    /** Lets a planned session take over a newer version of its workout; its day, time and scale stay. */
    @Transactional
    public void follow(long athleteId, Viewer viewer, long sessionId, Chosen newer) {
        SessionRow row = open(athleteId, viewer, sessionId);
        if (!row.isPlanned() || !newer.workoutId().equals(row.workoutId)) throw new IllegalArgumentException("This session does not come from that workout.");
        PlanState before = new PlanState(List.of(PlanState.Was.of(row)), List.of());
        row.structure = WorkoutJson.write(newer.workout());
        row.title = newer.title().length() > 80 ? newer.title().substring(0, 80) : newer.title();
        row.workoutVersion = newer.version();
        forecast(row, thresholds.zonesOf(athletes.require(athleteId, viewer)).on(row.day));
        remember(athleteId, viewer, "“" + row.title + "” on " + DAY.format(row.day) + " follows version " + newer.version() + ".", before);
    }

    /** Separates a recording from its plan: the recording gets a session of its own. */
    @Transactional
    public long unmatch(long athleteId, Viewer viewer, long sessionId) {
        SessionRow row = require(athleteId, viewer, sessionId);
        if (row.recording == null || !row.isPlanned()) throw new IllegalArgumentException("There is no match to undo here.");
        PlanState.Was before = PlanState.Was.of(row);
        RecordingRow recording = row.recording;
        row.recording = null;
        sessions.flush();
        SessionRow own = RecordingService.unplanned(athletes.require(athleteId, viewer), recording);
        own.recording = recording;
        sessions.save(own);
        remember(athleteId, viewer, "The recording is no longer matched to “" + row.title + "”.", new PlanState(List.of(before), List.of(own.id)));
        return own.id;
    }

    /** Matches the recording of an unplanned session to a planned one that has none. */
    @Transactional
    public void match(long athleteId, Viewer viewer, long recordedId, long plannedId) {
        SessionRow recorded = require(athleteId, viewer, recordedId);
        SessionRow planned = require(athleteId, viewer, plannedId);
        if (recorded.recording == null || recorded.isPlanned() || planned.recording != null || !planned.isPlanned())
            throw new IllegalArgumentException("Choose a recording without a plan and a planned session without a recording.");
        PlanState before = new PlanState(List.of(PlanState.Was.of(recorded), PlanState.Was.of(planned)), List.of());
        RecordingRow recording = recorded.recording;
        recorded.recording = null;
        sessions.flush();
        planned.recording = recording;
        sessions.delete(recorded);
        remember(athleteId, viewer, "The recording is matched to “" + planned.title + "”.", before);
    }

    /** Takes the latest change back, at most a day old; empty when there is none. */
    @Transactional
    public Optional<String> undo(long athleteId, Viewer viewer) {
        athletes.require(athleteId, viewer);
        UndoRow entry = undos.latest(athleteId, viewer.accountId(), clock.instant().minus(KEPT)).orElse(null);
        if (entry == null) return Optional.empty();
        PlanState before = JSON.readValue(entry.beforeState, PlanState.class);
        String label = entry.label;
        undos.delete(entry);
        for (long id : before.created()) sessions.find(id, athleteId).ifPresent(this::takeAway);
        sessions.flush();
        for (PlanState.Was was : before.restore()) sessions.find(was.id(), athleteId).ifPresent(row -> row.recording = null);
        sessions.flush();
        for (PlanState.Was was : before.restore()) restore(athleteId, was);
        return Optional.of("Taken back: " + label);
    }

    private void takeAway(SessionRow row) {
        row.recording = null;
        sessions.delete(row);
    }

    private void restore(long athleteId, PlanState.Was was) {
        SessionRow row = sessions.find(was.id(), athleteId).orElse(null);
        if (row == null) {
            sessions.insert(was.id(), athleteId, LocalDate.parse(was.day()), was.startMinute(), was.sport(), was.title(), was.structure(), was.scalePercent(),
                was.plannedSeconds(), was.plannedLoad(), was.silhouette(), was.recordingId(), was.workoutId(), was.workoutVersion());
            return;
        }
        row.day = LocalDate.parse(was.day());
        row.startMinute = was.startMinute();
        row.sport = Sport.valueOf(was.sport());
        row.title = was.title();
        row.structure = was.structure();
        row.scalePercent = was.scalePercent();
        row.plannedSeconds = was.plannedSeconds();
        row.plannedLoad = was.plannedLoad();
        row.plannedSilhouette = was.silhouette();
        row.workoutId = was.workoutId();
        row.workoutVersion = was.workoutVersion();
        row.recording = was.recordingId() == null ? null : recordings.findById(was.recordingId()).orElse(null);
    }

    /** What the foot of the page offers to take back. */
    @Transactional(readOnly = true)
    public Optional<String> latestChange(long athleteId, Viewer viewer) {
        return undos.latest(athleteId, viewer.accountId(), clock.instant().minus(KEPT)).map(entry -> entry.label);
    }

    /** Planned sessions of a span get their figures anew, as after a new threshold. */
    @Transactional
    public int forecastAgain(Athlete athlete, LocalDate from, LocalDate until) {
        var values = thresholds.zonesOf(athlete);
        List<SessionRow> rows = sessions.plannedIn(athlete.id(), from, until);
        for (SessionRow row : rows) forecast(row, values.on(row.day));
        return rows.size();
    }

    /** Planned sessions without a recording, from a day on, whose targets name zones of a set; each in a few words. */
    @Transactional(readOnly = true)
    public List<String> usersOfZones(Athlete athlete, Zones.Key key, LocalDate from) {
        LocalDate today = athlete.dayOf(clock.instant());
        return sessions.plannedIn(athlete.id(), from.isAfter(today) ? from : today, LocalDate.of(9999, 1, 1)).stream()
            .filter(row -> row.sport == key.sport() && row.workout().namesZones(key.measure())).map(row -> "“" + row.title + "” on " + DAY.format(row.day)).limit(MOST_NAMED).toList();
    }

    private static void forecast(SessionRow row, Zones values) {
        if (!row.isPlanned()) return;
        try {
            Forecast forecast = Forecast.of(row.workout(), values);
            row.plannedSeconds = forecast.seconds();
            row.plannedLoad = forecast.load().isPresent() ? (Double) forecast.load().getAsDouble() : null;
            row.plannedSilhouette = Silhouettes.planned(forecast);
        } catch (IllegalArgumentException e) {
            row.plannedSeconds = null;      // a threshold is missing: the page says so where the plan is shown
            row.plannedLoad = null;
            row.plannedSilhouette = "";
        }
    }

    private SessionRow require(long athleteId, Viewer viewer, long sessionId) {
        athletes.require(athleteId, viewer);
        return sessions.find(sessionId, athleteId).orElseThrow(() -> new NotFoundException("session"));
    }

    private SessionRow open(long athleteId, Viewer viewer, long sessionId) {
        SessionRow row = require(athleteId, viewer, sessionId);
        if (row.recording != null) throw new IllegalArgumentException("“" + row.title + "” is already done; what was done keeps its day.");
        return row;
    }

    private void remember(long athleteId, Viewer viewer, String label, PlanState before) {
        undos.save(new UndoRow(athleteId, viewer.accountId(), label.length() > 200 ? label.substring(0, 200) : label, JSON.writeValueAsString(before), clock.instant()));
    }
}
