package cauldron.core.instrument;

/**
 * A kind of instrument: what all of it have in common, whatever they are graduated in.
 *
 * @param id      lower-case letters with hyphens
 * @param name    as on the tray, where whoever declares one gives no other
 * @param reading how a value is read off it
 * @param hooked  whether it shows what a channel of the apparatus says, which no camera sees: it serves a live bench only
 * @param several whether more than one of them may lie on a bench
 */
public record InstrumentKind(String id, String name, Reading reading, boolean hooked, boolean several) {

    /** How a value is read. */
    public enum Reading {
        /** By eye at the two ends of a length, an angle or a pointer's way: half a division may be missed at each. */
        SCALE,
        /** Off a display, whose last digit may be wrong by one. */
        DIGITS,
        /** Not at all: it only helps to look. */
        NONE
    }

    /**
     * How far a reading may be off, in the unit of the division.
     *
     * @param graduation how many of its own smallest divisions the scale in use is divided in
     */
    double uncertainty(double division, double graduation) {
        return reading == Reading.DIGITS ? division : 2 * (0.5 * division * graduation);
    }
}
