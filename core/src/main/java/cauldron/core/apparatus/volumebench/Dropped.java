package cauldron.core.apparatus.volumebench;

import cauldron.core.Tree;
import cauldron.core.apparatus.Act;
import cauldron.core.apparatus.Place;
import cauldron.core.apparatus.Scene;
import cauldron.core.apparatus.Settings;
import cauldron.core.apparatus.volumebench.VolumeBench.Where;
import java.util.Map;

/**
 * What is meant by letting go of something at a place of the table. A lip let go over another vessel pours until the
 * water there stands as high as the hand; a thing let go below the water is held there.
 */
final class Dropped {

    private static final double NEAR = 0.035;
    private static final double OVER = 0.06;
    private static final double BELOW = 0.008;
    private static final double CM = 0.01;
    private static final double ML = 1e-6;

    private final VolumeBench d;
    private final Settings settings;
    private final Scene now;
    private final double x;
    private final double y;

    Dropped(VolumeBench declared, Settings settings, Scene now, double x, double y) {
        d = declared;
        this.settings = settings;
        this.now = now;
        this.x = x;
        this.y = y;
    }

    Map<String, Object> means(Act act, int which) {
        if (act == d.look) {
            return Tree.of(d.lookAt.id(), Math.rint(10 * Math.max(0, Math.min(VolumeBench.HIGHEST, y / CM))) / 10);
        }
        if (act == d.fillUp) {
            return filled(d.fillFrom.options().get(which).value());
        }
        if (act == d.stand) {
            return Tree.of(d.standVessel.id(), d.standVessel.options().get(which).id(), d.standAt.id(),
                    near(d.spout) ? "spout" : near(d.pan) ? "balance" : "home");
        }
        Where vessel = over(Where.JUG);
        String thing = d.putThing.options().get(which).id();
        if (vessel == null) {
            return Tree.of(d.putThing.id(), thing, d.putTo.id(), near(d.pan) && y > -NEAR ? "balance" : "shelf",
                    d.putHow.id(),
                    "free");
        }
        return Tree.of(d.putThing.id(), thing, d.putTo.id(), vessel.id, d.putHow.id(), y < surface(vessel) - BELOW
                ? "held"
                : "free");
    }

    private Map<String, Object> filled(Where from) {
        if (near(d.sink) && y < 0) {
            return Tree.of(d.fillFrom.id(), from.id, d.fillInto.id(), Where.SINK.id, d.fillTo.id(),
                    VolumeBench.MOST_POURED);
        }
        Where into = over(from);
        if (into == null) {
            return null;
        }
        Vessel shape = Table.vessel(d, settings, into);
        double grain = into.ordinal() <= VolumeBench.CYLINDERS && into != Where.JUG
                ? settings.value(d.kind.get(into.ordinal() - 1)).division / ML : 1;
        double to = shape.volumeAtCurve(Math.min(y - now.of(foot(into).y()), shape.floor() + shape.brim())) / ML;
        return Tree.of(d.fillFrom.id(), from.id, d.fillInto.id(), into.id, d.fillTo.id(),
                Math.max(VolumeBench.LEAST_POURED, Math.rint(Math.rint(to / grain) * grain * 10) / 10));
    }

    private boolean near(Place place) {
        return Math.abs(x - now.of(place.x())) < NEAR;
    }

    private Place foot(Where vessel) {
        switch (vessel) {
            case JUG:
                return d.jug;
            case BEAKER:
                return d.beaker;
            case CAN:
                return d.can;
            default:
                return d.cylinders.get(vessel.ordinal() - 1);
        }
    }

    private double surface(Where vessel) {
        return now.of(vessel == Where.CAN ? d.otherFront.get(2) : vessel == Where.BEAKER ? d.otherFront.get(1)
                : d.bottomOfCurve.get(vessel.ordinal() - 1));
    }

    /** The vessel at or above which it is, another than that; null where there is none. */
    private Where over(Where not) {
        for (Where vessel : Where.values()) {
            if (vessel != not && vessel.ordinal() <= Where.CAN.ordinal()) {
                Place foot = foot(vessel);
                Vessel shape = Table.vessel(d, settings, vessel);
                double across = Math.abs(x - now.of(foot.x()));
                double up = y - now.of(foot.y());
                if (across < Math.max(NEAR, shape.radius()) && up > shape.floor() - CM && up < shape.floor()
                        + shape.brim() + OVER) {
                    return vessel;
                }
            }
        }
        return null;
    }
}
