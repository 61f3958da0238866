package cauldron.core.analysis;

import org.hipparchus.stat.regression.SimpleRegression;

/**
 * A straight line by ordinary least squares, all points counting alike (N. R. Draper, H. Smith, Applied
 * Regression Analysis, ch. 1). Standard uncertainties come from the scatter of the points about the
 * line with n − 2 degrees of freedom, so they need three points.
 *
 * @param slope                units of y over units of x
 * @param intercept            in units of y
 * @param slopeUncertainty     standard uncertainty; NaN for fewer than three points
 * @param interceptUncertainty standard uncertainty; NaN for fewer than three points
 * @param rSquared             share of the variance explained
 */
public record LineFit(int points, double slope, double intercept, double slopeUncertainty,
                      double interceptUncertainty, double rSquared) {

    /**
     * Fits y = slope · x + intercept to the pairs in which both are numbers.
     *
     * @throws IllegalArgumentException with the reason why there is no line
     */
    public static LineFit of(double[] x, double[] y) {
        SimpleRegression regression = new SimpleRegression();
        double least = Double.POSITIVE_INFINITY;
        double most = Double.NEGATIVE_INFINITY;
        for (int i = 0; i < Math.min(x.length, y.length); i++) {
            if (!Double.isNaN(x[i]) && !Double.isNaN(y[i])) {
                regression.addData(x[i], y[i]);
                least = Math.min(least, x[i]);
                most = Math.max(most, x[i]);
            }
        }
        if (regression.getN() < 2) {
            throw new IllegalArgumentException("A line needs at least two points");
        }
        if (least == most) {
            throw new IllegalArgumentException("All points have the same value along the axis, so no line fits");
        }
        boolean three = regression.getN() > 2;
        return new LineFit((int) regression.getN(), regression.getSlope(), regression.getIntercept(),
                three ? regression.getSlopeStdErr() : Double.NaN,
                three ? regression.getInterceptStdErr() : Double.NaN, regression.getRSquare());
    }
}
