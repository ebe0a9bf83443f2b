package pemblar.core.repetition;

import java.util.ArrayList;
import java.util.List;
import pemblar.core.effort.Levels;
import pemblar.core.recording.Series;

/**
 * Efforts without a plan: stretches of at least 10 s whose mean is over 105 % of the session's and over a floor,
 * bounded by drops of more than 10 %. Where one begins and ends is the second that parts its surroundings best into two
 * levels, by least squares.
 */
public final class FoundEfforts {
    private static final int SHORTEST_SECONDS = 10;
    private static final double ABOVE_MEAN = 1.05;
    private static final double DROP = 0.9;
    private static final int HALF_WINDOW = 5;
    private static final int REACH_SECONDS = 25;
    private static final int AROUND_SECONDS = 20;
    private static final int LEAST_SIDE_SECONDS = Levels.LEAST_SIDE_SECONDS;
    private static final int LONGEST_DIP_SECONDS = 12;
    private final Levels levels;

    private FoundEfforts(Series values) {
        this.levels = new Levels(values);
    }

    /**
     * @param floor lower boundary of the athlete's zone 3, in the unit of the values; NaN without one. Missing seconds
     *     count for nothing.
     */
    public static List<Span> of(Series values, double floor) {
        if (values.size() < 2 * SHORTEST_SECONDS || values.present() == 0) return List.of();
        FoundEfforts found = new FoundEfforts(values);
        double level = Math.max(ABOVE_MEAN * values.mean(), Double.isNaN(floor) ? 0 : floor);
        List<Span> efforts = new ArrayList<>();
        for (Span rough : found.joined(found.above(level))) {
            Span exact = found.refined(rough);
            if (exact.seconds() >= SHORTEST_SECONDS
                    && found.mean(exact.from(), exact.to()) > level
                    && found.standsOut(exact)) efforts.add(exact);
        }
        return efforts;
    }

    private double mean(int from, int to) {
        return levels.mean(from, to);
    }

    /** The surroundings on both sides are more than 10 % lower. */
    private boolean standsOut(Span effort) {
        double most = DROP * mean(effort.from(), effort.to());
        double before = mean(Math.max(0, effort.from() - AROUND_SECONDS), effort.from());
        double after = mean(effort.to(), Math.min(levels.size(), effort.to() + AROUND_SECONDS));
        return !(before >= most) && !(after >= most);
    }

    private double smooth(int i) {
        return mean(Math.max(0, i - HALF_WINDOW), Math.min(levels.size(), i + HALF_WINDOW));
    }

    /** Runs of seconds whose 10 s mean is above the level. */
    private List<Span> above(double level) {
        List<Span> runs = new ArrayList<>();
        int begin = -1;
        for (int i = 0; i <= levels.size(); i++) {
            boolean high = i < levels.size() && smooth(i) > level;
            if (high && begin < 0) begin = i;
            if (!high && begin >= 0) {
                runs.add(new Span(begin, i));
                begin = -1;
            }
        }
        return runs;
    }

    /** Two runs with only a short or shallow dip between them are one effort. */
    private List<Span> joined(List<Span> runs) {
        List<Span> all = new ArrayList<>();
        for (Span run : runs) {
            Span last = all.isEmpty() ? null : all.get(all.size() - 1);
            boolean dip = last != null
                    && run.from() - last.to() <= LONGEST_DIP_SECONDS
                    && mean(last.to(), run.from())
                            > DROP * Math.min(mean(last.from(), last.to()), mean(run.from(), run.to()));
            if (dip) all.set(all.size() - 1, new Span(last.from(), run.to()));
            else all.add(run);
        }
        return all;
    }

    private Span refined(Span rough) {
        int half = Math.max(LEAST_SIDE_SECONDS, rough.seconds() / 2);
        int from = parting(
                Math.max(0, rough.from() - REACH_SECONDS),
                Math.min(rough.from() + Math.min(REACH_SECONDS, half), levels.size()),
                rough.from());
        int to = parting(
                Math.max(rough.to() - Math.min(REACH_SECONDS, half), from + 1),
                Math.min(levels.size(), rough.to() + REACH_SECONDS),
                rough.to());
        return to > from ? new Span(from, to) : rough;
    }

    /** The second that parts two levels; {@code otherwise} at the very ends of a recording. */
    private int parting(int low, int high, int otherwise) {
        if (otherwise <= LEAST_SIDE_SECONDS) return 0;
        if (otherwise >= levels.size() - LEAST_SIDE_SECONDS) return levels.size();
        return levels.parting(low, high, otherwise);
    }
}
