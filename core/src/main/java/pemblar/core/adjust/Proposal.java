package pemblar.core.adjust;

import java.util.List;
import java.util.Set;

/**
 * A change of the plan that answers a trigger.
 *
 * @param changes applied together and taken back together; none leads to the evidence
 * @param breaks limits that the changed plan breaks
 * @param anew those of them that the plan as it is keeps, or breaks by less, or elsewhere
 * @param why in a sentence: what it rests on and what it does
 */
public record Proposal(
        Trigger.Kind trigger, List<Change> changes, Effect effect, Set<Broken> breaks, Set<Broken> anew, String why) {
    public Proposal {
        changes = List.copyOf(changes);
        breaks = Set.copyOf(breaks);
        anew = Set.copyOf(anew);
    }
}
