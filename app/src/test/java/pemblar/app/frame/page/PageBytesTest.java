package pemblar.app.frame.page;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Random;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

@Tag("unit")
class PageBytesTest {
    private static final int[] LETTERS = {'a', '<', '\n', 0x7f, 0x80, 'é', 0x7ff, 0x800, '−', '…', 0xffff, 0x1f6b4};

    private static byte[] written(PageBytes page) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        page.writeTo(out);
        return out.toByteArray();
    }

    private static String text(Random random) {
        StringBuilder text = new StringBuilder();
        int kinds = random.nextBoolean() ? LETTERS.length : 4;
        for (int i = random.nextInt(100_000); i > 0; i--) text.appendCodePoint(LETTERS[random.nextInt(kinds)]);
        return text.toString();
    }

    @Test
    void whereverATextIsCutItsBytesAreTheSame() throws IOException {
        for (int seed = 0; seed < 60; seed++) {
            Random random = new Random(seed);
            String text = text(random);
            char[] letters = text.toCharArray();
            PageBytes page = new PageBytes();
            int most = 1 + random.nextInt(seed % 2 == 0 ? 5 : 50_000);
            for (int at = 0; at < text.length(); ) {
                int count = Math.min(text.length() - at, random.nextInt(most + 1));
                if (count == 1) page.write(text.charAt(at));
                else if (random.nextBoolean()) page.write(text, at, count);
                else page.write(letters, at, count);
                at += count;
            }
            assertThat(written(page)).as("seed %d", seed).isEqualTo(text.getBytes(StandardCharsets.UTF_8));
        }
    }

    @Test
    void halfALetterIsToldAsEverywhere() throws IOException {
        for (String text : new String[] {"a\ud83d", "\ud83dx", "\udeb4", "\ud83d\ud83d\udeb4"}) {
            PageBytes page = new PageBytes();
            for (char letter : text.toCharArray()) page.write(letter);
            assertThat(written(page)).isEqualTo(text.getBytes(StandardCharsets.UTF_8));
        }
    }
}
