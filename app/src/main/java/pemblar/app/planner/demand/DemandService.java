package pemblar.app.planner.demand;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.athlete.Athlete;
import pemblar.app.effort.EffortService;
import pemblar.app.effort.EffortService.Scope;
import pemblar.app.frame.page.Shown;
import pemblar.app.season.Held;
import pemblar.app.season.SeasonEvent;
import pemblar.app.season.SeasonEvent.After;
import pemblar.app.season.SeasonEvent.EventDemand;
import pemblar.app.season.SeasonEvent.Unit;
import pemblar.app.session.change.ScheduleService.Chosen;
import pemblar.app.threshold.ThresholdService;
import pemblar.core.effort.AfterWork;
import pemblar.core.effort.BestCurve;
import pemblar.core.range.DayRange;
import pemblar.core.schedule.DemandCheck;
import pemblar.core.schedule.DemandCheck.Verdict;
import pemblar.core.schedule.DemandTest;
import pemblar.core.schedule.Purpose;
import pemblar.core.sport.Measure;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.Quantity;
import pemblar.core.threshold.Thresholds;
import pemblar.core.zone.DatedZones;

/** Holds what an event asks for against the athlete's best efforts of the last months, fresh and after prior work. */
@Service
public class DemandService {
    private static final int DAYS = 180;
    private static final int MOST_LEANINGS = 2;
    private static final int LEAST_MODELLED = 120;
    private static final int MOST_MODELLED = 3600;
    private static final double STEADY = 0.65;
    private final EffortService efforts;
    private final ThresholdService thresholds;

    DemandService(EffortService efforts, ThresholdService thresholds) {
        this.efforts = efforts;
        this.thresholds = thresholds;
    }

    /** The event's own sport when the athlete trains it, else what the athlete trains first. */
    static Sport sport(Athlete athlete, SeasonEvent event) {
        return athlete.trains(event.sport()) ? event.sport() : athlete.first();
    }

    /** What the event is made of and the athlete trains; as for the event when that is nothing. */
    static List<Sport> sports(Athlete athlete, SeasonEvent event) {
        List<Sport> trained = event.sports().stream().filter(athlete::trains).toList();
        return trained.isEmpty() ? List.of(sport(athlete, event)) : trained;
    }

    static Sport sport(Athlete athlete, SeasonEvent event, EventDemand demand) {
        return demand.sport() == null ? sport(athlete, event) : demand.sport();
    }

    /**
     * A demand with the answer to it.
     *
     * @param fresh best mean when fresh, in the demand's unit; NaN without any
     * @param modelled what critical power and W' give for it when fresh, in the demand's unit; NaN where they say
     *     nothing
     */
    public record Answer(EventDemand demand, DemandCheck check, double fresh, double modelled) {}

    @Transactional(readOnly = true)
    public List<Answer> answers(Athlete athlete, SeasonEvent event, LocalDate today) {
        record Asked(Sport sport, Unit unit) {}
        Map<Asked, Bests> bests = new HashMap<>();
        List<Answer> answers = new ArrayList<>();
        for (EventDemand demand : event.demands()) {
            Sport sport = sport(athlete, event, demand);
            Bests of = bests.computeIfAbsent(
                    new Asked(sport, demand.unit()), asked -> bests(athlete, asked.sport(), asked.unit(), today));
            double fresh = of.fresh(demand.seconds());
            double best = demand.after() == After.FRESH
                    ? fresh
                    : demand.after() == After.WORK
                            ? of.after().afterJoules(demand.afterAmount(), demand.seconds())
                            : of.after().afterSeconds(demand.afterAmount(), demand.seconds());
            answers.add(new Answer(
                    demand,
                    DemandCheck.of(demand.seconds(), demand.amount(), best, fresh, demand.after() != After.FRESH),
                    fresh,
                    demand.unit() == Unit.SPEED ? Double.NaN : modelled(athlete, sport, demand, today)));
        }
        return answers;
    }

    /** Where the model of two parameters holds: efforts of 2 to 60 min. */
    private double modelled(Athlete athlete, Sport sport, EventDemand demand, LocalDate today) {
        Thresholds values = thresholds.zonesOf(athlete).on(today).thresholds();
        Thresholds own = values.forSport(sport);
        boolean holds = demand.seconds() >= LEAST_MODELLED && demand.seconds() <= MOST_MODELLED;
        if (!holds || !own.knows(Quantity.CRITICAL_POWER, Quantity.W_PRIME)) return Double.NaN;
        double watts = own.require(Quantity.CRITICAL_POWER) + own.require(Quantity.W_PRIME) / demand.seconds();
        double mass = demand.unit() == Unit.WATTS_PER_KG
                ? values.get(Quantity.BODY_MASS).orElse(Double.NaN)
                : 1;
        return watts / mass;
    }

    /**
     * The test of a demand: its effort, after as much work as it asks for, at 65 % of threshold power where work is
     * asked for.
     *
     * @throws IllegalArgumentException with a sentence when it cannot be planned
     */
    @Transactional(readOnly = true)
    public Chosen test(Athlete athlete, SeasonEvent event, int index, LocalDate today) {
        if (index < 0 || index >= event.demands().size())
            throw new IllegalArgumentException("This demand is no longer there.");
        EventDemand demand = event.demands().get(index);
        Sport sport = sport(athlete, event, demand);
        int before = switch (demand.after()) {
            case FRESH -> 0;
            case TIME -> (int) Math.round(demand.afterAmount());
            case WORK -> (int) Math.round(demand.afterAmount() / (STEADY * threshold(athlete, sport, today)));
        };
        String title = "Test: " + new Shown().clock(demand.seconds()) + " all-out" + (before == 0 ? "" : ", not fresh");
        return new Chosen(title, DemandTest.of(sport, demand.seconds(), before), null, null);
    }

    private double threshold(Athlete athlete, Sport sport, LocalDate today) {
        return thresholds
                .zonesOf(athlete)
                .on(today)
                .thresholds()
                .forSport(sport)
                .get(Quantity.THRESHOLD_POWER)
                .orElseThrow(() -> new IllegalArgumentException(
                        "Set a threshold power first: it says how long so much work takes."));
    }

    private record Bests(BestCurve curve, AfterWork after) {
        /** At the first duration of the grid that is at least so long: it is at most 1 % longer. */
        double fresh(int seconds) {
            List<BestCurve.Point> points = curve.points(seconds, Math.max(seconds + 2, (int) (seconds * 1.02)));
            return points.isEmpty() ? Double.NaN : points.get(0).value();
        }
    }

    private Bests bests(Athlete athlete, Sport sport, Unit unit, LocalDate today) {
        Measure measure = unit == Unit.SPEED ? Measure.SPEED : Measure.POWER;
        DatedZones values = thresholds.zonesOf(athlete);
        java.util.function.ToDoubleFunction<LocalDate> divisor = day -> unit == Unit.WATTS_PER_KG
                ? values.on(day).thresholds().get(Quantity.BODY_MASS).orElse(Double.NaN)
                : 1;
        Scope scope = new Scope(athlete, sport, measure, DayRange.upTo(today, DAYS));
        return new Bests(efforts.curve(scope, divisor), efforts.after(scope, divisor));
    }

    /**
     * For each event to come, what to train for it, the most missing first; long sessions are in every plan and are
     * left out.
     */
    @Transactional(readOnly = true)
    public Map<Long, List<Purpose>> leaning(Athlete athlete, Held held, LocalDate today) {
        Map<Long, List<Purpose>> all = new HashMap<>();
        for (SeasonEvent event : held.events()) {
            if (event.day().isBefore(today) || event.demands().isEmpty()) continue;
            List<Purpose> lean = answers(athlete, event, today).stream()
                    .filter(a -> a.check().verdict() == Verdict.MISSING)
                    .sorted(java.util.Comparator.comparingDouble(
                            (Answer a) -> -a.check().missing() / a.demand().amount()))
                    .map(a -> a.check().train())
                    .filter(p -> p != Purpose.LONG)
                    .distinct()
                    .limit(MOST_LEANINGS)
                    .toList();
            if (!lean.isEmpty()) all.put(event.id(), lean);
        }
        return all;
    }
}
