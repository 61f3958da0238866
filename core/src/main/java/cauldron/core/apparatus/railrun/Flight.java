package cauldron.core.apparatus.railrun;

/**
 * A free flight from a point of a rail, and where it meets the rail or the ground again: the parabola is cut with every
 * short chord of the rail, and the first cut from the side on which wagons run is made exact by Newton's method.
 */
final class Flight {

    private static final int LOOKS = 48;
    /** Cuts sooner than this after take-off are the take-off itself, in seconds. */
    private static final double CLEAR = 1e-4;
    private static final int NEWTON = 12;

    private final double x;
    private final double y;
    private final double vx;
    private final double vy;
    private final double gravity;
    private double lands = Double.POSITIVE_INFINITY;
    private double parameter = Double.NaN;

    Flight(double x, double y, double vx, double vy, double gravity) {
        this.x = x;
        this.y = y;
        this.vx = vx;
        this.vy = vy;
        this.gravity = gravity;
    }

    /** Finds where it comes down. */
    Flight over(Rail rail) {
        double[] a = rail.at(0.0).clone();
        for (int i = 1; i <= rail.size() * LOOKS; i++) {
            double u = (double) i / LOOKS;
            double[] b = rail.at(u).clone();
            cut(rail, u - 1.0 / LOOKS, a, b);
            a = b;
        }
        // The ground lies at height 0.
        double ground = (vy + Math.sqrt(vy * vy + 2 * gravity * Math.max(0, y))) / gravity;
        if (ground < lands) {
            lands = ground;
            parameter = Double.NaN;
        }
        return this;
    }

    private void cut(Rail rail, double u, double[] a, double[] b) {
        // Where the parabola meets the line through a and b: n·(p(t) − a) = 0 with n across the chord.
        double nx = -(b[1] - a[1]);
        double ny = b[0] - a[0];
        double c0 = nx * (x - a[0]) + ny * (y - a[1]);
        double c1 = nx * vx + ny * vy;
        double c2 = -0.5 * gravity * ny;
        double root = c1 * c1 - 4 * c2 * c0;
        if (root < 0) {
            return;
        }
        double far = -0.5 * (c1 + Math.copySign(Math.sqrt(root), c1));
        for (double t : new double[] {far / c2, c0 / far}) {
            if (t > CLEAR && t < lands + 1e-3) {
                double px = x + vx * t;
                double py = y + vy * t - 0.5 * gravity * t * t;
                double along = ((px - a[0]) * (b[0] - a[0]) + (py - a[1]) * (b[1] - a[1])) / (ny * ny + nx * nx);
                if (along >= -0.01 && along <= 1.01) {
                    refine(rail, u + Math.max(0, Math.min(1, along)) / LOOKS, t);
                }
            }
        }
    }

    private void refine(Rail rail, double from, double at) {
        double u = from;
        double t = at;
        for (int i = 0; i < NEWTON; i++) {
            double[] p = rail.at(u);
            double dx = x + vx * t - p[0];
            double dy = y + vy * t - 0.5 * gravity * t * t - p[1];
            double wy = vy - gravity * t;
            double det = p[2] * wy - p[3] * vx;
            if (det == 0) {
                return;
            }
            // r(u) − p(t) = 0 for small changes of u and t.
            u = Math.max(0, Math.min(rail.size(), u + (dx * wy - dy * vx) / det));
            t += (dx * p[3] - dy * p[2]) / det;
        }
        double[] p = rail.at(u);
        boolean fromAbove = -p[3] * vx + p[2] * (vy - gravity * t) < 0;
        boolean met = Math.hypot(x + vx * t - p[0], y + vy * t - 0.5 * gravity * t * t - p[1]) < 1e-9;
        if (met && fromAbove && t > CLEAR && t < lands) {
            lands = t;
            parameter = u;
        }
    }

    /** After how many seconds it comes down. */
    double time() {
        return lands;
    }

    /** Where on the rail; NaN where on the ground. */
    double parameter() {
        return parameter;
    }
}
