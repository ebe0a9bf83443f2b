package pemblar.app.note;

import java.time.LocalDate;

/** What a note is pinned to. */
public sealed interface About {
    /** The word under which it is stored. */
    String word();

    default Long sessionId() {
        return null;
    }

    /** Of a day, or the first of a block. */
    default LocalDate day() {
        return null;
    }

    /** Step or exercise of a session; null for none. */
    default String part() {
        return null;
    }

    /** @param second of the original recording; null for the whole session @param part step or exercise, or null */
    record OfSession(long id, Integer second, String part) implements About {
        private static final int LONGEST_PART = 80;

        public OfSession {
            if (part != null && part.isBlank()) part = null;
            if (part != null && part.length() > LONGEST_PART) part = part.substring(0, LONGEST_PART);
        }

        @Override
        public String word() {
            return "SESSION";
        }

        @Override
        public Long sessionId() {
            return id;
        }
    }

    record OfDay(LocalDate day) implements About {
        @Override
        public String word() {
            return "DAY";
        }
    }

    /** @param day the block's first */
    record OfBlock(LocalDate day) implements About {
        @Override
        public String word() {
            return "BLOCK";
        }
    }

    record OfAthlete() implements About {
        @Override
        public String word() {
            return "ATHLETE";
        }
    }

    /** @throws IllegalArgumentException when the word names nothing that a note can be written on here */
    static About of(String word, LocalDate day) {
        if (word.equals("ATHLETE")) return new OfAthlete();
        if (day == null) throw new IllegalArgumentException("Note: choose the day that it is about.");
        return switch (word) {
            case "DAY" -> new OfDay(day);
            case "BLOCK" -> new OfBlock(day);
            default -> throw new IllegalArgumentException("Note: choose a day, a block or the athlete.");
        };
    }
}
