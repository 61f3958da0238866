package cauldron.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** On which terms labs are given, what becomes of them when the lab changes, and trying one. */
@ExtendWith(ServerExtension.class)
class GivingTest {

    private static final JdbcTemplate DATABASE = ServerExtension.bean(JdbcTemplate.class);
    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final Map<String, Object> WRONG = Map.of("block", "g", "number", "3", "unit", "m/s²");

    private final Visitor ines = Visitor.signedIn("ines");

    private static String in(long hours) {
        return Instant.now().plus(hours, ChronoUnit.HOURS).truncatedTo(ChronoUnit.SECONDS).toString();
    }

    private JsonNode newClass() {
        return Visitor.read(ines.post("/api/classes", Map.of("name", "Terms " + UUID.randomUUID())));
    }

    private static Visitor joined(JsonNode klass) {
        Visitor student = new Visitor();
        student.get("/api/me");
        assertThat(student.post("/api/join", Map.of("code", klass.get("code").asString(), "displayName",
                "Learner " + UUID.randomUUID().toString().substring(0, 8), "secret", "eight-chars")).statusCode())
                .isEqualTo(200);
        return student;
    }

    private static String begin(Visitor student, String assignment) {
        return Visitor.read(student.post("/api/assigned/" + assignment + "/work", Map.of())).get("workId").asString();
    }

    private void terms(String assignment, Object... namesAndValues) {
        Map<String, Object> terms = new LinkedHashMap<>(Map.of("lateRule", "MARKED", "again", false));
        for (int i = 0; i < namesAndValues.length; i += 2) {
            terms.put((String) namesAndValues[i], namesAndValues[i + 1]);
        }
        assertThat(ines.post("/api/teaching/assignments/" + assignment + "/terms", terms).statusCode()).isEqualTo(200);
    }

    private String copyOf(String title) {
        return Visitor.read(ines.post("/api/drafts", Map.of("labId", ines.lab(title)))).get("id").asString();
    }

    private void retitle(String lab, String title) {
        JsonNode draft = ines.json("/api/drafts/" + lab);
        Map<String, Object> sheet = JSON.convertValue(draft.get("sheet"), new TypeReference<>() { });
        sheet.put("title", title);
        HttpResponse<String> kept = ines.put("/api/drafts/" + lab,
                Map.of("sheet", sheet, "seen", draft.get("number").asInt()));
        assertThat(kept.statusCode()).as(kept.body()).isEqualTo(200);
    }

    private void publish(String lab) {
        assertThat(ines.post("/api/drafts/" + lab + "/versions", Map.of()).statusCode()).isEqualTo(200);
    }

    @Test
    void severalClassesGetALabAtOnceEachWithItsTimesOrNoneDoes() {
        JsonNode first = newClass();
        JsonNode second = newClass();
        String lab = ines.lab("The lamp keeper's clock");
        JsonNode given = Visitor.read(ines.post("/api/teaching/assignments", Map.of("labId", lab, "classes", List.of(
                Map.of("classId", first.get("id").asString(), "dueAt", in(24)),
                Map.of("classId", second.get("id").asString(), "openAt", in(48), "dueAt", in(72))))));
        assertThat(given).hasSize(2);
        JsonNode early = joined(first).json("/api/assigned").get(0);
        assertThat(early.get("state").asString()).isEqualTo("not-started");
        Visitor later = joined(second);
        JsonNode late = later.json("/api/assigned").get(0);
        assertThat(late.get("state").asString()).isEqualTo("waiting");
        assertThat(Instant.parse(late.get("openAt").asString())).isAfter(Instant.parse(early.get("dueAt").asString()));
        HttpResponse<String> refused = later.post("/api/assigned/" + late.get("id").asString() + "/work", Map.of());
        assertThat(refused.statusCode()).isEqualTo(409);
        assertThat(refused.body()).contains("isn't open yet");
        terms(late.get("id").asString(), "openAt", in(-1));
        begin(later, late.get("id").asString());

        String others = Visitor.signedIn("tobiah").json("/api/classes").get(0).get("id").asString();
        JsonNode third = newClass();
        assertThat(ines.post("/api/teaching/assignments", Map.of("labId", lab, "classes", List.of(
                Map.of("classId", third.get("id").asString()), Map.of("classId", others)))).statusCode())
                        .isEqualTo(404);
        assertThat(joined(third).json("/api/assigned")).as("neither has it").isEmpty();
    }

    @Test
    void termsThatContradictThemselvesAreRefusedByField() {
        String own = newClass().get("id").asString();
        String lab = ines.lab("The lamp keeper's clock");
        Object[][] wrong = {
            {Map.of("classId", own, "openAt", in(3), "dueAt", in(2)), 3, "openAt"},
            {Map.of("classId", own, "dueAt", in(-2)), 3, "dueAt"},
            {Map.of("classId", own, "openAt", "9999-01-01T00:00:00Z"), 3, "openAt"},
            {Map.of("classId", own), 0, "tries"}, {Map.of("classId", own), 21, "tries"},
        };
        for (Object[] one : wrong) {
            HttpResponse<String> answer = ines.post("/api/teaching/assignments",
                    Map.of("labId", lab, "classes", List.of(one[0]), "tries", one[1]));
            assertThat(answer.statusCode()).isEqualTo(400);
            assertThat(Visitor.read(answer).get("field").asString()).isEqualTo(one[2]);
        }
        assertThat(ines.post("/api/teaching/assignments", Map.of("labId", lab, "classes", List.of())).statusCode())
                .isEqualTo(400);
        assertThat(ines.post("/api/teaching/assignments", Map.of("labId", lab, "classes",
                List.of(Map.of("classId", own), Map.of("classId", own)))).body()).contains("one is there twice");
    }

    @Test
    void oneStudentHasMoreTimeThanTheOthers() {
        Room room = Room.of("ines", "The lamp keeper's clock");
        terms(room.assignment(), "dueAt", in(-1), "lateRule", "CLOSED");
        Map<String, Object> entry = Map.of("entries", List.of(Map.of("id", UUID.randomUUID(), "block", "expect", "slot",
                "answer", "value", Map.of("choice", 1), "time", "")));
        assertThat(room.student().post("/api/works/" + room.work() + "/entries", entry).statusCode()).isEqualTo(409);
        JsonNode line = room.teacher().json("/api/teaching/assignments/" + room.assignment()).get("students").get(0);
        Map<String, Object> more = Map.of("studentId", line.get("studentId").asString(), "dueAt", in(5));
        String path = "/api/teaching/assignments/" + room.assignment() + "/extensions";
        assertThat(room.teacher().post(path, more).statusCode()).isEqualTo(200);
        assertThat(room.student().post("/api/works/" + room.work() + "/entries", entry).statusCode()).isEqualTo(200);
        JsonNode mine = room.student().json("/api/assigned").get(0);
        assertThat(mine.get("closed").asBoolean()).isFalse();
        assertThat(mine.get("dueAt").asString()).isEqualTo(more.get("dueAt"));
        assertThat(room.student().json("/api/works/" + room.work()).get("dueAt").asString())
                .isEqualTo(more.get("dueAt"));
        JsonNode listed = room.teacher().json("/api/teaching/assignments/" + room.assignment()).get("students").get(0);
        assertThat(listed.get("dueAt").asString()).isEqualTo(more.get("dueAt"));
        assertThat(listed.get("late").asBoolean()).isFalse();
        assertThat(room.teacher().post(path, Map.of("studentId", more.get("studentId"), "dueAt", in(-2))).body())
                .contains("later than for all others");
        terms(room.assignment(), "dueAt", in(9), "lateRule", "CLOSED");
        assertThat(Instant.parse(room.student().json("/api/works/" + room.work()).get("dueAt").asString()))
                .as("nobody has less time than the others").isAfter(Instant.parse((String) more.get("dueAt")));
        terms(room.assignment(), "dueAt", in(-1), "lateRule", "CLOSED");
        assertThat(Visitor.signedIn("tobiah").post(path, more).statusCode()).isEqualTo(404);
        assertThat(room.teacher().post(path, Map.of("studentId", UUID.randomUUID(), "dueAt", in(5))).statusCode())
                .as("nobody of this class").isEqualTo(404);
        assertThat(room.teacher().post(path, Map.of("studentId", more.get("studentId"))).statusCode()).isEqualTo(200);
        assertThat(room.student().json("/api/assigned").get(0).get("closed").asBoolean()).isTrue();
    }

    @Test
    void whatIsHandedInIsTakenBackWhereTheTermsSaySoUntilItIsDueOrMarked() {
        Room room = Room.of("ines", "The lamp keeper's clock");
        String work = "/api/works/" + room.work();
        assertThat(room.student().post(work + "/submission", Map.of()).statusCode()).isEqualTo(204);
        assertThat(room.student().json(work).get("takesBack").asBoolean()).isFalse();
        assertThat(room.student().post(work + "/taking-back", Map.of()).statusCode()).isEqualTo(409);
        terms(room.assignment(), "again", true, "dueAt", in(2));
        assertThat(room.student().json(work).get("takesBack").asBoolean()).isTrue();
        assertThat(Visitor.signedIn("arlo.venn").post(work + "/taking-back", Map.of()).statusCode()).isEqualTo(404);
        assertThat(room.student().post(work + "/taking-back", Map.of()).statusCode()).isEqualTo(204);
        room.keep("expect", "answer", Map.of("choice", 2));
        room.student().post(work + "/submission", Map.of());
        terms(room.assignment(), "again", true, "dueAt", in(-1));
        JsonNode line = room.teacher().json("/api/teaching/assignments/" + room.assignment()).get("students").get(0);
        assertThat(line.get("late").asBoolean()).as("handed in again after it was due").isTrue();
        assertThat(room.student().post(work + "/taking-back", Map.of()).statusCode()).isEqualTo(409);
        terms(room.assignment(), "again", true);
        room.teacher().post(work + "/marks", Map.of("block", "why", "points", 2, "comment", ""));
        assertThat(room.student().post(work + "/taking-back", Map.of()).body()).contains("begun to mark");
    }

    @Test
    void triesAreAsManyAsTheTermsSay() {
        Room room = Room.of("ines", "The lamp keeper's clock");
        String work = "/api/works/" + room.work();
        room.seal();
        room.fill("readings");
        terms(room.assignment(), "tries", 1);
        assertThat(Visitor.read(room.student().post(work + "/checks", WRONG)).get("left").asInt()).isZero();
        room.student().post(work + "/checks", Map.of("block", "g", "number", "9.81", "unit", "m/s²"));
        assertThat(room.student().json(work).at("/score/points").asDouble()).as("the one try is used up").isZero();
        terms(room.assignment(), "tries", 3);
        assertThat(Visitor.read(room.student().post(work + "/checks",
                Map.of("block", "g", "number", "9.82", "unit", "m/s²"))).get("left").asInt()).isZero();
        assertThat(room.student().json(work).at("/score/points").asDouble()).isEqualTo(4);
    }

    @Test
    void whoIsAtWorkStaysWithTheirVersionAndTheOthersAreMovedByOnePress() {
        String lab = copyOf("The lamp keeper's clock");
        retitle(lab, "The first");
        publish(lab);
        JsonNode klass = newClass();
        String assignment = Visitor.read(ines.post("/api/teaching/assignments", Map.of("labId", lab, "classes",
                List.of(Map.of("classId", klass.get("id").asString()))))).get(0).get("id").asString();
        Visitor early = joined(klass);
        String begun = begin(early, assignment);
        retitle(lab, "The second");
        assertThat(ines.json("/api/teaching/assignments/" + assignment).get("newer").asBoolean()).isFalse();
        publish(lab);
        assertThat(ines.json("/api/teaching/assignments/" + assignment).get("newer").asBoolean()).isTrue();
        Visitor late = joined(klass);
        assertThat(late.json("/api/assigned").get(0).get("title").asString()).isEqualTo("The first");
        assertThat(Visitor.signedIn("tobiah").post("/api/teaching/assignments/" + assignment + "/version", Map.of())
                .statusCode()).isEqualTo(404);
        assertThat(ines.post("/api/teaching/assignments/" + assignment + "/version", Map.of()).statusCode())
                .isEqualTo(200);
        assertThat(late.json("/api/assigned").get(0).get("title").asString()).isEqualTo("The second");
        assertThat(late.json("/api/works/" + begin(late, assignment)).at("/sheet/title").asString())
                .isEqualTo("The second");
        assertThat(early.json("/api/works/" + begun).at("/sheet/title").asString()).isEqualTo("The first");
        assertThat(early.json("/api/assigned").get(0).get("title").asString()).isEqualTo("The first");
        JsonNode list = ines.json("/api/teaching/assignments/" + assignment);
        assertThat(list.get("newer").asBoolean()).isFalse();
        assertThat(list.get("students").valueStream().filter(s -> s.get("earlier").asBoolean()).count()).isEqualTo(1);
    }

    @Test
    void aTryIsWorkedThroughAndHandedInAndIsInNoListOfAnyClass() {
        String lab = copyOf("The lamp keeper's clock");
        retitle(lab, "Only tried");
        String work = tried(lab, true);
        JsonNode page = ines.json("/api/works/" + work);
        assertThat(page.get("own").asBoolean()).isTrue();
        assertThat(page.get("tryOf").asString()).isEqualTo(lab);
        assertThat(page.at("/sheet/title").asString()).as("what is written, not given yet").isEqualTo("Only tried");
        Room own = new Room(ines, ines, page.get("assignmentId").asString(), work);
        own.seal();
        own.fill("readings");
        assertThat(ines.post("/api/works/" + work + "/checks", WRONG).statusCode()).isEqualTo(200);
        assertThat(ines.post("/api/works/" + work + "/trials", Map.of("id", UUID.randomUUID(), "block", "films",
                "chosen",
                Map.of("cord", "tern", "release", "keel", "bob", "m120"))).statusCode()).isEqualTo(200);
        assertThat(ines.post("/api/works/" + work + "/submission", Map.of()).statusCode()).isEqualTo(204);
        assertThat(ines.json("/api/teaching/classes").toString()).as("no class knows of it").contains("Physics 10")
                .doesNotContain(own.assignment(), "Only tried");
        assertThat(ines.get("/api/teaching/assignments/" + page.get("assignmentId").asString()).statusCode())
                .isEqualTo(404);
        for (String other : List.of("tobiah", "arlo.venn", "sigrun")) {
            assertThat(Visitor.signedIn(other).get("/api/works/" + work).statusCode()).as(other).isEqualTo(404);
        }
        assertThat(Visitor.signedIn("arlo.venn").post("/api/assigned/" + page.get("assignmentId").asString() + "/work",
                Map.of()).statusCode()).isEqualTo(404);
        assertThat(ines.post("/api/works/" + work + "/marks", Map.of("block", "why", "points", 4, "comment", ""))
                .statusCode()).as("nobody marks it").isEqualTo(404);

        String again = tried(lab, true);
        assertThat(again).isNotEqualTo(work);
        assertThat(ines.get("/api/works/" + work).statusCode()).as("the one before is gone").isEqualTo(404);
        assertThat(DATABASE.queryForObject("select count(*) from entry where work_id = cast(? as uuid)", Integer.class,
                work))
                .isZero();
        assertThat(DATABASE.queryForObject("select count(*) from lab_version where number is null and lab_id ="
                + " cast(? as uuid)", Integer.class, lab)).as("one state is tried at a time").isEqualTo(1);
        assertThat(ines.json("/api/works/" + again).get("notebook")).isEmpty();
    }

    @Test
    @SuppressWarnings("unchecked")
    void theTeachersExampleIsFilmedInATryAndByNoStudent() {
        String lab = copyOf("The lamp keeper's clock");
        JsonNode draft = ines.json("/api/drafts/" + lab);
        Map<String, Object> sheet = JSON.convertValue(draft.get("sheet"), new TypeReference<>() { });
        for (Map<String, Object> part : (List<Map<String, Object>>) sheet.get("parts")) {
            for (Map<String, Object> block : (List<Map<String, Object>>) part.get("blocks")) {
                if (block.get("type").equals("films")) {
                    List<Map<String, Object>> choices = (List<Map<String, Object>>) block.get("choices");
                    ((List<Map<String, Object>>) choices.get(0).get("options")).get(0).put("demonstration", true);
                }
            }
        }
        sheet.put("scheme", Map.of("completeness", 50, "spotCheck", List.of("g", "gone")));
        JsonNode kept = Visitor.read(ines.put("/api/drafts/" + lab, Map.of("sheet", sheet, "seen", 1)));
        assertThat(kept.get("faults").toString()).contains("there is no block “gone”");
        sheet.put("scheme", Map.of("completeness", 50, "spotCheck", List.of("g")));
        assertThat(Visitor.read(ines.put("/api/drafts/" + lab, Map.of("sheet", sheet, "seen", 2))).get("faults"))
                .isEmpty();
        publish(lab);
        Map<String, Object> example = Map.of("id", UUID.randomUUID(), "block", "films", "chosen",
                Map.of("cord", "tern", "release", "keel", "bob", "m120"));
        assertThat(ines.post("/api/works/" + tried(lab, false) + "/trials", example).statusCode()).as("after the seal")
                .isEqualTo(409);
        Room own = new Room(ines, ines, "", tried(lab, false));
        own.seal();
        assertThat(ines.post("/api/works/" + own.work() + "/trials", example).statusCode()).isEqualTo(200);
        Room room = Room.ofLab("ines", lab);
        room.seal();
        HttpResponse<String> refused = room.student().post("/api/works/" + room.work() + "/trials",
                Map.of("id", UUID.randomUUID(), "block", "films", "chosen", example.get("chosen")));
        assertThat(refused.statusCode()).isEqualTo(400);
        assertThat(refused.body()).contains("your teacher's example");
    }

    @Test
    void onlySoundLabsThatOneMayReadAreTried() {
        String lab = copyOf("The lamp keeper's clock");
        assertThat(ines.post("/api/teaching/tries", Map.of("labId", lab, "asWritten", false)).statusCode())
                .as("no version yet").isEqualTo(404);
        assertThat(Visitor.signedIn("tobiah").post("/api/teaching/tries", Map.of("labId", lab, "asWritten", true))
                .statusCode()).isEqualTo(404);
        retitle(lab, "");
        HttpResponse<String> faulty = ines.post("/api/teaching/tries", Map.of("labId", lab, "asWritten", true));
        assertThat(faulty.statusCode()).isEqualTo(409);
        assertThat(faulty.body()).contains("title");
        String shipped = ines.lab("The lamp keeper's clock");
        assertThat(ines.post("/api/teaching/tries", Map.of("labId", shipped, "asWritten", true)).statusCode())
                .as("nobody writes a shipped lab").isEqualTo(404);
        assertThat(ines.json("/api/works/" + tried(shipped, false)).get("own").asBoolean()).isTrue();
        assertThat(Visitor.signedIn("esi.lund").post("/api/teaching/tries", Map.of("labId", shipped, "asWritten",
                false))
                .statusCode()).isEqualTo(403);
    }

    private String tried(String lab, boolean asWritten) {
        HttpResponse<String> begun = ines.post("/api/teaching/tries", Map.of("labId", lab, "asWritten", asWritten));
        assertThat(begun.statusCode()).as(begun.body()).isEqualTo(200);
        return Visitor.read(begun).get("workId").asString();
    }
}
