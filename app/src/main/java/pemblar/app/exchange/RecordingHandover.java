package pemblar.app.exchange;

import java.util.List;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.Handover;
import pemblar.app.frame.Viewer;
import pemblar.app.frame.Visit;
import pemblar.app.session.reading.ExportService;

/**
 * Recordings are taken in anew from their original files, with the person's own thresholds; one that they have already
 * is recognised.
 */
@Component
@Order(6)
class RecordingHandover implements Handover {
    private final ExportService recordings;
    private final ImportService imports;

    RecordingHandover(ExportService recordings, ImportService imports) {
        this.recordings = recordings;
        this.imports = imports;
    }

    @Override
    public List<String> preview(Athlete from, Athlete to) {
        int count = recordings.originals(from).size();
        return count == 0
                ? List.of()
                : List.of(count + (count == 1 ? " recording" : " recordings")
                        + ", read anew with your values; those that you have already are not taken twice.");
    }

    @Override
    public void hand(Athlete from, Athlete to, Viewer person, boolean seasonToo) {
        for (ExportService.Item item : recordings.originals(from))
            imports.upload(new Visit(to.id(), person), item.originalName(), recordings.original(item));
    }
}
