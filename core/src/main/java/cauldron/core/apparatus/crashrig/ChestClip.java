package cauldron.core.apparatus.crashrig;

/**
 * The chest's 3 ms acceleration, gathered while a run goes on: the highest value that its magnitude doesn't fall below
 * for 3 ms together (49 CFR 571.208, S6.3). Between the points that are told to it the acceleration is taken as straight.
 */
final class ChestClip {

    private static final double WINDOW = 0.003;
    private static final int MOST = 40;

    /** The acceleration's magnitude. */
    final Gathering values = new Gathering(MOST);

    /** A point on the way, with the acceleration's magnitude in m/s². */
    void at(double t, double a) {
        if (!values.add(t, a)) {
            return;
        }
        double least = a;
        for (int back = 1; back < values.known(); back++) {
            double from = values.time(back);
            if (t - from >= WINDOW) {
                double share = (t - WINDOW - from) / (values.time(back - 1) - from);
                double there = values.value(back) + share * (values.value(back - 1) - values.value(back));
                values.comes(Math.min(least, there));
                return;
            }
            least = Math.min(least, values.value(back));
        }
    }

    /** The criterion so far, in m/s². */
    double value() {
        return values.most();
    }
}
