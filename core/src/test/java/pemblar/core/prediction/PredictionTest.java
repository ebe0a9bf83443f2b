package pemblar.core.prediction;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import pemblar.core.sport.Measure;
import pemblar.core.workout.SpeedOfPower;

class PredictionTest {
    private static final LocalDate TODAY = LocalDate.of(2026, 11, 30);
    private static final Result TEN = new Result(TODAY.minusDays(30), 2400, 4.17);
    private static final Result OLD = new Result(TODAY.minusDays(91), 5400, 3.9);
    /** 8 m/s at 200 W, and as the cube root of power: what air alone takes. */
    private static final SpeedOfPower AIR = new SpeedOfPower(Math.log(8) - Math.log(200) / 3, 1 / 3.0, 40, 0.03);

    private static Prediction.Basis basis(double level, double reach, double k, double kReach) {
        return new Prediction.Basis(TODAY, Range.about(level, reach), Range.about(k, kReach), List.of(TEN, OLD));
    }

    /** By hand: 250 W for 55 min give 230 W for three hours; 95 % of it are 218.5. */
    @Test
    void aLongRideThatWasNotHardCarriesNothing() {
        Result hour = new Result(TODAY, 3600, 245);
        Result firm = new Result(TODAY, 10_800, 219);
        Result easy = new Result(TODAY, 10_800, 185);
        assertEquals(
                List.of(hour, firm),
                Prediction.carrying(List.of(hour, firm, easy), 250, Prediction.RIDE_EXPONENT, Measure.POWER));
        Prediction five = Prediction.overSeconds(
                new Prediction.Basis(TODAY, Range.about(250, 7.5), Range.about(0.07, 0.01), List.of(hour)), 18_000);
        assertTrue(five.outside() && five.leansOn().equals(Optional.of(hour)));
    }

    /** 4 m/s for the hour and k = 0.07: the hour itself covers 14.4 km; 10 km and 42.195 km by hand. */
    @Test
    void aRunTakesTheTimeInWhichItsSpeedCoversIt() {
        assertEquals(3600, Prediction.overMetres(basis(4, 0, 0.07, 0), 14_400).value(), 1e-6);
        assertEquals(2432.3, Prediction.overMetres(basis(4, 0, 0.07, 0), 10_000).value(), 0.5);
        assertEquals(11_440, Prediction.overMetres(basis(4, 0, 0.07, 0), 42_195).value(), 5);
    }

    @Test
    void aRideHoldsItsThresholdOverFiftyFiveMinutes() {
        assertEquals(260, Prediction.overSeconds(basis(260, 0, 0.07, 0), 3300).value(), 1e-9);
        assertEquals(
                260 * Math.pow(0.5, 0.07),
                Prediction.overSeconds(basis(260, 0, 0.07, 0), 6600).value(),
                1e-9);
    }

    @Test
    void theRangeTakesTheExtremesOfBoth() {
        Prediction p = Prediction.overMetres(basis(4, 0.12, 0.07, 0.01), 42_195);
        assertEquals(Prediction.overMetres(basis(4.12, 0, 0.06, 0), 42_195).value(), p.low(), 1e-9);
        assertEquals(Prediction.overMetres(basis(3.88, 0, 0.08, 0), 42_195).value(), p.high(), 1e-9);
        assertTrue(p.holds(p.value()) && !p.holds(p.low() - 1) && !p.holds(p.high() + 1));
    }

    @Test
    void itLeansOnTheNearestResultOfNinetyDaysAndSaysWhatLiesBeyond() {
        Prediction near = Prediction.overMetres(basis(4, 0, 0.07, 0), 10_000);
        assertEquals(Optional.of(TEN), near.leansOn());
        assertFalse(near.outside());
        assertTrue(Prediction.overMetres(basis(4, 0, 0.07, 0), 42_195).outside(), "the 90 min are too old");
    }

    @Test
    void onUsualRoadsTheTimeIsThatOfTheRidesAtThePowerThatIsHeld() {
        RideCourse flat = new RideCourse(AIR, 80, 40_000, 0);
        double seconds = Prediction.overCourse(basis(250, 0, 0.07, 0), flat).value();
        double watts = 250 * Math.pow(3300 / seconds, 0.07);
        assertEquals(40_000 / AIR.at(watts), seconds, 0.01);
        RideCourse heavier = new RideCourse(AIR, 100, 40_000, 0);
        assertEquals(
                seconds, Prediction.overCourse(basis(250, 0, 0.07, 0), heavier).value(), 1e-6);
    }

    /** 80 kg at 10 % over 5 km: lifting takes 390 kJ, which at some 260 W are 25 min; the air takes a little more. */
    @Test
    void aClimbTakesTheWeightBesides() {
        RideCourse climb = new RideCourse(AIR, 80, 5000, 0.1);
        Prediction p = Prediction.overCourse(basis(260, 0, 0.07, 0), climb);
        double watts = 260 * Math.pow(3300 / p.value(), 0.07);
        double lifting = 80 * 9.80665 * 5000 * 0.1 / Math.sqrt(1.01);
        double air = Math.pow(5000 / p.value() / 8, 3) * 200;
        assertEquals(watts, lifting / p.value() + air, 0.01);
        assertTrue(p.value() > lifting / watts && p.value() < 1.06 * lifting / watts, "" + p.value());
        RideCourse lighter = new RideCourse(AIR, 70, 5000, 0.1);
        assertTrue(Prediction.overCourse(basis(260, 0, 0.07, 0), lighter).value() < p.value());
    }

    @Test
    void roadsThatDifferWidenTheRangeOnTheFlatMoreThanOnAClimb() {
        Prediction flat = Prediction.overCourse(basis(250, 5, 0.07, 0.01), new RideCourse(AIR, 80, 20_000, 0));
        Prediction climb = Prediction.overCourse(basis(250, 5, 0.07, 0.01), new RideCourse(AIR, 80, 10_000, 0.08));
        double wide = (flat.high() - flat.low()) / flat.value();
        assertTrue(wide > 0.12, "four deviations of 3 %: " + wide);
        assertTrue((climb.high() - climb.low()) / climb.value() < wide);
    }

    @Test
    void whatCannotBeIsRefusedWithItsName() {
        assertThrows(IllegalArgumentException.class, () -> new RideCourse(AIR, 80, 50, 0));
        assertThrows(IllegalArgumentException.class, () -> new RideCourse(AIR, 80, 5000, 0.5));
        assertThrows(IllegalArgumentException.class, () -> new RideCourse(AIR, Double.NaN, 5000, 0));
        assertThrows(IllegalArgumentException.class, () -> Prediction.overMetres(basis(4, 0, 0.07, 0), Double.NaN));
    }
}
