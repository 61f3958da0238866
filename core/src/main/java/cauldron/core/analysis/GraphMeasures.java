package cauldron.core.analysis;

import cauldron.core.Tree;
import cauldron.core.quantity.Numbers;
import cauldron.core.quantity.Unit;
import java.util.Arrays;
import java.util.Map;

/** What is read off a graph of measured points: gradient at a place, area under a stretch. */
public final class GraphMeasures {

    private final double[][] points;
    private final Unit gradientUnit;
    private final Unit areaUnit;

    /** The points of two columns, in the order of x; rows left out don't count. */
    public GraphMeasures(DataTable table, String xId, String yId) {
        DataTable.Column x = table.need(xId);
        DataTable.Column y = table.need(yId);
        points = java.util.stream.IntStream.range(0, x.values().length)
                .filter(i -> !table.out()[i] && !Double.isNaN(x.values()[i]) && !Double.isNaN(y.values()[i]))
                .mapToObj(i -> new double[] {x.values()[i], y.values()[i]})
                .sorted((a, b) -> Double.compare(a[0], b[0])).toArray(double[][]::new);
        gradientUnit = FitKind.product(y.unit(), 1, x.unit(), -1);
        areaUnit = FitKind.product(y.unit(), 1, x.unit(), 1);
    }

    /**
     * The tangent at a place: through a parabola fitted to the five points nearest to it, or all if there are
     * fewer (A. Savitzky, M. J. E. Golay, Anal. Chem. 36 (1964) 1627, for any spacing); of a fit, where one is
     * given, its own.
     *
     * @return {@code {at, height, gradient, number, unit}}
     */
    public Map<String, Object> tangent(double at, Fit fit) {
        if (points.length < 2) {
            throw new IllegalArgumentException("A tangent needs at least two points");
        }
        double[] found = fit == null ? parabola(at) : new double[] {fit.curve(new double[] {at})[0],
            fit.gradient(at, points[points.length - 1][0] - points[0][0])};
        return Tree.of("at", at, "height", found[0], "gradient", found[1], "number",
                Numbers.print(found[1], 4), "unit", gradientUnit.symbol());
    }

    private double[] parabola(double at) {
        double[][] near = points.clone();
        Arrays.sort(near, (a, b) -> Double.compare(Math.abs(a[0] - at), Math.abs(b[0] - at)));
        int n = Math.min(5, near.length);
        int order = Math.min(3, (int) Arrays.stream(near, 0, n).mapToDouble(p -> p[0]).distinct().count());
        double[][] columns = new double[order][n];
        double[] y = new double[n];
        for (int i = 0; i < n; i++) {
            double d = near[i][0] - at;
            y[i] = near[i][1];
            for (int k = 0; k < order; k++) {
                columns[k][i] = k == 0 ? 1 : k == 1 ? d : d * d;
            }
        }
        LeastSquares solver = new LeastSquares(columns);
        if (order < 2 || solver.singular) {
            throw new IllegalArgumentException("The points there stand one above the other, so there is no gradient");
        }
        double[] b = solver.solve(y);
        return new double[] {b[0], b[1]};
    }

    /**
     * The area between points joined by straight lines and the axis, from one place to another.
     *
     * @return {@code {area, number, unit, from, to}}, the ends drawn in to where there are points
     */
    public Map<String, Object> area(double from, double to) {
        if (points.length < 2) {
            throw new IllegalArgumentException("An area needs at least two points");
        }
        double a = Math.max(Math.min(from, to), points[0][0]);
        double b = Math.min(Math.max(from, to), points[points.length - 1][0]);
        double sum = 0;
        for (int i = 1; i < points.length; i++) {
            double left = Math.max(a, points[i - 1][0]);
            double right = Math.min(b, points[i][0]);
            if (right > left) {
                sum += 0.5 * (height(i, left) + height(i, right)) * (right - left);
            }
        }
        return Tree.of("area", sum, "number", Numbers.print(sum, 4), "unit", areaUnit.symbol(), "from", a, "to", b);
    }

    private double height(int i, double at) {
        double width = points[i][0] - points[i - 1][0];
        double share = width == 0 ? 0 : (at - points[i - 1][0]) / width;
        return points[i - 1][1] + share * (points[i][1] - points[i - 1][1]);
    }
}
