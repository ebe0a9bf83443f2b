package pemblar.app.frame;

/** A word of a form that nobody else may read, as a password or a code: it is in no text and no log. */
public record Hidden(String word) {
    @Override
    public String toString() {
        return "not shown";
    }
}
