package pemblar.app.review.list;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import pemblar.app.frame.page.Shown;
import pemblar.app.session.Described;
import pemblar.app.session.Slab;
import pemblar.app.session.reading.DoubtService.Doubt;
import pemblar.app.session.reading.SessionSearch.Found;
import pemblar.core.sport.Sport;

@Tag("unit")
class FoundRowsTest {
    private static final LocalDate DAY = LocalDate.of(2026, 5, 5);

    private static Slab.Done done(boolean recorded, String loadSource, Double watts) {
        return new Slab.Done(
                recorded,
                null,
                "",
                5400,
                88.4,
                loadSource,
                40_000.0,
                watts,
                140.2,
                8.0,
                0.8,
                null,
                "",
                null,
                null,
                false);
    }

    private static String drawn(String title, Slab.Done done, LocalDate today, Map<Long, Doubt> doubtful) {
        Slab slab =
                new Slab(7, DAY, null, Sport.RIDE, title, false, 100, null, null, "", null, false, 0, "", null, done);
        Described said =
                new Described("race", "", "gravel <deep>", "", List.of("club"), Optional.empty(), Optional.empty());
        return new FoundRows(4, today, List.of(new Found(slab, said)), doubtful).drawn(new Shown());
    }

    @Test
    void figuresHaveTheirUnitsAndTheWordsAreText() {
        String row = drawn("A \"long\" <b>one</b>", done(true, "POWER", 201.6), DAY, Map.of());
        assertThat(row)
                .contains(">1 h 30<", ">40.0 km<", ">202 W<", ">140<", "<b>88</b>")
                .contains("<span>race</span><span>gravel &lt;deep&gt;</span><span>#club</span>")
                .contains("A &quot;long&quot; &lt;b&gt;one&lt;/b&gt;")
                .doesNotContain("<b>one")
                .doesNotContain("set by hand")
                .doesNotContain("no recording")
                .doesNotContain("2026<");
    }

    @Test
    void withoutPowerASpeedStandsThere() {
        assertThat(drawn("Ride", done(true, "HEART_RATE", null), DAY, Map.of())).contains(">28.8 km/h<");
    }

    @Test
    void whatIsSpecialOfASessionIsSaid() {
        Doubt doubt = new Doubt(7, "Ride", DAY, "power that nobody has", 88.0, 61.0);
        String row = drawn("Ride", done(false, "SET", null), DAY.plusYears(1), Map.of(7L, doubt));
        assertThat(row)
                .contains("Tue 5 May 2026")
                .contains("no recording")
                .contains("title=\"set by hand\">*<")
                .contains("Probably power that nobody has. Load 88 would be 61.")
                .contains("form=\"mend-7\"");
    }
}
