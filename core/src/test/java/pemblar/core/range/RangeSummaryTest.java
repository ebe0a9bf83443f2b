package pemblar.core.range;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import pemblar.core.range.RangeSummary.Done;
import pemblar.core.range.RangeSummary.Item;
import pemblar.core.range.RangeSummary.Kept;
import pemblar.core.range.RangeSummary.Way;
import pemblar.core.schedule.Purpose;
import pemblar.core.season.Block;
import pemblar.core.sport.Measure;
import pemblar.core.sport.Sport;

class RangeSummaryTest {
    private static final LocalDate MONDAY = LocalDate.of(2026, 11, 2);

    private static Item item(
            int day, Sport sport, Purpose purpose, int done, int planned, Map<Measure, List<Integer>> zones) {
        return new Item(MONDAY.plusDays(day), sport, purpose, done, planned, zones);
    }

    private static final List<Item> WEEK = List.of(
            item(
                    0,
                    Sport.RIDE,
                    Purpose.EASY,
                    3600,
                    3600,
                    Map.of(Measure.POWER, List.of(600, 3000), Measure.HEART_RATE, List.of(3600))),
            item(1, Sport.RIDE, Purpose.THRESHOLD, 4000, 4800, Map.of(Measure.POWER, List.of(1000, 1000, 2000))),
            item(1, Sport.RUN, null, 1800, 0, Map.of(Measure.SPEED, List.of(1800))),
            item(3, Sport.RIDE, Purpose.LONG, 0, 10_800, Map.of()),
            item(4, Sport.RIDE, null, 1200, 0, Map.of()),
            item(6, Sport.RIDE, Purpose.LONG, 0, 7200, Map.of()),
            item(9, Sport.RIDE, Purpose.EASY, 9999, 9999, Map.of(Measure.POWER, List.of(9999))));

    private static RangeSummary week(Sport sport, Measure measure) {
        return RangeSummary.of(
                WEEK, new DayRange(MONDAY, MONDAY.plusDays(6)), new Way(MONDAY.plusDays(5), sport, measure));
    }

    @Test
    void zonesAreOfOneSportAndOneMeasure() {
        assertEquals(
                List.of(1600L, 4000L, 2000L), week(Sport.RIDE, Measure.POWER).zoneSeconds());
        assertEquals(List.of(3600L), week(Sport.RIDE, Measure.HEART_RATE).zoneSeconds());
        assertEquals(List.of(1800L), week(Sport.RUN, Measure.SPEED).zoneSeconds());
        assertEquals(List.of(), week(Sport.RUN, Measure.POWER).zoneSeconds());
        assertEquals(2, week(Sport.RIDE, Measure.POWER).sessionsInZones());
        assertEquals(1, week(Sport.RIDE, Measure.POWER).sessionsWithout(), "Friday had no power");
        assertEquals(2000, week(Sport.RIDE, Measure.POWER).from(3));
    }

    @Test
    void hoursBySportTheLongestFirst() {
        assertEquals(
                Map.of(Sport.RIDE, new Done(8800, 3), Sport.RUN, new Done(1800, 1)),
                week(Sport.RIDE, Measure.POWER).bySport());
        assertEquals(
                Sport.RIDE,
                week(Sport.RUN, Measure.SPEED).bySport().keySet().iterator().next());
        assertEquals(10_600, week(Sport.RIDE, Measure.POWER).doneSeconds());
    }

    @Test
    void whatIsNotOverIsNotMissedAndWhatNobodyPlannedIsNotKept() {
        Map<Purpose, Kept> kept = week(Sport.RIDE, Measure.POWER).kept();
        assertEquals(new Kept(1, 0, 10_800, 0), kept.get(Purpose.LONG), "Thursday was missed, Sunday is to come");
        assertEquals(new Kept(1, 1, 4800, 4000), kept.get(Purpose.THRESHOLD));
        assertEquals(List.of(Purpose.LONG, Purpose.THRESHOLD, Purpose.EASY), List.copyOf(kept.keySet()));
        RangeSummary all = week(Sport.RIDE, Measure.POWER);
        assertEquals(new Kept(3, 2, 19_200, 7600), all.allKept());
        assertEquals(26_400, all.plannedSeconds(), "Sunday is planned too");
    }

    @Test
    void weeksAddUpToTheirRange() {
        Way way = new Way(MONDAY.plusDays(13), Sport.RIDE, Measure.POWER);
        List<RangeSummary> weeks = RangeSummary.weeks(WEEK, MONDAY, 2, way);
        RangeSummary both = RangeSummary.of(WEEK, new DayRange(MONDAY, MONDAY.plusDays(13)), way);
        assertEquals(
                both.doneSeconds(), weeks.get(0).doneSeconds() + weeks.get(1).doneSeconds());
        assertEquals(
                both.plannedSeconds(),
                weeks.get(0).plannedSeconds() + weeks.get(1).plannedSeconds());
        assertEquals(
                both.allZoneSeconds(),
                weeks.get(0).allZoneSeconds() + weeks.get(1).allZoneSeconds());
        assertEquals(both.restDays(), weeks.get(0).restDays() + weeks.get(1).restDays());
        assertEquals(MONDAY.plusDays(7), weeks.get(1).from());
    }

    @Test
    void aSeasonBeginsAfterTheLastMainEventOrWithItsFirstBlockAndLastsAYearAtMost() {
        List<Block> blocks = List.of(new Block(MONDAY.minusDays(100), 7, Block.Phase.BASE, "", "", 0, 0));
        assertEquals(MONDAY.minusDays(100), SeasonSpan.firstDay(blocks, List.of(MONDAY.plusDays(9)), MONDAY));
        assertEquals(
                MONDAY.minusDays(19),
                SeasonSpan.firstDay(blocks, List.of(MONDAY.minusDays(50), MONDAY.minusDays(20)), MONDAY));
        assertEquals(MONDAY, SeasonSpan.firstDay(List.of(), List.of(), MONDAY));
        assertEquals(MONDAY.minusDays(365), SeasonSpan.firstDay(List.of(), List.of(MONDAY.minusDays(900)), MONDAY));
    }

    @Test
    void restIsADayThatIsOverWithNothingDone() {
        RangeSummary week = week(Sport.RIDE, Measure.POWER);
        assertEquals(5, week.daysOver(), "Saturday is today, and nothing of it is done yet");
        assertEquals(2, week.restDays(), "Wednesday and Thursday");
        assertEquals(2, week.longestWithoutRest());
        assertEquals(7, week.days());
    }
}
