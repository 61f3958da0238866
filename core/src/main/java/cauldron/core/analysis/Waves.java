package cauldron.core.analysis;

import java.util.LinkedHashMap;
import java.util.Map;

/**
 * Starting values for sinusoids: for each of many periods (and dampings) the best sine, cosine and middle are
 * had by linear least squares, and the best of all is taken (the generalised periodogram; M. Zechmeister,
 * M. Kürster, Astron. Astrophys. 496 (2009) 577).
 */
final class Waves {

    private static final int PERIODS = 400;
    private static final int MOST_POINTS = 400;

    private Waves() {
    }

    static Map<String, Double> start(double[] xs, double[] ys, boolean damped) {
        int stride = Math.max(1, xs.length / MOST_POINTS);
        int n = xs.length / stride;
        double[] x = new double[n];
        double[] y = new double[n];
        for (int i = 0; i < n; i++) {
            x[i] = xs[i * stride];
            y[i] = ys[i * stride];
        }
        Statistics s = Statistics.of(x);
        double range = s.max() - s.min();
        if (!(range > 0) || n < 4) {
            return Map.of();
        }
        double most = Math.max(2, n / 2.0);
        double[] best = null;
        double least = Double.POSITIVE_INFINITY;
        for (int k = 0; k < PERIODS; k++) {
            double cycles = 0.3 + (most - 0.3) * k / PERIODS;
            for (double g : damped ? new double[] {0, 0.7, 2, 5} : new double[] {0}) {
                double[] b = wave(x, y, range / cycles, g / range, s.min());
                if (b != null && b[3] < least) {
                    least = b[3];
                    best = new double[] {b[0], b[1], b[2], range / cycles, g / range};
                }
            }
        }
        if (best == null) {
            return Map.of();
        }
        // sin and cos about the first point, moved to the origin of x.
        double amplitude = Math.sqrt(best[0] * best[0] + best[1] * best[1]);
        double phase = Math.atan2(best[1], best[0]) - 2 * Math.PI * s.min() / best[3];
        Map<String, Double> start = new LinkedHashMap<>();
        start.put("A", amplitude * Math.exp(best[4] * s.min()));
        start.put("T", best[3]);
        start.put("φ", phase - 2 * Math.PI * Math.rint(phase / (2 * Math.PI)));
        start.put("C", best[2]);
        if (damped) {
            start.put("g", best[4] == 0 ? 0.1 / range : best[4]);
        }
        return start;
    }

    /** Sine, cosine, middle and sum of squares of the best wave of a period and damping; null if there is none. */
    private static double[] wave(double[] x, double[] y, double period, double damping, double from) {
        double[][] columns = new double[3][x.length];
        for (int i = 0; i < x.length; i++) {
            double angle = 2 * Math.PI * (x[i] - from) / period;
            double height = Math.exp(-damping * (x[i] - from));
            columns[0][i] = height * Math.sin(angle);
            columns[1][i] = height * Math.cos(angle);
            columns[2][i] = 1;
        }
        LeastSquares solver = new LeastSquares(columns);
        if (solver.singular) {
            return null;
        }
        double[] b = solver.solve(y);
        double sum = 0;
        for (int i = 0; i < x.length; i++) {
            double r = y[i] - b[0] * columns[0][i] - b[1] * columns[1][i] - b[2] * columns[2][i];
            sum += r * r;
        }
        // A wave far higher than the points only bends a line through them.
        double height = Math.sqrt(b[0] * b[0] + b[1] * b[1]);
        Statistics s = Statistics.of(y);
        return height > 3 * (s.max() - s.min()) ? null : new double[] {b[0], b[1], b[2], sum};
    }
}
