package cauldron.core.apparatus.railrun;

import cauldron.core.apparatus.Forecast;
import cauldron.core.quantity.Numbers;

/**
 * How far a wagon will come before friction has taken all its energy: the work–energy theorem marched along the rail in
 * short stretches, without time, so a long run is told at once. Flights are left out: where the rail would be left the
 * forecast says so.
 */
final class FrictionForecast {

    private static final int STEPS_A_PIECE = 40;
    /** Further than this is as good as for ever, in metres. */
    private static final double FAR = 3000;
    private static final double NEAR = 10;

    private FrictionForecast() {
    }

    static Forecast of(Rail rail, double height, double friction, double gravity) {
        if (friction == 0) {
            return new Forecast(0, "without friction it never comes to rest");
        }
        double u = rail.from(height);
        double[] p = rail.at(u);
        // Twice the kinetic energy of each kilogram.
        double v2 = 0;
        int way = p[3] <= 0 ? 1 : -1;
        double travelled = 0;
        boolean leaves = false;
        double step = 1.0 / STEPS_A_PIECE;
        int stuck = 0;
        while (travelled < FAR && stuck < 2) {
            double next = u + way * step;
            if (next < 0 || next > rail.size()) {
                way = -way;
                continue;
            }
            p = rail.at(u + 0.5 * way * step);
            double stretch = Rail.stretch(p);
            double ds = stretch * step;
            double slope = way * p[3] / stretch;
            double normal = gravity * p[2] / stretch + Rail.curvature(p) * v2;
            leaves |= normal < 0;
            double after = v2 - 2 * ds * (gravity * slope + friction * Math.abs(normal));
            if (after <= 0) {
                double part = v2 <= 0 ? 0 : v2 / (v2 - after);
                travelled += part * ds;
                u += part * way * step;
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
        String off = leaves ? "; it leaves the rail on the way, so less surely" : "";
        if (travelled >= FAR) {
            return new Forecast(0.02, "at rest only after more than " + Numbers.printShort(FAR) + " m" + off);
        }
        double share = 1 - Math.log(Math.max(travelled, NEAR) / NEAR) / Math.log(FAR / NEAR);
        return new Forecast(share, "at rest after about " + Numbers.print(travelled, 2) + " m of rail" + off);
    }
}
