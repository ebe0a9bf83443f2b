package pemblar.formats.json;

import java.io.IOException;
import java.io.OutputStream;
import pemblar.core.recording.Channel;
import pemblar.core.recording.Lap;
import pemblar.core.recording.Pause;
import pemblar.core.recording.Recording;
import pemblar.core.recording.Series;
import tools.jackson.core.JsonGenerator;
import tools.jackson.databind.json.JsonMapper;

/**
 * A recording as JSON, version 1: docs/formats/recording.schema.json. Written as a stream, so that a long one takes no
 * memory.
 */
public final class RecordingJson {
    private static final int VERSION = 1;

    private RecordingJson() {}

    public static void write(Recording recording, OutputStream out) throws IOException {
        try (JsonGenerator json = JsonMapper.shared().createGenerator(out)) {
            json.writeStartObject();
            json.writeNumberProperty("version", VERSION);
            json.writeStringProperty("sport", recording.sport().key());
            json.writeStringProperty("start", recording.start().toString());
            json.writeNumberProperty("seconds", recording.seconds());
            json.writeName("pauses");
            json.writeStartArray();
            for (Pause pause : recording.pauses()) {
                json.writeStartObject();
                json.writeNumberProperty("second", pause.index());
                json.writeNumberProperty("seconds", pause.seconds());
                json.writeEndObject();
            }
            json.writeEndArray();
            json.writeName("laps");
            json.writeStartArray();
            for (Lap lap : recording.laps()) {
                json.writeStartObject();
                json.writeNumberProperty("from", lap.from());
                json.writeNumberProperty("to", lap.to());
                if (lap.stepIndex() != Lap.NO_STEP) json.writeNumberProperty("step", lap.stepIndex());
                json.writeEndObject();
            }
            json.writeEndArray();
            json.writeName("channels");
            json.writeStartArray();
            for (var entry : recording.channels().entrySet()) channel(json, entry.getKey(), entry.getValue());
            json.writeEndArray();
            json.writeEndObject();
        }
    }

    private static void channel(JsonGenerator json, String key, Series values) {
        json.writeStartObject();
        json.writeStringProperty("name", key);
        json.writeStringProperty("unit", Channel.ofKey(key).map(Channel::unit).orElse(""));
        json.writeName("values");
        json.writeStartArray();
        for (int i = 0; i < values.size(); i++) {
            if (values.isPresent(i)) json.writeNumber(Math.rint(values.at(i) * 1e7) / 1e7);
            else json.writeNull();
        }
        json.writeEndArray();
        json.writeEndObject();
    }
}
