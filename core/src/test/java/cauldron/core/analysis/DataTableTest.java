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

class DataTableTest {

    private static Map<String, Object> column(String symbol, String unit, String formula) {
        return Tree.of("id", symbol, "symbol", symbol, "name", symbol, "unit", unit, "formula", formula);
    }

    private static Map<String, Object> table(List<Map<String, Object>> columns, String[][] cells) {
        List<Object> rows = new ArrayList<>();
        for (int i = 0; i < cells.length; i++) {
            Map<String, Object> row = Tree.of();
            for (int j = 0; j < cells[i].length; j++) {
                row.put(Tree.text(columns.get(j), "id"), cells[i][j]);
            }
            rows.add(Tree.of("id", "r" + i, "cells", row));
        }
        return Tree.of("columns", columns, "rows", rows);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {"-2^2 | -4", "−2² | -4", "2^3^2 | 512", "2+3*4 | 14", "(2+3)4 | 20",
        "8/4/2 | 1", "√9 | 3", "sqrt(16)/2 | 2", "2π | 6.283185307179586", "1e3 | 1000", "2·3÷6 | 1", "2⁻¹ | 0.5",
        "abs(-3) | 3", "-3 - -4 | 1", "10 − 2 − 3 | 5"})
    void algebraAsInSchool(String formula, double value) {
        assertThat(Formula.parse(formula, Set.of()).value(Map.of())).isCloseTo(value, within(1e-14));
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {"t/ | too early", "q+1 | not a column", "(t | not closed", "t) | closes nothing",
        "sin t | in brackets", "t $ 2 | no place"})
    void troubleInAFormulaPointsAtThePlace(String formula, String message) {
        assertThatThrownBy(() -> Formula.parse(formula, Set.of("t"))).isInstanceOf(FormulaException.class)
                .hasMessageContaining(message);
    }

    @Test
    void calculatedColumnsFindTheirUnitsInWhateverOrderTheyStand() {
        DataTable table = DataTable.of(table(List.of(column("L", "cm", null), column("t", "s", null),
                column("q", "", "T^2"), column("T", "", "t/20"), column("w", "", "√L")),
                new String[][] {{"42.0", "26,01"}, {"88.5", ""}}));
        assertThat(table.column("q").unit().symbol()).isEqualTo("s²");
        assertThat(table.column("q").values()[0]).isCloseTo(1.3005 * 1.3005, within(1e-12));
        assertThat(table.column("q").text(1)).isEmpty();
        assertThat(table.column("w").unit().symbol()).isEqualTo("√m");
        assertThat(table.column("w").values()[0]).isCloseTo(Math.sqrt(0.42), within(1e-12));
    }

    @Test
    void unlikeQuantitiesAreNotAdded() {
        DataTable table = DataTable.of(table(List.of(column("L", "cm", null), column("t", "s", null),
                column("x", "", "L + t")), new String[0][]));
        assertThat(table.column("x").trouble()).isEqualTo("Can't add a quantity in s to a quantity in m");
    }

    @Test
    void circlesAreNamed() {
        DataTable table = DataTable.of(table(List.of(column("a", "", "b+1"), column("b", "", "a+1")),
                new String[0][]));
        assertThat(table.column("a").trouble()).contains("defined through itself");
    }

    @Test
    void aWantedUnitConvertsOrIsRefused() {
        List<Map<String, Object>> columns = List.of(column("L", "cm", null), column("k", "mm", "L"),
                column("x", "s", "L"));
        DataTable table = DataTable.of(table(columns, new String[][] {{"4.2"}}));
        assertThat(table.column("k").values()[0]).isCloseTo(42, within(1e-12));
        assertThat(table.column("x").trouble()).isEqualTo("This formula gives m, not s");
    }

    @Test
    void norrisToNineDigits() {
        // NIST Statistical Reference Datasets, Norris (linear regression, lower difficulty), certified values.
        double[] y = {0.1, 338.8, 118.1, 888.0, 9.2, 228.1, 668.5, 998.5, 449.1, 778.9, 559.2, 0.3, 0.1, 778.1, 668.8,
            339.3, 448.9, 10.8, 557.7, 228.3, 998.0, 888.8, 119.6, 0.3, 0.6, 557.6, 339.3, 888.0, 998.5, 778.9, 10.2,
            117.6, 228.9, 668.4, 449.2, 0.2};
        double[] x = {0.2, 337.4, 118.2, 884.6, 10.1, 226.5, 666.3, 996.3, 448.6, 777.0, 558.2, 0.4, 0.6, 775.5, 666.9,
            338.0, 447.5, 11.6, 556.0, 228.1, 995.8, 887.6, 120.2, 0.3, 0.3, 556.8, 339.1, 887.2, 999.0, 779.0, 11.1,
            118.3, 229.2, 669.1, 448.9, 0.5};
        LineFit fit = LineFit.of(x, y);
        assertThat(fit.slope()).isCloseTo(1.00211681802045, within(1e-10));
        assertThat(fit.intercept()).isCloseTo(-0.262323073774029, within(1e-10));
        assertThat(fit.slopeUncertainty()).isCloseTo(0.429796848199937e-3, within(1e-12));
        assertThat(fit.interceptUncertainty()).isCloseTo(0.232818234301152, within(1e-10));
        assertThat(fit.rSquared()).isCloseTo(0.999993745883712, within(1e-12));
    }

    @Test
    void noLineWithoutAReason() {
        assertThatThrownBy(() -> LineFit.of(new double[] {1}, new double[] {1})).hasMessageContaining("two points");
        assertThatThrownBy(() -> LineFit.of(new double[] {1, 1}, new double[] {1, 2})).hasMessageContaining("same");
    }
}
