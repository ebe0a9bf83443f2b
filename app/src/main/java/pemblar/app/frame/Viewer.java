package pemblar.app.frame;

import java.io.Serializable;

/** The person who asks: argument of every service call that reads or changes an athlete's data. */
public record Viewer(long accountId, String name) implements Serializable {}
