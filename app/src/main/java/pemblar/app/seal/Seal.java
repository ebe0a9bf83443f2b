package pemblar.app.seal;

import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.security.MessageDigest;
import java.security.SecureRandom;
import java.util.Arrays;
import java.util.Base64;
import java.util.HexFormat;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javax.crypto.Cipher;
import javax.crypto.SecretKey;
import javax.crypto.spec.GCMParameterSpec;
import javax.crypto.spec.SecretKeySpec;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/**
 * Seals what has to be read again, as no hash can be: with AES of 256 bits in Galois/Counter Mode (NIST SP 800-38D),
 * each time with a random number of 96 bits in front. What it belongs to is sealed in, so that nothing opens in the
 * place of something else.
 */
@Component
public class Seal {
    private static final int KEY_BYTES = 32;
    private static final int NONCE_BYTES = 12;
    private static final int TAG_BITS = 128;
    private static final SecureRandom RANDOM = new SecureRandom();
    private final Map<String, SecretKey> keys = new LinkedHashMap<>();

    /**
     * @param given keys in Base64: the first seals, all of them open; none when secrets lie as they are
     * @throws IllegalArgumentException when one has not 32 bytes
     */
    public Seal(@Value("${pemblar.key}") List<String> given) {
        for (String key : given) if (!key.isBlank()) add(key.strip());
    }

    private void add(String text) {
        byte[] bytes;
        try {
            bytes = Base64.getDecoder().decode(text);
        } catch (IllegalArgumentException e) {
            bytes = new byte[0];
        }
        if (bytes.length != KEY_BYTES)
            throw new IllegalArgumentException("PEMBLAR_KEY: a key is 32 random bytes in Base64, as  head -c 32"
                    + " /dev/urandom | base64  prints them. Several are separated by commas.");
        keys.put(name(bytes), new SecretKeySpec(bytes, "AES"));
    }

    private static String name(byte[] key) {
        try {
            MessageDigest digest = MessageDigest.getInstance("SHA-256");
            digest.update("name of a key of Pemblar".getBytes(StandardCharsets.UTF_8));
            return HexFormat.of().formatHex(digest.digest(key), 0, 8);
        } catch (GeneralSecurityException e) {
            throw new IllegalStateException(e);
        }
    }

    /** What is stored. @param by name of the key that opens it; null when it lies as it is */
    public record Sealed(byte[] content, String by) {}

    /** The name of the key that seals; empty without one. */
    public Optional<String> key() {
        return keys.keySet().stream().findFirst();
    }

    /** @param whose in the words by which it is opened again */
    public Sealed close(String whose, byte[] secret) {
        if (keys.isEmpty()) return new Sealed(secret, null);
        String by = key().orElseThrow();
        byte[] nonce = new byte[NONCE_BYTES];
        RANDOM.nextBytes(nonce);
        try {
            byte[] closed = cipher(Cipher.ENCRYPT_MODE, by, nonce, whose).doFinal(secret);
            return new Sealed(
                    ByteBuffer.allocate(NONCE_BYTES + closed.length)
                            .put(nonce)
                            .put(closed)
                            .array(),
                    by);
        } catch (GeneralSecurityException e) {
            throw new IllegalStateException(e);
        }
    }

    /** Empty when its key is not here, or it belongs to something else, or was changed. */
    public Optional<byte[]> open(String whose, Sealed sealed) {
        if (sealed.by() == null) return Optional.of(sealed.content());
        if (!keys.containsKey(sealed.by()) || sealed.content().length < NONCE_BYTES) return Optional.empty();
        byte[] nonce = Arrays.copyOf(sealed.content(), NONCE_BYTES);
        try {
            return Optional.of(cipher(Cipher.DECRYPT_MODE, sealed.by(), nonce, whose)
                    .doFinal(sealed.content(), NONCE_BYTES, sealed.content().length - NONCE_BYTES));
        } catch (GeneralSecurityException e) {
            return Optional.empty();
        }
    }

    private Cipher cipher(int mode, String by, byte[] nonce, String whose) throws GeneralSecurityException {
        Cipher cipher = Cipher.getInstance("AES/GCM/NoPadding");
        cipher.init(mode, keys.get(by), new GCMParameterSpec(TAG_BITS, nonce));
        cipher.updateAAD(whose.getBytes(StandardCharsets.UTF_8));
        return cipher;
    }
}
