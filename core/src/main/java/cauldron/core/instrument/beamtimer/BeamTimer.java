package cauldron.core.instrument.beamtimer;

import cauldron.core.Stateful;

/**
 * A light beam that a swinging or bouncing body cuts, and a clock that shows the time between two cuts in
 * the same direction: one period. Each direction is timed for itself, so a period is shown twice a swing.
 */
public final class BeamTimer implements Stateful {

    private double lastRising = Double.NaN;
    private double lastFalling = Double.NaN;
    private double period = Double.NaN;

    /** The body cuts the beam, in one direction or the other, at a time in seconds. */
    public void cut(boolean rising, double time) {
        double last = rising ? lastRising : lastFalling;
        if (!Double.isNaN(last)) {
            period = time - last;
        }
        if (rising) {
            lastRising = time;
        } else {
            lastFalling = time;
        }
    }

    /** Forgets the cuts so far, as after a touch by hand; the period last shown stays in view. */
    public void startAfresh() {
        lastRising = Double.NaN;
        lastFalling = Double.NaN;
    }

    /** The period shown, in seconds; NaN before the first. */
    public double period() {
        return period;
    }

    @Override
    public int size() {
        return 3;
    }

    @Override
    public void save(double[] out, int at) {
        out[at] = lastRising;
        out[at + 1] = lastFalling;
        out[at + 2] = period;
    }

    @Override
    public void restore(double[] in, int at) {
        lastRising = in[at];
        lastFalling = in[at + 1];
        period = in[at + 2];
    }
}
