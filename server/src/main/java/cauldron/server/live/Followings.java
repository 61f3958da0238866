package cauldron.server.live;

import cauldron.core.block.bench.RunNow;
import jakarta.validation.constraints.NotNull;
import java.time.Duration;
import java.util.Collection;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/**
 * Which works a teacher follows just now, on whichever server, and how the bench of each stands. Times are the
 * database's own.
 */
@Component
class Followings {

    /** Told anew at least so often, by {@link LiveStreams}. */
    static final Duration TOLD_EVERY = Duration.ofSeconds(10);
    private static final String KEPT = "interval '25 seconds'";
    private static final TypeReference<Map<String, Object>> TREE = new TypeReference<>() {
    };

    /**
     * The bench in front of a student.
     *
     * @param block  which of the lab's benches
     * @param recipe what is on it, with all that was done
     * @param time   the moment shown, in model seconds
     * @param pace   model seconds that go by in a second; 0 where it rests
     */
    record BenchView(@NotNull String block, @NotNull Map<String, Object> recipe, @NotNull Double time,
                     @NotNull Double pace) {
    }

    // In the order of the works, so that two servers that tell at once don't wait for each other. What was told of a
    // bench when it was followed before is no more what is on it.
    private static final String TELL = """
            insert into following (work_id, since, until)
            select told.work, now(), now() + %1$s from unnest(cast(:works as uuid[])) as told(work)
              join work w on w.id = told.work order by 1
            on conflict (work_id) do update set until = excluded.until,
              since = case when following.until > now() then following.since else excluded.since end,
              recipe = case when following.until > now() then following.recipe end""".formatted(KEPT);

    private final JdbcClient jdbc;
    private final JsonMapper json;

    Followings(JdbcClient jdbc, JsonMapper json) {
        this.jdbc = jdbc;
        this.json = json;
    }

    /** Tells that some works are followed. */
    void tell(Collection<UUID> works) {
        if (!works.isEmpty()) {
            jdbc.sql(TELL).param("works", works.toArray(UUID[]::new)).update();
        }
    }

    /** Which of some works are followed. */
    Set<UUID> among(Collection<UUID> works) {
        return works.isEmpty() ? Set.of() : new HashSet<>(jdbc
                .sql("select work_id from following where work_id in (:works) and until > now()").param("works", works)
                .query(UUID.class).list());
    }

    /** A student's page tells of its bench; nothing is kept where nobody follows. */
    void write(UUID work, String block, RunNow now) {
        jdbc.sql("""
                update following set block = :block, recipe = :recipe, time = :time, pace = :pace
                where work_id = :work and until > now()""").param("work", work).param("block", block)
                .param("recipe", json.writeValueAsString(now.recipe().toTree())).param("time", now.time())
                .param("pace", now.pace()).update();
    }

    /** How the benches of some works stand that are followed, as far as they told. */
    Map<UUID, BenchView> benches(List<UUID> works) {
        Map<UUID, BenchView> map = new LinkedHashMap<>();
        if (!works.isEmpty()) {
            jdbc.sql("""
                    select work_id, block, recipe, time, pace from following
                    where work_id in (:works) and until > now() and recipe is not null""").param("works", works)
                    .query((r, n) -> map.put(r.getObject(1, UUID.class), new BenchView(r.getString(2),
                            json.readValue(r.getString(3), TREE), r.getDouble(4), r.getDouble(5)))).list();
        }
        return map;
    }
}
