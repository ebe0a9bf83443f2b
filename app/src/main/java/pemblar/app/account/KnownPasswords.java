package pemblar.app.account;

import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;
import me.gosimple.nbvcxz.resources.ConfigurationBuilder;

/** Passwords that many people have chosen, as a list of those found in the open has them. */
final class KnownPasswords {
    private static final String LIST = "passwords";

    private KnownPasswords() {}

    /** Read when it is first asked for: most starts never need it. */
    private static final class Held {
        private static final Set<String> ALL = ConfigurationBuilder.getDefaultDictionaries().stream()
                .filter(dictionary -> dictionary.getDictionaryName().equals(LIST))
                .flatMap(dictionary -> dictionary.getDictonary().keySet().stream())
                .filter(password -> password.length() >= AccountService.SHORTEST_PASSWORD)
                .collect(Collectors.toUnmodifiableSet());
    }

    /** Whatever its case, and with a year or a mark put behind it. */
    static boolean contains(String password) {
        String small = password.toLowerCase(Locale.ROOT);
        return Held.ALL.contains(small) || Held.ALL.contains(small.replaceAll("(?<=.)[0-9!.?]{1,4}$", ""));
    }

    static int size() {
        return Held.ALL.size();
    }
}
