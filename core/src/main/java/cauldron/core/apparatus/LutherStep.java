package cauldron.core.apparatus;

import org.hipparchus.ode.nonstiff.LutherIntegrator;

/**
 * Steps of any length from one point by Luther's sixth-order Runge–Kutta method (H. A. Luther, Math. Comp. 22 (1968)
 * 434), with Hipparchus's coefficients and to the bit what its integrator gives. It makes no array but the one it answers:
 * in the browser making arrays takes far longer than filling them.
 */
final class LutherStep implements Steps {

    private static final LutherIntegrator METHOD = new LutherIntegrator(1);

    private final double[] c = METHOD.getC();
    private final double[][] a = METHOD.getA();
    private final double[] b = METHOD.getB();
    private final Law law;
    private final double[][] slopes;
    private final double[] within;
    private double[] from;

    LutherStep(Law law, int size) {
        this.law = law;
        slopes = new double[b.length][size];
        within = new double[size];
    }

    @Override
    public void from(double[] y) {
        from = y;
        law.at(0, y, slopes[0]);
    }

    @Override
    public double[] to(double h) {
        for (int stage = 1; stage < slopes.length; stage++) {
            double[] weights = a[stage - 1];
            for (int j = 0; j < within.length; j++) {
                double sum = weights[0] * slopes[0][j];
                for (int l = 1; l < stage; l++) {
                    sum += weights[l] * slopes[l][j];
                }
                within[j] = from[j] + h * sum;
            }
            law.at(c[stage - 1] * h, within, slopes[stage]);
        }
        double[] out = new double[within.length];
        for (int j = 0; j < out.length; j++) {
            double sum = b[0] * slopes[0][j];
            for (int l = 1; l < b.length; l++) {
                sum += b[l] * slopes[l][j];
            }
            out[j] = from[j] + h * sum;
        }
        return out;
    }
}
