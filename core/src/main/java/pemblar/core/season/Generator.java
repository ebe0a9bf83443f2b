package pemblar.core.season;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.EnumMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import pemblar.core.load.LoadTrend;
import pemblar.core.season.Layout.Piece;
import pemblar.core.season.Season.Broken;

/**
 * Plans a season (computation, section 11): phases and blocks first, then the loads of all blocks at once as a linear
 * programme. What cannot be met is answered with the nearest aim, the optimum of the same programme, and with the limit
 * whose loosening moves it most.
 */
public final class Generator {
    private static final double MET_WITHIN = 0.01;
    private static final double LOOSENED = 1.01;
    private static final double MOVED = 1e-6;
    private static final double UNLIMITED_BUILD = 1000;

    private Generator() {}

    public static Season plan(Ask ask) {
        Model model = new Model(ask, Model.Bands.AS_THEY_ARE);
        Planning planning = new Planning(model);
        Planning.Solution nearest = planning.nearest();
        BitSet days = planning.buildDays();
        Planning.Solution even = planning.even(nearest);
        double reached = Math.abs(even.reached() - nearest.reached()) < 1e-6 ? nearest.reached() : even.reached();
        boolean met = isMet(ask, nearest.reached());
        List<Limit> binding = met ? List.of() : binding(ask, nearest.reached(), days);
        Season.Outcome outcome = new Season.Outcome(ask.aim(), reached, nearest.reached(), met, binding);
        double[] values = even.values();
        double highest = java.util.Arrays.stream(planning.builds())
                .mapToDouble(b -> b.at(values))
                .max()
                .orElse(Double.NEGATIVE_INFINITY);
        return new Season(
                targets(model, values),
                forecast(model, values),
                outcome,
                broken(model, planning, values),
                Math.max(highest, highestBefore(model)),
                excused(ask, planning));
    }

    private static boolean isMet(Ask ask, double reached) {
        return Math.abs(reached - ask.aim().value()) <= MET_WITHIN * ask.aim().value() + 1e-9;
    }

    private static List<LocalDate> excused(Ask ask, Planning planning) {
        List<LocalDate> days = new ArrayList<>();
        for (int i = 0; i < ask.days(); i++)
            if (planning.excused()[i]) days.add(ask.first().plusDays(i));
        return days;
    }

    /** Builds of the days between today and the first planned one. */
    private static double highestBefore(Model model) {
        List<Double> all = new ArrayList<>(model.ask.start().chronicOfWeek());
        double kept = Math.exp(-1 / model.ask.start().settings().chronicDays());
        double highest = Double.NEGATIVE_INFINITY;
        for (double load : model.ask.start().between()) {
            all.add(all.get(all.size() - 1) * kept + load * (1 - kept));
            highest = Math.max(highest, all.get(all.size() - 1) - all.get(all.size() - 8));
        }
        return highest;
    }

    private static List<Season.Target> targets(Model model, double[] values) {
        List<Season.Target> targets = new ArrayList<>();
        for (int p = 0; p < model.pieces.size(); p++) {
            Piece piece = model.pieces.get(p);
            double load = Math.max(0, model.level(p).at(values)) * model.loadedDays(piece);
            double events = 0;
            for (int i = piece.from(); i < piece.end(); i++) events += model.days.eventLoad(i);
            double hours = load / model.ask.loadPerHour().in(piece.phase());
            boolean pinned = piece.pinned() != null;
            targets.add(new Season.Target(
                    model.ask.first().plusDays(piece.from()),
                    piece.days(),
                    piece.phase(),
                    piece.easy(),
                    pinned,
                    load,
                    events,
                    hours,
                    model.days.hours(piece),
                    model.days.trainable(piece),
                    pinned && hours > model.days.hours(piece) * 1.001 + 1e-6));
        }
        return targets;
    }

    /** The days between today and the first planned one are left out: the forecast begins with the plan. */
    private static List<LoadTrend.Day> forecast(Model model, double[] values) {
        Ask.Start start = model.ask.start();
        int between = start.between().size();
        double[] loads = new double[between + model.ask.days()];
        for (int i = 0; i < between; i++) loads[i] = start.between().get(i) + model.eventLoadBetween(i);
        for (int i = 0; i < model.ask.days(); i++)
            loads[between + i] = model.days.eventLoad(i)
                    + (model.isLoaded(i)
                            ? Math.max(0, model.level(model.pieceOf(i)).at(values))
                            : 0);
        LoadTrend.Settings settings = new LoadTrend.Settings(
                start.settings().acuteDays(), start.settings().chronicDays(), start.acute(), start.chronic());
        List<LoadTrend.Day> all = LoadTrend.of(model.ask.first().minusDays(between), loads, settings);
        return all.subList(between, all.size());
    }

    private static List<Broken> broken(Model model, Planning planning, double[] values) {
        Set<Broken> broken = new LinkedHashSet<>();
        int pin = -1;
        for (int p = 0; p < model.pieces.size(); p++) {
            Piece piece = model.pieces.get(p);
            if (piece.pinned() != null) {
                pin = p;
                double hours = model.level(p).at(values)
                        * model.loadedDays(piece)
                        / model.ask.loadPerHour().in(piece.phase());
                if (hours > model.days.hours(piece) + 1e-6) broken.add(new Broken(firstOf(model, p), Limit.HOURS));
            }
            for (int day = piece.from(); day < piece.end(); day++)
                if (!planning.excused()[day] && planning.builds()[day].at(values) > model.ask.highestBuild() + 1e-5)
                    broken.add(new Broken(firstOf(model, pin >= 0 ? pin : nextPin(model, p)), Limit.BUILD_RATE));
            boolean under = model.hasLowerEdge(p)
                    && model.level(p).at(values) < Math.min(model.lowerEdge(p).at(values), model.mostByHours(p)) - 1e-5;
            if (under && pin >= 0) broken.add(new Broken(firstOf(model, pin), piece.easy() ? Limit.EASY : Limit.TAPER));
        }
        return List.copyOf(broken);
    }

    private static int nextPin(Model model, int from) {
        for (int p = from; p < model.pieces.size(); p++) if (model.pieces.get(p).pinned() != null) return p;
        return from;
    }

    private static LocalDate firstOf(Model model, int piece) {
        Piece at = model.pieces.get(piece);
        return at.pinned() != null ? at.pinned().first() : model.ask.first().plusDays(at.from());
    }

    /** @param days of the build rate that are likely to bind: known from the season itself, they spare rounds */
    private static double reached(Ask ask, Model.Bands bands, BitSet days) {
        return new Planning(new Model(ask, bands), ask.highestBuild() < UNLIMITED_BUILD ? days : new BitSet())
                .nearest()
                .reached();
    }

    /** The limit whose loosening by 1 % moves the optimum most; two when either alone frees the aim. */
    private static List<Limit> binding(Ask ask, double reached, BitSet days) {
        Map<Limit, Double> moved = new EnumMap<>(Limit.class);
        double missing = Math.abs(ask.aim().value() - reached);
        Map<Limit, Loosened> all = loosened(ask, reached);
        all.forEach((limit, asks) -> {
            boolean wholly = limit == Limit.AWAY;
            double nearer = missing
                    - Math.abs(ask.aim().value()
                            - reached(wholly ? asks.gone() : asks.little(), Model.Bands.AS_THEY_ARE, days));
            moved.put(limit, wholly ? nearer * (LOOSENED - 1) : nearer);
        });
        if (moved.values().stream().noneMatch(m -> m > MOVED * Math.max(1, missing)))
            return byBands(ask, missing, days);
        List<Limit> order = new ArrayList<>(moved.keySet());
        order.removeIf(limit -> moved.get(limit) <= MOVED * Math.max(1, missing));
        order.sort(java.util.Comparator.comparingDouble(limit -> -moved.get(limit)));
        boolean both = order.size() > 1
                && order.subList(0, 2).stream()
                        .allMatch(limit -> isMet(ask, reached(all.get(limit).gone(), Model.Bands.AS_THEY_ARE, days)));
        return order.subList(0, both ? 2 : 1);
    }

    /** The question with a limit a little loosened, and with it gone. */
    private record Loosened(Ask little, Ask gone) {}

    private static Map<Limit, Loosened> loosened(Ask ask, double reached) {
        Map<Limit, Loosened> all = new EnumMap<>(Limit.class);
        all.put(
                Limit.BUILD_RATE,
                new Loosened(ask.withBuild(ask.highestBuild() * LOOSENED), ask.withBuild(UNLIMITED_BUILD)));
        all.put(
                Limit.HOURS,
                new Loosened(
                        ask.withHours(ask.hours().times(LOOSENED)),
                        ask.withHours(ask.hours()
                                .times(Hours.MOST / Math.max(1e-6, ask.hours().weekly())))));
        if (!ask.hours().away().isEmpty())
            all.put(Limit.AWAY, new Loosened(ask, ask.withHours(ask.hours().withoutAway())));
        if (!ask.pinned().isEmpty())
            all.put(Limit.PINS, new Loosened(ask.withPinned(nearer(ask, reached)), ask.withPinned(List.of())));
        return all;
    }

    /** Pinned loads one per cent towards the aim. */
    private static List<Block> nearer(Ask ask, double reached) {
        boolean more = ask.aim().value() > reached;
        double factor = more ? LOOSENED : 2 - LOOSENED;
        return ask.pinned().stream()
                .map(b -> new Block(
                        b.first(),
                        b.days(),
                        b.phase(),
                        b.name(),
                        b.aim(),
                        Math.min(99_999, b.targetLoad() * factor),
                        b.targetSeconds(),
                        b.easy(),
                        true))
                .toList();
    }

    /** Only when none of the limits binds: the bands of easy blocks or of tapers and recoveries. */
    private static List<Limit> byBands(Ask ask, double missing, BitSet days) {
        double easy = missing - Math.abs(ask.aim().value() - reached(ask, new Model.Bands(LOOSENED, 1), days));
        double taper = missing - Math.abs(ask.aim().value() - reached(ask, new Model.Bands(1, LOOSENED), days));
        if (Math.max(easy, taper) <= MOVED * Math.max(1, missing)) return List.of();
        return List.of(easy >= taper ? Limit.EASY : Limit.TAPER);
    }
}
