package cauldron.core.apparatus.liquidbridge;

import java.util.ArrayList;
import java.util.List;

/**
 * A drop at rest on one face, standing or hanging, held by its rim: the Young–Laplace law from the apex on (F.
 * Bashforth and J. C. Adams, An Attempt to Test the Theories of Capillary Action, 1883), with the arc as variable. The
 * curvature at the apex is the one with which the outline meets the rim when it holds the volume. Lengths in R.
 */
final class LoneDrop {

    private static final double STEP = 0.01;
    private static final int HALVINGS = 60;
    private static final double BLUNTEST = 1e-3;
    private static final double SHARPEST = 12;

    private final double weight;
    private double apex;
    private final double volume;
    /** Depth below the apex and radius by turns, from the apex to the rim. */
    private final List<double[]> points = new ArrayList<>();

    /**
     * @param bond   Bond number: positive for a drop that stands, negative for one that hangs
     * @param volume in R³
     */
    LoneDrop(double bond, double volume) {
        weight = bond;
        this.volume = volume;
        double low = BLUNTEST;
        double high = SHARPEST;
        for (int i = 0; i < HALVINGS; i++) {
            double middle = Math.sqrt(low * high);
            if (radius(middle, false) > 1) {
                low = middle;
            } else {
                high = middle;
            }
        }
        apex = high;
        radius(high, true);
    }

    /** Radius at the depth at which the volume is held, for a curvature of the apex; greater for blunter ones. */
    private double radius(double curvature, boolean kept) {
        double[] y = {0, 0, 0, 0};
        points.clear();
        while (true) {
            if (kept) {
                points.add(new double[] {y[1], y[0]});
            }
            double[] next = step(y, STEP, curvature);
            if (next[3] >= volume) {
                double share = STEP;
                double[] end = next;
                for (int i = 0; i < 20; i++) {
                    double slope = Math.PI * end[0] * end[0] * Math.sin(end[2]);
                    share -= (end[3] - volume) / slope;
                    end = step(y, share, curvature);
                }
                if (kept) {
                    points.add(new double[] {end[1], end[0]});
                }
                return end[0];
            }
            if (next[2] >= Math.PI || next[0] > 4) {
                return next[2] >= Math.PI ? 0 : next[0];
            }
            y = next;
        }
    }

    /** Radius, depth, slope angle and volume a piece of arc further on. */
    private double[] step(double[] y, double ds, double curvature) {
        double[] k1 = slopes(y, curvature);
        double[] k2 = slopes(plus(y, k1, ds / 2), curvature);
        double[] k3 = slopes(plus(y, k2, ds / 2), curvature);
        double[] k4 = slopes(plus(y, k3, ds), curvature);
        double[] out = new double[4];
        for (int k = 0; k < 4; k++) {
            out[k] = y[k] + ds / 6 * (k1[k] + 2 * k2[k] + 2 * k3[k] + k4[k]);
        }
        return out;
    }

    private static double[] plus(double[] y, double[] k, double ds) {
        return new double[] {y[0] + ds * k[0], y[1] + ds * k[1], y[2] + ds * k[2], y[3] + ds * k[3]};
    }

    private double[] slopes(double[] y, double curvature) {
        double sine = Math.sin(y[2]);
        // At the apex both curvatures are the same.
        double around = y[0] < 1e-9 ? curvature : sine / y[0];
        return new double[] {Math.cos(y[2]), sine, 2 * curvature + weight * y[1] - around,
            Math.PI * y[0] * y[0] * sine};
    }

    /** Pressure at the face over the air's, in σ/R. */
    double pressure() {
        return 2 * apex + weight * height();
    }

    /** From apex to face. */
    double height() {
        return points.get(points.size() - 1)[0];
    }

    /** Radius at a height over the face; nothing beyond the apex. */
    double radiusAt(double height) {
        double depth = height() - height;
        if (depth <= 0) {
            return 0;
        }
        int i = 1;
        while (i < points.size() - 1 && points.get(i)[0] < depth) {
            i++;
        }
        double[] a = points.get(i - 1);
        double[] b = points.get(i);
        // r² is nearly straight by the apex, where r itself rises like a root.
        double square = a[1] * a[1] + (b[1] * b[1] - a[1] * a[1]) * (depth - a[0]) / (b[0] - a[0]);
        return Math.sqrt(Math.max(0, square));
    }
}
