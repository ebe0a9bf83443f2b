package pemblar.benchmark;

import java.io.IOException;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Asks a running demo on loopback for each main page, one after another, and prints the times. */
public final class PageLoad {
    private static final int WARM = 40;
    private static final int MEASURED = 60;
    private static final List<String> PAGES = List.of(
            "today",
            "season",
            "season/setup",
            "season/compare",
            "board",
            "board?from=%s&to=%s",
            "workouts",
            "workouts/design",
            "sessions",
            "progress",
            "thresholds",
            "thresholds/evidence",
            "thresholds/curve",
            "thresholds/profile",
            "thresholds/zones");
    private static final List<String> MORE = List.of(
            "sessions?page=20",
            "checkins",
            "proposals",
            "progress/zones",
            "progress/fitness",
            "strength",
            "strength/maxima");
    private final Visitor visitor;

    private PageLoad(Visitor visitor) {
        this.visitor = visitor;
    }

    public static void main(String[] arguments) throws IOException, InterruptedException {
        String address = arguments.length > 0 ? arguments[0] : "http://127.0.0.1:8710";
        if (arguments.length > 1 && arguments[1].equals("table")) table(address);
        else new PageLoad(new Visitor(address).signIn("jonna")).run();
    }

    /**
     * Every main page of an athlete and the coach's against the sign-up page, in two ways: each by itself after its own
     * warming up, as the first who ask meet it, and then all in turn, when everything is warm and whatever else the
     * machine does meets all of them alike.
     */
    private static void table(String address) throws IOException, InterruptedException {
        Visitor nobody = new Visitor(address);
        Visitor coach = new Visitor(address).signIn("oda");
        Visitor athlete = new Visitor(address).signIn("jonna");
        List<Page> pages = new ArrayList<>();
        pages.add(new Page(nobody, "/sign-up"));
        pages.add(new Page(coach, "/roster"));
        LocalDate now = LocalDate.now(ZoneOffset.UTC);
        for (String page : PAGES)
            pages.add(new Page(athlete, "/a/1/" + page.formatted(now.minusDays(30), now.plusDays(66))));
        for (String page : MORE) pages.add(new Page(athlete, "/a/1/" + page));
        for (Page page : pages) {
            for (int i = 0; i < WARM; i++) page.asked();
            for (int i = 0; i < MEASURED; i++) page.alone()[i] = page.asked();
        }
        for (int i = 0; i < MEASURED; i++) for (Page page : pages) page.inTurn()[i] = page.asked();
        System.out.printf(
                Locale.ROOT,
                "%-40s %8s %8s %6s   %8s %8s %6s%n",
                "page",
                "alone",
                "95 %",
                "ratio",
                "in turn",
                "95 %",
                "ratio");
        double alone = at(95, pages.get(0).alone());
        double inTurn = at(95, pages.get(0).inTurn());
        for (Page page : pages)
            System.out.printf(
                    Locale.ROOT,
                    "%-40s %5.1f ms %5.1f ms %6.1f   %5.1f ms %5.1f ms %6.1f%n",
                    page.path(),
                    at(50, page.alone()),
                    at(95, page.alone()),
                    at(95, page.alone()) / alone,
                    at(50, page.inTurn()),
                    at(95, page.inTurn()),
                    at(95, page.inTurn()) / inTurn);
    }

    private static double at(int percent, double[] milliseconds) {
        return Arrays.stream(milliseconds).sorted().toArray()[milliseconds.length * percent / 100];
    }

    private record Page(Visitor by, String path, double[] alone, double[] inTurn) {
        Page(Visitor by, String path) {
            this(by, path, new double[MEASURED], new double[MEASURED]);
        }

        double asked() throws IOException, InterruptedException {
            long begin = System.nanoTime();
            by.get(path);
            return (System.nanoTime() - begin) / 1e6;
        }
    }

    private void run() throws IOException, InterruptedException {
        String today = visitor.get("/a/1/today");
        Matcher session = Pattern.compile("/a/1/sessions/\\d+").matcher(today.substring(today.indexOf("Latest</h2>")));
        if (!session.find()) throw new IllegalStateException("the demo data has no session to ask for");
        LocalDate now = LocalDate.now(ZoneOffset.UTC);
        for (String page : PAGES) measure("/a/1/" + page.formatted(now.minusDays(30), now.plusDays(66)));
        measure(session.group());
        sixHours();
    }

    /**
     * The review of a recording of six hours: its page, and its channels as they go over the wire. It is deleted again.
     */
    private void sixHours() throws IOException, InterruptedException {
        visitor.get("/a/1/sessions");
        visitor.upload("/a/1/sessions/upload", List.of(SixHours.file()));
        String session = waitFor();
        measure(session);
        measure(session + "/channels");
        var wire = visitor.compressed(session + "/channels");
        System.out.printf(
                Locale.ROOT,
                "%-28s %d kB over the wire (%s)%n",
                session + "/channels",
                wire.body().length / 1000,
                wire.headers().firstValue("Content-Encoding").orElse("not compressed"));
        visitor.post(session + "/delete", Map.of());
    }

    private String waitFor() throws IOException, InterruptedException {
        for (int i = 0; i < 600; i++) {
            String uploads = visitor.get("/a/1/sessions/uploads");
            int at = uploads.indexOf("ride-0.fit");
            Matcher found = Pattern.compile("/a/1/sessions/\\d+")
                    .matcher(at < 0 ? "" : uploads.substring(at, Math.min(uploads.length(), at + 400)));
            if (found.find()) return found.group();
            Thread.sleep(100);
        }
        throw new IllegalStateException("the recording of six hours was not read within a minute");
    }

    private void measure(String path) throws IOException, InterruptedException {
        for (int i = 0; i < WARM; i++) visitor.get(path);
        double[] milliseconds = new double[MEASURED];
        int bytes = 0;
        for (int i = 0; i < MEASURED; i++) {
            long begin = System.nanoTime();
            bytes = visitor.get(path).length();
            milliseconds[i] = (System.nanoTime() - begin) / 1e6;
        }
        Arrays.sort(milliseconds);
        System.out.printf(
                Locale.ROOT,
                "%-28s median %5.1f ms   95 %% %5.1f ms   most %5.1f ms   %4d kB%n",
                path,
                milliseconds[MEASURED / 2],
                milliseconds[MEASURED * 95 / 100],
                milliseconds[MEASURED - 1],
                bytes / 1000);
    }
}
