package cauldron.core.apparatus.raisedloads;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import cauldron.core.RandomSource;
import cauldron.core.Tree;
import cauldron.core.apparatus.Action;
import cauldron.core.apparatus.ProfileLines;
import cauldron.core.apparatus.Run;
import cauldron.core.apparatus.Settings;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Loads in the tower against m g h, the independence of the way, and an account that closes. */
class RaisedLoadsTest {

    private static final double G = 9.81;
    private static final RaisedLoads TOWER = new RaisedLoads();

    private static Run run(Map<String, Object> settings) {
        return new Run(TOWER, Settings.of(TOWER.manifest(), settings), 1);
    }

    private static Run run() {
        return run(Map.of());
    }

    private static void put(Run run, int load, String onto, String by, double at) {
        run.act(new Action.Perform("place", Tree.of("load", String.valueOf(load), "onto", onto, "by", by, "at", at)));
    }

    private static double read(Run run, String channel) {
        return run.read(run.manifest().channel(channel));
    }

    private static double outcome(Run run, String id) {
        return run.outcome(run.manifest().outcome(id));
    }

    @Test
    void aLoadStoresItsMassTimesGravityTimesHeight() {
        Run run = run();
        put(run, 1, "3", "hoist", 2);
        assertThat(read(run, "energy")).isCloseTo(18 * G * 8, within(1e-9));
        assertThat(read(run, "potential.1")).isEqualTo(read(run, "energy"));
        assertThat(read(run, "mass")).isEqualTo(18);
        assertThat(read(run, "across")).isEqualTo(2);
        put(run, 4, "1", "stair", 1);
        assertThat(read(run, "energy")).isCloseTo(0.24 * G * 2.5, within(1e-12));
        assertThat(outcome(run, "in-store")).isCloseTo(18 * G * 8 + 0.24 * G * 2.5, within(1e-9));
    }

    /** Up and down by any ways from the floor to one landing: the work is that of the straight lift. */
    @Test
    void theWorkDoesNotDependOnThePath() {
        RandomSource chance = new RandomSource(3);
        for (int trial = 0; trial < 20; trial++) {
            Run run = run();
            double sum = 0;
            double length = 0;
            for (int i = 0; i < 6; i++) {
                put(run, 2, String.valueOf(1 + chance.below(3)), chance.unit() < 0.5 ? "hoist" : "stair",
                        0.5 + 3 * chance.unit());
                sum += read(run, "work");
                length += read(run, "path");
            }
            put(run, 2, "2", "stair", 2);
            sum += read(run, "work");
            assertThat(sum).isCloseTo(6 * G * 5, within(1e-9));
            assertThat(outcome(run, "lifted")).isCloseTo(sum, within(1e-9));
            assertThat(outcome(run, "carried")).isGreaterThan(length);
        }
    }

    @Test
    void theStairIsLongerAndItsCurveEndsAtTheSameHeight() {
        Run run = run();
        put(run, 1, "3", "hoist", 2);
        double straight = read(run, "path");
        put(run, 1, "floor", "hoist", 0.5);
        put(run, 1, "3", "stair", 2);
        // Three storeys of two flights between a foot and a turn 1.85 m apart, and the level stretches.
        double flights = 0;
        for (double rise : new double[] {2.5, 2.5, 3.0}) {
            flights += 2 * Math.hypot(1.85, rise / 2);
        }
        assertThat(read(run, "path")).isCloseTo((0.5 + 0.35) + flights + (2 + 0.35), within(1e-9));
        assertThat(straight).isCloseTo((4.6 - 0.5) + 8 + (4.6 - 2), within(1e-9));
        ProfileLines lines = run.profile(run.manifest().profiles().get(0));
        assertThat(lines.count()).isEqualTo(3);
        assertThat(lines.name(2)).isEqualTo("by the stair");
        double[] hoist = lines.points(0);
        double[] stair = lines.points(2);
        assertThat(stair[stair.length - 1]).isCloseTo(hoist[hoist.length - 1], within(1e-9)).isCloseTo(18 * G * 8, within(1e-9));
        assertThat(stair[stair.length - 2]).isCloseTo(read(run, "path"), within(1e-9));
    }

    @Test
    void anotherReferenceLevelShiftsEveryEnergyAndNoWork() {
        Run run = run();
        put(run, 3, "2", "hoist", 2);
        double work = read(run, "work");
        run.act(new Action.Change("level", 5.0));
        assertThat(read(run, "energy")).isCloseTo(0, within(1e-12));
        assertThat(read(run, "above")).isCloseTo(0, within(1e-12));
        assertThat(read(run, "height")).isEqualTo(5);
        assertThat(read(run, "work")).isEqualTo(work);
        assertThat(read(run, "potential.1")).isCloseTo(-18 * G * 5, within(1e-9));
    }

    @Test
    void aFallTurnsPotentialIntoKineticIntoThermalEnergy() {
        Run run = run(Map.of("level", 2.0, "place", "moon"));
        put(run, 1, "3", "stair", 2);
        double before = read(run, "total");
        double g = read(run, "energy") / (18 * 6.0);
        assertThat(g).isBetween(1.6, 1.63);
        run.act(new Action.Perform("drop", Map.of("load", "1")));
        assertThat(read(run, "kinetic")).isCloseTo(18 * g * 8, within(1e-9));
        assertThat(read(run, "total")).isCloseTo(before, within(1e-9));
        assertThatThrownBy(() -> put(run, 2, "1", "hoist", 1)).hasMessageContaining("can't be done now");
        run.act(new Action.Perform("strike"));
        assertThat(read(run, "kinetic")).isZero();
        assertThat(read(run, "thermal")).isCloseTo(18 * g * 8, within(1e-9));
        assertThat(read(run, "total")).isCloseTo(before, within(1e-9));
        assertThatThrownBy(() -> run.act(new Action.Perform("drop", Map.of("load", "1")))).hasMessageContaining("on the floor");
    }

    @Test
    void loadsDontStandInEachOther() {
        Run run = run();
        put(run, 1, "1", "hoist", 2);
        put(run, 2, "1", "hoist", 2);
        assertThat(Math.abs(read(run, "across") - 2)).isBetween(0.44, 0.5);
    }

    @Test
    void draggingMeansTheNearestFloorAndThePlaceOnIt() {
        Run run = run();
        Action.Perform meant = run.meant(run.manifest().act("place"), 2, 1.234, 5.9, Map.of("by", "stair"));
        assertThat(meant.with()).isEqualTo(Tree.of("by", "stair", "load", "3", "onto", "2", "at", 1.2));
        assertThat(run.meant(run.manifest().act("place"), 0, -3, -1, Map.of()).with())
                .isEqualTo(Tree.of("load", "1", "onto", "floor", "at", 0.4));
    }

    @Test
    void whatWasDoneIsToldInWords() {
        Run run = run();
        put(run, 1, "2", "stair", 1.5);
        put(run, 1, "floor", "hoist", 1.5);
        run.act(new Action.Change("level", 5.0));
        assertThat(List.of(run.actionInWords(0), run.actionInWords(1), run.actionInWords(2))).containsExactly(
                "To landing 2 by the stair: Drum of lamp oil",
                "To the floor by the hoist: Drum of lamp oil", "Reference level");
    }
}
