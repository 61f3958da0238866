package cauldron.core.analysis;

/**
 * Linear least squares by Householder's triangularisation with columns scaled to length one, the columns
 * exchanged so that the longest remainder comes first, and one step of refinement (G. H. Golub, C. F. Van
 * Loan, Matrix Computations, 4th ed., 5.2–5.4). The normal equations, which lose twice the digits, are never
 * formed.
 */
final class LeastSquares {

    /** A column whose remainder is smaller than this share of itself can't be told from the others. */
    private static final double SINGULAR = 1e-13;
    /** Between these a sum of squares has lost nothing. */
    private static final double SMALL = 1e-200;
    private static final double LARGE = 1e200;

    private final int rows;
    private final int columns;
    private final double[][] original;
    /** By column: below the diagonal Householder's vectors, above it the triangle. */
    private final double[][] a;
    private final double[] diagonal;
    private final double[] scale;
    private final int[] order;
    /** Whether some column can't be told from the others. */
    final boolean singular;

    /**
     * Takes a matrix apart.
     *
     * @param matrix by column; at least as many rows as columns
     */
    LeastSquares(double[][] matrix) {
        original = matrix;
        columns = matrix.length;
        rows = matrix[0].length;
        a = new double[columns][];
        scale = new double[columns];
        order = new int[columns];
        diagonal = new double[columns];
        for (int j = 0; j < columns; j++) {
            double norm = norm(matrix[j], 0);
            scale[j] = norm == 0 ? 1 : norm;
            order[j] = j;
            a[j] = new double[rows];
            for (int i = 0; i < rows; i++) {
                a[j][i] = matrix[j][i] / scale[j];
            }
        }
        boolean lost = false;
        for (int k = 0; k < columns; k++) {
            int longest = k;
            double norm = norm(a[k], k);
            for (int j = k + 1; j < columns; j++) {
                double other = norm(a[j], k);
                if (other > norm) {
                    longest = j;
                    norm = other;
                }
            }
            swap(k, longest);
            double[] v = a[k];
            lost |= !(norm > SINGULAR);
            diagonal[k] = v[k] > 0 ? -norm : norm;
            v[k] -= diagonal[k];
            for (int j = k + 1; j < columns; j++) {
                reflect(v, k, a[j]);
            }
        }
        singular = lost;
    }

    private void swap(int i, int j) {
        double[] column = a[i];
        a[i] = a[j];
        a[j] = column;
        int o = order[i];
        order[i] = order[j];
        order[j] = o;
    }

    private static double norm(double[] v, int from) {
        double plain = 0;
        for (int i = from; i < v.length; i++) {
            plain += v[i] * v[i];
        }
        if (plain > SMALL && plain < LARGE) {
            return Math.sqrt(plain);
        }
        // Squares that could overflow or vanish are taken of shares of the largest.
        double largest = 0;
        for (int i = from; i < v.length; i++) {
            largest = Math.max(largest, Math.abs(v[i]));
        }
        if (largest == 0) {
            return 0;
        }
        double sum = 0;
        for (int i = from; i < v.length; i++) {
            double x = v[i] / largest;
            sum += x * x;
        }
        return largest * Math.sqrt(sum);
    }

    private static void reflect(double[] v, int from, double[] x) {
        double vv = 0;
        double vx = 0;
        for (int i = from; i < v.length; i++) {
            vv += v[i] * v[i];
            vx += v[i] * x[i];
        }
        if (vv == 0) {
            return;
        }
        double k = 2 * vx / vv;
        for (int i = from; i < v.length; i++) {
            x[i] -= k * v[i];
        }
    }

    /** The coefficients that leave the least sum of squares of y − matrix · coefficients. */
    double[] solve(double[] y) {
        double[] b = once(y);
        for (int step = 0; step < 2; step++) {
            double[] rest = y.clone();
            for (int j = 0; j < columns; j++) {
                for (int i = 0; i < rows; i++) {
                    rest[i] -= b[j] * original[j][i];
                }
            }
            double[] more = once(rest);
            for (int j = 0; j < columns; j++) {
                b[j] += more[j];
            }
        }
        return b;
    }

    private double[] once(double[] y) {
        double[] q = y.clone();
        for (int k = 0; k < columns; k++) {
            reflect(a[k], k, q);
        }
        double[] b = new double[columns];
        for (int k = columns - 1; k >= 0; k--) {
            double sum = q[k];
            for (int j = k + 1; j < columns; j++) {
                sum -= a[j][k] * b[order[j]] * scale[order[j]];
            }
            b[order[k]] = sum / diagonal[k] / scale[order[k]];
        }
        return b;
    }

    /** Square roots of the diagonal of (matrixᵀ · matrix)⁻¹: to be multiplied by the scatter of y. */
    double[] spreads() {
        double[][] products = products();
        double[] out = new double[columns];
        for (int k = 0; k < columns; k++) {
            out[k] = Math.sqrt(products[k][k]);
        }
        return out;
    }

    /** (matrixᵀ · matrix)⁻¹: to be multiplied by the variance of y. */
    double[][] products() {
        double[][] out = new double[columns][columns];
        for (int c = 0; c < columns; c++) {
            // Column c of the triangle's inverse, from below.
            double[] inverse = new double[columns];
            inverse[c] = 1 / diagonal[c];
            for (int k = c - 1; k >= 0; k--) {
                double sum = 0;
                for (int j = k + 1; j <= c; j++) {
                    sum += a[j][k] * inverse[j];
                }
                inverse[k] = -sum / diagonal[k];
            }
            for (int k = 0; k <= c; k++) {
                for (int l = 0; l <= c; l++) {
                    out[order[k]][order[l]] += inverse[k] * inverse[l];
                }
            }
        }
        for (int k = 0; k < columns; k++) {
            for (int l = 0; l < columns; l++) {
                out[k][l] = out[k][l] / scale[k] / scale[l];
            }
        }
        return out;
    }
}
