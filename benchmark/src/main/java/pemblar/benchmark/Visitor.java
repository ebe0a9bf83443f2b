package pemblar.benchmark;

import java.io.ByteArrayOutputStream;
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
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** Somebody of the demo on loopback: keeps cookies and the anti-forgery token of the last page. */
final class Visitor {
    private static final Pattern TOKEN = Pattern.compile("name=\"_csrf\"[^>]*value=\"([^\"]+)\"");
    private static final String BOUNDARY = "----pemblar-visitor";
    private final HttpClient client = HttpClient.newBuilder()
            .cookieHandler(new CookieManager())
            .followRedirects(HttpClient.Redirect.NORMAL)
            .build();
    private final String address;
    private String token = "";

    /** @throws IllegalArgumentException for an address that is not on this machine */
    Visitor(String address) {
        if (!URI.create(address).getHost().equals("127.0.0.1"))
            throw new IllegalArgumentException("only 127.0.0.1 is asked, was " + address);
        this.address = address;
    }

    Visitor signIn(String name) throws IOException, InterruptedException {
        get("/sign-in");
        post("/sign-in", Map.of("username", name + "@pemblar.example", "password", "pemblar-demo"));
        return this;
    }

    /** Where a page led to, as /a/7/today. */
    String ledTo(String path) throws IOException, InterruptedException {
        return send(HttpRequest.newBuilder(URI.create(address + path)).GET().build())
                .uri()
                .getPath();
    }

    String get(String path) throws IOException, InterruptedException {
        return send(HttpRequest.newBuilder(URI.create(address + path)).GET().build())
                .body();
    }

    String post(String path, Map<String, String> form) throws IOException, InterruptedException {
        String body = form.entrySet().stream()
                .map(e -> e.getKey() + "=" + URLEncoder.encode(e.getValue(), StandardCharsets.UTF_8))
                .collect(Collectors.joining("&"));
        return send(HttpRequest.newBuilder(URI.create(address + path))
                        .header("Content-Type", "application/x-www-form-urlencoded")
                        .header("X-CSRF-TOKEN", token)
                        .POST(BodyPublishers.ofString(body))
                        .build())
                .body();
    }

    /** Some files in one form, as a person takes them from a folder. */
    void upload(String path, List<byte[]> files) throws IOException, InterruptedException {
        ByteArrayOutputStream body = new ByteArrayOutputStream();
        for (int i = 0; i < files.size(); i++) {
            body.writeBytes(("--" + BOUNDARY + "\r\nContent-Disposition: form-data; name=\"files\"; filename=\"ride-"
                            + i + ".fit\"\r\n\r\n")
                    .getBytes(StandardCharsets.UTF_8));
            body.writeBytes(files.get(i));
            body.writeBytes("\r\n".getBytes(StandardCharsets.UTF_8));
        }
        body.writeBytes(("--" + BOUNDARY + "--\r\n").getBytes(StandardCharsets.UTF_8));
        send(HttpRequest.newBuilder(URI.create(address + path))
                .header("X-CSRF-TOKEN", token)
                .header("Content-Type", "multipart/form-data; boundary=" + BOUNDARY)
                .POST(BodyPublishers.ofByteArray(body.toByteArray()))
                .build());
    }

    /** As it goes over the wire to a browser. */
    HttpResponse<byte[]> compressed(String path) throws IOException, InterruptedException {
        return client.send(
                HttpRequest.newBuilder(URI.create(address + path))
                        .header("Accept-Encoding", "gzip")
                        .GET()
                        .build(),
                BodyHandlers.ofByteArray());
    }

    private HttpResponse<String> send(HttpRequest request) throws IOException, InterruptedException {
        HttpResponse<String> answer = client.send(request, BodyHandlers.ofString());
        if (answer.statusCode() >= 400)
            throw new IllegalStateException(request.uri().getPath() + " answered " + answer.statusCode());
        Matcher matcher = TOKEN.matcher(answer.body());
        if (matcher.find()) token = matcher.group(1);
        return answer;
    }
}
