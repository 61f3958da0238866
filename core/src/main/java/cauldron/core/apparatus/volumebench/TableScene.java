package cauldron.core.apparatus.volumebench;

import cauldron.core.apparatus.Scene;
import cauldron.core.apparatus.Settings;
import cauldron.core.apparatus.volumebench.VolumeBench.Spot;
import cauldron.core.apparatus.volumebench.VolumeBench.Where;

/** The table as the eye sees it: scales at their heights, surfaces where they appear on the front of their vessels. */
final class TableScene {

    private static final double ML = 1e-6;
    private static final double GRIP = 0.011;
    /** Places across a cylinder at which its surface is drawn. */
    private static final int ACROSS = 24;

    private final VolumeBench d;
    private final OnTable t;
    private final double eye;
    private final Scene out;

    TableScene(VolumeBench declared, OnTable table, double eye, Scene out) {
        d = declared;
        t = table;
        this.eye = eye;
        this.out = out;
    }

    /** Fills in all but what the balance shows and what ran out. */
    void draw(Settings settings) {
        for (int i = 0; i < VolumeBench.CYLINDERS; i++) {
            cylinder(i, settings.value(d.kind.get(i)));
        }
        other(Where.JUG, 0);
        other(Where.BEAKER, 1);
        other(Where.CAN, 2);
        out.put(d.jug, Table.JUG_AT, 0);
        out.put(d.jugLip, Table.JUG_AT - Table.JUG.radius(), Table.JUG.floor() + Table.JUG.brim());
        double beaker = t.at(Where.BEAKER);
        double under = t.ground(Where.BEAKER);
        out.put(d.beaker, beaker, under);
        out.put(d.beakerLip, beaker + Table.BEAKER.radius(), under + Table.BEAKER.brim() - GRIP / 2);
        out.put(d.beakerFoot, beaker, under + GRIP);
        out.put(d.can, Table.CAN_AT, 0);
        out.put(d.canLip, Table.CAN_AT - Table.CAN.radius(), Table.SPOUT_HEIGHT + GRIP);
        for (Thing thing : OnTable.THINGS) {
            thing(thing);
        }
        out.put(d.eyeAt, Table.EYE_AT, eye);
        out.put(d.spout, Table.SPOUT_AT, Table.SPOUT_HEIGHT);
        out.put(d.pan, Table.PAN_AT, Table.PAN_HEIGHT);
        out.put(d.sink, Table.SINK_AT, Table.SHELF);
        out.put(d.shelf, Table.SHELF);
        out.put(d.grip, GRIP);
    }

    private void cylinder(int i, Cylinder cylinder) {
        Where where = OnTable.ALL[1 + i];
        Vessel shape = cylinder.vessel;
        double foot = t.ground(where);
        double middle = t.at(where);
        double r = shape.radius();
        Sight sight = new Sight(eye - foot);
        Meniscus curve = shape.curve();
        double bottom = shape.bottomOfCurve(t.stands(where));
        out.put(d.cylinders.get(i), middle, foot);
        out.put(d.lips.get(i), middle + r, foot + shape.floor() + shape.brim() - GRIP / 2);
        out.put(d.feet.get(i), middle, foot + shape.floor() / 2);
        out.put(d.capacity.get(i), cylinder.capacity / ML);
        out.put(d.division.get(i), cylinder.division / ML);
        out.put(d.labelled.get(i), cylinder.labelled / ML);
        out.put(d.bore.get(i), 2 * r);
        out.put(d.zero.get(i), foot + 2 * cylinder.mark(cylinder.capacity / 2) - cylinder.mark(cylinder.capacity));
        out.put(d.top.get(i), foot + cylinder.mark(cylinder.capacity));
        out.put(d.brim.get(i), foot + shape.floor() + shape.brim());
        out.put(d.bottomOfCurve.get(i), foot + bottom);
        out.put(d.wet.get(i), t.isWet(where));
        out.put(d.wallFront.get(i), foot + bottom + curve.rise());
        out.put(d.wallBack.get(i), foot + sight.seen(bottom + curve.rise(), 2 * r, r));
        double[] points = new double[2 * (ACROSS + 1)];
        for (int k = 0; k <= ACROSS; k++) {
            double across = r * (2.0 * k / ACROSS - 1);
            points[2 * k] = middle + across;
            points[2 * k + 1] = foot + sight.seen(bottom + curve.height(across), r, r);
        }
        out.put(d.curve.get(i), points);
    }

    private void other(Where where, int which) {
        Vessel shape = t.vessel(where);
        double foot = t.ground(where);
        double surface = shape.floor() + t.depth(where);
        out.put(d.otherFront.get(which), foot + surface);
        out.put(d.otherBack.get(which), foot + new Sight(eye - foot).seen(surface, 2 * shape.radius(), shape.radius()));
    }

    private void thing(Thing thing) {
        int i = thing.ordinal();
        Where vessel = t.vesselOf(thing);
        double x = t.spotOf(thing) == Spot.BALANCE ? Table.PAN_AT : Table.onShelf(thing);
        double y = t.spotOf(thing) == Spot.BALANCE ? Table.PAN_HEIGHT : Table.SHELF;
        if (vessel != null) {
            // What sinks stands on the floor; what floats, or is held under, stands so that its part under water is.
            double below = t.underWater(thing) / t.volume(thing) * t.height(thing);
            boolean sinks = thing.density > OnTable.DENSITY;
            x = t.at(vessel) + beside(thing, vessel);
            y = t.ground(vessel) + t.vessel(vessel).floor() + (sinks ? 0 : Math.max(0, t.depth(vessel) - below));
        }
        out.put(d.things.get(i), x, y);
        out.put(d.grips.get(i), x, y + t.height(thing) / 2);
        out.put(d.size.get(i), t.size(thing));
    }

    /** How far from the middle of a vessel a thing lies among the others in it. */
    private double beside(Thing thing, Where vessel) {
        double all = 0;
        double before = 0;
        for (Thing other : OnTable.THINGS) {
            if (t.vesselOf(other) == vessel) {
                double wide = t.width(other);
                before += other.ordinal() < thing.ordinal() ? wide : other == thing ? wide / 2 : 0;
                all += wide;
            }
        }
        return before - all / 2;
    }
}
