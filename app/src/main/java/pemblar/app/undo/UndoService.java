package pemblar.app.undo;

import java.time.Duration;
import java.time.InstantSource;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import pemblar.app.athlete.AthleteService;
import pemblar.app.frame.Visit;
import pemblar.app.sharing.PlanNews;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/**
 * Keeps what was before each change, for a day, so that it can be taken back: the latest first, each person their own.
 */
@Service
public class UndoService {
    static final Duration KEPT = Duration.ofDays(1);
    private static final int LONGEST_LABEL = 200;
    private static final JsonMapper JSON = JsonMapper.shared();
    private final UndoRepository undos;
    private final AthleteService athletes;
    private final ObjectProvider<Undoable> undoables;
    private final PlanNews news;
    private final LatestChange latest;
    private final InstantSource clock;

    UndoService(
            UndoRepository undos,
            AthleteService athletes,
            ObjectProvider<Undoable> undoables,
            PlanNews news,
            LatestChange latest,
            InstantSource clock) {
        this.latest = latest;
        this.news = news;
        this.undos = undos;
        this.athletes = athletes;
        this.undoables = undoables;
        this.clock = clock;
    }

    /** One feature's share of a change. */
    record Part(String kind, String state) {}

    /** Keeps what was before a change; within {@link #asOne} as a part of the whole. */
    @Transactional
    public void remember(Visit visit, String label, String kind, Object before) {
        Part part = new Part(kind, JSON.writeValueAsString(before));
        @SuppressWarnings("unchecked")
        List<Part> open = (List<Part>) TransactionSynchronizationManager.getResource(this);
        if (open != null) open.add(part);
        else save(visit, label, List.of(part));
    }

    /** All that the change does is one step, which one undo takes back. */
    @Transactional
    public void asOne(Visit visit, String label, Runnable change) {
        if (TransactionSynchronizationManager.hasResource(this)) {
            change.run();
            return;
        }
        List<Part> parts = new ArrayList<>();
        TransactionSynchronizationManager.bindResource(this, parts);
        try {
            change.run();
        } finally {
            TransactionSynchronizationManager.unbindResource(this);
        }
        if (!parts.isEmpty()) save(visit, label, parts);
    }

    private void save(Visit visit, String label, List<Part> parts) {
        String shortened = label.length() > LONGEST_LABEL ? label.substring(0, LONGEST_LABEL) : label;
        undos.save(new UndoRow(
                visit.athleteId(),
                visit.viewer().accountId(),
                shortened,
                JSON.writeValueAsString(parts),
                clock.instant()));
    }

    /** Takes the latest change back, at most a day old; empty when there is none. */
    @Transactional
    public Optional<String> undo(Visit visit) {
        athletes.require(visit);
        UndoRow entry = undos.latest(
                        visit.athleteId(),
                        visit.viewer().accountId(),
                        clock.instant().minus(KEPT))
                .orElse(null);
        if (entry == null) return Optional.empty();
        List<Part> parts = JSON.readValue(entry.beforeState, new TypeReference<List<Part>>() {});
        String label = entry.label;
        for (int i = parts.size() - 1; i >= 0; i--) restore(visit.athleteId(), parts.get(i));
        undos.delete(entry);
        news.takenBack(visit.athleteId(), visit.viewer(), label);
        return Optional.of("Taken back: " + label);
    }

    private void restore(long athleteId, Part part) {
        undoables.stream()
                .filter(u -> u.kind().equals(part.kind()))
                .findFirst()
                .orElseThrow()
                .restore(athleteId, part.state());
    }

    /** What the foot of the page offers to take back. */
    @Transactional(readOnly = true)
    public Optional<String> latestChange(Visit visit) {
        return latest.of(visit);
    }
}
