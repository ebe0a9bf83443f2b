package pemblar.app.program.key;

import java.util.Arrays;
import java.util.EnumSet;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;

/** What a token may; every one reads. */
public enum Scope {
    READ("read what you see"),
    PLAN("change what is planned"),
    LOG("bring recordings, check-ins and sets"),
    VALUES("change thresholds and maxima"),
    CALL("be called back when something happens");

    private final String words;

    Scope(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }

    public String key() {
        return name().toLowerCase(Locale.ROOT);
    }

    /** Words that are not known are left out; reading is always among them. */
    public static Set<Scope> read(String stored) {
        Set<Scope> all = EnumSet.of(READ);
        for (Scope scope : values()) if (Arrays.asList(stored.split(",")).contains(scope.key())) all.add(scope);
        return all;
    }

    static String stored(Set<Scope> scopes) {
        return scopes.stream().map(Scope::key).collect(Collectors.joining(","));
    }
}
