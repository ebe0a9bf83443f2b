package pemblar.app.undo;

/** A feature whose changes can be taken back. It writes what was before as JSON and reads it again. */
public interface Undoable {
    /** The word under which its part of a change is kept. */
    String kind();

    /** Puts back what was before. @throws IllegalArgumentException with a sentence when that is no longer possible */
    void restore(long athleteId, String before);
}
