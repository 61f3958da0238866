package cauldron.core.reference;

import cauldron.core.quantity.Numbers;
import cauldron.core.quantity.Unit;

/** One typed value held against what was shown: what is wrong with it, in words for whoever marks. All in SI. */
final class ValueCheck {

    /** Figures of a value that is told. */
    private static final int FIGURES = 4;
    /** Part of a repeat within which a count is told apart. */
    private static final double COUNTED = 0.12;
    /** More than so many times what was wanted is no miscount. */
    private static final double MOST_TIMES = 4;
    /** Powers of ten are told apart within this share, or the tolerance, whichever is wider. */
    private static final double DIGITS_ALIKE = 0.02;

    /**
     * What was found.
     *
     * @param divisions off, NaN where there is no scale
     */
    record Found(Verdict verdict, double divisions, String words) {
    }

    private final Reference reference;
    private final Showing.Shown shown;
    private final Unit unit;

    /** A value of a reference, told in the column's unit. */
    ValueCheck(Reference reference, Showing.Shown shown, Unit unit) {
        this.reference = reference;
        this.shown = shown;
        this.unit = unit;
    }

    /** How far a reading may be off. */
    private double tolerance() {
        double share = reference.percent() / 100 * Math.abs(shown.truth());
        double scale = Double.isNaN(shown.division()) ? 0 : reference.divisions() * shown.division();
        // What has neither a scale nor a share is told by its figures.
        double least = 1e-9 * Math.abs(shown.truth());
        return Math.max(Math.max(share, scale), least) * (1 + 1e-9);
    }

    /** What is to be said of a value. */
    Found of(double typed) {
        double off = typed - shown.truth();
        double divisions = off / shown.division();
        if (Math.abs(off) <= tolerance()) {
            return new Found(Verdict.RIGHT, divisions, "");
        }
        int tens = power(typed);
        if (tens != 0) {
            return new Found(Verdict.POWER_OF_TEN, divisions, "The digits are right, but it is off by 10"
                    + superscript(tens) + ": the column is in " + named() + ".");
        }
        if (Math.abs(typed + shown.truth()) <= tolerance()) {
            return new Found(Verdict.SIGN, divisions, "The size is right, the sign isn't.");
        }
        String count = counted(typed);
        if (count != null) {
            return new Found(Verdict.MISCOUNTED, divisions, count);
        }
        return new Found(verdictOf(typed), divisions, words(typed, off, divisions));
    }

    private int power(double typed) {
        double ratio = Math.abs(typed / shown.truth());
        if (!(ratio > 0) || Double.isInfinite(ratio)) {
            return 0;
        }
        int tens = (int) Math.rint(Math.log10(ratio));
        double alike = Math.max(DIGITS_ALIKE, tolerance() / Math.abs(shown.truth()));
        return tens != 0 && Math.abs(ratio / Math.pow(10, tens) - 1) <= Math.min(alike, 0.1) ? tens : 0;
    }

    private String counted(double typed) {
        if (!(shown.each() > 0)) {
            return null;
        }
        double events = typed / shown.each() * reference.every();
        double whole = Math.rint(events);
        int wanted = reference.times() * reference.every();
        double slack = Math.max(COUNTED, tolerance() / shown.each() * reference.every());
        if (whole == wanted || whole < 1 || whole > MOST_TIMES * wanted || Math.abs(events - whole) > Math.min(slack,
                0.3)) {
            return null;
        }
        return "That is how long " + Numbers.printShort(whole / reference.every()) + " take, not " + reference.times()
                + ".";
    }

    private boolean isSeen(double typed) {
        double digit = Double.isNaN(shown.division()) ? 0 : shown.division();
        return shown.seen().stream().anyMatch(s -> Math.abs(Math.abs(typed) - Math.abs(s)) <= Math.max(digit,
                tolerance() / 2));
    }

    private Verdict verdictOf(double typed) {
        return isSeen(typed) ? Verdict.LAID_WRONG : shown.seen().isEmpty() ? Verdict.OFF : Verdict.MISREAD;
    }

    private String words(double typed, double off, double divisions) {
        Verdict verdict = verdictOf(typed);
        String by = told(Math.abs(off)) + (off > 0 ? " too much" : " too little");
        if (Double.isNaN(shown.astray()) && verdict != Verdict.OFF) {
            return verdict == Verdict.LAID_WRONG
                    ? "Copied right from the stopwatch, but it was set or stopped at another"
                    + " moment: " + by + "."
                    : "The stopwatch stood at " + told(shown.seen().get(0)) + ". Off by " + by + ".";
        }
        if (verdict == Verdict.LAID_WRONG) {
            boolean astray = Math.abs(shown.astray()) > tolerance() / 2;
            return "Read right off the scale as it lay, but " + (astray ? "its zero lay "
                    + told(Math.abs(shown.astray()))
                    + " off" : "the scale lay askew") + ": " + by + ".";
        }
        String far = Double.isNaN(divisions) || shown.division() == 0 ? ""
                : ", " + Numbers.print(Math.abs(divisions), 2) + " divisions of the scale";
        return (verdict == Verdict.MISREAD ? "The scale, as it lay, shows " + told(nearest(typed)) + " there. " : "")
                + "Off by " + by + far + ".";
    }

    private double nearest(double typed) {
        double best = shown.seen().get(0);
        for (double s : shown.seen()) {
            best = Math.abs(s - typed) < Math.abs(best - typed) ? s : best;
        }
        return best;
    }

    private String told(double si) {
        return (Numbers.print(si / unit.factor(), FIGURES) + " " + unit.symbol()).strip();
    }

    private String named() {
        return unit.symbol().isEmpty() ? "no unit" : unit.symbol();
    }

    private static String superscript(int tens) {
        StringBuilder text = new StringBuilder(tens < 0 ? "⁻" : "");
        for (char c : String.valueOf(Math.abs(tens)).toCharArray()) {
            text.append("⁰¹²³⁴⁵⁶⁷⁸⁹".charAt(c - '0'));
        }
        return text.toString();
    }
}
