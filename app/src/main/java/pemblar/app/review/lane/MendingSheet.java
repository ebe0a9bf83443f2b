package pemblar.app.review.lane;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import pemblar.app.frame.page.Shown;
import pemblar.app.recording.mend.Corrections;
import pemblar.app.session.done.MendingService;
import pemblar.core.mending.Edit;
import pemblar.core.mending.Proposal;
import pemblar.core.recording.Channel;
import pemblar.core.sport.Sport;

/**
 * What can be mended and what was, in words. @param borrowed keys of the channels that other recordings have, without
 * places and distance, which belong to one device alone
 */
public record MendingSheet(
        List<Group> proposed, List<Line> made, List<MendingService.Other> others, List<String> borrowed) {
    private static final Set<String> PLACES =
            Set.of(Channel.LATITUDE.key(), Channel.LONGITUDE.key(), Channel.DISTANCE.key());

    /**
     * Proposals of one kind with one action for all. @param from and to select the first in the lanes
     *
     * @param canBeRight a person may say of one of them that it is right
     */
    public record Group(Proposal.Kind kind, String text, String action, int from, int to, boolean canBeRight) {}

    /** A correction that was made; seconds of the recording as it is shown. */
    public record Line(long id, String text, String by, int from, int to) {}

    public static MendingSheet of(MendingService.Sheet sheet, Double load, int trimmed, Shown shown) {
        Map<Proposal.Kind, List<Proposal>> byKind = new LinkedHashMap<>();
        for (Proposal p : sheet.proposals())
            byKind.computeIfAbsent(p.kind(), k -> new ArrayList<>()).add(p);
        List<Group> groups = new ArrayList<>();
        byKind.forEach((kind, all) ->
                groups.add(group(kind, all, effect(sheet.loadAfter().get(kind), load, shown), trimmed, shown)));
        List<Line> made = sheet.made().stream()
                .map(m -> new Line(
                        m.id(),
                        made(m, shown) + (m.reason().isEmpty() ? "" : ": " + m.reason()),
                        m.by(),
                        Math.max(0, m.from() - trimmed),
                        Math.max(1, m.to() - trimmed)))
                .toList();
        List<String> borrowed = sheet.others().stream()
                .flatMap(o -> o.channels().stream())
                .distinct()
                .filter(key -> !PLACES.contains(key))
                .toList();
        return new MendingSheet(groups, made, sheet.others(), borrowed);
    }

    /** What accepting does to the load, in words. */
    private static String effect(Double after, Double now, Shown shown) {
        if (after == null || now == null) return "";
        return Math.round(after) == Math.round(now)
                ? " The load stays at " + shown.whole(now) + "."
                : " The load would be " + shown.whole(after) + " instead of " + shown.whole(now) + ".";
    }

    private static Group group(Proposal.Kind kind, List<Proposal> all, String effect, int trimmed, Shown shown) {
        int seconds = all.stream().mapToInt(Proposal::seconds).sum();
        double most = all.stream().mapToDouble(Proposal::value).max().orElse(Double.NaN);
        Edit first = all.get(0).edit();
        String at = shown.clock(first.from() - trimmed);
        String text = switch (kind) {
            case SPIKE ->
                (all.size() == 1 ? "A spike of power at " + at : all.size() + " spikes of power") + ", up to "
                        + shown.whole(most) + " W.";
            case POWER_TOO_LONG ->
                "Power is " + shown.whole(most) + " W over " + shown.clock(seconds) + ", from " + at
                        + ": more than anybody holds for so long.";
            case STUCK_HEART_RATE ->
                "Heart rate stands still at " + shown.whole(most) + " for " + shown.clock(seconds)
                        + " while the work varies, from " + at + ".";
            case HEART_RATE_TOO_HIGH ->
                "Heart rate is up to " + shown.whole(most) + ", over your maximum and 10, for " + shown.clock(seconds)
                        + ", from " + at + ".";
            case HEART_RATE_IS_CADENCE ->
                "Heart rate equals cadence for " + shown.clock(seconds) + ", from " + at
                        + ": the sensor took the steps for beats.";
            case LEFT_RUNNING ->
                "The device ran on for " + shown.clock(seconds) + " after the session"
                        + (most > 1 ? ", at " + shown.speed(Sport.RIDE, most) + " without work." : ".");
        };
        String action = switch (kind) {
            case SPIKE -> "Bridge them";
            case LEFT_RUNNING -> "Trim the end";
            default -> "Hide it";
        };
        int from = kind == Proposal.Kind.LEFT_RUNNING ? first.to() - trimmed : first.from() - trimmed;
        return new Group(
                kind,
                text + effect,
                action,
                from,
                kind == Proposal.Kind.LEFT_RUNNING ? from + seconds : first.to() - trimmed,
                all.stream().anyMatch(Proposal::canBeRight));
    }

    /** Kept with a correction that was accepted. */
    static String reason(Proposal p) {
        return switch (p.kind()) {
            case SPIKE -> "spike";
            case POWER_TOO_LONG -> "more than anybody holds";
            case STUCK_HEART_RATE -> "heart rate stood still";
            case HEART_RATE_TOO_HIGH -> "over the maximum";
            case HEART_RATE_IS_CADENCE -> "equal to cadence";
            case LEFT_RUNNING -> "device left running";
        };
    }

    private static String made(Corrections.Made m, Shown shown) {
        String span = shown.clock(m.from()) + " to " + shown.clock(m.to());
        return switch (m.what()) {
            case "TRIM" -> "Kept " + span + " of the original";
            case "HIDE" -> "Hid " + Shown.channel(m.channel()) + " " + span;
            case "BRIDGE" -> "Bridged " + Shown.channel(m.channel()) + " " + span;
            case "KEEP" -> "Found right: " + (m.channel().isEmpty() ? "" : Shown.channel(m.channel()) + " ") + span;
            default -> "Took " + Shown.channel(m.channel()) + " from another recording";
        };
    }
}
