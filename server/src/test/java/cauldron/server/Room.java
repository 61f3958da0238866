package cauldron.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import tools.jackson.databind.JsonNode;

/** A fresh class with one student at work on one lab. */
record Room(Visitor teacher, Visitor student, String assignment, String work) {

    static Room of(String teacherName, String title) {
        return ofLab(teacherName, Visitor.signedIn(teacherName).lab(title));
    }

    static Room ofLab(String teacherName, String lab) {
        Visitor teacher = Visitor.signedIn(teacherName);
        JsonNode made = Visitor.read(teacher.post("/api/classes", Map.of("name", "Room " + UUID.randomUUID())));
        String assignment = Visitor.read(teacher.post("/api/teaching/assignments",
                Map.of("labId", lab, "classes", List.of(Map.of("classId", made.get("id").asString(), "dueAt",
                        "2099-01-01T08:00:00Z"))))).get(0).get("id").asString();
        Visitor student = new Visitor();
        student.get("/api/me");
        assertThat(student.post("/api/join", Map.of("code", made.get("code").asString(), "displayName",
                "Visitor " + UUID.randomUUID().toString().substring(0, 8), "secret", "eight-chars")).statusCode())
                .isEqualTo(200);
        String work = Visitor.read(student.post("/api/assigned/" + assignment + "/work", Map.of())).get("workId")
                .asString();
        return new Room(teacher, student, assignment, work);
    }

    /** Keeps entries of block, slot and value. */
    void keep(Object... blocksSlotsAndValues) {
        for (int i = 0; i < blocksSlotsAndValues.length; i += 3) {
            JsonNode outcome = Visitor.read(student.post("/api/works/" + work + "/entries", Map.of("entries", List.of(Map.of("id", UUID.randomUUID(),
                    "block", blocksSlotsAndValues[i], "slot", blocksSlotsAndValues[i + 1], "value", blocksSlotsAndValues[i + 2], "time",
                    "2026-01-01T00:00:00Z"))))).get("outcomes").get(0);
            assertThat(outcome.get("kept").asBoolean()).as(outcome.toString()).isTrue();
        }
    }

    /** Seals the prediction, with a choice and a sketch where one is asked for. */
    void seal() {
        keep("expect", "answer", Map.of("choice", 1), "expect", "sketch", Map.of("strokes", List.of(List.of(0, 0, 1, 1))),
                "expect", "seal", Map.of("sealed", true));
    }

    /** Types a number into every cell of a table, so that its rows are complete. */
    void fill(String table) {
        student.fill(work, table);
    }
}
