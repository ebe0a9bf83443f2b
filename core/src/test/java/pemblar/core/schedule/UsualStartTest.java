package pemblar.core.schedule;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import pemblar.core.schedule.UsualStart.Started;
import pemblar.core.sport.Sport;

class UsualStartTest {
    private static final LocalDate TUESDAY = LocalDate.of(2027, 3, 2);

    @Test
    void theLastEightOfThatWeekdayAndSportCount() {
        List<Started> starts = new ArrayList<>();
        for (int week = 1; week <= 12; week++)
            starts.add(new Started(TUESDAY.minusWeeks(week), Sport.RIDE, week <= 8 ? 1050 + week : 400));
        starts.add(new Started(TUESDAY.minusWeeks(1), Sport.RUN, 360));
        starts.add(new Started(TUESDAY.minusDays(1), Sport.RIDE, 500));
        UsualStart usual = new UsualStart(starts);
        assertThat(usual.on(TUESDAY, Sport.RIDE)).isEqualTo(1054);
        assertThat(usual.on(TUESDAY, Sport.RUN)).isEqualTo(360);
        assertThat(usual.on(TUESDAY.plusDays(1), Sport.RIDE))
                .as("no start on a Wednesday")
                .isEqualTo(720);
    }
}
