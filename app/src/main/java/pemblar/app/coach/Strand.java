package pemblar.app.coach;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;

/** An athlete's line of time: 14 days behind and 7 ahead, and why the athlete stands where they stand. */
record Strand(List<Reason> reasons, List<Day> days, double weight) {
    /** @param since the day from which on it holds; null for something that lies ahead */
    record Reason(Topic topic, String text, double weight, LocalDate since) {
        Reason {
            if (topic == null) topic = Topic.OTHER; // kept before reasons had topics
        }
    }

    /** As a coach wants it: without some topics, and with what only this coach has not done yet. */
    Strand shown(Set<Topic> off, Reason more) {
        if (off.isEmpty() && more == null) return this;
        List<Reason> all = new ArrayList<>(
                reasons.stream().filter(r -> !off.contains(r.topic())).toList());
        if (more != null && !off.contains(more.topic())) all.add(more);
        return of(all, days);
    }

    /**
     * @param planned load that the athlete sees; {@code drafts} what is not shared yet @param event the priority of an
     *     event of the day; empty without one
     */
    record Day(
            LocalDate day, double planned, double drafts, double done, boolean checkin, String event, String label) {}

    static Strand of(List<Reason> reasons, List<Day> days) {
        List<Reason> sorted = reasons.stream()
                .sorted(java.util.Comparator.comparingDouble(r -> -r.weight()))
                .toList();
        double weight = sorted.isEmpty()
                ? 0
                : sorted.get(0).weight()
                        + 0.2
                                * sorted.stream()
                                        .skip(1)
                                        .mapToDouble(Reason::weight)
                                        .sum();
        return new Strand(sorted, days, weight);
    }
}
