package pemblar.core.schedule;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import pemblar.core.schedule.DayPlan.Slot;
import pemblar.core.sport.Sport;

class SportSharesTest {
    private static final LocalDate DAY = LocalDate.of(2027, 3, 1);

    private static List<Slot> week(int number) {
        List<Slot> slots = new ArrayList<>();
        Purpose[] purposes = {Purpose.THRESHOLD, Purpose.EASY, Purpose.INTERVALS, Purpose.RECOVERY, Purpose.EASY};
        for (int i = 0; i < purposes.length; i++)
            slots.add(new Slot(DAY.plusDays(7L * number + i), 1080, purposes[i], 0, 5400));
        slots.add(new Slot(DAY.plusDays(7L * number + 6), 540, Purpose.LONG, 0, 18_000));
        return slots;
    }

    @Test
    void overBlocksTheTimeOfEachSportComesNearToItsShareAndNobodySwimsTheLongOne() {
        SportShares shares = new SportShares(Map.of(Sport.SWIM, 20, Sport.RIDE, 45, Sport.RUN, 35));
        Map<Sport, Double> time = new EnumMap<>(Sport.class);
        for (int week = 0; week < 12; week++)
            for (Slot slot : shares.assign(week(week))) {
                int seconds = Lengths.usualSeconds(slot.purpose());
                shares.took(slot.sport(), seconds);
                time.merge(slot.sport(), (double) seconds, Double::sum);
                if (slot.purpose() == Purpose.LONG) assertThat(slot.sport()).isNotEqualTo(Sport.SWIM);
            }
        double all = time.values().stream().mapToDouble(s -> s).sum();
        assertThat(time.get(Sport.SWIM) / all).isCloseTo(0.20, within(0.04));
        assertThat(time.get(Sport.RIDE) / all).isCloseTo(0.45, within(0.04));
        assertThat(time.get(Sport.RUN) / all).isCloseTo(0.35, within(0.04));
    }

    @Test
    void oneSportAloneTakesAllAlsoTheLongSessions() {
        assertThat(SportShares.of(Sport.SWIM).assign(week(0))).allMatch(s -> s.sport() == Sport.SWIM);
        assertThatThrownBy(() -> new SportShares(Map.of(Sport.RUN, 0))).isInstanceOf(IllegalArgumentException.class);
    }
}
