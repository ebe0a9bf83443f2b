package pemblar.app.recording;

import java.time.LocalDate;

/** A ride of 20 min or more, with its day. */
public record DayRide(LocalDate day, double watts, double metresPerSecond) {}
