package pemblar.core.adjust;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Ways to train less where a limit or a block's target would be passed. */
final class Lighter {
    private static final int MOST_ROUNDS = 40;
    private static final double LEAST_FACTOR = 0.2;
    private static final int MOST_RESTS = 3;
    private final Room room;
    private final Situation s;

    Lighter(Room room) {
        this.room = room;
        this.s = room.situation();
    }

    /**
     * The next hard session becomes easy; or volume of the next 7 days is cut by the least of 20 to 40 % that brings
     * the forecast back; where nothing lighter keeps the floor, rest.
     */
    List<List<Change>> all() {
        List<List<Change>> all = shorter();
        if (all.stream().noneMatch(this::keepsFloor)) {
            List<Change> rests = rests();
            if (!rests.isEmpty()) all.add(rests);
        }
        return all;
    }

    private boolean keepsFloor(List<Change> changes) {
        return new Foresight(s, Plan.after(s, changes)).underFloorByDay().isEmpty();
    }

    /** Rest on the last days with sessions before each morning under the floor, if that many keep it. */
    private List<Change> rests() {
        List<Change> rests = new ArrayList<>();
        for (int day = 0; day < MOST_RESTS; day++) {
            Plan rested = Plan.after(s, rests);
            Optional<LocalDate> under =
                    new Foresight(s, rested).underFloorByDay().keySet().stream().min(LocalDate::compareTo);
            Optional<LocalDate> before = under.flatMap(morning -> lastOpen(rested, morning));
            if (before.isEmpty()) break;
            rests.add(new Change.Rest(before.get()));
        }
        return keepsFloor(rests) ? rests : List.of();
    }

    private static Optional<LocalDate> lastOpen(Plan plan, LocalDate before) {
        return plan.sessions().stream()
                .filter(p -> !p.pinned() && p.day().isBefore(before))
                .map(Session::day)
                .max(LocalDate::compareTo);
    }

    private List<List<Change>> shorter() {
        List<List<Change>> all = new ArrayList<>();
        room.open().stream()
                .filter(p -> p.hard() && p.day().isBefore(s.today().plusDays(2 * Room.WEEK)))
                .limit(2)
                .forEach(hard -> all.add(List.of(Room.easier(hard))));
        for (int percent = 20; percent <= 40; percent++) {
            List<Change> cut = cut(percent);
            boolean back = !cut.isEmpty() && isBack(cut);
            if (back || percent == 40 && !cut.isEmpty()) {
                all.add(cut);
                break;
            }
        }
        List<Session> hard = room.open().stream()
                .filter(p -> p.hard() && p.day().isBefore(s.today().plusDays(Room.WEEK)))
                .toList();
        if (hard.size() > 1) all.add(hard.stream().map(Room::easier).toList());
        List<Change> enough = enough();
        if (!enough.isEmpty()) all.add(enough);
        List<Change> latest = latest();
        if (!latest.isEmpty()) all.add(latest);
        return all;
    }

    /**
     * On each day that is over a limit its own sessions are cut by the least that brings it back, then those of the
     * days before it: what lies further back also bears the load that later days may have, so it is cut last.
     */
    private List<Change> latest() {
        Map<String, Double> factors = new LinkedHashMap<>();
        for (int round = 0; round < MOST_ROUNDS; round++) {
            Optional<LocalDate> over = new Foresight(s, Plan.after(s, scales(factors))).firstBroken();
            if (over.isEmpty()) return scales(factors);
            if (!bringBack(over.get(), factors)) return List.of();
        }
        return List.of();
    }

    private boolean bringBack(LocalDate over, Map<String, Double> factors) {
        for (int i = 0; i < Room.WEEK; i++) {
            LocalDate day = over.minusDays(i);
            List<Session> on = room.open().stream()
                    .filter(p -> p.day().equals(day) && factors.getOrDefault(p.id(), 1.0) > LEAST_FACTOR)
                    .toList();
            if (on.isEmpty()) continue;
            factors.putAll(leastCut(on, over, factors));
            if (!new Foresight(s, Plan.after(s, scales(factors))).isBroken(over)) return true;
        }
        return false;
    }

    /** The factors of some sessions that are just enough for a day, or the least there are. */
    private Map<String, Double> leastCut(List<Session> sessions, LocalDate over, Map<String, Double> factors) {
        double low = LEAST_FACTOR;
        double high = 1;
        for (int i = 0; i < 12; i++) {
            double middle = (low + high) / 2;
            if (new Foresight(s, Plan.after(s, scales(times(factors, sessions, middle)))).isBroken(over)) high = middle;
            else low = middle;
        }
        Map<String, Double> cut = times(factors, sessions, low);
        for (Session p : sessions) cut.computeIfPresent(p.id(), (id, factor) -> Room.whole(factor));
        return cut;
    }

    /**
     * Before each morning or evening that is over a limit, the sessions of its 7 days are cut by the least that brings
     * it back, one after another.
     */
    private List<Change> enough() {
        Map<String, Double> factors = new LinkedHashMap<>();
        for (int round = 0; round < MOST_ROUNDS; round++) {
            Optional<LocalDate> over = new Foresight(s, Plan.after(s, scales(factors))).firstBroken();
            if (over.isEmpty()) return scales(factors);
            List<Session> week = room.open().stream()
                    .filter(p -> !p.day().isAfter(over.get())
                            && p.day().isAfter(over.get().minusDays(Room.WEEK))
                            && factors.getOrDefault(p.id(), 1.0) > LEAST_FACTOR)
                    .toList();
            if (week.isEmpty()) return List.of();
            factors.putAll(leastCut(week, over.get(), factors));
        }
        return List.of();
    }

    private static Map<String, Double> times(Map<String, Double> factors, List<Session> week, double factor) {
        Map<String, Double> all = new LinkedHashMap<>(factors);
        for (Session p : week) all.put(p.id(), Math.max(LEAST_FACTOR, factors.getOrDefault(p.id(), 1.0) * factor));
        return all;
    }

    private static List<Change> scales(Map<String, Double> factors) {
        return factors.entrySet().stream()
                .filter(e -> e.getValue() < 1 - 1e-9)
                .map(e -> (Change) new Change.Scale(e.getKey(), e.getValue()))
                .toList();
    }

    private boolean isBack(List<Change> changes) {
        Plan plan = Plan.after(s, changes);
        Foresight after = new Foresight(s, plan);
        return after.lowestSoon() >= s.limits().balanceFloor()
                && after.overBuilt().isEmpty()
                && Excess.open(s, plan) <= 0;
    }

    private List<Change> cut(int percent) {
        return room.open().stream()
                .filter(p -> p.day().isBefore(s.today().plusDays(Room.WEEK)))
                .map(p -> (Change) new Change.Scale(p.id(), 1 - percent / 100.0))
                .toList();
    }
}
