package pemblar.app.threshold;

import java.time.LocalDate;
import java.util.Set;
import pemblar.core.load.SessionSummary.Part;
import pemblar.core.sport.Sport;

/**
 * A value or zone set changed: these parts of what was computed for sessions of these sports, on the days from..until
 * (exclusive), no longer hold.
 */
public record ThresholdsChanged(long athleteId, LocalDate from, LocalDate until, Set<Sport> sports, Set<Part> parts) {}
