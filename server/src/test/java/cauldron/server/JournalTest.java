package cauldron.server;

import static org.assertj.core.api.Assertions.assertThat;

import jakarta.persistence.EntityManagerFactory;
import java.net.http.HttpResponse;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.IntStream;
import org.hibernate.SessionFactory;
import org.hibernate.stat.Statistics;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.parallel.Isolated;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.web.servlet.DispatcherServlet;
import tools.jackson.databind.JsonNode;

/** The journal and what hangs on it: once, in order, sealed, handed in. */
@ExtendWith(ServerExtension.class)
@Isolated
class JournalTest {

    private static final AtomicInteger COUNT = new AtomicInteger();

    private Visitor student;
    private String work;

    @BeforeEach
    void aNewStudentBegins() {
        student = new Visitor();
        student.get("/api/me");
        HttpResponse<String> joined = student.post("/api/join", Map.of("code", "TERN96", "displayName",
                "New Student " + COUNT.incrementAndGet(), "secret", "eight-chars"));
        assertThat(joined.statusCode()).as(joined.body()).isEqualTo(200);
        String assignment = student.json("/api/assigned").get(0).get("id").asString();
        work = "/api/works/" + Visitor.read(student.post("/api/assigned/" + assignment + "/work", Map.of()))
                .get("workId").asString();
    }

    private static Map<String, Object> entry(UUID id, String block, String slot, Map<String, Object> value) {
        Map<String, Object> map = new LinkedHashMap<>();
        map.put("id", id);
        map.put("block", block);
        map.put("slot", slot);
        map.put("value", value);
        map.put("time", Instant.EPOCH);
        return map;
    }

    private JsonNode send(Object... entries) {
        HttpResponse<String> answer = student.post(work + "/entries", Map.of("entries", List.of(entries)));
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(200);
        return Visitor.read(answer).get("outcomes");
    }

    private void seal() {
        send(entry(UUID.randomUUID(), "expect", "answer", Map.of("choice", 1)),
                entry(UUID.randomUUID(), "expect", "seal", Map.of("sealed", true)));
    }

    @Test
    void theJournalsAddressIsTriedFirstAndWhatIsAskedOfItWronglyIsStillAnswered() {
        assertThat(ServerExtension.bean(DispatcherServlet.class).getHandlerMappings().get(0).getClass().getSimpleName())
                .isEqualTo("EntryRoute");
        assertThat(student.put(work + "/entries", Map.of()).statusCode()).isEqualTo(405);
        assertThat(student.post("/api/works/nobodys/entries", Map.of("entries", List.of())).statusCode()).isEqualTo(400);
        assertThat(student.get(work + "/entries").statusCode()).as("neither writer nor seen").isEqualTo(400);
    }

    @Test
    void anEntryIsKeptOnceHoweverOftenItIsSent() {
        seal();
        UUID id = UUID.randomUUID();
        Map<String, Object> first = entry(id, "why", "answer", Map.of("text", "first"));
        send(first);
        send(entry(UUID.randomUUID(), "why", "answer", Map.of("text", "second")));
        assertThat(send(first).get(0).get("kept").asBoolean()).isTrue();
        assertThat(student.json(work).at("/notebook/why/answer/text").asString()).isEqualTo("second");
        Integer rows = ServerExtension.bean(JdbcTemplate.class)
                .queryForObject("select count(*) from entry where id = ?", Integer.class, id);
        assertThat(rows).isEqualTo(1);
    }

    @Test
    void sendersAtTheSameTimeLoseNothing() {
        seal();
        List<Map<String, Object>> all = IntStream.range(0, 40)
                .mapToObj(i -> entry(UUID.randomUUID(), "readings", "cell/r" + i + "/L", Map.of("text", "" + i)))
                .toList();
        // Every entry from two threads at once, in opposite orders.
        IntStream.range(0, 2).parallel().forEach(t -> {
            List<Map<String, Object>> mine = new ArrayList<>(all);
            if (t == 1) {
                java.util.Collections.reverse(mine);
            }
            mine.forEach(e -> student.post(work + "/entries", Map.of("entries", List.of(e))));
        });
        JsonNode cells = student.json(work).at("/notebook/readings");
        for (int i = 0; i < 40; i++) {
            assertThat(cells.get("cell/r" + i + "/L").get("text").asString()).isEqualTo("" + i);
        }
    }

    @Test
    void nothingAfterThePredictionOpensBeforeItIsSealed() {
        JsonNode refused = send(entry(UUID.randomUUID(), "why", "answer", Map.of("text", "early"))).get(0);
        assertThat(refused.get("kept").asBoolean()).isFalse();
        assertThat(refused.get("reason").asString()).contains("Seal your prediction first");
        Map<String, Object> trial = Map.of("id", UUID.randomUUID(), "block", "films", "chosen",
                Map.of("cord", "tern", "release", "keel", "bob", "m120"));
        assertThat(student.post(work + "/trials", trial).statusCode()).isEqualTo(409);
        assertThat(student.post(work + "/checks", Map.of("block", "g", "number", "9.8", "unit", "m/s²")).statusCode())
                .isEqualTo(409);
        seal();
        assertThat(student.post(work + "/trials", trial).statusCode()).isEqualTo(200);
    }

    @Test
    void aSealedPredictionStaysAsItWas() {
        UUID answer = UUID.randomUUID();
        Map<String, Object> first = entry(answer, "expect", "answer", Map.of("choice", 2));
        send(first, entry(UUID.randomUUID(), "expect", "seal", Map.of("sealed", true)));
        assertThat(send(entry(UUID.randomUUID(), "expect", "answer", Map.of("choice", 0))).get(0).get("kept").asBoolean())
                .isFalse();
        // The same entry sent again, because its answer was lost on the way, is no change.
        assertThat(send(first).get(0).get("kept").asBoolean()).isTrue();
        assertThat(student.json(work).at("/notebook/expect/answer/choice").asInt()).isEqualTo(2);
    }

    @Test
    void handingInEndsTheChanges() {
        seal();
        assertThat(student.json(work + "/missing").get("items").size()).isEqualTo(5);
        assertThat(student.post(work + "/submission", Map.of()).statusCode()).isEqualTo(204);
        assertThat(student.post(work + "/entries", Map.of("entries", List.of(
                entry(UUID.randomUUID(), "why", "answer", Map.of("text", "late"))))).statusCode()).isEqualTo(409);
        assertThat(student.post(work + "/submission", Map.of()).statusCode()).isEqualTo(409);
    }

    @Test
    void aTrialIsMadeOnceAndItsFilmIsAlwaysTheSame() {
        seal();
        UUID id = UUID.randomUUID();
        Map<String, Object> trial = Map.of("id", id, "block", "films", "chosen",
                Map.of("cord", "skua", "release", "deck", "bob", "m480"));
        JsonNode made = Visitor.read(student.post(work + "/trials", trial));
        assertThat(Visitor.read(student.post(work + "/trials", trial))).isEqualTo(made);
        assertThat(student.json(work).get("trials").size()).isEqualTo(1);
        String film = student.get("/api/trials/" + id + "/film").body();
        assertThat(film).hasSizeGreaterThan(1000).isEqualTo(student.get("/api/trials/" + id + "/film").body());
    }

    @Test
    void aRecordingOfAnEarlierModelIsToldApartAndMadeAnew() {
        seal();
        Map<String, Object> chosen = Map.of("cord", "skua", "release", "deck", "bob", "m480");
        UUID id = UUID.randomUUID();
        Visitor.read(student.post(work + "/trials", Map.of("id", id, "block", "films", "chosen", chosen)));
        ServerExtension.bean(JdbcClient.class).sql("update trial set recipe = jsonb_set(recipe, '{modelVersion}', '1') where id = ?")
                .param(id).update();
        HttpResponse<String> film = student.get("/api/trials/" + id + "/film");
        assertThat(film.statusCode()).isEqualTo(410);
        assertThat(Visitor.read(film).get("detail").asString()).contains("an earlier model of the pendulum", "made anew");
        UUID again = UUID.randomUUID();
        Visitor.read(student.post(work + "/trials", Map.of("id", again, "block", "films", "chosen", chosen)));
        assertThat(student.get("/api/trials/" + again + "/film").statusCode()).isEqualTo(200);
    }

    @Test
    void aChoiceThatIsNotOfferedIsRefusedByName() {
        seal();
        HttpResponse<String> answer = student.post(work + "/trials", Map.of("id", UUID.randomUUID(), "block", "films",
                "chosen", Map.of("cord", "rope", "release", "deck", "bob", "m480")));
        assertThat(answer.statusCode()).isEqualTo(400);
        assertThat(Visitor.read(answer).get("detail").asString()).contains("Cord: choose one of Tern, Petrel");
    }

    @Test
    void answersAreCheckedAndTriesKept() {
        seal();
        Map<String, Object> slots = new LinkedHashMap<>();
        for (int i = 1; i <= 5; i++) {
            slots.put("cell/r" + i + "/cord", Map.of("text", "Tern"));
            slots.put("cell/r" + i + "/L", Map.of("text", "" + i));
            slots.put("cell/r" + i + "/t", Map.of("text", "" + i));
        }
        slots.put("rows", Map.of("order", List.of("r1", "r2", "r3", "r4", "r5")));
        send(entry(UUID.randomUUID(), "readings", "edit/1", Map.of("slots", slots)));
        assertThat(Visitor.read(student.post(work + "/checks", Map.of("block", "g", "number", "981", "unit", "m/s²")))
                .get("verdict").asString()).isEqualTo("power-of-ten");
        assertThat(Visitor.read(student.post(work + "/checks", Map.of("block", "g", "number", "981", "unit", "cm/s²")))
                .get("verdict").asString()).isEqualTo("right");
        assertThat(student.json(work).at("/score/points").asDouble()).isEqualTo(4);
    }

    @Test
    void aSaveIsTwoStatementsAndTouchesTheSessionAtMostOnceAMinute() {
        seal();
        JdbcTemplate sql = ServerExtension.bean(JdbcTemplate.class);
        Statistics counted = ServerExtension.bean(EntityManagerFactory.class).unwrap(SessionFactory.class).getStatistics();
        String touched = "select max(last_access_time) from spring_session";
        Long before = sql.queryForObject(touched, Long.class);
        counted.setStatisticsEnabled(true);
        try {
            counted.clear();
            for (int i = 0; i < 10; i++) {
                send(entry(UUID.randomUUID(), "why", "answer", Map.of("text", "save " + i)));
            }
            assertThat(counted.getPrepareStatementCount()).as("besides the reading of the session").isLessThanOrEqualTo(20);
        } finally {
            counted.setStatisticsEnabled(false);
        }
        assertThat(sql.queryForObject(touched, Long.class)).isEqualTo(before);
    }

    @Test
    void tenThousandCellsAreOneEntry() {
        seal();
        Map<String, Object> slots = new LinkedHashMap<>();
        List<String> order = new ArrayList<>();
        for (int i = 0; i < 10_000; i++) {
            slots.put("cell/r" + i + "/L", Map.of("text", "" + i));
            order.add("r" + i);
        }
        slots.put("rows", Map.of("order", order));
        assertThat(send(entry(UUID.randomUUID(), "readings", "edit/1", Map.of("slots", slots))).get(0).get("kept").asBoolean()).isTrue();
        send(entry(UUID.randomUUID(), "readings", "cell/r7/L", Map.of("text", "later")));
        JsonNode cells = student.json(work).at("/notebook/readings");
        assertThat(cells.get("cell/r9999/L").get("text").asString()).isEqualTo("9999");
        assertThat(cells.get("cell/r7/L").get("text").asString()).isEqualTo("later");
    }
}
