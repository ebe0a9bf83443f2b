package pemblar.core.threshold;

/** As far as the heart-rate load needs it; not given takes the mean of both. */
public enum Sex {
    FEMALE,
    MALE,
    NOT_GIVEN
}
