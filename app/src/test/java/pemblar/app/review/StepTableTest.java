package pemblar.app.review;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import pemblar.app.review.StepTable.Line;
import pemblar.app.session.reading.SessionService.Opened;
import pemblar.core.matching.Stretches;
import pemblar.core.matching.Stretches.One;
import pemblar.core.sport.Sport;

@Tag("unit")
class StepTableTest {
    private static StepTable table(Opened opened) {
        return StepTable.of(Cuts.of(opened), opened);
    }

    private static Openings ride() {
        return Openings.of(Sport.RIDE, 240)
                .with("power", 100)
                .but("power", 60, 120, 200)
                .but("power", 180, 240, 212);
    }

    /** 95 to 105 % of 200 W is 190 to 210: a mean of 200 stands in its middle, 212 a twentieth of 40 beyond its end. */
    @Test
    void aMeanStandsWhereItLiesAgainstItsBand() {
        StepTable table = table(ride().laps(60, 120, 180, 240)
                .planned("2 x (1min 50%, 1min 95-105%)")
                .open());
        assertThat(table.unit()).isEqualTo("W");
        assertThat(table.planned()).isTrue();
        Line met = table.lines().get(1);
        Line over = table.lines().get(3);
        assertThat(met.mean()).isEqualTo("200");
        assertThat(met.band()).isEqualTo("190–210");
        assertThat(met.markX()).isCloseTo(50, within(1e-9));
        assertThat(over.markX()).isCloseTo(30 + 40 * 22 / 20.0, within(1e-9));
        assertThat(met.done().shareInBand()).isEqualTo(1);
        assertThat(over.done().shareInBand()).isZero();
        assertThat(met.name()).isEqualTo("1min · 1");
    }

    @Test
    void aMeanFarOutsideStaysOnTheStrip() {
        Opened opened = ride().but("power", 0, 240, 900)
                .laps(60, 120, 180, 240)
                .planned("2 x (1min 50%, 1min 95-105%)")
                .open();
        assertThat(table(opened).lines())
                .allSatisfy(line -> assertThat(line.markX()).isBetween(2.0, 98.0));
    }

    @Test
    void lapsWithoutAPlanHaveNoTargetAndNoBand() {
        StepTable table = table(ride().laps(120, 240).open());
        assertThat(table.how()).isEqualTo("The recording's laps.");
        assertThat(table.planned()).isFalse();
        Line first = table.lines().get(0);
        assertThat(first.mean()).isEqualTo("150");
        assertThat(first.band()).isEqualTo("–");
        assertThat(first.hasBand()).isFalse();
        assertThat(first.step()).isEqualTo(Stretches.NO_STEP);
        assertThat(first.name()).isEqualTo("stretch 1");
    }

    /** 4 m/s is 4:10 a kilometre on foot, and 14.4 km/h on wheels. */
    @Test
    void speedIsPaceOnFootAndKilometresAnHourOnWheels() {
        StepTable run = table(
                Openings.of(Sport.RUN, 240).with("speed", 4).laps(120, 240).open());
        assertThat(run.unit()).isEqualTo("/km");
        assertThat(run.lines().get(0).mean()).isEqualTo("4:10");
        StepTable ride = table(
                Openings.of(Sport.RIDE, 240).with("speed", 4).laps(120, 240).open());
        assertThat(ride.unit()).isEqualTo("km/h");
        assertThat(ride.lines().get(0).mean()).isEqualTo("14.4");
    }

    @Test
    void theFasterEndOfAPaceComesFirst() {
        Opened opened = Openings.of(Sport.RUN, 240)
                .with("speed", 4)
                .laps(120, 240)
                .planned("2min 3:50-4:20/km, 2min 5:00/km")
                .open();
        Line line = table(opened).lines().get(0);
        assertThat(line.band()).isEqualTo("3:50–4:20");
        assertThat(line.mean()).isEqualTo("4:10");
        assertThat(line.done().shareInBand()).isEqualTo(1);
    }

    @Test
    void whatCannotBeComparedSaysWhatToDo() {
        Opened nothing = Openings.of(Sport.RIDE, 240).with("heartRate", 130).open();
        assertThat(table(nothing).how()).contains("no laps").contains("Select a stretch");
        Opened noFit = Openings.of(Sport.RIDE, 240)
                .with("heartRate", 130)
                .planned("2 x (30min 95%, 5min 50%)")
                .open();
        assertThat(table(noFit).how()).contains("Neither laps nor the pattern");
        Opened otherLaps = Openings.of(Sport.RIDE, 240)
                .with("heartRate", 130)
                .laps(100, 240)
                .planned("2 x (30min 95%, 5min 50%)")
                .open();
        assertThat(table(otherLaps).how()).contains("Say which step a lap is");
    }

    @Test
    void anIgnoredStretchIsShownAsSuchAndEveryPlannedStepCanBeChosen() {
        Opened opened = ride().planned("2 x (1min 50%, 1min 95-105%)")
                .byHand(new One(60, 120, 1, true))
                .open();
        assertThat(table(opened).lines().get(0).ignored()).isTrue();
        List<StepTable.Choice> choices = StepTable.choices(Cuts.of(opened));
        assertThat(choices).hasSize(4);
        assertThat(choices.get(3).name()).isEqualTo("1min · 2, 95-105%");
    }

    /** From 50 to 100 % of 200 W: the band of a ramp is tilted, so both of its ends are given. */
    @Test
    void bandsBehindTheLanesFollowARamp() {
        Opened opened = Openings.of(Sport.RIDE, 600)
                .with("power", 150)
                .laps(600)
                .planned("10min 50>100%")
                .open();
        List<Object> band = StepTable.bands(Cuts.of(opened).matched()).get(0);
        assertThat(band.get(0)).isEqualTo("power");
        assertThat(band.subList(1, 3)).containsExactly(0, 600);
        assertThat((double) band.get(3)).isLessThan((double) band.get(5));
        assertThat((double) band.get(4)).isLessThan((double) band.get(6));
    }
}
