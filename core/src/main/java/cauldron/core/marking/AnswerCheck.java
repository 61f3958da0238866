package cauldron.core.marking;

import cauldron.core.Tree;
import cauldron.core.quantity.Numbers;
import cauldron.core.quantity.QuantityNames;
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
        KNOWN_SLIP, VALUE, FIGURES,
        OTHER_PREFIX, NOT_YET }

    /**
     * The verdict with words for the student.
     *
     * @param share of the points that it brings, 0 to 1
     */
    public record Result(Verdict verdict, String feedback, double share) {

        /** A verdict that brings all the points or none. */
        public Result(Verdict verdict, String feedback) {
            this(verdict, feedback, verdict == Verdict.RIGHT ? 1 : 0);
        }

        /** What it brings of so many points, to a tenth. */
        public double points(double of) {
            return Math.rint(share * of * 10) / 10;
        }

        public boolean right() {
            return verdict == Verdict.RIGHT;
        }

        /** Whether it counts as a try: something that can't be read doesn't. */
        public boolean counts() {
            return verdict != Verdict.NOT_A_NUMBER && verdict != Verdict.NO_UNIT && verdict != Verdict.UNREADABLE_UNIT
                    && verdict != Verdict.NOT_YET && verdict != Verdict.FIGURES && verdict != Verdict.OTHER_PREFIX;
        }

        public Map<String, Object> toTree() {
            return Tree.of("verdict", verdict.name().toLowerCase().replace('_', '-'), "feedback", feedback);
        }
    }

    private AnswerCheck() {
    }

    /** What was typed, a number with its unit in one box taken apart. */
    private record Typed(double number, String numberText, String unitText, boolean mayBeThousands) {

        private static Typed of(AnswerNumber read, String unit) {
            return new Typed(read.value(), read.plain(), unit, read.mayBeThousands());
        }

        /** Reads it; throws what is wrong with the number. */
        static Typed read(String typedNumber, String typedUnit) {
            String number = typedNumber.strip();
            String unit = typedUnit.strip();
            try {
                return of(AnswerNumber.read(number), unit);
            } catch (IllegalArgumentException e) {
                int split = beginOfUnit(number);
                if (split <= 0 || split == number.length() || !unit.isEmpty()) {
                    throw e;
                }
                try {
                    return of(AnswerNumber.read(number.substring(0, split)), number.substring(split).strip());
                } catch (IllegalArgumentException inner) {
                    throw e;
                }
            }
        }
    }

    /**
     * How far an answer is from the truth, as a share of it: 0.02 is 2 % too much.
     *
     * @return NaN where it can't be said: no number, another quantity, a truth that is zero or isn't known, or a unit
     *         that doesn't begin at zero
     */
    public static double off(String typedNumber, String typedUnit, AnswerKey key) {
        double truth = key.unit().toSi(key.value());
        try {
            Typed typed = Typed.read(typedNumber, typedUnit);
            Unit unit = Units.parse(typed.unitText());
            return truth == 0 || key.unit().offset() != 0 || !unit.sameKind(key.unit()) ? Double.NaN
                    : unit.toSi(typed.number()) / truth - 1;
        } catch (IllegalArgumentException e) {
            return Double.NaN;
        }
    }

    /** How far an answer may be off to be right, as a share of the truth; NaN where that can't be said. */
    public static double band(AnswerKey key) {
        return key.unit().offset() != 0 || key.value() == 0 ? Double.NaN : key.within() == 0 ? key.tolerance()
                : Math.max(key.tolerance(), Math.abs(key.within() / key.value()));
    }

    /** Checks what was typed as number and as unit. */
    public static Result check(String typedNumber, String typedUnit, AnswerKey key) {
        Typed typed;
        try {
            typed = Typed.read(typedNumber, typedUnit);
        } catch (IllegalArgumentException e) {
            return new Result(Verdict.NOT_A_NUMBER, e.getMessage() + ".");
        }
        double number = typed.number();
        String numberText = typed.numberText();
        String unitText = typed.unitText();
        boolean alone = key.unit().dimension().isNone() || key.also().stream().anyMatch(u -> u.dimension().isNone());
        if (unitText.isEmpty() && !alone) {
            return new Result(Verdict.NO_UNIT, "A number alone says nothing here. Add its unit.");
        }
        Unit unit;
        try {
            unit = Units.parse(unitText);
        } catch (IllegalArgumentException e) {
            return new Result(Verdict.UNREADABLE_UNIT, e.getMessage() + ".");
        }
        if (Double.isNaN(key.value())) {
            return new Result(Verdict.NOT_YET, "This is checked against what follows from your own table, and the table"
                    + " doesn't give it yet. Fill in more rows first.");
        }
        if (unitText.isEmpty() && key.unit().symbol().equals("°") && !close(number, key)
                && close(key.unit().toSi(number), key)) {
            return new Result(Verdict.NO_UNIT, "Is that in degrees? Then add ° as its unit; a bare number is in radians.");
        }
        Result meant = askedBack(number, unitText, key);
        if (meant != null) {
            return meant;
        }
        double given = inKeysKind(number, unit, key);
        if (Double.isNaN(given)) {
            return wrongKind(unit, key);
        }
        if (close(given, key)) {
            return key.figures() > 0 && (numberText.isEmpty() || Numbers.figures(numberText) != key.figures())
                    ? figures(numberText, key)
                    : new Result(Verdict.RIGHT, "Right, within the accuracy asked for.");
        }
        if (typed.mayBeThousands()) {
            String digits = numberText.replace(",", "");
            return new Result(Verdict.NOT_A_NUMBER, "Does the comma part thousands, or is it a decimal mark? Type "
                    + digits + " for the one, " + numberText.replace(',', '.') + " for the other. This costs no try.");
        }
        boolean otherPrefix = !unitText.isEmpty() && unit.sameKind(key.unit()) && unit.factor() != key.unit().factor()
                && close(key.unit().toSi(number), key);
        return otherPrefix ? otherPrefix(given, key) : unlike(given, key);
    }

    /** The number goes with another unit of the kind; where the lab knows that slip, its hint says more. */
    private static Result otherPrefix(double given, AnswerKey key) {
        Result known = unlike(given, key);
        return new Result(Verdict.OTHER_PREFIX, (known.verdict() == Verdict.KNOWN_SLIP ? known.feedback()
                : "Number and unit don't go together. Compare the units in your table's headings, or in the text, with the"
                + " one you typed.") + " This costs no try.");
    }

    /** A value in SI, of a unit of the key's kind or of one that is as good; NaN for any other. */
    private static double inKeysKind(double number, Unit unit, AnswerKey key) {
        if (unit.sameKind(key.unit())) {
            return unit.toSi(number);
        }
        for (Unit also : key.also()) {
            if (unit.sameKind(also)) {
                return key.unit().toSi(also.fromSi(unit.toSi(number)));
            }
        }
        return Double.NaN;
    }

    /** What has most likely been meant otherwise than it was written is asked about, free of charge; null for nothing. */
    private static Result askedBack(double number, String unitText, AnswerKey key) {
        if (key.unit().sameKind(KELVIN) && (unitText.equals("C") || unitText.equals("c"))) {
            return new Result(Verdict.UNREADABLE_UNIT, "C is the coulomb, a unit of charge. Do you mean °C? This costs no"
                    + " try.");
        }
        if (unitText.isEmpty() && key.unit().symbol().equals("%") && !close(number, key)
                && close(key.unit().toSi(number), key)) {
            return new Result(Verdict.NO_UNIT, "Is that in per cent? Then add % as its unit; a bare number is a share of 1."
                    + " This costs no try.");
        }
        return null;
    }

    private static final Unit KELVIN = Units.parse("K");

    private static Result figures(String typed, AnswerKey key) {
        if (typed.isEmpty()) {
            return new Result(Verdict.FIGURES, "The value is right. Write it as a decimal number: " + key.figures()
                    + (key.figures() == 1 ? " significant figure is" : " significant figures are") + " asked for here.");
        }
        boolean few = Numbers.figures(typed) < key.figures();
        return new Result(Verdict.FIGURES, "The value is right. " + key.figures() + (key.figures() == 1 ? " significant figure is"
                : " significant figures are") + " asked for here, and yours has " + (few ? "fewer" : "more") + ": "
                + (few ? "calculate on with what your readings give." : "round it to what your readings can say."));
    }

    /** What a wrong value of the right kind looks like. */
    private static Result unlike(double given, AnswerKey key) {
        double truth = key.unit().toSi(key.value());
        for (AnswerKey.Slip slip : key.slips()) {
            if (nearly(given, truth * slip.factor(), key)) {
                return new Result(Verdict.KNOWN_SLIP, slip.hint());
            }
        }
        if (key.unit().offset() != 0) {
            return notYet(key);
        }
        if (nearly(-given, truth, key)) {
            return new Result(Verdict.SIGN, "The size is right. Look at the sign again: which way is positive?");
        }
        if (given == 0 || truth == 0) {
            return notYet(key);
        }
        double ratio = Math.abs(given / truth);
        boolean sign = given * truth < 0;
        double tens = Math.rint(Math.log10(ratio));
        if (tens != 0 && nearly(Math.abs(given) / Math.pow(10, tens), Math.abs(truth), key)) {
            return new Result(sign ? Verdict.SIGN : Verdict.POWER_OF_TEN, "The digits are right, but it is off by a power of ten"
                    + (sign ? ", and the sign is the other one" : "") + ". Compare the units in your table's headings with the"
                    + " unit you typed" + (Math.abs(tens) == 3 ? ", and look whether a comma or point stands where you meant it"
                    : "") + ".");
        }
        if (nearly(ratio, 60, key) || nearly(ratio * 60, 1, key)) {
            return new Result(Verdict.KNOWN_SLIP, "It is off by a factor of sixty: are minutes and seconds, or hours and minutes,"
                    + " taken for each other somewhere?");
        }
        double coherent = given / key.unit().factor();
        if (nearly(coherent * key.value(), 1, key)) {
            return new Result(Verdict.UPSIDE_DOWN, "Your number is one divided by the right one. Which quantity is divided by"
                    + " which?");
        }
        return notYet(key);
    }

    /** Where, in a number with its unit, the unit begins. */
    private static int beginOfUnit(String text) {
        for (int i = 1; i < text.length(); i++) {
            char c = text.charAt(i);
            boolean power = (c == 'e' || c == 'E' || c == 'x') && i + 1 < text.length()
                    && "+-\u2212\u2013 0123456789".indexOf(text.charAt(i + 1)) >= 0;
            if (!power && (Character.isLetter(c) || c == '°' || c == '%' || c == '˚' || c == '℃' || c == '√' || c == '(')) {
                return i;
            }
        }
        return text.length();
    }

    private static Result notYet(AnswerKey key) {
        boolean read = key.following() != null || key.came() != null;
        return new Result(Verdict.VALUE, "The unit fits, but the value doesn't yet. " + (read
                ? "Check your readings for one row again, then how the answer follows from them."
                : "Look again at what it is worked out from, then at how it follows."));
    }

    private static Result wrongKind(Unit unit, AnswerKey key) {
        boolean inverse = unit.dimension().equals(key.unit().dimension().power(-1));
        if (inverse) {
            return new Result(Verdict.UPSIDE_DOWN, "Your unit, " + unit.symbol() + ", is the one asked for upside down."
                    + " Which quantity is divided by which?");
        }
        String is = QuantityNames.of(unit);
        String asked = QuantityNames.of(key.unit());
        return new Result(Verdict.OTHER_QUANTITY, is.isEmpty() || asked.isEmpty()
                ? named(unit) + " measures another quantity than the one asked for."
                : named(unit) + " is the unit of " + is + ". What is asked for here is " + asked + ".");
    }

    private static String named(Unit unit) {
        return unit.symbol().isEmpty() ? "A pure number" : "“" + unit.symbol() + "”";
    }

    /** Whether a value in SI is right: within the share or the absolute tolerance, whichever is wider. */
    private static boolean close(double given, AnswerKey key) {
        double truth = key.unit().toSi(key.value());
        double share = key.unit().offset() == 0 ? key.tolerance() * Math.abs(truth) : 0;
        return Math.abs(given - truth) <= Math.max(share, key.within() * key.unit().factor()) * (1 + 1e-12) + 1e-300;
    }

    /** Whether two values are alike by the key's accuracy, for recognising a slip. */
    private static boolean nearly(double given, double truth, AnswerKey key) {
        double share = Math.max(key.tolerance(), key.value() == 0 ? 0 : Math.abs(key.within() / key.value()));
        return Math.abs(given - truth) <= Math.min(share, 0.05) * Math.abs(truth) + 1e-300;
    }
}
