package pemblar.app.athlete;

import java.time.InstantSource;
import java.time.LocalDate;
import org.springframework.stereotype.Service;
import org.springframework.ui.Model;
import org.springframework.web.context.request.RequestAttributes;
import org.springframework.web.context.request.RequestContextHolder;
import pemblar.app.frame.Viewer;
import pemblar.app.frame.Visit;
import pemblar.app.frame.page.Looking;

/** Opens a page of an athlete: asks for leave, keeps the trail, and has the frame drawn around it. */
@Service
public class Pages {
    private static final String BEGUN = Pages.class.getName() + ".begun";
    private static final String ONLY_SEEN = Pages.class.getName() + ".onlySeen";
    private final AthleteService athletes;
    private final Access access;
    private final PageFrame frame;
    private final Looking looking;
    private final InstantSource clock;

    Pages(AthleteService athletes, Access access, PageFrame frame, Looking looking, InstantSource clock) {
        this.athletes = athletes;
        this.access = access;
        this.frame = frame;
        this.looking = looking;
        this.clock = clock;
    }

    /** An opened page. @param today the athlete's own day */
    public record Opened(Visit visit, Athlete athlete, LocalDate today) {
        public Viewer viewer() {
            return visit.viewer();
        }
    }

    /** Days that a page shows. @param from null for today @param to null for the first alone */
    public record Days(LocalDate from, LocalDate to) {
        private static final Days TODAY = new Days(null, null);
    }

    /** The athlete, for whom is asked for leave. */
    public Athlete athlete(Visit asked) {
        return athletes.require(asked);
    }

    /** The athlete's own day. */
    public LocalDate today(Athlete athlete) {
        return athlete.dayOf(clock.instant());
    }

    /** Begins a page that must look around before it knows which days it shows; {@link #open} goes on with it. */
    public Athlete begin(Visit visit) {
        if (!isFirst(visit)) return athlete(visit);
        looking.begin();
        AthleteService.Sight seen = athletes.seen(visit);
        if (seen.byCoach()) looking.between(() -> access.looked(visit));
        onlySeen(seen.byCoach() && !seen.athlete().draftsSeen());
        return seen.athlete();
    }

    /** A coach who does not plan may read and write notes: the page says so, and offers no change that is refused. */
    private static void onlySeen(boolean only) {
        RequestAttributes page = RequestContextHolder.getRequestAttributes();
        if (page != null) page.setAttribute(ONLY_SEEN, only, RequestAttributes.SCOPE_REQUEST);
    }

    private static boolean isOnlySeen() {
        RequestAttributes page = RequestContextHolder.getRequestAttributes();
        return page != null && Boolean.TRUE.equals(page.getAttribute(ONLY_SEEN, RequestAttributes.SCOPE_REQUEST));
    }

    /** One request is one look, however many parts of it begin with the athlete. */
    private static boolean isFirst(Visit visit) {
        RequestAttributes page = RequestContextHolder.getRequestAttributes();
        if (page == null) return true;
        boolean first = !visit.equals(page.getAttribute(BEGUN, RequestAttributes.SCOPE_REQUEST));
        page.setAttribute(BEGUN, visit, RequestAttributes.SCOPE_REQUEST);
        return first;
    }

    /** A page that shows today. @param active the word of the page in the navigation */
    public Opened open(Model model, Visit visit, String active) {
        return open(model, visit, active, Days.TODAY);
    }

    /** @param active the word of the page in the navigation */
    public Opened open(Model model, Visit visit, String active, Days days) {
        Athlete athlete = begin(visit);
        LocalDate today = today(athlete);
        model.addAttribute("athlete", athlete);
        model.addAttribute("viewer", visit.viewer());
        model.addAttribute("active", active);
        model.addAttribute("today", today);
        model.addAttribute("onlySeen", isOnlySeen());
        LocalDate begin = days.from() == null ? today : days.from();
        LocalDate end = days.to() == null ? begin : days.to();
        frame.draw(model, new PageFrame.Around(athlete, visit.viewer(), begin, end));
        return new Opened(visit, athlete, today);
    }
}
