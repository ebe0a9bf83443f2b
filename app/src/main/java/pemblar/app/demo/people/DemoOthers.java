package pemblar.app.demo.people;

import java.time.LocalDate;
import java.time.LocalTime;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.springframework.stereotype.Component;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.AthleteService;
import pemblar.app.frame.Viewer;
import pemblar.app.frame.Visit;
import pemblar.app.session.IntakeService;
import pemblar.app.threshold.ThresholdService;
import pemblar.benchunit.Body;
import pemblar.benchunit.Faults;
import pemblar.benchunit.HeadUnit;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.Quantity;
import pemblar.core.threshold.Thresholds;
import pemblar.core.workout.Shorthand;
import pemblar.formats.fit.FitWorkouts;

/** Somebody who rode the demo rider's event a year ago, lighter and stronger: their recording is kept. */
@Component
public class DemoOthers {
    private static final double WATTS = 262;
    private static final double KILOGRAMS = 58;
    private static final LocalTime START = LocalTime.of(9, 30);
    private static final String RACED = "30min 72%, 20min 96%, 35min 75%, 8min 108%, 30min 78%, 12min 104%, 5min 60%";
    private final AthleteService athletes;
    private final ThresholdService thresholds;
    private final IntakeService recordings;

    DemoOthers(AthleteService athletes, ThresholdService thresholds, IntakeService recordings) {
        this.athletes = athletes;
        this.thresholds = thresholds;
        this.recordings = recordings;
    }

    public void add(Athlete athlete, Viewer viewer, LocalDate raced) {
        Athlete other = athletes.keep(athlete, "Runa Velm", Sport.RIDE);
        thresholds.adopt(
                new Visit(other.id(), viewer),
                raced.minusDays(30),
                Map.of(Quantity.THRESHOLD_POWER, WATTS, Quantity.BODY_MASS, KILOGRAMS),
                "");
        var start = raced.atTime(START).atZone(other.zoneOn(raced)).toInstant();
        byte[] asked = FitWorkouts.of(
                        "Lantern coast tour",
                        Shorthand.read(RACED, Sport.RIDE).workout().orElseThrow(),
                        Thresholds.NONE.with(Quantity.THRESHOLD_POWER, WATTS))
                .write(1, start);
        Body body = new Body(Sport.RIDE, WATTS, 17_000, 4, 48, 191, KILOGRAMS);
        recordings.take(
                other,
                "lantern-coast-tour.fit",
                HeadUnit.follow(asked, body, start, new Random(44), Faults.NONE),
                Optional.empty());
    }
}
