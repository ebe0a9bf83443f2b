package pemblar.app.adjust.page;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import pemblar.app.adjust.AdjustService;
import pemblar.app.adjust.AdjustService.Open;
import pemblar.app.adjust.Shown;
import pemblar.app.adjust.Words;
import pemblar.app.frame.page.Path;
import pemblar.app.load.TrendService.Trend;
import pemblar.core.adjust.Adjusting;
import pemblar.core.adjust.Change;
import pemblar.core.adjust.Effect;
import pemblar.core.adjust.Proposal;

/**
 * One proposal in detail: its changes as switches, the days before and after, two forecast lines to the morning that
 * counts, and the figures beside leaving it.
 *
 * @param low the least value of the drawn axis, which does not begin at zero
 */
public record ProposalView(
        List<Switch> switches,
        List<ChangedDay> days,
        String leaveLine,
        String takeLine,
        List<Tick> ticks,
        String lastDay,
        Effect take,
        Effect leave,
        String price,
        String broken,
        boolean lightly) {
    private static final double WIDTH = 1000;
    private static final double HEIGHT = 150;

    public record Switch(int index, String text, boolean on) {}

    public record Tick(double at, String text) {}

    public static ProposalView of(Open open, Shown shown, Set<Integer> on, Trend trend) {
        return of(open, shown, on, trend, open.morning());
    }

    /** @param morning which morning the figures are about, in words */
    public static ProposalView of(Open open, Shown shown, Set<Integer> on, Trend trend, String morning) {
        List<Change> chosen = AdjustService.chosen(shown, on);
        Proposal preview = Adjusting.preview(open.situation(), shown.proposal().trigger(), chosen);
        List<Switch> switches = new ArrayList<>();
        for (int i = 0; i < shown.lines().size(); i++)
            switches.add(new Switch(i, shown.lines().get(i), on == null || on.contains(i)));
        List<Double> leave = Adjusting.line(open.situation(), List.of());
        List<Double> take = Adjusting.line(open.situation(), chosen);
        int days = Math.max(leave.size(), take.size()); // an A event that moves ends its line on another day
        double low = Math.floor(Math.min(min(leave), min(take)) - 1);
        double high = Math.ceil(Math.max(max(leave), max(take)) + 1);
        return new ProposalView(
                switches,
                ChangedDay.all(open, chosen, trend.today()),
                path(leave, days, low, high),
                path(take, days, low, high),
                ticks(low, high),
                Words.day(trend.today().plusDays(Math.max(1L, days - 1L))),
                preview.effect(),
                shown.leave(),
                Words.price(preview.effect(), shown.leave(), morning),
                Words.broken(preview, open.already()),
                chosen.isEmpty());
    }

    private static double min(List<Double> line) {
        return line.stream().mapToDouble(Double::doubleValue).min().orElse(0);
    }

    private static double max(List<Double> line) {
        return line.stream().mapToDouble(Double::doubleValue).max().orElse(1);
    }

    private static String path(List<Double> line, int days, double low, double high) {
        StringBuilder path = new StringBuilder();
        for (int i = 0; i < line.size(); i++)
            path.append(i == 0 ? 'M' : 'L')
                    .append(Path.at(
                            WIDTH * i / Math.max(1, days - 1), HEIGHT - HEIGHT * (line.get(i) - low) / (high - low)));
        return path.toString();
    }

    private static List<Tick> ticks(double low, double high) {
        double step = high - low > 40 ? 20 : high - low > 16 ? 10 : high - low > 6 ? 5 : 2;
        List<Tick> ticks = new ArrayList<>();
        for (double v = Math.ceil(low / step) * step; v <= high; v += step)
            ticks.add(new Tick(HEIGHT - HEIGHT * (v - low) / (high - low), String.valueOf(Math.round(v))));
        return ticks;
    }
}
