package pemblar.app.coach;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.NavigableMap;
import org.springframework.stereotype.Component;
import pemblar.app.adjust.AdjustService;
import pemblar.app.athlete.Athlete;
import pemblar.app.checkin.Checkin;
import pemblar.app.checkin.CheckinService;
import pemblar.app.coach.Strand.Day;
import pemblar.app.coach.Strand.Reason;
import pemblar.app.frame.page.Shown;
import pemblar.app.load.TrendService;
import pemblar.app.load.TrendService.Trend;
import pemblar.app.note.NoteService;
import pemblar.app.season.PlanService;
import pemblar.app.season.SeasonEvent;
import pemblar.app.session.Slab;
import pemblar.app.session.reading.DoubtService;
import pemblar.app.session.reading.SessionService;
import pemblar.core.adjust.Trigger;

/** Makes an athlete's strand: everything that could need a coach, each with a weight. */
@Component
class Strands {
    static final int DAYS_BEHIND = 14;
    static final int DAYS_AHEAD = 7;
    private static final int DAYS_TO_EVENT = 14;
    private static final int DAYS_WITHOUT_REST = 12;
    private static final int SILENT_DAYS = 7;
    private static final double OFF_PLAN = 0.15;
    private static final double OFF_PLAN_WEIGHS = 42;
    private static final double LEAST_PLANNED = 80;
    private static final double TO_BE_MENDED = 58;
    private static final double DRAFTS_SOON = 50;
    private static final double DRAFTS_LATER = 32;
    private static final Map<Trigger.Kind, Double> WEIGHTS = weights();
    private final TrendService trends;
    private final SessionService sessions;
    private final AdjustService adjusting;
    private final CheckinService checkins;
    private final PlanService plan;
    private final NoteService notes;
    private final DoubtService doubts;

    Strands(
            TrendService trends,
            SessionService sessions,
            AdjustService adjusting,
            CheckinService checkins,
            PlanService plan,
            NoteService notes,
            DoubtService doubts) {
        this.doubts = doubts;
        this.trends = trends;
        this.sessions = sessions;
        this.adjusting = adjusting;
        this.checkins = checkins;
        this.plan = plan;
        this.notes = notes;
    }

    private static Map<Trigger.Kind, Double> weights() {
        Map<Trigger.Kind, Double> weights = new EnumMap<>(Trigger.Kind.class);
        weights.put(Trigger.Kind.BODY, 90.0);
        weights.put(Trigger.Kind.GAP, 80.0);
        weights.put(Trigger.Kind.MISSED, 60.0);
        weights.put(Trigger.Kind.LOW_BALANCE, 55.0);
        weights.put(Trigger.Kind.OVER, 50.0);
        weights.put(Trigger.Kind.CUT, 45.0);
        weights.put(Trigger.Kind.AWAY, 40.0);
        weights.put(Trigger.Kind.EVENT, 35.0);
        weights.put(Trigger.Kind.RUNNING_OUT, 35.0);
        weights.put(Trigger.Kind.READY, 30.0);
        weights.put(Trigger.Kind.WEATHER, 25.0);
        weights.put(Trigger.Kind.STRENGTH, 20.0);
        weights.put(Trigger.Kind.THRESHOLD, 15.0);
        return weights;
    }

    /** What is said rests on the plan that the athlete sees; drafts stand beside it. */
    Strand of(Athlete asked) {
        Athlete athlete = asked.seeingDrafts(false);
        Trend trend = trends.of(athlete);
        LocalDate today = trend.today();
        List<Slab> slabs =
                sessions.between(asked.seeingDrafts(true), today.minusDays(DAYS_BEHIND), today.plusDays(DAYS_AHEAD));
        List<Slab> drafts = slabs.stream()
                .filter(s -> s.draft() && !s.day().isBefore(today))
                .toList();
        slabs = slabs.stream().filter(s -> !s.draft()).toList();
        NavigableMap<LocalDate, Checkin> mornings = checkins.between(athlete, today.minusDays(DAYS_BEHIND), today);
        List<SeasonEvent> events = plan.events(athlete);
        List<Reason> reasons = new ArrayList<>();
        for (Trigger trigger : adjusting.open(athlete, trend).triggers())
            if (drafts.isEmpty() || trigger.kind() != Trigger.Kind.RUNNING_OUT)
                reasons.add(new Reason(Topic.of(trigger.kind()), trigger.text(), WEIGHTS.get(trigger.kind()), null));
        drafts(drafts, today, reasons);
        doubtful(athlete, trend, reasons);
        note(athlete, today, reasons);
        event(events, today, reasons);
        rest(slabs, today, reasons);
        silence(slabs, mornings, today, reasons);
        block(athlete, slabs, today, reasons);
        return Strand.of(reasons, days(slabs, drafts, mornings, events, today));
    }

    /** Data that mislead stand here before the figures that rest on them. */
    private void doubtful(Athlete athlete, Trend trend, List<Reason> reasons) {
        doubts.waiting(athlete, trend).doubts().stream()
                .filter(DoubtService.Doubt::matters)
                .findFirst()
                .ifPresent(d -> reasons.add(new Reason(
                        Topic.MEND,
                        "“" + d.title() + "” of " + new Shown().day(d.day()) + " is to be mended. " + d.sentence(),
                        TO_BE_MENDED,
                        d.day())));
    }

    private static void drafts(List<Slab> drafts, LocalDate today, List<Reason> reasons) {
        if (drafts.isEmpty()) return;
        LocalDate first = drafts.get(0).day();
        long days = ChronoUnit.DAYS.between(today, first);
        reasons.add(new Reason(
                Topic.DRAFTS,
                (drafts.size() == 1
                                ? "A draft of the next 7 days is"
                                : drafts.size() + " drafts of the next 7 days are")
                        + " not shared; the first is for "
                        + (days == 0 ? "today" : days == 1 ? "tomorrow" : new Shown().day(first)) + ".",
                days <= 1 ? DRAFTS_SOON : DRAFTS_LATER,
                null));
    }

    /** The newest note is the athlete's: nobody has answered. */
    private void note(Athlete athlete, LocalDate today, List<Reason> reasons) {
        notes.latest(athlete, 1).stream().filter(n -> n.byAthlete()).findFirst().ifPresent(n -> {
            LocalDate day = athlete.dayOf(n.writtenAt());
            String body = n.body().length() > 80 ? n.body().substring(0, 77) + "..." : n.body();
            if (!day.isBefore(today.minusDays(DAYS_BEHIND)))
                reasons.add(new Reason(Topic.NOTE, "A note waits for an answer: “" + body + "”", 65, day));
        });
    }

    private static void event(List<SeasonEvent> events, LocalDate today, List<Reason> reasons) {
        events.stream()
                .filter(e -> !e.day().isBefore(today) && !e.day().isAfter(today.plusDays(DAYS_TO_EVENT)))
                .findFirst()
                .ifPresent(e -> {
                    long days = ChronoUnit.DAYS.between(today, e.day());
                    reasons.add(new Reason(
                            Topic.EVENT,
                            e.name() + " (" + e.priority() + ") is "
                                    + (days == 0 ? "today" : days == 1 ? "tomorrow" : "in " + days + " days") + ".",
                            25,
                            null));
                });
    }

    private static void rest(List<Slab> slabs, LocalDate today, List<Reason> reasons) {
        for (int i = 1; i <= DAYS_WITHOUT_REST; i++) {
            LocalDate day = today.minusDays(i);
            if (slabs.stream().noneMatch(s -> s.day().equals(day) && s.done() != null)) return;
        }
        reasons.add(new Reason(
                Topic.REST,
                "No day of rest for " + DAYS_WITHOUT_REST + " days.",
                45,
                today.minusDays(DAYS_WITHOUT_REST)));
    }

    private static void silence(
            List<Slab> slabs, NavigableMap<LocalDate, Checkin> mornings, LocalDate today, List<Reason> reasons) {
        LocalDate since = today.minusDays(SILENT_DAYS);
        boolean planned = slabs.stream()
                .anyMatch(
                        s -> s.hasPlan() && !s.day().isBefore(since) && s.day().isBefore(today));
        boolean done = slabs.stream().anyMatch(s -> s.done() != null && !s.day().isBefore(since));
        if (planned && !done && mornings.tailMap(since, true).isEmpty())
            reasons.add(new Reason(
                    Topic.SILENCE, "Nothing was heard for 7 days, though something was planned.", 55, since));
    }

    /** Load of the block so far against what was planned for it so far; what is over its target says so already. */
    private void block(Athlete athlete, List<Slab> slabs, LocalDate today, List<Reason> reasons) {
        boolean said = reasons.stream().anyMatch(r -> r.topic() == Topic.LOAD);
        LocalDate first = plan.blocks(athlete).stream()
                .filter(b -> b.contains(today))
                .map(b -> b.first())
                .findFirst()
                .orElse(today);
        if (said || first.isBefore(today.minusDays(DAYS_BEHIND))) return;
        List<Slab> over = slabs.stream()
                .filter(s -> !s.day().isBefore(first) && s.day().isBefore(today))
                .toList();
        double planned = over.stream()
                .mapToDouble(s -> s.plannedLoad() == null ? 0 : s.plannedLoad())
                .sum();
        double done = over.stream()
                .mapToDouble(s -> s.done() == null || s.done().load() == null
                        ? 0
                        : s.done().load())
                .sum();
        if (planned < LEAST_PLANNED || Math.abs(done / planned - 1) <= OFF_PLAN) return;
        reasons.add(new Reason(
                Topic.LOAD,
                "In this block " + Math.round(done) + " points are done where " + Math.round(planned)
                        + " were planned so far: " + Math.round(100 * Math.abs(done / planned - 1)) + " % "
                        + (done > planned ? "over." : "under."),
                OFF_PLAN_WEIGHS,
                first));
    }

    private static List<Day> days(
            List<Slab> slabs,
            List<Slab> drafts,
            NavigableMap<LocalDate, Checkin> mornings,
            List<SeasonEvent> events,
            LocalDate today) {
        List<Day> days = new ArrayList<>();
        for (LocalDate day = today.minusDays(DAYS_BEHIND);
                !day.isAfter(today.plusDays(DAYS_AHEAD));
                day = day.plusDays(1)) {
            LocalDate on = day;
            List<Slab> here = slabs.stream().filter(s -> s.day().equals(on)).toList();
            double planned = here.stream()
                    .mapToDouble(s -> s.plannedLoad() == null ? 0 : s.plannedLoad())
                    .sum();
            double unshared = drafts.stream()
                    .filter(s -> s.day().equals(on))
                    .mapToDouble(s -> s.plannedLoad() == null ? 0 : s.plannedLoad())
                    .sum();
            double done = here.stream()
                    .mapToDouble(s -> s.done() == null || s.done().load() == null
                            ? 0
                            : s.done().load())
                    .sum();
            String event = events.stream()
                    .filter(e -> !on.isBefore(e.day()) && !on.isAfter(e.last()))
                    .map(e -> e.priority().name())
                    .findFirst()
                    .orElse("");
            String titles = here.isEmpty()
                    ? "rest"
                    : String.join(", ", here.stream().map(Slab::title).toList());
            days.add(new Day(
                    day,
                    planned,
                    unshared,
                    done,
                    mornings.containsKey(day),
                    event,
                    new Shown().day(day) + ": " + titles + ", load " + Math.round(done) + " of "
                            + Math.round(planned)
                            + (unshared > 0 ? ", drafts of " + Math.round(unshared) + " not shared" : "")));
        }
        return days;
    }
}
