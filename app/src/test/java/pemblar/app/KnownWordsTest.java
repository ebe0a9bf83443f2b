package pemblar.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.JdbcTemplate;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.AthleteService;
import pemblar.app.session.done.WordStore;
import pemblar.app.session.done.WordStore.Used;
import pemblar.core.range.DayRange;
import pemblar.core.sport.Sport;

/** Words that were used before are found from one to the next, and are those that counting every session gives. */
@Tag("http")
class KnownWordsTest {
    private static final LocalDate TODAY = LocalDate.now(ZoneOffset.UTC);
    private static final DayRange LATELY = DayRange.upTo(TODAY.minusDays(100), 90);
    private static final List<String> SURFACES = List.of("", "road", "Schotter", "pré", "grass");
    private static final List<String> TAGS = List.of("", "club", "club,hot", "Ü", "10 km");
    private static JdbcTemplate sql;
    private static WordStore words;

    @BeforeAll
    static void begin() {
        sql = new JdbcTemplate(Running.APPLICATION.getBean(javax.sql.DataSource.class));
        words = Running.APPLICATION.getBean(WordStore.class);
    }

    private static Athlete athlete(int seed) {
        Athlete athlete = Running.APPLICATION.getBean(AthleteService.class).await("Words " + seed, Sport.RUN, "UTC");
        Random random = new Random(seed);
        for (int i = 0; i < 200; i++)
            sql.update(
                    "insert into session (athlete_id, day, sport, title, scale_percent, surface, tags, deleted_at) "
                            + "values (?, ?, ?, 'Run', 100, ?, ?, case when ? then now() end)",
                    athlete.id(),
                    TODAY.minusDays(random.nextInt(400)),
                    random.nextBoolean() ? "RUN" : "RIDE",
                    SURFACES.get(random.nextInt(i < 100 ? SURFACES.size() : 2)),
                    TAGS.get(random.nextInt(TAGS.size())),
                    random.nextInt(5) == 0);
        return athlete;
    }

    /** By reading every session. */
    private static Stream<Used> counted(long athlete) {
        return sql
                .query(
                        "select sport, kind, equipment, surface, weather, tags, "
                                + "count(*) filter (where day between ? and ?) from session "
                                + "where athlete_id = ? and deleted_at is null group by 1, 2, 3, 4, 5, 6",
                        (row, i) -> new Used(
                                Sport.valueOf(row.getString(1)),
                                row.getString(2),
                                row.getString(3),
                                row.getString(4),
                                row.getString(5),
                                row.getString(6),
                                row.getLong(7)),
                        LATELY.from(),
                        LATELY.to(),
                        athlete)
                .stream()
                .filter(w -> !(w.kind() + w.equipment() + w.surface() + w.weather() + w.tags()).isEmpty());
    }

    @Test
    void theyAreThoseOfEverySession() {
        for (int seed = 0; seed < 5; seed++) {
            long athlete = athlete(seed).id();
            assertThat(words.used(athlete, LATELY))
                    .hasSizeGreaterThan(20)
                    .containsExactlyInAnyOrderElementsOf(counted(athlete).toList());
        }
    }

    @Test
    void whoSaidNothingHasNone() {
        Athlete silent = Running.APPLICATION.getBean(AthleteService.class).await("Words none", Sport.RUN, "UTC");
        assertThat(words.used(silent.id(), LATELY)).isEmpty();
    }
}
