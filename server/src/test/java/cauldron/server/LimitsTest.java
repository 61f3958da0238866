package cauldron.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Nothing that is sent can stop the server, and every refusal is in words. */
@ExtendWith(ServerExtension.class)
class LimitsTest {

    private static final long SLOW = 2000;
    private static final JsonMapper JSON = JsonMapper.builder().build();

    private static Visitor fresh() {
        Visitor visitor = new Visitor();
        visitor.get("/api/me");
        return visitor;
    }

    @Test
    void bodiesAreBoundedBeforeTheyAreRead() {
        Map<String, Integer> limits = Map.of("/api/session", 16_000, "/api/join", 16_000, "/api/enter", 16_000);
        limits.forEach((path, most) -> {
            byte[] body = ("{\"userName\":\"" + "a".repeat(most) + "\",\"secret\":\"b\"}").getBytes();
            for (HttpResponse<String> answer : List.of(fresh().postText(path, "application/json", new String(body)), fresh().postUnmeasured(path, body))) {
                assertThat(answer.statusCode()).as(path).isEqualTo(413);
                assertThat(Visitor.read(answer).get("detail").asString()).isEqualTo("This is too large: at most 16 kB can be sent here.");
            }
        });
        Visitor ines = Visitor.signedIn("ines");
        assertThat(ines.post("/api/classes", Map.of("name", "n".repeat(256_000))).statusCode()).isEqualTo(413);
        Room room = Room.of("ines", "The lamp keeper's clock");
        HttpResponse<String> entries = room.student().post("/api/works/" + room.work() + "/entries", Map.of("entries", List.of("x".repeat(1_000_000))));
        assertThat(entries.statusCode()).isEqualTo(413);
        assertThat(entries.body()).contains("at most 1 MB");
    }

    /** A body of 100 MB that is made as it is sent. */
    private static InputStream hundredMegabytes() {
        return new InputStream() {
            private long left = 100_000_000;

            @Override
            public int read() {
                return left-- > 0 ? ' ' : -1;
            }

            @Override
            public int read(byte[] buffer, int from, int length) {
                int n = (int) Math.min(left, length);
                left -= n;
                java.util.Arrays.fill(buffer, from, from + Math.max(0, n), (byte) ' ');
                return n <= 0 ? -1 : n;
            }
        };
    }

    @Test
    void hugeBodiesFromAnyoneAreNotTakenIn() {
        HttpClient http = HttpClient.newHttpClient();
        Room room = Room.of("ines", "The lamp keeper's clock");
        Runtime runtime = Runtime.getRuntime();
        System.gc();
        long before = runtime.totalMemory() - runtime.freeMemory();
        List<CompletableFuture<?>> all = new ArrayList<>();
        for (String path : List.of("/api/session", "/api/join", "/api/enter", "/api/enter/look")) {
            for (int i = 0; i < 8; i++) {
                all.add(http.sendAsync(HttpRequest.newBuilder(URI.create(ServerExtension.address() + path))
                        .header("Content-Type", "application/json")
                        .POST(HttpRequest.BodyPublishers.ofInputStream(LimitsTest::hundredMegabytes)).build(),
                        HttpResponse.BodyHandlers.ofString()).handle((answer, e) -> answer));
            }
        }
        for (int i = 0; i < 50; i++) {
            room.keep("expect", "answer", Map.of("choice", i % 2));
        }
        all.forEach(CompletableFuture::join);
        System.gc();
        assertThat(runtime.totalMemory() - runtime.freeMemory() - before).as("bytes more in use").isLessThan(50_000_000);
    }

    @Test
    void oddRequestsAreRefusedInWords() {
        Visitor ines = Visitor.signedIn("ines");
        Visitor student = Visitor.signedIn("esi.lund");
        List<HttpResponse<String>> answers = List.of(
                ines.postText("/api/classes", "multipart/form-data", "x"),
                ines.postText("/api/classes", "text/plain", "x"),
                ines.postText("/api/classes", "application/json", "{\"name\":\"a\\u0000b\"}"),
                ines.postText("/api/classes", "application/json", "{\"name\":\"\\ud800\"}"),
                ines.postText("/api/classes", "application/json", "{\"name\":\"\u200b\u2060\"}"),
                ines.postText("/api/classes", "application/json", "[" .repeat(5000)),
                ines.postText("/api/classes", "application/json", "null"),
                ines.post("/api/classes", Map.of("name", "n".repeat(300))),
                ines.post("/api/teaching/assignments", Map.of("labId", UUID.randomUUID(), "classes",
                        List.of(Map.of("classId", "x")))),
                ines.post("/api/teaching/assignments", Map.of("labId", UUID.randomUUID(), "classes",
                        List.of(Map.of("classId", UUID.randomUUID(), "dueAt", "+999999999-12-31T00:00:00Z")))),
                ines.get("/api/works/not-an-id"), ines.get("/api/teaching/assignments/%00"),
                student.get("/api/admin/acts?before=x"),
                student.post("/api/memberships", Map.of("code", "\u200b")));
        for (HttpResponse<String> answer : answers) {
            assertThat(answer.statusCode()).as(answer.uri() + answer.body()).isBetween(400, 499);
        }
        // One of each kind is looked at for its words; whoever may not come in gets none.
        assertThat(Visitor.read(answers.get(4)).get("detail").asString()).isEqualTo("Name of the class: type at least one letter or digit.");
        assertThat(Visitor.read(answers.get(7)).get("detail").asString()).isEqualTo("Name of the class: at most 60 characters.");
    }

    private static final Object[] ODD = {null, "", " ", "\0", "\ud800", "\u200b", "x".repeat(5000), -1, 0, 1e308, 9007199254740993L, true,
            List.of(), Map.of(), List.of(Map.of("a", List.of())), "2026-13-45", "+999999999-01-01T00:00:00Z", "../../etc", "' or 1=1 --",
            "<script>", "00000000-0000-0000-0000-000000000000", "NaN", "1e999999", Map.of("", Map.of("", ""))};

    /** Writes a value of a schema, here and there with something odd in the place of what belongs there. */
    private static Object value(JsonNode api, JsonNode schema, Random random, int depth) {
        if (random.nextInt(6) == 0 || depth > 5) {
            return ODD[random.nextInt(ODD.length)];
        }
        JsonNode s = schema.has("$ref") ? api.at(schema.get("$ref").asString().substring(1)) : schema;
        switch (s.path("type").asString("object")) {
            case "string":
                return s.has("enum") ? s.get("enum").get(random.nextInt(s.get("enum").size())).asString()
                        : s.path("format").asString("").equals("uuid") ? UUID.randomUUID().toString() : "text " + random.nextInt(100);
            case "integer", "number":
                return random.nextInt(1000) - 500;
            case "boolean":
                return random.nextBoolean();
            case "array":
                List<Object> list = new ArrayList<>();
                for (int i = random.nextInt(4); i > 0; i--) {
                    list.add(value(api, s.path("items"), random, depth + 1));
                }
                return list;
            default:
                Map<String, Object> map = new java.util.LinkedHashMap<>();
                for (Map.Entry<String, JsonNode> property : s.path("properties").properties()) {
                    if (random.nextInt(8) > 0) {
                        map.put(property.getKey(), value(api, property.getValue(), random, depth + 1));
                    }
                }
                return map;
        }
    }

    private static String written(Object value, Random random) {
        String json = JSON.writeValueAsString(value).replace("\"1e999999\"", "1e999999");
        int kind = random.nextInt(20);
        return kind == 0 ? json.substring(0, json.length() / 2) : kind == 1 ? json + json : kind == 2 ? json.replace("\":", "\":[") : json;
    }

    @Test
    void fiveThousandHostileBodiesFindNoHole() throws IOException {
        long seed = Long.getLong("cauldron.seed", new Random().nextLong());
        System.out.println("hostile bodies: -Dcauldron.seed=" + seed);
        Random random = new Random(seed);
        JsonNode api = Visitor.read(fresh().get("/api/openapi.json"));
        Room room = Room.of("ines", "The lamp keeper's clock");
        room.seal();
        String classId = room.teacher().json("/api/teaching/assignments/" + room.assignment()).get("classId").asString();
        String student = room.student().json("/api/me").at("/person/id").asString();
        Map<String, String> real = Map.of("workId", room.work(), "classId", classId, "studentId", student, "assignmentId", room.assignment());
        Visitor[] people = {fresh(), room.student(), room.teacher(), Visitor.signedIn("sigrun")};
        List<String> paths = new ArrayList<>();
        for (Map.Entry<String, JsonNode> path : api.get("paths").properties()) {
            if (path.getValue().has("post")) {
                paths.add(path.getKey());
            }
        }
        assertThat(paths.size()).isGreaterThan(25);
        int sent = 0;
        for (int i = 0; sent < 5000; i++) {
            String path = paths.get(i % paths.size());
            // What ends the room for those that come after it, and what is slow on purpose, comes seldom.
            boolean seldom = path.matches(".*/(submission|out|move|archive|slips|report|session|join|enter|look|secret|reset|reading)$");
            if (seldom && random.nextInt(8) > 0) {
                continue;
            }
            sent++;
            JsonNode schema = api.at("/paths").get(path).path("post").path("requestBody").path("content").path("application/json").path("schema");
            String address = path;
            for (Map.Entry<String, String> known : real.entrySet()) {
                address = address.replace("{" + known.getKey() + "}", known.getValue());
            }
            address = address.replaceAll("\\{[^}]*\\}", random.nextBoolean() ? UUID.randomUUID().toString() : "xlsx");
            String body = written(value(api, schema, random, 0), random);
            Visitor who = people[random.nextInt(people.length)];
            String type = random.nextInt(30) == 0 ? "text/plain" : "application/json";
            long begin = System.nanoTime();
            HttpResponse<String> answer = who.postText(address, type, body);
            long millis = (System.nanoTime() - begin) / 1_000_000;
            if (millis > SLOW) {
                // Slow by its own fault, not the machine's: then it is slow again.
                begin = System.nanoTime();
                who.postText(address, type, body);
                millis = (System.nanoTime() - begin) / 1_000_000;
            }
            assertThat(answer.statusCode()).as(address + " " + body + " " + answer.body()).isLessThan(500);
            assertThat(answer.body()).as(address + " " + body).doesNotContain("\"status\":500");
            assertThat(millis).as(address + " took long: " + body).isLessThan(SLOW);
        }
    }
}
