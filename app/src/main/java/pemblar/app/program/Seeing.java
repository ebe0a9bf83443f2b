package pemblar.app.program;

import java.time.InstantSource;
import org.springframework.stereotype.Component;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.AthleteService;
import pemblar.app.frame.Viewer;
import pemblar.app.frame.Visit;

/** Whom a program asks for, and on which days. */
@Component
class Seeing {
    private final AthleteService athletes;
    private final InstantSource clock;

    Seeing(AthleteService athletes, InstantSource clock) {
        this.athletes = athletes;
        this.clock = clock;
    }

    record Seen(Athlete athlete, Span span) {}

    /** @throws IllegalArgumentException for days that cannot be */
    Seen on(long athleteId, Viewer viewer, Days days) {
        Athlete athlete = athletes.require(new Visit(athleteId, viewer));
        return new Seen(athlete, Span.of(days.from(), days.to(), athlete.dayOf(clock.instant())));
    }
}
