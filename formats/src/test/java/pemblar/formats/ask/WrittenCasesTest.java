package pemblar.formats.ask;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * Situations written down with the answer that an experienced coach gives, and why: the first proposal is that answer,
 * or to leave all as it is.
 */
class WrittenCasesTest {
    private static final Path CASES = Path.of("..", "core", "src", "test", "resources", "adjust");
    private static final int LEAST = 20;

    static Stream<Path> cases() throws IOException {
        try (Stream<Path> files = Files.list(CASES)) {
            return files.sorted().toList().stream();
        }
    }

    private static JsonNode read(Path file) throws IOException {
        return JsonMapper.shared().readTree(Files.readString(file));
    }

    private static JsonNode answer(JsonNode situation) {
        byte[] in = situation.toString().getBytes(StandardCharsets.UTF_8);
        return JsonMapper.shared().valueToTree(new AdjustTopic().answer(in));
    }

    @Test
    void thereAreTwentyAndEachSaysWhy() throws IOException {
        List<Path> all = cases().toList();
        assertThat(all).hasSizeGreaterThanOrEqualTo(LEAST);
        for (Path file : all)
            assertThat(read(file).path("reason").asString(""))
                    .as(file.toString())
                    .hasSizeGreaterThan(30);
    }

    @ParameterizedTest
    @MethodSource("cases")
    void theFirstProposalIsTheCoachs(Path file) throws IOException {
        JsonNode written = read(file);
        JsonNode proposals = answer(written.get("situation")).get("proposals");
        String said = written.get("case").asString() + "\n" + proposals.toPrettyString();
        if (written.get("answer").isString()) {
            assertThat(proposals).as(said).isEmpty();
            return;
        }
        assertThat(proposals).as(said).isNotEmpty();
        JsonNode first = proposals.get(0);
        assertThat(first.get("trigger"))
                .as(said)
                .isEqualTo(written.get("answer").get("trigger"));
        JsonNode wanted = written.get("answer").get("changes");
        assertThat(first.get("changes").size()).as(said).isEqualTo(wanted.size());
        for (JsonNode change : wanted)
            assertThat(first.get("changes").valueStream().anyMatch(c -> isThat(change, c)))
                    .as(change + " in " + said)
                    .isTrue();
    }

    /** Every word of the wanted change is in it; {@code from} and {@code to} of a scale bound its factor. */
    private static boolean isThat(JsonNode wanted, JsonNode change) {
        if (wanted.get("kind").asString().equals("scale")) {
            double factor = change.path("factor").asDouble(-1);
            return change.get("kind").asString().equals("scale")
                    && change.get("session").equals(wanted.get("session"))
                    && factor >= wanted.get("from").doubleValue()
                    && factor <= wanted.get("to").doubleValue();
        }
        return wanted.properties().stream().allMatch(e -> e.getValue().equals(change.get(e.getKey())));
    }
}
