package pemblar.app.strength.design;

import java.time.InstantSource;
import java.time.ZoneOffset;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.athlete.AthleteService;
import pemblar.app.frame.NotFoundException;
import pemblar.app.frame.Viewer;
import pemblar.core.strength.StrengthShorthand;
import pemblar.core.strength.StrengthText;

/** Strength workouts that a person keeps; a coach's shared ones are seen by the athletes. */
@Repository
public class StrengthLibrary {
    private static final int LONGEST_TITLE = 80;
    private static final int LONGEST_FOLDER = 40;
    private static final int LONGEST_TAGS = 120;
    private static final String SEEN = " from strength_workout w join person a on a.id = w.account_id"
            + " where (w.account_id = :viewer or w.shared and w.account_id in (:coaches))";
    private final JdbcClient sql;
    private final AthleteService athletes;
    private final InstantSource clock;

    StrengthLibrary(JdbcClient sql, AthleteService athletes, InstantSource clock) {
        this.sql = sql;
        this.athletes = athletes;
        this.clock = clock;
    }

    /** @param owner empty for one's own @param tags parted by a comma and a blank */
    public record Kept(long id, String title, String folder, String tags, String text, boolean shared, String owner) {
        /** Without a folder asked for, all are. */
        boolean isIn(String asked) {
            return asked.isBlank() || folder.equals(asked);
        }

        /** Every word that is looked for stands somewhere in it. */
        boolean holds(String words) {
            String all = (title + " " + folder + " " + tags + " " + text).toLowerCase(Locale.ROOT);
            return Arrays.stream(words.toLowerCase(Locale.ROOT).strip().split("\\s+"))
                    .allMatch(all::contains);
        }
    }

    /** What a workout is called and where it is put. */
    public record Label(String title, String folder, String tags, boolean shared) {
        public Label {
            title = title.strip();
            folder = folder.strip();
            tags = Arrays.stream(tags.split(","))
                    .map(String::strip)
                    .filter(tag -> !tag.isEmpty())
                    .distinct()
                    .collect(Collectors.joining(", "));
            if (title.isEmpty() || title.length() > LONGEST_TITLE)
                throw new IllegalArgumentException("Title: enter 1 to 80 characters.");
            if (folder.length() > LONGEST_FOLDER)
                throw new IllegalArgumentException("Folder: enter at most " + LONGEST_FOLDER + " characters.");
            if (tags.length() > LONGEST_TAGS)
                throw new IllegalArgumentException("Tags: enter at most " + LONGEST_TAGS + " characters together.");
        }
    }

    @Transactional(readOnly = true)
    public List<Kept> all(Viewer viewer) {
        return sql.sql("select w.*, a.name as owner" + SEEN + " order by w.title")
                .param("viewer", viewer.accountId())
                .param("coaches", coaches(viewer))
                .query((rs, i) -> kept(rs, viewer))
                .list();
    }

    private static Kept kept(java.sql.ResultSet rs, Viewer viewer) throws java.sql.SQLException {
        boolean own = rs.getLong("account_id") == viewer.accountId();
        return new Kept(
                rs.getLong("id"),
                rs.getString("title"),
                rs.getString("folder"),
                rs.getString("tags"),
                rs.getString("body"),
                rs.getBoolean("shared"),
                own ? "" : rs.getString("owner"));
    }

    private List<Long> coaches(Viewer viewer) {
        List<Long> coaches = athletes.coachesOf(viewer);
        return coaches.isEmpty() ? List.of(-1L) : coaches;
    }

    @Transactional(readOnly = true)
    public Kept require(Viewer viewer, long id) {
        return all(viewer).stream()
                .filter(k -> k.id() == id)
                .findFirst()
                .orElseThrow(() -> new NotFoundException("workout"));
    }

    /** @param id null for a new one @return its id */
    @Transactional
    public long save(Viewer viewer, Long id, Label label, String text) {
        var reading = StrengthShorthand.read(text);
        String normal = StrengthText.of(reading.workout()
                .orElseThrow(() -> new IllegalArgumentException(
                        reading.problem().orElseThrow().toString())));
        var now = clock.instant().atOffset(ZoneOffset.UTC);
        if (id != null) {
            int changed = sql.sql("update strength_workout set title = ?, folder = ?, tags = ?, body = ?, "
                            + "shared = ?, updated_at = ? where id = ? and account_id = ?")
                    .params(
                            label.title(),
                            label.folder(),
                            label.tags(),
                            normal,
                            label.shared(),
                            now,
                            id,
                            viewer.accountId())
                    .update();
            if (changed == 0) throw new NotFoundException("workout");
            return id;
        }
        return sql.sql("insert into strength_workout (account_id, title, folder, tags, body, shared, "
                        + "updated_at) values (?, ?, ?, ?, ?, ?, ?) returning id")
                .params(viewer.accountId(), label.title(), label.folder(), label.tags(), normal, label.shared(), now)
                .query(Long.class)
                .single();
    }
}
