package cauldron.e2e;

import cauldron.core.apparatus.Film;
import cauldron.core.apparatus.Recipe;
import cauldron.core.apparatus.Run;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Page;
import java.io.IOException;
import java.net.CookieManager;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** Measures speed on this machine; run by {@code ./cauldron bench}. It judges nothing. */
class Bench {

    private static final int CLIENTS = 50;
    private static final int ENTRIES = 40;
    private static final int WARM_UP = 3000;
    private static final Recipe RECIPE = new Recipe("pendulum", 1, Map.of("angle", 60.0, "drag", true), 1, List.of());

    private final StringBuilder table = new StringBuilder("\n| what | figure |\n|---|---|\n");

    private void row(String what, String format, Object... values) {
        table.append("| ").append(what).append(" | ").append(String.format(Locale.ROOT, format, values)).append(" |\n");
    }

    @Test
    void measure() throws Exception {
        frameInTheBrowser();
        modelOnTheJvm();
        filmOnTheJvm();
        entriesByFiftyClients();
        Files.createDirectories(Path.of("target"));
        Files.writeString(Path.of("target", "bench.md"), table.toString());
    }

    @SuppressWarnings("unchecked")
    private void frameInTheBrowser() {
        try (BrowserContext context = Chrome.context(800, 600)) {
            Page page = ReplayTest.pageWithCore(context);
            // The clock of a page ticks in tenths of a millisecond, so frames are timed in tens.
            List<Number> tens = (List<Number>) page.evaluate("""
                    () => {
                      const run = core.openRun('pendulum', { angle: 60, drag: true }, 1);
                      const times = [];
                      for (let i = 0; i < 700; i++) {
                        const from = performance.now();
                        for (let k = 0; k < 10; k++) { run.advance(1 / 60); run.scene(); run.channels(); }
                        if (i >= 100) times.push((performance.now() - from) / 10);
                      }
                      return times;
                    }""");
            double[] t = tens.stream().mapToDouble(Number::doubleValue).sorted().toArray();
            row("one pendulum frame in Chromium (advance, scene, all channels)", "median %.3f ms, p99 %.3f ms",
                    quantile(t, 0.5), quantile(t, 0.99));
        }
    }

    private void modelOnTheJvm() {
        Run.replay(RECIPE, 600);
        long from = System.nanoTime();
        Run.replay(RECIPE, 3000);
        row("pendulum on the JVM", "%.0f model seconds in a second", 3000 / seconds(from));
    }

    private void filmOnTheJvm() {
        Film.shoot(RECIPE, "side", 120, 30);
        long from = System.nanoTime();
        Film film = Film.shoot(RECIPE, "side", 120, 30);
        row("making a 30 s recording at 120 frames/s", "%.3f s, %d frames, %.1f kB", seconds(from), film.frames(),
                film.body().length * 2 / 1000.0);
    }

    private void entriesByFiftyClients() throws Exception {
        String address = App.address();
        List<Client> clients = new ArrayList<>();
        for (int i = 0; i < CLIENTS; i++) {
            clients.add(new Client(address, "Bench Client " + UUID.randomUUID()));
        }
        Client one = clients.get(0);
        one.film();
        long from = System.nanoTime();
        int size = one.film();
        row("making and sending the lab's 60 s recording at 120 frames/s", "%.3f s, %.1f kB gzipped", seconds(from),
                size / 1000.0);
        // A server that has run for a while: its compiler has seen this path often enough.
        for (int i = 0; i < WARM_UP; i++) {
            clients.get(i % CLIENTS).save();
        }
        ExecutorService pool = Executors.newFixedThreadPool(CLIENTS);
        List<Callable<double[]>> jobs = new ArrayList<>();
        for (Client client : clients) {
            jobs.add(() -> {
                double[] times = new double[ENTRIES];
                for (int i = 0; i < ENTRIES; i++) {
                    long start = System.nanoTime();
                    client.save();
                    times[i] = 1000 * seconds(start);
                }
                return times;
            });
        }
        List<Double> all = new ArrayList<>();
        for (Future<double[]> future : pool.invokeAll(jobs)) {
            Arrays.stream(future.get()).forEach(all::add);
        }
        pool.shutdown();
        double[] t = all.stream().mapToDouble(Double::doubleValue).sorted().toArray();
        row("saving an entry, " + CLIENTS + " clients at once", "median %.1f ms, p99 %.1f ms", quantile(t, 0.5),
                quantile(t, 0.99));
        double[] p = pgbench();
        row("pgbench, one-row inserts, " + CLIENTS + " clients at once", "median %.1f ms, p99 %.1f ms",
                quantile(p, 0.5), quantile(p, 0.99));
    }

    /** Latencies in milliseconds of PostgreSQL's own benchmark with one insert a transaction. */
    private static double[] pgbench() throws IOException, InterruptedException {
        Path folder = Files.createTempDirectory("cauldron-pgbench");
        Path script = Files.writeString(folder.resolve("insert.sql"),
                "insert into bench_entry values (gen_random_uuid(), '{\"text\": \"88.5\"}', now());\n");
        try (var c = App.database(); var s = c.createStatement()) {
            s.execute("create table if not exists bench_entry (id uuid primary key, value jsonb, at timestamptz)");
        } catch (java.sql.SQLException e) {
            throw new IllegalStateException(e);
        }
        String bin;
        try (Stream<Path> versions = Files.list(Path.of("/usr/lib/postgresql"))) {
            bin = versions.max(java.util.Comparator.naturalOrder()).orElseThrow() + "/bin/pgbench";
        }
        new ProcessBuilder(bin, "-n", "-c", String.valueOf(CLIENTS), "-j", "2", "-t", String.valueOf(ENTRIES), "-l",
                "-f", script.toString(), App.databaseAddress()).directory(folder.toFile())
                .redirectErrorStream(true).redirectOutput(folder.resolve("out.txt").toFile()).start().waitFor();
        List<Double> times = new ArrayList<>();
        try (Stream<Path> logs = Files.list(folder)) {
            for (Path log : logs.filter(f -> f.getFileName().toString().startsWith("pgbench_log")).toList()) {
                for (String line : Files.readAllLines(log)) {
                    times.add(Double.parseDouble(line.split(" ")[2]) / 1000);
                }
            }
        }
        return times.stream().mapToDouble(Double::doubleValue).sorted().toArray();
    }

    private static double seconds(long from) {
        return (System.nanoTime() - from) / 1e9;
    }

    private static double quantile(double[] sorted, double q) {
        return sorted[(int) Math.min(sorted.length - 1, Math.floor(q * sorted.length))];
    }

    /** A student's browser without the pages. */
    private static final class Client {

        private final HttpClient http = HttpClient.newBuilder().cookieHandler(new CookieManager()).build();
        private final String address;
        private final String token;
        private final String work;
        private String trial;

        Client(String address, String name) throws Exception {
            this.address = address;
            var first = http.send(HttpRequest.newBuilder(URI.create(address + "/api/me")).build(), BodyHandlers.ofString());
            this.token = find("XSRF-TOKEN=([^;]+)", String.join(";", first.headers().allValues("Set-Cookie")));
            post("/api/join", "{\"code\":\"KEEP34\",\"displayName\":\"" + name.substring(0, 40)
                    + "\",\"secret\":\"eight-chars\"}");
            String assignment = find("\"id\":\"([^\"]+)\"", get("/api/assigned"));
            this.work = find("\"workId\":\"([^\"]+)\"", post("/api/assigned/" + assignment + "/work", "{}"));
            entry("expect", "answer", "{\"choice\":1}");
            entry("expect", "seal", "{\"sealed\":true}");
        }

        void save() throws Exception {
            entry("readings", "cell/r1/L", "{\"text\":\"88.5\"}");
        }

        /** Fetches the film of one trial; its size on the wire. */
        int film() throws Exception {
            if (trial == null) {
                trial = UUID.randomUUID().toString();
                post("/api/works/" + work + "/trials", "{\"id\":\"" + trial + "\",\"block\":\"films\",\"chosen\":"
                        + "{\"cord\":\"shag\",\"release\":\"keel\",\"bob\":\"m240\"}}");
            }
            return http.send(HttpRequest.newBuilder(URI.create(address + "/api/trials/" + trial + "/film"))
                    .header("Accept-Encoding", "gzip").build(), BodyHandlers.ofByteArray()).body().length;
        }

        private void entry(String block, String slot, String value) throws Exception {
            post("/api/works/" + work + "/entries", "{\"entries\":[{\"id\":\"" + UUID.randomUUID() + "\",\"block\":\""
                    + block + "\",\"slot\":\"" + slot + "\",\"value\":" + value + ",\"time\":\"" + Instant.now() + "\"}]}");
        }

        private String get(String path) throws Exception {
            return http.send(HttpRequest.newBuilder(URI.create(address + path)).build(), BodyHandlers.ofString()).body();
        }

        private String post(String path, String body) throws Exception {
            var answer = http.send(HttpRequest.newBuilder(URI.create(address + path)).header("X-XSRF-TOKEN", token)
                    .header("Content-Type", "application/json").POST(BodyPublishers.ofString(body)).build(),
                    BodyHandlers.ofString());
            if (answer.statusCode() >= 300) {
                throw new IllegalStateException(path + " answered " + answer.statusCode() + " " + answer.body());
            }
            return answer.body();
        }

        private static String find(String pattern, String text) {
            Matcher matcher = Pattern.compile(pattern).matcher(text);
            if (!matcher.find()) {
                throw new IllegalStateException("no " + pattern + " in " + text);
            }
            return matcher.group(1);
        }
    }
}
