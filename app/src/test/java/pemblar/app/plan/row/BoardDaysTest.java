package pemblar.app.plan.row;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import pemblar.app.athlete.Athlete;
import pemblar.app.frame.page.Shown;
import pemblar.app.session.Slab;
import pemblar.core.load.LoadTrend;
import pemblar.core.schedule.Purpose;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.Sex;

@Tag("unit")
class BoardDaysTest {
    private static final LocalDate DAY = LocalDate.of(2026, 5, 5);

    private static BoardRow.SlabView slab(String title, Integer startMinute) {
        Slab slab = new Slab(
                7,
                DAY,
                startMinute,
                Sport.RIDE,
                title,
                true,
                100,
                3600,
                70.0,
                "",
                Purpose.THRESHOLD,
                false,
                3,
                "",
                null,
                null);
        return new BoardRow.SlabView(slab, "M0 29L50 2", "");
    }

    private static String written(String note, List<BoardRow.SlabView> slabs, List<String> carried, long notes) {
        BoardRow.Day day = new BoardRow.Day(DAY, false, false, false, note, slabs, 311.6);
        BoardRow row = new BoardRow(null, true, List.of(day), null, null, List.of(), null);
        Athlete athlete =
                new Athlete(4, "A", List.of(Sport.RIDE), Sex.values()[0], ZoneOffset.UTC, LoadTrend.Settings.DEFAULT);
        return new BoardDays(athlete, DAY, notes == 0 ? Map.of() : Map.of(DAY, notes)).of(row, carried, new Shown());
    }

    @Test
    void whatPeopleTypedIsTextAndNothingElse() {
        String hostile = "<script>\"x\"</script>'";
        String page = written(hostile, List.of(slab(hostile, null)), null, 0);
        assertThat(page).doesNotContain("<script").doesNotContain("\"x\"");
        assertThat(page)
                .contains("data-title=\"&lt;script&gt;&quot;x&quot;&lt;/script&gt;&#39;\"")
                .contains("data-note=\"&lt;script&gt;");
    }

    @Test
    void aDayWithoutSessionsIsARestAndSaysItsWeek() {
        assertThat(written("", List.of(), null, 0))
                .contains("<p class=\"rest\">rest</p>")
                .contains("<b>312</b>")
                .doesNotContain("data-note")
                .doesNotContain("day-note");
    }

    @Test
    void aSlabSaysWhatTheBoardMovesItBy() {
        String page = written("", List.of(slab("Two by twenty", 1050)), List.of("7"), 0);
        assertThat(page)
                .contains("id=\"slab-7\"")
                .contains("data-version=\"3\"")
                .contains("data-movable=\"true\"")
                .contains("data-time=\"17:30\"")
                .contains("is-carried")
                .contains("hx-get=\"/a/4/board/menu/7\"")
                .contains("<a class=\"title\" href=\"/a/4/sessions/7\"")
                .doesNotContain("class=\"rest\"");
        assertThat(written("", List.of(slab("Two by twenty", null)), null, 0)).doesNotContain("data-time");
    }

    @Test
    void notesOfADayAreCounted() {
        assertThat(written("", List.of(), null, 1)).contains(">1 note<").contains("about=DAY&amp;day=2026-05-05");
        assertThat(written("", List.of(), null, 2)).contains(">2 notes<");
    }
}
