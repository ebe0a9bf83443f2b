package pemblar.app.session.reading;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import pemblar.app.athlete.Athlete;
import pemblar.app.effort.AerobicStore;
import pemblar.app.session.TrainingSessionRepository;
import pemblar.core.load.LoadTrend;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.Sex;

/** A stretch has the temperature of where it was, and is left out with its session. */
@Tag("unit")
class SessionPiecesTest {
    private static final LocalDate FROM = LocalDate.of(2026, 5, 4);
    private static final Athlete ATHLETE =
            new Athlete(1, "A", List.of(Sport.RIDE), Sex.NOT_GIVEN, ZoneId.of("UTC"), LoadTrend.Settings.DEFAULT);
    private final AerobicStore store = mock(AerobicStore.class);
    private final TrainingSessionRepository sessions = mock(TrainingSessionRepository.class);
    private final SessionPieces pieces = new SessionPieces(store, sessions);

    private static AerobicStore.Stored stored(long recording, double celsius, boolean sky) {
        return new AerobicStore.Stored(recording, FROM, 1, celsius, sky, 140, 200);
    }

    private SessionPieces.Piece only(AerobicStore.Stored stored, String surface) {
        when(store.from(1, Sport.RIDE, FROM)).thenReturn(List.of(stored));
        when(sessions.where(1, FROM)).thenReturn(List.of(new TrainingSessionRepository.Where(5, 7, surface)));
        List<SessionPieces.Piece> all = pieces.from(ATHLETE, Sport.RIDE, FROM);
        assertThat(all).hasSize(1);
        return all.get(0);
    }

    @Test
    void theSkySaysNothingIndoors() {
        assertThat(only(stored(5, 31, true), "road").celsius()).isEqualTo(31);
        assertThat(only(stored(5, 31, true), "Indoor trainer").celsius()).isNaN();
        assertThat(only(stored(5, 24, false), "indoor").celsius())
                .as("the device's own")
                .isEqualTo(24);
    }

    @Test
    void aStretchWhoseSessionIsGoneIsLeftOut() {
        when(store.from(1, Sport.RIDE, FROM)).thenReturn(List.of(stored(5, 20, false), stored(6, 20, false)));
        when(sessions.where(1, FROM)).thenReturn(List.of(new TrainingSessionRepository.Where(6, 8, "")));
        assertThat(pieces.from(ATHLETE, Sport.RIDE, FROM))
                .extracting(SessionPieces.Piece::sessionId)
                .containsExactly(8L);
    }
}
