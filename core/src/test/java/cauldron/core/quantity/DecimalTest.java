package cauldron.core.quantity;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** The JDK's own decimals say what is right. */
class DecimalTest {

    private static final long SEED = 20261125;

    @Test
    void twentyThousandDoublesRoundAsTheJdkRoundsThem() {
        Random random = new Random(SEED);
        for (int i = 0; i < 20_000; i++) {
            double value = random.nextGaussian() * Math.pow(10, random.nextInt(24) - 12);
            BigDecimal exact = BigDecimal.valueOf(value);
            int decimals = random.nextInt(14) - 3;
            BigDecimal fixed = exact.setScale(decimals, RoundingMode.HALF_UP);
            String expected = fixed.signum() == 0 ? fixed.abs().toPlainString() : fixed.toPlainString();
            assertThat(Decimal.of(value).withDecimals(decimals)).as("%s to %d decimals, seed %d", value, decimals, SEED)
                    .hasToString(expected);
            int figures = 1 + random.nextInt(9);
            BigDecimal rounded = exact.round(new java.math.MathContext(figures, RoundingMode.HALF_UP));
            rounded = rounded.setScale(rounded.scale() + figures - rounded.precision());
            assertThat(Decimal.of(value).withFigures(figures)).as("%s to %d figures, seed %d", value, figures, SEED)
                    .hasToString(rounded.toPlainString());
        }
    }

    @Test
    void typedTextIsReadAndMovedAsTheJdkDoes() {
        Random random = new Random(SEED);
        for (int i = 0; i < 20_000; i++) {
            StringBuilder text = new StringBuilder(random.nextBoolean() ? "-" : "");
            text.append(random.nextInt(100_000));
            if (random.nextBoolean()) {
                text.append('.').append(random.nextInt(1_000_000));
            }
            if (random.nextInt(3) == 0) {
                text.append('e').append(random.nextInt(60) - 30);
            }
            int places = random.nextInt(13) - 6;
            BigDecimal exact = new BigDecimal(text.toString());
            BigDecimal moved = exact.movePointRight(places);
            Decimal own = Decimal.parse(text.toString());
            assertThat(own.toDouble()).as("%s, seed %d", text, SEED).isEqualTo(exact.doubleValue() + 0.0);
            String plain = moved.toPlainString();
            // Nought keeps its decimals and has no sign on either side.
            assertThat(own.moved(places).toString()).as("%s by %d, seed %d", text, places, SEED).isEqualTo(plain);
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"", ".", "-", "1e", "1e-", "1.2.3", "1-2", "e5", "--1", "1 2", "0x1", "1d", "NaN"})
    void whatIsNoNumberIsRefused(String text) {
        assertThatThrownBy(() -> Decimal.parse(text)).isInstanceOf(NumberFormatException.class);
    }

    @Test
    void exponentsFarOffEndNowhere() {
        assertThat(Decimal.parse("1e999999999999").toDouble()).isInfinite();
        assertThat(Decimal.parse("1e-999999999999").toDouble()).isZero();
        assertThat(Decimal.parse("0e-99999").toString()).hasSizeLessThan(410);
        assertThat(Decimal.parse("-0." + "0".repeat(600))).hasToString("0." + "0".repeat(400));
        assertThat(Decimal.parse("1e-500")).hasToString("0." + "0".repeat(499) + "1");
        assertThat(Numbers.moved("0." + "0".repeat(600), 3)).startsWith("0.000");
        assertThat(Decimal.parse("7").withDecimals(100_000).toString()).hasSizeLessThan(410);
    }
}
