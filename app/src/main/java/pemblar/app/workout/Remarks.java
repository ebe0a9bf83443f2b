package pemblar.app.workout;

import java.util.List;
import java.util.Optional;
import pemblar.core.workout.Forecast;

/** What a forecast leaves out or assumes, in sentences. */
final class Remarks {
    private Remarks() {}

    static List<String> of(Forecast forecast) {
        return forecast.remarks().stream()
                .map(Remarks::sentence)
                .flatMap(Optional::stream)
                .toList();
    }

    private static Optional<String> sentence(Forecast.Remark remark) {
        String words = switch (remark) {
            case TIME_OF_SOME_STEPS_UNKNOWN ->
                "Some steps end by lap key, heart rate or distance: their time is not counted, and they are drawn"
                        + " hatched.";
            case TIME_FROM_OWN_SPEED ->
                "Distances that are set by power take the time that your own sessions of the last half year tell for"
                        + " it, on the roads and in the wind that you usually have.";
            case OPEN_STEPS_TAKEN_AS_EASY -> "Open steps are taken as easy, at 50 % of threshold.";
            case MAX_NEEDS_MODEL ->
                "The power that max stands for needs critical power and W′: set them under Thresholds, or write"
                        + " watts or percent. Until then the load cannot be known.";
            case RESERVE_NEEDS_MODEL ->
                "A step that the reserve ends needs critical power and W′ to be forecast: set them under"
                        + " Thresholds.";
            case RESERVE_UNKNOWN ->
                "A step that the reserve ends stands after one whose time or power is not known, so where the reserve"
                        + " is by then is not known either. Its time is not counted.";
            case RESERVE_NEVER_THERE ->
                "A step that the reserve ends never gets there: below, it must be ridden over critical power;"
                        + " above, under it. Its time is not counted.";
            case THRESHOLD_UNKNOWN -> "A threshold is missing, so the load cannot be known.";
            case DISTANCE_UNKNOWN -> null;
        };
        return Optional.ofNullable(words);
    }
}
