package pemblar.app.strength;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.AthleteService;
import pemblar.app.frame.Visit;
import pemblar.app.strength.floor.FloorService;
import pemblar.app.strength.maximum.MaximaService;
import pemblar.core.strength.Prescription.Row;
import pemblar.core.strength.StrengthText;
import pemblar.core.strength.StrengthWorkout;

/** A strength session as it was planned and lifted, with what it moved. */
@Component
public class StrengthReview {
    private final FloorService floor;
    private final MaximaService maxima;
    private final AthleteService athletes;

    StrengthReview(FloorService floor, MaximaService maxima, AthleteService athletes) {
        this.floor = floor;
        this.maxima = maxima;
        this.athletes = athletes;
    }

    /** An exercise. @param asked in the shorthand; empty for what was not planned */
    public record Line(String exercise, String asked, String planned, String done) {}

    /**
     * @param moves what maxima it moved, each with its set, in words
     * @param waiting what a set would move and nobody has taken yet
     */
    public record Sheet(List<Line> lines, List<String> moves, List<String> waiting) {}

    /** Exercises with their sets by the maxima of a day, a line each. For an athlete whom the caller has asked for. */
    @Transactional(readOnly = true)
    public List<String> planned(Athlete athlete, LocalDate day, StrengthWorkout workout) {
        List<Row> rows = maxima.on(athlete, day, workout.exercises()).rows(workout);
        return new LinkedHashSet<>(workout.exercises())
                .stream().map(e -> e + ": " + planned(rows, e)).toList();
    }

    private static String planned(List<Row> rows, String exercise) {
        return SetWords.together(rows.stream()
                .filter(row -> row.lift().exercise().equals(exercise) && !row.warmUp())
                .map(SetWords::planned)
                .toList());
    }

    /** @throws IllegalArgumentException when the session has no exercises yet */
    @Transactional(readOnly = true)
    public Sheet of(Visit visit, long sessionId) {
        FloorService.Open open = floor.open(visit, sessionId);
        Set<String> exercises = new LinkedHashSet<>(open.workout().exercises());
        open.logged().forEach(set -> exercises.add(set.exercise()));
        List<String> moves = maxima.history(athletes.require(visit)).stream()
                .filter(d -> d.sessionId() != null && d.sessionId() == sessionId)
                .map(d -> "The maximum of " + d.exercise() + " became " + d.words() + " by " + d.saidWords() + ".")
                .toList();
        List<String> waiting = floor.wouldMove(visit, open).stream()
                .map(FloorService.Would::sentence)
                .toList();
        return new Sheet(exercises.stream().map(e -> line(open, e)).toList(), moves, waiting);
    }

    private static Line line(FloorService.Open open, String exercise) {
        List<String> asked = open.workout().lifts().stream()
                .filter(l -> l.exercise().equals(exercise))
                .map(l -> Kilograms.said(StrengthText.sets(l)))
                .toList();
        List<String> done = new ArrayList<>();
        for (FloorService.Logged set : open.logged())
            if (set.exercise().equals(exercise) && !set.warmUp()) done.add(said(set));
        return new Line(exercise, String.join("; ", asked), planned(open.rows(), exercise), SetWords.together(done));
    }

    private static String said(FloorService.Logged set) {
        if (set.note().startsWith("skipped")) return set.note();
        String left = set.inReserve() == null ? "" : ", " + set.inReserve() + " left";
        return SetWords.doneWithUnit(set) + left;
    }
}
