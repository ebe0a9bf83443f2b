package pemblar.app.effort;

import java.time.LocalDate;
import pemblar.core.sport.Sport;

/** The recording that efforts are of. */
public record EffortSource(long recordingId, long athleteId, Sport sport, LocalDate day) {}
