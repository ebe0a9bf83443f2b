package pemblar.app.archive.taking;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.archive.Shelf;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.AthleteService;
import pemblar.app.frame.Viewer;
import pemblar.app.recording.LoadChoices;
import pemblar.app.recording.RecordingService;
import pemblar.app.recording.mend.Corrections;
import pemblar.app.session.IntakeService;
import tools.jackson.databind.node.ObjectNode;

/** Takes the recordings of an archive in, each in its own transaction: read from its file like any upload. */
@Service
class Recordings {
    /** What is taken of a recording's row; all else is computed from its file. */
    static final List<String> TAKEN = List.of(
            "athlete_id",
            "file_name",
            "chosen_source",
            "set_load",
            "load_reason",
            "load_by",
            "load_at",
            "perceived_effort",
            "sky_celsius");

    private static final String SET_ASIDE = Shelf.SET_ASIDE.file();
    private final JdbcClient sql;
    private final ArchiveStore store;
    private final Tables tables;
    private final AthleteService athletes;
    private final IntakeService intake;
    private final RecordingService recordings;
    private final LoadChoices choices;
    private final Corrections corrections;

    Recordings(
            JdbcClient sql,
            ArchiveStore store,
            Tables tables,
            AthleteService athletes,
            IntakeService intake,
            RecordingService recordings,
            LoadChoices choices,
            Corrections corrections) {
        this.sql = sql;
        this.store = store;
        this.tables = tables;
        this.athletes = athletes;
        this.intake = intake;
        this.recordings = recordings;
        this.choices = choices;
        this.corrections = corrections;
    }

    /** A recording of the archive. @param row its figures there @param file where its original lies */
    record One(long was, ObjectNode row, String file) {}

    /** Reads one file, puts it to its session, and lets the load count that was chosen. */
    @Transactional
    public void take(long archiveId, One one) {
        Athlete athlete = athlete(archiveId, one.row());
        Optional<Long> session = store.number(archiveId, Taking.SESSION_OF, one.was());
        byte[] original =
                store.file(archiveId, one.file()).orElseThrow(() -> new LeftOut("its file is not in the archive"));
        String name = Line.text(one.row(), "file_name").orElse("recording");
        IntakeService.Taken taken =
                intake.take(athlete, name.length() > 200 ? name.substring(0, 200) : name, original, session);
        if (taken.outcome() == RecordingService.Outcome.REFUSED) throw new LeftOut(taken.message());
        long isNow = sql.sql("select recording_id from session where id = ?")
                .param(taken.sessionId())
                .query(Long.class)
                .single();
        choices.putBack(athlete.id(), chosen(isNow, one.row()));
        store.number(archiveId, "recording", one.was(), isNow);
        store.forget(archiveId, one.file());
        store.oneDone(archiveId);
    }

    private Athlete athlete(long archiveId, ObjectNode row) {
        return Line.number(row, "athlete_id")
                .flatMap(was -> store.number(archiveId, "athlete", was))
                .map(athletes::forJob)
                .orElseThrow(() -> new LeftOut("its athlete is not there"));
    }

    private static LoadChoices.Was chosen(long recording, ObjectNode row) {
        return new LoadChoices.Was(
                recording,
                Line.text(row, "chosen_source").orElse(null),
                Line.text(row, "set_load").map(Double::valueOf).orElse(null),
                Line.text(row, "load_reason").orElse(""),
                Line.text(row, "load_by").orElse(""),
                Line.text(row, "load_at")
                        .map(at ->
                                java.time.OffsetDateTime.parse(at).toInstant().toString())
                        .orElse(null),
                Line.text(row, "perceived_effort").map(Double::valueOf).orElse(null));
    }

    /** A file that cannot be taken in is said, and nothing waits for it. */
    @Transactional
    public void leave(long archiveId, One one, String why) {
        store.leftOut(archiveId, one.file() + ": " + why);
        store.forget(archiveId, one.file());
        store.oneDone(archiveId);
    }

    /** What the sky was like; of recordings without a temperature of their own. */
    @Transactional
    public void sky(long archiveId, One one) {
        if (!one.row().path("sky_celsius").isNumber()) return;
        double celsius = one.row().path("sky_celsius").asDouble();
        store.number(archiveId, "recording", one.was())
                .ifPresent(id -> sql.sql("update recording set sky_celsius = ? where id = ? and sky_celsius is null")
                        .params(celsius, id)
                        .update());
    }

    /** Mends a recording as it was mended there, in the words and the name of who did it. */
    @Transactional
    public void mend(ArchiveStore.Status archive, long was, List<ObjectNode> edits) {
        Map<Long, Long> numbers = store.numbers(archive.id(), "recording");
        Long isNow = numbers.get(was);
        if (isNow == null) throw new LeftOut("its recording is not there");
        Athlete athlete = athletes.forJob(sql.sql("select athlete_id from recording where id = ?")
                .param(isNow)
                .query(Long.class)
                .single());
        List<Corrections.Wanted> wanted = new ArrayList<>();
        for (ObjectNode edit : edits) wanted.add(wanted(edit, numbers));
        corrections.mend(athlete, new Viewer(archive.accountId(), ""), isNow, wanted);
        List<Long> ids = sql.sql("select id from recording_edit where recording_id = ? order by id")
                .param(isNow)
                .query(Long.class)
                .list();
        for (int i = 0; i < Math.min(ids.size(), edits.size()); i++)
            sql.sql("update recording_edit e set made_by = r.made_by, made_at = r.made_at from"
                            + " jsonb_populate_record(null::recording_edit, cast(? as jsonb)) r where e.id = ?")
                    .params(edits.get(i).toString(), ids.get(i))
                    .update();
    }

    private static Corrections.Wanted wanted(ObjectNode edit, Map<Long, Long> numbers) {
        return new Corrections.Wanted(
                Line.text(edit, "kind").orElse(""),
                Line.text(edit, "channel").orElse(""),
                edit.path("from_second").asInt(),
                edit.path("to_second").asInt(),
                Line.text(edit, "reason").orElse(""),
                Line.number(edit, "other_recording_id").map(numbers::get).orElse(null),
                edit.path("shift_seconds").asDouble());
    }

    /** Sets a stretch aside as it was, so that it is no best effort. */
    @Transactional
    public void setAside(ArchiveStore.Status archive, ObjectNode row) {
        long isNow = Line.number(row, "recording_id")
                .flatMap(recording -> store.number(archive.id(), "recording", recording))
                .orElseThrow(() -> new LeftOut("its recording is not there"));
        long was = Line.number(row, "id").orElseThrow(() -> new LeftOut("no id"));
        if (store.number(archive.id(), SET_ASIDE, was).isPresent()) return; // before the job was begun again
        store.number(archive.id(), SET_ASIDE, was, isNow);
        Athlete athlete = athlete(archive.id(), row);
        row.put("recording_id", isNow);
        row.put("athlete_id", athlete.id());
        row.put("account_id", archive.accountId());
        tables.orNothing(() -> {
            tables.check(SET_ASIDE, row);
            return tables.insert(SET_ASIDE, row);
        });
        recordings.refresh(athlete, isNow);
    }
}
