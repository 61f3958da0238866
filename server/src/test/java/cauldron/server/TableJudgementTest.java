package cauldron.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

/** Tables held against what the apparatus showed, over HTTP. */
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
     * division. What they read is an independent way to the same values, so nearly all of it must lie within reading error.
     */
    @Test
    void whatMadeUpStudentsReadIsRightInEveryShippedLab() {
        Map<String, String> told = new LinkedHashMap<>();
        for (String table : List.of("readings", "still", "swing", "pulls", "near-table", "pairs", "runs", "free", "drag",
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
}
