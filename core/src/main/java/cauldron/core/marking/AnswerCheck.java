package cauldron.core.marking;

import cauldron.core.Tree;
import cauldron.core.quantity.Numbers;
import cauldron.core.quantity.Unit;
import cauldron.core.quantity.Units;
import java.util.Map;

/**
 * A student's number and unit held against the key. Any unit of the right kind is accepted. A wrong
 * answer is told which of quantity, unit, power of ten and sign is wrong, and nothing of the true value.
 */
public final class AnswerCheck {

    /** What was found. */
    public enum Verdict { RIGHT, NOT_A_NUMBER, NO_UNIT, UNREADABLE_UNIT, OTHER_QUANTITY, SIGN, POWER_OF_TEN, UPSIDE_DOWN,
        KNOWN_SLIP, VALUE, NOT_YET }

    /** The verdict with words for the student. */
    public record Result(Verdict verdict, String feedback) {

        public boolean right() {
            return verdict == Verdict.RIGHT;
        }

        /** Whether it counts as a try: something that can't be read doesn't. */
        public boolean counts() {
            return verdict != Verdict.NOT_A_NUMBER && verdict != Verdict.NO_UNIT && verdict != Verdict.UNREADABLE_UNIT
                    && verdict != Verdict.NOT_YET;
        }

        public Map<String, Object> toTree() {
            return Tree.of("verdict", verdict.name().toLowerCase().replace('_', '-'), "feedback", feedback);
        }
    }

    private AnswerCheck() {
    }

    /** Checks what was typed as number and as unit. */
    public static Result check(String typedNumber, String typedUnit, AnswerKey key) {
        double number;
        try {
            number = Numbers.read(typedNumber);
        } catch (IllegalArgumentException e) {
            return new Result(Verdict.NOT_A_NUMBER, e.getMessage() + ".");
        }
        if (typedUnit.isBlank() && !key.unit().dimension().isNone()) {
            return new Result(Verdict.NO_UNIT, "A number alone says nothing here. Add its unit.");
        }
        Unit unit;
        try {
            unit = Units.parse(typedUnit);
        } catch (IllegalArgumentException e) {
            return new Result(Verdict.UNREADABLE_UNIT, e.getMessage() + ".");
        }
        if (Double.isNaN(key.value())) {
            return new Result(Verdict.NOT_YET, "This is checked against what follows from your own table, and the table"
                    + " doesn't give it yet. Fill in more rows first.");
        }
        double truth = key.unit().toSi(key.value());
        double given = unit.toSi(number);
        if (!unit.sameKind(key.unit())) {
            return wrongKind(unit, key, given, truth);
        }
        double tolerance = key.tolerance();
        if (close(given, truth, tolerance)) {
            return new Result(Verdict.RIGHT, "Right, within the accuracy asked for.");
        }
        if (close(-given, truth, tolerance)) {
            return new Result(Verdict.SIGN, "The size is right. Look at the sign again: which way is positive?");
        }
        for (AnswerKey.Slip slip : key.slips()) {
            if (close(given, truth * slip.factor(), tolerance)) {
                return new Result(Verdict.KNOWN_SLIP, slip.hint());
            }
        }
        if (given != 0 && truth != 0) {
            double tens = Math.rint(Math.log10(Math.abs(given / truth)));
            if (tens != 0 && close(Math.abs(given) / Math.pow(10, tens), Math.abs(truth), tolerance)) {
                return new Result(Verdict.POWER_OF_TEN, "The digits are right, but it is off by a power of ten."
                        + " Compare the units in your table's headings with the unit you typed.");
            }
        }
        return new Result(Verdict.VALUE, "The unit fits, but the value doesn't yet. Check your readings for one row"
                + " again, then how the answer follows from them.");
    }

    private static Result wrongKind(Unit unit, AnswerKey key, double given, double truth) {
        boolean inverse = unit.dimension().equals(key.unit().dimension().power(-1));
        if (inverse) {
            return new Result(Verdict.UPSIDE_DOWN, "Your unit, " + unit.symbol() + ", is the one asked for upside down."
                    + " Which quantity is divided by which?");
        }
        if (close(given, truth, key.tolerance())) {
            return new Result(Verdict.OTHER_QUANTITY, "The number would do, but " + named(unit)
                    + " is not the unit of this quantity. Work the unit out from your formula.");
        }
        return new Result(Verdict.OTHER_QUANTITY, named(unit) + " measures another quantity than the one asked for.");
    }

    private static String named(Unit unit) {
        return unit.symbol().isEmpty() ? "A pure number" : "“" + unit.symbol() + "”";
    }

    private static boolean close(double given, double truth, double tolerance) {
        return Math.abs(given - truth) <= tolerance * Math.abs(truth) + 1e-300;
    }
}
