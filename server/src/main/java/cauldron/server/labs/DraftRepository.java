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

    /** One of a teacher's labs, without what it says. */
    interface Line {
        UUID getId();

        String getTitle();

        Instant getChanged();

        int getVersion();

        String getFolder();

        boolean getShared();
    }

    @Query(nativeQuery = true, value = """
            select l.id, d.title, d.saved_at as changed, l.folder, l.shared_at is not null as shared,
              coalesce((select max(v.number) from lab_version v where v.lab_id = l.id), 0) as version
            from lab l cross join lateral (select sheet ->> 'title' as title, saved_at from draft where lab_id = l.id
              order by number desc limit 1) d
            where l.owner_id = ?1 and l.removed_at is null order by d.saved_at desc""")
    List<Line> ofOwner(UUID owner);

    Optional<Draft> findFirstByLabIdOrderByNumberDesc(UUID labId);

    Optional<Draft> findByLabIdAndNumber(UUID labId, int number);

    @Query("select new cauldron.server.labs.DraftRepository$State(d.number, d.savedAt) from Draft d where d.labId = ?1"
            + " order by d.number desc")
    List<State> states(UUID labId);

    @Modifying
    @Query("delete from Draft d where d.labId = ?1 and d.number <= ?2")
    void forget(UUID labId, int upTo);
}
