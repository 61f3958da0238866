package cauldron.core.apparatus;

/**
 * Steps for stiff laws, in which something dies away far faster than what is watched: a reaction close to its
 * equilibrium, heat in a thin layer. The step is parted as its error demands.
 *
 * <p>Linearly implicit Euler steps, extrapolated (P. Deuflhard, SIAM Rev. 27 (1985) 505; E. Hairer and G. Wanner,
 * Solving Ordinary Differential Equations II, 2nd ed., IV.9): with J the Jacobian at the point,
 * <pre>(1 − h J) Δy = h f(t + h, y),</pre>
 * in 1, 2, 3, … parts, and Neville's extrapolation of what they give. J comes from differences; where it is a little off,
 * only the order suffers, never the answer that the error estimate accepts.
 *
 * <p>What it answers depends on the point and the length alone, so that it is the same however often a display asks.
 */
final class StiffSteps implements Steps {

    private static final int ROWS = 9;
    private static final double TOLERANCE = 1e-10;
    /** Share of the largest value a component has had below which its error isn't counted for itself. */
    private static final double FLOOR = 1e-9;
    private static final double SAFETY = 0.8;
    private static final double SHRINK = 0.3;
    private static final double GROW = 4;
    private static final int MOST_PARTS = 100_000;
    private static final double SHORTEST = 1e-13;
    private static final double DIFFERENCE = 1e-7;

    private final Law law;
    private final int n;
    private final double[][] jacobian;
    private final double[][] matrix;
    private final int[] order;
    private final double[] slope;
    private final double[] moved;
    private final double[] scale;
    private double[] from;

    StiffSteps(Law law, int size) {
        this.law = law;
        n = size;
        jacobian = new double[n][n];
        matrix = new double[n][n];
        order = new int[n];
        slope = new double[n];
        moved = new double[n];
        scale = new double[n];
    }

    @Override
    public void from(double[] y) {
        from = y;
    }

    @Override
    public double[] to(double length) {
        double[] y = from.clone();
        double largest = 0;
        for (int i = 0; i < n; i++) {
            largest = Math.max(largest, Math.abs(y[i]));
        }
        for (int i = 0; i < n; i++) {
            scale[i] = Math.max(Math.abs(y[i]), FLOOR * largest);
        }
        double t = 0;
        // A law that is still far from where it dies away shows itself in the first trial.
        double h = length;
        for (int parts = 0; t < length; parts++) {
            if (parts > MOST_PARTS || h < SHORTEST * length) {
                throw new IllegalStateException("The law is too stiff to be followed from " + t + " on");
            }
            double left = length - t;
            h = Math.min(h, left);
            double[][] table = new double[ROWS][];
            double error = Double.POSITIVE_INFINITY;
            int row = 0;
            look(t, y);
            for (; row < ROWS; row++) {
                table[row] = euler(t, y, h, row + 1);
                extrapolate(table, row);
                error = row == 0 ? Double.POSITIVE_INFINITY : apart(table[0], table[1]);
                if (error <= 1) {
                    break;
                }
            }
            if (error <= 1) {
                y = table[0].clone();
                t = left <= h ? length : t + h;
                for (int i = 0; i < n; i++) {
                    scale[i] = Math.max(scale[i], Math.abs(y[i]));
                }
                h *= row < ROWS - 3 ? GROW : row < ROWS - 1 ? 1.5 : SAFETY;
            } else {
                h *= SHRINK;
            }
        }
        return y;
    }

    /** The Jacobian at a point. */
    private void look(double t, double[] y) {
        law.at(t, y, slope);
        double[] at = y.clone();
        for (int j = 0; j < n; j++) {
            double d = DIFFERENCE * Math.max(scale[j], Double.MIN_NORMAL);
            at[j] = y[j] + d;
            law.at(t, at, moved);
            double really = at[j] - y[j];
            for (int i = 0; i < n; i++) {
                jacobian[i][j] = really == 0 ? 0 : (moved[i] - slope[i]) / really;
            }
            at[j] = y[j];
        }
    }

    /** So many linearly implicit Euler steps. */
    private double[] euler(double t, double[] y, double h, int parts) {
        double part = h / parts;
        for (int i = 0; i < n; i++) {
            for (int j = 0; j < n; j++) {
                matrix[i][j] = (i == j ? 1 : 0) - part * jacobian[i][j];
            }
        }
        decompose();
        double[] at = y.clone();
        for (int k = 1; k <= parts; k++) {
            law.at(t + k * part, at, slope);
            for (int i = 0; i < n; i++) {
                moved[i] = part * slope[i];
            }
            solve(moved);
            for (int i = 0; i < n; i++) {
                at[i] += moved[i];
            }
        }
        return at;
    }

    /** Aitken and Neville's scheme for an error that begins with the first power of the parts' length. */
    private void extrapolate(double[][] table, int row) {
        for (int back = row - 1; back >= 0; back--) {
            double ratio = (row + 1.0) / (back + 1.0) - 1;
            for (int i = 0; i < n; i++) {
                table[back][i] = table[back + 1][i] + (table[back + 1][i] - table[back][i]) / ratio;
            }
        }
    }

    /** How far the two best values lie apart, in parts of what is allowed. */
    private double apart(double[] best, double[] next) {
        double most = 0;
        for (int i = 0; i < n; i++) {
            double off = Math.abs(best[i] - next[i]);
            if (Double.isNaN(off) || Double.isInfinite(off)) {
                return Double.POSITIVE_INFINITY;
            }
            double allowed = TOLERANCE * Math.max(scale[i], Math.abs(best[i]));
            most = Math.max(most, allowed > 0 ? off / allowed : 0);
        }
        return most;
    }

    /** Lower and upper triangle by Gauss's elimination with partial pivoting. */
    private void decompose() {
        for (int k = 0; k < n; k++) {
            int best = k;
            for (int i = k + 1; i < n; i++) {
                best = Math.abs(matrix[i][k]) > Math.abs(matrix[best][k]) ? i : best;
            }
            order[k] = best;
            double[] swap = matrix[k];
            matrix[k] = matrix[best];
            matrix[best] = swap;
            for (int i = k + 1; i < n; i++) {
                matrix[i][k] /= matrix[k][k];
                for (int j = k + 1; j < n; j++) {
                    matrix[i][j] -= matrix[i][k] * matrix[k][j];
                }
            }
        }
    }

    private void solve(double[] b) {
        for (int k = 0; k < n; k++) {
            double swap = b[k];
            b[k] = b[order[k]];
            b[order[k]] = swap;
            for (int i = 0; i < k; i++) {
                b[k] -= matrix[k][i] * b[i];
            }
        }
        for (int k = n - 1; k >= 0; k--) {
            for (int j = k + 1; j < n; j++) {
                b[k] -= matrix[k][j] * b[j];
            }
            b[k] /= matrix[k][k];
        }
    }
}
