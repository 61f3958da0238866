package cauldron.server.platform;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.sql.SQLException;
import java.sql.SQLTransientConnectionException;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** Says so, in words and soon, when the database can't be reached: the page then keeps what was typed and tries again. */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 1)
class Unavailable extends OncePerRequestFilter {

    static final String DETAIL = "Cauldron can't reach its database just now. What you typed is kept on this device; it"
            + " is sent as soon as the database is back.";
    static final String RETRY_SECONDS = "3";
    // What the pool says of a connection that broke: a transaction that can't be rolled back any more tells only of this,
    // and not of what broke it.
    private static final String CLOSED = "Connection is closed";

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        try {
            chain.doFilter(request, response);
        } catch (IOException | ServletException | RuntimeException e) {
            if (!isDatabaseAway(e) || response.isCommitted()) {
                throw e;
            }
            response.setHeader("Retry-After", RETRY_SECONDS);
            BodyLimits.problem(response, 503, "unavailable", "Unavailable", DETAIL);
        }
    }

    /** Whether a failure comes from a database that is gone, starting or shutting down. */
    static boolean isDatabaseAway(Throwable e) {
        int deep = 0;
        for (Throwable at = e; at != null && deep++ < 30; at = at.getCause()) {
            if (at instanceof SQLTransientConnectionException) {
                return true;
            }
            if (at instanceof SQLException sql && (sql.getSQLState() == null ? CLOSED.equals(sql.getMessage())
                    : sql.getSQLState().startsWith("08") || sql.getSQLState().startsWith("57P"))) {
                return true;
            }
        }
        return false;
    }
}
