package cauldron.core.analysis;

import java.util.Arrays;
import java.util.List;

/**
 * What a formula can call. Row by row: roots, absolute value, logarithms, exponentials, trigonometry (a pure
 * number is an angle in radians; columns in degrees are converted before), minimum and maximum. ColumnFunctions the
 * rows of a column: statistics, rate of change, running sum, area so far, the row before and after.
 */
enum Function {
    SQRT(1, 1, false, "sqrt"), CBRT(1, 1, false, "cbrt"), ABS(1, 1, false, "abs"), LN(1, 1, false, "ln"),
    LOG(1, 1, false, "log", "lg"), EXP(1, 1, false, "exp"), SIN(1, 1, false, "sin"), COS(1, 1, false, "cos"),
    TAN(1, 1, false, "tan"), ASIN(1, 1, false, "arcsin", "asin"), ACOS(1, 1, false, "arccos", "acos"),
    ATAN(1, 1, false, "arctan", "atan"),
    MIN(1, 9, false, "min"), MAX(1, 9, false, "max"),
    MEAN(1, 1, true, "mean"), SUM(1, 1, true, "sum"), SD(1, 1, true, "sd"), SE(1, 1, true, "se"), MEDIAN(1, 1, true, "median"),
    COUNT(1, 1, true, "count"), SLOPE(2, 2, true, "slope"), INTERCEPT(2, 2, true, "intercept"),
    RATE(2, 2, true, "rate"), RUNSUM(1, 1, true, "runsum"), AREA(2, 2, true, "area"),
    PREV(1, 1, true, "prev"), NEXT(1, 1, true, "next"), ROW(0, 0, true, "row");

    /** The ways it can be typed. */
    private final List<String> typed;
    final int fewest;
    final int most;
    /** Whether a row's value needs other rows. */
    final boolean across;

    Function(int fewest, int most, boolean across, String... typed) {
        this.typed = List.of(typed);
        this.fewest = fewest;
        this.most = most;
        this.across = across;
    }

    /** The function of that name, or null. */
    static Function named(String name) {
        for (Function f : values()) {
            if (f.typed.contains(name)) {
                return f;
            }
        }
        return null;
    }

    /** Whether it works on whole columns here: min and max do with a single argument. */
    boolean across(int args) {
        return across || (this == MIN || this == MAX) && args == 1;
    }

    /** All names, longest first, so that arcsin isn't taken for something shorter. */
    static final String[] NAMES = Arrays.stream(values()).flatMap(f -> f.typed.stream())
            .sorted((a, b) -> b.length() - a.length()).toArray(String[]::new);
}
