package pemblar.core.matching;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * The stretches into which a session is cut, in order and without overlap: steps of a plan, or laps. All changes by
 * hand are made here; each gives new stretches or says why it cannot be.
 */
public record Stretches(int seconds, List<One> all) {
    private static final int SHORTEST_SECONDS = 3;
    private static final int MOST = 400;
    public static final int NO_STEP = -1;

    /**
     * One stretch of grid seconds [from, to).
     *
     * @param step index in the expanded plan, {@link #NO_STEP} outside it
     * @param ignored left out of tables, repetitions and the verdict
     */
    public record One(int from, int to, int step, boolean ignored) {}

    /** @throws IllegalArgumentException naming the first stretch that overlaps, is too short or lies outside */
    public Stretches {
        List<One> sorted = new ArrayList<>(all);
        sorted.sort(Comparator.comparingInt(One::from));
        all = List.copyOf(sorted);
        if (all.size() > MOST) throw new IllegalArgumentException("A session can have at most " + MOST + " stretches.");
        int end = 0;
        for (One one : all) {
            if (one.from() < end || one.to() > seconds)
                throw new IllegalArgumentException("A stretch would lie over its neighbour or outside the recording.");
            if (one.to() - one.from() < SHORTEST_SECONDS)
                throw new IllegalArgumentException("A stretch would be shorter than " + SHORTEST_SECONDS + " s.");
            end = one.to();
        }
    }

    /**
     * Of stretches that may lie over one another or be too short, as those of a lap table: what cannot be gives way to
     * what began before it.
     */
    public static Stretches apart(int seconds, List<One> any) {
        List<One> clean = new ArrayList<>();
        int end = 0;
        for (One one : any.stream().sorted(Comparator.comparingInt(One::from)).toList()) {
            int from = Math.max(one.from(), end);
            int to = Math.min(one.to(), seconds);
            if (to - from < SHORTEST_SECONDS || clean.size() == MOST) continue;
            clean.add(new One(from, to, one.step(), one.ignored()));
            end = to;
        }
        return new Stretches(seconds, clean);
    }

    /** Moves both ends; a neighbour that touches follows. */
    public Stretches move(int index, int from, int to) {
        One moved = require(index);
        List<One> changed = new ArrayList<>(all);
        changed.set(index, new One(from, to, moved.step(), moved.ignored()));
        if (index > 0 && all.get(index - 1).to() == moved.from())
            changed.set(index - 1, ended(all.get(index - 1), from));
        if (index + 1 < all.size() && all.get(index + 1).from() == moved.to())
            changed.set(index + 1, begun(all.get(index + 1), to));
        return new Stretches(seconds, changed);
    }

    /** Cuts the stretch that holds a second in two; the first part keeps the step. */
    public Stretches split(int at) {
        for (int i = 0; i < all.size(); i++) {
            One one = all.get(i);
            if (at <= one.from() || at >= one.to()) continue;
            List<One> changed = new ArrayList<>(all);
            changed.set(i, ended(one, at));
            changed.add(i + 1, new One(at, one.to(), NO_STEP, one.ignored()));
            return new Stretches(seconds, changed);
        }
        throw new IllegalArgumentException("There is no stretch to split at that second.");
    }

    /** Makes one of a stretch and the next, with what lies between; the step of the first that has one is kept. */
    public Stretches join(int index) {
        One first = require(index);
        if (index + 1 == all.size())
            throw new IllegalArgumentException("The last stretch has no next one to be joined with.");
        One second = all.get(index + 1);
        List<One> changed = new ArrayList<>(all);
        changed.remove(index + 1);
        changed.set(
                index,
                new One(
                        first.from(),
                        second.to(),
                        first.step() == NO_STEP ? second.step() : first.step(),
                        first.ignored()));
        return new Stretches(seconds, changed);
    }

    /**
     * Adds a stretch; those under it give way, and one that is covered goes. @param step index in the plan, or
     * {@link #NO_STEP}
     */
    public Stretches add(int from, int to, int step) {
        if (from < 0 || to > seconds || to - from < SHORTEST_SECONDS)
            throw new IllegalArgumentException("Select at least " + SHORTEST_SECONDS + " s of the recording first.");
        List<One> changed = new ArrayList<>();
        for (One one : all) {
            if (one.from() < from)
                keep(new One(one.from(), Math.min(one.to(), from), one.step(), one.ignored()), changed);
            if (one.to() > to)
                keep(
                        new One(
                                Math.max(one.from(), to),
                                one.to(),
                                one.from() < from ? NO_STEP : one.step(),
                                one.ignored()),
                        changed);
        }
        changed.add(new One(from, to, step, false));
        return new Stretches(seconds, changed);
    }

    private static void keep(One one, List<One> changed) {
        if (one.to() - one.from() >= SHORTEST_SECONDS) changed.add(one);
    }

    public Stretches remove(int index) {
        require(index);
        List<One> changed = new ArrayList<>(all);
        changed.remove(index);
        return new Stretches(seconds, changed);
    }

    /** Leaves a stretch out of all figures, or takes it in again. */
    public Stretches ignore(int index, boolean ignored) {
        One one = require(index);
        List<One> changed = new ArrayList<>(all);
        changed.set(index, new One(one.from(), one.to(), one.step(), ignored));
        return new Stretches(seconds, changed);
    }

    /** Says which planned step a stretch is; another stretch that was that step gives it up. */
    public Stretches assign(int index, int step) {
        require(index);
        List<One> changed = new ArrayList<>();
        for (int i = 0; i < all.size(); i++) {
            One one = all.get(i);
            changed.add(
                    i == index
                            ? new One(one.from(), one.to(), step, one.ignored())
                            : step != NO_STEP && one.step() == step
                                    ? new One(one.from(), one.to(), NO_STEP, one.ignored())
                                    : one);
        }
        return new Stretches(seconds, changed);
    }

    private static One ended(One one, int to) {
        return new One(one.from(), to, one.step(), one.ignored());
    }

    private static One begun(One one, int from) {
        return new One(from, one.to(), one.step(), one.ignored());
    }

    private One require(int index) {
        if (index < 0 || index >= all.size()) throw new IllegalArgumentException("There is no such stretch any more.");
        return all.get(index);
    }
}
