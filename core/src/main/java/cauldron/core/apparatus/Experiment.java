package cauldron.core.apparatus;

/**
 * One apparatus at work. It starts at time 0 and knows nothing of displays: how often and in which
 * pieces it is advanced must not change its numbers. A {@link Run} drives it, keeps its history and
 * takes it back in time through snapshots.
 */
public interface Experiment {

    /** Told of each event, with its exact time. */
    interface EventSink {
        /**
         * Takes note of an event.
         *
         * @param kind place in {@link Manifest#events}
         * @param time model seconds
         */
        void event(int kind, double time);
    }

    /** The settings that rule now: those it was made from, as changed since. */
    Settings settings();

    /** Present time in seconds. */
    double time();

    /**
     * Goes on to a time not before the present, telling of every event in (present, time].
     *
     * @param time model seconds
     */
    void advanceTo(double time, EventSink sink);

    /**
     * Does something to it now, and tells of what that brings about at once. Unknown actions are refused
     * with {@link IllegalArgumentException}, and leave everything as it was.
     */
    void act(Action action, EventSink sink);

    /**
     * In which time a channel can rise and fall again, in seconds; a condition to stop at is looked for this finely.
     * Infinite: no more finely than samples are taken.
     */
    default double resolution() {
        return Double.POSITIVE_INFINITY;
    }

    /** The value of a channel now, in SI; NaN where it has none yet. */
    double read(int channel);

    /** Fills in the scene now, in the order of {@link Manifest#scene}. */
    void scene(double[] out);

    /**
     * Fills in the bodies of a crowd now, for a drawing: x, y in metres and kind, one after the other.
     *
     * @return how many there are; 0 for an apparatus without a crowd
     */
    default int crowd(double[] out) {
        return 0;
    }

    /** The most bodies that {@link #crowd} may give. */
    default int crowdSize() {
        return 0;
    }

    /** Values of a {@link Manifest#distributions distribution} now, for one of its populations. */
    default Population population(int distribution, int which) {
        throw new IllegalArgumentException("There is no distribution here");
    }

    /** The whole state now, enough to {@link #restore} it exactly. */
    double[] snapshot();

    /** Returns to a state that {@link #snapshot} gave. */
    void restore(double[] snapshot);
}
