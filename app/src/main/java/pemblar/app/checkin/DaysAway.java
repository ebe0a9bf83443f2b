package pemblar.app.checkin;

import java.time.LocalDate;
import java.util.List;
import pemblar.app.athlete.Athlete;

/** Tells when an athlete is away; whoever keeps the plan answers. */
public interface DaysAway {
    /** @param first of the days; {@code why} in the athlete's words */
    record Span(LocalDate first, LocalDate last, String why) {}

    /** In order of their first day. */
    List<Span> spans(Athlete athlete);
}
