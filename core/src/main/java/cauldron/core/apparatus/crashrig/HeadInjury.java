package cauldron.core.apparatus.crashrig;

import cauldron.core.Stateful;

/**
 * The head injury criterion over windows of up to 15 ms, gathered while a run goes on:
 * <pre>HIC = max over t₁ &lt; t₂ ≤ t₁ + 15 ms of (t₂ − t₁) [ 1/(t₂ − t₁) ∫ a dt ]^2.5</pre>
 * with a in multiples of g and t in seconds (J. Versace, SAE 710881, 1971; 49 CFR 571.208, S6.2). Windows begin and end
 * at the points that are told to it; 0.25 ms apart they find it to about a part in a thousand.
 */
final class HeadInjury implements Stateful {

    static final double G = 9.80665;
    private static final double WINDOW = 0.015;
    /** Points nearer than this to the one before are left out. */
    private static final double APART = 0.9e-4;
    private static final int MOST = 180;

    /** The last points in a ring: time, and the integral of a so far. */
    private final double[] times = new double[MOST];
    private final double[] integrals = new double[MOST];
    private int count;
    private double most;

    /**
     * A point on the way.
     *
     * @param integral of the magnitude of the head's acceleration since the beginning, in m/s
     */
    void at(double t, double integral) {
        if (count > 0 && t - times[(count - 1) % MOST] < APART) {
            return;
        }
        times[count % MOST] = t;
        integrals[count % MOST] = integral / G;
        count++;
        for (int i = count - 2; i >= Math.max(0, count - MOST); i--) {
            double window = t - times[i % MOST];
            if (window > WINDOW * (1 + 1e-9)) {
                break;
            }
            double mean = (integral / G - integrals[i % MOST]) / window;
            most = Math.max(most, window * mean * mean * Math.sqrt(mean));
        }
    }

    /** The criterion so far. */
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
        System.arraycopy(integrals, 0, out, at + 2 + MOST, MOST);
    }

    @Override
    public void restore(double[] in, int at) {
        count = (int) in[at];
        most = in[at + 1];
        System.arraycopy(in, at + 2, times, 0, MOST);
        System.arraycopy(in, at + 2 + MOST, integrals, 0, MOST);
    }
}
