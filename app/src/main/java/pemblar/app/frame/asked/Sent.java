package pemblar.app.frame.asked;

import jakarta.servlet.http.HttpServletRequest;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.Map;
import org.springframework.ui.Model;
import pemblar.app.frame.Visit;
import pemblar.app.frame.page.Typed;

/** A change that a page sent: who asks, what was filled in, and the model of the part of the page that answers. */
public record Sent(Visit visit, HttpServletRequest request, Model model) {
    private static final String TOKEN = "_csrf";

    /** What was typed, to be sent again. @param version the field that tells whether somebody was quicker */
    public Map<String, String> again(String version) {
        Map<String, String> fields = new LinkedHashMap<>();
        request.getParameterMap().forEach((name, values) -> {
            if (!name.equals(version) && !name.equals(TOKEN)) fields.put(name, values[0]);
        });
        return fields;
    }

    /** Where it was sent. */
    public String address() {
        return request.getRequestURI();
    }

    /** The first day that the page shows; null when it did not say. */
    public LocalDate from() {
        return Typed.dayOrNull(request.getParameter("from"));
    }

    /** The last day that the page shows; null when it did not say. */
    public LocalDate to() {
        return Typed.dayOrNull(request.getParameter("to"));
    }

    /** What refused it, as a sentence. */
    public static String sentence(String message) {
        return Character.toUpperCase(message.charAt(0)) + message.substring(1) + (message.endsWith(".") ? "" : ".");
    }
}
