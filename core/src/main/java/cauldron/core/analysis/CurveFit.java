package cauldron.core.analysis;

import cauldron.core.Chance;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.hipparchus.exception.MathRuntimeException;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.RealVector;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LeastSquaresBuilder;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LeastSquaresProblem;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LevenbergMarquardtOptimizer;
import org.hipparchus.util.Pair;

/**
 * Fits a formula in named parameters to points by least squares.
 *
 * <p>Parameters in which the formula is affine are solved for directly. For the others several starts are
 * tried, the affine ones always being the best for the rest (G. H. Golub, V. Pereyra, SIAM J. Numer. Anal. 10
 * (1973) 413); each goes on by Levenberg and Marquardt's method with exact derivatives, then by Gauss and
 * Newton's until it stands. A fit counts only where it has come to rest and every parameter is determined;
 * of those the one with the least sum of squares is taken. Standard uncertainties come from the scatter with
 * n − p degrees of freedom, or, where points have uncertainties, from these.
 */
public final class CurveFit {

    private static final int TRIED = 300;
    private static final int FOLLOWED = 14;
    private static final int MOST_STEPS = 4000;
    /** Stands for a model that has no number somewhere. */
    private static final double FAR = 1e60;
    private static final double AT_REST = 1e-11;

    /**
     * What was found.
     *
     * @param uncertainties standard uncertainties; NaN where no point is left over
     * @param rms           root mean square of the residuals
     * @param rSquared      about the mean, or about zero where the model can't be moved up and down
     */
    public record Result(List<String> names, double[] values, double[] uncertainties, int points, double sumOfSquares,
                         double rms, double rSquared, boolean centred, double[] fitted) {

        /** Degrees of freedom. */
        public int freedom() {
            return points - names.size();
        }
    }

    private final Formula model;
    private final List<String> names;
    private final List<String> affine;
    private final String xSymbol;
    private final double[] x;
    private final double[] y;
    private final double[] sigma;

    /**
     * @param model   over {@code xSymbol} and the parameters
     * @param x       numbers, as many as y, all finite
     * @param sigma   standard uncertainties of y, all above 0; null: all points count alike
     * @throws IllegalArgumentException where there are too few points
     */
    public CurveFit(Formula model, String xSymbol, List<String> names, double[] x, double[] y, double[] sigma) {
        this.model = model;
        this.names = names;
        this.xSymbol = xSymbol;
        this.x = x;
        this.y = y;
        this.sigma = sigma;
        affine = Affine.parameters(model, names);
        Set<String> used = model.symbols();
        for (String name : names) {
            if (!used.contains(name)) {
                throw new IllegalArgumentException("The formula doesn't use " + name);
            }
        }
        if (x.length < names.size()) {
            throw new IllegalArgumentException("This fit has " + names.size() + (names.size() == 1 ? " parameter" : " parameters")
                    + ", so it needs at least as many points. There " + (x.length == 1 ? "is 1" : "are " + x.length));
        }
    }

    /**
     * Fits.
     *
     * @param start starting values by name; those that are missing are searched for
     * @throws IllegalArgumentException with the reason why there is no fit
     */
    public Result fit(Map<String, Double> start) {
        if (affine.size() == names.size()) {
            return finished(solveAffine(new double[names.size()], false));
        }
        List<double[]> starts = starts(start);
        List<double[]> ranked = new ArrayList<>();
        Map<double[], Double> cost = new java.util.IdentityHashMap<>();
        for (double[] s : starts) {
            double c = cost(s);
            if (c < Double.POSITIVE_INFINITY) {
                cost.put(s, c);
                ranked.add(s);
            }
        }
        // What was asked for comes first; of the others the promising ones.
        double[] given = starts.get(0);
        ranked.sort(Comparator.comparingDouble((double[] s) -> s == given ? -1 : cost.get(s)));
        Map<double[], Double> ends = new LinkedHashMap<>();
        String reason = "No curve of this kind passes near the points";
        int followed = 0;
        for (double[] s : ranked) {
            if (followed++ == FOLLOWED) {
                break;
            }
            try {
                double[] end = follow(s);
                ends.put(end, cost(end));
            } catch (IllegalArgumentException e) {
                reason = e.getMessage();
            }
        }
        if (ends.isEmpty()) {
            throw new IllegalArgumentException(reason);
        }
        return finished(chosen(ends, given));
    }

    /**
     * The best of the ends; of equally good ones, as when two terms have changed their places, the one most like
     * the given start.
     */
    private double[] chosen(Map<double[], Double> ends, double[] given) {
        double least = java.util.Collections.min(ends.values());
        double size = 0;
        for (int i = 0; i < y.length; i++) {
            size += y[i] / weight(i) * (y[i] / weight(i));
        }
        double alike = least * (1 + 1e-8) + 1e-22 * size;
        double[] nearest = ends.keySet().stream().filter(end -> ends.get(end) <= alike)
                .min(Comparator.comparingDouble(end -> unlike(end, given))).orElseThrow();
        // Several searches end there; one of them the deepest.
        return ends.keySet().stream().filter(end -> unlike(end, nearest) < 1e-6)
                .min(Comparator.comparingDouble(ends::get)).orElseThrow();
    }

    private double unlike(double[] a, double[] b) {
        double sum = 0;
        for (int k = 0; k < a.length; k++) {
            double ratio = Math.log((Math.abs(a[k]) + 1e-30) / (Math.abs(b[k]) + 1e-30));
            // The affine ones follow from the others.
            sum += (affine.contains(names.get(k)) ? 0.01 : 1) * (ratio * ratio + (a[k] * b[k] < 0 ? 10 : 0));
        }
        return sum;
    }

    // --- starts ----------------------------------------------------------------------------------

    private List<double[]> starts(Map<String, Double> given) {
        int p = names.size();
        List<double[]> list = new ArrayList<>();
        double[] first = new double[p];
        boolean all = true;
        for (int k = 0; k < p; k++) {
            Double g = given.get(names.get(k));
            all &= g != null;
            first[k] = g == null ? 1 : g;
        }
        list.add(first);
        list.add(solved(first));
        Chance chance = new Chance(1);
        double wide = 0;
        for (double v : x) {
            wide = Math.max(wide, Math.abs(v));
        }
        double middle = wide == 0 ? 1 : wide;
        for (int t = 0; t < TRIED; t++) {
            double[] s = new double[p];
            for (int k = 0; k < p; k++) {
                Double g = given.get(names.get(k));
                if (g != null && g != 0) {
                    // Near what was given at first, then farther.
                    s[k] = g * Math.pow(10, (t < TRIED / 2 ? 0.5 : 1.5) * chance.between(-1, 1));
                } else {
                    // Scales of x, its inverse, and of one.
                    double scale = new double[] {1, middle, 1 / middle}[(int) chance.between(0, 2.999)];
                    s[k] = scale * Math.pow(10, chance.between(-1.5, 1)) * (chance.between(0, 1) < 0.3 ? -1 : 1);
                }
            }
            list.add(solved(s));
        }
        return list;
    }

    private double[] solved(double[] s) {
        try {
            return affine.isEmpty() ? s : solveAffine(s, true);
        } catch (IllegalArgumentException e) {
            return s;
        }
    }

    /** The best values of the affine parameters for values of the others. */
    private double[] solveAffine(double[] s, boolean lenient) {
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
        double[] b = solver.singular ? new double[affine.size()] : solver.solve(rest);
        for (int k = 0; k < b.length; k++) {
            at[names.indexOf(affine.get(k))] = b[k];
        }
        return at;
    }

    private String undetermined() {
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

    // --- model -----------------------------------------------------------------------------------

    private double weight(int i) {
        return sigma == null ? 1 : sigma[i];
    }

    private double[] weighted(double[] v) {
        double[] out = new double[x.length];
        for (int i = 0; i < out.length; i++) {
            out[i] = v == null ? 0 : v[i] / weight(i);
        }
        return out;
    }

    private Evaluation.Value evaluate(double[] at) {
        Map<String, Evaluation.Value> columns = new LinkedHashMap<>();
        columns.put(xSymbol, new Evaluation.Value(x, null));
        for (int k = 0; k < names.size(); k++) {
            double[] filled = new double[x.length];
            java.util.Arrays.fill(filled, at[k]);
            columns.put(names.get(k), new Evaluation.Value(filled, DensePartials.unit(k, names.size(), x.length)));
        }
        return new Evaluation(columns, x.length, new boolean[x.length]).of(model);
    }

    private static double[][] slopes(Evaluation.Value v) {
        return ((DensePartials) v.partials()).of();
    }

    private double cost(double[] at) {
        double[] f = evaluate(at).numbers();
        double sum = 0;
        for (int i = 0; i < f.length; i++) {
            double r = (y[i] - f[i]) / weight(i);
            sum += r * r;
        }
        return Double.isNaN(sum) ? Double.POSITIVE_INFINITY : sum;
    }

    // --- search ----------------------------------------------------------------------------------

    private double[] follow(double[] from) {
        double[] at = from;
        try {
            LeastSquaresProblem problem = new LeastSquaresBuilder().start(at).target(weighted(y))
                    .model(point -> modelAt(point.toArray())).lazyEvaluation(false)
                    .maxEvaluations(MOST_STEPS).maxIterations(MOST_STEPS).build();
            at = new LevenbergMarquardtOptimizer().withCostRelativeTolerance(1e-14).withParameterRelativeTolerance(1e-12)
                    .withOrthoTolerance(1e-14).withInitialStepBoundFactor(10).optimize(problem).getPoint().toArray();
        } catch (MathRuntimeException e) {
            // It stands still or goes astray: what follows judges where it is.
        }
        return rest(at);
    }

    private Pair<RealVector, org.hipparchus.linear.RealMatrix> modelAt(double[] at) {
        Evaluation.Value v = evaluate(at);
        double[] f = weighted(v.numbers());
        double[][] slopes = slopes(v);
        double[][] jacobian = new double[f.length][names.size()];
        for (int i = 0; i < f.length; i++) {
            boolean bad = !(Math.abs(f[i]) < FAR);
            f[i] = bad ? FAR : f[i];
            for (int k = 0; k < names.size(); k++) {
                double d = slopes[k] == null || bad ? 0 : slopes[k][i] / weight(i);
                jacobian[i][k] = Math.abs(d) < FAR ? d : 0;
            }
        }
        return new Pair<>(new ArrayRealVector(f, false), new Array2DRowRealMatrix(jacobian, false));
    }

    /** Goes on by Gauss and Newton's method, with shorter steps where a whole one is too far, until it rests. */
    private double[] rest(double[] from) {
        double[] at = from;
        double c = cost(at);
        for (int step = 0; step < 200; step++) {
            LeastSquares solver = solverAt(at);
            double[] d = solver.solve(residuals(at));
            double largest = 0;
            for (int k = 0; k < d.length; k++) {
                largest = Math.max(largest, Math.abs(d[k]) / (Math.abs(at[k]) + 1e-300));
            }
            double share = 1;
            double[] next = moved(at, d, share);
            double nextCost = cost(next);
            while (nextCost > c && share > 1e-4) {
                share /= 2;
                next = moved(at, d, share);
                nextCost = cost(next);
            }
            boolean better = nextCost <= c;
            if (largest < AT_REST) {
                return better ? next : at;
            }
            if (!better) {
                // At the floor of what doubles can tell, steps no longer make it better.
                if (insignificant(d, solver, c)) {
                    return at;
                }
                break;
            }
            at = next;
            c = nextCost;
        }
        throw new IllegalArgumentException("No fit was found: the search does not come to rest. Give starting values nearer to"
                + " what you expect, or choose another kind of curve");
    }

    private boolean insignificant(double[] step, LeastSquares solver, double cost) {
        double[] spread = solver.spreads();
        double s = Math.sqrt(cost / Math.max(1, x.length - names.size()));
        for (int k = 0; k < step.length; k++) {
            if (Math.abs(step[k]) > 1e-5 * s * spread[k]) {
                return false;
            }
        }
        return true;
    }

    private LeastSquares solverAt(double[] at) {
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

    private double[] residuals(double[] at) {
        double[] f = evaluate(at).numbers();
        double[] r = new double[f.length];
        for (int i = 0; i < r.length; i++) {
            r[i] = (y[i] - f[i]) / weight(i);
        }
        return r;
    }

    private static double[] moved(double[] at, double[] d, double share) {
        double[] out = new double[at.length];
        for (int k = 0; k < out.length; k++) {
            out[k] = at[k] + share * d[k];
        }
        return out;
    }

    private Result finished(double[] at) {
        LeastSquares solver = solverAt(at);
        double[] fitted = evaluate(at).numbers();
        double[][] slopes = slopes(evaluate(at));
        int n = x.length;
        int freedom = n - names.size();
        double squares = 0;
        double weightedSquares = 0;
        double sum = 0;
        double weights = 0;
        for (int i = 0; i < n; i++) {
            double r = beyondRounding(y[i] - fitted[i], i, at, slopes);
            squares += r * r;
            weightedSquares += r / weight(i) * (r / weight(i));
            sum += y[i] / (weight(i) * weight(i));
            weights += 1 / (weight(i) * weight(i));
        }
        double scatter = sigma != null ? 1 : freedom > 0 ? Math.sqrt(weightedSquares / freedom) : Double.NaN;
        double[] u = solver.spreads();
        for (int k = 0; k < u.length; k++) {
            u[k] *= scatter;
        }
        boolean centred = hasConstant(at);
        double total = 0;
        for (int i = 0; i < n; i++) {
            double d = (y[i] - (centred ? sum / weights : 0)) / weight(i);
            total += d * d;
        }
        return new Result(names, at, u, n, squares, Math.sqrt(squares / n), total == 0 ? 1 : 1 - weightedSquares / total, centred,
                fitted);
    }

    /** A residual; 0 where it is no more than the rounding of the sum it comes from. */
    private double beyondRounding(double residual, int i, double[] at, double[][] slopes) {
        double size = Math.abs(y[i]);
        for (int k = 0; k < at.length; k++) {
            size += slopes[k] == null ? 0 : Math.abs(at[k] * slopes[k][i]);
        }
        return Math.abs(residual) <= 2 * Math.ulp(size) ? 0 : residual;
    }

    /** Whether some parameter moves the whole curve up and down, or the model is curved in its parameters. */
    private boolean hasConstant(double[] at) {
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

    /** Values of the fitted curve elsewhere. */
    public static double[] curve(Formula model, String xSymbol, Result result, double[] at) {
        Map<String, Evaluation.Value> columns = new LinkedHashMap<>();
        columns.put(xSymbol, new Evaluation.Value(at, null));
        for (int k = 0; k < result.names().size(); k++) {
            double[] filled = new double[at.length];
            java.util.Arrays.fill(filled, result.values()[k]);
            columns.put(result.names().get(k), new Evaluation.Value(filled, null));
        }
        return new Evaluation(columns, at.length, new boolean[at.length]).of(model).numbers();
    }

    /** Reads a model over a column's symbol and parameters: what stands to the right of an equals sign counts. */
    public static Formula read(String model, String xSymbol, List<String> names) {
        Set<String> symbols = new LinkedHashSet<>(names);
        symbols.add(xSymbol);
        int equals = model.indexOf('=');
        return Formula.parse(model.substring(equals + 1), symbols);
    }
}
