package cauldron.core.analysis;

import java.util.Arrays;
import java.util.List;

/**
 * What a formula can call. Row by row: roots, absolute value, logarithms, exponentials, trigonometry (a pure
 * number is an angle in radians; columns in degrees are converted before), minimum and maximum. Across the
 * rows of a column: statistics, rate of change, running sum, area so far, the row before and after.
 */
enum Function {
    SQRT("sqrt", 1, 1, false), CBRT("cbrt", 1, 1, false), ABS("abs", 1, 1, false), LN("ln", 1, 1, false),
    LOG("log lg", 1, 1, false), EXP("exp", 1, 1, false), SIN("sin", 1, 1, false), COS("cos", 1, 1, false),
    TAN("tan", 1, 1, false), ASIN("arcsin asin", 1, 1, false), ACOS("arccos acos", 1, 1, false),
    ATAN("arctan atan", 1, 1, false),
    MIN("min", 1, 9, false), MAX("max", 1, 9, false),
    MEAN("mean", 1, 1, true), SUM("sum", 1, 1, true), SD("sd", 1, 1, true), SE("se", 1, 1, true), MEDIAN("median", 1, 1, true),
    COUNT("count", 1, 1, true), SLOPE("slope", 2, 2, true), INTERCEPT("intercept", 2, 2, true),
    RATE("rate", 2, 2, true), RUNSUM("runsum", 1, 1, true), AREA("area", 2, 2, true),
    PREV("prev", 1, 1, true), NEXT("next", 1, 1, true), ROW("row", 0, 0, true);

    /** The ways it can be typed. */
    private final List<String> typed;
    final int fewest;
    final int most;
    /** Whether a row's value needs other rows. */
    final boolean across;

    Function(String typed, int fewest, int most, boolean across) {
        this.typed = List.of(typed.split(" "));
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
