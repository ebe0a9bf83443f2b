package pemblar.core.adjust;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import pemblar.core.adjust.Situation.Behind;
import pemblar.core.adjust.Situation.Target;

/** The sessions and targets ahead, as they are or after some changes. */
record Plan(List<Session> sessions, List<Target> blocks, Set<String> recovered) {
    Plan {
        sessions = sessions.stream()
                .sorted(Comparator.comparing(Session::start).thenComparing(Session::id))
                .toList();
        blocks = List.copyOf(blocks);
        recovered = Set.copyOf(recovered);
    }

    static Plan of(Situation s) {
        return new Plan(s.ahead(), s.blocks(), Set.of());
    }

    /** @throws IllegalArgumentException when a change names a session or block that is not there */
    static Plan after(Situation s, List<Change> changes) {
        Map<String, Session> sessions = new LinkedHashMap<>();
        for (Session session : s.ahead()) sessions.put(session.id(), session);
        Map<String, Behind> missed = s.behind().stream()
                .filter(Behind::isMissed)
                .collect(Collectors.toMap(b -> b.planned().id(), b -> b, (a, b) -> a, LinkedHashMap::new));
        List<Target> blocks = new ArrayList<>(s.blocks());
        Set<String> recovered = new java.util.HashSet<>();
        for (Change change : changes) apply(change, sessions, missed, blocks, recovered);
        return new Plan(List.copyOf(sessions.values()), blocks, recovered);
    }

    private static void apply(
            Change change,
            Map<String, Session> sessions,
            Map<String, Behind> missed,
            List<Target> blocks,
            Set<String> recovered) {
        if (change instanceof Change.Move move) {
            Session session = sessions.containsKey(move.session()) || !missed.containsKey(move.session())
                    ? need(sessions, move.session())
                    : missed.get(move.session()).planned();
            if (!sessions.containsKey(move.session())) recovered.add(move.session());
            sessions.put(
                    move.session(), session.on(move.to(), move.startMinute().orElse(session.startMinute())));
        } else if (change instanceof Change.Scale scale) {
            sessions.put(scale.session(), need(sessions, scale.session()).scaled(scale.factor()));
        } else if (change instanceof Change.Swap swap) {
            sessions.put(
                    swap.session(), need(sessions, swap.session()).swapped(swap.load(), swap.hours(), swap.hard()));
        } else if (change instanceof Change.Drop drop) {
            need(sessions, drop.session());
            sessions.remove(drop.session());
        } else if (change instanceof Change.Rest rest) {
            sessions.values().removeIf(session -> session.day().equals(rest.day()) && !session.pinned());
        } else if (change instanceof Change.Add add) {
            String id = "added-" + add.day() + "-" + add.startMinute();
            sessions.put(
                    id,
                    new Session(
                            id,
                            add.day(),
                            add.startMinute(),
                            add.sport(),
                            "",
                            add.load(),
                            add.hours(),
                            add.hard(),
                            false,
                            false,
                            false));
        } else if (change instanceof Change.Retarget retarget) {
            blocks.replaceAll(b -> b.first().equals(retarget.first())
                    ? new Target(b.first(), b.days(), b.phase(), retarget.load(), b.hours(), b.done())
                    : b);
        }
    }

    private static Session need(Map<String, Session> sessions, String id) {
        Session session = sessions.get(id);
        if (session == null) throw new IllegalArgumentException("there is no session " + id + " ahead");
        return session;
    }
}
