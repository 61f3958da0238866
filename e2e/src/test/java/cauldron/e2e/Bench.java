package cauldron.e2e;

import cauldron.core.inventory.Inventory;
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
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** Measures speed on this machine; run by {@code ./cauldron bench}. It judges nothing. */
class Bench {

    private static final Recipe RECIPE = new Recipe("pendulum", 2, Map.of("angle", 60.0, "drag", true), 1, List.of());

    private final StringBuilder table = new StringBuilder("\n| what | figure |\n|---|---|\n");

    private void row(String what, String format, Object... measured) {
        // A number of the browser's that happens to be whole comes as an integer, which %f refuses.
        Object[] values = Arrays.stream(measured)
                .map(v -> v instanceof Integer whole && !format.contains("%d") ? (Object) whole.doubleValue() : v).toArray();
        table.append("| ").append(what).append(" | ").append(String.format(Locale.ROOT, format, values)).append(" |\n");
    }

    private interface Part {
        void measure() throws Exception;
    }

    /** Every part is measured, or only the one that is named by the property {@code cauldron.bench}. */
    private void part(String name, Part part) throws Exception {
        String only = System.getProperty("cauldron.bench", "");
        if (only.isEmpty() || only.equals(name)) {
            long from = System.nanoTime();
            part.measure();
            row("measuring “" + name + "” took", "%.0f s", (System.nanoTime() - from) / 1e9);
        }
    }

    @Test
    void measure() throws Exception {
        part("load", () -> FirstLoad.measure(this::row));
        part("frames", () -> {
            frameInTheBrowser("pendulum", Map.of("angle", 60.0, "drag", true));
            frameInTheBrowser("rail-run", Map.of("shape", "loop", "start", 6.5));
            frameInTheBrowser("rail-run", Map.of("shape", "own", "start", 7.9, "friction", 0.001));
            frameInTheBrowser("drop-tower", Map.of("two", true, "second", "cork", "height", 60.0));
            frameInTheBrowser("spring-trolley", Map.of("latched", true, "back", 40.0));
            frameInTheBrowser("swift-shot", Map.of("pressure", 6.0));
            frameInTheBrowser("twin-tanks", Map.of("section", "wide"));
            frameInTheBrowser("liquid-bridge", Map.of("liquid", "water"));
            frameInTheBrowser("reaction-balance", Map.of("closed", "balloon"));
            frameInTheBrowser("equilibrium-flask", Map.of());
            frameInTheBrowser("equilibrium-flask", Map.of("grain", "fine"));
            stepInTheBrowser("volume-bench", Map.of("second-fill", 30.0), Map.of("type", "perform", "act", "look", "with",
                    Map.of("height", 9.0)));
            stepInTheBrowser("atom-workbench", Map.of("protons", 6.0), Map.of("type", "perform", "act", "neutron-in"));
            runTable();
            crash();
            gasFrames();
            discsBesideOtherEngines();
        });
        part("models", () -> {
            modelOnTheJvm();
            filmOnTheJvm();
        });
        part("notebook", () -> NotebookSpeed.measure(this::row));
        part("server", () -> ServerLoad.measure(this::row));
        if (System.getProperty("cauldron.bench", "").equals("hardships")) {
            // Not with the others, which are to be done in four minutes.
            part("hardships", () -> Hardships.measure(this::row));
        }
        Files.createDirectories(Path.of("target"));
        Files.writeString(Path.of("target", "bench.md"), table.toString());
    }

    @SuppressWarnings("unchecked")
    private void frameInTheBrowser(String apparatus, Map<String, Object> settings) {
        try (BrowserContext context = Chrome.context(800, 600)) {
            Page page = ReplayTest.pageWithCore(context);
            // The clock of a page ticks in tenths of a millisecond, so frames are timed in tens.
            List<Number> tens = (List<Number>) page.evaluate("""
                    ([apparatus, settings, frame]) => {
                      const begin = {
                        'drop-tower': 'let-go', 'spring-trolley': 'let-go', 'swift-shot': 'fire', 'liquid-bridge': 'turn',
                        'reaction-balance': 'tip',
                      }[apparatus];
                      const open = () => {
                        const run = core.openRun(apparatus, settings, 1);
                        if (begin) run.act({ type: 'perform', act: begin });
                        return run;
                      };
                      const times = [];
                      let run = open();
                      for (let i = 0; i < 400; i++) {
                        if (run.isOver()) run = open();
                        const from = performance.now();
                        for (let k = 0; k < 10; k++) { run.advance(frame); run.scene(); run.channels(); }
                        if (i >= 100) times.push((performance.now() - from) / 10);
                      }
                      return times;
                    }""", List.of(apparatus, settings, Inventory.get(apparatus).manifest().speed() / 60));
            double[] t = tens.stream().mapToDouble(Number::doubleValue).sorted().toArray();
            row("one frame of " + apparatus + " " + settings + " in Chromium (advance, scene, all channels)", "median %.3f ms, p99 %.3f ms",
                    quantile(t, 0.5), quantile(t, 0.99));
        }
    }

    /** One thing done on a bench without time, and all that is drawn and told of it. */
    @SuppressWarnings("unchecked")
    private void stepInTheBrowser(String apparatus, Map<String, Object> settings, Map<String, Object> action) {
        try (BrowserContext context = Chrome.context(800, 600)) {
            Page page = ReplayTest.pageWithCore(context);
            List<Number> tens = (List<Number>) page.evaluate("""
                    ([apparatus, settings, action]) => {
                      const times = [];
                      for (let i = 0; i < 120; i++) {
                        const run = core.openRun(apparatus, settings, 1);
                        const from = performance.now();
                        for (let k = 0; k < 10; k++) { run.act(action); run.scene(); run.channels(); run.outcomes(); }
                        if (i >= 20) times.push((performance.now() - from) / 10);
                      }
                      return times;
                    }""", List.of(apparatus, settings, action));
            double[] t = tens.stream().mapToDouble(Number::doubleValue).sorted().toArray();
            row("one step of " + apparatus + " in Chromium (act, scene, all channels and outcomes)", "median %.3f ms, p99 %.3f ms",
                    quantile(t, 0.5), quantile(t, 0.99));
        }
    }

    /** Ten thousand rows of a run, as the page asks for them. */
    private void runTable() {
        try (BrowserContext context = Chrome.context(800, 600)) {
            Page page = ReplayTest.pageWithCore(context);
            Object millis = page.evaluate("""
                    () => {
                      const run = core.openRun('rail-run', { shape: 'trough' }, 1);
                      run.seek(166.6);
                      const plan = { rows: 'interval', interval: 1 / 60, events: [], outcomes: [],
                        channels: ['speed', 'height', 'kinetic', 'potential'] };
                      const times = [];
                      let rows = 0;
                      for (let i = 0; i < 7; i++) {
                        const from = performance.now();
                        rows = run.table(plan).times.length;
                        times.push(performance.now() - from);
                      }
                      return [rows, times.sort((a, b) => a - b)[3], Math.max(...times)];
                    }""");
            List<?> figures = (List<?>) millis;
            row("a run table of " + figures.get(0) + " rows and 5 columns (goal 300 with the notebook)", "median %.0f ms, longest %.0f ms",
                    figures.get(1), figures.get(2));
        }
    }

    /** A whole crash, as the page has it computed. */
    private void crash() {
        try (BrowserContext context = Chrome.context(800, 600)) {
            Page page = ReplayTest.pageWithCore(context);
            List<?> figures = (List<?>) page.evaluate("""
                    () => {
                      const times = [];
                      for (let i = 0; i < 60; i++) {
                        const from = performance.now();
                        const run = core.openRun('crash-rig', { front: 200 + 5 * i, bag: i % 2 > 0 }, 1);
                        run.seek(1);
                        times.push(performance.now() - from);
                      }
                      const later = times.slice(10).sort((a, b) => a - b);
                      return [later[25], later[49], times[0]];
                    }""");
            row("a crash of 300 ms (goal 20)", "median %.1f ms, longest %.1f ms, the first %.1f ms", figures.get(0),
                    figures.get(1), figures.get(2));
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
                                if (++n < 300) requestAnimationFrame(tick); else done();
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
                          for (let i = 0; i < 300; i++) {
                            let from = performance.now();
                            run.advance(1e-10 / 60);
                            run.crowd();
                            model.push(performance.now() - from);
                            from = performance.now();
                            run.histogram(0, 0, 37.5, 40, 600);
                            histogram.push(performance.now() - from);
                          }
                          // A minute of wall time later: how long to go back to a fifth of it.
                          const minute = 60 * 1e-10;
                          for (let s = 1; s <= 60; s++) run.seek(minute * s / 60);
                          const from = performance.now();
                          run.seek(minute / 5 + 0.37e-10);
                          const back = performance.now() - from;
                          const middle = (a) => [...a].sort((x, y) => x - y)[Math.floor(a.length / 2)];
                          return [middle(model.slice(100)), middle(histogram.slice(100)), back];
                        }""", List.of(molecules, molecules == 1000 ? 34 : 160));
                row("gas of " + molecules + " molecules: model and places alone; histogram alone", "%.2f ms; %.2f ms",
                        figures.get(0).doubleValue(), figures.get(1).doubleValue());
                row("gas of " + molecules + " molecules: going back 48 of 60 s", "%.2f s", figures.get(2).doubleValue() / 1000);
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
                  const tick = (now) => { n++; if (now - from < 2000) requestAnimationFrame(tick); else done(n); };
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
        Inventory.replay(RECIPE, 600);
        long from = System.nanoTime();
        Inventory.replay(RECIPE, 3000);
        row("pendulum on the JVM", "%.0f model seconds in a second", 3000 / seconds(from));
    }

    private void filmOnTheJvm() {
        Inventory.shoot(RECIPE, "side", 120, 30);
        long from = System.nanoTime();
        Film film = Inventory.shoot(RECIPE, "side", 120, 30);
        row("making a 30 s recording at 120 frames/s", "%.3f s, %d frames, %.1f kB", seconds(from), film.frames(),
                film.body().length * 2 / 1000.0);
    }

    private static double seconds(long from) {
        return (System.nanoTime() - from) / 1e9;
    }

    private static double quantile(double[] sorted, double q) {
        return sorted[(int) Math.min(sorted.length - 1, Math.floor(q * sorted.length))];
    }
}
