package pemblar.app.calendar;

import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import pemblar.app.athlete.Athlete;
import pemblar.app.frame.page.Shown;
import pemblar.app.season.Held;
import pemblar.app.season.PlanService;
import pemblar.app.season.SeasonEvent;
import pemblar.app.season.SeasonSettings.Away;
import pemblar.app.session.Slab;
import pemblar.app.session.reading.SessionService;
import pemblar.app.session.reading.SessionService.Whole;
import pemblar.app.strength.StrengthReview;
import pemblar.app.threshold.ThresholdService;
import pemblar.app.workout.SheetLine;
import pemblar.core.design.Design;
import pemblar.core.strength.StrengthWorkout;
import pemblar.core.workout.ShorthandText;
import pemblar.core.workout.Workout;
import pemblar.core.zone.DatedZones;
import pemblar.formats.ical.PlanCalendar.Entry;

/** What stands in the calendar: events, sessions with their steps, rest, and days away. */
@Component
class CalendarEntries {
    private static final int DAYS_BACK = 30;
    private static final int DAYS_AHEAD = 400;
    /** Farther ahead a day without a session is one that nobody has planned yet. */
    private static final int REST_AHEAD = 28;

    private final PlanService plan;
    private final SessionService sessions;
    private final ThresholdService thresholds;
    private final StrengthReview strength;
    private final Shown shown;

    CalendarEntries(
            PlanService plan,
            SessionService sessions,
            ThresholdService thresholds,
            StrengthReview strength,
            Shown shown) {
        this.plan = plan;
        this.sessions = sessions;
        this.thresholds = thresholds;
        this.strength = strength;
        this.shown = shown;
    }

    /** As the athlete sees the plan. A session that is over leaves, done or missed. */
    List<Entry> of(Athlete athlete, LocalDate today) {
        Athlete seen = athlete.seeingDrafts(false);
        Held held = plan.held(seen);
        List<Entry> entries = new ArrayList<>();
        for (SeasonEvent event : held.events())
            if (!event.day().isBefore(today.minusDays(DAYS_BACK))) entries.add(event(event));
        List<Whole> planned = sessions.wholeBetween(seen, today, today.plusDays(DAYS_AHEAD));
        DatedZones zones = thresholds.zonesOf(athlete);
        for (Whole session : planned)
            if (session.slab().done() == null && session.slab().hasPlan())
                entries.add(session(athlete, session, zones));
        for (Away away : held.allAway()) if (!away.to().isBefore(today.minusDays(DAYS_BACK))) entries.add(away(away));
        entries.addAll(rest(held, planned, today));
        return entries;
    }

    private static Entry event(SeasonEvent event) {
        return Entry.days(
                "event-" + event.id() + "@pemblar",
                event.day(),
                event.day().plusDays(Math.max(0, event.days() - 1L)),
                event.priority() + " · " + event.name());
    }

    private Entry away(Away away) {
        String reason = away.reason().isBlank() ? "" : ": " + away.reason();
        String hours = away.weeklyHours() > 0 ? ", " + shown.plain(away.weeklyHours()) + " h a week" : "";
        String only = away.weeklyHours() > 0 && away.only() != null
                ? ", only " + away.only().doing()
                : "";
        return Entry.days(
                "away-" + away.from() + "-" + away.to() + "@pemblar",
                away.from(),
                away.to(),
                "Away" + reason + hours + only);
    }

    /** Days of the blocks that are planned on which nothing stands. */
    private static List<Entry> rest(Held held, List<Whole> planned, LocalDate today) {
        Set<LocalDate> taken =
                new HashSet<>(planned.stream().map(s -> s.slab().day()).collect(Collectors.toSet()));
        for (SeasonEvent event : held.events())
            for (int i = 0; i < Math.max(1, event.days()); i++)
                taken.add(event.day().plusDays(i));
        LocalDate last = planned.stream()
                .map(s -> s.slab().day())
                .max(LocalDate::compareTo)
                .orElse(today.minusDays(1));
        List<Entry> rest = new ArrayList<>();
        for (LocalDate day = today;
                !day.isAfter(last) && day.isBefore(today.plusDays(REST_AHEAD));
                day = day.plusDays(1)) {
            LocalDate one = day;
            boolean away = held.allAway().stream().anyMatch(a -> !one.isBefore(a.from()) && !one.isAfter(a.to()));
            boolean inBlock = held.blocks().stream().anyMatch(b -> b.contains(one));
            if (inBlock && !away && !taken.contains(one))
                rest.add(Entry.days("rest-" + one + "@pemblar", one, one, "Rest"));
        }
        return rest;
    }

    private Entry session(Athlete athlete, Whole session, DatedZones zones) {
        Slab slab = session.slab();
        Instant start = slab.startMinute() == null || slab.plannedSeconds() == null || slab.plannedSeconds() == 0
                ? null
                : athlete.at(slab.day(), slab.startMinute());
        String steps = session.design()
                .map(design -> String.join("\n", lines(athlete, slab, design, zones)))
                .orElse(Shown.word(slab.purpose()));
        String load = slab.plannedLoad() == null ? "" : ", load " + shown.whole(slab.plannedLoad());
        return new Entry(
                "session-" + slab.id() + "@pemblar",
                slab.day(),
                start,
                start == null ? null : start.plusSeconds(slab.plannedSeconds()),
                slab.title(),
                shown.duration(slab.plannedSeconds()) + load + "\n" + steps);
    }

    private List<String> lines(Athlete athlete, Slab slab, Design design, DatedZones zones) {
        return design.answer(new Design.Cases<>() {
            @Override
            public List<String> endurance(Workout workout) {
                try {
                    return SheetLine.of(workout, zones.on(slab.day())).stream()
                            .map(SheetLine::inOneLine)
                            .toList();
                } catch (IllegalArgumentException e) {
                    return List.of(ShorthandText.of(workout)); // a threshold is missing: the text says what is asked
                }
            }

            @Override
            public List<String> strength(StrengthWorkout workout) {
                return strength.planned(athlete, slab.day(), workout);
            }
        });
    }
}
