package pemblar.core.workout;

import java.util.Locale;
import java.util.function.Supplier;

/** Walks over a shorthand text; spaces are skipped before each piece, new lines separate. */
final class Scanner {
    private final String text;
    private final String lower;
    private int at;
    private int mark;

    Scanner(String text) {
        this.text =
                text.replace("\r\n", "\n").replace('\r', '\n').replace('×', 'x').replace('–', '-');
        String folded = this.text.toLowerCase(Locale.ROOT);
        this.lower = folded.length() == this.text.length() ? folded : this.text;
    }

    /** A place in the text that cannot be read. */
    static final class Unexpected extends RuntimeException {
        private static final long serialVersionUID = 1;
        private final transient Shorthand.Problem problem;

        Unexpected(Shorthand.Problem problem) {
            super(problem.toString(), null, false, false);
            this.problem = problem;
        }

        Shorthand.Problem problem() {
            return problem;
        }
    }

    void mark() {
        spaces();
        mark = at;
    }

    int markIndex() {
        return mark;
    }

    Unexpected expected(String what) {
        spaces();
        return problemAt(at, what);
    }

    /** The piece since the last mark can be read but not accepted. */
    Unexpected refused(String what) {
        return problemAt(mark, what);
    }

    <T> T checked(Supplier<T> made) {
        return checkedAt(mark, made);
    }

    <T> T checkedAt(int place, Supplier<T> made) {
        try {
            return made.get();
        } catch (IllegalArgumentException e) {
            throw problemAt(place, e.getMessage());
        }
    }

    private Unexpected problemAt(int place, String what) {
        int line = 1;
        int start = 0;
        for (int i = 0; i < place; i++)
            if (text.charAt(i) == '\n') {
                line++;
                start = i + 1;
            }
        int end = place;
        while (end < text.length() && end < place + 20 && " ,\n()".indexOf(text.charAt(end)) < 0) end++;
        if (end == place && end < text.length()) end++;
        String found = text.substring(place, end).replace("\n", "new line");
        return new Unexpected(new Shorthand.Problem(line, place - start + 1, found, what));
    }

    private void spaces() {
        while (at < text.length() && text.charAt(at) != '\n' && Character.isWhitespace(text.charAt(at))) at++;
    }

    private char peek() {
        spaces();
        return at < lower.length() ? lower.charAt(at) : 0;
    }

    boolean atEnd() {
        skipBlank();
        return at >= text.length();
    }

    private void skipBlank() {
        while (at < text.length() && Character.isWhitespace(text.charAt(at))) at++;
    }

    boolean at(char c) {
        skipBlankBefore(c);
        return peek() == c;
    }

    private void skipBlankBefore(char c) {
        int i = at;
        while (i < text.length() && Character.isWhitespace(text.charAt(i))) i++;
        if (i < text.length() && text.charAt(i) == c && c == ')') at = i;
    }

    /** At the end of a step: a comma, a new line, a bracket or the end. */
    boolean atPartEnd() {
        char c = peek();
        return c == 0 || c == ',' || c == '\n' || c == ')';
    }

    /** Skips a comma or new lines, any number; true when there was one. */
    boolean separator() {
        int before = at;
        skipSeparators();
        return text.substring(before, at).chars().anyMatch(c -> c == ',' || c == '\n');
    }

    void skipSeparators() {
        while (at < text.length() && (Character.isWhitespace(text.charAt(at)) || text.charAt(at) == ',')) at++;
    }

    boolean skip(char c) {
        if (peek() != c) return false;
        at++;
        return true;
    }

    void require(char c, String expected) {
        if (c == '(' || c == ')') skipBlankBefore(c);
        if (!skip(c)) throw expected(expected);
    }

    boolean atDigit() {
        return Character.isDigit(peek());
    }

    double number() {
        spaces();
        int start = at;
        while (at < text.length()
                && at - start < 12
                && (isDigit(at) || text.charAt(at) == '.' && at > start && isDigit(at + 1))) at++;
        if (at == start) throw expected("a number");
        try {
            return Double.parseDouble(text.substring(start, at));
        } catch (NumberFormatException e) {
            throw problemAt(start, "a number");
        }
    }

    private boolean isDigit(int index) {
        return index < text.length() && text.charAt(index) >= '0' && text.charAt(index) <= '9';
    }

    /** A word that does not go on with a letter. */
    boolean word(String word) {
        spaces();
        int end = at + word.length();
        if (!lower.startsWith(word, at) || end < lower.length() && Character.isLetter(lower.charAt(end))) return false;
        at = end;
        return true;
    }

    /** The first of the units that stands here, or null. */
    String unit(String... units) {
        for (String unit : units) if (word(unit)) return unit;
        return null;
    }

    /** A name before a colon; empty when there is none. */
    String name() {
        spaces();
        if (at >= text.length() || !Character.isLetter(text.charAt(at))) return "";
        int end = at;
        while (end < text.length() && ":,\n()\"%".indexOf(text.charAt(end)) < 0) end++;
        if (end >= text.length() || text.charAt(end) != ':' || looksLikePace(end)) return "";
        String name = text.substring(at, end).strip().replaceAll("\\s+", " ");
        if (name.length() > 60) throw expected("a name of at most 60 characters");
        at = end + 1;
        skipBlank();
        return name;
    }

    /** The colon of "lap 4:10/km" belongs to a pace, not to a name. */
    private boolean looksLikePace(int colon) {
        return isDigit(colon - 1) && isDigit(colon + 1);
    }

    /** The number before x, or null with nothing read. */
    Integer times() {
        int before = at;
        spaces();
        int start = at;
        while (isDigit(at)) at++;
        int end = at;
        if (end > start && peek() == 'x') {
            at++;
            return end - start > 6 ? Integer.MAX_VALUE : Integer.valueOf(text.substring(start, end));
        }
        at = before;
        return null;
    }

    String quoted() {
        spaces();
        int start = ++at;
        int end = text.indexOf('"', start);
        if (end < 0 || text.substring(start, end).contains("\n"))
            throw problemAt(start - 1, "a closing quotation mark on the same line");
        if (end - start > 200) throw problemAt(start - 1, "a cue of at most 200 characters");
        at = end + 1;
        return text.substring(start, end);
    }

    private boolean ahead(String pattern) {
        spaces();
        return java.util.regex.Pattern.compile(pattern)
                .matcher(lower)
                .region(at, Math.min(lower.length(), at + 60))
                .lookingAt();
    }

    boolean isCadence() {
        return ahead("<?[ ]*\\d+[ ]*(\\+|-[ ]*\\d+)?[ ]*(rpm|spm)");
    }

    boolean nextIsTime() {
        return ahead("\\d+(\\.\\d+)?[ ]*(h|min|s)(?![a-z])");
    }

    boolean atZone() {
        return ahead("z[ ]*\\d");
    }

    boolean atPace() {
        return ahead("\\d+:\\d");
    }

    void skipDashBeforeZone() {
        if (!ahead("-[ ]*z?[ ]*\\d")) return;
        skip('-');
        skip('z');
        dashed = true;
    }

    private boolean dashed;

    boolean atDigitAfterDash() {
        boolean was = dashed;
        dashed = false;
        return was;
    }

    /** Minutes and seconds as 4:10, in seconds. */
    double clock() {
        double minutes = number();
        require(':', "a pace such as 4:10/km");
        spaces();
        if (!isDigit(at) || !isDigit(at + 1) || isDigit(at + 2)) throw expected("two digits of seconds, as in 4:10");
        double seconds = number();
        if (seconds >= 60) throw refused("seconds below 60");
        return Math.max(1, minutes * 60 + seconds);
    }
}
