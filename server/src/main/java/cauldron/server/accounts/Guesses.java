package cauldron.server.accounts;

import cauldron.server.platform.Problems;
import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.security.SecureRandom;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.UUID;
import java.util.concurrent.TimeUnit;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseCookie;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.ErrorResponseException;

/**
 * Makes guessing slow without shutting the right person out. Tries are counted for what is tried (a user name, a class
 * code), the address and the browser together: a few are free, then each costs twice the wait of the one before. So
 * someone else's guesses, even from the same school, never stand in the way of a browser that hasn't guessed. Who throws
 * the browser's mark away before each guess meets the second bound: where many fresh browsers try one name from one
 * address, each has to wait before its first try counts, the longer the more there are; browsers the person has signed
 * in from before need not. All of it is in the database, so that it holds across servers.
 */
@Service
public class Guesses {

    /** Where a try comes from. */
    public record Origin(String address, String browser) {
    }

    private static final String COOKIE = "cauldron-browser";
    private static final Duration REMEMBERED = Duration.ofDays(365);
    private static final Duration FORGOTTEN = Duration.ofDays(1);
    private static final Duration RECENT = Duration.ofMinutes(1);
    private static final int CROWD = 30;
    private static final int CROWD_WAIT = 5;
    private static final int LONGEST_WAIT = 60;
    private static final int LONGEST_TARGET = 60;
    private static final int MARK_LETTERS = 24;
    private static final String ALPHABET = "abcdefghijkmnpqrstuvwxyz23456789";

    private final GuessRepository guesses;
    private final Clock clock;
    private final SecureRandom random = new SecureRandom();

    Guesses(GuessRepository guesses, Clock clock) {
        this.guesses = guesses;
        this.clock = clock;
    }

    /** Where a request comes from. */
    public Origin origin(HttpServletRequest request) {
        if (request.getCookies() != null) {
            for (Cookie cookie : request.getCookies()) {
                if (cookie.getName().equals(COOKIE) && cookie.getValue().matches("[a-z0-9]{" + MARK_LETTERS + "}")) {
                    return new Origin(request.getRemoteAddr(), cookie.getValue());
                }
            }
        }
        return new Origin(request.getRemoteAddr(), "");
    }

    /** Gives a browser its mark, if it has none: a random word that says nothing about anyone. */
    public void mark(HttpServletRequest request, HttpServletResponse response) {
        if (origin(request).browser().isEmpty()) {
            StringBuilder mark = new StringBuilder();
            for (int i = 0; i < MARK_LETTERS; i++) {
                mark.append(ALPHABET.charAt(random.nextInt(ALPHABET.length())));
            }
            response.addHeader(HttpHeaders.SET_COOKIE, ResponseCookie.from(COOKIE, mark.toString()).path("/")
                    .httpOnly(true).sameSite("Lax").secure(request.isSecure()).maxAge(REMEMBERED).build().toString());
        }
    }

    /** Counts a try before it is looked at; refuses it, with the wait, where it comes too soon. */
    @Transactional(noRollbackFor = ErrorResponseException.class)
    public void count(String target, Origin from) {
        Instant now = clock.instant();
        String what = shortened(target);
        if (!guesses.has(what, from.address(), from.browser())
                && (from.browser().isEmpty() || !guesses.knows(from.browser(), what))) {
            int crowd = guesses.lately(what, from.address(), now.minus(RECENT));
            if (crowd >= CROWD) {
                int wait = Math.min(LONGEST_WAIT, CROWD_WAIT * Integer.highestOneBit(crowd / CROWD));
                guesses.hold(what, from.address(), from.browser(), now, now.plusSeconds(wait));
                throw Problems.tooMany(wait);
            }
        }
        if (guesses.count(what, from.address(), from.browser(), now, LONGEST_WAIT) == 0) {
            Instant free = guesses.freeAt(what, from.address(), from.browser());
            throw Problems.tooMany(1 + Duration.between(now, free).toSeconds());
        }
    }

    /** A right try: what was counted is forgotten, and the browser is known from now on. */
    @Transactional
    public void right(String target, Origin from, UUID account) {
        guesses.forget(shortened(target), from.address(), from.browser());
        if (account != null && !from.browser().isEmpty()) {
            guesses.know(from.browser(), account, clock.instant());
        }
    }

    @Scheduled(fixedDelay = 1, initialDelay = 1, timeUnit = TimeUnit.HOURS)
    @Transactional
    void clean() {
        guesses.clean(clock.instant().minus(FORGOTTEN));
        guesses.cleanKnown(clock.instant().minus(REMEMBERED));
    }

    private static String shortened(String target) {
        String clean = target.replace("\0", "");
        return clean.substring(0, Math.min(LONGEST_TARGET, clean.length()));
    }

}
