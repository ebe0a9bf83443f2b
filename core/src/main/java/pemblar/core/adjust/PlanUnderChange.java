package pemblar.core.adjust;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import pemblar.core.adjust.Situation.Behind;
import pemblar.core.adjust.Situation.Coming;
import pemblar.core.adjust.Situation.Target;
import pemblar.core.season.Event;

/** Takes changes one after another; what none of them touches stays as the situation has it. */
final class PlanUnderChange implements Change.Cases<Void> {
    private final Map<String, Session> sessions = new LinkedHashMap<>();
    private final Map<String, Session> missed;
    private final List<Target> blocks;
    private final List<Coming> events;
    private final Set<String> recovered = new HashSet<>();

    PlanUnderChange(Situation s) {
        for (Session session : s.ahead()) sessions.put(session.id(), session);
        missed = s.behind().stream()
                .filter(Behind::isMissed)
                .map(Behind::planned)
                .collect(Collectors.toMap(Session::id, p -> p, (a, b) -> a, LinkedHashMap::new));
        blocks = new ArrayList<>(s.blocks());
        events = new ArrayList<>(s.events());
    }

    Plan changed() {
        return new Plan(List.copyOf(sessions.values()), blocks, events, recovered);
    }

    @Override
    public Void move(Change.Move move) {
        String id = move.session();
        boolean comesBack = !sessions.containsKey(id) && missed.containsKey(id);
        Session session = comesBack ? missed.get(id) : need(id);
        if (comesBack) recovered.add(id);
        sessions.put(id, session.on(move.to(), move.startMinute().orElse(session.startMinute())));
        return null;
    }

    @Override
    public Void scale(Change.Scale scale) {
        sessions.put(scale.session(), need(scale.session()).scaled(scale.factor()));
        return null;
    }

    @Override
    public Void swap(Change.Swap swap) {
        sessions.put(swap.session(), need(swap.session()).swapped(swap.load(), swap.hours(), swap.hard()));
        return null;
    }

    @Override
    public Void drop(Change.Drop drop) {
        need(drop.session());
        sessions.remove(drop.session());
        return null;
    }

    @Override
    public Void add(Change.Add add) {
        String id = "added-" + add.day() + "-" + add.startMinute();
        Session added = new Session(
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
                false);
        sessions.put(id, added);
        return null;
    }

    @Override
    public Void rest(Change.Rest rest) {
        sessions.values().removeIf(session -> session.day().equals(rest.day()) && !session.pinned());
        return null;
    }

    @Override
    public Void retarget(Change.Retarget retarget) {
        blocks.replaceAll(b -> b.first().equals(retarget.first())
                ? new Target(b.first(), b.days(), b.phase(), retarget.load(), b.hours(), b.done())
                : b);
        return null;
    }

    @Override
    public Void moveEvent(Change.MoveEvent move) {
        int index = 0;
        while (index < events.size() && !events.get(index).event().day().equals(move.from())) index++;
        if (index == events.size()) throw new IllegalArgumentException("there is no event on " + move.from());
        Event event = events.get(index).event();
        Event moved = event.on(move.to());
        events.set(index, new Coming(moved, Optional.of(move.from()), false));
        return null;
    }

    private Session need(String id) {
        Session session = sessions.get(id);
        if (session == null) throw new IllegalArgumentException("there is no session " + id + " ahead");
        return session;
    }
}
