package cauldron.core.apparatus.railrun;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import cauldron.core.RandomSource;
import cauldron.core.Tree;
import cauldron.core.apparatus.Action;
import cauldron.core.apparatus.Forecast;
import cauldron.core.apparatus.Run;
import cauldron.core.apparatus.Settings;
import cauldron.core.apparatus.StopAt;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** The wagon on its rail against conservation of energy and the mechanics of circles. */
class RailRunTest {

    private static final double G = 9.81;
    private static final RailRun RAILS = new RailRun();

    /** Heights count from the ground where nothing else is said. */
    private static Run run(Map<String, Object> settings) {
        Map<String, Object> all = new HashMap<>(Map.of("level", 0.0));
        all.putAll(settings);
        return new Run(RAILS, Settings.of(RAILS.manifest(), all), 1);
    }

    private static double read(Run run, String channel) {
        return run.read(run.manifest().channel(channel));
    }

    private static int count(Run run, String event) {
        return run.count(run.manifest().event(event), -1, run.head());
    }

    private static void drift(Run run, double seconds, double largest) {
        double before = read(run, "total");
        for (int i = 1; i <= 20; i++) {
            run.seek(seconds * i / 20);
            assertThat(read(run, "total") / before - 1).as("%s at %s s", run.settings().toTree(), run.time())
                    .isCloseTo(0, within(largest));
        }
        assertThat(read(run, "distance")).isGreaterThan(10);
    }

    @ParameterizedTest
    @ValueSource(strings = {"trough", "skerries", "loop", "slipway", "own"})
    void energyStaysForTenMinutesOnEveryRail(String shape) {
        drift(run(Map.of("shape", shape, "start", shape.equals("loop") ? 6.2 : 6.0)), 600, 1e-9);
    }

    /** As a student pulls them about, left to roll to and fro where they please. */
    @Test
    void energyStaysOnFiftyRandomRails() {
        RandomSource chance = new RandomSource(11);
        for (int i = 0; i < 50; i++) {
            List<Object> points = new ArrayList<>();
            int n = 3 + chance.below(7);
            for (int k = 0; k < n; k++) {
                points.add(Tree.of("x", 0.4 + 15.0 * k / (n - 1), "y", k == 0 ? 9.0 : chance.between(0.8, 7)));
            }
            Run run = run(Map.of("shape", "own", "points", points, "start", chance.between(5, 8.8)));
            double before = read(run, "total");
            run.seek(120);
            assertThat(read(run, "total") / before - 1).as("rail %d: %s", i, points).isCloseTo(0, within(2e-10));
        }
    }

    @Test
    void theLoopIsRunThroughFromTwoAndAHalfRadiiOn() {
        double bottom = RAILS.rail(Settings.of(RAILS.manifest(), Map.of("shape", "loop"))).lowest();
        double low = bottom + 2.2 * RailRun.LOOP_RADIUS;
        double high = bottom + 2.8 * RailRun.LOOP_RADIUS;
        for (int i = 0; i < 34; i++) {
            double middle = 0.5 * (low + high);
            Run run = run(Map.of("shape", "loop", "start", middle));
            run.seek(3.2);
            if (count(run, "left") > 0) {
                low = middle;
            } else {
                high = middle;
            }
        }
        assertThat(high - bottom).isCloseTo(2.5 * RailRun.LOOP_RADIUS, within(1e-6));
    }

    @Test
    void atTheTopOfTheLoopTheRailPushesWithWhatTheCircleNeeds() {
        Run run = run(Map.of("shape", "loop", "start", 6.8));
        double bottom = RAILS.rail(run.settings()).lowest();
        run.advance(5, new StopAt.Happening(run.manifest().event("lowest"), 1));
        run.advance(5, new StopAt.Crossing(run.manifest().channel("height"), bottom + 2 * RailRun.LOOP_RADIUS - 1e-9));
        double v2 = 2 * G * (6.8 - bottom - 2 * RailRun.LOOP_RADIUS);
        assertThat(read(run, "speed")).isCloseTo(Math.sqrt(v2), within(1e-6));
        assertThat(read(run, "normal")).isCloseTo(60 * (v2 / RailRun.LOOP_RADIUS - G), within(1e-2));
    }

    @Test
    void frictionsHeatIsJustWhatMotionLost() {
        for (String shape : List.of("trough", "skerries", "slipway")) {
            Run run = run(Map.of("shape", shape, "friction", 0.05));
            double before = read(run, "total");
            run.seek(240);
            assertThat(count(run, "rest")).as(shape).isEqualTo(1);
            assertThat(read(run, "kinetic")).isZero();
            assertThat(read(run, "thermal")).isCloseTo(before - read(run, "potential"), within(1e-9 * before));
            assertThat(read(run, "by-normal") == 0).as(shape).isEqualTo(count(run, "landed") == 0);
            assertThat(run.outcome(run.manifest().outcome("travelled"))).isEqualTo(read(run, "distance"));
        }
    }

    /** On a straight slope with friction: v² = 2 s (g sin φ − μ g cos φ). */
    @Test
    void onAStraightSlopeItIsTheClosedForm() {
        Run run = run(Map.of("shape", "slipway", "start", 7.0, "friction", 0.1));
        run.seek(1.2);
        double a = G * (Math.sin(Math.toRadians(40)) - 0.1 * Math.cos(Math.toRadians(40)));
        assertThat(read(run, "distance")).isCloseTo(0.5 * a * 1.44, within(1e-9));
        assertThat(read(run, "speed")).isCloseTo(a * 1.2, within(1e-9));
        assertThat(read(run, "tangential")).isCloseTo(a, within(1e-9));
    }

    @Test
    void worksOfAllForcesMakeUpTheKineticEnergyAlsoThroughFlightAndLanding() {
        Run run = run(Map.of("shape", "loop", "start", 5.2, "friction", 0.02));
        double total = read(run, "total");
        boolean flew = false;
        for (int i = 1; i <= 200; i++) {
            run.seek(0.05 * i);
            flew |= run.scene().isUp(RAILS.flying) || count(run, "left") > 0;
            double works = read(run, "by-gravity") + read(run, "by-normal") + read(run, "by-friction") + read(run, "by-hand");
            assertThat(works).isCloseTo(read(run, "kinetic"), within(1e-6));
            assertThat(read(run, "total")).isCloseTo(total, within(1e-6));
        }
        assertThat(flew).isTrue();
        assertThat(count(run, "landed")).isPositive();
    }

    /** Off a hill too fast: it flies a parabola and comes down on the rail; its velocity along the rail stays. */
    @Test
    void aFlightIsAParabolaAndLandsOnTheRail() {
        List<Object> points = List.of(Tree.of("x", 0.5, "y", 9.5), Tree.of("x", 4.0, "y", 2.5), Tree.of("x", 6.0, "y", 4.0),
                Tree.of("x", 8.0, "y", 2.0), Tree.of("x", 15.5, "y", 1.5));
        Run run = run(Map.of("shape", "own", "points", points, "start", 6.5));
        assertThat(run.advance(10, new StopAt.Happening(run.manifest().event("left"), 1))).isTrue();
        double t0 = run.time();
        double h0 = read(run, "height");
        double x0 = read(run, "across");
        assertThat(read(run, "normal")).isCloseTo(0, within(1e-6));
        run.seek(t0 + 0.1);
        double vx = (read(run, "across") - x0) / 0.1;
        run.seek(t0 + 0.2);
        assertThat(read(run, "across")).isCloseTo(x0 + 0.2 * vx, within(1e-9));
        double first = read(run, "height") - h0;
        run.seek(t0 + 0.1);
        assertThat(2 * (read(run, "height") - h0) - first).isCloseTo(G * 0.01, within(1e-9));
        run.advance(10, new StopAt.Happening(run.manifest().event("landed"), 1));
        double[] p = RAILS.rail(run.settings()).at(RAILS.rail(run.settings()).nearest(read(run, "across"), read(run, "height")));
        assertThat(p[1]).isCloseTo(read(run, "height"), within(1e-6));
    }

    @Test
    void theHandDoesWorkAndLetsGoFromRest() {
        Run run = run(Map.of("shape", "trough", "start", 2.0));
        run.seek(1);
        double before = read(run, "total");
        run.act(new Action.Grab("car"));
        run.act(new Action.Move(2.6, 4.0));
        double work = read(run, "by-hand");
        assertThat(read(run, "total") - before).isCloseTo(work, within(1e-9));
        assertThat(read(run, "height")).isCloseTo(4.0, within(0.02));
        assertThat(read(run, "speed")).isZero();
        run.act(new Action.LetGo());
        run.seek(20);
        assertThat(read(run, "total") - before).isCloseTo(work, within(1e-6));
    }

    @Test
    void theForecastIsWhereFrictionBringsIt() {
        for (double mu : new double[] {0.01, 0.04, 0.15}) {
            Settings settings = Settings.of(RAILS.manifest(), Map.of("shape", "trough", "friction", mu));
            Forecast forecast = RAILS.forecast("friction", settings);
            Run run = new Run(RAILS, settings, 1);
            run.seek(600);
            double said = Double.parseDouble(forecast.words().replaceAll("[^0-9.]", ""));
            assertThat(said).isCloseTo(read(run, "distance"), within(0.06 * read(run, "distance")));
        }
        assertThat(RAILS.forecast("friction", Settings.of(RAILS.manifest(), Map.of())).share()).isZero();
        assertThat(RAILS.forecast("mass", Settings.of(RAILS.manifest(), Map.of()))).isNull();
    }

    @Test
    void theSplineGoesThroughItsPointsWithoutJumpsOfSlopeOrCurvature() {
        Rail rail = Rail.through(0, 5, 2, 1, 5, 3, 9, 0.5, 12, 6);
        for (int i = 1; i < 4; i++) {
            double[] a = rail.at(i - 1, i).clone();
            double[] b = rail.at(i, i).clone();
            assertThat(a[0]).isCloseTo(b[0], within(1e-12));
            assertThat(a[3] / a[2]).isCloseTo(b[3] / b[2], within(1e-12));
            assertThat(Rail.curvature(a)).isCloseTo(Rail.curvature(b), within(1e-12));
        }
        assertThat(Track.from(0, 5, 0).turn(360, 2).rail().length(8)).isCloseTo(4 * Math.PI, within(1e-6));
    }
}
