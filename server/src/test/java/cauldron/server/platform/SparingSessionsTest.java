package cauldron.server.platform;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.sql.SQLTransientConnectionException;
import java.time.Duration;
import java.time.Instant;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.CannotGetJdbcConnectionException;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.session.MapSession;

class SparingSessionsTest {

    /** A store of one session that counts what is saved and can go away. */
    private static final class Store implements FindByIndexNameSessionRepository<MapSession> {

        private final MapSession session = new MapSession("of-una");
        private int saved;
        private int found;
        private boolean away;

        @Override
        public MapSession createSession() {
            return session;
        }

        @Override
        public void save(MapSession session) {
            if (away) {
                throw new CannotGetJdbcConnectionException("none", new SQLTransientConnectionException("none"));
            }
            saved++;
        }

        @Override
        public MapSession findById(String id) {
            found++;
            return session;
        }

        @Override
        public void deleteById(String id) {
        }

        @Override
        public Map<String, MapSession> findByIndexNameAndIndexValue(String name, String value) {
            return Map.of(session.getId(), session);
        }
    }

    private final Store store = new Store();
    private final SessionOfRequest request = new SessionOfRequest();
    private final SparingSessions sessions = new SparingSessions(store, request);

    @Test
    void aSessionInWhichNothingChangedNeedsNoDatabase() {
        store.away = true;
        SparingSessions.Sparing found = sessions.findById("of-una");
        found.setLastAccessedTime(Instant.now());
        assertThatCode(() -> sessions.save(found)).doesNotThrowAnyException();
        assertThat(store.saved).isZero();
    }

    @Test
    void aVisitIsNotedOnceAMinuteAndIsNotWorthAnAnswerWhenTheDatabaseIsAway() {
        store.session.setLastAccessedTime(Instant.now().minus(Duration.ofMinutes(2)));
        SparingSessions.Sparing found = sessions.findById("of-una");
        found.setLastAccessedTime(Instant.now());
        store.away = true;
        assertThatCode(() -> sessions.save(found)).doesNotThrowAnyException();
        store.away = false;
        store.session.setLastAccessedTime(Instant.now().minus(Duration.ofMinutes(2)));
        found.setLastAccessedTime(Instant.now());
        sessions.save(found);
        sessions.save(found);
        assertThat(store.saved).isEqualTo(1);
    }

    @Test
    void aSessionThatWasSavedIsNotLookedUpAgainInTheSameRequestButInTheNext() throws Exception {
        for (int i = 1; i <= 2; i++) {
            request.during(() -> {
                SparingSessions.Sparing mine = sessions.findById("of-una");
                sessions.save(mine);
                assertThat(sessions.findById("of-una")).isSameAs(mine);
            });
            assertThat(store.found).isEqualTo(i);
        }
        // One that the request itself ended isn't remembered.
        request.during(() -> {
            sessions.save(sessions.findById("of-una"));
            sessions.deleteById("of-una");
            sessions.findById("of-una");
        });
        assertThat(store.found).isEqualTo(4);
    }

    @Test
    void whoIsSignedInIsKeptOrTheRequestFails() {
        SparingSessions.Sparing made = sessions.createSession();
        sessions.save(made);
        assertThat(store.saved).as("a new session").isEqualTo(1);
        made.setAttribute("cauldron.person", "una");
        store.away = true;
        assertThatThrownBy(() -> sessions.save(made)).isInstanceOf(CannotGetJdbcConnectionException.class);
        store.away = false;
        sessions.save(made);
        assertThat(store.saved).isEqualTo(2);
    }
}
