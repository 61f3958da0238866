package cauldron.core.apparatus.gascylinder;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import cauldron.core.RandomSource;
import java.util.Map;
import org.hipparchus.analysis.integration.SimpsonIntegrator;
import org.junit.jupiter.api.Test;

class GasTest {

    /** Viscosities at 0 °C and ordinary pressure in µPa s, from tables of physical constants. */
    private static final Map<String, Double> VISCOSITY = Map.of("hydrogen", 8.4, "helium", 18.7, "methane", 10.3, "neon",
            29.8, "nitrogen", 16.6, "oxygen", 19.2, "argon", 21.0, "carbon-dioxide", 13.7, "krypton", 23.3,
            "sulfur-hexafluoride", 14.0);

    @Test
    void diametersGiveTheMeasuredViscosities() {
        double kT = Gas.BOLTZMANN * 273.15;
        for (Gas gas : Gas.ALL) {
            double viscosity = 1.016 * 5 / 16 * Math.sqrt(Math.PI * gas.mass() * kT)
                    / (Math.PI * gas.diameter() * gas.diameter());
            double measured = VISCOSITY.get(gas.id()) * 1e-6;
            assertThat(viscosity).as(gas.name()).isCloseTo(measured, within(0.025 * measured));
        }
    }

    @Test
    void theLawOfSpeedsHasAreaOneAndItsMarks() {
        MaxwellBoltzmann law = new MaxwellBoltzmann(gas("nitrogen").mass(), Gas.BOLTZMANN * 300);
        SimpsonIntegrator area = new SimpsonIntegrator(1e-10, 1e-12, 3, 40);
        assertThat(area.integrate(1_000_000, law::speedDensity, 0, 6000)).isCloseTo(1, within(1e-8));
        assertThat(area.integrate(1_000_000, law::speedDensity, 0, 500)).isCloseTo(law.slower(500), within(1e-8));
        assertThat(area.integrate(1_000_000, v -> v * law.speedDensity(v), 0, 6000))
                .isCloseTo(law.speeds()[1], within(1e-5));
        // Nitrogen at 300 K: 422, 476 and 517 m/s, as any textbook of physical chemistry has it.
        assertThat(law.speeds()[0]).isCloseTo(422, within(0.5));
        assertThat(law.speeds()[1]).isCloseTo(476, within(0.5));
        assertThat(law.speeds()[2]).isCloseTo(517, within(0.5));
        double kT = law.kT();
        assertThat(area.integrate(1_000_000, u -> 2 * u * law.energyDensity(u * u * kT) * kT, 0, 6))
                .isCloseTo(1, within(1e-8));
    }

    @Test
    void chanceByComparisonsAloneHasTheRightMoments() {
        RandomSource chance = new RandomSource(17);
        int n = 400_000;
        double[] sums = new double[6];
        for (int i = 0; i < n; i++) {
            double e = chance.exponential();
            double g = chance.exactNormal();
            sums[0] += e / n;
            sums[1] += e * e / n;
            sums[2] += g / n;
            sums[3] += g * g / n;
            sums[4] += g * g * g * g / n;
            sums[5] += (g > 1 ? 1.0 : 0) / n;
        }
        assertThat(sums[0]).isCloseTo(1, within(0.008));
        assertThat(sums[1]).isCloseTo(2, within(0.04));
        assertThat(sums[2]).isCloseTo(0, within(0.008));
        assertThat(sums[3]).isCloseTo(1, within(0.011));
        assertThat(sums[4]).isCloseTo(3, within(0.08));
        assertThat(sums[5]).isCloseTo(0.158655, within(0.003));
    }

    static Gas gas(String id) {
        return Gas.ALL.stream().filter(g -> g.id().equals(id)).findFirst().orElseThrow();
    }
}
