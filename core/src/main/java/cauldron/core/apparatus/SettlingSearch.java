package cauldron.core.apparatus;

/**
 * Looks for the moment at which an outcome is settled: sample by sample for the first one at which it stands, then by
 * bisection, until two neighbouring moments are told apart. One that is settled anew within a single sample's interval
 * is found the first time.
 */
final class SettlingSearch {

    private final Run run;

    SettlingSearch(Run run) {
        this.run = run;
    }

    /**
     * The first moment after {@code from} and not after {@code to} at which an outcome has a value that it didn't have
     * before; NaN if there is none. Leaves the run somewhere on the way.
     */
    double first(Outcome outcome, double from, double to) {
        double interval = run.manifest().interval();
        run.seek(from);
        double was = run.outcome(outcome);
        double at = from;
        while (at < to && !run.isOver()) {
            Checkpoints.Checkpoint here = run.checkpoint();
            run.forward(Math.min(to, at + interval));
            double is = run.outcome(outcome);
            if (!Double.isNaN(is) && is != was) {
                return narrow(outcome, was, here, run.time());
            }
            was = is;
            at = run.time();
        }
        return Double.NaN;
    }

    /** The last moment before one at which an outcome was settled; NaN if there is none. */
    double lastBefore(Outcome outcome, double now) {
        // What stands at this very moment was settled now, not before.
        double clear = now - 1e-6 * run.manifest().interval();
        double last = Double.NaN;
        for (double at = first(outcome, 0, clear); !Double.isNaN(at); at = first(outcome, at, clear)) {
            last = at;
        }
        return last;
    }

    private double narrow(Outcome outcome, double was, Checkpoints.Checkpoint before, double after) {
        double low = before.time();
        double high = after;
        run.comeBackTo(before);
        try {
            double middle = 0.5 * (low + high);
            while (middle > low && middle < high) {
                run.seek(middle);
                double is = run.outcome(outcome);
                if (!Double.isNaN(is) && is != was) {
                    high = middle;
                } else {
                    low = middle;
                }
                middle = 0.5 * (low + high);
            }
        } finally {
            run.comeBackTo(null);
        }
        return high;
    }
}
