package cauldron.core.quantity;

import static org.assertj.core.api.Assertions.assertThat;

import cauldron.core.RandomSource;
import java.math.BigDecimal;
import java.math.RoundingMode;
import org.junit.jupiter.api.Test;

/** Decimals as a readout prints them, the quick way and the exact one: half up on the shortest decimal, always. */
class FixedTest {

    private static String exact(double value, int decimals) {
        BigDecimal rounded = new BigDecimal(Double.toString(value)).setScale(decimals, RoundingMode.HALF_UP);
        return (rounded.signum() == 0 ? rounded.abs() : rounded).toPlainString().replace('-', '\u2212');
    }

    @Test
    void bothWaysPrintTheSame() {
        RandomSource chance = new RandomSource(8);
        for (int i = 0; i < 60_000; i++) {
            double value = (chance.unit() - 0.5) * Math.pow(10, chance.between(-8, 12));
            int decimals = chance.below(9);
            assertThat(Numbers.fixed(value, decimals)).as("%s to %d", value, decimals).isEqualTo(exact(value, decimals));
        }
    }

    /** What stands on a tie by its shortest decimal, though the double lies a little below or above. */
    @Test
    void tiesRoundUpAsOnPaper() {
        RandomSource chance = new RandomSource(9);
        for (int i = 0; i < 20_000; i++) {
            int decimals = chance.below(5);
            String typed = chance.below(100_000) + "." + ("" + (100_000 + chance.below(100_000))).substring(1, 1 + decimals) + "5";
            double value = Double.parseDouble(chance.unit() < 0.5 ? typed : "-" + typed);
            assertThat(Numbers.fixed(value, decimals)).as("%s to %d", value, decimals).isEqualTo(exact(value, decimals));
        }
        assertThat(Numbers.fixed(1.005, 2)).isEqualTo("1.01");
        assertThat(Numbers.fixed(-0.004, 2)).isEqualTo("0.00");
        assertThat(Numbers.fixed(0.05, 1)).isEqualTo("0.1");
        assertThat(Numbers.fixed(999.96, 1)).isEqualTo("1000.0");
        assertThat(Numbers.fixed(Double.NaN, 1)).isEqualTo("–");
    }
}
