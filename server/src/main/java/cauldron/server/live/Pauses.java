package cauldron.server.live;

import cauldron.server.classes.Classes;
import cauldron.server.platform.Person;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Classes that look up together, all labs of them. What is under way goes on being kept meanwhile. */
@Service
class Pauses {

    /** A pause ends by itself after a while, so that nobody stands before a closed bench because a teacher forgot. */
    static final Duration LONGEST = Duration.ofMinutes(30);

    /** A pause that is on. */
    record Pause(String words, Instant since, Instant until) {
    }

    private static final String SET = """
            insert into pause (class_id, words, since, until, changed_by, changed_at)
            values (:class, :words, :now, :until, :by, :now)
            on conflict (class_id) do update set words = excluded.words, since = excluded.since, until = excluded.until,
              changed_by = excluded.changed_by, changed_at = excluded.changed_at""";

    private final Classes classes;
    private final JdbcClient jdbc;
    private final Clock clock;

    Pauses(Classes classes, JdbcClient jdbc, Clock clock) {
        this.classes = classes;
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /** All of a class look up. */
    @Transactional
    public void begin(UUID classId, Person teacher, String words) {
        set(classId, teacher, words.strip(), LONGEST);
    }

    /** All of a class go on. */
    @Transactional
    public void end(UUID classId, Person teacher) {
        set(classId, teacher, "", Duration.ZERO);
    }

    private void set(UUID classId, Person teacher, String words, Duration length) {
        classes.ownedBy(classId, teacher.id());
        Instant now = clock.instant();
        jdbc.sql(SET).param("class", classId).param("words", words).param("now", Timestamp.from(now))
                .param("until", Timestamp.from(now.plus(length))).param("by", teacher.id()).update();
    }

    /** Which of some classes pause now. */
    Map<UUID, Pause> of(Collection<UUID> classIds) {
        Map<UUID, Pause> map = new LinkedHashMap<>();
        if (!classIds.isEmpty()) {
            jdbc.sql("select class_id, words, since, until from pause where class_id in (:ids) and until > :now")
                    .param("ids", classIds).param("now", Timestamp.from(clock.instant()))
                    .query((r, n) -> map.put(r.getObject(1, UUID.class), new Pause(r.getString(2),
                            r.getTimestamp(3).toInstant(), r.getTimestamp(4).toInstant()))).list();
        }
        return map;
    }
}
