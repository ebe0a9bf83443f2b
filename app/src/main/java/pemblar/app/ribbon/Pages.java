package pemblar.app.ribbon;

import java.time.InstantSource;
import java.time.LocalDate;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.ui.Model;
import pemblar.app.athlete.Access;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.AthleteService;
import pemblar.app.frame.Viewer;
import pemblar.app.note.NoteService;
import pemblar.app.season.PlanService;
import pemblar.app.season.SeasonEvent;
import pemblar.app.session.TrendService;
import pemblar.app.session.TrendService.Trend;
import pemblar.app.undo.UndoService;
import pemblar.core.season.Block;

/** Opens a page of an athlete: asks for leave, and gives the model what every page shows. */
@Service
public class Pages {
    private static final int DAYS_BACK = 168;
    private static final int DAYS_AHEAD = 168;
    private final AthleteService athletes;
    private final Access access;
    private final PlanService plan;
    private final TrendService trends;
    private final UndoService undo;
    private final NoteService notes;
    private final InstantSource clock;

    Pages(
            AthleteService athletes,
            PlanService plan,
            TrendService trends,
            UndoService undo,
            NoteService notes,
            InstantSource clock,
            Access access) {
        this.access = access;
        this.notes = notes;
        this.athletes = athletes;
        this.plan = plan;
        this.trends = trends;
        this.undo = undo;
        this.clock = clock;
    }

    /** What an opened page knows already. */
    public record Opened(Athlete athlete, Trend trend, List<SeasonEvent> events, List<Block> blocks) {
        /** The ribbon with another stretch bracketed. */
        public Ribbon ribbon(LocalDate from, LocalDate to) {
            return new RibbonDrawing(blocks, trend).draw(events, from, to);
        }

        public LocalDate today() {
            return trend.today();
        }
    }

    /** The athlete, for whom is asked for leave. */
    public Athlete athlete(long athleteId, Viewer viewer) {
        return athletes.require(athleteId, viewer);
    }

    /** The athlete's own day. */
    public LocalDate today(Athlete athlete) {
        return athlete.dayOf(clock.instant());
    }

    /**
     * @param active the word of the page in the navigation
     * @param from first day that the page shows, null for today; {@code to} likewise
     */
    public Opened open(Model model, long athleteId, Viewer viewer, String active, LocalDate from, LocalDate to) {
        Athlete athlete = athletes.require(athleteId, viewer);
        access.looked(athleteId, viewer);
        Trend trend = trends.of(athlete);
        LocalDate today = trend.today();
        List<SeasonEvent> events = plan.events(athlete);
        LocalDate lastEvent =
                events.isEmpty() ? today : events.get(events.size() - 1).day();
        LocalDate last = lastEvent.isAfter(today.plusDays(DAYS_AHEAD))
                ? today.plusDays(DAYS_AHEAD)
                : lastEvent.isAfter(today.plusDays(56)) ? lastEvent.plusDays(10) : today.plusDays(56);
        List<Block> blocks = plan.covering(athlete, today.minusDays(DAYS_BACK), last);
        model.addAttribute("athlete", athlete);
        model.addAttribute("viewer", viewer);
        model.addAttribute("active", active);
        model.addAttribute("today", today);
        LocalDate begin = from == null ? today : from;
        Opened opened = new Opened(athlete, trend, events, blocks);
        model.addAttribute("ribbon", opened.ribbon(begin, to == null ? begin : to));
        model.addAttribute("unreadNotes", notes.unread(athlete, viewer));
        model.addAttribute("undo", undo.latestChange(athleteId, viewer).orElse(null));
        return opened;
    }
}
