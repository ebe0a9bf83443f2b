package pemblar.app.today;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import pemblar.app.athlete.Athlete;
import pemblar.app.plan.row.BoardRow;
import pemblar.app.plan.row.BoardRow.SlabView;
import pemblar.app.session.Slab;
import pemblar.app.session.reading.SessionService;
import pemblar.app.sky.SkyHour;
import pemblar.app.sky.SkyService;
import pemblar.app.threshold.ThresholdService;
import pemblar.app.workout.SheetLine;
import pemblar.core.workout.Workout;
import pemblar.core.zone.Zones;

/** Puts together what a phone shows of today's sessions. */
@Component
class TodaySessions {
    private static final int NOON = 720;
    private final SessionService sessions;
    private final ThresholdService thresholds;
    private final SkyService sky;

    TodaySessions(SessionService sessions, ThresholdService thresholds, SkyService sky) {
        this.sessions = sessions;
        this.thresholds = thresholds;
        this.sky = sky;
    }

    /** For an athlete whom the caller has already asked for; the drawings are the board's. */
    List<TodaySession> of(Athlete athlete, LocalDate today, List<BoardRow> rows) {
        Map<Long, SlabView> views = rows.stream()
                .flatMap(row -> row.days().stream())
                .filter(BoardRow.Day::today)
                .flatMap(day -> day.slabs().stream())
                .collect(Collectors.toMap(view -> view.slab().id(), Function.identity()));
        if (views.isEmpty()) return List.of();
        Zones zones = thresholds.zonesOf(athlete).on(today);
        return sessions.wholeBetween(athlete, today, today).stream()
                .filter(whole -> views.containsKey(whole.slab().id()))
                .map(whole -> of(athlete, whole, views.get(whole.slab().id()), zones))
                .toList();
    }

    private TodaySession of(Athlete athlete, SessionService.Whole whole, SlabView view, Zones zones) {
        List<SheetLine> steps = List.of();
        String missing = null;
        try {
            steps = whole.workout().map(workout -> steps(workout, zones)).orElse(List.of());
        } catch (IllegalArgumentException e) {
            missing = e.getMessage();
        }
        return new TodaySession(view, steps, missing, hours(athlete, whole.slab()), whole.described(), whole.effort());
    }

    private static List<SheetLine> steps(Workout workout, Zones zones) {
        return workout.sport().isLifted() ? List.of() : SheetLine.of(workout, zones);
    }

    private List<SkyHour> hours(Athlete athlete, Slab slab) {
        if (slab.done() != null || slab.sport().isLifted()) return List.of();
        Instant start = athlete.at(slab.day(), slab.startMinute() == null ? NOON : slab.startMinute());
        return sky.hours(athlete, start, start.plusSeconds(slab.longestSeconds()));
    }
}
