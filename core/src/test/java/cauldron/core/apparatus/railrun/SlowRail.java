package cauldron.core.apparatus.railrun;

import java.util.ArrayList;
import java.util.List;

/**
 * The wagon once more, as simply as can be: a fifty-thousandth of a second after the other by the midpoint rule, with
 * no events but a look after each step. In flight every short chord of the rail is tried for a crossing.
 */
final class SlowRail {

    static final double DT = 2e-5;
    /** Flights shorter than this, in seconds, don't count. */
    static final double HOP = 0.02;
    /** Chords aren't tried before so many seconds of flight: the rail it has just left lies among them. */
    private static final double CLEAR = 5e-3;
    /** In flight chords are tried at each tenth step. */
    private static final int LOOKS = 10;
    private static final int CHORDS = 400;

    /** Time, x, y, speed at a tenth of a second each. */
    final List<double[]> rows = new ArrayList<>();
    double heat;
    double travelled;
    double left = Double.NaN;
    double landed = Double.NaN;
    double rested = Double.NaN;
    int flights;
    int bumps;

    private final Rail rail;
    private final double mu;
    private final double g;
    private double u;
    private double v;
    private double x;
    private double y;
    private double vx;
    private double vy;
    private boolean flies;
    private boolean lies;
    private boolean onGround;
    private double off;
    private double fromX;
    private double fromY;
    private final double[] corners;

    SlowRail(Rail rail, double from, double mu, double g, double until) {
        this.rail = rail;
        this.mu = mu;
        this.g = g;
        u = from;
        corners = new double[2 * (rail.size() * CHORDS + 1)];
        for (int i = 0; i < corners.length / 2; i++) {
            double[] p = rail.at((double) i / CHORDS);
            corners[2 * i] = p[0];
            corners[2 * i + 1] = p[1];
        }
        place();
        lies = stands();
        int steps = (int) Math.round(until / DT);
        for (int i = 1; i <= steps; i++) {
            step(i * DT);
            if (i % 5_000 == 0) {
                rows.add(new double[] {i * DT, x, y, onGround || lies ? 0 : flies ? Math.hypot(vx, vy) : Math.abs(v), flights + (flies ? 1 : 0)});
            }
        }
    }

    private void place() {
        double[] p = rail.at(u);
        x = p[0];
        y = p[1];
    }

    private double down(double[] p) {
        return -g * p[3] / Math.hypot(p[2], p[3]);
    }

    private double press(double[] p, double speed) {
        double ds = Math.hypot(p[2], p[3]);
        return g * p[2] / ds + (p[2] * p[5] - p[3] * p[4]) / (ds * ds * ds) * speed * speed;
    }

    /** At rest here: does it stay? */
    private boolean stands() {
        double[] p = rail.at(u);
        double along = down(p);
        return Math.abs(along) <= Math.max(1e-12, mu * Math.abs(press(p, 0))) || along < 0 && u <= 0
                || along > 0 && u >= rail.size();
    }

    private void step(double t) {
        if (lies || onGround) {
            return;
        }
        if (flies) {
            fly(t);
            return;
        }
        double way = v != 0 ? Math.signum(v) : Math.signum(down(rail.at(u)));
        double[] p = rail.at(u);
        double a = down(p) - way * mu * Math.abs(press(p, v));
        double half = v + 0.5 * DT * a;
        double middle = u + 0.5 * DT * v / Math.hypot(p[2], p[3]);
        p = rail.at(Math.max(0, Math.min(rail.size(), middle)));
        double rub = mu * Math.abs(press(p, half));
        double next = v + DT * (down(p) - way * rub);
        u += DT * half / Math.hypot(p[2], p[3]);
        heat += rub * Math.abs(half) * DT;
        travelled += Math.abs(half) * DT;
        boolean turned = next * way < 0;
        v = turned ? 0 : next;
        if (u < 0 || u > rail.size()) {
            u = Math.max(0, Math.min(rail.size(), u));
            bumps++;
            v = -v;
            if (Math.abs(v) < 0.03 && down(rail.at(u)) * v < 0) {
                heat += 0.5 * v * v;
                v = 0;
                turned = true;
            }
        }
        place();
        if (turned && stands()) {
            lies = true;
            rested = t;
        }
        if (!lies && press(rail.at(u), v) < 0) {
            p = rail.at(u);
            double ds = Math.hypot(p[2], p[3]);
            vx = v * p[2] / ds;
            vy = v * p[3] / ds;
            flies = true;
            left = Double.isNaN(left) ? t : left;
            off = t;
        }
    }

    private void fly(double t) {
        double toX = x + DT * vx;
        double toY = y + DT * vy - 0.5 * g * DT * DT;
        travelled += DT * Math.hypot(vx, vy - 0.5 * g * DT);
        double at = Double.NaN;
        if (t - off > CLEAR && Math.rint(t / DT) % LOOKS == 0) {
            at = crossed(fromX, fromY, toX, toY);
            fromX = toX;
            fromY = toY;
        } else if (t - off <= CLEAR) {
            fromX = toX;
            fromY = toY;
        }
        x = toX;
        y = toY;
        vy -= g * DT;
        if (!Double.isNaN(at)) {
            u = at;
            double[] p = rail.at(u);
            v = (vx * p[2] + vy * p[3]) / Math.hypot(p[2], p[3]);
            heat += 0.5 * (vx * vx + vy * vy - v * v);
            flies = false;
            landed(t);
            place();
        } else if (y <= 0) {
            heat += 0.5 * (vx * vx + vy * vy);
            onGround = true;
            flies = false;
            landed(t);
            rested = t;
            y = 0;
        }
    }

    /** A hop of a few milliseconds along a chord is none. */
    private void landed(double t) {
        if (t - off > HOP) {
            landed = Double.isNaN(landed) ? t : landed;
            flights++;
        }
    }

    /** Where a short way crosses the rail from the side on which wagons run; NaN where it doesn't. */
    private double crossed(double ax, double ay, double bx, double by) {
        for (int i = 0; i < corners.length / 2 - 1; i++) {
            double px = corners[2 * i];
            double py = corners[2 * i + 1];
            double qx = corners[2 * i + 2] - px;
            double qy = corners[2 * i + 3] - py;
            double before = qx * (ay - py) - qy * (ax - px);
            double after = qx * (by - py) - qy * (bx - px);
            if (before > 0 && after <= 0) {
                double share = before / (before - after);
                double cx = ax + share * (bx - ax) - px;
                double cy = ay + share * (by - ay) - py;
                double along = (cx * qx + cy * qy) / (qx * qx + qy * qy);
                if (along >= 0 && along <= 1) {
                    return (i + along) / CHORDS;
                }
            }
        }
        return Double.NaN;
    }
}
