package pemblar.core.workout;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Random;
import org.junit.jupiter.api.Test;
import pemblar.core.model.IntervalTarget;
import pemblar.core.model.Reserve;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.Quantity;
import pemblar.core.threshold.Thresholds;

/** Steps that the reserve ends, targets of the highest power, and gradients. */
class ReserveStepsTest {
    private static final double CP = 255;
    private static final double W_PRIME = 16_500;
    private static final Thresholds RIDER = rider(CP, W_PRIME);
    private static final Thresholds HEARTED = RIDER.with(Quantity.THRESHOLD_HEART_RATE, 170);
    private static final Thresholds RUNNER = Thresholds.NONE.with(Quantity.THRESHOLD_SPEED, 4);

    private static Thresholds rider(double cp, double wPrime) {
        return Thresholds.NONE
                .with(Quantity.THRESHOLD_POWER, 230)
                .with(Quantity.CRITICAL_POWER, cp)
                .with(Quantity.W_PRIME, wPrime);
    }

    private static Workout read(String text, Sport sport) {
        return Shorthand.read(text, sport).workout().orElseThrow();
    }

    private static Forecast ride(String text, Thresholds values) {
        return Forecast.of(read(text, Sport.RIDE), values);
    }

    @Test
    void theBookExampleOfSixTimesTwoHundredSeconds() {
        // ask.md, intervals: 6 x 200 s, rest 150 s at 115 W = 50 % of 230 W; there with 15 % left, here with 10 %
        double expected = IntervalTarget.of(new Reserve(CP, W_PRIME), new IntervalTarget.Set(6, 200, 150, 115, 0.1))
                .watts();
        Forecast forecast = ride("10min 60%, 6 x (200s max, 150s 50%)", RIDER);
        assertEquals(expected, forecast.steps().get(1).from(), 0.5);
        assertEquals(0.1 * W_PRIME, forecast.lowestReserve().orElseThrow().joules(), 0.005 * W_PRIME);
    }

    @Test
    void aShareOfTheHighestPowerIsAShareOfItAndTheBandGoesAlong() {
        double highest = ride("6 x (3min max, 3min 50%)", RIDER).steps().get(0).from();
        PlannedStep share = ride("6 x (3min 97%max, 3min 50%)", RIDER).steps().get(0);
        assertEquals(0.97 * highest, share.from(), 0.02);
        PlannedStep band = ride("6 x (3min 90-95%max, 3min 50%)", RIDER).steps().get(0);
        assertEquals(0.9 * highest, band.low(), 0.02);
        assertEquals(0.95 * highest, band.high(), 0.02);
    }

    @Test
    void theHighestPowerLeavesATenthWhateverTheRepeat() {
        Random random = new Random(7);
        for (int i = 0; i < 300; i++) {
            Thresholds values = rider(180 + random.nextInt(160), 9000 + random.nextInt(18_000));
            String text = random.nextInt(2) == 0
                    ? (2 + random.nextInt(9)) + " x (" + (30 + random.nextInt(270)) + "s max, "
                            + (20 + random.nextInt(240)) + "s " + (30 + random.nextInt(30)) + "%)"
                    : "2 x (" + (2 + random.nextInt(6)) + " x (" + (20 + random.nextInt(40)) + "s max, "
                            + (10 + random.nextInt(40)) + "s 50%), " + (2 + random.nextInt(5)) + "min 45%)";
            Forecast forecast = ride(text, values);
            double left = forecast.lowestReserve().orElseThrow().joules() / values.require(Quantity.W_PRIME);
            assertEquals(0.1, left, 0.002, text + " of " + values);
        }
    }

    @Test
    void withoutTheModelAMaxStepSaysWhatIsMissing() {
        Thresholds only = Thresholds.NONE.with(Quantity.THRESHOLD_POWER, 230);
        Forecast unknown = ride("6 x (3min max, 3min 50%)", only);
        assertTrue(unknown.remarks().contains(Forecast.Remark.MAX_NEEDS_MODEL));
        assertTrue(unknown.load().isEmpty(), "no load is made up");
        Forecast run = Forecast.of(read("6 x (3min max, 3min rest)", Sport.RUN), RIDER);
        assertTrue(run.remarks().contains(Forecast.Remark.MAX_NEEDS_MODEL), "a rider's model is none of running");
    }

    @Test
    void aRepeatInWhichTheHighestPowerCannotBeFoundIsRefusedWithTheReason() {
        assertRefused("6 x (3min max, until reserve>90% 50%)", "led by the reserve");
        assertRefused("6 x (3min max, 1km 50%)", "time is known");
        assertRefused("6 x (3min max, 5min 200%)", "use up the reserve");
        assertRefused("6 x (3min max, 3min 120bpm)", "watts or percent of power");
    }

    private static void assertRefused(String text, String part) {
        var refused = assertThrows(IllegalArgumentException.class, () -> ride(text, RIDER));
        assertTrue(refused.getMessage().contains(part), refused.getMessage());
    }

    @Test
    void aStepThatTheReserveEndsTakesTheTimeOfTheModel() {
        // 160 % of 230 is 368 W: 113 W over CP use up 80 % of 16.5 kJ in 116.8 s
        Forecast forecast = ride("until reserve<20% 160%, until reserve>90% 50%", RIDER);
        assertEquals(0.8 * W_PRIME / 113, forecast.steps().get(0).seconds(), 1e-6);
        // from 20 back to 90 % at 115 W: W'/140 ln(0.8 / 0.1)
        assertEquals(W_PRIME / 140 * Math.log(8), forecast.steps().get(1).seconds(), 1e-6);
        assertEquals(0.2 * W_PRIME, forecast.lowestReserve().orElseThrow().joules(), 150);
        assertEquals(0.9 * W_PRIME, forecast.reserve().orElseThrow().at(forecast.seconds() - 1), 150);
    }

    @Test
    void burstsOfARepeatBecomeShorterThanTheFirst() {
        Forecast forecast = ride("4 x (until reserve<20% 160%, until reserve>90% 50%)", RIDER);
        double first = forecast.steps().get(0).seconds();
        for (int burst = 2; burst < 8; burst += 2)
            assertEquals(first * 0.7 / 0.8, forecast.steps().get(burst).seconds(), 1e-6);
    }

    @Test
    void aStepThatNeverGetsThereIsSaid() {
        assertTrue(ride("until reserve<20% 90%", RIDER).remarks().contains(Forecast.Remark.RESERVE_NEVER_THERE));
        assertTrue(ride("2min 130%, until reserve>90% 130%", RIDER)
                .remarks()
                .contains(Forecast.Remark.RESERVE_NEVER_THERE));
        Thresholds only = Thresholds.NONE.with(Quantity.THRESHOLD_POWER, 230);
        assertTrue(ride("until reserve<20% 160%", only).remarks().contains(Forecast.Remark.RESERVE_NEEDS_MODEL));
        assertFalse(
                ride("lap 95%", RIDER).remarks().contains(Forecast.Remark.THRESHOLD_UNKNOWN), "its time is, not that");
        assertTrue(ride("lap 160%, until reserve>90% 50%", RIDER).remarks().contains(Forecast.Remark.RESERVE_UNKNOWN));
        assertTrue(ride("20min 140bpm, until reserve<50% 150%", HEARTED)
                .remarks()
                .contains(Forecast.Remark.RESERVE_UNKNOWN));
    }

    @Test
    void uphillTheSameEffortIsASlowerPace() {
        PlannedStep flat = Forecast.of(read("20 x (200m 100%, 90s rest)", Sport.RUN), RUNNER)
                .steps()
                .get(0);
        PlannedStep hill = Forecast.of(read("20 x (200m 100% at 5%, 90s rest)", Sport.RUN), RUNNER)
                .steps()
                .get(0);
        // Minetti: C(0.05) / C(0) = (3.6 + 0.975 + 0.11575 - 0.0054125 - 0.00019 + 0.0000486) / 3.6
        assertEquals(1.30144, flat.from() / hill.from(), 1e-4);
        assertEquals(flat.intensity(), hill.intensity(), 1e-9);
        assertEquals(200 / hill.from(), hill.seconds(), 1e-9);
        PlannedStep written = Forecast.of(read("1km 5:00/km at 5%", Sport.RUN), RUNNER)
                .steps()
                .get(0);
        assertEquals(1000.0 / 300, written.from(), 1e-9);
        assertEquals(1.30144 / 4 * 1000 / 300, written.intensity(), 1e-4);
    }

    @Test
    void whatCannotBeReadSaysWhatWouldBe() {
        assertProblem("until reserve<20 160%", "'%' after the share");
        assertProblem("until power<200 open", "reserve>");
        assertProblem("until reserve<120% 160%", "0 to 99");
        assertProblem("3min 20%max", "30 to 150");
        assertProblem("3min 90>100%max", "band");
        assertProblem("200m z5 at 5", "'%' after the gradient");
        assertProblem("200m z5 at 60%", "-40 to 40");
    }

    private static void assertProblem(String text, String part) {
        String expected =
                Shorthand.read(text, Sport.RIDE).problem().orElseThrow().expected();
        assertTrue(expected.contains(part), text + ": " + expected);
    }
}
