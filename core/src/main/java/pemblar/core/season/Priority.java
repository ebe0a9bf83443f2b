package pemblar.core.season;

/** How much the plan gives way to an event: A full taper, B a few easy days, C train through. */
public enum Priority {
    A,
    B,
    C
}
