package cauldron.server.platform;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import com.github.benmanes.caffeine.cache.Ticker;
import java.time.Duration;
import java.time.Instant;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.context.annotation.Primary;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.session.MapSession;
import org.springframework.session.Session;
import org.springframework.session.jdbc.JdbcIndexedSessionRepository;
import org.springframework.stereotype.Component;

/**
 * Sessions in the database, read at most every three seconds and touched at most once a minute: who is at work sends an
 * entry every few seconds, and that someone is still there need not be read or written with each of them. What ends a
 * session here ends it at once, and on the other servers of a school within those three seconds. A session in which
 * nothing changed isn't saved, as that would take a connection at the moment when an answer already begins to go out, and
 * cut it off where the database has gone since.
 */
@Component
@Primary
class SparingSessions implements FindByIndexNameSessionRepository<SparingSessions.Sparing> {

    private static final Duration TOUCH = Duration.ofMinutes(1);
    private static final Duration KNOWN_FOR = Duration.ofSeconds(3);
    private static final int MOST_KNOWN = 5_000;

    private final Kept<? extends Session> kept;

    private final SessionOfRequest request;

    /**
     * As they were read: many requests look at one, none changes it. One that has just changed or ended stands here empty,
     * so that what a slower request read before can't be taken for it.
     */
    private final Cache<String, Optional<MapSession>> known;

    @Autowired
    SparingSessions(JdbcIndexedSessionRepository sessions, SessionOfRequest request) {
        this(sessions, request, Ticker.systemTicker());
    }

    /** On any other store of sessions, by any clock. */
    SparingSessions(FindByIndexNameSessionRepository<? extends Session> sessions, SessionOfRequest request, Ticker ticker) {
        this.kept = new Kept<>(sessions);
        this.request = request;
        this.known = Caffeine.newBuilder().expireAfterWrite(KNOWN_FOR).maximumSize(MOST_KNOWN).ticker(ticker).build();
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
        return new Sparing(null, kept.in().createSession(), Change.WORTH_KEEPING);
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
        if (session.change != Change.NONE) {
            session.ids().forEach(this::forget);
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
        Optional<MapSession> there = known.getIfPresent(id);
        if (there != null && there.isPresent()) {
            return there.get().isExpired() ? null : new Sparing(there.get(), null, Change.NONE);
        }
        // Not within the cache: where the database is away, those who wait would wait for one another.
        Session found = kept.in().findById(id);
        if (found == null) {
            return null;
        }
        MapSession read = new MapSession(found);
        if (there == null) {
            known.asMap().putIfAbsent(id, Optional.of(read));
        }
        return new Sparing(read, null, Change.NONE);
    }

    private void forget(String id) {
        known.put(id, Optional.empty());
    }

    @Override
    public void deleteById(String id) {
        request.forget();
        kept.in().deleteById(id);
        forget(id);
    }

    @Override
    public Map<String, Sparing> findByIndexNameAndIndexValue(String name, String value) {
        Map<String, Sparing> map = new LinkedHashMap<>();
        kept.in().findByIndexNameAndIndexValue(name, value)
                .forEach((id, s) -> map.put(id, new Sparing(null, s, Change.NONE)));
        return map;
    }

    /** What happened to a session since it was last kept, the least first. */
    private enum Change { NONE, TOUCHED, WORTH_KEEPING }

    /** A session that doesn't note every visit. Looked at as it was read a moment ago; read anew before it is changed. */
    final class Sparing implements Session {

        private final MapSession seen;
        private Session real;
        private Change change;

        private Sparing(MapSession seen, Session real, Change change) {
            this.seen = seen;
            this.real = real;
            this.change = change;
        }

        private Session seen() {
            return real == null ? seen : real;
        }

        private Session changed(Change how) {
            if (real == null) {
                real = kept.in().findById(seen.getId());
            }
            if (real == null) {
                // It has ended meanwhile: whatever this request still does to it is lost with it.
                forget(seen.getId());
                return new MapSession(seen);
            }
            change = how.compareTo(change) > 0 ? how : change;
            return real;
        }

        private Set<String> ids() {
            return seen == null ? Set.of(real.getId()) : new HashSet<>(List.of(seen.getId(), seen().getId()));
        }

        @Override
        public void setLastAccessedTime(Instant at) {
            if (Duration.between(seen().getLastAccessedTime(), at).compareTo(TOUCH) < 0) {
                return;
            }
            try {
                changed(Change.TOUCHED).setLastAccessedTime(at);
            } catch (RuntimeException e) {
                // As in saving: it isn't worth an answer.
                if (!Unavailable.isDatabaseAway(e)) {
                    throw e;
                }
            }
        }

        @Override
        public String getId() {
            return seen().getId();
        }

        @Override
        public String changeSessionId() {
            return changed(Change.WORTH_KEEPING).changeSessionId();
        }

        @Override
        public <T> T getAttribute(String name) {
            return seen().getAttribute(name);
        }

        @Override
        public Set<String> getAttributeNames() {
            return seen().getAttributeNames();
        }

        @Override
        public void setAttribute(String name, Object value) {
            changed(Change.WORTH_KEEPING).setAttribute(name, value);
        }

        @Override
        public void removeAttribute(String name) {
            changed(Change.WORTH_KEEPING).removeAttribute(name);
        }

        @Override
        public Instant getCreationTime() {
            return seen().getCreationTime();
        }

        @Override
        public void setMaxInactiveInterval(Duration interval) {
            changed(Change.WORTH_KEEPING).setMaxInactiveInterval(interval);
        }

        @Override
        public Duration getMaxInactiveInterval() {
            return seen().getMaxInactiveInterval();
        }

        @Override
        public Instant getLastAccessedTime() {
            return seen().getLastAccessedTime();
        }

        @Override
        public boolean isExpired() {
            return seen().isExpired();
        }
    }
}
