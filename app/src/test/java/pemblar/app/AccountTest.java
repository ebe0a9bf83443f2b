package pemblar.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.JdbcTemplate;

/** The key to an account: changed, forgotten, moved to another address; each told by mail and ending other sign-ins. */
@Tag("http")
class AccountTest {
    private static final String OLD = "a long password";
    private static final String NEW = "another long password";
    private static int people;
    private final JdbcTemplate sql = new JdbcTemplate(Running.APPLICATION.getBean(javax.sql.DataSource.class));
    private String email;
    private Person person;

    @BeforeEach
    void signUp() {
        email = "key" + people++ + "@pemblar.example";
        person = new Person(Running.ADDRESS).signUp(email, "ride");
        person.get("/account");
    }

    private static boolean isSignedIn(Person who) {
        return !who.get("/account").uri().getPath().equals("/sign-in");
    }

    private Person tryWith(String address, String password) {
        return new Person(Running.ADDRESS).signIn(address, password);
    }

    private String link(String address, String path) {
        String body = sql.queryForObject(
                "select body from mail where recipient = ? and body like '%' || ? || '%' order by id desc limit 1",
                String.class, address, path);
        Matcher link = Pattern.compile(path + "[\\w-]{20,}").matcher(body);
        assertThat(link.find()).isTrue();
        return link.group();
    }

    @Test
    void aSignInEndsThirtyDaysAfterItBeganHoweverOftenItIsUsed() {
        begun(29);
        assertThat(isSignedIn(person)).isTrue();
        begun(31);
        assertThat(isSignedIn(person)).isFalse();
        assertThat(isSignedIn(tryWith(email, OLD))).isTrue();
    }

    private void begun(int daysAgo) {
        assertThat(sql.update(
                        "update spring_session set creation_time = ? where principal_name = ?",
                        java.time.Instant.now()
                                .minus(java.time.Duration.ofDays(daysAgo))
                                .toEpochMilli(),
                        email))
                .isEqualTo(1);
    }

    @Test
    void aNewPasswordCountsAtOnceAndEndsTheOtherSignIns() {
        Person elsewhere = tryWith(email, OLD);
        assertThat(person.get("/account").body()).contains("Sign out everywhere else");
        String answer = person.post("/account/password", Map.of("present", OLD, "wanted", NEW))
                .body();
        assertThat(answer).contains("The password is changed, and 1 other sign-in ended.");
        assertThat(isSignedIn(person)).isTrue();
        assertThat(isSignedIn(elsewhere)).isFalse();
        assertThat(isSignedIn(tryWith(email, OLD))).isFalse();
        assertThat(isSignedIn(tryWith(email, NEW))).isTrue();
        assertThat(sql.queryForObject(
                        "select count(*) from mail where recipient = ? and subject = 'Your password was changed'",
                        Integer.class,
                        email))
                .isEqualTo(1);
    }

    @Test
    void withoutThePresentPasswordNothingChanges() {
        assertThat(person.post("/account/password", Map.of("present", "wrong", "wanted", NEW))
                        .body())
                .contains("not the one of this account");
        assertThat(person.post("/account/password", Map.of("present", OLD, "wanted", "short"))
                        .body())
                .contains("at least 10 characters");
        assertThat(isSignedIn(tryWith(email, OLD))).isTrue();
    }

    /** A page without what is another on every page. */
    private static String plain(String page, String address) {
        return page.replace(address, "X").replaceAll("name=\"_csrf\"[^>]*", "");
    }

    @Test
    void aForgottenPasswordIsSetAnewByALinkThatServesOnce() {
        Person nobody = new Person(Running.ADDRESS);
        nobody.get("/forgot");
        String known = nobody.post("/forgot", Map.of("email", email)).body();
        String unknown = nobody.post("/forgot", Map.of("email", "nobody.at.all@pemblar.example"))
                .body();
        assertThat(plain(known, email)).isEqualTo(plain(unknown, "nobody.at.all@pemblar.example"));
        String link = link(email, "/reset/");
        assertThat(nobody.get(link).body()).contains("A new password");
        assertThat(nobody.post(link, Map.of("wanted", "short")).body()).contains("at least 10 characters");
        assertThat(nobody.post(link, Map.of("wanted", NEW)).body()).contains("Your password is changed");
        assertThat(isSignedIn(person)).as("signed out everywhere").isFalse();
        assertThat(isSignedIn(tryWith(email, NEW))).isTrue();
        nobody.get("/forgot");
        assertThat(nobody.post(link, Map.of("wanted", "a third long password")).body())
                .contains("over an hour old");
        assertThat(isSignedIn(tryWith(email, NEW))).isTrue();
    }

    @Test
    void aLinkIsKeptAsAHashAndServesForAnHour() {
        Person nobody = new Person(Running.ADDRESS);
        nobody.get("/forgot");
        nobody.post("/forgot", Map.of("email", email));
        String link = link(email, "/reset/");
        assertThat(sql.queryForList("select token_sha256 from account_link", String.class))
                .noneMatch(link::contains);
        sql.update("update account_link set made_at = made_at - interval '61 minutes'");
        assertThat(nobody.get(link).body()).contains("no longer serves");
        assertThat(nobody.get("/reset/" + "x".repeat(43)).body()).contains("no longer serves");
    }

    @Test
    void anotherAddressHoldsOnceItsOwnerSaysSo() {
        String other = "moved." + email;
        person.post("/account/address", Map.of("present", OLD, "email", other));
        assertThat(isSignedIn(tryWith(email, OLD)))
                .as("the old one counts until then")
                .isTrue();
        String link = link(other, "/account/address/");
        Person stranger = new Person(Running.ADDRESS).signUp("x." + email, "ride");
        stranger.get(link);
        assertThat(stranger.post(link, Map.of()).body()).contains("is not yours");
        person.get(link);
        assertThat(person.post(link, Map.of()).body()).contains("Your address is changed. Sign in with the new one.");
        assertThat(isSignedIn(tryWith(other, OLD))).isTrue();
        assertThat(isSignedIn(tryWith(email, OLD))).isFalse();
    }

    @Test
    void anAddressThatIsTakenIsRefused() {
        new Person(Running.ADDRESS).signUp("taken." + email, "ride");
        assertThat(person.post("/account/address", Map.of("present", OLD, "email", "taken." + email))
                        .body())
                .contains("there is an account with this address");
    }

    @Test
    void tooManyMailsToOneAddressAreNotSent() {
        Person nobody = new Person(Running.ADDRESS);
        nobody.get("/forgot");
        for (int i = 0; i < 8; i++) nobody.post("/forgot", Map.of("email", i % 2 == 0 ? email : " " + email + " "));
        assertThat(sql.queryForObject(
                        "select count(*) from mail where recipient = ? and subject = 'A new password'",
                        Integer.class,
                        email))
                .isEqualTo(5);
    }
}
