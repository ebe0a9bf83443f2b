package pemblar.app.strength.maximum;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import pemblar.app.strength.maximum.MaximaService.Link;

/** The chain as a drawing: parents left of children, no two names on one place. */
@Tag("unit")
class LinkTreeTest {
    private static final List<Link> LINKS = List.of(
            new Link("split squat", "back squat", 40, false),
            new Link("step-up", "split squat", 80, true),
            new Link("front squat", "back squat", 85, true),
            new Link("romanian deadlift", "deadlift", 80, false));

    @Test
    void eachHangsFromTheOneThatItFollows() {
        LinkTree tree = LinkTree.of(LINKS, name -> name.length() + " kg");
        assertThat(tree.nodes().stream().map(LinkTree.Node::exercise))
                .containsExactly(
                        "back squat", "split squat", "step-up", "front squat", "deadlift", "romanian deadlift");
        assertThat(tree.nodes().stream().map(LinkTree.Node::x)).containsExactly(0.0, 250.0, 500.0, 250.0, 0.0, 250.0);
        assertThat(tree.nodes().stream().collect(Collectors.groupingBy(n -> n.x() + " " + n.y())))
                .hasSize(6);
        assertThat(tree.edges().stream().map(e -> e.percent() + (e.back() ? " back" : "")))
                .containsExactly("40 %", "80 % back", "85 % back", "80 %");
        assertThat(tree.height()).isGreaterThan(tree.nodes().get(5).y());
    }

    @Test
    void withoutLinksThereIsNone() {
        assertThat(LinkTree.of(List.of(), name -> "").isEmpty()).isTrue();
    }
}
