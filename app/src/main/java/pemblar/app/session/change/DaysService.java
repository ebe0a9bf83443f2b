package pemblar.app.session.change;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.athlete.Athlete;
import pemblar.app.frame.Visit;
import pemblar.app.session.PlanState;
import pemblar.app.session.SessionDesk;
import pemblar.app.session.SessionRow;
import pemblar.app.session.TrainingSessionRepository;
import pemblar.core.range.DayRange;
import pemblar.core.zone.DatedZones;

/** Moves and copies whole days; what is done keeps its day. */
@Service
public class DaysService {
    private static final int MOST_DAYS = 400;
    private static final int FARTHEST = 1000;
    private final TrainingSessionRepository sessions;
    private final SessionDesk desk;

    DaysService(TrainingSessionRepository sessions, SessionDesk desk) {
        this.sessions = sessions;
        this.desk = desk;
    }

    /** Open sessions of some days to as many days from {@code target} on. @return how many */
    @Transactional
    public int move(Visit visit, LocalDate from, LocalDate to, LocalDate target) {
        return shift(visit, new DayRange(from, to), checked(from, to, target), "to " + SessionDesk.day(target));
    }

    /** All open sessions from a day on, by some days. @return how many */
    @Transactional
    public int shiftAfter(Visit visit, LocalDate from, int by) {
        String days = by + (Math.abs(by) == 1 ? " day" : " days");
        return shift(visit, new DayRange(from, LocalDate.of(9999, 1, 1)), by, "by " + days);
    }

    private int shift(Visit visit, DayRange days, long by, String where) {
        if (by == 0 || Math.abs(by) > FARTHEST)
            throw new IllegalArgumentException("Days: enter 1 to " + FARTHEST + ", or below zero to shift back.");
        Athlete athlete = desk.athlete(visit);
        DatedZones zones = desk.zones(athlete);
        List<SessionRow> open = sessions.openFrom(visit.athleteId(), days.from()).stream()
                .filter(r -> days.contains(r.day()) && r.isSeenBy(athlete))
                .toList();
        if (open.isEmpty()) return 0;
        PlanState before = PlanState.changing(open);
        for (SessionRow row : open) {
            row.moveTo(desk.near(athlete, row.day().plusDays(by)));
            row.by(visit.viewer().name());
            SessionDesk.forecast(row, zones.on(row.day()));
        }
        desk.remember(
                visit, "Moved " + open.size() + (open.size() == 1 ? " session " : " sessions ") + where + ".", before);
        return open.size();
    }

    /** Planned sessions of some days, done or not, once more from {@code target} on. @return how many */
    @Transactional
    public int copy(Visit visit, LocalDate from, LocalDate to, LocalDate target) {
        long by = checked(from, to, target);
        Athlete athlete = desk.athlete(visit);
        DatedZones zones = desk.zones(athlete);
        List<Long> made = new ArrayList<>();
        for (SessionRow row : sessions.between(visit.athleteId(), from, to)) {
            if (!row.hasPlan() || !row.isSeenBy(athlete)) continue;
            SessionRow copy = row.copyTo(desk.near(athlete, row.day().plusDays(by)));
            copy.by(visit.viewer().name());
            SessionDesk.forecast(copy, zones.on(copy.day()));
            made.add(sessions.save(copy).id());
        }
        if (made.isEmpty())
            throw new IllegalArgumentException("Nothing is planned on these days, so there is nothing to copy.");
        desk.remember(
                visit,
                "Copied " + made.size() + (made.size() == 1 ? " session to " : " sessions to ")
                        + SessionDesk.day(target) + ".",
                PlanState.making(made));
        return made.size();
    }

    private static long checked(LocalDate from, LocalDate to, LocalDate target) {
        if (to.isBefore(from) || to.isAfter(from.plusDays(MOST_DAYS)))
            throw new IllegalArgumentException(
                    "Days: the last one must not be before the first, and at most " + MOST_DAYS + " days on.");
        return target.toEpochDay() - from.toEpochDay();
    }

    /** Gives an open session another clock time, and with it perhaps another day. */
    @Transactional
    public void startAt(Visit visit, long sessionId, Integer version, LocalDate day, int minute) {
        if (minute < 0 || minute > 1439)
            throw new IllegalArgumentException("Start: choose a time from 00:00 to 23:59.");
        SessionRow row = desk.open(visit, sessionId);
        desk.expect(row, version);
        desk.remember(
                visit,
                String.format(
                        java.util.Locale.ROOT,
                        "“%s” starts on %s at %02d:%02d.",
                        row.title(),
                        SessionDesk.day(day),
                        minute / 60,
                        minute % 60),
                PlanState.changing(row));
        row.moveTo(desk.near(visit, day));
        row.startAt(minute);
        desk.touch(row, visit.viewer());
        SessionDesk.forecast(row, desk.zones(desk.athlete(visit)).on(day));
    }
}
