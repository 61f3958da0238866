package cauldron.server;

import cauldron.core.RandomSource;
import cauldron.core.Tree;
import java.sql.Timestamp;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import tools.jackson.databind.json.JsonMapper;

/**
 * Notebooks as the journal holds them: lab, entries in their order, recordings asked for. Made once from the demo school,
 * good ones and, by seeded damage, odd ones; read again by {@link CorpusTest} ever after.
 */
final class Corpus {

    private static final JsonMapper JSON = JsonMapper.builder().build();
    /** What a stored value was found to be, or could become: old, odd, half typed. */
    private static final List<Object> ODD = List.of(7.0, "text", List.of(1.0, 2.0), true, Map.of(), Map.of("text", 5.0), Map.of("order", "r1"),
            Map.of("choice", "second"), Map.of("strokes", List.of("here")), Map.of("columns", List.of(3.0)), Map.of("sealed", "yes"));
    private static final List<String> HALF_TYPED = List.of("1.", "-", "1e", "3,5", "1 000", "12.5 cm", "½", "0x10", " 88.5 ", "1..2", "−4", "?");

    private final JdbcClient jdbc;

    Corpus(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** A notebook of the demo school as it is stored. */
    Map<String, Object> stored(UUID work, String lab) {
        List<Object> entries = new ArrayList<>();
        jdbc.sql("select block, slot, cast(value as text) as value from entry where work_id = ? order by seq").param(work)
                .query((r, n) -> Tree.of("block", r.getString(1), "slot", r.getString(2), "value", JSON.readValue(r.getString(3), Object.class)))
                .list().forEach(entries::add);
        List<Object> trials = new ArrayList<>();
        jdbc.sql("select block, number, cast(chosen as text), cast(recipe as text) from trial where work_id = ? order by block, number").param(work)
                .query((r, n) -> Tree.of("block", r.getString(1), "number", r.getInt(2), "chosen", JSON.readValue(r.getString(3), Object.class),
                        "recipe", JSON.readValue(r.getString(4), Object.class)))
                .list().forEach(trials::add);
        return Tree.of("lab", lab, "entries", entries, "trials", trials);
    }

    /** The same with about a third of its values damaged. */
    @SuppressWarnings("unchecked")
    static Map<String, Object> damaged(Map<String, Object> good, int seed) {
        RandomSource chance = new RandomSource(seed);
        List<Object> entries = new ArrayList<>();
        for (Map<String, Object> entry : Tree.maps(good, "entries")) {
            Map<String, Object> copy = new LinkedHashMap<>(entry);
            double what = chance.unit();
            boolean cell = ((String) entry.get("slot")).startsWith("cell/");
            if (what < 0.15) {
                copy.put("value", ODD.get((int) (chance.unit() * ODD.size())));
            } else if (what < 0.4 && cell) {
                Map<String, Object> value = new LinkedHashMap<>((Map<String, Object>) entry.get("value"));
                value.put("text", HALF_TYPED.get((int) (chance.unit() * HALF_TYPED.size())));
                copy.put("value", value);
            } else if (what < 0.45) {
                copy.put("slot", entry.get("slot") + "x");
            } else if (what < 0.5) {
                continue;
            }
            entries.add(copy);
        }
        return Tree.of("lab", good.get("lab"), "entries", entries, "trials", good.get("trials"));
    }

    /** Puts a notebook into an empty work, past every check, as the past may have left it. */
    void restore(Map<String, Object> notebook, UUID work) {
        Timestamp time = Timestamp.from(Instant.parse("2026-01-01T00:00:00Z"));
        for (Map<String, Object> entry : Tree.maps(notebook, "entries")) {
            jdbc.sql("insert into entry (id, work_id, block, slot, value, client_time, server_time, writer) values (?, ?, ?, ?, cast(? as jsonb), ?, ?, '')")
                    .param(UUID.randomUUID()).param(work).param(entry.get("block")).param(entry.get("slot"))
                    .param(JSON.writeValueAsString(entry.get("value"))).param(time).param(time).update();
        }
        for (Map<String, Object> trial : Tree.maps(notebook, "trials")) {
            jdbc.sql("insert into trial (id, work_id, block, number, chosen, recipe, created_at) values (?, ?, ?, ?, cast(? as jsonb), cast(? as jsonb), ?)")
                    .param(UUID.randomUUID()).param(work).param(trial.get("block")).param(((Number) trial.get("number")).intValue())
                    .param(JSON.writeValueAsString(trial.get("chosen"))).param(JSON.writeValueAsString(trial.get("recipe"))).param(time).update();
        }
    }
}
