package cauldron.core.apparatus.railrun;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import cauldron.core.apparatus.Forecast;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;

/** Rails against the geometry of circles, lines and splines, and the forecast against work and energy on a slope. */
class RailTest {

    private static final Offset<Double> EXACT = within(1e-12);

    @Test
    void straightStretchesAndArcsHaveTheLengthsTheySay() {
        Rail rail = Track.from(1, 5, -60).straight(3).turn(60, 2).straight(1.5).turn(-90, 4).rail();
        assertThat(rail.length(rail.size())).isCloseTo(3 + Math.toRadians(60) * 2 + 1.5 + Math.toRadians(90) * 4, within(1e-9));
        double[] end = rail.at(rail.size()).clone();
        // Down the slope, round to level, on, and down through a quarter.
        double x = 1 + 3 * Math.cos(Math.toRadians(60)) + 2 * Math.sin(Math.toRadians(60)) + 1.5 + 4;
        double y = 5 - 3 * Math.sin(Math.toRadians(60)) - 2 * (1 - Math.cos(Math.toRadians(60))) - 4;
        assertThat(end[0]).isCloseTo(x, EXACT);
        assertThat(end[1]).isCloseTo(y, EXACT);
    }

    @Test
    void anArcIsAsCurvedAsItsCircleAndToItsSide() {
        Rail left = Track.from(0, 0, 0).turn(200, 2.5).rail();
        Rail right = Track.from(0, 0, 0).turn(-30, 2.5).rail();
        for (double u = 0.05; u < left.size(); u += 0.3) {
            assertThat(Rail.curvature(left.at(u))).isCloseTo(1 / 2.5, EXACT);
        }
        assertThat(Rail.curvature(right.at(0.5))).isCloseTo(-1 / 2.5, EXACT);
        assertThat(Rail.curvature(Track.from(0, 0, 10).straight(2).rail().at(0.4))).isZero();
    }

    @Test
    void aRailThroughPointsGoesThroughThemSmoothly() {
        double[] xy = {0.5, 8, 4, 1.5, 7.5, 4.5, 11, 1, 15.5, 7};
        Rail rail = Rail.through(xy);
        assertThat(rail.size()).isEqualTo(4);
        for (int i = 0; i < 5; i++) {
            double[] p = rail.at(Math.min(3, i), i).clone();
            assertThat(p[0]).isCloseTo(xy[2 * i], EXACT);
            assertThat(p[1]).isCloseTo(xy[2 * i + 1], EXACT);
        }
        for (int joint = 1; joint < 4; joint++) {
            double[] before = rail.at(joint - 1, joint).clone();
            double[] after = rail.at(joint, joint).clone();
            assertThat(Math.atan2(before[3], before[2])).isCloseTo(Math.atan2(after[3], after[2]), EXACT);
            assertThat(Rail.curvature(before)).isCloseTo(Rail.curvature(after), within(1e-10));
        }
        // A natural spline is straight at its ends.
        assertThat(Rail.curvature(rail.at(0, 0))).isCloseTo(0, EXACT);
        assertThat(Rail.curvature(rail.at(3, 4))).isCloseTo(0, EXACT);
    }

    @Test
    void pointsOnALineMakeALine() {
        Rail rail = Rail.through(0, 6, 1, 5, 4, 2, 5, 1);
        for (double u = 0; u < 3; u += 0.17) {
            double[] p = rail.at(u);
            assertThat(p[0] + p[1]).isCloseTo(6, EXACT);
        }
        assertThat(rail.length(3)).isCloseTo(5 * Math.sqrt(2), within(1e-9));
    }

    @Test
    void theNearestPointIsTheFootOfThePerpendicular() {
        Rail line = Track.from(0, 4, -45).straight(4 * Math.sqrt(2)).rail();
        double[] p = line.at(line.nearest(3, 3)).clone();
        assertThat(p[0]).isCloseTo(2, within(1e-6));
        assertThat(p[1]).isCloseTo(2, within(1e-6));
        double[] beyond = line.at(line.nearest(-5, 20)).clone();
        assertThat(beyond[1]).isCloseTo(4, within(1e-6));
    }

    @Test
    void aHeightIsFoundOnTheFirstSlopeOrAsNearAsItComes() {
        Rail rail = Rail.through(0.5, 8, 4, 1.5, 7.5, 4.5, 11, 1, 15.5, 7);
        assertThat(rail.at(rail.from(5))[1]).isCloseTo(5, within(1e-9));
        assertThat(rail.from(5)).isLessThan(1);
        assertThat(rail.from(20)).isZero();
        double lowest = rail.at(rail.from(0.2))[1];
        assertThat(lowest).as("the bottom of the first valley").isBetween(1.2, 1.6);
    }

    /**
     * Down a slope, round a bend and out on the level. On the slope friction takes μ m g times the way across; round the
     * bend the normal force holds the wagon on its circle too, which leaves e^(−2μθ) of the energy, whatever the radius.
     */
    @Test
    void theForecastIsWorkAndEnergyOnSlopeBendAndLevel() {
        double angle = Math.toRadians(30);
        Rail rail = Track.from(0, 6, -30).straight(8).turn(30, 0.1).straight(60).rail();
        double mu = 0.1;
        Forecast told = FrictionForecast.of(rail, 6, mu, 9.81);
        double foot = 8 * Math.sin(angle) - mu * 8 * Math.cos(angle);
        double level = foot * Math.exp(-2 * mu * angle) / mu;
        double metres = Double.parseDouble(told.words().replaceAll(".*about (\\d+) m.*", "$1"));
        assertThat(metres).isCloseTo(8 + 0.1 * angle + level, within(1.0));
        assertThat(FrictionForecast.of(rail, 6, 0, 9.81).share()).isZero();
        assertThat(FrictionForecast.of(rail, 6, 0.15, 9.81).share()).isGreaterThan(told.share());
        assertThat(FrictionForecast.of(rail, 6, mu, 1.62).words()).as("gravity doesn't matter").isEqualTo(told.words());
    }
}
