package cauldron.core.apparatus.crashrig;

import cauldron.core.apparatus.Settings;
import java.util.ArrayList;
import java.util.List;

/**
 * The crash once more, as simply as can be: a millionth of a second after the other by the velocity Verlet method, and
 * every body that yields remembers nothing but how far it has been pressed. No events, no phases, no shared code.
 */
final class SlowCrash {

    private static final double DT = 1e-6;
    private static final double CHEST = 73.2;
    private static final double HEAD = 4.54;
    private static final double G = 9.80665;

    /** Yields along a curve of corners, gives back along a steeper line. */
    private static final class Yielding {
        final double[] at;
        final double[] force;
        final double steep;
        double furthest;

        Yielding(double steep, double... corners) {
            this.steep = steep;
            at = new double[corners.length / 2];
            force = new double[at.length];
            for (int i = 0; i < at.length; i++) {
                at[i] = corners[2 * i];
                force[i] = corners[2 * i + 1];
            }
        }

        double curve(double c) {
            for (int i = 1; i < at.length; i++) {
                if (c <= at[i] || i == at.length - 1) {
                    return force[i - 1] + (force[i] - force[i - 1]) * (c - at[i - 1]) / (at[i] - at[i - 1]);
                }
            }
            throw new IllegalStateException();
        }

        /** Pressed by c now: its force. */
        double press(double c) {
            if (c > furthest) {
                furthest = c;
            }
            return furthest <= 0 ? 0 : Math.max(0, curve(furthest) - steep * (furthest - c));
        }

        double stored(double c) {
            double f = press(c);
            return 0.5 * f * f / steep;
        }
    }

    /** Fronts and cabins in a row: one spring, and slides that give way at their strengths until they are at their ends. */
    private static final class Row {
        final double stiffness;
        final double[] strength;
        final double[] length;
        final double[] given;
        double beyond;

        Row(double stiffness, double... strengthAndLength) {
            this.stiffness = stiffness;
            int n = strengthAndLength.length / 2;
            strength = new double[n];
            length = new double[n];
            given = new double[n];
            for (int i = 0; i < n; i++) {
                strength[i] = strengthAndLength[2 * i];
                length[i] = strengthAndLength[2 * i + 1];
            }
        }

        double press(double c) {
            for (int round = 0; round < 20; round++) {
                double slid = beyond;
                for (double one : given) {
                    slid += one;
                }
                double trial = stiffness * (c - slid);
                double weakest = 5e6;
                for (int i = 0; i < given.length; i++) {
                    weakest = given[i] < length[i] ? Math.min(weakest, strength[i]) : weakest;
                }
                if (trial <= weakest * (1 + 1e-12)) {
                    return Math.max(0, trial);
                }
                double over = (trial - weakest) / stiffness;
                if (weakest == 5e6) {
                    beyond += over;
                    continue;
                }
                int sharing = 0;
                for (int i = 0; i < given.length; i++) {
                    sharing += given[i] < length[i] && strength[i] == weakest ? 1 : 0;
                }
                for (int i = 0; i < given.length; i++) {
                    if (given[i] < length[i] && strength[i] == weakest) {
                        given[i] = Math.min(length[i], given[i] + over / sharing);
                    }
                }
            }
            throw new IllegalStateException("never in balance");
        }
    }

    final List<double[]> rows = new ArrayList<>();
    double mass;
    double contact = Double.NaN;
    double cabinYields = Double.NaN;
    double wheel = Double.NaN;
    double dash = Double.NaN;
    double hic;
    double clip;
    double frontCrush;
    double pushedIn;
    double startEnergy;
    double mechanical;
    double mostChestBack;

    private final Row zones;
    private final Yielding belt;
    private final Yielding seat = new Yielding(5e5, 0, 0, 1, 1e5);
    private final Yielding rest = new Yielding(1e5, 0, 0, 1, 2e4);
    private final Yielding column = new Yielding(3e6, 0, 0, 0.074, 11_100, 0.174, 11_100, 1.174, 1_511_100);
    private final Yielding board = new Yielding(3e6, 0, 0, 0.01424, 3560, 0.06424, 3560, 1.06424, 1_503_560);
    private final Yielding bagChest;
    private final Yielding bagHead;
    private final boolean two;
    private final boolean belted;
    private final double slack;
    private final double depth;
    private final double delay;
    private final double mass2;
    private double full = Double.NaN;
    private double chestIn;
    private double headIn;
    private double x1;
    private double v1;
    private double x2;
    private double v2;
    private double xc;
    private double vc;
    private double xh;
    private double vh;
    private double onZones;
    private double onChest;
    private double onHead;

    SlowCrash(CrashRig d, Settings s, double until) {
        Design built = new Design(d, s);
        mass = built.mass();
        two = s.value(d.met) == CrashRig.Met.SLED;
        mass2 = s.si(d.secondMass);
        zones = two ? new Row(5e6, s.si(d.front), built.length, s.si(d.cabin), 1.4, s.si(d.secondFront),
                s.si(d.secondLength), s.si(d.secondCabin), 1.4) : new Row(1e7, s.si(d.front), built.length, s.si(d.cabin), 1.4);
        belted = s.on(d.belt);
        double k = s.si(d.beltStiffness);
        double limit = s.si(d.limit);
        belt = new Yielding(2 * k, 0, 0, limit / k, limit, 9, limit);
        slack = s.si(d.slack);
        double ka = s.si(d.bagStiffness);
        bagChest = new Yielding(8 * ka, 0, 0, 1, ka);
        bagHead = new Yielding(2 * ka, 0, 0, 1, 0.25 * ka);
        depth = s.on(d.bag) ? s.si(d.stroke) : 0;
        delay = s.si(d.delay);
        Approach way = new Approach(d, s);
        x1 = way.from;
        xc = x1;
        xh = x1;
        v1 = way.speed;
        vc = v1;
        vh = v1;
        v2 = -way.against;
        startEnergy = 0.5 * (mass + CHEST + HEAD) * v1 * v1 + (two ? 0.5 * mass2 * v2 * v2 : 0);
        go(until);
    }

    private void forces(double t) {
        double c = x1 - x2;
        onZones = zones.press(c);
        double in = zones.given[1];
        if (Double.isNaN(contact) && c > 0) {
            contact = t;
        }
        double chest = xc - x1;
        double head = xh - x1;
        if (depth > 0 && Double.isNaN(full) && t >= contact + delay) {
            full = t;
            chestIn = Math.max(0, chest + in - 0.35 + depth);
            headIn = Math.max(0, head + in - 0.5 + depth);
        }
        double atWheel = column.press(chest + in - 0.35);
        double atDash = board.press(head + in - 0.5);
        wheel = Double.isNaN(wheel) && atWheel > 0 ? t : wheel;
        dash = Double.isNaN(dash) && atDash > 0 ? t : dash;
        cabinYields = Double.isNaN(cabinYields) && in > 0 ? t : cabinYields;
        double inBag = Double.isNaN(full) ? 0 : bagChest.press(chest + in - 0.35 + depth - chestIn);
        double headInBag = Double.isNaN(full) ? 0 : bagHead.press(head + in - 0.5 + depth - headIn);
        onChest = seat.press(-chest) - (belted ? belt.press(chest - slack) : 0) - atWheel - inBag;
        onHead = rest.press(-head - 0.04) - atDash - headInBag;
    }

    private void go(double until) {
        int steps = (int) Math.round(until / DT);
        List<double[]> millis = new ArrayList<>();
        double shaken = 0;
        forces(0);
        for (int i = 1; i <= steps; i++) {
            double half = 0.5 * DT;
            kick(half);
            x1 += DT * v1;
            x2 += DT * v2;
            xc += DT * vc;
            xh += DT * vh;
            forces(i * DT);
            kick(half);
            double neck = neck();
            shaken += DT * Math.abs((onHead - neck) / HEAD);
            mostChestBack = Math.min(mostChestBack, vc);
            if (i % 100 == 0) {
                millis.add(new double[] {i * DT, shaken / G, Math.abs(onChest + neck) / CHEST});
            }
            if (i % 1000 == 0) {
                rows.add(new double[] {i * DT, v1, vc, vh, v2, zones.given[0], zones.given[1]});
            }
        }
        mechanical = 0.5 * (mass * v1 * v1 + CHEST * vc * vc + HEAD * vh * vh + (two ? mass2 * v2 * v2 : 0))
                + 2500 * (xh - xc) * (xh - xc) + 0.5 * onZones * onZones / zones.stiffness;
        double chest = xc - x1;
        double head = xh - x1;
        double in = zones.given[1];
        mechanical += seat.stored(-chest) + rest.stored(-head - 0.04) + column.stored(chest + in - 0.35)
                + board.stored(head + in - 0.5) + (belted ? belt.stored(chest - slack) : 0)
                + (Double.isNaN(full) ? 0 : bagChest.stored(chest + in - 0.35 + depth - chestIn)
                + bagHead.stored(head + in - 0.5 + depth - headIn));
        frontCrush = zones.given[0];
        pushedIn = zones.given[1];
        injuries(millis);
    }

    /** The head first: it is light, and its damper is stiff. */
    private void kick(double dt) {
        double neck = neck();
        vh += dt * (onHead - neck) / HEAD;
        vc += dt * (onChest + neck) / CHEST;
        v1 += dt * (-onZones - onChest - onHead) / mass;
        v2 += two ? dt * onZones / mass2 : 0;
    }

    private double neck() {
        return 5000 * (xh - xc) + 150 * (vh - vc);
    }

    private void injuries(List<double[]> rows) {
        for (int i = 0; i < rows.size(); i++) {
            for (int j = i + 1; j < rows.size() && j <= i + 150; j++) {
                double window = rows.get(j)[0] - rows.get(i)[0];
                double mean = (rows.get(j)[1] - rows.get(i)[1]) / window;
                hic = Math.max(hic, window * Math.pow(mean, 2.5));
            }
            if (i + 30 < rows.size()) {
                double least = Double.POSITIVE_INFINITY;
                for (int j = i; j <= i + 30; j++) {
                    least = Math.min(least, rows.get(j)[2]);
                }
                clip = Math.max(clip, least);
            }
        }
    }
}
