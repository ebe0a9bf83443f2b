package pemblar.app.effort;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import jakarta.persistence.Table;
import java.io.Serializable;
import java.nio.ByteBuffer;
import java.time.LocalDate;
import pemblar.core.recording.Series;
import pemblar.core.sport.Measure;
import pemblar.core.sport.Sport;

/** Best means of one recording on the common grid, as 32-bit floats: they carry seven digits, a power meter three. */
@Entity
@Table(name = "effort_curve")
@IdClass(EffortCurveRow.Key.class)
class EffortCurveRow {
    @Id
    Long recordingId;

    @Id
    @Enumerated(EnumType.STRING)
    Measure measure;

    Long athleteId;

    @Enumerated(EnumType.STRING)
    Sport sport;

    LocalDate day;
    byte[] means;

    record Key(Long recordingId, Measure measure) implements Serializable {}

    protected EffortCurveRow() {}

    EffortCurveRow(EffortSource source, Measure measure, Series onGrid) {
        this.recordingId = source.recordingId();
        this.measure = measure;
        this.athleteId = source.athleteId();
        this.sport = source.sport();
        this.day = source.day();
        this.means = bytes(onGrid);
    }

    static byte[] bytes(Series onGrid) {
        ByteBuffer buffer = ByteBuffer.allocate(4 * onGrid.size());
        for (int i = 0; i < onGrid.size(); i++) buffer.putFloat((float) onGrid.at(i));
        return buffer.array();
    }

    /** The value of the shortest duration, one second; NaN without one. */
    static double first(byte[] bytes) {
        return bytes.length < 4 ? Double.NaN : ByteBuffer.wrap(bytes).getFloat();
    }

    static Series series(byte[] bytes) {
        double[] values = new double[bytes.length / 4];
        ByteBuffer buffer = ByteBuffer.wrap(bytes);
        for (int i = 0; i < values.length; i++) values[i] = buffer.getFloat();
        return Series.of(values);
    }
}
