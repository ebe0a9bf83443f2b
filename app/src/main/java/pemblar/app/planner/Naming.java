package pemblar.app.planner;

import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import pemblar.app.season.SeasonEvent;
import pemblar.core.season.Block;
import pemblar.core.season.Block.Phase;
import pemblar.core.season.Priority;
import pemblar.core.season.Season;
import pemblar.core.sport.Sport;

/** Names blocks by their phase, counted, and says in a few words what they are for. */
final class Naming {
    private final List<SeasonEvent> events;
    private final Map<Phase, Integer> counts = new EnumMap<>(Phase.class);
    private Phase last;

    Naming(List<Block> before, List<SeasonEvent> events) {
        this.events = events;
        before.stream().reduce((a, b) -> b).ifPresent(b -> last = b.phase());
    }

    Block block(Season.Target target) {
        return new Block(
                target.first(),
                target.days(),
                target.phase(),
                name(target),
                aim(target),
                Math.rint(target.load()),
                (int) Math.round(target.hours() * 12) * 300,
                target.easy(),
                false);
    }

    private String name(Season.Target target) {
        if (target.phase() != last && target.phase() == Phase.BASE) counts.clear();
        last = target.phase();
        String word = word(target.phase());
        if (target.phase() == Phase.TAPER || target.phase() == Phase.RECOVERY) return word;
        if (target.easy()) return word + ", easy";
        return word + " " + counts.merge(target.phase(), 1, Integer::sum);
    }

    static String word(Phase phase) {
        return phase.name().charAt(0) + phase.name().substring(1).toLowerCase(Locale.ROOT);
    }

    /** What base is for where the season leads: low cadence is for wheels alone. */
    private String base() {
        Sport sport = events.stream()
                .filter(e -> e.priority() == Priority.A)
                .map(SeasonEvent::sport)
                .findFirst()
                .orElse(Sport.OTHER);
        if (sport.onWheels()) return "hours, and force at low cadence";
        if (sport.hillsCost()) return "hours, and quick short strides";
        return sport.restsBetween() ? "metres, and clean strokes" : "hours, calmly";
    }

    private String aim(Season.Target target) {
        if (target.easy()) return "absorb, come back fresh";
        return switch (target.phase()) {
            case BASE -> base();
            case BUILD -> "longer time near threshold";
            case PEAK -> "the event's own efforts";
            case TAPER ->
                events.stream()
                        .filter(e -> e.day().equals(target.last()))
                        .findFirst()
                        .map(e -> "less, as sharp, for " + e.name())
                        .orElse("less of it, as sharp as before");
            case RECOVERY -> "whatever is fun";
        };
    }
}
