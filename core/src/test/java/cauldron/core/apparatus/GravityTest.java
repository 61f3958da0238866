package cauldron.core.apparatus;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import cauldron.core.bead.Bead;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class GravityTest {

    private static final Bead BEAD = new Bead();

    private static double of(Map<String, Object> values) {
        return BEAD.gravity.of(Settings.of(BEAD.manifest(), values));
    }

    /** Gravitational parameters GM in km³/s² and volumetric mean radii in km. */
    @ParameterizedTest
    @CsvSource({"moon, 4902.8, 1737.4", "mars, 42828.4, 3389.5", "jupiter, 126686534, 69911"})
    void aPlaceIsItsMassOverTheSquareOfItsRadius(String place, double gm, double radius) {
        assertThat(of(Map.of("place", place))).isCloseTo(1000 * gm / (radius * radius), within(0.005));
    }

    @Test
    void aValueOfOnesOwnCountsOnlyWhenItIsChosen() {
        assertThat(of(Map.of("gravity", 3.0))).isEqualTo(9.81);
        assertThat(of(Map.of("gravity", 3.0, "place", "own"))).isEqualTo(3.0);
    }
}
