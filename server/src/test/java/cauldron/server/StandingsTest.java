package cauldron.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

/** Lists read how a work stands from what was kept of it, and find out anew only what was added to. */
@ExtendWith(ServerExtension.class)
class StandingsTest {

    private static final JdbcTemplate DATABASE = ServerExtension.bean(JdbcTemplate.class);

    /** What the list says of a student who has stopped writing for a minute. */
    private static JsonNode line(Room room) {
        DATABASE.update("update entry set server_time = server_time - interval '1 minute' where work_id = ?",
                UUID.fromString(room.work()));
        return list(room);
    }

    private static JsonNode list(Room room) {
        return room.teacher().json("/api/teaching/assignments/" + room.assignment()).get("students").get(0);
    }

    /** What the list would say if nothing had been kept. */
    private static JsonNode foundAnew(Room room) {
        DATABASE.update("delete from standing where work_id = ?", UUID.fromString(room.work()));
        return list(room);
    }

    @Test
    void whateverIsAddedIsInTheNextList() {
        Room room = Room.of("ines", "The lamp keeper's clock");
        String work = "/api/works/" + room.work();
        Runnable[] acts = {
            () -> room.seal(),
            () -> room.keep("readings", "cell/r1/L", Map.of("text", "41.0")),
            () -> room.fill("readings"),
            () -> room.student().post(work + "/checks", Map.of("block", "g", "number", "3", "unit", "m/s²")),
            () -> room.student().post(work + "/checks", Map.of("block", "g", "number", "9.7", "unit", "m/s²")),
            () -> room.student().post(work + "/trials", Map.of("id", UUID.randomUUID().toString(), "block", "films",
                    "chosen", Map.of("cord", "tern", "release", "keel", "bob", "m120"))),
            () -> room.keep("why", "answer", Map.of("text", "A longer cord swings more slowly, as its bob has farther to go.")),
            () -> room.student().post(work + "/submission", Map.of()),
            () -> room.teacher().post(work + "/marks", Map.of("block", "why", "points", 2, "comment", "")),
            () -> room.teacher().post(work + "/marks", Map.of("block", "why", "points", 3, "comment", "")),
        };
        JsonNode last = line(room);
        for (Runnable act : acts) {
            act.run();
            JsonNode listed = line(room);
            assertThat(listed).isEqualTo(foundAnew(room));
            last = listed;
        }
        assertThat(last.get("points").asDouble()).isEqualTo(7);
        assertThat(last.get("toMark").asBoolean()).isFalse();
    }

    @Test
    void whatNothingWasAddedToIsTakenAsItWasKept() {
        Room room = Room.of("ines", "The lamp keeper's clock");
        room.seal();
        assertThat(line(room).get("points").asDouble()).isZero();
        // No transaction of ours changes what is kept alone: a list that shows it has not looked the work through.
        DATABASE.update("update standing set points = 5 where work_id = ?", UUID.fromString(room.work()));
        assertThat(line(room).get("points").asDouble()).isEqualTo(5);
        assertThat(room.student().json("/api/assigned").get(0).get("points").asDouble()).as("home page, too").isEqualTo(5);
        room.keep("readings", "cell/r1/L", Map.of("text", "41.0"));
        assertThat(line(room).get("points").asDouble()).isZero();
    }

    @Test
    void whoStillWritesIsLookedThroughWithoutBeingKept() {
        Room room = Room.of("ines", "The lamp keeper's clock");
        room.seal();
        list(room);
        String count = "select count(*) from standing where work_id = ?";
        assertThat(DATABASE.queryForObject(count, Integer.class, UUID.fromString(room.work()))).isZero();
        room.fill("readings");
        line(room);
        assertThat(DATABASE.queryForObject(count, Integer.class, UUID.fromString(room.work()))).isEqualTo(1);
    }
}
