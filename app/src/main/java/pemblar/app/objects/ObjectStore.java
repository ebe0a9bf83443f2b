package pemblar.app.objects;

import java.util.Optional;

/** Keeps bytes by a key. What it cannot do for the moment is a {@link StoreAway}. */
public interface ObjectStore {
    /** False when no store is set up. */
    boolean isThere();

    void put(String key, byte[] content);

    /** Empty when there is no such object. */
    Optional<byte[]> get(String key);

    /** Without effect when there is no such object. */
    void delete(String key);
}
