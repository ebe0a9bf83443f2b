package pemblar.app.frame.page;

import org.springframework.web.util.HtmlUtils;

/**
 * Many small elements of a drawing or a list, written at once: a template that makes hundreds of them one by one takes
 * most of a page's time for them. Every text is escaped.
 */
public final class Markup {
    private static final String SPECIAL = "<>&\"'";
    private final StringBuilder text = new StringBuilder();

    /** Begins an element; its attributes follow, then {@link #inside} or {@link #end}. */
    public Markup begin(String element) {
        text.append('<').append(element);
        return this;
    }

    public Markup with(String attribute, double value) {
        return raw(attribute, Path.figure(value));
    }

    public Markup with(String attribute, String value) {
        return raw(attribute, escaped(value));
    }

    /** Letters that a page of this encoding can hold stay as they are; most words have nothing to be escaped. */
    private static String escaped(String words) {
        if (words.chars().noneMatch(letter -> SPECIAL.indexOf(letter) >= 0)) return words;
        return HtmlUtils.htmlEscape(words, "UTF-8");
    }

    private Markup raw(String attribute, String value) {
        text.append(' ').append(attribute).append("=\"").append(value).append('"');
        return this;
    }

    /** The attributes are done and other elements follow within this one. */
    public Markup inside() {
        text.append('>');
        return this;
    }

    /** Ends an element that holds nothing. */
    public Markup end() {
        text.append("/>");
        return this;
    }

    public Markup close(String element) {
        text.append("</").append(element).append('>');
        return this;
    }

    /** What an element is called when it is pointed at. */
    public Markup title(String words) {
        return of("title", words);
    }

    /** Words as they stand. */
    public Markup words(String words) {
        text.append(escaped(words));
        return this;
    }

    /** What was written before by another of these. */
    public Markup written(String elements) {
        text.append(elements);
        return this;
    }

    /** An element without attributes that holds words alone. */
    public Markup of(String element, String words) {
        return begin(element).inside().words(words).close(element);
    }

    @Override
    public String toString() {
        return text.toString();
    }
}
