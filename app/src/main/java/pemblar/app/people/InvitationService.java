package pemblar.app.people;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Duration;
import java.time.Instant;
import java.time.InstantSource;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.account.AccountService;
import pemblar.app.athlete.AthleteService;
import pemblar.app.athlete.CoachingService;
import pemblar.app.frame.NotFoundException;
import pemblar.app.frame.Secret;
import pemblar.app.frame.Viewer;
import pemblar.app.frame.door.Limits;
import pemblar.app.mail.MailService;

/**
 * Invitations: a coach invites athletes, an athlete a coach. Each is a mail with a link that serves once and for 14
 * days; only a hash of it is kept. Nothing is seen by anybody before the one who was asked has read who asks for what,
 * and accepted.
 */
@Service
public class InvitationService {
    private static final Duration VALID = Duration.ofDays(14);
    private static final int MOST_AT_ONCE = 100;
    private static final int LONGEST_WORD = 500;
    private static final String SELECT =
            "select i.*, k.name as sender, k.email as sender_email, a.name as athlete from invitation i join "
                    + "account k on k.id = i.sender_id left join athlete a on a.id = i.athlete_id";
    private final JdbcClient sql;
    private final CoachingService coachings;
    private final AthleteService athletes;
    private final AccountService accounts;
    private final AwaitedService awaited;
    private final MailService mail;
    private final Limits limits;
    private final InstantSource clock;

    InvitationService(
            JdbcClient sql,
            CoachingService coachings,
            AthleteService athletes,
            AccountService accounts,
            AwaitedService awaited,
            MailService mail,
            Limits limits,
            InstantSource clock) {
        this.sql = sql;
        this.coachings = coachings;
        this.athletes = athletes;
        this.accounts = accounts;
        this.mail = mail;
        this.awaited = awaited;
        this.limits = limits;
        this.clock = clock;
    }

    /** What an invitation is seen as. */
    public enum State {
        OPEN,
        ACCEPTED,
        DECLINED,
        WITHDRAWN,
        EXPIRED
    }

    /**
     * @param toCoach true when an athlete asks a coach
     * @param plans asked for: see and plan; false: see
     * @param awaitedId of the pages that the coach has begun; null when there are none
     */
    public record Invitation(
            long id,
            long senderId,
            String sender,
            String senderEmail,
            String email,
            boolean toCoach,
            Long athleteId,
            boolean plans,
            String word,
            State state,
            Instant sentAt,
            Instant expiresAt,
            Long awaitedId) {
        /** A name for the address, to be mended: what stands before the @, its parts capitalised. */
        public String likelyName() {
            return java.util.Arrays.stream(email.replaceAll("@.*", "").split("[._-]+"))
                    .filter(part -> !part.isEmpty())
                    .map(part -> part.substring(0, 1).toUpperCase(Locale.ROOT) + part.substring(1))
                    .collect(java.util.stream.Collectors.joining(" "));
        }

        /** What accepting gives, in a few words. */
        public String rights() {
            return plans ? "see and plan" : "see";
        }
    }

    /** What became of one pasted address. */
    public record Reported(String email, boolean invited, String what) implements java.io.Serializable {}

    /** A coach invites everybody in a pasted text; each address is checked and reported. */
    @Transactional
    public List<Reported> inviteAthletes(Viewer coach, String pasted, boolean plans, String word) {
        Set<String> addresses = new LinkedHashSet<>();
        for (String part : pasted.split("[\\s,;<>]+"))
            if (part.contains("@")) addresses.add(part.strip().toLowerCase(Locale.ROOT));
        if (addresses.isEmpty()) throw new IllegalArgumentException("Addresses: paste one or more e-mail addresses.");
        if (addresses.size() > MOST_AT_ONCE)
            throw new IllegalArgumentException(
                    "Addresses: at most " + MOST_AT_ONCE + " at once; " + addresses.size() + " were pasted.");
        List<Reported> reported = new ArrayList<>();
        for (String address : addresses) reported.add(invite(coach, address, plans, word));
        return reported;
    }

    private Reported invite(Viewer coach, String address, boolean plans, String word) {
        if (!isAddress(address)) return new Reported(address, false, "is no e-mail address");
        Optional<Viewer> known = accounts.find(address);
        if (known.filter(k -> k.accountId() == coach.accountId()).isPresent())
            return new Reported(address, false, "is your own address");
        boolean coached = known.flatMap(athletes::own)
                .filter(id -> coachings.ofAthlete(id).stream()
                        .anyMatch(c -> c.coachAccountId() == coach.accountId() && c.stands()))
                .isPresent();
        if (coached) return new Reported(address, false, "is coached by you already");
        if (isOpen(coach, address))
            return new Reported(
                    address, false, "has an open invitation from you already; send it again or withdraw it");
        if (!limits.allowInvitation(coach.accountId()))
            return new Reported(address, false, "was not invited: too many in an hour, try again later");
        send(new Asked(coach, address, false, null, plans, checked(word)));
        return new Reported(address, true, "is invited");
    }

    /** An athlete invites a coach. @return what to say */
    @Transactional
    public String inviteCoach(long athleteId, Viewer athlete, String email, boolean plans, String word) {
        String address = email.strip().toLowerCase(Locale.ROOT);
        if (!isAddress(address))
            throw new IllegalArgumentException("E-mail: enter an address such as coach@example.org.");
        Optional<Viewer> known = accounts.find(address);
        if (known.filter(k -> k.accountId() == athlete.accountId()).isPresent())
            throw new IllegalArgumentException("E-mail: this is your own address; enter your coach's.");
        boolean has = known.isPresent()
                && coachings.ofAthlete(athleteId).stream()
                        .anyMatch(c -> c.coachAccountId() == known.get().accountId() && c.stands());
        if (has) throw new IllegalArgumentException("E-mail: " + known.get().name() + " has access already.");
        if (isOpen(athlete, address))
            throw new IllegalArgumentException(
                    "E-mail: there is an open invitation to this address; send it again or withdraw it below.");
        if (!limits.allowInvitation(athlete.accountId()))
            throw new IllegalArgumentException("That was a lot of invitations in an hour. Try again later.");
        send(new Asked(athlete, address, true, athleteId, plans, checked(word)));
        return "The invitation is on its way. Nothing of yours is seen before it is accepted.";
    }

    private static boolean isAddress(String address) {
        return address.length() <= 200 && address.matches("[^\\s@\\p{Cntrl}]+@[^\\s@\\p{Cntrl}]+\\.[^\\s@\\p{Cntrl}]+");
    }

    private static String checked(String word) {
        if (word.length() > LONGEST_WORD)
            throw new IllegalArgumentException("Word: enter at most " + LONGEST_WORD + " characters.");
        return word.strip();
    }

    private boolean isOpen(Viewer sender, String address) {
        return sql.sql("select count(*) from invitation where sender_id = ? and email = ? and state "
                                + "= 'OPEN' and expires_at > ?")
                        .params(sender.accountId(), address, at(clock.instant()))
                        .query(Integer.class)
                        .single()
                > 0;
    }

    /** What is sent. */
    private record Asked(Viewer sender, String address, boolean toCoach, Long athleteId, boolean plans, String word) {}

    private void send(Asked asked) {
        String token = Secret.random();
        Instant now = clock.instant();
        sql.sql("insert into invitation (sender_id, email, to_coach, athlete_id, plans, word, "
                        + "token_sha256, state, sent_at, expires_at) values (?, ?, ?, ?, ?, ?, ?, 'OPEN', ?, ?)")
                .params(
                        asked.sender().accountId(),
                        asked.address(),
                        asked.toCoach(),
                        asked.athleteId(),
                        asked.plans(),
                        asked.word(),
                        Secret.hash(token),
                        at(now),
                        at(now.plus(VALID)))
                .update();
        mail(asked, token);
    }

    private void mail(Asked asked, String token) {
        String rights = asked.plans() ? "see and plan" : "see";
        String what = asked.toCoach()
                ? asked.sender().name() + " asks you to coach: you would " + rights + " their training."
                : asked.sender().name() + " would like to coach you: to " + rights + " your training.";
        mail.send(
                asked.address(),
                "An invitation from " + asked.sender().name(),
                what + (asked.word().isEmpty() ? "" : "\n\n“" + asked.word() + "”")
                        + "\n\nRead what it means and answer, within 14 days:\n" + mail.address("/invitation/" + token)
                        + "\n\nWhoever has this link can answer for you: do not pass it on.");
    }

    /** Invitations that this person has sent, the latest first. */
    @Transactional(readOnly = true)
    public List<Invitation> sentBy(Viewer sender) {
        return sql.sql(SELECT + " where i.sender_id = ? order by i.id desc limit 200")
                .param(sender.accountId())
                .query((rs, i) -> invitation(rs))
                .list();
    }

    /**
     * The open invitation behind a link. @throws NotFoundException when there is none: used, withdrawn, or never made
     */
    @Transactional(readOnly = true)
    public Invitation behind(String token) {
        return sql.sql(SELECT + " where i.token_sha256 = ?")
                .param(Secret.hash(token))
                .query((rs, i) -> invitation(rs))
                .optional()
                .orElseThrow(() -> new NotFoundException("invitation"));
    }

    /**
     * Accepts, by whoever holds the link and is signed in.
     *
     * @param seasonToo the season that a coach began takes the place of the person's own
     * @return the athlete whose training is meant
     */
    @Transactional
    public long accept(String token, Viewer viewer, boolean seasonToo) {
        Invitation asked = claim(token, viewer, "ACCEPTED");
        if (asked.toCoach()) {
            coachings.begin(asked.athleteId(), viewer.accountId(), asked.plans());
            return asked.athleteId();
        }
        if (asked.awaitedId() != null) {
            long own = awaited.hand(asked, viewer, seasonToo);
            coachings.begin(own, asked.senderId(), asked.plans());
            return own;
        }
        long own = athletes.own(viewer)
                .orElseThrow(() -> new IllegalArgumentException(
                        "Your account has no training of its own yet: make one as an athlete first, "
                                + "then open the link again."));
        coachings.begin(own, asked.senderId(), asked.plans());
        return own;
    }

    @Transactional
    public void decline(String token, Viewer viewer) {
        claim(token, viewer, "DECLINED");
    }

    /** One answer only, however many windows are open. */
    private Invitation claim(String token, Viewer viewer, String answer) {
        Invitation asked = behind(token);
        if (asked.senderId() == viewer.accountId())
            throw new IllegalArgumentException(
                    "This invitation is from yourself: sign out, and let the one who was asked open it.");
        int claimed = sql.sql("update invitation set state = ?, answered_at = ?, answered_by = ? where token_sha256 "
                        + "= ? and state = 'OPEN' and expires_at > ?")
                .params(answer, at(clock.instant()), viewer.accountId(), Secret.hash(token), at(clock.instant()))
                .update();
        if (claimed == 0) throw new IllegalArgumentException(gone(asked));
        return asked;
    }

    /** Why a link no longer serves. */
    static String gone(Invitation asked) {
        return switch (asked.state()) {
            case ACCEPTED, DECLINED -> "This invitation was answered already; its link serves once.";
            case WITHDRAWN -> "This invitation was withdrawn by " + asked.sender() + ".";
            case EXPIRED, OPEN -> "This invitation is older than 14 days. Ask " + asked.sender() + " to send it again.";
        };
    }

    /** Sends an open or expired invitation again, with a new link; the old one no longer serves. */
    @Transactional
    public String again(long id, Viewer sender) {
        Invitation old = own(id, sender);
        if (old.state() != State.OPEN && old.state() != State.EXPIRED)
            throw new IllegalArgumentException("This invitation was answered or withdrawn; make a new one.");
        if (!limits.allowInvitation(sender.accountId()))
            throw new IllegalArgumentException("That was a lot of invitations in an hour. Try again later.");
        String token = Secret.random();
        sql.sql("update invitation set token_sha256 = ?, sent_at = ?, expires_at = ?, state = 'OPEN' where id = ?")
                .params(
                        Secret.hash(token),
                        at(clock.instant()),
                        at(clock.instant().plus(VALID)),
                        id)
                .update();
        mail(new Asked(sender, old.email(), old.toCoach(), old.athleteId(), old.plans(), old.word()), token);
        return "Sent again to " + old.email() + "; the link of before no longer serves.";
    }

    @Transactional
    public String withdraw(long id, Viewer sender) {
        Invitation old = own(id, sender);
        int done = sql.sql("update invitation set state = 'WITHDRAWN' where id = ? and state = 'OPEN'")
                .param(id)
                .update();
        if (done == 0) throw new IllegalArgumentException("This invitation was answered or withdrawn already.");
        return "The invitation to " + old.email() + " is withdrawn; its link no longer serves.";
    }

    private Invitation own(long id, Viewer sender) {
        return sql.sql(SELECT + " where i.id = ? and i.sender_id = ?")
                .params(id, sender.accountId())
                .query((rs, i) -> invitation(rs))
                .optional()
                .orElseThrow(() -> new NotFoundException("invitation"));
    }

    private Invitation invitation(ResultSet rs) throws SQLException {
        Instant expires = rs.getTimestamp("expires_at").toInstant();
        State state = State.valueOf(rs.getString("state"));
        if (state == State.OPEN && !expires.isAfter(clock.instant())) state = State.EXPIRED;
        return new Invitation(
                rs.getLong("id"),
                rs.getLong("sender_id"),
                rs.getString("sender"),
                rs.getString("sender_email"),
                rs.getString("email"),
                rs.getBoolean("to_coach"),
                rs.getObject("athlete_id", Long.class),
                rs.getBoolean("plans"),
                rs.getString("word"),
                state,
                rs.getTimestamp("sent_at").toInstant(),
                expires,
                rs.getObject("awaited_id", Long.class));
    }

    private static OffsetDateTime at(Instant instant) {
        return instant.atOffset(ZoneOffset.UTC);
    }
}
