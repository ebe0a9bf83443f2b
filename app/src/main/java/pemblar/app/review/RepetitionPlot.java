package pemblar.app.review;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import pemblar.app.frame.page.Shown;
import pemblar.core.recording.Channel;
import pemblar.core.repetition.RepetitionSet;
import pemblar.core.repetition.RepetitionSet.Quantity;
import pemblar.core.repetition.RepetitionSet.Repetition;
import pemblar.core.repetition.Slope;
import pemblar.core.sport.Sport;

/**
 * One quantity over the repetitions of a kind in a box of 200 by 64; sets stand apart, each with its own line.
 *
 * @param word the trend, of each set where there are several
 * @param lines fitted lines as one path; empty where no set has three values
 */
public record RepetitionPlot(
        String name, String word, boolean marked, List<Dot> dots, String line, String first, String last) {
    private static final double WIDTH = 200;
    private static final double TOP = 10;
    private static final double FLOOR = 54;
    private static final double LEFT = 12;

    public record Dot(double x, double y, String label, int from, int to) {}

    static List<RepetitionPlot> of(List<RepetitionSet> sets, Sport sport, Shown shown) {
        List<RepetitionPlot> plots = new ArrayList<>();
        for (Quantity quantity : Quantity.values())
            if (sets.stream().anyMatch(set -> set.slopes().containsKey(quantity)))
                plots.add(new Maker(quantity, sets, sport, shown).plot());
        return plots;
    }

    private record Maker(Quantity quantity, List<RepetitionSet> sets, Sport sport, Shown shown) {
        RepetitionPlot plot() {
            double[] all = sets.stream()
                    .flatMapToDouble(set -> Arrays.stream(values(set)))
                    .filter(v -> !Double.isNaN(v))
                    .toArray();
            double least = Arrays.stream(all).min().orElse(0);
            double most = Arrays.stream(all).max().orElse(1);
            double room = Math.max(
                    most - least, 0.02 * Math.abs(Arrays.stream(all).average().orElse(1)));
            List<Dot> dots = new ArrayList<>();
            StringBuilder lines = new StringBuilder();
            int place = 0;
            int number = 0;
            for (RepetitionSet set : sets) {
                double[] values = values(set);
                for (int i = 0; i < values.length; i++) {
                    number++;
                    if (Double.isNaN(values[i])) continue;
                    Repetition r = set.repetitions().get(i);
                    dots.add(new Dot(
                            x(place + i),
                            y(values[i], (least + most) / 2, room),
                            number + ": " + text(values[i]),
                            r.span().from(),
                            r.span().to()));
                }
                lines.append(line(set, values, place, (least + most) / 2, room));
                place += values.length + 1; // a gap between sets
            }
            return new RepetitionPlot(
                    name(),
                    word(),
                    sets.stream().anyMatch(this::isTrend),
                    dots,
                    lines.toString(),
                    text(all[0]),
                    text(all[all.length - 1]));
        }

        private double[] values(RepetitionSet set) {
            return RepetitionSet.values(set.repetitions(), quantity);
        }

        private boolean isTrend(RepetitionSet set) {
            return set.slopes().containsKey(quantity)
                    && set.slopes().get(quantity).isTrend();
        }

        private String word() {
            List<String> words = sets.stream().map(this::word).toList();
            if (words.size() == 1) return words.get(0);
            if (words.stream().distinct().count() == 1) return words.get(0) + " in every set";
            List<String> told = new ArrayList<>();
            for (int i = 0; i < words.size(); i++) told.add("set " + (i + 1) + ": " + words.get(i));
            return String.join(", ", told);
        }

        private String word(RepetitionSet set) {
            Slope slope = set.slopes().get(quantity);
            if (slope == null || slope.count() < 3) return "too few for a trend";
            if (!slope.isBeyondNoise()) return "within noise";
            return slope.isTrend()
                    ? RepetitionWords.percent(slope.relative()) + " per repetition"
                    : "less than 0.3 % per repetition";
        }

        private String line(RepetitionSet set, double[] values, int place, double middle, double room) {
            Slope slope = set.slopes().get(quantity);
            if (slope == null || slope.count() < 3) return "";
            return String.format(
                    Locale.ROOT,
                    "M%.1f %.1fL%.1f %.1f",
                    x(place),
                    y(at(slope, values, 0), middle, room),
                    x(place + values.length - 1),
                    y(at(slope, values, values.length - 1), middle, room));
        }

        /** The fitted line at a repetition. */
        private static double at(Slope slope, double[] values, int index) {
            double mean = 0;
            int count = 0;
            for (int i = 0; i < values.length; i++) {
                if (Double.isNaN(values[i])) continue;
                mean += i;
                count++;
            }
            return slope.level() + slope.perRepetition() * (index - mean / count);
        }

        private double x(int place) {
            int places = sets.stream().mapToInt(set -> set.repetitions().size()).sum() + sets.size() - 1;
            return LEFT + (WIDTH - 2 * LEFT) * place / Math.max(1, places - 1);
        }

        private static double y(double value, double middle, double room) {
            return (TOP + FLOOR) / 2 - (FLOOR - TOP) * (value - middle) / room;
        }

        private String name() {
            return RepetitionPlot.name(quantity, sets.get(0).main(), sport);
        }

        private String text(double value) {
            return RepetitionPlot.text(quantity, sets.get(0).main(), sport, value, shown);
        }
    }

    static String name(Quantity quantity, Channel main, Sport sport) {
        return switch (quantity) {
            case MAIN ->
                main == Channel.POWER
                        ? "mean power"
                        : "mean " + (Shown.unit(sport).isPace() ? "pace" : "speed");
            case CADENCE -> "cadence";
            case STEP_LENGTH -> "step length";
            case CONTACT_TIME -> "contact time";
            case PEAK_HEART_RATE -> "peak heart rate";
            case VALLEY_HEART_RATE -> "lowest heart rate in the recovery";
            case END_HEART_RATE -> "heart rate at its end";
            case SPREAD -> "spread";
        };
    }

    static String text(Quantity quantity, Channel main, Sport sport, double value, Shown shown) {
        if (Double.isNaN(value)) return "–";
        return switch (quantity) {
            case MAIN -> main == Channel.POWER ? shown.watts(value) : shown.speed(sport, value);
            case CADENCE -> shown.whole(value) + " /min";
            case STEP_LENGTH -> shown.decimal(value, 2) + " m";
            case CONTACT_TIME -> shown.whole(1000 * value) + " ms";
            case PEAK_HEART_RATE, VALLEY_HEART_RATE, END_HEART_RATE -> shown.whole(value) + " bpm";
            case SPREAD -> shown.decimal(100 * value, 1) + " %";
        };
    }
}
