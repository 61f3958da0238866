package cauldron.core.drawing;

import static cauldron.core.form.Kinds.FLAG;
import static cauldron.core.form.Kinds.list;
import static cauldron.core.form.Kinds.number;

import cauldron.core.Tree;
import cauldron.core.form.Field;
import cauldron.core.form.Filled;
import cauldron.core.form.Form;
import cauldron.core.form.Where;
import java.util.List;
import java.util.Map;

/**
 * A line or a circle that stands on the paper from the beginning.
 *
 * @param circle x, y and radius; empty for a line
 * @param line   x, y, x, y …; empty for a circle
 */
public record Shape(List<Double> circle, List<Double> line, boolean closed, boolean filled, boolean dashed) {

    private static final int CIRCLE = 3;
    private static final int MOST_NUMBERS = 400;

    /** A circle. */
    public static Shape circle(double x, double y, double r, boolean filled, boolean dashed) {
        return new Shape(List.of(x, y, r), List.of(), false, filled, dashed);
    }

    /** As plain data. */
    public Map<String, Object> toTree() {
        return Tree.of("circle", circle, "line", line, "closed", closed, "filled", filled, "dashed", dashed);
    }

    /** How one is declared. */
    static final class Declared extends Form<Shape> {
        private final Field<Shape, List<Double>> circle = field("circle", list(number(), CIRCLE), Shape::circle)
                .otherwise(List.of()).says("x, y and radius.");
        private final Field<Shape, List<Double>> line = field("line", list(number(), MOST_NUMBERS), Shape::line)
                .otherwise(List.of()).says("x, y, x, y …");
        private final Field<Shape, Boolean> closed = field("closed", FLAG, Shape::closed).otherwise(false);
        private final Field<Shape, Boolean> filled = field("filled", FLAG, Shape::filled).otherwise(false);
        private final Field<Shape, Boolean> dashed = field("dashed", FLAG, Shape::dashed).otherwise(false);

        Declared() {
            super("DrawnShape", "A line or a circle that stands on the paper from the beginning.");
        }

        @Override
        protected Shape make(Filled f) {
            return new Shape(f.get(circle), f.get(line), f.get(closed), f.get(filled), f.get(dashed));
        }

        @Override
        protected void check(Shape shape, Where at) {
            boolean round = shape.circle().size() == CIRCLE && shape.line().isEmpty();
            boolean straight = shape.circle().isEmpty() && shape.line().size() >= 4 && shape.line().size() % 2 == 0;
            if (!round && !straight) {
                at.fault("a shape is a circle of x, y and radius, or a line of two places or more");
            }
        }
    }
}
