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
import org.junit.jupiter.params.provider.ValueSource;

/** Calculated columns over whole columns, their uncertainties, and formulas read, printed and read again. */
class ColumnsTest {

    private static final double[] T = {0, 0.1, 0.25, 0.3, 0.5, 0.8};

    private static Map<String, Object> column(String symbol, String unit, String uncertainty) {
        return Tree.of("id", symbol, "symbol", symbol, "name", symbol, "unit", unit, "kind", "measured", "uncertainty", uncertainty);
    }

    private static Map<String, Object> calculated(String symbol, String formula) {
        return Tree.of("id", symbol, "symbol", symbol, "name", symbol, "unit", "", "kind", "calculated", "formula", formula);
    }

    /** Columns t and s, with s = 2t² + t, and one that is calculated. */
    private static DataTable table(String formula, String uT, String uS, int... out) {
        List<Object> rows = new ArrayList<>();
        for (int i = 0; i < T.length; i++) {
            int at = i;
            rows.add(Tree.of("id", "r" + i, "cells", Tree.of("t", String.valueOf(T[i]), "s",
                    String.valueOf(2 * T[i] * T[i] + T[i])), "out", java.util.Arrays.stream(out).anyMatch(o -> o == at) ? "slip" : ""));
        }
        return DataTable.of(Tree.of("columns", List.of(column("t", "s", uT), column("s", "m", uS), calculated("q", formula)), "rows", rows));
    }

    private static DataTable.Column q(String formula) {
        DataTable.Column q = table(formula, "", "").column("q");
        assertThat(q.trouble()).isNull();
        return q;
    }

    @Test
    void theRateOfChangeOfAParabolaIsExactAtEveryRowWhateverTheSpacing() {
        DataTable.Column v = q("rate(s; t)");
        for (int i = 0; i < T.length; i++) {
            assertThat(v.values()[i]).isCloseTo(4 * T[i] + 1, within(1e-12));
        }
        assertThat(v.unit().symbol()).isEqualTo("m s⁻¹");
    }

    @Test
    void aRowLeftOutIsPassedOver() {
        DataTable.Column v = table("rate(s; t)", "", "", 2).column("q");
        assertThat(v.values()[2]).isNaN();
        assertThat(v.values()[1]).isCloseTo(1.4, within(1e-12));
        assertThat(table("mean(t)", "", "", 5).column("q").values()[0]).isCloseTo(0.23, within(1e-12));
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {"runsum(t) | 1.95 | s", "area(t; t) | 0.32 | s²", "prev(t) | 0.5 | s", "row | 6 | ''",
        "mean(t) | 0.325 | s", "median(t) | 0.275 | s", "max(t) | 0.8 | s", "min(t; 0.4\"s\") | 0.4 | s", "count(t) | 6 | ''",
        "ln(t/\"s\") | -0.2231435513142097 | ''", "slope(s; t) | 2.6170149253731347 | m s⁻¹", "sin(30°) | 0.5 | ''",
        "arcsin(0.5)/30° | 1 | ''", "∛(t t t) | 0.8 | s", "s/t^2 × \"kg\" | 3.25 | N"})
    void functions(String formula, double last, String unit) {
        DataTable.Column q = q(formula);
        assertThat(q.values()[5]).isCloseTo(last, within(1e-12));
        assertThat(q.unit().symbol()).isEqualTo(unit);
    }

    @Test
    void everyPropagatedUncertaintyIsThatOfSmallChanges() {
        double uT = 0.01;
        double uS = 0.02;
        for (String formula : new String[] {"s/t", "√(t s)", "rate(s; t)", "runsum(s t)", "area(s; t)", "mean(t) s", "s - s",
            "(t \"m/s\" + s) - t \"m/s\"", "next(t)/(prev(t) + 1\"s\")", "rate(rate(s; t); t)", "max(s; 3 \"m/s\" t)", "exp(t/\"s\")", "sd(s)"}) {
            DataTable.Column q = table(formula, String.valueOf(uT), String.valueOf(uS)).column("q");
            double[] squares = new double[T.length];
            for (int cell = 0; cell < 2 * T.length; cell++) {
                double[] up = changed(formula, cell, 1e-6);
                double[] down = changed(formula, cell, -1e-6);
                for (int i = 0; i < T.length; i++) {
                    double slope = (up[i] - down[i]) / 2e-6;
                    squares[i] += Math.pow(slope * (cell < T.length ? uT : uS), 2);
                }
            }
            for (int i = 1; i < T.length - 1; i++) {
                assertThat(q.trouble()).as(formula).isNull();
                assertThat(q.uncertainties()[i]).as(formula + " in row " + i)
                        .isCloseTo(Math.sqrt(squares[i]), within(1e-6 * Math.sqrt(squares[i]) + 1e-8));
            }
        }
    }

    private static double[] changed(String formula, int cell, double by) {
        TableData data = new TableData(List.of(column("t", "s", ""), column("s", "m", ""), calculated("q", formula)), T.length);
        for (int i = 0; i < T.length; i++) {
            data.set("t", i, String.valueOf(T[i] + (cell == i ? by : 0)), "");
            data.set("s", i, String.valueOf(2 * T[i] * T[i] + T[i] + (cell == T.length + i ? by : 0)), "");
        }
        return DataTable.of(data).column("q").values();
    }

    @Test
    void aConstantIsOneQuantityForAllRows() {
        Map<String, Object> k = Tree.of("id", "k", "symbol", "k", "name", "k", "unit", "N/m", "kind", "constant", "constant", "25",
                "uncertainty", "0.5");
        TableData data = new TableData(List.of(column("x", "cm", ""), k, calculated("F", "k x"), calculated("d", "F - prev(F)")), 2);
        data.set("x", 0, "4.0", "");
        data.set("x", 1, "6.0", "");
        DataTable t = DataTable.of(data);
        assertThat(t.column("F").values()[1]).isCloseTo(1.5, within(1e-12));
        assertThat(t.column("F").unit().symbol()).isEqualTo("N");
        assertThat(t.column("F").sureness(0)).isEqualTo("1.00 ± 0.02");
        assertThat(t.column("d").uncertainties()[1]).as("the same k in both").isCloseTo(0.02 * 0.5, within(1e-12));
    }

    @Test
    void circlesAndDoubleSymbolsAreNamed() {
        DataTable t = DataTable.of(new TableData(List.of(calculated("a", "b + 1"), calculated("b", "c"), calculated("c", "a"),
                calculated("d", "a"), calculated("e", "e"), column("z", "", ""), column("z", "", "")), 1));
        assertThat(t.column("a").trouble()).isEqualTo("a is defined through itself: a → b → c → a");
        assertThat(t.column("d").trouble()).contains("d needs columns that go round in a circle: a → b → c → a");
        assertThat(t.column("e").trouble()).isEqualTo("e is defined through itself");
        assertThat(t.columns().get(6).trouble()).contains("Two columns have the symbol z");
    }

    @Test
    void decimalsAndFiguresAreAsAskedFor() {
        Map<String, Object> fixed = new java.util.LinkedHashMap<>(calculated("q", "t/3"));
        fixed.put("decimals", 2.0);
        TableData data = new TableData(List.of(column("t", "s", ""), fixed), 1);
        data.set("t", 0, "1.50", "");
        DataTable t = DataTable.of(data);
        assertThat(t.column("t").text(0)).isEqualTo("1.50");
        assertThat(t.column("q").text(0)).isEqualTo("0.50");
    }

    private static String random(RandomSource chance, int depth) {
        String[] atoms = {"t", "s", "2", "0.5", "π", "3e2", "v_0", "10"};
        int pick = (int) chance.between(0, depth <= 0 ? 0.999 : 8.999);
        String a = depth <= 0 ? "" : random(chance, depth - 1);
        switch (pick) {
            case 0:
                return atoms[(int) chance.between(0, atoms.length - 1e-9)];
            case 1:
                return a + " + " + random(chance, depth - 1);
            case 2:
                return a + " - (" + random(chance, depth - 1) + ")";
            case 3:
                return "(" + a + ")(" + random(chance, depth - 1) + ")";
            case 4:
                return "(" + a + ")/(" + random(chance, depth - 1) + ")";
            case 5:
                return "-(" + a + ")^2";
            case 6:
                return "√(" + a + ")";
            case 7:
                return "(" + a + ")^-" + (int) chance.between(1, 4);
            default:
                return "max(" + a + "; " + random(chance, depth - 1) + ")";
        }
    }

    @Test
    void whatIsPrintedReadsAsTheSameFormula() {
        Set<String> symbols = Set.of("t", "s", "v_0");
        Map<String, Double> values = Map.of("t", 1.37, "s", 0.81, "v_0", 2.9);
        RandomSource chance = new RandomSource(11);
        for (int n = 0; n < 2000; n++) {
            String typed = random(chance, 4);
            Formula first = Formula.parse(typed, symbols);
            Formula second = Formula.parse(first.toString(), symbols);
            assertThat(second.toString()).as(typed).isEqualTo(first.toString());
            assertThat(Double.compare(second.value(values), first.value(values))).as(typed).isZero();
            assertThat(first.mathMl()).startsWith("<math>").endsWith("</math>");
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"(", "-", "√", "2^", "t(", "max("})
    void enormousInputIsAnsweredNotSuffered(String part) {
        for (int n : new int[] {200, 900, 100_000}) {
            assertThatThrownBy(() -> Formula.parse(part.repeat(n), Set.of("t"))).isInstanceOf(FormulaException.class);
        }
    }

    @Test
    void hostileInputIsAFormulaOrATroubleWithAPlaceInIt() {
        RandomSource chance = new RandomSource(5);
        String letters = "ts0129.,+-*/^()[]√∛²⁻°\"eπ;|<&_ΔµA ";
        for (int n = 0; n < 20_000; n++) {
            StringBuilder typed = new StringBuilder();
            for (int i = (int) chance.between(0, 14); i >= 0; i--) {
                typed.append(letters.charAt((int) chance.between(0, letters.length() - 1e-9)));
            }
            try {
                Formula.parse(typed.toString(), Set.of("t", "s")).value(Map.of("t", 1.0, "s", 2.0));
            } catch (FormulaException e) {
                assertThat(e.position()).as(typed.toString()).isBetween(0, typed.length());
                assertThat(e.getMessage()).isNotBlank();
            }
        }
    }

    @Test
    void theSymbolEnergyDoesntHideTheExponential() {
        assertThat(Formula.parse("exp(e)", Set.of("e")).value(Map.of("e", 0.0))).isEqualTo(1);
        assertThat(Formula.parse("e xp", Set.of("e", "xp")).value(Map.of("e", 2.0, "xp", 3.0))).isEqualTo(6);
    }
}
