package cauldron.core.reference;

import cauldron.core.analysis.DataTable;
import cauldron.core.analysis.LabColumns;
import cauldron.core.quantity.Numbers;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * What a student worked out held against what is to be worked out, both from the student's own readings: a wrong
 * reading makes no formula wrong.
 */
public final class WorkedCheck {

    /** Factors that are the same in every row are told within this share. */
    private static final double SAME = 0.005;

    /**
     * What was found of one calculated column, or of something that nothing works out.
     *
     * @param column   id of the student's column; empty where there is none
     * @param expected what it was held against; empty where nothing is known for it
     * @param follows  whether it is what is expected
     */
    public record Worked(String column, String symbol, String expected, boolean follows, String words) {
    }

    private WorkedCheck() {
    }

    /**
     * Holds a table's calculated columns against what is expected.
     *
     * @param lab   the columns of the lab, which what is expected speaks of
     * @param tree  the student's table
     * @param table the same, worked out
     */
    static List<Worked> of(Judging judging, List<Map<String, Object>> lab, Map<String, Object> tree, DataTable table) {
        List<Worked> all = new ArrayList<>();
        Set<String> found = new LinkedHashSet<>();
        Set<String> right = new LinkedHashSet<>();
        for (DataTable.Column column : table.columns()) {
            for (Expected expected : column.calculated() ? judging.expected() : List.<Expected>of()) {
                Ratio ratio = ratio(column, expected, lab, tree, table);
                if (ratio != null && ratio.far() <= expected.percent() / 100 && right.add(column.id())) {
                    found.add(expected.name());
                    all.add(new Worked(column.id(), column.symbol(), expected.name(), true, ""));
                }
            }
        }
        // What is right is taken first: a further column of the same kind of quantity isn't a wrong one.
        List<Expected> open = judging.expected().stream().filter(e -> !found.contains(e.name())).toList();
        for (DataTable.Column column : table.columns()) {
            if (column.calculated() && !right.contains(column.id())) {
                all.add(wrong(column, open, lab, tree, table));
            }
        }
        for (Expected expected : judging.expected()) {
            boolean tried = all.stream().anyMatch(w -> w.expected().equals(expected.name()));
            if (!tried && hasRows(lab, tree, expected)) {
                all.add(new Worked("", "", expected.name(), false, "Nothing works out the " + expected.name() + " ("
                        + expected.formula() + ")."));
            }
        }
        return all;
    }

    private static boolean hasRows(List<Map<String, Object>> lab, Map<String, Object> tree, Expected expected) {
        for (double v : right(lab, tree, expected).values()) {
            if (!Double.isNaN(v)) {
                return true;
            }
        }
        return false;
    }

    /** What is expected, worked out from the student's readings in the lab's own symbols. */
    static DataTable.Column right(List<Map<String, Object>> lab, Map<String, Object> tree, Expected expected) {
        return DataTable.whole(LabColumns.of(lab, tree), expected.formula());
    }

    /** How a column goes together with what is expected; null where they can't be compared. */
    private static Ratio ratio(DataTable.Column column, Expected expected, List<Map<String, Object>> lab,
            Map<String, Object> tree, DataTable table) {
        DataTable.Column right = right(lab, tree, expected);
        if (column.trouble() != null || right.trouble() != null || !right.unit().sameKind(column.unit())) {
            return null;
        }
        Ratio ratio = Ratio.of(column, right, table.out());
        return ratio.rows() == 0 ? null : ratio;
    }

    /** What may be meant by a column that is nothing of what is expected: what it comes nearest to. */
    private static Worked wrong(DataTable.Column column, List<Expected> open, List<Map<String, Object>> lab,
            Map<String, Object> tree, DataTable table) {
        if (column.trouble() != null) {
            return new Worked(column.id(), column.symbol(), "", false, column.trouble() + ".");
        }
        Worked nearest = new Worked(column.id(), column.symbol(), "", true, "");
        double least = Double.POSITIVE_INFINITY;
        for (Expected expected : open) {
            Ratio ratio = ratio(column, expected, lab, tree, table);
            if (ratio != null && ratio.far() < least) {
                least = ratio.far();
                nearest = new Worked(column.id(), column.symbol(), expected.name(), false, told(column, expected,
                        ratio));
            }
        }
        return nearest;
    }

    private static String told(DataTable.Column column, Expected expected, Ratio ratio) {
        String begin = "The " + expected.name() + " should be " + expected.formula() + ", from the same readings. ";
        if (ratio.spread() <= SAME && ratio.mean() > 0) {
            double tens = Math.rint(Math.log10(ratio.mean()));
            boolean power = tens != 0 && Math.abs(ratio.mean() / Math.pow(10, tens) - 1) <= SAME;
            return begin + column.symbol() + " is " + (power ? "off by a power of ten, " : "") + times(ratio.mean())
                    + " that in every row.";
        }
        return begin + "In row " + (ratio.worst() + 1) + " " + column.symbol() + " is " + times(ratio.worstRatio())
                + " that.";
    }

    private static String times(double ratio) {
        return Numbers.print(ratio, 3) + " times";
    }

    /**
     * How two columns go together.
     *
     * @param far    how far the ratio is from one where it is farthest
     * @param spread of the ratios, as a share of their mean
     * @param worst  the row where it is farthest
     */
    private record Ratio(int rows, double mean, double spread, double far, int worst, double worstRatio) {

        static Ratio of(DataTable.Column column, DataTable.Column right, boolean[] out) {
            double sum = 0;
            double least = Double.POSITIVE_INFINITY;
            double most = Double.NEGATIVE_INFINITY;
            double far = 0;
            int worst = 0;
            double worstRatio = 1;
            int n = 0;
            for (int i = 0; i < column.values().length; i++) {
                double own = column.unit().toSi(column.values()[i]);
                double wanted = right.unit().toSi(right.values()[i]);
                if (out[i] || Double.isNaN(own) || Double.isNaN(wanted) || Double.isInfinite(own) || wanted == 0
                        && own == 0) {
                    continue;
                }
                double ratio = wanted == 0 ? Double.MAX_VALUE : own / wanted;
                n++;
                sum += ratio;
                least = Math.min(least, ratio);
                most = Math.max(most, ratio);
                if (Math.abs(ratio - 1) > far) {
                    far = Math.abs(ratio - 1);
                    worst = i;
                    worstRatio = ratio;
                }
            }
            double mean = sum / n;
            return new Ratio(n, mean, (most - least) / Math.abs(mean), far, worst, worstRatio);
        }
    }
}
