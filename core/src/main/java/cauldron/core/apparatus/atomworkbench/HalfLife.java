package cauldron.core.apparatus.atomworkbench;

/** A half-life in the unit in which it is said. */
final class HalfLife {

    static final String[] UNITS = {"times 10⁻¹⁸ s", "µs", "ms", "s", "min", "h", "d", "years", "thousand years",
        "million years", "billion years", "times 10¹⁵ years", "times 10¹⁸ years", "times 10²¹ years"};
    private static final double YEAR = 365.25 * 86_400;
    private static final double[] SECONDS = {1e-18, 1e-6, 1e-3, 1, 60, 3600, 86_400, YEAR, 1e3 * YEAR, 1e6 * YEAR, 1e9 * YEAR,
            1e15 * YEAR, 1e18 * YEAR, 1e21 * YEAR};
    /** Up to ten thousand years, years are counted one by one. */
    private static final int THOUSANDS = 8;
    private static final double TEN_THOUSAND_YEARS = 1e4 * YEAR;

    private HalfLife() {
    }

    /** Which of {@link #UNITS} it is said in: the largest of which it has one; NaN where there is nothing to say. */
    static double unit(double seconds) {
        if (Double.isNaN(seconds) || Double.isInfinite(seconds)) {
            return Double.NaN;
        }
        int unit = 0;
        for (int i = 1; i < SECONDS.length; i++) {
            unit = seconds >= (i == THOUSANDS ? TEN_THOUSAND_YEARS : SECONDS[i]) ? i : unit;
        }
        return unit;
    }

    /** The number in that unit. */
    static double number(double seconds) {
        double unit = unit(seconds);
        return Double.isNaN(unit) ? Double.NaN : seconds / SECONDS[(int) unit];
    }
}
