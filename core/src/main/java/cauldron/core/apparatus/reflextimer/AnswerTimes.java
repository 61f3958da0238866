package cauldron.core.apparatus.reflextimer;

import cauldron.core.Stateful;
import cauldron.core.analysis.Statistics;
import java.util.Arrays;

/** The reaction times of a set so far, in seconds, as an experiment remembers them. */
final class AnswerTimes implements Stateful {

    private final double[] times = new double[ReflexTimer.MOST_EVENTS];
    private int count;

    void add(double time) {
        times[count++] = time;
    }

    int count() {
        return count;
    }

    /** The last one; NaN before the first. */
    double last() {
        return count == 0 ? Double.NaN : times[count - 1];
    }

    /** All of them, in their order. */
    double[] all() {
        return Arrays.copyOf(times, count);
    }

    Statistics statistics() {
        return Statistics.of(all());
    }

    @Override
    public int size() {
        return 1 + times.length;
    }

    @Override
    public void save(double[] out, int at) {
        out[at] = count;
        System.arraycopy(times, 0, out, at + 1, times.length);
    }

    @Override
    public void restore(double[] in, int at) {
        count = (int) in[at];
        System.arraycopy(in, at + 1, times, 0, times.length);
    }
}
