package cauldron.core.apparatus;

import cauldron.core.Tree;
import cauldron.core.quantity.Unit;
import cauldron.core.quantity.Units;
import java.util.Map;

/**
 * A curve at one instant, with axes of its own: energy along a rail, work along a way, temperature along a rod. It may
 * have several lines, the last of them the one that counts most.
 */
public final class Profile extends Declared {

    /** An axis: what goes along it, in which unit. */
    public record Axis(String symbol, String name, String unit) {

        Unit read() {
            return Units.parse(unit);
        }

        Map<String, Object> toTree() {
            return Tree.of("symbol", symbol, "name", name, "unit", unit, "perSi", 1 / read().factor(), "zero",
                    read().offset());
        }
    }

    private Axis along = new Axis("x", "x", "");
    private Axis up = new Axis("y", "y", "");

    Profile(Declaration owner, String id, String name) {
        super(owner, id, name);
    }

    @Override
    String sort() {
        return "profile";
    }

    /** What goes along. */
    public Profile along(String symbol, String name, String unit) {
        stillOpen();
        along = new Axis(symbol, name, unit);
        return this;
    }

    /** What goes upright. */
    public Profile up(String symbol, String name, String unit) {
        stillOpen();
        up = new Axis(symbol, name, unit);
        return this;
    }

    Axis alongAxis() {
        return along;
    }

    Axis upAxis() {
        return up;
    }

    @Override
    void check(Faults faults) {
        super.check(faults);
        faults.readable(this, along.unit());
        faults.readable(this, up.unit());
    }

    Map<String, Object> toTree() {
        return Tree.of("id", id(), "name", name(), "along", along.toTree(), "up", up.toTree());
    }
}
