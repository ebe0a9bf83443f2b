package pemblar.app;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.CookieManager;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandler;
import java.net.http.HttpResponse.BodySubscribers;
import java.net.http.HttpTimeoutException;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** Somebody with a plain HTTP client: keeps cookies and the anti-forgery token of the last page. */
final class Person {
    private static final Pattern TOKEN = Pattern.compile("name=\"_csrf\"[^>]*value=\"([^\"]+)\"");
    private static final Pattern PROGRAM_TOKEN = Pattern.compile("class=\"token\"[^>]*>([^<]+)<");
    private static final String BOUNDARY = "----pemblar-test";
    /** A page as it is, but for line breaks inside its tags: those are the formatter's business and not a test's. */
    private static final BodyHandler<String> PAGE = head -> BodySubscribers.mapping(
            BodySubscribers.ofString(StandardCharsets.UTF_8), body -> isHtml(head) ? tidied(body) : body);

    private final String address;
    private final HttpClient client = HttpClient.newBuilder()
            .cookieHandler(new CookieManager())
            .followRedirects(HttpClient.Redirect.NORMAL)
            .build();
    private String token = "";
    private String language = "en";
    private String agent = "";

    Person(String address) {
        this.address = address;
    }

    /** From now on with a browser of another language. */
    Person speaking(String tag) {
        language = tag;
        return this;
    }

    /** From now on with a browser that says this of itself. */
    Person with(String browser) {
        agent = browser;
        return this;
    }

    static Person demo(String name) {
        Person person = new Person(Running.ADDRESS);
        person.signIn(name + "@pemblar.example", "pemblar-demo");
        return person;
    }

    Person signIn(String email, String password) {
        get("/sign-in");
        post("/sign-in", Map.of("username", email, "password", password));
        return this;
    }

    /** Many people sign up from this machine within a minute, which is not what the limit is there to refuse. */
    Person signUp(String email, String role) {
        get("/sign-up");
        Map<String, String> form = Map.of(
                "email",
                email,
                "name",
                "Test Person",
                "password",
                "a long password",
                "role",
                role,
                "zone",
                "Europe/Dublin");
        if (post("/sign-up", form).uri().toString().endsWith("later")) {
            Running.forgetSignUps();
            get("/sign-up");
            post("/sign-up", form);
        }
        return this;
    }

    /** A token for a program, by the password with which people sign up here. @param may words parted by commas */
    String token(String may, LocalDate until) {
        get("/account/programs");
        Map<String, String> form =
                Map.of("name", "Test", "may", may, "until", until.toString(), "present", "a long password");
        String page = post("/account/programs", form).body();
        Matcher told = PROGRAM_TOKEN.matcher(page);
        if (!told.find()) throw new AssertionError("no token was told: " + page);
        return told.group(1);
    }

    private static boolean isHtml(HttpResponse.ResponseInfo head) {
        return head.headers().firstValue("Content-Type").orElse("").startsWith("text/html");
    }

    private static String tidied(String body) {
        Matcher tag = Pattern.compile("<[a-zA-Z/][^<>]*>").matcher(body);
        return tag.replaceAll(
                m -> Matcher.quoteReplacement(m.group().replaceAll("\\s+", " ").replaceAll(" ?/?>$", ">")));
    }

    /** A page from its main part on; found from the end, as a pattern would try every letter of the page again. */
    static String main(String page) {
        return page.substring(Math.max(0, page.lastIndexOf("<main")));
    }

    HttpResponse<String> get(String path) {
        return send(request(path).GET().build());
    }

    HttpResponse<String> post(String path, Map<String, String> form) {
        Map<String, String> all = new LinkedHashMap<>(form);
        all.put("_csrf", token);
        return postExactly(path, all);
    }

    HttpResponse<String> postExactly(String path, Map<String, String> form) {
        String body = form.entrySet().stream()
                .map(e -> e.getKey() + "=" + URLEncoder.encode(e.getValue(), StandardCharsets.UTF_8))
                .collect(Collectors.joining("&"));
        return send(request(path)
                .header("Content-Type", "application/x-www-form-urlencoded")
                .POST(BodyPublishers.ofString(body))
                .build());
    }

    HttpResponse<String> upload(String path, Map<String, byte[]> files) {
        return upload(path, "files", files);
    }

    HttpResponse<String> upload(String path, String field, Map<String, byte[]> files) {
        ByteArrayOutputStream body = new ByteArrayOutputStream();
        files.forEach((name, bytes) -> {
            body.writeBytes(("--" + BOUNDARY + "\r\nContent-Disposition: form-data; name=\"" + field + "\"; filename=\""
                            + name + "\"\r\n\r\n")
                    .getBytes(StandardCharsets.UTF_8));
            body.writeBytes(bytes);
            body.writeBytes("\r\n".getBytes(StandardCharsets.UTF_8));
        });
        body.writeBytes(("--" + BOUNDARY + "--\r\n").getBytes(StandardCharsets.UTF_8));
        return send(request(path)
                .header("Content-Type", "multipart/form-data; boundary=" + BOUNDARY)
                .header("X-CSRF-TOKEN", token)
                .POST(BodyPublishers.ofByteArray(body.toByteArray()))
                .build());
    }

    /** A body as it is. */
    HttpResponse<String> send(String path, String type, byte[] body) {
        return send(request(path)
                .header("Content-Type", type)
                .header("X-CSRF-TOKEN", token)
                .POST(BodyPublishers.ofByteArray(body))
                .build());
    }

    byte[] bytes(String path) {
        try {
            return answered(request(path).GET().build(), HttpResponse.BodyHandlers.ofByteArray())
                    .body();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private HttpRequest.Builder request(String path) {
        HttpRequest.Builder request =
                HttpRequest.newBuilder(URI.create(address + path)).header("Accept-Language", language);
        return agent.isEmpty() ? request : request.header("User-Agent", agent);
    }

    private HttpResponse<String> send(HttpRequest request) {
        try {
            HttpResponse<String> response = answered(request, PAGE);
            Matcher matcher = TOKEN.matcher(response.body());
            if (matcher.find()) token = matcher.group(1);
            return response;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /**
     * The time is held here and not by the request: the client of Java 17 lets the timer of one that was sent on to
     * another page run on, and when it ends it breaks whatever then goes over that connection.
     */
    private <T> HttpResponse<T> answered(HttpRequest request, BodyHandler<T> body) throws IOException {
        CompletableFuture<HttpResponse<T>> answer = client.sendAsync(request, body);
        try {
            return answer.get(60, TimeUnit.SECONDS);
        } catch (TimeoutException e) {
            answer.cancel(true);
            throw new HttpTimeoutException(request.uri().getPath() + " had no answer within 60 s");
        } catch (ExecutionException e) {
            if (e.getCause() instanceof IOException broken) throw broken;
            throw new IllegalStateException(e.getCause());
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }
}
