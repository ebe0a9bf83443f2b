package pemblar.app.session.reading;

import pemblar.app.frame.page.Path;
import pemblar.app.session.Slab;

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
        Path path = new Path().from(0, FLOOR);
        double at = 0;
        for (String step : slab.plannedSilhouette().split(";")) {
            String[] parts = step.split(",");
            double end = at + Double.parseDouble(parts[0]);
            path.to(x(at, longestSeconds), y(parts[1])).to(x(end, longestSeconds), y(parts[2]));
            at = end;
        }
        return path.to(x(at, longestSeconds), FLOOR).toString();
    }

    /** The recorded shape; empty without a recording. */
    public static String done(Slab slab, int longestSeconds) {
        if (slab.done() == null || slab.done().silhouette().isEmpty()) return "";
        String[] parts = slab.done().silhouette().split(",");
        Path path = new Path().from(0, FLOOR);
        for (int i = 0; i < parts.length; i++) {
            if (i > 0 && parts[i].equals(parts[i - 1])) continue; // as high as before: one line
            if (i > 0) path.across(x((double) slab.done().seconds() * i / parts.length, longestSeconds));
            path.upTo(y(parts[i]));
        }
        return path.across(x(slab.done().seconds(), longestSeconds))
                .upTo(FLOOR)
                .closed()
                .toString();
    }

    private static double x(double seconds, int longest) {
        return 100 * seconds / Math.max(1, longest);
    }

    private static double y(String fraction) {
        return FLOOR - HEIGHT * Math.min(1, Double.parseDouble(fraction) / TOP);
    }
}
