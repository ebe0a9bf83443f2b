package pemblar.core.season;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.DoubleUnaryOperator;
import pemblar.core.load.LoadTrend;
import pemblar.core.season.Block.Phase;
import pemblar.core.season.Layout.Piece;

/**
 * Lays out a season: phases and blocks first, then loads. Every loading block lets chronic load climb at one rate; the rate that
 * meets the aim is found by halving. Above it stand the limits, block by block, so no target ever breaks one.
 */
public final class Generator {
    /** An easy block is 55 to 65 % of the block before. */
    static final double EASY = 0.6;
    /** A taper cuts load by 40 to 60 %, and so do the easy days before a B event. */
    static final double TAPER = 0.5;
    static final double RECOVERY = 0.45;
    static final int EASY_DAYS_BEFORE_B = 3;
    private static final double STEEPEST = 25;
    private static final int HALVINGS = 44;
    private static final double MET_WITHIN = 0.01;

    private Generator() {}

    public static Season plan(Ask ask) {
        List<Piece> pieces = Layout.of(ask);
        Climb climb = new Climb(ask, pieces);
        double[] rates = rates(ask, climb, ask.aim().value());
        Climb.Result result = climb.at(rates);
        double reached = reached(ask, climb, result, rates.length);
        boolean met = Math.abs(reached - ask.aim().value()) <= MET_WITHIN * ask.aim().value();
        return new Season(result.targets(), forecast(ask, result.dayLoads()), new Season.Outcome(ask.aim(), reached, met, met ? null : binding(ask, reached)));
    }

    /** Climbing rates, one for each stretch between A events when chronic load is the aim, else one for all. */
    private static double[] rates(Ask ask, Climb climb, double aim) {
        double[] rates = new double[ask.aim().kind() == Aim.Kind.CHRONIC_LOAD ? climb.stretches() : 1];
        for (int i = 0; i < rates.length; i++) {
            int index = i;
            rates[i] = solve(rate -> {
                rates[index] = rate;
                return ask.aim().kind() == Aim.Kind.CHRONIC_LOAD ? climb.chronicOnAim(climb.at(rates), index) : average(ask, climb.at(rates));
            }, aim);
        }
        return rates;
    }

    /** The rate at which a rising function reaches the aim, or the end of the range that comes nearest. */
    private static double solve(DoubleUnaryOperator reached, double aim) {
        double low = -STEEPEST;
        double high = STEEPEST;
        if (reached.applyAsDouble(high) <= aim) return high;
        for (int i = 0; i < HALVINGS; i++) {
            double middle = (low + high) / 2;
            if (reached.applyAsDouble(middle) < aim) low = middle;
            else high = middle;
        }
        reached.applyAsDouble(high);
        return high;
    }

    private static double average(Ask ask, Climb.Result result) {
        boolean hours = ask.aim().kind() == Aim.Kind.WEEKLY_HOURS;
        return 7 * result.targets().stream().mapToDouble(t -> hours ? t.hours() : t.load()).sum() / ask.days();
    }

    private static double reached(Ask ask, Climb climb, Climb.Result result, int stretches) {
        if (ask.aim().kind() != Aim.Kind.CHRONIC_LOAD) return average(ask, result);
        List<Double> mornings = new ArrayList<>();
        for (int i = 0; i < Math.max(1, climb.aims()); i++) mornings.add(climb.chronicOnAim(result, i));
        return mornings.stream().max(Comparator.comparing(m -> Math.abs(m - ask.aim().value()))).orElseThrow();
    }

    /** The limit without which the plan would come nearest to the aim. */
    private static Limit binding(Ask ask, double reached) {
        double missing = Math.abs(ask.aim().value() - reached);
        Limit best = Limit.TIME;
        double least = missing * 0.99;
        for (Limit limit : new Limit[] {Limit.HOURS, Limit.BUILD_RATE, Limit.PINS}) {
            if (limit == Limit.PINS && ask.pinned().isEmpty()) continue;
            Ask freed = ask.without(limit);
            Climb climb = new Climb(freed, Layout.of(freed));
            double[] rates = rates(freed, climb, ask.aim().value());
            double left = Math.abs(ask.aim().value() - reached(freed, climb, climb.at(rates), rates.length));
            if (left < least) {
                least = left;
                best = limit;
            }
        }
        return best;
    }

    private static List<LoadTrend.Day> forecast(Ask ask, double[] dayLoads) {
        LoadTrend.Settings s = ask.start().settings();
        return LoadTrend.of(ask.first(), dayLoads, new LoadTrend.Settings(s.acuteDays(), s.chronicDays(), ask.start().acute(), ask.start().chronic()));
    }

    /** How dense training is in a phase, against the athlete's average hour. */
    static double density(Phase phase, boolean easy) {
        if (easy) return 0.92;
        return switch (phase) {
            case BASE -> 0.96;
            case BUILD -> 1.04;
            case PEAK -> 1.08;
            case TAPER -> 1.0;
            case RECOVERY -> 0.88;
        };
    }

    /** Share of a block's load per day that a day takes: half on the easy days before a B event. */
    static double share(LocalDate day, List<Event> bEvents) {
        for (Event event : bEvents) {
            long before = event.day().toEpochDay() - day.toEpochDay();
            if (before >= 1 && before <= EASY_DAYS_BEFORE_B) return TAPER;
        }
        return 1;
    }
}
