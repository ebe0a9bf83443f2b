package pemblar.app.frame;

/** Something that belongs to one athlete: changes of it wait for each other. */
public interface OfAthlete {
    long athleteId();

    /** The person who asks; null when this does not say. */
    default Viewer viewer() {
        return null;
    }
}
