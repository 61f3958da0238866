package cauldron.core.apparatus.liquidbridge;

/**
 * A bridge at rest: its slope angle at the lower rim, its pressure there in σ/R, its gap in R. What makes the three a
 * bridge is that the outline meets the upper rim and holds the volume.
 */
record BridgeShape(double angle, double pressure, double gap) {

    /** How near the rim and the volume an outline has to come, in R and R³. */
    private static final double CLOSE = 1e-11;
    private static final int TRIES = 40;
    private static final double NUDGE = 1e-6;
    /** The most that angle and pressure are changed at once. */
    private static final double STRIDE = 0.2;

    /** What a third equation asks beside rim and volume; its value, and how it changes with angle, pressure and gap. */
    interface Third {
        double off(BridgeShape shape);

        double[] slopes();
    }

    /**
     * Newton's method from this shape as a guess.
     *
     * @return null if there is no bridge near it
     */
    BridgeShape solved(Meridian law, double volume, Third third) {
        BridgeShape now = this;
        for (int i = 0; i < TRIES; i++) {
            if (!law.follow(now.angle, now.pressure, now.gap, null)) {
                return null;
            }
            double[] off = {law.radius() - 1, law.volume() - volume, third.off(now)};
            if (Math.max(Math.abs(off[0]), Math.abs(off[1])) < CLOSE && Math.abs(off[2]) < CLOSE) {
                return now;
            }
            double[][] rows = new double[3][];
            double slope = Math.cos(law.angle()) / Math.sin(law.angle());
            double section = Math.PI * law.radius() * law.radius();
            double radius = law.radius();
            double held = law.volume();
            if (!law.follow(now.angle + NUDGE, now.pressure, now.gap, null)) {
                return null;
            }
            double radiusByAngle = (law.radius() - radius) / NUDGE;
            double volumeByAngle = (law.volume() - held) / NUDGE;
            if (!law.follow(now.angle, now.pressure + NUDGE, now.gap, null)) {
                return null;
            }
            rows[0] = new double[] {radiusByAngle, (law.radius() - radius) / NUDGE, slope};
            rows[1] = new double[] {volumeByAngle, (law.volume() - held) / NUDGE, section};
            rows[2] = third.slopes();
            double[] change = cramer(rows, off);
            double most = Math.max(Math.abs(change[0]), Math.max(Math.abs(change[1]), Math.abs(change[2])));
            if (!(most < Double.POSITIVE_INFINITY)) {
                return null;
            }
            double share = Math.min(1, STRIDE / most);
            now = new BridgeShape(now.angle - share * change[0], now.pressure - share * change[1],
                    now.gap - share * change[2]);
        }
        return null;
    }

    /** The bridge of this gap. */
    BridgeShape atItsGap(Meridian law, double volume) {
        return solved(law, volume, new Third() {
            @Override
            public double off(BridgeShape shape) {
                return shape.gap - gap;
            }

            @Override
            public double[] slopes() {
                return new double[] {0, 0, 1};
            }
        });
    }

    /** The bridge at which a step from this shape along a direction is that long. */
    BridgeShape along(Meridian law, double volume, double[] direction, double length) {
        BridgeShape here = this;
        return stepped(direction, length).solved(law, volume, new Third() {
            @Override
            public double off(BridgeShape shape) {
                return direction[0] * (shape.angle - here.angle) + direction[1] * (shape.pressure - here.pressure)
                        + direction[2] * (shape.gap - here.gap) - length;
            }

            @Override
            public double[] slopes() {
                return direction;
            }
        });
    }

    private BridgeShape stepped(double[] direction, double length) {
        return new BridgeShape(angle + length * direction[0], pressure + length * direction[1],
                gap + length * direction[2]);
    }

    /** The direction from another shape to this one, of length 1. */
    double[] from(BridgeShape other) {
        double[] d = {angle - other.angle, pressure - other.pressure, gap - other.gap};
        double size = Math.sqrt(d[0] * d[0] + d[1] * d[1] + d[2] * d[2]);
        return new double[] {d[0] / size, d[1] / size, d[2] / size};
    }

    private static double[] cramer(double[][] m, double[] b) {
        double whole = det(m[0], m[1], m[2]);
        double[] out = new double[3];
        for (int k = 0; k < 3; k++) {
            double[][] other = new double[3][];
            for (int row = 0; row < 3; row++) {
                other[row] = m[row].clone();
                other[row][k] = b[row];
            }
            out[k] = det(other[0], other[1], other[2]) / whole;
        }
        return out;
    }

    private static double det(double[] a, double[] b, double[] c) {
        return a[0] * (b[1] * c[2] - b[2] * c[1]) - a[1] * (b[0] * c[2] - b[2] * c[0])
                + a[2] * (b[0] * c[1] - b[1] * c[0]);
    }
}
