package pemblar.app.program.plan;

import com.fasterxml.jackson.annotation.JsonInclude;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.List;
import java.util.stream.Stream;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PatchMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import pemblar.app.athlete.AthleteService;
import pemblar.app.frame.NotFoundException;
import pemblar.app.frame.Viewer;
import pemblar.app.frame.Visit;
import pemblar.app.planner.SeasonChanges;
import pemblar.app.planner.SeasonChanges.Asking;
import pemblar.app.planner.SeasonChanges.BlockChange;
import pemblar.app.program.Api;
import pemblar.app.program.IfMatch;
import pemblar.app.program.Kinds;
import pemblar.app.program.key.May;
import pemblar.app.program.key.Scope;
import pemblar.app.program.plan.PlanApi.PlanJson;
import pemblar.app.season.Held;
import pemblar.app.season.PlanService;
import pemblar.app.season.SeasonSettings;
import pemblar.core.season.Aim;

/** Blocks by hand and how the season is planned, as its page changes them: each can be taken back there. */
@Api
@RequestMapping("/api/v1/athletes/{athleteId}/plan")
@Tag(name = "plan")
class SeasonApi {
    private static final int MINUTES_OF_A_DAY = 1440;
    private final AthleteService athletes;
    private final SeasonChanges changes;
    private final PlanService plan;

    SeasonApi(AthleteService athletes, SeasonChanges changes, PlanService plan) {
        this.athletes = athletes;
        this.changes = changes;
        this.plan = plan;
    }

    /**
     * One change of a block. @param to its last day; the block that follows begins the day after @param splitOn first
     * day of the second half @param joinNext true makes one block of it and the next
     */
    record BlockIn(
            Double targetLoadPoints, Double hours, LocalDate to, Boolean pinned, LocalDate splitOn, Boolean joinNext) {
        private BlockChange toCore(LocalDate first) {
            if (Stream.of(
                                    present(targetLoadPoints),
                                    present(hours),
                                    present(to),
                                    present(pinned),
                                    present(splitOn),
                                    Boolean.TRUE.equals(joinNext))
                            .filter(sent -> sent)
                            .count()
                    != 1)
                throw new IllegalArgumentException(
                        "Send one of targetLoadPoints, hours, to, pinned, splitOn and joinNext: true.");
            if (targetLoadPoints != null)
                return new BlockChange(
                        SeasonChanges.Kind.LOAD, first, within("targetLoadPoints", targetLoadPoints, 0, 99_999));
            if (hours != null) return new BlockChange(SeasonChanges.Kind.HOURS, first, within("hours", hours, 0, 672));
            if (to != null) return new BlockChange(SeasonChanges.Kind.EDGE, first, to.toEpochDay());
            if (splitOn != null) return new BlockChange(SeasonChanges.Kind.SPLIT, first, splitOn.toEpochDay());
            if (pinned == null) return new BlockChange(SeasonChanges.Kind.JOIN, first, 0);
            return new BlockChange(pinned ? SeasonChanges.Kind.PIN : SeasonChanges.Kind.UNPIN, first, 0);
        }

        private static boolean present(Object sent) {
            return sent != null;
        }
    }

    /**
     * How the season is planned. @param lastDay left out ends with the last event @param aim what aimValue is of:
     * chronic_load in points, weekly_load in points, weekly_hours in h @param easyUnit blocks or days: what easyEvery
     * counts @param highestBuildPoints that chronic load may rise by in a week @param dayMinutes from Monday, seven;
     * left out they stay, like longDay
     */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    record SettingsJson(
            LocalDate lastDay,
            String aim,
            Double aimValue,
            Integer blockDays,
            Integer easyEvery,
            String easyUnit,
            Integer easyDays,
            Double highestBuildPoints,
            Double weeklyHours,
            List<Integer> dayMinutes,
            String longDay) {
        private static final String DAYS = "days";
        private static final String BLOCKS = "blocks";

        static SettingsJson of(SeasonSettings s) {
            return new SettingsJson(
                    s.lastDay(),
                    Kinds.key(s.aimKind()),
                    s.aimValue(),
                    s.blockDays(),
                    s.easyEvery(),
                    s.easyInDays() ? DAYS : BLOCKS,
                    s.easyDays(),
                    s.highestBuild(),
                    s.weeklyHours(),
                    s.dayMinutes(),
                    Kinds.key(s.longDay()));
        }

        private SeasonSettings toCore(SeasonSettings old) {
            Aim.Kind kind = Kinds.word("aim", Aim.Kind.class, aim == null ? "" : aim);
            if (!DAYS.equals(easyUnit) && !BLOCKS.equals(easyUnit))
                throw new IllegalArgumentException("easyUnit: send one of blocks, days.");
            boolean inDays = DAYS.equals(easyUnit);
            return new SeasonSettings(
                    lastDay,
                    kind,
                    within("aimValue", aimValue, 0.1, kind == Aim.Kind.WEEKLY_HOURS ? 168 : 9999),
                    (int) within("blockDays", blockDays, 3, 28),
                    (int) within("easyEvery", easyEvery, inDays ? 6 : 2, inDays ? 60 : 12),
                    inDays,
                    (int) within("easyDays", easyDays, 3, 28),
                    within("highestBuildPoints", highestBuildPoints, 0.1, 30),
                    within("weeklyHours", weeklyHours, 0, 100),
                    dayMinutes == null ? old.dayMinutes() : minutes(dayMinutes),
                    longDay == null ? old.longDay() : Kinds.word("longDay", DayOfWeek.class, longDay),
                    old.stacked(),
                    old.shares());
        }

        private static List<Integer> minutes(List<Integer> sent) {
            if (sent.size() != 7) throw new IllegalArgumentException("dayMinutes: send seven, from Monday.");
            sent.forEach(minutes -> within("dayMinutes", minutes, 0, MINUTES_OF_A_DAY));
            return sent;
        }
    }

    private static double within(String field, Number value, double least, double most) {
        if (value == null) throw new IllegalArgumentException(field + ": is missing.");
        if (!(value.doubleValue() >= least && value.doubleValue() <= most))
            throw new IllegalArgumentException(
                    field + ": send " + Kinds.number(least) + " to " + Kinds.number(most) + ".");
        return value.doubleValue();
    }

    @May(Scope.PLAN)
    @PatchMapping("/blocks/{first}")
    @Operation(
            summary = "Changes the block that begins on a day, in one way. But for pinned: false that pins it, so that"
                    + " a new plan leaves it alone. With replan the blocks ahead that are not pinned are planned"
                    + " anew.")
    PlanJson block(
            @PathVariable long athleteId,
            @PathVariable LocalDate first,
            @RequestBody BlockIn change,
            @RequestParam(defaultValue = "false") boolean replan,
            @RequestHeader(name = "If-Match", required = false) String match,
            @AuthenticationPrincipal(expression = "viewer") Viewer viewer) {
        Held held = plan.held(athletes.require(new Visit(athleteId, viewer)));
        if (held.blocks().stream().noneMatch(b -> b.first().equals(first))) throw new NotFoundException("block");
        changes.change(new Asking(new Visit(athleteId, viewer), IfMatch.version(match), replan), change.toCore(first));
        return PlanJson.of(plan.held(athletes.require(new Visit(athleteId, viewer))));
    }

    @May(Scope.READ)
    @GetMapping("/settings")
    @Operation(summary = "How the season is planned")
    SettingsJson settings(@PathVariable long athleteId, @AuthenticationPrincipal(expression = "viewer") Viewer viewer) {
        return SettingsJson.of(
                plan.held(athletes.require(new Visit(athleteId, viewer))).settings());
    }

    @May(Scope.PLAN)
    @PutMapping("/settings")
    @Operation(summary = "How the season is planned from now on; the blocks ahead that are not pinned are planned anew")
    PlanJson settings(
            @PathVariable long athleteId,
            @RequestBody SettingsJson settings,
            @RequestHeader(name = "If-Match", required = false) String match,
            @AuthenticationPrincipal(expression = "viewer") Viewer viewer) {
        SeasonSettings old =
                plan.held(athletes.require(new Visit(athleteId, viewer))).settings();
        changes.settings(new Asking(new Visit(athleteId, viewer), IfMatch.version(match), true), settings.toCore(old));
        return PlanJson.of(plan.held(athletes.require(new Visit(athleteId, viewer))));
    }
}
