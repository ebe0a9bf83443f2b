package pemblar.core.season;

import java.time.LocalDate;
import java.util.List;
import pemblar.core.load.LoadTrend;
import pemblar.core.season.Block.Phase;

/**
 * A planned season.
 * @param targets  its blocks in order, without gaps
 * @param forecast the load trend over its days when every target is met, by the same recursion as everywhere
 * @param outcome  how well the aim is met
 */
public record Season(List<Target> targets, List<LoadTrend.Day> forecast, Outcome outcome) {
    /**
     * One block.
     * @param load    points over the block, what events cost included
     * @param hours   hours that this load takes
     * @param limit   what kept it from being higher, or null
     * @param overran for a pinned block: it takes more hours than there are
     */
    public record Target(LocalDate first, int days, Phase phase, boolean easy, boolean pinned, double load, double hours, double hoursAvailable, Limit limit, boolean overran) {
        public LocalDate last() {
            return first.plusDays(days - 1L);
        }
    }

    /**
     * How well the aim is met.
     * @param reached what the plan comes to, in the unit of the aim; for chronic load on the mornings of the A events the one farthest from the aim
     * @param met     within 1 %
     * @param binding what keeps it from the aim; null when it is met
     */
    public record Outcome(Aim aim, double reached, boolean met, Limit binding) {}
}
