package cauldron.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

/** Marks with reasons, another go, points that wait, and all of it to be read afterwards. */
@ExtendWith(ServerExtension.class)
class HistoryTest {

    private static final JdbcTemplate DATABASE = ServerExtension.bean(JdbcTemplate.class);

    private final Room room = Room.of("ines", "The lamp keeper's clock");
    private final String work = "/api/works/" + room.work();

    private HttpResponse<String> mark(String block, double points, String comment, String reason) {
        return room.teacher().post(work + "/marks", Map.of("block", block, "points", points, "comment", comment,
                "reason",
                reason));
    }

    private List<String> deeds(Visitor who) {
        List<String> list = new ArrayList<>();
        room.teacher().json(work + "/history");
        for (JsonNode d : who.json(work + "/history")) {
            list.add(d.get("deed").asString() + (d.get("points").isNull() ? "" : " " + d.get("points").asDouble())
                    + (d.get("words").asString() + d.get("reason").asString()).replaceFirst("^(?=.)", ": "));
        }
        return list;
    }

    @Test
    void anotherGoKeepsTheEarlierOneBesideTheNew() {
        room.seal();
        room.keep("readings", "rows", Map.of("order", List.of("r1")), "readings", "cell/r1/L", Map.of("text", "41.0"));
        room.student().post(work + "/submission", Map.of());
        assertThat(room.teacher().post(work + "/reopening", Map.of("words", " Measure to the middle of the bob. "))
                .statusCode())
                .isEqualTo(200);
        JsonNode again = room.student().json(work).get("again");
        assertThat(again.get("words").asString()).isEqualTo("Measure to the middle of the bob.");
        assertThat(again.get("by").asString()).isEqualTo("Ines Halvard");
        room.keep("readings", "cell/r1/L", Map.of("text", "43.5"));
        room.student().post(work + "/submission", Map.of());
        assertThat(room.student().json(work).get("again").isNull()).as("handed in again").isTrue();
        JsonNode history = room.teacher().json(work + "/history");
        assertThat(deeds(room.teacher())).containsExactly("HANDED_IN", "GIVEN_BACK: Measure to the middle of the bob.",
                "HANDED_IN");
        assertThat(deeds(room.student())).isEqualTo(deeds(room.teacher()));
        String cell = "cell/r1/L";
        String first = history.get(2).get("handIn").asString();
        for (Visitor who : List.of(room.teacher(), room.student())) {
            assertThat(who.json(work + "?handIn=" + first).at("/notebook/readings").get(cell).get("text").asString())
                    .isEqualTo("41.0");
            assertThat(who.json(work).at("/notebook/readings").get(cell).get("text").asString()).isEqualTo("43.5");
        }
        Room other = Room.of("ines", "The lamp keeper's clock");
        assertThat(other.student().get("/api/works/" + other.work() + "?handIn=" + first).statusCode())
                .as("another's hand-in by one's own work").isEqualTo(404);
        assertThat(other.student().get(work + "/history").statusCode()).isEqualTo(404);
        assertThat(Visitor.signedIn("tobiah").get(work + "/history").statusCode()).isEqualTo(404);
    }

    @Test
    void whoeverChangesWhatStandsSaysWhy() {
        room.seal();
        room.fill("readings");
        room.student().post(work + "/checks", Map.of("block", "g", "number", "3", "unit", "m/s²"));
        HttpResponse<String> without = mark("g", 2, "", "");
        assertThat(without.statusCode()).isEqualTo(400);
        assertThat(Visitor.read(without).get("field").asString()).isEqualTo("reason");
        assertThat(Visitor.read(without).get("detail").asString()).contains("brought 0 by its key");
        assertThat(mark("g", 0, "", "").statusCode()).as("what the key says, too").isEqualTo(204);
        assertThat(mark("why", 1, "", "").statusCode()).isEqualTo(204);
        assertThat(mark("why", 3, "", "").statusCode()).as("still marking").isEqualTo(204);
        DATABASE.update("update mark set marked_at = marked_at - interval '11 minutes' where work_id = ?",
                UUID.fromString(room.work()));
        assertThat(Visitor.read(mark("why", 2, "", "")).get("detail").asString()).contains("a mark of 3 stood here");
        assertThat(mark("why", 2, "", "Copied from the board").statusCode()).isEqualTo(204);
        assertThat(mark("why", 2.5, "Better than I saw.", "").statusCode()).isEqualTo(204);
        assertThat(deeds(room.teacher())).containsExactly("MARKED 2.5: Better than I saw.",
                "MARKED 2.0: Copied from the board",
                "MARKED 3.0", "MARKED 1.0", "MARKED 0.0");
    }

    @Test
    void pointsWaitUntilTheTeacherShowsThem() {
        String assignment = "/api/teaching/assignments/" + room.assignment();
        assertThat(room.teacher().post(assignment + "/terms",
                Map.of("lateRule", "MARKED", "again", true, "together", true))
                .statusCode()).isEqualTo(200);
        room.seal();
        room.student().post(work + "/submission", Map.of());
        mark("why", 3, "Good.", "");
        JsonNode seen = room.student().json(work);
        assertThat(seen.get("marks").isEmpty()).isTrue();
        assertThat(seen.get("score").isNull()).isTrue();
        assertThat(seen.get("takesBack").asBoolean()).as("marking has begun all the same").isFalse();
        assertThat(room.student().json("/api/assigned").get(0).get("points").isNull()).isTrue();
        assertThat(deeds(room.student())).containsExactly("HANDED_IN");
        assertThat(room.teacher().json(work).at("/score/points").asDouble()).isEqualTo(3);
        assertThat(room.teacher().json(assignment).get("pointsShown").asBoolean()).isFalse();
        assertThat(room.student().post(assignment + "/points", Map.of("shown", true)).statusCode()).isEqualTo(403);
        assertThat(Visitor.signedIn("tobiah").post(assignment + "/points", Map.of("shown", true)).statusCode())
                .isEqualTo(404);
        assertThat(room.teacher().post(assignment + "/points", Map.of("shown", true)).statusCode()).isEqualTo(200);
        seen = room.student().json(work);
        assertThat(seen.at("/marks/why/comment").asString()).isEqualTo("Good.");
        assertThat(seen.at("/score/points").asDouble()).isEqualTo(3);
        assertThat(room.student().json("/api/assigned").get(0).get("points").asDouble()).isEqualTo(3);
        room.teacher().post(assignment + "/points", Map.of("shown", false));
        assertThat(room.student().json(work).get("score").isNull()).isTrue();
    }
}
