package pemblar.formats.ical;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import net.fortuna.ical4j.data.CalendarOutputter;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.component.VEvent;
import net.fortuna.ical4j.model.property.Description;
import net.fortuna.ical4j.model.property.DtStamp;
import net.fortuna.ical4j.model.property.Transp;
import net.fortuna.ical4j.model.property.Uid;
import net.fortuna.ical4j.model.property.XProperty;

/** Writes a plan as one calendar. Times are written in UTC, whole days as dates. */
public final class PlanCalendar {
    private PlanCalendar() {}

    /**
     * One entry.
     *
     * @param uid the same for the same entry in every file, so that programs recognise it
     * @param last of several whole days; the day itself for one
     * @param start null for a whole day
     * @param end after {@code start}; null for a whole day
     */
    public record Entry(
            String uid, LocalDate day, LocalDate last, Instant start, Instant end, String summary, String description) {
        public Entry(String uid, LocalDate day, Instant start, Instant end, String summary, String description) {
            this(uid, day, day, start, end, summary, description);
        }

        /** Whole days, from the first to the last. */
        public static Entry days(String uid, LocalDate first, LocalDate last, String summary) {
            return new Entry(uid, first, last, null, null, summary, "");
        }

        public Entry {
            if (last.isBefore(day)) throw new IllegalArgumentException("last must not be before day, was " + last);
            if ((start == null) != (end == null) || start != null && !end.isAfter(start))
                throw new IllegalArgumentException("end must be after start, was " + start + ".." + end);
        }
    }

    /** @param stamp when the file is made */
    public static byte[] write(String name, List<Entry> entries, Instant stamp) {
        Calendar calendar =
                new Calendar().withProdId("-//Pemblar//plan//EN").withDefaults().getFluentTarget();
        calendar.add(new XProperty("X-WR-CALNAME", name));
        for (Entry entry : entries) calendar.add(event(entry, stamp));
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try {
            new CalendarOutputter(false).output(calendar, bytes);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return bytes.toByteArray();
    }

    private static VEvent event(Entry entry, Instant stamp) {
        VEvent event = entry.start() == null
                ? new VEvent(entry.day(), entry.last().plusDays(1), entry.summary())
                : new VEvent(entry.start(), entry.end(), entry.summary());
        event.removeAll("DTSTAMP");
        event.add(new DtStamp(stamp));
        event.add(new Uid(entry.uid()));
        if (!entry.description().isEmpty()) event.add(new Description(entry.description()));
        if (entry.start() == null) event.add(new Transp(Transp.VALUE_TRANSPARENT));
        return event;
    }
}
