package cauldron.core.chemistry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import org.assertj.core.data.Percentage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The table against atomic weights, itself, and what is published of single nuclides. */
class NuclidesTest {

    private static final int ALL = 859;
    private static final int FOUND_IN_NATURE = 99;
    private static final double YEAR = 365.25 * 86_400;

    private static Nuclide nuclide(String symbol, int massNumber) {
        int z = Element.of(symbol).number();
        Nuclide found = Nuclides.of(z, massNumber - z);
        assertThat(found).as(symbol + "-" + massNumber).isNotNull();
        return found;
    }

    @Test
    void allAreThereInOrder() {
        int count = 0;
        int natural = 0;
        for (int z = 1; z <= Nuclides.HEAVIEST; z++) {
            int before = -1;
            for (Nuclide nuclide : Nuclides.of(z)) {
                count++;
                natural += nuclide.abundance() > 0 ? 1 : 0;
                assertThat(nuclide.protons()).isEqualTo(z);
                assertThat(nuclide.neutrons()).isGreaterThan(before);
                before = nuclide.neutrons();
                assertThat(nuclide.mass()).isCloseTo(nuclide.massNumber(), within(0.13));
                assertThat(Nuclides.of(z, nuclide.neutrons())).isEqualTo(nuclide);
            }
        }
        assertThat(count).isEqualTo(ALL);
        assertThat(natural).isEqualTo(FOUND_IN_NATURE);
        assertThat(Nuclides.of(0)).isEmpty();
        assertThat(Nuclides.of(37, 48)).isNull();
        assertThat(Nuclides.of(6, 1)).isNull();
    }

    /** Shares sum to one, and the mean of the masses is the atomic weight, which was measured in other ways. */
    @Test
    void sharesSumToOneAndGiveTheAtomicWeight() {
        for (int z = 1; z <= Nuclides.HEAVIEST; z++) {
            double sum = Nuclides.of(z).stream().mapToDouble(Nuclide::abundance).sum();
            assertThat(sum).as("element " + z).isCloseTo(1, within(2e-4));
            assertThat(Nuclides.meanMass(z)).isCloseTo(Element.number(z).weight(), Percentage.withPercentage(0.1));
        }
        // Chlorine's mean lies between its isotopes; no atom of it has that mass.
        assertThat(Nuclides.meanMass(17)).isCloseTo(35.453, within(0.001));
    }

    @ParameterizedTest
    @CsvSource({"H, 3, 12.32", "C, 14, 5700", "Na, 22, 2.602", "Cl, 36, 301000", "Co, 60, 5.271", "Kr, 85, 10.75"})
    void halfLivesArePublishedOnes(String symbol, int massNumber, double years) {
        // CRC Handbook, table of the isotopes.
        assertThat(nuclide(symbol, massNumber).halfLife() / YEAR).isCloseTo(years, Percentage.withPercentage(1));
    }

    /** NUBASE2020: what older tables have wrong, lack, or call stable. */
    @ParameterizedTest
    @CsvSource({"Be, 10, 1.387e6", "Al, 26, 7.17e5", "Si, 32, 157", "Ca, 41, 9.94e4", "Ca, 48, 5.6e19", "Ti, 44, 59.1",
        "V, 50, 2.7e17", "Mn, 53, 3.7e6", "Fe, 60, 2.62e6", "Ni, 59, 8.1e4", "Ge, 76, 1.88e21", "Se, 79, 3.27e5",
        "Se, 82, 8.8e19", "Kr, 81, 2.29e5", "Be, 8, 2.6e-24"})
    void longAndShortestHalfLivesAreTheEvaluatedOnes(String symbol, int massNumber, double years) {
        assertThat(nuclide(symbol, massNumber).halfLife() / YEAR).isCloseTo(years, Percentage.withPercentage(1));
        assertThat(nuclide(symbol, massNumber).isStable()).isFalse();
    }

    @ParameterizedTest
    @CsvSource({"Ca, 48", "Ge, 76", "Se, 82"})
    void theLongestLivedTurnByTwoAtOnce(String symbol, int massNumber) {
        assertThat(Nuclides.decays(nuclide(symbol, massNumber))).containsExactly(Decay.TWO_BETA_MINUS);
    }

    @ParameterizedTest
    @CsvSource({"H, 3, BETA_MINUS", "C, 14, BETA_MINUS", "Co, 60, BETA_MINUS", "P, 32, BETA_MINUS", "C, 11, BETA_PLUS",
        "F, 18, BETA_PLUS", "Na, 22, BETA_PLUS", "Be, 7, CAPTURE", "Fe, 55, CAPTURE", "Ge, 71, CAPTURE", "Be, 8, ALPHA",
        "He, 5, NEUTRON", "Li, 5, PROTON", "Be, 13, NEUTRON", "F, 16, PROTON", "Be, 6, TWO_PROTONS", "O, 26, "
                + "TWO_NEUTRONS"})
    void theWayOfDecayFollowsFromTheMasses(String symbol, int massNumber, Decay way) {
        assertThat(Nuclides.decays(nuclide(symbol, massNumber))).containsExactly(way);
    }

    @Test
    void someDecayBothWays() {
        for (String[] one : new String[][] {{"K", "40"}, {"Cu", "64"}, {"Cl", "36"}, {"V", "50"}}) {
            assertThat(Nuclides.decays(nuclide(one[0], Integer.parseInt(one[1])))).as(one[0])
                    .containsExactly(Decay.BETA_MINUS,
                    Decay.BETA_PLUS);
        }
    }

    /**
     * Nothing lighter could come out of a stable one, by masses that know nothing of which are stable.
     */
    @Test
    void stableOnesHaveNoWayOut() {
        for (int z = 1; z <= Nuclides.HEAVIEST; z++) {
            for (Nuclide nuclide : Nuclides.of(z)) {
                Nuclide asIfNot = new Nuclide(z, nuclide.neutrons(), nuclide.mass(), 0, Double.NaN);
                if (nuclide.isStable()) {
                    assertThat(Nuclides.decays(asIfNot)).as(z + " " + nuclide.massNumber()).isEmpty();
                    assertThat(Nuclides.decays(nuclide)).isEmpty();
                } else if (!Double.isNaN(nuclide.halfLife())) {
                    assertThat(Nuclides.decays(nuclide)).as(z + " " + nuclide.massNumber()).isNotEmpty();
                }
            }
        }
    }

    @Test
    void theChartHasStepsOfLife() {
        assertThat(nuclide("Ne", 20).life()).isEqualTo(Nuclide.Life.STABLE);
        assertThat(nuclide("K", 40).life()).isEqualTo(Nuclide.Life.AGES);
        assertThat(nuclide("C", 14).life()).isEqualTo(Nuclide.Life.YEARS);
        assertThat(nuclide("P", 32).life()).isEqualTo(Nuclide.Life.DAYS);
        assertThat(nuclide("F", 18).life()).isEqualTo(Nuclide.Life.MINUTES);
        assertThat(nuclide("B", 12).life()).isEqualTo(Nuclide.Life.SHORT);
        assertThat(nuclide("He", 5).life()).isEqualTo(Nuclide.Life.UNKNOWN);
    }

    /** NIST Atomic Spectra Database, ground levels. */
    @Test
    void shellsAreThoseOfTheGroundState() {
        assertThat(Shells.of(1, 1)).containsExactly(1, 0, 0, 0);
        assertThat(Shells.of(10, 10)).containsExactly(2, 8, 0, 0);
        assertThat(Shells.of(18, 18)).containsExactly(2, 8, 8, 0);
        assertThat(Shells.of(20, 20)).containsExactly(2, 8, 8, 2);
        assertThat(Shells.of(24, 24)).containsExactly(2, 8, 13, 1);
        assertThat(Shells.of(26, 26)).containsExactly(2, 8, 14, 2);
        assertThat(Shells.of(29, 29)).containsExactly(2, 8, 18, 1);
        assertThat(Shells.of(36, 36)).containsExactly(2, 8, 18, 8);
        assertThat(Shells.of(26, 24)).containsExactly(2, 8, 14, 0);
        assertThat(Shells.of(26, 23)).containsExactly(2, 8, 13, 0);
        assertThat(Shells.of(29, 28)).containsExactly(2, 8, 18, 0);
        assertThat(Shells.of(8, 10)).containsExactly(2, 8, 0, 0);
        assertThat(Shells.of(17, 18)).containsExactly(2, 8, 8, 0);
        assertThat(Shells.of(3, 0)).containsExactly(0, 0, 0, 0);
        for (int z = 1; z <= Nuclides.HEAVIEST; z++) {
            for (int e = 0; e <= Nuclides.HEAVIEST; e++) {
                assertThat(Arrays.stream(Shells.of(z, e)).sum()).isEqualTo(e);
            }
        }
    }
}
