package pemblar.app.evidence.interval;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import pemblar.app.athlete.Athlete;
import pemblar.app.effort.EffortService;
import pemblar.app.threshold.ThresholdService;
import pemblar.core.effort.BestCurve;
import pemblar.core.model.IntervalTarget;
import pemblar.core.model.Reserve;
import pemblar.core.recording.Series;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.DatedValues;
import pemblar.core.threshold.Quantity;
import pemblar.core.threshold.Sex;
import pemblar.core.workout.Pace;

/** What a runner holds, by critical speed and D′ of three efforts whose line is known. */
@Tag("unit")
class IntervalsServiceTest {
    private static final LocalDate TODAY = LocalDate.of(2026, 11, 30);
    private static final double CRITICAL = 4.2;
    private static final double DISTANCE = 180;
    private final Athlete runner = mock(Athlete.class);
    private final ThresholdService thresholds = mock(ThresholdService.class);
    private final EffortService efforts = mock(EffortService.class);
    private final IntervalsService service = new IntervalsService(thresholds, efforts);

    @BeforeEach
    void threeEfforts() {
        BestCurve curve = new BestCurve();
        long source = 1;
        for (int seconds : new int[] {180, 420, 1200}) {
            double[] speeds = new double[seconds];
            Arrays.fill(speeds, CRITICAL + DISTANCE / seconds);
            curve.raise(source++, BestCurve.onGrid(Series.of(speeds)), 1);
        }
        when(efforts.curve(any())).thenReturn(curve);
        set();
    }

    private void set(DatedValues.Dated... values) {
        when(thresholds.of(runner)).thenReturn(new DatedValues(List.of(values), Sex.NOT_GIVEN));
    }

    private IntervalsService.Answer asked(int repeats, int seconds, double rest) {
        return service.of(runner, new IntervalsService.Question(Sport.RUN, repeats, seconds, 120, rest, 0.1), TODAY);
    }

    @Test
    void theCoresSpeedReadsAsAPaceFromSlowToFast() {
        IntervalsService.Answer answer = asked(5, 180, 0);
        double speed = IntervalTarget.of(new Reserve(CRITICAL, DISTANCE), new IntervalTarget.Set(5, 180, 120, 0, 0.1))
                .watts();
        assertThat(answer.held()).isEqualTo(Pace.clock(1000 / speed) + " /km");
        assertThat(answer.left()).isEqualTo("18 m of D′");
        assertThat(answer.range()).matches("\\d:\\d\\d /km to \\d:\\d\\d /km");
        assertThat(answer.words()).contains("critical speed and D′");
        assertThat(answer.ofThreshold()).isNull();
    }

    @Test
    void aRestAsAShareNeedsTheThresholdPace() {
        assertThat(asked(5, 180, 0.5).words()).contains("The threshold pace is not known");
        set(new DatedValues.Dated(Quantity.THRESHOLD_SPEED, TODAY.minusDays(9), 4.0));
        IntervalsService.Answer answer = asked(5, 180, 0.5);
        assertThat(answer.held()).isNotNull();
        assertThat(answer.ofThreshold()).isGreaterThan(1);
    }

    @Test
    void oneEffortIsNeverFasterThanWhatWasTested() {
        IntervalsService.Answer answer =
                service.of(runner, new IntervalsService.Question(Sport.RUN, 1, 420, 0, 0, 0), TODAY);
        assertThat(answer.held()).isEqualTo(Pace.clock(1000 / (CRITICAL + DISTANCE / 420)) + " /km");
    }

    @Test
    void withoutEffortsItSaysWhatItTakes() {
        when(efforts.curve(any())).thenReturn(new BestCurve());
        IntervalsService.Answer answer = asked(5, 180, 0);
        assertThat(answer.held()).isNull();
        assertThat(answer.words()).startsWith("Critical speed and D′ are not known: it takes three all-out efforts");
    }
}
