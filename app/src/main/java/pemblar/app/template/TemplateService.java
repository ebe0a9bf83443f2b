package pemblar.app.template;

import java.time.DayOfWeek;
import java.time.InstantSource;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.AthleteService;
import pemblar.app.frame.NotFoundException;
import pemblar.app.frame.Viewer;
import pemblar.app.frame.Visit;
import pemblar.app.session.change.ScheduleService;
import pemblar.app.session.change.ScheduleService.Chosen;
import pemblar.app.session.change.ScheduleService.Placed;
import pemblar.core.schedule.Placement;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** Makes templates from the board and puts them on it. */
@Service
public class TemplateService {
    private static final JsonMapper JSON = JsonMapper.shared();
    static final int LONGEST_DAYS = 400;
    static final int MOST_ENTRIES = 300;
    private final TemplateRepository templates;
    private final ScheduleService schedule;
    private final AthleteService athletes;
    private final InstantSource clock;

    TemplateService(
            TemplateRepository templates, ScheduleService schedule, AthleteService athletes, InstantSource clock) {
        this.templates = templates;
        this.schedule = schedule;
        this.athletes = athletes;
        this.clock = clock;
    }

    /** A template as a list shows it. */
    public record Summary(long id, String title, int sessions, int days, List<String> titles) {}

    /** How a template is put on the board. */
    public enum How {
        FROM,
        ENDING,
        WEEKDAYS
    }

    @Transactional(readOnly = true)
    public List<Summary> own(Viewer viewer) {
        return templates.findByAccountIdOrderByTitle(viewer.accountId()).stream()
                .map(TemplateService::summary)
                .toList();
    }

    private static Summary summary(TemplateRow row) {
        List<Entry> entries = entries(row);
        return new Summary(
                row.id,
                row.title,
                entries.size(),
                entries.stream().mapToInt(Entry::offset).max().orElse(0) + 1,
                entries.stream().map(Entry::title).distinct().limit(6).toList());
    }

    static List<Entry> entries(TemplateRow row) {
        return entries(row.entries);
    }

    static List<Entry> entries(String json) {
        return JSON.readValue(json, new TypeReference<List<Entry>>() {});
    }

    /**
     * Keeps the planned sessions of a stretch of the board. @throws IllegalArgumentException with a sentence when that
     * is not possible
     */
    @Transactional
    public void make(Visit visit, LocalDate from, LocalDate to, String title) {
        Athlete athlete = athletes.require(visit);
        if (title.isBlank() || title.length() > 80)
            throw new IllegalArgumentException("Title: enter 1 to 80 characters.");
        if (to.isBefore(from) || ChronoUnit.DAYS.between(from, to) > LONGEST_DAYS)
            throw new IllegalArgumentException(
                    "Days: choose a last day after the first, at most " + LONGEST_DAYS + " days on.");
        List<Entry> entries = new ArrayList<>();
        for (Placed placed : schedule.planned(athlete, from, to))
            entries.add(Entry.of((int) ChronoUnit.DAYS.between(from, placed.day()), placed));
        if (entries.isEmpty())
            throw new IllegalArgumentException("Nothing is planned on these days, so there is nothing to keep.");
        if (entries.size() > MOST_ENTRIES)
            throw new IllegalArgumentException("At most " + MOST_ENTRIES
                    + " sessions fit into a template; these days have " + entries.size() + ".");
        templates.save(new TemplateRow(
                visit.viewer().accountId(), title.strip(), JSON.writeValueAsString(entries), clock.instant()));
    }

    /** Puts all sessions on the board in one step, which one undo takes back. @return how many */
    @Transactional
    public int put(Visit visit, long templateId, How how, LocalDate day, Set<DayOfWeek> weekdays) {
        TemplateRow row = require(visit.viewer(), templateId);
        List<Placed> placed = placed(row, how, day, weekdays);
        schedule.scheduleAll(visit, placed, "Put “" + row.title + "” on the board, " + placed.size() + " sessions.");
        return placed.size();
    }

    TemplateRow require(Viewer viewer, long templateId) {
        return templates
                .findByIdAndAccountId(templateId, viewer.accountId())
                .orElseThrow(() -> new NotFoundException("template"));
    }

    @Transactional(readOnly = true)
    public String title(Viewer viewer, long templateId) {
        return require(viewer, templateId).title;
    }

    /** Where its sessions would lie, without putting them. */
    @Transactional(readOnly = true)
    public List<Placed> placed(Viewer viewer, long templateId, How how, LocalDate day) {
        return placed(require(viewer, templateId), how, day, Set.of());
    }

    private static List<Placed> placed(TemplateRow row, How how, LocalDate day, Set<DayOfWeek> weekdays) {
        List<Entry> entries = entries(row);
        List<Integer> offsets = entries.stream().map(Entry::offset).toList();
        List<LocalDate> days = how == How.FROM
                ? Placement.from(day, offsets)
                : how == How.ENDING ? Placement.endingOn(day, offsets) : Placement.onWeekdays(day, offsets, weekdays);
        List<Placed> placed = new ArrayList<>();
        for (int i = 0; i < entries.size(); i++) {
            Entry e = entries.get(i);
            placed.add(new Placed(
                    days.get(i), e.startMinute(), new Chosen(e.title(), e.design(), e.workoutId(), e.version())));
        }
        return placed;
    }

    @Transactional
    public void delete(Viewer viewer, long templateId) {
        templates.delete(templates
                .findByIdAndAccountId(templateId, viewer.accountId())
                .orElseThrow(() -> new NotFoundException("template")));
    }
}
