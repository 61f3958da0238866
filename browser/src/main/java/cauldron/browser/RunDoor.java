package cauldron.browser;

import cauldron.core.Tree;
import cauldron.core.analysis.Histogram;
import cauldron.core.apparatus.Action;
import cauldron.core.apparatus.Items;
import cauldron.core.apparatus.Population;
import cauldron.core.apparatus.ProfileLines;
import cauldron.core.apparatus.Run;
import cauldron.core.apparatus.RunTable;
import cauldron.core.apparatus.StopAt;
import cauldron.core.drawing.Drawing;
import java.util.ArrayList;
import java.util.List;
import org.teavm.jso.JSExport;
import org.teavm.jso.JSObject;
import org.teavm.jso.typedarrays.Float64Array;

/** A run as the browser holds it. Numbers of each frame come in arrays that are filled again and again. */
public final class RunDoor {

    private final Run run;
    private double[] crowd = new double[0];
    private int crowdCount;
    private StopAt stop;

    RunDoor(Run run) {
        this.run = run;
    }

    /** The moment shown, in model seconds. */
    @JSExport
    public double time() {
        return run.time();
    }

    /** The end of what is recorded, in model seconds. */
    @JSExport
    public double head() {
        return run.head();
    }

    /** Whether the moment shown is one at which the run came to its end by itself. */
    @JSExport
    public boolean isOver() {
        return run.isOver();
    }

    /** Goes on by so many model seconds; true if it came to where it should stop. */
    @JSExport
    public boolean advance(double seconds) {
        StopAt now = stop;
        boolean stopped;
        if (now instanceof StopAt.Happening) {
            StopAt.Happening event = (StopAt.Happening) now;
            double from = run.time();
            stopped = run.advance(seconds, now);
            if (!stopped) {
                stop = new StopAt.Happening(event.event(), event.count() - run.count(event.event(), from, run.time()),
                        event.before());
            }
        } else {
            stopped = run.advance(seconds, now);
        }
        if (stopped) {
            stop = null;
        }
        return stopped;
    }

    /** Goes to a moment. */
    @JSExport
    public void seek(double time) {
        run.seek(time);
    }

    /** Sets where to stop, from {@code {type, …}}; answers {@code {error}} if that can't be. */
    @JSExport
    public JSObject stopAt(JSObject condition) {
        return Trees.guarded(() -> {
            StopAt asked = StopAt.fromTree(Trees.mapFromJs(condition), run.manifest());
            asked.checkAhead(run);
            stop = asked;
            return Tree.of();
        });
    }

    /** Goes back to where a condition was last met; answers {@code {found}} or {@code {error}}. */
    @JSExport
    public JSObject back(JSObject condition) {
        return Trees.guarded(() ->
                Tree.of("found", run.back(StopAt.fromTree(Trees.mapFromJs(condition), run.manifest()))));
    }

    /** Where a part moved by hand was at each sample: x, y in metres; the first sampleCount pairs count. */
    @JSExport
    public Float64Array path(int handle) {
        return Float64Array.fromJavaArray(run.path(run.manifest().handles().get(handle)));
    }

    /** Forgets where to stop. */
    @JSExport
    public void clearStop() {
        stop = null;
    }

    /** Does something now; answers {@code {error}} if that can't be done. */
    @JSExport
    public JSObject act(JSObject action) {
        return Trees.guarded(() -> {
            run.act(Action.fromTree(Trees.mapFromJs(action)));
            return Tree.of();
        });
    }

    /** The scene now, in the manifest's order; the same array every time. */
    @JSExport
    public Float64Array scene() {
        return Float64Array.fromJavaArray(run.scene().values());
    }

    /** All channels now in SI, in the manifest's order; the same array every time. */
    @JSExport
    public Float64Array channels() {
        return Float64Array.fromJavaArray(run.channels());
    }

    /** Samples of a channel in SI from time 0 at the manifest's interval; only the first sampleCount count. */
    @JSExport
    public Float64Array samples(int channel) {
        return Float64Array.fromJavaArray(run.samples(run.manifest().channels().get(channel)));
    }

    /** How many samples there are. */
    @JSExport
    public int sampleCount() {
        return run.sampleCount();
    }

    /** The crowd now: x, y in metres and kind of each body; the same array while it has room. */
    @JSExport
    public Float64Array crowd() {
        if (crowd.length < 3 * run.crowdSize()) {
            crowd = new double[3 * run.crowdSize()];
        }
        crowdCount = run.crowd(crowd);
        return Float64Array.fromJavaArray(crowd);
    }

    /** How many bodies the last {@link #crowd} had. */
    @JSExport
    public int crowdCount() {
        return crowdCount;
    }

    /**
     * A histogram of a distribution now, all in SI: how many values, the one followed, the share above a
     * limit, the marked values, theory's curve as expected counts (NaN without theory), then the counts.
     *
     * @param fine places at which the curve is told for each bin; one more ends it
     */
    @JSExport
    public Float64Array histogram(int distribution, int which, double width, int bins, double limit, int fine) {
        Population p = run.population(run.manifest().distributions().get(distribution), which);
        int marks = p.marks().length;
        double[] counts = new double[bins];
        Histogram.count(p.values(), p.count(), 0, width, counts);
        double[] out = new double[3 + marks + bins * fine + 1 + bins];
        out[0] = p.count();
        out[1] = p.followed();
        out[2] = Histogram.shareAbove(p.values(), p.count(), limit);
        System.arraycopy(p.marks(), 0, out, 3, marks);
        for (int i = 0; i <= bins * fine; i++) {
            out[3 + marks + i] = p.density() == null ? Double.NaN
                    : p.count() * width * p.density().applyAsDouble(i * width / fine);
        }
        System.arraycopy(counts, 0, out, 4 + marks + bins * fine, bins);
        return Float64Array.fromJavaArray(out);
    }

    /** Kind and time of each event so far, one after the other. */
    @JSExport
    public Float64Array events() {
        return Float64Array.fromJavaArray(run.events());
    }

    /** A curve of the scene now: x and y in metres by turns. */
    @JSExport
    public Float64Array curve(int which) {
        return Float64Array.fromJavaArray(run.scene().of(run.manifest().curves().get(which)));
    }

    /** What it has come to by the moment shown, in SI, in the manifest's order; NaN where that isn't settled. */
    @JSExport
    public Float64Array outcomes() {
        return Float64Array.fromJavaArray(run.outcomes());
    }

    /** A profile now: {@code {lines: [{name, points}], mark}}, points in SI, along and up by turns. */
    @JSExport
    public JSObject profile(int which) {
        ProfileLines lines = run.profile(run.manifest().profiles().get(which));
        List<Object> all = new ArrayList<>();
        for (int i = 0; i < lines.count(); i++) {
            all.add(Tree.of("name", lines.name(i), "points", lines.points(i)));
        }
        return Trees.toJs(Tree.of("lines", all, "mark", lines.mark()));
    }

    /** It now as a labelled drawing: {@code {paper, drawn}}, or {@code {}} where it has none. */
    @JSExport
    public JSObject drawing() {
        Drawing drawing = run.drawing();
        return Trees.toJs(drawing == null ? Tree.of() : drawing.toTree());
    }

    /** What each body is called now, in the manifest's order; empty where it isn't there. */
    @JSExport
    public JSObject bodies() {
        List<Object> names = new ArrayList<>();
        run.manifest().bodies().forEach(b -> names.add(b.nameNow(run.settingsNow())));
        return Trees.toJs(names);
    }

    /** What each thing of a list is called now. */
    @JSExport
    public JSObject itemNames(String setting) {
        return Trees.toJs(((Items) run.manifest().setting(setting)).names(run.settingsNow()));
    }

    /** How many actions have been done by the moment shown. */
    @JSExport
    public int actionsDone() {
        return run.actionsDone();
    }

    /** What was done at one of the actions, in words. */
    @JSExport
    public String actionInWords(int which) {
        return run.actionInWords(which);
    }

    /**
     * What dragging one of an act's things to a place in metres would mean now: {@code {action, words}}, or empty.
     *
     * @param otherwise the arguments as they were chosen last
     */
    @JSExport
    public JSObject dragged(String act, int which, double x, double y, JSObject otherwise) {
        Action.Perform meant = run.meant(run.manifest().act(act), which, x, y, Trees.mapFromJs(otherwise));
        return Trees.toJs(meant == null ? Tree.of() : Tree.of("action", meant.toTree(), "words",
                meant.inWords(run.manifest(), run.settingsNow())));
    }

    /** Does an act by pointing at a place in metres; answers {@code {error}} if that can't be done. */
    @JSExport
    public JSObject point(String act, double x, double y) {
        return Trees.guarded(() -> {
            run.act(run.manifest().act(act).pointedAt(x, y));
            return Tree.of();
        });
    }

    /**
     * The run as rows: {@code {columns, times, cells}} or {@code {error}}. The cells come as one text, a line for each
     * row and a tab between two cells: fifty thousand texts one by one take longer on their way than in the making.
     */
    @JSExport
    public JSObject table(JSObject plan) {
        return Trees.guarded(() -> {
            RunTable table = RunTable.of(run, RunTable.Plan.fromTree(Trees.mapFromJs(plan), run.manifest()));
            StringBuilder cells = new StringBuilder();
            for (String[] row : table.rows()) {
                for (int i = 0; i < row.length; i++) {
                    cells.append(i == 0 ? "" : "\t").append(row[i]);
                }
                cells.append('\n');
            }
            List<Object> columns = new ArrayList<>();
            table.columns().forEach(c -> columns.add(c.toTree()));
            return Tree.of("columns", columns, "times", table.times(), "cells", cells.toString());
        });
    }

    /** Left, bottom, width and height of a view in metres. */
    @JSExport
    public Float64Array frame(String view) {
        return Float64Array.fromJavaArray(run.frame(run.manifest().view(view)).toArray());
    }

    /** The settings that rule at the moment shown. */
    @JSExport
    public JSObject settings() {
        return Trees.toJs(run.settingsNow().toTree());
    }

    /** How many settings were changed at the end of the run, and may be meant for it or for the next one. */
    @JSExport
    public int changesAtEnd() {
        return run.changesAtEnd();
    }

    /** The settings before those changes. */
    @JSExport
    public JSObject settingsOfWhatRan() {
        return Trees.toJs(run.settingsOfWhatRan().toTree());
    }

    /** The recipe without those changes. */
    @JSExport
    public JSObject recipeOfWhatRan() {
        return Trees.toJs(run.recipeOfWhatRan().toTree());
    }

    /** Takes those changes back. */
    @JSExport
    public void takeBackChanges() {
        run.takeBackChanges();
    }

    /** The recipe so far. */
    @JSExport
    public JSObject recipe() {
        return Trees.toJs(run.recipe().toTree());
    }
}
