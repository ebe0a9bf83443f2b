package pemblar.app.compare;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.function.UnaryOperator;
import pemblar.core.comparison.Figure;
import pemblar.core.recording.Derived;

/**
 * What a comparison holds; kept as JSON.
 *
 * @param columns names of figures and of derived columns, as shown
 * @param x column that is drawn along, and at which groups are compared; {@code y} the one that is compared
 */
public record Content(
        List<Line> lines, List<String> columns, List<Derivation> derived, String x, String y, int nextId) {
    private static final int MOST_LINES = 300;
    private static final int MOST_DERIVED = 12;
    private static final int LONGEST = 60;
    public static final Content EMPTY = new Content(
            List.of(), List.of("WATTS", "HEART_RATE", "CADENCE", "SPEED"), List.of(), "WATTS", "HEART_RATE", 1);

    public Content {
        lines = List.copyOf(lines);
        columns = List.copyOf(columns);
        derived = List.copyOf(derived);
    }

    /**
     * One repetition. Seconds are those of the original recording.
     *
     * @param entered values put in by hand, by figure
     * @param figures computed from the recording at its {@code revision}
     * @param start the same over its first seconds alone; null while it was not measured so
     */
    public record Line(
            int id,
            long session,
            int from,
            int to,
            String label,
            String group,
            boolean hidden,
            Map<String, Double> entered,
            Map<String, Double> figures,
            int revision,
            String day,
            String surface,
            Start start) {
        public Line(
                int id,
                long session,
                int from,
                int to,
                String label,
                String group,
                boolean hidden,
                Map<String, Double> entered,
                Map<String, Double> figures,
                int revision,
                String day,
                String surface) {
            this(id, session, from, to, label, group, hidden, entered, figures, revision, day, surface, null);
        }

        public Line {
            entered = Map.copyOf(entered);
            figures = Map.copyOf(figures);
        }

        /** By hand before computed, in the person's units; NaN when neither. */
        public double value(String figure) {
            Double typed = entered.get(figure);
            return FigureUnits.shown(figure, typed != null ? typed : figures.getOrDefault(figure, Double.NaN));
        }

        public Line in(String other) {
            return new Line(
                    id, session, from, to, label, other, hidden, entered, figures, revision, day, surface, start);
        }

        public Line shown(boolean show) {
            return new Line(
                    id, session, from, to, label, group, !show, entered, figures, revision, day, surface, start);
        }

        Line measured(Map<String, Double> now, int at) {
            return new Line(id, session, from, to, label, group, hidden, entered, now, at, day, surface);
        }

        Line measuredFirst(int seconds, Map<String, Double> now) {
            return new Line(
                    id,
                    session,
                    from,
                    to,
                    label,
                    group,
                    hidden,
                    entered,
                    figures,
                    revision,
                    day,
                    surface,
                    new Start(seconds, now));
        }

        boolean isMeasuredFirst(int seconds) {
            return to - from <= seconds || start != null && start.seconds() == seconds;
        }

        /** With the figures of its first seconds, where they were measured. */
        Line first(int seconds) {
            return start == null || start.seconds() != seconds ? this : measured(start.figures(), revision);
        }

        public Line with(String figure, Double typed) {
            Map<String, Double> all = new LinkedHashMap<>(entered);
            if (typed == null) all.remove(figure);
            else all.put(figure, typed);
            return new Line(id, session, from, to, label, group, hidden, all, figures, revision, day, surface, start);
        }
    }

    /** Figures of the first seconds of a repetition that is longer than others. */
    record Start(int seconds, Map<String, Double> figures) {
        Start {
            figures = Map.copyOf(figures);
        }
    }

    /** A column that follows from two figures. */
    public record Derivation(String name, String left, String operation, String right) {}

    /** Value of a figure or a derived column. */
    public double value(Line line, String column) {
        return derived.stream()
                .filter(d -> d.name().equals(column))
                .findFirst()
                .map(d -> Derived.apply(
                        line.value(d.left()), Derived.Operation.valueOf(d.operation()), line.value(d.right())))
                .orElseGet(() -> line.value(column));
    }

    /** In the order in which they first appear. */
    public List<String> groups() {
        return List.copyOf(new LinkedHashSet<>(lines.stream().map(Line::group).toList()));
    }

    public Content add(List<Line> more) {
        if (lines.size() + more.size() > MOST_LINES)
            throw new IllegalArgumentException(
                    "A comparison can hold " + MOST_LINES + " repetitions. Begin another one.");
        List<Line> all = new ArrayList<>(lines);
        int id = nextId;
        for (Line line : more)
            all.add(new Line(
                    id++,
                    line.session(),
                    line.from(),
                    line.to(),
                    line.label(),
                    group(line.group()),
                    line.hidden(),
                    line.entered(),
                    line.figures(),
                    line.revision(),
                    line.day(),
                    line.surface(),
                    line.start()));
        return new Content(all, columns, derived, x, y, id);
    }

    public static String group(String typed) {
        String name = typed.strip();
        if (name.isEmpty() || name.length() > LONGEST)
            throw new IllegalArgumentException("Group: enter 1 to " + LONGEST + " characters, such as “new shoes”.");
        return name;
    }

    public Content change(int id, UnaryOperator<Line> change) {
        if (lines.stream().noneMatch(l -> l.id() == id))
            throw new IllegalArgumentException("This repetition is no longer here.");
        return new Content(
                lines.stream().map(l -> l.id() == id ? change.apply(l) : l).toList(), columns, derived, x, y, nextId);
    }

    public Content changeAll(UnaryOperator<Line> change) {
        return new Content(lines.stream().map(change).toList(), columns, derived, x, y, nextId);
    }

    public Content remove(int id) {
        return new Content(lines.stream().filter(l -> l.id() != id).toList(), columns, derived, x, y, nextId);
    }

    public Content columns(List<String> chosen) {
        List<String> known = chosen.stream().filter(this::isColumn).distinct().toList();
        if (known.isEmpty()) throw new IllegalArgumentException("Columns: choose at least one.");
        return new Content(lines, known, derived, x, y, nextId);
    }

    public Content axes(String along, String against) {
        if (!isColumn(along) || !isColumn(against))
            throw new IllegalArgumentException("Axes: choose two of the quantities.");
        return new Content(lines, columns, derived, along, against, nextId);
    }

    public Content derive(Derivation d) {
        String name = d.name().strip();
        if (name.isEmpty() || name.length() > 40) throw new IllegalArgumentException("Name: enter 1 to 40 characters.");
        if (isColumn(name)) throw new IllegalArgumentException("Name: there is a column “" + name + "” already.");
        if (derived.size() >= MOST_DERIVED)
            throw new IllegalArgumentException("At most " + MOST_DERIVED + " derived columns.");
        if (Figure.named(d.left()).isEmpty() || Figure.named(d.right()).isEmpty())
            throw new IllegalArgumentException("Derived column: choose two quantities.");
        List<Derivation> all = new ArrayList<>(derived);
        all.add(new Derivation(
                name, d.left(), Derived.Operation.valueOf(d.operation()).name(), d.right()));
        List<String> shown = new ArrayList<>(columns);
        shown.add(name);
        return new Content(lines, shown, all, x, y, nextId);
    }

    public Content dropDerived(String name) {
        return new Content(
                lines,
                columns.stream().filter(c -> !c.equals(name)).toList(),
                derived.stream().filter(d -> !d.name().equals(name)).toList(),
                x.equals(name) ? EMPTY.x : x,
                y.equals(name) ? EMPTY.y : y,
                nextId);
    }

    /** @throws RuntimeException when it holds what no comparison could that was made here */
    void check() {
        columns(columns);
        axes(x, y);
        if (lines.size() > MOST_LINES || derived.size() > MOST_DERIVED) throw new IllegalArgumentException("too long");
        for (Derivation d : derived) {
            Derived.Operation.valueOf(d.operation());
            Figure.named(d.left()).orElseThrow();
            Figure.named(d.right()).orElseThrow();
        }
        for (Line line : lines) {
            group(line.group());
            java.time.LocalDate.parse(line.day());
            if (line.label() == null || line.to() <= line.from()) throw new IllegalArgumentException("no repetition");
        }
    }

    public boolean isColumn(String name) {
        return Figure.named(name).isPresent()
                || derived.stream().anyMatch(d -> d.name().equals(name));
    }
}
