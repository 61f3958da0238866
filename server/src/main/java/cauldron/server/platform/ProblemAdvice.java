package cauldron.server.platform;

import java.util.Objects;
import java.util.stream.Collectors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.dao.DataAccessException;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.HttpStatusCode;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.transaction.TransactionException;
import org.springframework.web.ErrorResponseException;
import org.springframework.web.bind.MethodArgumentNotValidException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.context.request.WebRequest;
import org.springframework.web.method.annotation.HandlerMethodValidationException;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import org.springframework.web.multipart.MultipartException;
import org.springframework.web.servlet.mvc.method.annotation.ResponseEntityExceptionHandler;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.DatabindException;
import tools.jackson.databind.exc.InvalidFormatException;

/** Turns what goes wrong into problem details; a failed validation names its field and what it allows. */
@RestControllerAdvice
class ProblemAdvice extends ResponseEntityExceptionHandler {

    private static final Logger LOG = LoggerFactory.getLogger(ProblemAdvice.class);
    private static final int LONGEST_NAME = 60;

    @Override
    protected ResponseEntity<Object> handleMethodArgumentNotValid(MethodArgumentNotValidException e,
            HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        String detail = e.getFieldErrors().stream().map(f -> f.getDefaultMessage())
                .distinct().collect(Collectors.joining(". "));
        var problem = Problems.invalid(e.getFieldErrors().isEmpty() ? "" : e.getFieldErrors().get(0).getField(),
                detail + ".");
        return handleExceptionInternal(e, problem.getBody(), headers, status, request);
    }

    @Override
    protected ResponseEntity<Object> handleHandlerMethodValidationException(HandlerMethodValidationException e,
            HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        return answer(Problems.invalid("", "A value in the address or the body is out of its range."));
    }

    @Override
    protected ResponseEntity<Object> handleHttpMessageNotReadable(HttpMessageNotReadableException e, HttpHeaders headers,
            HttpStatusCode status, WebRequest request) {
        BodyLimits.TooLarge large = BodyLimits.of(e);
        if (large != null) {
            return answer(Problems.tooLarge(BodyLimits.words(large.most())));
        }
        if (e.getCause() instanceof DatabindException odd) {
            // The innermost name; one as long as this is none of ours.
            String field = odd.getPath().stream().map(JacksonException.Reference::getPropertyName).filter(Objects::nonNull)
                    .reduce("", (before, name) -> name.length() <= LONGEST_NAME ? name : before);
            if (odd instanceof InvalidFormatException text && text.getTargetType() == String.class) {
                return answer(Problems.invalid(field, "There is a character in this that no text can hold, such as half of"
                        + " an emoji. Take it out and send the rest again."));
            }
            if (!field.isEmpty()) {
                return answer(Problems.invalid(field, "What was sent as “" + field + "” can't be read."));
            }
        }
        return answer(Problems.invalid("", "What was sent can't be read: it must be JSON in the form that this address"
                + " takes."));
    }

    @ExceptionHandler(MultipartException.class)
    ResponseEntity<Object> multipart(MultipartException e) {
        return answer(Problems.invalid("", "What was sent can't be read as a form with files."));
    }

    @ExceptionHandler(MethodArgumentTypeMismatchException.class)
    ResponseEntity<Object> mismatch(MethodArgumentTypeMismatchException e) {
        return answer(Problems.invalid(e.getName(), e.getName() + ": this can't be read."));
    }

    @ExceptionHandler({DataAccessException.class, TransactionException.class})
    ResponseEntity<Object> database(RuntimeException e) {
        if (Unavailable.isDatabaseAway(e)) {
            ErrorResponseException problem = Problems.unavailable(Unavailable.DETAIL);
            problem.getHeaders().set(HttpHeaders.RETRY_AFTER, Unavailable.RETRY_SECONDS);
            return answer(problem);
        }
        if (e instanceof DataIntegrityViolationException) {
            LOG.warn("refused by the database: {}", e.getMessage());
            return answer(Problems.conflict("changed-meanwhile", "This was changed at the same moment by someone else, or it"
                    + " holds something that can't be kept. Load the page again and look."));
        }
        throw e;
    }

    private ResponseEntity<Object> answer(ErrorResponseException e) {
        return new ResponseEntity<>(e.getBody(), e.getHeaders(), HttpStatus.valueOf(e.getStatusCode().value()));
    }
}
