package cauldron.core.apparatus.volumebench;

/**
 * What an eye sees on the front of a vessel: where, at the height of its scale, a point in or behind it appears.
 *
 * <p>The eye is at a distance before the vessel's axis, at any height. A point above the level of the eye is seen up
 * through the water, so its ray is broken where it leaves the wall (Snell, n = 1.333); one below is seen down through
 * air above the surface, straight. The wall itself is thin and left out. Being off by a height h shifts what is read
 * by h r / d, the parallax of a scale that stands before what it measures.
 *
 * @param eye height of the eye above the table, in m
 */
record Sight(double eye) {

    /** How far before the axis the eye is, in m. */
    static final double DISTANCE = 0.25;
    /** Refractive index of water for yellow light at 20 °C (IAPWS R9-97). */
    static final double WATER = 1.333;

    /**
     * Where it appears.
     *
     * @param height of the point above the table, in m
     * @param depth  of the point behind the front of the vessel, in m
     * @param radius of the vessel, in m
     * @return height on the front of the vessel, in m
     */
    double seen(double height, double depth, double radius) {
        double before = DISTANCE - radius;
        if (height <= eye) {
            return height + (eye - height) * depth / (depth + before);
        }
        double low = eye;
        double high = height;
        for (int i = 0; i < 60; i++) {
            double middle = (low + high) / 2;
            double inside = (height - middle) / Math.hypot(height - middle, depth);
            double outside = (middle - eye) / Math.hypot(middle - eye, before);
            if (WATER * inside > outside) {
                low = middle;
            } else {
                high = middle;
            }
        }
        return (low + high) / 2;
    }
}
