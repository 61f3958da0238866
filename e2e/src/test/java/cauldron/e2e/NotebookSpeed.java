package cauldron.e2e;

import cauldron.core.Tree;
import cauldron.core.analysis.DataTable;
import cauldron.core.analysis.TableData;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Page;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Stream;
import java.util.zip.GZIPOutputStream;

/** How fast the notebook is; part of {@link Bench}. */
final class NotebookSpeed {

    private static final int ROWS = 10_000;
    private static final int LARGEST = 8;
    private static final String[] FORMULAS = {"t/20", "4π² x/t²", "rate(x; t)", "√x", "runsum(x)", "x - mean(x)", "ln(t/\"s\")", "area(x; t)", "(x + 2\"cm\")³", "x/t"};

    private NotebookSpeed() {
    }

    static void measure(Rows rows) throws IOException {
        core(rows);
        jvm(rows);
        keystroke(rows);
        size(rows);
    }

    private static List<Map<String, Object>> columns() {
        List<Map<String, Object>> columns = new ArrayList<>(List.of(Tree.of("id", "t", "symbol", "t", "name", "t", "unit", "s", "kind", "measured"),
                Tree.of("id", "x", "symbol", "x", "name", "x", "unit", "cm", "kind", "measured")));
        for (int i = 0; i < FORMULAS.length; i++) {
            columns.add(Tree.of("id", "q" + i, "symbol", "q_" + i, "name", "q", "unit", "", "kind", "calculated", "formula", FORMULAS[i]));
        }
        return columns;
    }

    private static void core(Rows rows) {
        try (BrowserContext context = Chrome.context(800, 600)) {
            Page page = ReplayTest.pageWithCore(context);
            List<?> times = (List<?>) page.evaluate("""
                    ([columns, n]) => {
                      const t = core.openTable();
                      t.shape(columns, n);
                      for (let i = 0; i < n; i++) { t.set('t', i, (1 + i / 100).toFixed(2), ''); t.set('x', i, (3 + i * i / 1e4).toFixed(3), ''); }
                      // The first few are spent on the browser's compiler.
                      const median = (work) => {
                        for (let k = 0; k < 15; k++) work(k);
                        const times = Array.from({ length: 15 }, (_, k) => { const from = performance.now(); work(k); return performance.now() - from; });
                        return times.sort((a, b) => a - b)[7];
                      };
                      const all = median((k) => { t.set('x', 5, String(3 + k), ''); t.work(); });
                      const line = median(() => t.fit({ x: 't', y: 'x', kind: 'line' }, 0, 100, 2));
                      const sine = median(() => t.fit({ x: 't', y: 'x', kind: 'quadratic' }, 0, 100, 2));
                      return [all, line, sine];
                    }""", List.of(columns(), ROWS));
            rows.row("10 calculated columns over 10,000 rows worked out anew, in the browser (goal 30)", "%.1f ms", times.get(0));
            rows.row("straight line through 10,000 points, in the browser (goal 5)", "%.1f ms", times.get(1));
            rows.row("quadratic through 10,000 points, in the browser", "%.1f ms", times.get(2));
        }
    }

    private static void jvm(Rows rows) {
        TableData data = new TableData(columns(), ROWS);
        for (int i = 0; i < ROWS; i++) {
            data.set("t", i, String.format(Locale.ROOT, "%.2f", 1 + i / 100.0), "");
            data.set("x", i, String.format(Locale.ROOT, "%.3f", 3 + i * i / 1e4), "");
        }
        double[] times = new double[31];
        for (int k = 0; k < times.length; k++) {
            long from = System.nanoTime();
            data.set("x", 5, String.valueOf(3 + k), "");
            DataTable.of(data);
            times[k] = (System.nanoTime() - from) / 1e6;
        }
        java.util.Arrays.sort(times);
        rows.row("the same on the JVM", "%.1f ms", times[15]);
    }

    /** From a key to the frame that shows it, with a table of 200 rows, a graph and a fit in view. */
    private static void keystroke(Rows rows) {
        try (BrowserContext context = Chrome.context(1280, 800)) {
            Page page = Chrome.measuring(context, "imre.saltzman");
            StringBuilder text = new StringBuilder();
            for (int i = 0; i < 195; i++) {
                text.append("Tern\t").append(40 + i / 2.0).append('\t').append(26 + i / 8.0).append('\n');
            }
            page.getByLabel("cord, row 6").evaluate("(input, text) => { const data = new DataTransfer(); data.setData('text/plain', text);"
                    + " input.focus(); input.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true })); }", text.toString());
            Chrome.button(page, "Paste 195 rows").click();
            if (!page.getByLabel("line of best fit").isChecked()) {
                page.getByLabel("line of best fit").click();
            }
            Object median = page.getByLabel("length, row 3, read on the picture").evaluate("""
                    async (input) => {
                      const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value').set;
                      const times = [];
                      for (let k = 0; k < 41; k++) {
                        await new Promise((r) => requestAnimationFrame(() => setTimeout(r, 60)));
                        const from = performance.now();
                        set.call(input, String(89 + k / 10));
                        input.dispatchEvent(new Event('input', { bubbles: true }));
                        // What was typed is laid out and painted by now, or at the latest before the next task.
                        document.body.offsetHeight;
                        times.push(performance.now() - from);
                      }
                      return times.sort((a, b) => a - b)[20];
                    }""");
            rows.row("a key in a table of 200 rows with a graph and a fit: work until the page is laid out (goal 16)", "%.1f ms", ((Number) median).doubleValue());
            Chrome.button(page, "Undo").click();
            Chrome.button(page, "Undo").click();
        }
    }

    /** The largest scripts of the pages, and what all of them come to. */
    private static void size(Rows rows) throws IOException {
        Map<String, Integer> sizes = new LinkedHashMap<>();
        try (Stream<Path> files = Files.list(Path.of("..", "web", "dist", "assets"))) {
            for (Path file : files.filter(f -> f.toString().endsWith(".js")).sorted().toList()) {
                ByteArrayOutputStream bytes = new ByteArrayOutputStream();
                try (GZIPOutputStream zip = new GZIPOutputStream(bytes)) {
                    zip.write(Files.readAllBytes(file));
                }
                sizes.put(file.getFileName().toString(), bytes.size());
            }
        }
        sizes.entrySet().stream().sorted(Map.Entry.comparingByValue(Comparator.reverseOrder())).limit(LARGEST)
                .forEach(e -> rows.row("script " + e.getKey().replaceAll("-[^.]{8}\\.js$", ""), "%.1f kB gzip", e.getValue() / 1000.0));
        rows.row("all " + sizes.size() + " scripts, of all apparatus and pages", "%.1f kB gzip",
                sizes.values().stream().mapToInt(Integer::intValue).sum() / 1000.0);
    }
}
