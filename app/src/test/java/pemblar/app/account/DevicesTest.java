package pemblar.app.account;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.Random;
import org.junit.jupiter.api.Assertions;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

@Tag("unit")
class DevicesTest {
    private static final String[] BITS = {
        "Mozilla/5.0 ", "(", ")", "; ", "Linux ", "Android 15", "AppleWebKit/", "1.", "Windows NT ", "\0", "é", "a", " "
    };
    private final Devices devices = new Devices();

    @Test
    void saysBrowserAndSystemAsFarAsTheyAreKnown() {
        assertThat(devices.words("Mozilla/5.0 (X11; Linux x86_64; rv:140.0) Gecko/20100101 Firefox/140.0"))
                .isEqualTo("Firefox on Linux");
        assertThat(devices.words("curl/8.5.0")).isEqualTo("curl");
        assertThat(devices.words("something of my own")).isEqualTo("Some browser");
        assertThat(devices.words("")).isEqualTo("Some browser");
        assertThat(devices.words(null)).isEqualTo("not known");
    }

    @Test
    void readsAnythingInItsTime() {
        Random random = new Random(1);
        Assertions.assertTimeoutPreemptively(Duration.ofSeconds(60), () -> {
            for (int i = 0; i < 300; i++)
                assertThat(devices.words(made(random))).isNotBlank();
        });
    }

    private static String made(Random random) {
        StringBuilder agent = new StringBuilder();
        String often = BITS[random.nextInt(BITS.length)] + BITS[random.nextInt(BITS.length)];
        while (agent.length() < 300) agent.append(random.nextInt(3) == 0 ? BITS[random.nextInt(BITS.length)] : often);
        return agent.substring(0, 300);
    }
}
