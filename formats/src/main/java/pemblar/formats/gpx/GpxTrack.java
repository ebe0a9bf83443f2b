package pemblar.formats.gpx;

import io.jenetics.jpx.GPX;
import io.jenetics.jpx.WayPoint;
import java.io.IOException;
import java.io.OutputStream;
import java.util.ArrayList;
import java.util.List;
import pemblar.core.recording.Channel;
import pemblar.core.recording.Recording;
import pemblar.core.recording.Series;

/**
 * Writes the way of a recording as a GPX 1.1 track: position, altitude and time; a new segment after each pause and
 * each gap.
 */
public final class GpxTrack {
    private GpxTrack() {}

    /** @return false, and nothing written, when the recording has no positions */
    public static boolean write(Recording recording, String name, OutputStream out) throws IOException {
        if (!recording.has(Channel.LATITUDE) || !recording.has(Channel.LONGITUDE)) return false;
        List<List<WayPoint>> segments = segments(recording);
        GPX gpx = GPX.builder("Pemblar")
                .addTrack(track -> {
                    track.name(name);
                    segments.forEach(points -> track.addSegment(segment -> segment.points(points)));
                })
                .build();
        GPX.Writer.of(GPX.Writer.Indent.NULL).write(gpx, out);
        return true;
    }

    private static List<List<WayPoint>> segments(Recording recording) {
        Series latitude = recording.channel(Channel.LATITUDE).orElseThrow();
        Series longitude = recording.channel(Channel.LONGITUDE).orElseThrow();
        Series altitude = recording.channel(Channel.ALTITUDE).orElse(null);
        List<List<WayPoint>> segments = new ArrayList<>();
        List<WayPoint> open = new ArrayList<>();
        double paused = 0;
        int pause = 0;
        for (int i = 0; i < recording.seconds(); i++) {
            boolean cut = false;
            while (pause < recording.pauses().size()
                    && recording.pauses().get(pause).index() <= i) {
                paused += recording.pauses().get(pause++).seconds();
                cut = true;
            }
            boolean present = latitude.isPresent(i) && longitude.isPresent(i);
            if ((cut || !present) && !open.isEmpty()) {
                segments.add(open);
                open = new ArrayList<>();
            }
            if (!present) continue;
            WayPoint.Builder point = WayPoint.builder()
                    .lat(latitude.at(i))
                    .lon(longitude.at(i))
                    .time(recording.start().plusMillis(Math.round((i + paused) * 1000)));
            if (altitude != null && altitude.isPresent(i)) point.ele(altitude.at(i));
            open.add(point.build());
        }
        if (!open.isEmpty()) segments.add(open);
        return segments;
    }
}
