package cauldron.core.analysis;

import cauldron.core.Tree;
import cauldron.core.quantity.Numbers;
import cauldron.core.quantity.Unit;
import cauldron.core.quantity.UnitSyntaxException;
import cauldron.core.quantity.Units;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * What was typed into a table: columns with name, symbol and unit, and cells. Typed numbers are read once,
 * and again only when they change.
 *
 * <p>A column's tree is {@code {id, name, symbol, unit, kind, formula?, constant?, uncertainty?, decimals?,
 * figures?, found?}} with kind label, measured, constant or calculated; {@code uncertainty} counts for all its cells
 * that have none of their own; {@code found} is the unit a student was asked to find. A row's tree is {@code {id, cells: {column id: typed}, uncertainties?: {column
 * id: typed}, out?: reason}}.
 */
public final class TableData {

    /** Cells of one column. */
    private static final class Cells {
        private String[] typed;
        private double[] values;
        private String[] troubles;
        private double[] uncertainties;
    }

    private List<Map<String, Object>> columns;
    private final Map<String, Cells> cells = new LinkedHashMap<>();
    private boolean[] out;
    private int rows;

    /**
     * A table without cells.
     *
     * @param columns trees of the columns
     */
    public TableData(List<Map<String, Object>> columns, int rows) {
        resize(columns, rows);
    }

    /** A table from its tree {@code {columns, rows}}. */
    public static TableData of(Map<String, Object> tree) {
        List<Map<String, Object>> list = Tree.maps(tree, "rows");
        TableData data = new TableData(Tree.maps(tree, "columns"), list.size());
        for (int i = 0; i < list.size(); i++) {
            Map<String, Object> row = list.get(i);
            Map<String, Object> typed = Tree.map(row, "cells");
            Map<String, Object> uncertain = row.containsKey("uncertainties") ? Tree.map(row, "uncertainties") : Map.of();
            for (String column : data.cells.keySet()) {
                data.set(column, i, Tree.text(typed, column, ""), Tree.text(uncertain, column, ""));
            }
            data.leaveOut(i, !Tree.text(row, "out", "").isBlank());
        }
        return data;
    }

    /** Changes columns and number of rows; cells of columns and rows that stay are kept. */
    public void resize(List<Map<String, Object>> newColumns, int newRows) {
        columns = newColumns;
        List<String> ids = new ArrayList<>();
        for (Map<String, Object> column : columns) {
            String kind = kind(column);
            if (kind.equals("calculated") || kind.equals("constant")) {
                continue;
            }
            String id = Tree.text(column, "id");
            ids.add(id);
            Cells c = cells.computeIfAbsent(id, x -> new Cells());
            int had = c.typed == null ? 0 : c.typed.length;
            c.typed = c.typed == null ? new String[newRows] : Arrays.copyOf(c.typed, newRows);
            c.values = c.values == null ? new double[newRows] : Arrays.copyOf(c.values, newRows);
            c.troubles = c.troubles == null ? new String[newRows] : Arrays.copyOf(c.troubles, newRows);
            c.uncertainties = c.uncertainties == null ? new double[newRows] : Arrays.copyOf(c.uncertainties, newRows);
            for (int i = had; i < newRows; i++) {
                c.typed[i] = "";
                c.values[i] = Double.NaN;
                c.uncertainties[i] = Double.NaN;
            }
        }
        cells.keySet().retainAll(ids);
        out = out == null ? new boolean[newRows] : Arrays.copyOf(out, newRows);
        rows = newRows;
    }

    static String kind(Map<String, Object> column) {
        String kind = Tree.text(column, "kind", "measured");
        return Tree.text(column, "formula", "").isBlank() ? kind : "calculated";
    }

    /**
     * Types into a cell.
     *
     * @param uncertainty as typed, in the column's unit; empty: the column's
     */
    public void set(String column, int row, String typed, String uncertainty) {
        Cells c = cells.get(column);
        if (c == null) {
            return;
        }
        c.typed[row] = typed;
        c.values[row] = Double.NaN;
        c.troubles[row] = null;
        c.uncertainties[row] = Double.NaN;
        if (!typed.isBlank() && !isLabel(column)) {
            try {
                c.values[row] = Numbers.read(typed);
            } catch (IllegalArgumentException e) {
                c.troubles[row] = e.getMessage();
            }
        }
        if (!uncertainty.isBlank()) {
            try {
                c.uncertainties[row] = Math.abs(Numbers.read(uncertainty));
            } catch (IllegalArgumentException e) {
                c.troubles[row] = "Uncertainty: " + e.getMessage();
            }
        }
    }

    private boolean isLabel(String id) {
        for (Map<String, Object> column : columns) {
            if (Tree.text(column, "id").equals(id)) {
                return kind(column).equals("label");
            }
        }
        return false;
    }

    /** Leaves a row out of statistics, fits and functions of whole columns; or takes it in again. */
    public void leaveOut(int row, boolean leave) {
        out[row] = leave;
    }

    int rows() {
        return rows;
    }

    boolean[] out() {
        return out;
    }

    List<Map<String, Object>> columns() {
        return columns;
    }

    /** A column of typed cells as it stands. */
    DataTable.Column typed(Map<String, Object> column) {
        Cells c = cells.get(Tree.text(column, "id"));
        double[] uncertainties = c.uncertainties;
        String trouble = null;
        try {
            double all = wholeColumn(column);
            if (!Double.isNaN(all)) {
                uncertainties = uncertainties.clone();
                for (int i = 0; i < rows; i++) {
                    uncertainties[i] = Double.isNaN(uncertainties[i]) ? all : uncertainties[i];
                }
            }
        } catch (IllegalArgumentException e) {
            trouble = "Uncertainty: " + e.getMessage();
        }
        return column(column, c.values, uncertainties, c.typed, c.troubles, trouble);
    }

    private static double wholeColumn(Map<String, Object> column) {
        String typed = Tree.text(column, "uncertainty", "");
        return typed.isBlank() ? Double.NaN : Math.abs(Numbers.read(typed));
    }

    /** A column that has one value for all rows. */
    DataTable.Column constant(Map<String, Object> column) {
        String typed = Tree.text(column, "constant", "");
        double value = Double.NaN;
        double uncertainty = Double.NaN;
        String trouble = null;
        try {
            value = Numbers.read(typed);
            uncertainty = wholeColumn(column);
        } catch (IllegalArgumentException e) {
            trouble = e.getMessage();
        }
        double[] values = new double[rows];
        double[] uncertainties = new double[rows];
        String[] texts = new String[rows];
        Arrays.fill(values, value);
        Arrays.fill(uncertainties, uncertainty);
        Arrays.fill(texts, typed);
        return column(column, values, uncertainties, texts, new String[rows], trouble);
    }

    private static DataTable.Column column(Map<String, Object> spec, double[] values, double[] uncertainties, String[] texts,
                                           String[] troubles, String trouble) {
        Unit unit = Unit.ONE;
        int at = 0;
        try {
            unit = Units.parse(Tree.text(spec, "unit", ""));
        } catch (UnitSyntaxException e) {
            trouble = e.getMessage();
            at = e.position();
        }
        return new DataTable.Column(Tree.text(spec, "id"), Tree.text(spec, "symbol"), unit, false, values, uncertainties,
                texts, troubles, trouble, at, spec);
    }
}
