package pemblar.app.recording.bytes;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.frame.NotFoundException;
import pemblar.app.frame.Secret;
import pemblar.app.objects.ObjectLost;
import pemblar.app.objects.ObjectStore;

/** The bytes of recordings, wherever they lie: in the database, or as objects of a store, known by their hash. */
@Service
public class RecordingBytes {
    private final RecordingDataRepository data;
    private final ObjectStore objects;

    RecordingBytes(RecordingDataRepository data, ObjectStore objects) {
        this.data = data;
        this.objects = objects;
    }

    static String originalKey(long recordingId) {
        return "recordings/" + recordingId + "/original";
    }

    static String channelsKey(long recordingId) {
        return "recordings/" + recordingId + "/channels";
    }

    /** The file as it came; for a caller who may see it. @throws NotFoundException when it is gone for good */
    @Transactional(readOnly = true)
    public byte[] original(long recordingId) {
        RecordingDataRow row = row(recordingId);
        return row.place == RecordingDataRow.Place.DATABASE
                ? row.original
                : read(originalKey(recordingId), row.originalSha256);
    }

    /** The same where it lies in the database; empty for one in the store of objects, which is not asked. */
    @Transactional(readOnly = true)
    public Optional<byte[]> originalHere(long recordingId) {
        return Optional.ofNullable(row(recordingId).original);
    }

    private RecordingDataRow row(long recordingId) {
        return data.findById(recordingId).orElseThrow(() -> new NotFoundException("recording"));
    }

    /** Keeps what came with a recording. @param bests its best means, as they are read again */
    @Transactional
    public void keep(long recordingId, byte[] original, byte[] channels, String bests) {
        data.save(new RecordingDataRow(recordingId, original, channels, bests));
    }

    /** The best means that were kept last. */
    @Transactional(readOnly = true)
    public String bests(long recordingId) {
        return data.findById(recordingId).orElseThrow().bests;
    }

    @Transactional
    public void keepBests(long recordingId, String bests) {
        data.findById(recordingId).orElseThrow().bests = bests;
    }

    /** The channels as {@link ChannelColumn} reads them. */
    @Transactional(readOnly = true)
    public byte[] channels(long recordingId) {
        RecordingDataRow row = data.findById(recordingId).orElseThrow();
        return row.place == RecordingDataRow.Place.DATABASE
                ? row.channels
                : read(channelsKey(row.recordingId), row.channelsSha256);
    }

    /** Channels of some recordings, without the original files, by recording. */
    public Map<Long, byte[]> channels(List<Long> recordingIds) {
        Map<Long, byte[]> all = new HashMap<>();
        if (recordingIds.isEmpty()) return all;
        for (RecordingDataRepository.Channels c : data.channels(recordingIds))
            all.put(
                    c.recordingId(),
                    c.channels() != null ? c.channels() : read(channelsKey(c.recordingId()), c.sha256()));
        return all;
    }

    /** As {@link #channels(List)}, without those of which nothing is left. */
    public Map<Long, byte[]> channelsThatAreThere(List<Long> recordingIds) {
        try {
            return channels(recordingIds);
        } catch (ObjectLost e) {
            Map<Long, byte[]> all = new HashMap<>();
            for (long id : recordingIds) channelsIfThere(id).ifPresent(channels -> all.put(id, channels));
            return all;
        }
    }

    private Optional<byte[]> channelsIfThere(long recordingId) {
        try {
            return Optional.of(channels(recordingId));
        } catch (ObjectLost e) {
            return Optional.empty();
        }
    }

    /** @throws ObjectLost when it is not there, or is not what was put there */
    private byte[] read(String key, String sha256) {
        byte[] content = objects.get(key).orElseThrow(() -> new ObjectLost(key + " is not in the store of objects"));
        if (!Secret.hash(content).equals(sha256))
            throw new ObjectLost(key + " is not what was put into the store of objects");
        return content;
    }
}
