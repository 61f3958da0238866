package cauldron.core.quantity;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class ConversionTest {

    private static Conversion between(String from, String to) {
        return new Conversion(Units.parse(from), Units.parse(to));
    }

    @ParameterizedTest
    @CsvSource({"12.30, mm, cm, 1.230", "1.50, m, cm, 150", "0.020, kg, g, 20", "−4.0, cm, m, −0.040", "3e2, N/cm, N/m, 30000",
        "36.0, km/h, m/s, 10.00", "1.5, min, s, 90.0", "90, °, rad, 1.57", "20.5, °C, K, 293.7", "300.0, K, °C, 26.9",
        "0, km/h, m/s, 0", "0.00, mm, m, 0.00000", "5, nm, m, 5 × 10⁻⁹", "abc, m, cm, abc", "'', m, cm, ''", "7, s, s, 7",
        "2.5, '', %, 250"})
    void figuresStay(String typed, String from, String to, String expected) {
        assertThat(between(from, to).value(typed)).isEqualTo(expected);
    }

    @Test
    void anUncertaintyIsAnInterval() {
        assertThat(between("°C", "K").uncertainty("0.5")).isEqualTo("0.5");
        assertThat(between("mm", "cm").uncertainty("0.5")).isEqualTo("0.05");
    }

    /** There and back again nothing is lost, for all that students type. */
    @ParameterizedTest
    @CsvSource({"km/h, m/s", "min, s", "h, min", "°, rad", "eV, J", "t, u", "L, cm³", "kWh, MJ", "bar, kPa"})
    void thereAndBackAgain(String one, String other) {
        for (String typed : new String[] {"1", "7.31", "0.064", "98.6", "1234.5", "−2.50"}) {
            String back = between(other, one).value(between(one, other).value(typed));
            double last = Math.pow(10, -Numbers.decimals(typed));
            assertThat(Numbers.read(back)).as(typed + " " + one).isCloseTo(Numbers.read(typed), within(0.5 * last));
        }
    }

    @Test
    void unlikeKindsAreRefusedByName() {
        assertThatThrownBy(() -> between("cm", "s")).hasMessage("Can't convert cm to s: they are of unlike kinds");
        assertThatThrownBy(() -> between("", "m")).hasMessageContaining("a pure number");
    }

    @ParameterizedTest
    @CsvSource({"m/s², true", "km/h/s, true", "cm s^-2, true", "m/s, false", "s²/m, false", "N, false", "1, false", "'', false", "m/s^, false"})
    void aFoundUnitIsRightInAnyForm(String typed, boolean right) {
        assertThat(UnitCheck.of(typed, Units.parse("m/s^2")).right()).isEqualTo(right);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {"s²/m | upside down", "m/s | the power of s", "m | the power of s", "N | power of kg", "1 | don't all cancel",
        "m/q | q"})
    void aHintNamesWhatToLookAtAndNotTheUnit(String typed, String hint) {
        assertThat(UnitCheck.of(typed, Units.parse("m/s^2")).note()).contains(hint).doesNotContain("m/s^2").doesNotContain("s⁻²");
    }

    @ParameterizedTest
    @ValueSource(strings = {"1", "rad", "°", "m/m"})
    void aPureNumberHasTheUnitOne(String typed) {
        assertThat(UnitCheck.of(typed, Unit.ONE).right()).isTrue();
    }
}
