package cauldron.core.apparatus.hangingspring;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import cauldron.core.apparatus.Action;
import cauldron.core.apparatus.Run;
import cauldron.core.apparatus.Settings;
import cauldron.core.apparatus.StopAt;
import java.util.LinkedHashMap;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The hanging spring against the closed forms of the damped oscillator, and its energy account. */
class HangingSpringPhysicsTest {

    private static final HangingSpring SPRING = new HangingSpring();

    private static Run run(Object... settings) {
        Map<String, Object> map = new LinkedHashMap<>();
        for (int i = 0; i < settings.length; i += 2) {
            map.put((String) settings[i], settings[i + 1]);
        }
        return new Run(SPRING, Settings.of(SPRING.manifest(), map), 1);
    }

    private static double read(Run run, String channel) {
        return run.read(SPRING.manifest().channel(channel));
    }

    /** Displacement below equilibrium after release from rest (A. P. French, Vibrations and Waves, ch. 3). */
    private static double closedForm(double k, double m, double c, double a, double t) {
        double gamma = c / (2 * m);
        double square = k / m - gamma * gamma;
        if (square > 0) {
            double w = Math.sqrt(square);
            return a * Math.exp(-gamma * t) * (Math.cos(w * t) + gamma / w * Math.sin(w * t));
        }
        double q = Math.sqrt(-square);
        double fast = -gamma - q;
        double slow = -gamma + q;
        return a * (slow * Math.exp(fast * t) - fast * Math.exp(slow * t)) / (slow - fast);
    }

    @ParameterizedTest
    @CsvSource({"20, 200, 0, 40", "2, 500, 0.05, 150", "60, 10, 0.4, -30", "20, 200, 0.3, 100", "20, 200, 3.9, 40",
        "8, 50, 6, 60", "60, 10, 6, 20"})
    void followsTheClosedForm(double k, double grams, double c, double millimetres) {
        Run run = run("spring", "own", "constant", k, "mass", grams, "damping", c, "drawn", millimetres);
        for (double t : new double[] {0.05, 0.3, 1.7, 5, 20}) {
            run.seek(t);
            double exact = closedForm(k, grams / 1000, c, millimetres / 1000, t);
            // Below 0.1 µm the mass is at rest by definition.
            assertThat(-read(run, "displacement")).as("t = " + t)
                    .isCloseTo(exact, within(Math.max(1e-9 * Math.abs(millimetres) / 1000, c > 0 ? 1.1e-7 : 0)));
        }
    }

    @Test
    void aLightSpringsOwnMassSlowsItByRayleighsThird() {
        Run run = run("spring", "stiff", "heavy", true, "mass", 100.0);
        run.advance(10, new StopAt.Happening(SPRING.manifest().event("equilibrium"), 4));
        assertThat(read(run, "period")).isCloseTo(2 * Math.PI * Math.sqrt((0.1 + 0.035 / 3) / 45), within(5e-4));
    }

    @Test
    void theEnergyAccountCloses() {
        Run run = run("mass", 300.0, "damping", 0.4, "drawn", 120.0);
        double before = read(run, "total");
        double given = 0.5 * 20 * 0.12 * 0.12;
        for (int i = 1; i <= 60; i++) {
            run.seek(i * 0.37);
            assertThat(read(run, "total") - before).isCloseTo(0, within(1e-9 * given));
        }
        run.seek(300);
        assertThat(read(run, "thermal")).isCloseTo(given, within(1e-9 * given));
        assertThat(read(run, "velocity")).isZero();
    }

    @Test
    void aHeavilyDampedMassCreepsBackWithoutPassingEquilibrium() {
        Run run = run("damping", 6.0);
        run.seek(30);
        assertThat(run.count(SPRING.manifest().event("equilibrium"), 0, 1)).isZero();
        assertThat(read(run, "displacement")).isCloseTo(0, within(1e-6));
    }

    @Test
    void extensionUnderAWeightIsHookesLaw() {
        Run run = run("drawn", 0.0, "mass", 250.0, "spring", "soft");
        run.seek(2);
        assertThat(read(run, "extension")).isCloseTo(0.25 * 9.81 / 8, within(1e-12));
        assertThat(read(run, "spring-force")).isCloseTo(0.25 * 9.81, within(1e-12));
    }

    @Test
    void aHandStopsHoldsAndThrows() {
        Run run = run();
        run.seek(0.4);
        run.act(new Action.Grab("body"));
        run.seek(1);
        assertThat(read(run, "velocity")).isZero();
        double size = -0.35;
        run.act(new Action.Move(0, size));
        run.seek(1.02);
        run.act(new Action.Move(0, size + 0.01));
        run.act(new Action.LetGo());
        assertThat(read(run, "velocity")).isCloseTo(0.01 / 0.02, within(1e-9));
        run.seek(0.9);
        run.seek(1.02);
        assertThat(read(run, "velocity")).isCloseTo(0.5, within(1e-9));
    }

    @Test
    void aHandThatRestsLetsGoFromRest() {
        Run run = run();
        run.act(new Action.Grab("body"));
        run.act(new Action.Move(0, -0.30));
        run.seek(0.5);
        run.act(new Action.Move(0, -0.36));
        run.seek(0.7);
        run.act(new Action.LetGo());
        assertThat(read(run, "velocity")).isZero();
    }
}
