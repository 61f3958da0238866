package cauldron.core.marking;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;

/**
 * The middle of some values: a few who are far off don't move it, as they would a mean. Points stand to a tenth, so that
 * the middle of two stands to half of one; what the binary digits of a sum add to that is no part of it.
 */
public final class Median {

    private static final double PLACES = 1e9;
    /** The largest whole number of which all below can be told apart, 2⁵³. */
    private static final double MOST_WHOLE = 9.007199254740992e15;

    private Median() {
    }

    /** The middle value, or the mean of the two middle ones; null where there are none. */
    public static Double of(List<Double> values) {
        List<Double> sorted = new ArrayList<>(values);
        Collections.sort(sorted);
        int n = sorted.size();
        if (n == 0) {
            return null;
        }
        return n % 2 == 1 ? sorted.get(n / 2) : rounded((sorted.get(n / 2 - 1) + sorted.get(n / 2)) / 2);
    }

    /** To nine places after the point, where a value has so many. */
    private static double rounded(double value) {
        double shifted = value * PLACES;
        return Math.abs(shifted) < MOST_WHOLE ? Math.rint(shifted) / PLACES : value;
    }
}
