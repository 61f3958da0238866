package cauldron.browser;

import cauldron.core.Tree;
import cauldron.core.analysis.DataTable;
import cauldron.core.analysis.Fit;
import cauldron.core.analysis.GraphMeasures;
import cauldron.core.analysis.TableData;
import java.util.List;
import java.util.Map;
import org.teavm.jso.JSExport;
import org.teavm.jso.JSObject;
import org.teavm.jso.typedarrays.Float64Array;

/** A table as the browser holds it: cells are handed over as they change, and texts asked for as they are seen. */
public final class TableDoor {

    private final TableData data = new TableData(List.of(), 0);
    private DataTable table = DataTable.of(data);

    TableDoor() {
    }

    /** Columns as specified, and how many rows; what is in cells that stay is kept. */
    @JSExport
    public void shape(JSObject columns, int rows) {
        data.resize(Tree.maps(Tree.of("columns", Trees.fromJs(columns)), "columns"), rows);
    }

    /** Types into a cell; {@link #work} works it out. */
    @JSExport
    public void set(String column, int row, String typed, String uncertainty) {
        data.set(column, row, typed, uncertainty);
    }

    /** Leaves a row out, or takes it in again. */
    @JSExport
    public void leaveOut(int row, boolean leave) {
        data.leaveOut(row, leave);
    }

    /** Works everything out anew. */
    @JSExport
    public void work() {
        table = DataTable.of(data);
    }

    /** As it was worked out last. */
    DataTable table() {
        return table;
    }

    /** What is to be said of a column as a whole: {@code {id, symbol, unit, calculated, trouble, troubleAt}}. */
    @JSExport
    public JSObject column(int index) {
        DataTable.Column c = table.columns().get(index);
        return Trees.toJs(Tree.of("id", c.id(), "symbol", c.symbol(), "unit", c.unit().symbol(), "calculated", c.calculated(),
                "trouble", c.trouble(), "troubleAt", (double) c.troubleAt(), "note", c.note() == null ? "" : c.note()));
    }

    /** Values of a column in its unit; NaN where there is none. */
    @JSExport
    public Float64Array values(int column) {
        return Float64Array.fromJavaArray(table.columns().get(column).values());
    }

    /** Standard uncertainties of a column in its unit; NaN where none is known. */
    @JSExport
    public Float64Array uncertainties(int column) {
        return Float64Array.fromJavaArray(table.columns().get(column).uncertainties());
    }

    /** What stands in a cell. */
    @JSExport
    public String text(int column, int row) {
        return table.columns().get(column).text(row);
    }

    /** A cell's value with its uncertainty; empty where none is known. */
    @JSExport
    public String sureness(int column, int row) {
        return table.columns().get(column).sureness(row);
    }

    /** What is wrong with a cell; empty where nothing is. */
    @JSExport
    public String trouble(int column, int row) {
        String trouble = table.columns().get(column).troubles()[row];
        return trouble == null ? "" : trouble;
    }

    /**
     * A fit with its curve at {@code places} heights from one place to another: what {@code Fit.toTree} says, and
     * {@code curve}; or {@code {error}}.
     */
    @JSExport
    public JSObject fit(JSObject asked, double from, double to, int places) {
        return Trees.guarded(() -> {
            Fit fit = Fit.of(table, Trees.mapFromJs(asked));
            double[] at = new double[places];
            for (int i = 0; i < places; i++) {
                at[i] = from + (to - from) * i / Math.max(1, places - 1);
            }
            Map<String, Object> tree = fit.toTree();
            List<Object> heights = new java.util.ArrayList<>();
            for (double h : fit.curve(at)) {
                heights.add(Double.isNaN(h) || Double.isInfinite(h) ? null : (Object) h);
            }
            tree.put("curve", heights);
            return tree;
        });
    }

    /** Statistics of a column, or {@code {error}}. */
    @JSExport
    public JSObject statistics(String column) {
        return Trees.guarded(() -> table.statistics(column).toTree(table.need(column).unit().symbol()));
    }

    /** The tangent at a place; {@code fit}: the one it is taken from, or null for the points themselves. */
    @JSExport
    public JSObject tangent(String x, String y, double at, JSObject fit) {
        return Trees.guarded(() -> {
            Object asked = Trees.fromJs(fit);
            return new GraphMeasures(table, x, y).tangent(at, asked == null ? null : Fit.of(table, Trees.mapFromJs(fit)));
        });
    }

    /** The area under the points from one place to another. */
    @JSExport
    public JSObject area(String x, String y, double from, double to) {
        return Trees.guarded(() -> new GraphMeasures(table, x, y).area(from, to));
    }

    /** Counts of a column in bins of a width, from a start; NaN for width or start: chosen. */
    @JSExport
    public JSObject bins(String column, double start, double width) {
        return Trees.guarded(() -> table.bins(column, start, width));
    }
}
