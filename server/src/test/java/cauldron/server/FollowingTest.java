package cauldron.server;

import static org.assertj.core.api.Assertions.assertThat;

import cauldron.core.inventory.Inventory;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

/** A teacher looks on while a student's bench runs. */
@Execution(ExecutionMode.CONCURRENT)
@ExtendWith(ServerExtension.class)
class FollowingTest {

    private static final JdbcTemplate DATABASE = ServerExtension.bean(JdbcTemplate.class);

    private final Room room = Room.of("ines", "Two tanks in the boathouse");
    private final String work = "/api/works/" + room.work();

    private static Map<String, Object> recipe(Object... actions) {
        return Map.of("apparatus", "twin-tanks", "modelVersion", Inventory.get("twin-tanks").manifest().modelVersion(),
                "settings", Map.of(), "seed", 1, "actions", List.of(actions));
    }

    private static Map<String, Object> bench(double time, double pace, Map<String, Object> recipe) {
        return Map.of("block", "cores", "recipe", recipe, "time", time, "pace", pace);
    }

    private int told() {
        return DATABASE.queryForObject("select count(*) from following where work_id = ? and recipe is not null",
                Integer.class, UUID.fromString(room.work()));
    }

    private static boolean isNull(JsonNode node) {
        return node == null || node.isNull();
    }

    @Test
    void theBenchIsToldWhileTheTeacherFollowsAndOnlyThen() {
        assertThat(room.student().post(work + "/bench", bench(1, 1, recipe())).statusCode()).isEqualTo(204);
        assertThat(told()).as("nobody follows").isZero();
        Visitor elsewhere = new Visitor(ServerExtension.addressBehindProxy(), null);
        elsewhere.get("/api/me");
        assertThat(elsewhere.signIn("ines", Visitor.SECRET).statusCode()).isEqualTo(200);
        try (Events student = room.student().listen(work + "/live?part=x")) {
            student.until(e -> !e.get("followed").asBoolean());
            try (Events teacher = elsewhere.listen(work + "/live")) {
                assertThat(isNull(teacher.until(e -> true).get("bench"))).isTrue();
                JsonNode followed = student.until(e -> e.get("followed").asBoolean());
                assertThat(isNull(followed.get("bench"))).as("no news to the one whose it is").isTrue();
                assertThat(room.student().post(work + "/bench", bench(12.5, 4, recipe())).statusCode()).isEqualTo(204);
                JsonNode now = teacher.until(e -> !isNull(e.get("bench")));
                assertThat(now.get("followed").asBoolean()).as("the teacher has nothing to tell of").isFalse();
                JsonNode bench = now.get("bench");
                assertThat(bench.get("block").asString()).isEqualTo("cores");
                assertThat(bench.get("time").asDouble()).isEqualTo(12.5);
                assertThat(bench.get("pace").asDouble()).isEqualTo(4);
                assertThat(bench.get("recipe").get("apparatus").asString()).isEqualTo("twin-tanks");
                room.student().post(work + "/bench", bench(20, 0, recipe()));
                teacher.until(e -> e.get("bench").get("time").asDouble() == 20
                        && e.get("bench").get("pace").asDouble() == 0);
            }
            DATABASE.update("update following set until = now() where work_id = ?", UUID.fromString(room.work()));
            student.until(e -> !e.get("followed").asBoolean());
        }
        room.student().post(work + "/bench", bench(30, 0, recipe()));
        assertThat(DATABASE.queryForObject("select time from following where work_id = ?", Double.class,
                UUID.fromString(room.work()))).as("nobody follows any more").isEqualTo(20);
        room.teacher().listen(work + "/live").close();
        assertThat(told()).as("what was on the bench then is no more what is on it").isZero();
    }

    @Test
    void whatIsNoBenchIsRefusedInWords() {
        DATABASE.update("insert into following (work_id, since, until) values (?, now(), now() + interval '1 hour')",
                UUID.fromString(room.work()));
        List<Object> many = new ArrayList<>();
        for (int i = 0; i < 9000; i++) {
            many.add(Map.of("time", i, "action", Map.of("type", "move", "x", 0.123456789, "y", 0.123456789)));
        }
        assertThat(room.student().post(work + "/bench", bench(1, 0, recipe(many.toArray()))).statusCode())
                .isEqualTo(413);
        Map<String, Map<String, Object>> odd = Map.of(
                "no bench", Map.of("block", "intro", "recipe", recipe(), "time", 1, "pace", 0),
                "stands “twin-tanks”", bench(1, 0, Map.of("apparatus", "pendulum", "modelVersion", 1, "settings",
                        Map.of(), "seed", 1, "actions", List.of())),
                "time: from 0 to", bench(-1, 0, recipe()),
                "pace: from 0 to", bench(1, 1e300, recipe()),
                "no action “explode”", bench(1, 0, recipe(Map.of("time", 0, "action", Map.of("type", "explode")))),
                "recipe", bench(1, 0, Map.of("apparatus", 7)));
        odd.forEach((words, body) -> {
            var answer = room.student().post(work + "/bench", body);
            assertThat(answer.statusCode()).as(words).isEqualTo(400);
            assertThat(answer.body()).contains(words);
        });
        assertThat(told()).isZero();
    }

    @Test
    void onlyTheStudentTellsOfTheBench() {
        Room other = Room.of("ines", "Two tanks in the boathouse");
        DATABASE.update("insert into following (work_id, since, until) values (?, now(), now() + interval '1 hour')",
                UUID.fromString(room.work()));
        for (Visitor stranger : List.of(other.student(), room.teacher(), Visitor.signedIn("tobiah"))) {
            assertThat(stranger.post(work + "/bench", bench(1, 0, recipe())).statusCode()).isEqualTo(404);
        }
        assertThat(new Visitor().post(work + "/bench", bench(1, 0, recipe())).statusCode()).isIn(401, 403);
        assertThat(told()).isZero();
        room.student().post(work + "/bench", bench(1, 0, recipe()));
        assertThat(isNull(room.student().json(work + "/now").get("bench"))).isTrue();
        assertThat(isNull(other.student().json("/api/works/" + other.work() + "/now").get("bench"))).isTrue();
        assertThat(room.teacher().json(work + "/now").get("bench").get("time").asDouble()).isEqualTo(1);
    }
}
