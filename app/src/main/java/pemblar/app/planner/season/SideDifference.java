package pemblar.app.planner.season;

import pemblar.app.planner.season.CompareService.Side;

/** The second stretch less the first. */
public record SideDifference(Side first, Side second) {
    public double hours() {
        return second.hours() - first.hours();
    }

    public double load() {
        return second.load() - first.load();
    }

    public double loadPerDay() {
        return second.loadPerDay() - first.loadPerDay();
    }

    /** Of the best efforts at a place of both lists; NaN where one has none. */
    public double best(int place) {
        return second.bests().get(place).value() - first.bests().get(place).value();
    }

    public double chronicAfter() {
        return second.chronicAfter() - first.chronicAfter();
    }

    public double balanceAfter() {
        return second.balanceAfter() - first.balanceAfter();
    }

    public double chronicAtEvent() {
        return second.chronicAtEvent() - first.chronicAtEvent();
    }

    public double balanceAtEvent() {
        return second.balanceAtEvent() - first.balanceAtEvent();
    }
}
