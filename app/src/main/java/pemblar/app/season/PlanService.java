package pemblar.app.season;

import java.time.InstantSource;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.AthleteService;
import pemblar.app.frame.Visit;
import pemblar.app.frame.page.Typed;
import pemblar.app.frame.page.Units;
import pemblar.app.load.Ahead;
import pemblar.app.load.Aims;
import pemblar.app.sharing.PlanChanged;
import pemblar.app.undo.UndoService;
import pemblar.app.undo.Undoable;
import pemblar.core.season.Block;
import tools.jackson.databind.json.JsonMapper;

/**
 * Blocks, events and how the season is planned. Where no block is planned, the weeks serve as blocks. Changes can be
 * taken back.
 */
@Service
public class PlanService implements Undoable, Aims {
    private static final String KIND = "season";
    private static final int WEEK = 7;
    private static final int SIGHT_DAYS = 168;
    private static final int LEAST_AHEAD = 56;
    private static final int AFTER_EVENT = 10;
    private final SeasonStore store;
    private final EventNews news;
    private final AthleteService athletes;
    private final UndoService undo;
    private final ApplicationEventPublisher events;
    private final InstantSource clock;

    PlanService(
            SeasonStore store,
            EventNews news,
            AthleteService athletes,
            UndoService undo,
            ApplicationEventPublisher events,
            InstantSource clock) {
        this.events = events;
        this.clock = clock;
        this.store = store;
        this.news = news;
        this.athletes = athletes;
        this.undo = undo;
    }

    /** Kept for undo: it is taken back only while nobody has changed anything since. */
    private record Change(Held before, Held after) {}

    /** Events in order of day; for an athlete whom the caller has already asked for, as all that follow. */
    @Transactional(readOnly = true)
    public List<SeasonEvent> events(Athlete athlete) {
        return store.read(athlete.id()).events();
    }

    @Transactional(readOnly = true)
    public List<Block> blocks(Athlete athlete) {
        return store.read(athlete.id()).blocks();
    }

    @Override
    @Transactional(readOnly = true)
    public Map<Long, Ahead> ahead(List<Athlete> roster) {
        return roster.isEmpty()
                ? Map.of()
                : store.ahead(roster.stream().map(Athlete::id).toList());
    }

    @Transactional(readOnly = true)
    public Held held(Athlete athlete) {
        return store.read(athlete.id());
    }

    /**
     * Which events are new or were moved of late: the day each was on before, or empty for a new one.
     *
     * @param since the first day that counts
     */
    @Transactional(readOnly = true)
    public Map<Long, Optional<LocalDate>> eventNews(Athlete athlete, LocalDate since) {
        return news.since(athlete.id(), since).values().stream()
                .collect(Collectors.toMap(EventNews.News::eventId, n -> Optional.ofNullable(n.movedFrom())));
    }

    /** False until the season was set up. */
    @Transactional(readOnly = true)
    public boolean isSetUp(Athlete athlete) {
        return store.hasSettings(athlete.id());
    }

    @Transactional(readOnly = true)
    public List<SeasonSettings.Marked> marked(Athlete athlete) {
        return store.read(athlete.id()).marked();
    }

    /**
     * Changes what is held, as one step that can be taken back.
     *
     * @param seen revision of the page that the change comes from; null does not ask
     * @param change from what is held to what is to be held
     * @throws SeasonChangedMeanwhile when somebody was quicker
     */
    @Transactional
    public Held change(Visit visit, Integer seen, String label, UnaryOperator<Held> change) {
        athletes.require(visit);
        store.claim(visit.athleteId(), seen, visit.viewer().name());
        Held was = store.read(visit.athleteId());
        LocalDate today = athletes.require(visit).dayOf(clock.instant());
        store.write(visit.athleteId(), was, near(change.apply(was), today));
        Held is = store.read(visit.athleteId());
        news.note(visit.athleteId(), was.events(), is.events(), today);
        undo.remember(visit, label, KIND, new Change(was, is));
        events.publishEvent(new PlanChanged(visit.athleteId(), true));
        return is;
    }

    /** No day of a plan lies farther than any plan reaches. */
    private static Held near(Held held, LocalDate today) {
        held.events().forEach(e -> Typed.near("Day", e.last(), today));
        held.blocks().forEach(b -> Typed.near("Day", b.last(), today));
        held.marked().forEach(m -> Typed.near("Day", m.day(), today));
        held.away().forEach(a -> {
            Typed.near("From", a.from(), today);
            Typed.near("To", a.to(), today);
        });
        return held;
    }

    /** The same without undo, for making a whole plan. */
    @Transactional
    public void make(Athlete athlete, UnaryOperator<Held> change) {
        store.claim(athlete.id(), null, "");
        Held was = store.read(athlete.id());
        store.write(athlete.id(), was, change.apply(was));
    }

    @Override
    public String kind() {
        return KIND;
    }

    /** @throws IllegalArgumentException when somebody has changed the season since */
    @Override
    public void restore(long athleteId, String before) {
        Change change = JsonMapper.shared().readValue(before, Change.class);
        Held is = store.read(athleteId);
        if (!is.sameAs(change.after()))
            throw new IllegalArgumentException(
                    "The season has been changed by somebody else since; taking this back would undo theirs "
                            + "too. Change it by hand.");
        store.claim(athleteId, null, "");
        store.write(athleteId, is, change.before());
        events.publishEvent(new PlanChanged(athleteId, true));
        news.note(
                athleteId,
                is.events(),
                change.before().events(),
                LocalDate.ofInstant(clock.instant(), java.time.ZoneOffset.UTC));
    }

    /** Blocks, or weeks, of what a season's strip shows: half a year back, and ahead as far as the last event. */
    @Transactional(readOnly = true)
    public List<Block> inSight(Athlete athlete, LocalDate today) {
        Held held = store.read(athlete.id());
        LocalDate event = held.events().isEmpty()
                ? today
                : held.events().get(held.events().size() - 1).day();
        LocalDate last = event.isAfter(today.plusDays(SIGHT_DAYS))
                ? today.plusDays(SIGHT_DAYS)
                : event.isAfter(today.plusDays(LEAST_AHEAD))
                        ? event.plusDays(AFTER_EVENT)
                        : today.plusDays(LEAST_AHEAD);
        return cover(held.blocks(), today.minusDays(SIGHT_DAYS), last);
    }

    /** Blocks that cover every day of a span: the planned ones, with weeks in between. */
    public static List<Block> cover(List<Block> planned, LocalDate from, LocalDate to) {
        List<Block> all = new ArrayList<>();
        LocalDate day = from;
        for (Block block : planned) {
            if (block.last().isBefore(from) || block.first().isAfter(to)) continue;
            fill(all, day, block.first());
            all.add(block);
            day = block.last().plusDays(1);
        }
        LocalDate begin = all.isEmpty() ? weekOf(from, planned) : day;
        LocalDate ahead = planned.stream()
                .map(Block::first)
                .filter(f -> f.isAfter(to))
                .findFirst()
                .orElse(LocalDate.MAX);
        LocalDate until = Units.mine().weekOf(to).plusDays(7);
        if (!begin.isAfter(to)) fill(all, begin, until.isBefore(ahead) ? until : ahead);
        return all;
    }

    /** The first day of its week, or the day after a block that ended since. */
    private static LocalDate weekOf(LocalDate day, List<Block> planned) {
        LocalDate week = Units.mine().weekOf(day);
        return planned.stream()
                .map(b -> b.last().plusDays(1))
                .filter(d -> d.isAfter(week) && !d.isAfter(day))
                .max(LocalDate::compareTo)
                .orElse(week);
    }

    /** Weeks from a day up to another; one of under three days joins the one before it where there is one. */
    private static void fill(List<Block> all, LocalDate from, LocalDate until) {
        LocalDate day = from;
        while (day.isBefore(until)) {
            LocalDate end = Units.mine().weekOf(day).plusDays(WEEK);
            if (end.isBefore(day.plusDays(3))) end = end.plusDays(WEEK);
            if (end.isAfter(until) || until.isBefore(end.plusDays(3))) end = until;
            int days = (int) (end.toEpochDay() - day.toEpochDay());
            String name = days < Block.SHORTEST
                    ? "Between"
                    : "Week of " + day.getDayOfMonth() + " "
                            + day.getMonth().getDisplayName(java.time.format.TextStyle.SHORT, Locale.ENGLISH);
            all.add(new Block(day, days, Block.Phase.BASE, name, "", 0, 0));
            day = day.plusDays(days);
        }
    }

    /** An event of an athlete. */
    @Transactional(readOnly = true)
    public Optional<SeasonEvent> event(Athlete athlete, long id) {
        return store.read(athlete.id()).events().stream()
                .filter(e -> e.id() == id)
                .findFirst();
    }
}
