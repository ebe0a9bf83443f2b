package pemblar.app.adjust;

import java.util.List;
import pemblar.core.adjust.Effect;
import pemblar.core.adjust.Proposal;

/**
 * A proposal as a page shows it.
 *
 * @param number its place, from 1
 * @param fingerprint names it as long as nothing changes
 * @param title the change in words
 * @param lines each change in words
 * @param price what it costs or gains against leaving it, in words
 * @param broken limits that it breaks, in words; empty when it keeps all
 */
public record Shown(
        int number,
        String fingerprint,
        String title,
        List<String> lines,
        String price,
        String broken,
        Proposal proposal,
        Effect leave) {
    public String why() {
        return proposal.why();
    }

    public Effect effect() {
        return proposal.effect();
    }
}
