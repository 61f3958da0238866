package cauldron.core.analysis;

import cauldron.core.analysis.Evaluation.Value;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * Functions that look across the rows of a column. Rows that have no number, and rows left out, are passed
 * over: their neighbours are neighbours.
 */
final class ColumnFunctions {

    /** Makes something uncertain that no cell stands for, such as the scatter about a line. */
    interface Sources {
        /** Partials with respect to a new quantity whose standard uncertainty is given, in SI. */
        Partials of(double uncertainty);
    }

    private final int rows;
    private final boolean[] out;
    private final Sources sources;
    /** Gradient and height of a line at its middle, by what was typed: they are uncertain on their own. */
    private final Map<String, Partials[]> lines = new LinkedHashMap<>();

    /** @param sources or null, where uncertainties aren't asked for */
    ColumnFunctions(int rows, boolean[] out, Sources sources) {
        this.rows = rows;
        this.out = out;
        this.sources = sources;
    }

    /** @param typed what it works on, as text: the same line is uncertain in the same way wherever it occurs */
    Value of(Function f, List<Value> args, String typed) {
        if (f == Function.ROW) {
            double[] n = new double[rows];
            for (int i = 0; i < rows; i++) {
                n[i] = i + 1;
            }
            return new Value(n, null);
        }
        Value y = args.get(0);
        Value x = args.size() > 1 ? args.get(1) : null;
        int[] used = used(y.numbers(), x == null ? y.numbers() : x.numbers());
        switch (f) {
            case RATE:
                return rate(y, x, used);
            case AREA:
                return area(y, x, used);
            case RUNSUM:
                return runningSum(y, used);
            case PREV:
                return shifted(y, used, -1);
            case NEXT:
                return shifted(y, used, 1);
            case SLOPE:
            case INTERCEPT:
                return line(f == Function.SLOPE, y, x, used, typed);
            default:
                return statistic(f, y, used);
        }
    }

    private int[] used(double[] y, double[] x) {
        int[] list = new int[rows];
        int n = 0;
        for (int i = 0; i < rows; i++) {
            if (!out[i] && !Double.isNaN(y[i]) && !Double.isNaN(x[i])) {
                list[n++] = i;
            }
        }
        return java.util.Arrays.copyOf(list, n);
    }

    private double[] none() {
        double[] v = new double[rows];
        java.util.Arrays.fill(v, Double.NaN);
        return v;
    }

    private static Partials gathered(Value v, Partials.Weights weights) {
        return v == null || v.partials() == null ? null : v.partials().gather(weights);
    }

    private static Partials plus(Partials a, Partials b, int rows) {
        double[] one = new double[rows];
        java.util.Arrays.fill(one, 1);
        return a == null ? b : b == null ? a : a.chain(one, b, one);
    }

    /**
     * dy/dx as the slope of the parabola through a point and its neighbours, which for even spacing is the
     * central difference; at the ends the slope of the last parabola there; with two points that of the line.
     */
    private Value rate(Value y, Value x, int[] used) {
        double[] v = none();
        int n = used.length;
        double[][] weight = new double[rows][];
        int[] first = new int[rows];
        double[] bend = new double[rows];
        for (int k = 0; k < n && n > 1; k++) {
            int i = used[k];
            int from = n == 2 ? 0 : Math.max(0, Math.min(n - 3, k - 1));
            int points = Math.min(3, n);
            double[] c = new double[points];
            double at = x.numbers()[i];
            double curve = 0;
            for (int p = 0; p < points; p++) {
                double xp = x.numbers()[used[from + p]];
                double below = 1;
                double sum = 0;
                for (int q = 0; q < points; q++) {
                    if (q != p) {
                        below *= xp - x.numbers()[used[from + q]];
                        sum += at - x.numbers()[used[from + q]];
                    }
                }
                c[p] = (points == 2 ? 1 : sum) / below;
                curve += points == 2 ? 0 : 2 / below * y.numbers()[used[from + p]];
            }
            double slope = 0;
            for (int p = 0; p < points; p++) {
                slope += c[p] * y.numbers()[used[from + p]];
            }
            v[i] = slope;
            weight[i] = c;
            first[i] = from;
            bend[i] = curve;
        }
        Partials fromY = gathered(y, (i, term) -> {
            for (int p = 0; weight[i] != null && p < weight[i].length; p++) {
                term.add(used[first[i] + p], weight[i][p]);
            }
        });
        // Moving a point along x is the same as moving it against the slope of the parabola there.
        Partials fromX = gathered(x, (i, term) -> {
            for (int p = 0; weight[i] != null && p < weight[i].length; p++) {
                int j = used[first[i] + p];
                double slopeThere = v[i] + bend[i] * (x.numbers()[j] - x.numbers()[i]);
                term.add(j, -weight[i][p] * slopeThere + (j == i ? bend[i] : 0));
            }
        });
        return new Value(v, plus(fromY, fromX, rows));
    }

    /** Area under y over x from the first row on, by trapeziums. */
    private Value area(Value y, Value x, int[] used) {
        double[] v = none();
        double sum = 0;
        for (int k = 0; k < used.length; k++) {
            int i = used[k];
            if (k > 0) {
                int before = used[k - 1];
                sum += 0.5 * (y.numbers()[i] + y.numbers()[before]) * (x.numbers()[i] - x.numbers()[before]);
            }
            v[i] = sum;
        }
        int[] place = places(used);
        Partials fromY = gathered(y, (i, term) -> {
            for (int k = 0; k <= place[i]; k++) {
                double left = k > 0 ? x.numbers()[used[k]] - x.numbers()[used[k - 1]] : 0;
                double right = k < place[i] ? x.numbers()[used[k + 1]] - x.numbers()[used[k]] : 0;
                term.add(used[k], 0.5 * (left + right));
            }
        });
        Partials fromX = gathered(x, (i, term) -> {
            for (int k = 0; k <= place[i]; k++) {
                double left = k > 0 ? y.numbers()[used[k]] + y.numbers()[used[k - 1]] : 0;
                double right = k < place[i] ? y.numbers()[used[k + 1]] + y.numbers()[used[k]] : 0;
                term.add(used[k], 0.5 * (left - right));
            }
        });
        return new Value(v, plus(fromY, fromX, rows));
    }

    /** The place of each row among those used; −1 for the others. */
    private int[] places(int[] used) {
        int[] place = new int[rows];
        java.util.Arrays.fill(place, -1);
        for (int k = 0; k < used.length; k++) {
            place[used[k]] = k;
        }
        return place;
    }

    private Value runningSum(Value y, int[] used) {
        double[] v = none();
        double sum = 0;
        for (int i : used) {
            sum += y.numbers()[i];
            v[i] = sum;
        }
        int[] place = places(used);
        return new Value(v, gathered(y, (i, term) -> {
            for (int k = 0; k <= place[i]; k++) {
                term.add(used[k], 1);
            }
        }));
    }

    private Value shifted(Value y, int[] used, int by) {
        double[] v = none();
        int[] place = places(used);
        for (int k = 0; k < used.length; k++) {
            if (k + by >= 0 && k + by < used.length) {
                v[used[k]] = y.numbers()[used[k + by]];
            }
        }
        return new Value(v, gathered(y, (i, term) -> {
            int k = place[i] + by;
            if (place[i] >= 0 && k >= 0 && k < used.length) {
                term.add(used[k], 1);
            }
        }));
    }

    private Value statistic(Function f, Value y, int[] used) {
        double[] list = new double[used.length];
        for (int k = 0; k < list.length; k++) {
            list[k] = y.numbers()[used[k]];
        }
        Statistics s = Statistics.of(list);
        if (f == Function.MEDIAN) {
            return median(y, used, list, s.median());
        }
        double[] v = new double[rows];
        java.util.Arrays.fill(v, s.named(f));
        double n = list.length;
        return new Value(v, gathered(y, (i, term) -> {
            for (int k = 0; k < list.length; k++) {
                term.add(used[k], s.slope(f, list[k], n));
            }
        }));
    }

    /** The middle value, or the mean of the two in the middle: it is as uncertain as they are. */
    private Value median(Value y, int[] used, double[] list, double median) {
        double[] sorted = list.clone();
        java.util.Arrays.sort(sorted);
        int n = sorted.length;
        double[] weights = new double[n];
        for (int middle : n == 0 ? new int[0] : n % 2 == 1 ? new int[] {n / 2} : new int[] {n / 2 - 1, n / 2}) {
            int k = 0;
            while (list[k] != sorted[middle] || weights[k] > 0) {
                k++;
            }
            weights[k] += n % 2 == 1 ? 1 : 0.5;
        }
        double[] v = new double[rows];
        java.util.Arrays.fill(v, median);
        return new Value(v, gathered(y, (i, term) -> {
            for (int k = 0; k < n; k++) {
                if (weights[k] > 0) {
                    term.add(used[k], weights[k]);
                }
            }
        }));
    }

    private Value line(boolean slope, Value y, Value x, int[] used, String typed) {
        double[] a = new double[used.length];
        double[] b = new double[used.length];
        for (int k = 0; k < used.length; k++) {
            a[k] = x.numbers()[used[k]];
            b[k] = y.numbers()[used[k]];
        }
        double[] v = none();
        try {
            LineFit fit = LineFit.of(a, b);
            java.util.Arrays.fill(v, slope ? fit.slope() : fit.intercept());
            return new Value(v, sources == null || used.length < 3 ? null : scatter(slope, fit, a, b, typed));
        } catch (IllegalArgumentException e) {
            // Too few points: no line, no value.
        }
        return new Value(v, null);
    }

    /**
     * A line's uncertainty from the scatter of its points, as the fit of a line has it (N. R. Draper, H. Smith, Applied
     * Regression Analysis, §1.4): gradient and height at the mean of x are independent of each other.
     */
    private Partials scatter(boolean slope, LineFit fit, double[] x, double[] y, String typed) {
        int n = x.length;
        double mean = 0;
        for (double value : x) {
            mean += value / n;
        }
        double spread = 0;
        double rest = 0;
        for (int k = 0; k < n; k++) {
            double r = y[k] - fit.intercept() - fit.slope() * x[k];
            spread += (x[k] - mean) * (x[k] - mean);
            rest += r * r;
        }
        double s = Math.sqrt(rest / (n - 2));
        double width = Math.sqrt(spread);
        Partials[] own = lines.computeIfAbsent(typed,
                t -> new Partials[] {sources.of(s / width), sources.of(s / Math.sqrt(n))});
        if (slope) {
            return own[0];
        }
        double[] across = new double[rows];
        double[] one = new double[rows];
        java.util.Arrays.fill(across, -mean);
        java.util.Arrays.fill(one, 1);
        return own[0].chain(across, own[1], one);
    }
}
