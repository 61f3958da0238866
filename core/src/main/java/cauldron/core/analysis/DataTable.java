package cauldron.core.analysis;

import cauldron.core.Tree;
import cauldron.core.quantity.Dimension;
import cauldron.core.quantity.Numbers;
import cauldron.core.quantity.Unit;
import cauldron.core.quantity.Units;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * A table as a student keeps it: columns with name, symbol and unit, measured or calculated, over rows
 * of typed text. Calculated columns are worked out in the order in which they need each other.
 *
 * <p>Input tree: {@code columns: [{id, name, symbol, unit, formula?}]}, {@code rows: [{id, cells: {column
 * id: typed text}}]}. A column with a formula is calculated; its unit is derived unless one of the same
 * kind is given.
 */
public final class DataTable {

    private static final int FIGURES = 4;

    /** One column worked out. Values are in {@code unit}, NaN where there is none. */
    public record Column(String id, String symbol, Unit unit, boolean calculated, double[] values, String[] texts,
                         String[] troubles, String trouble, int troubleAt) {
    }

    private final List<Column> columns;

    private DataTable(List<Column> columns) {
        this.columns = columns;
    }

    /** Works out a table. Bad cells and formulas become troubles of their column; nothing is thrown. */
    public static DataTable of(Map<String, Object> tree) {
        List<Map<String, Object>> specs = Tree.maps(tree, "columns");
        List<Map<String, Object>> rows = Tree.maps(tree, "rows");
        Map<String, Column> done = new LinkedHashMap<>();
        Map<String, Map<String, Object>> waiting = new LinkedHashMap<>();
        for (Map<String, Object> spec : specs) {
            if (Tree.text(spec, "formula", "").isBlank() && !"calculated".equals(Tree.text(spec, "kind", ""))) {
                Column column = measured(spec, rows);
                done.put(column.symbol(), column);
            } else {
                waiting.put(Tree.text(spec, "symbol"), spec);
            }
        }
        List<String> all = new ArrayList<>(done.keySet());
        all.addAll(waiting.keySet());
        boolean progress = true;
        while (progress && !waiting.isEmpty()) {
            progress = false;
            for (String symbol : List.copyOf(waiting.keySet())) {
                Column column = calculated(waiting.get(symbol), all, done, rows.size());
                if (column != null) {
                    done.put(symbol, column);
                    waiting.remove(symbol);
                    progress = true;
                }
            }
        }
        for (Map.Entry<String, Map<String, Object>> stuck : waiting.entrySet()) {
            done.put(stuck.getKey(), failed(stuck.getValue(), rows.size(), stuck.getKey()
                    + " is defined through itself, by way of " + String.join(", ", waiting.keySet()), 0));
        }
        List<Column> ordered = new ArrayList<>();
        for (Map<String, Object> spec : specs) {
            ordered.add(done.get(Tree.text(spec, "symbol")));
        }
        return new DataTable(ordered);
    }

    private static Column measured(Map<String, Object> spec, List<Map<String, Object>> rows) {
        String id = Tree.text(spec, "id");
        double[] values = new double[rows.size()];
        String[] texts = new String[rows.size()];
        String[] troubles = new String[rows.size()];
        for (int i = 0; i < values.length; i++) {
            String typed = Tree.text(Tree.map(rows.get(i), "cells"), id, "");
            texts[i] = typed;
            values[i] = Double.NaN;
            if (!typed.isBlank() && !"label".equals(Tree.text(spec, "kind", ""))) {
                try {
                    values[i] = Numbers.read(typed);
                } catch (IllegalArgumentException e) {
                    troubles[i] = e.getMessage();
                }
            }
        }
        Unit unit = Unit.ONE;
        String trouble = null;
        int at = 0;
        try {
            unit = Units.parse(Tree.text(spec, "unit", ""));
        } catch (cauldron.core.quantity.UnitSyntaxException e) {
            trouble = e.getMessage();
            at = e.position();
        }
        return new Column(id, Tree.text(spec, "symbol"), unit, false, values, texts, troubles, trouble, at);
    }

    /** The column worked out, or null while it waits for another. */
    private static Column calculated(Map<String, Object> spec, List<String> all, Map<String, Column> done, int rows) {
        try {
            Formula formula = Formula.parse(Tree.text(spec, "formula", ""), new java.util.LinkedHashSet<>(all));
            Map<String, Dimension> dimensions = new LinkedHashMap<>();
            for (String symbol : formula.symbols()) {
                Column needed = done.get(symbol);
                if (needed == null) {
                    return null;
                }
                if (needed.trouble() != null) {
                    throw new FormulaException("Column " + symbol + " has to be put right first", 0);
                }
                dimensions.put(symbol, needed.unit().dimension());
            }
            Unit unit = unit(Tree.text(spec, "unit", ""), formula.dimension(dimensions));
            double[] values = new double[rows];
            String[] texts = new String[rows];
            Map<String, Double> row = new LinkedHashMap<>();
            for (int i = 0; i < rows; i++) {
                for (String symbol : formula.symbols()) {
                    Column from = done.get(symbol);
                    row.put(symbol, from.unit().toSi(from.values()[i]));
                }
                values[i] = unit.fromSi(formula.value(row));
                texts[i] = Double.isNaN(values[i]) ? "" : Numbers.print(values[i], FIGURES);
            }
            return new Column(Tree.text(spec, "id"), Tree.text(spec, "symbol"), unit, true, values, texts,
                    new String[rows], null, 0);
        } catch (FormulaException e) {
            return failed(spec, rows, e.getMessage(), e.position());
        } catch (IllegalArgumentException e) {
            return failed(spec, rows, e.getMessage(), 0);
        }
    }

    private static Unit unit(String wanted, Dimension derived) {
        if (wanted.isBlank()) {
            return Units.coherent(derived);
        }
        Unit unit = Units.parse(wanted);
        if (!unit.dimension().equals(derived)) {
            Unit right = Units.coherent(derived);
            throw new IllegalArgumentException("This formula gives "
                    + (right.symbol().isEmpty() ? "a pure number" : right.symbol()) + ", not " + unit.symbol());
        }
        return unit;
    }

    private static Column failed(Map<String, Object> spec, int rows, String trouble, int at) {
        double[] values = new double[rows];
        String[] texts = new String[rows];
        for (int i = 0; i < rows; i++) {
            values[i] = Double.NaN;
            texts[i] = "";
        }
        return new Column(Tree.text(spec, "id"), Tree.text(spec, "symbol"), Unit.ONE, true, values, texts,
                new String[rows], trouble, at);
    }

    public List<Column> columns() {
        return columns;
    }

    /** The column of that id, or null. */
    public Column column(String id) {
        for (Column column : columns) {
            if (column.id().equals(id)) {
                return column;
            }
        }
        return null;
    }

    /** A straight line of one column against another, in their shown units. */
    public Map<String, Object> line(String xId, String yId) {
        Column x = column(xId);
        Column y = column(yId);
        if (x == null || y == null) {
            throw new IllegalArgumentException("Choose a column for each axis");
        }
        return LineFit.of(x.values(), y.values()).toTree(y.symbol(), y.unit(), x.symbol(), x.unit());
    }

    public Map<String, Object> toTree() {
        List<Object> list = new ArrayList<>();
        for (Column c : columns) {
            List<Object> values = new ArrayList<>();
            for (double v : c.values()) {
                values.add(Double.isNaN(v) || Double.isInfinite(v) ? null : v);
            }
            List<Object> troubles = new ArrayList<>(java.util.Arrays.asList(c.troubles()));
            list.add(Tree.of("id", c.id(), "symbol", c.symbol(), "unit", c.unit().symbol(), "calculated",
                    c.calculated(), "values", values, "texts", List.of(c.texts()), "troubles", troubles, "trouble",
                    c.trouble(), "troubleAt", (double) c.troubleAt()));
        }
        return Tree.of("columns", list);
    }
}
