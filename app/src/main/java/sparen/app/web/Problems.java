package sparen.app.web;

import java.net.SocketTimeoutException;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.HttpStatusCode;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.context.request.ServletWebRequest;
import org.springframework.web.context.request.WebRequest;
import org.springframework.web.servlet.mvc.method.annotation.ResponseEntityExceptionHandler;
import org.springframework.web.util.ContentCachingRequestWrapper;
import sparen.document.DocumentProblem;
import sparen.document.Documents;
import sparen.quantity.InvalidQuantity;
import tools.jackson.core.JacksonException;

/** Turns what was thrown into problem details, with a pointer to the field where there is one. */
@RestControllerAdvice
class Problems extends ResponseEntityExceptionHandler {
    private static final Logger LOG = LoggerFactory.getLogger(Problems.class);

    @ExceptionHandler
    ResponseEntity<ProblemDetail> refused(Refusal refusal) {
        ProblemDetail problem = problem(refusal.status(), refusal.kind(), refusal.getMessage());
        refusal.properties().forEach(problem::setProperty);
        ResponseEntity.BodyBuilder answer = ResponseEntity.status(refusal.status());
        if (refusal.status() == HttpStatus.SERVICE_UNAVAILABLE) {
            answer.header(HttpHeaders.RETRY_AFTER, DatabaseAway.RETRY_SECONDS);
        }
        return answer.body(problem);
    }

    @ExceptionHandler
    ProblemDetail invalid(InvalidQuantity invalid) {
        return field("/" + invalid.field().replace('.', '/'), invalid.getMessage());
    }

    /** Whatever else: the database is away, or it is a fault of ours. */
    @ExceptionHandler
    ResponseEntity<ProblemDetail> unexpected(Exception unexpected) throws Exception {
        if (unexpected instanceof org.springframework.security.access.AccessDeniedException) {
            throw unexpected;
        }
        if (DatabaseAway.isAway(unexpected)) {
            LOG.warn("the database does not answer", unexpected);
            return ResponseEntity.status(HttpStatus.SERVICE_UNAVAILABLE)
                    .header(HttpHeaders.RETRY_AFTER, DatabaseAway.RETRY_SECONDS)
                    .body(problem(HttpStatus.SERVICE_UNAVAILABLE, DatabaseAway.KIND, DatabaseAway.SAYS));
        }
        LOG.error("unexpected", unexpected);
        return ResponseEntity.internalServerError()
                .body(problem(
                        HttpStatus.INTERNAL_SERVER_ERROR,
                        "unexpected",
                        "Something went wrong here. It is in the application's log."));
    }

    @Override
    protected ResponseEntity<Object> handleHttpMessageNotReadable(
            HttpMessageNotReadableException broken, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        for (Throwable cause = broken.getCause(); cause != null; cause = cause.getCause()) {
            if (cause instanceof BodyLimits.TooLong tooLong) {
                return ResponseEntity.status(HttpStatus.CONTENT_TOO_LARGE)
                        .body(problem(HttpStatus.CONTENT_TOO_LARGE, "too-large", tooLong.getMessage()));
            }
            if (cause instanceof BodyLimits.TooMany tooMany) {
                return ResponseEntity.status(HttpStatus.SERVICE_UNAVAILABLE)
                        .header(HttpHeaders.RETRY_AFTER, DatabaseAway.RETRY_SECONDS)
                        .body(problem(HttpStatus.SERVICE_UNAVAILABLE, "busy", tooMany.getMessage()));
            }
            if (cause instanceof BodyLimits.TooSlow || cause instanceof SocketTimeoutException) {
                return ResponseEntity.status(HttpStatus.REQUEST_TIMEOUT)
                        .header(HttpHeaders.CONNECTION, "close")
                        .body(problem(HttpStatus.REQUEST_TIMEOUT, "too-slow", "The request did not come in in time."));
            }
        }
        if (broken.getCause() instanceof JacksonException json) {
            ContentCachingRequestWrapper body =
                    ((ServletWebRequest) request).getNativeRequest(ContentCachingRequestWrapper.class);
            DocumentProblem problem = Documents.problem(
                    json, body == null ? "" : new String(body.getContentAsByteArray(), StandardCharsets.UTF_8));
            return ResponseEntity.unprocessableContent().body(field(problem.pointer(), problem.getMessage()));
        }
        return ResponseEntity.badRequest()
                .body(problem(HttpStatus.BAD_REQUEST, "unreadable", "The request has no body that can be read."));
    }

    private static ProblemDetail field(String pointer, String detail) {
        ProblemDetail problem = problem(HttpStatus.UNPROCESSABLE_CONTENT, "invalid-field", detail);
        problem.setProperty("errors", List.of(new FieldError(pointer, detail)));
        return problem;
    }

    private static ProblemDetail problem(HttpStatus status, String kind, String detail) {
        ProblemDetail problem = ProblemDetail.forStatusAndDetail(status, detail);
        problem.setType(URI.create("urn:sparen:problem:" + kind));
        return problem;
    }

    /** A field that cannot be taken, by JSON Pointer (RFC 6901) into the request's body, with ids for entries of lists. */
    record FieldError(String pointer, String detail) {}
}
