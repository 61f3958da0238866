package cauldron.core.apparatus.volumebench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.assertj.core.data.Percentage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The curved surface against its limits and its balance of forces; what an eye sees of it against rays. */
class MeniscusTest {

    private static final double LENGTH = Meniscus.waterLength();

    @Test
    void waterHasItsCapillaryLength() {
        // 2.73 mm at 20 °C: de Gennes et al., ch. 2.
        assertThat(LENGTH).isCloseTo(2.73e-3, within(0.01e-3));
    }

    /** In a narrow tube it is a part of a sphere. */
    @ParameterizedTest
    @CsvSource({"0", "8", "45", "80"})
    void inANarrowTubeItIsACap(double degrees) {
        double angle = Math.toRadians(degrees);
        double r = LENGTH / 200;
        Meniscus found = new Meniscus(r, angle, LENGTH);
        double sphere = r / Math.cos(angle);
        double rise = sphere * (1 - Math.sin(angle));
        assertThat(found.rise()).isCloseTo(rise, Percentage.withPercentage(0.01));
        double below = Math.PI * rise * rise * (sphere - rise / 3);
        assertThat(found.volume()).isCloseTo(Math.PI * r * r * rise - below, Percentage.withPercentage(0.01));
    }

    /** At a plane wall it climbs by 2 ℓ sin(45° − θ/2), and in a wide vessel nearly so. */
    @Test
    void inAWideVesselItClimbsAsAtAPlane() {
        double angle = Math.toRadians(8);
        double plane = 2 * LENGTH * Math.sin(Math.PI / 4 - angle / 2);
        double wide = new Meniscus(10 * LENGTH, angle, LENGTH).rise();
        double wider = new Meniscus(20 * LENGTH, angle, LENGTH).rise();
        assertThat(wide).isCloseTo(plane, Percentage.withPercentage(5));
        // What is missing goes with one over the radius.
        assertThat((plane - wider) / (plane - wide)).isCloseTo(0.5, within(0.04));
    }

    /** What hangs above the lowest point is carried by the wall: 2 π R γ cos θ = ρ g V + 2 γ b π R². */
    @ParameterizedTest
    @CsvSource({"6.75", "9.4", "11.75", "14.55", "19.95"})
    void theWallCarriesWhatHangs(double mm) {
        double r = mm / 1000;
        double angle = Math.toRadians(8);
        Meniscus found = new Meniscus(r, angle, LENGTH);
        double pulled = 2 * Math.PI * r * Math.cos(angle);
        double hangs = found.volume() / (LENGTH * LENGTH) + 2 * found.curvature() * Math.PI * r * r;
        assertThat(hangs).isCloseTo(pulled, Percentage.withPercentage(1e-4));
        assertThat(found.height(0)).isZero();
        assertThat(found.height(r / 2)).isBetween(0.0, found.rise() / 2);
    }

    @Test
    void aLevelEyeSeesTheTrueHeight() {
        assertThat(new Sight(0.1).seen(0.1, 0.014, 0.014)).isEqualTo(0.1);
    }

    @Test
    void fromAboveItAppearsHigherByParallax() {
        // Similar triangles: the eye 5 cm up, 25 cm before the axis, the front 14 mm before it.
        assertThat(new Sight(0.15).seen(0.1, 0.014, 0.014)).isCloseTo(0.1 + 0.05 * 0.014 / 0.25, within(1e-15));
    }

    @Test
    void fromBelowTheRayIsBrokenAtTheWall() {
        double seen = new Sight(0.05).seen(0.1, 0.014, 0.014);
        double inside = Math.atan2(0.1 - seen, 0.014);
        double outside = Math.atan2(seen - 0.05, 0.25 - 0.014);
        assertThat(Math.sin(outside)).isCloseTo(1.333 * Math.sin(inside), within(1e-12));
        // Nearly level, the water is as if it were 1.333 times thinner.
        double little = new Sight(0.1 - 1e-5).seen(0.1, 0.014, 0.014);
        double depth = 0.014 / 1.333;
        assertThat((0.1 - little) / 1e-5).isCloseTo(depth / (depth + 0.236), within(1e-6));
    }
}
