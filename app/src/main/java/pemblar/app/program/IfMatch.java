package pemblar.app.program;

/** The header by which a program says what it has read: a version of a session, a revision of a plan. */
public final class IfMatch {
    private IfMatch() {}

    /**
     * @return null when nothing was said, or anything is right
     * @throws IllegalArgumentException when it is no number
     */
    public static Integer version(String match) {
        if (match == null || match.equals("*")) return null;
        String plain = match.replaceAll("^W/|\"", "");
        if (!plain.matches("\\d{1,9}"))
            throw new IllegalArgumentException("If-Match: send the version or the revision that was read, as \"3\".");
        return Integer.parseInt(plain);
    }
}
