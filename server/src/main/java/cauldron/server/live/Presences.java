package cauldron.server.live;

import java.sql.Timestamp;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Who has a work open just now, on whichever server. */
@Component
class Presences {

    /** Told anew at least so often while the page is open. */
    static final Duration TOLD_EVERY = Duration.ofSeconds(10);
    /** Who wasn't heard of for so long has gone. */
    static final Duration GONE_AFTER = Duration.ofSeconds(25);

    /**
     * Somebody at work.
     *
     * @param part  id of the part that is looked at; may be empty
     * @param since when they came
     */
    record Here(String part, Instant since) {
    }

    // In the order of the works, so that two servers that tell at once don't wait for each other.
    private static final String TELL = """
            insert into presence (work_id, part, since, seen_at)
            select told.work, told.part, :now, :now from unnest(cast(:works as uuid[]), cast(:parts as text[]))
              as told(work, part) join work w on w.id = told.work order by 1
            on conflict (work_id) do update set part = excluded.part, seen_at = excluded.seen_at,
              since = case when presence.seen_at > :gone then presence.since else excluded.since end""";

    private final JdbcClient jdbc;
    private final Clock clock;

    Presences(JdbcClient jdbc, Clock clock) {
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /** Tells that the pages of some works are open, each with its part. */
    void tell(Map<UUID, String> parts) {
        if (parts.isEmpty()) {
            return;
        }
        Instant now = clock.instant();
        List<UUID> works = List.copyOf(parts.keySet());
        jdbc.sql(TELL).param("now", Timestamp.from(now)).param("gone", Timestamp.from(now.minus(GONE_AFTER)))
                .param("works", works.toArray(UUID[]::new))
                .param("parts", works.stream().map(parts::get).toArray(String[]::new)).update();
    }

    /** Tells that a page was closed. Another one of the same work says soon that it is still open. */
    void left(UUID work) {
        jdbc.sql("update presence set seen_at = :gone where work_id = :work").param("work", work)
                .param("gone", Timestamp.from(clock.instant().minus(GONE_AFTER).plus(Duration.ofSeconds(3)))).update();
    }

    /** Who of some works is there. */
    Map<UUID, Here> of(Collection<UUID> works) {
        Map<UUID, Here> map = new LinkedHashMap<>();
        if (!works.isEmpty()) {
            jdbc.sql("select work_id, part, since from presence where work_id in (:works) and seen_at > :gone")
                    .param("works", works).param("gone", Timestamp.from(clock.instant().minus(GONE_AFTER)))
                    .query((r, n) -> map.put(r.getObject(1, UUID.class), new Here(r.getString(2),
                            r.getTimestamp(3).toInstant()))).list();
        }
        return map;
    }
}
