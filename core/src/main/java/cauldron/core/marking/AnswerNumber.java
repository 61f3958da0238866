package cauldron.core.marking;

import cauldron.core.analysis.Formula;
import cauldron.core.analysis.FormulaException;
import cauldron.core.quantity.Numbers;
import java.util.Map;
import java.util.Set;

/**
 * A number as an answer is typed: beside what {@link Numbers} reads, thousands in groups ({@code 3 600 000},
 * {@code 12'500}), fractions ({@code 3/2}, {@code 1 1/2}, {@code ½}), charges ({@code 2−}), and what follows from
 * numbers alone ({@code 2π}, {@code √2}, {@code 4*10^(-3)}).
 *
 * @param value the number
 * @param plain as digits with a decimal mark, without gaps; empty where it was typed as something to be worked out
 */
record AnswerNumber(double value, String plain) {

    private static final int LONGEST = 40;
    private static final String GAPS = " \u00a0\u2009\u202f'\u2019";
    private static final String MINUS = "-\u2212\u2013\u207b";
    private static final String[][] FRACTIONS = {{"½", "1/2"}, {"⅓", "1/3"}, {"⅔", "2/3"}, {"¼", "1/4"}, {"¾", "3/4"},
        {"⅕", "1/5"}, {"⅖", "2/5"}, {"⅗", "3/5"}, {"⅘", "4/5"}, {"⅙", "1/6"}, {"⅚", "5/6"}, {"⅛", "1/8"}, {"⅜", "3/8"},
        {"⅝", "5/8"}, {"⅞", "7/8"}};

    /**
     * Reads it.
     *
     * @throws IllegalArgumentException with a message for the person who typed it
     */
    static AnswerNumber read(String typed) {
        String text = typed.strip();
        String grouped = withoutGroups(text);
        String plain = withSignBefore(grouped);
        try {
            return new AnswerNumber(Numbers.read(plain), plain);
        } catch (IllegalArgumentException e) {
            double value = workedOut(grouped);
            if (Double.isNaN(value) || Double.isInfinite(value)) {
                throw e;
            }
            return new AnswerNumber(value, "");
        }
    }

    /** Whether a comma may have been meant to part thousands: {@code 250,000}. */
    boolean mayBeThousands() {
        int comma = plain.indexOf(',');
        int first = comma < 0 ? 0 : digits(plain, plain.startsWith("-") || plain.startsWith("\u2212") ? 1 : 0);
        int from = plain.startsWith("-") || plain.startsWith("\u2212") ? 1 : 0;
        return comma > 0 && plain.charAt(from) != '0' && first - from <= 3 && first == comma
                && digits(plain, comma + 1) == plain.length() && plain.length() - comma == 4;
    }

    private static int digits(String text, int from) {
        int i = from;
        while (i < text.length() && text.charAt(i) >= '0' && text.charAt(i) <= '9') {
            i++;
        }
        return i;
    }

    /** Gaps between whole groups of three digits are closed, if all are such; {@code 1 1/2} and {@code 12 50} stay. */
    private static String withoutGroups(String text) {
        int from = !text.isEmpty() && MINUS.indexOf(text.charAt(0)) >= 0 ? 1 : 0;
        int at = digits(text, from);
        if (at == from || at - from > 3) {
            return text;
        }
        StringBuilder out = new StringBuilder(text.substring(0, at));
        while (at < text.length() && GAPS.indexOf(text.charAt(at)) >= 0) {
            int end = digits(text, at + 1);
            if (end - at != 4) {
                return text;
            }
            out.append(text, at + 1, end);
            at = end;
        }
        return at < text.length() && text.charAt(at) == '/' ? text : out.append(text.substring(at)).toString();
    }

    /** A charge has its sign behind: {@code 2−}, {@code 3+}. */
    private static String withSignBefore(String text) {
        int last = text.length() - 1;
        if (last < 1 || digits(text, 0) != last) {
            return text;
        }
        char sign = text.charAt(last);
        return MINUS.indexOf(sign) >= 0 ? "-" + text.substring(0, last)
                : sign == '+' || sign == '\u207a' ? text.substring(0, last) : text;
    }

    private static double workedOut(String text) {
        if (text.length() > LONGEST) {
            return Double.NaN;
        }
        String formula = text;
        for (String[] one : FRACTIONS) {
            int at = formula.indexOf(one[0]);
            if (at >= 0) {
                String before = formula.substring(0, at).strip();
                boolean mixed = !before.isEmpty() && Character.isDigit(before.charAt(before.length() - 1));
                formula = before + (mixed ? " " : "") + one[1] + formula.substring(at + 1);
            }
        }
        int whole = digits(formula, 0);
        int over = whole > 0 && whole < formula.length() && formula.charAt(whole) == ' ' ? digits(formula, whole + 1) : whole;
        if (over > whole + 1 && over < formula.length() && formula.charAt(over) == '/'
                && digits(formula, over + 1) == formula.length()) {
            formula = formula.substring(0, whole) + "+" + formula.substring(whole + 1);
        }
        for (int i = 1; i < formula.length() - 1; i++) {
            // A gap between digits that are no thousands is a slip of the keys, no product.
            if (formula.charAt(i) == ' ' && Character.isDigit(formula.charAt(i - 1)) && Character.isDigit(formula.charAt(i + 1))) {
                return Double.NaN;
            }
        }
        try {
            return Formula.parse(formula.replace("pi", "π").replace('÷', '/'), Set.of()).value(Map.of());
        } catch (FormulaException e) {
            return Double.NaN;
        }
    }
}
