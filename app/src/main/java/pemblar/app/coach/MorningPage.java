package pemblar.app.coach;

import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.List;
import java.util.PriorityQueue;
import pemblar.app.coach.MorningService.Line;

/**
 * A stretch of the coach's list: those who need something first, thirty at a time, so that the page of a coach of a
 * hundred is no longer than that of one of thirty.
 *
 * @param of how many athletes the list has in all
 * @param waiting how many of them need something
 */
public record MorningPage(List<MorningView> strands, Asked asked, int of, long waiting) {
    private static final int LENGTH = 30;
    private static final double LEAST_SCALE = 60;
    private static final double UNDER_SCALE = 0.98;

    /**
     * What of the list is asked for.
     *
     * @param group null for all
     * @param from how many stand before the first that is shown
     */
    public record Asked(Long group, String search, Integer from) {
        public Asked {
            search = search == null ? "" : search.strip();
            from = from == null ? 0 : Math.max(0, from);
        }
    }

    public String headline() {
        if (waiting == 0) return "Nobody needs you";
        return waiting == 1 ? "One athlete needs you" : waiting + " athletes need you";
    }

    static MorningPage of(List<Line> lines, Asked asked) {
        double scale = scale(lines);
        int from = Math.min(asked.from(), lines.size());
        List<Line> shown = lines.subList(from, Math.min(lines.size(), from + LENGTH));
        return new MorningPage(
                shown.stream().map(l -> MorningView.of(l, scale, today(l))).toList(),
                asked,
                lines.size(),
                lines.stream()
                        .filter(l -> !l.dealt() && !l.strand().reasons().isEmpty())
                        .count());
    }

    /** How many stand below those who are shown. */
    public int below() {
        return Math.max(0, of - asked.from() - strands.size());
    }

    /** What asks for those below. */
    public String further() {
        String search = URLEncoder.encode(asked.search(), StandardCharsets.UTF_8);
        return "from=" + (asked.from() + strands.size())
                + (asked.group() == null ? "" : "&group=" + asked.group())
                + (search.isEmpty() ? "" : "&search=" + search);
    }

    /** The load that fills a bar, the same for all of the list: nearly all of its days are under it. */
    static double scale(List<Line> lines) {
        int days = lines.stream().mapToInt(l -> l.strand().days().size()).sum();
        if (days == 0) return LEAST_SCALE;
        int over = days - (int) (UNDER_SCALE * days);
        PriorityQueue<Double> largest = new PriorityQueue<>(over);
        for (Line line : lines)
            for (Strand.Day day : line.strand().days()) {
                double load = Math.max(day.planned(), day.done());
                if (largest.size() == over && load <= largest.peek()) continue;
                if (largest.size() == over) largest.remove();
                largest.add(load);
            }
        return Math.max(LEAST_SCALE, largest.element());
    }

    private static LocalDate today(Line line) {
        return line.strand().days().size() > Strands.DAYS_BEHIND
                ? line.strand().days().get(Strands.DAYS_BEHIND).day()
                : LocalDate.EPOCH;
    }
}
