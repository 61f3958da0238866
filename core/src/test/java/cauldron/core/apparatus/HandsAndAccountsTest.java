package cauldron.core.apparatus;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import cauldron.core.inventory.Inventory;
import java.util.LinkedHashMap;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Stops, hands and energy accounts of the mechanical apparatus, and conditions met for an instant only. */
class HandsAndAccountsTest {

    private static Run run(String apparatus, Object... settings) {
        Map<String, Object> map = new LinkedHashMap<>();
        for (int i = 0; i < settings.length; i += 2) {
            map.put((String) settings[i], settings[i + 1]);
        }
        Apparatus a = Inventory.get(apparatus);
        return new Run(a, Settings.of(a.manifest(), map), 1);
    }

    private static double read(Run run, String channel) {
        return run.read(run.manifest().channel(channel));
    }

    private static void refused(Run run, Action action) {
        double[] before = state(run);
        assertThatThrownBy(() -> run.act(action)).isInstanceOf(IllegalArgumentException.class);
        assertThat(state(run)).isEqualTo(before);
    }

    private static double[] state(Run run) {
        return run.channels().clone();
    }

    @Test
    void theGliderGoesNoFurtherLeftThanItsThreadWhenTheThrottleIsCutBack() {
        Run run = run("propeller-glider", "throttle", 100);
        run.act(new Action.Perform("start"));
        run.seek(2);
        run.act(new Action.Change("throttle", 10.0));
        for (int i = 0; i < 600; i++) {
            run.seek(2 + i / 120.0);
            assertThat(read(run, "position")).isGreaterThan(-1e-12);
        }
        assertThat(read(run, "speed")).isEqualTo(0, within(1e-3));
    }

    private static double missing(Run run) {
        return read(run, "total") - read(run, "kinetic") - read(run, "thermal");
    }

    @Test
    void theGlidersAccountClosesAtTheBufferAndWhenCutInMotion() {
        Run run = run("propeller-glider", "cut", true, "throttle", 100, "drag", 0.05);
        run.act(new Action.Perform("start"));
        run.seek(4);
        assertThat(read(run, "speed")).as("at the buffer").isZero();
        assertThat(read(run, "total")).isGreaterThan(1);
        assertThat(missing(run)).isEqualTo(0, within(1e-9));

        Run moving = run("propeller-glider", "throttle", 100);
        moving.act(new Action.Perform("start"));
        moving.seek(0.05);
        assertThat(read(moving, "speed")).isPositive();
        moving.act(new Action.Perform("cut"));
        for (double t = 0.05; t < 3; t += 0.07) {
            moving.seek(t);
            assertThat(missing(moving)).as("at " + t).isEqualTo(0, within(1e-9));
        }
    }

    @Test
    void aSpringAlsoComesToRestWhereItIsOverdamped() {
        Run run = run("hanging-spring", "damping", 6, "mass", 100, "drawn", 60);
        Event rest = run.manifest().event("rest");
        assertThat(run.advance(60, new StopAt.Happening(rest, 1))).isTrue();
        // Slow root of m r² − c r + k = 0: the last part of the way is an exponential with it.
        double slow = (6 - Math.sqrt(36 - 4 * 0.1 * 20)) / (2 * 0.1);
        double fast = (6 + Math.sqrt(36 - 4 * 0.1 * 20)) / (2 * 0.1);
        double away = 0.06 * fast / (fast - slow) * Math.exp(-slow * run.time());
        assertThat(away).isEqualTo(1e-7, within(0.05e-7));
        run.seek(run.time() + 5);
        assertThat(read(run, "velocity")).isZero();
    }

    @Test
    void aHeavySpringSwingsInItsLowestMode() {
        // Roots of x tan x = r (M. Abramowitz, I. A. Stegun, table 4.20).
        double[][] table = {{0.1, 0.31105}, {1, 0.86033}, {5, 1.31384}};
        for (double[] row : table) {
            double mass = 10;
            double spring = row[0] * mass;
            if (spring > 50) {
                continue;
            }
            Run run = run("hanging-spring", "spring", "own", "constant", 20, "coil", spring, "heavy", true, "mass", mass, "drawn", 20);
            Event lowest = run.manifest().event("lowest");
            run.advance(5, new StopAt.Happening(lowest, 1));
            double first = run.time();
            run.advance(5, new StopAt.Happening(lowest, 1));
            double expected = 2 * Math.PI / row[1] * Math.sqrt(spring / 1000 / 20);
            assertThat(run.time() - first).as("ratio " + row[0]).isEqualTo(expected, within(3e-5 * expected));
        }
    }

    @Test
    void theHandReachesNoFurtherThanThePicture() {
        Run run = run("hanging-spring", "held", true);
        for (double y : new double[] {5, -50}) {
            run.act(new Action.Grab("body"));
            run.act(new Action.Move(0, y));
            double[] frame = run.frame(run.manifest().view("front")).toArray();
            double body = run.scene().of(run.manifest().sceneField("body.y"));
            assertThat(body).isBetween(frame[1], frame[1] + frame[3]);
            assertThat(run.scene().of(run.manifest().sceneField("hook.y"))).isNegative();
        }
    }

    @Test
    void actsThatMeanNothingNowAreRefused() {
        refused(run("hanging-spring"), new Action.Perform("let-go"));
        refused(run("pendulum"), new Action.Perform("open-catch"));
        Run held = run("pendulum", "held", true);
        held.act(new Action.Perform("open-catch"));
        refused(held, new Action.Perform("open-catch"));
        refused(run("pendulum"), new Action.LetGo());
        refused(run("propeller-glider", "cut", true), new Action.Perform("cut"));
    }

    @Test
    void drawingTheCordInShowsTheWorkDone() {
        Run run = run("pendulum", "angle", 30);
        run.seek(0.45);
        double l = 1.0;
        double before = read(run, "total");
        double momentum = l * l * read(run, "angular-speed");
        double omega = read(run, "angular-speed");
        double theta = read(run, "angle");
        run.act(new Action.Change("length", 0.8));
        assertThat(0.64 * read(run, "angular-speed")).isEqualTo(momentum, within(1e-12));
        double kinetic = 0.5 * 0.2 * (0.64 * Math.pow(omega / 0.64, 2) - omega * omega);
        double potential = 0.2 * 9.81 * (0.8 - 1.0) * (1 - Math.cos(theta));
        assertThat(read(run, "work")).isEqualTo(kinetic + potential, within(1e-9));
        for (double t = 0.45; t < 4; t += 0.3) {
            run.seek(t);
            assertThat(read(run, "total") - read(run, "work")).isEqualTo(before, within(1e-7));
        }
    }

    @Test
    void stopAtFindsEveryCrossingHoweverShort() {
        Run run = run("hanging-spring", "spring", "own", "constant", 60, "mass", 10, "drawn", 40);
        StopAt stop = new StopAt.Crossing(run.manifest().channel("kinetic"), 0.047);
        // E_k = k A²/2 sin² ωt passes the value four times in each period.
        double omega = Math.sqrt(60 / 0.01);
        double phase = Math.asin(Math.sqrt(0.047 / (0.5 * 60 * 0.04 * 0.04)));
        double until = 10;
        int found = 0;
        while (run.time() < until && run.advance(until - run.time(), stop)) {
            int half = found / 2;
            double expected = (half * Math.PI + (found % 2 == 0 ? phase : Math.PI - phase)) / omega;
            assertThat(run.time()).as("crossing " + found).isEqualTo(expected, within(1e-6));
            found++;
        }
        int whole = (int) Math.floor(until * omega / Math.PI);
        double left = until * omega - whole * Math.PI;
        assertThat(found).isEqualTo(2 * whole + (left > phase ? 1 : 0) + (left > Math.PI - phase ? 1 : 0));
        // And backwards from the end.
        run.seek(until);
        int back = 0;
        while (back < 40 && run.back(stop)) {
            back++;
            int n = found - back;
            double expected = (n / 2 * Math.PI + (n % 2 == 0 ? phase : Math.PI - phase)) / omega;
            assertThat(run.time()).as("back to " + n).isEqualTo(expected, within(1e-6));
        }
        assertThat(back).isEqualTo(40);
    }
}
