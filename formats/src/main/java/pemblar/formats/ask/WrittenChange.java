package pemblar.formats.ask;

import java.util.Locale;
import java.util.Map;
import pemblar.core.adjust.Change;

/** A change of the plan as the answer to a question has it. */
final class WrittenChange implements Change.Cases<Map<String, Object>> {
    @Override
    public Map<String, Object> move(Change.Move c) {
        Map<String, Object> move = Answer.of("kind", "move", "session", c.session(), "to", c.to().toString());
        c.startMinute().ifPresent(minute -> move.put("time", time(minute)));
        return move;
    }

    @Override
    public Map<String, Object> scale(Change.Scale c) {
        return Answer.of("kind", "scale", "session", c.session(), "factor", c.factor());
    }

    @Override
    public Map<String, Object> swap(Change.Swap c) {
        Map<String, Object> swap = Answer.of("kind", "swap", "session", c.session());
        swap.putAll(Answer.of("load", c.load(), "hours", c.hours(), "hard", c.hard(), "title", c.title()));
        return swap;
    }

    @Override
    public Map<String, Object> drop(Change.Drop c) {
        return Answer.of("kind", "drop", "session", c.session());
    }

    @Override
    public Map<String, Object> add(Change.Add c) {
        Map<String, Object> add =
                Answer.of("kind", "add", "day", c.day().toString(), "time", time(c.startMinute()), "sport", c.sport());
        add.putAll(Answer.of("load", c.load(), "hours", c.hours(), "hard", c.hard(), "title", c.title()));
        return add;
    }

    @Override
    public Map<String, Object> rest(Change.Rest c) {
        return Answer.of("kind", "rest", "day", c.day().toString());
    }

    @Override
    public Map<String, Object> retarget(Change.Retarget c) {
        return Answer.of("kind", "retarget", "first", c.first().toString(), "load", c.load());
    }

    @Override
    public Map<String, Object> moveEvent(Change.MoveEvent c) {
        return Answer.of("kind", "moveEvent", "from", c.from().toString(), "to", c.to().toString());
    }

    private static String time(int minute) {
        return String.format(Locale.ROOT, "%02d:%02d", minute / 60, minute % 60);
    }
}
