package pemblar.app.account;

import java.util.Optional;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.frame.NotFoundException;
import pemblar.app.frame.Viewer;
import pemblar.app.mail.MailService;

/**
 * The key to an account: another password, a forgotten one, another address. Each change ends the other sign-ins, and
 * is told by mail to the address that the account had before.
 */
@Service
public class DoorService {
    private final AccountRepository accounts;
    private final PasswordEncoder passwords;
    private final LinkStore links;
    private final SignIns signIns;
    private final MailService mail;

    DoorService(
            AccountRepository accounts, PasswordEncoder passwords, LinkStore links, SignIns signIns, MailService mail) {
        this.accounts = accounts;
        this.passwords = passwords;
        this.links = links;
        this.signIns = signIns;
        this.mail = mail;
    }

    @Transactional(readOnly = true)
    public String address(Viewer viewer) {
        return row(viewer.accountId()).email;
    }

    private AccountRow row(long accountId) {
        return accounts.findById(accountId).orElseThrow(() -> new NotFoundException("account"));
    }

    private AccountRow checked(Viewer viewer, String password) {
        AccountRow row = row(viewer.accountId());
        if (!passwords.matches(password, row.passwordHash))
            throw new IllegalArgumentException("Present password: it is not the one of this account.");
        return row;
    }

    /** @throws IllegalArgumentException when the password is not the account's */
    @Transactional(readOnly = true)
    public String checkedAddress(Viewer viewer, String password) {
        return checked(viewer, password).email;
    }

    /** @param hereId of the sign-in that stays. @return how many others were ended */
    @Transactional
    public int changePassword(Viewer viewer, String present, String wanted, String hereId) {
        AccountRow row = checked(viewer, present);
        return set(row, wanted, hereId);
    }

    private int set(AccountRow row, String wanted, String hereId) {
        row.passwordHash = passwords.encode(AccountService.password(wanted));
        mail.send(
                row.email,
                "Your password was changed",
                "The password of your account was changed just now, and all other sign-ins were ended.\n\nIf that was"
                        + " not you, ask for a new password here:\n" + mail.address("/forgot"));
        return signIns.end(row.email, hereId);
    }

    /** Mails a link when there is such an account; the answer is the same when there is none. */
    @Transactional
    public void forgot(String email) {
        Optional<AccountRow> row = accounts.findByEmail(AccountService.normal(email));
        row.ifPresent(found -> mail.send(
                found.email,
                "A new password",
                "Somebody, we hope you, asked for a new password. Within an hour, and once, this link lets you choose"
                        + " it:\n"
                        + mail.address("/reset/" + links.make(new LinkStore.Link(found.id, null)))
                        + "\n\nIf it was not you, nothing has changed: leave this mail."));
    }

    /** True while a link for a new password can be used. */
    @Transactional(readOnly = true)
    public boolean canReset(String token) {
        return links.valid(token).filter(LinkStore.Link::isForPassword).isPresent();
    }

    /** @throws IllegalArgumentException when the password will not do: the link still serves then */
    @Transactional
    public void reset(String token, String wanted) {
        AccountService.password(wanted);
        LinkStore.Link link =
                links.use(token).filter(LinkStore.Link::isForPassword).orElseThrow(() -> new NotFoundException("link"));
        set(row(link.accountId()), wanted, null);
    }

    /** The new address is asked whether it is this person's; until then the old one counts. */
    @Transactional
    public void askForAddress(Viewer viewer, String password, String email) {
        checked(viewer, password);
        String address = AccountService.address(email);
        if (accounts.findByEmail(address).isPresent()) throw new IllegalArgumentException(AccountService.TAKEN);
        mail.send(
                address,
                "Is this your address?",
                viewer.name()
                        + " wants to sign in with this address. Within an hour, and once, this link makes it so:\n"
                        + mail.address(
                                "/account/address/" + links.make(new LinkStore.Link(viewer.accountId(), address))));
    }

    /** @return the address that holds from now on */
    @Transactional
    public String confirmAddress(Viewer viewer, String token) {
        LinkStore.Link link = links.valid(token)
                .filter(l -> !l.isForPassword() && l.accountId() == viewer.accountId())
                .orElseThrow(() -> new NotFoundException("link"));
        if (accounts.findByEmail(link.email()).isPresent()) throw new IllegalArgumentException(AccountService.TAKEN);
        links.use(token).orElseThrow(() -> new NotFoundException("link"));
        AccountRow row = row(link.accountId());
        mail.send(
                row.email,
                "Your address was changed",
                "From now on you sign in with " + link.email() + ". If that was not you, write to who runs this"
                        + " Pemblar at once.");
        signIns.end(row.email, null);
        row.email = link.email();
        return row.email;
    }
}
