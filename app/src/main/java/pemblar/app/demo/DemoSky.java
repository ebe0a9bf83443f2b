package pemblar.app.demo;

import java.util.Map;
import org.springframework.stereotype.Component;
import pemblar.app.athlete.Athlete;
import pemblar.app.frame.Viewer;
import pemblar.app.frame.Visit;
import pemblar.app.sky.Place;
import pemblar.app.sky.SkyService;
import pemblar.core.sport.Sport;

/** Where the athletes of the demo train: made-up names of places. */
@Component
class DemoSky {
    private static final Map<Sport, Place> PLACES =
            Map.of(Sport.RIDE, new Place("Quarrybank", 52.1, 5.2), Sport.RUN, new Place("Fenmouth", 57.4, 12.3));
    private final SkyService sky;

    DemoSky(SkyService sky) {
        this.sky = sky;
    }

    void add(Athlete athlete, Viewer viewer) {
        sky.train(new Visit(athlete.id(), viewer), PLACES.get(athlete.first()));
    }
}
