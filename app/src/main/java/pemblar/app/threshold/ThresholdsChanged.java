package pemblar.app.threshold;

import java.time.LocalDate;

/** A value changed: what was computed for the days from..until (exclusive) no longer holds. */
public record ThresholdsChanged(long athleteId, LocalDate from, LocalDate until) {}
