package pemblar.core.evidence;

import java.util.ArrayList;
import java.util.List;
import pemblar.core.evidence.Piece.Both;

/**
 * Observations of one or two values summed in information form: the inverse covariance, and the inverse covariance
 * times the observation. A value on which nothing is said has no information.
 */
final class Information {
    /** One observation: its inverse covariance and its value. */
    private record Observation(double a, double b, double c, double first, double second, int dimensions) {}

    private final List<Observation> observations = new ArrayList<>();
    private double a;
    private double b;
    private double c;
    private double first;
    private double second;

    void addOne(int place, double value, double variance) {
        add(
                place == 0
                        ? new Observation(1 / variance, 0, 0, value, 0, 1)
                        : new Observation(0, 0, 1 / variance, 0, value, 1));
    }

    void addBoth(Both both, double widening) {
        double determinant =
                (both.wattsVariance() * both.joulesVariance() - both.covariance() * both.covariance()) * widening;
        add(new Observation(
                both.joulesVariance() / determinant,
                -both.covariance() / determinant,
                both.wattsVariance() / determinant,
                both.watts(),
                both.joules(),
                2));
    }

    private void add(Observation o) {
        observations.add(o);
        a += o.a();
        b += o.b();
        c += o.c();
        first += o.a() * o.first() + o.b() * o.second();
        second += o.b() * o.first() + o.c() * o.second();
    }

    boolean has(int place) {
        return place == 0 ? a > 0 : c > 0;
    }

    double mean(int place) {
        if (!has(1 - place)) return place == 0 ? first / a : second / c;
        double determinant = a * c - b * b;
        return place == 0 ? (c * first - b * second) / determinant : (a * second - b * first) / determinant;
    }

    double sd(int place) {
        if (!has(1 - place)) return Math.sqrt(1 / (place == 0 ? a : c));
        return Math.sqrt((place == 0 ? c : a) / (a * c - b * b));
    }

    /** Chi-square over its degrees of freedom above a limit; without any freedom nothing contradicts. */
    boolean isContradiction(double most) {
        int freedom =
                observations.stream().mapToInt(Observation::dimensions).sum() - (has(0) ? 1 : 0) - (has(1) ? 1 : 0);
        if (freedom < 1) return false;
        double chi = 0;
        double meanFirst = has(0) ? mean(0) : 0;
        double meanSecond = has(1) ? mean(1) : 0;
        for (Observation o : observations) {
            double x = o.a() > 0 ? o.first() - meanFirst : 0;
            double y = o.c() > 0 ? o.second() - meanSecond : 0;
            chi += o.a() * x * x + 2 * o.b() * x * y + o.c() * y * y;
        }
        return chi / freedom > most;
    }
}
