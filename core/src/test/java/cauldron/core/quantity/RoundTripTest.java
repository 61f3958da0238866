package cauldron.core.quantity;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import cauldron.core.RandomSource;
import org.junit.jupiter.api.Test;

/** What is printed can be read again, for many units and numbers; the seed is printed with a failure. */
class RoundTripTest {

    private static final int SEED = 20261123;

    @Test
    void everyPrintedUnitReadsBackAsItself() {
        RandomSource chance = new RandomSource(SEED);
        for (int i = 0; i < 2000; i++) {
            Dimension d = Dimension.of(power(chance), power(chance), power(chance), power(chance), power(chance), 0, 0);
            if (i % 4 == 0) {
                d = d.power(0.5);
            }
            Unit unit = Units.coherent(d);
            Unit again = Units.parse(unit.symbol());
            assertThat(again.dimension()).as("seed %s, %s", SEED, unit.symbol()).isEqualTo(d);
            assertThat(again.factor()).as("seed %s, %s", SEED, unit.symbol()).isEqualTo(1);
        }
    }

    private static int power(RandomSource chance) {
        return chance.below(7) - 3;
    }

    @Test
    void aReadUnitPrintsWhatReadsAsTheSame() {
        for (String written : new String[] {"m/s^2", "kg m^-3", "N m", "cm/s", "J/(kg K)", "m s-2", "√m", "g/cm³",
            "km/h", "kW h", "1/s", "rad/s", "mN m s", "m^(3/2)"}) {
            Unit unit = Units.parse(written);
            Unit again = Units.parse(unit.symbol());
            assertThat(again.dimension()).as(unit.symbol()).isEqualTo(unit.dimension());
            assertThat(again.factor()).as(unit.symbol()).isCloseTo(unit.factor(), within(1e-15 * unit.factor()));
        }
    }

    @Test
    void printedNumbersReadBackWithinTheirLastFigure() {
        RandomSource chance = new RandomSource(SEED);
        for (int i = 0; i < 5000; i++) {
            double value = (chance.unit() - 0.5) * Math.pow(10, chance.between(-12, 12));
            int figures = 1 + chance.below(8);
            String text = Numbers.print(value, figures);
            double again = Numbers.read(text);
            assertThat(Math.abs(again - value)).as("seed %s, %s as %s", SEED, value, text)
                    .isLessThanOrEqualTo(0.5000001 * Math.pow(10, 1 - figures) * Math.abs(value));
        }
    }

    @Test
    void dimensionsFormAGroup() {
        Dimension a = Dimension.of(1, 2, -2, 0, 0, 0, 0);
        Dimension b = Dimension.of(0, 1, -1, 1, 0, -1, 0);
        assertThat(a.times(b).over(b)).isEqualTo(a);
        assertThat(a.power(-1).times(a)).isEqualTo(Dimension.NONE);
        assertThat(a.power(1.0 / 3).power(3)).isEqualTo(a);
        assertThat(a.times(b)).isEqualTo(b.times(a)).hasSameHashCodeAs(b.times(a));
        org.assertj.core.api.Assertions.assertThatThrownBy(() -> a.power(1.0 / 7)).isInstanceOf(ArithmeticException.class);
    }
}
