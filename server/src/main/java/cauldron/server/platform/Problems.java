package cauldron.server.platform;

import java.net.URI;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;
import org.springframework.web.ErrorResponseException;

/** Problems as people meet them, in the form of RFC 9457 with a stable type for each kind. */
public final class Problems {

    private Problems() {
    }

    /** What isn't there, or isn't this person's to see: the two are told alike. */
    public static ErrorResponseException notFound(String what) {
        return problem(HttpStatus.NOT_FOUND, "not-found", "There is no such " + what + " here.");
    }

    /** A request that the present state doesn't allow. */
    public static ErrorResponseException conflict(String type, String detail) {
        return problem(HttpStatus.CONFLICT, type, detail);
    }

    /** Something that was there once and can't be had any more. */
    public static ErrorResponseException gone(String type, String detail) {
        return problem(HttpStatus.GONE, type, detail);
    }

    /** A value that can't be taken. */
    public static ErrorResponseException invalid(String field, String detail) {
        ErrorResponseException e = problem(HttpStatus.BAD_REQUEST, "invalid", detail);
        e.getBody().setProperty("field", field);
        return e;
    }

    /** Too many tries in too short a time. */
    public static ErrorResponseException tooMany(long seconds) {
        long wait = Math.max(1, seconds);
        ErrorResponseException e = problem(HttpStatus.TOO_MANY_REQUESTS, "too-many-tries",
                "Too many tries. Wait " + wait + (wait == 1 ? " second" : " seconds") + ", then try again.");
        e.getHeaders().set(HttpHeaders.RETRY_AFTER, Long.toString(wait));
        return e;
    }

    /** More was sent than may be. */
    public static ErrorResponseException tooLarge(String detail) {
        return problem(HttpStatus.valueOf(413), "too-large", detail);
    }

    /** What the server stands on can't be reached. */
    static ErrorResponseException unavailable(String detail) {
        return problem(HttpStatus.SERVICE_UNAVAILABLE, "unavailable", detail);
    }

    /** The server is at its limit with work of this kind. */
    public static ErrorResponseException busy(String detail, long seconds) {
        ErrorResponseException e = problem(HttpStatus.TOO_MANY_REQUESTS, "busy", detail);
        e.getHeaders().set(HttpHeaders.RETRY_AFTER, Long.toString(seconds));
        return e;
    }

    /** Wrong name or secret: which of the two isn't told. */
    public static ErrorResponseException wrongSignIn() {
        return problem(HttpStatus.UNAUTHORIZED, "wrong-sign-in",
                "That user name and secret don't belong together.");
    }

    private static ErrorResponseException problem(HttpStatus status, String type, String detail) {
        ProblemDetail body = ProblemDetail.forStatusAndDetail(status, detail);
        body.setType(URI.create("urn:cauldron:problem:" + type));
        return new ErrorResponseException(status, body, null);
    }
}
