package pemblar.core.load;

import pemblar.core.recording.Series;

/**
 * The gradient around each second of a recording: the least-squares line of altitude on distance. One pass builds
 * running sums, so that standing still for an hour costs no more than running; samples without distance or altitude are
 * left out.
 */
final class Gradients {
    static final double REACH_METRES = 25;
    private static final double LEAST_SPAN_METRES = 20;
    private static final int LEAST_SAMPLES = 3;
    private static final double STEEPEST = 0.45;
    private final Series distance;
    private final double[] metres;
    private final double[] sumX;
    private final double[] sumY;
    private final double[] sumXx;
    private final double[] sumXy;
    private double middle;
    private int first;
    private int end;

    Gradients(Series distance, Series altitude) {
        this.distance = distance;
        int size = distance.size();
        double[] present = new double[size];
        double[] heights = new double[size];
        int count = 0;
        for (int i = 0; i < size; i++) {
            if (!distance.isPresent(i) || !altitude.isPresent(i)) continue;
            present[count] = distance.at(i);
            heights[count++] = altitude.at(i);
        }
        metres = java.util.Arrays.copyOf(present, count);
        middle = count == 0 ? 0 : (metres[0] + metres[count - 1]) / 2; // sums about the middle keep their digits
        sumX = new double[count + 1];
        sumY = new double[count + 1];
        sumXx = new double[count + 1];
        sumXy = new double[count + 1];
        for (int i = 0; i < count; i++) add(i, metres[i] - middle, heights[i] - heights[0]);
    }

    private void add(int i, double x, double y) {
        sumX[i + 1] = sumX[i] + x;
        sumY[i + 1] = sumY[i] + y;
        sumXx[i + 1] = sumXx[i] + x * x;
        sumXy[i + 1] = sumXy[i] + x * y;
    }

    /** Rise over distance, clipped; seconds are asked in order. */
    double at(int second) {
        if (!distance.isPresent(second)) return 0;
        double here = distance.at(second);
        while (first < metres.length && here - metres[first] > REACH_METRES) first++;
        while (end < metres.length && metres[end] - here <= REACH_METRES) end++;
        if (end - first < LEAST_SAMPLES || metres[end - 1] - metres[first] < LEAST_SPAN_METRES) return 0;
        return Math.max(-STEEPEST, Math.min(STEEPEST, slope()));
    }

    private double slope() {
        int n = end - first;
        double x = sumX[end] - sumX[first];
        double y = sumY[end] - sumY[first];
        double squares = sumXx[end] - sumXx[first] - x * x / n;
        return (sumXy[end] - sumXy[first] - x * y / n) / squares;
    }
}
