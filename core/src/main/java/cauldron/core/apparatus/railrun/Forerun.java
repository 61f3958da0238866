package cauldron.core.apparatus.railrun;

/**
 * A run told beforehand: the work–energy theorem marched along the rail in short stretches, without time, so that a long
 * run is told at once. Flights are left out: it ends where the rail would be left.
 */
final class Forerun {

    /** Further than this is as good as for ever, in metres. */
    static final double FAR = 3000;
    private static final int STEPS_A_PIECE = 40;

    /** How far it comes until it rests, or leaves the rail, in metres. */
    final double travelled;
    /** Where across it leaves the rail, in metres; NaN where it doesn't. */
    final double leaves;

    private Forerun(double travelled, double leaves) {
        this.travelled = travelled;
        this.leaves = leaves;
    }

    /** Of a wagon let go at a height; without friction there and back once. */
    static Forerun of(Rail rail, double height, double friction, double gravity) {
        double u = rail.from(height);
        double[] p = rail.at(u);
        // Twice the kinetic energy of each kilogram.
        double v2 = 0;
        int way = p[3] <= 0 ? 1 : -1;
        double travelled = 0;
        double step = 1.0 / STEPS_A_PIECE;
        double far = friction == 0 ? 2 * rail.length(rail.size()) : FAR;
        int stuck = 0;
        while (travelled < far && stuck < 2) {
            double next = u + way * step;
            if (next < 0 || next > rail.size()) {
                if (v2 <= 0) {
                    // Against a buffer that it would have to leave uphill it stays.
                    break;
                }
                way = -way;
                continue;
            }
            p = rail.at(u + 0.5 * way * step);
            double stretch = Rail.stretch(p);
            double ds = stretch * step;
            double slope = way * p[3] / stretch;
            double normal = gravity * p[2] / stretch + Rail.curvature(p) * v2;
            if (normal < 0) {
                return new Forerun(travelled, p[0]);
            }
            double after = v2 - 2 * ds * (gravity * slope + friction * normal);
            if (after <= 0) {
                double part = v2 <= 0 ? 0 : v2 / (v2 - after);
                travelled += part * ds;
                u += part * way * step;
                double[] turn = rail.at(u);
                if (turn[2] < 0) {
                    // Where it would turn the rail hangs over: it has fallen off before.
                    return new Forerun(travelled, turn[0]);
                }
                way = -way;
                v2 = 0;
                stuck = part == 0 ? stuck + 1 : 0;
            } else {
                v2 = after;
                u = next;
                travelled += ds;
                stuck = 0;
            }
        }
        return new Forerun(travelled, Double.NaN);
    }
}
