package pemblar.app.program;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import tools.jackson.databind.json.JsonMapper;

/** What is answered when something is refused: problem details as RFC 9457 has them, with a sentence. */
public final class Problem {
    private Problem() {}

    public static ResponseEntity<Object> of(HttpStatus status, String sentence) {
        return ResponseEntity.status(status)
                .contentType(MediaType.APPLICATION_PROBLEM_JSON)
                .body(ProblemDetail.forStatusAndDetail(status, sentence));
    }

    /** The same from where no controller answers. */
    public static void write(HttpServletResponse response, HttpStatus status, String sentence) throws IOException {
        response.setStatus(status.value());
        response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
        response.setCharacterEncoding("UTF-8");
        java.util.Map<String, Object> body = new java.util.LinkedHashMap<>();
        body.put("title", status.getReasonPhrase());
        body.put("status", status.value());
        body.put("detail", sentence);
        response.getOutputStream().write(JsonMapper.shared().writeValueAsBytes(body));
    }
}
