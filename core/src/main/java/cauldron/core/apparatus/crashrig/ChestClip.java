package cauldron.core.apparatus.crashrig;

import cauldron.core.Stateful;

/**
 * The chest's 3 ms acceleration, gathered while a run goes on: the highest value that its magnitude doesn't fall below
 * for 3 ms together (49 CFR 571.208, S6.3). Between the points that are told to it the acceleration is taken as straight.
 */
final class ChestClip implements Stateful {

    private static final double WINDOW = 0.003;
    private static final double APART = 0.9e-4;
    private static final int MOST = 40;

    private final double[] times = new double[MOST];
    private final double[] values = new double[MOST];
    private int count;
    private double most;

    /** A point on the way, with the acceleration's magnitude in m/s². */
    void at(double t, double a) {
        if (count > 0 && t - times[(count - 1) % MOST] < APART) {
            return;
        }
        times[count % MOST] = t;
        values[count % MOST] = a;
        count++;
        double least = a;
        for (int i = count - 2; i >= Math.max(0, count - MOST); i--) {
            double back = t - times[i % MOST];
            if (back >= WINDOW) {
                double later = times[(i + 1) % MOST];
                double share = (t - WINDOW - times[i % MOST]) / (later - times[i % MOST]);
                double there = values[i % MOST] + share * (values[(i + 1) % MOST] - values[i % MOST]);
                most = Math.max(most, Math.min(least, there));
                return;
            }
            least = Math.min(least, values[i % MOST]);
        }
    }

    /** The 3 ms value so far, in m/s². */
    double value() {
        return most;
    }

    @Override
    public int size() {
        return 2 + 2 * MOST;
    }

    @Override
    public void save(double[] out, int at) {
        out[at] = count;
        out[at + 1] = most;
        System.arraycopy(times, 0, out, at + 2, MOST);
        System.arraycopy(values, 0, out, at + 2 + MOST, MOST);
    }

    @Override
    public void restore(double[] in, int at) {
        count = (int) in[at];
        most = in[at + 1];
        System.arraycopy(in, at + 2, times, 0, MOST);
        System.arraycopy(in, at + 2 + MOST, values, 0, MOST);
    }
}
