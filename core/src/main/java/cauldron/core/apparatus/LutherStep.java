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
            weigh(a[stage - 1], stage, h, within);
            law.at(c[stage - 1] * h, within, slopes[stage]);
        }
        double[] out = new double[within.length];
        weigh(b, b.length, h, out);
        return out;
    }

    /** The point, and h times the sum of the first slopes, each with its weight. */
    private void weigh(double[] weights, int count, double h, double[] out) {
        double first = weights[0];
        double[] slope = slopes[0];
        for (int j = 0; j < out.length; j++) {
            out[j] = first * slope[j];
        }
        for (int l = 1; l < count; l++) {
            double weight = weights[l];
            slope = slopes[l];
            for (int j = 0; j < out.length; j++) {
                out[j] += weight * slope[j];
            }
        }
        for (int j = 0; j < out.length; j++) {
            out[j] = from[j] + h * out[j];
        }
    }
}
