package cauldron.core.apparatus.railrun;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import cauldron.core.Tree;
import cauldron.core.apparatus.Advice;
import cauldron.core.apparatus.Guard;
import cauldron.core.apparatus.Run;
import cauldron.core.apparatus.Settings;
import cauldron.core.apparatus.StopAt;
import cauldron.core.quantity.Numbers;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** The rail run against {@link SlowRail}, over rails of any shape. */
class RailRunGuardTest {

    private static final RailRun RAIL = new RailRun();
    private static final double SHOWN = 6;
    private final Guard guard = new Guard(RAIL);

    @Test
    void whateverRailIsLaidTheWagonRunsAsTheSlowReferenceDoes() {
        guard.over((settings, i) -> hold(settings));
    }

    private void hold(Settings s) {
        Rail rail = RAIL.rail(s);
        double mass = s.si(RAIL.mass);
        double g = RAIL.gravity.of(s);
        SlowRail slow = new SlowRail(rail, rail.from(s.si(RAIL.start)), s.si(RAIL.friction), g, SHOWN);
        Run run = new Run(RAIL, s, 1);
        run.seek(SHOWN);
        double scale = mass * g * 10;
        guard.holds("rail left", Guard.first(run, RAIL.left), slow.left, 1e-3);
        guard.holds("landed", landed(run), slow.landed, 2e-3);
        // Let go at an end it comes back to it without friction, or to the height of the other, or a hair below.
        double highest = rail.at(0.0)[1];
        boolean barely = s.si(RAIL.friction) == 0 && s.si(RAIL.start) > highest - 0.01;
        if (Double.isNaN(slow.left) && !barely) {
            guard.holds("at rest", Guard.first(run, RAIL.rest), slow.rested, 5e-3);
            guard.holds("thermal energy", run.read(RAIL.account.thermal()), mass * slow.heat, 1e-4 * scale);
            guard.holds("distance", run.read(RAIL.distance), slow.travelled, 2e-3);
            guard.holds("buffers met", run.count(RAIL.bumped, -1, SHOWN), slow.bumps, 1 + 0.02 * slow.bumps);
        }
        if (barely) {
            return;
        }
        for (double[] row : slow.rows) {
            // A landing that is a hair apart makes another flight of the next.
            if (row[4] > 1) {
                return;
            }
            run.seek(row[0]);
            guard.holds("across", run.read(RAIL.across), row[1], 0.01 + 0.03 * row[4]);
            guard.holds("height", run.read(RAIL.height) + s.si(RAIL.level), row[2], 0.01 + 0.03 * row[4]);
        }
    }

    private static double landed(Run run) {
        double[] events = run.events();
        double left = Double.NaN;
        for (int i = 0; i < events.length; i += 2) {
            left = events[i] == RAIL.left.index() ? events[i + 1] : left;
            if (events[i] == RAIL.landed.index() && events[i + 1] - left > SlowRail.HOP) {
                return events[i + 1];
            }
        }
        return Double.NaN;
    }

    private static Run own(double start, double friction, double... xy) {
        List<Map<String, Object>> points = new ArrayList<>();
        for (int i = 0; i < xy.length; i += 2) {
            points.add(Tree.of("x", xy[i], "y", xy[i + 1]));
        }
        return new Run(RAIL, Settings.of(RAIL.manifest(),
                Tree.of("shape", "own", "points", points, "start", start, "friction", friction, "level", 0.0)), 1);
    }

    /** The bounces off the lower buffer grow smaller and smaller, and come to an end there. */
    @Test
    void aWagonComesToRestAtALowerBuffer() {
        for (double friction : new double[] {0.01, 0.05, 0.1, 0.2}) {
            Run run = own(7, friction, 0, 8, 5, 4, 10, 0.5);
            run.seek(400);
            assertThat(run.read(RAIL.across)).isCloseTo(10, within(1e-9));
            assertThat(run.read(RAIL.height)).isCloseTo(0.5, within(1e-9));
            assertThat(run.count(RAIL.rest, -1, 400)).isEqualTo(1);
            assertThat(run.count(RAIL.left, -1, 400)).isZero();
        }
    }

    /** Its first place is the left buffer, and the rail rises from there: it stands. */
    @Test
    void aWagonStandsAtABufferThatTheRailRisesFrom() {
        Run run = own(6, 0, 1, 1, 5, 3, 9, 6);
        run.seek(20);
        assertThat(run.read(RAIL.across)).isCloseTo(1, within(1e-12));
        assertThat(run.read(RAIL.speed)).isZero();
    }

    /** What friction holds doesn't creep, and going back gives the same numbers. */
    @Test
    void whatFrictionHoldsStaysToTheLastDigit() {
        Run run = own(7, 0.2, 0, 8, 8, 7.4, 15, 6.9);
        run.seek(3);
        assertThat(run.read(RAIL.distance)).isZero();
        assertThat(run.read(RAIL.speed)).isZero();

        Run there = new Run(RAIL, Settings.of(RAIL.manifest(), Tree.of("friction", 0.005)), 1);
        there.seek(60);
        double far = there.read(RAIL.distance);
        there.seek(0);
        there.seek(60);
        assertThat(there.read(RAIL.distance)).isEqualTo(far);
    }

    /** Leaving the rail downhill is no highest point. */
    @Test
    void leavingTheRailDownhillIsNoHighestPoint() {
        Run run = own(7, 0, 0, 9, 2, 8.5, 4, 8, 5, 1, 15, 1);
        run.seek(20);
        double left = Guard.first(run, RAIL.left);
        assertThat(left).isPositive();
        assertThat(run.count(RAIL.highest, left - 1e-6, left + 1e-6)).isZero();
    }

    /** What is said before the run is what then happens; by default nothing leaves the rail, and the level is its lowest point. */
    @Test
    void whetherItLeavesTheRailIsSaidBeforehand() {
        guard.over((s, i) -> {
            Run run = new Run(RAIL, s, 1);
            // Without friction a run that begins on a slope comes by everything twice.
            run.seek(40);
            double left = Guard.first(run, RAIL.left);
            Advice said = RAIL.advice("start", s);
            if (said != null) {
                assertThat(left).as("it was said that it leaves: %s", s.toTree()).isNotNaN();
                run.seek(left);
                String across = Numbers.print(run.read(RAIL.across), 2);
                double told = Double.parseDouble(said.words().replaceAll("[^0-9.]+", " ").trim().split(" ")[0]);
                assertThat(told).as(across).isCloseTo(run.read(RAIL.across), within(1.0));
            } else if (Double.isNaN(Guard.first(run, RAIL.rest)) || s.si(RAIL.friction) > 0) {
                run.seek(Double.isNaN(left) ? 0 : left);
                // One that hardly comes up to where the rail stands upright may turn there or fall.
                assertThat(Double.isNaN(left) || run.read(RAIL.speed) < 0.3).as("nothing was said: %s", s.toTree()).isTrue();
            }
        });
        Run plain = new Run(RAIL, Settings.of(RAIL.manifest(), Map.of()), 1);
        plain.advance(10, new StopAt.Happening(RAIL.lowest, 1));
        assertThat(plain.read(RAIL.height)).isCloseTo(0, within(1e-6));
        assertThat(RAIL.advice("start", plain.settings())).isNull();
    }

    /** The level can be pulled at before the run and while it runs. */
    @Test
    void theLevelIsPulledToItsPlace() {
        Settings usual = Settings.of(RAIL.manifest(), Map.of());
        assertThat(RAIL.placed(RAIL.levelInHand, 3, 2.34, usual).toTree()).containsOnly(Map.entry("level", 2.3));
    }
}
