package cauldron.core.apparatus.crashrig;

/**
 * The head injury criterion over windows of up to 15 ms, gathered while a run goes on:
 * <pre>HIC = max over t₁ &lt; t₂ ≤ t₁ + 15 ms of (t₂ − t₁) [ 1/(t₂ − t₁) ∫ a dt ]^2.5</pre>
 * with a in multiples of g and t in seconds (J. Versace, SAE 710881, 1971; 49 CFR 571.208, S6.2). Windows begin and end
 * at the points that are told to it; half a millisecond apart they find it to less than half a per cent.
 */
final class HeadInjury {

    /** Standard acceleration of free fall, in m/s² (CODATA), in multiples of which both criteria are told. */
    static final double G = 9.80665;
    private static final double WINDOW = 0.015;
    /** More than steps of 0.1 ms leave in a window. */
    private static final int MOST = 180;

    /** The integral of a so far. */
    final Gathering integrals = new Gathering(MOST);

    /**
     * A point on the way.
     *
     * @param integral of the magnitude of the head's acceleration since the beginning, in m/s
     */
    void at(double t, double integral) {
        if (!integrals.add(t, integral / G)) {
            return;
        }
        for (int back = 1; back < integrals.known(); back++) {
            double window = t - integrals.time(back);
            if (window > WINDOW * (1 + 1e-9)) {
                return;
            }
            double mean = (integrals.value(0) - integrals.value(back)) / window;
            integrals.comes(window * mean * mean * Math.sqrt(mean));
        }
    }

    /** The criterion so far. */
    double value() {
        return integrals.most();
    }
}
