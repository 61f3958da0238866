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
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.parallel.Isolated;

/** Nothing that is sent can stop the server, and every refusal is in words. */
@ExtendWith(ServerExtension.class)
@Isolated
class LimitsTest {

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
        for (int torn : new int[] {2, 3}) {
            assertThat(Visitor.read(answers.get(torn)).get("field").asString()).isEqualTo("name");
            assertThat(Visitor.read(answers.get(torn)).get("detail").asString()).contains("such as half of an emoji");
        }
        assertThat(Visitor.read(answers.get(8)).get("detail").asString()).isEqualTo("What was sent as “classId” can't be read.");
        assertThat(Visitor.read(answers.get(4)).get("detail").asString()).isEqualTo("Name of the class: type at least one letter or digit.");
        assertThat(Visitor.read(answers.get(7)).get("detail").asString()).isEqualTo("Name of the class: at most 60 characters.");
    }
}
