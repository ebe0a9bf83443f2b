package pemblar.formats.fit;

import static pemblar.formats.fit.BaseType.ENUM;
import static pemblar.formats.fit.BaseType.SINT32;
import static pemblar.formats.fit.BaseType.SINT8;
import static pemblar.formats.fit.BaseType.UINT16;
import static pemblar.formats.fit.BaseType.UINT32;
import static pemblar.formats.fit.BaseType.UINT32Z;
import static pemblar.formats.fit.BaseType.UINT8;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import pemblar.core.recording.Channel;
import pemblar.core.recording.Lap;
import pemblar.core.recording.Pause;
import pemblar.core.recording.Recording;
import pemblar.core.recording.Series;
import pemblar.formats.fit.FitWriter.Field;
import pemblar.formats.fit.FitWriter.Layout;

/**
 * Writes a recording as a FIT activity: one record a grid second, pauses as timer events, laps with their step index.
 */
public final class FitActivityWriter {
    private static final Layout FILE_ID = Layout.of(
            Profile.FILE_ID,
            new Field(0, ENUM),
            new Field(1, UINT16),
            new Field(2, UINT16),
            new Field(3, UINT32Z),
            new Field(4, UINT32));
    private static final Layout EVENT =
            Layout.of(Profile.EVENT, new Field(253, UINT32), new Field(0, ENUM), new Field(1, ENUM));
    private static final Layout LAP = Layout.of(
            Profile.LAP,
            new Field(253, UINT32),
            new Field(2, UINT32),
            new Field(7, UINT32),
            new Field(8, UINT32),
            new Field(25, ENUM),
            new Field(71, UINT16));
    private static final Layout SESSION = Layout.of(
            Profile.SESSION,
            new Field(253, UINT32),
            new Field(2, UINT32),
            new Field(7, UINT32),
            new Field(8, UINT32),
            new Field(9, UINT32),
            new Field(5, ENUM),
            new Field(6, ENUM),
            new Field(44, UINT16));
    private static final Layout LENGTH = Layout.of(
            Profile.LENGTH,
            new Field(253, UINT32),
            new Field(2, UINT32),
            new Field(3, UINT32),
            new Field(4, UINT32),
            new Field(5, UINT16),
            new Field(12, ENUM));
    private static final Layout ACTIVITY =
            Layout.of(Profile.ACTIVITY, new Field(253, UINT32), new Field(0, UINT32), new Field(1, UINT16));

    /** How a channel is written: field, type, and raw value = (value + offset) times scale. */
    private record Column(Channel channel, Field field, double scale, double offset) {}

    private static final List<Column> COLUMNS = List.of(
            new Column(Channel.LATITUDE, new Field(0, SINT32), 1 / Profile.DEGREES_PER_SEMICIRCLE, 0),
            new Column(Channel.LONGITUDE, new Field(1, SINT32), 1 / Profile.DEGREES_PER_SEMICIRCLE, 0),
            new Column(Channel.ALTITUDE, new Field(2, UINT16), 5, 500),
            new Column(Channel.HEART_RATE, new Field(3, UINT8), 1, 0),
            new Column(Channel.CADENCE, new Field(4, UINT8), 1, 0),
            new Column(Channel.DISTANCE, new Field(5, UINT32), 100, 0),
            new Column(Channel.SPEED, new Field(6, UINT16), 1000, 0),
            new Column(Channel.POWER, new Field(7, UINT16), 1, 0),
            new Column(Channel.TEMPERATURE, new Field(13, SINT8), 1, 0),
            new Column(Channel.VERTICAL_OSCILLATION, new Field(39, UINT16), 10_000, 0),
            new Column(Channel.GROUND_CONTACT_TIME, new Field(41, UINT16), 10_000, 0),
            new Column(Channel.STEP_LENGTH, new Field(85, UINT16), 10_000, 0));

    private final Recording recording;
    private final FitWriter out = new FitWriter();

    private final double poolMetres;

    private FitActivityWriter(Recording recording, double poolMetres) {
        this.recording = recording;
        this.poolMetres = poolMetres;
    }

    /** @param serial number of the device, above 0 */
    public static byte[] write(Recording recording, long serial) {
        return write(recording, serial, Double.NaN);
    }

    /**
     * @param poolMetres length of the pool, whose lengths are written as such; NaN for a recording that was not made in
     *     one
     */
    public static byte[] write(Recording recording, long serial, double poolMetres) {
        FitActivityWriter writer = new FitActivityWriter(recording, poolMetres);
        writer.out.write(FILE_ID, Profile.TYPE_ACTIVITY, Profile.MANUFACTURER_DEVELOPMENT, 1, serial, writer.clock(0));
        writer.records();
        if (poolMetres > 0) writer.lengths();
        writer.laps();
        writer.closing();
        return writer.out.finish();
    }

    private long clock(int index) {
        Instant instant = recording.start().plusMillis(Math.round(recording.clockSecondsAt(index) * 1000));
        return Profile.seconds(instant);
    }

    private void records() {
        List<Column> columns =
                COLUMNS.stream().filter(c -> recording.has(c.channel())).toList();
        List<Field> fields = new ArrayList<>(List.of(new Field(253, UINT32)));
        columns.forEach(c -> fields.add(c.field()));
        Layout layout = new Layout(Profile.RECORD, fields);
        Series[] series = columns.stream()
                .map(c -> recording.channel(c.channel()).orElseThrow())
                .toArray(Series[]::new);
        Object[] values = new Object[fields.size()];
        int next = 0;
        long clock = clock(0);
        out.write(EVENT, clock, 0, 0);
        for (int i = 0; i < recording.seconds(); i++, clock++) {
            for (;
                    next < recording.pauses().size()
                            && recording.pauses().get(next).index() == i;
                    next++) {
                Pause pause = recording.pauses().get(next);
                out.write(EVENT, clock - 1, 0, 4);
                clock += Math.round(pause.seconds());
                out.write(EVENT, clock, 0, 0);
            }
            values[0] = clock;
            for (int c = 0; c < series.length; c++) values[c + 1] = raw(columns.get(c), series[c].at(i));
            out.write(layout, values);
        }
        out.write(EVENT, clock - 1, 0, 4);
    }

    private Double raw(Column column, double value) {
        double own = column.channel() == Channel.CADENCE && recording.sport().countsSteps() ? value / 2 : value;
        return (own + column.offset()) * column.scale();
    }

    /**
     * A length ends where the distance passes its wall; what lies between lengths without moving is a length at rest.
     */
    private void lengths() {
        Series distance = recording.channel(Channel.DISTANCE).orElseThrow();
        Series cadence = recording.channel(Channel.CADENCE).orElse(null);
        int from = 0;
        boolean swims = false;
        double before = 0;
        for (int i = 0; i < recording.seconds(); i++) {
            double now = distance.isPresent(i) ? distance.at(i) : before;
            if (!swims && now > before) {
                if (i > from) from = length(from, i, false, cadence);
                swims = true;
            }
            if (swims && walls(now) > walls(before)) {
                from = length(from, i + 1, true, cadence);
                swims = false;
            }
            before = now;
        }
        if (!swims && from < recording.seconds()) length(from, recording.seconds(), false, cadence);
    }

    private double walls(double metres) {
        return Math.floor(metres / poolMetres + 1e-6);
    }

    private int length(int from, int to, boolean active, Series cadence) {
        long milliseconds = (to - from) * 1000L;
        Double strokes = active && cadence != null ? cadence.mean(from, to) * (to - from) / 60 : null;
        out.write(LENGTH, clock(to), clock(from), milliseconds, milliseconds, strokes, active ? 1 : 0);
        return to;
    }

    private void laps() {
        List<Lap> laps =
                recording.laps().isEmpty() ? List.of(new Lap(0, recording.seconds(), Lap.NO_STEP)) : recording.laps();
        for (Lap lap : laps) {
            Long step = lap.stepIndex() == Lap.NO_STEP ? null : Long.valueOf(lap.stepIndex());
            double elapsed = recording.clockSecondsAt(lap.to()) - recording.clockSecondsAt(lap.from());
            out.write(
                    LAP,
                    clock(lap.to()),
                    clock(lap.from()),
                    elapsed * 1000,
                    lap.seconds() * 1000L,
                    Profile.sportNumber(recording.sport()),
                    step);
        }
    }

    private void closing() {
        Double metres = recording.distanceMetres().map(m -> m * 100).orElse(Double.NaN);
        long end = clock(recording.seconds());
        long timer = recording.seconds() * 1000L;
        out.write(
                SESSION,
                end,
                clock(0),
                recording.elapsedSeconds() * 1000,
                timer,
                metres,
                Profile.sportNumber(recording.sport()),
                Profile.subSportNumber(recording.sport()),
                poolMetres > 0 ? poolMetres * 100 : null);
        out.write(ACTIVITY, end, timer, 1);
    }

    /** Several files in one, as some devices deliver them. */
    public static byte[] chain(List<byte[]> files) {
        java.io.ByteArrayOutputStream all = new java.io.ByteArrayOutputStream();
        Collections.unmodifiableList(files).forEach(all::writeBytes);
        return all.toByteArray();
    }
}
