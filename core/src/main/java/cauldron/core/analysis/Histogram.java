package cauldron.core.analysis;

/** How many values lie in each of a row of equal bins. A value on a border belongs to the bin above it. */
public final class Histogram {

    /** More bins than these tell nothing. */
    static final int MOST_BINS = 500;
    static final int PLACES = 121;

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

    /** Heights of the normal curve that a histogram would follow; none where there is no scatter. */
    static double[] normal(Statistics s, double start, double width, int bins) {
        if (!(s.sd() > 0)) {
            return new double[0];
        }
        double[] heights = new double[PLACES];
        for (int i = 0; i < PLACES; i++) {
            double z = (start + width * bins * i / (PLACES - 1) - s.mean()) / s.sd();
            heights[i] = s.count() * width / (s.sd() * Math.sqrt(2 * Math.PI)) * Math.exp(-0.5 * z * z);
        }
        return heights;
    }

    /** A round width of bins for a list of values. */
    public static double niceWidth(Statistics s) {
        double iqr = s.upperQuartile() - s.lowerQuartile();
        double raw = 2 * (iqr > 0 ? iqr : s.max() - s.min()) / Math.cbrt(s.count());
        if (!(raw > 0)) {
            return s.max() == 0 ? 1 : Math.abs(s.max()) / 10;
        }
        double ten = Math.pow(10, Math.floor(Math.log10(raw)));
        double lead = raw / ten;
        return ten * (lead < 1.5 ? 1 : lead < 3.5 ? 2 : lead < 7.5 ? 5 : 10);
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
