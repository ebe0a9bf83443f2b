package pemblar.app.frame.door;

import java.io.IOException;
import java.io.Writer;
import org.apache.catalina.connector.Request;
import org.apache.catalina.connector.Response;
import org.apache.catalina.valves.ErrorReportValve;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** What the server itself refuses, before the application sees it, is answered by a page of ours all the same. */
public final class BareRefusal extends ErrorReportValve {
    private static final Logger LOG = LoggerFactory.getLogger(BareRefusal.class);
    private static final int REFUSED = 400;
    private static final int FAULT = 500;

    @Override
    protected void report(Request request, Response response, Throwable thrown) {
        int status = response.getStatus();
        if (status < REFUSED || response.getContentWritten() > 0 || !response.setErrorReported()) return;
        if (thrown != null) LOG.error("a fault outside of the application", thrown);
        response.setContentType("text/html");
        response.setCharacterEncoding("UTF-8");
        response.setHeader("Cache-Control", "no-store");
        response.setHeader("X-Content-Type-Options", "nosniff");
        response.setHeader("Referrer-Policy", "same-origin");
        response.setHeader(
                "Content-Security-Policy",
                "default-src 'none'; style-src 'self'; font-src 'self'; frame-ancestors 'none'; base-uri 'none'");
        write(response, page(status));
    }

    private static void write(Response response, String page) {
        try {
            Writer out = response.getReporter();
            if (out == null) return;
            out.write(page);
            response.finishResponse();
        } catch (IOException | IllegalStateException e) {
            LOG.debug("whoever asked has gone: {}", e.toString());
        }
    }

    private static String page(int status) {
        return "<!DOCTYPE html><html lang=\"en\"><head><meta charset=\"utf-8\"><meta name=\"viewport\" "
                + "content=\"width=device-width, initial-scale=1\"><title>Not understood · Pemblar</title>"
                + "<link rel=\"stylesheet\" href=\"/frame/pemblar.css\"><link rel=\"stylesheet\" "
                + "href=\"/account/account.css\"></head><body class=\"door\"><main id=\"main\">"
                + "<div class=\"card\"><h1>"
                + (status < FAULT ? "This request can’t be read" : "Something went wrong here")
                + "</h1><p>"
                + (status < FAULT
                        ? "Nothing was changed. Most often a part of the address is damaged or missing."
                        : "Go back and try again.")
                + "</p><p><a href=\"/\">To the first page</a></p></div></main></body></html>";
    }
}
