package pemblar.app.planner;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import pemblar.app.athlete.Athlete;
import pemblar.app.season.EventPart;
import pemblar.app.season.Held;
import pemblar.app.season.SeasonEvent;
import pemblar.app.season.SeasonSettings;
import pemblar.core.load.LoadTrend;
import pemblar.core.schedule.SportShares;
import pemblar.core.season.EventLoad;
import pemblar.core.season.Priority;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.Sex;

/** An event of several sports or stages is what its parts say, on the board and in the forecast alike. */
@Tag("unit")
class RaceDaysTest {
    private static final LocalDate DAY = LocalDate.of(2027, 6, 19);
    private static final Offset<Double> EXACT = Offset.offset(1e-9);
    private static final List<EventPart> THREE_SPORTS = List.of(
            new EventPart(1, Sport.SWIM, 1500.0, 1800, null),
            new EventPart(1, Sport.RIDE, 40_000.0, 4500, null),
            new EventPart(1, Sport.RUN, 10_000.0, 2700, null));

    private static SeasonEvent event(int days, Integer seconds, List<EventPart> parts) {
        return new SeasonEvent(
                1,
                DAY,
                days,
                "Mill dam",
                Priority.A,
                SeasonEvent.Kind.RACE,
                Sport.RIDE,
                null,
                seconds,
                List.of(),
                parts);
    }

    @Test
    void aSwimARideAndARunInARow() {
        SeasonEvent event = event(1, null, THREE_SPORTS);
        assertThat(event.seconds()).isEqualTo(9000);
        assertThat(event.metres()).isEqualTo(51_500);
        List<RaceDays.Piece> pieces = RaceDays.of(event, Sport.RIDE);
        assertThat(pieces).extracting(RaceDays.Piece::sport).containsExactly(Sport.SWIM, Sport.RIDE, Sport.RUN);
        assertThat(pieces).extracting(RaceDays.Piece::startMinute).containsExactly(540, 570, 645);
        assertThat(pieces).extracting(RaceDays.Piece::title).first().isEqualTo("Mill dam, swim");
        assertThat(pieces.stream().mapToDouble(RaceDays.Piece::load).sum()).isEqualTo(EventLoad.of(9000), EXACT);
        assertThat(event.toCore(0).load()).isEqualTo(EventLoad.of(9000), EXACT);
    }

    /** The second day was given its load, of the third nothing is known: it is as usual days are, and no session. */
    @Test
    void stagesOnTheirOwnDays() {
        SeasonEvent event = event(
                3,
                null,
                List.of(
                        new EventPart(1, Sport.RIDE, null, 7200, null),
                        new EventPart(2, Sport.RIDE, 180_000.0, null, 320.0)));
        assertThat(event.loadOn(1)).isEqualTo(EventLoad.of(7200), EXACT);
        assertThat(event.loadOn(2)).isEqualTo(320, EXACT);
        assertThat(event.loadOn(3)).isNaN();
        assertThat(event.toCore(45).byDay()).containsExactly(EventLoad.of(7200), 320.0, 45.0);
        List<RaceDays.Piece> pieces = RaceDays.of(event, Sport.RIDE);
        assertThat(pieces).extracting(RaceDays.Piece::day).containsExactly(DAY, DAY.plusDays(1));
        assertThat(pieces.get(1).title()).isEqualTo("Mill dam, stage 2");
        assertThat(pieces.get(1).load()).isEqualTo(320, EXACT);
    }

    @Test
    void withoutPartsEvenlyAsBefore() {
        SeasonEvent event = event(4, 4 * 7200, List.of());
        assertThat(event.toCore(0).loadOn(2)).isEqualTo(EventLoad.of(7200), EXACT);
        assertThat(RaceDays.of(event, Sport.RIDE))
                .hasSize(4)
                .allSatisfy(p -> assertThat(p.seconds()).isEqualTo(7200));
        assertThat(RaceDays.of(event(2, null, List.of()), Sport.RIDE)).isEmpty();
        assertThat(event(2, null, List.of()).load()).isNaN();
    }

    @Test
    void aPartBeyondTheLastDayIsRefused() {
        assertThatThrownBy(() -> event(1, null, List.of(new EventPart(2, Sport.RIDE, null, 60, null))))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("take that part out first");
        assertThatThrownBy(() -> new EventPart(1, Sport.RUN, null, null, null)).hasMessageContaining("at least");
    }

    /** A quarter of an hour in the water of three hours is trained more than that. */
    @Test
    void theSeasonTrainsTheSportsOfTheEvent() {
        SeasonEvent event = event(1, null, THREE_SPORTS);
        Held held = new Held(0, SeasonSettings.USUAL, List.of(), List.of(event), List.of(), List.of());
        Athlete athlete = new Athlete(
                1,
                "Nobody",
                List.of(Sport.RUN, Sport.RIDE, Sport.SWIM),
                Sex.NOT_GIVEN,
                ZoneOffset.UTC,
                LoadTrend.Settings.DEFAULT);
        SportShares shares = BoardFilling.shares(athlete, held, DAY.minusDays(90));
        assertThat(shares.sports()).containsExactlyInAnyOrder(Sport.SWIM, Sport.RIDE, Sport.RUN);
        assertThat(shares.shares().get(Sport.RIDE)).isEqualTo(0.5, Offset.offset(0.01));
        assertThat(shares.shares().get(Sport.SWIM)).isEqualTo(0.2, Offset.offset(0.01));
    }
}
