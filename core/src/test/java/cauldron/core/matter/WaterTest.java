package cauldron.core.matter;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Water against IAPWS values, restated: density, viscosity, conductivity and heat capacity at 1 atm. */
class WaterTest {

    @ParameterizedTest
    @CsvSource({"0, 999.8443, 1.7918, 0.55565, 4219.43",
        "5, 999.9669, 1.5182, 0.56779, 4204.95",
        "20, 998.2061, 1.0016, 0.59801, 4184.79",
        "40, 992.2243, 0.65273, 0.6285, 4178.55",
        "60, 983.2106, 0.46604, 0.65102, 4182.76",
        "95, 961.8951, 0.29709, 0.67518, 4210.57"})
    void propertiesAreThoseOfTheTables(double t, double density, double millipascals, double conductivity,
            double capacity) {
        assertThat(Water.density(t)).isCloseTo(density, within(0.02));
        assertThat(Water.viscosity(t)).isCloseTo(millipascals / 1000, within(0.002 * millipascals / 1000));
        assertThat(Water.conductivity(t)).isCloseTo(conductivity, within(0.02 * conductivity));
        assertThat(Water.heatCapacity(t)).isCloseTo(capacity, within(0.001 * capacity));
    }

    @Test
    void itIsDensestJustBelowFourDegrees() {
        double densest = 0;
        for (double t = 0; t < 10; t += 0.01) {
            densest = Water.density(t) > Water.density(densest) ? t : densest;
        }
        assertThat(densest).isCloseTo(3.98, within(0.02));
    }

    @Test
    void enthalpyIsWhatHeatCapacityAddsUpTo() {
        for (double t : new double[] {3, 25, 60, 98}) {
            double h = 1e-3;
            assertThat((Water.enthalpy(t + h) - Water.enthalpy(t - h)) / (2 * h)).isCloseTo(Water.heatCapacity(t),
                    within(1e-3));
        }
        assertThat(Water.enthalpy(0)).isZero();
    }
}
