package pemblar.core.matching;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import pemblar.core.matching.Stretches.One;

class StretchesTest {
    private static final Stretches THREE = new Stretches(
            600, List.of(new One(0, 100, 0, false), new One(100, 200, 1, false), new One(300, 400, 2, false)));

    @Test
    void aSharedBoundaryMovesForBothAndAGapStaysAGap() {
        Stretches moved = THREE.move(0, 0, 120);
        assertThat(moved.all().get(1)).isEqualTo(new One(120, 200, 1, false));
        assertThat(THREE.move(1, 100, 220).all().get(2).from()).isEqualTo(300);
    }

    @Test
    void whatCannotBeIsRefusedAndNothingChanges() {
        assertThatThrownBy(() -> THREE.move(0, 0, 199))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("shorter");
        assertThatThrownBy(() -> THREE.move(1, 100, 350)).hasMessageContaining("neighbour");
        assertThatThrownBy(() -> THREE.move(2, 300, 700)).hasMessageContaining("outside");
        assertThatThrownBy(() -> THREE.split(250)).hasMessageContaining("no stretch");
        assertThatThrownBy(() -> THREE.join(2)).hasMessageContaining("last");
        assertThatThrownBy(() -> THREE.ignore(7, true)).hasMessageContaining("no such");
    }

    @Test
    void splittingAndJoiningComeBackToTheSame() {
        Stretches split = THREE.split(40);
        assertThat(split.all()).hasSize(4);
        assertThat(split.all().get(1)).isEqualTo(new One(40, 100, Stretches.NO_STEP, false));
        assertThat(split.join(0)).isEqualTo(THREE);
    }

    @Test
    void anAddedStretchTakesItsPlaceFromThoseUnderIt() {
        assertThat(THREE.add(50, 350, Stretches.NO_STEP).all())
                .containsExactly(
                        new One(0, 50, 0, false),
                        new One(50, 350, Stretches.NO_STEP, false),
                        new One(350, 400, 2, false));
        assertThat(THREE.add(320, 360, Stretches.NO_STEP).all()).hasSize(5);
    }

    @Test
    void aStepBelongsToOneStretchOnly() {
        Stretches assigned = THREE.assign(2, 1);
        assertThat(assigned.all()).extracting(One::step).containsExactly(0, Stretches.NO_STEP, 1);
    }

    @Test
    void whateverIsDoneStretchesStayInOrderAndApart() {
        Random random = new Random(3);
        Stretches now = THREE;
        for (int i = 0; i < 3000; i++) {
            try {
                int index = random.nextInt(now.all().size() + 1);
                int a = random.nextInt(620) - 10;
                int b = a + random.nextInt(120);
                now = switch (random.nextInt(6)) {
                    case 0 -> now.move(index, a, b);
                    case 1 -> now.split(a);
                    case 2 -> now.join(index);
                    case 3 -> now.add(a, b, Stretches.NO_STEP);
                    case 4 -> now.all().size() > 2 ? now.remove(index) : now;
                    default -> now.ignore(index, random.nextBoolean());
                };
            } catch (IllegalArgumentException e) {
                assertThat(e.getMessage()).endsWith(".").doesNotContain("null");
            }
            int end = 0;
            for (One one : now.all()) {
                assertThat(one.from()).isGreaterThanOrEqualTo(end);
                assertThat(one.to()).isBetween(one.from() + 3, 600);
                end = one.to();
            }
        }
    }
}
