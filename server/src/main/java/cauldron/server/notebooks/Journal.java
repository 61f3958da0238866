package cauldron.server.notebooks;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.List;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/**
 * Where entries go in, and what others wrote comes out. These two statements are what a school asks for most, so they go
 * past Hibernate, in the same transaction as all else.
 */
@Component
class Journal {

    private static final String KEEP = """
            with sent as (
              select cast(e.item ->> 'id' as uuid) as id, e.item ->> 'block' as block, e.item ->> 'slot' as slot,
                e.item -> 'value' as value, cast(e.item ->> 'time' as timestamptz) as time, e.n
              from jsonb_array_elements(cast(:list as jsonb)) with ordinality as e(item, n)),
            kept as (
              insert into entry (id, work_id, block, slot, value, client_time, server_time, writer)
              select id, :workId, block, slot, value, time, clock_timestamp(), :writer from sent order by n
              on conflict (id) do nothing returning id, seq, block, slot)
            select id, seq, true as fresh, block, slot, cast(null as text) as value from kept
            union all
            (select id, seq, false, block, slot, cast(value as text) from entry
              where work_id = :workId and seq > :seen and writer <> :writer order by seq limit :most)""";
    private static final String NEWS = """
            select id, seq, false as fresh, block, slot, cast(value as text) as value from entry
            where work_id = :workId and seq > :seen and writer <> :writer order by seq limit :most""";

    /**
     * An entry just kept, or one that another tab or device wrote meanwhile.
     *
     * @param value JSON; null for one just kept
     */
    record Row(UUID id, long seq, boolean fresh, String block, String slot, String value) {

        static Row read(ResultSet r, int number) throws SQLException {
            return new Row(r.getObject(1, UUID.class), r.getLong(2), r.getBoolean(3), r.getString(4), r.getString(5),
                    r.getString(6));
        }
    }

    private final JdbcClient jdbc;

    Journal(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /**
     * Adds entries, each once however often it is sent, in the order of the list; and, in the same statement, tells
     * what others wrote after {@code seen}.
     *
     * @param list JSON: {@code [{id, block, slot, value, time}]}
     */
    List<Row> keep(UUID workId, String list, String writer, long seen, int most) {
        return jdbc.sql(KEEP).param("workId", workId).param("list", list).param("writer", writer).param("seen", seen)
                .param("most", most).query(Row::read).list();
    }

    /** What others wrote after an entry. */
    List<Row> news(UUID workId, String writer, long seen, int most) {
        return jdbc.sql(NEWS).param("workId", workId).param("writer", writer).param("seen", seen).param("most", most)
                .query(Row::read).list();
    }
}
