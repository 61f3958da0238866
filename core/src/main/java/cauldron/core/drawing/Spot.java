package cauldron.core.drawing;

import static cauldron.core.form.Kinds.number;
import static cauldron.core.form.Kinds.text;

import cauldron.core.Tree;
import cauldron.core.form.Field;
import cauldron.core.form.Filled;
import cauldron.core.form.Form;
import cauldron.core.form.Where;
import java.util.Map;

/**
 * A place on the paper where things belong: a disc, or a ring between two radii.
 *
 * @param name as students read it; it shouldn't give away what a label asks for
 * @param from inner radius; 0 for a disc
 * @param to   outer radius
 */
public record Spot(String id, String name, double x, double y, double from, double to) {

    /** Whether a point lies in it. */
    public boolean has(double px, double py) {
        double r = Math.hypot(px - x, py - y);
        return r >= from && r <= to;
    }

    /** From plain data that was read before. */
    static Spot of(Map<String, Object> tree) {
        return new Spot(Tree.text(tree, "id"), Tree.text(tree, "name"), Tree.number(tree, "x"), Tree.number(tree, "y"),
                Tree.number(tree, "from", 0), Tree.number(tree, "to"));
    }

    /** As plain data. */
    public Map<String, Object> toTree() {
        return Tree.of("id", id, "name", name, "x", x, "y", y, "from", from, "to", to);
    }

    /** How one is declared. */
    static final class Declared extends Form<Spot> {
        private final Field<Spot, String> id = field("id", text(Paper.ID), Spot::id);
        private final Field<Spot, String> name = field("name", text(Paper.NAME), Spot::name)
                .says("As students read it; it shouldn't give away what a label asks for.");
        private final Field<Spot, Double> x = field("x", number(0, Paper.WIDTH), Spot::x);
        private final Field<Spot, Double> y = field("y", number(0, Paper.HEIGHT), Spot::y);
        private final Field<Spot, Double> from = field("from", number(0, Paper.WIDTH), Spot::from).otherwise(0.0)
                .says("Inner radius; without it, a disc.");
        private final Field<Spot, Double> to = field("to", number(1, Paper.WIDTH), Spot::to).says("Outer radius.");

        Declared() {
            super("DrawnPlace", "A place on the paper where things belong: a disc, or a ring between two radii.");
        }

        @Override
        protected Spot make(Filled f) {
            return new Spot(f.get(id), f.get(name), f.get(x), f.get(y), f.get(from), f.get(to));
        }

        @Override
        protected void check(Spot spot, Where at) {
            if (spot.from() >= spot.to()) {
                at.fault("from has to be less than to");
            }
        }
    }
}
