package cauldron.server.notebooks;

import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

interface EntryRepository extends JpaRepository<Entry, UUID> {

    /** Adds an entry once, however often it is sent. */
    @Modifying
    @Query(nativeQuery = true, value = "insert into entry (id, work_id, block, slot, value, client_time, server_time)"
            + " values (:id, :workId, :block, :slot, cast(:value as jsonb), :clientTime, :serverTime)"
            + " on conflict (id) do nothing")
    int keep(UUID id, UUID workId, String block, String slot, String value, Instant clientTime, Instant serverTime);

    /** The predictions of a work that are sealed; a seal is never taken back. */
    @Query(nativeQuery = true, value = "select distinct block from entry"
            + " where work_id = :workId and slot = 'seal' and value ->> 'sealed' = 'true'")
    List<String> sealed(UUID workId);

    /** The newest entry of every slot of some works. */
    @Query(nativeQuery = true, value = "select distinct on (work_id, block, slot) * from entry"
            + " where work_id in (:workIds) order by work_id, block, slot, seq desc")
    List<Entry> newest(Collection<UUID> workIds);
}
