package cauldron.core.reference;

import cauldron.core.Tree;
import cauldron.core.instrument.Instrument;
import cauldron.core.instrument.ruler.Ruler;
import cauldron.core.instrument.tape.LongTape;
import java.util.Map;

/**
 * A straight scale as a student laid it over the picture: where its zero is, and which way it runs. It answers what
 * stands at it beside a point.
 *
 * @param instrument what lies there
 * @param x          of its zero, in picture elements, to the right
 * @param y          of its zero, downwards
 * @param angle      its way, in radians, clockwise from the right
 * @param graduation how many of its own smallest divisions the scale in use is divided in
 */
record LaidScale(Instrument instrument, double x, double y, double angle, double graduation) {

    /** A scale from how it lay; null where it is none, or where that can't be read. */
    static LaidScale of(Instrument instrument, Map<String, Object> place) {
        try {
            double graduation = Math.max(1, Tree.number(place, "division", 1));
            if (instrument.kind().id().equals(Ruler.KIND.id())) {
                return new LaidScale(instrument, Tree.number(place, "x"), Tree.number(place, "y"),
                        Math.toRadians(Tree.number(place, "angle", 0)), graduation);
            }
            if (instrument.kind().id().equals(LongTape.KIND.id())) {
                double x = Tree.number(place, "x1");
                double y = Tree.number(place, "y1");
                return new LaidScale(instrument, x, y,
                        Math.atan2(Tree.number(place, "y2") - y, Tree.number(place, "x2") - x), graduation);
            }
        } catch (IllegalArgumentException e) {
            // An odd placing says nothing.
        }
        return null;
    }

    /** What it shows beside a point, in picture elements: the foot of the perpendicular upon it. */
    double at(double px, double py) {
        return (px - x) * Math.cos(angle) + (py - y) * Math.sin(angle);
    }
}
