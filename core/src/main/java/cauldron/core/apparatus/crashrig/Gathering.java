package cauldron.core.apparatus.crashrig;

import cauldron.core.Stateful;

/**
 * What a criterion gathers along a run: the last points of a quantity, newest first, as far back as it looks, and the most
 * it has come to.
 */
final class Gathering implements Stateful {

    /** Points nearer than this to the one before are left out: steps are cut short at events. */
    private static final double APART = 0.9e-4;

    private final double[] times;
    private final double[] values;
    private int count;
    private double most;

    /** For at most so many points. */
    Gathering(int points) {
        times = new double[points];
        values = new double[points];
    }

    /** One more point; answers whether it was taken. */
    boolean add(double t, double value) {
        if (count > 0 && t - time(0) < APART) {
            return false;
        }
        times[count % times.length] = t;
        values[count % times.length] = value;
        count++;
        return true;
    }

    /** How many there are. */
    int known() {
        return Math.min(count, times.length);
    }

    /** When the one was that is so many points back; 0 is the newest. */
    double time(int back) {
        return times[(count - 1 - back) % times.length];
    }

    double value(int back) {
        return values[(count - 1 - back) % times.length];
    }

    /** It has come to so much. */
    void comes(double to) {
        most = Math.max(most, to);
    }

    /** The most it has come to. */
    double most() {
        return most;
    }

    @Override
    public int size() {
        return 2 + 2 * times.length;
    }

    @Override
    public void save(double[] out, int at) {
        out[at] = count;
        out[at + 1] = most;
        System.arraycopy(times, 0, out, at + 2, times.length);
        System.arraycopy(values, 0, out, at + 2 + times.length, times.length);
    }

    @Override
    public void restore(double[] in, int at) {
        count = (int) in[at];
        most = in[at + 1];
        System.arraycopy(in, at + 2, times, 0, times.length);
        System.arraycopy(in, at + 2 + times.length, values, 0, times.length);
    }
}
