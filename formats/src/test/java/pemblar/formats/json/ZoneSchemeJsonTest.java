package pemblar.formats.json;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import pemblar.core.sport.Measure;
import pemblar.core.zone.ZoneScheme;
import pemblar.core.zone.ZoneSchemes;

class ZoneSchemeJsonTest {
    @Test
    void whatIsWrittenIsReadTheSame() {
        for (ZoneScheme scheme : ZoneSchemes.ALL)
            assertEquals(scheme, ZoneSchemeJson.read(ZoneSchemeJson.write(scheme)));
        ZoneSchemeJson.Reading all = ZoneSchemeJson.readAll(ZoneSchemeJson.writeAll(ZoneSchemes.ALL));
        assertEquals(ZoneSchemes.ALL, all.schemes());
        assertEquals(List.of(), all.problems());
        ZoneScheme lab = ZoneSchemes.fromLaboratory("Lab of May", Measure.SPEED, 3.2, 4.05);
        assertEquals(lab, ZoneSchemeJson.read(ZoneSchemeJson.write(lab)));
    }

    @Test
    void aFaultySchemeIsNamedAndTheOthersComeIn() {
        String file = ZoneSchemeJson.writeAll(List.of(ZoneSchemes.POWER_SEVEN, ZoneSchemes.POWER_THREE))
                .replace("100.0", "70.0");
        ZoneSchemeJson.Reading reading = ZoneSchemeJson.readAll(file);
        assertEquals(List.of(ZoneSchemes.POWER_SEVEN), reading.schemes());
        assertTrue(
                reading.problems().toString().contains("scheme 2")
                        && reading.problems().toString().contains("70.0 follows 80.0"),
                reading.problems().toString());
    }

    @Test
    void whatIsNoFileOfZonesSaysSo() {
        assertTrue(
                ZoneSchemeJson.readAll("{\"version\":1}").problems().toString().contains("schemes is none"));
        assertTrue(ZoneSchemeJson.readAll("{\"version\":9,\"schemes\":[]}")
                .problems()
                .toString()
                .contains("version is 9"));
        assertTrue(ZoneSchemeJson.readAll("<xml/>").problems().toString().contains("layout"));
        assertTrue(ZoneSchemeJson.readAll("[".repeat(100_000)).problems().size() == 1);
        assertTrue(ZoneSchemeJson.readAll(" ".repeat(300_000))
                .problems()
                .toString()
                .contains("size"));
        assertThrows(IllegalArgumentException.class, () -> ZoneSchemeJson.read("{\"name\":\"x\"}"));
    }

    @Property(tries = 300)
    void noTextBreaksTheReader(@ForAll String text) {
        assertTrue(!ZoneSchemeJson.readAll(text).problems().isEmpty());
    }
}
