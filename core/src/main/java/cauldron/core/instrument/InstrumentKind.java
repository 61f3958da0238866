package cauldron.core.instrument;

/**
 * A kind of instrument: what all of it have in common, whatever they are graduated in.
 *
 * @param id      lower-case letters with hyphens
 * @param name    as on the tray, where whoever declares one gives no other
 * @param reading how a value is read off it
 * @param hooked  whether it shows what a channel of the apparatus says, which no camera sees: it serves a live bench only
 * @param missed  which part of a smallest division a reading may miss: what people estimate between two marks, a tenth
 *                where a fine mark or pointer stands on the scale, a fifth where a free end or an arm is judged along it;
 *                1 for a display, whose last digit may be wrong by one
 * @param several whether more than one of them may lie on a bench
 */
public record InstrumentKind(String id, String name, Reading reading, double missed, boolean hooked, boolean several) {

    /** Part of a division that is estimated where a fine mark or pointer stands on a scale. */
    public static final double TENTH = 0.1;
    /** The same where a free end or an arm is judged along a scale. */
    public static final double FIFTH = 0.2;
    /** The last digit of a display. */
    public static final double DIGIT = 1;

    /** How a value is read. */
    public enum Reading {
        /** By eye between the marks of a scale. */
        SCALE,
        /** Off a display, whose last digit may be wrong by one. */
        DIGITS,
        /** Not at all: it only helps to look. */
        NONE
    }

    /**
     * How far a reading may be off, in the unit of the division: what a value typed beside it has as its uncertainty until
     * somebody says otherwise.
     *
     * @param graduation how many of its own smallest divisions the scale in use is divided in
     */
    double uncertainty(double division, double graduation) {
        return reading == Reading.DIGITS ? division : missed * division * graduation;
    }
}
