package pemblar.app.coach;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import pemblar.app.coach.MorningService.Line;

/** A strand as it is drawn: bars in a box of 660 by 44, one scale for the whole list. */
record MorningView(Line line, List<Bar> bars, String first, String second, int more, double todayX) {
    private static final double WIDTH = 660;
    private static final double FLOOR = 38;
    private static final double HEIGHT = 26;

    /** @param broken the bar is higher than the scale; its figure is in the words */
    record Bar(
            double x,
            double width,
            double plannedY,
            double plannedHeight,
            double doneY,
            double doneHeight,
            boolean ahead,
            boolean checkin,
            String event,
            boolean broken,
            String label) {}

    static MorningView of(Line line, double scale, LocalDate today) {
        List<Bar> bars = new ArrayList<>();
        List<Strand.Day> days = line.strand().days();
        double width = WIDTH / Math.max(1, days.size());
        for (int i = 0; i < days.size(); i++) {
            Strand.Day d = days.get(i);
            double planned = height(d.planned(), scale);
            double done = height(d.done(), scale);
            bars.add(new Bar(
                    i * width + 2,
                    width - 4,
                    FLOOR - planned,
                    planned,
                    FLOOR - done,
                    done,
                    !d.day().isBefore(today),
                    d.checkin(),
                    d.event(),
                    Math.max(d.planned(), d.done()) > scale,
                    d.label()));
        }
        List<Strand.Reason> reasons = line.strand().reasons();
        double at = days.isEmpty() ? 0 : (today.toEpochDay() - days.get(0).day().toEpochDay()) * width;
        return new MorningView(
                line,
                bars,
                reasons.isEmpty() ? "" : reasons.get(0).text(),
                reasons.size() > 1 ? reasons.get(1).text() : "",
                Math.max(0, reasons.size() - 2),
                at);
    }

    private static double height(double load, double scale) {
        return HEIGHT * Math.min(1, load / scale);
    }
}
