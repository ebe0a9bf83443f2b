package pemblar.app.review;

import java.util.ArrayList;
import java.util.List;
import pemblar.app.frame.page.Units;
import pemblar.core.recording.Channel;
import pemblar.core.repetition.RepetitionSet;
import pemblar.core.repetition.RepetitionSet.Quantity;
import pemblar.core.repetition.RepetitionSet.Repetition;
import pemblar.core.repetition.SetChange;
import pemblar.core.repetition.Verdict;
import pemblar.core.repetition.Verdict.Asked;
import pemblar.core.repetition.Verdict.Statement;

/** What repetitions say in words; each sentence knows the stretch that it rests on. */
final class RepetitionWords {
    private static final double MOST_BPM_APART = 2;
    /** A smaller change of the spread is not worth a word. */
    private static final double LEAST_SPREAD = 0.005;

    private RepetitionWords() {}

    /** @param from second at which the figures begin that it rests on; {@code to} where they end */
    public record Sentence(String text, int from, int to) {
        private Sentence after(String head) {
            return head.isEmpty() ? this : new Sentence(upper(head) + ": " + lower(text), from, to);
        }
    }

    /**
     * @param head what the sentences are about, said with the first, where there are several kinds; empty for the only
     *     one
     */
    static List<Sentence> of(List<RepetitionSet> sets, Asked asked, String head) {
        List<Sentence> all = new ArrayList<>();
        for (int i = 0; i < sets.size(); i++) {
            String place = sets.size() == 1 ? head : head + (head.isEmpty() ? "" : ", ") + "set " + (i + 1);
            int first = all.size();
            for (Statement s : Verdict.of(sets.get(i), asked)) all.add(sentence(s, sets.get(i)));
            if (all.size() > first) all.set(first, all.get(first).after(place));
        }
        for (int i = 1; i < sets.size(); i++) all.add(change(sets.get(0), sets.get(i), i + 1));
        return all;
    }

    /** As “Set 2 was 2.1 % lower than set 1, spread up from 3 to 6 %.” */
    private static Sentence change(RepetitionSet first, RepetitionSet other, int number) {
        SetChange change = SetChange.of(first, other);
        String mean = Units.mine().decimal(Math.abs(100 * change.mean()), 1);
        boolean power = first.main() == Channel.POWER;
        String text = "Set " + number + " was "
                + (mean.matches("0[.,]0")
                        ? (power ? "as high" : "as fast") + " as set 1"
                        : mean + " % " + comparative(power, change.mean()) + " than set 1")
                + spread(change) + ".";
        return new Sentence(
                text,
                first.repetitions().get(0).span().from(),
                other.repetitions().get(other.repetitions().size() - 1).span().to());
    }

    private static String comparative(boolean power, double change) {
        if (power) return change < 0 ? "lower" : "higher";
        return change < 0 ? "slower" : "faster";
    }

    private static String spread(SetChange change) {
        if (!(Math.abs(change.spread() - change.spreadBefore()) >= LEAST_SPREAD)) return "";
        return ", spread " + (change.spread() > change.spreadBefore() ? "up" : "down") + " from "
                + Units.mine().decimal(100 * change.spreadBefore(), 1) + " to "
                + Units.mine().decimal(100 * change.spread(), 1) + " %";
    }

    private static Sentence sentence(Statement s, RepetitionSet set) {
        boolean later = s.kind() == Verdict.Kind.CADENCE_LEFT_BAND || s.kind() == Verdict.Kind.FORM_FADES;
        List<Repetition> all = set.repetitions();
        int first = later ? s.count() - 1 : 0;
        int last = s.kind() == Verdict.Kind.COLD_START ? 0 : all.size() - 1;
        return new Sentence(
                text(s, set), all.get(first).span().from(), all.get(last).span().to());
    }

    private static String text(Statement s, RepetitionSet set) {
        String main = set.main() == Channel.POWER ? "Power" : "Speed";
        return switch (s.kind()) {
            case TARGET_MET -> "Target met in " + s.count() + " of " + s.of() + ".";
            case HELD -> main + " held (" + percent(s.value()) + " per repetition" + noise(set) + ").";
            case ROSE -> main + " rose (" + percent(s.value()) + " per repetition, more than noise).";
            case FELL -> main + " fell (" + percent(s.value()) + " per repetition, more than noise).";
            case CREPT ->
                main + " crept " + (s.value() > 0 ? "up" : "down") + " (" + percent(s.value())
                        + " per repetition, little but more than noise).";
            case UNEVEN ->
                main + " changed too unevenly for a trend (" + percent(s.value()) + " per repetition, within noise).";
            case CADENCE_IN_BAND ->
                s.count() == s.of()
                        ? "Cadence stayed in its band."
                        : "Cadence was in its band in " + s.count() + " of " + s.of() + ".";
            case CADENCE_LEFT_BAND ->
                s.count() == 1
                        ? "Cadence was outside its band throughout."
                        : "Cadence was out of its band from the " + ordinal(s.count()) + " on.";
            case RECOVERED_TO -> "Heart rate's lowest in the recoveries was " + range(s) + ".";
            case RECOVERY_ENDED -> "At their ends it was " + range(s) + ".";
            case RECOVERS_LESS ->
                "Heart rate came down less and less: its lowest rose by "
                        + Units.mine().decimal(s.value(), 1) + " bpm per repetition.";
            case FORM_FADES -> "Form fades from the " + ordinal(s.count()) + ", while the effort held.";
            case COLD_START ->
                "The first peak of heart rate, " + Math.round(s.value())
                        + " bpm, lies far below the others at the same output: a longer warm-up may be worth trying.";
        };
    }

    private static String noise(RepetitionSet set) {
        return set.slopes().get(Quantity.MAIN).isBeyondNoise() ? "" : ", within noise";
    }

    private static String range(Statement s) {
        return s.value() - s.lowest() < MOST_BPM_APART / 2
                ? Math.round(s.value()) + " bpm"
                : Math.round(s.lowest()) + " to " + Math.round(s.value()) + " bpm";
    }

    static String percent(double fraction) {
        String digits = Units.mine().decimal(Math.abs(100 * fraction), 1) + " %";
        return digits.matches("0[.,]0 .*") ? digits : (fraction < 0 ? "−" : "+") + digits;
    }

    private static String upper(String text) {
        return Character.toUpperCase(text.charAt(0)) + text.substring(1);
    }

    private static String lower(String text) {
        return Character.toLowerCase(text.charAt(0)) + text.substring(1);
    }

    private static String ordinal(int number) {
        String ending = number % 100 / 10 == 1
                ? "th"
                : number % 10 == 1 ? "st" : number % 10 == 2 ? "nd" : number % 10 == 3 ? "rd" : "th";
        return number + ending;
    }
}
