package pemblar.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.stream.IntStream;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.JdbcTemplate;

/** Several requests at the same moment: every one is answered, and what was asked for once is there once. */
@Tag("http")
class OneWriterTest {
    private static final int AT_ONCE = 8;
    private static final LocalDate TODAY = LocalDate.now(ZoneOffset.UTC);
    private static JdbcTemplate sql;
    private static Person person;
    private static String athlete;

    @BeforeAll
    static void signUp() {
        sql = new JdbcTemplate(Running.APPLICATION.getBean(javax.sql.DataSource.class));
        person = new Person(Running.ADDRESS).signUp("swen.atonce@pemblar.example", "ride");
        athlete = person.get("/").uri().getPath().replaceAll("/today$", "");
        person.get(athlete + "/board");
    }

    private static List<Integer> together(List<Callable<Integer>> requests) throws Exception {
        ExecutorService threads = Executors.newFixedThreadPool(requests.size());
        try {
            List<Integer> answers = new ArrayList<>();
            for (Future<Integer> answer : threads.invokeAll(requests)) answers.add(answer.get());
            return answers;
        } finally {
            threads.shutdown();
        }
    }

    private static int sessions() {
        return sql.queryForObject("select count(*) from session where athlete_id = ?", Integer.class, number());
    }

    private static long number() {
        return Long.parseLong(athlete.replaceAll("\\D", ""));
    }

    private static void sketch(LocalDate day) {
        assertThat(person.post(
                                athlete + "/sketch",
                                Map.of("day", day.toString(), "sport", "RIDE", "purpose", "EASY", "length", "1h"))
                        .statusCode())
                .isEqualTo(200);
    }

    @Test
    void aFormPressedFiveTimesIsOneSession() throws Exception {
        int before = sessions();
        Map<String, String> form =
                Map.of("day", TODAY.plusDays(3).toString(), "sport", "RIDE", "purpose", "EASY", "length", "1h");
        List<Integer> answers = together(IntStream.range(0, 5)
                .<Callable<Integer>>mapToObj(
                        i -> () -> person.post(athlete + "/sketch", form).statusCode())
                .toList());
        assertThat(answers).allMatch(code -> code < 400);
        assertThat(sessions()).isEqualTo(before + 1);
    }

    @Test
    void eightMovesOfOneSessionAreAllAnswered() throws Exception {
        sketch(TODAY.plusDays(5));
        long id = sql.queryForObject("select max(id) from session where athlete_id = ?", Long.class, number());
        List<Integer> answers = together(IntStream.range(0, AT_ONCE)
                .<Callable<Integer>>mapToObj(i -> () -> person.post(
                                athlete + "/sessions/" + id + "/move",
                                Map.of("day", TODAY.plusDays(6 + i).toString()))
                        .statusCode())
                .toList());
        assertThat(answers).allMatch(code -> code < 500);
        assertThat(sql.queryForObject("select day from session where id = ?", LocalDate.class, id))
                .isAfterOrEqualTo(TODAY.plusDays(6));
    }

    @Test
    void fiveSignUpsWithOneAddressMakeOneAccount() throws Exception {
        List<Integer> answers = together(IntStream.range(0, 5)
                .<Callable<Integer>>mapToObj(i -> () -> {
                    Person one = new Person(Running.ADDRESS);
                    one.get("/sign-up");
                    return one.post(
                                    "/sign-up",
                                    Map.of(
                                            "email",
                                            "quint@pemblar.example",
                                            "name",
                                            "Quint",
                                            "password",
                                            "a long password",
                                            "role",
                                            "ride",
                                            "zone",
                                            "Europe/Dublin"))
                            .statusCode();
                })
                .toList());
        assertThat(answers).allMatch(code -> code < 500);
        assertThat(sql.queryForObject(
                        "select count(*) from account where email = 'quint@pemblar.example'", Integer.class))
                .isEqualTo(1);
    }

    @Test
    void checkInsOfOneMorningAtOnceKeepOneRow() throws Exception {
        List<Integer> answers = together(IntStream.range(0, AT_ONCE)
                .<Callable<Integer>>mapToObj(i -> () -> person.post(
                                athlete + "/checkin",
                                Map.of("day", TODAY.toString(), "restingHeartRate", String.valueOf(50 + i)))
                        .statusCode())
                .toList());
        assertThat(answers).containsOnly(200);
        assertThat(sql.queryForObject(
                        "select count(*) from checkin where athlete_id = ? and day = ?",
                        Integer.class,
                        number(),
                        TODAY))
                .isEqualTo(1);
    }
}
