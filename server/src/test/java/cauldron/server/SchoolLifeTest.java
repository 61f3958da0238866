package cauldron.server;

import static org.assertj.core.api.Assertions.assertThat;

import cauldron.server.accounts.WaysIn;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

/** Accounts, classes and rosters, as a school lives with them. */
@ExtendWith(ServerExtension.class)
class SchoolLifeTest {

    private static String unique(String base) {
        return base + " " + UUID.randomUUID().toString().substring(0, 6);
    }

    private static Visitor fresh() {
        Visitor visitor = new Visitor();
        visitor.get("/api/me");
        return visitor;
    }

    private static Visitor joined(String code, String name) {
        Visitor student = fresh();
        HttpResponse<String> answer = student.post("/api/join", Map.of("code", code, "displayName", name, "secret", "eight-chars"));
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(200);
        return student;
    }

    private static JsonNode newClass(Visitor teacher) {
        return Visitor.read(teacher.post("/api/classes", Map.of("name", unique("Room"))));
    }

    private static JsonNode inRoster(JsonNode roster, String name) {
        for (JsonNode s : roster.get("students")) {
            if (s.get("displayName").asString().equals(name)) {
                return s;
            }
        }
        throw new AssertionError("no " + name + " in " + roster);
    }

    private static String text(byte[] pdf) throws IOException {
        try (PDDocument document = Loader.loadPDF(pdf)) {
            return new PDFTextStripper().getText(document);
        }
    }

    @Test
    void aNewSchoolsFirstAdministratorGetsInByAOneTimeCode() {
        JdbcTemplate sql = ServerExtension.bean(JdbcTemplate.class);
        // The demo school has an administrator; for this test it is as if there were none yet.
        sql.update("update account set role = 'TEACHER' where role = 'ADMINISTRATOR'");
        try {
            String code = ServerExtension.bean(WaysIn.class).makeFirst().code();
            String newer = ServerExtension.bean(WaysIn.class).makeFirst().code();
            Visitor first = fresh();
            assertThat(first.post("/api/enter/look", Map.of("code", code)).statusCode()).as("an older code").isEqualTo(400);
            assertThat(Visitor.read(first.post("/api/enter/look", Map.of("code", newer.toLowerCase()))).get("first").asBoolean()).isTrue();
            Map<String, String> form = Map.of("code", newer, "userName", "oona.first", "displayName", "Oona First", "secret", "three small boats");
            HttpResponse<String> in = first.post("/api/enter", form);
            assertThat(Visitor.read(in).at("/person/role").asString()).isEqualTo("ADMINISTRATOR");
            assertThat(first.get("/api/admin/people").statusCode()).isEqualTo(200);
            assertThat(fresh().post("/api/enter", form).statusCode()).as("a used code").isEqualTo(400);
            assertThat(ServerExtension.bean(WaysIn.class).makeFirst()).isNull();
        } finally {
            sql.update("update account set role = 'ADMINISTRATOR' where user_name = 'sigrun'");
        }
    }

    @Test
    void theAdministratorMakesTeachersWhoChooseTheirOwnSecrets() throws IOException {
        Visitor sigrun = Visitor.signedIn("sigrun");
        String name = unique("Hedvig Roe");
        Map<String, Object> list = Map.of("role", "TEACHER", "people", List.of(Map.of("displayName", name),
                Map.of("displayName", "Second " + name), Map.of("displayName", "\u200b"), Map.of("displayName", "Taken", "userName", "ines")));
        JsonNode preview = Visitor.read(sigrun.post("/api/admin/people/preview", list));
        assertThat(preview.get(0).get("problem").isNull()).isTrue();
        assertThat(preview.get(2).get("problem").asString()).contains("at least one letter");
        assertThat(preview.get(3).get("problem").asString()).contains("taken");
        assertThat(sigrun.post("/api/admin/people", list).statusCode()).as("nothing is made while a line is wrong").isEqualTo(400);
        JsonNode made = Visitor.read(sigrun.post("/api/admin/people", Map.of("role", "TEACHER", "people",
                List.of(Map.of("displayName", name))))).get(0);
        Visitor teacher = fresh();
        JsonNode found = Visitor.read(teacher.post("/api/enter/look", Map.of("code", made.get("code").asString())));
        assertThat(found.get("userName").asString()).isEqualTo(made.get("userName").asString());
        teacher.post("/api/enter", Map.of("code", made.get("code").asString(), "secret", "grey seal at noon"));
        assertThat(teacher.get("/api/teaching/classes").statusCode()).isEqualTo(200);

        String id = Visitor.read(sigrun.get("/api/admin/people?text=" + made.get("userName").asString())).get(0).get("id").asString();
        JsonNode reset = Visitor.read(sigrun.post("/api/admin/people/" + id + "/reset", Map.of()));
        assertThat(teacher.get("/api/teaching/classes").statusCode()).as("signed out").isEqualTo(401);
        assertThat(fresh().signIn(made.get("userName").asString(), "grey seal at noon").statusCode()).isEqualTo(401);
        Visitor again = fresh();
        again.post("/api/enter", Map.of("code", reset.get("code").asString(), "secret", "grey seal at dusk"));
        assertThat(again.get("/api/teaching/classes").statusCode()).isEqualTo(200);

        sigrun.post("/api/admin/people/" + id + "/active", Map.of("active", false));
        assertThat(again.get("/api/teaching/classes").statusCode()).isEqualTo(401);
        assertThat(fresh().signIn(made.get("userName").asString(), "grey seal at dusk").statusCode()).isEqualTo(409);
        sigrun.post("/api/admin/people/" + id + "/active", Map.of("active", true));
        assertThat(fresh().signIn(made.get("userName").asString(), "grey seal at dusk").statusCode()).isEqualTo(200);

        String acts = sigrun.get("/api/admin/acts").body();
        assertThat(acts).contains("made the teacher account", "reset the secret of", "switched off the account of", "Sigrun Aldous (sigrun)", name);
        assertThat(text(sigrun.postForBytes("/api/admin/people/slips", Map.of("slips", List.of(Map.of("displayName", name, "userName",
                made.get("userName").asString(), "code", reset.get("code").asString())))))).contains(name, reset.get("code").asString());
        for (String path : List.of("/api/admin/people", "/api/admin/acts")) {
            assertThat(Visitor.signedIn(made.get("userName").asString(), "grey seal at dusk").get(path).statusCode()).as(path)
                    .isEqualTo(403);
            assertThat(Visitor.signedIn("esi.lund").get(path).statusCode()).as(path).isEqualTo(403);
        }
    }

    @Test
    void theOnlyAdministratorStays() {
        Visitor sigrun = Visitor.signedIn("sigrun");
        ServerExtension.bean(JdbcTemplate.class).update("update account set active = false where role = 'ADMINISTRATOR' and user_name <> 'sigrun'");
        String id = Visitor.read(sigrun.get("/api/admin/people?text=sigrun")).get(0).get("id").asString();
        assertThat(sigrun.post("/api/admin/people/" + id + "/active", Map.of("active", false)).statusCode()).isEqualTo(409);
    }

    @Test
    void aTeacherLooksAfterARoster() throws IOException {
        Visitor ines = Visitor.signedIn("ines");
        JsonNode c = newClass(ines);
        String roster = "/api/classes/" + c.get("id").asString();
        for (int i = 0; i < 9; i++) {
            joined(c.get("code").asString(), "Pupil " + i);
        }
        Visitor nine = joined(c.get("code").asString(), "Pupil Nine");
        JsonNode pupil = inRoster(ines.json(roster + "/roster"), "Pupil Nine");
        String student = roster + "/students/" + pupil.get("id").asString();

        byte[] slips = ines.postForBytes(roster + "/slips", Map.of("students", List.of(), "codes", false));
        try (PDDocument document = Loader.loadPDF(slips)) {
            assertThat(document.getNumberOfPages()).as("ten slips, eight a page").isEqualTo(2);
        }
        assertThat(text(slips)).contains("Pupil Nine", pupil.get("userName").asString()).doesNotContain("One-time");

        String code = Visitor.read(ines.post(student + "/reset", Map.of())).get("code").asString();
        assertThat(nine.get("/api/assigned").statusCode()).isEqualTo(401);
        nine.post("/api/enter", Map.of("code", code, "secret", "new-secret-1"));
        assertThat(nine.get("/api/assigned").statusCode()).isEqualTo(200);
        assertThat(text(ines.postForBytes(roster + "/slips", Map.of("students", List.of(pupil.get("id").asString()), "codes", true))))
                .contains("One-time code");

        assertThat(inRoster(Visitor.read(ines.post(student + "/out", Map.of())), "Pupil Nine").get("leftAt").isNull()).isFalse();
        assertThat(Visitor.read(ines.post(student + "/back", Map.of())).get("students").size()).isEqualTo(10);
        assertThat(Visitor.read(ines.post(roster + "/name", Map.of("name", "Physics 12"))).get("name").asString()).isEqualTo("Physics 12");
        JsonNode other = Visitor.read(ines.post(roster + "/code", Map.of()));
        assertThat(other.get("code").asString()).isNotEqualTo(c.get("code").asString());
        ines.post(roster + "/joining", Map.of("open", false));
        assertThat(fresh().post("/api/join", Map.of("code", other.get("code").asString(), "displayName", "Late", "secret", "eight-chars"))
                .statusCode()).isEqualTo(409);
        ines.post(roster + "/archive", Map.of("archived", true));
        assertThat(nine.json("/api/assigned").size()).isZero();
        String acts = Visitor.signedIn("sigrun").get("/api/admin/acts").body();
        assertThat(acts).contains("took out of the class", "took back into the class", "gave a new code", "closed joining", "archived the class");
    }

    @Test
    void nobodyElseReachesARoster() {
        Visitor ines = Visitor.signedIn("ines");
        String id = newClass(ines).get("id").asString();
        Visitor tobiah = Visitor.signedIn("tobiah");
        assertThat(tobiah.get("/api/classes/" + id + "/roster").statusCode()).isEqualTo(404);
        for (String act : List.of("/code", "/students/" + UUID.randomUUID() + "/out", "/students/" + UUID.randomUUID() + "/reset")) {
            assertThat(tobiah.post("/api/classes/" + id + act, Map.of()).statusCode()).as(act).isEqualTo(404);
        }
        // Someone of another class can't be reached through one's own.
        String stranger = Visitor.signedIn("mirko.salt").json("/api/me").at("/person/id").asString();
        assertThat(ines.post("/api/classes/" + id + "/students/" + stranger + "/reset", Map.of()).statusCode()).isEqualTo(404);
    }

    @Test
    void aStudentMovesWithTheWork() {
        Room room = Room.of("ines", "The lamp keeper's clock");
        room.keep("expect", "answer", Map.of("choice", 1), "expect", "seal", Map.of("sealed", true), "why", "answer", Map.of("text", "mine"));
        JsonNode from = room.teacher().json("/api/teaching/assignments/" + room.assignment());
        String old = from.get("classId").asString();
        JsonNode to = newClass(room.teacher());
        String student = room.student().json("/api/me").at("/person/id").asString();
        assertThat(room.teacher().post("/api/classes/" + old + "/students/" + student + "/move",
                Map.of("classId", to.get("id").asString())).statusCode()).isEqualTo(200);
        assertThat(room.student().json("/api/works/" + room.work()).at("/notebook/why/answer/text").asString()).isEqualTo("mine");
        room.keep("why", "answer", Map.of("text", "mine, still"));
        JsonNode labs = room.student().json("/api/assigned");
        assertThat(labs.size()).isEqualTo(1);
        assertThat(labs.get(0).get("className").asString()).isEqualTo(to.get("name").asString());
        // Another student of that class doesn't get the lab with it.
        assertThat(joined(to.get("code").asString(), "Bystander").json("/api/assigned").size()).isZero();
    }

    @Test
    void aStudentWhoIsSomebodyJoinsASecondClass() {
        Visitor ines = Visitor.signedIn("ines");
        JsonNode one = newClass(ines);
        JsonNode two = newClass(Visitor.signedIn("tobiah"));
        Visitor student = joined(one.get("code").asString(), "Both Ways");
        String me = student.get("/api/me").body();
        assertThat(Visitor.read(student.post("/api/memberships", Map.of("code", two.get("code").asString().toLowerCase())))
                .get("className").asString()).isEqualTo(two.get("name").asString());
        assertThat(student.get("/api/me").body()).isEqualTo(me);
        assertThat(ines.post("/api/memberships", Map.of("code", two.get("code").asString())).statusCode()).isEqualTo(403);
    }

    @Test
    void everybodyChangesTheirOwnSecret() {
        JsonNode c = newClass(Visitor.signedIn("ines"));
        Visitor student = joined(c.get("code").asString(), "Changing Mind");
        String name = student.json("/api/me").at("/person/userName").asString();
        Visitor elsewhere = Visitor.signedIn(name, "eight-chars");
        assertThat(student.post("/api/me/secret", Map.of("current", "wrong-one", "secret", "another-one")).statusCode()).isEqualTo(400);
        assertThat(student.post("/api/me/secret", Map.of("current", "eight-chars", "secret", "ü".repeat(40))).body()).contains("80");
        assertThat(student.post("/api/me/secret", Map.of("current", "eight-chars", "secret", "another-one")).statusCode()).isEqualTo(200);
        assertThat(student.get("/api/assigned").statusCode()).isEqualTo(200);
        assertThat(elsewhere.get("/api/assigned").statusCode()).as("other sessions end").isEqualTo(401);
        assertThat(fresh().signIn(name, "eight-chars").statusCode()).isEqualTo(401);
        assertThat(fresh().signIn(name, "another-one").statusCode()).isEqualTo(200);
    }

    @Test
    void joiningUnderOneNameEightTimesAtOnceMakesOneAccount() {
        JsonNode c = newClass(Visitor.signedIn("ines"));
        List<Integer> statuses = java.util.stream.IntStream.range(0, 8).parallel().mapToObj(i -> fresh().post("/api/join",
                Map.of("code", c.get("code").asString(), "displayName", i % 2 == 0 ? "Same Name" : "same\u200b  name", "secret", "eight-chars"))
                .statusCode()).toList();
        List<Integer> sorted = new ArrayList<>(statuses);
        sorted.sort(null);
        assertThat(sorted).containsExactly(200, 400, 400, 400, 400, 400, 400, 400);
    }

    @Test
    void theDueTimeHasARule() {
        JdbcTemplate sql = ServerExtension.bean(JdbcTemplate.class);
        Room room = Room.of("ines", "The lamp keeper's clock");
        String list = "/api/teaching/assignments/" + room.assignment();
        assertThat(room.teacher().post(list + "/terms", Map.of("again", false, "dueAt", "2020-01-01T00:00:00Z",
                "lateRule", "CLOSED")).statusCode()).isEqualTo(200);
        Map<String, Object> entry = Map.of("id", UUID.randomUUID(), "block", "expect", "slot", "answer", "value", Map.of("choice", 1), "time", "");
        HttpResponse<String> refused = room.student().post("/api/works/" + room.work() + "/entries", Map.of("entries", List.of(entry)));
        assertThat(refused.statusCode()).isEqualTo(409);
        assertThat(refused.body()).contains("closed");
        assertThat(room.teacher().post("/api/works/" + room.work() + "/reopening", Map.of()).statusCode()).isEqualTo(200);
        room.keep("expect", "answer", Map.of("choice", 1));
        room.teacher().post(list + "/terms", Map.of("again", false, "dueAt", "2020-01-01T00:00:00Z", "lateRule",
                "MARKED"));
        assertThat(room.student().post("/api/works/" + room.work() + "/submission", Map.of()).statusCode()).isEqualTo(204);
        assertThat(room.teacher().json(list).get("students").get(0).get("late").asBoolean()).isTrue();
        room.teacher().post(list + "/terms", Map.of("again", false, "dueAt", "2020-01-01T00:00:00Z", "lateRule",
                "OPEN"));
        assertThat(room.teacher().json(list).get("students").get(0).get("late").asBoolean()).isFalse();
        assertThat(room.teacher().delete(list).statusCode()).isEqualTo(200);
        assertThat(room.student().get("/api/works/" + room.work()).statusCode()).isEqualTo(404);
        assertThat(sql.queryForObject("select count(*) from entry where work_id = cast(? as uuid)", Integer.class, room.work())).isPositive();
    }
}
