package cauldron.server.classwork;

import cauldron.core.marking.GettingOn;
import cauldron.core.marking.HowItWent;
import cauldron.core.sheet.Score;
import cauldron.core.sheet.Sheet;
import cauldron.server.marking.Marking;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;

/**
 * How works stand, for lists of many. What was found out is kept with the number of the last entry and of all else that
 * it has counted; where nothing was added since it is taken as it is, and only the others are looked through again. So
 * it is right as soon as the transaction that adds something has ended, whichever server that was on.
 */
@Service
public class Standings {

    /**
     * How a work stands.
     *
     * @param part      index of the first part that isn't complete, or null where all are
     * @param points    so far
     * @param unmarked  whether something waits for a teacher
     * @param tries     how often answers were checked
     * @param lastEntry when it was last written in, or null
     * @param reading   the value that was read off last, in words; empty where there is none
     * @param signs     signs that its student doesn't get on, in words
     * @param lastDeed  when anything was written, tried or recorded last, or null
     */
    public record Standing(Integer part, double points, boolean unmarked, int tries, Instant lastEntry, String reading,
            List<String> signs, Instant lastDeed) {

        /** The first part that isn't complete, or null. */
        public Sheet.Part at(Sheet sheet) {
            return part == null ? null : sheet.parts().get(part);
        }
    }

    /** What is kept of a work, if anything, and what there is to count now. */
    private record Row(UUID work, Standing kept, long seq, long added, boolean current) {
    }

    /** What one who looks again and again has found out, so that only what was added to since is looked through. */
    public static final class Memory {

        private final Map<UUID, Row> rows = new HashMap<>();

        private Standing of(Row now) {
            Row then = rows.get(now.work());
            return then != null && then.seq() == now.seq() && then.added() == now.added() ? then.kept() : null;
        }

        /** Forgets all works but these. */
        public void onlyOf(Set<UUID> works) {
            rows.keySet().retainAll(works);
        }
    }

    private static final String READ = """
            select w.id, s.part, s.points, s.unmarked, s.tries, s.last_entry, s.reading, s.signs, n.seq, n.added,
              s.work_id is not null and s.seq = n.seq and s.added = n.added as current, n.deed
            from work w left join standing s on s.work_id = w.id cross join lateral (select
              coalesce((select max(seq) from entry e where e.work_id = w.id), 0) as seq,
              tried.many + filmed.many
                + (select count(*) from mark x where x.work_id = w.id)
                + (select count(*) from opening x where x.work_id = w.id) as added,
              greatest(tried.last, filmed.last) as deed
              from (select count(*) as many, max(made_at) as last from attempt x where x.work_id = w.id) tried,
                (select count(*) as many, max(created_at) as last from trial x where x.work_id = w.id) filmed) n
            where w.id in (:ids)""";
    // Who looked earlier may keep later: an older finding never takes a newer one's place.
    private static final String KEEP = """
            insert into standing (work_id, seq, added, part, points, unmarked, tries, last_entry, reading, signs)
            select * from unnest(cast(:work as uuid[]), cast(:seq as bigint[]), cast(:added as bigint[]), cast(:part as int[]),
              cast(:points as float8[]), cast(:unmarked as boolean[]), cast(:tries as int[]), cast(:last as timestamptz[]),
              cast(:reading as text[]), cast(:signs as text[])) as found order by 1
            on conflict (work_id) do update set seq = excluded.seq, added = excluded.added, part = excluded.part,
              points = excluded.points, unmarked = excluded.unmarked, tries = excluded.tries,
              last_entry = excluded.last_entry, reading = excluded.reading, signs = excluded.signs
            where standing.seq <= excluded.seq and standing.added <= excluded.added""";

    /** Who wrote a moment ago writes on: what is found out of that work isn't worth keeping. */
    private static final Duration WRITES_ON = Duration.ofSeconds(10);

    private final JdbcClient jdbc;
    private final Marking marking;
    private final Clock clock;

    Standings(JdbcClient jdbc, Marking marking, Clock clock) {
        this.jdbc = jdbc;
        this.marking = marking;
        this.clock = clock;
    }

    /** What an older build found out may not be what this one would, so every start begins afresh. */
    @EventListener(ApplicationReadyEvent.class)
    void forget() {
        jdbc.sql("delete from standing").update();
    }

    /** How each of some works stands, each with its sheet. */
    Map<UUID, Standing> of(Map<UUID, Sheet> sheets) {
        return of(sheets, new Memory());
    }

    /** The same for one who looks again and again. */
    public Map<UUID, Standing> of(Map<UUID, Sheet> sheets, Memory memory) {
        Map<UUID, Standing> map = new LinkedHashMap<>();
        if (sheets.isEmpty()) {
            return map;
        }
        Map<UUID, Row> old = new LinkedHashMap<>();
        for (Row row : jdbc.sql(READ).param("ids", List.copyOf(sheets.keySet()))
                .query(Standings::row).list()) {
            Standing known = row.current() ? row.kept() : memory.of(row);
            if (known != null) {
                map.put(row.work(), known);
            } else {
                old.put(row.work(), row);
            }
        }
        if (old.isEmpty()) {
            return map;
        }
        Map<UUID, Sheet> again = new LinkedHashMap<>(sheets);
        again.keySet().retainAll(old.keySet());
        Map<UUID, Standing> found = new LinkedHashMap<>();
        marking.standings(again).forEach((work, s) -> {
            Row row = old.get(work);
            Standing standing = found(s, row.kept().lastDeed());
            found.put(work, standing);
            memory.rows.put(work, new Row(work, standing, row.seq(), row.added(), true));
        });
        map.putAll(found);
        Instant since = clock.instant().minus(WRITES_ON);
        found.values().removeIf(s -> s.lastEntry() != null && s.lastEntry().isAfter(since));
        keep(old, found);
        return map;
    }

    private static Standing found(Marking.Standing s, Instant deed) {
        Sheet sheet = s.progress().sheet();
        Sheet.Part at = s.progress().at();
        List<GettingOn.Asked> asked = new ArrayList<>();
        s.tried().forEach((block, t) -> asked.add(new GettingOn.Asked(sheet.block(block).prompt(), t.all().stream()
                .map(one -> new HowItWent.Found(one.verdict(), one.feedback())).toList())));
        Score score = s.score();
        return new Standing(at == null ? null : sheet.parts().indexOf(at), score.points(), score.waiting(),
                s.tried().values().stream().mapToInt(t -> t.all().size()).sum(), s.lastEntry(),
                s.progress().lastReading(), GettingOn.ofTries(asked), later(s.lastEntry(), deed));
    }

    private static Instant later(Instant one, Instant other) {
        return one == null || other != null && other.isAfter(one) ? other : one;
    }

    /** All in one statement, in the order of the works, so that two who look at once don't wait for each other. */
    private void keep(Map<UUID, Row> rows, Map<UUID, Standing> found) {
        if (found.isEmpty()) {
            return;
        }
        List<UUID> works = List.copyOf(found.keySet());
        List<Standing> all = List.copyOf(found.values());
        jdbc.sql(KEEP).param("work", works.toArray(UUID[]::new))
                .param("seq", works.stream().map(w -> rows.get(w).seq()).toArray(Long[]::new))
                .param("added", works.stream().map(w -> rows.get(w).added()).toArray(Long[]::new))
                .param("part", all.stream().map(Standing::part).toArray(Integer[]::new))
                .param("points", all.stream().map(Standing::points).toArray(Double[]::new))
                .param("unmarked", all.stream().map(Standing::unmarked).toArray(Boolean[]::new))
                .param("tries", all.stream().map(Standing::tries).toArray(Integer[]::new))
                .param("last", all.stream().map(s -> s.lastEntry() == null ? null : s.lastEntry().toString()).toArray(String[]::new))
                .param("reading", all.stream().map(Standing::reading).toArray(String[]::new))
                .param("signs", all.stream().map(s -> String.join("\n", s.signs())).toArray(String[]::new))
                .update();
    }

    private static Row row(ResultSet r, int number) throws SQLException {
        int part = r.getInt("part");
        Integer at = r.wasNull() ? null : part;
        Instant last = instant(r, "last_entry");
        String signs = r.getString("signs");
        return new Row(r.getObject("id", UUID.class), new Standing(at, r.getDouble("points"), r.getBoolean("unmarked"),
                r.getInt("tries"), last, r.getString("reading"),
                signs == null || signs.isEmpty() ? List.of() : List.of(signs.split("\n")),
                later(last, instant(r, "deed"))), r.getLong("seq"), r.getLong("added"), r.getBoolean("current"));
    }

    private static Instant instant(ResultSet r, String column) throws SQLException {
        Timestamp time = r.getTimestamp(column);
        return time == null ? null : time.toInstant();
    }
}
