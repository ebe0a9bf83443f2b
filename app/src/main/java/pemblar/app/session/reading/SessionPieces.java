package pemblar.app.session.reading;

import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.athlete.Athlete;
import pemblar.app.effort.AerobicStore;
import pemblar.app.session.TrainingSessionRepository;
import pemblar.core.sport.Sport;

/** Steady stretches with what is said of their sessions: where it was, and so whose temperature it was. */
@Service
public class SessionPieces {
    private final AerobicStore pieces;
    private final TrainingSessionRepository sessions;

    SessionPieces(AerobicStore pieces, TrainingSessionRepository sessions) {
        this.pieces = pieces;
        this.sessions = sessions;
    }

    /** One stretch with the session it is of; a temperature that nobody knows is NaN. */
    public record Piece(
            long sessionId,
            LocalDate day,
            String surface,
            double hours,
            double celsius,
            boolean sky,
            double bpm,
            double output) {}

    /** Of the sessions of a sport from a day on; for an athlete whom the caller has already asked for. */
    @Transactional(readOnly = true)
    public List<Piece> from(Athlete athlete, Sport sport, LocalDate from) {
        Map<Long, TrainingSessionRepository.Where> where = sessions.where(athlete.id(), from).stream()
                .collect(Collectors.toMap(TrainingSessionRepository.Where::recordingId, w -> w));
        return pieces.from(athlete.id(), sport, from).stream()
                .filter(p -> where.containsKey(p.recordingId()))
                .map(p -> piece(p, where.get(p.recordingId())))
                .toList();
    }

    /** Indoors the sky's temperature says nothing. */
    private static Piece piece(AerobicStore.Stored p, TrainingSessionRepository.Where where) {
        boolean indoors = where.surface().toLowerCase(Locale.ROOT).contains("indoor");
        return new Piece(
                where.sessionId(),
                p.day(),
                where.surface(),
                p.hours(),
                p.sky() && indoors ? Double.NaN : p.celsius(),
                p.sky(),
                p.bpm(),
                p.output());
    }
}
