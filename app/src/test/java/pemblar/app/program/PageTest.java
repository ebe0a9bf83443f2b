package pemblar.app.program;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** Page after page gives all of it once, in order. */
@Tag("unit")
class PageTest {
    private static final List<Long> ALL = LongStream.rangeClosed(1, 23).boxed().toList();
    private static final LocalDate TODAY = LocalDate.of(2026, 5, 4);

    @Test
    void pageAfterPageGivesEachOnce() {
        for (int limit : new int[] {1, 2, 22, 23, 24, 200}) {
            List<Long> seen = new ArrayList<>();
            Long after = null;
            do {
                Page<Long> page = Page.of(ALL, after, limit, Long::longValue);
                assertThat(page.items()).hasSizeLessThanOrEqualTo(limit);
                seen.addAll(page.items());
                after = page.next();
            } while (after != null);
            assertThat(seen).as("limit %d", limit).isEqualTo(ALL);
        }
    }

    @Test
    void whatCannotBeIsRefusedByItsName() {
        assertThatThrownBy(() -> Page.of(ALL, null, 0, Long::longValue)).hasMessageStartingWith("limit:");
        assertThatThrownBy(() -> Page.of(ALL, null, 201, Long::longValue)).hasMessageStartingWith("limit:");
        assertThatThrownBy(() -> Page.of(ALL, 99L, 5, Long::longValue)).hasMessageStartingWith("after:");
        assertThat(Page.of(List.<Long>of(), null, 5, Long::longValue).next()).isNull();
    }

    @Test
    void daysThatWereNotSaidAreFourWeeksEachWay() {
        assertThat(Span.of(null, null, TODAY)).isEqualTo(new Span(TODAY.minusDays(28), TODAY.plusDays(28)));
        assertThat(Span.of(TODAY, null, TODAY).to()).isEqualTo(TODAY.plusDays(56));
        assertThat(Span.of(null, TODAY, TODAY).from()).isEqualTo(TODAY.minusDays(56));
        assertThatThrownBy(() -> Span.of(TODAY, TODAY.minusDays(1), TODAY)).hasMessageStartingWith("to:");
        assertThatThrownBy(() -> Span.of(TODAY, TODAY.plusDays(401), TODAY)).hasMessageStartingWith("to:");
        assertThatThrownBy(() -> Span.of(LocalDate.MIN, LocalDate.MIN.plusDays(1), TODAY))
                .hasMessageStartingWith("from:");
    }
}
