package pemblar.core.model;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.Iterator;
import java.util.List;
import java.util.Optional;
import pemblar.core.effort.BestCurve.Point;

/**
 * The line work = W′ + CP · t that lies on or above all best efforts and nearest to them: of the edges of their upper
 * hull, the one with the smallest sum of gaps in power. A plain least-squares line would be drawn down by what was not
 * all-out.
 */
final class TightestLine {
    private TightestLine() {}

    /** @param points shortest first; empty is answered when no edge gives a positive CP and W′ */
    static Optional<CriticalPower> over(List<Point> points) {
        List<Point> hull = hull(points);
        CriticalPower best = null;
        double least = Double.POSITIVE_INFINITY;
        for (int i = 1; i < hull.size(); i++) {
            Optional<CriticalPower> edge = CriticalPower.fit(List.of(effort(hull.get(i - 1)), effort(hull.get(i))));
            if (edge.isEmpty()) continue;
            double gaps = 0;
            for (Point point : points) gaps += edge.get().at(point.seconds()) - point.value();
            if (gaps < least) {
                least = gaps;
                best = edge.get();
            }
        }
        return Optional.ofNullable(best);
    }

    private static Effort effort(Point point) {
        return new Effort(point.seconds(), point.value());
    }

    /** Upper hull of work over time, from the left (Andrew's monotone chain). */
    private static List<Point> hull(List<Point> points) {
        Deque<Point> hull = new ArrayDeque<>();
        for (Point next : points) {
            while (hull.size() >= 2 && !turnsRight(hull, next)) hull.removeLast();
            hull.addLast(next);
        }
        return new ArrayList<>(hull);
    }

    private static boolean turnsRight(Deque<Point> hull, Point next) {
        Iterator<Point> last = hull.descendingIterator();
        Point middle = last.next();
        Point first = last.next();
        double cross = (middle.seconds() - first.seconds()) * (work(next) - work(first))
                - (work(middle) - work(first)) * (next.seconds() - first.seconds());
        return cross < 0;
    }

    private static double work(Point point) {
        return point.seconds() * point.value();
    }
}
