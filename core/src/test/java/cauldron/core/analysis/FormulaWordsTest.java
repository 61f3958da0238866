package cauldron.core.analysis;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import cauldron.core.Tree;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Formulas as students write them: read as meant, or refused with both readings; and temperatures that are differences. */
class FormulaWordsTest {

    private static final Set<String> SYMBOLS = Set.of("L", "T", "t", "x0", "θ");
    private static final Map<String, Double> VALUES = Map.of("L", 0.9, "T", 2.0, "t", 5.0, "x0", 3.0, "θ", 0.5);

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {"L/20\"cm\" | 4.5", "exp(-t/5\"s\") | 0.36787944117144233", "½ T | 1", "T – 1 | 1", "2•T | 4",
        "2pi | 6.283185307179586", "2pi T | 12.566370614359172", "1/(2π) | 0.15915494309189535", "4π²L/T² | 8.882643960980423", "x0 T | 6"})
    void readAsTheStudentSeesIt(String formula, double value) {
        assertThat(Formula.parse(formula, SYMBOLS).value(VALUES)).isCloseTo(value, within(1e-12 * Math.max(1, value)));
    }

    @Test
    void aColumnCalledPDoesntChangeTwoPi() {
        assertThat(Formula.parse("2pi", Set.of("p", "i")).value(Map.of("p", 7.0, "i", 7.0))).isEqualTo(2 * Math.PI);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {"T²/4π² | T²/(4 × π²) or (T²/4) × π²", "1/2π | 1/(2 × π) or (1/2) × π", "L/2T | L/(2 × T) or (L/2) × T",
        "T2 | no column T2", "average(T) | mean(", "stdev(T) | sd(", "sinθ | sin(θ)", "=T/20 | equals sign", "T x 2 | ×"})
    void refusedWithAHintThatHelps(String formula, String hint) {
        assertThatThrownBy(() -> Formula.parse(formula, SYMBOLS)).isInstanceOf(FormulaException.class).hasMessageContaining(hint);
    }

    /** A whole number over a whole number with a gap behind it is a fraction, as people write it before ½ is found. */
    @Test
    void aHalfWrittenOutIsAHalf() {
        for (String half : new String[] {"1/2 L T", "½ L T", "1 / 2 L T", "0.5 L T"}) {
            assertThat(Formula.parse(half, SYMBOLS).value(VALUES)).as(half)
                    .isEqualTo(0.5 * VALUES.get("L") * VALUES.get("T"));
        }
        for (String either : new String[] {"1/2L", "L/2 T", "1/2π"}) {
            assertThatThrownBy(() -> Formula.parse(either, SYMBOLS)).as(either).hasMessageContaining("isn't clear");
        }
    }

    @Test
    void barsAreNoAbsoluteValue() {
        assertThatThrownBy(() -> Formula.parse("|T|", SYMBOLS)).hasMessageContaining("abs(");
    }

    @Test
    void theSineOfThirtySaysThatItTookRadians() {
        assertThat(Formula.parse("sin(30)", SYMBOLS).note()).contains("radians").contains("sin(30°)");
        assertThat(Formula.parse("sin(30°)", SYMBOLS).note()).isNull();
        assertThat(Formula.parse("sin(θ)", SYMBOLS).note()).isNull();
        assertThat(Formula.parse("2 cos(-45) T", SYMBOLS).note()).contains("cos(−45°)");
    }

    private static DataTable table(List<Map<String, Object>> columns, String[]... cells) {
        List<Object> rows = new ArrayList<>();
        for (int i = 0; i < cells.length; i++) {
            Map<String, Object> typed = Tree.of();
            Map<String, Object> uncertain = Tree.of();
            for (int j = 0; j < cells[i].length; j++) {
                String[] parts = cells[i][j].split("±");
                typed.put("c" + j, parts[0]);
                uncertain.put("c" + j, parts.length > 1 ? parts[1] : "");
            }
            rows.add(Tree.of("id", "r" + i, "cells", typed, "uncertainties", uncertain));
        }
        return DataTable.of(Tree.of("columns", columns, "rows", rows));
    }

    private static Map<String, Object> measured(int j, String symbol, String unit) {
        return Tree.of("id", "c" + j, "name", symbol, "symbol", symbol, "unit", unit, "kind", "measured");
    }

    private static Map<String, Object> calculated(String symbol, String formula, String unit) {
        return Tree.of("id", symbol, "name", symbol, "symbol", symbol, "unit", unit, "kind", "calculated", "formula", formula);
    }

    @Test
    void aDifferenceOfTemperaturesHasNoZeroBelowZero() {
        DataTable t = table(List.of(measured(0, "ϑ", "°C"), measured(1, "t", "s"), calculated("d", "ϑ − prev(ϑ)", "°C"),
                calculated("m", "mean(ϑ)", "°C"), calculated("e", "d/2", "°C"), calculated("s", "sd(ϑ)", "°C"), calculated("w", "ϑ + 5\"K\"", "°C"),
                calculated("a", "ϑ + 273.15", ""), calculated("r", "rate(ϑ; t)", "°C/min")), new String[] {"20", "0"}, new String[] {"25", "60"});
        assertThat(t.column("d").values()[1]).isCloseTo(5, within(1e-9));
        assertThat(t.column("m").values()[0]).isCloseTo(22.5, within(1e-9));
        assertThat(t.column("e").values()[1]).isCloseTo(2.5, within(1e-9));
        assertThat(t.column("s").values()[0]).isCloseTo(5 / Math.sqrt(2), within(1e-9));
        assertThat(t.column("w").values()[0]).isCloseTo(25, within(1e-9));
        assertThat(t.column("r").values()[0]).isCloseTo(5, within(1e-9));
        assertThat(t.column("a").trouble()).contains("in kelvins already").contains("273.15");
    }

    @Test
    void anInfinityNamesItsCell() {
        DataTable t = table(List.of(measured(0, "t", "s"), calculated("f", "1/t", "")), new String[] {"2"}, new String[] {"0"});
        assertThat(t.column("f").troubles()[0]).isNull();
        assertThat(t.column("f").troubles()[1]).startsWith("Row 2").contains("infinite");
    }

    @Test
    void aGradientCarriesItsUncertaintyIntoAFormula() {
        // Independent: textbook sums for y = m x + c with n − 2 degrees of freedom.
        double[] x = {1, 2, 3, 4, 5};
        double[] y = {2.1, 3.9, 6.2, 7.8, 10.1};
        double mean = 3;
        double sxx = 10;
        double m = 0;
        for (int i = 0; i < 5; i++) {
            m += (x[i] - mean) * y[i] / sxx;
        }
        double c = (2.1 + 3.9 + 6.2 + 7.8 + 10.1) / 5 - m * mean;
        double rest = 0;
        for (int i = 0; i < 5; i++) {
            rest += Math.pow(y[i] - m * x[i] - c, 2);
        }
        double um = Math.sqrt(rest / 3 / sxx);
        double uc = Math.sqrt(rest / 3 * (1 / 5.0 + mean * mean / sxx));
        Map<String, Object> k = Tree.of("id", "k", "name", "k", "symbol", "k", "unit", "", "kind", "constant", "constant", "3.0", "uncertainty", "0.05");
        DataTable t = table(List.of(measured(0, "x", ""), measured(1, "y", ""), k, calculated("a", "k slope(y; x)", ""), calculated("i", "intercept(y; x)", ""),
                calculated("at", "intercept(y; x) + 3 × slope(y; x)", "")), new String[] {"1", "2.1"}, new String[] {"2", "3.9"}, new String[] {"3", "6.2"},
                new String[] {"4", "7.8"}, new String[] {"5", "10.1"});
        assertThat(t.column("a").uncertainties()[0]).isCloseTo(Math.hypot(3 * um, 0.05 * m), within(1e-12));
        assertThat(t.column("i").uncertainties()[0]).isCloseTo(uc, within(1e-12));
        // At the middle of the points gradient and intercept are not independent: what is left is the scatter of the mean.
        assertThat(t.column("at").uncertainties()[0]).isCloseTo(Math.sqrt(rest / 3 / 5), within(1e-12));
    }

    @Test
    void theMedianIsAsUncertainAsWhatStandsInTheMiddleAndMissingOnesAreTold() {
        DataTable t = table(List.of(measured(0, "x", ""), calculated("m", "median(x)", "")), new String[] {"1±0.3"}, new String[] {"2±0.4"},
                new String[] {"9±5"}, new String[] {"0±7"});
        assertThat(t.column("m").values()[0]).isEqualTo(1.5);
        assertThat(t.column("m").uncertainties()[0]).isCloseTo(0.25, within(1e-12));
        assertThat(t.column("c0").note()).isNull();
        DataTable some = table(List.of(measured(0, "x", "")), new String[] {"1±0.3"}, new String[] {"2"}, new String[] {"3"});
        assertThat(some.column("c0").note()).isEqualTo("2 values count as exact: without ±");
    }
}
