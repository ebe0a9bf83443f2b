package pemblar.core.range;

import java.time.LocalDate;
import java.util.List;
import pemblar.core.season.Block;

/** Which days are called this season where nobody said when it began. */
public final class SeasonSpan {
    /** A season of more than a year is looked at by its last year. */
    private static final int MOST_DAYS = 366;

    private SeasonSpan() {}

    /**
     * The day after the last main event that is over, else the first planned block; a year back at most. A rule of
     * ours.
     *
     * @param blocks planned ones in their order; may be empty
     * @param mainEventEnds last days of the events that seasons lead up to
     * @return a day not after {@code today}
     */
    public static LocalDate firstDay(List<Block> blocks, List<LocalDate> mainEventEnds, LocalDate today) {
        LocalDate planned = blocks.isEmpty() ? today : blocks.get(0).first();
        LocalDate begin = mainEventEnds.stream()
                .filter(day -> day.isBefore(today))
                .max(LocalDate::compareTo)
                .map(day -> day.plusDays(1))
                .orElse(planned);
        LocalDate earliest = today.minusDays(MOST_DAYS - 1L);
        if (begin.isBefore(earliest)) return earliest;
        return begin.isAfter(today) ? today : begin;
    }
}
