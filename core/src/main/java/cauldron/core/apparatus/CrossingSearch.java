package cauldron.core.apparatus;

/**
 * Looks for the moment at which a channel crosses a value, by seeking in a run: in looks as fine as the experiment can turn,
 * then by bisection. Turns that reach beyond the value only for an instant are found by a golden-section search (W. H. Press
 * et al., Numerical Recipes, 3rd ed., 10.2).
 */
final class CrossingSearch {

    /** Part of a sample's interval to which the moment of a crossing is found. */
    private static final double ROOT_ACCURACY = 1e-10;
    private static final int TURN_STEPS = 40;
    private static final double GOLDEN = 0.6180339887498949;

    private final Run run;

    CrossingSearch(Run run) {
        this.run = run;
    }

    /**
     * The first moment after {@code from} and not after {@code to} at which a channel crosses a value; NaN if there is
     * none. Looks finely enough for what the experiment can do, and where the channel turns back just before the value or
     * just beyond it between two looks, into the turn. Leaves the run somewhere on the way.
     */
    double first(StopAt.Crossing stop, double from, double to) {
        try {
            return look(stop, from, to);
        } finally {
            run.comeBackTo(null);
        }
    }

    private double look(StopAt.Crossing stop, double from, double upTo) {
        double to = upTo;
        run.seek(from);
        boolean fine = run.resolution() < run.manifest().interval();
        Checkpoints.Checkpoint here = fine ? run.checkpoint() : null;
        Checkpoints.Checkpoint before = here;
        double[] times = {Double.NaN, Double.NaN, from};
        double[] values = {Double.NaN, Double.NaN, run.read(stop.channel()) - stop.value()};
        while (times[2] < to) {
            double look = Math.min(run.manifest().interval(), run.resolution());
            double next = Math.min(to, times[2] + look);
            run.comeBackTo(before);
            run.seek(next);
            // Where the run is over, nothing lies beyond.
            if (run.isOver()) {
                to = Math.min(to, run.time());
                next = to;
            }
            before = here;
            here = fine ? run.checkpoint() : null;
            double value = run.read(stop.channel()) - stop.value();
            shift(times, next);
            shift(values, value);
            double turn = turn(stop, times, values);
            if (!Double.isNaN(turn)) {
                return root(stop, times[0], turn, values[0]);
            }
            run.seek(next);
            if (values[1] != 0 && value != values[1] && values[1] * value <= 0) {
                return root(stop, times[1], next, values[1]);
            }
        }
        return Double.NaN;
    }

    private static void shift(double[] three, double next) {
        three[0] = three[1];
        three[1] = three[2];
        three[2] = next;
    }

    /** Where, between three looks on one side of the value, the channel turns beyond it; NaN if it doesn't. */
    private double turn(StopAt.Crossing stop, double[] t, double[] f) {
        double side = Math.signum(f[1]);
        boolean nearest = side != 0 && side * f[0] > side * f[1] && side * f[2] >= side * f[1];
        if (!nearest) {
            return Double.NaN;
        }
        // The parabola through the three says whether it is worth looking.
        double rise = Math.max(side * (f[0] - f[1]), side * (f[2] - f[1]));
        if (side * f[1] > rise) {
            return Double.NaN;
        }
        double low = t[0];
        double high = t[2];
        for (int i = 0; i < TURN_STEPS; i++) {
            double left = high - GOLDEN * (high - low);
            double right = low + GOLDEN * (high - low);
            double atLeft = at(stop, left);
            double atRight = at(stop, right);
            if (side * atLeft <= 0 || side * atRight <= 0) {
                return side * atLeft <= 0 ? left : right;
            }
            if (side * atLeft < side * atRight) {
                high = right;
            } else {
                low = left;
            }
        }
        return Double.NaN;
    }

    private double at(StopAt.Crossing stop, double time) {
        run.seek(time);
        return run.read(stop.channel()) - stop.value();
    }

    private double root(StopAt.Crossing stop, double from, double to, double atFrom) {
        double low = from;
        double high = to;
        double middle = 0.5 * (low + high);
        while (high - low > ROOT_ACCURACY * run.manifest().interval() && middle > low && middle < high) {
            if (at(stop, middle) * atFrom > 0) {
                low = middle;
            } else {
                high = middle;
            }
            middle = 0.5 * (low + high);
        }
        run.seek(high);
        return high;
    }
}
