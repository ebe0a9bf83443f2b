package pemblar.benchmark;

import java.io.IOException;
import java.net.CookieManager;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** One of the people of {@link PeopleLoad}: acts, and sends once more what failed. */
final class LoadPerson {
    private static final Pattern TOKEN = Pattern.compile("name=\"_csrf\"[^>]*value=\"([^\"]+)\"");
    private static final String BOUNDARY = "----pemblar-people";
    private static final List<String> PAGES =
            List.of("today", "board", "sessions", "progress", "season", "thresholds", "checkins");
    private static final int THINKING_MILLIS = 1000;
    private static final int POINTS = 200;
    private static final int MOST_SECONDS = 30;
    private static final Duration PATIENCE = Duration.ofSeconds(60);
    private final HttpClient client = HttpClient.newBuilder()
            .cookieHandler(new CookieManager())
            .followRedirects(HttpClient.Redirect.NORMAL)
            .connectTimeout(Duration.ofSeconds(5))
            .build();
    private final String address;
    private final Random random;
    private String token = "";
    private String base = "";
    private int requests;
    private int again;
    private int failed;
    private int sketches;
    private int unseen;
    private int uploads;
    private long slowestMillis;

    LoadPerson(String address, int number) {
        this.address = address;
        this.random = new Random(number);
    }

    LoadPerson signUp(String name) throws IOException, InterruptedException {
        while (true) {
            page("/sign-up");
            HttpResponse<String> answer = sent(form(
                    "/sign-up",
                    Map.of(
                            "email",
                            name + "@pemblar.example",
                            "name",
                            "Load Person",
                            "password",
                            "a long password",
                            "role",
                            "ride",
                            "zone",
                            "UTC")));
            if (!answer.uri().toString().endsWith("later")) break;
            Thread.sleep(2000); // so many sign up from one address a minute
        }
        base = page("/").uri().getPath().replaceAll("/today$", "");
        if (!base.matches("/a/\\d+")) throw new IllegalStateException("signing up led to " + base);
        return this;
    }

    PeopleLoad.Told live(Path end) throws InterruptedException {
        while (!Files.exists(end)) {
            int what = random.nextInt(100);
            if (what < 75) asked(this::anyPage);
            else if (what < 90) sketch();
            else upload();
            Thread.sleep(random.nextInt(2 * THINKING_MILLIS));
        }
        HttpResponse<String> account = asked(() -> page("/account"));
        boolean signedIn = account != null && account.uri().getPath().equals("/account");
        waitForUploads();
        return new PeopleLoad.Told(requests, again, failed, sketches, unseen, uploads, signedIn ? 0 : 1, slowestMillis);
    }

    private HttpResponse<String> anyPage() throws IOException, InterruptedException {
        return page(base + "/" + PAGES.get(random.nextInt(PAGES.size())));
    }

    private void sketch() throws InterruptedException {
        String key = UUID.randomUUID().toString();
        LocalDate day = LocalDate.now(ZoneOffset.UTC).plusDays(1 + random.nextInt(40));
        Map<String, String> fields = Map.of(
                "day",
                day.toString(),
                "sport",
                "RIDE",
                "purpose",
                "EASY",
                "length",
                "1h",
                "title",
                "sketch " + key,
                "once",
                key);
        if (asked(() -> sent(form(base + "/sketch", fields))) == null) return;
        sketches++;
        HttpResponse<String> board = asked(() -> page(base + "/board?from=" + day + "&to=" + day));
        if (board != null && !board.body().contains(key)) unseen++;
    }

    private void upload() throws InterruptedException {
        byte[] file = gpx(Instant.now().minus(Duration.ofDays(30 + uploads)).minusMillis(random.nextInt(86_400_000)));
        if (asked(() -> sent(multipart(file))) != null) uploads++;
    }

    private void waitForUploads() throws InterruptedException {
        for (int i = 0; i < 120; i++) {
            HttpResponse<String> list = asked(() -> page(base + "/sessions/uploads"));
            if (list == null || !list.body().contains("waiting")) return;
            Thread.sleep(500);
        }
    }

    /** Something that is asked of the nodes. */
    private interface Asking {
        HttpResponse<String> ask() throws IOException, InterruptedException;
    }

    /** @return null when it failed twice */
    private HttpResponse<String> asked(Asking asking) throws InterruptedException {
        requests++;
        HttpResponse<String> first = once(asking);
        if (first != null) return first;
        again++;
        waitUntilReady();
        HttpResponse<String> second = once(asking);
        if (second == null) failed++;
        return second;
    }

    private HttpResponse<String> once(Asking asking) throws InterruptedException {
        long begin = System.nanoTime();
        try {
            HttpResponse<String> answer = asking.ask();
            slowestMillis = Math.max(slowestMillis, (System.nanoTime() - begin) / 1_000_000);
            if (answer.statusCode() < 400) return answer;
            System.err.println(Instant.now() + " " + answer.statusCode() + " " + answer.uri());
        } catch (IOException e) {
            System.err.println(Instant.now() + " " + e);
        }
        return null;
    }

    private void waitUntilReady() throws InterruptedException {
        Instant until = Instant.now().plus(PATIENCE);
        while (Instant.now().isBefore(until)) {
            try {
                if (sent(get("/ready")).statusCode() == 200) return;
            } catch (IOException e) {
                // the proxy may have no node at this moment
            }
            Thread.sleep(500);
        }
    }

    /**
     * The time a request may take is held here and not by the request: the client of Java 17 lets the timer of one that
     * was sent on to another page run on, and it then breaks whatever goes over that connection.
     */
    private HttpResponse<String> sent(HttpRequest request) throws IOException, InterruptedException {
        CompletableFuture<HttpResponse<String>> answer = client.sendAsync(request, BodyHandlers.ofString());
        try {
            return answer.get(MOST_SECONDS, TimeUnit.SECONDS);
        } catch (TimeoutException e) {
            answer.cancel(true);
            throw new IOException(request.uri().getPath() + " had no answer within " + MOST_SECONDS + " s", e);
        } catch (ExecutionException e) {
            if (e.getCause() instanceof IOException broken) throw broken;
            throw new IllegalStateException(e.getCause());
        }
    }

    private HttpRequest get(String path) {
        return HttpRequest.newBuilder(URI.create(address + path)).GET().build();
    }

    private HttpResponse<String> page(String path) throws IOException, InterruptedException {
        HttpResponse<String> answer = sent(get(path));
        Matcher found = TOKEN.matcher(answer.body());
        if (found.find()) token = found.group(1);
        return answer;
    }

    private HttpRequest form(String path, Map<String, String> fields) {
        String body = fields.entrySet().stream()
                .map(f -> f.getKey() + "=" + URLEncoder.encode(f.getValue(), StandardCharsets.UTF_8))
                .collect(Collectors.joining("&"));
        return HttpRequest.newBuilder(URI.create(address + path))
                .header("X-CSRF-TOKEN", token)
                .header("Content-Type", "application/x-www-form-urlencoded")
                .POST(BodyPublishers.ofString(body))
                .build();
    }

    private HttpRequest multipart(byte[] file) {
        String head =
                "--" + BOUNDARY + "\r\nContent-Disposition: form-data; name=\"files\"; filename=\"ride.gpx\"\r\n\r\n";
        String foot = "\r\n--" + BOUNDARY + "--\r\n";
        return HttpRequest.newBuilder(URI.create(address + base + "/sessions/upload"))
                .header("X-CSRF-TOKEN", token)
                .header("Content-Type", "multipart/form-data; boundary=" + BOUNDARY)
                .POST(BodyPublishers.concat(
                        BodyPublishers.ofString(head), BodyPublishers.ofByteArray(file), BodyPublishers.ofString(foot)))
                .build();
    }

    private byte[] gpx(Instant start) {
        StringBuilder text = new StringBuilder("<?xml version=\"1.0\"?><gpx version=\"1.1\" creator=\"load\" "
                + "xmlns=\"http://www.topografix.com/GPX/1/1\"><trk><type>ride</type><trkseg>");
        for (int i = 0; i < POINTS; i++)
            text.append("<trkpt lat=\"")
                    .append(50 + i * 0.00005)
                    .append("\" lon=\"7\"><time>")
                    .append(start.plusSeconds(i).truncatedTo(java.time.temporal.ChronoUnit.SECONDS))
                    .append("</time></trkpt>");
        return text.append("</trkseg></trk></gpx>").toString().getBytes(StandardCharsets.UTF_8);
    }
}
