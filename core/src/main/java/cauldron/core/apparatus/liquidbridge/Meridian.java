package cauldron.core.apparatus.liquidbridge;

/**
 * The outline of a liquid at rest about an upright axis, by the Young–Laplace law with gravity (R. Finn, Equilibrium
 * Capillary Surfaces, Springer 1986, ch. 2), in lengths of the faces' radius R:
 * <pre>
 * dr/dz = cot ψ,   dψ/dz = (p − B z − sin ψ / r) / sin ψ,   dV/dz = π r²
 * </pre>
 * ψ is the slope angle of the outline, from the horizontal, seen going up on the right; p the pressure at z = 0 over
 * the air's, in σ/R; B = ρ g R²/σ the Bond number. With z as the variable an outline may bulge and narrow, but not fold
 * back: ψ stays between 0 and π, which holds for bridges between equal faces until they part.
 *
 * <p>Fourth order Runge–Kutta in {@value #STEPS} equal steps: radius and volume are good to about 1e-8.
 */
final class Meridian {

    static final int STEPS = 200;
    /** Thinner, or nearer to level, than this it isn't the outline of a bridge. */
    private static final double LEAST = 1e-3;

    private final double bond;
    /** Radius, slope angle, volume: at the end of the last outline followed. */
    private final double[] y = new double[3];
    private final double[] from = new double[3];
    private final double[] at = new double[3];
    private final double[] dy = new double[3];
    private final double[] sum = new double[3];

    /** @param bond Bond number of the liquid between faces of that radius */
    Meridian(double bond) {
        this.bond = bond;
    }

    /** Told of each point of an outline. */
    interface Points {
        void point(double z, double r);
    }

    /**
     * Follows the outline that begins at the lower rim.
     *
     * @return whether it goes on as far as the height
     */
    boolean follow(double angle, double pressure, double height, Points points) {
        y[0] = 1;
        y[1] = angle;
        y[2] = 0;
        double dz = height / STEPS;
        for (int i = 0; i < STEPS; i++) {
            double z = i * dz;
            if (points != null) {
                points.point(z, y[0]);
            }
            step(z, dz, pressure);
            if (!(y[0] > LEAST && y[1] > LEAST && y[1] < Math.PI - LEAST)) {
                return false;
            }
        }
        if (points != null) {
            points.point(height, y[0]);
        }
        return true;
    }

    private void step(double z, double dz, double pressure) {
        System.arraycopy(y, 0, from, 0, 3);
        System.arraycopy(y, 0, at, 0, 3);
        slopes(z, pressure);
        add(dz / 6, dz / 2);
        slopes(z + dz / 2, pressure);
        addOn(dz / 3, dz / 2);
        slopes(z + dz / 2, pressure);
        addOn(dz / 3, dz);
        slopes(z + dz, pressure);
        for (int k = 0; k < 3; k++) {
            y[k] = from[k] + sum[k] + dz / 6 * dy[k];
        }
    }

    private void slopes(double z, double pressure) {
        double sine = Math.sin(at[1]);
        dy[0] = Math.cos(at[1]) / sine;
        dy[1] = (pressure - bond * z - sine / at[0]) / sine;
        dy[2] = Math.PI * at[0] * at[0];
    }

    private void add(double share, double next) {
        for (int k = 0; k < 3; k++) {
            sum[k] = share * dy[k];
            at[k] = from[k] + next * dy[k];
        }
    }

    private void addOn(double share, double next) {
        for (int k = 0; k < 3; k++) {
            sum[k] += share * dy[k];
            at[k] = from[k] + next * dy[k];
        }
    }

    /** Radius where the last outline ended. */
    double radius() {
        return y[0];
    }

    /** Slope angle there. */
    double angle() {
        return y[1];
    }

    /** Pressure at a height, in σ/R. */
    double pressureAt(double pressure, double z) {
        return pressure - bond * z;
    }

    /** Volume under the last outline, in R³. */
    double volume() {
        return y[2];
    }
}
