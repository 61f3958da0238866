package cauldron.core.apparatus;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import cauldron.core.RandomSource;
import cauldron.core.Tree;
import cauldron.core.inventory.Inventory;
import java.lang.management.ManagementFactory;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * Every apparatus at the ends of everything that can be set: nothing is infinite, accounts close, going forwards, back and
 * in one piece comes to the same, and no second that is shown takes longer to compute than it lasts.
 */
class EndsTest {

    /** Wall seconds that are shown. */
    private static final double SHOWN = 1.5;
    private static final int PIECES = 23;
    private static final int DRAWN = 4;
    /** Processor time that a shown second may take, in seconds: a page has other things to do, and a slower machine. */
    private static final double MOST = 1;
    /** Nothing comes into these from outside once they are let go. */
    private static final Set<String> ALONE = Set.of("pendulum", "hanging-spring", "rail-run", "crash-rig", "drop-tower");

    static List<String> apparatus() {
        return Inventory.all().stream().map(a -> a.manifest().id()).toList();
    }

    private static List<Map<String, Object>> ends(Apparatus apparatus) {
        List<Map<String, Object>> all = new ArrayList<>();
        Map<String, Object> least = new LinkedHashMap<>();
        Map<String, Object> most = new LinkedHashMap<>();
        all.add(Map.of());
        for (Setting s : apparatus.manifest().settings()) {
            if (s instanceof Amount a) {
                all.add(Map.of(s.id(), a.min()));
                all.add(Map.of(s.id(), a.max()));
                least.put(s.id(), a.min());
                most.put(s.id(), a.max());
            } else if (s instanceof Choice<?> c) {
                Tree.maps(c.toTree(), "options").forEach(o -> all.add(Map.of(s.id(), o.get("id"))));
            } else if (s instanceof Switch) {
                all.add(Map.of(s.id(), true));
                all.add(Map.of(s.id(), false));
                most.put(s.id(), true);
            }
        }
        all.add(least);
        all.add(most);
        RandomSource chance = RandomSource.named(11, apparatus.manifest().id());
        for (int i = 0; i < DRAWN; i++) {
            all.add(Guard.drawn(apparatus, chance).toTree());
        }
        return all;
    }

    @ParameterizedTest
    @MethodSource("apparatus")
    void nothingBreaksAtTheEndsOfWhatCanBeSet(String id) {
        Apparatus apparatus = Inventory.get(id);
        double slowest = 0;
        Map<String, Object> where = Map.of();
        for (Map<String, Object> some : ends(apparatus)) {
            Settings settings;
            try {
                settings = Settings.of(apparatus.manifest(), some);
            } catch (SettingException e) {
                // Two ends that don't go together.
                continue;
            }
            double took = hold(apparatus, settings);
            if (took > slowest) {
                slowest = took;
                where = some;
            }
        }
        System.out.printf("ends of %s: %.3f s of computing a shown second at most, at %s%n", id, slowest, where);
        assertThat(slowest).as("seconds of computing a shown second, at %s", where).isLessThan(MOST);
    }

    private static double hold(Apparatus apparatus, Settings settings) {
        Manifest m = apparatus.manifest();
        double until = m.clock() == Clock.STEPS ? 1 : SHOWN * m.speed();
        double began = processor();
        Run pieces = begun(apparatus, settings);
        double from = pieces.time();
        List<double[]> seen = new ArrayList<>();
        for (int i = 1; i <= PIECES; i++) {
            pieces.seek(from + until * i / PIECES);
            seen.add(pieces.channels().clone());
            hold(apparatus, pieces, seen, settings);
        }
        double took = (processor() - began) / SHOWN;
        for (int i = PIECES; i >= 1; i -= 7) {
            pieces.seek(from + until * i / PIECES);
            assertThat(pieces.channels()).as("going back to piece %d of %s", i, settings.toTree()).isEqualTo(seen.get(i - 1));
        }
        Run whole = begun(apparatus, settings);
        whole.seek(from + until);
        assertThat(whole.channels()).as("in one piece, %s", settings.toTree()).isEqualTo(seen.get(PIECES - 1));
        return took;
    }

    /** Let go, fired, begun: whatever leads is done after a moment. */
    private static Run begun(Apparatus apparatus, Settings settings) {
        Manifest m = apparatus.manifest();
        Run run = new Run(apparatus, settings, 3);
        if (m.clock() == Clock.STEPS) {
            return run;
        }
        run.seek(0.02 * m.speed());
        for (Act act : m.acts()) {
            if (Boolean.TRUE.equals(act.toTree().get("leads")) && act.isPossible(run.scene())) {
                run.act(new Action.Perform(act.id(), Map.of()));
            }
        }
        return run;
    }

    private static void hold(Apparatus apparatus, Run run, List<double[]> seen, Settings settings) {
        Manifest m = apparatus.manifest();
        double[] now = seen.get(seen.size() - 1);
        double sum = 0;
        double total = Double.NaN;
        double size = 1;
        for (int i = 0; i < now.length; i++) {
            assertThat(Double.isInfinite(now[i])).as("%s is infinite at %s, %s", m.channels().get(i).id(), run.time(), settings.toTree())
                    .isFalse();
            Object part = m.channels().get(i).toTree().get("account");
            if ("total".equals(part)) {
                total = now[i];
            } else if (part != null && !"".equals(part)) {
                sum += now[i];
                size += Math.abs(now[i]);
            }
        }
        if (!Double.isNaN(total)) {
            assertThat(sum).as("parts at %s, %s", run.time(), settings.toTree()).isCloseTo(total, within(1e-8 * size));
            if (ALONE.contains(m.id())) {
                int which = totalOf(m);
                assertThat(total).as("total at %s, %s", run.time(), settings.toTree())
                        .isCloseTo(seen.get(0)[which], within(1e-7 * size));
            }
        }
    }

    private static int totalOf(Manifest m) {
        for (int i = 0; i < m.channels().size(); i++) {
            if ("total".equals(m.channels().get(i).toTree().get("account"))) {
                return i;
            }
        }
        throw new IllegalStateException(m.id() + " has no total");
    }

    /** Of this thread, in seconds. */
    private static double processor() {
        return 1e-9 * ManagementFactory.getThreadMXBean().getCurrentThreadCpuTime();
    }
}
