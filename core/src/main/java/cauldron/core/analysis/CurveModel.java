package cauldron.core.analysis;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** A formula in named parameters over points: its values, derivatives and residuals there. */
final class CurveModel {

    /** Two units in the last place. */
    private static final double ROUNDING = 4.5e-16;

    final Formula formula;
    final List<String> names;
    /** Parameters in which it is affine together. */
    final List<String> affine;
    final double[] x;
    final double[] y;
    private final String xSymbol;
    private final double[] sigma;
    /** The matrix of a model that is affine in all its parameters, taken apart. */
    private LeastSquares whole;
    private double[] lastAt;
    private Evaluation.Value last;

    CurveModel(Formula formula, String xSymbol, List<String> names, double[] x, double[] y, double[] sigma) {
        this.formula = formula;
        this.names = names;
        this.xSymbol = xSymbol;
        this.x = x;
        this.y = y;
        this.sigma = sigma;
        affine = Affine.parameters(formula, names);
    }

    /** The best values of the affine parameters for values of the others. */
    double[] solveAffine(double[] s, boolean lenient) {
        double[] at = s.clone();
        for (String name : affine) {
            at[names.indexOf(name)] = 0;
        }
        Evaluation.Value v = evaluate(at);
        double[][] columns = new double[affine.size()][];
        double[] rest = new double[x.length];
        for (int i = 0; i < rest.length; i++) {
            rest[i] = (y[i] - v.numbers()[i]) / weight(i);
        }
        for (int k = 0; k < columns.length; k++) {
            columns[k] = weighted(slopes(v)[names.indexOf(affine.get(k))]);
        }
        refuseGaps(rest, columns);
        LeastSquares solver = new LeastSquares(columns);
        if (solver.singular && !lenient) {
            throw new IllegalArgumentException(undetermined());
        }
        whole = affine.equals(names) ? solver : null;
        double[] b = solver.singular ? new double[affine.size()] : solver.solve(rest);
        for (int k = 0; k < b.length; k++) {
            at[names.indexOf(affine.get(k))] = b[k];
        }
        return at;
    }

    String undetermined() {
        return names.size() == 1 ? "The points don't determine " + names.get(0)
                : "The points don't determine " + String.join(", ", names) + " each: several can change together and the curve"
                        + " stays the same. Take more points, or a fit with fewer parameters";
    }

    private static void refuseGaps(double[] rest, double[][] columns) {
        boolean bad = false;
        for (int i = 0; i < rest.length; i++) {
            bad |= Double.isNaN(rest[i]) || Double.isInfinite(rest[i]);
            for (double[] column : columns) {
                bad |= Double.isNaN(column[i]) || Double.isInfinite(column[i]);
            }
        }
        if (bad) {
            throw new IllegalArgumentException("This kind of curve has no value at some of the points, such as 1/x or ln x at 0."
                    + " Leave those points out, or choose another kind");
        }
    }

    double weight(int i) {
        return sigma == null ? 1 : sigma[i];
    }

    private double[] weighted(double[] v) {
        double[] out = new double[x.length];
        for (int i = 0; i < out.length; i++) {
            out[i] = v == null ? 0 : v[i] / weight(i);
        }
        return out;
    }

    /** Values and derivatives; asked for again at the same place, as several steps do, they are not worked out anew. */
    Evaluation.Value evaluate(double[] at) {
        if (last == null || !java.util.Arrays.equals(lastAt, at)) {
            last = evaluateAnew(at);
            lastAt = at.clone();
        }
        return last;
    }

    private Evaluation.Value evaluateAnew(double[] at) {
        Map<String, Evaluation.Value> columns = new LinkedHashMap<>();
        columns.put(xSymbol, new Evaluation.Value(x, null));
        for (int k = 0; k < names.size(); k++) {
            columns.put(names.get(k), new Evaluation.Value(Evaluation.filled(x.length, at[k]), DensePartials.unit(k, names.size(), x.length)));
        }
        return new Evaluation(columns, x.length, new boolean[x.length]).of(formula);
    }

    static double[][] slopes(Evaluation.Value v) {
        return ((DensePartials) v.partials()).of();
    }

    double cost(double[] at) {
        double[] f = evaluate(at).numbers();
        double sum = 0;
        for (int i = 0; i < f.length; i++) {
            double r = (y[i] - f[i]) / weight(i);
            sum += r * r;
        }
        return Double.isNaN(sum) ? Double.POSITIVE_INFINITY : sum;
    }

    /** The derivatives, with a row for each parameter below that holds it back. */
    double[][] damped(double[] at, double damping, double[] longest) {
        double[][] slopes = slopes(evaluate(at));
        double[][] columns = new double[names.size()][];
        for (int k = 0; k < columns.length; k++) {
            double[] column = weighted(slopes[k]);
            double sum = 0;
            for (double v : column) {
                sum += v * v;
            }
            longest[k] = Math.max(longest[k], Math.sqrt(sum));
            columns[k] = java.util.Arrays.copyOf(column, x.length + columns.length);
            columns[k][x.length + k] = Math.sqrt(damping) * (longest[k] == 0 ? 1 : longest[k]);
        }
        refuseGaps(new double[x.length], columns);
        return columns;
    }

    LeastSquares solverAt(double[] at) {
        if (whole != null && !whole.singular) {
            // An affine model has the same derivatives everywhere.
            return whole;
        }
        double[][] slopes = slopes(evaluate(at));
        double[][] columns = new double[names.size()][];
        for (int k = 0; k < columns.length; k++) {
            columns[k] = weighted(slopes[k]);
        }
        refuseGaps(residuals(at), columns);
        LeastSquares solver = new LeastSquares(columns);
        if (solver.singular) {
            throw new IllegalArgumentException(undetermined());
        }
        return solver;
    }

    /**
     * The largest share by which a step changes a parameter. A parameter near nought is held against what it
     * would take to move the curve by a hundredth of its height.
     */
    double largestEffect(double[] step, double[] at) {
        double[][] slopes = slopes(evaluate(at));
        double height = length(weighted(y));
        double largest = 0;
        for (int k = 0; k < step.length; k++) {
            double size = Math.abs(at[k]) + 0.01 * height / (length(weighted(slopes[k])) + 1e-300);
            largest = Math.max(largest, Math.abs(step[k]) / size);
        }
        return largest;
    }

    private static double length(double[] v) {
        double sum = 0;
        for (double x : v) {
            sum += x * x;
        }
        return Math.sqrt(sum);
    }

    double[] residuals(double[] at) {
        double[] f = evaluate(at).numbers();
        double[] r = new double[f.length];
        for (int i = 0; i < r.length; i++) {
            r[i] = (y[i] - f[i]) / weight(i);
        }
        return r;
    }

    /** A residual; 0 where it is no more than the rounding of the sum it comes from. */
    double beyondRounding(double residual, int i, double[] at, double[][] slopes) {
        double size = Math.abs(y[i]);
        for (int k = 0; k < at.length; k++) {
            size += slopes[k] == null ? 0 : Math.abs(at[k] * slopes[k][i]);
        }
        return Math.abs(residual) <= ROUNDING * size ? 0 : residual;
    }

    /** Whether some parameter moves the whole curve up and down, or the model is curved in its parameters. */
    boolean hasConstant(double[] at) {
        if (affine.size() < names.size()) {
            return true;
        }
        for (double[] slope : slopes(evaluate(at))) {
            boolean flat = slope != null;
            for (int i = 1; flat && i < slope.length; i++) {
                flat = slope[i] == slope[0];
            }
            if (flat) {
                return true;
            }
        }
        return false;
    }
}
