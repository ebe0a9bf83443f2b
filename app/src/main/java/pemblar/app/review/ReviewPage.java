package pemblar.app.review;

import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;
import pemblar.app.frame.NotFoundException;
import pemblar.app.frame.Viewer;
import pemblar.app.frame.Visit;
import pemblar.app.frame.page.Shown;
import pemblar.app.note.Note;
import pemblar.app.note.NoteService;
import pemblar.app.session.reading.SessionService;
import pemblar.core.matching.Transitions;
import pemblar.core.recording.Channel;
import pemblar.core.repetition.Kinds;
import pemblar.core.threshold.Quantity;

/** Fills the parts of the review that several addresses answer with. */
@Component
public class ReviewPage {
    private final SessionService sessions;
    private final NoteService notes;
    private final ReviewStore store;
    private final Shown shown;

    ReviewPage(SessionService sessions, NoteService notes, ReviewStore store, Shown shown) {
        this.sessions = sessions;
        this.notes = notes;
        this.store = store;
        this.shown = shown;
    }

    /** @throws NotFoundException without a recording */
    public SessionService.Opened recorded(Visit visit, long id) {
        SessionService.Opened opened = sessions.open(visit, id);
        if (opened.recording().isEmpty()) throw new NotFoundException("recording");
        return opened;
    }

    /** Steps, repetitions and the verdict: what follows from how the session is cut. */
    public void stretches(SessionService.Opened opened, Model model) {
        Cuts cuts = Cuts.of(opened);
        model.addAttribute("athlete", opened.athlete());
        model.addAttribute("slab", opened.slab());
        model.addAttribute("byHand", opened.described().stretches().isPresent());
        model.addAttribute("steps", StepTable.of(cuts, opened));
        model.addAttribute("plan", StepTable.choices(cuts));
        model.addAttribute(
                "transitions",
                Transitions.of(cuts.matched().steps(), cuts.recording()).stream()
                        .map(t -> TransitionLine.of(t, opened.slab().sport(), shown))
                        .toList());
        Optional<RepetitionTable> repetitions = RepetitionTable.of(cuts, floor(opened), restCeiling(opened), shown);
        repetitions.ifPresent(table -> model.addAttribute("repetitions", table));
        model.addAttribute("verdict", opened.described().verdict().orElse(null));
    }

    /** 75 % of threshold in what an effort is measured by, W or m/s; NaN when it is not known. */
    static double restCeiling(SessionService.Opened opened) {
        boolean power = opened.recording().filter(r -> r.has(Channel.POWER)).isPresent();
        Quantity threshold = power ? Quantity.THRESHOLD_POWER : Quantity.THRESHOLD_SPEED;
        return Kinds.HARD * opened.thresholds().get(threshold).orElse(Double.NaN);
    }

    /** Lower boundary of power zone 3, or NaN. */
    static double floor(SessionService.Opened opened) {
        return opened.zones()
                .of(pemblar.core.sport.Measure.POWER, opened.slab().sport())
                .filter(set -> set.count() >= 3)
                .map(set -> set.floorOf(3))
                .orElse(Double.NaN);
    }

    /** A kept range in seconds of the recording as it counts; what was trimmed away is left out. */
    public List<ReviewStore.Named> ranges(SessionService.Opened opened) {
        return store.ranges(opened.slab().id()).stream()
                .map(r ->
                        new ReviewStore.Named(r.id(), r.from() - opened.trimmed(), r.to() - opened.trimmed(), r.name()))
                .filter(r -> r.from() >= 0)
                .toList();
    }

    public List<Note> notes(SessionService.Opened opened, Viewer viewer) {
        return notes
                .ofSession(
                        new Visit(opened.athlete().id(), viewer), opened.slab().id())
                .stream()
                .map(n -> n.second() == null ? n : n.at(Math.max(0, n.second() - opened.trimmed())))
                .toList();
    }
}
