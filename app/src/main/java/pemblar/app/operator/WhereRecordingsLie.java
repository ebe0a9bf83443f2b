package pemblar.app.operator;

import java.util.Optional;

/** Answered by who moves the bytes of recordings. */
public interface WhereRecordingsLie {
    int MOST_COUNTED = 1000;

    /** Empty when no store of objects is named and all lie in the database. */
    Optional<Lying> lying();

    /** Where they are wanted, or that the store in which some lie is named no more. */
    enum Where {
        DATABASE,
        STORE_OF_OBJECTS,
        EACH_WHERE_IT_LIES,
        OUT_OF_REACH
    }

    /**
     * @param count how many are still to be moved, or in a store where they stay or are out of reach, counted to
     *     {@link #MOST_COUNTED}
     */
    record Lying(Where where, int count) {
        public boolean isOutOfReach() {
            return where == Where.OUT_OF_REACH;
        }

        public String countInWords() {
            return count < MOST_COUNTED ? String.valueOf(count) : "at least " + MOST_COUNTED;
        }

        public String sentence() {
            return switch (where) {
                case DATABASE -> "In the database.";
                case STORE_OF_OBJECTS -> "In the store of objects.";
                case EACH_WHERE_IT_LIES ->
                    "Each where it came to lie: " + countInWords()
                            + " in the store of objects, the others in the database.";
                case OUT_OF_REACH ->
                    "Some lie in a store of objects, and PEMBLAR_OBJECTS names none: " + countInWords()
                            + " can neither be shown nor computed anew.";
            };
        }

        public String rest() {
            if (where == Where.EACH_WHERE_IT_LIES || where == Where.OUT_OF_REACH) return "";
            return count == 0
                    ? "None lies elsewhere."
                    : countInWords() + " still to be moved there, one after the other, each held against its hash.";
        }
    }
}
