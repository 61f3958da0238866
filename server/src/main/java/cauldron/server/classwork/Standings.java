package cauldron.server.classwork;

import cauldron.core.sheet.Sheet;
import cauldron.server.assignments.Assignments;
import cauldron.server.marking.Marking;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Timestamp;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;

/**
 * How works stand, for lists of many. What was found out is kept with the number of the last entry and of all else that
 * it has counted; where nothing was added since it is taken as it is, and only the others are looked through again. So
 * it is right as soon as the transaction that adds something has ended, whichever server that was on.
 */
@Service
class Standings {

    /**
     * How a work stands.
     *
     * @param part      index of the first part that isn't complete, or null where all are
     * @param points    so far
     * @param unmarked  whether something waits for a teacher
     * @param tries     how often answers were checked
     * @param lastEntry when it was last written in, or null
     */
    record Standing(Integer part, double points, boolean unmarked, int tries, Instant lastEntry) {

        /** The first part that isn't complete, or null. */
        Sheet.Part at(Sheet sheet) {
            return part == null ? null : sheet.parts().get(part);
        }
    }

    /** What is kept of a work, if anything, and what there is to count now. */
    private record Row(UUID work, Standing kept, long seq, long added, boolean current) {
    }

    private static final String READ = """
            select w.id, s.part, s.points, s.unmarked, s.tries, s.last_entry, n.seq, n.added,
              s.work_id is not null and s.seq = n.seq and s.added = n.added as current
            from work w left join standing s on s.work_id = w.id cross join lateral (select
              coalesce((select max(seq) from entry e where e.work_id = w.id), 0) as seq,
              (select count(*) from attempt x where x.work_id = w.id)
                + (select count(*) from mark x where x.work_id = w.id)
                + (select count(*) from opening x where x.work_id = w.id)
                + (select count(*) from trial x where x.work_id = w.id) as added) n
            where w.id in (:ids)""";
    // Who looked earlier may keep later: an older finding never takes a newer one's place.
    private static final String KEEP = """
            insert into standing (work_id, seq, added, part, points, unmarked, tries, last_entry)
            values (:work, :seq, :added, :part, :points, :unmarked, :tries, :last)
            on conflict (work_id) do update set seq = excluded.seq, added = excluded.added, part = excluded.part,
              points = excluded.points, unmarked = excluded.unmarked, tries = excluded.tries,
              last_entry = excluded.last_entry
            where standing.seq <= excluded.seq and standing.added <= excluded.added""";

    private final JdbcClient jdbc;
    private final Marking marking;

    Standings(JdbcClient jdbc, Marking marking) {
        this.jdbc = jdbc;
        this.marking = marking;
    }

    /** How each of some works stands; the sheets by assignment. */
    Map<UUID, Standing> of(Collection<Assignments.WorkInfo> works, Map<UUID, Sheet> sheetOfAssignment) {
        Map<UUID, Standing> map = new LinkedHashMap<>();
        if (works.isEmpty()) {
            return map;
        }
        Map<UUID, Row> old = new LinkedHashMap<>();
        for (Row row : jdbc.sql(READ).param("ids", works.stream().map(Assignments.WorkInfo::id).toList())
                .query(Standings::row).list()) {
            if (row.current()) {
                map.put(row.work(), row.kept());
            } else {
                old.put(row.work(), row);
            }
        }
        List<Assignments.WorkInfo> again = works.stream().filter(w -> old.containsKey(w.id())).toList();
        marking.standings(again, sheetOfAssignment).forEach((work, s) -> {
            Sheet.Part at = s.progress().at();
            Standing found = new Standing(at == null ? null : s.progress().sheet().parts().indexOf(at), s.points(),
                    s.unmarked(), s.tried().values().stream().mapToInt(t -> t.all().size()).sum(), s.lastEntry());
            map.put(work, found);
            keep(old.get(work), found);
        });
        return map;
    }

    private void keep(Row row, Standing found) {
        jdbc.sql(KEEP).param("work", row.work()).param("seq", row.seq()).param("added", row.added())
                .param("part", found.part()).param("points", found.points()).param("unmarked", found.unmarked())
                .param("tries", found.tries())
                .param("last", found.lastEntry() == null ? null : OffsetDateTime.ofInstant(found.lastEntry(), ZoneOffset.UTC))
                .update();
    }

    private static Row row(ResultSet r, int number) throws SQLException {
        int part = r.getInt("part");
        Integer at = r.wasNull() ? null : part;
        Timestamp last = r.getTimestamp("last_entry");
        return new Row(r.getObject("id", UUID.class), new Standing(at, r.getDouble("points"), r.getBoolean("unmarked"),
                r.getInt("tries"), last == null ? null : last.toInstant()), r.getLong("seq"), r.getLong("added"),
                r.getBoolean("current"));
    }
}
