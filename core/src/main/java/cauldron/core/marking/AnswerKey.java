package cauldron.core.marking;

import cauldron.core.quantity.Unit;
import java.util.List;

/**
 * What is right, and which slips are known.
 *
 * @param value     the true number in {@code unit}; NaN where it is the student's own, or where it isn't known yet
 * @param own       where the student's own truth is found, or null
 * @param following how it follows from the student's own table, or null
 * @param came      what the student's own trials came to, or null
 * @param tolerance as a share of the value: 0.03 is 3%; 0 where only the absolute one counts
 * @param within    absolute tolerance, in {@code unit}; 0 where only the share counts
 * @param figures   significant figures asked for; 0: none
 * @param also      units of another kind in which the same number is right, such as that of a molar mass where a relative
 *                  one is asked for
 * @param slips     factors by which a wrong answer may be off, with a hint for each
 */
public record AnswerKey(double value, Own own, Following following, Came came, Unit unit, double tolerance,
                        double within, int figures, List<Unit> also, List<Slip> slips) {

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

    /**
     * What the student's own trials on a bench came to.
     *
     * @param bench   id of the block
     * @param outcome what is asked for
     * @param which   which of all trials is meant
     * @param within  another outcome that mustn't be above {@code atMost}, in its own unit; empty: all trials count
     */
    public record Came(String bench, String outcome, Which which, String within, double atMost) {
    }

    /** Which of the trials that count is meant. */
    public enum Which { GREATEST, LEAST, LAST }

    /**
     * A wrong answer that is known.
     *
     * @param factor  how many times the truth it is; NaN where it is an outcome that isn't known yet
     * @param outcome what else the same trial came to that it is; empty: the factor counts
     */
    public record Slip(double factor, String outcome, String hint) {
    }

    /** The key for one student, whose own value is known. */
    public AnswerKey with(double ownValue) {
        return new AnswerKey(ownValue, null, following, came, unit, tolerance, within, figures, also, slips);
    }

    /** The same with other slips. */
    public AnswerKey with(List<Slip> others) {
        return new AnswerKey(value, own, following, came, unit, tolerance, within, figures, also, others);
    }
}
