package pemblar.formats.csv;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import pemblar.core.profile.ProfileBands;
import pemblar.core.threshold.Sex;

class ProfileBandsCsvTest {
    private static String shipped() throws IOException {
        try (var in = ProfileBandsCsv.class.getResourceAsStream("profile-bands.csv")) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        }
    }

    private static String problems(String text) {
        ProfileBandsCsv.Reading reading = ProfileBandsCsv.read(text);
        assertTrue(reading.bands().isEmpty());
        return reading.problems().toString();
    }

    @Test
    void theBandsThatShipAreSoundAndFallWithDuration() throws IOException {
        ProfileBands bands = ProfileBandsCsv.read(shipped()).bands().orElseThrow();
        assertEquals(5, bands.names().size());
        for (Sex sex : Sex.values())
            for (int i = 1; i < ProfileBands.SECONDS.size(); i++)
                for (int band = 0; band < 4; band++)
                    assertTrue(bands.floors(sex, ProfileBands.SECONDS.get(i)).get(band)
                            < bands.floors(sex, ProfileBands.SECONDS.get(i - 1)).get(band));
    }

    @Test
    void theFiveMinuteFloorsAreTheOxygenUptakeOfTheirLevel() throws IOException {
        // men of 55 ml/kg/min: (55 - 7) / 10.8 = 4.44 W/kg; women of 48: 41 / 10.8 = 3.80
        ProfileBands bands = ProfileBandsCsv.read(shipped()).bands().orElseThrow();
        assertEquals(4.44, bands.floors(Sex.MALE, 300).get(1), 0.005);
        assertEquals(3.80, bands.floors(Sex.FEMALE, 300).get(1), 0.005);
    }

    @Test
    void everyFaultIsNamedWithItsRow() throws IOException {
        assertTrue(problems("").contains("line 1"));
        assertTrue(problems("a,b,c").contains("sex,seconds"));
        String found = problems(shipped()
                .replace("men,60,,5.42", "men,60,,9.99")
                .replace("women,300", "ladies,300")
                .replace("3.57", "lots"));
        assertTrue(
                found.contains("floor 2 is 6.58") && found.contains("sex is ladies") && found.contains("lots"), found);
        assertTrue(problems("sex,seconds,low,high\nmen,5,,9").contains("no row women,300"));
        assertTrue(problems("sex,seconds,low,high\nmen,5,9").contains("cells is 3; accepted is 4"));
        assertTrue(problems("sex,seconds,low,high\nmen,7,,9").contains("seconds is 7"));
        assertTrue(problems("x".repeat(30_000)).contains("size"));
        assertTrue(problems("sex,seconds,\"low").length() > 2);
    }

    @Property(tries = 300)
    void noTextBreaksTheReader(@ForAll String text) {
        ProfileBandsCsv.Reading reading = ProfileBandsCsv.read(text);
        assertEquals(reading.bands().isEmpty(), !reading.problems().isEmpty());
    }
}
