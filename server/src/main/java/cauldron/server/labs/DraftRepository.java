package cauldron.server.labs;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

interface DraftRepository extends JpaRepository<Draft, UUID> {

    /** When a state was kept, without what it says. */
    record State(int number, Instant savedAt) {
    }

    Optional<Draft> findFirstByLabIdOrderByNumberDesc(UUID labId);

    Optional<Draft> findByLabIdAndNumber(UUID labId, int number);

    @Query("select new cauldron.server.labs.DraftRepository$State(d.number, d.savedAt) from Draft d where d.labId = ?1"
            + " order by d.number desc")
    List<State> states(UUID labId);

    @Modifying
    @Query("delete from Draft d where d.labId = ?1 and d.number <= ?2")
    void forget(UUID labId, int upTo);
}
