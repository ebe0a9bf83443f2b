package pemblar.app.session;

/** Tells of a strength session whether it is heavy on the legs; the strength area knows which exercises are. */
public interface LegWork {
    /** @param shorthand of the session; what cannot be read is not heavy */
    boolean isHeavy(String shorthand);
}
