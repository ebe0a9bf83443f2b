package pemblar.app.recording;

import java.util.List;

/** Deleted recordings are about to go for good; whoever still points to them lets go, in the same transaction. */
public record RecordingsGoing(List<Long> recordingIds) {}
