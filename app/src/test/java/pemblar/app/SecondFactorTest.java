package pemblar.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.ByteBuffer;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import java.util.regex.MatchResult;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import javax.crypto.Mac;
import javax.crypto.spec.SecretKeySpec;
import org.apache.commons.codec.binary.Base32;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.JdbcTemplate;

@Tag("http")
class SecondFactorTest {
    private static final String PASSWORD = "a long password";
    private static int people;
    private final JdbcTemplate sql = new JdbcTemplate(Running.APPLICATION.getBean(javax.sql.DataSource.class));
    private Person person;
    private String email;
    private byte[] secret;
    private List<String> recovery;

    /** By RFC 6238, not by the code that is tested. @param off steps from now */
    private String code(int off) {
        try {
            Mac mac = Mac.getInstance("HmacSHA1");
            mac.init(new SecretKeySpec(secret, "HmacSHA1"));
            byte[] hash = mac.doFinal(ByteBuffer.allocate(8)
                    .putLong(Instant.now().getEpochSecond() / 30 + off)
                    .array());
            int at = hash[19] & 15;
            return String.format("%06d", (ByteBuffer.wrap(hash, at, 4).getInt() & 0x7fffffff) % 1_000_000);
        } catch (java.security.GeneralSecurityException e) {
            throw new IllegalStateException(e);
        }
    }

    /** A code serves once, and the step before it no longer: each use sets the clock back as if time had passed. */
    private void timePasses() {
        sql.update("update second_factor set last_step = 0");
        sql.update("delete from rate_limit where key like 'code %'");
    }

    @BeforeEach
    void turnOn() {
        email = "second" + people++ + "@pemblar.example";
        person = new Person(Running.ADDRESS).signUp(email, "ride");
        person.get("/account");
        assertThat(person.post("/account/second/begin", Map.of("present", "not the password"))
                        .body())
                .contains("Present password: it is not the one");
        String page = person.post("/account/second/begin", Map.of("present", PASSWORD))
                .body();
        Matcher key = Pattern.compile("class=\"key\">([A-Z2-7 ]+)<").matcher(page);
        assertThat(key.find()).as(page).isTrue();
        secret = new Base32().decode(key.group(1).replace(" ", ""));
        assertThat(secret).hasSize(20);
        assertThat(signIn().get("/account").body()).as("not on yet").contains("Set it up");
        assertThat(person.post("/account/second/confirm", Map.of("code", "000000x"))
                        .body())
                .contains("it is not the one of now");
        String done =
                person.post("/account/second/confirm", Map.of("code", code(0))).body();
        recovery = Pattern.compile("<code>([A-Z2-7-]+)</code>")
                .matcher(done)
                .results()
                .map(MatchResult::group)
                .map(c -> c.replaceAll("</?code>", ""))
                .toList();
        assertThat(recovery).as(done).hasSize(10).doesNotHaveDuplicates();
        timePasses();
    }

    private Person signIn() {
        return new Person(Running.ADDRESS).signIn(email, PASSWORD);
    }

    private static boolean isAsked(Person who) {
        return who.get("/account").uri().getPath().equals("/sign-in/code");
    }

    private boolean isIn(Person who, String code) {
        who.post("/sign-in/code", Map.of("code", code));
        return !isAsked(who);
    }

    @Test
    void thePasswordAloneOpensNothing() {
        assertThat(sql.queryForObject(
                        "select count(*) from mail where recipient = ? and subject = 'Your second factor is on'",
                        Integer.class,
                        email))
                .isEqualTo(1);
        String own = person.get("/").uri().getPath().replaceAll("/today$", "");
        Person half = signIn();
        for (String path : List.of("/", "/account", own + "/today", own + "/sessions", "/roster", "/account/second"))
            assertThat(half.get(path).uri().getPath()).as(path).isEqualTo("/sign-in/code");
        half.post("/account/keep", Map.of());
        half.post(own + "/checkin", Map.of("day", "2026-01-05", "sleep_hours", "7"));
        half.post("/account/second/off", Map.of("present", PASSWORD, "code", ""));
        assertThat(sql.queryForObject(
                        "select count(*) from checkin where athlete_id = ?",
                        Integer.class,
                        Long.parseLong(own.replaceAll("\\D", ""))))
                .isZero();
        assertThat(isAsked(half)).isTrue();
        assertThat(person.get("/account").body()).contains("without its code");
    }

    @Test
    void aCodeServesOnceAndLeadsToWhatWasWanted() {
        Person half = signIn();
        half.get("/account");
        String now = code(0);
        assertThat(half.post("/sign-in/code", Map.of("code", "000 00")).body()).contains("it is not the one of now");
        assertThat(half.post("/sign-in/code", Map.of("code", now)).uri().getPath())
                .isEqualTo("/account");
        assertThat(isIn(signIn(), now)).as("a second time").isFalse();
        assertThat(isIn(signIn(), code(1))).as("the next").isTrue();
    }

    @Test
    void ofTwoWithTheSameCodeOneComesIn() {
        String now = code(0);
        List<Person> both = List.of(signIn(), signIn());
        both.forEach(p -> p.get("/sign-in/code"));
        both.stream()
                .map(p -> CompletableFuture.runAsync(() -> p.post("/sign-in/code", Map.of("code", now))))
                .toList()
                .forEach(CompletableFuture::join);
        assertThat(both.stream().filter(SecondFactorTest::isAsked)).hasSize(1);
    }

    @Test
    void aRecoveryCodeServesOnceInWhateverWayItIsTyped() {
        String typed = recovery.get(3).toLowerCase(java.util.Locale.ROOT).replace("-", " ");
        assertThat(isIn(signIn(), typed)).isTrue();
        assertThat(isIn(signIn(), typed)).isFalse();
        assertThat(person.get("/account").body()).containsPattern("ten recovery codes <b>9</b>");
        assertThat(sql.queryForList("select code_sha256 from recovery_code", String.class))
                .doesNotContainAnyElementsOf(recovery);
    }

    @Test
    void newCodesEndTheOldOnesAndOffAsksForNothingMore() {
        String page = person.post("/account/second/codes", Map.of("present", PASSWORD, "code", code(0)))
                .body();
        assertThat(page).contains("Recovery codes").doesNotContain(recovery.get(0));
        assertThat(isIn(signIn(), recovery.get(0))).isFalse();
        timePasses();
        assertThat(person.post("/account/second/off", Map.of("present", PASSWORD, "code", "111"))
                        .body())
                .contains("it is not the one of now");
        assertThat(person.post("/account/second/off", Map.of("present", PASSWORD, "code", code(0)))
                        .body())
                .contains("The second factor is off.");
        assertThat(person.post("/account/second/off", Map.of("present", PASSWORD, "code", code(0)))
                        .body())
                .as("where there is none, no key is lost")
                .contains("it is not the one of now")
                .doesNotContain("cannot be opened here");
        assertThat(isAsked(signIn())).isFalse();
    }

    @Test
    void guessingIsSlowedDown() {
        Person guessing = signIn();
        List<String> answers = Stream.generate(() ->
                        guessing.post("/sign-in/code", Map.of("code", "123")).body())
                .limit(9)
                .toList();
        assertThat(answers.get(0)).contains("it is not the one of now");
        assertThat(answers.get(8)).contains("Too many tries");
        assertThat(isIn(guessing, code(0))).as("not even the right one").isFalse();
    }

    private byte[] stored() {
        return sql.queryForObject(
                "select f.secret from second_factor f join account a on a.id = f.account_id where a.email = ?",
                byte[].class,
                email);
    }

    private void store(String set, Object... values) {
        List<Object> all = new java.util.ArrayList<>(List.of(values));
        all.add(email);
        assertThat(sql.update(
                        "update second_factor set " + set
                                + " where account_id = (select id from account where email = ?)",
                        all.toArray()))
                .isEqualTo(1);
    }

    @Test
    void theTableAloneMakesNoCodes() {
        byte[] sealed = stored();
        assertThat(sealed).hasSize(12 + 20 + 16);
        assertThat(java.util.Collections.indexOfSubList(boxed(sealed), boxed(secret)))
                .isNegative();
        byte[] own = secret;
        turnOn();
        store("secret = ?", sealed);
        secret = own;
        assertThat(isIn(signIn(), code(0))).as("sealed for somebody else").isFalse();
    }

    private static List<Byte> boxed(byte[] bytes) {
        return List.of(org.apache.commons.lang3.ArrayUtils.toObject(bytes));
    }

    @Test
    void whereTheKeyIsLostARecoveryCodeLetsIn() {
        store("sealed_by = '0123456789abcdef'");
        Person half = signIn();
        half.get("/account");
        assertThat(half.post("/sign-in/code", Map.of("code", code(0))).body())
                .contains("what codes are checked by cannot be opened here", "Type a recovery code");
        assertThat(isIn(half, recovery.get(0))).isTrue();
        assertThat(half.post("/account/second/off", Map.of("present", PASSWORD, "code", recovery.get(1)))
                        .body())
                .contains("The second factor is off.");
    }

    @Test
    void whatLiesAsItIsIsSealedAtTheNextStart() {
        store("secret = ?, sealed_by = null", secret);
        assertThat(isIn(signIn(), code(0))).as("as before").isTrue();
        Running.APPLICATION.publishEvent(new org.springframework.boot.context.event.ApplicationReadyEvent(
                new org.springframework.boot.SpringApplication(), new String[0], Running.APPLICATION, null));
        assertThat(stored()).hasSize(12 + 20 + 16);
        timePasses();
        assertThat(isIn(signIn(), code(0))).isTrue();
    }
}
