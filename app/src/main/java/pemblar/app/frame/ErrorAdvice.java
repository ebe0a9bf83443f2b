package pemblar.app.frame;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.DateTimeException;
import org.apache.catalina.connector.ClientAbortException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.ConcurrencyFailureException;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.dao.InvalidDataAccessApiUsageException;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.validation.BindException;
import org.springframework.web.bind.ServletRequestBindingException;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.context.request.async.AsyncRequestNotUsableException;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import org.springframework.web.multipart.MultipartException;
import org.springframework.web.servlet.ModelAndView;

/**
 * What no page answered for itself. A refusal is a sentence for the person; a collision with somebody else's change has
 * its own; anything else is a fault: logged under a number that the page shows.
 */
@ControllerAdvice
class ErrorAdvice {
    private static final Logger LOG = LoggerFactory.getLogger(ErrorAdvice.class);
    private static final String MEANWHILE =
            "Somebody else, or another window, changed the same thing at the same moment. Nothing of yours "
                    + "was written over it: load the page again and look before you repeat it.";

    @ExceptionHandler({
        MethodArgumentTypeMismatchException.class,
        ServletRequestBindingException.class,
        BindException.class,
        HttpMessageNotReadableException.class,
        MultipartException.class
    })
    Object notUnderstood(Exception e, HttpServletRequest request) {
        String field = e instanceof MethodArgumentTypeMismatchException mismatch
                ? mismatch.getName()
                : e instanceof org.springframework.web.bind.MissingServletRequestParameterException missing
                        ? missing.getParameterName()
                        : "The request";
        return answer(
                request,
                HttpStatus.BAD_REQUEST,
                "“" + field + "” is missing or is not understood. Go back, look at it and send it again.");
    }

    @ExceptionHandler({IllegalArgumentException.class, DateTimeException.class, InvalidDataAccessApiUsageException.class
    })
    Object refused(RuntimeException e, HttpServletRequest request) {
        Throwable cause =
                e instanceof InvalidDataAccessApiUsageException && e.getCause() instanceof IllegalArgumentException
                        ? e.getCause()
                        : e;
        LOG.info("refused {} {}: {}", request.getMethod(), request.getRequestURI(), cause.toString());
        return answer(
                request,
                HttpStatus.BAD_REQUEST,
                cause instanceof IllegalArgumentException && cause.getMessage() != null
                        ? sentence(cause.getMessage())
                        : "That is not possible. Go back, look at what was typed and send it again.");
    }

    @ExceptionHandler({ConcurrencyFailureException.class, DataIntegrityViolationException.class})
    Object meanwhile(RuntimeException e, HttpServletRequest request) {
        LOG.info("collided {} {}: {}", request.getMethod(), request.getRequestURI(), e.toString());
        return answer(request, HttpStatus.CONFLICT, MEANWHILE);
    }

    @ExceptionHandler(RuntimeException.class)
    Object fault(RuntimeException e, HttpServletRequest request, HttpServletResponse response) throws IOException {
        if (DatabaseAway.isAway(e)) {
            DatabaseAway.answer(request, response);
            return null;
        }
        ResponseEntity<?> known = known(e);
        if (known != null) throw e;
        if (isGone(e)) {
            LOG.info("gone meanwhile: {} {}", request.getMethod(), request.getRequestURI());
            return null;
        }
        String number = RequestNumber.present();
        LOG.error("fault {} at {} {}", number, request.getMethod(), request.getRequestURI(), e);
        return answer(
                request,
                HttpStatus.INTERNAL_SERVER_ERROR,
                "The server met a problem and noted it under " + number + ". Go back and try again.");
    }

    /**
     * Whether whoever asked has left while the answer was written: nobody is there to be told, and nothing is wrong.
     */
    static boolean isGone(Throwable e) {
        for (Throwable cause = e; cause != null; cause = cause.getCause())
            if (cause instanceof ClientAbortException || cause instanceof AsyncRequestNotUsableException) return true;
        return false;
    }

    /** Exceptions that carry their own status are the framework's to answer. */
    private static ResponseEntity<?> known(RuntimeException e) {
        boolean carries = e instanceof org.springframework.web.ErrorResponse
                || org.springframework.core.annotation.AnnotatedElementUtils.hasAnnotation(
                        e.getClass(), org.springframework.web.bind.annotation.ResponseStatus.class)
                || e instanceof org.springframework.security.access.AccessDeniedException
                || e instanceof org.springframework.security.core.AuthenticationException
                || e instanceof org.springframework.security.web.firewall.RequestRejectedException;
        return carries ? ResponseEntity.ok().build() : null;
    }

    private static String sentence(String message) {
        return Character.toUpperCase(message.charAt(0)) + message.substring(1) + (message.endsWith(".") ? "" : ".");
    }

    /** A page, or for a part of a page one line that the page shows at its foot. */
    private static Object answer(HttpServletRequest request, HttpStatus status, String sentence) {
        if (request.getHeader("HX-Request") != null || request.getRequestURI().startsWith("/device/"))
            return ResponseEntity.status(status)
                    .contentType(new MediaType(MediaType.TEXT_PLAIN, java.nio.charset.StandardCharsets.UTF_8))
                    .body(sentence);
        ModelAndView page = new ModelAndView("error");
        page.setStatus(status);
        page.addObject("status", status.value());
        page.addObject("sentence", sentence);
        return page;
    }
}
