package cauldron.core.sheet;

import cauldron.core.Tree;
import cauldron.core.quantity.Unit;
import cauldron.core.quantity.Units;
import java.util.Map;

/**
 * Empty axes on which a student draws the graph that is expected. Once sealed, it is shown behind the graph
 * of a table whose axes have the same symbols.
 *
 * @param table the table that will hold what is measured
 */
public record Sketch(String table, Axis x, Axis y) {

    /**
     * One axis.
     *
     * @param from where it begins, in {@code unit}; NaN with {@code to} where only the shape is asked for, so that the
     *             axis bears no numbers
     */
    public record Axis(String name, String symbol, String unit, double from, double to) {

        static Axis fromTree(Map<String, Object> tree, String place) {
            Axis axis = new Axis(Tree.text(tree, "name"), Tree.text(tree, "symbol"), Tree.text(tree, "unit", ""),
                    Tree.number(tree, "from", Double.NaN), Tree.number(tree, "to", Double.NaN));
            boolean numbered = !Double.isNaN(axis.from) || !Double.isNaN(axis.to);
            if (numbered && !(axis.to > axis.from)) {
                throw new SheetException(place, "the axis of " + axis.symbol + " must go from a number to a larger one, or bear none");
            }
            try {
                Units.parse(axis.unit);
            } catch (IllegalArgumentException e) {
                throw new SheetException(place, "unit of " + axis.symbol + ": " + e.getMessage());
            }
            return axis;
        }

        Map<String, Object> toTree() {
            Map<String, Object> tree = Tree.of("name", name, "symbol", symbol, "unit", unit);
            if (!Double.isNaN(from)) {
                tree.put("from", from);
                tree.put("to", to);
            }
            return tree;
        }
    }

    static Sketch fromTree(Map<String, Object> tree, String place) {
        return new Sketch(Tree.text(tree, "table"), Axis.fromTree(Tree.map(tree, "x"), place + ", x"),
                Axis.fromTree(Tree.map(tree, "y"), place + ", y"));
    }

    Map<String, Object> toTree() {
        return Tree.of("table", table, "x", x.toTree(), "y", y.toTree());
    }

    /** Refuses a table the sheet doesn't have, and units that the table's column of that symbol can't take. */
    void check(Sheet sheet, String place) {
        if (!(sheet.block(table) instanceof Block.Table)) {
            throw new SheetException(place, "there is no table “" + table + "”");
        }
        for (Map<String, Object> column : ((Block.Table) sheet.block(table)).columns()) {
            for (Axis axis : new Axis[] {x, y}) {
                Unit unit = Units.parse(axis.unit);
                if (Tree.text(column, "symbol").equals(axis.symbol) && Tree.text(column, "formula", "").isEmpty()
                        && !Units.parse(Tree.text(column, "unit", "")).sameKind(unit)) {
                    throw new SheetException(place, axis.symbol + " is in " + Tree.text(column, "unit", "") + ", not in " + axis.unit);
                }
            }
        }
    }
}
