package cauldron.core.apparatus;

import java.util.function.BooleanSupplier;

/**
 * Watches for an instant between the steps of an {@link OdeExperiment}: where a function of time and state changes its
 * sign. It stands beside the law, not in it; what happens then it is told once.
 */
public final class Detector {

    /** A function of time (s) and state whose change of sign is watched for. */
    public interface Watched {
        /** Its value; only the sign counts, but it must be smooth where it changes. */
        double at(double t, double[] y);
    }

    /** What happens at a change of sign. */
    public interface Happening {
        /**
         * Told the exact time and state.
         *
         * @param rising whether the function rises through zero
         * @param y      the state, which may be changed: the law goes on from there
         */
        void happens(boolean rising, double t, double[] y, Experiment.EventSink sink);
    }

    private enum Way { EITHER, UP, DOWN }

    private final String name;
    private final Watched watched;
    private double level;
    private Way way = Way.EITHER;
    private Happening happening = (rising, t, y, sink) -> { };
    private BooleanSupplier watching = () -> true;
    private boolean already;

    Detector(String name, Watched watched) {
        this.name = name;
        this.watched = watched;
    }

    /** Watches for a value, passed either way. */
    public Detector crosses(double value) {
        level = value;
        return this;
    }

    /** Watches for a value, passed upwards. */
    public Detector risesTo(double value) {
        level = value;
        way = Way.UP;
        return this;
    }

    /** Watches for a value, passed downwards. */
    public Detector fallsTo(double value) {
        level = value;
        way = Way.DOWN;
        return this;
    }

    /**
     * Watches only while something holds. When that begins, the side on which the function then stands is taken as it is;
     * a function that merely takes another's place hasn't changed its sign.
     */
    public Detector only(BooleanSupplier whileItHolds) {
        watching = whileItHolds;
        return this;
    }

    /** What begins beyond the value has passed it at time 0. */
    public Detector orFromTheStart() {
        already = true;
        return this;
    }

    /** What happens then. */
    public Detector then(Happening what) {
        happening = what;
        return this;
    }

    double value(double t, double[] y) {
        return watched.at(t, y) - level;
    }

    boolean isWatched() {
        return watching.getAsBoolean();
    }

    /** Whether it counts as passed where it begins on a side of zero. */
    boolean happensAlready(double side) {
        return already && (way == Way.UP && side > 0 || way == Way.DOWN && side < 0);
    }

    void passed(boolean rising, double t, double[] y, Experiment.EventSink sink) {
        if (way == Way.EITHER || (way == Way.UP) == rising) {
            happening.happens(rising, t, y, sink);
        }
    }

    @Override
    public String toString() {
        return name;
    }
}
