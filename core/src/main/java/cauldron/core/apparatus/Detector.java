package cauldron.core.apparatus;

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

    /** What happens then. */
    public Detector then(Happening what) {
        happening = what;
        return this;
    }

    double value(double t, double[] y) {
        return watched.at(t, y) - level;
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
