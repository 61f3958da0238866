package cauldron.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.URLEncoder;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * Whatever stands in the list of the interface is asked in every way that it allows, by whoever may and may not, with
 * here and there something odd in a body, an address or a question. Nothing of it may bring the server to a fault of its
 * own, or hold it up.
 */
@ExtendWith(ServerExtension.class)
class HostileTest {

    private static final long SLOW = 2000;
    private static final int BODIES = 5000;
    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final Pattern PLACE = Pattern.compile("\\{([^}]*)}");
    /** What ends the room for those that come after it, and what is slow on purpose, comes seldom. */
    private static final Pattern SELDOM = Pattern.compile(
            ".*/(submission|out|move|archive|slips|report|session|join|enter|look|secret|reset|reading|paper|file|film)$");

    /** One way into the server. */
    private record Door(String method, String path, JsonNode operation) {

        boolean takesBody() {
            return operation.has("requestBody");
        }

        /** A stream of events ends when the listener leaves. */
        boolean ends() {
            return !operation.path("responses").toString().contains("text/event-stream");
        }
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
                Map<String, Object> map = new LinkedHashMap<>();
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

    private static List<Door> doors(JsonNode api) {
        List<Door> doors = new ArrayList<>();
        for (Map.Entry<String, JsonNode> path : api.get("paths").properties()) {
            for (Map.Entry<String, JsonNode> way : path.getValue().properties()) {
                Door door = new Door(way.getKey().toUpperCase(Locale.ROOT), path.getKey(), way.getValue());
                if (door.ends()) {
                    doors.add(door);
                }
            }
        }
        return doors;
    }

    private static String encoded(Object value) {
        return URLEncoder.encode(String.valueOf(value), StandardCharsets.UTF_8);
    }

    /** The address of a door, its places filled with what is there, with what isn't, or with something odd. */
    private static String address(Door door, Map<String, String> real, JsonNode api, Random random) {
        Matcher places = PLACE.matcher(door.path());
        StringBuilder address = new StringBuilder();
        while (places.find()) {
            String known = places.group(1).equals("id")
                    ? real.get(door.path().startsWith("/api/teaching/classes/") ? "classId" : "assignmentId")
                    : real.get(places.group(1));
            int kind = random.nextInt(6);
            String filled = kind > 1 && known != null ? known : kind > 0 ? UUID.randomUUID().toString()
                    : "x" + encoded(ODD[random.nextInt(ODD.length)]).replace("%2F", "").replace("+", "");
            places.appendReplacement(address, Matcher.quoteReplacement(filled));
        }
        places.appendTail(address);
        char joined = '?';
        for (JsonNode parameter : door.operation().path("parameters")) {
            if (parameter.get("in").asString().equals("query") && random.nextInt(5) > 0) {
                Object told = value(api, parameter.path("schema"), random, 0);
                address.append(joined).append(parameter.get("name").asString()).append('=').append(encoded(told));
                joined = '&';
            }
        }
        return address.toString();
    }

    private static HttpResponse<String> knock(Visitor who, Door door, String address, String type, String body) {
        return door.takesBody() ? who.send(door.method(), address, type, body) : who.send(door.method(), address);
    }

    @Test
    void fiveThousandHostileBodiesAndAllThatIsAskedWithoutOneFindNoHole() {
        long seed = Long.getLong("cauldron.seed", new Random().nextLong());
        System.out.println("hostile requests: -Dcauldron.seed=" + seed);
        Random random = new Random(seed);
        Visitor stranger = new Visitor();
        stranger.get("/api/me");
        JsonNode api = Visitor.read(stranger.get("/api/openapi.json"));
        Room room = Room.of("ines", "The lamp keeper's clock");
        room.seal();
        Map<String, String> real = new LinkedHashMap<>();
        real.put("workId", room.work());
        real.put("assignmentId", room.assignment());
        real.put("classId", room.teacher().json("/api/teaching/assignments/" + room.assignment()).get("classId").asString());
        real.put("studentId", room.student().json("/api/me").at("/person/id").asString());
        real.put("labId", room.teacher().lab("The lamp keeper's clock"));
        real.put("block", "readings");
        real.put("format", "xlsx");
        Visitor[] people = {stranger, room.student(), room.teacher(), Visitor.signedIn("sigrun")};
        List<Door> doors = doors(api);
        assertThat(doors).hasSizeGreaterThan(90);
        int bodies = 0;
        for (int i = 0; bodies < BODIES; i++) {
            Door door = doors.get(i % doors.size());
            boolean seldom = door.method().equals("DELETE") || SELDOM.matcher(door.path()).matches();
            if (seldom && random.nextInt(8) > 0) {
                continue;
            }
            JsonNode schema = door.operation().at("/requestBody/content/application~1json/schema");
            String address = address(door, real, api, random);
            String body = door.takesBody() ? written(value(api, schema, random, 0), random) : "";
            bodies += door.takesBody() ? 1 : 0;
            // Whoever signs out has no more doors to try.
            Visitor who = door.path().equals("/api/session") && door.method().equals("DELETE") ? stranger
                    : people[random.nextInt(people.length)];
            String type = random.nextInt(30) == 0 ? "text/plain" : "application/json";
            long begin = System.nanoTime();
            HttpResponse<String> answer = knock(who, door, address, type, body);
            long millis = (System.nanoTime() - begin) / 1_000_000;
            if (millis > SLOW) {
                // Slow by its own fault, not the machine's: then it is slow again.
                begin = System.nanoTime();
                knock(who, door, address, type, body);
                millis = (System.nanoTime() - begin) / 1_000_000;
            }
            String asked = door.method() + " " + address + " " + body;
            assertThat(answer.statusCode()).as(asked + " " + answer.body()).isLessThan(500);
            assertThat(answer.body()).as(asked).doesNotContain("\"status\":500");
            assertThat(millis).as(asked + " took long").isLessThan(SLOW);
        }
    }
}
