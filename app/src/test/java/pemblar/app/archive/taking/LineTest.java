package pemblar.app.archive.taking;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** Lines of an archive's file, however it is cut into pieces and whatever stands in it. */
@Tag("unit")
class LineTest {
    private final List<Long> rows = new ArrayList<>();
    private final List<String> leftOut = new ArrayList<>();

    private void read(String text, int piece) {
        byte[] all = text.getBytes(StandardCharsets.UTF_8);
        Pieces pieces = new Pieces(place -> place * piece >= all.length
                ? null
                : Arrays.copyOfRange(all, place * piece, Math.min(all.length, (place + 1) * piece)));
        Line.each("data/x.jsonl", pieces, row -> rows.add(Line.number(row, "id").orElse(-1L)), leftOut::add);
    }

    @Test
    void piecesEndAnywhereAndTheLastLineNeedsNoEnd() {
        for (int piece = 1; piece < 40; piece++) {
            rows.clear();
            read("{\"id\":1,\"name\":\"Säntis\"}\n\n{\"id\":2}\r\n{\"id\":3}", piece);
            assertThat(rows).as("pieces of %d bytes", piece).containsExactly(1L, 2L, 3L);
        }
        assertThat(leftOut).isEmpty();
    }

    @Test
    void whatCannotBeReadIsToldWithItsPlaceAndTheNextOneFollows() {
        String deep = "[".repeat(5000);
        read("nothing\n[1]\n{\"id\":" + "9".repeat(2 << 20) + "}\n" + deep + "\n{\"id\":7}\n{\"id\":1e3}", 1 << 18);
        assertThat(rows).containsExactly(7L, -1L);
        assertThat(leftOut)
                .containsExactly(
                        "data/x.jsonl, line 1: it is no JSON",
                        "data/x.jsonl, line 2: it is no JSON object",
                        "data/x.jsonl, line 3: it is too long",
                        "data/x.jsonl, line 4: it is no JSON");
    }

    @Test
    void aFileWithoutEndIsRefused() {
        byte[] lines = "\n".repeat(1000).getBytes(StandardCharsets.UTF_8);
        Pieces endless = new Pieces(place -> lines);
        assertThatThrownBy(() -> Line.each("data/x.jsonl", endless, row -> {}, leftOut::add))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("more than 50000 lines");
    }
}
