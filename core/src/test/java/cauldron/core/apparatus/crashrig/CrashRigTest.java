package cauldron.core.apparatus.crashrig;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import cauldron.core.RandomSource;
import cauldron.core.Tree;
import cauldron.core.apparatus.Action;
import cauldron.core.apparatus.Run;
import cauldron.core.apparatus.RunTable;
import cauldron.core.apparatus.Settings;
import cauldron.core.apparatus.StopAt;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;

/** The crash rig against conservation laws, closed forms and criteria worked out by hand. */
class CrashRigTest {

    private static final CrashRig RIG = new CrashRig();
    private static final double KMH = 1 / 3.6;

    private static Run run(Object... settings) {
        return new Run(RIG, Settings.of(RIG.manifest(), Tree.of(settings)), 1);
    }

    private static Run whole(Object... settings) {
        Run run = run(settings);
        run.seek(2);
        return run;
    }

    private static double read(Run run, String channel) {
        return run.read(run.manifest().channel(channel));
    }

    private static double came(Run run, String outcome) {
        return run.outcome(run.manifest().outcome(outcome));
    }

    private static int count(Run run, String event) {
        return run.count(run.manifest().event(event), -1, run.head());
    }

    private static double largest(Run run, String channel) {
        double most = 0;
        for (double t = 0; t < run.head(); t += 5e-5) {
            run.seek(t);
            most = Math.max(most, Math.abs(read(run, channel)));
        }
        return most;
    }

    private static Map<String, Object> atRandom(RandomSource chance) {
        Map<String, Object> s = new TreeMap<>();
        s.put("build", List.of("light", "middle", "heavy", "own").get(chance.below(4)));
        s.put("mass", (double) Math.round(chance.between(400, 2500)));
        s.put("length", chance.between(0.2, 1.2));
        s.put("front", (double) (50 + 10 * chance.below(66)));
        s.put("cabin", (double) (100 + 10 * chance.below(81)));
        s.put("speed", chance.between(10, 140));
        s.put("belt", chance.below(4) > 0);
        s.put("belt-stiffness", chance.between(20, 300));
        s.put("slack", chance.below(3) == 0 ? 0.0 : chance.between(0, 15));
        s.put("limit", chance.between(4, 60));
        s.put("bag", chance.below(2) > 0);
        s.put("delay", chance.between(10, 100));
        s.put("bag-stiffness", chance.between(5, 200));
        s.put("stroke", chance.between(5, 35));
        s.put("met", chance.below(2) > 0 ? "sled" : "block");
        s.put("second-mass", chance.between(400, 4000));
        s.put("second-speed", chance.between(0, 140));
        s.put("second-front", (double) (50 + 10 * chance.below(66)));
        s.put("second-length", chance.between(0.2, 1.2));
        s.put("second-cabin", (double) (100 + 10 * chance.below(81)));
        s.put("brake", chance.below(3) == 0);
        return s;
    }

    @Test
    void energyAndMomentumStayWhateverIsBuilt() {
        RandomSource chance = new RandomSource(5);
        for (int i = 0; i < 120; i++) {
            Map<String, Object> settings = atRandom(chance);
            Run run = new Run(RIG, Settings.of(RIG.manifest(), settings), 1);
            double energy = read(run, "total");
            double momentum = read(run, "momentum-total");
            for (int part = 1; part <= 60; part++) {
                run.seek(0.005 * part);
                assertThat(read(run, "total") / energy - 1).as("energy at %s s of %d: %s", run.time(), i, settings)
                        .isCloseTo(0, within(1e-9));
                // The two sleds' may cancel, so it is the size of each that counts.
                assertThat(read(run, "momentum-total") - momentum)
                        .as("momentum at %s s of %d: %s", run.time(), i, settings)
                        .isCloseTo(0, within(1e-9 * (Math.abs(momentum) + Math.abs(read(run, "momentum-second")) + 1)));
            }
            double went = 0;
            for (String part : List.of("front", "cabin", "second", "belt", "bag", "inside", "brake")) {
                went += read(run, "by-" + part);
            }
            assertThat(went).as("where it went, %d: %s", i, settings)
                    .isCloseTo(read(run, "thermal"), within(1e-9 * energy));
        }
    }

    /** What doesn't yield is a spring: the greatest force is v √(k m), and it comes back as fast as it went. */
    @Test
    void whatNeverYieldsBouncesBackWhole() {
        Run run = whole("front", 700.0, "cabin", 900.0, "speed", 10.0, "belt", false);
        double mass = came(run, "mass-of-build");
        double v = 10 * KMH;
        assertThat(came(run, "front-crush")).isZero();
        assertThat(largest(run, "force")).isCloseTo(v * Math.sqrt(CrushZones.STIFFNESS * mass), within(2.0));
        run.seek(0.02 + Math.PI * Math.sqrt(mass / CrushZones.STIFFNESS) + 1e-3);
        assertThat(read(run, "velocity")).isCloseTo(-v, within(1e-9));
    }

    /** Before anything touches the figure, ½ m v² = F² / 2k + F p. */
    @Test
    void aFrontThatYieldsIsCrushedByWhatItsForceTakes() {
        Run run = run("front", 300.0, "speed", 40.0, "belt", false);
        assertThat(run.advance(1, new StopAt.Happening(run.manifest().event("greatest"), 1))).isTrue();
        double mass = run.outcome(run.manifest().outcome("mass-of-build"));
        double v = 40 * KMH;
        double f = 3e5;
        double p = (0.5 * mass * v * v - f * f / (2 * CrushZones.STIFFNESS)) / f;
        assertThat(read(run, "by-front")).isCloseTo(f * p, within(1e-6));
        assertThat(read(run, "crush")).isCloseTo(p + f / CrushZones.STIFFNESS, within(1e-9));
        assertThat(read(run, "velocity")).isCloseTo(0, within(1e-9));
    }

    @Test
    void twoAlikeHeadOnAreEachLikeOneAgainstTheBlock() {
        Run block = run("front", 300.0, "speed", 40.0, "belt", false);
        double mass = came(block, "mass-of-build");
        Run two = run("front", 300.0, "speed", 40.0, "belt", false, "met", "sled", "second-mass", mass,
                "second-speed", 40.0,
                "second-front", 300.0, "second-length", 0.6);
        for (double t = 0.021; t < 0.06; t += 0.003) {
            block.seek(t);
            two.seek(t);
            assertThat(read(two, "velocity")).isCloseTo(read(block, "velocity"), within(1e-9));
            assertThat(read(two, "force")).isCloseTo(read(block, "force"), within(1e-3));
            assertThat(read(two, "second-crush")).isCloseTo(read(block, "crush"), within(1e-9));
        }
    }

    @Test
    void theWeakestYieldsFirst() {
        Run soft = whole("front", 100.0, "cabin", 200.0);
        assertThat(count(soft, "used-up")).isEqualTo(1);
        assertThat(came(soft, "front-crush")).isEqualTo(0.6);
        assertThat(came(soft, "pushed-in")).isGreaterThan(0.2);
        Run upsideDown = whole("front", 600.0, "cabin", 200.0);
        assertThat(came(upsideDown, "front-crush")).isZero();
        assertThat(came(upsideDown, "pushed-in")).isGreaterThan(0.5);
        assertThat(count(upsideDown, "no-room")).isEqualTo(1);
        assertThat(came(upsideDown, "survival")).isZero();
    }

    /** Nobody told it to. */
    @Test
    void stifferIsNotSafer() {
        double stiff = came(whole("front", 700.0), "survival");
        double right = came(whole("front", 300.0), "survival");
        double soft = came(whole("front", 80.0), "survival");
        assertThat(right).isGreaterThan(stiff + 0.02).isGreaterThan(soft + 0.02);
        assertThat(came(whole("front", 300.0, "belt", false), "survival")).isLessThan(right - 0.2);
        assertThat(came(whole("front", 300.0, "speed", 90.0), "survival")).isLessThan(right);
    }

    @Test
    void theLighterOneFaresWorse() {
        Run run = whole("met", "sled", "build", "light", "second-mass", 3000.0);
        Run other = whole("met", "sled", "build", "heavy", "second-mass", 700.0);
        assertThat(came(run, "lost")).isGreaterThan(2 * came(other, "lost"));
        assertThat(came(run, "survival")).isLessThan(came(other, "survival"));
    }

    @Test
    void brakingTakesWhatItSays() {
        Run run = run("speed", 50.0, "brake", true, "braking", 8.0, "braking-way", 8.0);
        assertThat(read(run, "velocity")).isCloseTo(Math.sqrt(2500 * KMH * KMH - 128), within(1e-9));
        run.seek(1);
        assertThat(came(run, "survival")).isGreaterThan(came(whole("speed", 50.0), "survival"));
        Run stops = whole("speed", 50.0, "brake", true, "braking", 8.0, "braking-way", 15.0);
        assertThat(count(stops, "stopped")).isEqualTo(1);
        assertThat(count(stops, "contact")).isZero();
        assertThat(came(stops, "hic")).isZero();
        assertThat(stops.head()).isLessThan(0.1);
    }

    @Test
    void itEndsByItselfThreeHundredMillisecondsAfterContact() {
        Run run = run();
        assertThat(came(run, "survival")).isNaN();
        assertThat(run.advance(5, new StopAt.Happening(run.manifest().event("seat"), 7))).isFalse();
        assertThat(run.isOver()).isTrue();
        assertThat(run.head()).isCloseTo(read(run, "since") + 0.02, within(1e-9));
        assertThat(read(run, "since")).isCloseTo(0.3, within(1e-9));
        assertThat(came(run, "survival")).isBetween(0.0, 1.0);
        double end = run.head();
        run.seek(100);
        assertThat(run.time()).isEqualTo(end);
        assertThat(run.sampleCount()).isEqualTo((int) Math.floor(end / 0.001 + 1e-9) + 1);
        assertThatThrownBy(() -> run.act(new Action.Change("speed", 60.0))).hasMessageContaining("over");
        run.seek(0.05);
        assertThat(run.isOver()).isFalse();
        assertThat(run.head()).isEqualTo(end);
        assertThat(run.advance(1, new StopAt.Crossing(run.manifest().channel("velocity"), 50))).isFalse();
        assertThat(run.time()).isEqualTo(end);
    }

    @Test
    void rowsOfAMillisecondWithWordsForWhatWasStruck() {
        Run run = whole("front", 300.0, "belt", false);
        RunTable table = RunTable.of(run, RunTable.Plan.fromTree(Tree.of("rows", "interval", "interval", 1.0,
                "channels",
                List.of("velocity"), "outcomes", List.of("chest-met", "survival")), run.manifest()));
        assertThat(table.rows()).hasSize(321);
        assertThat(table.rows().get(320)).startsWith("320.0").contains("wheel");
        assertThat(table.rows().get(100)[2]).isEmpty();
        assertThat(table.columns().get(2).label()).isTrue();
    }

    /** As it would be taken from a printed record, by trying all windows on points a tenth of a millisecond apart. */
    @Test
    void theCriterionIsWhatAHandIntegralGives() {
        for (boolean belted : new boolean[] {true, false}) {
            Run run = whole("front", 400.0, "belt", belted);
            double gathered = came(run, "hic");
            double held = came(run, "clip");
            int n = (int) (run.head() / 1e-4);
            double[] integral = new double[n];
            double[] chest = new double[n];
            for (int i = 0; i < n; i++) {
                run.seek((i + 0.5) * 1e-4);
                integral[i] = (i == 0 ? 0 : integral[i - 1]) + Math.abs(read(run,
                        "head-acceleration")) / 9.80665 * 1e-4;
                chest[i] = Math.abs(read(run, "chest-acceleration")) / 9.80665;
            }
            double hic = 0;
            double clip = 0;
            for (int i = 0; i < n; i++) {
                for (int j = i + 1; j < n && j - i <= 150; j++) {
                    double window = (j - i) * 1e-4;
                    hic = Math.max(hic, window * Math.pow((integral[j] - integral[i]) / window, 2.5));
                }
                double least = Double.POSITIVE_INFINITY;
                for (int j = i; j < n && j <= i + 30; j++) {
                    least = Math.min(least, chest[j]);
                }
                clip = i + 30 < n ? Math.max(clip, least) : clip;
            }
            assertThat(gathered).as("belted %s", belted).isCloseTo(hic, within(0.005 * hic));
            assertThat(held).as("belted %s", belted).isCloseTo(clip, within(0.01 * clip));
        }
    }

    @Test
    void aSteadyPulseHasTheCriterionOfItsFormula() {
        HeadInjury injury = new HeadInjury();
        ChestClip clip = new ChestClip();
        for (int i = 0; i <= 400; i++) {
            double t = i * 2.5e-4;
            double pulse = Math.max(0, Math.min(t, 0.06) - 0.05);
            injury.at(t, 80 * HeadInjury.G * pulse);
            clip.at(t, t >= 0.05 && t <= 0.06 ? 400 : 10);
        }
        // 10 ms of 80 g.
        assertThat(injury.value()).isCloseTo(0.01 * Math.pow(80, 2.5), within(1e-6));
        assertThat(clip.value()).isEqualTo(400);
        HeadInjury longer = new HeadInjury();
        for (int i = 0; i <= 400; i++) {
            longer.at(i * 2.5e-4, 60 * HeadInjury.G * i * 2.5e-4);
        }
        assertThat(longer.value()).isCloseTo(0.015 * Math.pow(60, 2.5), within(1e-6));
    }

    /** Read off the curves' formulas with a calculator. */
    @Test
    void risksAreThoseOfTheCurves() {
        assertThat(InjuryRisk.head(1000)).isCloseTo(0.02341, within(1e-4));
        assertThat(InjuryRisk.head(2000)).isCloseTo(0.6593, within(1e-4));
        assertThat(InjuryRisk.head(0)).isZero();
        assertThat(InjuryRisk.chest(60 * 9.80665)).isCloseTo(0.00808, within(1e-4));
        assertThat(InjuryRisk.chest(133.01 * 9.80665)).isCloseTo(0.5, within(1e-3));
    }
}
