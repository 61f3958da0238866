package cauldron.core.apparatus.gascylinder;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import cauldron.core.RandomSource;
import cauldron.core.apparatus.Action;
import cauldron.core.inventory.Inventory;
import cauldron.core.apparatus.Population;
import cauldron.core.apparatus.Recipe;
import cauldron.core.apparatus.Run;
import cauldron.core.apparatus.Settings;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** The cylinder as people handle it: settings, acts, gauges, and going back in time. */
class GasCylinderTest {

    private static final double PS = 1e-12;

    private static Run run(Map<String, Object> settings) {
        GasCylinder cylinder = new GasCylinder();
        return new Run(cylinder, Settings.of(cylinder.manifest(), settings), 5);
    }

    private static double read(Run run, String channel) {
        return run.read(run.manifest().channel(channel));
    }

    private static double[] all(Run run) {
        return run.channels().clone();
    }

    /** A run in which everything that can be done is done. */
    private static Run eventful() {
        Run run = run(Map.of("count1", 600, "count2", 200, "partition", true, "heat", "heater", "power", 10));
        run.seek(20 * PS);
        run.act(new Action.Perform("take-out"));
        run.seek(40 * PS);
        run.act(new Action.Change("count1", 800.0));
        run.act(new Action.Change("count2", 120.0));
        run.seek(60 * PS);
        run.act(new Action.Change("heat", "held"));
        run.act(new Action.Change("piston", "hand"));
        run.act(new Action.Grab("piston"));
        run.act(new Action.Move(33e-9, 0));
        run.seek(75.5 * PS);
        run.act(new Action.LetGo());
        run.seek(150 * PS);
        run.act(new Action.Change("hole", true));
        run.act(new Action.Change("piston", "loaded"));
        run.seek(260 * PS);
        return run;
    }

    @Test
    void startsWithExactlyWhatWasSet() {
        Run run = run(Map.of("count1", 700, "count2", 300, "temperature", 450, "length", 55));
        assertThat(read(run, "temperature")).isCloseTo(450, within(1e-9));
        assertThat(read(run, "n1")).isEqualTo(700);
        assertThat(read(run, "n2")).isEqualTo(300);
        assertThat(read(run, "volume")).isCloseTo(55e-9 * 80e-9 * 16e-9, within(1e-36));
        assertThat(read(run, "pressure")).isNaN();
        run.seek(600 * PS);
        double ideal = 1000 * Gas.BOLTZMANN * 450 / read(run, "volume");
        assertThat(read(run, "pressure")).isCloseTo(ideal, within(0.04 * ideal));
    }

    @Test
    void theGaugeIsCalmerTheLongerItAverages() {
        double[] spread = new double[2];
        for (int k = 0; k < 2; k++) {
            Run run = run(Map.of("averaging", k == 0 ? 5 : 500));
            double sum = 0;
            double squares = 0;
            for (int i = 0; i < 40; i++) {
                run.seek((600 + 10 * i) * PS);
                double p = read(run, "pressure");
                sum += p / 40;
                squares += p * p / 40;
            }
            spread[k] = Math.sqrt(squares - sum * sum) / sum;
        }
        assertThat(spread[0]).isGreaterThan(0.02);
        assertThat(spread[1]).isLessThan(spread[0] / 4);
    }

    @Test
    void goingBackIntoAnEventfulRunGivesTheSameBits() {
        Run run = eventful();
        double[] end = all(run);
        double[] events = run.events();
        RandomSource chance = new RandomSource(3);
        for (int i = 0; i < 25; i++) {
            run.seek(chance.between(0, 260 * PS));
        }
        run.seek(260 * PS);
        assertThat(all(run)).isEqualTo(end);
        Run again = Inventory.replay(Recipe.fromTree(run.recipe().toTree()), 260 * PS);
        assertThat(all(again)).isEqualTo(end);
        assertThat(again.events()).isEqualTo(events);
    }

    @Test
    void theEnergyOfTheGasIsHeatPlusWorkPlusWhatWasPutIn() {
        Run run = run(Map.of("heat", "held", "temperature", 500, "piston", "hand", "count1", 500));
        double before = read(run, "inner");
        run.act(new Action.Change("temperature", 800.0));
        run.act(new Action.Change("length", 25.0));
        run.seek(300 * PS);
        assertThat(read(run, "volume")).isCloseTo(25e-9 * 80e-9 * 16e-9, within(1e-36));
        assertThat(read(run, "inner") - before)
                .isCloseTo(read(run, "heat") + read(run, "work"), within(1e-10 * before));
    }

    @Test
    void moleculesAddedComeWithTheTemperatureSetAndRemovedOnesAreGone() {
        Run run = run(Map.of("count1", 400));
        run.seek(10 * PS);
        run.act(new Action.Change("temperature", 1200.0));
        run.act(new Action.Change("count1", 3400.0));
        assertThat(read(run, "n1")).isEqualTo(3400);
        assertThat(read(run, "temperature")).isCloseTo((400 * 300 + 3000 * 1200) / 3400.0, within(60.0));
        run.act(new Action.Change("count1", 0.0));
        assertThat(read(run, "n1")).isZero();
        assertThat(read(run, "temperature")).isNaN();
        run.seek(20 * PS);
    }

    @Test
    void escapedMoleculesAreCountedAndKeepTheSum() {
        Run run = run(Map.of("hole", true, "slot", 30, "count1", 900, "count2", 300));
        run.seek(400 * PS);
        assertThat(read(run, "escaped1")).isGreaterThan(20);
        assertThat(read(run, "n1") + read(run, "escaped1")).isEqualTo(900);
        assertThat(read(run, "n2") + read(run, "escaped2")).isEqualTo(300);
        assertThat((double) run.count(run.manifest().event("escape"), -1, run.head()))
                .isEqualTo(read(run, "escaped1") + read(run, "escaped2"));
    }

    @Test
    void distributionsHoldEveryMoleculeInsideAndFollowTheTaggedOne() {
        Run run = run(Map.of("count1", 800, "count2", 500));
        run.seek(50 * PS);
        Population speeds = run.population(run.manifest().distribution("speeds"), 0);
        assertThat(speeds.count()).isEqualTo(800);
        assertThat(speeds.followed()).isEqualTo(read(run, "tag-speed"));
        assertThat(speeds.marks()[0]).isLessThan(speeds.marks()[1]);
        double mean = 0;
        for (int i = 0; i < 800; i++) {
            mean += speeds.values()[i] / 800;
        }
        assertThat(mean).isCloseTo(read(run, "speed1"), within(1e-9 * mean));
        assertThat(run.population(run.manifest().distribution("energies"), 1).count()).isEqualTo(500);
        assertThat(run.population(run.manifest().distribution("energies"), 1).followed()).isNaN();
    }

    @Test
    void aLockedPistonRefusesTheHandAndSaysWhatToDo() {
        Run run = run(Map.of());
        run.seek(PS);
        assertThatThrownBy(() -> run.act(new Action.Grab("piston"))).hasMessageContaining("moved by hand");
        assertThatThrownBy(() -> run.act(new Action.Change("length", 60.0))).hasMessageContaining("moved by hand");
        assertThatThrownBy(() -> run.act(new Action.Perform("take-out"))).hasMessage("“Take the partition out” can't be done now");
        assertThat(run.recipe().actions()).isEmpty();
    }

    @Test
    void aLongRunKeepsItsCheckpointsWithinBounds() {
        Run run = new Run(Inventory.get("gas-cylinder"), Settings.of(new GasCylinder().manifest(),
                Map.of("count1", 5000, "length", 160)), 1);
        run.seek(2500 * PS);
        assertThat(run.checkpointValues()).isLessThan(Run.MOST_CHECKPOINT_VALUES);
        double[] end = all(run);
        run.seek(100 * PS);
        run.seek(2500 * PS);
        assertThat(all(run)).isEqualTo(end);
    }
}
