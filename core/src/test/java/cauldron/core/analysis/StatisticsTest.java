package cauldron.core.analysis;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import cauldron.core.Tree;
import cauldron.core.quantity.Units;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class StatisticsTest {

    @Test
    void oneToTen() {
        Statistics s = Statistics.of(new double[] {7, 3, 1, 10, 5, Double.NaN, 2, 8, 4, 6, 9});
        assertThat(s.count()).isEqualTo(10);
        assertThat(s.sum()).isEqualTo(55);
        assertThat(s.mean()).isEqualTo(5.5);
        assertThat(s.median()).isEqualTo(5.5);
        // Type 7 of Hyndman and Fan.
        assertThat(s.lowerQuartile()).isEqualTo(3.25);
        assertThat(s.upperQuartile()).isEqualTo(7.75);
        assertThat(s.sd()).isCloseTo(Math.sqrt(82.5 / 9), within(1e-14));
        assertThat(s.standardError()).isCloseTo(s.sd() / Math.sqrt(10), within(1e-14));
    }

    @Test
    void nothingAndOne() {
        assertThat(Statistics.of(new double[0]).count()).isZero();
        assertThat(Statistics.of(new double[] {4}).sd()).isNaN();
        assertThat(Statistics.of(new double[] {4}).toTree("s")).containsEntry("sdText", "–").containsEntry("meanText", "4.0000");
    }

    private static DataTable times(double... values) {
        TableData data = new TableData(List.of(Tree.of("id", "t", "symbol", "t", "name", "time", "unit", "s")), values.length);
        for (int i = 0; i < values.length; i++) {
            data.set("t", i, String.valueOf(values[i]), "");
        }
        return DataTable.of(data);
    }

    /** Two hundred values spread as a normal law about 5 with 1. */
    private static double[] own() {
        cauldron.core.RandomSource chance = new cauldron.core.RandomSource(3);
        return java.util.stream.IntStream.range(0, 200).mapToDouble(i -> 5 + chance.exactNormal()).toArray();
    }

    @Test
    void binsTakeEveryValueOnceAndAreRound() {
        DataTable t = times(0.21, 0.22, 0.19, 0.25, 0.20, 0.24, 0.23, 0.31);
        Map<String, Object> own = t.bins("t", Double.NaN, Double.NaN);
        assertThat(((List<?>) own.get("counts")).stream().mapToDouble(c -> (Double) c).sum()).isEqualTo(8);
        assertThat((Double) own.get("width")).isIn(0.02, 0.05);
        // The area under the normal curve is that of the histogram, but for what lies outside.
        List<?> normal = (List<?>) times(own()).bins("t", 0.0, 0.25).get("normal");
        double area = normal.stream().mapToDouble(h -> (Double) h).sum() / normal.size();
        assertThat(normal).hasSize(121);
        assertThat(area * ((List<?>) times(own()).bins("t", 0.0, 0.25).get("counts")).size()).isCloseTo(200 * 1.0, within(6.0));
        Map<String, Object> asked = t.bins("t", 0.15, 0.1);
        assertThat(asked.get("counts")).isEqualTo(List.of(6.0, 2.0));
        assertThatThrownBy(() -> t.bins("t", Double.NaN, 1e-6)).hasMessageContaining("more than 500 bins");
    }

    @Test
    void aSeriesKeepsItsDecimalsAndEndsWhereItShould() {
        assertThat(Series.of("0", "0.10", "0.3")).containsExactly("0.00", "0.10", "0.20", "0.30");
        assertThat(Series.of("5", "-2", "0")).containsExactly("5", "3", "1");
        assertThatThrownBy(() -> Series.of("0", "-1", "5")).hasMessageContaining("Step: must lead from 0 towards 5");
        assertThatThrownBy(() -> Series.of("0", "1e-9", "5")).hasMessageContaining("more than 10000 rows");
        assertThatThrownBy(() -> Series.of("a", "1", "5")).hasMessageStartingWith("From: ");
    }

    @Test
    void comparisonSaysHowFarAndWhetherTheyAgree() {
        Map<String, Object> g = Comparison.of(9.76, 0.04, Units.parse("m/s^2"), 981, Double.NaN, Units.parse("cm/s^2"));
        assertThat(g).containsEntry("percentText", "0.51 % below").containsEntry("agree", true);
        assertThat(g.get("words").toString()).startsWith("They agree: the difference is less than twice");
        assertThat(Comparison.of(9.5, 0.05, Units.parse("m/s^2"), 9.81, 0, Units.parse("m/s^2")).get("words").toString())
                .isEqualTo("They don't agree: the difference is 6.2 times its uncertainty");
        assertThatThrownBy(() -> Comparison.of(1, 0, Units.parse("m"), 1, 0, Units.parse("s"))).hasMessageContaining("in m with one in s");
    }
}
