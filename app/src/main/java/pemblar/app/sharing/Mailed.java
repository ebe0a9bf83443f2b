package pemblar.app.sharing;

/**
 * One line of a person's daily mail.
 *
 * @param path of the page where it can be read
 */
public record Mailed(long accountId, String address, String line, String path) {}
