package wrenchnotes.server.ground;

import java.io.UncheckedIOException;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import org.eclipse.jetty.http.HttpException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.dao.DataAccessException;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.HttpStatusCode;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.transaction.TransactionException;
import org.springframework.web.bind.MethodArgumentNotValidException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.context.request.WebRequest;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import org.springframework.web.servlet.mvc.method.annotation.ResponseEntityExceptionHandler;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.DatabindException;
import wrenchnotes.core.team.NotAllowed;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.core.unit.Refused;

/** Every error as problem details (RFC 9457): a sentence for a person, the field at fault, never a stack trace. */
@RestControllerAdvice
@Order(Ordered.HIGHEST_PRECEDENCE)
public class Problems extends ResponseEntityExceptionHandler {

    private static final Logger LOG = LoggerFactory.getLogger(Problems.class);
    private static final String RETRY_AFTER_SECONDS = "2";

    private final Troubles troubles;

    Problems(Troubles troubles) {
        this.troubles = troubles;
    }

    /** One field and what is wrong with it. */
    public record FieldError(String field, String message) {}

    @ExceptionHandler(Invalid.class)
    ResponseEntity<ProblemDetail> invalid(Invalid e) {
        return answer(badFields(List.of(new FieldError(e.field(), e.getMessage()))));
    }

    @ExceptionHandler(Refused.class)
    ResponseEntity<ProblemDetail> refused(Refused e) {
        ProblemDetail problem = problem(HttpStatus.CONFLICT, "Not yet", e.getMessage());
        problem.setProperty("reasons", e.reasons());
        return answer(problem);
    }

    @ExceptionHandler(Stale.class)
    ResponseEntity<ProblemDetail> stale(Stale e) {
        ProblemDetail problem = problem(HttpStatus.PRECONDITION_FAILED, "Changed meanwhile", e.getMessage());
        problem.setProperty("current", e.current());
        return answer(problem);
    }

    @ExceptionHandler(Seen.Missing.class)
    ResponseEntity<ProblemDetail> unseen(Seen.Missing e) {
        return answer(problem(HttpStatus.PRECONDITION_REQUIRED, "Which version?", e.getMessage()));
    }

    @ExceptionHandler(PenResolver.Damaged.class)
    ResponseEntity<ProblemDetail> damaged(PenResolver.Damaged e) {
        return answer(problem(HttpStatus.SERVICE_UNAVAILABLE, "Not written", e.getMessage()));
    }

    @ExceptionHandler(NotAllowed.class)
    ResponseEntity<ProblemDetail> notAllowed(NotAllowed e) {
        return answer(problem(HttpStatus.FORBIDDEN, "Somebody else", e.getMessage()));
    }

    @ExceptionHandler(TooSoon.class)
    ResponseEntity<ProblemDetail> tooSoon(TooSoon e) {
        ProblemDetail problem = problem(HttpStatus.TOO_MANY_REQUESTS, "Not so fast", e.getMessage());
        return ResponseEntity.status(HttpStatus.TOO_MANY_REQUESTS)
                .header(HttpHeaders.RETRY_AFTER, Long.toString(e.seconds()))
                .body(problem);
    }

    @ExceptionHandler(BodyRefused.class)
    ResponseEntity<ProblemDetail> refusedBody(BodyRefused e) {
        HttpStatus status =
                switch (e.because()) {
                    case TOO_LARGE -> HttpStatus.CONTENT_TOO_LARGE;
                    case TOO_SLOW -> HttpStatus.REQUEST_TIMEOUT;
                    case TOO_MANY -> HttpStatus.SERVICE_UNAVAILABLE;
                };
        ResponseEntity.BodyBuilder answer = ResponseEntity.status(status);
        if (e.because() == BodyRefused.Because.TOO_MANY) {
            answer.header(HttpHeaders.RETRY_AFTER, RETRY_AFTER_SECONDS);
        }
        return answer.body(problem(status, "Not taken", e.getMessage()));
    }

    @ExceptionHandler(NotFound.class)
    ResponseEntity<ProblemDetail> notFound(NotFound e) {
        return answer(problem(HttpStatus.NOT_FOUND, "Not found", e.getMessage()));
    }

    @ExceptionHandler(DeviceTrouble.class)
    ResponseEntity<ProblemDetail> device(DeviceTrouble e) {
        return answer(problem(HttpStatus.BAD_GATEWAY, "The device", e.getMessage()));
    }

    @ExceptionHandler(MethodArgumentTypeMismatchException.class)
    ResponseEntity<ProblemDetail> wrongType(MethodArgumentTypeMismatchException e) {
        return answer(badFields(List.of(new FieldError(e.getName(), e.getName() + " cannot be " + e.getValue()))));
    }

    /** Something under the shop: the disk, the folder, the file. A client that is told to wait comes again by itself. */
    @ExceptionHandler({DataAccessException.class, TransactionException.class, UncheckedIOException.class})
    ResponseEntity<ProblemDetail> store(Exception e) {
        Optional<StoreTrouble> trouble = StoreTrouble.of(e);
        if (trouble.isEmpty()) {
            return unexpected(e);
        }
        troubles.writingFailed(trouble.get());
        LOG.error("{} ({})", trouble.get().sentence(), e.getMessage());
        HttpStatus status =
                trouble.get() == StoreTrouble.FULL ? HttpStatus.INSUFFICIENT_STORAGE : HttpStatus.SERVICE_UNAVAILABLE;
        ProblemDetail problem = problem(status, "Not written", trouble.get().sentence());
        ResponseEntity.BodyBuilder answer = ResponseEntity.status(status);
        if (trouble.get() == StoreTrouble.BUSY) {
            answer.header(HttpHeaders.RETRY_AFTER, RETRY_AFTER_SECONDS);
        }
        return answer.body(problem);
    }

    @ExceptionHandler(Exception.class)
    ResponseEntity<ProblemDetail> unexpected(Exception e) {
        // What cannot be read as HTTP at all: a form with half a percent sign, a body that broke off.
        if (e instanceof HttpException unread && unread.getCode() < 500) {
            return answer(problem(
                    HttpStatus.valueOf(unread.getCode()),
                    "Look at this again",
                    "This request cannot be read: " + unread.getReason()));
        }
        LOG.error("Unexpected error", e);
        return answer(problem(
                HttpStatus.INTERNAL_SERVER_ERROR,
                "Something broke",
                "Something broke on our side and nothing was written. Try again; if it stays, tell the shop's lead."));
    }

    @Override
    protected ResponseEntity<Object> handleMethodArgumentNotValid(
            MethodArgumentNotValidException e, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        List<FieldError> fields = e.getBindingResult().getFieldErrors().stream()
                .map(error -> new FieldError(
                        error.getField(),
                        error.getField() + " "
                                + (error.isBindingFailure()
                                        ? "cannot be " + error.getRejectedValue()
                                        : error.getDefaultMessage())))
                .toList();
        return body(badFields(fields), headers);
    }

    @Override
    protected ResponseEntity<Object> handleHttpMessageNotReadable(
            HttpMessageNotReadableException e, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        return body(badFields(List.of(unreadable(e))), headers);
    }

    private static FieldError unreadable(HttpMessageNotReadableException e) {
        if (!(e.getCause() instanceof DatabindException wrong)) {
            return new FieldError("body", "The request is not readable JSON");
        }
        String path = wrong.getPath().stream().map(Problems::step).collect(Collectors.joining());
        String field = path.startsWith(".") ? path.substring(1) : path;
        for (Throwable cause = wrong; cause != null; cause = cause.getCause()) {
            if (cause instanceof Invalid invalid) {
                String at = field.isEmpty() ? invalid.field() : field + "." + invalid.field();
                return new FieldError(at, invalid.getMessage());
            }
        }
        String named = field.isEmpty() ? "body" : field;
        return new FieldError(named, named + " has a value of the wrong kind");
    }

    private static String step(JacksonException.Reference reference) {
        return reference.getPropertyName() == null
                ? "[" + reference.getIndex() + "]"
                : "." + reference.getPropertyName();
    }

    private static ProblemDetail badFields(List<FieldError> fields) {
        String detail = fields.stream().map(FieldError::message).collect(Collectors.joining(". "));
        ProblemDetail problem = problem(HttpStatus.BAD_REQUEST, "Look at this again", detail);
        problem.setProperty("errors", fields);
        return problem;
    }

    private static ProblemDetail problem(HttpStatus status, String title, String detail) {
        ProblemDetail problem = ProblemDetail.forStatusAndDetail(status, detail);
        problem.setTitle(title);
        return problem;
    }

    private static ResponseEntity<ProblemDetail> answer(ProblemDetail problem) {
        return ResponseEntity.of(problem).build();
    }

    private static ResponseEntity<Object> body(ProblemDetail problem, HttpHeaders headers) {
        return ResponseEntity.status(problem.getStatus()).headers(headers).body(problem);
    }
}
