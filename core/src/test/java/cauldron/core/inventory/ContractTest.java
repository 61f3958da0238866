package cauldron.core.inventory;

import static org.assertj.core.api.Assertions.assertThat;

import cauldron.core.RandomSource;
import cauldron.core.apparatus.Amount;
import cauldron.core.apparatus.Apparatus;
import cauldron.core.apparatus.Channel;
import cauldron.core.apparatus.Choice;
import cauldron.core.apparatus.Items;
import cauldron.core.apparatus.Manifest;
import cauldron.core.apparatus.Run;
import cauldron.core.apparatus.SceneField;
import cauldron.core.apparatus.Setting;
import cauldron.core.apparatus.Settings;
import cauldron.core.apparatus.Strains;
import cauldron.core.apparatus.View;
import cauldron.core.bead.Bead;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** What every apparatus must keep to, whatever it does; one that is new is tried here by itself. */
class ContractTest {

    /** Wall seconds at the apparatus's own speed. */
    private static final double SHOWN = 3;
    private static final int TRIALS = 6;

    static Stream<Apparatus> all() {
        return Stream.concat(Inventory.all().stream(), Stream.of(new Bead()));
    }

    private static Run fresh(Apparatus apparatus, Map<String, Object> some) {
        return new Run(apparatus, Settings.of(apparatus.manifest(), some), 11);
    }

    private static double until(Apparatus apparatus) {
        return SHOWN * apparatus.manifest().speed();
    }

    @ParameterizedTest
    @MethodSource("all")
    void anyCutIntoFramesGivesTheSameNumbers(Apparatus apparatus) {
        Run straight = fresh(apparatus, Map.of());
        straight.seek(until(apparatus));
        RandomSource chance = new RandomSource(5);
        Run cut = fresh(apparatus, Map.of());
        while (cut.time() < Math.min(until(apparatus), straight.head())) {
            cut.advance(Math.min(until(apparatus) - cut.time(), until(apparatus) * 0.02 * chance.unit()), null);
        }
        cut.seek(until(apparatus));
        assertThat(cut.channels()).isEqualTo(straight.channels());
        assertThat(cut.events()).isEqualTo(straight.events());
    }

    /** After live changes, acts and grabs, going back to any moment and on again gives the same to the last bit. */
    @ParameterizedTest
    @MethodSource("all")
    void aSnapshotHoldsAllThereIs(Apparatus apparatus) {
        for (int seed = 1; seed <= TRIALS; seed++) {
            Run run = Strains.strained(apparatus, seed, until(apparatus));
            run.seek(until(apparatus));
            double[] channels = run.channels().clone();
            double[] scene = run.scene().values().clone();
            double[] events = run.events();
            RandomSource chance = new RandomSource(seed);
            for (int i = 0; i < 20; i++) {
                run.seek(until(apparatus) * chance.unit());
            }
            run.seek(until(apparatus));
            assertThat(run.channels()).as("seed %d of %s", seed, run.recipe()).isEqualTo(channels);
            assertThat(run.scene().values()).as("seed %d of %s", seed, run.recipe()).isEqualTo(scene);
            assertThat(run.events()).as("seed %d of %s", seed, run.recipe()).isEqualTo(events);
        }
    }

    @ParameterizedTest
    @MethodSource("all")
    void everySettingRunsAtBothEndsAndEveryChannelStaysFinite(Apparatus apparatus) {
        Manifest manifest = apparatus.manifest();
        for (Setting setting : manifest.settings()) {
            for (Object end : ends(setting)) {
                Map<String, Object> some = new LinkedHashMap<>();
                some.put(setting.id(), end);
                Run run = fresh(apparatus, some);
                // A value that isn't there yet at the beginning is there later, or never was.
                for (int i = 0; i <= 4; i++) {
                    run.seek(until(apparatus) * i / 4);
                    for (Channel channel : manifest.channels()) {
                        assertThat(run.read(channel)).as("%s at %s=%s", channel, setting.id(), end)
                                .satisfiesAnyOf(v -> assertThat(v).isNaN(), v -> assertThat(v).isFinite());
                    }
                    for (SceneField field : manifest.scene()) {
                        assertThat(run.scene().of(field)).as("%s at %s=%s", field, setting.id(), end).isFinite();
                    }
                }
                for (View view : manifest.views()) {
                    assertThat(run.frame(view).width()).isPositive();
                    assertThat(run.frame(view).height()).isPositive();
                }
            }
        }
    }

    /** With its first settings, after a while, there is nothing that can't be read. */
    @ParameterizedTest
    @MethodSource("all")
    void someSettingGivesEveryChannelANumber(Apparatus apparatus) {
        List<Channel> open = new ArrayList<>(apparatus.manifest().channels());
        for (Map<String, Object> some : List.<Map<String, Object>>of(Map.of(), other(apparatus))) {
            Run run = fresh(apparatus, some);
            run.seek(until(apparatus));
            open.removeIf(c -> Double.isFinite(run.read(c)));
        }
        // Where nothing happens by itself, something has to be done; some bodies are there only with some setting.
        for (int seed = 2; seed < 40 && !open.isEmpty(); seed++) {
            Run run = Strains.strained(apparatus, seed, until(apparatus));
            open.removeIf(c -> Double.isFinite(run.read(c)));
        }
        assertThat(open).isEmpty();
    }

    private static Map<String, Object> other(Apparatus apparatus) {
        Map<String, Object> most = new LinkedHashMap<>();
        apparatus.manifest().settings().stream().filter(s -> s instanceof Amount a && a.min() == 0 && a.initial() == 0)
                .forEach(s -> most.put(s.id(), ((Amount) s).min() + ((Amount) s).step()));
        return most;
    }

    private static List<Object> ends(Setting setting) {
        if (setting instanceof Amount amount) {
            return List.of(amount.min(), amount.max());
        }
        if (setting instanceof Items items) {
            List<?> first = (List<?>) items.initial();
            List<Object> all = new ArrayList<>(first);
            while (all.size() < items.most() && items.toTree().get("rising").equals("")) {
                all.add(first.get(0));
            }
            return List.of(first.subList(0, items.least()), all);
        }
        if (setting instanceof Choice<?> choice) {
            return new ArrayList<>(choice.options().stream().map(Choice.Option::id).toList());
        }
        return List.of(false, true);
    }
}
