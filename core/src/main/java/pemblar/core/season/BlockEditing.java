package pemblar.core.season;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/** Changes to a plan's blocks by hand. A block is named by its first day; what is changed by hand is pinned. */
public final class BlockEditing {
    private BlockEditing() {}

    /** Another load for a block; its time follows in proportion. */
    public static List<Block> withLoad(List<Block> blocks, LocalDate first, double load) {
        if (!(load >= 0 && load < 1e5)) throw new IllegalArgumentException("load must be in 0..100000, was " + load);
        Block old = at(blocks, first);
        int seconds = old.targetLoad() > 0
                ? (int) Math.min(Integer.MAX_VALUE, Math.round(old.targetSeconds() * load / old.targetLoad()))
                : old.targetSeconds();
        return with(blocks, old, copy(old, new Shape(old.first(), old.days(), load, seconds), true));
    }

    public static List<Block> withPin(List<Block> blocks, LocalDate first, boolean pinned) {
        Block old = at(blocks, first);
        return with(blocks, old, copy(old, Shape.of(old), pinned));
    }

    /**
     * Moves the edge between a block and the one that follows it at once: the block then ends on {@code last}. Load per
     * day stays.
     */
    public static List<Block> moveEdge(List<Block> blocks, LocalDate first, LocalDate last) {
        Block left = at(blocks, first);
        Block right = blocks.stream()
                .filter(b -> b.first().equals(left.last().plusDays(1)))
                .findFirst()
                .orElse(null);
        int days = (int) (last.toEpochDay() - first.toEpochDay()) + 1;
        check(days);
        List<Block> changed = with(blocks, left, lasting(left, left.first(), days));
        if (right == null) return apart(changed);
        int rest = (int) (right.last().toEpochDay() - last.toEpochDay());
        check(rest);
        return with(changed, right, lasting(right, last.plusDays(1), rest));
    }

    /** Cuts a block in two; the second begins on {@code day}. */
    public static List<Block> split(List<Block> blocks, LocalDate first, LocalDate day) {
        Block old = at(blocks, first);
        int days = (int) (day.toEpochDay() - first.toEpochDay());
        check(days);
        check(old.days() - days);
        List<Block> changed = new ArrayList<>(with(blocks, old, lasting(old, first, days)));
        changed.add(lasting(old, day, old.days() - days));
        return sorted(changed);
    }

    /** Makes one of a block and the one that follows it at once. */
    public static List<Block> join(List<Block> blocks, LocalDate first) {
        Block left = at(blocks, first);
        Block right = blocks.stream()
                .filter(b -> b.first().equals(left.last().plusDays(1)))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("no block follows the one of " + first));
        check(left.days() + right.days());
        List<Block> changed = new ArrayList<>(blocks);
        changed.remove(right);
        return with(
                changed,
                left,
                copy(
                        left,
                        new Shape(
                                first,
                                left.days() + right.days(),
                                left.targetLoad() + right.targetLoad(),
                                left.targetSeconds() + right.targetSeconds()),
                        true));
    }

    /**
     * Shifts a block and all that follow by some days. @throws IllegalArgumentException when they would run into the
     * block before
     */
    public static List<Block> shift(List<Block> blocks, LocalDate first, int by) {
        List<Block> changed = new ArrayList<>();
        for (Block block : blocks)
            changed.add(
                    block.first().isBefore(first)
                            ? block
                            : copy(
                                    block,
                                    new Shape(
                                            block.first().plusDays(by),
                                            block.days(),
                                            block.targetLoad(),
                                            block.targetSeconds()),
                                    block.pinned()));
        return apart(changed);
    }

    private static Block at(List<Block> blocks, LocalDate first) {
        return blocks.stream()
                .filter(b -> b.first().equals(first))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("no block begins on " + first));
    }

    private static List<Block> with(List<Block> blocks, Block old, Block changed) {
        List<Block> all = new ArrayList<>(blocks);
        all.set(all.indexOf(old), changed);
        return sorted(all);
    }

    private static List<Block> sorted(List<Block> blocks) {
        return blocks.stream().sorted(Comparator.comparing(Block::first)).toList();
    }

    private static List<Block> apart(List<Block> blocks) {
        List<Block> all = sorted(blocks);
        for (int i = 1; i < all.size(); i++)
            if (!all.get(i).first().isAfter(all.get(i - 1).last()))
                throw new IllegalArgumentException("the block of " + all.get(i).first()
                        + " would begin before the one of " + all.get(i - 1).first() + " ends");
        return all;
    }

    private static void check(int days) {
        if (days < Block.SHORTEST || days > Block.LONGEST)
            throw new IllegalArgumentException("a block must have 3 to 28 days; this would give one of " + days);
    }

    private static Block lasting(Block old, LocalDate first, int days) {
        double share = (double) days / old.days();
        return copy(
                old,
                new Shape(first, days, old.targetLoad() * share, (int) Math.round(old.targetSeconds() * share)),
                true);
    }

    /** Where a block lies, and what it asks for. */
    private record Shape(LocalDate first, int days, double load, int seconds) {
        static Shape of(Block block) {
            return new Shape(block.first(), block.days(), block.targetLoad(), block.targetSeconds());
        }
    }

    private static Block copy(Block old, Shape shape, boolean pinned) {
        return new Block(
                shape.first(),
                shape.days(),
                old.phase(),
                old.name(),
                old.aim(),
                shape.load(),
                shape.seconds(),
                old.easy(),
                pinned);
    }
}
