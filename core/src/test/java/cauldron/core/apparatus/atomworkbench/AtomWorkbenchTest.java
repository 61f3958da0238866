package cauldron.core.apparatus.atomworkbench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import cauldron.core.Tree;
import cauldron.core.apparatus.Action;
import cauldron.core.apparatus.Run;
import cauldron.core.apparatus.Settings;
import cauldron.core.chemistry.Nuclides;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** Atoms built step by step, what is told of them, and challenges met by all that meet them and by nothing else. */
class AtomWorkbenchTest {

    private static final AtomWorkbench BENCH = new AtomWorkbench();

    private static Run run(Object... settings) {
        return new Run(BENCH, Settings.of(BENCH.manifest(), Tree.of(settings)), 1);
    }

    private static void act(Run run, String act, Object... with) {
        run.act(new Action.Perform(act, Tree.of(with)));
    }

    private static String word(Run run, String outcome) {
        var found = run.manifest().outcome(outcome);
        double place = run.outcome(found);
        return Double.isNaN(place) ? "" : found.words().get((int) place);
    }

    /** One proton is an ion already; a neutron changes no charge, a proton the element, an electron neither. */
    @Test
    void fromOneProtonOn() {
        Run run = run();
        assertThat(word(run, "kind")).isEqualTo("a bare nucleus, a positive ion");
        assertThat(word(run, "element")).isEqualTo("hydrogen");
        act(run, "neutron-in");
        assertThat(run.read(BENCH.charge)).isEqualTo(1);
        assertThat(word(run, "element")).isEqualTo("hydrogen");
        act(run, "electron-in");
        assertThat(word(run, "kind")).isEqualTo("a neutral atom");
        assertThat(run.read(BENCH.a)).isEqualTo(2);
        act(run, "proton-in");
        assertThat(word(run, "element")).isEqualTo("helium");
        assertThat(word(run, "kind")).isEqualTo("a positive ion");
        act(run, "electron-in");
        act(run, "electron-in");
        assertThat(word(run, "kind")).isEqualTo("a negative ion");
        assertThat(run.read(BENCH.charge)).isEqualTo(-1);
        act(run, "electron-out");
        act(run, "neutron-out");
        assertThat(word(run, "lasting")).isEqualTo("no such nuclide is known");
        assertThat(run.read(BENCH.mass)).isNaN();
        act(run, "proton-out");
        assertThat(run.scene().isUp(BENCH.lightest)).isTrue();
        assertThatThrownBy(() -> act(run, "proton-out")).hasMessageContaining("can't be done now");
        assertThatThrownBy(() -> act(run, "neutron-out")).hasMessageContaining("can't be done now");
        run.seek(0);
        assertThat(run.read(BENCH.a)).isEqualTo(1);
    }

    /** Neutrons until it isn't stable, and back. */
    @Test
    void carbonLastsWithSixOrSevenNeutrons() {
        Run run = run("protons", 6.0, "neutrons", 6.0, "electrons", 6.0);
        List<String> told = new ArrayList<>();
        for (int n = 6; n <= 9; n++) {
            told.add(word(run, "lasting"));
            act(run, "neutron-in");
        }
        assertThat(told).containsExactly("stable", "stable", "not stable", "not stable");
        act(run, "nucleus", "protons", 6.0, "neutrons", 8.0);
        assertThat(word(run, "decay")).isEqualTo("β⁻: a neutron turns into a proton");
        assertThat(run.scene().of(BENCH.halfLifeNumber)).isCloseTo(5730, within(10.0));
        assertThat(HalfLife.UNITS[(int) run.scene().of(BENCH.halfLifeUnit)]).isEqualTo("years");
        assertThat(run.read(BENCH.mean) / 1.66053906660e-27).isCloseTo(12.011, within(0.001));
        assertThat(run.read(BENCH.share)).isZero();
    }

    @Test
    void anIonWeighsItsElectronsLess() {
        Run run = run("protons", 11.0, "neutrons", 12.0, "electrons", 10.0);
        // Sodium-23: 22.989769 u, and an electron less.
        assertThat(run.read(BENCH.mass) / 1.66053906660e-27).isCloseTo(22.98976928 - 5.4858e-4, within(1e-8));
        assertThat(run.scene().of(BENCH.shells.get(1))).isEqualTo(8);
        assertThat(run.scene().of(BENCH.shells.get(2))).isZero();
        assertThat(run.scene().of(BENCH.outer.y())).isCloseTo(AtomWorkbench.ATOM_Y + AtomWorkbench.RADII[1],
                within(1e-12));
    }

    @Test
    void noIonHoldsFiveElectronsMoreThanProtons() {
        Run run = run("protons", 2.0, "electrons", 9.0);
        assertThat(run.read(BENCH.e)).isEqualTo(6);
        assertThat(run.scene().isUp(BENCH.full)).isTrue();
        assertThatThrownBy(() -> act(run, "proton-out")).hasMessageContaining("can't hold 6 electrons");
        assertThatThrownBy(() -> act(run, "electrons", "electrons", 7.0)).hasMessageContaining("can't hold 7 "
                + "electrons");
        assertThat(run.read(BENCH.z)).isEqualTo(2);
    }

    /** Each is met by something, not by everything, and never by what isn't known. */
    @ParameterizedTest
    @EnumSource(Challenge.class)
    void challengesCanBeMet(Challenge challenge) {
        int met = 0;
        int all = 0;
        for (int z = 1; z <= Nuclides.HEAVIEST; z++) {
            for (int n = 0; n <= AtomWorkbench.MOST_NEUTRONS; n++) {
                for (int e = 0; e <= Math.min(Nuclides.HEAVIEST, z + AtomWorkbench.MOST_EXTRA); e++) {
                    Atom atom = new Atom(z, n, e);
                    all++;
                    if (challenge.isMetBy(atom)) {
                        met++;
                        assertThat(Nuclides.of(z, n)).isNotNull();
                    }
                }
            }
        }
        assertThat(met).isPositive().isLessThan(all / 50);
    }

    @ParameterizedTest
    @CsvSource({"twice-negative, 16, 18, 18, true", "twice-negative, 17, 18, 19, true", "twice-negative, 16, 18, 14, "
            + "false",
        "like-neon, 13, 14, 10, true", "like-neon, 7, 7, 10, false", "sister, 17, 20, 17, true", "sister, 17, 18, 17, "
                + "false",
        "argon-cation, 19, 20, 18, true", "argon-cation, 20, 20, 18, true", "argon-cation, 17, 18, 18, false",
        "to-nitrogen, 6, 8, 6, true", "to-nitrogen, 8, 6, 0, true", "to-nitrogen, 6, 7, 6, false", "old, 6, 8, 6, true",
        "old, 4, 6, 4, true", "old, 1, 2, 1, false", "no-neutron, 1, 0, 0, true", "carbon, 6, 7, 6, true",
        "half-empty, 14, 14, 14, true", "half-empty, 22, 26, 22, false", "forty, 18, 22, 18, true", "forty, 20, 20, "
                + "20, false"})
    void rightAnswersAreTakenAndWrongOnesNot(String asked, double protons, double neutrons, double electrons,
            boolean met) {
        Run run = run("challenge", asked, "protons", protons, "neutrons", neutrons, "electrons", electrons);
        assertThat(word(run, "asked")).isEqualTo(met ? "built" : "not there yet");
    }

    @Test
    void whatIsAskedMayChangeMeanwhile() {
        Run run = run("protons", 1.0);
        assertThat(word(run, "asked")).isEqualTo("nothing was asked for");
        run.act(new Action.Change("challenge", "no-neutron"));
        assertThat(word(run, "asked")).isEqualTo("built");
        assertThat(run.read(BENCH.a)).isEqualTo(1);
    }

    @Test
    void draggedOnTheChartTheNucleusChangesAndElectronsGoBetweenStoreAndAtom() {
        Run run = run();
        double[] square = AtomWorkbench.square(26, 30);
        assertThat(run.meant(BENCH.nucleus, 0, square[0] + 0.004, square[1] - 0.004, Map.of()).with())
                .isEqualTo(Tree.of("protons", 26.0, "neutrons", 30.0));
        assertThat(run.meant(BENCH.nucleus, 0, 0.01, 0.3, Map.of())).isNull();
        assertThat(run.meant(BENCH.electronIn, 0, 0.25, 0.75, Map.of()).with()).isEmpty();
        assertThat(run.meant(BENCH.electronIn, 0, 0.8, 0.75, Map.of())).isNull();
        assertThat(run.meant(BENCH.electronOut, 0, 0.25, 0.75, Map.of())).isNull();
        assertThat(run.meant(BENCH.electronOut, 0, 0.5, 0.7, Map.of()).with()).isEmpty();
    }

    /** The periodic table has its groups one below the other. */
    @Test
    void elementsOfAGroupStandBelowEachOther() {
        double[] places = AtomWorkbench.periodicTable();
        int[][] groups = {{1, 3, 11, 19}, {4, 12, 20}, {5, 13, 31}, {6, 14, 32}, {9, 17, 35}, {2, 10, 18, 36}};
        for (int[] group : groups) {
            for (int number : group) {
                assertThat(places[2 * number - 2]).as("element " + number).isCloseTo(places[2 * group[0] - 2],
                        within(1e-12));
            }
        }
        assertThat(places[2 * 21 - 2]).isGreaterThan(places[2 * 20 - 2]);
        assertThat(places[1] - places[2 * 36 - 1]).isCloseTo(3 * AtomWorkbench.TABLE_CELL, within(1e-12));
    }

    @ParameterizedTest
    @CsvSource({"0.0201, 20.1, ms", "13.81, 13.81, s", "1223.4, 20.39, min", "3.88839e8, 12.32, years", "4.4e24, "
            + "139.4, times 10¹⁵ years"})
    void halfLivesAreSaidInAUnitThatFits(double seconds, double number, String unit) {
        assertThat(HalfLife.UNITS[(int) HalfLife.unit(seconds)]).isEqualTo(unit);
        assertThat(HalfLife.number(seconds)).isCloseTo(number, within(0.005 * number));
        assertThat(HalfLife.unit(Double.POSITIVE_INFINITY)).isNaN();
    }

    @Test
    void theChartShowsEveryNuclideWithItsStepOfLife() {
        Run run = run("protons", 6.0, "neutrons", 7.0);
        double[] crowd = new double[3 * 900];
        assertThat(run.crowd(crowd)).isEqualTo(859);
        // The middle of the neighbours is the nuclide itself; right of it carbon-14, below boron-12.
        assertThat(run.scene().of(BENCH.near.get(12))).isZero();
        assertThat(run.scene().of(BENCH.near.get(13))).isEqualTo(Nuclides.of(6, 8).life().ordinal());
        assertThat(run.scene().of(BENCH.near.get(17))).isEqualTo(Nuclides.of(5, 7).life().ordinal());
        assertThat(run.scene().of(BENCH.life)).isZero();
    }
}
