package cauldron.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** Who may see and do what, over real HTTP. */
@ExtendWith(ServerExtension.class)
class AccessTest {

    private static JsonNode klass(Visitor teacher, String name) {
        for (JsonNode c : teacher.json("/api/teaching/classes")) {
            if (c.get("name").asString().equals(name)) {
                return c;
            }
        }
        throw new AssertionError("no class " + name);
    }

    /** A work of Physics 10 that is under way, with its student's user name. */
    private static JsonNode working(Visitor ines) {
        String assignment = klass(ines, "Physics 10").get("labs").get(0).get("id").asString();
        for (JsonNode s : ines.json("/api/teaching/assignments/" + assignment).get("students")) {
            if (s.get("state").asString().equals("working")) {
                return s;
            }
        }
        throw new AssertionError("nobody is working");
    }

    @Test
    void nobodyGetsInWithoutSigningIn() {
        Visitor stranger = new Visitor();
        for (String path : List.of("/api/classes", "/api/labs", "/api/assigned", "/api/teaching/classes",
                "/api/works/" + UUID.randomUUID(), "/api/trials/" + UUID.randomUUID() + "/film")) {
            assertThat(stranger.get(path).statusCode()).as(path).isEqualTo(401);
        }
    }

    @Test
    void studentsMayNotWhatTeachersMay() {
        Visitor student = Visitor.signedIn("esi.lund");
        for (String path : List.of("/api/classes", "/api/labs", "/api/teaching/classes",
                "/api/teaching/assignments/" + UUID.randomUUID())) {
            assertThat(student.get(path).statusCode()).as(path).isEqualTo(403);
        }
        assertThat(student.post("/api/teaching/assignments", Map.of()).statusCode()).isEqualTo(403);
    }

    @Test
    void aStudentMeetsNothingOfAnothersWork() {
        Visitor ines = Visitor.signedIn("ines");
        JsonNode line = working(ines);
        String work = "/api/works/" + line.get("workId").asString();
        JsonNode trials = ines.json(work).get("trials");
        Visitor other = Visitor.signedIn("arlo.venn");
        assertThat(other.get(work).statusCode()).isEqualTo(404);
        assertThat(other.get(work + "/missing").statusCode()).isEqualTo(404);
        assertThat(other.post(work + "/entries", Map.of("entries", List.of())).statusCode()).isEqualTo(404);
        assertThat(other.post(work + "/checks", Map.of("block", "g", "number", "9.81", "unit", "m/s²")).statusCode())
                .isEqualTo(404);
        assertThat(other.post(work + "/submission", Map.of()).statusCode()).isEqualTo(404);
        assertThat(other.post(work + "/trials", Map.of("id", UUID.randomUUID(), "block", "films", "chosen", Map.of()))
                .statusCode()).isEqualTo(404);
        assertThat(other.post(work + "/marks", Map.of("block", "why", "points", 4, "comment", "")).statusCode())
                .isEqualTo(404);
        for (JsonNode trial : trials) {
            assertThat(other.get("/api/trials/" + trial.get("id").asString() + "/film").statusCode()).isEqualTo(404);
        }
        assertThat(other.post("/api/assigned/" + ines.json(work).get("assignmentId").asString() + "/work", Map.of())
                .statusCode()).isEqualTo(404);
    }

    @Test
    void aTeacherMeetsNothingOfAnothersClass() {
        Visitor ines = Visitor.signedIn("ines");
        JsonNode line = working(ines);
        JsonNode physics = klass(ines, "Physics 10");
        Visitor tobiah = Visitor.signedIn("tobiah");
        String work = "/api/works/" + line.get("workId").asString();
        assertThat(tobiah.get("/api/teaching/assignments/" + physics.get("labs").get(0).get("id").asString())
                .statusCode()).isEqualTo(404);
        assertThat(tobiah.get(work).statusCode()).isEqualTo(404);
        assertThat(tobiah.post(work + "/marks", Map.of("block", "why", "points", 4, "comment", "")).statusCode())
                .isEqualTo(404);
        String lab = tobiah.json("/api/labs").get(0).get("id").asString();
        assertThat(tobiah.post("/api/teaching/assignments",
                Map.of("labId", lab, "classes", List.of(Map.of("classId", physics.get("id").asString())))).statusCode())
                        .isEqualTo(404);
    }

    @Test
    void aTeacherReadsButDoesNotWriteAStudentsWork() {
        Visitor ines = Visitor.signedIn("ines");
        String work = "/api/works/" + working(ines).get("workId").asString();
        assertThat(ines.get(work).statusCode()).isEqualTo(200);
        assertThat(ines.post(work + "/submission", Map.of()).statusCode()).isEqualTo(404);
        assertThat(ines.post(work + "/checks", Map.of("block", "g", "number", "1", "unit", "m")).statusCode())
                .isEqualTo(404);
    }

    @Test
    void aStudentCantMarkTheirOwnWork() {
        Visitor student = Visitor.signedIn("calla.munro");
        String assignment = student.json("/api/assigned").get(0).get("id").asString();
        String work = Visitor.read(student.post("/api/assigned/" + assignment + "/work", Map.of())).get("workId")
                .asString();
        assertThat(student.post("/api/works/" + work + "/marks", Map.of("block", "why", "points", 4, "comment", ""))
                .statusCode()).isEqualTo(404);
    }

    @Test
    void pointsOutsideTheRangeAreRefusedWithTheRange() {
        Visitor ines = Visitor.signedIn("ines");
        String work = "/api/works/" + working(ines).get("workId").asString();
        HttpResponse<String> answer = ines.post(work + "/marks", Map.of("block", "why", "points", 5, "comment", ""));
        assertThat(answer.statusCode()).isEqualTo(400);
        assertThat(Visitor.read(answer).get("detail").asString()).isEqualTo("Points: 0 to 4 for this question.");
        assertThat(Visitor.read(answer).get("field").asString()).isEqualTo("points");
    }

    @Test
    void changingAnythingNeedsTheCsrfToken() {
        Visitor ines = Visitor.signedIn("ines").withoutToken();
        assertThat(ines.post("/api/classes", Map.of("name", "Forged")).statusCode()).isEqualTo(403);
        assertThat(ines.delete("/api/session").statusCode()).isEqualTo(403);
    }

    @Test
    void everyAnswerCarriesTheHeadersThatProtectIt() {
        HttpResponse<String> me = Visitor.signedIn("ines").get("/api/me");
        assertThat(me.headers().firstValue("Content-Security-Policy").orElse("")).contains("default-src 'none'",
                "script-src 'self';", "frame-ancestors 'none'").doesNotContain("unsafe-eval");
        assertThat(me.headers().firstValue("Cache-Control")).contains("no-store");
        assertThat(me.headers().firstValue("X-Content-Type-Options")).contains("nosniff");
        Visitor fresh = new Visitor();
        fresh.get("/api/me");
        String cookie = String.join("\n", fresh.post("/api/session", Map.of("userName", "ines", "secret",
                Visitor.SECRET)).headers().allValues("Set-Cookie"));
        assertThat(cookie).containsPattern("cauldron=[^;]+;.*HttpOnly.*SameSite=Lax");
    }

    @Test
    void guessingIsSlowedDownAndTellsNothing() {
        Visitor guesser = new Visitor();
        guesser.get("/api/me");
        Map<String, String> guess = Map.of("userName", "dag.ferrier", "secret", "wrong-wrong");
        HttpResponse<String> first = guesser.post("/api/session", guess);
        assertThat(first.statusCode()).isEqualTo(401);
        Map<String, String> nobody = Map.of("userName", "no.such.person", "secret", "wrong-wrong");
        assertThat(Visitor.read(guesser.post("/api/session", nobody)).get("detail"))
                .isEqualTo(Visitor.read(first).get("detail"));
        int status = 401;
        for (int i = 0; i < 12 && status == 401; i++) {
            status = guesser.post("/api/session", guess).statusCode();
        }
        assertThat(status).isEqualTo(429);
        HttpResponse<String> refused = guesser.post("/api/session", guess);
        assertThat(refused.headers().firstValueAsLong("Retry-After").orElse(0)).isBetween(1L, 60L);
    }

    @Test
    void joiningNamesTheFieldThatIsWrong() {
        Visitor visitor = new Visitor();
        visitor.get("/api/me");
        assertThat(Visitor.read(visitor.post("/api/join", Map.of("code", "XXXXXX", "displayName", "Ada", "secret",
                "eight-chars"))).get("field").asString()).isEqualTo("code");
        assertThat(Visitor.read(visitor.post("/api/join", Map.of("code", "TERN96", "displayName", "Ada", "secret",
                "short"))).get("detail").asString()).isEqualTo("A secret has at least 8 characters.");
        assertThat(Visitor.read(visitor.post("/api/join", Map.of("code", "TERN96", "displayName", "arlo venn",
                "secret", "eight-chars"))).get("field").asString()).isEqualTo("displayName");
    }
}
