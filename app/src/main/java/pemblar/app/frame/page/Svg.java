package pemblar.app.frame.page;

import org.springframework.web.util.HtmlUtils;

/**
 * Many small elements of a drawing, written at once: a template that makes hundreds of them one by one takes most of a
 * page's time for them. Every text is escaped.
 */
public final class Svg {
    private final StringBuilder text = new StringBuilder();

    /** Begins an element; its attributes follow, then {@link #inside} or {@link #end}. */
    public Svg begin(String element) {
        text.append('<').append(element);
        return this;
    }

    public Svg with(String attribute, double value) {
        return raw(attribute, Path.figure(value));
    }

    public Svg with(String attribute, String value) {
        return raw(attribute, HtmlUtils.htmlEscape(value));
    }

    private Svg raw(String attribute, String value) {
        text.append(' ').append(attribute).append("=\"").append(value).append('"');
        return this;
    }

    /** The attributes are done and other elements follow within this one. */
    public Svg inside() {
        text.append('>');
        return this;
    }

    /** Ends an element that holds nothing. */
    public Svg end() {
        text.append("/>");
        return this;
    }

    public Svg close(String element) {
        text.append("</").append(element).append('>');
        return this;
    }

    /** What an element is called when it is pointed at. */
    public Svg title(String words) {
        text.append("<title>").append(HtmlUtils.htmlEscape(words)).append("</title>");
        return this;
    }

    @Override
    public String toString() {
        return text.toString();
    }
}
