package cauldron.core.marking;

import cauldron.core.Tree;
import cauldron.core.quantity.Unit;
import cauldron.core.quantity.Units;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/**
 * What is right, and which slips are known.
 *
 * @param value     the true number in {@code unit}
 * @param tolerance as a share of the value: 0.03 is 3%
 * @param slips     factors by which a wrong answer may be off, with a hint for each
 */
public record AnswerKey(double value, Unit unit, double tolerance, List<Slip> slips) {

    /** An answer {@code factor} times the truth shows this slip. */
    public record Slip(double factor, String hint) {
    }

    /** Reads {@code {value, unit, tolerancePercent, slips: [{factor, hint}]}}. */
    public static AnswerKey fromTree(Map<String, Object> tree) {
        double tolerance = Tree.number(tree, "tolerancePercent");
        if (!(tolerance > 0 && tolerance <= 50)) {
            throw new IllegalArgumentException("tolerancePercent: must be above 0 and at most 50");
        }
        List<Slip> slips = new ArrayList<>();
        for (Map<String, Object> slip : Tree.maps(tree, "slips")) {
            slips.add(new Slip(Tree.number(slip, "factor"), Tree.text(slip, "hint")));
        }
        return new AnswerKey(Tree.number(tree, "value"), Units.parse(Tree.text(tree, "unit")), tolerance / 100, slips);
    }
}
