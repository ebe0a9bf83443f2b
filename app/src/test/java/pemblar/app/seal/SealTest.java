package pemblar.app.seal;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import java.util.Base64;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

@Tag("unit")
class SealTest {
    private static final byte[] SECRET = "twenty bytes of code".getBytes(StandardCharsets.UTF_8);

    private static String key(int seed) {
        byte[] key = new byte[32];
        new Random(seed).nextBytes(key);
        return Base64.getEncoder().encodeToString(key);
    }

    @Test
    void whatIsSealedOpensAgainAndShowsNothingOfItself() {
        Seal seal = new Seal(List.of(key(1)));
        Set<String> seen = new HashSet<>();
        for (int i = 0; i < 200; i++) {
            Seal.Sealed sealed = seal.close("row 7", SECRET);
            assertThat(seal.open("row 7", sealed)).hasValue(SECRET);
            assertThat(new String(sealed.content(), StandardCharsets.ISO_8859_1))
                    .doesNotContain("twenty", "code");
            assertThat(seen.add(Base64.getEncoder().encodeToString(sealed.content())))
                    .as("sealed alike twice")
                    .isTrue();
        }
    }

    @Test
    void inAnotherPlaceOrChangedInAnyBitItDoesNotOpen() {
        Seal seal = new Seal(List.of(key(1)));
        Seal.Sealed sealed = seal.close("row 7", SECRET);
        assertThat(seal.open("row 8", sealed)).isEmpty();
        for (int bit = 0; bit < sealed.content().length * 8; bit++) {
            byte[] changed = sealed.content().clone();
            changed[bit / 8] ^= (byte) (1 << bit % 8);
            assertThat(seal.open("row 7", new Seal.Sealed(changed, sealed.by())))
                    .as("bit %d", bit)
                    .isEmpty();
        }
        assertThat(seal.open("row 7", new Seal.Sealed(new byte[5], sealed.by())))
                .isEmpty();
    }

    @Test
    void theFirstKeySealsAndTheLaterOnesOpen() {
        Seal before = new Seal(List.of(key(1)));
        Seal.Sealed old = before.close("row 7", SECRET);
        Seal now = new Seal(List.of(key(2), key(1)));
        assertThat(now.open("row 7", old)).hasValue(SECRET);
        assertThat(now.close("row 7", SECRET).by())
                .isEqualTo(now.key().orElseThrow())
                .isNotEqualTo(old.by());
        assertThat(new Seal(List.of(key(2))).open("row 7", old))
                .as("its key is away")
                .isEmpty();
    }

    @Test
    void withoutAKeyItLiesAsItIsAndAKeyThatIsNoneIsRefused() {
        Seal none = new Seal(List.of());
        assertThat(none.close("row 7", SECRET)).isEqualTo(new Seal.Sealed(SECRET, null));
        assertThat(none.open("row 7", new Seal.Sealed(SECRET, null))).hasValue(SECRET);
        for (String bad : List.of("short", "not base64 !", Base64.getEncoder().encodeToString(new byte[31])))
            assertThatThrownBy(() -> new Seal(List.of(bad))).hasMessageStartingWith("PEMBLAR_KEY: a key is 32 random");
    }
}
