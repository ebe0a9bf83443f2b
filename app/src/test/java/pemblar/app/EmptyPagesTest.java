package pemblar.app;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Map;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** A person who has just come: each empty page offers the one step that fills it, and refusals keep what was typed. */
@Tag("http")
class EmptyPagesTest {
    private static Person newcomer;
    private static String base;

    @BeforeAll
    static void signUp() {
        newcomer = new Person(Running.ADDRESS).signUp("new@pemblar.example", "run");
        base = newcomer.get("/").uri().getPath().replace("/today", "");
    }

    @Test
    void eachEmptyPageOffersANextStep() {
        assertTrue(newcomer.get(base + "/today").body().contains("Set your thresholds"));
        assertTrue(newcomer.get(base + "/board").body().contains("Design a workout"));
        assertTrue(newcomer.get(base + "/workouts").body().contains("Ships with Pemblar"));
        assertTrue(newcomer.get(base + "/sessions").body().contains("Upload a FIT or GPX file"));
        assertTrue(newcomer.get(base + "/progress").body().contains("Upload a recording"));
        assertTrue(newcomer.get(base + "/thresholds").body().contains("Zones appear here"));
    }

    @Test
    void aMissingThresholdIsNamedInTheDesigner() {
        String answer = newcomer.post(
                        base + "/workouts/forecast", Map.of("text", "10min 90%", "sport", "RUN", "basis", "PACE"))
                .body();
        assertTrue(answer.contains("threshold pace is not known"), answer);
    }

    @Test
    void aRefusedWorkoutKeepsTitleAndText() {
        newcomer.get(base + "/workouts/design");
        String page = newcomer.post(
                        base + "/workouts",
                        Map.of("title", "My title", "text", "10min 90%, nonsense", "sport", "RUN", "basis", "PACE"))
                .body();
        assertTrue(page.contains("value=\"My title\"")
                && page.contains("10min 90%, nonsense")
                && page.contains("column 12"));
    }

    @Test
    void signUpRefusesWithAReasonAndKeepsTheName() {
        Person other = new Person(Running.ADDRESS);
        other.get("/sign-up");
        String page = other.post(
                        "/sign-up", Map.of("email", "x@y", "name", "Kept Name", "password", "short", "role", "ride"))
                .body();
        assertTrue(page.contains("at least 10 characters") && page.contains("Kept Name"));
        page = other.post(
                        "/sign-up",
                        Map.of(
                                "email",
                                "NEW@pemblar.example",
                                "name",
                                "Kept Name",
                                "password",
                                "long enough one",
                                "role",
                                "ride"))
                .body();
        assertTrue(page.contains("there is an account"));
        assertEquals(
                200,
                other.post("/sign-in", Map.of("username", "new@pemblar.example", "password", "wrong"))
                        .statusCode());
    }

    @Test
    void aCoachWithoutAthletesIsTold() {
        Person coach = new Person(Running.ADDRESS).signUp("alone@pemblar.example", "coach");
        assertTrue(coach.get("/").body().contains("Athletes who accept you"));
    }
}
