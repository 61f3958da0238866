package cauldron.core.reference;

/** What is to be said of one value of a table. */
public enum Verdict {
    /** Within its reading error. */
    RIGHT,
    /** A name of something else than what the row was read on. */
    OTHER_RECORDING,
    /** The digits are right, the point isn't. */
    POWER_OF_TEN,
    /** The size is right, the sign isn't. */
    SIGN,
    /** So many repeats weren't counted, but others. */
    MISCOUNTED,
    /** Read right off the scale as it lay, or off the watch as it was set, but that wasn't where it belongs. */
    LAID_WRONG,
    /** Something else than what the scale, or the watch, shows there. */
    MISREAD,
    /** Off, and nothing says why. */
    OFF,
    /** No value, or no name, can be read there. */
    UNREADABLE,
    /** Nothing is known to hold it against. */
    NOT_HELD;

    /** Whether it says that something is wrong. */
    public boolean isFault() {
        return this != RIGHT && this != NOT_HELD;
    }

    /** As it is sent: small letters with hyphens. */
    public String word() {
        return name().toLowerCase().replace('_', '-');
    }
}
