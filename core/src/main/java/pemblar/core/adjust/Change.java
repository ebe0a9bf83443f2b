package pemblar.core.adjust;

import java.time.LocalDate;
import java.util.Optional;
import java.util.OptionalInt;

/**
 * One change of the plan, as a value: proposed, previewed, taken, taken back. Whoever does something with changes
 * answers for each kind through {@link Cases}, so that a new kind does not compile until it is answered everywhere.
 */
public sealed interface Change {
    <T> T answer(Cases<T> cases);

    /** The session that it changes, by its id; empty when it names none. */
    default Optional<String> touched() {
        return Optional.empty();
    }

    /** The day on which something new lies after it. */
    default Optional<LocalDate> landsOn() {
        return Optional.empty();
    }

    /** One answer for each kind of change. */
    interface Cases<T> {
        T move(Move change);

        T scale(Scale change);

        T swap(Swap change);

        T drop(Drop change);

        T add(Add change);

        T rest(Rest change);

        T retarget(Retarget change);

        T moveEvent(MoveEvent change);
    }

    /** Also of a session that was missed: it comes back with its planned load. Without a minute it keeps its own. */
    record Move(String session, LocalDate to, OptionalInt startMinute) implements Change {
        @Override
        public <T> T answer(Cases<T> cases) {
            return cases.move(this);
        }

        @Override
        public Optional<String> touched() {
            return Optional.of(session);
        }

        @Override
        public Optional<LocalDate> landsOn() {
            return Optional.of(to);
        }
    }

    record Scale(String session, double factor) implements Change {
        @Override
        public <T> T answer(Cases<T> cases) {
            return cases.scale(this);
        }

        @Override
        public Optional<String> touched() {
            return Optional.of(session);
        }
    }

    /** Another workout in its place. */
    record Swap(String session, double load, double hours, boolean hard, String title) implements Change {
        @Override
        public <T> T answer(Cases<T> cases) {
            return cases.swap(this);
        }

        @Override
        public Optional<String> touched() {
            return Optional.of(session);
        }
    }

    record Drop(String session) implements Change {
        @Override
        public <T> T answer(Cases<T> cases) {
            return cases.drop(this);
        }

        @Override
        public Optional<String> touched() {
            return Optional.of(session);
        }
    }

    record Add(LocalDate day, int startMinute, String sport, double load, double hours, boolean hard, String title)
            implements Change {
        @Override
        public <T> T answer(Cases<T> cases) {
            return cases.add(this);
        }

        @Override
        public Optional<LocalDate> landsOn() {
            return Optional.of(day);
        }
    }

    /** A day of rest: drops what is not pinned. */
    record Rest(LocalDate day) implements Change {
        @Override
        public <T> T answer(Cases<T> cases) {
            return cases.rest(this);
        }

        @Override
        public Optional<LocalDate> landsOn() {
            return Optional.of(day);
        }
    }

    /** Another target for the block that begins on a day. */
    record Retarget(LocalDate first, double load) implements Change {
        @Override
        public <T> T answer(Cases<T> cases) {
            return cases.retarget(this);
        }
    }

    /** The event that begins on a day begins on another; it takes its load along. */
    record MoveEvent(LocalDate from, LocalDate to) implements Change {
        @Override
        public <T> T answer(Cases<T> cases) {
            return cases.moveEvent(this);
        }

        @Override
        public Optional<LocalDate> landsOn() {
            return Optional.of(to);
        }
    }
}
