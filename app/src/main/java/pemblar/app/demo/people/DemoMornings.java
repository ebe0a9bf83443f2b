package pemblar.app.demo.people;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.springframework.stereotype.Component;
import pemblar.app.athlete.Athlete;
import pemblar.app.checkin.Checkin;
import pemblar.app.checkin.CheckinService;
import pemblar.app.demo.DemoAthlete;
import pemblar.app.load.DayLoad;
import pemblar.app.load.TrendService;
import pemblar.benchunit.NightSensor;

/**
 * Two hundred mornings of each demo athlete by the night sensor, with the illness of their season; the first of them
 * has had two bad mornings now.
 */
@Component
public class DemoMornings {
    private static final int DAYS = 200;
    private static final double USUAL_LOAD = 65;
    private final CheckinService checkins;
    private final TrendService trends;

    DemoMornings(CheckinService checkins, TrendService trends) {
        this.checkins = checkins;
        this.trends = trends;
    }

    public void add(DemoAthlete demo, Athlete athlete, LocalDate today) {
        Map<LocalDate, Double> loads = new HashMap<>();
        for (DayLoad day : trends.dayLoads(List.of(athlete))) loads.put(day.day(), day.doneLoad());
        NightSensor sensor =
                new NightSensor(demo.restingBpm() - 1, 40 + demo.seed() % 37, USUAL_LOAD, new Random(demo.seed()));
        boolean worn = demo.rides() && !demo.isMixed();
        List<Checkin> all = new ArrayList<>();
        List<Checkin> byHand = new ArrayList<>();
        for (int day = -DAYS; day <= 0; day++) {
            LocalDate date = today.plusDays(day);
            boolean ill = day >= DemoAthlete.ILL_FROM && day <= DemoAthlete.ILL_TO || worn && day >= -2;
            NightSensor.Night night = sensor.next(loads.getOrDefault(date.minusDays(1), 0.0), ill);
            if (!night.isMissing())
                all.add(new Checkin(
                        date,
                        night.restingBpm(),
                        night.rmssd(),
                        night.sleepMinutes(),
                        null,
                        null,
                        null,
                        null,
                        null,
                        "",
                        "",
                        ""));
            if (day == DemoAthlete.ILL_FROM + 1)
                byHand.add(new Checkin(
                        date, null, null, null, 3, 2, null, 1, null, "cold", "", "sore throat since last night"));
        }
        checkins.make(athlete, CheckinService.Source.SENSOR, all);
        checkins.make(athlete, CheckinService.Source.HAND, byHand);
    }
}
