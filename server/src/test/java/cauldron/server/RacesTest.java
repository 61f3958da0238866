package cauldron.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.function.IntFunction;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

/** What is kept is the truth, also where two things happen at once or what is sent is odd. */
@ExtendWith(ServerExtension.class)
class RacesTest {

    private static final int RACES = 200;

    private static Map<String, Object> entry(Object id, String block, String slot, Object value) {
        return Map.of("id", id, "block", block, "slot", slot, "value", value, "time", "2026-01-01T00:00:00Z");
    }

    private static HttpResponse<String> send(Room room, Object... entries) {
        return room.student().post("/api/works/" + room.work() + "/entries", Map.of("entries", List.of(entries)));
    }

    private static JsonNode outcome(HttpResponse<String> answer, int i) {
        return Visitor.read(answer).get("outcomes").get(i);
    }

    /** Starts two things at once and waits for both. */
    private static void race(Runnable one, Runnable other) {
        CompletableFuture.allOf(CompletableFuture.runAsync(one), CompletableFuture.runAsync(other)).join();
    }

    @Test
    void nothingIsKeptAfterHandingInThatCameAtTheSameMoment() {
        JdbcTemplate sql = ServerExtension.bean(JdbcTemplate.class);
        Room room = Room.of("ines", "The lamp keeper's clock");
        room.seal();
        for (int i = 0; i < RACES; i++) {
            UUID id = UUID.randomUUID();
            sql.update("update work set submitted_at = null where id = cast(? as uuid)", room.work());
            HttpResponse<?>[] answer = new HttpResponse<?>[1];
            race(() -> answer[0] = send(room, entry(id, "why", "answer", Map.of("text", "late"))),
                    () -> room.student().post("/api/works/" + room.work() + "/submission", Map.of()));
            Integer after = sql.queryForObject("select count(*) from entry e join work w on w.id = e.work_id"
                    + " where e.id = ? and e.server_time > w.submitted_at", Integer.class, id);
            assertThat(after).as("race " + i).isZero();
            Integer kept = sql.queryForObject("select count(*) from entry where id = ?", Integer.class, id);
            assertThat(answer[0].statusCode()).as("race " + i).isEqualTo(kept == 1 ? 200 : 409);
        }
    }

    @Test
    void aPredictionIsNotChangedAfterASealThatCameAtTheSameMoment() {
        JdbcTemplate sql = ServerExtension.bean(JdbcTemplate.class);
        Room room = Room.of("ines", "The lamp keeper's clock");
        room.keep("expect", "answer", Map.of("choice", 1));
        for (int i = 0; i < RACES; i++) {
            sql.update("update work set sealed = '[]' where id = cast(? as uuid)", room.work());
            UUID seal = UUID.randomUUID();
            UUID change = UUID.randomUUID();
            race(() -> send(room, entry(seal, "expect", "seal", Map.of("sealed", true))),
                    () -> send(room, entry(change, "expect", "answer", Map.of("choice", 2))));
            Integer after = sql.queryForObject("select count(*) from entry c join entry s on s.id = ? where c.id = ? and c.seq > s.seq",
                    Integer.class, seal, change);
            assertThat(after).as("race " + i).isZero();
        }
    }

    @Test
    void markingReturningAndWritingAtTheSameMomentLeaveOneTruth() {
        JdbcTemplate sql = ServerExtension.bean(JdbcTemplate.class);
        Room room = Room.of("ines", "The lamp keeper's clock");
        room.seal();
        UUID work = UUID.fromString(room.work());
        String at = "/api/works/" + room.work();
        int given = 0;
        for (int i = 0; i < RACES; i++) {
            double points = i % 5;
            race(() -> race(() -> room.teacher().post(at + "/marks",
                    Map.of("block", "why", "points", points, "comment", "x")),
                            () -> room.teacher().post(at + "/reopening", Map.of("words", "again"))),
                    () -> race(() -> send(room, entry(UUID.randomUUID(), "why", "answer", Map.of("text", "go"))),
                            () -> room.student().post(at + "/submission", Map.of())));
            // A work is handed in as long as its last hand-in hasn't ended, and no longer.
            Integer open = sql.queryForObject("select count(*) from submission where work_id = ? and ended_at is null",
                    Integer.class, work);
            Boolean in = sql.queryForObject("select submitted_at is not null from work where id = ?", Boolean.class,
                    work);
            assertThat(open).as("race " + i).isEqualTo(in ? 1 : 0);
            Integer beyond = sql.queryForObject("select count(*) from entry e join submission s on s.work_id = e.work_id"
                    + " where e.work_id = ? and s.ended_at is null and e.seq > s.seq", Integer.class, work);
            assertThat(beyond).as("nothing stands beyond what is handed in, race " + i).isZero();
            given += in ? 1 : 0;
        }
        assertThat(sql.queryForObject("select count(*) from mark where work_id = ?", Integer.class, work))
                .isEqualTo(RACES);
        assertThat(given).as("both orders were met").isStrictlyBetween(0, RACES);
    }

    @Test
    void anEmptyPredictionCantBeSealed() {
        Room room = Room.of("ines", "The lamp keeper's clock");
        JsonNode refused = outcome(send(room, entry(UUID.randomUUID(), "expect", "seal", Map.of("sealed", true))), 0);
        assertThat(refused.get("kept").asBoolean()).isFalse();
        assertThat(refused.get("reason").asString()).contains("Choose one of the predictions first");
        assertThat(outcome(send(room, entry(UUID.randomUUID(), "expect", "answer", Map.of("choice", 99)),
                entry(UUID.randomUUID(), "expect", "seal", Map.of("sealed", true))), 1).get("kept").asBoolean()).isFalse();
        // With what it needs just before it in the same batch, it can.
        assertThat(outcome(send(room, entry(UUID.randomUUID(), "expect", "answer", Map.of("choice", 0)),
                entry(UUID.randomUUID(), "expect", "seal", Map.of("sealed", true))), 1).get("kept").asBoolean()).isTrue();
        assertThat(outcome(send(Room.of("ines", "The slip's lost label"), entry(UUID.randomUUID(), "expect", "answer", Map.of("choice", 0)),
                entry(UUID.randomUUID(), "expect", "seal", Map.of("sealed", true))), 1).get("reason").asString()).contains("Sketch the graph");
    }

    @Test
    void keptIsSaidOnlyOfWhatIsKeptWithThatContent() {
        Room one = Room.of("ines", "The lamp keeper's clock");
        Room two = Room.of("ines", "The lamp keeper's clock");
        UUID id = UUID.randomUUID();
        assertThat(outcome(send(one, entry(id, "expect", "answer", Map.of("choice", 1))), 0).get("kept").asBoolean()).isTrue();
        assertThat(outcome(send(one, entry(id, "expect", "answer", Map.of("choice", 1.0))), 0).get("kept").asBoolean()).isTrue();
        for (JsonNode other : List.of(outcome(send(one, entry(id, "expect", "answer", Map.of("choice", 2))), 0),
                outcome(send(two, entry(id, "expect", "answer", Map.of("choice", 1))), 0))) {
            assertThat(other.get("kept").asBoolean()).isFalse();
            assertThat(other.get("taken").asBoolean()).as("to be sent again under another id").isTrue();
        }
    }

    @Test
    void twoPostsOfOneTrialAreOneTrial() {
        Room room = Room.of("ines", "The lamp keeper's clock");
        room.seal();
        for (int i = 0; i < 20; i++) {
            Map<String, Object> trial = Map.of("id", UUID.randomUUID(), "block", "films", "chosen",
                    Map.of("cord", "tern", "release", "keel", "bob", "m120"));
            List<HttpResponse<String>> answers = IntStream.range(0, 4).parallel()
                    .mapToObj(t -> room.student().post("/api/works/" + room.work() + "/trials", trial)).toList();
            assertThat(answers).allMatch(a -> a.statusCode() == 200);
            assertThat(answers.stream().map(Visitor::read).distinct()).hasSize(1);
        }
        assertThat(room.student().json("/api/works/" + room.work()).get("trials").size()).isEqualTo(20);
    }

    @Test
    void oneBadEntryIsRefusedAloneAndInWords() {
        Room room = Room.of("ines", "The lamp keeper's clock");
        room.seal();
        String path = "/api/works/" + room.work() + "/entries";
        String good = "{\"id\":\"" + UUID.randomUUID() + "\",\"block\":\"why\",\"slot\":\"answer\",\"value\":{\"text\":\"good\"},\"time\":\"+999999999-01-01T00:00:00Z\"}";
        String id = UUID.randomUUID().toString();
        for (String bad : List.of("null", "{\"id\":{},\"block\":[],\"slot\":5,\"value\":1,\"time\":{}}",
                "{\"id\":\"" + id + "\",\"block\":\"why\",\"slot\":\"answer\",\"value\":{\"text\":\"a\\u0000b\"},\"time\":\"\"}",
                "{\"id\":\"" + id + "\",\"block\":\"why\",\"slot\":\"answer\",\"value\":{\"text\":\"\\ud800\"},\"time\":\"\"}",
                "{\"id\":\"" + id + "\",\"block\":\"why\",\"slot\":\"answer\",\"value\":{\"text\":5},\"time\":\"\"}",
                "{\"id\":\"" + id + "\",\"block\":\"why\",\"slot\":\"answer\",\"value\":{\"n\":1e999999},\"time\":\"\"}",
                "{\"id\":\"" + id + "\",\"block\":\"readings\",\"slot\":\"rows\",\"value\":{\"order\":\"r1\"},\"time\":\"\"}",
                "{\"id\":\"" + id + "\",\"block\":\"nowhere\\u0000\",\"slot\":\"rows\",\"value\":{},\"time\":\"\"}",
                "{\"id\":\"" + id + "\",\"block\":\"why\",\"slot\":\"" + "s".repeat(300) + "\",\"value\":{},\"time\":\"\"}")) {
            HttpResponse<String> answer = room.student().postText(path, "application/json", "{\"entries\":[" + bad + "," + good + "]}");
            assertThat(answer.statusCode()).as(bad + answer.body()).isEqualTo(200);
            assertThat(outcome(answer, 0).get("kept").asBoolean()).as(bad).isFalse();
            assertThat(outcome(answer, 0).get("reason").asString()).as(bad).isNotBlank();
            assertThat(outcome(answer, 1).get("kept").asBoolean()).as(bad).isTrue();
        }
    }

    @Test
    void anOddValueAlreadyStoredCountsAsMissingAndBreaksNothing() {
        JdbcTemplate sql = ServerExtension.bean(JdbcTemplate.class);
        Room room = Room.of("ines", "The lamp keeper's clock");
        room.seal();
        room.keep("readings", "rows", Map.of("order", List.of("r1")), "why", "answer", Map.of("text", "fine"));
        for (String[] odd : new String[][] {{"readings", "rows", "{\"order\":\"r1\"}"}, {"why", "answer", "{\"text\":5}"},
                {"expect", "answer", "[1]"}, {"g", "answer", "{\"number\":{}}"}, {"graph", "view", "{\"more\":7}"},
                {"readings", "columns", "{\"columns\":[{\"id\":1}]}"}, {"readings", "edit/x", "{\"slots\":\"no\"}"}, {"gone", "answer", "{}"},
                {"readings", "cell/r1/L", "{\"text\":\"1\",\"reading\":{\"trial\":3}}"}}) {
            sql.update("insert into entry (id, work_id, block, slot, value, client_time, server_time) values (gen_random_uuid(),"
                    + " cast(? as uuid), ?, ?, cast(? as jsonb), now(), now())", room.work(), odd[0], odd[1], odd[2]);
        }
        String work = "/api/works/" + room.work();
        for (Visitor reader : List.of(room.student(), room.teacher())) {
            JsonNode view = reader.json(work);
            assertThat(view.get("unreadable").toString()).contains("order: a list is needed", "text: a text is needed");
            assertThat(view.at("/notebook/why/answer").isMissingNode()).isTrue();
            assertThat(reader.postForPdf(work + "/report", Map.of("zone", "UTC", "pictures", List.of())).length).isPositive();
        }
        assertThat(room.student().json(work + "/missing").toString()).contains("words written");
        assertThat(room.student().get("/api/assigned").statusCode()).isEqualTo(200);
        assertThat(room.teacher().get("/api/teaching/classes").statusCode()).isEqualTo(200);
        assertThat(room.teacher().get("/api/teaching/assignments/" + room.assignment()).statusCode()).isEqualTo(200);
        // What is written anew can be read again.
        room.keep("why", "answer", Map.of("text", "again"));
        assertThat(room.student().json(work).at("/notebook/why/answer/text").asString()).isEqualTo("again");
    }

    @Test
    void twoDevicesHearOfEachOther() {
        Room room = Room.of("ines", "The lamp keeper's clock");
        room.seal();
        String path = "/api/works/" + room.work() + "/entries";
        long seen = room.student().json("/api/works/" + room.work()).get("seen").asLong();
        room.student().post(path, Map.of("writer", "tab-a", "seen", seen, "entries", List.of(entry(UUID.randomUUID(), "why", "answer", Map.of("text", "from a")))));
        JsonNode b = Visitor.read(room.student().post(path, Map.of("writer", "tab-b", "seen", seen, "entries",
                List.of(entry(UUID.randomUUID(), "why", "answer", Map.of("text", "from b"))))));
        assertThat(b.at("/news/0/value/text").asString()).as("what it wrote over unseen").isEqualTo("from a");
        JsonNode a = room.student().json(path + "?writer=tab-a&seen=" + seen);
        assertThat(a.get("news").size()).isEqualTo(1);
        assertThat(a.at("/news/0/value/text").asString()).isEqualTo("from b");
        assertThat(room.student().json(path + "?writer=tab-a&seen=" + a.get("seen").asLong()).get("news").size()).isZero();
    }

    @Test
    void triesAtAQuestionAreCountedAndRunOut() {
        Room room = Room.of("ines", "The lamp keeper's clock");
        String path = "/api/works/" + room.work() + "/checks";
        IntFunction<Map<String, String>> wrong = i -> Map.of("block", "g", "number", "3." + i, "unit", "m/s²");
        Map<String, String> right = Map.of("block", "g", "number", "9.81", "unit", "m/s²");
        room.seal();
        assertThat(room.student().post(path, wrong.apply(0)).statusCode()).as("nothing measured yet").isEqualTo(409);
        room.fill("readings");
        // One answer pressed ten times at once is one try; six answers at once are six.
        assertThat(IntStream.range(0, 10).parallel().mapToObj(i -> Visitor.read(room.student().post(path, wrong.apply(0)))
                .get("left").asInt())).containsOnly(5);
        List<Integer> left = IntStream.range(1, 6).parallel()
                .mapToObj(i -> Visitor.read(room.student().post(path, wrong.apply(i))).get("left").asInt()).sorted().toList();
        assertThat(left).containsExactly(0, 1, 2, 3, 4);
        JsonNode late = Visitor.read(room.student().post(path, right));
        assertThat(late.get("verdict").asString()).isEqualTo("right");
        assertThat(late.get("feedback").asString()).contains("brings no points until your teacher opens the question");
        assertThat(room.student().json("/api/works/" + room.work()).at("/score/points").asDouble()).isZero();
        assertThat(room.student().post("/api/works/" + room.work() + "/openings", Map.of("block", "g")).statusCode()).isEqualTo(404);
        assertThat(room.teacher().post("/api/works/" + room.work() + "/openings", Map.of("block", "g")).statusCode()).isEqualTo(204);
        assertThat(Visitor.read(room.student().post(path, right)).get("left").asInt()).isEqualTo(5);
        // What has brought all its points is at rest: no check afterwards takes a try, or the points, away.
        JsonNode after = Visitor.read(room.student().post(path, wrong.apply(7)));
        assertThat(after.get("verdict").asString()).isNotEqualTo("right");
        assertThat(after.get("left").asInt()).isEqualTo(5);
        JsonNode seen = room.teacher().json("/api/works/" + room.work());
        assertThat(seen.at("/score/points").asDouble()).isEqualTo(4);
        assertThat(seen.at("/tried/g/all").size()).isEqualTo(8);
        assertThat(seen.at("/tried/g/all/0/at").asString()).isNotBlank();
    }
}
