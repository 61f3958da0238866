package cauldron.server;

import static org.assertj.core.api.Assertions.assertThat;

import jakarta.persistence.EntityManagerFactory;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Function;
import org.hibernate.SessionFactory;
import org.hibernate.stat.Statistics;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

/** Giving labs, watching a class and marking, over real HTTP. */
@ExtendWith(ServerExtension.class)
class TeachingTest {

    private static final JdbcTemplate DATABASE = ServerExtension.bean(JdbcTemplate.class);

    /** A class with one student who has opened the lab: its assignment and the student's work. */
    private static Room room(String teacherName) {
        return Room.of(teacherName, "The lamp keeper's clock");
    }

    private static JsonNode line(Room room) {
        return room.teacher().json("/api/teaching/assignments/" + room.assignment()).get("students").get(0);
    }

    @Test
    void theClassListFollowsTheWork() {
        Room room = room("ines");
        assertThat(line(room).get("state").asString()).isEqualTo("working");
        assertThat(line(room).get("part").asString()).isEqualTo("Prediction");
        seal(room);
        assertThat(line(room).get("part").asString()).isEqualTo("Measure");
        room.student().post("/api/works/" + room.work() + "/submission", Map.of());
        assertThat(line(room).get("state").asString()).isEqualTo("submitted");
        assertThat(line(room).get("toMark").asBoolean()).isTrue();
    }

    @Test
    void aMarkReachesTheStudentAndAChangeKeepsTheOldOne() {
        Room room = room("ines");
        String work = "/api/works/" + room.work();
        room.student().post(work + "/submission", Map.of());
        assertThat(room.teacher().post(work + "/marks", Map.of("block", "why", "points", 2, "comment", "Say more."))
                .statusCode()).isEqualTo(204);
        assertThat(room.teacher().post(work + "/marks", Map.of("block", "why", "points", 3.5, "comment", "Good now."))
                .statusCode()).isEqualTo(204);
        JsonNode seen = room.student().json(work);
        assertThat(seen.at("/marks/why/points").asDouble()).isEqualTo(3.5);
        assertThat(seen.at("/marks/why/comment").asString()).isEqualTo("Good now.");
        assertThat(seen.at("/score/points").asDouble()).isEqualTo(3.5);
        assertThat(line(room).get("toMark").asBoolean()).isFalse();
        assertThat(DATABASE.queryForObject("select count(*) from mark where work_id = ?::uuid", Integer.class,
                room.work())).isEqualTo(2);
        JsonNode assigned = room.student().json("/api/assigned").get(0);
        assertThat(assigned.get("marked").asBoolean()).isTrue();
        assertThat(assigned.get("points").asDouble()).isEqualTo(3.5);
    }

    @Test
    void aTeacherOverrulesAnAutomaticMark() {
        Room room = room("ines");
        String work = "/api/works/" + room.work();
        seal(room);
        room.fill("readings");
        room.student().post(work + "/checks", Map.of("block", "g", "number", "9.7", "unit", "m/s²"));
        assertThat(room.student().json(work).at("/score/points").asDouble()).isEqualTo(4);
        room.teacher().post(work + "/marks", Map.of("block", "g", "points", 1, "comment", "From the book, it seems."));
        assertThat(room.student().json(work).at("/score/points").asDouble()).isEqualTo(1);
    }

    private static void seal(Room room) {
        room.seal();
    }

    /** A student's own spring constant, as the recipe of a recording has it. */
    private static double constant(Room room) {
        UUID trial = UUID.randomUUID();
        assertThat(room.student().post("/api/works/" + room.work() + "/trials", Map.of("id", trial, "block", "films",
                "chosen", Map.of("load", "m100", "way", "rest"))).statusCode()).isEqualTo(200);
        return DATABASE.queryForObject("select (recipe->'settings'->>'constant')::float8 from trial where id = ?",
                Double.class, trial);
    }

    @Test
    void anAnswerIsRightForOnesOwnSpringAndANeighboursIsWrong() {
        Room one = Room.of("ines", "The slip's lost label");
        seal(one);
        one.fill("still");
        double mine = constant(one);
        double neighbours = mine > 19 ? mine / 1.12 : mine * 1.12;
        String path = "/api/works/" + one.work() + "/checks";
        JsonNode wrong = Visitor.read(one.student().post(path, Map.of("block", "k", "number", String.valueOf(neighbours),
                "unit", "N/m")));
        assertThat(wrong.get("verdict").asString()).isEqualTo("value");
        assertThat(wrong.toString()).doesNotContain(String.valueOf(mine).substring(0, 5));
        JsonNode right = Visitor.read(one.student().post(path, Map.of("block", "k", "number",
                String.valueOf(Math.round(mine * 10) / 1000.0), "unit", "N/cm")));
        assertThat(right.get("verdict").asString()).isEqualTo("right");
        Room two = Room.of("ines", "The slip's lost label");
        seal(two);
        assertThat(constant(two)).isNotEqualTo(mine);
    }

    /** Types weight and place of the hook into a row. */
    private static List<Map<String, Object>> row(String id, String weight, String place) {
        return List.of(entry("still", "cell/" + id + "/load", Map.of("text", "lead")), entry("still", "cell/" + id + "/F", Map.of("text", weight)), entry("still", "cell/" + id + "/x", Map.of("text", place)));
    }

    private static Map<String, Object> entry(String block, String slot, Map<String, Object> value) {
        return Map.of("id", UUID.randomUUID(), "block", block, "slot", slot, "value", value, "time", "2026-01-01T00:00:00Z");
    }

    @Test
    void anAnswerIsCheckedAgainstWhatFollowsFromOnesOwnTable() {
        Room room = Room.of("ines", "The slip's lost label");
        seal(room);
        Map<String, String> answer = Map.of("block", "steep", "number", "0.25", "unit", "N/cm");
        String path = "/api/works/" + room.work() + "/checks";
        assertThat(Visitor.read(room.student().post(path, answer)).get("detail").asString()).contains("0 of 5 rows complete");
        List<Map<String, Object>> entries = new ArrayList<>(row("r1", "0.25", "20.0"));
        entries.addAll(row("r2", "0.50", "21.0"));
        entries.addAll(row("r3", "5.75", "22.0"));
        // Two more on the same line, as the table asks for five rows.
        entries.addAll(row("r4", "0.75", "22.0"));
        entries.addAll(row("r5", "1.00", "23.0"));
        entries.add(entry("still", "rows", Map.of("order", List.of("r1", "r2", "r3", "r4", "r5"))));
        String journal = "/api/works/" + room.work() + "/entries";
        assertThat(room.student().post(journal, Map.of("entries", entries)).statusCode()).isEqualTo(200);
        assertThat(Visitor.read(room.student().post(path, answer)).get("verdict").asString()).isEqualTo("value");
        room.student().post(journal, Map.of("entries", List.of(entry("still", "row/r3", Map.of("out", "typed wrongly")))));
        assertThat(Visitor.read(room.student().post(path, answer)).get("verdict").asString()).isEqualTo("right");
    }

    @Test
    void aRecordingIsSeenThroughItsOwnViewsOnly() {
        Room room = Room.of("ines", "What the ferry's propeller can push");
        seal(room);
        UUID trial = UUID.randomUUID();
        room.student().post("/api/works/" + room.work() + "/trials", Map.of("id", trial, "block", "films", "chosen",
                Map.of("throttle", "q60", "load", "none")));
        String film = "/api/trials/" + trial + "/film";
        String track = room.student().get(film).body();
        assertThat(room.student().get(film + "?view=track").body()).isEqualTo(track);
        HttpResponse<String> scale = room.student().get(film + "?view=scale");
        assertThat(scale.statusCode()).isEqualTo(200);
        assertThat(scale.body()).isNotEqualTo(track);
        assertThat(room.student().get(film + "?view=cellar").statusCode()).isEqualTo(404);
        assertThat(Visitor.signedIn("esi.lund").get(film + "?view=scale").statusCode()).isEqualTo(404);
    }

    @Test
    void aLaterWrongTryTakesNoPointsAway() {
        Room room = room("ines");
        String work = "/api/works/" + room.work();
        seal(room);
        room.fill("readings");
        room.student().post(work + "/checks", Map.of("block", "g", "number", "9.7", "unit", "m/s²"));
        room.student().post(work + "/checks", Map.of("block", "g", "number", "5", "unit", "m/s²"));
        assertThat(room.student().json(work).at("/score/points").asDouble()).isEqualTo(4);
    }

    @Test
    void aDueTimeInThePastIsRefused() {
        Visitor ines = Visitor.signedIn("tobiah");
        JsonNode own = ines.json("/api/classes").get(0);
        HttpResponse<String> answer = ines.post("/api/teaching/assignments", Map.of("labId",
                ines.lab("The lamp keeper's clock"), "classes", List.of(Map.of("classId", own.get("id").asString(),
                        "dueAt", "2001-01-01T00:00:00Z"))));
        assertThat(answer.statusCode()).isEqualTo(400);
        assertThat(Visitor.read(answer).get("field").asString()).isEqualTo("dueAt");
    }

    @Test
    void aClassListTakesAsManyQueriesForManyStudentsAsForFew() {
        Visitor ines = Visitor.signedIn("ines");
        Statistics statistics = ServerExtension.bean(EntityManagerFactory.class).unwrap(SessionFactory.class)
                .getStatistics();
        statistics.setStatisticsEnabled(true);
        // Labs are read once and kept; who asks first reads them.
        queries(statistics, ines, "Physics 11");
        queries(statistics, ines, "Physics 10");
        long few = queries(statistics, ines, "Physics 11");
        long many = queries(statistics, ines, "Physics 10");
        assertThat(few).isEqualTo(many).isBetween(1L, 12L);
    }

    private static long queries(Statistics statistics, Visitor teacher, String name) {
        for (JsonNode c : teacher.json("/api/teaching/classes")) {
            if (c.get("name").asString().equals(name)) {
                String path = "/api/teaching/assignments/" + c.get("labs").get(0).get("id").asString();
                teacher.json(path);
                statistics.clear();
                teacher.json(path);
                return statistics.getPrepareStatementCount();
            }
        }
        throw new AssertionError(name);
    }

    @Test
    void aShippedLabThatHasNotChangedMakesNoNewVersion() throws Exception {
        Integer before = DATABASE.queryForObject("select count(*) from lab_version", Integer.class);
        ServerExtension.bean(cauldron.server.labs.Labs.class).loadShipped();
        assertThat(DATABASE.queryForObject("select count(*) from lab_version", Integer.class)).isEqualTo(before);
    }

    @Test
    void pagesHaveTheirPlacesAndFilesTheirCaching() {
        Visitor visitor = new Visitor();
        String page = visitor.get("/assignments/anything").body();
        assertThat(page).contains("<div id=\"root\">");
        assertThat(visitor.get("/assignments/anything").headers().firstValue("Link")).isEmpty();
        String ahead = visitor.get("/work/anything").headers().firstValue("Link").orElseThrow();
        assertThat(ahead).contains("/assets/WorkPage-", "/assets/core-", "mono-latin-wght-normal")
                .doesNotContain("Maker", "latin-ext");
        for (String link : ahead.split(", ")) {
            assertThat(visitor.get(link.replaceAll("<(.*)>; rel=.*", "$1")).statusCode()).as(link)
                    .isEqualTo(200);
        }
        String script = page.replaceAll("(?s).*src=\"(/assets/[^\"]+)\".*", "$1");
        assertThat(visitor.get(script).headers().firstValue("Cache-Control").orElse("")).contains("immutable");
        assertThat(visitor.get("/").headers().firstValue("Cache-Control").orElse("")).contains("no-cache");
        assertThat(visitor.get("/missing.js").statusCode()).isEqualTo(404);
        assertThat(visitor.get("/licenses/THIRD-PARTY-WEB.md").body()).contains("react");
    }

    @Test
    void whatIsSeenWaitsForTheSealAndAloneBringsPoints() {
        Room room = Room.of("tobiah", "Two tanks in the boathouse");
        room.seal();
        Function<String, JsonNode> seen = slot -> Visitor.read(room.student().post("/api/works/" + room.work() + "/entries",
                Map.of("entries", List.of(Map.of("id", UUID.randomUUID(), "block", "fast", "slot", slot, "value",
                        slot.startsWith("edit/") ? Map.of("slots", Map.of("seen/1", Map.of("option", 2)))
                                : slot.equals("seal") ? Map.of("sealed", true) : Map.of("option", 2), "time",
                        "2026-01-01T00:00:00Z"))))).at("/outcomes/0");
        assertThat(seen.apply("seen/1").get("reason").asString()).contains("Seal your predictions first");
        assertThat(seen.apply("edit/" + UUID.randomUUID()).get("reason").asString()).contains("Seal your predictions first");
        for (int i = 1; i <= 4; i++) {
            room.keep("fast", "predicted/" + i, Map.of("option", 1));
        }
        assertThat(seen.apply("seal").get("reason").asString()).contains("Predict all 5 cases first");
        assertThat(seen.apply("predicted/5").get("kept").asBoolean()).isTrue();
        assertThat(seen.apply("seal").get("kept").asBoolean()).isTrue();
        assertThat(seen.apply("predicted/5").get("reason").asString()).contains("sealed prediction can't be changed");
        assertThat(seen.apply("edit/" + UUID.randomUUID()).get("kept").asBoolean()).isTrue();
        String checks = "/api/works/" + room.work() + "/checks";
        JsonNode four = Visitor.read(room.student().post(checks, Map.of("block", "fast", "number", "2, 1, 1, 2, 2", "unit", "")));
        assertThat(four.get("feedback").asString()).startsWith("4 of 5");
        assertThat(room.student().json("/api/works/" + room.work()).at("/score/points").asDouble()).isEqualTo(4);
        Visitor.read(room.student().post(checks, Map.of("block", "fast", "number", "2, 1, 1, 2, 1", "unit", "")));
        JsonNode all = room.student().json("/api/works/" + room.work());
        assertThat(all.at("/score/points").asDouble()).isEqualTo(5);
        assertThat(all.at("/tried/fast/left").asInt()).isEqualTo(1);
    }

    @Test
    void aDrawingIsCheckedAsItIsKept() {
        Room room = Room.of("tobiah", "One proton more");
        room.seal();
        String checks = "/api/works/" + room.work() + "/checks";
        Map<String, Object> sent = Map.of("block", "sketch", "number", "", "unit", "");
        assertThat(Visitor.read(room.student().post(checks, sent)).get("feedback").asString()).isEqualTo("Draw something first.");
        List<Map<String, Object>> pieces = new ArrayList<>();
        for (int i = 0; i < 18; i++) {
            pieces.add(Map.of("piece", i < 8 ? "proton" : "neutron", "x", 64, "y", 45 + i / 2.0));
        }
        for (int i = 0; i < 10; i++) {
            pieces.add(Map.of("piece", "electron", "x", i < 2 ? 88 : 104, "y", 50));
        }
        room.keep("sketch", "drawn", Map.of("pieces", pieces, "captions", Map.of("A", "18", "q", "2-")));
        JsonNode six = Visitor.read(room.student().post(checks, sent));
        assertThat(six.get("feedback").asString()).startsWith("6 of 9 things are as they should be.");
        JsonNode tried = room.student().json("/api/works/" + room.work()).at("/tried/sketch");
        assertThat(tried.get("points").asDouble()).as("six ninths of 4").isEqualTo(2.7);
        assertThat(tried.get("number").asString()).contains("in the middle: 8 × proton, 10 × neutron").contains("Charge: 2-");
        assertThat(Visitor.read(room.student().post(checks, sent)).get("left").asInt()).as("the same drawing again").isEqualTo(2);
        JsonNode refused = Visitor.read(room.student().post("/api/works/" + room.work() + "/entries", Map.of("entries",
                List.of(Map.of("id", UUID.randomUUID(), "block", "sketch", "slot", "drawn", "value", Map.of("pieces",
                        List.of(Map.of("piece", "proton", "x", "here", "y", 1))), "time", "2026-01-01T00:00:00Z")))))
                .at("/outcomes/0");
        assertThat(refused.get("reason").asString()).contains("pieces 1, x: a number is needed");
    }
}
