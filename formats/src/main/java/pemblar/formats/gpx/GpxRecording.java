package pemblar.formats.gpx;

import io.jenetics.jpx.GPX;
import io.jenetics.jpx.Metadata;
import io.jenetics.jpx.Track;
import io.jenetics.jpx.TrackSegment;
import io.jenetics.jpx.WayPoint;
import java.io.IOException;
import java.io.StringReader;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import javax.xml.transform.stream.StreamSource;
import org.w3c.dom.Node;
import pemblar.core.recording.Channel;
import pemblar.core.recording.Grid;
import pemblar.core.recording.Grid.Running;
import pemblar.core.recording.Recording;
import pemblar.core.recording.Samples;
import pemblar.core.sport.Sport;
import pemblar.formats.Reading;
import pemblar.formats.Reading.Problem;

/**
 * Reads a GPX 1.1 recording. Distance and speed come from the positions; heart rate, cadence, power, temperature and
 * speed from extensions, known by their local names in any namespace. The time between two segments is a pause.
 */
public final class GpxRecording {
    /** Mean radius of the earth, m (IUGG 1980). */
    private static final double EARTH_METRES = 6_371_008.8;
    /** Below this mean a run's cadence counts one leg only. */
    private static final double ONE_LEG_BELOW = 120;

    private static final Map<String, Channel> EXTENSIONS = Map.ofEntries(
            Map.entry("hr", Channel.HEART_RATE),
            Map.entry("heartrate", Channel.HEART_RATE),
            Map.entry("bpm", Channel.HEART_RATE),
            Map.entry("cad", Channel.CADENCE),
            Map.entry("cadence", Channel.CADENCE),
            Map.entry("runcadence", Channel.CADENCE),
            Map.entry("power", Channel.POWER),
            Map.entry("watts", Channel.POWER),
            Map.entry("powerinwatts", Channel.POWER),
            Map.entry("atemp", Channel.TEMPERATURE),
            Map.entry("temp", Channel.TEMPERATURE),
            Map.entry("temperature", Channel.TEMPERATURE),
            Map.entry("speed", Channel.SPEED));

    private final Samples samples = new Samples();
    private final List<Running> running = new ArrayList<>();
    private final List<Problem> problems = new ArrayList<>();
    private Instant origin;
    private double metres;
    private WayPoint before;
    private double secondsBefore;
    private int withoutTime;
    private int backwards;
    private int unreadable;
    private int used;

    private GpxRecording() {}

    /** @param sport what the file is to be read as; empty takes what it says itself */
    public static Reading read(byte[] bytes, Optional<Sport> sport) {
        GpxScan scan = new GpxScan(bytes);
        if (!scan.refusal.isEmpty()) return Reading.refused("", scan.refusal);
        String text = scan.damage.isEmpty() ? scan.text : scan.upToDamage();
        if (text == null)
            return Reading.refused("line " + scan.damagedLine, scan.damage + " before the first whole point");
        GpxRecording reader = new GpxRecording();
        if (!scan.damage.isEmpty())
            reader.problems.add(new Problem(
                    "line " + scan.damagedLine, scan.damage + "; the file was read up to its last whole point", true));
        try {
            GPX gpx = GPX.Reader.of(GPX.Reader.Mode.LENIENT).read(new StreamSource(new StringReader(text)));
            return reader.reading(gpx, scan.points, sport);
        } catch (IOException | RuntimeException e) {
            return Reading.refused("", "the GPX cannot be read: " + e.getMessage());
        }
    }

    private Reading reading(GPX gpx, int points, Optional<Sport> wanted) {
        for (Track track : gpx.getTracks()) for (TrackSegment segment : track.getSegments()) segment(segment);
        int lost = points - used - withoutTime - backwards;
        remark(lost, " points have an impossible position or time and were left out");
        remark(withoutTime, " points have no time and were left out");
        remark(backwards, " points go back in time and were left out");
        remark(unreadable, " values in extensions are not numbers and were left out");
        if (running.isEmpty())
            return refused(
                    points == 0
                            ? "the file holds no track points: it is a route or a list of places"
                            : "no point has a time: export the recording, not the route");
        Sport sport = wanted.orElseGet(() -> sport(gpx));
        doubleOneLeg(sport);
        try {
            Grid grid = new Grid(samples, running);
            return new Reading(
                    Optional.of(
                            new Recording(sport, origin, grid.seconds(), grid.pauses(), grid.channels(), List.of())),
                    name(gpx),
                    problems);
        } catch (IllegalArgumentException e) {
            return refused(e.getMessage());
        }
    }

    private Reading refused(String why) {
        problems.add(0, new Problem("", why, true));
        return new Reading(Optional.empty(), problems);
    }

    private void remark(int count, String text) {
        if (count > 0) problems.add(new Problem("", count + text, true));
    }

    private void segment(TrackSegment segment) {
        double start = Double.NaN;
        before = null;
        for (WayPoint point : segment) {
            Instant time = point.getTime().orElse(null);
            if (time == null) {
                withoutTime++;
                continue;
            }
            if (origin == null) origin = time;
            double seconds =
                    (time.getEpochSecond() - origin.getEpochSecond()) + (time.getNano() - origin.getNano()) / 1e9;
            if (seconds > Recording.MAX_SECONDS || !samples.open(seconds)) {
                backwards++;
                continue;
            }
            if (Double.isNaN(start)) start = seconds;
            used++;
            put(point, seconds);
        }
        if (!Double.isNaN(start)) ran(start, secondsBefore);
    }

    private void ran(double start, double stop) {
        Running last = running.isEmpty() ? null : running.get(running.size() - 1);
        if (last != null && start <= last.stop())
            running.set(running.size() - 1, new Running(last.start(), Math.max(last.stop(), stop)));
        else running.add(new Running(start, stop));
    }

    private void put(WayPoint point, double seconds) {
        double step = before == null ? 0 : metresBetween(before, point);
        metres += step;
        samples.put(Channel.LATITUDE.key(), point.getLatitude().doubleValue());
        samples.put(Channel.LONGITUDE.key(), point.getLongitude().doubleValue());
        samples.put(Channel.DISTANCE.key(), metres);
        point.getElevation().ifPresent(e -> samples.put(Channel.ALTITUDE.key(), e.doubleValue()));
        if (before != null && seconds > secondsBefore)
            samples.put(Channel.SPEED.key(), step / (seconds - secondsBefore));
        point.getSpeed().ifPresent(s -> samples.put(Channel.SPEED.key(), s.doubleValue()));
        point.getExtensions().ifPresent(document -> extensions(document.getDocumentElement()));
        before = point;
        secondsBefore = seconds;
    }

    private void extensions(Node node) {
        for (Node child = node.getFirstChild(); child != null; child = child.getNextSibling()) {
            if (child.getNodeType() != Node.ELEMENT_NODE) continue;
            String name = child.getNodeName();
            Channel channel =
                    EXTENSIONS.get(name.substring(name.indexOf(':') + 1).toLowerCase(Locale.ROOT));
            if (channel != null) value(channel, child.getTextContent().strip());
            else extensions(child);
        }
    }

    private void value(Channel channel, String text) {
        try {
            double value = Double.parseDouble(text);
            boolean noContact = channel == Channel.HEART_RATE && value == 0;
            if (Double.isFinite(value) && Math.abs(value) < 1e5 && (value >= 0 || channel == Channel.TEMPERATURE)) {
                if (!noContact) samples.put(channel.key(), value);
            } else {
                unreadable++;
            }
        } catch (NumberFormatException e) {
            unreadable++;
        }
    }

    private void doubleOneLeg(Sport sport) {
        if (!sport.countsSteps() || !samples.channelNames().contains(Channel.CADENCE.key())) return;
        double sum = 0;
        int count = 0;
        for (int i = 0; i < samples.count(); i++) {
            double value = samples.valueAt(Channel.CADENCE.key(), i);
            if (!(value > 0)) continue;
            sum += value;
            count++;
        }
        if (count == 0 || sum / count >= ONE_LEG_BELOW) return;
        samples.multiply(Channel.CADENCE.key(), 2);
        problems.add(new Problem("", "cadence counted one leg and was doubled to steps per minute", false));
    }

    private static String name(GPX gpx) {
        return gpx.getTracks().stream()
                .flatMap(t -> t.getName().stream())
                .filter(n -> !n.isBlank())
                .findFirst()
                .or(() -> gpx.getMetadata().flatMap(Metadata::getName))
                .orElse("");
    }

    private static Sport sport(GPX gpx) {
        String type = gpx.getTracks().stream()
                .flatMap(t -> t.getType().stream())
                .findFirst()
                .orElse("")
                .toLowerCase(Locale.ROOT);
        if (type.contains("run")) return Sport.RUN;
        if (type.contains("swim")) return Sport.SWIM;
        if (type.contains("row")) return Sport.ROW;
        if (type.contains("ski")) return Sport.SKI;
        if (type.contains("walk") || type.contains("hik")) return Sport.WALK;
        return type.contains("rid") || type.contains("cycl") || type.contains("bik") ? Sport.RIDE : Sport.OTHER;
    }

    /** Great-circle distance by the haversine formula. */
    private static double metresBetween(WayPoint a, WayPoint b) {
        double from = Math.toRadians(a.getLatitude().doubleValue());
        double to = Math.toRadians(b.getLatitude().doubleValue());
        double turn =
                Math.toRadians(b.getLongitude().doubleValue() - a.getLongitude().doubleValue());
        double h = Math.pow(Math.sin((to - from) / 2), 2)
                + Math.cos(from) * Math.cos(to) * Math.pow(Math.sin(turn / 2), 2);
        return 2 * EARTH_METRES * Math.asin(Math.min(1, Math.sqrt(h)));
    }
}
