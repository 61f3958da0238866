package cauldron.server.platform;

import java.time.Duration;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Set;
import org.springframework.context.annotation.Primary;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.session.Session;
import org.springframework.session.jdbc.JdbcIndexedSessionRepository;
import org.springframework.stereotype.Component;

/**
 * Sessions in the database, touched at most once a minute: that someone is still there need not be written with every
 * entry that is kept.
 */
@Component
@Primary
class SparingSessions implements FindByIndexNameSessionRepository<SparingSessions.Sparing> {

    private static final Duration TOUCH = Duration.ofMinutes(1);

    private final Kept<? extends Session> kept;

    SparingSessions(JdbcIndexedSessionRepository sessions) {
        this.kept = new Kept<>(sessions);
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
        return new Sparing(kept.in().createSession());
    }

    @Override
    public void save(Sparing session) {
        kept.save(session.real);
    }

    @Override
    public Sparing findById(String id) {
        Session found = kept.in().findById(id);
        return found == null ? null : new Sparing(found);
    }

    @Override
    public void deleteById(String id) {
        kept.in().deleteById(id);
    }

    @Override
    public Map<String, Sparing> findByIndexNameAndIndexValue(String name, String value) {
        Map<String, Sparing> map = new LinkedHashMap<>();
        kept.in().findByIndexNameAndIndexValue(name, value).forEach((id, s) -> map.put(id, new Sparing(s)));
        return map;
    }

    /** A session that doesn't note every visit. */
    static final class Sparing implements Session {

        private final Session real;

        Sparing(Session real) {
            this.real = real;
        }

        @Override
        public void setLastAccessedTime(Instant at) {
            if (Duration.between(real.getLastAccessedTime(), at).compareTo(TOUCH) >= 0) {
                real.setLastAccessedTime(at);
            }
        }

        @Override
        public String getId() {
            return real.getId();
        }

        @Override
        public String changeSessionId() {
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
            real.setAttribute(name, value);
        }

        @Override
        public void removeAttribute(String name) {
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
