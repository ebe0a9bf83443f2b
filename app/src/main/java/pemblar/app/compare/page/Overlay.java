package pemblar.app.compare.page;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.springframework.stereotype.Component;
import pemblar.app.compare.Content;
import pemblar.app.compare.Content.Line;
import pemblar.app.frame.Visit;
import pemblar.app.session.reading.SessionService;
import pemblar.core.recording.Channel;
import pemblar.core.recording.Recording;
import pemblar.core.recording.Series;

/** Draws repetitions over one another from their first second on, each as means of equal parts of time. */
@Component
class Overlay {
    private static final int MOST_LINES = 60;
    private static final int PARTS = 100;
    private static final int LEAST_SECONDS = 5;
    private static final double LEFT = 46;
    private static final double RIGHT = 620;
    private static final double TOP = 10;
    private static final double FLOOR = 190;
    private static final double ROOM = 0.05;
    private final SessionService sessions;

    Overlay(SessionService sessions) {
        this.sessions = sessions;
    }

    /** @param unit of the quantity that is drawn @param ticks its scale, and of time along the bottom */
    public record Drawn(
            String unit, List<Trace> traces, List<ComparisonView.Tick> ticks, List<ComparisonView.Tick> times) {}

    public record Trace(String path, int shape, String label) {}

    Drawn of(Visit visit, Content content) {
        Map<Long, Recording> read = new HashMap<>();
        Map<Long, Integer> trimmed = new HashMap<>();
        List<Piece> pieces = new ArrayList<>();
        for (Line line : content.lines().stream()
                .filter(l -> !l.hidden() && l.revision() >= 0)
                .limit(MOST_LINES)
                .toList()) {
            if (!read.containsKey(line.session())) {
                SessionService.Opened opened = sessions.open(visit, line.session());
                read.put(line.session(), opened.recording().orElse(null));
                trimmed.put(line.session(), opened.trimmed());
            }
            piece(content, line, read.get(line.session()), trimmed.get(line.session()), pieces);
        }
        return drawn(pieces);
    }

    /** Values of one repetition from its first second on. */
    private record Piece(Line line, Series values, boolean power, int shape) {}

    private static void piece(Content content, Line line, Recording recording, int trimmed, List<Piece> pieces) {
        if (recording == null) return;
        boolean power = recording.has(Channel.POWER);
        int from = line.from() - trimmed;
        int to = Math.min(recording.seconds(), line.to() - trimmed);
        recording
                .channel(power ? Channel.POWER : Channel.SPEED)
                .filter(s -> from >= 0 && to > from && s.present(from, to) > 0)
                .ifPresent(s -> pieces.add(new Piece(
                        line, s.slice(from, to), power, content.groups().indexOf(line.group()) % 4)));
    }

    private static Drawn drawn(List<Piece> pieces) {
        if (pieces.isEmpty()) return new Drawn("", List.of(), List.of(), List.of());
        boolean power = pieces.get(0).power();
        List<Piece> same = pieces.stream().filter(p -> p.power() == power).toList();
        int longest = same.stream().mapToInt(p -> p.values().size()).max().orElse(1);
        int width = Math.max(Math.min(LEAST_SECONDS, longest), longest / PARTS);
        double low = Double.POSITIVE_INFINITY;
        double high = Double.NEGATIVE_INFINITY;
        for (Piece p : same)
            for (int i = 0; i < p.values().size(); i += width) {
                double mean = p.values().mean(i, Math.min(p.values().size(), i + width));
                if (mean < low) low = mean;
                if (mean > high) high = mean;
            }
        double room = Math.max(1e-3, (high - low) * ROOM);
        double least = low - room;
        double most = high + room;
        List<Trace> traces = same.stream()
                .map(p -> new Trace(
                        path(p.values(), width, longest, least, most),
                        p.shape(),
                        p.line().label() + ", " + p.line().day()))
                .toList();
        List<ComparisonView.Tick> ticks = new ArrayList<>();
        double step = ComparisonView.step((most - least) / 5);
        for (double v = Math.ceil(least / step) * step; v <= most; v += step)
            ticks.add(new ComparisonView.Tick(
                    FLOOR - (FLOOR - TOP) * (v - least) / (most - least), ComparisonView.plain(v)));
        List<ComparisonView.Tick> times = new ArrayList<>();
        for (int i = 0; i <= 4; i++)
            times.add(new ComparisonView.Tick(
                    LEFT + (RIGHT - LEFT) * i / 4, ComparisonView.text("SECONDS", (double) longest * i / 4)));
        return new Drawn(power ? "W" : "m/s", traces, ticks, times);
    }

    private static String path(Series values, int width, int longest, double low, double high) {
        StringBuilder path = new StringBuilder();
        boolean open = false;
        for (int i = 0; i < values.size(); i += width) {
            double mean = values.mean(i, Math.min(values.size(), i + width));
            if (Double.isNaN(mean)) {
                open = false;
                continue;
            }
            path.append(String.format(
                    Locale.ROOT,
                    "%s%.1f %.1f",
                    open ? "L" : "M",
                    LEFT + (RIGHT - LEFT) * (i + width / 2.0) / longest,
                    FLOOR - (FLOOR - TOP) * (mean - low) / (high - low)));
            open = true;
        }
        return path.toString();
    }
}
