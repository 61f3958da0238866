package cauldron.core.apparatus;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import cauldron.core.Tree;
import cauldron.core.inventory.Inventory;
import cauldron.core.quantity.Numbers;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** A run as rows: at an interval, at events, at each action, with names, units and figures. */
class RunTableTest {

    private static final Apparatus SPRING = Inventory.get("hanging-spring");

    private static Run swinging(double until) {
        Run run = new Run(SPRING, Settings.of(SPRING.manifest(), Map.of("drawn", 40.0)), 1);
        run.seek(until);
        return run;
    }

    private static RunTable table(Run run, Object... plan) {
        return RunTable.of(run, RunTable.Plan.fromTree(Tree.of(plan), run.manifest()));
    }

    @Test
    void settingsStandInEachRowAsTheyRuledThen() {
        Run run = swinging(1);
        run.act(new Action.Change("mass", 300.0));
        run.seek(2);
        // What is set when all is over belongs to what comes next.
        run.act(new Action.Change("mass", 400.0));
        RunTable table = table(run, "rows", "interval", "interval", 0.5, "channels", List.of("extension"), "settings",
                List.of("mass", "damping"));
        assertThat(table.columns()).extracting(RunTable.Column::id).containsExactly("time", "extension", "set.mass",
                "set.damping");
        assertThat(table.rows()).extracting(row -> row[2]).containsExactly("200", "200", "300", "300", "300");
    }

    @Test
    void theMomentShownIsOneRow() {
        Run run = swinging(1);
        run.seek(0.6);
        RunTable table = table(run, "rows", "now", "channels", List.of("velocity"), "settings", List.of("drawn"));
        assertThat(table.rows()).hasSize(1);
        assertThat(table.rows().get(0)[0]).isEqualTo("0.600");
        assertThat(table.rows().get(0)[1]).isEqualTo(Numbers.fixed(run.read(SPRING.manifest().channel("velocity")), 3));
        assertThat(table.rows().get(0)[2]).isEqualTo("40");
        assertThat(table.columns()).extracting(RunTable.Column::id).containsExactly("time", "velocity", "set.drawn");
    }

    @Test
    void rowsAtAnIntervalAreTheRunAtThoseMoments() {
        Run run = swinging(1);
        run.seek(0.3);
        for (double interval : new double[] {0.1, 1.0 / 60, 0.037}) {
            RunTable table = table(run, "rows", "interval", "interval", interval, "channels", List.of("velocity", "extension"));
            assertThat(table.columns()).extracting(RunTable.Column::symbol).containsExactly("t", "v", "x");
            assertThat(table.columns()).extracting(RunTable.Column::unit).containsExactly("s", "m/s", "cm");
            assertThat(table.rows()).hasSize((int) Math.floor(1 / interval + 1e-9) + 1);
            Run other = swinging(0);
            for (int i = 0; i < table.rows().size(); i++) {
                other.seek(i * interval);
                assertThat(table.rows().get(i)[1]).isEqualTo(Numbers.fixed(other.read(SPRING.manifest().channel("velocity")), 3));
                assertThat(table.rows().get(i)[2]).isEqualTo(Numbers.fixed(100 * other.read(SPRING.manifest().channel("extension")), 2));
            }
        }
        assertThat(run.time()).as("the bench stands where it stood").isEqualTo(0.3);
    }

    @Test
    void rowsAtEventsAreExactlyThere() {
        Run run = swinging(2);
        RunTable table = table(run, "rows", "events", "events", List.of("highest", "lowest"), "channels",
                List.of("velocity", "displacement"));
        assertThat(table.columns()).extracting(RunTable.Column::id).containsExactly("time", "event", "velocity", "displacement");
        assertThat(table.rows()).hasSizeGreaterThan(5).allSatisfy(row -> {
            assertThat(row[1]).isIn("highest point", "lowest point");
            assertThat(row[2]).isIn("0.000", "−0.000");
            assertThat(row[3]).isEqualTo(row[1].startsWith("highest") ? "4.00" : "−4.00");
        });
    }

    @Test
    void stepsAreRowsOfWhatWasDone() {
        Apparatus tower = Inventory.get("raised-loads");
        Run run = new Run(tower, Settings.of(tower.manifest(), Map.of()), 1);
        run.act(new Action.Perform("place", Tree.of("load", "2", "onto", "3", "by", "stair")));
        run.act(new Action.Perform("drop", Tree.of("load", "2")));
        RunTable table = table(run, "rows", "actions", "channels", List.of("mass", "height", "kinetic", "potential.2"), "outcomes",
                List.of("lifted"));
        assertThat(table.columns()).extracting(RunTable.Column::name).containsExactly("step", "what was done",
                "Mass of the load moved last", "Height above the floor", "Kinetic energy", "Potential energy, Coil of rope",
                "Total work of lifting");
        assertThat(table.rows().get(0)).containsExactly("0", "as it was at first", "", "", "0.0", "0.0", "0.0");
        assertThat(table.rows().get(1)).containsExactly("1", "To landing 3 by the stair: Coil of rope",
                "6.000", "8.00", "0.0", "470.9", "470.9");
        assertThat(table.rows().get(2)).startsWith("2").contains("0.00", "470.9");
        assertThat(table.times()).containsExactly(0, 1, 2);
    }

    @Test
    void tooManyRowsAreRefusedBeforeTheyAreMade() {
        Run run = swinging(10);
        assertThatThrownBy(() -> table(run, "rows", "interval", "interval", 1e-6, "channels", List.of("velocity")))
                .hasMessageContaining("a table takes up to 10000").hasMessageContaining("longer interval");
        assertThatThrownBy(() -> table(run, "rows", "interval", "interval", 0.0)).hasMessageContaining("above 0");
        assertThatThrownBy(() -> table(run, "rows", "interval", "channels", List.of("colour"))).hasMessageContaining("no channel “colour”");
    }
}
