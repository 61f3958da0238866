package cauldron.core.analysis;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import cauldron.core.RandomSource;
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
        RandomSource chance = new RandomSource(4);
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
        assertThat(Tree.maps(fit(cm, "power").toTree(), "parameters").get(0)).containsEntry("unitFixed", false);
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
        assertThat(g.tangent(1.7, null)).containsEntry("number", "2.700").containsEntry("unit", "cm/s");
        assertThat(g.tangent(1.7, fit(t, "quadratic"))).containsEntry("number", "2.700").containsEntry("unit", "cm/s");
        DataTable line = made("3*x", 0, 4, 5, 0);
        Map<String, Object> area = new GraphMeasures(line, "x", "y").area(3.5, 1.25);
        assertThat((Double) area.get("area")).isCloseTo(1.5 * (3.5 * 3.5 - 1.25 * 1.25), within(1e-12));
        assertThat(area).containsEntry("unit", "cm · s");
    }

    private static Map<String, Object> own(String formula, String xUnit, String yUnit) {
        double[] x = new double[12];
        double[] y = new double[12];
        Formula f = Formula.parse("3*exp(-t/2) + 0.5*t + 1", Set.of("t"));
        for (int i = 0; i < x.length; i++) {
            x[i] = 0.5 + 0.5 * i;
            y[i] = f.value(Map.of("t", x[i])) + (i % 2 == 0 ? 0.001 : -0.001);
        }
        Map<String, Object> tree = Fit.of(table(xUnit, yUnit, x, y, ""), Tree.of("x", "x", "y", "y", "kind", "own", "formula", formula)).toTree();
        Map<String, Object> units = new java.util.LinkedHashMap<>();
        Tree.maps(tree, "parameters").forEach(p -> units.put(Tree.text(p, "name"), Tree.flag(p, "unitFixed") ? Tree.text(p, "unit") : "?"));
        return units;
    }

    /** What is added must be alike, and what exp takes a number: so the axes determine the units of the parameters. */
    @Test
    void theUnitsOfAModelsParametersFollowFromTheAxes() {
        assertThat(own("A*exp(-t/τ) + B + v*t", "s", "cm")).isEqualTo(Tree.of("A", "cm", "τ", "s", "B", "cm", "v", "cm/s"));
        assertThat(own("a*t^2 + b*√t + c", "s", "N")).isEqualTo(Tree.of("a", "kg m s⁻⁴", "b", "kg m/s^(5/2)", "c", "N"));
        assertThat(own("a*t + b", "m", "m")).isEqualTo(Tree.of("a", "", "b", "m"));
        assertThat(own("(a + t)/b", "s", "m")).isEqualTo(Tree.of("a", "s", "b", "s m⁻¹"));
        // A bare number in place of a constant with a unit: nothing can be said.
        assertThat(own("a*t + 1", "s", "m")).isEqualTo(Tree.of("a", "?"));
        // A power to be found: the factor's unit hangs on it, the power itself is a number.
        assertThat(own("A*t^n", "s", "m")).isEqualTo(Tree.of("A", "?", "n", ""));
    }

    @Test
    void theFactorOfAPowerIsWrittenWithItsOpenPower() {
        assertThat(Fit.of(made("2.2*x^1.5", 0.5, 8, 20, 0), Tree.of("x", "x", "y", "y", "kind", "power")).toTree().get("equation").toString())
                .startsWith("F = 2.20000 cm/sⁿ · t^1.5");
    }

    private static final double[] LENGTHS = {0.2, 0.4, 0.6, 0.8, 1.0, 1.2};
    private static final double[] SQUARES = {0.81, 1.60, 2.43, 3.20, 4.04, 4.81};

    private static Map<String, Object> gravity(Object... more) {
        Map<String, Object> asked = Tree.of("x", "x", "y", "y", "kind", "line", "follows",
                List.of(Tree.of("name", "g", "formula", "4π²/m"), Tree.of("name", "x_0", "formula", "-c/m")));
        asked.putAll(Tree.of(more));
        return Fit.of(table("m", "s^2", LENGTHS, SQUARES, ""), asked).toTree();
    }

    /** For one parameter the relative uncertainties are equal; the place where a line crosses nought needs both and their correlation. */
    @Test
    void whatFollowsFromAFitBearsTheUncertaintyOfItsParameters() {
        Map<String, Object> tree = gravity();
        Map<String, Object> m = Tree.maps(tree, "parameters").get(0);
        Map<String, Object> c = Tree.maps(tree, "parameters").get(1);
        Map<String, Object> g = Tree.maps(tree, "follows").get(0);
        double slope = Tree.number(m, "value");
        assertThat(Tree.number(g, "value")).isCloseTo(4 * Math.PI * Math.PI / slope, within(1e-12));
        assertThat(Tree.number(g, "uncertainty") / Tree.number(g, "value")).isCloseTo(Tree.number(m, "uncertainty") / slope, within(1e-12));
        assertThat(g).containsEntry("unit", "m s⁻²");
        // cov(m, c) = −x̄ · u(m)² for a straight line (N. R. Draper, H. Smith, Applied Regression Analysis, 1.4).
        double intercept = Tree.number(c, "value");
        double um = Tree.number(m, "uncertainty");
        double uc = Tree.number(c, "uncertainty");
        double covariance = -0.7 * um * um;
        double expected = Math.sqrt(uc * uc / slope / slope + intercept * intercept * um * um / Math.pow(slope, 4)
                - 2 * intercept * covariance / Math.pow(slope, 3));
        assertThat(Tree.number(Tree.maps(tree, "follows").get(1), "uncertainty")).isCloseTo(expected, within(1e-10));
    }

    @Test
    void whatCannotFollowIsSaid() {
        Map<String, Object> bad = Tree.maps(gravity("follows", List.of(Tree.of("name", "g", "formula", "m + c"))), "follows").get(0);
        assertThat(bad.get("error").toString()).contains("Can't add");
        Map<String, Object> strange = Tree.maps(gravity("follows", List.of(Tree.of("name", "g", "formula", "4π²/k"))), "follows").get(0);
        assertThat(strange.get("error").toString()).contains("k");
    }

    @Test
    void aLabCanAskForTheUnitsAndKeepUncertaintiesBack() {
        Map<String, Object> tree = gravity("unitsAsked", true, "plain", true);
        assertThat(tree.get("equation").toString()).doesNotContain("±").doesNotContain("s²").doesNotContain("m⁻¹");
        assertThat(Tree.maps(tree, "parameters").get(0).get("text").toString()).doesNotContain("±").doesNotContain("s");
        Map<String, Object> wrong = gravity("unitsAsked", true, "found", Tree.of("m", "m/s^2", "g", "m/s"));
        assertThat(Tree.maps(wrong, "parameters").get(0)).containsEntry("unitFound", false).containsEntry("unitHint", "Not yet. It is upside down");
        assertThat(Tree.maps(wrong, "follows").get(0)).containsEntry("unitHint", "Not yet. Written in base units, look again at the power of s");
        Map<String, Object> right = gravity("unitsAsked", true, "found", Tree.of("m", "s^2/m"));
        assertThat(Tree.maps(right, "parameters").get(0)).containsEntry("unitFound", true);
        assertThat(right.get("equation").toString()).contains("s² m⁻¹").doesNotEndWith("s²");
    }

    /** On an axis in °C a place is in °C, a difference and a gradient in K; what follows is worked out in kelvins. */
    @Test
    void temperaturesAndTheirDifferencesAreToldApart() {
        double[] t = {0, 1, 2, 3, 4};
        double[] cooling = {20 + 60, 20 + 30, 20 + 15, 20 + 7.5, 20 + 3.75};
        DataTable table = table("min", "°C", t, cooling, "");
        List<Map<String, Object>> exponential = Tree.maps(Fit.of(table, Tree.of("x", "x", "y", "y", "kind", "exponential")).toTree(), "parameters");
        assertThat(exponential.get(0)).containsEntry("name", "A").containsEntry("unit", "K");
        assertThat(exponential.get(2)).containsEntry("name", "C").containsEntry("unit", "°C");
        Map<String, Object> line = Fit.of(table, Tree.of("x", "x", "y", "y", "kind", "line", "follows",
                List.of(Tree.of("name", "b", "formula", "c")))).toTree();
        assertThat(Tree.maps(line, "parameters").get(0)).containsEntry("unit", "K/min");
        Map<String, Object> intercept = Tree.maps(line, "parameters").get(1);
        assertThat(intercept).containsEntry("unit", "°C");
        assertThat(Tree.number(Tree.maps(line, "follows").get(0), "value")).isCloseTo(Tree.number(intercept, "value") + 273.15, within(1e-9));
        assertThat(Tree.maps(line, "follows").get(0)).containsEntry("unit", "K");
        Map<String, Object> own = Fit.of(table, Tree.of("x", "x", "y", "y", "kind", "own", "formula", "a*t + b", "follows",
                List.of(Tree.of("name", "q", "formula", "b")))).toTree();
        assertThat(Tree.maps(own, "follows").get(0).get("error").toString()).contains("in K");
    }

    /** What only the rounding of the arithmetic leaves is no constant; one as small as the points allow stays. */
    @Test
    void aLineThroughTheOriginEndsAtNothing() {
        Fit through = fit(table("s", "N", new double[] {0.1, 0.2, 0.3, 0.7}, new double[] {0.3, 0.6, 0.9, 2.1}, ""), "line");
        assertThat(Tree.text(through.toTree(), "equation")).endsWith(" · t + 0 N");
        assertThat(through.result().values()[1]).isZero();
        Fit above = fit(table("s", "N", new double[] {1, 2, 3}, new double[] {3.00001, 6.00001, 9.00001}, ""), "line");
        assertThat(above.result().values()[1]).isCloseTo(1e-5, within(1e-9));
        Fit level = fit(table("s", "N", new double[] {1, 2, 3}, new double[] {0.1, 0.1, 0.1}, ""), "line");
        assertThat(level.result().values()[0]).isZero();
        Fit nothing = fit(table("s", "N", new double[] {1, 2, 3}, new double[] {0, 0, 0}, ""), "line");
        assertThat(nothing.result().values()).containsExactly(0, 0);
    }
}
