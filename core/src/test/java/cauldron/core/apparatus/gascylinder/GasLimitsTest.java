package cauldron.core.apparatus.gascylinder;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import cauldron.core.apparatus.Action;
import cauldron.core.apparatus.Run;
import cauldron.core.apparatus.Settings;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** The cylinder at the ends of what it can do: a piston against the partition, a cooler with nothing left to take, a wide hole. */
class GasLimitsTest {

    private static final double PS = 1e-12;

    private static Run run(Map<String, Object> settings) {
        GasCylinder cylinder = new GasCylinder();
        return new Run(cylinder, Settings.of(cylinder.manifest(), settings), 5);
    }

    private static double read(Run run, String channel) {
        return run.read(run.manifest().channel(channel));
    }

    @Test
    void aPistonStopsAtThePartitionAndTheForceIsShown() {
        Run run = run(Map.of("gas1", "argon", "count1", 300, "gas2", "helium", "count2", 300, "length", 60, "partition", true,
                "piston", "hand", "hand", 100));
        run.act(new Action.Change("length", 20.0));
        run.seek(400 * PS);
        assertThat(run.scene().of(run.manifest().sceneField("piston.x"))).isEqualTo(30e-9 + HardSphereGas.CLEAR_OF_PARTITION, within(1e-15));
        double force = read(run, "piston-force");
        // P A with the gas law, the gauge's pressure being that of all walls: helium alone presses on the piston here.
        double kelvin = 2 * read(run, "energy2") / (3 * Gas.BOLTZMANN);
        double ideal = 300 * Gas.BOLTZMANN * kelvin / HardSphereGas.CLEAR_OF_PARTITION;
        assertThat(force).isEqualTo(ideal, within(0.25 * ideal));
        run.act(new Action.Perform("take-out"));
        run.act(new Action.Change("length", 21.0));
        run.seek(600 * PS);
        assertThat(run.scene().of(run.manifest().sceneField("piston.x"))).isEqualTo(21e-9, within(1e-15));
    }

    @Test
    void heatThatCantBeTakenIsToldAndNotOwed() {
        Run run = run(Map.of("count1", 100, "temperature", 100, "heat", "heater", "power", -20));
        run.seek(400 * PS);
        double coldest = read(run, "inner");
        assertThat(read(run, "not-taken")).isPositive();
        // What was given and what could not be taken add up to the power's work, but for the last few meetings' worth.
        assertThat(read(run, "heat") - read(run, "not-taken")).isEqualTo(-20e-9 * 400 * PS, within(0.04 * 20e-9 * 400 * PS));
        run.act(new Action.Change("power", 5.0));
        for (int ps = 400; ps <= 500; ps++) {
            run.seek(ps * PS);
            assertThat(read(run, "inner")).as("never colder at " + ps).isGreaterThanOrEqualTo(coldest * (1 - 1e-12));
        }
        run.seek(1500 * PS);
        assertThat(read(run, "inner")).as("heated").isGreaterThan(coldest + 0.8 * 5e-9 * 1000 * PS);
    }

    @Test
    void theHoleIsNoWall() {
        Run open = run(Map.of("length", 20, "hole", true, "slot", 30, "count1", 0));
        Run shut = run(Map.of("length", 20, "count1", 0));
        assertThat(read(open, "pressure")).isNaN();
        HardSphereGas gas = new HardSphereGas(new Molecules(new double[] {1, 1}, new double[] {0, 0}), new Piston(20e-9, 20e-9, 160e-9),
                new HeatExchange(cauldron.core.RandomSource.named(1, "t")), 80e-9, 16e-9, 160e-9);
        double whole = gas.wallArea(0);
        gas.setHole(30e-9);
        assertThat(whole - gas.wallArea(0)).isEqualTo(30e-9 * 16e-9, within(1e-24));
        assertThat(shut.manifest().toTree().toString()).contains("flows as a stream");
    }
}
