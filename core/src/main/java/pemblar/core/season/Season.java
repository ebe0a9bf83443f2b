package pemblar.core.season;

import java.time.LocalDate;
import java.util.List;
import pemblar.core.load.LoadTrend;
import pemblar.core.season.Block.Phase;

/**
 * A planned season.
 *
 * @param targets its blocks in order, without gaps
 * @param forecast the load trend over its days when every target is met, events counted, by the same recursion as
 *     everywhere
 * @param outcome how well the aim is met
 * @param broken limits that pinned blocks break and the rest of the plan cannot keep
 * @param highestBuild highest rise of chronic load in 7 days by training alone, on excused days too
 * @param excused days on which the build rate is over its limit even without any load
 */
public record Season(
        List<Target> targets,
        List<LoadTrend.Day> forecast,
        Outcome outcome,
        List<Broken> broken,
        double highestBuild,
        List<LocalDate> excused) {
    /**
     * One block.
     *
     * @param load points of training over the block, without what events cost
     * @param eventLoad points of the events in it
     * @param hours hours that this load takes
     * @param trainable days on which the load lies, evenly
     * @param overran for a pinned block: it takes more hours than there are
     */
    public record Target(
            LocalDate first,
            int days,
            Phase phase,
            boolean easy,
            boolean pinned,
            double load,
            double eventLoad,
            double hours,
            double hoursAvailable,
            int trainable,
            boolean overran) {
        public LocalDate last() {
            return first.plusDays(days - 1L);
        }
    }

    /** A limit that a pinned block, named by its first day, breaks. */
    public record Broken(LocalDate first, Limit limit) {}

    /**
     * How well the aim is met.
     *
     * @param reached what the plan comes to, in the unit of the aim
     * @param nearest the optimum of the same programme
     * @param met within 1 %
     * @param binding what keeps it from the aim, one or two; none when it is met
     */
    public record Outcome(Aim aim, double reached, double nearest, boolean met, List<Limit> binding) {
        public Outcome {
            binding = List.copyOf(binding);
        }
    }
}
