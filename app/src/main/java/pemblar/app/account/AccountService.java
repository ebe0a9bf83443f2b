package pemblar.app.account;

import java.time.InstantSource;
import java.util.Locale;
import java.util.Optional;
import org.springframework.security.core.userdetails.UserDetails;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.core.userdetails.UsernameNotFoundException;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.account.second.SecondFactorStore;
import pemblar.app.frame.Viewer;

/** Creates accounts and finds them for signing in. */
@Service
public class AccountService implements UserDetailsService {
    static final String TAKEN = "E-mail: there is an account with this address; sign in instead.";
    static final int SHORTEST_PASSWORD = 10;
    /** BCrypt reads no further. */
    private static final int LONGEST_PASSWORD_BYTES = 72;

    private final AccountRepository accounts;
    private final PasswordEncoder passwords;
    private final SecondFactorStore second;
    private final InstantSource clock;

    AccountService(
            AccountRepository accounts, PasswordEncoder passwords, SecondFactorStore second, InstantSource clock) {
        this.second = second;
        this.accounts = accounts;
        this.passwords = passwords;
        this.clock = clock;
    }

    @Override
    @Transactional(readOnly = true)
    public UserDetails loadUserByUsername(String email) {
        return accounts.findByEmail(normal(email))
                .map(row -> new SignedIn(row, second.isOn(row.id)))
                .orElseThrow(() -> new UsernameNotFoundException("no such account"));
    }

    @Transactional(readOnly = true)
    public boolean isEmpty() {
        return accounts.count() == 0;
    }

    /** The account of an address, for letting somebody in. */
    @Transactional(readOnly = true)
    public Optional<Viewer> find(String email) {
        return accounts.findByEmail(normal(email)).map(row -> new Viewer(row.id, row.name));
    }

    /** @throws IllegalArgumentException with a sentence for the person when something is refused */
    @Transactional
    public Viewer create(String email, String name, String password) {
        String address = address(email);
        if (name.isBlank() || name.length() > 100)
            throw new IllegalArgumentException("Name: enter 1 to 100 characters.");
        if (accounts.findByEmail(address).isPresent()) throw new IllegalArgumentException(TAKEN);
        AccountRow row = accounts.save(
                new AccountRow(address, name.strip(), passwords.encode(password(password)), clock.instant()));
        return new Viewer(row.id, row.name);
    }

    /** Whether a person wants one mail a day of what is new to them. */
    @Transactional
    public void setDailyMail(Viewer viewer, boolean wanted) {
        accounts.findById(viewer.accountId()).ifPresent(row -> row.dailyMail = wanted);
    }

    @Transactional(readOnly = true)
    public boolean wantsDailyMail(Viewer viewer) {
        return accounts.findById(viewer.accountId()).map(row -> row.dailyMail).orElse(false);
    }

    /** @throws IllegalArgumentException when nobody could be written to there */
    static String address(String email) {
        String address = normal(email);
        if (!address.matches("[^\\s@]+@[^\\s@]+") || address.length() > 200)
            throw new IllegalArgumentException("E-mail: enter an address such as you@example.org.");
        return address;
    }

    /** @throws IllegalArgumentException when it is too short, too long to count whole, or tried first by guessers */
    static String password(String wanted) {
        if (wanted.length() < SHORTEST_PASSWORD)
            throw new IllegalArgumentException("Password: use at least " + SHORTEST_PASSWORD + " characters.");
        if (wanted.getBytes(java.nio.charset.StandardCharsets.UTF_8).length > LONGEST_PASSWORD_BYTES)
            throw new IllegalArgumentException("Password: use at most " + LONGEST_PASSWORD_BYTES + " bytes.");
        if (KnownPasswords.contains(wanted))
            throw new IllegalArgumentException(
                    "Password: this one is on the lists that are tried first. Choose one that nobody else has.");
        return wanted;
    }

    static String normal(String email) {
        return email.strip().toLowerCase(Locale.ROOT);
    }
}
