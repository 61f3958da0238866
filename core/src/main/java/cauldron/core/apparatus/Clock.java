package cauldron.core.apparatus;

/** What kind of time an apparatus has. */
public enum Clock {
    /** Seconds, however fast or slowly they are shown. */
    CONTINUOUS,
    /**
     * A person's: what is done bears the instant of the input that did it, and while it counts, time neither stands nor
     * goes slower.
     */
    PERSON,
    /** None: the time line is the list of what was done, one step for each. */
    STEPS;

    /** As pages get it. */
    String inWords() {
        return name().toLowerCase();
    }
}
