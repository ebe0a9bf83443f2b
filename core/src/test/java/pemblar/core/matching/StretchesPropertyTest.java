package pemblar.core.matching;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.LongRange;
import pemblar.core.matching.Stretches.One;

/**
 * Whatever is done to stretches in whatever order: they stay apart, inside the recording and long enough, or nothing
 * changes.
 */
class StretchesPropertyTest {
    private static final int SECONDS = 3600;
    private static final int SHORTEST = 3;
    private static final int STEPS = 8;

    @Property(tries = 300)
    void everyChangeGivesStretchesThatCanBeOrIsRefusedInWords(@ForAll @LongRange(min = 0, max = 1_000_000) long seed) {
        Random random = new Random(seed);
        Stretches now = any(random);
        for (int i = 0; i < 30; i++) {
            Stretches before = now;
            try {
                now = changed(now, random);
                isSound(now);
            } catch (IllegalArgumentException e) {
                assertThat(e.getMessage()).as("a sentence for a person").endsWith(".");
                assertThat(now).isEqualTo(before);
            }
        }
    }

    @Property(tries = 300)
    void aLapTableThatDisagreesWithTheRecordsBecomesStretchesThatCanBe(
            @ForAll @LongRange(min = 0, max = 1_000_000) long seed) {
        Random random = new Random(seed);
        List<One> wild = new ArrayList<>();
        for (int i = random.nextInt(60); i > 0; i--) {
            int from = random.nextInt(SECONDS + 500);
            wild.add(new One(from, from + random.nextInt(900) - 50, random.nextInt(STEPS) - 1, random.nextBoolean()));
        }
        Stretches apart = Stretches.apart(SECONDS, wild);
        isSound(apart);
        assertThat(Stretches.apart(SECONDS, apart.all()))
                .as("what can be stays as it is")
                .isEqualTo(apart);
        for (One one : apart.all())
            assertThat(wild)
                    .as("nothing is made up")
                    .anyMatch(w -> w.from() <= one.from() && w.to() >= one.to() && w.step() == one.step());
    }

    @Property(tries = 200)
    void anAddedStretchIsThereAsAskedAndNothingLiesUnderIt(@ForAll @LongRange(min = 0, max = 1_000_000) long seed) {
        Random random = new Random(seed);
        Stretches before = any(random);
        int from = random.nextInt(SECONDS - 60);
        int to = from + SHORTEST + random.nextInt(SECONDS - from - SHORTEST);
        Stretches after = before.add(from, to, Stretches.NO_STEP);
        assertThat(after.all()).contains(new One(from, to, Stretches.NO_STEP, false));
        assertThat(after.all().stream().filter(o -> o.to() > from && o.from() < to))
                .hasSize(1);
        for (One one : before.all())
            if (one.to() <= from || one.from() >= to)
                assertThat(after.all()).as("those beside it stay").contains(one);
    }

    @Property(tries = 200)
    void aStepBelongsToOneStretchAtMostAfterItWasAssigned(@ForAll @LongRange(min = 0, max = 1_000_000) long seed) {
        Random random = new Random(seed);
        Stretches all = any(random);
        for (int i = 0; i < 20 && !all.all().isEmpty(); i++) {
            int index = random.nextInt(all.all().size());
            int step = random.nextInt(STEPS);
            all = all.assign(index, step);
            assertThat(all.all().get(index).step()).isEqualTo(step);
            assertThat(all.all().stream().filter(o -> o.step() == step)).hasSize(1);
        }
    }

    private static Stretches any(Random random) {
        List<One> all = new ArrayList<>();
        Set<Integer> steps = new HashSet<>();
        int at = random.nextInt(100);
        while (at < SECONDS - 200 && all.size() < 20) {
            int to = at + SHORTEST + random.nextInt(180);
            int step = random.nextInt(STEPS);
            all.add(new One(at, to, steps.add(step) ? step : Stretches.NO_STEP, random.nextInt(5) == 0));
            at = to + (random.nextBoolean() ? 0 : random.nextInt(90));
        }
        return new Stretches(SECONDS, all);
    }

    private static Stretches changed(Stretches now, Random random) {
        int index = random.nextInt(now.all().size() + 2) - 1;
        int from = random.nextInt(SECONDS + 20) - 10;
        int to = from + random.nextInt(400) - 5;
        return switch (random.nextInt(7)) {
            case 0 -> now.move(index, from, to);
            case 1 -> now.split(from);
            case 2 -> now.join(index);
            case 3 -> now.add(from, to, random.nextInt(STEPS));
            case 4 -> now.remove(index);
            case 5 -> now.ignore(index, random.nextBoolean());
            default -> now.assign(index, random.nextInt(STEPS + 1) - 1);
        };
    }

    private static void isSound(Stretches all) {
        int end = 0;
        for (One one : all.all()) {
            assertThat(one.from()).isGreaterThanOrEqualTo(end);
            assertThat(one.to() - one.from()).isGreaterThanOrEqualTo(SHORTEST);
            end = one.to();
        }
        assertThat(end).isLessThanOrEqualTo(SECONDS);
    }
}
