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
    void celsiusHasAnotherZeroWhereItStandsAloneAndIsAnIntervalInProducts() {
        for (String alone : new String[] {"°C", "˚C", "℃", "deg C", "° C", "degrees C"}) {
            assertThat(Units.parse(alone).toSi(20)).as(alone).isEqualTo(293.15);
        }
        assertThat(Units.parse("J/(kg °C)").toSi(1)).isEqualTo(Units.parse("J/(kg K)").toSi(1));
        assertThat(Units.parse("°C/min").toSi(60)).isEqualTo(1);
        assertThat(Units.parse("1/°C").toSi(1)).isEqualTo(1);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {"atm | Pa | 101325", "mmHg | Pa | 133.322387415", "cal | J | 4.184", "kcal | J | 4184",
        "Wh | J | 3600", "kWh | J | 3.6e6", "mAh | C | 3.6", "rpm | rad/s | 0.10471975511965977", "rev | rad | 6.283185307179586",
        "M | mol/m³ | 1000", "mM | mol/m³ | 1", "ppm | % | 1e-4", "mH | V s/A | 1e-3", "Wb | V s | 1", "lx | cd/m² | 1", "lm | cd | 1",
        "kBq | 1/s | 1000", "mGy | m²/s² | 1e-3", "µSv | J/kg | 1e-6", "mS | A/V | 1e-3", "Å | nm | 0.1", "yr | d | 365.25",
        "day | h | 24", "in | cm | 2.54", "ft | in | 12", "mi | ft | 5280", "lb | g | 453.59237",
        "Nm | N m | 1", "Nm-1 | N/m | 1", "m ^2 | m² | 1", "kgm/s2 | N | 1", "gcm-3 | g/cm³ | 1", "Js | J s | 1", "N•m | J | 1"})
    void unitsOfOtherTradesAndWithoutGaps(String written, String other, double worth) {
        Unit unit = Units.parse(written);
        Unit reference = Units.parse(other);
        assertThat(unit.dimension()).isEqualTo(reference.dimension());
        assertThat(unit.factor() / reference.factor() / worth).isCloseTo(1, within(1e-12));
        assertThat(Units.parse(unit.symbol()).factor()).as("printed as " + unit.symbol()).isCloseTo(unit.factor(), within(1e-12 * unit.factor()));
    }

    /** As people write it at school: with points, without gaps after a power, in words. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {"N.m | N m", "m.s^-1 | m/s", "W/(m²K) | W m⁻² K⁻¹", "kgm^2s^-3 | W",
        "kgm²s⁻³ | W", "cc | cm³", "percent | %", "per cent | %", "joules | J", "Newton | N", "kilojoules | kJ",
        "metres per second | m/s", "mins | min", "litres | L", "Da | u", "J/kgK | J/(kg K)", "mol.L^-1 | mol/L"})
    void unitsAreReadAsTheyAreWrittenAtSchool(String written, String other) {
        Unit unit = Units.parse(written);
        assertThat(unit.sameKind(Units.parse(other))).isTrue();
        assertThat(unit.factor() / Units.parse(other).factor()).isCloseTo(1, within(1e-12));
        assertThat(Units.parse(unit.symbol()).factor()).as(unit.symbol()).isCloseTo(unit.factor(),
                within(1e-12 * unit.factor()));
        assertThat(Units.parse("mph").factor()).isEqualTo(1609.344 / 3600, within(1e-12));
    }

    @ParameterizedTest
    @CsvSource({"ms-2", "ms^-2", "ms⁻²", "ms-1"})
    void metresPerSecondOrMilliseconds(String written) {
        assertThatThrownBy(() -> Units.parse(written)).hasMessageContaining("two ways").hasMessageContaining("(ms)");
        assertThat(Units.parse("m s-2").dimension()).isEqualTo(Units.parse("m/s²").dimension());
        assertThat(Units.parse("(ms)-2").factor()).isEqualTo(1e6);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {"swing | not a unit", "N..m | no place", "J/kg²K | brackets", "KG | did you mean kg", "m/ | stops too early",
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

    @Test
    void whatIsNoNumberIsQuotedNoLongerThanOneReads() {
        assertThatThrownBy(() -> Numbers.read("9x".repeat(2500))).hasMessage("“" + "9x".repeat(20) + "…” is not a number");
    }
}
