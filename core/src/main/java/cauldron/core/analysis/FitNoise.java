package cauldron.core.analysis;

import java.util.ArrayList;

/**
 * Parameters of a fit that are nothing but the rounding of its arithmetic: without such a one no point of the curve moves
 * by more than a millionth of a millionth of the greatest height. It is 0, and so is its uncertainty where that is no
 * more; a line through the origin doesn't end at 3.55 × 10⁻¹⁵.
 */
final class FitNoise {

    /** Of the greatest height. A sum of a thousand doubles is rounded by up to some 10⁻¹³ of itself. */
    private static final double ROUNDING = 1e-12;

    private FitNoise() {
    }

    /** The same result, without it. */
    static CurveFit.Result without(CurveFit.Result r, Formula model, String symbol, double[] xs, double[] ys) {
        double height = 0;
        for (double y : ys) {
            height = Math.max(height, Math.abs(y));
        }
        double[] curve = CurveFit.curve(model, symbol, r, xs);
        double[] values = r.values().clone();
        double[] uncertainties = r.uncertainties().clone();
        boolean any = false;
        for (int k = 0; k < values.length; k++) {
            any |= Double.compare(values[k], -0.0) == 0;
            // Nothing is printed as “−0”.
            values[k] += 0.0;
            double moved = values[k] == 0 ? Double.NaN : moved(r, model, symbol, xs, curve, k);
            if (moved <= ROUNDING * height) {
                double each = moved / Math.abs(values[k]);
                values[k] = 0;
                uncertainties[k] = uncertainties[k] * each <= ROUNDING * height ? 0 : uncertainties[k];
                any = true;
            }
        }
        return !any ? r : new CurveFit.Result(new ArrayList<>(r.names()), values, uncertainties, r.covariances(), r.points(),
                r.sumOfSquares(), r.rms(), r.rSquared(), r.centred(), r.fitted(), r.note());
    }

    /** How far the curve moves at most where one parameter is 0; NaN where it can't be drawn without it. */
    private static double moved(CurveFit.Result r, Formula model, String symbol, double[] xs, double[] curve, int k) {
        double[] values = r.values().clone();
        values[k] = 0;
        double[] other = CurveFit.curve(model, symbol, new CurveFit.Result(r.names(), values, r.uncertainties(),
                r.covariances(), r.points(), r.sumOfSquares(), r.rms(), r.rSquared(), r.centred(), r.fitted(), r.note()), xs);
        double most = 0;
        for (int i = 0; i < xs.length; i++) {
            double apart = Math.abs(other[i] - curve[i]);
            if (!(apart <= Double.MAX_VALUE)) {
                return Double.NaN;
            }
            most = Math.max(most, apart);
        }
        return most;
    }
}
