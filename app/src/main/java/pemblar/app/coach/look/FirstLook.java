package pemblar.app.coach.look;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import pemblar.app.athlete.Athlete;
import pemblar.app.coach.beside.Bests;
import pemblar.app.frame.page.Shown;
import pemblar.app.frame.page.Units;
import pemblar.app.load.DayLoad;
import pemblar.app.load.TrendService.Trend;
import pemblar.app.session.Slab;
import pemblar.app.session.reading.SessionService;
import pemblar.app.threshold.ThresholdService;
import pemblar.core.load.LoadTrend;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.DatedValues;
import pemblar.core.threshold.Quantity;

/** What the training of a new athlete says by itself: hours, rest, load, values, and how good the data are. */
@Component
class FirstLook {
    private static final int WEEKS = 12;
    private static final int DAYS_OF_REST = 180;
    private static final int LONG_RUN = 10;
    private static final double CHART_WIDTH = 520;
    private static final double CHART_HEIGHT = 96;
    private final SessionService sessions;
    private final ThresholdService thresholds;
    private final Shown shown;

    FirstLook(SessionService sessions, ThresholdService thresholds, Shown shown) {
        this.sessions = sessions;
        this.thresholds = thresholds;
        this.shown = shown;
    }

    /** A value with the day from which it holds; null when it is not known. */
    public record Value(String name, String value, LocalDate since) {}

    /** A week's bar of one sport. */
    public record Bar(double x, double y, double width, double height, int pattern, String title) {}

    /** @param most hours of the highest week, the top of the axis */
    public record Hours(List<Bar> bars, double most, List<String> sports, List<String> totals) {}

    public record Data(long recordings, long withPower, long withHeartRate, long withoutLoad, long withoutPlan) {}

    /** Loads in points a day; runs of days without rest in words. */
    public record Load(Double chronic, Double before, Double highest, List<String> withoutRest) {}

    List<Value> values(Athlete athlete, LocalDate today) {
        DatedValues values = thresholds.of(athlete);
        List<Value> all = new ArrayList<>();
        for (Quantity quantity : wanted(athlete.first())) {
            Optional<DatedValues.Dated> latest = values.latest(quantity, today)
                    .or(() -> values.latest(quantity.kind().plain(), today));
            all.add(new Value(
                    quantity.label(),
                    latest.map(v -> figure(quantity, v.value(), athlete.first()))
                            .orElse("not known"),
                    latest.map(DatedValues.Dated::from).orElse(null)));
        }
        return all;
    }

    private static List<Quantity> wanted(Sport sport) {
        List<Quantity> wanted = new ArrayList<>();
        for (var measure : sport.measures())
            wanted.add(Quantity.of(Quantity.threshold(measure).kind(), sport));
        if (sport.onWheels()) wanted.addAll(List.of(Quantity.CRITICAL_POWER, Quantity.W_PRIME));
        wanted.addAll(List.of(Quantity.MAXIMUM_HEART_RATE, Quantity.RESTING_HEART_RATE, Quantity.BODY_MASS));
        return wanted.stream().distinct().toList();
    }

    private String figure(Quantity quantity, double value, Sport sport) {
        return switch (quantity.kind()) {
            case THRESHOLD_SPEED -> shown.speed(sport, value);
            case W_PRIME -> shown.kilojoules(value);
            case BODY_MASS -> shown.kilograms(value);
            default -> shown.whole(value) + " " + quantity.unit();
        };
    }

    Hours hours(Athlete athlete, LocalDate today) {
        LocalDate first = Units.mine().weekOf(today.minusWeeks(WEEKS - 1L));
        TreeMap<LocalDate, Map<Sport, Double>> weeks = new TreeMap<>();
        for (LocalDate week = first; !week.isAfter(today); week = week.plusWeeks(1))
            weeks.put(week, new EnumMap<>(Sport.class));
        for (Slab slab : sessions.between(athlete, first, today))
            if (slab.done() != null)
                weeks.floorEntry(slab.day())
                        .getValue()
                        .merge(slab.sport(), slab.done().seconds() / 3600.0, Double::sum);
        List<Sport> sports = weeks.values().stream()
                .flatMap(w -> w.keySet().stream())
                .distinct()
                .sorted()
                .toList();
        double most = weeks.values().stream()
                .mapToDouble(w -> w.values().stream().mapToDouble(h -> h).sum())
                .max()
                .orElse(0);
        return new Hours(
                bars(weeks, sports, most),
                most,
                sports.stream().map(Sport::doing).toList(),
                sports.stream()
                        .map(s -> String.format(
                                Locale.ROOT,
                                "%.1f h a week",
                                weeks.values().stream()
                                                .mapToDouble(w -> w.getOrDefault(s, 0.0))
                                                .sum()
                                        / weeks.size()))
                        .toList());
    }

    private List<Bar> bars(TreeMap<LocalDate, Map<Sport, Double>> weeks, List<Sport> sports, double most) {
        List<Bar> bars = new ArrayList<>();
        double width = CHART_WIDTH / weeks.size();
        int i = 0;
        for (var week : weeks.entrySet()) {
            double top = CHART_HEIGHT;
            for (int s = 0; s < sports.size(); s++) {
                double hours = week.getValue().getOrDefault(sports.get(s), 0.0);
                double height = most == 0 ? 0 : CHART_HEIGHT * hours / most;
                top -= height;
                if (hours > 0)
                    bars.add(new Bar(
                            i * width + 3,
                            top,
                            width - 6,
                            height,
                            Math.min(s, 3),
                            "Week of " + shown.day(week.getKey()) + ": "
                                    + sports.get(s).doing() + " " + shown.duration(hours * 3600)));
            }
            i++;
        }
        return bars;
    }

    Load load(Trend trend) {
        LocalDate today = trend.today();
        LoadTrend.Day now = trend.on(today);
        LoadTrend.Day before = trend.on(today.minusWeeks(WEEKS));
        Double highest = trend.days().stream()
                .filter(d -> d.date().isAfter(today.minusYears(1)) && !d.date().isAfter(today))
                .map(LoadTrend.Day::chronic)
                .max(Double::compare)
                .orElse(null);
        return new Load(
                now == null ? null : (Double) now.chronicBefore(),
                before == null ? null : (Double) before.chronic(),
                highest,
                withoutRest(trend.dayLoads(), today));
    }

    private List<String> withoutRest(List<DayLoad> days, LocalDate today) {
        Set<LocalDate> trained =
                days.stream().filter(d -> d.doneSeconds() > 0).map(DayLoad::day).collect(Collectors.toSet());
        List<String> runs = new ArrayList<>();
        int length = 0;
        for (LocalDate day = today.minusDays(DAYS_OF_REST); !day.isAfter(today); day = day.plusDays(1)) {
            if (trained.contains(day)) length++;
            else {
                run(runs, day, length);
                length = 0;
            }
        }
        run(runs, today.plusDays(1), length);
        return runs;
    }

    private void run(List<String> runs, LocalDate after, int length) {
        if (length >= LONG_RUN) runs.add(length + " days, " + shown.span(after.minusDays(length), after.minusDays(1)));
    }

    Data data(Athlete athlete, LocalDate today) {
        List<Slab> done = sessions.between(athlete, today.minusDays(Bests.DAYS), today).stream()
                .filter(s -> s.done() != null && s.done().recorded())
                .toList();
        return new Data(
                done.size(),
                done.stream().filter(s -> s.done().equivalentWatts() != null).count(),
                done.stream().filter(s -> s.done().meanBpm() != null).count(),
                done.stream().filter(s -> s.done().load() == null).count(),
                done.stream().filter(s -> !s.hasPlan()).count());
    }
}
