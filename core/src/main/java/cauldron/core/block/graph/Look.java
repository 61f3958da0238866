package cauldron.core.block.graph;

import java.util.List;
import java.util.Map;

/**
 * How a student looks at a graph, as the notebook keeps it.
 *
 * @param x         the column along, by its id; empty: the first of numbers
 * @param y         the column upright
 * @param more      further columns drawn upright
 * @param fits      what is fitted
 * @param range     ends of the axes that were chosen
 * @param bins      of a histogram
 * @param show      how values are shown: as points, a histogram, boxes or dots
 * @param switches  what is on
 */
record Look(String x, String y, List<String> more, List<Fitted> fits, String caption, Range range, Bins bins, String show,
            Switches switches) {

    /**
     * A fit of one series.
     *
     * @param kind    of curve
     * @param series  the column upright, by its id
     * @param from    where the stretch begins that is fitted; null: at the first point
     * @param to      where it ends
     * @param formula the student's own
     * @param start   values that its parameters begin with
     * @param follows what is worked out from its parameters
     * @param found   units that the student was asked to find, by the parameter's name
     */
    record Fitted(String kind, String series, boolean weighted, Double from, Double to, String formula,
                  Map<String, Double> start, List<Follow> follows, Map<String, String> found) {
    }

    /** A quantity that follows from a fit's parameters. */
    record Follow(String name, String formula) {
    }

    /** Ends of axes; null where they follow the points. */
    record Range(Double x0, Double x1, Double y0, Double y1) {
    }

    /** Where bins begin and how wide they are; null where that follows the values. */
    record Bins(Double start, Double width) {
    }

    /** What is on: zeros in sight, a line, logarithmic axes, joined points, no bars, residuals, no sketch behind. */
    record Switches(boolean origin, boolean line, boolean logX, boolean logY, boolean join, boolean noBars, boolean residuals,
                    boolean noSketch) {
    }
}
