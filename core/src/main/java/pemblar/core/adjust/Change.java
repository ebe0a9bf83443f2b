package pemblar.core.adjust;

import java.time.LocalDate;
import java.util.OptionalInt;

/** One change of the plan, as a value: proposed, previewed, taken, taken back. */
public sealed interface Change {
    /** Also of a session that was missed: it comes back with its planned load. Without a minute it keeps its own. */
    record Move(String session, LocalDate to, OptionalInt startMinute) implements Change {}

    record Scale(String session, double factor) implements Change {}

    /** Another workout in its place. */
    record Swap(String session, double load, double hours, boolean hard, String title) implements Change {}

    record Drop(String session) implements Change {}

    record Add(LocalDate day, int startMinute, String sport, double load, double hours, boolean hard, String title)
            implements Change {}

    /** A day of rest: drops what is not pinned. */
    record Rest(LocalDate day) implements Change {}

    /** Another target for the block that begins on a day. */
    record Retarget(LocalDate first, double load) implements Change {}
}
