package cauldron.core.marking;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;

/**
 * How long somebody was at a question, from the instants at which something came of it. Longer gaps than a few minutes
 * are breaks, or work on something else, and don't count; so it is what can be seen of the time, and rather less than it
 * was.
 */
public final class WorkTime {

    /** A gap that is longer is a break. */
    static final double LONGEST_GAP = 300;

    private WorkTime() {
    }

    /**
     * Adds up.
     *
     * @param instants in seconds, in any order
     * @return seconds; 0 where fewer than two instants are known
     */
    public static double seconds(List<Double> instants) {
        List<Double> sorted = new ArrayList<>(instants);
        Collections.sort(sorted);
        double sum = 0;
        for (int i = 1; i < sorted.size(); i++) {
            double gap = sorted.get(i) - sorted.get(i - 1);
            sum += gap <= LONGEST_GAP ? gap : 0;
        }
        return sum;
    }

    /** The median of those who spent any time, in minutes to a tenth; null where nobody did. */
    public static Double medianMinutes(List<Double> seconds) {
        Double middle = Median.of(seconds.stream().filter(s -> s > 0).toList());
        return middle == null ? null : Math.floor(middle / 6 + 0.5) / 10;
    }
}
