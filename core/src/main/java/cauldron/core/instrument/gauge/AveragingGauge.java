package cauldron.core.instrument.gauge;

import cauldron.core.Stateful;
import java.util.Arrays;

/**
 * A gauge that shows the mean rate of something over the last stretch of time, as a pressure gauge shows
 * the mean of many blows. It reads running totals off at even ticks and remembers the last of them.
 */
public final class AveragingGauge implements Stateful {

    private final double tick;
    private final int totals;
    private final double[][] ring;
    private int ticks;

    /**
     * A gauge.
     *
     * @param tick    seconds between two readings of the totals
     * @param longest the longest averaging time, in ticks
     * @param totals  how many totals it follows
     */
    public AveragingGauge(double tick, int longest, int totals) {
        this.tick = tick;
        this.totals = totals;
        this.ring = new double[longest + 1][totals];
        this.ticks = 0;
    }

    /** When it has to be told the totals next, in seconds. */
    public double next() {
        return (ticks + 1) * tick;
    }

    /** Takes the totals at {@link #next}. */
    public void tell(double... now) {
        ticks++;
        System.arraycopy(now, 0, ring[ticks % ring.length], 0, totals);
    }

    /**
     * The mean rate of a total over the last stretch, per second; NaN at the very start.
     *
     * @param which   place of the total
     * @param total   its value now
     * @param time    seconds
     * @param stretch averaging time in seconds
     */
    public double rate(int which, double total, double time, double stretch) {
        int from = (int) Math.ceil((time - stretch) / tick - 1e-6);
        from = Math.max(Math.max(0, from), ticks - ring.length + 1);
        double since = time - from * tick;
        return since <= 0 ? Double.NaN : (total - ring[from % ring.length][which]) / since;
    }

    @Override
    public int size() {
        return 1 + ring.length * totals;
    }

    @Override
    public void save(double[] out, int at) {
        out[at] = ticks;
        for (int i = 0; i < ring.length; i++) {
            System.arraycopy(ring[i], 0, out, at + 1 + i * totals, totals);
        }
    }

    @Override
    public void restore(double[] from, int at) {
        ticks = (int) from[at];
        for (int i = 0; i < ring.length; i++) {
            ring[i] = Arrays.copyOfRange(from, at + 1 + i * totals, at + 1 + (i + 1) * totals);
        }
    }
}
