package cauldron.core.analysis;

import java.util.Arrays;

/**
 * Derivatives with respect to single cells, for the propagation of uncertainty: each row has its own short
 * list of cells, in rising order. So a cell that comes in twice, by way of two columns, counts once with its
 * sign, as first-order propagation wants it (BIPM, GUM:1995, 5.1).
 */
final class SparsePartials implements Partials {

    /** More than this many derivatives in a column are too many to keep; its uncertainties are left out. */
    static final int MOST = 3_000_000;

    private final int[][] cells;
    private final double[][] slopes;

    SparsePartials(int[][] cells, double[][] slopes) {
        this.cells = cells;
        this.slopes = slopes;
    }

    /** Those of a column of cells themselves, numbered from {@code first}. */
    static SparsePartials cells(int first, int rows) {
        int[][] cells = new int[rows][];
        double[][] slopes = new double[rows][];
        for (int i = 0; i < rows; i++) {
            cells[i] = new int[] {first + i};
            slopes[i] = new double[] {1};
        }
        return new SparsePartials(cells, slopes);
    }

    /** Those of one constant, the same cell in every row. */
    static SparsePartials constant(int cell, int rows) {
        int[][] cells = new int[rows][];
        double[][] slopes = new double[rows][];
        Arrays.fill(cells, new int[] {cell});
        Arrays.fill(slopes, new double[] {1});
        return new SparsePartials(cells, slopes);
    }

    @Override
    public Partials chain(double[] ka, Partials b, double[] kb) {
        SparsePartials other = (SparsePartials) b;
        int rows = ka.length;
        int[][] c = new int[rows][];
        double[][] s = new double[rows][];
        long size = 0;
        for (int i = 0; i < rows; i++) {
            if (other == null) {
                c[i] = cells[i];
                s[i] = scaled(slopes[i], ka[i]);
            } else {
                merge(i, ka[i], other, kb[i], c, s);
            }
            size += c[i].length;
        }
        return checked(c, s, size);
    }

    private static double[] scaled(double[] slopes, double k) {
        double[] out = new double[slopes.length];
        for (int i = 0; i < out.length; i++) {
            out[i] = k * slopes[i];
        }
        return out;
    }

    private void merge(int i, double ka, SparsePartials other, double kb, int[][] c, double[][] s) {
        int[] x = cells[i];
        int[] y = other.cells[i];
        int[] keys = new int[x.length + y.length];
        double[] sums = new double[keys.length];
        int n = 0;
        int p = 0;
        int q = 0;
        while (p < x.length || q < y.length) {
            boolean fromX = q == y.length || p < x.length && x[p] <= y[q];
            boolean fromY = p == x.length || q < y.length && y[q] <= x[p];
            keys[n] = fromX ? x[p] : y[q];
            sums[n++] = (fromX ? ka * slopes[i][p] : 0) + (fromY ? kb * other.slopes[i][q] : 0);
            p += fromX ? 1 : 0;
            q += fromY ? 1 : 0;
        }
        c[i] = Arrays.copyOf(keys, n);
        s[i] = Arrays.copyOf(sums, n);
    }

    @Override
    public Partials gather(Weights weights) {
        int rows = cells.length;
        int[][] c = new int[rows][];
        double[][] s = new double[rows][];
        java.util.Map<Integer, Double> sum = new java.util.TreeMap<>();
        long size = 0;
        for (int i = 0; i < rows; i++) {
            sum.clear();
            weights.of(i, (j, weight) -> {
                for (int k = 0; k < cells[j].length; k++) {
                    sum.merge(cells[j][k], weight * slopes[j][k], Double::sum);
                }
            });
            c[i] = new int[sum.size()];
            s[i] = new double[c[i].length];
            int n = 0;
            for (java.util.Map.Entry<Integer, Double> e : sum.entrySet()) {
                c[i][n] = e.getKey();
                s[i][n++] = e.getValue();
            }
            size += n;
            if (size > MOST) {
                break;
            }
        }
        return checked(c, s, size);
    }

    private static Partials checked(int[][] c, double[][] s, long size) {
        return size > MOST ? null : new SparsePartials(c, s);
    }

    /** Standard uncertainty of each row for standard uncertainties of independent cells. */
    double[] uncertainties(double[] ofCells) {
        double[] out = new double[cells.length];
        for (int i = 0; i < out.length; i++) {
            double sum = 0;
            for (int k = 0; k < cells[i].length; k++) {
                double u = slopes[i][k] * ofCells[cells[i][k]];
                sum += u * u;
            }
            out[i] = Math.sqrt(sum);
        }
        return out;
    }
}
