package pemblar.app.compare;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import pemblar.app.compare.Content.Line;
import pemblar.app.session.Described;

/** What repetitions can be told apart by without typing a group. */
public enum Grouping {
    EQUIPMENT("equipment", Described::equipment),
    SURFACE("surface", Described::surface),
    KIND("kind", Described::kind),
    WORDS("words", said -> String.join(", ", said.tags())),
    DAY("date", null);

    static final String NOT_SAID = "not said";
    static final int MOST_GROUPS = 4;
    private static final int LONGEST = 60;
    /** A whole day, its month, its year. */
    private static final int[] DATE_LENGTHS = {10, 7, 4};

    private final String words;
    private final Function<Described, String> of;

    Grouping(String words, Function<Described, String> of) {
        this.words = words;
        this.of = of;
    }

    public String words() {
        return words;
    }

    /**
     * The repetitions in groups by this. What nobody described is a group of its own; repetitions of somebody else keep
     * theirs.
     *
     * @param described of each session
     * @throws IllegalArgumentException when that makes one group, or more than can be told apart
     */
    Content group(Content content, Map<Long, Described> described) {
        Map<Integer, String> groups = this == DAY ? byDate(content) : new LinkedHashMap<>();
        if (this != DAY)
            for (Line line : content.lines())
                if (described.containsKey(line.session()))
                    groups.put(line.id(), name(of.apply(described.get(line.session()))));
        Content grouped = content.changeAll(l -> groups.containsKey(l.id()) ? l.in(groups.get(l.id())) : l);
        List<String> names = names(grouped);
        if (names.size() < 2)
            throw new IllegalArgumentException("That makes one group: for every repetition here the " + words
                    + (names.contains(NOT_SAID) ? " is not said. Describe the sessions first." : " is the same."));
        if (names.size() > MOST_GROUPS)
            throw new IllegalArgumentException("That makes " + names.size() + " groups; " + MOST_GROUPS
                    + " can be told apart. Remove or hide some repetitions first.");
        return grouped;
    }

    private static String name(String said) {
        String name = said.strip();
        return name.isEmpty() ? NOT_SAID : name.substring(0, Math.min(LONGEST, name.length()));
    }

    private static List<String> names(Content content) {
        return content.lines().stream()
                .filter(l -> !l.hidden())
                .map(Line::group)
                .distinct()
                .toList();
    }

    /** By day where there are few, else by month, else by year. */
    private static Map<Integer, String> byDate(Content content) {
        Map<Integer, String> groups = new LinkedHashMap<>();
        for (int length : DATE_LENGTHS) {
            content.lines().forEach(l -> groups.put(l.id(), l.day().substring(0, length)));
            if (groups.values().stream().distinct().count() <= MOST_GROUPS) break;
        }
        return groups;
    }
}
