package cauldron.core.apparatus;

import java.util.Arrays;

/** What a run has come to so far, in SI; NaN where that isn't settled. */
public final class Outcomes {

    private final double[] values;

    Outcomes(Manifest manifest) {
        values = new double[manifest.outcomes().size()];
        Arrays.fill(values, Double.NaN);
    }

    /** Notes what something came to. */
    public void put(Outcome outcome, double si) {
        values[outcome.index()] = si;
    }

    /** What something came to. */
    public double of(Outcome outcome) {
        return values[outcome.index()];
    }

    /** All of them, in the manifest's order. */
    double[] values() {
        return values;
    }
}
