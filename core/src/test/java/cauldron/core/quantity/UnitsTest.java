package cauldron.core.quantity;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class UnitsTest {

    @ParameterizedTest
    @ValueSource(strings = {"m/s^2", "m s^-2", "m·s⁻²", "m s-2", "m*s^-2", "m/s/s", "m / s²", "m/(s s)", "N/kg"})
    void accelerationAsStudentsWriteIt(String written) {
        Unit unit = Units.parse(written);
        assertThat(unit.dimension()).isEqualTo(Dimension.of(0, 1, -2, 0, 0, 0, 0));
        assertThat(unit.factor()).isEqualTo(1);
    }

    @ParameterizedTest
    @CsvSource({"cm, 0.01", "mm, 0.001", "km, 1000", "g, 0.001", "kg, 1", "mg, 1e-6", "min, 60", "h, 3600",
        "ms, 0.001", "µs, 1e-6", "kPa, 1000", "cm^3, 1e-6", "mL, 1e-6", "km/h, 0.2777777777777778",
        "cm/s², 0.01", "kW h, 3.6e6", "°, 0.017453292519943295", "rad, 1", "√m, 1", "m^(1/2), 1", "g/cm³, 1000"})
    void factors(String written, double si) {
        assertThat(Units.parse(written).factor()).isCloseTo(si, within(1e-15 * Math.abs(si)));
    }

    @Test
    void celsiusHasAnotherZeroAndStandsAlone() {
        assertThat(Units.parse("°C").toSi(20)).isEqualTo(293.15);
        assertThatThrownBy(() -> Units.parse("J/°C")).hasMessageContaining("Write K");
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {"sec | Write s", "KG | did you mean kg", "m/ | stops too early",
        "(m | not closed", "J/kg K | brackets", "m^x | whole number", "foo | not a unit", "m+s | no place"})
    void troubleSaysWhatToWrite(String written, String message) {
        assertThatThrownBy(() -> Units.parse(written)).isInstanceOf(UnitSyntaxException.class)
                .hasMessageContaining(message);
    }

    @Test
    void derivedUnitsPrintInTheirNicestForm() {
        Dimension newton = Units.parse("kg m s^-2").dimension();
        assertThat(Units.coherent(newton).symbol()).isEqualTo("N");
        assertThat(Units.coherent(Units.parse("N").dimension().over(Units.parse("m/s²").dimension())).symbol())
                .isEqualTo("kg");
        assertThat(Units.coherent(Units.parse("m/s²").dimension()).symbol()).isEqualTo("m s⁻²");
        assertThat(Units.coherent(Units.parse("m").dimension().power(0.5)).symbol()).isEqualTo("√m");
        assertThat(Units.coherent(Units.parse("s").dimension().over(Units.parse("√m").dimension())).symbol())
                .isEqualTo("s/√m");
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {"1.5 | 1.5", "1,5 | 1.5", "−3 | -3", "3e-4 | 3e-4", "3×10^-4 | 3e-4",
        "3 · 10⁻⁴ | 3e-4", "0.020 | 0.02", ".5 | 0.5"})
    void numbersAsTyped(String typed, double value) {
        assertThat(Numbers.read(typed)).isEqualTo(value);
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "abc", "1.2.3", "--1", "1e999", "e5", "NaN", "0x10"})
    void whatIsNoNumberIsRefused(String typed) {
        assertThatThrownBy(() -> Numbers.read(typed)).isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void printing() {
        assertThat(Numbers.print(1.30049, 4)).isEqualTo("1.300");
        assertThat(Numbers.print(26.01 / 20, 4)).isEqualTo("1.301");
        assertThat(Numbers.print(-0.00012346, 3)).isEqualTo("−0.000123");
        assertThat(Numbers.print(123456789, 3)).isEqualTo("1.23 × 10⁸");
        assertThat(Numbers.printWithUncertainty(2.00612, 0.0093)).isEqualTo("2.006 ± 0.009");
        assertThat(Numbers.printWithUncertainty(9.8123, 0.123)).isEqualTo("9.81 ± 0.12");
        assertThat(Numbers.print(2.5, 4)).isEqualTo("2.500");
        assertThat(Numbers.print(9.9996, 4)).isEqualTo("10.00");
        assertThat(Numbers.print(1500, 2)).isEqualTo("1500");
        assertThat(Numbers.printShort(0.1)).isEqualTo("0.1");
        assertThat(Numbers.printShort(-1500)).isEqualTo("−1500");
        assertThat(Numbers.figures("1.50")).isEqualTo(3);
        assertThat(Numbers.figures("0.020")).isEqualTo(2);
    }
}
