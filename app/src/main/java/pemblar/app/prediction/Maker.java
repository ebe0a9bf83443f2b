package pemblar.app.prediction;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.TemporalAdjusters;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Function;
import pemblar.app.prediction.Foreseen.Made;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.DatedValues;

/** Makes predictions for events. What is known of a sport is asked for only when something has to be made. */
final class Maker {
    static final int WEEK = 7;
    /** How long before an event it is foreseen: half a year. */
    static final int DAYS_BEFORE = 182;

    private final LocalDate today;
    private final DatedValues values;
    private final Function<Sport, Known> known;
    private final Function<Sport, Known> longKnown;

    /**
     * @param known of a sport, for today
     * @param longKnown the same for every day that an event which is shown was foreseen on
     */
    Maker(LocalDate today, DatedValues values, Function<Sport, Known> known, Function<Sport, Known> longKnown) {
        this.today = today;
        this.values = values;
        this.known = known;
        this.longKnown = longKnown;
    }

    private static Optional<Made> make(Known known, Course course, LocalDate day) {
        return known.predict(course, day).map(p -> new Made(day, p.value(), p.low(), p.high()));
    }

    /** A ride over a distance that no roads tell is foreseen by its time, where one is expected; else null. */
    Course possible(Course.Asked asked) {
        Course course = asked.course();
        if (!course.isDistance() || !course.sport().onWheels()) return course;
        if (known.apply(course.sport()).roadsOn(today).isPresent()) return course;
        return asked.part() ? null : course.byTime(asked.event().seconds());
    }

    /** Mondays up to an event, and its eve, after the last that was made. */
    List<Made> missing(Course course, LocalDate eventDay, TreeMap<LocalDate, Made> made) {
        Optional<LocalDate> first = values.values().stream()
                .filter(d -> d.quantity() == Known.threshold(course.sport()))
                .map(d -> d.from())
                .min(Comparator.naturalOrder());
        if (first.isEmpty()) return List.of();
        LocalDate eve = eventDay.minusDays(1);
        LocalDate begin = eventDay.minusDays(DAYS_BEFORE);
        if (begin.isBefore(first.get())) begin = first.get();
        LocalDate last = made.floorKey(eve);
        if (last != null && !last.isBefore(begin)) begin = last.plusDays(1);
        List<LocalDate> days = new ArrayList<>();
        for (LocalDate day = begin.with(TemporalAdjusters.nextOrSame(DayOfWeek.MONDAY));
                day.isBefore(eve) && !day.isAfter(today);
                day = day.plusDays(WEEK)) days.add(day);
        if (!eve.isAfter(today) && !eve.isBefore(begin)) days.add(eve);
        return days.stream()
                .flatMap(day -> make(longKnown.apply(course.sport()), course, day).stream())
                .toList();
    }

    /** What was said before an event; with today's word for one that is ahead. */
    List<Made> upTo(Course course, LocalDate eventDay, TreeMap<LocalDate, Made> made) {
        List<Made> all = new ArrayList<>(made.subMap(eventDay.minusDays(DAYS_BEFORE), true, eventDay, false)
                .values());
        boolean today = !all.isEmpty() && all.get(all.size() - 1).day().equals(this.today);
        if (eventDay.isAfter(this.today) && !today)
            make(known.apply(course.sport()), course, this.today).ifPresent(all::add);
        return all;
    }
}
