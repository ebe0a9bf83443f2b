package pemblar.app.objects;

import java.util.Optional;

/** No store is set up: all bytes lie in the database. */
class NoObjects implements ObjectStore {
    private static StoreAway missing() {
        return new StoreAway("A recording lies in a store of objects, and none is set up: set PEMBLAR_OBJECTS");
    }

    @Override
    public boolean isThere() {
        return false;
    }

    @Override
    public void put(String key, byte[] content) {
        throw missing();
    }

    @Override
    public Optional<byte[]> get(String key) {
        throw missing();
    }

    @Override
    public void delete(String key) {
        throw missing();
    }
}
