package pemblar.formats.ask;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import pemblar.core.comparison.ComparisonWords;
import pemblar.core.comparison.SessionComparison;
import pemblar.core.comparison.SessionComparison.Repetition;

/** Two groups of repetitions compared (computation, section 10): one row a second. */
final class CompareTopic implements Topic {
    private static final int MOST_ROWS = 500_000;
    private static final int MOST_SECONDS = 86_400;
    private static final List<String> COLUMNS =
            List.of("group", "session", "repetition", "second", "along", "compared");

    /** Which repetition a second belongs to. */
    private record Key(String group, String session, String repetition) {}

    /** The seconds of one repetition as they come. */
    private static final class Seconds {
        private double[][] values = new double[0][];
        private int length;

        /** False when the second is there already. */
        boolean put(int second, double along, double compared) {
            if (second >= values.length)
                values = Arrays.copyOf(values, Math.max(second + 1, Math.min(MOST_SECONDS + 1, 2 * values.length)));
            length = Math.max(length, second + 1);
            if (values[second] != null) return false;
            values[second] = new double[] {along, compared};
            return true;
        }

        double[] column(int column) {
            double[] all = new double[length];
            for (int i = 0; i < length; i++) all[i] = values[i] == null ? Double.NaN : values[i][column];
            return all;
        }
    }

    @Override
    public Map<String, Object> answer(byte[] input) {
        Map<Key, Seconds> seconds = new LinkedHashMap<>();
        TreeMap<String, Boolean> groups = new TreeMap<>();
        Rows.read(input, COLUMNS, COLUMNS, MOST_ROWS, row -> read(row, seconds, groups));
        if (groups.size() != 2)
            throw new BadInput(
                    "group", groups.size() + (groups.size() == 1 ? " group is" : " groups are") + " there; give two");
        SessionComparison c = compare(seconds, groups.lastKey());
        boolean tested = c.test() != null;
        return Answer.of(
                "groups",
                List.copyOf(groups.keySet()),
                "difference",
                Answer.figure(c.difference()),
                "slope",
                Answer.figure(c.slope()),
                "heldEqual",
                c.footing().isHeldEqual(),
                "p",
                tested ? Answer.figure(c.test().p()) : null,
                "df",
                tested ? Answer.figure(c.test().freedom()) : null,
                "low",
                tested ? Answer.figure(c.test().low()) : null,
                "high",
                tested ? Answer.figure(c.test().high()) : null,
                "sure",
                c.sure(),
                "cutTo",
                c.cutTo().isPresent() ? c.cutTo().getAsInt() : null,
                "sentence",
                ComparisonWords.of(
                        c,
                        new ComparisonWords.Groups(groups.firstKey(), groups.lastKey()),
                        ComparisonWords.Compared.along("along", "")));
    }

    private static void read(Rows.Row row, Map<Key, Seconds> seconds, TreeMap<String, Boolean> groups) {
        String group = row.required("group", "the name of a group");
        groups.put(group, true);
        if (groups.size() > 2) throw new BadInput(row.place("group"), group + " is a third group; give two");
        Key key = new Key(group, row.required("session", "a session"), row.required("repetition", "a repetition"));
        double second = row.requiredNumber("second", "the second within the repetition, from 0", 0, MOST_SECONDS);
        if (second != Math.rint(second))
            throw new BadInput(row.place("second"), second + " is not possible; give a whole second");
        Seconds of = seconds.computeIfAbsent(key, k -> new Seconds());
        if (!of.put((int) second, row.number("along", -1e6, 1e6), row.number("compared", -1e6, 1e6)))
            throw new BadInput(
                    row.place("second"), (int) second + " stands twice in this repetition; give each second once");
    }

    private static SessionComparison compare(Map<Key, Seconds> seconds, String secondGroup) {
        boolean numbered =
                seconds.keySet().stream().allMatch(k -> k.repetition().matches("\\d{1,9}"))
                        && seconds.keySet().stream()
                                        .map(k -> k.session() + "\n" + k.repetition())
                                        .distinct()
                                        .count()
                                == seconds.size();
        List<Repetition> repetitions = new ArrayList<>();
        seconds.forEach((key, of) -> repetitions.add(new Repetition(
                key.group().equals(secondGroup),
                key.session(),
                numbered ? Integer.parseInt(key.repetition()) : repetitions.size(),
                of.column(0),
                of.column(1))));
        try {
            return SessionComparison.of(repetitions);
        } catch (IllegalArgumentException e) {
            throw new BadInput("compared", e.getMessage() + "; give along and compared for both groups");
        }
    }
}
