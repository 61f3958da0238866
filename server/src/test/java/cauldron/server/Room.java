package cauldron.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import tools.jackson.databind.JsonNode;

/** A fresh class with one student at work on one lab. */
record Room(Visitor teacher, Visitor student, String assignment, String work) {

    static Room of(String teacherName, String title) {
        Visitor teacher = Visitor.signedIn(teacherName);
        JsonNode made = Visitor.read(teacher.post("/api/classes", Map.of("name", "Room " + UUID.randomUUID())));
        String lab = teacher.lab(title);
        String assignment = Visitor.read(teacher.post("/api/teaching/assignments",
                Map.of("classId", made.get("id").asString(), "labId", lab, "dueAt", "2099-01-01T08:00:00Z")))
                .get("id").asString();
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
                    "2026-01-01T00:00:00Z"))))).get(0);
            assertThat(outcome.get("kept").asBoolean()).as(outcome.toString()).isTrue();
        }
    }
}
