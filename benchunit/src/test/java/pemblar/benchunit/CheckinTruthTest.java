package pemblar.benchunit;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.Random;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import pemblar.core.checkin.Bands;
import pemblar.core.checkin.Measure;

/**
 * The truth of illnesses: in a thousand seeded half-years the simulated world knows when a body was ill, and the bands
 * must say so within three days, and say so falsely at most once in sixty days. An alarm is the first morning of a run
 * on which resting heart rate or variability is strained: both feed what a plan answers to.
 */
class CheckinTruthTest {
    private static final LocalDate FIRST = LocalDate.of(2027, 1, 1);
    private static final int SEEDS = 1000;
    private static final int DAYS = 182;
    private static final int ILL_FROM = 110;
    private static final int ILL_DAYS = 6;
    private static final int WITHIN = 3;
    private static final int BEGIN = 36;
    private static final int AFTER = 35;

    @Test
    void anIllnessIsFoundWithinThreeDaysAndSeldomClaimedFalsely() {
        int found = 0;
        int alarms = 0;
        int healthy = 0;
        for (int seed = 0; seed < SEEDS; seed++) {
            Mornings values = halfYear(seed);
            boolean before = false;
            boolean hit = false;
            for (int day = BEGIN; day < DAYS; day++) {
                LocalDate on = FIRST.plusDays(day);
                boolean strain = Bands.of(Measure.RESTING_HEART_RATE, values.bpm(), on)
                                .isStrain()
                        || Bands.of(Measure.VARIABILITY, values.rmssd(), on).isStrain();
                boolean ill = day >= ILL_FROM && day <= ILL_FROM + WITHIN;
                boolean shadow = day >= ILL_FROM && day < ILL_FROM + ILL_DAYS + AFTER;
                hit |= ill && strain;
                if (!shadow) {
                    healthy++;
                    if (strain && !before) alarms++;
                }
                before = strain;
            }
            if (hit) found++;
        }
        double share = (double) found / SEEDS;
        double daysAnAlarm = (double) healthy / Math.max(1, alarms);
        System.out.printf(
                "illness found within %d days: %.1f %%; one false alarm in %.0f days%n",
                WITHIN, 100 * share, daysAnAlarm);
        assertThat(share).isGreaterThanOrEqualTo(0.9);
        assertThat(daysAnAlarm).isGreaterThanOrEqualTo(60);
    }

    /** What the sensor said, by day. */
    private record Mornings(TreeMap<LocalDate, Double> bpm, TreeMap<LocalDate, Double> rmssd) {}

    private static Mornings halfYear(int seed) {
        Random random = new Random(seed);
        NightSensor sensor = new NightSensor(42 + random.nextInt(20), 40 + random.nextInt(50), 60, random);
        Mornings values = new Mornings(new TreeMap<>(), new TreeMap<>());
        for (int day = 0; day < DAYS; day++) {
            boolean ill = day >= ILL_FROM && day < ILL_FROM + ILL_DAYS;
            NightSensor.Night night = sensor.next(ill ? 0 : day % 7 == 0 ? 0 : 40 + random.nextInt(70), ill);
            if (night.isMissing()) continue;
            values.bpm().put(FIRST.plusDays(day), night.restingBpm());
            values.rmssd().put(FIRST.plusDays(day), night.rmssd());
        }
        return values;
    }

    @Test
    void anIllBodyIsSixBeatsUpAndMore() {
        NightSensor well = new NightSensor(50, 60, 60, new Random(3));
        NightSensor ill = new NightSensor(50, 60, 60, new Random(3));
        double up = 0;
        int count = 0;
        for (int day = 0; day < 400; day++) {
            NightSensor.Night a = well.next(60, false);
            NightSensor.Night b = ill.next(60, true);
            if (a.isMissing() || b.isMissing()) continue;
            up += b.restingBpm() - a.restingBpm();
            count++;
        }
        assertThat(up / count).isGreaterThanOrEqualTo(6);
    }
}
