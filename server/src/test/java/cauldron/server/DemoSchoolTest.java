package cauldron.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

/** The made-up school has something true to show on every page. */
@ExtendWith(ServerExtension.class)
class DemoSchoolTest {

    /** Other tests make classes of their own, and work of their own in them, perhaps at this very moment. */
    private static final String OF_THE_DEMO = " join work w on w.id = t.work_id join assignment a on a.id = w.assignment_id"
            + " join school_class c on c.id = a.class_id where c.code in ('HARK47', 'TERN96', 'KEEP34')";


    private static JsonNode classList(Visitor teacher, String name) {
        for (JsonNode c : teacher.json("/api/teaching/classes")) {
            if (c.get("name").asString().equals(name)) {
                return teacher.json("/api/teaching/assignments/" + c.get("labs").get(0).get("id").asString());
            }
        }
        throw new AssertionError(name);
    }

    @Test
    void thereIsEveryStateOfWork() {
        JsonNode list = classList(Visitor.signedIn("ines"), "Physics 10");
        assertThat(list.get("students").size()).isEqualTo(26);
        Set<String> seen = new TreeSet<>();
        for (JsonNode s : list.get("students")) {
            seen.add(s.get("state").asString() + (s.has("part") && !s.get("part").isNull()
                    ? " " + s.get("part").asString() : "") + (s.get("toMark").asBoolean() ? " to mark" : ""));
        }
        assertThat(seen).contains("not-started", "working Measure", "working Analyse", "working Explain",
                "submitted all done to mark", "submitted all done");
    }

    @Test
    void readingsAreHonest() {
        Visitor ines = Visitor.signedIn("ines");
        JdbcTemplate database = ServerExtension.bean(JdbcTemplate.class);
        int readings = 0;
        int exact = 0;
        for (JsonNode s : classList(ines, "Physics 10").get("students")) {
            if (s.get("workId") == null || s.get("workId").isNull()) {
                continue;
            }
            JsonNode table = ines.json("/api/works/" + s.get("workId").asString()).at("/notebook/readings");
            for (Map.Entry<String, JsonNode> cell : table.properties()) {
                if (!cell.getKey().endsWith("/L")) {
                    continue;
                }
                Double truth = database.queryForObject("select (recipe->'settings'->>'length')::float8 from trial"
                        + " where id = ?::uuid", Double.class, cell.getValue().at("/reading/trial").asString());
                double read = Double.parseDouble(cell.getValue().get("text").asString()) / 100;
                assertThat(read).as(s.get("name").asString()).isCloseTo(truth, within(0.004));
                readings++;
                exact += Math.abs(read - truth) < 1e-5 ? 1 : 0;
            }
        }
        assertThat(readings).isGreaterThan(50);
        assertThat(exact).as("copied truth").isLessThan(readings / 10);
    }

    @Test
    void everyStudentHasCordsOfTheirOwn() {
        JdbcTemplate database = ServerExtension.bean(JdbcTemplate.class);
        String ofTheDemo = " from trial t" + OF_THE_DEMO + " and t.chosen->>'cord' = 'tern'";
        Integer students = database.queryForObject("select count(distinct t.work_id)" + ofTheDemo, Integer.class);
        Integer lengths = database.queryForObject("select count(distinct t.recipe->'settings'->>'length')" + ofTheDemo, Integer.class);
        assertThat(lengths).isGreaterThan(20).isEqualTo(students);
    }

    @Test
    void everyLabHasWorkInItAndItsAnswersFollowFromTheReadings() {
        JdbcTemplate database = ServerExtension.bean(JdbcTemplate.class);
        Map<String, Integer> right = new LinkedHashMap<>();
        database.query("select block, count(*) filter (where verdict = 'right') as n from attempt t" + OF_THE_DEMO
                + " group by block",
                row -> { right.put(row.getString("block"), row.getInt("n")); });
        List<String> measured = List.of("g", "k", "brill", "slope", "twice", "ratio", "gradient");
        assertThat(right).containsKeys(measured.toArray(String[]::new));
        assertThat(right.values()).allMatch(n -> n >= 2);
        // Two students' numbers differ: nobody has copied, and nothing is written down beforehand.
        for (String block : measured) {
            Integer different = database.queryForObject("select count(distinct number) from attempt t" + OF_THE_DEMO
                    + " and block = ?", Integer.class, block);
            assertThat(different).as(block).isGreaterThan(1);
        }
        Integer gases = database.queryForObject("select count(distinct value->'recipe'->>'seed') from entry t"
                + OF_THE_DEMO + " and slot like 'trial/%'", Integer.class);
        assertThat(gases).isGreaterThan(5);
    }

    @Test
    void someSlipAndMostFindGravity() {
        JdbcTemplate database = ServerExtension.bean(JdbcTemplate.class);
        Map<String, Integer> verdicts = new LinkedHashMap<>();
        database.query("select verdict, count(*) as n from attempt t" + OF_THE_DEMO + " group by verdict",
                row -> { verdicts.put(row.getString("verdict"), row.getInt("n")); });
        assertThat(verdicts.get("right")).isGreaterThan(10);
        assertThat(verdicts.keySet()).contains("known-slip");
    }
}
