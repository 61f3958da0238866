package cauldron.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** A lab of a class marked question by question. */
@ExtendWith(ServerExtension.class)
class QuestionsTest {

    private final Visitor ines = Visitor.signedIn("ines");
    private final Map<String, Visitor> students = new LinkedHashMap<>();
    private final Map<String, String> works = new LinkedHashMap<>();
    private String at;

    /** A class of four with the lamp keeper's lab: three have answered, the last has only looked. */
    @BeforeEach
    void aClassAtWork() {
        JsonNode klass = Visitor.read(ines.post("/api/classes", Map.of("name", "Marked " + UUID.randomUUID())));
        JsonNode given = Visitor.read(ines.post("/api/teaching/assignments", Map.of("labId",
                ines.lab("The lamp keeper's clock"), "classes", List.of(Map.of("classId", klass.get("id")
                        .asString())))));
        String assignment = given.get(0).get("id").asString();
        at = "/api/teaching/assignments/" + assignment + "/questions";
        for (String name : List.of("Abe", "Bea", "Cleo", "Dov")) {
            Visitor student = new Visitor();
            student.get("/api/me");
            student.post("/api/join", Map.of("code", klass.get("code").asString(), "displayName",
                    name + " " + UUID.randomUUID().toString().substring(0, 8), "secret", "eight-chars"));
            students.put(name, student);
            works.put(name, Visitor.read(student.post("/api/assigned/" + assignment + "/work", Map.of())).get("workId")
                    .asString());
        }
        explain("Abe", "The mass doesn't matter.");
        explain("Bea", "  Heavier bobs are pulled more, and are harder to move.  ");
        explain("Cleo", "No idea.");
        for (String name : List.of("Abe", "Bea")) {
            assertThat(students.get(name).post("/api/works/" + works.get(name) + "/submission", Map.of()).statusCode())
                    .isEqualTo(204);
        }
    }

    private void explain(String name, String text) {
        Visitor student = students.get(name);
        List<Map<String, Object>> entries = new ArrayList<>();
        entries.add(entry("expect", "answer", Map.of("choice", 1)));
        entries.add(entry("expect", "seal", Map.of("sealed", true)));
        entries.add(entry("why", "answer", Map.of("text", text)));
        JsonNode kept = Visitor.read(student.post("/api/works/" + works.get(name) + "/entries", Map.of("entries",
                entries)));
        assertThat(kept.get("outcomes").get(2).get("kept").asBoolean()).as(kept.toString()).isTrue();
    }

    private static Map<String, Object> entry(String block, String slot, Object value) {
        return Map.of("id", UUID.randomUUID(), "block", block, "slot", slot, "value", value, "time", Instant.now()
                .toString());
    }

    private JsonNode line(String block) {
        for (JsonNode q : ines.json(at).get("questions")) {
            if (q.get("block").asString().equals(block)) {
                return q;
            }
        }
        throw new AssertionError("no question " + block);
    }

    private JsonNode answerOf(String name) {
        for (JsonNode a : ines.json(at + "/why").get("answers")) {
            if (a.get("workId").asString().equals(works.get(name))) {
                return a;
            }
        }
        throw new AssertionError("no answer of " + name);
    }

    private HttpResponse<String> mark(Object points, String comment, String... names) {
        return ines.post(at + "/why/marks", Map.of("works", List.of(names).stream().map(works::get).toList(), "points",
                points, "comment", comment));
    }

    @Test
    void everyQuestionThatBringsPointsIsListedWithWhatWaits() {
        JsonNode why = line("why");
        assertThat(why.get("byHand").asBoolean()).isTrue();
        assertThat(why.get("answered").asInt()).isEqualTo(3);
        assertThat(why.get("toMark").asInt()).as("handed in ones").isEqualTo(2);
        JsonNode g = line("g");
        assertThat(g.get("byHand").asBoolean()).isFalse();
        assertThat(g.get("toMark").asInt()).isZero();
        assertThat(ines.json(at).get("questions").toString()).doesNotContain("\"points\":0");
    }

    @Test
    void allAnswersStandTogetherInAnOrderThatStaysAndThatNamesDontTell() {
        JsonNode first = ines.json(at + "/why");
        assertThat(first.get("answers")).hasSize(4);
        assertThat(ines.json(at + "/why").get("answers").toString()).isEqualTo(first.get("answers").toString());
        assertThat(answerOf("Bea").get("text").asString())
                .isEqualTo("Heavier bobs are pulled more, and are harder to move.");
        assertThat(answerOf("Cleo").get("submitted").asBoolean()).isFalse();
        assertThat(answerOf("Dov").get("text").asString()).isEmpty();
        assertThat(first.get("shown").get("type").asString()).isEqualTo("explanation");
        JsonNode g = ines.json(at + "/g");
        assertThat(g.get("shown").has("key")).isFalse();
        assertThat(g.get("right").get(0).asString()).startsWith("Right: ");
        assertThat(g.get("slips").get(0).asString()).startsWith("Slip, ");
    }

    @Test
    void howAQuestionWentIsToldWithWhatToTalkAbout() {
        Map<String, List<String>> said = Map.of("Abe", List.of("98.1", "9.81"), "Bea", List.of("98.1"), "Dov",
                List.of("9.81"));
        for (String name : List.of("Abe", "Bea")) {
            assertThat(ines.post("/api/works/" + works.get(name) + "/reopening", Map.of()).statusCode())
                    .isLessThan(300);
        }
        explain("Dov", "Not sure.");
        said.forEach((name, numbers) -> numbers.forEach(number -> {
            Visitor student = students.get(name);
            student.fill(works.get(name), "readings");
            HttpResponse<String> checked = student.post("/api/works/" + works.get(name) + "/checks", Map.of("block",
                    "g",
                    "number", number, "unit", "m/s²"));
            assertThat(checked.statusCode()).as(checked.body()).isEqualTo(200);
        }));
        JsonNode went = ines.json(at + "/g").get("went");
        assertThat(went.get("tried").asInt()).isEqualTo(3);
        assertThat(went.get("rightAtFirst").asInt()).isEqualTo(1);
        assertThat(went.get("rightAtLast").asInt()).isEqualTo(2);
        assertThat(went.get("medianTries").asDouble()).isEqualTo(1);
        assertThat(went.get("slips").get(0).get("students").asInt()).isEqualTo(2);
        assertThat(ines.json(at).get("talkAbout").get(0).asString())
                .contains("1 of 3 were right at first and 2 in the end; "
                + "2 met this: ");
        assertThat(ines.json(at + "/why").get("went").get("tried").asInt()).as("nothing is checked there").isZero();
        assertThat(ines.json(at + "/why").get("went").get("spread").isEmpty()).isTrue();
        JsonNode spread = went.get("spread");
        assertThat(spread.size()).as("the last answer of each").isEqualTo(3);
        assertThat(spread.get(0).get("right").asBoolean()).isTrue();
        assertThat(Math.abs(spread.get(1).get("off").asDouble())).isLessThan(went.get("band").asDouble());
        assertThat(spread.get(2).get("off").asDouble()).as("ten times too much").isBetween(8.5, 9.5);
        assertThat(spread.get(2).get("right").asBoolean()).isFalse();
        assertThat(spread.toString()).as("no names").doesNotContain("Abe").doesNotContain(works.get("Abe"));
    }

    @Test
    void severalAreMarkedAtOnceOrNone() {
        assertThat(mark(2, "Say why.", "Abe", "Bea").statusCode()).isEqualTo(204);
        assertThat(answerOf("Abe").get("mark").get("points").asDouble()).isEqualTo(2);
        assertThat(answerOf("Bea").get("mark").get("comment").asString()).isEqualTo("Say why.");
        assertThat(line("why").get("toMark").asInt()).isZero();
        assertThat(students.get("Abe").json("/api/works/" + works.get("Abe")).get("marks").get("why").get("points")
                .asDouble()).isEqualTo(2);
        HttpResponse<String> tooMany = mark(5, "", "Abe", "Bea");
        assertThat(tooMany.statusCode()).isEqualTo(400);
        assertThat(Visitor.read(tooMany).get("field").asString()).isEqualTo("points");
        works.put("other", Room.of("ines", "The coal run").work());
        assertThat(mark(1, "", "Abe", "other").statusCode()).as("of another lab").isEqualTo(404);
        assertThat(answerOf("Abe").get("mark").get("points").asDouble()).as("as before").isEqualTo(2);
    }

    @Test
    void whatATeacherSaysOftenIsOfferedFirst() {
        String often = "Which force? " + UUID.randomUUID();
        String once = "Half a sentence. " + UUID.randomUUID();
        mark(1, once, "Cleo");
        mark(1, often, "Abe", "Bea");
        List<String> bank = new ArrayList<>();
        ines.json(at + "/why").get("comments").forEach(c -> bank.add(c.asString()));
        assertThat(bank).contains(often, once).hasSizeLessThanOrEqualTo(12);
        assertThat(bank.indexOf(often)).isLessThan(bank.indexOf(once));
        assertThat(Visitor.signedIn("tobiah").json("/api/teaching/classes").toString()).doesNotContain(often);
    }

    @Test
    void badMarksAreRefusedInWordsAndNobodyElseGetsIn() {
        assertThat(mark("many", "", "Abe").statusCode()).isEqualTo(400);
        assertThat(mark(-1, "", "Abe").statusCode()).isEqualTo(400);
        HttpResponse<String> nobody = ines.post(at + "/why/marks", Map.of("works", List.of(), "points", 1, "comment",
                ""));
        assertThat(nobody.statusCode()).isEqualTo(400);
        assertThat(nobody.body()).contains("Choose whose answers to mark");
        assertThat(mark(1, "x".repeat(4001), "Abe").body()).contains("at most 4000 characters");
        assertThat(ines.get(at + "/missing").statusCode()).isEqualTo(404);
        assertThat(ines.get(at + "/expect").statusCode()).as("brings no points").isEqualTo(404);
        for (Visitor other : List.of(Visitor.signedIn("tobiah"), students.get("Abe"))) {
            int refused = other == students.get("Abe") ? 403 : 404;
            assertThat(other.get(at).statusCode()).isEqualTo(refused);
            assertThat(other.get(at + "/why").statusCode()).isEqualTo(refused);
            assertThat(other.post(at + "/why/marks", Map.of("works", List.of(works.get("Bea")), "points", 4, "comment",
                    ""))
                    .statusCode()).isEqualTo(refused);
        }
        assertThat(answerOf("Abe").has("mark") && !answerOf("Abe").get("mark").isNull()).isFalse();
    }

    @Test
    void whoHasHandedInReadsWhatTheClassFoundHardAndWhatComesNext() {
        for (String name : List.of("Abe", "Bea")) {
            ines.post("/api/works/" + works.get(name) + "/reopening", Map.of());
        }
        explain("Dov", "Not sure.");
        for (String name : List.of("Abe", "Bea", "Dov")) {
            Visitor student = students.get(name);
            student.fill(works.get(name), "readings");
            student.post("/api/works/" + works.get(name) + "/checks",
                    Map.of("block", "g", "number", "98.1", "unit", "m/s²"));
        }
        String at = "/api/works/" + works.get("Abe");
        Visitor abe = students.get("Abe");
        assertThat(abe.json(at + "/afterwards").get("hard").isEmpty()).as("still at work").isTrue();
        abe.post(at + "/submission", Map.of());
        assertThat(abe.json(at + "/afterwards").get("hard").get(0).asString()).contains("0 of 3 were right at first");
        assertThat(abe.json(at + "/afterwards").get("next").isNull()).as("nothing else is given").isTrue();
        JsonNode bea = students.get("Bea").json("/api/works/" + works.get("Bea") + "/afterwards");
        assertThat(bea.get("next").get("title").asString()).isEqualTo("The lamp keeper's clock");
        for (Visitor stranger : List.of(ines, students.get("Bea"), Visitor.signedIn("tobiah"))) {
            assertThat(stranger.get(at + "/afterwards").statusCode()).isEqualTo(404);
        }
    }
}
