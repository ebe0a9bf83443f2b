package pemblar.app.season;

import java.util.List;
import pemblar.app.load.Ahead;
import pemblar.core.season.Block;
import pemblar.core.season.Hours;
import pemblar.core.season.Outlook;

/** What is ahead of an athlete besides sessions, as the load trend sees it. */
public record PlanAhead(List<Block> blocks, List<SeasonEvent> events, Hours hours) implements Ahead {
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
        return new PlanAhead(held.blocks(), held.events(), hours(held.settings().weeklyHours(), held.allAway()));
    }

    @Override
    public Outlook.Plan toCore(double usual) {
        return new Outlook.Plan(
                blocks, events.stream().map(e -> e.toCore(usual)).toList(), hours);
    }
}
