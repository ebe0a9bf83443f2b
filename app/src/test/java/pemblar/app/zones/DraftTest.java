package pemblar.app.zones;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import pemblar.core.sport.Measure;
import pemblar.core.sport.Sport;
import pemblar.core.zone.ZoneScheme;
import pemblar.core.zone.ZoneSchemes;
import pemblar.formats.json.ZoneSchemeJson;

@Tag("unit")
class DraftTest {
    private static Draft typed(ZoneScheme drawn, String... fields) {
        Map<String, String> form = new HashMap<>(Map.of("drawn", ZoneSchemeJson.write(drawn)));
        for (int i = 0; i < fields.length; i += 2) form.put(fields[i], fields[i + 1]);
        return Draft.typed(form, Sport.RUN);
    }

    @Test
    void whatIsTypedIsTakenAndTheRestStays() {
        Draft draft = typed(ZoneSchemes.POWER_SEVEN, "name", "Mine", "zone2", "all day", "boundary0", "58,5");
        assertEquals(List.of(), draft.problems());
        assertEquals("Mine", draft.scheme().name());
        assertEquals("all day", draft.scheme().names().get(1));
        assertEquals(
                List.of(58.5, 75.0, 90.0, 105.0, 120.0, 150.0), draft.scheme().boundaries());
    }

    @Test
    void everyBoundaryTypedAtOnceStillRises() {
        Draft draft = typed(
                ZoneSchemes.POWER_SEVEN, "boundary0", "140", "boundary1", "20", "boundary2", "400", "boundary3", "1");
        List<Double> boundaries = draft.scheme().boundaries();
        for (int i = 1; i < boundaries.size(); i++)
            assertTrue(boundaries.get(i) > boundaries.get(i - 1), boundaries.toString());
        assertEquals(4, draft.problems().size());
    }

    @Test
    void absolutePacesAreTypedAsPaces() {
        ZoneScheme lab = ZoneSchemes.fromLaboratory("Lab", Measure.SPEED, 1000.0 / 300, 1000.0 / 250);
        assertEquals("5:00", Draft.shown(lab, Sport.RUN, 0));
        assertEquals(
                1000.0 / 285,
                typed(lab, "boundary0", "4:45").scheme().boundaries().get(0),
                1e-9);
        assertTrue(typed(lab, "boundary0", "fast").problems().get(0).contains("pace such as 4:10"));
    }

    @Test
    void twoThresholdsOfALaboratory() {
        assertEquals(
                List.of(145.0, 168.0),
                typed(ZoneSchemes.HEART_RATE_RIDE, "do", "laboratory", "first", "145", "second", "168")
                        .scheme()
                        .boundaries());
        assertTrue(typed(ZoneSchemes.HEART_RATE_RIDE, "do", "laboratory", "first", "20", "second", "168")
                .problems()
                .get(0)
                .contains("80 bpm to 230 bpm"));
        assertTrue(typed(ZoneSchemes.HEART_RATE_RIDE, "do", "laboratory", "first", "", "second", "168")
                .problems()
                .get(0)
                .contains("Type both"));
    }

    @Test
    void emptyNamesAndEditsOutOfPlaceAreSaid() {
        assertTrue(typed(ZoneSchemes.POWER_THREE, "name", " ", "zone1", "")
                        .problems()
                        .size()
                == 2);
        assertTrue(
                typed(ZoneSchemes.POWER_THREE, "do", "join:9").problems().get(0).contains("not possible here"));
        ZoneScheme two = ZoneSchemes.POWER_THREE.joined(0);
        assertTrue(typed(two, "do", "join:0").problems().get(0).contains("2 to 9"));
        assertThrows(IllegalArgumentException.class, () -> Draft.typed(Map.of("drawn", "{}"), Sport.RUN));
    }
}
