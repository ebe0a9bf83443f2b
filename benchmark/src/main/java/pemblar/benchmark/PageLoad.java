package pemblar.benchmark;

import java.io.IOException;
import java.net.CookieManager;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse.BodyHandlers;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
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
    private static final Pattern TOKEN = Pattern.compile("name=\"_csrf\"[^>]*value=\"([^\"]+)\"");
    private static final String BOUNDARY = "----pemblar-benchmark";
    private final HttpClient client = HttpClient.newBuilder()
            .cookieHandler(new CookieManager())
            .followRedirects(HttpClient.Redirect.NORMAL)
            .build();
    private final String address;

    private PageLoad(String address) {
        this.address = address;
    }

    public static void main(String[] arguments) throws IOException, InterruptedException {
        String address = arguments.length > 0 ? arguments[0] : "http://127.0.0.1:8710";
        if (!URI.create(address).getHost().equals("127.0.0.1"))
            throw new IllegalArgumentException("only 127.0.0.1 is asked, was " + address);
        if (arguments.length > 1 && arguments[1].equals("table")) table(address);
        else new PageLoad(address).run();
    }

    /**
     * Every main page of an athlete and the coach's against the sign-up page, in two ways: each by itself after its own
     * warming up, as the first who ask meet it, and then all in turn, when everything is warm and whatever else the
     * machine does meets all of them alike.
     */
    private static void table(String address) throws IOException, InterruptedException {
        PageLoad nobody = new PageLoad(address);
        PageLoad coach = new PageLoad(address);
        PageLoad athlete = new PageLoad(address);
        coach.signIn("oda");
        athlete.signIn("jonna");
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

    private record Page(PageLoad by, String path, double[] alone, double[] inTurn) {
        Page(PageLoad by, String path) {
            this(by, path, new double[MEASURED], new double[MEASURED]);
        }

        double asked() throws IOException, InterruptedException {
            long begin = System.nanoTime();
            by.get(path);
            return (System.nanoTime() - begin) / 1e6;
        }
    }

    private void run() throws IOException, InterruptedException {
        signIn("jonna");
        String today = get("/a/1/today");
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
        String list = get("/a/1/sessions");
        Matcher token = TOKEN.matcher(list);
        if (!token.find()) throw new IllegalStateException("no form on the page of sessions");
        upload(token.group(1));
        String session = waitFor();
        measure(session);
        measure(session + "/channels");
        var wire = client.send(
                HttpRequest.newBuilder(URI.create(address + session + "/channels"))
                        .header("Accept-Encoding", "gzip")
                        .GET()
                        .build(),
                BodyHandlers.ofByteArray());
        System.out.printf(
                Locale.ROOT,
                "%-28s %d kB over the wire (%s)%n",
                session + "/channels",
                wire.body().length / 1000,
                wire.headers().firstValue("Content-Encoding").orElse("not compressed"));
        client.send(
                HttpRequest.newBuilder(URI.create(address + session + "/delete"))
                        .header("X-CSRF-TOKEN", token.group(1))
                        .POST(BodyPublishers.noBody())
                        .build(),
                BodyHandlers.ofString());
    }

    private void upload(String token) throws IOException, InterruptedException {
        java.io.ByteArrayOutputStream body = new java.io.ByteArrayOutputStream();
        body.writeBytes(("--" + BOUNDARY
                        + "\r\nContent-Disposition: form-data; name=\"files\"; filename=\"six-hours.fit\"\r\n\r\n")
                .getBytes(java.nio.charset.StandardCharsets.UTF_8));
        body.writeBytes(SixHours.file());
        body.writeBytes(("\r\n--" + BOUNDARY + "--\r\n").getBytes(java.nio.charset.StandardCharsets.UTF_8));
        client.send(
                HttpRequest.newBuilder(URI.create(address + "/a/1/sessions/upload"))
                        .header("X-CSRF-TOKEN", token)
                        .header("Content-Type", "multipart/form-data; boundary=" + BOUNDARY)
                        .POST(BodyPublishers.ofByteArray(body.toByteArray()))
                        .build(),
                BodyHandlers.ofString());
    }

    private String waitFor() throws IOException, InterruptedException {
        for (int i = 0; i < 600; i++) {
            String uploads = get("/a/1/sessions/uploads");
            int at = uploads.indexOf("six-hours.fit");
            Matcher found = Pattern.compile("/a/1/sessions/\\d+")
                    .matcher(at < 0 ? "" : uploads.substring(at, Math.min(uploads.length(), at + 400)));
            if (found.find()) return found.group();
            Thread.sleep(100);
        }
        throw new IllegalStateException("the recording of six hours was not read within a minute");
    }

    private void signIn(String who) throws IOException, InterruptedException {
        Matcher token = TOKEN.matcher(get("/sign-in"));
        if (!token.find()) throw new IllegalStateException("no sign-in form at " + address);
        HttpRequest request = HttpRequest.newBuilder(URI.create(address + "/sign-in"))
                .header("Content-Type", "application/x-www-form-urlencoded")
                .POST(BodyPublishers.ofString(
                        "username=" + who + "%40pemblar.example&password=pemblar-demo&_csrf=" + token.group(1)))
                .build();
        client.send(request, BodyHandlers.ofString());
    }

    private String get(String path) throws IOException, InterruptedException {
        var response = client.send(
                HttpRequest.newBuilder(URI.create(address + path)).GET().build(), BodyHandlers.ofString());
        if (response.statusCode() != 200) throw new IllegalStateException(path + " answered " + response.statusCode());
        return response.body();
    }

    private void measure(String path) throws IOException, InterruptedException {
        for (int i = 0; i < WARM; i++) get(path);
        double[] milliseconds = new double[MEASURED];
        int bytes = 0;
        for (int i = 0; i < MEASURED; i++) {
            long begin = System.nanoTime();
            bytes = get(path).length();
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
