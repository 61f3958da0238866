package cauldron.core.apparatus.volumebench;

/**
 * How deep water stands with things in it. Each thing is taken as an upright prism on the floor: {@code c h} of it is
 * under water at the depth h, as long as that is no more than all of it, or for what floats, than has the thing's own
 * mass (Archimedes). Then {@code A h = V + Σ min(c h, most)} has one solution. Newton's steps come down on it from
 * above, as the line is convex and of straight pieces, and end at it exactly in as many steps as there are things.
 */
final class Immersion {

    private final double area;
    private final double[] section;
    private final double[] most;
    private final int things;

    /**
     * Things in a vessel.
     *
     * @param area    of the vessel, in m², greater than all sections together
     * @param section volume of each thing a metre of height, in m²
     * @param most    of each thing that can be under water, in m³
     */
    Immersion(double area, double[] section, double[] most, int things) {
        this.area = area;
        this.section = section;
        this.most = most;
        this.things = things;
    }

    /** Depth in m over a volume of water in m³. */
    double depth(double water) {
        double depth = 0;
        for (int round = 0; round <= things; round++) {
            double taken = water;
            double open = area;
            for (int i = 0; i < things; i++) {
                if (section[i] * depth >= most[i] && round > 0) {
                    taken += most[i];
                } else {
                    open -= section[i];
                }
            }
            double next = taken / open;
            if (round > 0 && next == depth) {
                break;
            }
            depth = next;
        }
        return depth;
    }

    /** Volume of a thing under water at a depth, in m³. */
    double under(int which, double depth) {
        return Math.min(section[which] * depth, most[which]);
    }

    /** Volume of all under water at a depth, in m³. */
    double under(double depth) {
        double sum = 0;
        for (int i = 0; i < things; i++) {
            sum += under(i, depth);
        }
        return sum;
    }
}
