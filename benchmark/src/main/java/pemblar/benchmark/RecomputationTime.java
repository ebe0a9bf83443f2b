package pemblar.benchmark;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Changes the first threshold of the demo rider, whose later values are removed before, so that it holds for two years;
 * measures from the answer of the adoption until the last session is recomputed. All is taken back at the end. Once for
 * each kind of value.
 */
public final class RecomputationTime {
    private static final int RUNS = 5;
    private static final long PATIENCE_MILLIS = 60_000;
    private final Visitor rider;

    private RecomputationTime(Visitor rider) {
        this.rider = rider;
    }

    public static void main(String[] arguments) throws IOException, InterruptedException {
        String address = arguments.length > 0 ? arguments[0] : "http://127.0.0.1:8710";
        RecomputationTime time = new RecomputationTime(new Visitor(address).signIn("jonna"));
        time.measure("THRESHOLD_POWER", "200");
        time.measure("W_PRIME", "15");
        time.measure("THRESHOLD_HEART_RATE", "165");
    }

    private void measure(String quantity, String value) throws IOException, InterruptedException {
        List<String> days = days(quantity);
        int changes = 0;
        for (String day : days.subList(1, days.size())) {
            rider.post("/a/1/thresholds/remove", Map.of("quantity", quantity, "from", day));
            untilDone();
            changes++;
        }
        for (int run = 0; run < RUNS; run++) {
            long begin = System.nanoTime();
            rider.post(
                    "/a/1/thresholds/adopt",
                    Map.of(quantity, String.valueOf(Integer.parseInt(value) + run), "from", days.get(0)));
            long answered = System.nanoTime();
            String done = untilDone();
            long end = System.nanoTime();
            changes++;
            System.out.printf(
                    Locale.ROOT,
                    "%-22s %s sessions: preview and adoption %4d ms, recomputed after %5d ms%n",
                    quantity,
                    done,
                    (answered - begin) / 1_000_000,
                    (end - answered) / 1_000_000);
        }
        for (; changes > 0; changes--) rider.post("/a/1/thresholds/adopt/undo", Map.of());
        untilDone();
    }

    /** The first days of a quantity's values, oldest first. */
    private List<String> days(String quantity) throws IOException, InterruptedException {
        Matcher day = Pattern.compile("name=\"quantity\" value=\"" + quantity
                        + "\"[^>]*><input type=\"hidden\" name=\"from\" value=\"([-0-9]+)\"")
                .matcher(rider.get("/a/1/thresholds"));
        List<String> days = new ArrayList<>();
        while (day.find()) days.add(0, day.group(1));
        if (days.isEmpty()) throw new IllegalStateException("the demo rider has no " + quantity);
        return days;
    }

    /** Asks every 20 ms; the number of sessions when all are done. */
    private String untilDone() throws IOException, InterruptedException {
        long until = System.currentTimeMillis() + PATIENCE_MILLIS;
        while (System.currentTimeMillis() < until) {
            Matcher done = Pattern.compile("<b>(\\d+)</b> <span>sessions? (were|was)")
                    .matcher(rider.get("/a/1/thresholds/progress"));
            if (done.find()) return done.group(1);
            Thread.sleep(20);
        }
        throw new IllegalStateException("not recomputed within a minute");
    }
}
