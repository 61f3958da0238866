package cauldron.browser;

import cauldron.core.Tree;
import cauldron.core.analysis.Statistics;
import cauldron.core.apparatus.Advice;
import cauldron.core.apparatus.Amount;
import cauldron.core.apparatus.Apparatus;
import cauldron.core.apparatus.BoxPlots;
import cauldron.core.apparatus.Distribution;
import cauldron.core.apparatus.Follower;
import cauldron.core.apparatus.Forecast;
import cauldron.core.apparatus.Items;
import cauldron.core.apparatus.Manifest;
import cauldron.core.apparatus.Recipe;
import cauldron.core.apparatus.Run;
import cauldron.core.apparatus.Setting;
import cauldron.core.apparatus.Settings;
import cauldron.core.apparatus.TrialTable;
import cauldron.core.apparatus.gascylinder.Discs;
import cauldron.core.drawing.Drawing;
import cauldron.core.drawing.Drawn;
import cauldron.core.drawing.Paper;
import cauldron.core.drawing.Piece;
import cauldron.core.drawing.Spot;
import cauldron.core.inventory.Inventory;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.teavm.jso.JSExport;
import org.teavm.jso.JSObject;
import org.teavm.jso.typedarrays.Float64Array;

/**
 * What a live bench can ask of the core: the models, and what few labs need besides, labelled drawings. It is compiled for
 * itself, beside {@link NotebookDoor}, and fetched only where an apparatus runs in the browser or something is drawn.
 */
public final class BenchDoor {

    private BenchDoor() {
    }

    /** Entry point that TeaVM asks for; nothing is done at load time. */
    public static void main(String[] args) {
        Trees.mend();
    }

    /**
     * Checks a typed setting: {@code {value}} or {@code {error}}.
     *
     * @param owner empty for the apparatus itself, else the id of its list or its act
     * @param among the settings it stands among
     */
    @JSExport
    public static JSObject checkSetting(String apparatus, String owner, String setting, JSObject value, JSObject among) {
        return Trees.guarded(() -> {
            Manifest m = Inventory.get(apparatus).manifest();
            Setting wanted = m.settingOf(owner, setting);
            Object read = Trees.fromJs(value);
            // What others bound is bounded by those that stand beside it.
            return Tree.of("value", owner.isEmpty() && wanted instanceof Amount
                    ? ((Amount) wanted).check(read, Settings.of(m, Trees.mapFromJs(among))) : wanted.check(read));
        });
    }

    /** What a setting will bring about: {@code {share, words}}, or empty where nothing is told. */
    @JSExport
    public static JSObject forecast(String apparatus, String setting, JSObject settings) {
        Apparatus a = Inventory.get(apparatus);
        Forecast told = a.forecast(setting, Settings.of(a.manifest(), Trees.mapFromJs(settings)));
        return Trees.toJs(told == null ? Tree.of() : Tree.of("share", told.share(), "words", told.words()));
    }

    /** What people should know of a setting: {@code {words, button, change, first}}, or empty where there is nothing. */
    @JSExport
    public static JSObject advice(String apparatus, String setting, JSObject settings) {
        Apparatus a = Inventory.get(apparatus);
        Advice told = a.advice(setting, Settings.of(a.manifest(), Trees.mapFromJs(settings)));
        return Trees.toJs(told == null ? Tree.of() : told.toTree());
    }

    /** A list of things with one more: {@code {value}} or {@code {error}}. */
    @JSExport
    public static JSObject addItem(String apparatus, String setting, JSObject value) {
        return Trees.guarded(() -> Tree.of("value",
                ((Items) Inventory.get(apparatus).manifest().setting(setting)).added(Trees.fromJs(value))));
    }

    /** What a handle moved before the run means for the settings. */
    @JSExport
    public static JSObject placed(String apparatus, String handle, double x, double y, JSObject settings) {
        Apparatus a = Inventory.get(apparatus);
        return Trees.toJs(a.placed(a.manifest().handle(handle), x, y, Settings.of(a.manifest(), Trees.mapFromJs(settings)))
                .toTree());
    }

    /**
     * Trials as rows: {@code {columns, rows, numbers}} or {@code {error}}.
     *
     * @param trials {@code [{name, settings, outcomes}]}
     * @param ids    of the columns
     */
    @JSExport
    public static JSObject trials(String apparatus, JSObject trials, JSObject ids) {
        return Trees.guarded(() -> {
            Map<String, Object> asked = Tree.of("trials", Trees.fromJs(trials), "ids", Trees.fromJs(ids));
            TrialTable table = TrialTable.of(Inventory.get(apparatus).manifest(), Tree.maps(asked, "trials"),
                    Tree.texts(asked, "ids"));
            List<Object> columns = new ArrayList<>();
            table.columns().forEach(c -> columns.add(c.toTree()));
            List<Object> rows = new ArrayList<>();
            table.rows().forEach(r -> rows.add(List.of((Object[]) r)));
            return Tree.of("columns", columns, "rows", rows, "numbers", List.copyOf(table.numbers()));
        });
    }

    /**
     * The values of a distribution in several trials, side by side: {@code {boxes, words}} or {@code {error}}.
     *
     * @param trials {@code [{name, recipe, until}]}
     */
    @JSExport
    public static JSObject boxPlots(String apparatus, String distribution, JSObject trials) {
        return Trees.guarded(() -> {
            Apparatus a = Inventory.get(apparatus);
            Distribution d = a.manifest().distribution(distribution);
            return BoxPlots.of(a, d, Tree.maps(Tree.of("trials", Trees.fromJs(trials)), "trials")).toTree(d);
        });
    }

    /** The median of some numbers; NaN of none. */
    @JSExport
    public static double median(Float64Array numbers) {
        return Statistics.of(numbers.toJavaArray()).median();
    }

    /** A fresh run. */
    @JSExport
    public static RunDoor openRun(String apparatus, JSObject settings, int seed) {
        Apparatus a = Inventory.get(apparatus);
        return new RunDoor(new Run(a, Settings.of(a.manifest(), Trees.mapFromJs(settings)), seed));
    }

    /** Why a recipe can't be replayed here, in words; empty where it can. */
    @JSExport
    public static String whyNotReplay(JSObject recipe) {
        try {
            Recipe read = Recipe.fromTree(Trees.mapFromJs(recipe));
            Inventory.get(read.apparatus()).now(read);
            return "";
        } catch (IllegalArgumentException e) {
            return e.getMessage();
        }
    }

    /** A run replayed from its recipe up to a time; {@link #whyNotReplay} is to be asked first. */
    @JSExport
    public static RunDoor replay(JSObject recipe, double until) {
        return new RunDoor(Inventory.replay(Recipe.fromTree(Trees.mapFromJs(recipe)), until));
    }

    /** A run that will go after another one. */
    @JSExport
    public static FollowerDoor follower(String apparatus) {
        return new FollowerDoor(new Follower(Inventory.get(apparatus)));
    }

    /**
     * Elastic discs run for so many frames of 1/60 s, for {@code ./cauldron bench}: energy before and after,
     * collisions, then the places (x, y) they began at.
     */
    @JSExport
    public static Float64Array discs(int n, double side, double diameter, double speed, int frames, int seed) {
        Discs discs = new Discs(n, side, diameter, speed, seed);
        double before = discs.energy();
        double[] places = discs.places();
        for (int i = 0; i < frames; i++) {
            discs.advance(1.0 / 60);
        }
        double[] out = new double[3 + places.length];
        out[0] = before;
        out[1] = discs.energy();
        out[2] = discs.collisions();
        System.arraycopy(places, 0, out, 3, places.length);
        return Float64Array.fromJavaArray(out);
    }

    /**
     * A drawing's counts and words: {@code {words, counts: [{piece, place, many}]}}.
     *
     * @param drawn what lies on it
     */
    @JSExport
    public static JSObject drawing(JSObject paper, JSObject drawn) {
        Drawing drawing = drawingOf(paper, drawn);
        List<Object> counts = new ArrayList<>();
        for (Spot place : drawing.paper().places()) {
            for (Piece piece : drawing.paper().pieces()) {
                counts.add(Tree.of("place", place.id(), "piece", piece.id(), "many", (double) drawing.count(piece, place)));
            }
        }
        return Trees.toJs(Tree.of("words", drawing.words(), "counts", counts));
    }

    /** A drawing with so many pieces of a kind in a place, in good order: what lies on it then. */
    @JSExport
    public static JSObject lay(JSObject paper, JSObject drawn, String piece, String place, int many) {
        Drawing drawing = drawingOf(paper, drawn);
        return Trees.toJs(drawing.laid(drawing.paper().piece(piece), drawing.paper().place(place), many).drawn().toTree());
    }

    /** A drawing with the pieces of another one in the places of the same ids: what lies on it then. */
    @JSExport
    public static JSObject taking(JSObject paper, JSObject drawn, JSObject otherPaper, JSObject otherDrawn) {
        return Trees.toJs(drawingOf(paper, drawn).taking(drawingOf(otherPaper, otherDrawn)).drawn().toTree());
    }

    private static Drawing drawingOf(JSObject paper, JSObject drawn) {
        return new Drawing(Paper.counted(Trees.mapFromJs(paper)), Drawn.of(Trees.mapFromJs(drawn)));
    }
}
