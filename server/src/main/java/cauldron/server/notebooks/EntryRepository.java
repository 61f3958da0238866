package cauldron.server.notebooks;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface EntryRepository extends JpaRepository<Entry, UUID> {

    /** Which of some entries are kept with just this content. */
    @Query(nativeQuery = true, value = """
            select e.id from jsonb_array_elements(cast(:list as jsonb)) as s(item)
              join entry e on e.id = cast(s.item ->> 'id' as uuid)
            where e.work_id = :workId and e.block = s.item ->> 'block' and e.slot = s.item ->> 'slot'
              and e.value = s.item -> 'value'""")
    List<UUID> same(UUID workId, String list);

    /** The newest entry of every slot of some works, oldest first, so that each may be laid over those before it. */
    @Query(nativeQuery = true, value = """
            select * from (select distinct on (work_id, block, slot) * from entry
              where work_id in (:workIds) order by work_id, block, slot, seq desc) newest order by seq""")
    List<Entry> newest(Collection<UUID> workIds);

    /** The same of one work, when its journal had come so far. */
    @Query(nativeQuery = true, value = """
            select * from (select distinct on (block, slot) * from entry
              where work_id = :workId and seq <= :seq order by block, slot, seq desc) newest order by seq""")
    List<Entry> newestUpTo(UUID workId, long seq);

    /** The number of a work's newest entry; null where there is none. */
    @Query(nativeQuery = true, value = "select max(seq) from entry where work_id = :workId")
    Long lastSeq(UUID workId);

    /** When a block of some works was written in, by the clock of the device: work, and seconds. */
    @Query(nativeQuery = true, value = """
            select cast(work_id as text), extract(epoch from client_time) from entry
            where work_id in (:workIds) and block = :block""")
    List<Object[]> times(Collection<UUID> workIds, String block);

    /** What was added to some works since, oldest first: to each after its own number. */
    @Query(nativeQuery = true, value = """
            select e.* from unnest(cast(:workIds as uuid[]), cast(:seqs as bigint[])) as after(work_id, seq)
              join entry e on e.work_id = after.work_id and e.seq > after.seq order by e.seq""")
    List<Entry> since(UUID[] workIds, Long[] seqs);

    /** The newest entries of a block's slots. */
    @Query(nativeQuery = true, value = """
            select distinct on (slot) * from entry where work_id = :workId and block = :block order by slot, seq desc""")
    List<Entry> ofBlock(UUID workId, String block);
}
