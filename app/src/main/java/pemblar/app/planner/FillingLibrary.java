package pemblar.app.planner;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import pemblar.app.workout.Shelved;
import pemblar.core.schedule.DayPlan.Kind;
import pemblar.core.schedule.Filling.Candidate;
import pemblar.core.schedule.Filling.Variant;
import pemblar.core.schedule.Purpose;
import pemblar.core.sport.Sport;
import pemblar.core.workout.Adapting;
import pemblar.core.workout.Forecast;
import pemblar.core.workout.Workout;
import pemblar.core.zone.Zones;

/** Workouts of some sports at every length that they can have, with what each takes from an athlete on a day. */
record FillingLibrary(List<Candidate> candidates, Map<Long, Shelved> byId) {
    private static final Set<Forecast.Remark> KNOWN_ENOUGH =
            EnumSet.of(Forecast.Remark.DISTANCE_UNKNOWN, Forecast.Remark.TIME_FROM_OWN_SPEED);
    private static final String RACE_LIKE = "As in the race";
    private static final String OPENERS = "Pre-race";
    private static final String TESTS = "Tests";
    private static final String SPRINTS = "Sprints";
    private static final Set<String> STAND_INS = Set.of("by heart rate", "by effort");
    private static final int ENOUGH = 12;

    /** Workouts whose threshold is missing are left out: others will do. */
    static FillingLibrary of(List<Shelved> library, List<Sport> sports, Zones zones) {
        List<Shelved> suited = library.stream()
                .filter(w -> sports.contains(w.workout().sport())
                        && !w.folder().equals(TESTS)
                        && !w.tags().contains("test"))
                .toList();
        List<Candidate> candidates = new ArrayList<>();
        for (Sport sport : sports) candidates.addAll(of(suited, sport, zones));
        return new FillingLibrary(candidates, suited.stream().collect(Collectors.toMap(Shelved::id, s -> s)));
    }

    /** Those by heart rate or feel are for athletes of whom too little else is known. */
    private static List<Candidate> of(List<Shelved> suited, Sport sport, Zones zones) {
        List<Candidate> measured = new ArrayList<>();
        List<Candidate> others = new ArrayList<>();
        for (Shelved shelved : suited) {
            if (shelved.workout().sport() != sport) continue;
            boolean stands = shelved.tags().stream().anyMatch(STAND_INS::contains);
            candidate(shelved, zones).ifPresent(stands ? others::add : measured::add);
        }
        if (measured.size() < ENOUGH) measured.addAll(others);
        return measured;
    }

    private static Optional<Candidate> candidate(Shelved shelved, Zones zones) {
        Optional<Variant> own = variant(shelved, shelved.workout(), zones);
        if (own.isEmpty()) return Optional.empty();
        List<Variant> variants = Adapting.variants(shelved.workout()).stream()
                .flatMap(w -> variant(shelved, w, zones).stream())
                .toList();
        return Optional.of(new Candidate(
                shelved.id(),
                shelved.workout().sport(),
                kind(shelved),
                own.get().seconds(),
                variants));
    }

    private static Kind kind(Shelved shelved) {
        return switch (shelved.folder()) {
            case OPENERS -> Kind.OPENER;
            case RACE_LIKE -> Kind.RACE_LIKE;
            default -> Kind.PLAIN;
        };
    }

    /** By feel nobody can tell a sprint from what is merely hard, so its folder does. */
    private static Purpose purpose(Shelved shelved, Forecast forecast) {
        Purpose purpose = Purpose.of(forecast, shelved.workout().sport());
        return shelved.folder().equals(SPRINTS) && !purpose.isHard() ? Purpose.SPRINTS : purpose;
    }

    /** Empty when a threshold is missing, or the workout cannot be done as it is written. */
    private static Optional<Variant> variant(Shelved shelved, Workout workout, Zones zones) {
        try {
            Forecast forecast = Forecast.of(workout, zones);
            boolean told = forecast.load().isPresent() && forecast.intensity().isPresent();
            boolean sound = workout.sport().onWheels() || KNOWN_ENOUGH.containsAll(forecast.remarks());
            return told && sound
                    ? Optional.of(new Variant(
                            workout,
                            forecast.seconds(),
                            forecast.load().getAsDouble(),
                            purpose(shelved, forecast),
                            Purpose.isCalm(forecast, workout.sport())))
                    : Optional.empty();
        } catch (IllegalArgumentException e) {
            return Optional.empty();
        }
    }
}
