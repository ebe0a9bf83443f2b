package pemblar.app.strength.maximum;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.function.UnaryOperator;
import pemblar.app.strength.Kilograms;

/**
 * Chains of maxima as a tree from left to right: each exercise behind the one that its maximum is taken from.
 *
 * @param height of the drawing; its width follows from the longest chain
 */
public record LinkTree(List<Node> nodes, List<Edge> edges, double width, double height) {
    private static final double COLUMN = 250;
    private static final double ROW = 46;
    private static final double TEXT = 150;
    private static final double TOP = 26;

    /** An exercise. @param now its maximum in words */
    public record Node(double x, double y, String exercise, String now) {}

    /** From parent to child. @param back a better result on the child raises the parent */
    public record Edge(String path, double labelX, double labelY, String percent, boolean back, String arrow) {}

    /** @param now the maximum of an exercise in words */
    static LinkTree of(List<MaximaService.Link> links, UnaryOperator<String> now) {
        Set<String> linked = new LinkedHashSet<>();
        links.forEach(l -> linked.add(l.exercise()));
        Set<String> roots = new LinkedHashSet<>();
        links.forEach(l -> {
            if (!linked.contains(l.of())) roots.add(l.of());
        });
        Maker maker = new Maker(links, now, new ArrayList<>(), new ArrayList<>());
        double y = TOP;
        for (String root : roots) y = maker.place(root, 0, y);
        double width = maker.nodes.stream().mapToDouble(Node::x).max().orElse(0) + COLUMN;
        return new LinkTree(maker.nodes, maker.edges, width, y);
    }

    boolean isEmpty() {
        return nodes.isEmpty();
    }

    private record Maker(
            List<MaximaService.Link> links, UnaryOperator<String> now, List<Node> nodes, List<Edge> edges) {
        /** @return where the next row begins; links go in no circle, so this ends */
        double place(String exercise, int depth, double y) {
            double x = depth * COLUMN;
            nodes.add(new Node(x, y, exercise, now.apply(exercise)));
            double next = y;
            for (MaximaService.Link link : links) {
                if (!link.of().equals(exercise)) continue;
                edges.add(edge(x, y, next, link));
                next = place(link.exercise(), depth + 1, next);
            }
            return Math.max(next, y + ROW);
        }

        private static Edge edge(double x, double fromY, double toY, MaximaService.Link link) {
            double from = x + TEXT;
            double to = x + COLUMN - 10;
            return new Edge(
                    String.format(
                            Locale.ROOT,
                            "M%.1f %.1fC%.1f %.1f %.1f %.1f %.1f %.1f",
                            from,
                            fromY,
                            from + 40,
                            fromY,
                            from + 20,
                            toY,
                            to,
                            toY),
                    to - 4,
                    toY - 6,
                    Kilograms.plain(link.percent()) + " %",
                    link.reportsBack(),
                    String.format(Locale.ROOT, "M%.1f %.1fl9 -5v10z", from - 2, fromY));
        }
    }
}
