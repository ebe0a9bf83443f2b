package pemblar.core.workout;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import pemblar.core.workout.Element.Repeat;
import pemblar.core.workout.Element.Step;

/**
 * Edits of a workout as made in its drawing. An element is named by its path: the index at the top, then inside each
 * repeat, from 0. Every edit answers a valid workout or throws with the reason; the workout given is not changed.
 */
public final class Editing {
    private static final int SHORTEST_SPLIT_SECONDS = 2;
    private final Workout workout;

    private Editing(Workout workout) {
        this.workout = workout;
    }

    public static Editing of(Workout workout) {
        return new Editing(workout);
    }

    /** Where an element stands: 2, or 3.0 for the first element of the fourth. */
    public record Path(List<Integer> indexes) {
        public Path {
            indexes = List.copyOf(indexes);
            if (indexes.isEmpty() || indexes.size() > 3)
                throw new IllegalArgumentException("a path must have 1 to 3 indexes, had " + indexes.size());
        }

        /** @throws IllegalArgumentException when it is not numbers with points between */
        public static Path parse(String text) {
            if (!text.matches("\\d{1,4}(\\.\\d{1,4}){0,2}"))
                throw new IllegalArgumentException("a path must be numbers with points between, was '" + text + "'");
            return new Path(java.util.Arrays.stream(text.split("\\."))
                    .map(Integer::valueOf)
                    .toList());
        }

        int last() {
            return indexes.get(indexes.size() - 1);
        }

        List<Integer> parent() {
            return indexes.subList(0, indexes.size() - 1);
        }

        Path child(int index) {
            List<Integer> longer = new ArrayList<>(indexes);
            longer.add(index);
            return new Path(longer);
        }

        @Override
        public String toString() {
            return String.join(".", indexes.stream().map(String::valueOf).toList());
        }
    }

    /** The path of each step of {@link Workout#expanded}, in its order. */
    public static List<Path> paths(Workout workout) {
        List<Path> paths = new ArrayList<>();
        for (int i = 0; i < workout.elements().size(); i++)
            add(paths, workout.elements().get(i), new Path(List.of(i)));
        return paths;
    }

    private static void add(List<Path> paths, Element element, Path path) {
        if (element instanceof Step) paths.add(path);
        if (element instanceof Repeat repeat)
            for (int time = 0; time < repeat.times(); time++)
                for (int i = 0; i < repeat.elements().size(); i++)
                    add(paths, repeat.elements().get(i), path.child(i));
    }

    /** @throws IllegalArgumentException when nothing stands there */
    public Element at(Path path) {
        Element found = null;
        List<Element> level = workout.elements();
        for (int index : path.indexes()) {
            if (index >= level.size()) throw new IllegalArgumentException("there is no step " + path);
            found = level.get(index);
            level = found instanceof Repeat repeat ? repeat.elements() : List.of();
        }
        return found;
    }

    /** Sets the length of a step that ends by time or distance, in s or m. */
    public Workout length(Path path, double amount) {
        return step(path, step -> {
            Length length = step.length() instanceof Length.Distance
                    ? new Length.Distance(Math.max(1, Math.rint(amount)))
                    : step.length() instanceof Length.Time
                            ? new Length.Time((int) Math.max(1, Math.min(86_400, Math.round(amount))))
                            : refuse("only a step with a time or a distance has a length to drag");
            return step.lasting(length);
        });
    }

    /**
     * Moves a target up or down by so many percent of threshold; zones move by whole zones, perceived effort by whole
     * points.
     */
    public Workout raise(Path path, double percent, double percentOfOneUnit) {
        return target(path, target -> Targets.shifted(target, percent, percent, percentOfOneUnit));
    }

    /** Moves one end of a target: the lower edge of a band or the begin of a ramp, else the upper edge or the end. */
    public Workout edge(Path path, boolean first, double percent, double percentOfOneUnit) {
        return target(
                path, target -> Targets.shifted(target, first ? percent : 0, first ? 0 : percent, percentOfOneUnit));
    }

    private Workout target(Path path, UnaryOperator<Target> change) {
        return step(path, step -> step.at(change.apply(step.target())));
    }

    private Workout step(Path path, UnaryOperator<Step> change) {
        if (!(at(path) instanceof Step step))
            throw new IllegalArgumentException("a repeat has no length or target of its own");
        Step changed = change.apply(step);
        return inside(path.parent(), level -> {
            level.set(path.last(), changed);
            return level;
        });
    }

    public Workout times(Path path, int times) {
        if (!(at(path) instanceof Repeat repeat))
            throw new IllegalArgumentException("only a repeat has a number of times");
        return inside(path.parent(), level -> {
            level.set(path.last(), new Repeat(repeat.name(), times, repeat.elements()));
            return level;
        });
    }

    public Workout duplicate(Path path) {
        Element copy = at(path);
        return inside(path.parent(), level -> {
            level.add(path.last() + 1, unnamed(copy));
            return level;
        });
    }

    private static Element unnamed(Element element) {
        if (element instanceof Repeat repeat) return new Repeat("", repeat.times(), repeat.elements());
        return ((Step) element).named("");
    }

    /** Divides a step in two halves of the same target; a ramp goes on where the first half ends. */
    public Workout split(Path path) {
        if (!(at(path) instanceof Step step)) throw new IllegalArgumentException("only a step can be split");
        Length first = half(step.length(), false);
        Length second = half(step.length(), true);
        List<Target> halves = Targets.halves(step.target());
        return inside(path.parent(), level -> {
            level.set(path.last(), step.lasting(first).at(halves.get(0)));
            level.add(path.last() + 1, step.named("").lasting(second).at(halves.get(1)));
            return level;
        });
    }

    private static Length half(Length length, boolean second) {
        if (length instanceof Length.Time time && time.seconds() >= SHORTEST_SPLIT_SECONDS)
            return new Length.Time(second ? time.seconds() / 2 : time.seconds() - time.seconds() / 2);
        if (length instanceof Length.Distance distance && distance.metres() >= 2) {
            double half = Math.ceil(distance.metres() / 2);
            return new Length.Distance(second ? distance.metres() - half : half);
        }
        return refuse("only a step with a time or a distance can be split");
    }

    /** Takes an element away; a repeat that is left empty goes with it. */
    public Workout delete(Path path) {
        at(path);
        Path gone = path;
        while (gone.indexes().size() > 1 && level(gone.parent()).size() == 1) gone = new Path(gone.parent());
        if (gone.indexes().size() == 1 && workout.elements().size() == 1)
            throw new IllegalArgumentException("a workout must have at least one step");
        Path removed = gone;
        return inside(removed.parent(), level -> {
            level.remove(removed.last());
            return level;
        });
    }

    /**
     * Moves an element among its neighbours in the same repeat or at the top, by so many places; it stops at the ends.
     */
    public Workout move(Path path, int places) {
        at(path);
        return inside(path.parent(), level -> {
            int to = Math.max(0, Math.min(level.size() - 1, path.last() + places));
            level.add(to, level.remove(path.last()));
            return level;
        });
    }

    /** Wraps neighbours of one level, first to last, in a repeat. */
    public Workout wrap(Path first, Path last, int times) {
        if (!first.parent().equals(last.parent()))
            throw new IllegalArgumentException(
                    "only neighbours can be repeated together: choose steps of the same repeat");
        at(first);
        at(last);
        int from = Math.min(first.last(), last.last());
        int to = Math.max(first.last(), last.last()) + 1;
        return inside(first.parent(), level -> {
            List<Element> wrapped = new ArrayList<>(level.subList(from, to));
            level.subList(from, to).clear();
            level.add(from, new Repeat("", times, wrapped));
            return level;
        });
    }

    /** Puts the elements of a repeat in its place, once. */
    public Workout unwrap(Path path) {
        if (!(at(path) instanceof Repeat repeat)) throw new IllegalArgumentException("only a repeat can be undone");
        return inside(path.parent(), level -> {
            level.remove(path.last());
            level.addAll(path.last(), repeat.elements());
            return level;
        });
    }

    private List<Element> level(List<Integer> parent) {
        List<Element> level = workout.elements();
        for (int index : parent) level = ((Repeat) level.get(index)).elements();
        return level;
    }

    private Workout inside(List<Integer> parent, Function<List<Element>, List<Element>> change) {
        return new Workout(workout.sport(), workout.basis(), changed(workout.elements(), parent, change));
    }

    private static List<Element> changed(
            List<Element> level, List<Integer> parent, Function<List<Element>, List<Element>> change) {
        List<Element> copy = new ArrayList<>(level);
        if (parent.isEmpty()) return Collections.unmodifiableList(change.apply(copy));
        Repeat repeat = (Repeat) copy.get(parent.get(0));
        copy.set(
                parent.get(0),
                new Repeat(
                        repeat.name(),
                        repeat.times(),
                        changed(repeat.elements(), parent.subList(1, parent.size()), change)));
        return copy;
    }

    private static <T> T refuse(String reason) {
        throw new IllegalArgumentException(reason);
    }
}
