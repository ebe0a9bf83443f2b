package pemblar.app.program.plan;

import java.util.Locale;
import java.util.Optional;
import org.springframework.stereotype.Component;
import pemblar.app.athlete.Athlete;
import pemblar.app.frame.Viewer;
import pemblar.app.frame.Visit;
import pemblar.app.program.session.SessionJson;
import pemblar.app.program.session.SessionsApi;
import pemblar.app.session.change.ScheduleService;
import pemblar.app.session.change.ScheduleService.Chosen;
import pemblar.app.session.change.SketchService;
import pemblar.app.session.change.SketchService.Sketch;
import pemblar.core.design.Design;
import pemblar.core.schedule.Purpose;
import pemblar.core.sport.Sport;
import pemblar.core.strength.StrengthShorthand;
import pemblar.core.strength.StrengthWorkout;
import pemblar.core.workout.Shorthand;
import pemblar.core.workout.Workout;

/** Puts what a program sends on a day. */
@Component
public class Putting {
    private static final int SHORTEST_MINUTES = 5;
    private static final int LONGEST_MINUTES = 1440;
    private final ScheduleService schedule;
    private final SketchService sketches;

    Putting(ScheduleService schedule, SketchService sketches) {
        this.schedule = schedule;
        this.sketches = sketches;
    }

    /** @return its id @throws IllegalArgumentException naming the field that cannot be */
    public long put(Athlete athlete, Viewer viewer, SessionsApi.Put put, Sport sport) {
        if (put.day() == null) throw new IllegalArgumentException("day: is missing.");
        Integer minute = SessionJson.minute(put.start());
        if (put.workout() == null) return sketches.sketch(new Visit(athlete.id(), viewer), sketch(put, sport, minute));
        Chosen chosen = new Chosen(title(put, "Workout"), design(put.workout(), sport), null, null);
        return schedule.schedule(new Visit(athlete.id(), viewer), put.day(), minute, chosen);
    }

    private static Design design(String text, Sport sport) {
        return sport.isLifted() ? new Design.Strength(strength(text)) : new Design.Endurance(workout(text, sport));
    }

    private static StrengthWorkout strength(String text) {
        StrengthShorthand.Reading reading = StrengthShorthand.read(text);
        return reading.workout()
                .orElseThrow(() -> new IllegalArgumentException(
                        "workout: " + reading.problem().map(String::valueOf).orElse("it is not understood")));
    }

    private static String title(SessionsApi.Put put, String usual) {
        if (put.title() == null || put.title().isBlank()) return usual;
        if (put.title().length() > 80) throw new IllegalArgumentException("title: send 1 to 80 characters.");
        return put.title().strip();
    }

    private static Workout workout(String text, Sport sport) {
        Shorthand.Reading reading = Shorthand.read(text, sport);
        return reading.workout()
                .orElseThrow(() -> new IllegalArgumentException(
                        "workout: " + reading.problem().map(String::valueOf).orElse("it is not understood")));
    }

    private static Sketch sketch(SessionsApi.Put put, Sport sport, Integer minute) {
        if (put.purpose() == null || put.minutes() == null)
            throw new IllegalArgumentException("workout: send one, or a purpose and minutes.");
        if (put.minutes() < SHORTEST_MINUTES || put.minutes() > LONGEST_MINUTES)
            throw new IllegalArgumentException("minutes: send " + SHORTEST_MINUTES + " to " + LONGEST_MINUTES + ".");
        Purpose purpose = purpose(put.purpose());
        String word = put.purpose().toLowerCase(Locale.ROOT).replace('_', ' ');
        String usual = Character.toUpperCase(word.charAt(0)) + word.substring(1);
        return new Sketch(put.day(), minute, title(put, usual), sport, purpose, put.minutes() * 60);
    }

    private static Purpose purpose(String word) {
        return Optional.of(word).stream()
                .flatMap(w -> java.util.Arrays.stream(Purpose.values())
                        .filter(p -> p.name().equalsIgnoreCase(w)))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("purpose: this one is not known."));
    }
}
