package cauldron.server.platform;

import java.time.Duration;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Set;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.context.annotation.Primary;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.session.Session;
import org.springframework.session.jdbc.JdbcIndexedSessionRepository;
import org.springframework.stereotype.Component;

/**
 * Sessions in the database, touched at most once a minute: that someone is still there need not be written with every
 * entry that is kept. A session in which nothing changed isn't saved, as that would take a connection at the moment when
 * an answer already begins to go out, and cut it off where the database has gone since.
 */
@Component
@Primary
class SparingSessions implements FindByIndexNameSessionRepository<SparingSessions.Sparing> {

    private static final Duration TOUCH = Duration.ofMinutes(1);

    private final Kept<? extends Session> kept;

    private final SessionOfRequest request;

    @Autowired
    SparingSessions(JdbcIndexedSessionRepository sessions, SessionOfRequest request) {
        this.kept = new Kept<>(sessions);
        this.request = request;
    }

    /** On any other store of sessions. */
    SparingSessions(FindByIndexNameSessionRepository<? extends Session> sessions, SessionOfRequest request) {
        this.kept = new Kept<>(sessions);
        this.request = request;
    }

    /** Spring keeps the type of its sessions to itself; here it gets a name. */
    private record Kept<S extends Session>(FindByIndexNameSessionRepository<S> in) {

        @SuppressWarnings("unchecked")
        void save(Session session) {
            in.save((S) session);
        }
    }

    @Override
    public Sparing createSession() {
        return new Sparing(kept.in().createSession(), Change.WORTH_KEEPING);
    }

    @Override
    public void save(Sparing session) {
        try {
            if (session.change != Change.NONE) {
                kept.save(session.real);
            }
        } catch (RuntimeException e) {
            // That someone was there is told again with the next request; it isn't worth an answer.
            if (session.change != Change.TOUCHED || !Unavailable.isDatabaseAway(e)) {
                throw e;
            }
        }
        session.change = Change.NONE;
        request.saved(session);
    }

    @Override
    public Sparing findById(String id) {
        Sparing saved = request.known(id);
        if (saved != null) {
            return saved;
        }
        Session found = kept.in().findById(id);
        return found == null ? null : new Sparing(found, Change.NONE);
    }

    @Override
    public void deleteById(String id) {
        request.forget();
        kept.in().deleteById(id);
    }

    @Override
    public Map<String, Sparing> findByIndexNameAndIndexValue(String name, String value) {
        Map<String, Sparing> map = new LinkedHashMap<>();
        kept.in().findByIndexNameAndIndexValue(name, value).forEach((id, s) -> map.put(id, new Sparing(s, Change.NONE)));
        return map;
    }

    /** What happened to a session since it was last kept. */
    private enum Change { NONE, TOUCHED, WORTH_KEEPING }

    /** A session that doesn't note every visit. */
    static final class Sparing implements Session {

        private final Session real;
        private Change change;

        private Sparing(Session real, Change change) {
            this.real = real;
            this.change = change;
        }

        @Override
        public void setLastAccessedTime(Instant at) {
            if (Duration.between(real.getLastAccessedTime(), at).compareTo(TOUCH) >= 0) {
                real.setLastAccessedTime(at);
                if (change == Change.NONE) {
                    change = Change.TOUCHED;
                }
            }
        }

        @Override
        public String getId() {
            return real.getId();
        }

        @Override
        public String changeSessionId() {
            change = Change.WORTH_KEEPING;
            return real.changeSessionId();
        }

        @Override
        public <T> T getAttribute(String name) {
            return real.getAttribute(name);
        }

        @Override
        public Set<String> getAttributeNames() {
            return real.getAttributeNames();
        }

        @Override
        public void setAttribute(String name, Object value) {
            change = Change.WORTH_KEEPING;
            real.setAttribute(name, value);
        }

        @Override
        public void removeAttribute(String name) {
            change = Change.WORTH_KEEPING;
            real.removeAttribute(name);
        }

        @Override
        public Instant getCreationTime() {
            return real.getCreationTime();
        }

        @Override
        public Instant getLastAccessedTime() {
            return real.getLastAccessedTime();
        }

        @Override
        public void setMaxInactiveInterval(Duration interval) {
            change = Change.WORTH_KEEPING;
            real.setMaxInactiveInterval(interval);
        }

        @Override
        public Duration getMaxInactiveInterval() {
            return real.getMaxInactiveInterval();
        }

        @Override
        public boolean isExpired() {
            return real.isExpired();
        }
    }
}
