package pemblar.app.operator;

import java.util.Optional;

/** Answered by who moves the bytes of recordings. */
public interface WhereRecordingsLie {
    int MOST_COUNTED = 1000;

    /** Empty without a store of objects: all lie in the database then. */
    Optional<Lying> lying();

    /**
     * @param stay each stays where it came to lie; the rest says nothing then
     * @param objects whether they are wanted in the store of objects
     * @param waiting how many are still to be moved, counted to {@link #MOST_COUNTED}
     */
    record Lying(boolean stay, boolean objects, int waiting) {
        public boolean isMoving() {
            return waiting > 0;
        }

        public String waitingInWords() {
            return waiting < MOST_COUNTED ? String.valueOf(waiting) : "at least " + MOST_COUNTED;
        }
    }
}
