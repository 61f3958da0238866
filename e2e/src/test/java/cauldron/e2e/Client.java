package cauldron.e2e;

import static java.nio.charset.StandardCharsets.UTF_8;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.HttpURLConnection;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.time.Duration;
import java.time.Instant;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.Executor;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** A student without a browser, for load and for what happens when things break. */
final class Client {

    private static final Duration PATIENCE = Duration.ofSeconds(20);

    /** One for all: a hundred of them would take the processor that the server needs. */
    private static final HttpClient HTTP = HttpClient.newBuilder().version(HttpClient.Version.HTTP_1_1)
            .connectTimeout(PATIENCE).build();

    private final String address;
    private final CookieManager cookies = new CookieManager();
    private String work;

    Client(String address) throws IOException, InterruptedException {
        this.address = address;
        get("/api/me");
    }

    /** Joins a class, begins its newest lab, and seals the prediction. */
    Client join(String code, String name) throws IOException, InterruptedException {
        ask("/api/join", "{\"code\":\"" + code + "\",\"displayName\":\"" + name + "\",\"secret\":\"eight-chars\"}");
        String assignment = find("\"id\":\"([^\"]+)\"", get("/api/assigned").body());
        work = find("\"workId\":\"([^\"]+)\"", ask("/api/assigned/" + assignment + "/work", "{}"));
        ask(entries(), entry("expect", "answer", "{\"choice\":1}", UUID.randomUUID()));
        ask(entries(), entry("expect", "seal", "{\"sealed\":true}", UUID.randomUUID()));
        return this;
    }

    String work() {
        return work;
    }

    private String entries() {
        return "/api/works/" + work + "/entries";
    }

    private static String entry(String block, String slot, String value, UUID id) {
        return "{\"entries\":[{\"id\":\"" + id + "\",\"block\":\"" + block + "\",\"slot\":\"" + slot + "\",\"value\":" + value
                + ",\"time\":\"" + Instant.now() + "\"}]}";
    }

    /** Keeps an entry; the status of the answer. */
    int save(UUID id) throws IOException, InterruptedException {
        return post(entries(), entry("readings", "cell/r1/L", "{\"text\":\"88.5\"}", id)).statusCode();
    }

    /** Keeps a value. */
    void entry(String block, String slot, String value) throws IOException, InterruptedException {
        ask(entries(), entry(block, slot, value, UUID.randomUUID()));
    }

    /**
     * The same without waiting, over one of the connections that the JDK keeps open. The newer client takes three times as
     * much of the processor for a request, which the server beside it then lacks.
     */
    CompletableFuture<Integer> saving(Executor executor) {
        return CompletableFuture.supplyAsync(() -> {
            try {
                URI uri = URI.create(address + entries());
                HttpURLConnection connection = (HttpURLConnection) uri.toURL().openConnection();
                connection.setDoOutput(true);
                connection.setRequestProperty("Content-Type", "application/json");
                connection.setRequestProperty("X-XSRF-TOKEN", token());
                cookies.get(uri, Map.of()).forEach((name, values) -> connection.setRequestProperty(name, String.join("; ", values)));
                byte[] body = entry("readings", "cell/r1/L", "{\"text\":\"88.5\"}", UUID.randomUUID()).getBytes(UTF_8);
                connection.setFixedLengthStreamingMode(body.length);
                connection.getOutputStream().write(body);
                int status = connection.getResponseCode();
                try (InputStream in = status < 400 ? connection.getInputStream() : connection.getErrorStream()) {
                    in.readAllBytes();
                }
                return status;
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        }, executor);
    }

    CompletableFuture<Integer> getting(String path) {
        return HTTP.sendAsync(request(path).header("Accept-Encoding", "gzip").build(), BodyHandlers.ofByteArray())
                .thenApply(this::taken).thenApply(HttpResponse::statusCode);
    }

    /** Asks for a recording; its film's address. */
    String recording(String chosen) throws IOException, InterruptedException {
        String id = UUID.randomUUID().toString();
        ask("/api/works/" + work + "/trials", "{\"id\":\"" + id + "\",\"block\":\"films\",\"chosen\":" + chosen + "}");
        return "/api/trials/" + id + "/film";
    }

    byte[] bytes(String path) throws IOException, InterruptedException {
        return taken(HTTP.send(request(path).header("Accept-Encoding", "gzip").build(), BodyHandlers.ofByteArray())).body();
    }

    HttpResponse<String> get(String path) throws IOException, InterruptedException {
        return taken(HTTP.send(request(path).build(), BodyHandlers.ofString()));
    }

    HttpResponse<String> post(String path, String body) throws IOException, InterruptedException {
        return taken(HTTP.send(posting(path, body), BodyHandlers.ofString()));
    }

    private HttpRequest.Builder request(String path) {
        URI uri = URI.create(address + path);
        HttpRequest.Builder request = HttpRequest.newBuilder(uri).timeout(PATIENCE);
        try {
            cookies.get(uri, Map.of()).forEach((name, values) -> values.forEach(v -> request.header(name, v)));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return request;
    }

    private <T> HttpResponse<T> taken(HttpResponse<T> answer) {
        try {
            cookies.put(answer.uri(), answer.headers().map());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return answer;
    }

    private HttpRequest posting(String path, String body) {
        HttpRequest.Builder request = request(path).header("Content-Type", "application/json").POST(BodyPublishers.ofString(body));
        return request.header("X-XSRF-TOKEN", token()).build();
    }

    private String token() {
        return cookies.getCookieStore().getCookies().stream().filter(c -> c.getName().equals("XSRF-TOKEN"))
                .map(HttpCookie::getValue).findFirst().orElse("");
    }

    /** The answer's body; anything but a success is a fault of the test. */
    String ask(String path, String body) throws IOException, InterruptedException {
        HttpResponse<String> answer = post(path, body);
        if (answer.statusCode() >= 300) {
            throw new IllegalStateException(path + " answered " + answer.statusCode() + " " + answer.body());
        }
        return answer.body();
    }

    static String find(String pattern, String text) {
        Matcher matcher = Pattern.compile(pattern).matcher(text);
        if (!matcher.find()) {
            throw new IllegalStateException("no " + pattern + " in " + text);
        }
        return matcher.group(1);
    }
}
