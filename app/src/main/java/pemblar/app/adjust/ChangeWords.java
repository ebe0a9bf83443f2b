package pemblar.app.adjust;

import java.util.Map;
import pemblar.app.session.Slab;
import pemblar.core.adjust.Change;

/** Each change as something one is asked to do. */
record ChangeWords(Map<String, Slab> sessions) implements Change.Cases<String> {
    @Override
    public String move(Change.Move c) {
        return "Move " + named(c.session()) + " to " + Words.day(c.to());
    }

    @Override
    public String scale(Change.Scale c) {
        String verb = c.factor() <= 1 ? "Shorten " : "Lengthen ";
        return verb + named(c.session()) + " to " + Math.round(100 * c.factor()) + " %";
    }

    @Override
    public String swap(Change.Swap c) {
        return "Make " + named(c.session()) + " easy, " + Math.round(c.hours() * 60) + " min and "
                + Math.round(c.load()) + " points";
    }

    @Override
    public String drop(Change.Drop c) {
        return "Drop " + named(c.session());
    }

    @Override
    public String add(Change.Add c) {
        return "Add " + c.title() + " on " + Words.day(c.day());
    }

    @Override
    public String rest(Change.Rest c) {
        return "Rest on " + Words.day(c.day());
    }

    @Override
    public String retarget(Change.Retarget c) {
        return "Set the block of " + Words.day(c.first()) + " to " + Math.round(c.load()) + " points";
    }

    @Override
    public String moveEvent(Change.MoveEvent c) {
        return "Move the event of " + Words.day(c.from()) + " to " + Words.day(c.to());
    }

    private String named(String id) {
        Slab slab = sessions.get(id);
        return slab == null ? "a session" : "“" + slab.title() + "” of " + Words.day(slab.day());
    }
}
