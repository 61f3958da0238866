package cauldron.core.analysis;

/** How many values lie in each of a row of equal bins. A value on a border belongs to the bin above it. */
public final class Histogram {

    private Histogram() {
    }

    /**
     * Counts values into bins.
     *
     * @param n     how many of the values count
     * @param start where the first bin begins
     * @param width width of each bin, above 0
     * @param into  filled with the counts; values outside all bins are left out
     */
    public static void count(double[] values, int n, double start, double width, double[] into) {
        java.util.Arrays.fill(into, 0);
        for (int i = 0; i < n; i++) {
            double bin = Math.floor((values[i] - start) / width);
            if (bin >= 0 && bin < into.length) {
                into[(int) bin]++;
            }
        }
    }

    /** The share of values above a limit, from 0 to 1; NaN if there are none. */
    public static double shareAbove(double[] values, int n, double limit) {
        int above = 0;
        for (int i = 0; i < n; i++) {
            above += values[i] > limit ? 1 : 0;
        }
        return n == 0 ? Double.NaN : (double) above / n;
    }
}
