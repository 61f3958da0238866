package cauldron.core.analysis;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import cauldron.core.RandomSource;
import cauldron.core.Tree;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Searches for the best curve, over many seeded sets such as schools measure: none ends in a worse hollow without a word. */
class FitSearchTest {

    private static final int SETS = 300;
    /** Searched for without starts, each takes some hundred times as long: all 300 with {@code -Dcauldron.own.sets=300}. */
    private static final int OWN_SETS = Integer.getInteger("cauldron.own.sets", 20);

    /**
     * Sets of a kind: what is searched for, its true values, and the points.
     *
     * @param ranges of each parameter, in the formula's order
     */
    private static Map<String, Double> truth(List<String> names, double[][] ranges, RandomSource chance) {
        Map<String, Double> map = new LinkedHashMap<>();
        for (int k = 0; k < ranges.length; k++) {
            map.put(names.get(k), chance.between(ranges[k][0], ranges[k][1]));
        }
        return map;
    }

    private static double[] curve(Formula model, Map<String, Double> values, double[] x) {
        double[] y = new double[x.length];
        Map<String, Double> at = new LinkedHashMap<>(values);
        for (int i = 0; i < x.length; i++) {
            at.put("x", x[i]);
            y[i] = model.value(at);
        }
        return y;
    }

    private static double[] even(double from, double to, int n) {
        double[] x = new double[n];
        for (int i = 0; i < n; i++) {
            x[i] = from + (to - from) * i / (n - 1);
        }
        return x;
    }

    private static double range(double[] y) {
        double low = Double.POSITIVE_INFINITY;
        double high = Double.NEGATIVE_INFINITY;
        for (double v : y) {
            low = Math.min(low, v);
            high = Math.max(high, v);
        }
        return high - low;
    }

    /** How searches end: in the best curve, in a worse one without a word, or with a word of doubt or refusal. */
    private enum End { BEST, WORSE, DOUBTED }

    /** How the sets end, compared with a fit that starts at the truth; kinds search from what the points show. */
    private static Map<End, Long> ends(int sets, FitKind kind, String own, double[][] ranges, double to, int fewest, int most) {
        List<String> names = kind != null ? kind.names() : new ArrayList<>(Fit.parameters(own, "x"));
        Formula model = CurveFit.read(kind != null ? kind.formula() : own, "x", names);
        double from = kind != null && kind.id().matches("power|inverse.*|logarithm") ? 0.1 * to : 0;
        return IntStream.range(0, sets).parallel().mapToObj(seed -> {
            RandomSource chance = new RandomSource(1000 + seed);
            double[] x = even(from, to, fewest + chance.below(most - fewest + 1));
            Map<String, Double> truth = truth(names, ranges, chance);
            double[] y = curve(model, truth, x);
            double noise = 0.02 * range(y);
            for (int i = 0; i < y.length; i++) {
                y[i] += noise * chance.exactNormal();
            }
            return end(new CurveFit(model, "x", names, x, y, null), truth, kind == null ? null : kind.start(x, y));
        }).collect(Collectors.groupingBy(e -> e, () -> new EnumMap<>(End.class), Collectors.counting()));
    }

    private static End end(CurveFit fit, Map<String, Double> truth, Map<String, Double> start) {
        double best;
        try {
            best = fit.fit(truth, true).sumOfSquares();
        } catch (IllegalArgumentException e) {
            return End.BEST;
        }
        try {
            CurveFit.Result found = start != null ? fit.fit(start, true) : fit.fit(Map.of(), false);
            return found.sumOfSquares() <= best * (1 + 1e-6) ? End.BEST : found.note().isEmpty() ? End.WORSE : End.DOUBTED;
        } catch (IllegalArgumentException e) {
            // A refusal in words is no wrong curve.
            return End.DOUBTED;
        }
    }

    @ParameterizedTest
    @CsvSource({"exponential, 1 5 -1.2 -0.2 0 2, 6, 8, 20", "sine, 0.5 3 1 3 -3 3 -1 1, 7, 11, 30", "damped-sine, 1 4 0.05 0.4 1.2 3 -3 3 -1 1, 8, 11, 13",
        "normal, 1 5 3 6 0.7 1.5, 9, 9, 25", "power, 1 4 0.5 2.5, 5, 6, 15", "logarithm, 1 4 -2 2, 8, 6, 15", "cubic, -1 1 -2 2 -2 2 -1 1, 3, 8, 20",
        "quadratic, -2 2 -2 2 -1 1, 3, 6, 15", "line, -2 2 -1 1, 5, 5, 12", "proportional, -3 3, 5, 4, 12", "inverse, -4 4, 6, 4, 12",
        "inverse-square, 1 9, 6, 4, 12"})
    void kindsEndInTheBestCurve(String kind, String flat, double to, int fewest, int most) {
        Map<End, Long> ends = ends(SETS, FitKind.get(kind), null, ranges(flat), to, fewest, most);
        assertThat(ends).doesNotContainKey(End.WORSE);
        assertThat(ends.getOrDefault(End.DOUBTED, 0L)).as("refused").isLessThan(SETS / 50);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {"a*exp(-(x-m)^2/(2*s^2)) + b*exp(-(x-n)^2/(2*r^2)) | 2 5 2 3.5 0.4 0.8 1 3 5.5 7 0.4 0.8 | 10 | 25 | 40",
        "a*sin(w*x + p) + b*sin(v*x + q) | 1 3 1 1.6 -1 1 0.5 1 2.4 3.2 -1 1 | 10 | 30 | 40"})
    void ownFormulasWithoutStartsEndInTheBestCurveOrSayThatABetterOneMayExist(String own, String flat, double to, int fewest, int most) {
        Map<End, Long> ends = ends(OWN_SETS, null, own, ranges(flat), to, fewest, most);
        assertThat(ends).doesNotContainKey(End.WORSE);
        assertThat(ends.getOrDefault(End.DOUBTED, 0L)).as("ended in doubt").isLessThan(OWN_SETS / 2);
    }

    private static double[][] ranges(String flat) {
        String[] numbers = flat.trim().split(" ");
        double[][] ranges = new double[numbers.length / 2][];
        for (int k = 0; k < ranges.length; k++) {
            ranges[k] = new double[] {Double.parseDouble(numbers[2 * k]), Double.parseDouble(numbers[2 * k + 1])};
        }
        return ranges;
    }

    @Test
    void entangledParametersAreTold() {
        double[] x = even(1000, 1020, 21);
        double[] y = new double[21];
        for (int i = 0; i < 21; i++) {
            y[i] = 1 + 2 * x[i] + 0.5 * x[i] * x[i] + (i % 2 == 0 ? 1 : -1);
        }
        List<String> names = List.of("a", "b", "c");
        Formula square = CurveFit.read("a*x^2 + b*x + c", "x", names);
        assertThat(new CurveFit(square, "x", names, x, y, null).fit(Map.of(), true).note()).contains("can hardly be told apart");
        double[] near = even(-10, 10, 21);
        assertThat(new CurveFit(square, "x", names, near, y, null).fit(Map.of(), true).note()).isEmpty();
    }

    @Test
    void uncertaintiesAlongBothAxesCount() {
        // Pearson's points with York's weights: m = −0.480533, c = 5.479910 (D. York, Can. J. Phys. 44 (1966) 1079).
        double[] x = {0.0, 0.9, 1.8, 2.6, 3.3, 4.4, 5.2, 6.1, 6.5, 7.4};
        double[] y = {5.9, 5.4, 4.4, 4.6, 3.5, 3.7, 2.8, 2.8, 2.4, 1.5};
        double[] wx = {1000, 1000, 500, 800, 200, 80, 60, 20, 1.8, 1};
        double[] wy = {1, 1.8, 4, 8, 20, 20, 70, 70, 100, 500};
        List<Object> rows = new ArrayList<>();
        for (int i = 0; i < x.length; i++) {
            rows.add(Tree.of("id", "r" + i, "cells", Tree.of("x", "" + x[i], "y", "" + y[i]), "uncertainties",
                    Tree.of("x", "" + 1 / Math.sqrt(wx[i]), "y", "" + 1 / Math.sqrt(wy[i]))));
        }
        DataTable table = DataTable.of(Tree.of("columns", List.of(Tree.of("id", "x", "name", "x", "symbol", "x", "unit", ""),
                Tree.of("id", "y", "name", "y", "symbol", "y", "unit", "")), "rows", rows));
        double[] v = Fit.of(table, Tree.of("x", "x", "y", "y", "kind", "line", "weighted", true)).result().values();
        // The effective variance leaves the slope's own part out, as Orear tells: a third of an uncertainty from York's.
        assertThat(v[0]).isCloseTo(-0.480533, within(0.02));
        assertThat(v[1]).isCloseTo(5.479910, within(0.1));
        double[] alongY = Fit.of(table(x, y, wy), Tree.of("x", "x", "y", "y", "kind", "line", "weighted", true)).result().values();
        assertThat(Math.abs(v[0] + 0.480533)).isLessThan(0.3 * Math.abs(alongY[0] + 0.480533));
    }

    private static DataTable table(double[] x, double[] y, double[] wy) {
        List<Object> rows = new ArrayList<>();
        for (int i = 0; i < x.length; i++) {
            rows.add(Tree.of("id", "r" + i, "cells", Tree.of("x", "" + x[i], "y", "" + y[i]), "uncertainties", Tree.of("y", "" + 1 / Math.sqrt(wy[i]))));
        }
        return DataTable.of(Tree.of("columns", List.of(Tree.of("id", "x", "name", "x", "symbol", "x", "unit", ""),
                Tree.of("id", "y", "name", "y", "symbol", "y", "unit", "")), "rows", rows));
    }

    @Test
    void aPlaceOnACelsiusAxisIsAPlace() {
        List<Object> rows = new ArrayList<>();
        for (int t = 0; t <= 100; t += 20) {
            rows.add(Tree.of("id", "r" + t, "cells", Tree.of("t", "" + t, "p", "" + (273.15 + t) * 0.4)));
        }
        DataTable table = DataTable.of(Tree.of("columns", List.of(Tree.of("id", "t", "name", "t", "symbol", "t", "unit", "°C"),
                Tree.of("id", "p", "name", "p", "symbol", "p", "unit", "kPa")), "rows", rows));
        Fit fit = Fit.of(table, Tree.of("x", "t", "y", "p", "kind", "line"));
        FromFit zero = FromFit.of(fit, "-c/m");
        assertThat(zero.unit().symbol()).isEqualTo("°C");
        assertThat(zero.value()).isCloseTo(-273.15, within(1e-9));
        FromFit difference = FromFit.of(fit, "2\"kPa\"/m");
        assertThat(difference.unit().symbol()).isEqualTo("K");
        assertThat(difference.value()).isCloseTo(5, within(1e-9));
    }
}
