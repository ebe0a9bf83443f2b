package pemblar.app.frame;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;

/**
 * What was computed of late. The same question always has the same answer, so a page that is looked at again does not
 * compute it again; nothing rests on it being here.
 *
 * @param <Q> all that an answer rests on, compared by equals
 */
public final class Recent<Q, A> {
    private final Function<Q, A> compute;
    private final Map<Q, A> answers;

    /** @param most answers that are kept; the one that was not asked for the longest goes */
    public Recent(int most, Function<Q, A> compute) {
        this.compute = compute;
        this.answers = Collections.synchronizedMap(new LinkedHashMap<>(16, 0.75f, true) {
            @Override
            protected boolean removeEldestEntry(Map.Entry<Q, A> eldest) {
                return size() > most;
            }
        });
    }

    public A of(Q question) {
        A known = answers.get(question);
        if (known != null) return known;
        A answer = compute.apply(question);
        answers.put(question, answer);
        return answer;
    }

    /** Without computing it. */
    public Optional<A> known(Q question) {
        return Optional.ofNullable(answers.get(question));
    }

    /** What was computed for many at once. */
    public void keep(Q question, A answer) {
        answers.put(question, answer);
    }
}
