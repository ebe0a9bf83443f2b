package pemblar.app.program;

import com.fasterxml.jackson.annotation.JsonInclude;
import java.util.List;
import java.util.function.ToLongFunction;

/** Some of what was asked for. @param next the number to send as {@code after} for more; left out at the end */
@JsonInclude(JsonInclude.Include.NON_NULL)
public record Page<T>(List<T> items, Long next) {
    private static final int MOST = 200;

    /** @param after the last number that was sent before; null from the first on */
    public static <T> Page<T> of(List<T> all, Long after, int limit, ToLongFunction<T> number) {
        if (limit < 1 || limit > MOST) throw new IllegalArgumentException("limit: send 1 to " + MOST + ".");
        int from = 0;
        if (after != null) {
            while (from < all.size() && number.applyAsLong(all.get(from)) != after) from++;
            if (from == all.size()) throw new IllegalArgumentException("after: nothing of these days has this number.");
            from++;
        }
        List<T> items = all.subList(from, Math.min(all.size(), from + limit));
        boolean more = from + items.size() < all.size();
        return new Page<>(items, more ? (Long) number.applyAsLong(items.get(items.size() - 1)) : null);
    }
}
