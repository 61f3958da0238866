package cauldron.core.marking;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;

/** The middle of some values: a few who are far off don't move it, as they would a mean. */
public final class Median {

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
        return n % 2 == 1 ? sorted.get(n / 2) : (sorted.get(n / 2 - 1) + sorted.get(n / 2)) / 2;
    }
}
