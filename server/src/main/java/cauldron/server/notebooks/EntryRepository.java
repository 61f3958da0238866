package cauldron.server.notebooks;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface EntryRepository extends JpaRepository<Entry, UUID> {

    /** An entry just kept, or one that another tab or device wrote meanwhile. */
    interface Row {
        UUID getId();

        long getSeq();

        boolean getFresh();

        String getBlock();

        String getSlot();

        /** JSON; of a fresh one nothing. */
        String getValue();
    }

    /**
     * Adds entries, each once however often it is sent, in the order of the list; and, in the same statement, tells
     * what others wrote after {@code seen}.
     *
     * @param list JSON: {@code [{id, block, slot, value, time}]}
     */
    @Query(nativeQuery = true, value = """
            with sent as (
              select cast(e.item ->> 'id' as uuid) as id, e.item ->> 'block' as block, e.item ->> 'slot' as slot,
                e.item -> 'value' as value, cast(e.item ->> 'time' as timestamptz) as time, e.n
              from jsonb_array_elements(cast(:list as jsonb)) with ordinality as e(item, n)),
            kept as (
              insert into entry (id, work_id, block, slot, value, client_time, server_time, writer)
              select id, :workId, block, slot, value, time, clock_timestamp(), :writer from sent order by n
              on conflict (id) do nothing returning id, seq, block, slot)
            select id as "id", seq as "seq", true as "fresh", block as "block", slot as "slot",
              cast(null as text) as "value" from kept
            union all
            (select id, seq, false, block, slot, cast(value as text) from entry
              where work_id = :workId and seq > :seen and writer <> :writer order by seq limit :most)""")
    List<Row> keep(UUID workId, String list, String writer, long seen, int most);

    /** Which of some entries are kept with just this content. */
    @Query(nativeQuery = true, value = """
            select e.id from jsonb_array_elements(cast(:list as jsonb)) as s(item)
              join entry e on e.id = cast(s.item ->> 'id' as uuid)
            where e.work_id = :workId and e.block = s.item ->> 'block' and e.slot = s.item ->> 'slot'
              and e.value = s.item -> 'value'""")
    List<UUID> same(UUID workId, String list);

    /** What others wrote after an entry. */
    @Query(nativeQuery = true, value = """
            select id as "id", seq as "seq", false as "fresh", block as "block", slot as "slot",
              cast(value as text) as "value" from entry
            where work_id = :workId and seq > :seen and writer <> :writer order by seq limit :most""")
    List<Row> news(UUID workId, String writer, long seen, int most);

    /** The newest entry of every slot of some works, oldest first, so that each may be laid over those before it. */
    @Query(nativeQuery = true, value = """
            select * from (select distinct on (work_id, block, slot) * from entry
              where work_id in (:workIds) order by work_id, block, slot, seq desc) newest order by seq""")
    List<Entry> newest(Collection<UUID> workIds);

    /** The newest entries of a block's slots. */
    @Query(nativeQuery = true, value = """
            select distinct on (slot) * from entry where work_id = :workId and block = :block order by slot, seq desc""")
    List<Entry> ofBlock(UUID workId, String block);
}
