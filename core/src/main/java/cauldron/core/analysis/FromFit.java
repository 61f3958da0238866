package cauldron.core.analysis;

import cauldron.core.quantity.Dimension;
import cauldron.core.quantity.Unit;
import cauldron.core.quantity.Units;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;

/**
 * A quantity that follows from the parameters of a fit, such as the strength of gravity from a gradient:
 * {@code 4π²/m}. Its standard uncertainty follows from theirs to first order, their correlation included
 * (BIPM, GUM:1995, 5.2.2).
 *
 * @param value in {@code unit}
 */
record FromFit(Formula formula, Unit unit, double value, double uncertainty) {

    /**
     * Works it out.
     *
     * @param typed over the names of the fit's parameters
     * @throws FormulaException pointing at the place
     */
    static FromFit of(Fit fit, String typed) {
        CurveFit.Result result = fit.result();
        List<String> names = result.names();
        Formula formula = Formula.parse(typed, new LinkedHashSet<>(names));
        Map<String, Dimension> dimensions = new LinkedHashMap<>();
        Map<String, Evaluation.Value> values = new LinkedHashMap<>();
        double[] factors = new double[names.size()];
        for (int k = 0; k < factors.length; k++) {
            Unit unit = fit.unit(k);
            if (unit == null && formula.symbols().contains(names.get(k))) {
                throw new FormulaException("The unit of " + names.get(k) + " isn't fixed, so nothing follows from it", 0);
            }
            if (unit != null && unit.offset() != 0 && !fit.isOfKind() && formula.symbols().contains(names.get(k))) {
                throw new FormulaException("It isn't clear whether " + names.get(k) + " is a temperature or a difference of two."
                        + " Fit with the temperature in K", 0);
            }
            factors[k] = unit == null ? 1 : unit.factor();
            dimensions.put(names.get(k), unit == null ? Dimension.NONE : unit.dimension());
            values.put(names.get(k), new Evaluation.Value(new double[] {unit == null ? result.values()[k] : unit.toSi(result.values()[k])},
                    DensePartials.unit(k, factors.length, 1)));
        }
        Unit unit = Units.coherent(formula.dimension(dimensions));
        Evaluation.Value found;
        try {
            found = new Evaluation(values, 1, new boolean[1]).of(formula);
        } catch (IllegalArgumentException e) {
            throw new FormulaException(e.getMessage(), 0);
        }
        double variance = 0;
        if (found.partials() != null) {
            double[][] slopes = CurveModel.slopes(found);
            for (int k = 0; k < factors.length; k++) {
                for (int l = 0; l < factors.length; l++) {
                    if (slopes[k] != null && slopes[l] != null) {
                        variance += slopes[k][0] * slopes[l][0] * factors[k] * factors[l] * result.covariances()[k][l];
                    }
                }
            }
        }
        Unit axis = fit.shiftedAxis();
        if (axis != null && isPlace(formula, values, names)) {
            unit = axis;
        }
        return new FromFit(formula, unit, found.numbers()[0], Math.sqrt(Math.max(0, variance)));
    }

    /**
     * Whether it is a place on an axis with a zero of its own, such as −c/m: it goes along when the axis is counted from
     * elsewhere. Then its number counts from the axis's own zero.
     */
    private static boolean isPlace(Formula formula, Map<String, Evaluation.Value> values, List<String> names) {
        double m = values.get(names.get(0)).numbers()[0];
        double c = values.get(names.get(1)).numbers()[0];
        double before = formula.value(Map.of(names.get(0), m, names.get(1), c));
        double after = formula.value(Map.of(names.get(0), m, names.get(1), c - m));
        return Math.abs(after - before - 1) < 1e-9 * Math.max(1, Math.abs(before));
    }
}
