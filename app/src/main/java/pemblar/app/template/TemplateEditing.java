package pemblar.app.template;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.athlete.Athlete;
import pemblar.app.frame.Secret;
import pemblar.app.frame.Viewer;
import pemblar.app.frame.page.Typed;
import pemblar.app.session.change.ScheduleService.Chosen;
import pemblar.app.session.change.ScheduleService.Placed;
import pemblar.app.threshold.ThresholdService;
import pemblar.app.workout.Shelved;
import pemblar.app.workout.WorkoutService;
import pemblar.core.design.Design;
import pemblar.core.strength.StrengthWorkout;
import pemblar.core.workout.Forecast;
import pemblar.core.workout.Workout;
import pemblar.core.zone.Zones;
import tools.jackson.databind.json.JsonMapper;

/** Opens a template, says what an athlete lacks for it, and changes it. */
@Service
class TemplateEditing {
    private static final int LONGEST_TITLE = 80;
    private static final JsonMapper JSON = JsonMapper.shared();
    private final TemplateService templates;
    private final TemplateRepository rows;
    private final ThresholdService thresholds;
    private final WorkoutService workouts;

    TemplateEditing(
            TemplateService templates, TemplateRepository rows, ThresholdService thresholds, WorkoutService workouts) {
        this.templates = templates;
        this.rows = rows;
        this.thresholds = thresholds;
        this.workouts = workouts;
    }

    /**
     * A session of a template.
     *
     * @param day from 1
     * @param seconds, load null when not known
     * @param lacks what the athlete lacks for it, in a sentence; empty when nothing
     */
    public record Line(
            int index,
            int day,
            Integer startMinute,
            String title,
            String steps,
            Integer seconds,
            Double load,
            String lacks) {}

    /** @param version tells whether it was changed meanwhile */
    public record Opened(long id, String title, String version, List<Line> lines) {
        public int days() {
            return lines.stream().mapToInt(Line::day).max().orElse(0);
        }

        /** The day of a session that is added, unless another is typed. */
        public int nextDay() {
            return days() + 1;
        }
    }

    @Transactional(readOnly = true)
    public Opened opened(Viewer viewer, long id, Athlete athlete, LocalDate today) {
        TemplateRow row = templates.require(viewer, id);
        List<Entry> entries = TemplateService.entries(row);
        Zones zones = thresholds.zonesOf(athlete).on(today);
        List<Line> lines = new ArrayList<>();
        for (int i = 0; i < entries.size(); i++) lines.add(line(i, entries.get(i), zones));
        return new Opened(row.id, row.title, version(row), lines);
    }

    private static String version(TemplateRow row) {
        return Secret.hash(row.title + row.entries);
    }

    private static Line line(int index, Entry e, Zones zones) {
        Outcome outcome = outcome(e.design(), zones);
        return new Line(
                index,
                e.offset() + 1,
                e.startMinute(),
                e.title(),
                e.steps(),
                outcome.seconds(),
                outcome.load(),
                outcome.lacks());
    }

    private record Outcome(Integer seconds, Double load, String lacks) {}

    private static Outcome outcome(Design design, Zones zones) {
        return design.answer(new Design.Cases<>() {
            @Override
            public Outcome endurance(Workout workout) {
                try {
                    Forecast forecast = Forecast.of(workout, zones);
                    boolean known = forecast.load().isPresent();
                    boolean unknown = forecast.remarks().contains(Forecast.Remark.THRESHOLD_UNKNOWN);
                    return new Outcome(
                            forecast.seconds(),
                            known ? (Double) forecast.load().getAsDouble() : null,
                            unknown ? "A threshold is missing, so its load cannot be known." : "");
                } catch (IllegalArgumentException e) {
                    return new Outcome(null, null, e.getMessage());
                }
            }

            @Override
            public Outcome strength(StrengthWorkout workout) {
                return new Outcome(null, null, "");
            }
        });
    }

    /**
     * For each of the viewer's templates what the athlete lacks for it, in sentences; those that lack nothing are out.
     */
    @Transactional(readOnly = true)
    public Map<Long, List<String>> lacking(Viewer viewer, Athlete athlete, LocalDate today) {
        Zones zones = thresholds.zonesOf(athlete).on(today);
        Map<String, String> known = new HashMap<>();
        Map<Long, List<String>> all = new HashMap<>();
        for (TemplateRow row : rows.findByAccountIdOrderByTitle(viewer.accountId())) {
            List<String> lacks = TemplateService.entries(row).stream()
                    .map(e -> known.computeIfAbsent(
                            e.strength() == null ? e.workout() : "",
                            text -> outcome(e.design(), zones).lacks()))
                    .filter(text -> !text.isEmpty())
                    .distinct()
                    .toList();
            if (!lacks.isEmpty()) all.put(row.id, lacks);
        }
        return all;
    }

    /**
     * Changes the title, days and times as typed, takes sessions out and adds one.
     *
     * @param typed title, version, day.N and time.N of the sessions by their index, add, addDay and addTime
     * @return what was done, in a sentence
     * @throws IllegalArgumentException with the field, the reason and what is accepted
     */
    @Transactional
    public String change(Viewer viewer, long id, Map<String, String> typed, Set<Integer> out) {
        TemplateRow row = templates.require(viewer, id);
        if (!version(row).equals(typed.get("version")))
            throw new IllegalArgumentException("This template was changed meanwhile. Here it is as it is now.");
        String title = typed.getOrDefault("title", "").strip();
        if (title.isEmpty() || title.length() > LONGEST_TITLE)
            throw new IllegalArgumentException("Title: enter 1 to " + LONGEST_TITLE + " characters.");
        List<Entry> entries = TemplateService.entries(row);
        List<Entry> changed = new ArrayList<>();
        for (int i = 0; i < entries.size(); i++) if (!out.contains(i)) changed.add(moved(entries.get(i), i, typed));
        if (!typed.getOrDefault("add", "").isBlank()) changed.add(added(typed, viewer));
        if (changed.isEmpty())
            throw new IllegalArgumentException("Sessions: keep one at least, or delete the template.");
        if (changed.size() > TemplateService.MOST_ENTRIES)
            throw new IllegalArgumentException(
                    "Sessions: at most " + TemplateService.MOST_ENTRIES + " fit into a template.");
        row.title = title;
        row.entries = JSON.writeValueAsString(inOrder(changed));
        return "Kept. What was put on boards from it before stays as it is.";
    }

    private static Entry moved(Entry entry, int index, Map<String, String> typed) {
        String day = typed.get("day." + index);
        int offset = day == null
                ? entry.offset()
                : Typed.whole("Day of “" + entry.title() + "”", day, 1, TemplateService.LONGEST_DAYS) - 1;
        String time = typed.get("time." + index);
        return entry.on(offset, time == null ? entry.startMinute() : minute("Time of “" + entry.title() + "”", time));
    }

    private static Integer minute(String field, String typed) {
        if (typed.isBlank()) return null;
        Integer minute = Typed.minuteOrNull(typed.strip());
        if (minute == null) throw new IllegalArgumentException(field + ": enter one such as 17:30, or nothing.");
        return minute;
    }

    private Entry added(Map<String, String> typed, Viewer viewer) {
        if (!typed.get("add").matches("-?\\d{1,18}"))
            throw new IllegalArgumentException("Workout: choose one of the library.");
        Shelved kept = workouts.require(Long.parseLong(typed.get("add")), viewer);
        int offset = Typed.whole(
                        "Day of the new session", typed.getOrDefault("addDay", "1"), 1, TemplateService.LONGEST_DAYS)
                - 1;
        Integer minute = minute("Time of the new session", typed.getOrDefault("addTime", ""));
        return Entry.of(
                offset,
                new Placed(
                        LocalDate.EPOCH, minute, new Chosen(kept.title(), kept.workout(), kept.id(), kept.version())));
    }

    /** By day and time; the first one lies on the first day. */
    private static List<Entry> inOrder(List<Entry> entries) {
        int first = entries.stream().mapToInt(Entry::offset).min().orElse(0);
        return entries.stream()
                .map(e -> e.on(e.offset() - first, e.startMinute()))
                .sorted(Comparator.comparingInt(Entry::offset)
                        .thenComparing(Entry::startMinute, Comparator.nullsLast(Comparator.naturalOrder())))
                .collect(Collectors.toList());
    }
}
