package cauldron.server.platform;

import java.util.stream.Collectors;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatusCode;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.MethodArgumentNotValidException;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.context.request.WebRequest;
import org.springframework.web.servlet.mvc.method.annotation.ResponseEntityExceptionHandler;

/** Turns what goes wrong into problem details; a failed validation names its field and what it allows. */
@RestControllerAdvice
class ProblemAdvice extends ResponseEntityExceptionHandler {

    @Override
    protected ResponseEntity<Object> handleMethodArgumentNotValid(MethodArgumentNotValidException e,
            HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        String detail = e.getFieldErrors().stream().map(f -> f.getDefaultMessage())
                .distinct().collect(Collectors.joining(". "));
        var problem = Problems.invalid(e.getFieldErrors().isEmpty() ? "" : e.getFieldErrors().get(0).getField(),
                detail + ".");
        return handleExceptionInternal(e, problem.getBody(), headers, status, request);
    }
}
