package pemblar.core.adjust;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.TreeMap;
import java.util.function.ToDoubleFunction;
import java.util.stream.Collectors;
import pemblar.core.adjust.Situation.Away;
import pemblar.core.adjust.Situation.Behind;
import pemblar.core.adjust.Situation.Checkin;
import pemblar.core.adjust.Situation.Coming;
import pemblar.core.adjust.Situation.Target;
import pemblar.core.adjust.Situation.Threshold;
import pemblar.core.adjust.Trigger.Kind;
import pemblar.core.checkin.Bands;
import pemblar.core.checkin.Measure;

/** Finds what a plan has to answer to. */
final class Triggers {
    private static final int BEHIND_DAYS = 7;
    private static final double GAP_SHARE = 0.5;
    private static final double CUT_SHARE = 0.7;
    private static final double SORE = 4;
    /** Half a point: less cannot be seen in what is said. */
    private static final double SLIGHT = 0.5;

    static final double LEGS_HOURS = 24;
    private static final int PLANNED_DAYS = 7;
    private static final int NEW_DAYS = 7;
    private final Situation s;
    private final Plan plan;
    private final Foresight ahead;
    private final List<Trigger> found = new ArrayList<>();

    private Triggers(Situation s, Plan plan) {
        this.s = s;
        this.plan = plan;
        this.ahead = new Foresight(s, plan);
    }

    static List<Trigger> of(Situation s, Plan plan) {
        Triggers triggers = new Triggers(s, plan);
        triggers.body();
        triggers.away();
        triggers.balance();
        triggers.over();
        triggers.events();
        triggers.weather();
        triggers.strength();
        triggers.behind();
        triggers.thresholds();
        triggers.runningOut();
        triggers.found.sort(java.util.Comparator.comparing(Trigger::kind));
        return List.copyOf(triggers.found);
    }

    private void add(Kind kind, List<String> sessions, String text) {
        found.add(new Trigger(kind, sessions, text));
    }

    private static String day(LocalDate day) {
        return java.time.format.DateTimeFormatter.ofPattern("EEE d MMM", Locale.ENGLISH)
                .format(day);
    }

    /** What was planned on them. */
    private List<Behind> lastDays() {
        return doneOrMissed().stream().filter(b -> !b.unplanned()).toList();
    }

    private List<Behind> doneOrMissed() {
        return s.behind().stream()
                .filter(b -> b.planned().day().isBefore(s.today())
                        && !b.planned().day().isBefore(s.today().minusDays(BEHIND_DAYS)))
                .toList();
    }

    private void behind() {
        List<Behind> missed = lastDays().stream()
                .filter(b ->
                        b.isMissed() && !plan.recovered().contains(b.planned().id()))
                .toList();
        double planned =
                lastDays().stream().mapToDouble(b -> b.planned().load()).sum();
        double lost = missed.stream().mapToDouble(b -> b.planned().load()).sum();
        List<String> ids = missed.stream().map(b -> b.planned().id()).toList();
        if (!missed.isEmpty() && lost > GAP_SHARE * planned)
            add(
                    Kind.GAP,
                    ids,
                    missed.size() + " of " + lastDays().size() + " sessions of the last 7 days were missed, "
                            + Math.round(lost) + " of " + Math.round(planned) + " points.");
        else
            for (Behind b : missed)
                add(
                        Kind.MISSED,
                        List.of(b.planned().id()),
                        "The " + b.planned().purpose() + " session of "
                                + day(b.planned().day()) + ", "
                                + Math.round(b.planned().load()) + " points, was missed.");
        for (Behind b : lastDays()) {
            if (b.isMissed()) continue;
            boolean cut = b.planned().isKey()
                    && (b.done().get().hours() < CUT_SHARE * b.planned().hours()
                            || b.done().get().load() < CUT_SHARE * b.planned().load());
            if (cut)
                add(
                        Kind.CUT,
                        List.of(b.planned().id()),
                        "The " + b.planned().purpose() + " session of "
                                + day(b.planned().day()) + " was cut to "
                                + Math.round(b.done().get().load()) + " of "
                                + Math.round(b.planned().load()) + " points.");
        }
        List<String> below = doneOrMissed().stream()
                .filter(b -> b.lowestReserve().orElse(1) < 0)
                .map(b -> b.planned().id())
                .toList();
        List<String> beaten = lastDays().stream()
                .filter(b -> b.beaten() && b.planned().isKey())
                .map(b -> b.planned().id())
                .toList();
        if (!below.isEmpty())
            add(
                    Kind.READY,
                    below,
                    "A session drove the reserve below zero: critical power or W′ may be set too low,"
                            + " or the power was read too high.");
        else if (beaten.size() >= 2)
            add(Kind.READY, beaten, "Key targets were beaten twice: the threshold may be higher.");
    }

    private void over() {
        for (Target block : s.blocks()) {
            if (Excess.isOver(s, block))
                add(
                        Kind.OVER,
                        List.of(),
                        "The block of " + day(block.first()) + " holds "
                                + Math.round(block.done().orElse(0)) + " points done of "
                                + Math.round(block.load()) + " planned.");
        }
        ahead.overBuilt()
                .ifPresent(day -> add(
                        Kind.OVER,
                        List.of(),
                        String.format(
                                Locale.ROOT,
                                "On %s chronic load would have risen by more than %.1f in 7 days.",
                                day(day),
                                s.limits().buildRate())));
    }

    private void balance() {
        double lowest = ahead.lowestSoon();
        if (lowest < s.limits().balanceFloor() - SLIGHT)
            add(
                    Kind.LOW_BALANCE,
                    List.of(),
                    "Balance would fall to " + Math.round(lowest) + " within 14 days; the floor is "
                            + Math.round(s.limits().balanceFloor()) + ".");
    }

    private void body() {
        bands(Measure.RESTING_HEART_RATE, Checkin::restingHeartRate);
        bands(Measure.VARIABILITY, Checkin::rmssd);
        s.checkins().stream()
                .filter(c -> !c.day().isAfter(s.today())
                        && !c.day().isBefore(s.today().minusDays(1)))
                .max(java.util.Comparator.comparing(Checkin::day))
                .ifPresent(c -> {
                    if (!c.illness().isBlank()) add(Kind.BODY, List.of(), "Illness was noted on " + day(c.day()) + ".");
                    if (!c.injury().isBlank())
                        add(Kind.BODY, List.of(), "An injury was noted on " + day(c.day()) + ".");
                    if (c.soreness() >= SORE)
                        add(Kind.BODY, List.of(), "Soreness is " + Math.round(c.soreness()) + " of 5.");
                });
    }

    private void bands(Measure measure, ToDoubleFunction<Checkin> value) {
        TreeMap<LocalDate, Double> values = new TreeMap<>();
        for (Checkin c : s.checkins())
            if (!c.day().isAfter(s.today()) && value.applyAsDouble(c) > 0) values.put(c.day(), value.applyAsDouble(c));
        Bands bands = Bands.of(measure, values, s.today());
        if (bands.isStrain()) add(Kind.BODY, List.of(), pemblar.core.checkin.BandWords.of(bands));
    }

    private void away() {
        for (Away a : s.away()) {
            if (a.last().isBefore(s.today().minusDays(a.days()))) continue;
            List<Session> cannot = Returning.tooLong(a, plan);
            List<String> inside = cannot.stream().map(Session::id).toList();
            Plan without = new Plan(
                    plan.sessions().stream().filter(p -> !cannot.contains(p)).toList(),
                    plan.blocks(),
                    plan.events(),
                    plan.recovered());
            List<String> after =
                    Returning.tooMuch(s, without, a).stream().map(Session::id).toList();
            List<String> all = new ArrayList<>(inside);
            all.addAll(after);
            if (!all.isEmpty() || !a.last().isBefore(s.today()))
                add(
                        Kind.AWAY,
                        all,
                        "Away from " + day(a.first()) + " to " + day(a.last()) + " ("
                                + a.reason().name().toLowerCase(Locale.ROOT) + "): " + inside.size()
                                + " sessions fall into it"
                                + (a.reason().easesReturn()
                                        ? ", " + after.size() + " are too much for the return."
                                        : "."));
        }
    }

    private void events() {
        for (Coming c : s.events()) {
            c.movedFrom()
                    .ifPresent(from -> add(
                            Kind.EVENT,
                            List.of(),
                            "The event of " + day(from) + " is now on "
                                    + day(c.event().day()) + "."));
            if (c.added())
                add(Kind.EVENT, List.of(), "An event on " + day(c.event().day()) + " is new.");
        }
    }

    private void weather() {
        List<Session> out = plan.sessions().stream()
                .filter(p -> Weathers.isOutdoors(p) && s.isForbidden(p.day()))
                .toList();
        List<String> hit = out.stream().map(Session::id).toList();
        String days = out.stream()
                .map(Session::day)
                .distinct()
                .sorted()
                .map(Triggers::day)
                .collect(Collectors.joining(", "));
        if (!hit.isEmpty())
            add(
                    Kind.WEATHER,
                    hit,
                    hit.size() + (hit.size() == 1 ? " session lies" : " sessions lie")
                            + (hit.size() == 1 ? " on a day" : " on days")
                            + " whose weather is beyond what is wanted: " + days + ".");
    }

    private void strength() {
        for (Session legs : plan.sessions()) {
            if (!legs.legs()) continue;
            for (Session hard : plan.sessions()) {
                if (!isTooSoon(legs, hard)) continue;
                add(
                        Kind.STRENGTH,
                        List.of(legs.id(), hard.id()),
                        "Heavy leg work on " + day(legs.day()) + " ends less than 24 h before the " + hard.purpose()
                                + " session of " + day(hard.day()) + ".");
            }
        }
    }

    /** A hard session of another kind begins within 24 h of the end of heavy leg work. */
    static boolean isTooSoon(Session legs, Session hard) {
        if (!hard.hard() || hard.legs() || hard.id().equals(legs.id())) return false;
        double hours = legs.hoursTo(hard);
        return hours >= -legs.hours() && hours < LEGS_HOURS;
    }

    private void thresholds() {
        for (Threshold t : s.thresholds()) {
            boolean isNew = !t.from().isBefore(s.today().minusDays(NEW_DAYS));
            boolean same = s.thresholds().stream()
                    .filter(o -> o.sport().equals(t.sport())
                            && o.quantity().equals(t.quantity())
                            && o.from().isBefore(t.from()))
                    .max(java.util.Comparator.comparing(Threshold::from))
                    .filter(o -> o.value() == t.value())
                    .isPresent();
            if (isNew && !same)
                add(
                        Kind.THRESHOLD,
                        List.of(),
                        "A new " + t.quantity() + " holds from " + day(t.from()) + ": planned targets follow it.");
        }
    }

    private void runningOut() {
        LocalDate last = plan.sessions().stream()
                .map(Session::day)
                .max(LocalDate::compareTo)
                .orElse(s.today());
        if (last.isBefore(s.today().plusDays(PLANNED_DAYS)))
            add(
                    Kind.RUNNING_OUT,
                    List.of(),
                    "Fewer than 7 days are planned ahead: the last session is on " + day(last) + ".");
    }
}
