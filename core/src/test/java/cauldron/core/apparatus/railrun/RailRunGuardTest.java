package cauldron.core.apparatus.railrun;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import cauldron.core.Tree;
import cauldron.core.apparatus.Event;
import cauldron.core.apparatus.Guard;
import cauldron.core.apparatus.Run;
import cauldron.core.apparatus.Settings;
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
        guard.holds("rail left", first(run, RAIL.left), slow.left, 1e-3);
        guard.holds("landed", landed(run), slow.landed, 2e-3);
        if (Double.isNaN(slow.left)) {
            guard.holds("at rest", first(run, RAIL.rest), slow.rested, 5e-3);
            guard.holds("thermal energy", run.read(RAIL.account.thermal()), mass * slow.heat, 1e-4 * scale);
            guard.holds("distance", run.read(RAIL.distance), slow.travelled, 2e-3);
            guard.holds("buffers met", run.count(RAIL.bumped, -1, SHOWN), slow.bumps, 0.5 + 0.02 * slow.bumps);
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

    private static double first(Run run, Event event) {
        double[] events = run.events();
        for (int i = 0; i < events.length; i += 2) {
            if (events[i] == event.index()) {
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
                Tree.of("shape", "own", "points", points, "start", start, "friction", friction)), 1);
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
        double left = first(run, RAIL.left);
        assertThat(left).isPositive();
        assertThat(run.count(RAIL.highest, left - 1e-6, left + 1e-6)).isZero();
    }
}
