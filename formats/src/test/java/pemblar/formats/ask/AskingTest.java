package pemblar.formats.ask;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The worked examples of docs/formats/ask.md, and what is refused. */
class AskingTest {
    private record Said(int code, String out, String err) {
        JsonNode json() {
            assertThat(code).as(err).isZero();
            return JsonMapper.builder().build().readTree(out);
        }
    }

    private static Said ask(String topic, String input) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ByteArrayOutputStream err = new ByteArrayOutputStream();
        int code = Asking.run(
                topic,
                new ByteArrayInputStream(input.getBytes(StandardCharsets.UTF_8)),
                new PrintStream(out, true, StandardCharsets.UTF_8),
                new PrintStream(err, true, StandardCharsets.UTF_8));
        return new Said(
                code,
                out.toString(StandardCharsets.UTF_8),
                err.toString(StandardCharsets.UTF_8).strip());
    }

    @Test
    void intervals() {
        JsonNode a = ask(
                        "intervals",
                        "{\"criticalPower\": 255, \"wPrime\": 16500, \"repeats\": 6, \"seconds\": 200, "
                                + "\"restSeconds\": 150, \"restPower\": 115, \"reserveLeft\": 0.15, "
                                + "\"standardErrors\": {\"criticalPower\": 5, \"wPrime\": 1600}, "
                                + "\"covariance\": -6400}")
                .json();
        assertThat(a.get("power").doubleValue()).isCloseTo(305.51, within(0.01));
        assertThat(a.get("low").doubleValue()).isCloseTo(297.34, within(0.01));
        assertThat(a.get("high").doubleValue()).isCloseTo(313.68, within(0.01));
        assertThat(a.get("lowestReserve").doubleValue()).isCloseTo(2475, within(0.5));
    }

    @Test
    void predict() {
        JsonNode p = ask(
                        "predict",
                        "{\"today\": \"2027-06-20\", \"sport\": \"run\", \"threshold\": {\"value\": 4.2, "
                                + "\"low\": 4.12, \"high\": 4.28}, \"k\": {\"value\": 0.06}, \"metres\": "
                                + "[21097], \"efforts\": [{\"date\": \"2027-06-06\", \"seconds\": 2400, "
                                + "\"metres\": 10280}]}")
                .json()
                .get("predictions")
                .get(0);
        assertThat(p.get("seconds").doubleValue()).isCloseTo(5131.0, within(0.1));
        assertThat(p.get("low").doubleValue()).isCloseTo(5011.4, within(0.1));
        assertThat(p.get("high").doubleValue()).isCloseTo(5258.2, within(0.1));
        assertThat(p.get("outside").booleanValue()).isTrue();
    }

    @Test
    void evidence() {
        JsonNode a = ask("evidence", """
            {"today": "2027-06-20", "sport": "ride", "pieces": [
             {"id": "t1", "method": "20 min test", "quantity": "thresholdPower", "date": "2027-06-13",
               "source": "recording", "power": 280, "seconds": 1200, "secondsAfter": 1500},
             {"id": "r1", "method": "ramp test", "quantity": "thresholdPower", "date": "2027-05-09",
               "source": "typed", "best": 255, "low": 231, "high": 269}]}""").json();
        assertThat(a.get("suggestion").get("thresholdPower").get("value").doubleValue())
                .isCloseTo(264.91, within(0.01));
        assertThat(a.get("suggestion").get("thresholdPower").get("sd").doubleValue())
                .isCloseTo(8.448, within(0.001));
        assertThat(a.get("contradiction").booleanValue()).isFalse();
    }

    /**
     * Three races whose ranges exclude each other are not averaged; a test cut short is no evidence; a typed copy of an
     * upload counts once.
     */
    @Test
    void evidenceThatContradictsItselfIsGrouped() {
        JsonNode a = ask("evidence", """
            {"today": "2027-06-20", "sport": "ride", "pieces": [
             {"id": "a", "method": "ramp test", "quantity": "thresholdPower", "date": "2027-06-10",
               "source": "typed", "best": 250, "low": 247, "high": 253},
             {"id": "b", "method": "ramp test", "quantity": "thresholdPower", "date": "2027-06-11",
               "source": "typed", "best": 300, "low": 297, "high": 303},
             {"id": "c", "method": "20 min test", "quantity": "thresholdPower", "date": "2027-06-12",
               "source": "recording", "power": 200, "seconds": 1200, "secondsAfter": 60},
             {"id": "d", "method": "20 min test", "quantity": "thresholdPower", "date": "2027-06-01",
               "source": "recording", "power": 265, "seconds": 1200},
             {"id": "e", "method": "20 min test", "quantity": "thresholdPower", "date": "2027-06-01",
               "source": "typed", "power": 266, "seconds": 1200}]}""").json();
        assertThat(a.get("contradicting").toString()).isEqualTo("[\"thresholdPower\"]");
        assertThat(a.get("suggestion").size()).isZero();
        assertThat(a.get("groups").toString()).isEqualTo("[[\"d\",\"a\"],[\"b\"]]");
        assertThat(a.get("leftOut").toString()).contains("c");
        assertThat(a.get("sameEffort").toString()).contains("e");
    }

    @Test
    void aTestAmongTheBestEffortsCountsOnce() {
        String bests = """
            {"today": "2027-06-20", "sport": "ride", "pieces": [
             {"id": "test", "method": "two-effort test", "quantity": "both", "date": "2027-06-10",
               "source": "recording", "efforts": [[373, 180], [291, 720]]},
             {"id": "fit", "method": "best efforts", "quantity": "both", "date": "2027-06-12", "source": "recording",
               "criticalPower": 264, "wPrime": 17300, "covariance": [[16, -10000], [-10000, 9000000]],
               "efforts": [{"watts": 373, "seconds": 179, "date": "%s"}, {"watts": 280, "seconds": 1195}]}]}""";
        JsonNode same = ask("evidence", bests.formatted("2027-06-10")).json();
        assertThat(same.get("sameEffort").toString()).isEqualTo("[\"test\"]");
        assertThat(same.get("suggestion").get("criticalPower").get("value").asDouble())
                .isCloseTo(264, within(1e-9));
        assertThat(ask("evidence", bests.formatted("2027-05-10"))
                        .json()
                        .get("sameEffort")
                        .toString())
                .isEqualTo("[]");
    }

    @Test
    void strengthAndItsLoads() {
        JsonNode a = ask("strength", """
            {"exercises": [{"name": "deadlift", "maximum": 180}, {"name": "stiff-leg deadlift", "of": "deadlift",
              "percent": 70, "reportsBack": true}],
             "sets": [{"exercise": "deadlift", "load": 155, "repetitions": 6, "counts": "every", "test": true,
               "repetitionMaximum": 5}], "minutes": 40, "effort": 6,
               "prescribe": [{"exercise": "stiff-leg deadlift", "percent": 60}]}""").json();
        assertThat(a.get("prescribed").get(0).get("exact").doubleValue()).isCloseTo(77.76, within(0.001));
        assertThat(a.get("prescribed").get(0).get("rounded").doubleValue()).isEqualTo(77.5);
        assertThat(a.get("sessionLoad").doubleValue()).isCloseTo(57.14, within(0.01));
    }

    @Test
    void season() {
        JsonNode a = ask("season", """
            {"today": "2027-02-28", "chronic": 42, "acute": 47,
              "chronicPast": [40.8, 41, 41.2, 41.4, 41.6, 41.8, 42], "from": "2027-03-01", "to": "2027-03-14",
              "blockDays": 7, "easyEvery": 2,
             "buildRate": 4, "hoursPerWeek": 7, "loadPerHour": {"base": 50, "build": 60, "peak": 65, "taper": 62,
               "recovery": 45}, "aim": {"kind": "load", "value": 280}}""").json();
        assertThat(a.get("blocks").get(0).get("load").doubleValue()).isCloseTo(339.39, within(0.01));
        assertThat(a.get("blocks").get(1).get("hours").doubleValue()).isCloseTo(4.412, within(0.001));
        assertThat(a.get("highestBuild").doubleValue()).isCloseTo(1.35, within(0.01));
        assertThat(a.get("mornings").get(13).get("balance").doubleValue()).isCloseTo(2.98, within(0.01));
    }

    @Test
    void adjust() {
        JsonNode a = ask("adjust", """
            {"today": "2027-05-12", "chronic": 48, "acute": 44,
             "behind": [{"id": "b1", "day": "2027-05-09", "time": "09:00", "sport": "ride", "purpose": "long",
               "hard": false, "long": true, "planned": {"load": 130, "hours": 3}, "done": {"load": 128,
               "hours": 2.9}},
                        {"id": "b2", "day": "2027-05-11", "time": "18:00", "sport": "ride", "purpose": "threshold",
                          "hard": true, "long": false, "planned": {"load": 80, "hours": 1.25}, "done": null}],
             "ahead": [{"id": "a1", "day": "2027-05-13", "time": "18:00", "sport": "ride", "purpose": "endurance",
               "load": 50, "hours": 1, "hard": false, "long": false, "pinned": false},
                       {"id": "a2", "day": "2027-05-15", "time": "09:00", "sport": "ride",
                         "purpose": "above threshold", "load": 85, "hours": 1.5, "hard": true, "long": false,
                         "pinned": false}],
             "events": [{"day": "2027-05-22", "priority": "A", "load": 200}], "limits": {"buildRate": 6,
               "hoursPerDay": 4, "spacingHours": 36, "balanceFloor": -30}}""").json();
        assertThat(a.get("proposals").get(0).get("changes").get(0).get("to").stringValue())
                .isEqualTo("2027-05-12");
        assertThat(a.get("proposals").get(0).get("effect").get("chronic").doubleValue())
                .isCloseTo(42.06, within(0.01));
        assertThat(a.get("leave").get("effect").get("lowestBalance").doubleValue())
                .isCloseTo(5.60, within(0.01));
    }

    @Test
    void checkin() {
        StringBuilder csv = new StringBuilder("day,restingHeartRate,rmssd,sleepMinutes\n");
        LocalDate day = LocalDate.of(2027, 3, 1);
        for (int i = 0; day.isBefore(LocalDate.of(2027, 4, 3)); i++, day = day.plusDays(1))
            csv.append(day)
                    .append(',')
                    .append(52 + i % 3)
                    .append(',')
                    .append(i % 2 == 0 ? "58" : "")
                    .append(",\n");
        csv.append("2027-04-03,61,,\n2027-04-04,62,58,\n");
        JsonNode rest = ask("checkin", csv.toString()).json().get("statements").get(0);
        assertThat(rest.get("verdict").stringValue()).isEqualTo("drifting");
        assertThat(rest.get("sharp").booleanValue()).isTrue();
        assertThat(rest.get("usual").doubleValue()).isCloseTo(52.96, within(0.01));
        assertThat(rest.get("recent").doubleValue()).isCloseTo(55.57, within(0.01));
    }

    @Test
    void aerobicThatIsNotEnoughSaysWhatIsMissing() {
        String csv = String.join(
                "\n",
                "session,date,surface,temperature,hours,output,reserveFraction",
                "s1,2026-01-05,road,2.0,0.17,2.352,0.7286");
        assertThat(ask("aerobic", csv).json().get("notEnough").stringValue()).contains("of 8 sessions");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "intervals | {\"criticalPower\": 250} | wPrime",
                "intervals | [] | one JSON object",
                "intervals | {\"criticalPower\": NaN} | JSON",
                "nonsense | {} | topic",
                "predict | {\"today\": \"2027-13-20\"} | today",
                "strength | {\"exercises\": [{\"name\": \"a\", \"of\": \"a\", \"percent\": 50}]} | circle",
                "checkin | day;x | line 1",
                "season | {\"today\": \"2027-02-28\", \"from\": \"2027-02-28\", \"to\": \"2027-03-28\"} | from",
                "compare | group,session | line 1"
            })
    void whatIsWrongIsNamedInOneLineWithCodeTwo(String topic, String input, String named) {
        Said said = ask(topic, input);
        assertThat(said.code()).isEqualTo(2);
        assertThat(said.out()).isEmpty();
        assertThat(said.err()).contains(named).doesNotContain("\n");
    }

    /** Whatever bytes come in, the answer is an answer or a refusal. */
    @Test
    void noiseIsRefusedAndNeverAFault() {
        Random random = new Random(7);
        for (String topic : new String[] {
            "intervals", "predict", "evidence", "strength", "season", "adjust", "checkin", "compare", "aerobic"
        })
            for (int i = 0; i < 60; i++) {
                byte[] noise = new byte[random.nextInt(400)];
                random.nextBytes(noise);
                ByteArrayOutputStream err = new ByteArrayOutputStream();
                int code = Asking.run(
                        topic,
                        new ByteArrayInputStream(noise),
                        new PrintStream(new ByteArrayOutputStream()),
                        new PrintStream(err));
                assertThat(code).as(topic + " " + err).isEqualTo(2);
            }
    }
}
