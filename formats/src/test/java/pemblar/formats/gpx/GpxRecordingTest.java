package pemblar.formats.gpx;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.charset.StandardCharsets;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import pemblar.core.recording.Channel;
import pemblar.core.recording.Recording;
import pemblar.core.sport.Sport;
import pemblar.formats.Reading;
import pemblar.formats.RecordingFiles;

class GpxRecordingTest {
    private static final String HEAD =
            "<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n<gpx version=\"1.1\" creator=\"test\" "
                    + "xmlns=\"http://www.topografix.com/GPX/1/1\" xmlns:a=\"urn:any\" xmlns:b=\"urn:other\">\n";

    private static String point(int second, String extensions) {
        return String.format(
                java.util.Locale.ROOT,
                "<trkpt lat=\"%.6f\" lon=\"7.0\"><ele>%d</ele><time>2025-05-04T06:00:%02dZ</time>%s</trkpt>\n",
                50 + second * 0.0001,
                100 + second,
                second,
                extensions);
    }

    private static Reading read(String text) {
        return RecordingFiles.read(text.getBytes(StandardCharsets.UTF_8), Optional.empty());
    }

    private static String track(String type, String... segments) {
        StringBuilder text = new StringBuilder(HEAD + "<trk><type>" + type + "</type>");
        for (String segment : segments) text.append("<trkseg>").append(segment).append("</trkseg>");
        return text.append("</trk></gpx>").toString();
    }

    private static String points(int from, int to, String extensions) {
        StringBuilder text = new StringBuilder();
        for (int i = from; i < to; i++) text.append(point(i, extensions));
        return text.toString();
    }

    @Test
    void extensionsAreReadByLocalNameInAnyNamespace() {
        String extensions =
                "<extensions><b:power>210</b:power><a:wrap><a:hr>141</a:hr><a:cad>86</a:cad></a:wrap></extensions>";
        Reading reading = read(track("cycling", points(0, 20, extensions)));
        assertEquals(java.util.List.of(), reading.problems());
        Recording ride = reading.recording().orElseThrow();
        assertEquals(Sport.RIDE, ride.sport());
        assertEquals(20, ride.seconds());
        assertEquals(210, ride.channel(Channel.POWER).orElseThrow().mean(), 1e-9);
        assertEquals(141, ride.channel(Channel.HEART_RATE).orElseThrow().mean(), 1e-9);
        assertEquals(86, ride.channel(Channel.CADENCE).orElseThrow().mean(), 1e-9);
        assertEquals(19 * 11.1195, ride.distanceMetres().orElseThrow(), 0.01);
        assertEquals(11.12, ride.channel(Channel.SPEED).orElseThrow().mean(), 0.01);
    }

    @Test
    void aTrackNamesItsRecordingAndElseTheFileDoes() {
        String track = track("ride", points(0, 10, ""));
        String named = track.replace("<trk>", "<trk><name>\n River  loop\t</name>");
        String file = track.replace("<trk>", "<metadata><name>My file</name></metadata><trk>");
        assertEquals("", read(track).name());
        assertEquals("River loop", read(named).name());
        assertEquals("My file", read(file).name());
        assertEquals("", read(track.replace("<trk>", "<trk><name> </name>")).name());
        assertEquals(
                Reading.LONGEST_NAME,
                read(track.replace("<trk>", "<trk><name>" + "x".repeat(5000) + "</name>"))
                        .name()
                        .length());
    }

    @Test
    void theTimeBetweenSegmentsIsAPause() {
        Recording ride = read(track("ride", points(0, 10, ""), points(40, 50, "")))
                .recording()
                .orElseThrow();
        assertEquals(20, ride.seconds());
        assertEquals(50, ride.elapsedSeconds(), 1e-9);
    }

    @Test
    void aRunnersSingleLegCadenceIsDoubledAndSaid() {
        Reading reading = read(track("running", points(0, 20, "<extensions><a:cad>85</a:cad></extensions>")));
        assertEquals(
                170,
                reading.recording()
                        .orElseThrow()
                        .channel(Channel.CADENCE)
                        .orElseThrow()
                        .mean(),
                1e-9);
        assertFalse(reading.isDamaged());
    }

    @Test
    void aTextCutShortIsReadToItsLastWholePoint() {
        String whole = track("ride", points(0, 30, ""));
        for (int cut = HEAD.length() + 10; cut < whole.length() - 1; cut += 13) {
            Reading reading = read(whole.substring(0, cut));
            assertTrue(reading.isDamaged());
            int complete = whole.substring(0, cut).split("</trkpt>", -1).length - 1;
            assertEquals(complete, reading.recording().map(Recording::seconds).orElse(0));
        }
    }

    @Test
    void impossiblePointsAreLeftOutAndCounted() {
        String bad = point(5, "").replace("lat=\"50.000500\"", "lat=\"95\"");
        Reading reading = read(track("ride", points(0, 5, "") + bad + points(6, 9, "")));
        assertTrue(
                reading.problems().toString().contains("1 points"),
                reading.problems().toString());
        assertEquals(9, reading.recording().orElseThrow().seconds());
    }

    @Test
    void externalEntitiesAndBombsAreRefused() {
        String doctype = "<?xml version=\"1.0\"?><!DOCTYPE gpx [<!ENTITY x SYSTEM \"file:///etc/passwd\">]><gpx "
                + "version=\"1.1\" creator=\"&x;\"></gpx>";
        assertTrue(read(doctype).recording().isEmpty());
        String deep = HEAD + "<extensions>" + "<a:x>".repeat(5000);
        assertTrue(read(deep).recording().isEmpty());
    }

    @Test
    void aRouteWithoutTimesIsRefusedWithTheReason() {
        String text = track("ride", points(0, 3, "").replaceAll("<time>.*?</time>", ""));
        assertTrue(read(text).problems().get(0).text().contains("time"));
    }
}
