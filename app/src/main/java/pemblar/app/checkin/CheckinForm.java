package pemblar.app.checkin;

import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import pemblar.app.frame.page.Units;
import pemblar.core.checkin.BandWords;
import pemblar.core.checkin.Bands;
import pemblar.core.checkin.Bands.Verdict;
import pemblar.core.checkin.Measure;

/** The check-in's form as a page shows it, with the usual beside each field; folded to a sentence when it is done. */
public record CheckinForm(LocalDate day, boolean today, Checkin now, List<Bands> bands, Asked asked) {
    /** Words of the scales, from 1 to 5. */
    public enum Scale {
        SORENESS("soreness", "Legs", List.of("fresh", "fine", "tired", "sore", "very sore")),
        MOOD("mood", "Mood", List.of("low", "flat", "fine", "good", "great")),
        STRESS("stress", "Stress", List.of("none", "little", "some", "much", "too much")),
        ENERGY("energy", "Energy", List.of("empty", "low", "fine", "good", "full"));

        private final String field;
        private final String label;
        private final List<String> words;

        Scale(String field, String label, List<String> words) {
            this.field = field;
            this.label = label;
            this.words = words;
        }

        public String field() {
            return field;
        }

        public String label() {
            return label;
        }

        public List<String> words() {
            return words;
        }
    }

    /** Only what is asked; what was said all the same stays to be seen. */
    public List<Scale> scales() {
        return Arrays.stream(Scale.values())
                .filter(s -> asked.asks(s) || chosen(s) > 0)
                .toList();
    }

    /** By the name of the field; what was measured all the same stays to be seen. */
    public boolean asks(String field) {
        return asked.asks(Asked.Field.valueOf(field)) || value(field) != null;
    }

    private Double value(String field) {
        return switch (field) {
            case "RESTING_HEART_RATE" -> now.restingHeartRate();
            case "VARIABILITY" -> now.rmssd();
            case "SLEEP" -> now.sleepMinutes();
            default -> now.bodyMass();
        };
    }

    /** What was chosen on a scale, or 0. */
    public int chosen(Scale scale) {
        Integer value = switch (scale) {
            case SORENESS -> now.soreness();
            case MOOD -> now.mood();
            case STRESS -> now.stress();
            case ENERGY -> now.energy();
        };
        return value == null ? 0 : value;
    }

    /** The person has said something themselves; what a sensor filled in still waits for how the legs are. */
    public boolean done() {
        return now.soreness() != null
                || now.mood() != null
                || now.stress() != null
                || now.energy() != null
                || !(now.illness() + now.injury() + now.note()).isEmpty();
    }

    public boolean hasValues() {
        return !now.isEmpty();
    }

    /** A figure as it stands in a field. */
    public String figure(Double value) {
        return value == null
                ? ""
                : value == Math.rint(value)
                        ? String.valueOf(value.longValue())
                        : Units.mine().decimal(value, 1);
    }

    /** In the person's own unit. */
    public String bodyMass() {
        return now.bodyMass() == null ? "" : Units.mine().decimal(Units.mine().mass(now.bodyMass()), 1);
    }

    public String sleep() {
        return now.sleepMinutes() == null
                ? ""
                : (int) (now.sleepMinutes() / 60) + ":"
                        + String.format(Locale.ROOT, "%02d", (int) (now.sleepMinutes() % 60));
    }

    /** The usual of a measure, in a few words; empty when it is not known. */
    public String usual(int measure) {
        Bands of = bands.get(measure);
        if (!Double.isFinite(of.usual())) return "";
        if (of.measure() == Measure.SLEEP)
            return "usually " + (int) (of.usual() / 60) + ":"
                    + String.format(Locale.ROOT, "%02d", (int) (of.usual() % 60));
        return "usually " + Math.round(of.usual());
    }

    /** What stands out this morning: only what is out of band, drifting or sharp; else that all is as usual. */
    public List<String> sentences() {
        List<String> all = bands.stream()
                .filter(b -> b.sharp() || b.verdict() == Verdict.OUT_OF_BAND || b.verdict() == Verdict.DRIFTING)
                .map(BandWords::of)
                .toList();
        if (!all.isEmpty()) return all;
        boolean judged = bands.stream().anyMatch(b -> b.verdict() == Verdict.IN_BAND);
        return judged ? List.of("All values stand in their usual bands.") : List.of();
    }
}
