package pemblar.app.coach;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import pemblar.app.athlete.Athlete;
import pemblar.core.load.LoadTrend;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.Sex;

/** A coach of many sees everybody once, a stretch at a time, all drawn on one scale. */
@Tag("unit")
class MorningPageTest {
    private static final LocalDate TODAY = LocalDate.of(2026, 3, 2);

    private static MorningService.Line line(int number, double load) {
        List<Strand.Day> days = IntStream.rangeClosed(-14, 7)
                .mapToObj(i -> new Strand.Day(TODAY.plusDays(i), load, 0, 0, false, "", "a <day>"))
                .toList();
        List<Strand.Reason> reasons =
                number % 2 == 0 ? List.of() : List.of(new Strand.Reason(Topic.OTHER, "said " + number, 5, TODAY));
        Athlete athlete = new Athlete(
                number,
                "Athlete " + number,
                List.of(Sport.RUN),
                Sex.NOT_GIVEN,
                ZoneOffset.UTC,
                LoadTrend.Settings.DEFAULT);
        return new MorningService.Line(athlete, Strand.of(reasons, days), false);
    }

    private static List<MorningService.Line> lines(int count) {
        return IntStream.rangeClosed(1, count).mapToObj(i -> line(i, 50)).toList();
    }

    private static MorningPage from(List<MorningService.Line> lines, Integer from) {
        return MorningPage.of(lines, new MorningPage.Asked(null, null, from));
    }

    @Test
    void stretchAfterStretchShowsEverybodyOnce() {
        List<MorningService.Line> lines = lines(95);
        List<Long> seen = new ArrayList<>();
        MorningPage page = from(lines, null);
        while (true) {
            page.strands().forEach(s -> seen.add(s.id()));
            assertThat(page.strands()).hasSizeLessThanOrEqualTo(30);
            assertThat(page.of()).isEqualTo(95);
            assertThat(page.waiting()).isEqualTo(48);
            if (page.below() == 0) break;
            assertThat(page.further()).isEqualTo("from=" + seen.size());
            page = from(lines, seen.size());
        }
        assertThat(seen).containsExactlyElementsOf(IntStream.rangeClosed(1, 95).mapToObj(i -> (long) i)::iterator);
    }

    @Test
    void whatWasSearchedStaysAndAnythingFarIsEmpty() {
        MorningPage page = MorningPage.of(lines(40), new MorningPage.Asked(7L, " å & b ", 0));
        assertThat(page.below()).isEqualTo(10);
        assertThat(page.further()).isEqualTo("from=30&group=7&search=%C3%A5+%26+b");
        assertThat(from(lines(3), Integer.MAX_VALUE).strands()).isEmpty();
        assertThat(from(lines(3), -5).strands()).hasSize(3);
        assertThat(from(List.of(), null).below()).isZero();
    }

    /** The heaviest stands last: its load sets the scale of those before it too. */
    @Test
    void oneScaleForAllStretches() {
        List<MorningService.Line> light = lines(31);
        List<MorningService.Line> mixed = new ArrayList<>(lines(30));
        mixed.add(line(31, 500));
        String alone = from(light, null).strands().get(0).drawing();
        String beside = from(mixed, null).strands().get(0).drawing();
        assertThat(alone).contains("a &lt;day&gt;").isNotEqualTo(beside);
        assertThat(beside).isEqualTo(from(mixed, 0).strands().get(29).drawing());
    }

    @Test
    void nearlyAllDaysOfAllAreUnderTheBarThatIsFull() {
        java.util.Random random = new java.util.Random(7);
        for (int athletes = 1; athletes < 60; athletes++) {
            List<MorningService.Line> lines = IntStream.rangeClosed(1, athletes)
                    .mapToObj(i -> line(i, 300 * random.nextDouble()))
                    .toList();
            double[] sorted = lines.stream()
                    .flatMap(l -> l.strand().days().stream())
                    .mapToDouble(Strand.Day::planned)
                    .sorted()
                    .toArray();
            assertThat(MorningPage.scale(lines))
                    .as("%d athletes", athletes)
                    .isEqualTo(Math.max(60, sorted[(int) (0.98 * sorted.length)]));
        }
        assertThat(MorningPage.scale(List.of())).isEqualTo(60);
    }
}
