package pemblar.app.session;

import java.util.Locale;

/** Silhouettes as paths in a box of 100 by 30; 100 wide is the longest session in view. */
public final class SlabDrawing {
    private static final double FLOOR = 29;
    private static final double HEIGHT = 27;
    /** Fraction of threshold at the top of the box. */
    private static final double TOP = 1.4;

    private SlabDrawing() {}

    /** The planned outline; empty without a plan. */
    public static String planned(Slab slab, int longestSeconds) {
        if (slab.plannedSilhouette() == null || slab.plannedSilhouette().isEmpty()) return "";
        StringBuilder path = new StringBuilder(String.format(Locale.ROOT, "M0 %.1f", FLOOR));
        double at = 0;
        for (String step : slab.plannedSilhouette().split(";")) {
            String[] parts = step.split(",");
            double end = at + Double.parseDouble(parts[0]);
            path.append(String.format(
                    Locale.ROOT,
                    "L%.2f %.2fL%.2f %.2f",
                    x(at, longestSeconds),
                    y(parts[1]),
                    x(end, longestSeconds),
                    y(parts[2])));
            at = end;
        }
        return path.append(String.format(Locale.ROOT, "L%.2f %.1f", x(at, longestSeconds), FLOOR))
                .toString();
    }

    /** The recorded shape; empty without a recording. */
    public static String done(Slab slab, int longestSeconds) {
        if (slab.done() == null || slab.done().silhouette().isEmpty()) return "";
        String[] parts = slab.done().silhouette().split(",");
        StringBuilder path = new StringBuilder(String.format(Locale.ROOT, "M0 %.1f", FLOOR));
        for (int i = 0; i < parts.length; i++) {
            double from = (double) slab.done().seconds() * i / parts.length;
            double to = (double) slab.done().seconds() * (i + 1) / parts.length;
            path.append(String.format(
                    Locale.ROOT,
                    "L%.2f %.2fL%.2f %.2f",
                    x(from, longestSeconds),
                    y(parts[i]),
                    x(to, longestSeconds),
                    y(parts[i])));
        }
        return path.append(
                        String.format(Locale.ROOT, "L%.2f %.1fZ", x(slab.done().seconds(), longestSeconds), FLOOR))
                .toString();
    }

    private static double x(double seconds, int longest) {
        return 100 * seconds / Math.max(1, longest);
    }

    private static double y(String fraction) {
        return FLOOR - HEIGHT * Math.min(1, Double.parseDouble(fraction) / TOP);
    }
}
