package cauldron.core.analysis;

import cauldron.core.Tree;
import cauldron.core.quantity.Numbers;
import cauldron.core.quantity.Unit;
import java.util.Map;

/** A value held against theory, or against another method's. */
public final class Comparison {

    private Comparison() {
    }

    /**
     * Compares, in words. Two values agree when they differ by no more than twice the standard uncertainty of
     * their difference, as about 95 of 100 that measure the same do (GUM:1995, G.6).
     *
     * @param u          standard uncertainty of the value; NaN if not known
     * @param uReference that of what it is held against; 0 or NaN for a value taken as exact
     * @throws IllegalArgumentException where they are unlike quantities
     */
    public static Map<String, Object> of(double value, double u, Unit unit, double reference, double uReference, Unit referenceUnit) {
        if (!unit.sameKind(referenceUnit)) {
            throw new IllegalArgumentException("Can't compare a quantity in " + named(unit) + " with one in " + named(referenceUnit));
        }
        double other = unit.fromSi(referenceUnit.toSi(reference));
        double uOther = (Double.isNaN(uReference) ? 0 : uReference) * referenceUnit.factor() / unit.factor();
        double own = Double.isNaN(u) ? 0 : u;
        double difference = value - other;
        double spread = Math.sqrt(own * own + uOther * uOther);
        String percent = other == 0 ? "" : Numbers.print(100 * Math.abs(difference) / Math.abs(other), 2) + " % "
                + (difference < 0 == other > 0 ? "below" : "above");
        String words = spread == 0 ? "No uncertainty is known, so nothing can be said of agreement"
                : Math.abs(difference) <= spread ? "They agree: the difference is smaller than its uncertainty"
                : Math.abs(difference) <= 2 * spread ? "They agree: the difference is less than twice its uncertainty"
                : "They don't agree: the difference is " + Numbers.print(Math.abs(difference) / spread, 2) + " times its uncertainty";
        return Tree.of("difference", difference, "differenceText", Numbers.printWithUncertainty(difference, spread)
                + (unit.symbol().isEmpty() ? "" : " " + unit.symbol()), "percentText", percent, "agree",
                spread > 0 && Math.abs(difference) <= 2 * spread, "words", words);
    }

    private static String named(Unit unit) {
        return unit.symbol().isEmpty() ? "no unit" : unit.symbol();
    }
}
