package pemblar.app.program.key;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Optional;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.web.filter.OncePerRequestFilter;
import pemblar.app.frame.DatabaseAway;
import pemblar.app.frame.door.Limits;
import pemblar.app.program.LimitedBody;
import pemblar.app.program.Problem;

/** Who asks, how often, and how much they may send: all before the first byte of a body is read. */
public class TokenFilter extends OncePerRequestFilter {
    private static final String BEARER = "Bearer ";
    private static final int MOST_BYTES = 64 << 20;
    private static final int MOST_JSON_BYTES = 5_000_000;
    private static final String UNKNOWN =
            "Send the header Authorization: Bearer and a token. It is made on the page of programs, and may be ended or"
                    + " over.";
    private final TokenStore tokens;
    private final Limits limits;

    TokenFilter(TokenStore tokens, Limits limits) {
        this.tokens = tokens;
        this.limits = limits;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        Optional<Program> program;
        try {
            program = asking(request);
        } catch (RuntimeException e) {
            if (!DatabaseAway.isAway(e)) throw e;
            Problem.write(
                    response, HttpStatus.SERVICE_UNAVAILABLE, "The data can't be reached. Ask again in a moment.");
            return;
        }
        if (program.isEmpty()) {
            response.setHeader(HttpHeaders.WWW_AUTHENTICATE, "Bearer");
            response.setHeader(HttpHeaders.CONNECTION, "close");
            Problem.write(response, HttpStatus.UNAUTHORIZED, UNKNOWN);
        } else if (!limits.allowProgram(program.get().tokenId())) {
            response.setHeader(HttpHeaders.RETRY_AFTER, "10");
            Problem.write(
                    response,
                    HttpStatus.TOO_MANY_REQUESTS,
                    "This token asked more than " + Limits.PROGRAM_PER_MINUTE + " times in a minute. Wait a little.");
        } else pass(program.get(), request, response, chain);
    }

    private Optional<Program> asking(HttpServletRequest request) {
        String header = request.getHeader(HttpHeaders.AUTHORIZATION);
        return header == null || !header.startsWith(BEARER) || header.length() > 200
                ? Optional.empty()
                : tokens.asking(header.substring(BEARER.length()));
    }

    private static void pass(
            Program program, HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        int most = request.getServletPath().endsWith("/recordings") ? MOST_BYTES : MOST_JSON_BYTES;
        if (request.getContentLengthLong() > most) {
            response.setHeader(HttpHeaders.CONNECTION, "close");
            Problem.write(response, HttpStatus.CONTENT_TOO_LARGE, "At most " + most + " bytes can be sent here.");
            return;
        }
        SecurityContextHolder.getContext().setAuthentication(program);
        chain.doFilter(new LimitedBody(request, most), response);
    }
}
