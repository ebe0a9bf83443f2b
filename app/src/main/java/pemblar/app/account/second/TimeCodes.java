package pemblar.app.account.second;

import com.eatthepath.otp.TimeBasedOneTimePasswordGenerator;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.security.InvalidKeyException;
import java.security.SecureRandom;
import java.time.Instant;
import java.util.OptionalLong;
import javax.crypto.spec.SecretKeySpec;
import org.apache.commons.codec.binary.Base32;

/** Codes that follow from a secret and the time: six digits, anew every 30 s (RFC 6238, HMAC-SHA-1). */
final class TimeCodes {
    static final int STEP_SECONDS = 30;
    private static final int SECRET_BYTES = 20;
    private static final int STEPS_OFF = 1;
    private static final TimeBasedOneTimePasswordGenerator CODES = new TimeBasedOneTimePasswordGenerator();
    private static final SecureRandom RANDOM = new SecureRandom();

    private TimeCodes() {}

    static byte[] secret() {
        byte[] secret = new byte[SECRET_BYTES];
        RANDOM.nextBytes(secret);
        return secret;
    }

    /** As it is typed into an authenticator: base 32, without filling. */
    static String typed(byte[] secret) {
        return new Base32().encodeAsString(secret).replace("=", "");
    }

    /** What an authenticator reads from the drawing. */
    static String address(byte[] secret, String email) {
        String name = URLEncoder.encode(email, StandardCharsets.UTF_8).replace("+", "%20");
        return "otpauth://totp/Pemblar:" + name + "?secret=" + typed(secret)
                + "&issuer=Pemblar&algorithm=SHA1&digits=6&period=" + STEP_SECONDS;
    }

    static String code(byte[] secret, long step) {
        try {
            return CODES.generateOneTimePasswordString(
                    new SecretKeySpec(secret, "RAW"), Instant.ofEpochSecond(step * STEP_SECONDS));
        } catch (InvalidKeyException e) {
            throw new IllegalStateException("any bytes serve as a key", e);
        }
    }

    /** The step of a code, of now or one to either side for clocks that differ; empty when it is none of them. */
    static OptionalLong step(byte[] secret, String code, Instant now) {
        String digits = code.replaceAll("\\s", "");
        long at = Math.floorDiv(now.getEpochSecond(), STEP_SECONDS);
        for (long step = at - STEPS_OFF; step <= at + STEPS_OFF; step++)
            if (isSame(code(secret, step), digits)) return OptionalLong.of(step);
        return OptionalLong.empty();
    }

    /** In the same time wherever they differ. */
    private static boolean isSame(String one, String other) {
        return java.security.MessageDigest.isEqual(
                one.getBytes(StandardCharsets.UTF_8), other.getBytes(StandardCharsets.UTF_8));
    }
}
