package pemblar.app.session.reading;

import java.time.InstantSource;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.athlete.Athlete;
import pemblar.app.frame.page.Shown;
import pemblar.app.load.TrendService;
import pemblar.app.recording.LoadsAnew;
import pemblar.app.session.SessionRow;
import pemblar.app.session.TrainingSessionRepository;
import pemblar.app.threshold.ThresholdService;
import pemblar.core.load.LoadTrend;
import pemblar.core.load.SessionSummary.Part;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.DatedValues;
import pemblar.core.threshold.DatedValues.Dated;
import pemblar.core.threshold.DatedValues.Span;
import pemblar.core.workout.Forecast;
import pemblar.core.workout.PlannedStep;
import pemblar.core.workout.ShorthandText;
import pemblar.core.zone.DatedZones;

/** What adopting values would change, computed before anything is saved. */
@Service
public class AdoptionPreview {
    private static final int MOST_LISTED = 12;
    private final LoadsAnew loads;
    private final TrainingSessionRepository sessions;
    private final ThresholdService thresholds;
    private final TrendService trends;
    private final InstantSource clock;

    AdoptionPreview(
            LoadsAnew loads,
            TrainingSessionRepository sessions,
            ThresholdService thresholds,
            TrendService trends,
            InstantSource clock) {
        this.loads = loads;
        this.sessions = sessions;
        this.thresholds = thresholds;
        this.trends = trends;
        this.clock = clock;
    }

    /** A planned session whose figures change; the target is that of its hardest step, loads may be null. */
    public record PlannedChange(
            long id,
            LocalDate day,
            String title,
            String targetBefore,
            String targetAfter,
            Double loadBefore,
            Double loadAfter,
            int secondsAfter) {}

    /**
     * @param recomputed sessions whose summaries are computed anew
     * @param lost sessions whose data are lost, so that they keep their load
     * @param before the trend at the end of today as it is, null without sessions; {@code after} as it would be
     * @param planned the first planned sessions that change; {@code plannedCount} counts all
     */
    public record Effect(
            int recomputed,
            int lost,
            LoadTrend.Day before,
            LoadTrend.Day after,
            List<PlannedChange> planned,
            int plannedCount) {
        /** Planned sessions that change and are not among the first. */
        public int more() {
            return plannedCount - planned.size();
        }

        public boolean isNothing() {
            return recomputed == 0 && lost == 0 && plannedCount == 0;
        }

        /** What of the past cannot follow; empty when all of it can. */
        public String left() {
            return switch (lost) {
                case 0 -> "";
                case 1 -> "The data of 1 more session are lost: it keeps its load.";
                default -> "The data of " + lost + " more sessions are lost: they keep their load.";
            };
        }
    }

    /** For an athlete whom the caller has already asked for. */
    @Transactional(readOnly = true)
    public Effect of(Athlete athlete, LocalDate from, List<Dated> adopted) {
        LocalDate today = athlete.dayOf(clock.instant());
        DatedZones now = thresholds.zonesOf(athlete);
        DatedZones then = new DatedZones(now.values().with(adopted), now.sets(), now.speeds());
        Map<Span, Set<Part>> spans = spans(then.values(), adopted);
        LoadsAnew.Changes recorded = loads.of(athlete, then, spans, sport -> serves(adopted, sport));
        Map<LocalDate, Double> deltas = new HashMap<>(recorded.changes());
        List<PlannedChange> planned = planned(athlete, new Adopted(now, then, spans), today, deltas);
        TrendService.Trend trend = trends.of(athlete);
        LoadTrend.Day before = trend.on(today);
        return new Effect(
                recorded.count(),
                recorded.lost(),
                before,
                before == null ? null : shifted(athlete, trend, deltas, today),
                planned.stream().limit(MOST_LISTED).toList(),
                planned.size());
    }

    /** What planned sessions from a day on would become. For an athlete whom the caller has already asked for. */
    @Transactional(readOnly = true)
    public List<PlannedChange> ahead(Athlete athlete, LocalDate from, Dated adopted) {
        DatedZones now = thresholds.zonesOf(athlete);
        DatedZones then = new DatedZones(now.values().with(List.of(adopted)), now.sets(), now.speeds());
        Map<Span, Set<Part>> spans = spans(then.values(), List.of(adopted));
        return planned(athlete, new Adopted(now, then, spans), from, new HashMap<>());
    }

    private static Map<Span, Set<Part>> spans(DatedValues then, List<Dated> adopted) {
        Map<Span, Set<Part>> spans = new HashMap<>();
        for (Dated dated : adopted) {
            Set<Part> parts = Part.restingOn(dated.quantity());
            if (!parts.isEmpty())
                spans.computeIfAbsent(then.spanOf(dated.quantity(), dated.from()), s -> EnumSet.noneOf(Part.class))
                        .addAll(parts);
        }
        return spans;
    }

    private static boolean serves(List<Dated> adopted, Sport sport) {
        return adopted.stream().anyMatch(d -> d.quantity().serves(sport));
    }

    /** Values as they are and would be, and what rests on them from when to when. */
    private record Adopted(DatedZones now, DatedZones then, Map<Span, Set<Part>> spans) {}

    /** @param deltas what the loads of the days would change by; added to */
    private List<PlannedChange> planned(
            Athlete athlete, Adopted adopted, LocalDate today, Map<LocalDate, Double> deltas) {
        List<PlannedChange> changes = new ArrayList<>();
        java.util.Set<Long> seen = new java.util.HashSet<>();
        adopted.spans().keySet().forEach(span -> {
            LocalDate from = span.from().isAfter(today) ? span.from() : today;
            for (SessionRow row :
                    sessions.plannedIn(athlete.id(), from, span.until().orElse(LocalDate.of(9999, 1, 1)))) {
                if (!seen.add(row.id())) continue;
                Forecast before = forecast(row, adopted.now());
                Forecast after = forecast(row, adopted.then());
                Double loadAfter = after == null || after.load().isEmpty()
                        ? null
                        : (Double) after.load().getAsDouble();
                String one = hardest(before, row.sport());
                String other = hardest(after, row.sport());
                if (one.equals(other) && java.util.Objects.equals(rounded(row.plannedLoad()), rounded(loadAfter)))
                    continue;
                deltas.merge(
                        row.day(),
                        (loadAfter == null ? 0 : loadAfter) - (row.plannedLoad() == null ? 0 : row.plannedLoad()),
                        Double::sum);
                changes.add(new PlannedChange(
                        row.id(),
                        row.day(),
                        row.title(),
                        one,
                        other,
                        row.plannedLoad(),
                        loadAfter,
                        after == null ? 0 : after.seconds()));
            }
        });
        changes.sort(Comparator.comparing(PlannedChange::day).thenComparing(PlannedChange::id));
        return changes;
    }

    private static Long rounded(Double value) {
        return value == null ? null : (Long) Math.round(value);
    }

    private static Forecast forecast(SessionRow row, DatedZones zones) {
        try {
            return Forecast.of(row.workout(), zones.on(row.day()));
        } catch (IllegalArgumentException e) {
            return null; // a threshold is still missing
        }
    }

    /** The hardest step with its target in the unit of the quantity. */
    private static String hardest(Forecast forecast, Sport sport) {
        if (forecast == null) return "–";
        PlannedStep step = forecast.steps().stream()
                .filter(s -> s.basis() != null)
                .max(Comparator.comparingDouble(PlannedStep::intensity))
                .orElse(null);
        if (step == null) return "–";
        return ShorthandText.length(step.flat().step().length()) + " at "
                + Shown.range(step.basis().measure(), sport, step.low(), step.high());
    }

    private static LoadTrend.Day shifted(
            Athlete athlete, TrendService.Trend trend, Map<LocalDate, Double> deltas, LocalDate today) {
        List<LoadTrend.Day> days = trend.days();
        double[] loads = days.stream()
                .mapToDouble(d -> Math.max(0, d.load() + deltas.getOrDefault(d.date(), 0.0)))
                .toArray();
        List<LoadTrend.Day> shifted = LoadTrend.of(days.get(0).date(), loads, athlete.trend());
        return shifted.get((int) (today.toEpochDay() - days.get(0).date().toEpochDay()));
    }
}
