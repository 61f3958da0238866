package cauldron.core.analysis;

import cauldron.core.RandomSource;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * Fits a formula in named parameters to points by least squares.
 *
 * <p>Parameters in which the formula is affine are solved for directly. For the others several starts are
 * tried, the affine ones always being the best for the rest (G. H. Golub, V. Pereyra, SIAM J. Numer. Anal. 10
 * (1973) 413); each goes on by Levenberg and Marquardt's method with exact derivatives, then by Gauss and
 * Newton's until it stands. A fit counts only where it has come to rest and every parameter is determined;
 * of those the one with the least sum of squares is taken. Standard uncertainties come from the scatter with
 * n − p degrees of freedom, or, where points have uncertainties, from these.
 *
 * <p>No search among many hollows is exhaustive: where few of the starts led to the best end, the result says that a
 * better curve may exist; and where the parameters can hardly be told apart, how many figures that costs.
 */
public final class CurveFit {

    /** How many starts are looked at, and how many of the best are followed, for each thousand points. */
    private static final int TRIED = 300;
    private static final int FOLLOWED = 14;
    private static final int FEW = 4;
    private static final int MOST_HOLLOWS = 2;
    /** Where fewer than one search in so many ends in the best place, it may not be the best. */
    private static final int CERTAIN = 4;
    private static final int MANY = 4;
    /** From here on a fit in doubles loses so many figures that it must be said. */
    private static final double ENTANGLED = 1e4;
    private static final int MOST_STEPS = 2000;
    private static final double AT_REST = 1e-11;
    private static final double AT_FLOOR = 1e-8;

    /**
     * What was found.
     *
     * @param uncertainties standard uncertainties; NaN where no point is left over
     * @param covariances   their squares, and how the parameters hang together
     * @param rms           root mean square of the residuals
     * @param rSquared      about the mean, or about zero where the model can't be moved up and down
     * @param note          what should be known of it, in words; empty where nothing is
     */
    public record Result(List<String> names, double[] values, double[] uncertainties, double[][] covariances, int points,
                         double sumOfSquares, double rms, double rSquared, boolean centred, double[] fitted,
                         String note) {

        /** Degrees of freedom. */
        public int freedom() {
            return points - names.size();
        }
    }

    private final CurveModel model;
    private final List<String> names;
    private final double[] x;
    private final boolean weighted;

    /**
     * @param model   over {@code xSymbol} and the parameters
     * @param x       numbers, as many as y, all finite
     * @param sigma   standard uncertainties of y, all above 0; null: all points count alike
     * @throws IllegalArgumentException where there are too few points
     */
    public CurveFit(Formula model, String xSymbol, List<String> names, double[] x, double[] y, double[] sigma) {
        this.model = new CurveModel(model, xSymbol, names, x, y, sigma);
        this.names = names;
        this.x = x;
        weighted = sigma != null;
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
     * @param trusted whether the start is known to be near, so that few others need be tried
     * @throws IllegalArgumentException with the reason why there is no fit
     */
    public Result fit(Map<String, Double> start, boolean trusted) {
        if (model.affine.size() == names.size()) {
            return finished(model.solveAffine(new double[names.size()], false), "");
        }
        int share = 1 + x.length / 1000;
        // With every parameter that has to be searched for the hollows grow more.
        int hollows = Math.min(MOST_HOLLOWS, Math.max(1, names.size() - model.affine.size() - 1));
        int follow = trusted ? FEW * hollows : Math.max(FEW, FOLLOWED * hollows / share);
        List<double[]> starts = starts(start, (trusted ? FOLLOWED : TRIED) * hollows / share);
        List<double[]> ranked = new ArrayList<>();
        Map<double[], Double> cost = new java.util.IdentityHashMap<>();
        for (double[] s : starts) {
            double c = model.cost(s);
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
            if (followed++ == follow) {
                break;
            }
            try {
                double[] end = follow(s);
                ends.put(end, model.cost(end));
            } catch (IllegalArgumentException e) {
                reason = e.getMessage();
            }
        }
        if (ends.isEmpty()) {
            throw new IllegalArgumentException(reason);
        }
        return finished(chosen(ends, given), trusted || names.size() - model.affine.size() < 2 ? ""
                : doubt(ends, start.isEmpty() && names.size() - model.affine.size() >= MANY));
    }

    /**
     * Says so where the best end was met by few of the searches, or where so many parameters were searched for without a
     * hint that most of the room was never looked at.
     */
    private static String doubt(Map<double[], Double> ends, boolean many) {
        double least = java.util.Collections.min(ends.values());
        long best = ends.values().stream().filter(c -> c <= least * (1 + 1e-6) + 1e-300).count();
        return !many && CERTAIN * best >= ends.size() && ends.size() > 1 || least == 0 ? "" : "A better curve may exist: of " + ends.size()
                + (ends.size() == 1 ? " search that came to an end " : " searches ") + best
                + " ended here. Give starting values near what you expect";
    }

    /**
     * The best of the ends; of equally good ones, as when two terms have changed their places, the one most like
     * the given start.
     */
    private double[] chosen(Map<double[], Double> ends, double[] given) {
        double least = java.util.Collections.min(ends.values());
        double size = 0;
        for (int i = 0; i < model.y.length; i++) {
            size += model.y[i] / model.weight(i) * (model.y[i] / model.weight(i));
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
            sum += (model.affine.contains(names.get(k)) ? 0.01 : 1) * (ratio * ratio + (a[k] * b[k] < 0 ? 10 : 0));
        }
        return sum;
    }

    private List<double[]> starts(Map<String, Double> given, int tried) {
        int p = names.size();
        List<double[]> list = new ArrayList<>();
        double[] first = new double[p];
        for (int k = 0; k < p; k++) {
            Double g = given.get(names.get(k));
            first[k] = g == null ? 1 : g;
        }
        list.add(first);
        list.add(solved(first));
        RandomSource chance = new RandomSource(1);
        double wide = 0;
        for (double v : x) {
            wide = Math.max(wide, Math.abs(v));
        }
        double middle = wide == 0 ? 1 : wide;
        for (int t = 0; t < tried; t++) {
            double[] s = new double[p];
            for (int k = 0; k < p; k++) {
                Double g = given.get(names.get(k));
                if (g != null && g != 0) {
                    // Near what was given at first, then farther.
                    s[k] = g * Math.pow(10, (t < tried / 2 ? 0.5 : 1.5) * chance.between(-1, 1));
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
            return model.affine.isEmpty() ? s : model.solveAffine(s, true);
        } catch (IllegalArgumentException e) {
            return s;
        }
    }

    /**
     * Levenberg and Marquardt's method, each parameter scaled by its longest column so far, the damping led as
     * H. B. Nielsen does (Technical University of Denmark, IMM-REP-1999-05); then to rest.
     */
    private double[] follow(double[] from) {
        double[] at = from;
        double c = model.cost(at);
        double[] longest = new double[names.size()];
        double damping = 1e-3;
        double growth = 2;
        for (int step = 0; step < MOST_STEPS && damping < 1e20; step++) {
            double[][] columns = model.damped(at, damping, longest);
            double[] target = java.util.Arrays.copyOf(model.residuals(at), x.length + names.size());
            LeastSquares solver = new LeastSquares(columns);
            double[] d = solver.solve(target);
            double[] next = moved(at, d, 1);
            double nextCost = model.cost(next);
            double expected = c;
            for (int i = 0; i < target.length; i++) {
                double left = target[i];
                for (int k = 0; k < d.length; k++) {
                    left -= columns[k][i] * d[k];
                }
                expected -= left * left;
            }
            double gain = expected > 0 ? (c - nextCost) / expected : -1;
            if (gain > 0) {
                boolean still = c - nextCost <= 1e-15 * c || largestShare(d, at) < 1e-12;
                at = next;
                c = nextCost;
                damping *= Math.max(1.0 / 3, 1 - Math.pow(2 * gain - 1, 3));
                growth = 2;
                if (still) {
                    break;
                }
            } else {
                if (largestShare(d, at) < 1e-15) {
                    break;
                }
                damping *= growth;
                growth *= 2;
            }
        }
        return rest(at);
    }

    private static double largestShare(double[] d, double[] at) {
        double largest = 0;
        for (int k = 0; k < d.length; k++) {
            largest = Math.max(largest, Math.abs(d[k]) / (Math.abs(at[k]) + 1e-300));
        }
        return largest;
    }

    /** Goes on by Gauss and Newton's method, with shorter steps where a whole one is too far, until it rests. */
    private double[] rest(double[] from) {
        double[] at = from;
        double c = model.cost(at);
        for (int step = 0; step < 200; step++) {
            LeastSquares solver = model.solverAt(at);
            double[] d = solver.solve(model.residuals(at));
            double largest = model.largestEffect(d, at);
            double share = 1;
            double[] next = moved(at, d, share);
            double nextCost = model.cost(next);
            while (nextCost > c && share > 1e-4) {
                share /= 2;
                next = moved(at, d, share);
                nextCost = model.cost(next);
            }
            boolean better = nextCost <= c;
            if (largest < AT_REST) {
                return better ? next : at;
            }
            if (!better) {
                // At the floor of what doubles can tell, steps no longer make it better.
                if (largest < AT_FLOOR || insignificant(d, solver, c)) {
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

    private static double[] moved(double[] at, double[] d, double share) {
        double[] out = new double[at.length];
        for (int k = 0; k < out.length; k++) {
            out[k] = at[k] + share * d[k];
        }
        return out;
    }

    /** How far parameters are entangled: the loss of figures is about its logarithm. */
    private static double entangled(double[][] slopes, double[] spreads, CurveModel model) {
        double most = 1;
        for (int k = 0; k < spreads.length; k++) {
            double square = 0;
            for (int i = 0; slopes[k] != null && i < slopes[k].length; i++) {
                double s = slopes[k][i] / model.weight(i);
                square += s * s;
            }
            most = Math.max(most, spreads[k] * Math.sqrt(square));
        }
        return most;
    }

    private Result finished(double[] at, String doubt) {
        LeastSquares solver = model.solverAt(at);
        double[] fitted = model.evaluate(at).numbers();
        double[][] slopes = CurveModel.slopes(model.evaluate(at));
        int n = x.length;
        int freedom = n - names.size();
        double squares = 0;
        double weightedSquares = 0;
        double sum = 0;
        double weights = 0;
        for (int i = 0; i < n; i++) {
            double r = model.beyondRounding(model.y[i] - fitted[i], i, at, slopes);
            squares += r * r;
            weightedSquares += r / model.weight(i) * (r / model.weight(i));
            sum += model.y[i] / (model.weight(i) * model.weight(i));
            weights += 1 / (model.weight(i) * model.weight(i));
        }
        double scatter = weighted ? 1 : freedom > 0 ? Math.sqrt(weightedSquares / freedom) : Double.NaN;
        double[] u = solver.spreads();
        double entangled = entangled(slopes, u, model);
        String note = entangled > ENTANGLED ? (doubt.isEmpty() ? "" : doubt + ". ") + "The parameters can hardly be told apart by"
                + " these points: about " + (int) Math.max(1, Math.floor(Math.log10(2e15 / (entangled * entangled)))) + " of their figures"
                + " can be trusted. Take fewer parameters, or count x from the middle of the points" : doubt;
        double[][] covariances = solver.products();
        for (int k = 0; k < u.length; k++) {
            u[k] *= scatter;
            for (int l = 0; l < u.length; l++) {
                covariances[k][l] *= scatter * scatter;
            }
        }
        boolean centred = model.hasConstant(at);
        double total = 0;
        for (int i = 0; i < n; i++) {
            double d = (model.y[i] - (centred ? sum / weights : 0)) / model.weight(i);
            total += d * d;
        }
        return new Result(names, at, u, covariances, n, squares, Math.sqrt(squares / n), total == 0 ? 1 : 1 - weightedSquares / total, centred,
                fitted, note);
    }

    /** Values of the fitted curve elsewhere. */
    public static double[] curve(Formula model, String xSymbol, Result result, double[] at) {
        Map<String, Evaluation.Value> columns = new LinkedHashMap<>();
        columns.put(xSymbol, new Evaluation.Value(at, null));
        for (int k = 0; k < result.names().size(); k++) {
            columns.put(result.names().get(k), new Evaluation.Value(Evaluation.filled(at.length, result.values()[k]), null));
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
