package pemblar.app.account.second;

import java.security.SecureRandom;
import java.time.Duration;
import java.time.Instant;
import java.time.InstantSource;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalLong;
import org.apache.commons.codec.binary.Base32;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.account.DoorService;
import pemblar.app.account.SignIns;
import pemblar.app.account.second.SecondFactorStore.Held;
import pemblar.app.frame.NotFoundException;
import pemblar.app.frame.Secret;
import pemblar.app.frame.Viewer;
import pemblar.app.mail.MailService;

/**
 * The second factor: a code of an authenticator besides the password, or one of ten recovery codes that serve once
 * each. Turning it on ends the other sign-ins; each change is told by mail.
 */
@Service
public class SecondFactorService {
    private static final int RECOVERY_CODES = 10;
    private static final int RECOVERY_BYTES = 10;
    private static final Duration TO_BEGIN = Duration.ofMinutes(15);
    private static final String WRONG =
            "Code: it is not the one of now. Look that the clock of the device is right, and type the next one.";
    private static final String USED = "Code: it is not the one of now, or has been used. Type the next one.";
    private static final String LOST =
            "Code: what codes are checked by cannot be opened here, so none is taken. Type a recovery code, or ask"
                    + " who runs this Pemblar.";
    private static final SecureRandom RANDOM = new SecureRandom();
    private final SecondFactorStore store;
    private final DoorService door;
    private final SignIns signIns;
    private final MailService mail;
    private final InstantSource clock;

    SecondFactorService(
            SecondFactorStore store, DoorService door, SignIns signIns, MailService mail, InstantSource clock) {
        this.store = store;
        this.door = door;
        this.signIns = signIns;
        this.mail = mail;
        this.clock = clock;
    }

    /** @param recoveryLeft of the ten */
    public record State(boolean on, int recoveryLeft) {}

    @Transactional(readOnly = true)
    public State state(Viewer viewer) {
        boolean on = store.isOn(viewer.accountId());
        return new State(on, on ? store.recoveryLeft(viewer.accountId()) : 0);
    }

    /** A secret that is not on yet. */
    public record Begun(String typed, String address) {}

    /** @throws IllegalArgumentException when the password is not the account's, or one is on */
    @Transactional
    public void begin(Viewer viewer, String password) {
        door.checkedAddress(viewer, password);
        if (!store.begin(viewer.accountId(), TimeCodes.secret(), clock.instant()))
            throw new IllegalArgumentException("The second factor is on already; turn it off first.");
    }

    /** Empty when none was begun of late. */
    @Transactional(readOnly = true)
    Optional<Begun> begun(Viewer viewer) {
        return store.of(viewer.accountId())
                .filter(this::canBegin)
                .flatMap(Held::secret)
                .map(secret -> new Begun(
                        TimeCodes.typed(secret).replaceAll("(.{4})(?=.)", "$1 "),
                        TimeCodes.address(secret, door.address(viewer))));
    }

    private boolean canBegin(Held held) {
        return !held.on() && held.madeAt().plus(TO_BEGIN).isAfter(clock.instant());
    }

    /** Turns it on with its first code. @return the recovery codes, told once */
    @Transactional
    public List<String> confirm(Viewer viewer, String code, String hereId) {
        Held held =
                store.of(viewer.accountId()).filter(this::canBegin).orElseThrow(() -> new NotFoundException("code"));
        if (!isRight(viewer.accountId(), held, code)) throw new IllegalArgumentException(WRONG);
        store.confirm(viewer.accountId(), clock.instant());
        signIns.end(door.address(viewer), hereId);
        tell(viewer, "is on", "From now on signing in asks for a code besides your password.");
        return newRecovery(viewer.accountId());
    }

    /** Others in place of the recovery codes. @return them, told once */
    @Transactional
    public List<String> newCodes(Viewer viewer, String password, String code) {
        checked(viewer, password, code);
        tell(viewer, "has new recovery codes", "The older recovery codes no longer serve.");
        return newRecovery(viewer.accountId());
    }

    @Transactional
    public void off(Viewer viewer, String password, String code) {
        checked(viewer, password, code);
        store.off(viewer.accountId());
        tell(viewer, "is off", "From now on the password alone opens your account.");
    }

    private void checked(Viewer viewer, String password, String code) {
        door.checkedAddress(viewer, password);
        if (!passes(viewer.accountId(), code))
            throw new IllegalArgumentException(isKeyLost(viewer.accountId()) ? LOST : WRONG);
    }

    /** Whether a code lets this account in; it is used up by it. */
    @Transactional
    public boolean passes(long accountId, String code) {
        Optional<Held> held = store.of(accountId).filter(Held::on);
        if (held.isEmpty()) return false;
        return isRight(accountId, held.get(), code)
                || store.useRecovery(accountId, Secret.hash(plain(code)), clock.instant());
    }

    private boolean isRight(long accountId, Held held, String code) {
        if (held.secret().isEmpty()) return false;
        OptionalLong step = TimeCodes.step(held.secret().get(), code, clock.instant());
        return step.isPresent() && store.use(accountId, step.getAsLong());
    }

    /** Why a code did not let in, and what to type. */
    @Transactional(readOnly = true)
    public String whyNot(long accountId) {
        return isKeyLost(accountId) ? LOST : USED;
    }

    /** Not of somebody who has no second factor: nothing of theirs is lost. */
    private boolean isKeyLost(long accountId) {
        return store.of(accountId).filter(held -> held.secret().isEmpty()).isPresent();
    }

    private static String plain(String code) {
        return code.replaceAll("[\\s-]", "").toUpperCase(Locale.ROOT);
    }

    private List<String> newRecovery(long accountId) {
        List<String> codes = new ArrayList<>();
        for (int i = 0; i < RECOVERY_CODES; i++) {
            byte[] bytes = new byte[RECOVERY_BYTES];
            RANDOM.nextBytes(bytes);
            codes.add(new Base32().encodeAsString(bytes).replaceAll("(.{4})(?=.)", "$1-"));
        }
        store.keepRecovery(
                accountId, codes.stream().map(c -> Secret.hash(plain(c))).toList());
        return codes;
    }

    private void tell(Viewer viewer, String what, String words) {
        Instant now = clock.instant();
        mail.send(
                door.address(viewer),
                "Your second factor " + what,
                words + " It was changed just now (" + now.truncatedTo(java.time.temporal.ChronoUnit.SECONDS)
                        + "). If that was not you, change your password at once:\n" + mail.address("/account"));
    }
}
