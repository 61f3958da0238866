package cauldron.core.block.prediction;

import static cauldron.core.form.Kinds.number;
import static cauldron.core.form.Kinds.text;

import cauldron.core.Tree;
import cauldron.core.block.Neighbours;
import cauldron.core.block.table.TableBlock;
import cauldron.core.form.Field;
import cauldron.core.form.Filled;
import cauldron.core.form.Form;
import cauldron.core.form.Where;
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
        /** Whether it bears numbers. */
        boolean isNumbered() {
            return !Double.isNaN(from) || !Double.isNaN(to);
        }
    }

    /** Notes a table the sheet doesn't have, and units that the table's column of that symbol can't take. */
    void check(Neighbours all, Where at) {
        TableBlock measured = all.block(table, TableBlock.class);
        if (measured == null) {
            at.fault("there is no table “" + table + "”");
            return;
        }
        for (Map<String, Object> column : measured.columns()) {
            for (Axis axis : new Axis[] {x, y}) {
                Unit unit = Units.parse(axis.unit);
                if (Tree.text(column, "symbol").equals(axis.symbol) && Tree.text(column, "formula", "").isEmpty()
                        && !Units.parse(Tree.text(column, "unit", "")).sameKind(unit)) {
                    at.fault(axis.symbol + " is in " + Tree.text(column, "unit", "") + ", not in " + axis.unit);
                }
            }
        }
    }

    /** How one is declared. */
    static final class SketchForm extends Form<Sketch> {
        private final Field<Sketch, String> table = field("table", text(60), Sketch::table)
                .says("The id of the table that will hold what is measured.");
        private final Field<Sketch, Axis> x = field("x", new AxisForm(), Sketch::x);
        private final Field<Sketch, Axis> y = field("y", new AxisForm(), Sketch::y);

        SketchForm() {
            super("Sketch", "Empty axes to sketch the expected graph on.");
        }

        @Override
        protected Sketch make(Filled f) {
            return new Sketch(f.get(table), f.get(x), f.get(y));
        }
    }

    private static final class AxisForm extends Form<Axis> {
        private final Field<Axis, String> name = field("name", text(200), Axis::name);
        private final Field<Axis, String> symbol = field("symbol", text(60), Axis::symbol);
        private final Field<Axis, String> unit = field("unit", text(60), Axis::unit).otherwise("");
        private final Field<Axis, Double> from = field("from", number(), (Axis a) -> a.isNumbered() ? (Double) a.from() : null)
                .optional().says("Where it begins, in its unit; without both ends it bears no numbers.");
        private final Field<Axis, Double> to = field("to", number(), (Axis a) -> a.isNumbered() ? (Double) a.to() : null)
                .optional();

        AxisForm() {
            super("SketchAxis", "An axis to sketch on.");
        }

        @Override
        protected Axis make(Filled f) {
            return new Axis(f.get(name), f.get(symbol), f.get(unit), f.get(from) == null ? Double.NaN : f.get(from),
                    f.get(to) == null ? Double.NaN : f.get(to));
        }

        @Override
        protected void check(Axis axis, Where at) {
            if (axis.isNumbered() && !(axis.to() > axis.from())) {
                at.fault("the axis of " + axis.symbol() + " must go from a number to a larger one, or bear none");
            }
            try {
                Units.parse(axis.unit());
            } catch (IllegalArgumentException e) {
                at.fault("unit of " + axis.symbol() + ": " + e.getMessage());
            }
        }
    }
}
