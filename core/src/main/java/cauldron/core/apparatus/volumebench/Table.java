package cauldron.core.apparatus.volumebench;

import cauldron.core.apparatus.Settings;
import cauldron.core.apparatus.volumebench.VolumeBench.Where;

/** How the table is laid out, in metres from its left edge and its top; and what its vessels are. */
final class Table {

    static final double[] CYLINDERS = {0.118, 0.186, 0.24};
    static final double JUG_AT = 0.042;
    static final double CAN_AT = 0.306;
    /** Where what runs out of the can's spout falls. */
    static final double SPOUT_AT = 0.381;
    static final double BEAKER_AT = 0.446;
    static final double PAN_AT = 0.517;
    static final double PAN_HEIGHT = 0.035;
    static final double SINK_AT = 0.53;
    static final double SHELF = -0.075;
    static final double EYE_AT = 0.572;
    private static final double FIRST_THING = 0.04;
    private static final double BETWEEN_THINGS = 0.076;
    /** Height of the spout's lip above the table. */
    static final double SPOUT_HEIGHT = 0.167;

    static final Vessel JUG = new Vessel(0.039, 0.005, 0.215, 0.4);
    static final Vessel BEAKER = new Vessel(0.026, 0.004, 0.066, 0.065);
    /** On its block; it runs over at its spout. */
    static final Vessel CAN = new Vessel(0.032, 0.092, 0.075, 0.2);

    private Table() {
    }

    /** A vessel; not for what isn't one. */
    static Vessel vessel(VolumeBench d, Settings settings, Where where) {
        switch (where) {
            case JUG:
                return JUG;
            case BEAKER:
                return BEAKER;
            case CAN:
                return CAN;
            case SINK:
            case TABLE:
                throw new IllegalArgumentException(where + " is no vessel");
            default:
                return settings.value(d.kind.get(where.ordinal() - 1)).vessel;
        }
    }

    /** Where a vessel stands when it is in its place. */
    static double home(Where where) {
        return where == Where.JUG ? JUG_AT : where == Where.BEAKER ? BEAKER_AT : where == Where.CAN ? CAN_AT
                : CYLINDERS[where.ordinal() - 1];
    }

    /** Where a thing lies on the shelf. */
    static double onShelf(Thing thing) {
        return FIRST_THING + BETWEEN_THINGS * thing.ordinal();
    }
}
