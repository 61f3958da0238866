package cauldron.server;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Someone at a browser, over real HTTP: keeps cookies and sends the CSRF token back. */
final class Visitor {

    static final String SECRET = "lantern-harbour";
    private static final JsonMapper JSON = JsonMapper.builder().build();

    private final String address;
    private final String forwardedFor;
    private final CookieManager cookies = new CookieManager();
    private final HttpClient http = HttpClient.newBuilder().cookieHandler(cookies).build();
    private boolean withToken = true;

    Visitor() {
        this(ServerExtension.address(), null);
    }

    /** At another server, or telling a proxy's story of where the request comes from. */
    Visitor(String address, String forwardedFor) {
        this.address = address;
        this.forwardedFor = forwardedFor;
    }

    static Visitor signedIn(String userName) {
        return signedIn(userName, SECRET);
    }

    static Visitor signedIn(String userName, String secret) {
        Visitor visitor = new Visitor();
        visitor.get("/api/me");
        HttpResponse<String> answer = visitor.signIn(userName, secret);
        if (answer.statusCode() != 200) {
            throw new AssertionError("could not sign in " + userName + ": " + answer.body());
        }
        return visitor;
    }

    /** From now on without the CSRF token. */
    Visitor withoutToken() {
        withToken = false;
        return this;
    }

    HttpResponse<String> signIn(String userName, String secret) {
        return post("/api/session", Map.of("userName", userName, "secret", secret));
    }

    /** A body as it is. */
    HttpResponse<String> postText(String path, String type, String body) {
        return send(request(path).header("Content-Type", type).POST(BodyPublishers.ofString(body)).build());
    }

    /** A body of which isn't said how long it is. */
    HttpResponse<String> postUnmeasured(String path, byte[] body) {
        return send(request(path).header("Content-Type", "application/json")
                .POST(BodyPublishers.ofInputStream(() -> new java.io.ByteArrayInputStream(body))).build());
    }

    /** Any method with a body as it is. */
    HttpResponse<String> send(String method, String path, String type, String body) {
        return send(request(path).header("Content-Type", type).method(method, BodyPublishers.ofString(body)).build());
    }

    /** Any method without a body. */
    HttpResponse<String> send(String method, String path) {
        return send(request(path).method(method, BodyPublishers.noBody()).build());
    }

    HttpResponse<String> get(String path) {
        return send(request(path).GET().build());
    }

    HttpResponse<String> post(String path, Object body) {
        return send(posting(path, body), BodyHandlers.ofString());
    }

    /** A file that is made when it is asked for. */
    byte[] getForBytes(String path) {
        HttpResponse<byte[]> answer = send(request(path).GET().build(), BodyHandlers.ofByteArray());
        if (answer.statusCode() != 200) {
            throw new AssertionError(path + " answered " + answer.statusCode());
        }
        return answer.body();
    }

    /** A file that is made of something. */
    byte[] postForBytes(String path, Object body) {
        HttpResponse<byte[]> answer = send(posting(path, body), BodyHandlers.ofByteArray());
        if (answer.statusCode() != 200) {
            throw new AssertionError(path + " answered " + answer.statusCode());
        }
        return answer.body();
    }

    /** What the last line of an answer at a desk says was made. */
    static JsonNode made(HttpResponse<String> answer) {
        String[] lines = answer.body().split("\n");
        return JSON.readTree(lines[lines.length - 1]);
    }

    /** A report, which comes as the last line of its answer. */
    byte[] postForPdf(String path, Object body) {
        HttpResponse<String> answer = post(path, body);
        if (answer.statusCode() != 200 || !made(answer).has("done")) {
            throw new AssertionError(path + " answered " + answer.statusCode() + " " + answer.body());
        }
        return java.util.Base64.getDecoder().decode(made(answer).at("/done/pdf").asString());
    }

    /** Listens to server-sent events, each a tree, until it is closed. */
    Events listen(String path) {
        HttpResponse<java.io.InputStream> answer = send(request(path).header("Accept", "text/event-stream").GET()
                .build(),
                BodyHandlers.ofInputStream());
        if (answer.statusCode() != 200) {
            throw new AssertionError(path + " answered " + answer.statusCode());
        }
        return new Events(answer.body());
    }

    /** Brings a file. */
    HttpResponse<String> postFile(String path, byte[] file) {
        return send(request(path).header("Content-Type", "application/octet-stream").POST(BodyPublishers.ofByteArray(file)).build());
    }

    /** Brings a piece of a file. */
    HttpResponse<String> putFile(String path, byte[] file) {
        return send(request(path).header("Content-Type", "application/octet-stream")
                .PUT(BodyPublishers.ofByteArray(file))
                .build());
    }

    /** A file with all that is said of it. */
    HttpResponse<byte[]> file(String path) {
        return send(request(path).GET().build(), BodyHandlers.ofByteArray());
    }

    private HttpRequest posting(String path, Object body) {
        return request(path).header("Content-Type", "application/json")
                .POST(BodyPublishers.ofString(JSON.writeValueAsString(body))).build();
    }

    /** Takes a cookie over in place of its own. */
    void adopt(String name, String value) {
        cookies.getCookieStore().getCookies().stream().filter(c -> c.getName().equals(name)).findFirst().orElseThrow()
                .setValue(value);
    }

    String cookie(String name) {
        return cookies.getCookieStore().getCookies().stream().filter(c -> c.getName().equals(name))
                .map(HttpCookie::getValue).findFirst().orElse(null);
    }

    HttpResponse<String> put(String path, Object body) {
        return send(request(path).header("Content-Type", "application/json")
                .PUT(BodyPublishers.ofString(JSON.writeValueAsString(body))).build());
    }

    HttpResponse<String> delete(String path) {
        return send(request(path).DELETE().build());
    }

    JsonNode json(String path) {
        HttpResponse<String> answer = get(path);
        if (answer.statusCode() != 200) {
            throw new AssertionError(path + " answered " + answer.statusCode() + " " + answer.body());
        }
        return JSON.readTree(answer.body());
    }

    /** The id of a lab of the catalogue. */
    String lab(String title) {
        for (JsonNode lab : json("/api/labs")) {
            if (lab.get("title").asString().equals(title)) {
                return lab.get("id").asString();
            }
        }
        throw new AssertionError(title);
    }

    static JsonNode read(HttpResponse<String> answer) {
        return JSON.readTree(answer.body());
    }

    private HttpRequest.Builder request(String path) {
        HttpRequest.Builder builder = HttpRequest.newBuilder(URI.create(address + path));
        if (forwardedFor != null) {
            builder.header("X-Forwarded-For", forwardedFor).header("X-Forwarded-Proto", "https");
        }
        for (HttpCookie cookie : cookies.getCookieStore().getCookies()) {
            if (withToken && cookie.getName().equals("XSRF-TOKEN")) {
                builder.header("X-XSRF-TOKEN", cookie.getValue());
            }
        }
        return builder;
    }

    private HttpResponse<String> send(HttpRequest request) {
        return send(request, BodyHandlers.ofString());
    }

    private <T> HttpResponse<T> send(HttpRequest request, HttpResponse.BodyHandler<T> handler) {
        try {
            return http.send(request, handler);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }

    /** Types a number into every cell of a table of one's work, so that its rows are complete. */
    void fill(String work, String table) {
        for (JsonNode part : json("/api/works/" + work).at("/sheet/parts")) {
            for (JsonNode block : part.get("blocks")) {
                if (block.get("id").asString().equals(table)) {
                    Map<String, Object> slots = new LinkedHashMap<>();
                    List<String> order = new ArrayList<>();
                    for (int i = 1; i <= block.get("rows").asInt(); i++) {
                        order.add("r" + i);
                        for (JsonNode column : block.get("columns")) {
                            slots.put("cell/r" + i + "/" + column.get("id").asString(), Map.of("text", "" + i));
                        }
                    }
                    slots.put("rows", Map.of("order", order));
                    JsonNode outcome = read(post("/api/works/" + work + "/entries", Map.of("entries",
                            List.of(Map.of("id",
                            UUID.randomUUID(), "block", table, "slot", "edit/" + UUID.randomUUID(), "value",
                            Map.of("slots", slots), "time", "2026-01-01T00:00:00Z"))))).get("outcomes").get(0);
                    if (!outcome.get("kept").asBoolean()) {
                        throw new AssertionError(outcome.toString());
                    }
                    return;
                }
            }
        }
        throw new AssertionError("no table " + table);
    }
}
