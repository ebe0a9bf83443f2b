package pemblar.core.adjust;

import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * A change of the plan that answers a trigger.
 *
 * @param changes applied together and taken back together; none leads to the evidence
 * @param breaches limits that the changed plan breaks, in their order
 * @param why in a sentence: what it rests on and what it does
 */
public record Proposal(Trigger.Kind trigger, List<Change> changes, Effect effect, List<Breach> breaches, String why) {
    public Proposal {
        changes = List.copyOf(changes);
        breaches = List.copyOf(breaches);
    }

    /** The limits that the changed plan breaks. */
    public Set<Broken> breaks() {
        return breaches.stream().map(Breach::limit).collect(Collectors.toSet());
    }

    /** True when it breaks no limit that the plan as it is keeps, and none by more or elsewhere. */
    public boolean isNoWorse() {
        return breaches.stream().noneMatch(Breach::anew);
    }
}
