package cauldron.core.apparatus;

import cauldron.core.quantity.Unit;
import cauldron.core.quantity.Units;

/**
 * A quantity that people are shown: its symbol, the unit they see it in and how many decimals. The model gives it in SI.
 *
 * @param <Q> itself
 */
abstract class Shown<Q extends Shown<Q>> extends Declared {

    private static final int MOST_DECIMALS = 9;

    private final String symbol;
    private final String unit;
    private int decimals = 2;

    Shown(Declaration owner, String id, String symbol, String name, String unit) {
        super(owner, id, name);
        this.symbol = symbol;
        this.unit = unit;
    }

    abstract Q self();

    /** Decimals shown, in its unit; 2 unless said. */
    public final Q decimals(int shown) {
        stillOpen();
        decimals = shown;
        return self();
    }

    /** Printed in graphs, tables and formulas. */
    public final String symbol() {
        return symbol;
    }

    /** The unit people see. */
    public final String unit() {
        return unit;
    }

    /** Decimals shown. */
    public final int decimals() {
        return decimals;
    }

    /** SI units in one of its own. */
    final double factor() {
        return read().factor();
    }

    final Unit read() {
        return Units.parse(unit);
    }

    /** A value in its unit, from one in SI. */
    public final double own(double si) {
        return read().fromSi(si);
    }

    @Override
    void check(Faults faults) {
        super.check(faults);
        faults.readable(this, unit);
        if (decimals < 0 || decimals > MOST_DECIMALS) {
            faults.add(this, "has 0 to " + MOST_DECIMALS + " decimals, not " + decimals);
        }
    }
}
