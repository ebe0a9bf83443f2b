package pemblar.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.JdbcTemplate;

/** Where one is signed in: told by device and address, ended one by one, by nobody but their owner. */
@Tag("http")
class SignInListTest {
    private static final String PASSWORD = "a long password";
    private static final String DESK = "Mozilla/5.0 (X11; Linux x86_64; rv:140.0) Gecko/20100101 Firefox/140.0";
    private static final String PHONE = "Mozilla/5.0 (Linux; Android 15; X) AppleWebKit/537.36 (KHTML, like Gecko)"
            + " Chrome/150.0.0.0 Mobile Safari/537.36";
    private static int people;
    private final JdbcTemplate sql = new JdbcTemplate(Running.APPLICATION.getBean(javax.sql.DataSource.class));
    private String email;
    private Person desk;
    private Person phone;

    @BeforeEach
    void signInTwice() {
        email = "devices" + people++ + "@pemblar.example";
        desk = new Person(Running.ADDRESS).with(DESK).signUp(email, "ride");
        phone = new Person(Running.ADDRESS).with(PHONE).signIn(email, PASSWORD);
    }

    private static boolean isSignedIn(Person who) {
        return !who.get("/account").uri().getPath().equals("/sign-in");
    }

    private static List<String> others(String page) {
        return Pattern.compile("name=\"which\" value=\"(\\w+)\"")
                .matcher(page)
                .results()
                .map(found -> found.group(1))
                .toList();
    }

    @Test
    void theOneMeantIsEndedAndTheOthersStay() {
        Person third = new Person(Running.ADDRESS).with("").signIn(email, PASSWORD);
        String page = phone.get("/account").body();
        assertThat(page)
                .containsSubsequence("Chrome Mobile on Android", "from 127.0.0.1", "here")
                .containsSubsequence("Firefox on Linux", "End");
        assertThat(others(page)).hasSize(2);
        String ofDesk = others(page.substring(page.indexOf("Firefox on Linux"))).get(0);
        assertThat(phone.post("/account/sign-ins/end-one", Map.of("which", ofDesk))
                        .body())
                .contains("That sign-in is ended.")
                .doesNotContain("Firefox on Linux");
        assertThat(isSignedIn(desk)).isFalse();
        assertThat(List.of(phone, third)).allMatch(SignInListTest::isSignedIn);
        assertThat(phone.post("/account/sign-ins/end-one", Map.of("which", ofDesk))
                        .body())
                .contains("was over already");
    }

    @Test
    void nobodyEndsOrReadsThatOfAnother() {
        String ofDesk = others(phone.get("/account").body()).get(0);
        Person stranger = new Person(Running.ADDRESS).signUp("other." + email, "ride");
        stranger.get("/account");
        assertThat(stranger.post("/account/sign-ins/end-one", Map.of("which", ofDesk))
                        .body())
                .contains("was over already");
        assertThat(isSignedIn(desk)).isTrue();
        List<String> numbers = sql.queryForList(
                "select trim(session_id) from spring_session where principal_name = ?", String.class, email);
        assertThat(numbers).hasSize(2).noneMatch(phone.get("/account").body()::contains);
    }

    @Test
    void aSignInOfBeforeIsListedWithWhatIsKnownOfIt() {
        sql.update(
                "delete from spring_session_attributes a using spring_session s where s.primary_id ="
                        + " a.session_primary_id and s.principal_name = ? and attribute_name in (?, ?)",
                email,
                "pemblar.agent",
                "pemblar.address");
        assertThat(phone.get("/account").body()).contains("not known").doesNotContain("from 127.0.0.1");
    }

    @Test
    void aBrowserThatSaysALotIsHeardInPart() {
        Person loud = new Person(Running.ADDRESS).with(DESK + " " + "(;".repeat(3000));
        loud.signIn(email, PASSWORD);
        assertThat(loud.get("/account").body()).contains("Firefox on Linux", "here");
    }
}
