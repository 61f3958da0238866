package cauldron.core.analysis;

/**
 * Derivatives with respect to a few parameters, the same for all rows: what fitting needs.
 *
 * @param of by parameter, then by row
 */
record DensePartials(double[][] of) implements Partials {

    /** Those of one parameter itself. */
    static DensePartials unit(int parameter, int parameters, int rows) {
        double[][] of = new double[parameters][];
        of[parameter] = Evaluation.filled(rows, 1);
        return new DensePartials(of);
    }

    @Override
    public Partials chain(double[] ka, Partials b, double[] kb) {
        double[][] other = b == null ? null : ((DensePartials) b).of;
        double[][] out = new double[of.length][];
        for (int p = 0; p < of.length; p++) {
            double[] x = of[p];
            double[] y = other == null ? null : other[p];
            if (x == null && y == null) {
                continue;
            }
            double[] sum = new double[ka.length];
            for (int i = 0; i < sum.length; i++) {
                sum[i] = (x == null ? 0 : ka[i] * x[i]) + (y == null ? 0 : kb[i] * y[i]);
            }
            out[p] = sum;
        }
        return new DensePartials(out);
    }

    @Override
    public Partials gather(Weights weights) {
        throw new IllegalArgumentException("A fitted formula can't use functions of a whole column on its parameters");
    }
}
