package pemblar.core.threshold;

import static org.junit.jupiter.api.Assertions.assertArrayEquals;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import pemblar.core.model.Effort;
import pemblar.core.sport.Sport;

class CalculatorsTest {
    private static Estimate one(Calculation calculation) {
        assertEquals(List.of(), calculation.refusals());
        return calculation.estimates().get(0);
    }

    private static String refusal(Calculation calculation, String field) {
        return calculation.refusals().stream()
                .filter(r -> r.field().equals(field))
                .map(Calculation.Refusal::reason)
                .findFirst()
                .orElse("not refused for " + field);
    }

    @Test
    void twentyMinutesAt280WattsGive266() {
        // 0.95 x 280 = 266; 0.92 x 280 = 257.6; 0.98 x 280 = 274.4
        Estimate e = one(Calculators.twentyMinutes(Sport.RIDE, 280, 0.95));
        assertEquals(Quantity.THRESHOLD_POWER, e.quantity());
        assertEquals(266, e.best(), 1e-9);
        assertEquals(257.6, e.low(), 1e-9);
        assertEquals(274.4, e.high(), 1e-9);
        assertEquals(
                Quantity.RUNNING_THRESHOLD_POWER,
                one(Calculators.twentyMinutes(Sport.RUN, 280, 0.95)).quantity());
    }

    @Test
    void twoHundredIn3MinAndFourHundredIn6Min20Give1MetreASecond() {
        // (400 - 200) / (380 - 180) = 1 m/s, 1:40 for 100 m; 1 % of each time moves the difference by 5.6 s
        Estimate e = one(Calculators.twoSwims(new Calculators.Swim(200, 180), new Calculators.Swim(400, 380), 0));
        assertEquals(Quantity.SWIMMING_THRESHOLD_SPEED, e.quantity());
        assertEquals(1, e.best(), 1e-9);
        assertEquals(200 / 205.6, e.low(), 1e-9);
        assertEquals(200 / 194.4, e.high(), 1e-9);
    }

    @Test
    void swimsThatTellNothingAreRefused() {
        assertTrue(
                Calculators.twoSwims(new Calculators.Swim(50, 40), new Calculators.Swim(400, 380), 0)
                        .isRefused(),
                "too short");
        assertTrue(
                Calculators.twoSwims(new Calculators.Swim(200, 180), new Calculators.Swim(250, 230), 0)
                        .isRefused(),
                "too close");
        assertTrue(
                Calculators.twoSwims(new Calculators.Swim(200, 180), new Calculators.Swim(400, 170), 0)
                        .isRefused(),
                "the long one faster in time");
        assertTrue(
                Calculators.twoSwims(new Calculators.Swim(200, 200), new Calculators.Swim(400, 380), 0)
                        .isRefused(),
                "the long one faster in pace");
        assertTrue(
                Calculators.twoSwims(new Calculators.Swim(200, 180), new Calculators.Swim(400, 380), 8)
                        .isRefused(),
                "too far apart");
        assertTrue(
                Calculators.twoSwims(new Calculators.Swim(Double.NaN, 180), new Calculators.Swim(400, 380), 0)
                        .isRefused(),
                "no number");
    }

    @Test
    void aRampWithABestMinuteOf360WattsGives270() {
        // 0.75 x 360 = 270; 0.68 x 360 = 244.8; 0.79 x 360 = 284.4
        Estimate e = one(Calculators.ramp(Sport.RIDE, 360));
        assertEquals(270, e.best(), 1e-9);
        assertEquals(244.8, e.low(), 1e-9);
        assertEquals(284.4, e.high(), 1e-9);
    }

    /** 400 W for 3 min and 300 W for 12 min: CP 266.7 W, W' 24 kJ, so 346.7 W at 5 min; no word beyond the two. */
    @Test
    void twoEffortsGiveThePowerBetweenThem() {
        Effort shorter = new Effort(180, 400);
        Effort longer = new Effort(720, 300);
        double[] five = Calculators.between(shorter, longer, 300).orElseThrow();
        assertEquals(346.67, five[0], 0.01);
        assertTrue(five[1] < five[0] && five[0] < five[2] && five[2] - five[1] < 0.03 * five[0]);
        assertArrayEquals(five, Calculators.between(longer, shorter, 300).orElseThrow(), 1e-9);
        assertEquals(400, Calculators.between(shorter, longer, 180).orElseThrow()[0], 1e-9);
        assertTrue(Calculators.between(shorter, longer, 3600).isEmpty());
        assertTrue(Calculators.between(shorter, shorter, 180).isEmpty());
    }

    @Test
    void twoEffortsGiveCriticalPowerAndReserveExactly() {
        // 3 min at 400 W = 72 000 J, 12 min at 300 W = 216 000 J: CP = 144 000 / 540 = 266.67 W; W' = 100 x 180 x 720 /
        // 540 = 24 000 J
        Calculation answer = Calculators.twoEfforts(new Effort(180, 400), new Effort(720, 300), 2);
        Estimate cp = answer.estimates().get(0);
        Estimate reserve = answer.estimates().get(1);
        assertEquals(266.6667, cp.best(), 1e-4);
        assertEquals(24_000, reserve.best(), 1e-6);
        // 1 % either way: (0.99 x 216 000 - 1.01 x 72 000) / 540 = 261.33; (1.01 x 216 000 - 0.99 x 72 000) / 540 = 272
        assertEquals(261.3333, cp.low(), 1e-4);
        assertEquals(272, cp.high(), 1e-9);
        // (404 - 297) x 240 = 25 680; (396 - 303) x 240 = 22 320
        assertEquals(22_320, reserve.low(), 1e-6);
        assertEquals(25_680, reserve.high(), 1e-6);
    }

    @Test
    void theOrderOfTheTwoEffortsDoesNotMatter() {
        assertEquals(
                Calculators.twoEfforts(new Effort(180, 400), new Effort(720, 300), 0),
                Calculators.twoEfforts(new Effort(720, 300), new Effort(180, 400), 0));
    }

    @Test
    void effortsTooCloseTogetherAreRefusedWithTheReason() {
        assertTrue(refusal(Calculators.twoEfforts(new Effort(240, 380), new Effort(700, 300), 0), "longTime")
                .contains("at least 3 times"));
        assertTrue(refusal(Calculators.twoEfforts(new Effort(240, 380), new Effort(720, 300), 0), "longTime")
                .startsWith("not refused"));
        assertTrue(refusal(Calculators.twoEfforts(new Effort(60, 500), new Effort(720, 300), 0), "shortTime")
                .contains("1:30 to 40:00"));
        assertTrue(refusal(Calculators.twoEfforts(new Effort(180, 380), new Effort(2401, 300), 0), "longTime")
                .contains("1:30 to 40:00"));
        assertTrue(refusal(Calculators.twoEfforts(new Effort(180, 380), new Effort(720, 300), 8), "longDay")
                .contains("8 apart"));
        assertTrue(refusal(Calculators.twoEfforts(new Effort(180, 300), new Effort(720, 300), 0), "longWatts")
                .contains("more watts"));
    }

    @Test
    void aRaceOfAnHourIsCarriedAlongTheExponent() {
        // 250 W for 60 min, k 0.07: 250 (60/55)^0.07 = 250 x e^(0.07 x 0.087011) = 250 x 1.0061095 = 251.5274
        Estimate e = one(Calculators.racePower(Sport.RIDE, 250, 3600, 0.07));
        assertEquals(251.5274, e.best(), 1e-3);
        // lowest: T 70 min, k 0.08: 250 (6/7)^0.08 = 250 x e^(-0.0123321) = 246.936; highest: T 40 min, k 0.08: 250 x
        // 1.5^0.08 = 258.242
        assertEquals(246.936, e.low(), 1e-3);
        assertEquals(258.242, e.high(), 1e-3);
    }

    @Test
    void theRangeOfARaceOfFiveHoursIsWiderThanOfOneHour() {
        Estimate hour = one(Calculators.racePower(Sport.RIDE, 250, 3300, 0.07));
        Estimate five = one(Calculators.racePower(Sport.RIDE, 200, 18_000, 0.07));
        assertTrue((five.high() - five.low()) / five.best() > 1.4 * (hour.high() - hour.low()) / hour.best());
        Estimate runHour = one(Calculators.racePace(14_000, 3600, 0.06));
        assertEquals(0, runHour.high() - runHour.low(), 1e-9); // 60 min is what threshold pace stands for
    }

    @Test
    void tenKilometresInFortyMinutes() {
        // 4.16667 m/s x (40/60)^0.06 = 4.16667 x e^(0.06 x -0.405465) = 4.16667 x 0.975966 = 4.06652
        assertEquals(4.06652, one(Calculators.racePace(10_000, 2400, 0.06)).best(), 1e-4);
    }

    @Test
    void heartRateTrials() {
        assertEquals(
                new Estimate(Quantity.THRESHOLD_HEART_RATE, 172, 170, 174),
                one(Calculators.heartRateThirty(Sport.RIDE, 172)));
        // 175 x 0.98 = 171.5
        assertEquals(171.5, one(Calculators.heartRateTwenty(Sport.RUN, 175)).best(), 1e-9);
        assertEquals(
                Quantity.RUNNING_THRESHOLD_HEART_RATE,
                one(Calculators.heartRateTwenty(Sport.RUN, 175)).quantity());
        assertTrue(refusal(Calculators.heartRateThirty(Sport.RIDE, 17), "bpm").contains("80 to 230"));
    }

    @Test
    void impossibleInputIsRefusedAndSaysWhy() {
        assertTrue(refusal(Calculators.racePower(Sport.RIDE, 2000, 3600, 0.07), "watts")
                .contains("nobody holds 2000 W for 1:00 h"));
        assertTrue(refusal(Calculators.racePower(Sport.RIDE, 300, 180, 0.07), "time")
                .contains("10 min or more, was 3:00"));
        assertTrue(refusal(Calculators.racePace(10_000, 1500, 0.06), "time").contains("faster than anybody"));
        assertTrue(refusal(Calculators.racePace(2000, 3600, 0.06), "distance").contains("walking"));
        assertTrue(refusal(Calculators.twentyMinutes(Sport.RIDE, 280, 0.99), "factor")
                .contains("0.90 to 0.97"));
        assertTrue(refusal(Calculators.twentyMinutes(Sport.RIDE, Double.NaN, 0.95), "watts")
                .contains("40 W or more"));
        assertEquals(
                2, Calculators.twentyMinutes(Sport.RIDE, 20, 1.2).refusals().size());
    }

    @Property
    void raisingAResultNeverLowersItsEstimate(
            @ForAll @DoubleRange(min = 100, max = 300) double watts,
            @ForAll @DoubleRange(min = 0, max = 100) double more,
            @ForAll @IntRange(min = 600, max = 20_000) int seconds,
            @ForAll @DoubleRange(min = 0.02, max = 0.15) double k) {
        assertTrue(one(Calculators.twentyMinutes(Sport.RIDE, watts + more, 0.95))
                        .best()
                >= one(Calculators.twentyMinutes(Sport.RIDE, watts, 0.95)).best());
        assertTrue(one(Calculators.ramp(Sport.RIDE, watts + more)).best()
                >= one(Calculators.ramp(Sport.RIDE, watts)).best());
        assertTrue(one(Calculators.racePower(Sport.RIDE, watts + more, seconds, k))
                        .best()
                >= one(Calculators.racePower(Sport.RIDE, watts, seconds, k)).best());
        Effort brief = new Effort(180, 450);
        if (!Calculators.twoEfforts(brief, new Effort(720, watts), 0).isRefused())
            assertTrue(one(Calculators.twoEfforts(brief, new Effort(720, watts + more), 0))
                            .best()
                    >= one(Calculators.twoEfforts(brief, new Effort(720, watts), 0))
                            .best());
    }

    @Property
    void theBestLiesWithinItsRange(
            @ForAll @DoubleRange(min = 100, max = 350) double watts,
            @ForAll @IntRange(min = 600, max = 86_400) int seconds,
            @ForAll @DoubleRange(min = 0.02, max = 0.15) double k) {
        Calculation race = Calculators.racePower(Sport.RIDE, watts, seconds, k);
        if (race.isRefused()) return;
        Estimate e = race.estimates().get(0);
        assertTrue(e.low() <= e.best() && e.best() <= e.high());
    }
}
