package pemblar.benchmark;

import java.io.IOException;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A group of riders of the grown demo brings 3,000 recordings of an hour at once, then each of them changes the
 * threshold power from before the first of these on. Prints how many files a second were read, and how long it took
 * until every session counted by the new value.
 */
public final class GroupLoad {
    private static final int RIDERS = 30;
    private static final int FILES_EACH = 100;
    private static final int FILES_AT_ONCE = 50;
    private static final int SECONDS = 3600;
    /** Copies of the demo rider among the grown ones: every third, from the fourth on. */
    private static final int FIRST = 4;

    private static final int KINDS = 3;
    private static final Duration PATIENCE = Duration.ofMinutes(30);
    private static final Pattern WAITING = Pattern.compile("(?m)^pemblar_uploads_waiting (\\d+)");
    private static final String RUNNING = "<progress";

    private record Rider(Visitor visitor, String base) {}

    private GroupLoad() {}

    public static void main(String[] arguments) throws IOException, InterruptedException {
        String address = arguments[0];
        List<Rider> riders = new ArrayList<>();
        for (int i = 0; i < RIDERS; i++) {
            Visitor visitor = new Visitor(address).signIn("grown" + (FIRST + KINDS * i));
            riders.add(new Rider(visitor, visitor.ledTo("/").replaceAll("/today$", "")));
        }
        Instant first = Instant.now().minus(Duration.ofDays(FILES_EACH + 10)).truncatedTo(ChronoUnit.DAYS);
        if (arguments.length < 2) imports(riders, files(first), new Visitor(address));
        thresholds(riders, LocalDate.ofInstant(first, ZoneOffset.UTC));
    }

    /** One in each night, when nobody of the demo trains. */
    private static List<byte[]> files(Instant first) {
        List<byte[]> files = new ArrayList<>();
        for (int i = 0; i < FILES_EACH; i++)
            files.add(SixHours.file(SECONDS, first.plus(Duration.ofDays(i)).plus(Duration.ofHours(1)), i));
        return files;
    }

    private static void imports(List<Rider> riders, List<byte[]> files, Visitor operator)
            throws IOException, InterruptedException {
        long begin = System.nanoTime();
        for (int from = 0; from < files.size(); from += FILES_AT_ONCE)
            for (Rider rider : riders)
                rider.visitor().upload(rider.base() + "/sessions/upload", files.subList(from, from + FILES_AT_ONCE));
        double sent = seconds(begin);
        Instant until = Instant.now().plus(PATIENCE);
        while (waiting(operator) > 0) {
            if (Instant.now().isAfter(until)) throw new IllegalStateException("files wait still after half an hour");
            Thread.sleep(250);
        }
        double all = seconds(begin);
        int count = riders.size() * files.size();
        System.out.printf(
                Locale.ROOT,
                "%d files of an hour by %d riders: sent within %.1f s, read within %.1f s: %.1f a second%n",
                count,
                riders.size(),
                sent,
                all,
                count / all);
    }

    private static long waiting(Visitor operator) throws IOException, InterruptedException {
        Matcher figure = WAITING.matcher(operator.get("/metrics"));
        if (!figure.find()) throw new IllegalStateException("no figure of the files that wait");
        return Long.parseLong(figure.group(1));
    }

    private static void thresholds(List<Rider> riders, LocalDate from) throws IOException, InterruptedException {
        String watts = String.valueOf(200 + LocalTime.now(ZoneOffset.UTC).getMinute()); // another one at each run
        long begin = System.nanoTime();
        for (Rider rider : riders)
            rider.visitor()
                    .post(
                            rider.base() + "/thresholds/adopt",
                            Map.of("THRESHOLD_POWER", watts, "from", from.toString()));
        double answered = seconds(begin);
        for (Rider rider : riders) recomputed(rider);
        System.out.printf(
                Locale.ROOT,
                "threshold power of %d riders: adopted within %.1f s, all sessions computed anew within %.1f s%n",
                riders.size(),
                answered,
                seconds(begin));
    }

    private static void recomputed(Rider rider) throws IOException, InterruptedException {
        Instant until = Instant.now().plus(PATIENCE);
        while (rider.visitor().get(rider.base() + "/thresholds/progress").contains(RUNNING)) {
            if (Instant.now().isAfter(until))
                throw new IllegalStateException(rider.base() + " is not computed anew after half an hour");
            Thread.sleep(100);
        }
    }

    private static double seconds(long begin) {
        return (System.nanoTime() - begin) / 1e9;
    }
}
