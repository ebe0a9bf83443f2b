package pemblar.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/**
 * Templates show: what is computed, and which of three things is said, is decided in Java, where a test can hold it.
 */
@Tag("unit")
class PlainTemplatesTest {
    private static final Path ROOT = Path.of("src/main/resources/templates");
    private static final Pattern ATTRIBUTE = Pattern.compile("[\\w:.-]+=\"([^\"]*\\$\\{[^\"]*)\"");
    private static final Pattern EXPRESSION = Pattern.compile("\\$\\{((?:[^{}]|\\{[^{}]*})*)}");
    private static final Pattern ARITHMETIC = Pattern.compile("[\\w)\\]]\\s+[-*/%+]\\s+[\\w(]");
    /** What follows a question mark after a blank; a safe or an Elvis operator has none before it, or a colon after. */
    private static final Pattern CHOICE = Pattern.compile("\\s\\?\\s");

    private static List<String> expressions() throws IOException {
        List<String> all = new ArrayList<>();
        try (Stream<Path> files = Files.walk(ROOT)) {
            for (Path file : files.filter(f -> f.toString().endsWith(".html")).toList()) {
                Matcher attributes = ATTRIBUTE.matcher(Files.readString(file));
                while (attributes.find()) {
                    Matcher found = EXPRESSION.matcher(attributes.group(1).replaceAll("'[^']*'", "''"));
                    while (found.find()) all.add(ROOT.relativize(file) + ": " + found.group(1));
                }
            }
        }
        return all;
    }

    @Test
    void noTemplateComputes() throws IOException {
        assertThat(expressions()).hasSizeGreaterThan(1000);
        assertThat(expressions().stream().filter(PlainTemplatesTest::computes)).isEmpty();
    }

    @Test
    void noTemplateChoosesWithinAChoice() throws IOException {
        assertThat(expressions().stream().filter(PlainTemplatesTest::choosesTwice))
                .isEmpty();
    }

    /** What stands alone between brackets after a map is taken for its key, not for a value that names one. */
    @Test
    void noMapIsAskedForANameByBrackets() throws IOException {
        assertThat(expressions().stream().filter(e -> e.matches("(?s).*}\\s*\\[\\w+].*")))
                .isEmpty();
    }

    private static boolean computes(String expression) {
        return ARITHMETIC
                .matcher(expression.substring(expression.indexOf(": ") + 2))
                .find();
    }

    /** Choices one after another are joined by a plus sign, and each is one. */
    private static boolean choosesTwice(String expression) {
        for (String part : expression.split("\\+"))
            if (CHOICE.matcher(part).results().count() > 1) return true;
        return false;
    }

    @Test
    void whatIsLookedForIsFound() {
        assertThat(List.of("x: a.x - 4", "x: 100 * r.share", "x: p.days + 1", "x: shown.clock(r.second / 60)"))
                .allMatch(PlainTemplatesTest::computes);
        assertThat(List.of("x: a + ''", "x: '' + (a ? '' : '')", "x: a?.get('') ?: b", "x: a.b - c"))
                .filteredOn(PlainTemplatesTest::computes)
                .containsExactly("x: a.b - c");
        assertThat(choosesTwice("x: a ? '' : b ? '' : ''")).isTrue();
        assertThat(choosesTwice("x: (a ? '' : '') + (b ? '' : '')")).isFalse();
    }
}
