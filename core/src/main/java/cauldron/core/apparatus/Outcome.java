package cauldron.core.apparatus;

import cauldron.core.Tree;
import cauldron.core.quantity.Units;
import java.util.Map;

/**
 * A value that stands once a run, or a stretch of it, is over: what something came to. Kept in SI; its unit is what
 * people see.
 */
public final class Outcome extends Declared {

    private final String symbol;
    private final String unit;
    private int decimals = 2;

    Outcome(Declaration owner, String id, String symbol, String name, String unit) {
        super(owner, id, name);
        this.symbol = symbol;
        this.unit = unit;
    }

    @Override
    String sort() {
        return "outcome";
    }

    /** Decimals shown, in its unit; 2 unless said. */
    public Outcome decimals(int shown) {
        stillOpen();
        decimals = shown;
        return this;
    }

    /** Printed in tables and formulas. */
    public String symbol() {
        return symbol;
    }

    /** The unit people see. */
    public String unit() {
        return unit;
    }

    /** Decimals shown. */
    int decimals() {
        return decimals;
    }

    /** A value in its unit, from one in SI. */
    public double own(double si) {
        return si / factor();
    }

    /** SI units in one of its own. */
    double factor() {
        return Units.parse(unit).factor();
    }

    @Override
    void check(Faults faults) {
        super.check(faults);
        faults.readable(this, unit);
        if (decimals < 0 || decimals > 9) {
            faults.add(this, "has 0 to 9 decimals, not " + decimals);
        }
    }

    Map<String, Object> toTree() {
        return Tree.of("id", id(), "symbol", symbol, "name", name(), "unit", unit, "figures", decimals, "perSi",
                1 / factor());
    }
}
