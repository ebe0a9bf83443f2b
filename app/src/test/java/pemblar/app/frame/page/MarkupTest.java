package pemblar.app.frame.page;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

@Tag("unit")
class MarkupTest {
    /** Nothing that somebody wrote becomes an element or ends an attribute. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '`',
            value = {
                "a < b|a &lt; b",
                "a > b|a &gt; b",
                "a & b|a &amp; b",
                "\"quoted\"|&quot;quoted&quot;",
                "it's|it&#39;s",
                "<script>alert('x')</script>|&lt;script&gt;alert(&#39;x&#39;)&lt;/script&gt;",
                "4 × 5 min, −3 °C, “schön”|4 × 5 min, −3 °C, “schön”",
                "&lt;|&amp;lt;",
            })
    void wordsAndAttributesAreEscaped(String said, String written) {
        assertThat(new Markup().of("p", said)).hasToString("<p>" + written + "</p>");
        assertThat(new Markup().begin("p").with("title", said).end()).hasToString("<p title=\"" + written + "\"/>");
    }

    @Test
    void anElementHoldsWhatWasWrittenBefore() {
        String before = new Markup().begin("path").with("d", "M0 1").end().toString();
        assertThat(new Markup()
                        .begin("svg")
                        .with("width", 1.5)
                        .inside()
                        .written(before)
                        .close("svg"))
                .hasToString("<svg width=\"1.5\"><path d=\"M0 1\"/></svg>");
    }

    @Test
    void wordsThatAreNotThereAreAFault() {
        assertThatThrownBy(() -> new Markup().words(null)).isInstanceOf(NullPointerException.class);
    }
}
