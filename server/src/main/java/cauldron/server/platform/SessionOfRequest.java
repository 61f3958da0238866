package cauldron.server.platform;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Remembers, for one request only, the session that was just saved. Where an answer went out before the end of a request,
 * Spring's filter saves the session a second time, and for that looks it up once more: where the database has gone
 * meanwhile that cuts off the very answer that says so.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 2)
class SessionOfRequest extends OncePerRequestFilter {

    private static final class Saved {
        private SparingSessions.Sparing session;
    }

    /** What a request does; it may throw what a filter may. */
    interface Work {
        void run() throws ServletException, IOException;
    }

    private final ThreadLocal<Saved> current = new ThreadLocal<>();

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        during(() -> chain.doFilter(request, response));
    }

    /** Does what a request does; what it saved is forgotten with its end. */
    void during(Work work) throws ServletException, IOException {
        current.set(new Saved());
        try {
            work.run();
        } finally {
            current.remove();
        }
    }

    void saved(SparingSessions.Sparing session) {
        Saved now = current.get();
        if (now != null) {
            now.session = session;
        }
    }

    void forget() {
        saved(null);
    }

    /** The session of an id if this request saved it and it stands, or null. */
    SparingSessions.Sparing known(String id) {
        Saved now = current.get();
        return now != null && now.session != null && now.session.getId().equals(id) ? now.session : null;
    }
}
