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
 * @param value     the true number in {@code unit}; NaN where it is the student's own, or where it isn't known yet
 * @param own       where the student's own truth is found, or null
 * @param following how it follows from the student's own table, or null
 * @param tolerance as a share of the value: 0.03 is 3%; 0 where only the absolute one counts
 * @param within    absolute tolerance, in {@code unit}; 0 where only the share counts
 * @param figures   significant figures asked for; 0: none
 * @param slips     factors by which a wrong answer may be off, with a hint for each
 */
public record AnswerKey(double value, Own own, Following following, Unit unit, double tolerance, double within, int figures,
                        List<Slip> slips) {

    /**
     * A personal value of recordings: a setting, as one option of a choice sets it for the student.
     *
     * @param films  id of the block of recordings
     * @param choice the choice; empty where the value is the same in all recordings
     * @param option the option of that choice
     */
    public record Own(String films, String choice, String option, String setting) {
    }

    /**
     * What follows from the student's own table.
     *
     * @param table   id of the block
     * @param formula over the columns' symbols, with one value for all rows: {@code 4π²/slope((t/20)²; L)}
     */
    public record Following(String table, String formula) {
    }

    /** An answer {@code factor} times the truth shows this slip. */
    public record Slip(double factor, String hint) {
    }

    /** The key for one student, whose own value is known. */
    public AnswerKey with(double ownValue) {
        return new AnswerKey(ownValue, null, following, unit, tolerance, within, figures, slips);
    }

    /**
     * Reads {@code {value, unit, tolerancePercent, tolerance, figures, slips: [{factor, hint}]}}: a tolerance in per cent, an
     * absolute one in the key's unit, or both, of which the wider counts; in place of {@code value} may
     * stand {@code own: {films, choice, option, setting}} or {@code following: {table, formula}}.
     */
    public static AnswerKey fromTree(Map<String, Object> tree) {
        double tolerance = Tree.number(tree, "tolerancePercent", 0);
        double within = Tree.number(tree, "tolerance", 0);
        if (!(tolerance >= 0 && tolerance <= 50)) {
            throw new IllegalArgumentException("tolerancePercent: must be above 0 and at most 50");
        }
        if (!(within >= 0 && !Double.isInfinite(within))) {
            throw new IllegalArgumentException("tolerance: must be above 0");
        }
        if (tolerance == 0 && within == 0) {
            throw new IllegalArgumentException("tolerancePercent or tolerance: one of them is needed");
        }
        double figures = Tree.number(tree, "figures", 0);
        if (!(figures >= 0 && figures <= 9 && figures == Math.rint(figures))) {
            throw new IllegalArgumentException("figures: 1 to 9");
        }
        Unit unit = Units.parse(Tree.text(tree, "unit"));
        if (unit.offset() != 0 && tolerance > 0) {
            throw new IllegalArgumentException("tolerancePercent: a part of a temperature in °C has no meaning, because its zero"
                    + " is not nothing. Give tolerance in °C instead");
        }
        List<Slip> slips = new ArrayList<>();
        for (Map<String, Object> slip : Tree.maps(tree, "slips")) {
            slips.add(new Slip(Tree.number(slip, "factor"), Tree.text(slip, "hint")));
        }
        Own own = null;
        if (tree.containsKey("own")) {
            Map<String, Object> o = Tree.map(tree, "own");
            own = new Own(Tree.text(o, "films"), Tree.text(o, "choice", ""), Tree.text(o, "option", ""),
                    Tree.text(o, "setting"));
        }
        Following following = null;
        if (tree.containsKey("following")) {
            Map<String, Object> f = Tree.map(tree, "following");
            following = new Following(Tree.text(f, "table"), Tree.text(f, "formula"));
        }
        double value = own == null && following == null ? Tree.number(tree, "value") : Double.NaN;
        if (value == 0 && within == 0) {
            throw new IllegalArgumentException("tolerance: of a value of 0 no part can be asked. Give tolerance in its unit");
        }
        return new AnswerKey(value, own, following, unit, tolerance / 100, within, (int) figures, slips);
    }
}
