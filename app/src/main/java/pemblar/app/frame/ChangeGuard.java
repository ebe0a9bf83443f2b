package pemblar.app.frame;

/** Asked before every change of an athlete's data by a person. */
public interface ChangeGuard {
    /**
     * @param seenSuffices the change is one that whoever sees may make, such as a note
     * @throws NotFoundException when this person may see but not change
     */
    void before(Visit visit, boolean seenSuffices);
}
