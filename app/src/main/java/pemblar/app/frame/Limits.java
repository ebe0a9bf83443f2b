package pemblar.app.frame;

import io.github.bucket4j.Bucket;
import java.time.Duration;
import java.util.LinkedHashMap;
import java.util.Map;
import org.springframework.stereotype.Component;

/** How often something may be tried: sign-ins by address and name, uploads by account. */
@Component
public class Limits {
    private static final int MOST_KEYS = 10_000;
    private static final int SIGN_INS_PER_MINUTE = 10;
    private static final int UPLOADS_PER_MINUTE = 60;
    private final Map<String, Bucket> buckets = new LinkedHashMap<>(16, 0.75f, true) {
        private static final long serialVersionUID = 1;

        @Override
        protected boolean removeEldestEntry(Map.Entry<String, Bucket> eldest) {
            return size() > MOST_KEYS;
        }
    };

    public boolean allowSignIn(String key) {
        return bucket("sign-in " + key, SIGN_INS_PER_MINUTE).tryConsume(1);
    }

    public boolean allowUpload(long accountId) {
        return bucket("upload " + accountId, UPLOADS_PER_MINUTE).tryConsume(1);
    }

    private Bucket bucket(String key, int perMinute) {
        synchronized (buckets) {
            return buckets.computeIfAbsent(key, k -> Bucket.builder()
                .addLimit(limit -> limit.capacity(perMinute).refillGreedy(perMinute, Duration.ofMinutes(1))).build());
        }
    }
}
