package cauldron.core.instrument.beamtimer;

import cauldron.core.instrument.Instrument;
import cauldron.core.instrument.InstrumentKind;
import cauldron.core.instrument.InstrumentKind.Reading;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * A beam timer laid into the picture: a straight beam between two posts, and a clock that is started and
 * stopped by a body's middle passing through.
 *
 * <p>The body's path is known at even instants, as a film or a run's samples give it. In between, its
 * distance from the beam's line is the cubic through the two instants before and the two after: at 60 a
 * second that is far finer than the clock's millisecond for anything a school swings.
 *
 * @param times when the body passed, in seconds, in order
 * @param signs +1 for one way through, −1 for the other
 */
public record LightGate(double[] times, int[] signs) {

    /** The kind. */
    public static final InstrumentKind KIND = new InstrumentKind("beam-timer", "Beam timer", Reading.DIGITS,
            InstrumentKind.DIGIT, false, true);
    private static final int LAST = 1_000_000;
    private static final int BISECTIONS = 40;

    /** One whose clock shows milliseconds. */
    public static Instrument toMilliseconds() {
        return Instrument.graduated(KIND, "s", LAST * 0.001, 0.001);
    }

    /**
     * Finds the passages of a path through a beam.
     *
     * @param path     x and y one after the other, in any unit of length
     * @param n        how many pairs count
     * @param interval seconds between two pairs
     */
    public static LightGate of(double[] path, int n, double interval, double x1, double y1, double x2, double y2) {
        List<Double> when = new ArrayList<>();
        List<Integer> way = new ArrayList<>();
        double bx = x2 - x1;
        double by = y2 - y1;
        double length2 = bx * bx + by * by;
        for (int i = 1; i < n; i++) {
            double before = side(path, i - 1, x1, y1, bx, by);
            double after = side(path, i, x1, y1, bx, by);
            if (before < 0 == after < 0) {
                continue;
            }
            double earlier = side(path, Math.max(0, i - 2), x1, y1, bx, by);
            double later = side(path, Math.min(n - 1, i + 1), x1, y1, bx, by);
            double part = i >= 2 && i + 1 < n ? root(earlier, before, after, later) : before / (before - after);
            double x = path[2 * i - 2] + part * (path[2 * i] - path[2 * i - 2]);
            double y = path[2 * i - 1] + part * (path[2 * i + 1] - path[2 * i - 1]);
            double along = ((x - x1) * bx + (y - y1) * by) / length2;
            if (along >= 0 && along <= 1) {
                when.add((i - 1 + part) * interval);
                way.add(after > before ? 1 : -1);
            }
        }
        return new LightGate(when.stream().mapToDouble(Double::doubleValue).toArray(),
                way.stream().mapToInt(Integer::intValue).toArray());
    }

    /** Where between 0 and 1 the cubic through values at −1, 0, 1 and 2 is zero; those at 0 and 1 differ in sign. */
    private static double root(double a, double b, double c, double d) {
        double low = 0;
        double high = 1;
        for (int i = 0; i < BISECTIONS; i++) {
            double t = 0.5 * (low + high);
            double value = -a * t * (t - 1) * (t - 2) / 6 + b * (t + 1) * (t - 1) * (t - 2) / 2
                    - c * (t + 1) * t * (t - 2) / 2 + d * (t + 1) * t * (t - 1) / 6;
            if (value < 0 == b < 0) {
                low = t;
            } else {
                high = t;
            }
        }
        return 0.5 * (low + high);
    }

    private static double side(double[] path, int i, double x1, double y1, double bx, double by) {
        return bx * (path[2 * i + 1] - y1) - by * (path[2 * i] - x1);
    }

    /** How often the body has passed by a time. */
    public int passages(double time) {
        int n = Arrays.binarySearch(times, time);
        return n < 0 ? -n - 1 : n + 1;
    }

    /**
     * The last whole period before a time: between two passages the same way; or NaN.
     *
     * @param digit the clock's last digit, in seconds, to which it is rounded
     */
    public double period(double time, double digit) {
        int last = passages(time) - 1;
        for (int i = last - 1; i >= 0; i--) {
            if (signs[i] == signs[last]) {
                return Math.rint((times[last] - times[i]) / digit) * digit;
            }
        }
        return Double.NaN;
    }
}
