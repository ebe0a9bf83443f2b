package pemblar.app.note;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import pemblar.app.note.NoteFiles.Given;

/** What a file is, its first bytes say. */
@Tag("unit")
class NoteFilesTest {
    private static byte[] bytes(String text) {
        return text.getBytes(StandardCharsets.ISO_8859_1);
    }

    @ParameterizedTest
    @CsvSource({"%PDF-1.7 x, application/pdf", "RIFFabcdWEBPVP8 , image/webp"})
    void theBytesTellWhatItIs(String text, String type) {
        assertThat(Given.of("a.bin", bytes(text)).type()).isEqualTo(type);
    }

    @Test
    void picturesByTheirMagic() {
        assertThat(Given.of("a", bytes("\u0089PNG\r\n\u001a\n....")).type()).isEqualTo("image/png");
        assertThat(Given.of("a", bytes("\u00ff\u00d8\u00ff....")).type()).isEqualTo("image/jpeg");
    }

    @ParameterizedTest
    @ValueSource(strings = {"<svg onload=alert(1)>", "<html>", "", "GIF89a", "RIFF", "MZ"})
    void whateverElseIsRefusedWithWhatIsTaken(String text) {
        assertThatThrownBy(() -> Given.of("picture.png", bytes(text)))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("picture.png")
                .hasMessageContaining("PDF");
    }

    @Test
    void fiveMegabytesAndNoMore() {
        byte[] large = new byte[NoteFiles.MOST_BYTES + 1];
        System.arraycopy(bytes("%PDF-"), 0, large, 0, 5);
        assertThatThrownBy(() -> Given.of("large.pdf", large)).hasMessageContaining("5 MB");
    }

    @Test
    void aNameIsOnlyAName() {
        assertThat(Given.of("C:\\tmp\\..\\plan\"<b>.pdf", bytes("%PDF-")).name())
                .isEqualTo("planb.pdf");
        assertThat(Given.of("../../etc/passwd", bytes("%PDF-")).name()).isEqualTo("passwd");
        assertThat(Given.of("x".repeat(300) + ".pdf", bytes("%PDF-")).name()).hasSize(120);
    }
}
