package pemblar.app.archive.taking;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import org.springframework.jdbc.core.simple.JdbcClient;
import pemblar.app.archive.Shelf;
import pemblar.app.note.NoteFiles;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** The rows of one archive on their way in, and the numbers that they get here. */
class Taking {
    /** Sessions by their recording, as the archive numbers that. */
    static final String SESSION_OF = "session of recording";

    private static final String ACCOUNT = "data/account.jsonl";
    private static final String ATHLETES = "data/athlete.jsonl";
    private static final Set<String> REFERRED_TO = Shelf.taken().stream()
            .flatMap(shelf -> shelf.refers().values().stream())
            .collect(Collectors.toSet());
    private static final List<String> NEVER_TAKEN = List.of("recording_id", "deleted_at", "draft");
    private final JdbcClient sql;
    private final Tables tables;
    private final ArchiveStore store;
    private final ArchiveStore.Status archive;
    private final Map<String, Map<Long, Long>> numbers = new HashMap<>();
    private final Map<String, Integer> taken = new LinkedHashMap<>();
    private final Map<Long, Long> sessionOf = new HashMap<>();
    private long formerAccount;

    Taking(JdbcClient sql, Tables tables, ArchiveStore store, ArchiveStore.Status archive) {
        this.sql = sql;
        this.tables = tables;
        this.store = store;
        this.archive = archive;
    }

    private Map<Long, Long> of(String shelf) {
        return numbers.computeIfAbsent(shelf, s -> new HashMap<>());
    }

    private void leftOut(String what) {
        store.leftOut(archive.id(), what);
    }

    private void each(String path, Consumer<ObjectNode> work) {
        Line.each(path, store.open(archive.id(), path), work, this::leftOut);
    }

    /** The account and its athletes: the person's own, and others who were kept on their pages. */
    void people() {
        List<ObjectNode> accounts = new ArrayList<>();
        each(ACCOUNT, accounts::add);
        formerAccount = accounts.stream()
                .findFirst()
                .flatMap(row -> Line.number(row, "id"))
                .orElseThrow(() -> new IllegalArgumentException(
                        ACCOUNT + " does not say whose archive it is. Download the archive again."));
        Optional<Long> own = sql.sql("select id from athlete where account_id = ?")
                .param(archive.accountId())
                .query(Long.class)
                .optional();
        List<ObjectNode> others = new ArrayList<>();
        each(ATHLETES, row -> {
            if (Line.number(row, "account_id").equals(Optional.of(formerAccount))) own(row, own);
            else others.add(row);
        });
        for (ObjectNode other : others) kept(other, own);
    }

    private void own(ObjectNode row, Optional<Long> own) {
        long here =
                own.orElseThrow(() -> new IllegalArgumentException("The archive is an athlete's, and this account is"
                        + " a coach's. Sign up as an athlete, and bring it there."));
        tables.orNothing(() -> {
            tables.check("athlete", row);
            return sql.sql("update athlete a set sex = r.sex, time_zone = r.time_zone, zones_since = r.zones_since,"
                            + " acute_days = r.acute_days, chronic_days = r.chronic_days, start_chronic ="
                            + " r.start_chronic, sports = r.sports, shared_until = r.shared_until from"
                            + " jsonb_populate_record(null::athlete, cast(? as jsonb)) r where a.id = ?")
                    .params(row.toString(), here)
                    .update();
        });
        Line.number(row, "id").ifPresent(was -> of("athlete").put(was, here));
    }

    private void kept(ObjectNode row, Optional<Long> own) {
        try {
            long was = Line.number(row, "id").orElseThrow(() -> new LeftOut("no id"));
            row.put("kept_by", own.orElseThrow(() -> new LeftOut("nobody keeps this athlete")));
            row.putNull("account_id");
            of("athlete").put(was, tables.orNothing(() -> {
                tables.check("athlete", row);
                return tables.insert("athlete", row);
            }));
        } catch (LeftOut e) {
            leftOut(ATHLETES + ": " + e.getMessage());
        }
    }

    void shelf(Shelf shelf) {
        int[] count = new int[1];
        sql.sql("savepoint shelf").update();
        each(shelf.path(), row -> {
            if (row(shelf, row)) count[0]++;
        });
        try {
            if (count[0] > 0) tables.checkAll(shelf.file(), of("athlete").values());
        } catch (RuntimeException e) {
            sql.sql("rollback to savepoint shelf").update();
            of(shelf.file()).clear();
            count[0] = 0;
            leftOut(shelf.path() + ": these do not go together: " + LeftOut.why(e));
        }
        sql.sql("release savepoint shelf").update();
        if (count[0] > 0) taken.put(shelf.words(), count[0]);
    }

    /** @return false when there was such a row already */
    private boolean row(Shelf shelf, ObjectNode row) {
        Optional<Long> was = Line.number(row, "id");
        Optional<Long> recording = Line.number(row, "recording_id");
        Long isNow = tables.orNothing(() -> {
            tables.check(shelf.file(), row);
            return tables.insert(shelf.file(), referred(shelf, row));
        });
        if (isNow == null) return false;
        if (REFERRED_TO.contains(shelf.file()))
            was.ifPresent(id -> of(shelf.file()).put(id, isNow));
        if (shelf.file().equals("session")) recording.ifPresent(id -> sessionOf.put(id, isNow));
        return true;
    }

    /** The row with the numbers that the rows which it names got here. */
    private ObjectNode referred(Shelf shelf, ObjectNode row) {
        if (row.hasNonNull("deleted_at")) throw new LeftOut("it was deleted");
        if (row.has("athlete_id"))
            row.put(
                    "athlete_id",
                    Optional.ofNullable(of("athlete")
                                    .get(Line.number(row, "athlete_id").orElse(-1L)))
                            .orElseThrow(() -> new LeftOut("its athlete is not there")));
        if (row.has("account_id")) row.put("account_id", archive.accountId());
        shelf.refers().forEach((column, other) -> {
            if (row.hasNonNull(column)) refer(shelf, row, column, other);
        });
        if (shelf.file().equals("session")) row.remove(NEVER_TAKEN);
        if (shelf.file().equals("note")) author(row);
        if (shelf.file().equals("comparison")) lines(row);
        return row;
    }

    private void refer(Shelf shelf, ObjectNode row, String column, String other) {
        Long here = of(other).get(Line.number(row, column).orElse(-1L));
        if (here != null) row.put(column, here);
        else if (tables.isWanted(shelf.file(), column)) throw new LeftOut("its " + other + " is not there");
        else row.putNull(column);
    }

    /** What others wrote stays theirs: nobody here may change it. */
    private void author(ObjectNode row) {
        if (Line.number(row, "author_id").equals(Optional.of(formerAccount))) row.put("author_id", archive.accountId());
        else row.putNull("author_id");
    }

    /** Repetitions of sessions that are not there cannot be shown. */
    private void lines(ObjectNode row) {
        if (!(row.path("content").path("lines") instanceof ArrayNode lines)) return;
        for (Iterator<JsonNode> all = lines.iterator(); all.hasNext(); ) {
            JsonNode line = all.next();
            Long session = of("session").get(Line.number(line, "session").orElse(-1L));
            if (session == null) all.remove();
            else ((ObjectNode) line).put("session", session);
        }
    }

    /** Pictures and papers beside notes. */
    void files(NoteFiles noteFiles) {
        int count = 0;
        for (String name : store.names(archive.id(), "notes/")) {
            String[] parts = name.substring("notes/".length()).split(" ", 3);
            Long note = of("note").get(Long.parseLong(parts[0]));
            try {
                if (note == null) throw new LeftOut("its note is not there");
                byte[] content = store.file(archive.id(), name).orElseThrow();
                tables.orNothing(() -> {
                    noteFiles.attach(athleteOf(note), note, NoteFiles.Given.of(parts[2], content));
                    return true;
                });
                count++;
            } catch (LeftOut e) {
                leftOut(name + ": " + e.getMessage());
            }
        }
        if (count > 0) taken.put("files of notes", count);
    }

    private long athleteOf(long note) {
        return sql.sql("select athlete_id from note where id = ?")
                .param(note)
                .query(Long.class)
                .single();
    }

    /** What the reading of the recordings needs to know. */
    void keep() {
        of("athlete").forEach((was, isNow) -> store.number(archive.id(), "athlete", was, isNow));
        sessionOf.forEach((was, isNow) -> store.number(archive.id(), SESSION_OF, was, isNow));
        store.total(archive.id(), store.names(archive.id(), "recordings/").size());
        store.taken(
                archive.id(),
                taken.entrySet().stream()
                        .map(e -> e.getValue() + "\t" + e.getKey())
                        .collect(Collectors.joining("\n")));
    }
}
