package cauldron.e2e;

import cauldron.core.apparatus.Film;
import cauldron.core.apparatus.Recipe;
import cauldron.core.apparatus.Run;
import com.google.gson.JsonElement;
import com.google.gson.JsonObject;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.CDPSession;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.net.CookieManager;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
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
        gasFrames();
        discsBesideOtherEngines();
        modelOnTheJvm();
        filmOnTheJvm();
        NotebookSpeed.measure(this::row);
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

    /** The gas on the open bench as a teacher sees it: model, histogram and drawing of every frame. */
    @SuppressWarnings("unchecked")
    private void gasFrames() {
        for (int molecules : new int[] {1000, 5000}) {
            try (BrowserContext context = Chrome.context(1280, 800)) {
                Page page = Chrome.signIn(context, "ines");
                page.navigate(App.address() + "/bench/gas-cylinder");
                Chrome.button(page, "Run").waitFor();
                var count = page.getByRole(AriaRole.TEXTBOX, new Page.GetByRoleOptions().setName(Pattern.compile("^Molecules of gas 1")));
                count.fill(String.valueOf(molecules));
                count.press("Enter");
                var length = page.getByRole(AriaRole.TEXTBOX, new Page.GetByRoleOptions().setName(Pattern.compile("^Length of")));
                // Room conditions: about 100 kPa at 300 K.
                length.fill(molecules == 1000 ? "34" : "160");
                length.press("Enter");
                Object result = page.evaluate("""
                        async () => {
                          [...document.querySelectorAll('button')].find((b) => b.textContent.trim() === 'Run').click();
                          const busy = [];
                          const gaps = [];
                          let last = 0;
                          // Scripts of one frame, drawing commands included: from the first callback to the last.
                          await new Promise((done) => {
                            let n = 0;
                            const tick = (now) => {
                              const start = performance.now();
                              if (last) gaps.push(now - last);
                              last = now;
                              const channel = new MessageChannel();
                              channel.port1.onmessage = () => {
                                busy.push(performance.now() - now);
                                if (++n < 400) requestAnimationFrame(tick); else done();
                              };
                              channel.port2.postMessage(0);
                            };
                            requestAnimationFrame(tick);
                          });
                          return [busy.slice(100), gaps.slice(100)];
                        }""");
                List<List<Number>> lists = (List<List<Number>>) result;
                double[] busy = lists.get(0).stream().mapToDouble(Number::doubleValue).sorted().toArray();
                double[] gaps = lists.get(1).stream().mapToDouble(Number::doubleValue).sorted().toArray();
                row("gas of " + molecules + " molecules on the open bench: a whole frame of the page, React, style and paint included",
                        "median %.1f ms, p90 %.1f ms; frames every %.1f ms (median)", quantile(busy, 0.5), quantile(busy, 0.9),
                        quantile(gaps, 0.5));
                row("gas of " + molecules + " molecules on the open bench: model, histogram and drawing by the profiler",
                        "%.1f ms a frame", ownScripts(context, page));
            }
            try (BrowserContext context = Chrome.context(800, 600)) {
                Page page = ReplayTest.pageWithCore(context);
                List<Number> figures = (List<Number>) page.evaluate("""
                        ([molecules, length]) => {
                          const run = core.openRun('gas-cylinder', { count1: molecules, length }, 1);
                          const model = [], histogram = [];
                          for (let i = 0; i < 600; i++) {
                            let from = performance.now();
                            run.advance(1e-10 / 60);
                            run.crowd();
                            model.push(performance.now() - from);
                            from = performance.now();
                            run.histogram(0, 0, 37.5, 40, 600);
                            histogram.push(performance.now() - from);
                          }
                          // Five minutes of wall time later: how long to go back to the first minute's end.
                          const minutes = 5 * 60 * 1e-10;
                          for (let s = 1; s <= 300; s++) run.seek(minutes * s / 300);
                          const from = performance.now();
                          run.seek(minutes / 5 + 0.37e-10);
                          const back = performance.now() - from;
                          const middle = (a) => [...a].sort((x, y) => x - y)[Math.floor(a.length / 2)];
                          return [middle(model.slice(100)), middle(histogram.slice(100)), back];
                        }""", List.of(molecules, molecules == 1000 ? 34 : 160));
                row("gas of " + molecules + " molecules: model and places alone; histogram alone", "%.2f ms; %.2f ms",
                        figures.get(0).doubleValue(), figures.get(1).doubleValue());
                row("gas of " + molecules + " molecules: going back 4 of 5 minutes", "%.2f s", figures.get(2).doubleValue() / 1000);
            }
        }
    }

    /** Milliseconds a frame spent in the core, in the bench's own scripts and in the canvas, as Chromium's profiler sees it. */
    private static double ownScripts(BrowserContext context, Page page) {
        CDPSession profiler = context.newCDPSession(page);
        profiler.send("Profiler.enable");
        profiler.send("Profiler.start");
        double frames = ((Number) page.evaluate("""
                () => new Promise((done) => {
                  let n = 0;
                  const from = performance.now();
                  const tick = (now) => { n++; if (now - from < 4000) requestAnimationFrame(tick); else done(n); };
                  requestAnimationFrame(tick);
                })""")).doubleValue();
        JsonObject profile = profiler.send("Profiler.stop").getAsJsonObject("profile");
        Map<Integer, Boolean> ours = new java.util.HashMap<>();
        for (JsonElement node : profile.getAsJsonArray("nodes")) {
            JsonObject frame = node.getAsJsonObject().getAsJsonObject("callFrame");
            String name = frame.get("functionName").getAsString();
            String file = frame.get("url").getAsString().replaceAll(".*/", "");
            // The page's framework is in index and chunk files; natives of the canvas have no file.
            boolean own = file.isEmpty() ? Set.of("fillRect", "arc", "fill", "stroke", "rect", "clearRect").contains(name)
                    : !file.startsWith("index-") && !file.startsWith("chunk-");
            ours.put(node.getAsJsonObject().get("id").getAsInt(), own);
        }
        double micros = 0;
        for (int i = 0; i < profile.getAsJsonArray("samples").size(); i++) {
            if (ours.getOrDefault(profile.getAsJsonArray("samples").get(i).getAsInt(), false)) {
                micros += profile.getAsJsonArray("timeDeltas").get(i).getAsDouble();
            }
        }
        return micros / 1000 / frames;
    }

    /** The same discs, walls, speeds and frames in the core and in engines made for games. */
    private void discsBesideOtherEngines() throws IOException {
        Path modules = Path.of("..", "web", "node_modules");
        try (BrowserContext context = Chrome.context(800, 600)) {
            Page page = ReplayTest.pageWithCore(context);
            context.route("http://core.test/matter.js", r -> r.fulfill(new Route.FulfillOptions()
                    .setPath(modules.resolve("matter-js/build/matter.min.js")).setContentType("text/javascript")));
            context.route("http://core.test/planck.js", r -> r.fulfill(new Route.FulfillOptions()
                    .setPath(modules.resolve("planck/dist/planck.min.js")).setContentType("text/javascript")));
            context.route("http://core.test/rapier.js", r -> r.fulfill(new Route.FulfillOptions()
                    .setPath(modules.resolve("@dimforge/rapier2d-compat/dist/rapier.mjs")).setContentType("text/javascript")));
            String script = new String(Bench.class.getResourceAsStream("/discs.js").readAllBytes(), StandardCharsets.UTF_8);
            for (Object line : (List<?>) page.evaluate(script)) {
                List<?> values = (List<?>) line;
                row("1,000 elastic discs for 10 s of 60 frames: " + values.get(0), "%s", values.get(1));
            }
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
