package pemblar.formats.csv;

import java.util.regex.Pattern;

/** What somebody wrote, in a cell of a table that a spreadsheet opens. */
public final class SheetText {
    private static final Pattern FORMULA = Pattern.compile("(?s)[=+@\\t\\r-].*");

    private SheetText() {}

    /** With a mark before what a spreadsheet would take for a formula; a text of several lines as well. */
    public static String harmless(String text) {
        return FORMULA.matcher(text).matches() ? "'" + text : text;
    }
}
