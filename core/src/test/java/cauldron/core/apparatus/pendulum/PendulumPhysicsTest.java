package cauldron.core.apparatus.pendulum;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import cauldron.core.apparatus.Channel;
import cauldron.core.apparatus.Event;
import cauldron.core.apparatus.Run;
import cauldron.core.apparatus.Settings;
import cauldron.core.apparatus.StopAt;
import java.util.LinkedHashMap;
import java.util.Map;
import org.hipparchus.ode.ODEState;
import org.hipparchus.ode.OrdinaryDifferentialEquation;
import org.hipparchus.ode.nonstiff.DormandPrince853Integrator;
import org.hipparchus.special.elliptic.legendre.LegendreEllipticIntegral;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** The pendulum against closed forms, a conservation law and an independent integrator. */
class PendulumPhysicsTest {

    private static final Pendulum PENDULUM = new Pendulum();
    private static final Event LOWEST = PENDULUM.manifest().event("lowest");

    static Run run(Object... settings) {
        Map<String, Object> map = new LinkedHashMap<>();
        for (int i = 0; i < settings.length; i += 2) {
            map.put((String) settings[i], settings[i + 1]);
        }
        return new Run(PENDULUM, Settings.of(PENDULUM.manifest(), map), 1);
    }

    private static double measuredPeriod(Run run) {
        run.advance(1000, new StopAt.Happening(LOWEST, 1));
        double first = run.time();
        run.advance(1000, new StopAt.Happening(LOWEST, 2));
        return run.time() - first;
    }

    @ParameterizedTest
    @ValueSource(doubles = {1, 5, 10, 20, 30, 45, 60, 75, 89, 90})
    void periodIsFourTimesTheCompleteEllipticIntegral(double degrees) {
        // T = 4 √(L/g) K(sin(θ₀/2)); Landau and Lifshitz, Mechanics, §11, problem 1.
        double k = Math.sin(Math.toRadians(degrees) / 2);
        double exact = 4 * Math.sqrt(0.8 / 9.81) * LegendreEllipticIntegral.bigK(k * k);
        double measured = measuredPeriod(run("length", 0.8, "angle", degrees));
        assertThat(measured / exact - 1).isCloseTo(0, within(1e-9));
    }

    @ParameterizedTest
    @ValueSource(doubles = {0.10, 2.50})
    void periodHoldsAtTheEndsOfTheRangesOfLengthAndGravity(double length) {
        for (String place : new String[] {"moon", "jupiter"}) {
            double g = place.equals("moon") ? 1.62 : 25.92;
            double k = Math.sin(Math.toRadians(90) / 2);
            double exact = 4 * Math.sqrt(length / g) * LegendreEllipticIntegral.bigK(k * k);
            double measured = measuredPeriod(run("length", length, "angle", 90.0, "place", place));
            assertThat(measured / exact - 1).as(place).isCloseTo(0, within(1e-9));
        }
    }

    @Test
    void energyDoesNotDriftOverAThousandSwings() {
        Run run = run("angle", 90.0);
        Channel total = PENDULUM.manifest().channel("total");
        double before = run.read(total);
        run.advance(1e5, new StopAt.Happening(LOWEST, 2000));
        assertThat(run.time()).isGreaterThan(2000);
        assertThat(run.read(total) / before - 1).isCloseTo(0, within(1e-10));
    }

    @Test
    void lossesReappearAsThermalEnergy() {
        Run run = run("angle", 60.0, "drag", true, "size", "large", "mass", 50.0, "friction", 5.0);
        Channel total = PENDULUM.manifest().channel("total");
        double before = run.read(total);
        run.advance(60, null);
        assertThat(run.read(PENDULUM.manifest().channel("thermal"))).isGreaterThan(0.5 * before);
        assertThat(run.read(total) / before - 1).isCloseTo(0, within(1e-9));
    }

    @Test
    void decayWithDragFollowsAFineStepReference() {
        // Independent: Hipparchus's adaptive 8(5,3) at 1e-13, no events, constants restated.
        double area = Math.PI * 0.035 * 0.035;
        double perMass = 0.5 * 1.204 * 0.47 * area / 0.1;
        DormandPrince853Integrator reference = new DormandPrince853Integrator(1e-9, 0.002, 1e-13, 1e-13);
        OrdinaryDifferentialEquation law = new OrdinaryDifferentialEquation() {
            @Override
            public int getDimension() {
                return 2;
            }

            @Override
            public double[] computeDerivatives(double t, double[] y) {
                return new double[] {y[1],
                    -9.81 / 1.2 * Math.sin(y[0]) - 0.002 / (0.1 * 1.44) * y[1]
                            - perMass * 1.2 * Math.abs(y[1]) * y[1]};
            }
        };
        double[] end = reference.integrate(law, new ODEState(0, new double[] {Math.toRadians(50), 0}), 40)
                .getPrimaryState();
        Run run = run("length", 1.2, "mass", 100.0, "size", "large", "angle", 50.0, "drag", true, "friction", 2.0);
        run.advance(40, null);
        assertThat(run.read(PENDULUM.manifest().channel("angle"))).isCloseTo(end[0], within(1e-8));
        assertThat(run.read(PENDULUM.manifest().channel("angular-speed"))).isCloseTo(end[1], within(1e-8));
    }

    @Test
    void tensionAtTheLowestPointIsThreeWeightsAfterAQuarterTurn() {
        Run run = run("angle", 90.0, "mass", 500.0);
        run.advance(10, new StopAt.Happening(LOWEST, 1));
        assertThat(run.read(PENDULUM.manifest().channel("tension"))).isCloseTo(3 * 0.5 * 9.81, within(1e-9));
    }

    @Test
    void beamTimerReadsThePeriod() {
        Run run = run("angle", 5.0);
        double period = measuredPeriod(run);
        assertThat(run.read(PENDULUM.manifest().channel("period"))).isCloseTo(period, within(1e-12));
    }
}
