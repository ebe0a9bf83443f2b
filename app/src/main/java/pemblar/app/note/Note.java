package pemblar.app.note;

import java.time.Instant;

/**
 * A note. @param second of the original recording that it is about; null for the whole session @param own written by
 * the person who reads it
 */
public record Note(long id, Integer second, String body, String author, Instant writtenAt, boolean own) {}
