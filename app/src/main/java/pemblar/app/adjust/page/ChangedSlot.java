package pemblar.app.adjust.page;

import java.time.LocalDate;
import java.util.Optional;
import pemblar.app.adjust.Words;
import pemblar.app.adjust.page.ChangedDay.Slot;
import pemblar.app.session.Slab;
import pemblar.core.adjust.Change;

/**
 * What stands on a day after a change, if anything.
 *
 * @param slab the session that the change names; null when it names none
 */
record ChangedSlot(Slab slab, LocalDate day) implements Change.Cases<Optional<Slot>> {
    @Override
    public Optional<Slot> move(Change.Move c) {
        return on(c.to(), slab.title(), ChangedDay.figures(slab, 1));
    }

    @Override
    public Optional<Slot> scale(Change.Scale c) {
        return on(slab.day(), slab.title(), ChangedDay.figures(slab, c.factor()));
    }

    @Override
    public Optional<Slot> swap(Change.Swap c) {
        return on(slab.day(), c.title(), ChangedDay.figures(c.hours(), c.load()));
    }

    @Override
    public Optional<Slot> drop(Change.Drop c) {
        return Optional.empty();
    }

    @Override
    public Optional<Slot> add(Change.Add c) {
        return on(c.day(), c.title(), ChangedDay.figures(c.hours(), c.load()));
    }

    @Override
    public Optional<Slot> rest(Change.Rest c) {
        return Optional.empty();
    }

    @Override
    public Optional<Slot> retarget(Change.Retarget c) {
        return Optional.empty();
    }

    @Override
    public Optional<Slot> moveEvent(Change.MoveEvent c) {
        return on(c.to(), "The event", "from " + Words.day(c.from()));
    }

    private Optional<Slot> on(LocalDate where, String title, String figures) {
        return where.equals(day) ? Optional.of(new Slot(title, figures, true)) : Optional.empty();
    }
}
