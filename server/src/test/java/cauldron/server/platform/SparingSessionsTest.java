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
        private boolean gone;
        /** What another request does while this one reads. */
        private Runnable meanwhile = () -> { };

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
            MapSession read = gone ? null : session;
            meanwhile.run();
            return read;
        }

        @Override
        public void deleteById(String id) {
            gone = true;
        }

        @Override
        public Map<String, MapSession> findByIndexNameAndIndexValue(String name, String value) {
            return Map.of(session.getId(), session);
        }
    }

    private final Store store = new Store();
    private final SessionOfRequest request = new SessionOfRequest();
    private Duration clock = Duration.ZERO;
    private final SparingSessions sessions = new SparingSessions(store, request, () -> clock.toNanos());

    private void later(int seconds) {
        clock = clock.plusSeconds(seconds);
    }

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
        // Who comes next sees that it was noted.
        sessions.findById("of-una").setLastAccessedTime(Instant.now());
        sessions.save(found);
        assertThat(store.saved).isEqualTo(1);
    }

    @Test
    void aSessionIsReadOnceInThreeSecondsByHoweverManyRequests() throws Exception {
        for (int i = 0; i < 5; i++) {
            request.during(() -> sessions.save(sessions.findById("of-una")));
        }
        assertThat(store.found).isEqualTo(1);
        later(4);
        sessions.findById("of-una");
        assertThat(store.found).isEqualTo(2);
    }

    @Test
    void whatOneRequestChangesTheNextSeesAtOnce() {
        sessions.findById("of-una");
        SparingSessions.Sparing mine = sessions.findById("of-una");
        mine.setAttribute("cauldron.person", "una");
        assertThat((String) mine.getAttribute("cauldron.person")).isEqualTo("una");
        sessions.save(mine);
        assertThat((String) sessions.findById("of-una").getAttribute("cauldron.person")).isEqualTo("una");
        sessions.deleteById("of-una");
        assertThat(sessions.findById("of-una")).isNull();
    }

    @Test
    void whatIsDoneToASessionThatAnotherServerEndedIsLostWithItAndItIsSoonSeen() {
        SparingSessions.Sparing mine = sessions.findById("of-una");
        store.gone = true;
        mine.setAttribute("cauldron.person", "una");
        sessions.save(mine);
        assertThat(store.saved).isZero();
        assertThat(sessions.findById("of-una")).isNull();
        store.gone = false;
        assertThat(sessions.findById("of-una")).isNotNull();
        store.gone = true;
        later(4);
        assertThat(sessions.findById("of-una")).isNull();
    }

    @Test
    void whatWasReadBeforeASessionEndedIsNotTakenForItAfterwards() {
        store.meanwhile = () -> {
            store.meanwhile = () -> { };
            sessions.deleteById("of-una");
        };
        assertThat(sessions.findById("of-una")).as("it was still there").isNotNull();
        assertThat(sessions.findById("of-una")).isNull();
    }

    @Test
    void aSessionThatWasSavedIsNotLookedUpAgainInTheSameRequest() throws Exception {
        request.during(() -> {
            SparingSessions.Sparing mine = sessions.findById("of-una");
            sessions.save(mine);
            later(4);
            assertThat(sessions.findById("of-una")).isSameAs(mine);
            // One that the request itself ended isn't remembered.
            sessions.deleteById("of-una");
            assertThat(sessions.findById("of-una")).isNull();
        });
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
