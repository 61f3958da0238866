package cauldron.core.analysis;

import cauldron.core.Tree;
import cauldron.core.quantity.Numbers;
import java.util.Arrays;
import java.util.Map;

/**
 * Statistics of a list of numbers. The mean is corrected by the mean of the deviations from it, and the
 * standard deviation by the sum of those deviations (T. F. Chan, G. H. Golub, R. J. LeVeque, The American
 * Statistician 37 (1983) 242: two passes), so that a small scatter about a large mean keeps its digits.
 * Quartiles are those of Hyndman and Fan's type 7 (The American Statistician 50 (1996) 361), which
 * spreadsheets use.
 *
 * @param sd            with n − 1; NaN for fewer than two
 * @param standardError of the mean: sd/√n
 */
public record Statistics(int count, double sum, double mean, double median, double min, double max, double lowerQuartile,
                         double upperQuartile, double sd, double standardError) {

    /** The statistics of the numbers among them; NaN is passed over. */
    public static Statistics of(double[] values) {
        double[] sorted = Arrays.stream(values).filter(v -> !Double.isNaN(v)).sorted().toArray();
        int n = sorted.length;
        if (n == 0) {
            return new Statistics(0, 0, Double.NaN, Double.NaN, Double.NaN, Double.NaN, Double.NaN, Double.NaN, Double.NaN,
                    Double.NaN);
        }
        double sum = 0;
        for (double v : sorted) {
            sum += v;
        }
        // About a value in their midst, so that sums stay as small as the scatter.
        double about = sum / n;
        double rest = 0;
        for (double v : sorted) {
            rest += v - about;
        }
        double shift = rest / n;
        double mean = about + shift;
        double squares = 0;
        for (double v : sorted) {
            double d = v - about - shift;
            squares += d * d;
        }
        double sd = n > 1 ? Math.sqrt(squares / (n - 1)) : Double.NaN;
        return new Statistics(n, sum, mean, quantile(sorted, 0.5), sorted[0], sorted[n - 1], quantile(sorted, 0.25),
                quantile(sorted, 0.75), sd, sd / Math.sqrt(n));
    }

    private static double quantile(double[] sorted, double share) {
        double place = share * (sorted.length - 1);
        int below = (int) place;
        return below + 1 == sorted.length ? sorted[below] : sorted[below] + (place - below) * (sorted[below + 1] - sorted[below]);
    }

    double named(Function f) {
        switch (f) {
            case MEAN:
                return mean;
            case SUM:
                return sum;
            case SD:
                return sd;
            case SE:
                return standardError;
            case MEDIAN:
                return median;
            case COUNT:
                return count;
            case MIN:
                return min;
            default:
                return max;
        }
    }

    /** How a statistic changes with one of the values. */
    double slope(Function f, double value, double n) {
        switch (f) {
            case MEAN:
                return 1 / n;
            case SUM:
                return 1;
            case SD:
                return sd == 0 ? 0 : (value - mean) / ((n - 1) * sd);
            case SE:
                return sd == 0 ? 0 : (value - mean) / ((n - 1) * sd * Math.sqrt(n));
            case MEDIAN:
                return value == median ? 1 : 0;
            case MIN:
                return value == min ? 1 : 0;
            case MAX:
                return value == max ? 1 : 0;
            default:
                return 0;
        }
    }

    /** As people read it, in the column's unit. */
    public Map<String, Object> toTree(String unit) {
        Map<String, Object> tree = Tree.of("count", (double) count, "unit", unit);
        String[] names = {"sum", "mean", "median", "min", "max", "range", "lowerQuartile", "upperQuartile", "sd", "standardError"};
        double[] values = {sum, mean, median, min, max, max - min, lowerQuartile, upperQuartile, sd, standardError};
        for (int i = 0; i < names.length; i++) {
            tree.put(names[i], Double.isNaN(values[i]) ? null : (Object) values[i]);
            tree.put(names[i] + "Text", Double.isNaN(values[i]) ? "–" : Numbers.print(values[i], 5));
        }
        return tree;
    }
}
