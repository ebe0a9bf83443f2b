package pemblar.core.adjust;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import pemblar.core.schedule.Spacing;

/**
 * How far a plan is over each limit, and where: the build rate on an evening, the floor on a morning, hours on a day,
 * the distance between two hard sessions, a session out of doors in forbidden weather. A plan that is over a limit in
 * one place is not free to be so in another.
 */
final class Breaches {
    /** Points that are too few to be seen. */
    private static final Map<Broken, Double> SLIGHT = Map.of(Broken.BUILD_RATE, 0.1, Broken.BALANCE, 0.1);
    /** Two hard sessions that are too near already may come nearer by what a longer one takes. */
    private static final double LONGER_HOURS = 1;

    private static final double DUST = 1e-6;

    private final Situation s;
    private final Plan plan;
    private final Foresight ahead;
    private final Set<Broken> broken;
    private final Map<Broken, Map<At, Double>> over = new EnumMap<>(Broken.class);

    /** Where it is. @param who the sessions and their days; empty for a day as a whole */
    private record At(LocalDate day, List<Object> who) {
        At(LocalDate day) {
            this(day, List.of());
        }
    }

    Breaches(Situation s, Plan plan) {
        this.s = s;
        this.plan = plan;
        this.ahead = new Foresight(s, plan);
        this.broken = ahead.broken();
    }

    /** Where a limit is broken and by how much: looked up when it is asked for, as most limits are kept. */
    private Map<At, Double> over(Broken limit) {
        return broken.contains(limit) ? over.computeIfAbsent(limit, this::look) : Map.of();
    }

    private Map<At, Double> look(Broken limit) {
        return switch (limit) {
            case BUILD_RATE -> byDay(ahead.overBuildingByDay());
            case BALANCE -> byDay(ahead.underFloorByDay());
            case HOURS -> overHours();
            case SPACING -> tooNear(ahead.hardInOrder());
            case WEATHER -> outInForbidden();
        };
    }

    private static Map<At, Double> byDay(Map<LocalDate, Double> days) {
        Map<At, Double> all = new HashMap<>();
        days.forEach((day, by) -> all.put(new At(day), by));
        return all;
    }

    /** Limits that this plan breaks where another kept them, or by more. */
    Set<Broken> beyond(Breaches other) {
        Set<Broken> beyond = EnumSet.noneOf(Broken.class);
        for (Breach breach : beside(other)) if (breach.anew()) beyond.add(breach.limit());
        return beyond;
    }

    /** What this plan breaks, held against another, in the order of the limits. */
    List<Breach> beside(Breaches other) {
        List<Breach> all = new ArrayList<>();
        for (Broken limit : broken) {
            Optional<LocalDate> beyond = first(limit, other.over(limit));
            boolean anew = beyond.isPresent() || !other.broken.contains(limit);
            all.add(new Breach(limit, beyond.or(() -> anew ? first(limit, Map.of()) : shared(limit, other)), anew));
        }
        return all;
    }

    /** The first place that both break it in. */
    private Optional<LocalDate> shared(Broken limit, Breaches other) {
        return over(limit).keySet().stream()
                .filter(other.over(limit)::containsKey)
                .map(At::day)
                .min(LocalDate::compareTo);
    }

    private Optional<LocalDate> first(Broken limit, Map<At, Double> before) {
        double slight = before.isEmpty() ? 0 : limit == Broken.SPACING ? LONGER_HOURS : SLIGHT.getOrDefault(limit, 0.0);
        return over(limit).entrySet().stream()
                .filter(e -> {
                    Double was = before.get(e.getKey());
                    return was == null && limit == Broken.SPACING || e.getValue() > (was == null ? 0 : was) + slight;
                })
                .map(e -> e.getKey().day())
                .min(LocalDate::compareTo);
    }

    /** Heavy leg work comes before something hard by less than a day that did not in another plan. */
    boolean hasLegsTooSoonBeyond(Breaches other) {
        for (Session legs : plan.sessions()) {
            if (!legs.legs()) continue;
            for (Session hard : plan.sessions())
                if (Triggers.isTooSoon(legs, hard) && !other.hasTooSoon(legs.id(), hard.id())) return true;
        }
        return false;
    }

    private boolean hasTooSoon(String legs, String hard) {
        return plan.sessions().stream()
                .filter(l -> l.legs() && l.id().equals(legs))
                .anyMatch(l -> plan.sessions().stream().anyMatch(h -> h.id().equals(hard) && Triggers.isTooSoon(l, h)));
    }

    private Map<At, Double> overHours() {
        Map<LocalDate, Double> hours = new HashMap<>();
        for (Session p : plan.sessions()) hours.merge(p.day(), p.hours(), Double::sum);
        Map<At, Double> all = new HashMap<>();
        hours.forEach((day, sum) -> {
            if (sum > s.limits().hoursPerDay() + DUST)
                all.put(new At(day), sum - s.limits().hoursPerDay());
        });
        return all;
    }

    private Map<At, Double> tooNear(List<Session> hard) {
        Map<At, Double> all = new HashMap<>();
        for (int i = 1; i < hard.size(); i++) {
            if (hard.get(i).day().isBefore(s.today())) continue;
            double hours = hard.get(i - 1).hoursTo(hard.get(i));
            if (Spacing.isNear(hours, s.limits().spacingHours()))
                all.put(
                        new At(hard.get(i).day(), List.of(where(hard.get(i - 1)), where(hard.get(i)))),
                        s.limits().spacingHours() - hours);
        }
        return all;
    }

    /** One that is moved is somewhere else: it keeps the limits there. */
    private static List<Object> where(Session session) {
        return List.of(session.id(), session.day());
    }

    private Map<At, Double> outInForbidden() {
        Map<At, Double> all = new HashMap<>();
        for (Session p : plan.sessions())
            if (Weathers.isOutdoors(p) && s.isForbidden(p.day())) all.put(new At(p.day(), where(p)), 1.0);
        return all;
    }
}
