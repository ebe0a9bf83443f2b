package pemblar.app.frame.page;

import java.time.InstantSource;
import java.time.LocalDate;
import java.time.ZoneOffset;
import org.springframework.core.convert.converter.Converter;
import org.springframework.stereotype.Component;

/**
 * Reads the days of addresses and forms. A day lies within 30 years back and 3 years ahead, with some room: farther
 * ones are nobody's plan.
 */
@Component
public class DayReading implements Converter<String, LocalDate> {
    private final InstantSource clock;

    DayReading(InstantSource clock) {
        this.clock = clock;
    }

    @Override
    public LocalDate convert(String text) {
        if (text.isBlank()) return null;
        LocalDate day = Typed.day("Day", text);
        LocalDate today = LocalDate.ofInstant(clock.instant(), ZoneOffset.UTC);
        if (day.isBefore(today.minusYears(Typed.YEARS_BACK))
                || day.isAfter(today.plusYears(Typed.YEARS_AHEAD).plusDays(1)))
            throw new IllegalArgumentException("Day: " + day + " is too far; choose one from "
                    + today.minusYears(Typed.YEARS_BACK) + " to " + today.plusYears(Typed.YEARS_AHEAD) + ".");
        return day;
    }
}
