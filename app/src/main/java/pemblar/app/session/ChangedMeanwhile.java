package pemblar.app.session;

/** Somebody else changed a session after the page was drawn that this change comes from. Nothing was done. */
public class ChangedMeanwhile extends RuntimeException {
    private static final long serialVersionUID = 1;
    private final transient Slab theirs;

    ChangedMeanwhile(Slab theirs) {
        super("“" + theirs.title() + "” was changed meanwhile");
        this.theirs = theirs;
    }

    /** The session as it is now. */
    public Slab theirs() {
        return theirs;
    }
}
