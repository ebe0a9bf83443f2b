package pemblar.app.season;

/** Somebody else changed the season after the page was drawn that this change comes from. Nothing was done. */
public class SeasonChangedMeanwhile extends RuntimeException {
    private static final long serialVersionUID = 1;

    SeasonChangedMeanwhile(String who) {
        super((who.isEmpty() ? "Somebody" : who)
                + " has changed the season since this page was drawn. What you see now is theirs; "
                + "yours has not been done.");
    }
}
