package pemblar.app.review;

import java.util.List;
import org.springframework.stereotype.Service;
import pemblar.app.session.reading.SessionService;
import pemblar.core.repetition.Span;

/** The repetitions of a session as its page shows them. */
@Service
public class RepetitionFinder {
    /** Seconds of the recording as it counts; empty without a recording or when nothing repeats. */
    public List<Span> of(SessionService.Opened opened) {
        if (opened.recording().isEmpty()) return List.of();
        return RepetitionTable.spans(Cuts.of(opened), ReviewPage.floor(opened));
    }
}
