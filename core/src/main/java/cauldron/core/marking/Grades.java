package cauldron.core.marking;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * What a student's labs come to over a term: within a category points are added up, and categories are weighed against
 * each other. A category of which nothing counts yet leaves its weight to the others.
 */
public final class Grades {

    /** How far somebody has come with a lab; returned is given back for another go. */
    public enum State { NOT_STARTED, WORKING, SUBMITTED, RETURNED }

    /**
     * One lab of a student.
     *
     * @param category whose weight it shares; any name
     * @param points   so far
     * @param of       all it can bring
     * @param due      whether its due time is over
     * @param excused  whether the student needn't do it
     */
    public record Entry(String category, double points, double of, State state, boolean due, boolean excused) {

        /** Whether it is due and wasn't handed in: it counts, and brings nothing. */
        public boolean missing() {
            return due && !excused && (state == State.NOT_STARTED || state == State.WORKING);
        }

        /** Whether it counts by now. */
        public boolean counts() {
            return !excused && of > 0 && (missing() || state == State.SUBMITTED || state == State.RETURNED);
        }

        double counted() {
            return missing() ? 0 : points;
        }
    }

    private Grades() {
    }

    /** What one lab brought, in per cent to a tenth; null where it can bring nothing. */
    public static Double percent(double points, double of) {
        return of == 0 ? null : tenth(100 * points / of);
    }

    /** Half a tenth counts up, however its binary digits fell. */
    private static double tenth(double value) {
        return Math.floor(10 * value + 0.5 + 1e-9) / 10;
    }

    /**
     * Adds up.
     *
     * @param weights of the categories; one that isn't among them weighs 1
     * @return per cent, to a tenth; null where nothing counts yet
     */
    public static Double percent(List<Entry> entries, Map<String, Double> weights) {
        Map<String, double[]> sums = new LinkedHashMap<>();
        for (Entry e : entries) {
            if (e.counts()) {
                double[] sum = sums.computeIfAbsent(e.category(), c -> new double[2]);
                sum[0] += e.counted();
                sum[1] += e.of();
            }
        }
        double got = 0;
        double all = 0;
        for (Map.Entry<String, double[]> sum : sums.entrySet()) {
            double weight = weights.getOrDefault(sum.getKey(), 1.0);
            got += weight * sum.getValue()[0] / sum.getValue()[1];
            all += weight;
        }
        return all == 0 ? null : tenth(100 * got / all);
    }
}
