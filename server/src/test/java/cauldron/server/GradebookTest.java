package cauldron.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

/** A class's gradebook: two labs, three students. */
@ExtendWith(ServerExtension.class)
class GradebookTest {

    private static final JdbcTemplate DATABASE = ServerExtension.bean(JdbcTemplate.class);

    private final Visitor ines = Visitor.signedIn("ines");
    private final Map<String, Visitor> students = new LinkedHashMap<>();
    private String classId;
    private String clock;
    private String fog;

    @BeforeEach
    void aClassWithTwoLabs() {
        JsonNode made = Visitor.read(ines.post("/api/classes", Map.of("name", "Graded " + UUID.randomUUID())));
        classId = made.get("id").asString();
        clock = give("The lamp keeper's clock");
        fog = give("The air in the fog signal");
        for (String name : List.of("Abe", "Bea", "=Cleo")) {
            Visitor student = new Visitor();
            student.get("/api/me");
            student.post("/api/join", Map.of("code", made.get("code").asString(), "displayName", name, "secret",
                    "eight-chars"));
            students.put(name, student);
        }
        handIn("Abe", clock, 4);
        handIn("Bea", clock, 2);
        handIn("Abe", fog, 3);
    }

    private String give(String lab) {
        return Visitor.read(ines.post("/api/teaching/assignments", Map.of("labId", ines.lab(lab), "classes",
                List.of(Map.of("classId", classId))))).get(0).get("id").asString();
    }

    /** Hands a lab in and has its explanation marked. */
    private void handIn(String name, String assignment, double points) {
        Visitor student = students.get(name);
        String work = "/api/works/" + Visitor.read(student.post("/api/assigned/" + assignment + "/work", Map.of()))
                .get("workId")
                .asString();
        student.post(work + "/submission", Map.of());
        for (JsonNode part : ines.json(work).at("/sheet/parts")) {
            for (JsonNode block : part.get("blocks")) {
                if (block.get("type").asString().equals("explanation")) {
                    assertThat(ines.post(work + "/marks", Map.of("block", block.get("id").asString(), "points", points,
                            "comment", "")).statusCode()).isEqualTo(204);
                    return;
                }
            }
        }
    }

    private JsonNode book() {
        return ines.json("/api/teaching/classes/" + classId + "/gradebook");
    }

    private JsonNode line(String name) {
        for (JsonNode s : book().get("students")) {
            if (s.get("name").asString().equals(name)) {
                return s;
            }
        }
        throw new AssertionError(name);
    }

    /** The due time of a lab is over. */
    private void overdue(String assignment) {
        DATABASE.update("update assignment set due_at = now() - interval '1 hour' where id = ?",
                UUID.fromString(assignment));
    }

    @Test
    void pointsAndPerCentStandInTheOrderTheLabsWereGiven() {
        JsonNode book = book();
        assertThat(book.get("labs").get(0).get("title").asString()).isEqualTo("The lamp keeper's clock");
        assertThat(book.get("labs").get(0).get("median").asDouble()).as("of 4 and 2").isEqualTo(3);
        double ofClock = book.get("labs").get(0).get("of").asDouble();
        double ofFog = book.get("labs").get(1).get("of").asDouble();
        JsonNode abe = line("Abe");
        assertThat(abe.get("cells").get(0).get("points").asDouble()).isEqualTo(4);
        assertThat(abe.get("cells").get(0).get("percent").asDouble()).isEqualTo(Math.rint(4000 / ofClock) / 10);
        assertThat(abe.get("percent").asDouble()).isEqualTo(Math.rint(1000 * 7 / (ofClock + ofFog)) / 10);
        JsonNode cleo = line("=Cleo");
        assertThat(cleo.get("percent").isNull()).as("nothing counts yet").isTrue();
        assertThat(cleo.get("cells").get(0).get("state").asString()).isEqualTo("NOT_STARTED");
    }

    @Test
    void whatIsMissingCountsUnlessItIsExcused() {
        overdue(fog);
        double ofClock = book().get("labs").get(0).get("of").asDouble();
        double ofFog = book().get("labs").get(1).get("of").asDouble();
        assertThat(line("Bea").get("cells").get(1).get("missing").asBoolean()).isTrue();
        assertThat(line("Bea").get("percent").asDouble()).isEqualTo(Math.rint(2000 / (ofClock + ofFog)) / 10);
        Map<String, Object> excuse = Map.of("studentId", line("Bea").get("id").asString(), "excused", true);
        assertThat(ines.post("/api/teaching/assignments/" + fog + "/excused", excuse).statusCode()).isEqualTo(204);
        assertThat(ines.post("/api/teaching/assignments/" + fog + "/excused", excuse).statusCode()).as("twice")
                .isEqualTo(204);
        assertThat(line("Bea").get("cells").get(1).get("excused").asBoolean()).isTrue();
        assertThat(line("Bea").get("percent").asDouble()).isEqualTo(Math.rint(2000 / ofClock) / 10);
        ines.post("/api/teaching/assignments/" + fog + "/excused",
                Map.of("studentId", excuse.get("studentId"), "excused", false));
        assertThat(line("Bea").get("cells").get(1).get("missing").asBoolean()).as("has to again").isTrue();
    }

    @Test
    void categoriesAreWeighedAndTakenAwayAgain() {
        String labs = UUID.randomUUID().toString();
        String talks = UUID.randomUUID().toString();
        String at = "/api/teaching/classes/" + classId + "/categories";
        Map<String, Object> weights = Map.of("categories", List.of(Map.of("id", labs, "name", "Practical", "weight", 3),
                Map.of("id", talks, "name", "Theory", "weight", 1)), "labs",
                List.of(Map.of("assignmentId", clock, "category",
                        labs), Map.of("assignmentId", fog, "category", talks)));
        assertThat(ines.post(at, weights).statusCode()).isEqualTo(204);
        double ofClock = book().get("labs").get(0).get("of").asDouble();
        double ofFog = book().get("labs").get(1).get("of").asDouble();
        assertThat(book().get("labs").get(1).get("category").asString()).isEqualTo(talks);
        assertThat(line("Abe").get("percent").asDouble()).isEqualTo(Math.rint(1000 * (3 * 4 / ofClock
                + 3 / ofFog) / 4) / 10);
        // Names change places.
        assertThat(ines.post(at, Map.of("categories", List.of(Map.of("id", labs, "name", "Theory", "weight", 3),
                Map.of("id",
                talks, "name", "Practical", "weight", 1)), "labs", List.of())).statusCode()).isEqualTo(204);
        assertThat(book().get("categories").get(0).get("name").asString()).isEqualTo("Theory");
        assertThat(ines.post(at, Map.of("categories", List.of(), "labs", List.of())).statusCode()).isEqualTo(204);
        assertThat(book().get("categories").isEmpty()).isTrue();
        assertThat(book().get("labs").get(1).get("category").isNull()).isTrue();
        assertThat(Visitor.read(ines.post(at, Map.of("categories",
                List.of(Map.of("id", labs, "name", "A", "weight", -1)), "labs",
                List.of()))).get("detail").asString()).contains("Weight: 0 to 1000");
        assertThat(Visitor.read(ines.post(at, Map.of("categories", List.of(Map.of("id", labs, "name", "A", "weight", 1),
                Map.of("id", talks, "name", "a ", "weight", 1)), "labs", List.of()))).get("detail").asString())
                .isEqualTo("Name: there are two categories “a”.");
    }

    @Test
    void filesHoldWhatThePageShows() {
        overdue(fog);
        String at = "/api/teaching/classes/" + classId + "/gradebook/";
        String csv = new String(ines.getForBytes(at + "csv"), StandardCharsets.UTF_8);
        List<String> lines = csv.lines().toList();
        assertThat(lines.get(0)).startsWith("\ufeffStudent,User name,The lamp keeper's clock (of 8),");
        assertThat(lines.get(2)).as("no formula is made of a name").startsWith("Abe,");
        assertThat(lines.get(1)).startsWith("'=Cleo,").contains("missing");
        for (String format : List.of("xlsx", "ods")) {
            JsonNode rows = Visitor.made(ines.postFile("/api/spreadsheets/reading?name=book." + format,
                    ines.getForBytes(at + format))).at("/done/sheets/0/rows");
            List<String> abe = new ArrayList<>();
            rows.get(2).forEach(cell -> abe.add(cell.asString()));
            assertThat(abe).as(format).startsWith("Abe").contains("4", "3")
                    .endsWith(print(line("Abe").get("percent").asDouble()));
            assertThat(rows.get(3).get(3).asString()).as(format).isEqualTo("missing");
        }
        String percent = new String(ines.getForBytes(at + "csv?percent=true"), StandardCharsets.UTF_8);
        assertThat(percent).contains("The lamp keeper's clock (%)").contains(",50,");
        assertThat(ines.get(at + "exe").statusCode()).isEqualTo(404);
    }

    private static String print(double value) {
        return value == Math.rint(value) ? String.valueOf((long) value) : String.valueOf(value);
    }

    @Test
    void aStudentReadsTheOwnLineAlone() {
        ines.post("/api/teaching/assignments/" + fog + "/terms",
                Map.of("lateRule", "MARKED", "again", false, "together", true));
        JsonNode books = students.get("Abe").json("/api/points");
        assertThat(books.size()).isEqualTo(1);
        assertThat(books.get(0).get("students").size()).isEqualTo(1);
        assertThat(books.get(0).at("/labs/0/median").isNull()).as("nothing of the others").isTrue();
        JsonNode cells = books.get(0).at("/students/0/cells");
        assertThat(cells.get(0).get("points").asDouble()).isEqualTo(4);
        assertThat(cells.get(1).get("points").isNull()).as("not shown yet").isTrue();
        assertThat(books.get(0).at("/students/0/percent").asDouble()).as("and not in the sum").isEqualTo(50);
        String book = "/api/teaching/classes/" + classId + "/gradebook";
        Visitor tobiah = Visitor.signedIn("tobiah");
        String bea = line("Bea").get("id").asString();
        for (Visitor stranger : List.of(students.get("Abe"), tobiah)) {
            int at = stranger == tobiah ? 404 : 403;
            assertThat(stranger.get(book).statusCode()).isEqualTo(at);
            assertThat(stranger.get(book + "/csv").statusCode()).isEqualTo(at);
            assertThat(stranger.post("/api/teaching/classes/" + classId + "/categories",
                    Map.of("categories", List.of(), "labs",
                    List.of())).statusCode()).isEqualTo(at);
            assertThat(stranger.post("/api/teaching/assignments/" + clock + "/excused",
                    Map.of("studentId", bea, "excused",
                    true)).statusCode()).isEqualTo(at);
        }
        assertThat(tobiah.get("/api/points").statusCode()).isEqualTo(403);
    }
}
