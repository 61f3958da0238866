package cauldron.core.analysis;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import cauldron.core.Chance;
import cauldron.core.Tree;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class FitTest {

    private static DataTable table(String xUnit, String yUnit, double[] x, double[] y, String uncertainty, int... out) {
        List<Object> rows = new ArrayList<>();
        for (int i = 0; i < x.length; i++) {
            int at = i;
            boolean left = java.util.Arrays.stream(out).anyMatch(o -> o == at);
            rows.add(Tree.of("id", "r" + i, "cells", Tree.of("x", String.valueOf(x[i]), "y", String.valueOf(y[i])), "out",
                    left ? "slipped" : ""));
        }
        return DataTable.of(Tree.of("columns", List.of(Tree.of("id", "x", "name", "time", "symbol", "t", "unit", xUnit),
                Tree.of("id", "y", "name", "force", "symbol", "F", "unit", yUnit, "uncertainty", uncertainty)), "rows", rows));
    }

    private static DataTable made(String formula, double from, double to, int n, double noise) {
        Formula f = Formula.parse(formula, Set.of("x"));
        Chance chance = new Chance(4);
        double[] x = new double[n];
        double[] y = new double[n];
        for (int i = 0; i < n; i++) {
            x[i] = from + (to - from) * i / (n - 1);
            y[i] = f.value(Map.of("x", x[i])) + noise * chance.exactNormal();
        }
        return table("s", "cm", x, y, "");
    }

    private static Fit fit(DataTable table, String kind) {
        return Fit.of(table, Tree.of("x", "x", "y", "y", "kind", kind));
    }

    /** Each kind finds what made the points, exactly without noise and within 4 standard uncertainties with it. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {
        "proportional | 3.2*x | 0 | 5 | 3.2", "line | 2.5 - 0.4*x | 0 | 9 | -0.4;2.5",
        "quadratic | 4.9*x^2 - x + 3 | -2 | 4 | 4.9;-1;3", "cubic | 0.3x^3 - x^2 + 2 | -3 | 3 | 0.3;-1;0;2",
        "power | 2.2*x^1.5 | 0.5 | 8 | 2.2;1.5", "power | 40*x^(-2) | 0.5 | 4 | 40;-2",
        "inverse | 12/x | 0.5 | 6 | 12", "inverse-square | 9/x^2 | 0.5 | 3 | 9",
        "exponential | 70*exp(-0.05*x) + 20 | 0 | 60 | 70;-0.05;20", "exponential | 2*exp(0.4*x) - 5 | 0 | 8 | 2;0.4;-5",
        "exponential | 900*exp(-1.3*x) | 2 | 6 | 900;-1.3;0", "logarithm | 3*ln(x) + 1 | 1 | 50 | 3;1",
        "sine | 4*sin(2π*x/1.7 + 0.6) + 10 | 0 | 9 | 4;1.7;0.6;10", "sine | 0.02*sin(2π*x/0.25 - 2) | 3 | 4 | 0.02;0.25;-2;0",
        "damped-sine | 6*exp(-0.3*x)*sin(2π*x/0.9 + 1) + 2 | 0 | 6 | 6;0.3;0.9;1;2",
        "normal | 8*exp(-(x-215)^2/(2*12^2)) | 180 | 250 | 8;215;12"})
    void eachKindFindsWhatMadeThePoints(String kind, String formula, double from, double to, String parameters) {
        double[] truth = java.util.Arrays.stream(parameters.split(";")).mapToDouble(Double::parseDouble).toArray();
        CurveFit.Result exact = fit(made(formula, from, to, 60, 0), kind).result();
        for (int k = 0; k < truth.length; k++) {
            assertThat(exact.values()[k]).as(exact.names().get(k)).isCloseTo(truth[k], within(1e-7 * (1 + Math.abs(truth[k]))));
        }
        CurveFit.Result noisy = fit(made(formula, from, to, 60, 1e-3), kind).result();
        for (int k = 0; k < truth.length; k++) {
            assertThat(Math.abs(noisy.values()[k] - truth[k])).as(noisy.names().get(k)).isLessThan(4 * noisy.uncertainties()[k]);
        }
        assertThat(noisy.rms()).isCloseTo(1e-3, within(0.3e-3));
    }

    @Test
    void parametersHaveUnitsAndTheEquationSpeaksTheColumnsSymbols() {
        DataTable t = table("s", "N", new double[] {0, 1, 2, 3}, new double[] {1, 3.1, 4.9, 7}, "");
        Map<String, Object> line = fit(t, "line").toTree();
        assertThat(line.get("equation").toString()).startsWith("F = (1.98 ± 0.04) kg m s⁻³ · t + (1.03 ± ");
        assertThat(Tree.maps(line, "parameters").get(0)).containsEntry("meaning", "gradient").containsEntry("unit", "kg m s⁻³");
        DataTable mass = table("m/s^2", "N", new double[] {1, 2, 3}, new double[] {2, 4.1, 6}, "");
        assertThat(fit(mass, "proportional").unit(0).symbol()).isEqualTo("kg");
        DataTable cm = table("s", "cm", new double[] {1, 2, 3, 4}, new double[] {5.1, 20, 44, 79}, "");
        assertThat(Tree.maps(fit(cm, "quadratic").toTree(), "parameters").get(0)).containsEntry("unit", "cm/s²");
        assertThat(Tree.maps(fit(cm, "power").toTree(), "parameters").get(0)).containsEntry("unitNote", true);
    }

    @Test
    void leftOutRowsAndRowsOutsideTheStretchDontCount() {
        double[] x = {1, 2, 3, 4, 5, 6};
        double[] y = {2, 4, 6, 99, 10, 70};
        DataTable t = table("s", "m", x, y, "", 3);
        Fit fit = Fit.of(t, Tree.of("x", "x", "y", "y", "kind", "proportional", "from", 0.5, "to", 5.5));
        assertThat(fit.result().values()[0]).isCloseTo(2, within(1e-12));
        assertThat(fit.result().points()).isEqualTo(4);
    }

    @Test
    void weightsNeedUncertaintiesAndThenRuleTheirOwn() {
        double[] x = {1, 2, 3, 4};
        double[] y = {2.1, 3.9, 6.2, 7.8};
        Map<String, Object> asked = Tree.of("x", "x", "y", "y", "kind", "proportional", "weighted", true);
        assertThatThrownBy(() -> Fit.of(table("s", "m", x, y, ""), asked)).hasMessageContaining("each needs an uncertainty of F");
        CurveFit.Result r = Fit.of(table("s", "m", x, y, "0.3"), asked).result();
        // u(k) = σ/√Σx², whatever the scatter.
        assertThat(r.uncertainties()[0]).isCloseTo(0.3 / Math.sqrt(30), within(1e-12));
    }

    @Test
    void theStudentsOwnFormulaFindsItsParameters() {
        DataTable t = made("5*(1 - exp(-x/3))", 0.1, 12, 40, 0);
        Fit fit = Fit.of(t, Tree.of("x", "x", "y", "y", "kind", "own", "formula", "F_max*(1-exp(-t/tau))"));
        assertThat(fit.result().names()).containsExactly("F_max", "tau");
        assertThat(fit.result().values()[0]).isCloseTo(5, within(1e-8));
        assertThat(fit.result().values()[1]).isCloseTo(3, within(1e-8));
        assertThat(fit.curve(new double[] {3})[0]).isCloseTo(5 * (1 - Math.exp(-1)), within(1e-8));
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {"a*t + b*t | don't determine", "2*t | has no parameters", "a*exp(b*t | not closed",
        "a*ln(t-2) | no value at some of the points"})
    void noFitWithoutAReason(String formula, String reason) {
        DataTable t = table("s", "m", new double[] {1, 2, 3, 4}, new double[] {1, 2, 2.5, 4}, "");
        assertThatThrownBy(() -> Fit.of(t, Tree.of("x", "x", "y", "y", "kind", "own", "formula", formula)))
                .isInstanceOf(IllegalArgumentException.class).hasMessageContaining(reason);
    }

    @Test
    void tooFewPointsAreNamed() {
        DataTable t = table("s", "m", new double[] {1, 2}, new double[] {1, 2}, "");
        assertThatThrownBy(() -> fit(t, "quadratic")).hasMessageContaining("3 parameters").hasMessageContaining("There are 2");
        DataTable upright = table("s", "m", new double[] {1, 1}, new double[] {1, 2}, "");
        assertThatThrownBy(() -> fit(upright, "line")).hasMessageContaining("same t");
    }

    @Test
    void tangentsAndAreasHaveUnits() {
        DataTable t = made("0.5*x^2 + x", 0, 4, 9, 0);
        GraphMeasures g = new GraphMeasures(t, "x", "y");
        assertThat(g.tangent(1.7, null).get("text")).isEqualTo("2.700 cm/s");
        assertThat(g.tangent(1.7, fit(t, "quadratic")).get("text")).isEqualTo("2.700 cm/s");
        DataTable line = made("3*x", 0, 4, 5, 0);
        Map<String, Object> area = new GraphMeasures(line, "x", "y").area(3.5, 1.25);
        assertThat((Double) area.get("area")).isCloseTo(1.5 * (3.5 * 3.5 - 1.25 * 1.25), within(1e-12));
        assertThat(area.get("text").toString()).endsWith(" cm · s");
    }
}
