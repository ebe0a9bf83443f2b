package pemblar.app.checkin;

import java.time.LocalDate;
import java.util.NavigableMap;
import org.springframework.stereotype.Component;
import pemblar.app.athlete.Athlete;

/** The check-in's form for a day. */
@Component
public class CheckinForms {
    private static final int DAYS_BEFORE = 35;
    private final CheckinService checkins;
    private final AskedStore asked;

    CheckinForms(CheckinService checkins, AskedStore asked) {
        this.asked = asked;
        this.checkins = checkins;
    }

    /** For an athlete whom the caller has already asked for. */
    public CheckinForm of(Athlete athlete, LocalDate today) {
        NavigableMap<LocalDate, Checkin> days = checkins.between(athlete, today.minusDays(DAYS_BEFORE), today);
        return new CheckinForm(
                today,
                true,
                days.getOrDefault(today, Checkin.none(today)),
                checkins.bands(days, today),
                asked.of(athlete));
    }
}
