package cauldron.core.apparatus.liquidbridge;

/** The outline of a bridge at rest, point by point, and what follows from it. Lengths in R, volumes in R³. */
final class Outline {

    private final BridgeShape shape;
    private final double[] radii = new double[Meridian.STEPS + 1];
    private final double topAngle;
    private final double topPressure;
    private final int neck;

    Outline(Stretching of, BridgeShape shape) {
        this.shape = shape;
        Meridian law = of.law();
        int[] count = {0};
        law.follow(shape.angle(), shape.pressure(), shape.gap(), (z, r) -> radii[count[0]++] = r);
        topAngle = law.angle();
        topPressure = law.pressureAt(shape.pressure(), shape.gap());
        int least = 0;
        for (int i = 0; i < radii.length; i++) {
            least = radii[i] < radii[least] ? i : least;
        }
        // Where it bulges all the way there is no neck: it is told apart at half its height.
        neck = least == 0 || least == Meridian.STEPS ? Meridian.STEPS / 2 : least;
    }

    BridgeShape shape() {
        return shape;
    }

    /** Radius of the neck. */
    double neck() {
        return radii[neck];
    }

    /** Height of the neck over the lower face. */
    double neckAt() {
        return shape.gap() * neck / Meridian.STEPS;
    }

    /** Angle between the liquid and the upper face, in rad. */
    double angleAbove() {
        return Math.PI - topAngle;
    }

    /** Pull downwards on the upper face, in σR: of the surface along its rim, less that of the pressure on it. */
    double pull() {
        return 2 * Math.PI * Math.sin(topAngle) - Math.PI * topPressure;
    }

    /** Volume below the neck, by Simpson's rule over the points. */
    double below() {
        int whole = neck - neck % 2;
        double dz = shape.gap() / Meridian.STEPS;
        double sum = 0;
        for (int i = 0; i < whole; i += 2) {
            sum += radii[i] * radii[i] + 4 * radii[i + 1] * radii[i + 1] + radii[i + 2] * radii[i + 2];
        }
        double out = Math.PI * sum * dz / 3;
        return neck > whole ? out + Math.PI * dz * 0.5 * (radii[whole] * radii[whole] + radii[neck] * radii[neck])
                : out;
    }

    /** Radius at a height over the lower face. */
    double radiusAt(double z) {
        double at = Math.max(0, Math.min(1, z / shape.gap())) * Meridian.STEPS;
        int i = Math.min(Meridian.STEPS - 1, (int) at);
        return radii[i] + (at - i) * (radii[i + 1] - radii[i]);
    }
}
