package pemblar.app.account.second;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.charset.StandardCharsets;
import java.time.Instant;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

@Tag("unit")
class TimeCodesTest {
    private static final byte[] SECRET = "12345678901234567890".getBytes(StandardCharsets.US_ASCII);

    /** RFC 6238, appendix B, SHA-1: the last six of its eight digits. */
    @ParameterizedTest
    @CsvSource({
        "59, 287082",
        "1111111109, 081804",
        "1111111111, 050471",
        "1234567890, 005924",
        "2000000000, 279037",
        "20000000000, 353130"
    })
    void codesAreThoseOfTheStandard(long seconds, String code) {
        assertEquals(code, TimeCodes.code(SECRET, seconds / TimeCodes.STEP_SECONDS));
        assertEquals(
                seconds / TimeCodes.STEP_SECONDS,
                TimeCodes.step(SECRET, code.substring(0, 3) + " " + code.substring(3), Instant.ofEpochSecond(seconds))
                        .orElseThrow());
    }

    @Test
    void aClockMayBeOneStepOffAndNoMore() {
        Instant now = Instant.ofEpochSecond(1_800_000_000L);
        long step = now.getEpochSecond() / TimeCodes.STEP_SECONDS;
        for (int off = -3; off <= 3; off++)
            assertEquals(
                    Math.abs(off) <= 1,
                    TimeCodes.step(SECRET, TimeCodes.code(SECRET, step + off), now)
                            .isPresent(),
                    "off by " + off);
        for (String wrong : new String[] {"", "12345", "abcdef", "1".repeat(10_000)})
            assertTrue(TimeCodes.step(SECRET, wrong, now).isEmpty(), wrong);
    }

    @Test
    void secretsDifferAndAreTypedInBase32() {
        assertFalse(java.util.Arrays.equals(TimeCodes.secret(), TimeCodes.secret()));
        assertEquals("GEZDGNBVGY3TQOJQGEZDGNBVGY3TQOJQ", TimeCodes.typed(SECRET));
        assertEquals(
                "otpauth://totp/Pemblar:me%2Byou%40pemblar.example?secret=GEZDGNBVGY3TQOJQGEZDGNBVGY3TQOJQ"
                        + "&issuer=Pemblar&algorithm=SHA1&digits=6&period=30",
                TimeCodes.address(SECRET, "me+you@pemblar.example"));
    }

    @Test
    void aCameraReadsTheSquare() throws Exception {
        String text = TimeCodes.address(SECRET, "you@pemblar.example");
        QrCode square = QrCode.of(text);
        int scale = 4;
        int size = square.side() * scale;
        java.util.Set<String> dark =
                java.util.Set.of(square.path().replace("h1v1h-1z", "").split("M"));
        int[] pixels = new int[size * size];
        for (int i = 0; i < pixels.length; i++)
            pixels[i] = dark.contains(i % size / scale + " " + i / size / scale) ? 0xff000000 : 0xffffffff;
        var image = new com.google.zxing.BinaryBitmap(new com.google.zxing.common.HybridBinarizer(
                new com.google.zxing.RGBLuminanceSource(size, size, pixels)));
        assertEquals(
                text, new com.google.zxing.qrcode.QRCodeReader().decode(image).getText());
    }
}
