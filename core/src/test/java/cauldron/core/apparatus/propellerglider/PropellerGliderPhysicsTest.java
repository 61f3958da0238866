package cauldron.core.apparatus.propellerglider;

import cauldron.core.apparatus.SceneField;
import cauldron.core.inventory.Inventory;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import cauldron.core.analysis.LineFit;
import cauldron.core.apparatus.Action;
import cauldron.core.apparatus.Film;
import cauldron.core.apparatus.Recipe;
import cauldron.core.apparatus.Run;
import cauldron.core.apparatus.Settings;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class PropellerGliderPhysicsTest {

    private static Run run(Map<String, Object> settings) {
        PropellerGlider glider = new PropellerGlider();
        return new Run(glider, Settings.of(glider.manifest(), settings), 1);
    }

    private static double read(Run run, String channel) {
        return run.read(run.manifest().channel(channel));
    }

    private static void settle(Run run) {
        run.act(new Action.Perform("start"));
        run.seek(run.time() + 3);
    }

    @ParameterizedTest
    @ValueSource(doubles = {0, 0.004, 0.08})
    void runsByTheClosedFormOfLinearDrag(double drag) {
        Run run = run(Map.of("throttle", 80, "thrust", 2.0, "glider", 300, "added", 200, "drag", drag, "cut", false));
        settle(run);
        run.seek(12);
        double start = read(run, "position");
        run.act(new Action.Perform("cut"));
        double from = run.time();
        // Spun up, thrust is T₀ (1 − v/v₀): with the drag one linear law, whose end speed is T₀/(c + T₀/v₀).
        double t0 = 2.0 * 0.8 * 0.8;
        double k = drag + t0 / PropellerGliderExperiment.NO_THRUST;
        double tau = 0.5 / k;
        for (double t = 0.1; t < 0.9; t += 0.2) {
            run.seek(from + t);
            double v = t0 / k * (1 - Math.exp(-t / tau));
            double s = t0 / k * (t - tau * (1 - Math.exp(-t / tau)));
            // After 12 s the propeller turns at its rate, and the pointer has come to rest.
            assertThat(read(run, "speed")).isCloseTo(v, within(1e-9));
            assertThat(read(run, "position") - start).isCloseTo(s, within(1e-9));
        }
    }

    @Test
    void theGradientOfForceAgainstAccelerationIsTheMovingMass() {
        for (double added : new double[] {0, 150, 600}) {
            double[] a = new double[6];
            double[] f = new double[6];
            double[] throttle = {30, 45, 60, 75, 90, 100};
            for (int i = 0; i < 6; i++) {
                Run run = run(Map.of("throttle", throttle[i], "added", added, "offset", 0.04));
                settle(run);
                f[i] = read(run, "scale");
                run.act(new Action.Perform("cut"));
                double from = run.time();
                // As a student takes it: the gradient of speed against time over the first quarter of a second.
                double[] t = new double[9];
                double[] v = new double[9];
                for (int j = 0; j < 9; j++) {
                    run.seek(from + 0.03 * j);
                    t[j] = 0.03 * j;
                    v[j] = read(run, "speed");
                }
                a[i] = LineFit.of(t, v).slope();
            }
            double mass = LineFit.of(a, f).slope();
            double truth = 0.25 + added / 1000;
            assertThat(mass).as("with %s g", added).isCloseTo(truth, within(0.01 * truth));
        }
    }

    @Test
    void atTheMomentOfTheCutForceOverAccelerationIsTheMassWithinOnePercent() {
        for (double throttle : new double[] {30, 60, 100}) {
            Run run = run(Map.of("throttle", throttle, "added", 300));
            settle(run);
            double force = read(run, "scale");
            run.act(new Action.Perform("cut"));
            run.seek(run.time() + 0.01);
            assertThat(force / read(run, "acceleration")).isCloseTo(0.55, within(0.0055));
        }
    }

    @Test
    void theScaleShowsTheThrustWhileTheThreadHolds() {
        Run run = run(Map.of("throttle", 70, "thrust", 2.4, "offset", -0.05));
        assertThat(read(run, "scale")).isZero();
        SceneField pointer = run.manifest().sceneField("pointer.x");
        SceneField zero = run.manifest().sceneField("zero.x");
        double newton = run.scene().of(run.manifest().sceneField("newton"));
        double before = (run.scene().of(pointer) - run.scene().of(zero)) / newton;
        assertThat(before).isCloseTo(-0.05, within(1e-12));
        settle(run);
        double shown = (run.scene().of(pointer) - run.scene().of(zero)) / newton;
        assertThat(shown - before).isCloseTo(2.4 * 0.49, within(1e-9));
        assertThat(read(run, "speed")).isCloseTo(0, within(1e-9));
    }

    @Test
    void workOfTheThrustIsKineticEnergyAndLoss() {
        Run run = run(Map.of("cut", true, "drag", 0.05, "throttle", 100));
        run.act(new Action.Perform("start"));
        run.seek(0.8);
        assertThat(read(run, "total")).isCloseTo(read(run, "kinetic") + read(run, "thermal"), within(1e-9));
        assertThat(read(run, "thermal")).isGreaterThan(0.01);
    }

    @Test
    void theBufferStopsItOnceAndTheCutIsAnEvent() {
        Run run = run(Map.of("throttle", 100));
        settle(run);
        double cut = run.time();
        run.act(new Action.Perform("cut"));
        run.seek(cut + 4);
        assertThat(read(run, "position")).isEqualTo(PropellerGlider.TRACK_END);
        assertThat(read(run, "speed")).isZero();
        double[] events = run.events();
        assertThat(events).hasSize(4);
        assertThat(events[0]).isEqualTo(run.manifest().event("cut").index());
        assertThat(events[1]).isEqualTo(cut);
        assertThat(events[2]).isEqualTo(run.manifest().event("buffer").index());
        run.seek(1);
        run.seek(cut + 4);
        assertThat(run.events()).isEqualTo(events);
        assertThatThrownBy(() -> run.act(new Action.Perform("cut"))).hasMessage("“Cut the thread” can't be done now");
    }

    @Test
    void theHandMayBringBackAnUntiedGliderOnly() {
        Run run = run(Map.of());
        assertThatThrownBy(() -> run.act(new Action.Grab("glider"))).hasMessageContaining("cut the thread first");
        run.act(new Action.Perform("cut"));
        run.act(new Action.Grab("glider"));
        run.act(new Action.Move(0.7, 0));
        run.act(new Action.LetGo());
        run.seek(1);
        assertThat(read(run, "position")).isCloseTo(0.7, within(1e-12));
    }

    @Test
    void bothViewsAreFilmedInStepAndTheCloseUpCannotShowTheTrack() {
        Recipe recipe = new Recipe("propeller-glider", 2, Map.of("throttle", 100.0), 1,
                List.of(new Recipe.Timed(0.5, new Action.Perform("start")), new Recipe.Timed(3.0, new Action.Perform("cut"))));
        Film track = Inventory.shoot(recipe, "track", 120, 5);
        Film scale = Inventory.shoot(recipe, "scale", 120, 5);
        assertThat(track.frames()).isEqualTo(scale.frames());
        int thread = track.moving().indexOf("thread.on");
        int same = scale.moving().indexOf("thread.on");
        for (int f = 0; f < track.frames(); f++) {
            assertThat(track.body()[f * track.moving().size() + thread]).isEqualTo(scale.body()[f * scale.moving().size() + same]);
        }
        assertThat(scale.still()).containsEntry("glider.x", (double) Short.MAX_VALUE);
        assertThat(scale.scale()).isGreaterThan(10 * track.scale());
    }
}
