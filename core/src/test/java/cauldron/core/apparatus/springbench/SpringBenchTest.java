package cauldron.core.apparatus.springbench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import cauldron.core.RandomSource;
import cauldron.core.Tree;
import cauldron.core.apparatus.Act;
import cauldron.core.apparatus.Action;
import cauldron.core.apparatus.ProfileLines;
import cauldron.core.apparatus.Run;
import cauldron.core.apparatus.RunTable;
import cauldron.core.apparatus.Settings;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Springs in a press against Hooke's law, the laws of series and parallel, and the account of the press's work. */
class SpringBenchTest {

    private static final SpringBench BENCH = new SpringBench();
    private static final double K1 = 400;
    private static final double K2 = 150;

    private static Run run(Object... settings) {
        Map<String, Object> all = Tree.of("make", "own", "stiffness", K1, "second-make", "own", "second-stiffness", K2);
        all.putAll(Tree.of(settings));
        return new Run(BENCH, Settings.of(BENCH.manifest(), all), 1);
    }

    private static void act(Run run, Act act, Object... with) {
        run.act(new Action.Perform(act.id(), Tree.of(with)));
    }

    private static void force(Run run, double newtons) {
        act(run, BENCH.setForce, "force", newtons);
    }

    @Test
    void oneSpringFollowsHookesLawBothWays() {
        Run run = run("step", 10);
        for (double f = 10; f <= 90; f += 10) {
            act(run, BENCH.more);
            assertThat(run.read(BENCH.displacement)).isCloseTo(f / K1, within(1e-15));
            assertThat(run.read(BENCH.springForce)).as("equal and opposite").isEqualTo(-run.read(BENCH.force));
        }
        for (int i = 0; i < 18; i++) {
            act(run, BENCH.less);
        }
        assertThat(run.read(BENCH.force)).isEqualTo(-90);
        assertThat(run.read(BENCH.displacement)).as("pushed shorter counts negative").isCloseTo(-90 / K1, within(1e-15));
        assertThat(run.scene().isUp(BENCH.shorter)).isTrue();
    }

    @Test
    void workIsTheAreaUnderTheLineWhateverTheSteps() {
        Run run = run();
        for (double f : new double[] {3, 17, 42, -5, -60, 80}) {
            force(run, f);
            double x = run.read(BENCH.displacement);
            assertThat(run.read(BENCH.stored)).isCloseTo(0.5 * K1 * x * x, within(1e-12));
            assertThat(run.read(BENCH.work)).as("at %s N", f).isCloseTo(0.5 * K1 * x * x, within(1e-12));
        }
    }

    @Test
    void endToEndExtensionsAddSideBySideForcesDo() {
        Run series = run("arrangement", "series");
        force(series, 20);
        assertThat(series.read(BENCH.displacement)).isCloseTo(20 / K1 + 20 / K2, within(1e-15));
        assertThat(series.read(BENCH.firstExtension)).isCloseTo(20 / K1, within(1e-15));
        assertThat(series.read(BENCH.secondForce)).isEqualTo(20);
        act(series, BENCH.setPlace, "displacement", -10);
        assertThat(series.read(BENCH.force)).isCloseTo(-0.1 / (1 / K1 + 1 / K2), within(1e-12));
        Run parallel = run("arrangement", "parallel");
        act(parallel, BENCH.setPlace, "displacement", 8);
        assertThat(parallel.read(BENCH.force)).isCloseTo(0.08 * (K1 + K2), within(1e-12));
        assertThat(parallel.read(BENCH.firstForce)).isCloseTo(0.08 * K1, within(1e-12));
        force(parallel, 33);
        assertThat(parallel.read(BENCH.displacement)).isCloseTo(33 / (K1 + K2), within(1e-12));
        assertThat(parallel.read(BENCH.firstForce) + parallel.read(BENCH.secondForce)).isCloseTo(33, within(1e-10));
    }

    @Test
    void beyondTheElasticLimitTheLineBendsAndDoesNotComeBack() {
        Run run = run("limited", true, "limit", 40);
        force(run, 40);
        assertThat(run.read(BENCH.permanent)).as("just at the limit").isZero();
        force(run, 50);
        // Four times flatter: 40 N at k, 10 N at k/4.
        assertThat(run.read(BENCH.displacement)).isCloseTo(40 / K1 + 10 / (K1 / 4), within(1e-12));
        force(run, 0);
        double set = run.read(BENCH.displacement);
        assertThat(set).isCloseTo(10 / (K1 / 4) - 10 / K1, within(1e-12));
        assertThat(run.read(BENCH.permanent)).isCloseTo(set, within(1e-15));
        force(run, 50);
        assertThat(run.read(BENCH.displacement)).as("up again it is as stiff as ever, to where it was").isCloseTo(
                40 / K1 + 10 / (K1 / 4), within(1e-12));
        // The area of the first way up less the triangle that comes back.
        double up = 0.5 * 40 * 40 / K1 + 45 * 10 / (K1 / 4);
        assertThat(run.read(BENCH.work)).isCloseTo(up, within(1e-12));
        assertThat(run.read(BENCH.lost)).isCloseTo(up - 0.5 * 50 * 50 / K1, within(1e-12));
        // Pushed the other way it gives way sooner: its elastic range has moved along.
        force(run, -45);
        assertThat(run.read(BENCH.permanent)).isLessThan(set);
    }

    @Test
    void whatIsPutInIsStoredOrLostOverAnyWay() {
        for (String arrangement : new String[] {"one", "series", "parallel"}) {
            RandomSource chance = new RandomSource(7);
            double lost = 0;
            for (int seed = 0; seed < 40; seed++) {
                Run run = run("arrangement", arrangement, "limited", true, "limit", 15 + chance.below(30), "stiffness",
                        300.0 + 10 * chance.below(60));
                for (int i = 0; i < 25; i++) {
                    boolean byForce = chance.unit() < 0.5;
                    double wanted = chance.between(-1, 1);
                    try {
                        if (byForce) {
                            force(run, 60 * wanted);
                        } else {
                            act(run, BENCH.setPlace, "displacement", 15 * wanted);
                        }
                    } catch (IllegalArgumentException e) {
                        assertThat(e).hasMessageMatching(".*(screw ends|more than the press).*");
                    }
                    assertThat(run.read(BENCH.stored) + run.read(BENCH.lost)).as("%s, %s", arrangement, i)
                            .isCloseTo(run.read(BENCH.work), within(1e-9));
                    assertThat(run.read(BENCH.lost)).isNotNegative();
                }
                lost += run.read(BENCH.lost);
            }
            assertThat(lost).as("some gave way").isPositive();
        }
    }

    @Test
    void whatThePressCannotDoIsRefusedAndLeavesAllAsItWas() {
        Run run = run("stiffness", 70, "step", 40);
        assertThatThrownBy(() -> act(run, BENCH.more)).hasMessageContaining("The screw ends at 50 cm");
        assertThatThrownBy(() -> act(run, BENCH.less)).hasMessageContaining("The screw ends at 25 cm");
        Run usual = run("stiffness", 200);
        force(usual, 100);
        assertThat(usual.read(BENCH.displacement)).isCloseTo(0.5, within(1e-12));
        assertThat(run.read(BENCH.force)).isZero();
        Run stiff = run("stiffness", 1000);
        assertThatThrownBy(() -> act(stiff, BENCH.setPlace, "displacement", 20)).hasMessageContaining("up to 120 N");
        force(stiff, 118);
        assertThatThrownBy(() -> act(stiff, BENCH.more)).hasMessageContaining("pulls and pushes up to 120 N");
        assertThat(stiff.read(BENCH.force)).isEqualTo(118);
        assertThat(stiff.recipe().actions()).hasSize(1);
    }

    @Test
    void eachStepIsARowAndTheWayIsACurve() {
        Run run = run("step", 12);
        act(run, BENCH.more);
        act(run, BENCH.more);
        act(run, BENCH.letOff);
        RunTable table = RunTable.of(run, RunTable.Plan.fromTree(Tree.of("rows", "actions", "channels",
                List.of("force", "displacement")), BENCH.manifest()));
        assertThat(table.rows()).extracting(row -> row[1]).containsExactly("as it was at first", "a step longer",
                "a step longer", "let off");
        assertThat(table.rows()).extracting(row -> row[2]).containsExactly("0.0", "12.0", "24.0", "0.0");
        assertThat(table.rows()).extracting(row -> row[3]).containsExactly("0.00", "3.00", "6.00", "0.00");
        ProfileLines path = run.profile(BENCH.path);
        assertThat(path.points(0)).containsExactly(new double[] {0, 0, 0.03, 12, 0.06, 24, 0, 0}, within(1e-12));
        run.seek(1);
        assertThat(run.profile(BENCH.path).points(0)).hasSize(4);
    }

    @Test
    void draggingThePlateIsADisplacementAsFarAsTheScrewReaches() {
        Run run = run("arrangement", "series");
        Action.Perform meant = run.meant(BENCH.setPlace, 0, 0.86234, 0.1, Map.of());
        assertThat(meant.with()).containsEntry("displacement", 6.23);
        assertThat(run.meant(BENCH.setPlace, 0, 5, 0, Map.of()).with()).containsEntry("displacement", 50.0);
    }
}
