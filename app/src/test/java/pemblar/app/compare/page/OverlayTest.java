package pemblar.app.compare.page;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyLong;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.times;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import pemblar.app.athlete.Athlete;
import pemblar.app.compare.Content;
import pemblar.app.compare.Content.Line;
import pemblar.app.frame.Viewer;
import pemblar.app.frame.Visit;
import pemblar.app.session.Described;
import pemblar.app.session.Slab;
import pemblar.app.session.reading.SessionService;
import pemblar.app.session.reading.SessionService.Opened;
import pemblar.core.load.LoadTrend;
import pemblar.core.recording.Recording;
import pemblar.core.recording.Series;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.Sex;
import pemblar.core.threshold.Thresholds;
import pemblar.core.zone.Zones;

/** Repetitions over one another, drawn in a box of 640 by 214. */
@Tag("unit")
class OverlayTest {
    private static final Viewer VIEWER = new Viewer(1, "Test Person");
    private final SessionService sessions = mock(SessionService.class);
    private final Overlay overlay = new Overlay(sessions);

    private void session(long id, int trimmed, String channel, double... levels) {
        double[] values = new double[100 * levels.length];
        for (int i = 0; i < levels.length; i++) Arrays.fill(values, 100 * i, 100 * (i + 1), levels[i]);
        Recording recording = new Recording(
                Sport.RIDE, Instant.EPOCH, values.length, List.of(), Map.of(channel, Series.of(values)), List.of());
        Slab slab = new Slab(
                id,
                LocalDate.of(2026, 5, 4),
                null,
                Sport.RIDE,
                "Fives",
                false,
                100,
                null,
                null,
                null,
                null,
                false,
                0,
                "",
                null,
                null);
        Athlete athlete = new Athlete(
                3, "A", java.util.List.of(Sport.RIDE), Sex.NOT_GIVEN, ZoneOffset.UTC, LoadTrend.Settings.DEFAULT);
        when(sessions.open(new Visit(3, VIEWER), id))
                .thenReturn(new Opened(
                        athlete,
                        slab,
                        Optional.empty(),
                        Zones.usual(Thresholds.NONE),
                        Optional.of(recording),
                        Optional.empty(),
                        null,
                        null,
                        trimmed,
                        values.length + trimmed,
                        new Described("", "", "", "", List.of(), Optional.empty(), Optional.empty()),
                        List.of()));
    }

    private static Line line(long session, int from, int to, String group) {
        return new Line(0, session, from, to, "Fives", group, false, Map.of(), Map.of(), 1, "2026-05-04", "");
    }

    private Overlay.Drawn drawn(Line... lines) {
        return overlay.of(new Visit(3, VIEWER), Content.EMPTY.add(List.of(lines)));
    }

    private static double[] firstPoint(Overlay.Trace trace) {
        return Arrays.stream(trace.path().substring(1).split("[L ]"))
                .limit(2)
                .mapToDouble(Double::parseDouble)
                .toArray();
    }

    @Test
    void eachBeginsAtItsFirstSecondAndTheHarderLiesHigher() {
        session(7, 0, "power", 100, 200, 100, 250);
        Overlay.Drawn drawn = drawn(line(7, 100, 200, "old"), line(7, 300, 400, "new"));
        assertThat(drawn.unit()).isEqualTo("W");
        assertThat(drawn.traces()).hasSize(2);
        double[] old = firstPoint(drawn.traces().get(0));
        double[] fresh = firstPoint(drawn.traces().get(1));
        assertThat(old[0]).as("both from the left").isCloseTo(fresh[0], within(1e-9));
        assertThat(fresh[1]).isLessThan(old[1]);
        assertThat(drawn.traces()).extracting(Overlay.Trace::shape).containsExactly(0, 1);
        verify(sessions, times(1)).open(any(), anyLong());
    }

    @Test
    void secondsAreThoseOfTheOriginal() {
        session(7, 50, "power", 100, 300);
        Overlay.Drawn drawn = drawn(line(7, 150, 250, "a"), line(7, 20, 60, "a"));
        assertThat(drawn.traces()).as("the second was trimmed away").hasSize(1);
        assertThat(drawn.ticks())
                .as("300 W all along")
                .allSatisfy(t -> assertThat(Double.parseDouble(t.text())).isBetween(280.0, 320.0));
    }

    @Test
    void powerAndSpeedAreNotDrawnOverOneAnother() {
        session(7, 0, "power", 200, 200);
        session(8, 0, "speed", 9, 9);
        Overlay.Drawn drawn = drawn(line(7, 0, 100, "a"), line(8, 0, 100, "b"));
        assertThat(drawn.traces()).hasSize(1);
        assertThat(drawn(line(8, 0, 100, "b")).unit()).isEqualTo("m/s");
    }

    @Test
    void theScaleOfTimeReachesToTheEndOfTheLongest() {
        session(7, 0, "power", 200, 200, 200, 200, 200, 200);
        Overlay.Drawn drawn = drawn(line(7, 0, 480, "a"), line(7, 0, 240, "b"));
        assertThat(drawn.times())
                .extracting(ComparisonView.Tick::text)
                .containsExactly("0:00", "2:00", "4:00", "6:00", "8:00");
        String half = drawn.traces().get(1).path();
        double last =
                Double.parseDouble(half.substring(half.lastIndexOf('L') + 1).split(" ")[0]);
        assertThat(last).as("half as long").isBetween(320.0, 340.0);
    }

    @Test
    void hiddenOnesAndAnEmptyComparisonDrawNothing() {
        session(7, 0, "heartRate", 150, 150);
        assertThat(drawn().traces()).isEmpty();
        assertThat(drawn(line(7, 0, 100, "a")).traces())
                .as("neither power nor speed")
                .isEmpty();
        Content hidden = Content.EMPTY.add(List.of(line(9, 0, 100, "a"))).changeAll(l -> l.shown(false));
        assertThat(overlay.of(new Visit(3, VIEWER), hidden).traces()).isEmpty();
    }
}
