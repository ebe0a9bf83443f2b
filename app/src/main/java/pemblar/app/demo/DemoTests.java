package pemblar.app.demo;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;
import pemblar.app.athlete.Athlete;
import pemblar.app.effort.EffortService;
import pemblar.app.effort.EffortService.Scope;
import pemblar.app.evidence.EvidenceService;
import pemblar.app.frame.Viewer;
import pemblar.app.frame.Visit;
import pemblar.core.model.Effort;
import pemblar.core.range.DayRange;
import pemblar.core.sport.Measure;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.AllOut;
import pemblar.core.threshold.Calculation;
import pemblar.core.threshold.Calculators;
import pemblar.core.threshold.Calculators.Swim;
import pemblar.core.threshold.Estimate;
import pemblar.core.threshold.Evidence;
import pemblar.core.threshold.Method;
import pemblar.core.workout.Pace;

/** Makes evidence of the demo's tests and race, from what was recorded on their days. */
@Component
@ConditionalOnProperty("pemblar.demo")
class DemoTests {
    private static final int SHORT = 180;
    private static final int LONG = 720;
    private static final int TWENTY = 1200;
    private static final int THIRTY = 1800;
    private static final int RACE = 2700;
    private final EvidenceService evidence;
    private final EffortService efforts;

    DemoTests(EvidenceService evidence, EffortService efforts) {
        this.evidence = evidence;
        this.efforts = efforts;
    }

    void add(DemoAthlete demo, Athlete athlete, Viewer viewer, LocalDate today) {
        for (int day = DemoAthlete.FIRST_DAY; day < 0; day++) {
            LocalDate date = today.plusDays(day);
            List<Evidence> pieces = new ArrayList<>();
            if (DemoAthlete.isTest(day) && demo.rides()) twoEfforts(pieces, athlete, date);
            if (DemoAthlete.isTest(day) && !demo.rides()) trial(pieces, athlete, date);
            if (DemoAthlete.isTest(day - 2) && demo.rides()) twenty(pieces, athlete, date);
            if (day == DemoAthlete.CLUB_RACE && demo.rides()) race(pieces, athlete, date);
            if (day == DemoAthlete.SWIM_TEST && demo.swims())
                swims(pieces, demo.ability(day) * DemoAthlete.SWIM_SPEED, date);
            if (!pieces.isEmpty()) evidence.keep(new Visit(athlete.id(), viewer), pieces, null);
        }
    }

    private void twoEfforts(List<Evidence> pieces, Athlete athlete, LocalDate date) {
        double brief = best(new Scope(athlete, Sport.RIDE, Measure.POWER, new DayRange(date, date)), SHORT);
        double sustained = best(new Scope(athlete, Sport.RIDE, Measure.POWER, new DayRange(date, date)), LONG);
        if (Double.isNaN(brief) || Double.isNaN(sustained)) return;
        add(
                pieces,
                new Done(Sport.RIDE, date, Method.TWO_EFFORTS),
                Calculators.twoEfforts(new Effort(SHORT, brief), new Effort(LONG, sustained), 0),
                text("3:00 at %.0f W, 12:00 at %.0f W", brief, sustained),
                new AllOut(date, brief, SHORT),
                new AllOut(date, sustained, LONG));
    }

    private void twenty(List<Evidence> pieces, Athlete athlete, LocalDate date) {
        double watts = best(new Scope(athlete, Sport.RIDE, Measure.POWER, new DayRange(date, date)), TWENTY);
        if (Double.isNaN(watts)) return;
        add(
                pieces,
                new Done(Sport.RIDE, date, Method.TWENTY_MINUTES),
                Calculators.twentyMinutes(Sport.RIDE, watts, Calculators.USUAL_FACTOR),
                text("%.0f W over 20 min, times 0.95", watts),
                new AllOut(date, watts, TWENTY));
    }

    /** Two swims against the clock, typed: a pool's clock is no recording. */
    private static void swims(List<Evidence> pieces, double threshold, LocalDate date) {
        double shortSeconds = Math.rint(200 / (threshold * 1.035));
        double longSeconds = shortSeconds + Math.rint(200 / threshold);
        add(
                pieces,
                new Done(Sport.SWIM, date, Method.TWO_SWIMS),
                Calculators.twoSwims(new Swim(200, shortSeconds), new Swim(400, longSeconds), 0),
                "200 m in " + Pace.clock(shortSeconds) + ", 400 m in " + Pace.clock(longSeconds));
    }

    private void trial(List<Evidence> pieces, Athlete athlete, LocalDate date) {
        double speed = best(new Scope(athlete, Sport.RUN, Measure.SPEED, new DayRange(date, date)), THIRTY);
        double bpm = best(new Scope(athlete, Sport.RUN, Measure.HEART_RATE, new DayRange(date, date)), TWENTY);
        if (Double.isNaN(speed) || Double.isNaN(bpm)) return;
        double k = evidence.endurance(athlete, speed * THIRTY, THIRTY).k();
        add(
                pieces,
                new Done(Sport.RUN, date, Method.RACE_BY_PACE),
                Calculators.racePace(speed * THIRTY, THIRTY, k),
                text("%.2f km in 30:00", speed * THIRTY / 1000));
        add(
                pieces,
                new Done(Sport.RUN, date, Method.HEART_RATE_THIRTY),
                Calculators.heartRateThirty(Sport.RUN, bpm),
                text("mean of the last 20 min %.0f bpm", bpm));
    }

    private void race(List<Evidence> pieces, Athlete athlete, LocalDate date) {
        double watts = best(new Scope(athlete, Sport.RIDE, Measure.POWER, new DayRange(date, date)), RACE);
        double bpm = best(new Scope(athlete, Sport.RIDE, Measure.HEART_RATE, new DayRange(date, date)), TWENTY);
        if (Double.isNaN(watts) || Double.isNaN(bpm)) return;
        add(
                pieces,
                new Done(Sport.RIDE, date, Method.RACE_BY_POWER),
                Calculators.racePower(
                        Sport.RIDE,
                        watts,
                        RACE,
                        evidence.endurance(athlete, Sport.RIDE).k()),
                text("Harbour club race: " + Pace.clock(RACE) + " at %.0f W", watts),
                new AllOut(date, watts, RACE));
        add(
                pieces,
                new Done(Sport.RIDE, date, Method.HEART_RATE_TWENTY),
                Calculators.heartRateTwenty(Sport.RIDE, bpm),
                text("Harbour club race: mean of 20 min %.0f bpm", bpm));
    }

    private double best(Scope scope, int seconds) {
        return efforts.curve(scope).at(seconds);
    }

    private record Done(Sport sport, LocalDate date, Method method) {}

    private static void add(
            List<Evidence> pieces, Done test, Calculation calculation, String source, AllOut... efforts) {
        for (Estimate estimate : calculation.estimates())
            pieces.add(new Evidence(test.sport(), test.date(), estimate, test.method(), source, "", List.of(efforts)));
    }

    private static String text(String format, Object... values) {
        return String.format(Locale.ROOT, format, values);
    }
}
