package cauldron.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Predicate;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

/** A class at work, told as it happens. */
@Execution(ExecutionMode.CONCURRENT)
@ExtendWith(ServerExtension.class)
class LiveTest {

    private static final JdbcTemplate DATABASE = ServerExtension.bean(JdbcTemplate.class);

    private final Room room = Room.of("ines", "The lamp keeper's clock");
    private final String work = "/api/works/" + room.work();
    private final String assignment = "/api/teaching/assignments/" + room.assignment();

    private Predicate<JsonNode> line(Predicate<JsonNode> of) {
        return event -> {
            for (JsonNode l : event.get("students")) {
                if (room.work().equals(l.path("workId").asString()) && of.test(l)) {
                    return true;
                }
            }
            return false;
        };
    }

    private JsonNode seen() {
        return room.teacher().json(assignment + "/now").get("students").get(0);
    }

    private static boolean isNull(JsonNode node) {
        return node == null || node.isNull();
    }

    private String classId() {
        return room.teacher().json(assignment).get("classId").asString();
    }

    @Test
    void whatAStudentDoesIsToldOnEveryServer() {
        Visitor elsewhere = new Visitor(ServerExtension.addressBehindProxy(), null);
        elsewhere.get("/api/me");
        assertThat(elsewhere.signIn("ines", Visitor.SECRET).statusCode()).isEqualTo(200);
        try (Events here = room.teacher().listen(assignment + "/live");
                Events there = elsewhere.listen(assignment + "/live")) {
            JsonNode first = here.until(e -> e.get("whole").asBoolean());
            assertThat(first.get("students").size()).isEqualTo(1);
            assertThat(first.get("students").get(0).get("here").asBoolean()).isFalse();
            there.until(e -> e.get("whole").asBoolean());
            try (Events student = room.student().listen(work + "/live?part=predict")) {
                student.until(e -> e.get("notes").isEmpty());
                for (Events teacher : List.of(here, there)) {
                    JsonNode came = teacher.until(line(l -> l.get("here").asBoolean()));
                    assertThat(came.get("whole").asBoolean()).as("only what changed").isFalse();
                }
                room.seal();
                room.keep("readings", "cell/r1/L", Map.of("text", "41.0"));
                here.until(line(l -> l.get("reading").asString().equals("L 41.0 cm")));
                there.until(line(l -> l.get("reading").asString().equals("L 41.0 cm")));
                room.student().post(work + "/calls", Map.of("part", "analyse", "block", "g", "reading", false,
                        "words", "What is a known length?"));
                for (Events teacher : List.of(here, there)) {
                    JsonNode call = teacher.until(line(l -> !isNull(l.get("call")))).get("students").get(0).get("call");
                    assertThat(call.get("words").asString()).isEqualTo("What is a known length?");
                }
                elsewhere.post(assignment + "/notes", Map.of("works", List.of(room.work()), "words",
                        "The one with the label."));
                JsonNode told = student.until(e -> e.get("notes").size() == 1);
                assertThat(told.get("notes").get(0).get("words").asString()).isEqualTo("The one with the label.");
                assertThat(isNull(told.get("call"))).as("answered").isTrue();
                here.until(line(l -> isNull(l.get("call"))));
            }
            there.until(line(l -> !l.get("here").asBoolean()));
        }
    }

    @Test
    void whoDoesntGetOnIsToldWithTheReason() {
        room.seal();
        room.fill("readings");
        for (String wrong : List.of("3", "4", "5")) {
            room.student().post(work + "/checks", Map.of("block", "g", "number", wrong, "unit", "m/s²"));
        }
        DATABASE.update("update entry set server_time = server_time - interval '9 minutes' where work_id = ?",
                UUID.fromString(room.work()));
        DATABASE.update("update attempt set made_at = made_at - interval '9 minutes' where work_id = ?",
                UUID.fromString(room.work()));
        JsonNode signs = seen().get("signs");
        assertThat(signs.size()).isEqualTo(1);
        assertThat(signs.get(0).asString()).startsWith("3 wrong tries at “");
        assertThat(seen().get("tries").asInt()).isEqualTo(3);
        // Quiet is a sign only of somebody who is there.
        assertThat(seen().get("signs").size()).isEqualTo(1);
        DATABASE.update("insert into presence (work_id, part, since, seen_at) values (?, 'x', now() - interval '8 minutes',"
                + " now())", UUID.fromString(room.work()));
        assertThat(seen().get("signs").get(1).asString()).as("since they came").isEqualTo("nothing new for 8 min");
        assertThat(room.teacher().json(assignment + "/now?quiet=9").get("students").get(0).get("signs").size())
                .isEqualTo(1);
        assertThat(room.teacher().get(assignment + "/now?quiet=0").body()).contains("Quiet: 1 to 60 minutes.");
        room.student().post(work + "/submission", Map.of());
        assertThat(seen().get("signs").isEmpty()).as("handed in").isTrue();
    }

    @Test
    void notesStayWithTheWorkAndAreReadOnce() {
        room.teacher().post(assignment + "/notes", Map.of("works", List.of(), "words",
                "  Mind the zero of the ruler. "));
        JsonNode note = room.student().json(work + "/now").get("notes").get(0);
        assertThat(note.get("words").asString()).isEqualTo("Mind the zero of the ruler.");
        assertThat(note.get("toAll").asBoolean()).isTrue();
        assertThat(note.get("read").asBoolean()).isFalse();
        for (int i = 0; i < 2; i++) {
            assertThat(room.student().post(work + "/notes/" + note.get("id").asString() + "/read", Map.of())
                    .statusCode())
                    .isEqualTo(204);
        }
        assertThat(room.student().json(work + "/now").get("notes").get(0).get("read").asBoolean()).isTrue();
        assertThat(room.teacher().json(work + "/now").get("notes").size()).as("the teacher sees it, too").isEqualTo(1);
        assertThat(Visitor.read(room.teacher().post(assignment + "/notes", Map.of("works", List.of(), "words", " ")))
                .get("detail").asString()).isEqualTo("Note: write what the class is to read.");
    }

    @Test
    void aCallStandsUntilItIsTakenBackOrAnswered() {
        room.seal();
        room.keep("readings", "cell/r1/L", Map.of("text", "41.0"));
        Map<String, Object> call = Map.of("part", "analyse", "block", "g", "reading", false, "words", "");
        assertThat(room.student().post(work + "/calls", call).statusCode()).isEqualTo(204);
        assertThat(room.student().post(work + "/calls", Map.of("part", "measure", "block", "", "reading", true,
                "words", "Odd?")).statusCode()).isEqualTo(204);
        assertThat(seen().get("call").get("about").asString()).as("the newer").endsWith("the reading L 41.0 cm");
        assertThat(room.student().delete(work + "/calls").statusCode()).isEqualTo(204);
        assertThat(isNull(seen().get("call"))).isTrue();
        room.student().post(work + "/calls", call);
        room.teacher().post(assignment + "/notes", Map.of("works", List.of(room.work()), "words", ""));
        assertThat(isNull(seen().get("call"))).as("answered by word of mouth").isTrue();
        assertThat(room.student().json(work + "/now").get("notes").isEmpty()).isTrue();
        assertThat(Visitor.read(room.student().post(work + "/calls",
                Map.of("part", "nowhere", "block", "", "reading", false,
                "words", ""))).get("field").asString()).isEqualTo("part");
        assertThat(Visitor.read(room.student().post(work + "/calls",
                Map.of("part", "measure", "block", "g", "reading", false,
                "words", ""))).get("field").asString()).isEqualTo("block");
        assertThat(Visitor.read(room.student().post(work + "/calls",
                Map.of("part", "measure", "block", "", "reading", false,
                "words", "x".repeat(301)))).get("detail").asString()).contains("At most 300 characters");
    }

    @Test
    void whoCallsWithoutEndIsSentToTheTeacher() {
        Map<String, Object> call = Map.of("part", "aim", "block", "", "reading", false, "words", "");
        for (int i = 0; i < 100; i++) {
            assertThat(room.student().post(work + "/calls", call).statusCode()).isEqualTo(204);
        }
        assertThat(Visitor.read(room.student().post(work + "/calls", call)).get("detail").asString())
                .contains("speak to your teacher");
        assertThat(isNull(seen().get("call"))).as("the last one stands").isFalse();
    }

    @Test
    void aClassPausesAndGoesOnAndKeepsWhatIsWritten() {
        String pause = "/api/teaching/classes/" + classId() + "/pause";
        try (Events student = room.student().listen(work + "/live")) {
            student.until(e -> isNull(e.get("paused")));
            assertThat(room.teacher().post(pause, Map.of("words", "Look at the lamp")).statusCode()).isEqualTo(204);
            assertThat(student.until(e -> !isNull(e.get("paused"))).get("paused").get("words").asString())
                    .isEqualTo("Look at the lamp");
            assertThat(isNull(room.teacher().json(assignment + "/now").get("paused"))).isFalse();
            room.seal();
            assertThat(room.teacher().delete(pause).statusCode()).isEqualTo(204);
            student.until(e -> isNull(e.get("paused")));
            // One that nobody ended is over by itself.
            room.teacher().post(pause, Map.of("words", ""));
            student.until(e -> !isNull(e.get("paused")));
            DATABASE.update("update pause set until = now() where class_id = ?", UUID.fromString(classId()));
            student.until(e -> isNull(e.get("paused")));
        }
    }

    @Test
    void aTeacherWhoFollowsHearsOfWhatIsAdded() {
        try (Events teacher = room.teacher().listen(work + "/live")) {
            long seq = teacher.until(e -> true).get("seq").asLong();
            assertThat(seen().get("here").asBoolean()).as("it isn't the student who looks").isFalse();
            room.seal();
            room.fill("readings");
            long then = teacher.until(e -> e.get("seq").asLong() > seq).get("added").asLong();
            room.student().post(work + "/checks", Map.of("block", "g", "number", "3", "unit", "m/s²"));
            teacher.until(e -> e.get("added").asLong() > then);
            room.student().post(work + "/submission", Map.of());
            teacher.until(e -> e.get("added").asLong() > then + 1);
        }
        assertThat(isNull(room.student().json(work + "/now").get("seq"))).as("a student's own entries are no news")
                .isTrue();
    }

    @Test
    void nothingReachesAnybodyElse() {
        Room other = Room.of("ines", "The lamp keeper's clock");
        Visitor tobiah = Visitor.signedIn("tobiah");
        String classId = classId();
        room.teacher().post(assignment + "/notes", Map.of("works", List.of(room.work()), "words", "Only for you."));
        String note = room.student().json(work + "/now").get("notes").get(0).get("id").asString();
        assertThat(other.student().json("/api/works/" + other.work() + "/now").get("notes").isEmpty()).isTrue();
        for (Visitor stranger : List.of(tobiah, other.student())) {
            int at = stranger == tobiah ? 404 : 403;
            assertThat(stranger.get(work + "/now").statusCode()).isEqualTo(404);
            assertThat(stranger.get(work + "/live").statusCode()).isEqualTo(404);
            assertThat(stranger.post(work + "/calls", Map.of("part", "measure", "block", "", "reading", false, "words",
                    ""))
                    .statusCode()).isEqualTo(404);
            assertThat(stranger.delete(work + "/calls").statusCode()).isEqualTo(404);
            assertThat(stranger.post(work + "/here", Map.of()).statusCode()).isEqualTo(404);
            assertThat(stranger.post(work + "/notes/" + note + "/read", Map.of()).statusCode()).isEqualTo(404);
            assertThat(stranger.get(assignment + "/now").statusCode()).isEqualTo(at);
            assertThat(stranger.get(assignment + "/live").statusCode()).isEqualTo(at);
            assertThat(stranger.post(assignment + "/notes", Map.of("works", List.of(room.work()), "words", "x"))
                    .statusCode()).isEqualTo(at);
            assertThat(stranger.post("/api/teaching/classes/" + classId + "/pause", Map.of("words", "")).statusCode())
                    .isEqualTo(at);
            assertThat(stranger.delete("/api/teaching/classes/" + classId + "/pause").statusCode()).isEqualTo(at);
        }
        assertThat(other.student().post("/api/works/" + other.work() + "/notes/" + note + "/read", Map.of())
                .statusCode())
                .as("somebody else's note by one's own work").isEqualTo(404);
        assertThat(room.teacher().post(assignment + "/notes", Map.of("works", List.of(other.work()), "words", "x"))
                .statusCode()).as("a work on another assignment").isEqualTo(404);
        assertThat(room.teacher().post(work + "/calls", Map.of("part", "measure", "block", "", "reading", false,
                "words", ""))
                .statusCode()).as("a teacher asks nobody").isEqualTo(404);
        assertThat(new Visitor().get(work + "/live").statusCode()).isEqualTo(401);
    }

    @Test
    void whoGoesToAnotherPartStaysHere() {
        try (Events teacher = room.teacher().listen(assignment + "/live")) {
            Events aim = room.student().listen(work + "/live?part=aim");
            teacher.until(line(l -> l.get("here").asBoolean() && l.get("part").asString().equals("Aim")));
            try (Events predict = room.student().listen(work + "/live?part=predict")) {
                aim.close();
                teacher.until(line(l -> l.get("part").asString().equals("Prediction")));
                // A beat later the page that was closed has been noticed, and two more rounds were told.
                for (int i = 0; i < 2; i++) {
                    String before = seenAt();
                    long end = System.nanoTime() + 30_000_000_000L;
                    while (seenAt().equals(before)) {
                        assertThat(System.nanoTime()).as("told anew").isLessThan(end);
                    }
                }
                assertThat(seen().get("here").asBoolean()).isTrue();
                assertThat(seen().get("part").asString()).isEqualTo("Prediction");
                assertThat(teacher.left()).as("never away in between").doesNotContain("\"here\":false");
            }
        }
    }

    private String seenAt() {
        return DATABASE.queryForObject("select seen_at::text from presence where work_id = ?", String.class,
                UUID.fromString(room.work()));
    }

    @Test
    void whoListensToAnotherServerIsHereAllTheSame() {
        assertThat(seen().get("here").asBoolean()).isFalse();
        assertThat(room.student().post(work + "/here?part=predict", Map.of()).statusCode()).isEqualTo(204);
        assertThat(seen().get("here").asBoolean()).isTrue();
        assertThat(seen().get("part").asString()).isEqualTo("Prediction");
        room.teacher().post(work + "/here?part=aim", Map.of());
        assertThat(seen().get("part").asString()).as("a teacher who looks tells nothing").isEqualTo("Prediction");
    }

    @Test
    void whoIsTakenOutHearsNoMore() {
        Visitor student = room.student();
        try (Events teacher = room.teacher().listen(assignment + "/live")) {
            teacher.until(e -> e.get("students").size() == 1);
            String id = seen().get("studentId").asString();
            assertThat(room.teacher().post("/api/classes/" + classId() + "/students/" + id + "/out",
                    Map.of()).statusCode()).isLessThan(300);
            teacher.until(e -> e.get("whole").asBoolean() && e.get("students").isEmpty());
        }
        assertThat(student.get(work + "/live").statusCode()).isEqualTo(404);
    }

    @Test
    void onePersonListensWithSoManyPagesOnly() {
        java.util.List<Events> pages = new java.util.ArrayList<>();
        try {
            for (int i = 0; i < 12; i++) {
                pages.add(room.student().listen(work + "/live"));
            }
            assertThat(room.student().get(work + "/live").statusCode()).isEqualTo(429);
        } finally {
            pages.forEach(Events::close);
        }
    }
}
