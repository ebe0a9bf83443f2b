package pemblar.app.frame;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.sql.SQLException;
import java.sql.SQLTransientConnectionException;
import java.util.Map;
import java.util.Set;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import org.springframework.web.util.HtmlUtils;
import pemblar.app.objects.StoreAway;

/**
 * While the database cannot be reached, a page of our own says so, keeps what was typed and tries again by itself. It
 * stands outside of everything else, since finding out who asks needs the database already.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
public class DatabaseAway extends OncePerRequestFilter {
    private static final Logger LOG = LoggerFactory.getLogger(DatabaseAway.class);
    private static final int RETRY_SECONDS = 4;
    private static final String CLOSED = "Connection is closed";
    /** Fields that a page never holds again, though it comes back to who typed them. */
    private static final Set<String> SECRET = Set.of("password", "present", "wanted", "code");

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        Waited.begin();
        try {
            chain.doFilter(request, response);
        } catch (ServletException | RuntimeException e) {
            if (!isAway(e) || response.isCommitted()) throw e;
            LOG.warn("The database cannot be reached: {}", e.toString());
            answer(request, response);
        } finally {
            Waited.end();
        }
    }

    public static boolean isAway(Throwable e) {
        for (Throwable cause = e; cause != null; cause = cause.getCause()) {
            if (cause instanceof SQLTransientConnectionException || cause instanceof StoreAway) return true;
            if (cause instanceof SQLException sql && isAway(sql)) return true;
            if (cause.getCause() == cause) return false;
        }
        return false;
    }

    /** One whose connection broke while it asked is told by the pool that it is closed, without a state. */
    private static boolean isAway(SQLException e) {
        String state = e.getSQLState();
        return state == null ? CLOSED.equals(e.getMessage()) : state.startsWith("08") || state.startsWith("57P");
    }

    static void answer(HttpServletRequest request, HttpServletResponse response) throws IOException {
        response.reset();
        response.setStatus(HttpServletResponse.SC_SERVICE_UNAVAILABLE);
        response.setHeader("Retry-After", String.valueOf(RETRY_SECONDS));
        response.setHeader("Cache-Control", "no-store");
        response.setHeader("X-Content-Type-Options", "nosniff");
        response.setHeader("Referrer-Policy", "same-origin");
        response.setHeader(
                "Content-Security-Policy",
                "default-src 'none'; style-src 'self'; font-src 'self'; form-action 'self'; frame-ancestors 'none'; "
                        + "base-uri 'none'");
        boolean fragment = request.getHeader("HX-Request") != null;
        response.setContentType(fragment ? "text/plain;charset=UTF-8" : "text/html;charset=UTF-8");
        response.getOutputStream()
                .write((fragment
                                ? "The data can't be reached at the moment. What you typed is still here; try "
                                        + "again in a few seconds."
                                : page(request))
                        .getBytes(StandardCharsets.UTF_8));
    }

    private static String page(HttpServletRequest request) {
        boolean get = request.getMethod().equals("GET");
        return "<!DOCTYPE html><html lang=\"en\"><head><meta charset=\"utf-8\"><meta name=\"viewport\" "
                + "content=\"width=device-width, initial-scale=1\">"
                + (get ? "<meta http-equiv=\"refresh\" content=\"" + RETRY_SECONDS + "\">" : "")
                + "<title>A moment · Pemblar</title><link rel=\"stylesheet\" href=\"/frame/pemblar.css\">"
                + "<link rel=\"stylesheet\" href=\"/account/account.css\"></head>"
                + "<body class=\"door\"><main id=\"main\"><div class=\"card\"><h1>The data can’t be reached</h1><p>"
                + (get
                        ? "This page comes back by itself as soon as it can be."
                        : "Nothing was changed. What you typed is kept here.")
                + "</p>" + (get ? "" : form(request)) + "</div></main></body></html>";
    }

    /** Forms of an athlete's pages have none. */
    private static boolean isSecret(HttpServletRequest request, String name) {
        return SECRET.contains(name) && !request.getRequestURI().startsWith("/a/");
    }

    /** What was typed, to be sent again. */
    private static String form(HttpServletRequest request) {
        StringBuilder form = new StringBuilder(
                "<form method=\"post\" action=\"" + HtmlUtils.htmlEscape(request.getRequestURI()) + "\">");
        boolean multipart =
                request.getContentType() != null && request.getContentType().startsWith("multipart/");
        Map<String, String[]> parameters = multipart ? Map.of() : request.getParameterMap();
        parameters.forEach((name, values) -> {
            if (isSecret(request, name)) return;
            for (String value : values)
                form.append("<input type=\"hidden\" name=\"")
                        .append(HtmlUtils.htmlEscape(name))
                        .append("\" value=\"")
                        .append(HtmlUtils.htmlEscape(value))
                        .append("\">");
        });
        boolean again = !multipart && parameters.keySet().stream().noneMatch(name -> isSecret(request, name));
        return again
                ? form.append("<button class=\"primary\">Send again</button></form>")
                        .toString()
                : "<p>Go back to the form and send it again in a moment.</p>";
    }
}
