package pemblar.app.program;

import jakarta.servlet.http.HttpServletRequest;
import java.time.DateTimeException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.dao.ConcurrencyFailureException;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.http.HttpStatus;
import org.springframework.http.HttpStatusCode;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.security.web.firewall.RequestRejectedException;
import org.springframework.validation.BindException;
import org.springframework.validation.FieldError;
import org.springframework.web.ErrorResponse;
import org.springframework.web.bind.MissingServletRequestParameterException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import pemblar.app.frame.DatabaseAway;
import pemblar.app.frame.NotFoundException;
import pemblar.app.frame.RequestNumber;
import pemblar.app.season.SeasonChangedMeanwhile;
import pemblar.app.session.ChangedMeanwhile;

/** What programs are told when something is refused: which field, why, and what to do. */
@RestControllerAdvice(annotations = Api.class)
@Order(Ordered.HIGHEST_PRECEDENCE)
class ProblemAdvice {
    private static final Logger LOG = LoggerFactory.getLogger(ProblemAdvice.class);

    @ExceptionHandler(NotFoundException.class)
    ResponseEntity<Object> notThere(NotFoundException e) {
        return Problem.of(
                HttpStatus.NOT_FOUND, "There is no such " + e.getMessage() + ", or this token does not see it.");
    }

    @ExceptionHandler(ChangedMeanwhile.class)
    ResponseEntity<Object> changed(ChangedMeanwhile e) {
        return Problem.of(
                HttpStatus.PRECONDITION_FAILED,
                e.getMessage() + "; it is at version " + e.theirs().version() + " now. Read it again first.");
    }

    @ExceptionHandler(SeasonChangedMeanwhile.class)
    ResponseEntity<Object> changed() {
        return Problem.of(
                HttpStatus.PRECONDITION_FAILED, "The plan was changed after it was read. Read it again first.");
    }

    @ExceptionHandler({ConcurrencyFailureException.class, DataIntegrityViolationException.class})
    ResponseEntity<Object> meanwhile() {
        return Problem.of(HttpStatus.CONFLICT, "The same was changed at the same moment. Read it again, then repeat.");
    }

    @ExceptionHandler({IllegalArgumentException.class, DateTimeException.class})
    ResponseEntity<Object> refused(RuntimeException e) {
        return Problem.of(
                HttpStatus.BAD_REQUEST,
                e instanceof IllegalArgumentException && e.getMessage() != null
                        ? e.getMessage()
                        : "A day or a time is not possible.");
    }

    @ExceptionHandler(MethodArgumentTypeMismatchException.class)
    ResponseEntity<Object> mistyped(MethodArgumentTypeMismatchException e) {
        return Problem.of(
                HttpStatus.BAD_REQUEST, e.getName() + ": this is not understood. " + Kinds.of(e.getRequiredType()));
    }

    @ExceptionHandler(BindException.class)
    ResponseEntity<Object> unbound(BindException e) {
        FieldError field = e.getFieldError();
        return Problem.of(
                HttpStatus.BAD_REQUEST,
                field == null
                        ? "The request is not understood."
                        : field.getField() + ": this is not understood. " + Kinds.of(e.getFieldType(field.getField())));
    }

    @ExceptionHandler(RequestRejectedException.class)
    ResponseEntity<Object> forbiddenCharacter() {
        return Problem.of(HttpStatus.BAD_REQUEST, "A field holds a character that no field can hold.");
    }

    @ExceptionHandler(MissingServletRequestParameterException.class)
    ResponseEntity<Object> missing(MissingServletRequestParameterException e) {
        return Problem.of(HttpStatus.BAD_REQUEST, e.getParameterName() + ": is missing.");
    }

    @ExceptionHandler(HttpMessageNotReadableException.class)
    ResponseEntity<Object> unread(HttpMessageNotReadableException e) {
        for (Throwable cause = e; cause != null; cause = cause.getCause())
            if (cause instanceof LimitedBody.TooLarge)
                return Problem.of(HttpStatus.CONTENT_TOO_LARGE, cause.getMessage());
        return Problem.of(HttpStatus.BAD_REQUEST, "The body is no JSON of the kind that the description asks for.");
    }

    @ExceptionHandler(Exception.class)
    ResponseEntity<Object> fault(Exception e, HttpServletRequest request) {
        if (DatabaseAway.isAway(e))
            return Problem.of(HttpStatus.SERVICE_UNAVAILABLE, "The data can't be reached. Ask again in a moment.");
        if (e instanceof ErrorResponse known) {
            HttpStatusCode status = known.getStatusCode();
            return Problem.of(
                    HttpStatus.valueOf(status.value()),
                    String.valueOf(known.getBody().getDetail()));
        }
        String number = RequestNumber.present();
        LOG.error("fault {} at {} {}", number, request.getMethod(), request.getRequestURI(), e);
        return Problem.of(
                HttpStatus.INTERNAL_SERVER_ERROR, "The server met a problem and noted it under " + number + ".");
    }
}
