package pemblar.core.adjust;

import java.util.Set;

/** Which sessions the weather reaches. */
final class Weathers {
    private static final Set<String> INDOORS = Set.of("strength", "swim");

    private Weathers() {}

    static boolean isOutdoors(Session session) {
        return !INDOORS.contains(session.sport());
    }
}
