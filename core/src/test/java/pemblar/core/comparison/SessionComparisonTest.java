package pemblar.core.comparison;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import pemblar.core.comparison.SessionComparison.Design;
import pemblar.core.comparison.SessionComparison.Repetition;

class SessionComparisonTest {
    private static Repetition repetition(
            boolean second, String session, int order, double watts, double bpm, int seconds) {
        double[] along = new double[seconds];
        double[] compared = new double[seconds];
        for (int i = 0; i < seconds; i++) {
            along[i] = watts;
            compared[i] = bpm;
        }
        return new Repetition(second, session, order, along, compared);
    }

    /**
     * By hand: days 0 and 1.2 against 3.0 and 4.6 higher at 0.25 a watt: difference 3.2, Welch's t with 1.855 degrees
     * of freedom.
     */
    @Test
    void sessionsAreCountedNotRepetitions() {
        List<Repetition> all = new ArrayList<>();
        double[] days = {0, 1.2, 3.0, 4.6};
        for (int s = 0; s < 4; s++)
            for (int r = 0; r < 2; r++)
                all.add(repetition(s >= 2, "s" + s, r, 250 + 20 * r, 80 + 0.25 * (250 + 20 * r) + days[s], 60));
        SessionComparison c = SessionComparison.of(all);
        assertThat(c.difference()).isCloseTo(3.2, within(1e-9));
        assertThat(c.slope()).isCloseTo(0.25, within(1e-9));
        assertThat(c.test().freedom()).isCloseTo(1.855, within(1e-3));
        assertThat(c.test().p()).isCloseTo(0.0941, within(1e-4));
        assertThat(c.sure()).isFalse();
    }

    @Test
    void oneDayEachCannotTellTheGroupsFromTheDays() {
        SessionComparison c = SessionComparison.of(
                List.of(repetition(false, "a", 0, 250, 150, 60), repetition(true, "b", 0, 250, 154, 60)));
        assertThat(c.design()).isEqualTo(Design.TOO_FEW_SESSIONS);
        assertThat(c.test()).isNull();
        assertThat(words(c)).contains("One day each");
    }

    /**
     * Pulse rises over the first minutes: the longer repetitions only look harder, and over the first 110 s there is
     * nothing.
     */
    @Test
    void repetitionsOfUnlikeLengthAreCutToTheShortest() {
        List<Repetition> all = new ArrayList<>();
        for (int s = 0; s < 6; s++) {
            int seconds = s < 3 ? 110 : 240;
            double[] along = new double[seconds];
            double[] compared = new double[seconds];
            for (int i = 0; i < seconds; i++) {
                along[i] = 280;
                compared[i] = 130 + 40 * (1 - Math.exp(-i / 60.0)) + 0.1 * s;
            }
            all.add(new Repetition(s >= 3, "s" + s, 0, along, compared));
        }
        SessionComparison c = SessionComparison.of(all);
        assertThat(c.cutTo()).hasValue(110);
        assertThat(Math.abs(c.difference())).isLessThan(0.5);
        assertThat(words(c)).contains("110 s");
    }

    @Test
    void groupsInsideEachOfSeveralSessionsAreComparedWithinThem() {
        List<Repetition> all = new ArrayList<>();
        for (int s = 0; s < 4; s++)
            for (int r = 0; r < 4; r++)
                all.add(repetition(r % 2 == 1, "s" + s, r, 250, 150 + 5 * s + (r % 2 == 1 ? 2 + 0.1 * s : 0), 60));
        SessionComparison c = SessionComparison.of(all);
        assertThat(c.design()).isEqualTo(Design.WITHIN_SESSIONS);
        assertThat(c.difference()).isCloseTo(2.15, within(1e-9));
        assertThat(c.sure()).isTrue();
    }

    @Test
    void inOneSessionOrderAndGroupAreToldApartOnlyInTurn() {
        List<Repetition> inTurn = new ArrayList<>();
        List<Repetition> inOrder = new ArrayList<>();
        for (int r = 0; r < 8; r++) {
            inTurn.add(repetition(
                    r % 2 == 1,
                    "s",
                    r,
                    250 + 3 * (r * r % 5),
                    150 + 0.2 * 3 * (r * r % 5) + r + (r % 2 == 1 ? 3 : 0),
                    60));
            inOrder.add(repetition(r >= 4, "s", r, 250 + r * r % 5, 150 + r, 60));
        }
        SessionComparison c = SessionComparison.of(inTurn);
        assertThat(c.design()).isEqualTo(Design.ONE_SESSION_ALTERNATING);
        assertThat(c.difference()).isCloseTo(3, within(0.01));
        assertThat(c.sure()).isFalse();
        assertThat(SessionComparison.of(inOrder).design()).isEqualTo(Design.ONE_SESSION_IN_ORDER);
    }

    /** Heart rate follows power, nothing else differs: with one repetition a day no slope can take power out of it. */
    @Test
    void whereNoSessionTellsHowOneFollowsTheOtherNothingIsSaidToBeAtAnEqualValue() {
        List<Repetition> all = new ArrayList<>();
        for (int s = 0; s < 8; s++) {
            double watts = (s >= 4 ? 230 : 210) + 2 * (s % 4);
            all.add(repetition(s >= 4, "s" + s, 0, watts, 100 + 0.2 * watts, 60));
        }
        SessionComparison c = SessionComparison.of(all);
        assertThat(c.footing().isHeldEqual()).isFalse();
        assertThat(c.difference()).isCloseTo(4, within(1e-9));
        assertThat(words(c))
                .isEqualTo("What is compared is 4.0 bpm higher with new than with old, at 9.0 % more power. Within"
                        + " a session neither has repetitions at unlike power, so it could not be held equal, and the"
                        + " difference may be that.");
    }

    @Test
    void oneRepetitionADayIsComparedAtEqualPowerWhereAllAreAtTheSame() {
        List<Repetition> all = new ArrayList<>();
        for (int s = 0; s < 8; s++) all.add(repetition(s >= 4, "s" + s, 0, 230, 150 + s % 4 + (s >= 4 ? 20 : 0), 60));
        assertThat(words(SessionComparison.of(all)))
                .startsWith("At equal power, what is compared is 20.0 bpm higher with new than with old. "
                        + "Chance between days would seldom give that (");
    }

    /** The session holds two powers, one for each group: of neither group can be said how one follows the other. */
    @Test
    void aSessionThatHoldsBothAtAPowerOfTheirOwnIsNotSaidToHoldOnePower() {
        List<Repetition> all = new ArrayList<>();
        for (int s = 0; s < 3; s++)
            for (int r = 0; r < 4; r++) all.add(repetition(r >= 2, "s" + s, r, r >= 2 ? 260 : 250, 150 + s + r, 60));
        assertThat(words(SessionComparison.of(all)))
                .contains("Within a session neither has repetitions at unlike power, so it could not be held equal");
    }

    @Test
    void aCovariateOnBothSidesOfNoughtIsNoInfinityApart() {
        Footing up = Footing.of(new double[] {-2, -2}, new double[] {2, 2}, false);
        assertThat(up.apart()).isEqualTo(2);
        assertThat(up.isHeldEqual()).isFalse();
        assertThat(Footing.of(new double[] {0, 0}, new double[] {0, 0}, false).isHeldEqual())
                .isTrue();
    }

    @Test
    void groupsThatShareNoPowerAreReadOffTheirLinesWithoutAProbability() {
        List<Repetition> all = new ArrayList<>();
        for (int s = 0; s < 8; s++)
            for (int r = 0; r < 3; r++) {
                double watts = (s >= 4 ? 240 : 210) + 3 * r;
                all.add(repetition(s >= 4, "s" + s, r, watts, 100 + 0.2 * watts + s % 4, 60));
            }
        SessionComparison c = SessionComparison.of(all);
        assertThat(c.footing().isShared()).isFalse();
        assertThat(c.footing().isHeldEqual()).isTrue();
        assertThat(words(c))
                .contains("would be as high with new as with old", "hardly overlap in power")
                .doesNotContain("hance");
    }

    /** What is measured in small figures, as metres a beat, is not as high because two decimals are. */
    @Test
    void aSmallDifferenceIsSaidInItsOwnSize() {
        List<Repetition> all = new ArrayList<>();
        for (int s = 0; s < 8; s++)
            all.add(repetition(s >= 4, "s" + s, 0, 230, 0.02 + 0.0001 * (s % 4) + (s >= 4 ? 0.0042 : 0), 60));
        assertThat(words(SessionComparison.of(all)))
                .startsWith("At equal power, what is compared is 0.0042 bpm higher with new than with old. Chance");
    }

    private static SessionComparison simulated(Random random, double difference) {
        List<Repetition> all = new ArrayList<>();
        int sessions = 3 + random.nextInt(4);
        for (int s = 0; s < 2 * sessions; s++) {
            boolean second = s >= sessions;
            double day = 2.5 * random.nextGaussian();
            for (int r = 0; r < 5; r++) {
                double watts = 260 + 15 * random.nextGaussian();
                all.add(repetition(
                        second,
                        "s" + s,
                        r,
                        watts,
                        90 + 0.25 * watts + day + (second ? difference : 0) + random.nextGaussian(),
                        30));
            }
        }
        return SessionComparison.of(all);
    }

    /** The truth: 500 seeded pairs without a difference and 500 with one of 5 bpm, two standard deviations of days. */
    @Test
    void withoutADifferenceItIsSeldomClaimedAndOneOfTwoDeviationsIsOftenFound() {
        int claimed = 0;
        int found = 0;
        for (int seed = 0; seed < 500; seed++) {
            if (simulated(new Random(seed), 0).sure()) claimed++;
            if (simulated(new Random(seed), 5).sure()) found++;
        }
        System.out.printf(
                "comparisons: %.1f %% claimed without a difference, %.1f %% found with one of two deviations%n",
                claimed / 5.0, found / 5.0);
        assertThat(claimed).isLessThanOrEqualTo(35);
        assertThat(found).isGreaterThan(300);
    }

    private static String words(SessionComparison c) {
        return ComparisonWords.of(
                c, new ComparisonWords.Groups("old", "new"), ComparisonWords.Compared.along("power", " bpm"));
    }
}
