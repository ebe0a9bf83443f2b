package pemblar.app.athlete;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import pemblar.core.load.LoadTrend;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.Sex;

/** A day keeps the zone in which it was lived. */
@Tag("unit")
class LivedZonesTest {
    private static final ZoneId DUBLIN = ZoneId.of("Europe/Dublin");
    private static final ZoneId TOKYO = ZoneId.of("Asia/Tokyo");
    private static final LocalDate FIRST = LocalDate.of(2026, 5, 4);
    private static final LivedZones TRAVELLED = LivedZones.in(DUBLIN).with(TOKYO, FIRST);

    @Test
    void daysBeforeTheFlightStayWhereTheyWere() {
        assertThat(TRAVELLED.on(FIRST.minusDays(1))).isEqualTo(DUBLIN);
        assertThat(TRAVELLED.on(FIRST)).isEqualTo(TOKYO);
        assertThat(TRAVELLED.at(Instant.parse("2026-05-03T14:59:59Z"))).isEqualTo(DUBLIN);
        assertThat(TRAVELLED.at(Instant.parse("2026-05-03T15:00:00Z"))).isEqualTo(TOKYO);
    }

    @Test
    void anAthletesClockFollows() {
        Athlete athlete = new Athlete(
                1, "Nell", List.of(Sport.RUN), Sex.NOT_GIVEN, TRAVELLED, LoadTrend.Settings.DEFAULT, false, null, null);
        assertThat(athlete.at(FIRST.minusDays(2), 7 * 60)).isEqualTo(Instant.parse("2026-05-02T06:00:00Z"));
        assertThat(athlete.at(FIRST.plusDays(2), 7 * 60)).isEqualTo(Instant.parse("2026-05-05T22:00:00Z"));
        assertThat(athlete.dayOf(Instant.parse("2026-05-05T22:00:00Z"))).isEqualTo(FIRST.plusDays(2));
        assertThat(athlete.local(Instant.parse("2026-05-01T17:30:00Z")).getHour())
                .isEqualTo(18);
    }

    @Test
    void keptAndReadItIsTheSame() {
        LivedZones back = TRAVELLED.with(DUBLIN, FIRST.plusDays(20));
        assertThat(LivedZones.read("Europe/Dublin", back.text())).isEqualTo(back);
        assertThat(LivedZones.read("Europe/Dublin", "")).isEqualTo(LivedZones.in(DUBLIN));
    }

    /** Who says the same zone again has not moved; a correction takes the later journeys with it. */
    @Test
    void sayingItAnewCorrects() {
        assertThat(TRAVELLED.with(TOKYO, FIRST.plusDays(3))).isEqualTo(TRAVELLED);
        assertThat(TRAVELLED.with(DUBLIN, FIRST)).isEqualTo(LivedZones.in(DUBLIN));
        assertThat(TRAVELLED.with(DUBLIN, FIRST.minusDays(1)).since()).isEmpty();
    }
}
