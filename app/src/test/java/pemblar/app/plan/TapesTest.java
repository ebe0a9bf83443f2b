package pemblar.app.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import pemblar.app.athlete.Athlete;
import pemblar.app.plan.row.BoardRow;
import pemblar.app.session.Slab;
import pemblar.core.load.LoadTrend;
import pemblar.core.schedule.Purpose;
import pemblar.core.schedule.RollingLoad.Spell;
import pemblar.core.schedule.UsualStart;
import pemblar.core.season.Block;
import pemblar.core.season.Block.Phase;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.Sex;

/** The clock under a block of four days, 1000 wide: a day is 250, an hour a little over ten. */
@Tag("unit")
class TapesTest {
    private static final LocalDate FIRST = LocalDate.of(2026, 11, 23);
    private static final Block FOUR_DAYS = new Block(FIRST, 4, Phase.BUILD, "Build", "", 300, 36_000);
    private static final Athlete ATHLETE = new Athlete(
            1,
            "A",
            java.util.List.of(Sport.RIDE),
            Sex.NOT_GIVEN,
            ZoneId.of("Europe/Helsinki"),
            LoadTrend.Settings.DEFAULT);

    private static final UsualStart NOON = new UsualStart(List.of());

    private static Slab planned(int day, int minute, int hours, Purpose purpose) {
        return new Slab(
                20 + day,
                FIRST.plusDays(day),
                minute,
                Sport.RIDE,
                "Session",
                false,
                100,
                hours * 3600,
                60.0 * hours,
                "",
                purpose,
                false,
                5,
                "",
                null,
                null);
    }

    private static Spell spell(int day, int hour, int hours, double load) {
        Instant start = ATHLETE.at(FIRST.plusDays(day), hour * 60);
        return new Spell(start, start.plus(Duration.ofHours(hours)), load);
    }

    @Test
    void aBarStandsAtItsLocalTimeAndIsAsWideAsItIsLong() {
        BoardRow.Tape tape =
                Tapes.of(FOUR_DAYS, List.of(planned(1, 720, 3, Purpose.THRESHOLD)), List.of(), ATHLETE, NOON);
        BoardRow.Bar bar = tape.bars().get(0);
        assertThat(bar.x())
                .as("noon of the second day, wherever the server stands")
                .isCloseTo(375, within(1e-6));
        assertThat(bar.width()).isCloseTo(250 / 8.0, within(1e-6));
        assertThat(bar.hard()).isTrue();
        assertThat(bar.id()).as("it can be moved").isEqualTo(21);
    }

    @Test
    void aShortSessionCanStillBeSeen() {
        Slab minutes = new Slab(
                20, FIRST, 600, Sport.RIDE, "Short", false, 100, 300, 3.0, "", Purpose.EASY, false, 0, "", null, null);
        assertThat(Tapes.of(FOUR_DAYS, List.of(minutes), List.of(), ATHLETE, NOON)
                        .bars()
                        .get(0)
                        .width())
                .isEqualTo(2);
    }

    @Test
    void theHeaviestDayIsNamed() {
        List<Spell> spells = List.of(spell(0, 8, 2, 80), spell(0, 20, 2, 70), spell(3, 8, 1, 100));
        BoardRow.Tape tape = Tapes.of(FOUR_DAYS, List.of(), spells, ATHLETE, NOON);
        assertThat(tape.peak24())
                .as("at the end of the second session, between any two hours of a grid")
                .isCloseTo(150, within(1e-9));
        assertThat(tape.bars()).isEmpty();
    }

    @Test
    void aSessionWithoutAStartTimeIsDrawnAtTheUsualOneAndSaysSo() {
        Slab when = new Slab(
                20,
                FIRST,
                null,
                Sport.RIDE,
                "When",
                false,
                100,
                3600,
                60.0,
                "",
                Purpose.EASY,
                false,
                0,
                "",
                null,
                null);
        BoardRow.Bar bar = Tapes.of(FOUR_DAYS, List.of(when), List.of(), ATHLETE, NOON)
                .bars()
                .get(0);
        assertThat(bar.x()).isCloseTo(125, within(1e-6));
        assertThat(bar.uncertain()).isTrue();
        assertThat(bar.label()).contains("no start time");
    }

    @Test
    void aBlockWithoutSessionsIsAFlatLine() {
        BoardRow.Tape tape = Tapes.of(FOUR_DAYS, List.of(), List.of(), ATHLETE, NOON);
        assertThat(tape.peak24()).isZero();
        for (String point : tape.line24().substring(1).split("L"))
            assertThat(Double.parseDouble(point.split(" ")[1])).as(point).isEqualTo(32);
    }
}
