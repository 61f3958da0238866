package cauldron.server.platform;

import static org.assertj.core.api.Assertions.assertThat;

import java.sql.SQLException;
import java.sql.SQLTransientConnectionException;
import org.junit.jupiter.api.Test;
import org.springframework.dao.DataAccessResourceFailureException;
import org.springframework.transaction.TransactionSystemException;

class UnavailableTest {

    @Test
    void aDatabaseThatIsAwayIsKnownByWhatItsDriverAndThePoolSay() {
        assertThat(Unavailable.isDatabaseAway(new DataAccessResourceFailureException("no",
                new SQLException("terminated", "57P01")))).isTrue();
        assertThat(Unavailable.isDatabaseAway(new RuntimeException(new SQLException("broken", "08006")))).isTrue();
        assertThat(Unavailable.isDatabaseAway(new RuntimeException(new SQLTransientConnectionException("none")))).isTrue();
    }

    @Test
    void aTransactionThatCouldNotBeRolledBackTellsOfTheClosedConnectionAlone() {
        TransactionSystemException rollback = new TransactionSystemException("Could not roll back",
                new RuntimeException(new SQLException("Connection is closed")));
        assertThat(Unavailable.isDatabaseAway(rollback)).isTrue();
    }

    @Test
    void otherFaultsAreNotTheDatabasesBeingAway() {
        assertThat(Unavailable.isDatabaseAway(new RuntimeException(new SQLException("twice", "23505")))).isFalse();
        assertThat(Unavailable.isDatabaseAway(new RuntimeException(new SQLException("This statement has been closed.")))).isFalse();
        assertThat(Unavailable.isDatabaseAway(new IllegalStateException("Connection is closed"))).isFalse();
    }
}
