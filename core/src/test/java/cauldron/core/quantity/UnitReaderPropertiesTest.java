package cauldron.core.quantity;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import cauldron.core.RandomSource;
import org.junit.jupiter.api.Test;

/** Units made by chance: read, printed and read again; the algebra of their dimensions; hostile input. */
class UnitReaderPropertiesTest {

    private static final String[] SYMBOLS = {"m", "cm", "kg", "g", "s", "ms", "N", "J", "Pa", "kPa", "A", "V", "mol", "K", "Ω", "W", "µm"};
    private final RandomSource chance = new RandomSource(21);

    private int below(int n) {
        return (int) chance.between(0, n - 1e-9);
    }

    private String factor() {
        String symbol = SYMBOLS[below(SYMBOLS.length)];
        int power = below(6) - 2;
        return power == 0 || power == 1 ? symbol : (symbol.equals("ms") ? "(ms)" : symbol) + "^" + power;
    }

    private String product() {
        StringBuilder text = new StringBuilder(factor());
        for (int i = below(3); i > 0; i--) {
            text.append(new String[] {" ", "·", "*"}[below(3)]).append(factor());
        }
        return text.toString();
    }

    @Test
    void whatIsPrintedReadsAsTheSameUnit() {
        for (int n = 0; n < 3000; n++) {
            String typed = product() + (below(2) == 0 ? "" : "/(" + product() + ")");
            Unit unit = Units.parse(typed);
            Unit again = Units.parse(unit.symbol());
            assertThat(again.dimension()).as(typed + " → " + unit.symbol()).isEqualTo(unit.dimension());
            assertThat(again.factor() / unit.factor()).as(typed).isCloseTo(1, within(1e-12));
        }
    }

    @Test
    void dimensionsMultiplyDivideAndTakePowersLikeNumbers() {
        for (int n = 0; n < 2000; n++) {
            Dimension a = Units.parse(product()).dimension();
            Dimension b = Units.parse(product()).dimension();
            assertThat(a.times(b)).isEqualTo(b.times(a));
            assertThat(a.times(b).over(b)).isEqualTo(a);
            assertThat(a.times(a)).isEqualTo(a.power(2));
            assertThat(a.over(a).isNone()).isTrue();
            assertThat(a.times(b).power(2)).isEqualTo(a.power(2).times(b.power(2)));
            assertThat(a.power(2).power(0.5)).isEqualTo(a);
            assertThat(Units.coherent(a).dimension()).isEqualTo(a);
        }
    }

    @Test
    void hostileInputIsAUnitOrATroubleWithAPlaceInIt() {
        String letters = "mskgNJPa/()^*·⁻²√1-23 .°µΩ_\"<";
        for (int n = 0; n < 20_000; n++) {
            StringBuilder typed = new StringBuilder();
            for (int i = below(12); i >= 0; i--) {
                typed.append(letters.charAt(below(letters.length())));
            }
            try {
                assertThat(Units.parse(typed.toString()).factor()).as(typed.toString()).isPositive();
            } catch (UnitSyntaxException e) {
                assertThat(e.position()).as(typed.toString()).isBetween(0, typed.length());
                assertThat(e.getMessage()).isNotBlank();
            }
        }
    }

    @Test
    void enormousInputIsAnsweredNotSuffered() {
        for (String part : new String[] {"(", "√", "m/", "m^9 ", "q"}) {
            assertThatThrownBy(() -> Units.parse(part.repeat(100_000))).as(part).isInstanceOf(IllegalArgumentException.class);
        }
    }
}
