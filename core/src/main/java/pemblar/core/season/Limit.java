package pemblar.core.season;

/** What keeps a season from its aim: the hours available, the highest build rate, what was set by hand, or that the days themselves do not suffice. */
public enum Limit { HOURS, BUILD_RATE, PINS, TIME }
