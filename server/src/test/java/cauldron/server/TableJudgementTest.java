package cauldron.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Tables held against what the apparatus showed, over HTTP. */
@Execution(ExecutionMode.CONCURRENT)
@ExtendWith(ServerExtension.class)
class TableJudgementTest {

    private static final JdbcTemplate DATABASE = ServerExtension.bean(JdbcTemplate.class);

    /** Works of the demo school that have cells in a table, with the user name of whoever teaches them. */
    private static List<Map<String, Object>> works(String table) {
        return DATABASE.queryForList("select distinct w.id, t.user_name from entry e join work w on w.id = e.work_id"
                + " join assignment a on a.id = w.assignment_id join school_class c on c.id = a.class_id"
                + " join account t on t.id = c.teacher_id where e.block = ? and e.slot like 'cell/%'"
                + " and c.code in ('HARK47', 'TERN96', 'KEEP34') limit 12", table);
    }

    /**
     * Made-up students read as people do: by laying an instrument on the picture, with a chance error of about half a
     * division. What they read is an independent way to the same values, so nearly all of it must lie within reading
     * error.
     */
    @Test
    void whatMadeUpStudentsReadIsRightInEveryShippedLab() {
        Map<String, String> told = new LinkedHashMap<>();
        for (String table : List.of("readings", "still", "swing", "pulls", "near-table", "pairs", "runs", "free",
                "drag",
                "frames", "falls", "gaps", "together", "bent", "lowest", "rested")) {
            int right = 0;
            int held = 0;
            int open = 0;
            StringBuilder faults = new StringBuilder();
            for (Map<String, Object> work : works(table)) {
                JsonNode found = Visitor.signedIn(work.get("user_name").toString())
                        .json("/api/works/" + work.get("id") + "/tables/" + table + "/judgement");
                for (JsonNode cell : found.get("cells")) {
                    boolean known = !cell.get("verdict").asString().equals("not-held");
                    held += known ? 1 : 0;
                    open += known ? 0 : 1;
                    right += cell.get("verdict").asString().equals("right") ? 1 : 0;
                    if (!cell.get("verdict").asString().equals("right") && faults.length() < 1500) {
                        faults.append('\n').append(cell.get("column").asString()).append(' ')
                                .append(cell.get("verdict").asString()).append(' ').append(cell.get("truth").asString())
                                .append(": ").append(cell.get("words").asString());
                    }
                }
            }
            if (held == 0 || right < 0.85 * held || open > 0) {
                told.put(table, right + " of " + held + " right, " + open + " not held" + faults);
            }
        }
        assertThat(told).isEmpty();
    }

    @Test
    void onlyTheClassesTeacherIsToldWhatTheApparatusShowed() {
        Room room = Room.of("ines", "The lamp keeper's clock");
        String path = "/api/works/" + room.work() + "/tables/readings/judgement";
        assertThat(room.teacher().get(path).statusCode()).isEqualTo(200);
        assertThat(room.student().get(path).statusCode()).isEqualTo(404);
        assertThat(Visitor.signedIn("tobiah").get(path).statusCode()).isEqualTo(404);
        assertThat(Room.of("ines", "The lamp keeper's clock").student().get(path).statusCode()).isEqualTo(404);
        assertThat(new Visitor().get(path).statusCode()).isEqualTo(401);
        assertThat(room.teacher().get(path.replace("readings", "g")).statusCode()).isEqualTo(404);
        assertThat(room.teacher().get(path + "?handIn=" + UUID.randomUUID()).statusCode()).isEqualTo(404);
        assertThat(room.teacher().json(path).get("words").asString()).isEqualTo("Nothing stands in this table yet.");
    }

    /** A lab of the teacher's own whose table brings six points: two columns of two rows, and the period. */
    @SuppressWarnings("unchecked")
    private static String labWithPoints() {
        Visitor ines = Visitor.signedIn("ines");
        String lab = Visitor.read(ines.post("/api/drafts", Map.of("labId", ines.lab("The lamp keeper's clock"))))
                .get("id")
                .asString();
        JsonNode draft = ines.json("/api/drafts/" + lab);
        Map<String, Object> sheet = new JsonMapper().convertValue(draft.get("sheet"), LinkedHashMap.class);
        for (Map<String, Object> part : (List<Map<String, Object>>) sheet.get("parts")) {
            for (Map<String, Object> block : (List<Map<String, Object>>) part.get("blocks")) {
                if (block.get("type").equals("table")) {
                    block.put("rows", 2);
                    block.put("judging", Map.of("points", 6, "references", List.of(
                            Map.of("column", "cord", "shows", "option", "of", "cord"),
                            Map.of("column", "L", "shows", "distance", "of", "pivot", "to", "bob")),
                            "expected", List.of(Map.of("name", "period", "formula", "t/20"))));
                }
            }
        }
        assertThat(ines.put("/api/drafts/" + lab, Map.of("sheet", sheet, "seen", draft.get("number").asInt()))
                .statusCode())
                .isEqualTo(200);
        assertThat(ines.post("/api/drafts/" + lab + "/versions", Map.of()).statusCode()).isEqualTo(200);
        return lab;
    }

    @Test
    void whatARuleCanMarkIsMarkedAtHandIn() {
        Room room = Room.ofLab("ines", labWithPoints());
        String work = "/api/works/" + room.work();
        room.seal();
        String trial = UUID.randomUUID().toString();
        assertThat(room.student().post(work + "/trials", Map.of("id", trial, "block", "films", "chosen",
                Map.of("cord", "tern", "release", "keel", "bob", "m120"))).statusCode()).isEqualTo(200);
        double length = DATABASE.queryForObject("select (recipe->'settings'->>'length')::float8 from trial "
                + "where id = ?::uuid",
                Double.class, trial);
        Map<String, Object> reading = Map.of("trial", trial, "frame", 0, "view", "side", "instruments", Map.of());
        room.keep("readings", "rows", Map.of("order", List.of("r1", "r2")), "readings", "cell/r1/cord", Map.of("text",
                "Tern"),
                "readings", "cell/r1/L", Map.of("text", String.format("%.1f", 100 * length), "reading", reading),
                "readings", "cell/r2/cord", Map.of("text", "Skua"), "readings", "cell/r2/L",
                Map.of("text", String.format("%.1f", 100 * length + 4), "reading", reading));
        assertThat(room.student().json(work).at("/tried").has("readings")).isFalse();
        assertThat(room.student().post(work + "/submission", Map.of()).statusCode()).isEqualTo(204);
        // Of two columns and a formula, each a third of six points: half of each column is right, the formula is
        // missing.
        JsonNode tried = room.student().json(work).at("/tried/readings");
        assertThat(tried.get("points").asDouble()).isEqualTo(2);
        assertThat(tried.get("number").asString()).isEqualTo("2 of 4");
        assertThat(tried.get("feedback").asString()).contains("2 of 4 values are within reading error",
                "1 under another recording's name").doesNotContain(String.valueOf(length));
        assertThat(room.student().json(work).at("/sheet").toString()).doesNotContain("judging", "references");
        // Given back, mended and handed in again, what stands now counts.
        assertThat(room.teacher().post(work + "/reopening", Map.of("words", "")).statusCode()).isEqualTo(200);
        room.keep("readings", "cell/r2/cord", Map.of("text", "Tern"));
        room.student().post(work + "/submission", Map.of());
        assertThat(room.student().json(work).at("/tried/readings/points").asDouble()).isEqualTo(3);
        // A teacher may say otherwise, with a reason.
        assertThat(room.teacher().post(work + "/marks", Map.of("block", "readings", "points", 5, "comment", "",
        "reason",
                "the ruler slipped")).statusCode()).isEqualTo(204);
        assertThat(room.teacher().json(work).at("/marks/readings/points").asDouble()).isEqualTo(5);
    }
}
