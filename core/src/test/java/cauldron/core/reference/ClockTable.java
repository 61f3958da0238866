package cauldron.core.reference;

import cauldron.core.Tree;
import cauldron.core.apparatus.Film;
import cauldron.core.apparatus.Frame;
import cauldron.core.apparatus.Recipe;
import cauldron.core.apparatus.Run;
import cauldron.core.block.films.FilmsBlock;
import cauldron.core.block.table.TableBlock;
import cauldron.core.inventory.Inventory;
import cauldron.core.quantity.Numbers;
import cauldron.core.sheet.Notebook;
import cauldron.core.sheet.Sheet;
import cauldron.core.sheet.TableJudgements;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * A pendulum's lab, and a student's table in it, written as pages write it: read by hand and eye, or wrongly on
 * purpose.
 */
final class ClockTable {

    static final double RATE = 120;
    private static final int SEED = 7;

    final Map<String, Object> slots = new LinkedHashMap<>();
    final Map<String, Object> graph = new LinkedHashMap<>();
    private final Map<String, TableJudgements.Filmed> filmed = new LinkedHashMap<>();
    private final List<String> order = new ArrayList<>();
    private final Sheet sheet;

    ClockTable() {
        this(Tree.of("points", 6.0, "references", List.of(
                Tree.of("column", "cord", "shows", "option", "of", "cord"),
                Tree.of("column", "L", "shows", "distance", "of", "pivot", "to", "bob"),
                Tree.of("column", "t", "shows", "repeats", "of", "lowest", "times", 20.0, "every", 2.0, "divisions",
                4.0)),
                "expected", List.of(Tree.of("name", "period", "formula", "t/20"),
                        Tree.of("name", "period squared", "formula", "(t/20)^2"))));
    }

    ClockTable(Map<String, Object> judging) {
        sheet = Sheet.fromTree(sheet(judging));
    }

    static Map<String, Object> sheet(Map<String, Object> judging) {
        return Tree.of("title", "Clock", "summary", "S", "minutes", 10.0, "apparatus", "pendulum", "parts", List.of(
                Tree.of("id", "one", "kind", "measure", "title", "Measure", "blocks", List.of(
                        Tree.of("type", "films", "id", "films", "apparatus", "pendulum", "views", List.of("side"),
                        "rate", RATE,
                                "seconds", 60.0, "fixed", Tree.of("held", true, "angle", 5.0), "acts",
                                List.of(Tree.of("act", "open-catch", "from", 0.7, "to", 2.2)), "choices",
                                List.of(Tree.of("id", "cord", "name", "Cord", "options", List.of(option("tern", "Tern",
                                0.43),
                                        option("petrel", "Petrel", 0.61), option("gannet", "Gannet", 0.89),
                                        option("shag", "Shag", 1.17), option("skua", "Skua", 1.5))))),
                        Tree.of("type", "table", "id", "readings", "title", "Readings", "rows", 5.0, "columns", List.of(
                                column("cord", "", "label"), column("L", "cm", "measured"), column("t", "s",
                                "measured")),
                                "judging", judging),
                        Tree.of("type", "graph", "id", "graph", "table", "readings", "along", "L", "up", "t")))));
    }

    private static Map<String, Object> option(String id, String name, double length) {
        return Tree.of("id", id, "name", name, "set", Tree.of("length", length));
    }

    static Map<String, Object> column(String id, String unit, String kind) {
        return Tree.of("id", id, "name", id, "symbol", id, "unit", unit, "kind", kind);
    }

    Sheet sheet() {
        return sheet;
    }

    /** Films a cord; answers the recording's id. */
    String film(String cord) {
        FilmsBlock films = (FilmsBlock) sheet.block("films");
        String id = "trial" + (filmed.size() + 1);
        Map<String, Object> chosen = Tree.of("cord", cord);
        filmed.put(id, new TableJudgements.Filmed("films", chosen, films.plan().recipe(chosen, SEED, filmed.size()
                + 1)));
        return id;
    }

    private Run run(String trial, double until) {
        Recipe recipe = filmed.get(trial).recipe();
        return Inventory.replay(recipe, until);
    }

    /**
     * A row as a careful student reads it: ruler from the pivot to the bob, twenty swings from one passage to another.
     */
    String row(String trial, String cord) {
        String row = newRow(cord);
        length(row, trial, 0, 0);
        swings(row, trial, 20);
        return row;
    }

    String newRow(String cord) {
        String row = "r" + (order.size() + 1);
        order.add(row);
        slots.put("rows", Tree.of("order", new ArrayList<Object>(order)));
        type(row, "cord", cord);
        return row;
    }

    void type(String row, String column, String text) {
        slots.put("cell/" + row + "/" + column, Tree.of("text", text));
    }

    /**
     * Reads the length.
     *
     * @param misread  what is read, more than the scale shows, in cm
     * @param misplaced how far below the pivot the zero lies, in cm
     */
    void length(String row, String trial, double misread, double misplaced) {
        Run run = run(trial, 0);
        Frame frame = run.frame(run.manifest().view("side"));
        double scale = Film.scale(frame);
        double x = run.scene().of(run.manifest().sceneField("bob.x"));
        double y = run.scene().of(run.manifest().sceneField("bob.y"));
        double down = Math.atan2(-y, x);
        double length = Math.hypot(x, y);
        Map<String, Object> ruler = Tree.of("x", (0 - frame.left()) * scale + misplaced / 100 * scale * Math.cos(down),
                "y",
                (frame.bottom() + frame.height()) * scale + misplaced / 100 * scale * Math.sin(down), "angle",
                Math.toDegrees(down));
        slots.put("cell/" + row + "/L", Tree.of("text", Numbers.fixed(100 * length - misplaced + misread, 1), "reading",
                Tree.of("trial", trial, "frame", 0.0, "view", "side", "instruments", Tree.of("ruler", ruler))));
    }

    /** Times so many swings, from the first passage through the lowest point on, to a frame. */
    void swings(String row, String trial, double swings) {
        Run run = run(trial, 60);
        int lowest = run.manifest().event("lowest").index();
        double[] events = run.events();
        List<Double> passages = new ArrayList<>();
        for (int i = 0; i < events.length; i += 2) {
            if (events[i] == lowest) {
                passages.add(events[i + 1]);
            }
        }
        double zero = Math.rint(passages.get(1) * RATE);
        double end = Math.rint(passages.get(1 + (int) (2 * swings)) * RATE);
        slots.put("cell/" + row + "/t", Tree.of("text", Numbers.fixed((end - zero) / RATE, 2), "reading",
                Tree.of("trial",
                trial, "frame", end, "view", "side", "instruments", Tree.of("stopwatch", Tree.of("zero", zero)))));
    }

    /** Adds a calculated column to those of the lab. */
    void calculated(String symbol, String formula) {
        List<Object> columns = new ArrayList<>(slots.containsKey("columns")
                ? Tree.maps(Tree.map(slots, "columns"), "columns")
                : List.of(column("cord", "", "label"), column("L", "cm", "measured"), column("t", "s", "measured")));
        columns.add(Tree.of("id", symbol, "name", symbol, "symbol", symbol, "unit", "", "kind", "calculated", "formula",
                formula));
        slots.put("columns", Tree.of("columns", columns));
    }

    Judgement judged() {
        return TableJudgements.of(sheet, (TableBlock) sheet.block("readings"),
                new Notebook(Map.of("readings", slots, "graph", graph), Map.of()), filmed, () -> true);
    }

    CellCheck cell(String row, String column) {
        return judged().cells().stream().filter(c -> c.row().equals(row) && c.column().equals(column)).findFirst()
                .orElseThrow();
    }
}
