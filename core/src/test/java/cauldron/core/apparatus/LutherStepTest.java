package cauldron.core.apparatus;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import cauldron.core.RandomSource;
import org.hipparchus.ode.OrdinaryDifferentialEquation;
import org.hipparchus.ode.nonstiff.LutherIntegrator;
import org.junit.jupiter.api.Test;

/** Steps against the library's own integrator and against a closed form. */
class LutherStepTest {

    private static void pendulum(double t, double[] y, double[] dy) {
        dy[0] = y[1];
        dy[1] = -9.81 * Math.sin(y[0]) - 0.1 * y[1] + Math.cos(3 * t);
    }

    @Test
    void itGivesTheLibrarysBits() {
        RandomSource chance = new RandomSource(3);
        LutherStep step = new LutherStep(LutherStepTest::pendulum, 2);
        LutherIntegrator library = new LutherIntegrator(1);
        OrdinaryDifferentialEquation equation = new OrdinaryDifferentialEquation() {
            @Override
            public int getDimension() {
                return 2;
            }

            @Override
            public double[] computeDerivatives(double t, double[] y) {
                double[] dy = new double[2];
                pendulum(t, y, dy);
                return dy;
            }
        };
        for (int i = 0; i < 200; i++) {
            double[] from = {chance.between(-3, 3), chance.between(-10, 10)};
            step.from(from);
            for (int k = 0; k < 3; k++) {
                double h = chance.between(1e-6, 0.1);
                assertThat(step.to(h)).isEqualTo(library.singleStep(equation, 0, from, h));
            }
        }
    }

    @Test
    void itIsOfSixthOrder() {
        LutherStep step = new LutherStep((t, y, dy) -> dy[0] = -y[0], 1);
        step.from(new double[] {1});
        double coarse = Math.abs(step.to(0.2)[0] - Math.exp(-0.2));
        double fine = Math.abs(step.to(0.1)[0] - Math.exp(-0.1));
        assertThat(Math.log(coarse / fine) / Math.log(2)).isCloseTo(7, within(0.2));
    }
}
