package pemblar.app.season;

import java.util.List;
import pemblar.core.season.Block;
import pemblar.core.season.Hours;
import pemblar.core.season.Outlook;

/** What is ahead of an athlete besides sessions, as the load trend sees it. */
public record Ahead(List<Block> blocks, List<SeasonEvent> events, Hours hours) {
    /**
     * A day that has no hours at all cannot be trained; how many an ordinary week has does not matter here, but none
     * would forbid all.
     */
    static Hours hours(double weekly, List<SeasonSettings.Away> away) {
        return new Hours(
                weekly > 0 ? weekly : 1,
                away.stream()
                        .map(a -> new Hours.Exception(a.from(), a.to(), a.weeklyHours()))
                        .toList());
    }

    public static Ahead of(Held held) {
        return new Ahead(held.blocks(), held.events(), hours(held.settings().weeklyHours(), held.allAway()));
    }

    /** @param usual points of a day as it usually is: for events whose time nobody gave */
    public Outlook.Plan toCore(double usual) {
        return new Outlook.Plan(
                blocks, events.stream().map(e -> e.toCore(usual)).toList(), hours);
    }
}
