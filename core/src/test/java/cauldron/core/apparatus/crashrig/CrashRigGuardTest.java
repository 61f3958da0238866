package cauldron.core.apparatus.crashrig;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import cauldron.core.Tree;
import cauldron.core.apparatus.Guard;
import cauldron.core.apparatus.Outcome;
import cauldron.core.apparatus.Run;
import cauldron.core.apparatus.Settings;
import org.junit.jupiter.api.Test;

/** The crash rig against {@link SlowCrash}, over whatever can be built. */
class CrashRigGuardTest {

    private static final CrashRig RIG = new CrashRig();
    private final Guard guard = new Guard(RIG);

    @Test
    void whateverIsBuiltBehavesAsTheSlowReferenceDoes() {
        guard.over((settings, i) -> hold(settings));
    }

    /** Each of them once ran through a joint of its loading curve that came soon after another. */
    @Test
    void jointsThatComeSoonAfterOneAnotherAreMet() {
        Guard.Holding hold = (settings, i) -> hold(settings);
        guard.with(hold, "build", "light", "front", 100.0, "cabin", 120.0, "speed", 50.0);
        guard.with(hold, "met", "sled", "front", 410.0, "speed", 50.0, "second-speed", 50.0);
        for (double speed : new double[] {135, 140}) {
            guard.with(hold, "speed", speed);
        }
        for (double cabin = 410; cabin <= 430; cabin += 10) {
            guard.with(hold, "front", 400.0, "cabin", cabin, "speed", 75.0);
        }
        // The belt pays out just where the chest comes to the wheel.
        guard.with(hold, "build", "heavy", "front", 700.0, "cabin", 900.0, "speed", 88.0, "belt-stiffness", 20.0, "slack", 15.0,
                "limit", 4.0, "met", "sled", "second-mass", 3500.0, "second-speed", 5.0, "second-front", 700.0);
        for (double front = 50; front <= 60; front += 10) {
            guard.with(hold, "front", front, "speed", 50.0);
        }
    }

    /** A light sled whose front and cabin yield: most of its occupants live. */
    @Test
    void aLightSledThatYieldsSparesItsFigure() {
        Run run = new Run(RIG, Settings.of(RIG.manifest(), Tree.of("build", "light", "front", 100.0, "cabin", 120.0)), 1);
        run.seek(2);
        assertThat(came(run, RIG.survival)).isCloseTo(0.97, within(0.005));
        assertThat(came(run, RIG.hic)).isCloseTo(989, within(5.0));
        assertThat(came(run, RIG.pushedIn)).isCloseTo(0.297, within(0.001));
    }

    /** A strong front throws the sled back by itself, and the belt the chest in it: faster than it came, as it should. */
    @Test
    void aStrongFrontThrowsTheChestBackFasterThanItCame() {
        guard.with((settings, i) -> {
            hold(settings);
            assertThat(new SlowCrash(RIG, settings, 0.32).mostChestBack).isCloseTo(-14.35, within(0.1));
        }, "front", 500.0, "speed", 50.0);
    }

    private void hold(Settings s) {
        Run run = new Run(RIG, s, 1);
        run.seek(10);
        double end = run.head();
        SlowCrash slow = new SlowCrash(RIG, s, end);
        double scale = 1 + s.si(RIG.speed) + (s.value(RIG.met) == CrashRig.Met.SLED ? s.si(RIG.secondSpeed) : 0);
        holdOutcomes(run, slow, scale);
        if (Double.isNaN(slow.contact)) {
            return;
        }
        guard.holds("contact", Guard.first(run, RIG.contact), slow.contact, 3e-6);
        guard.holds("cabin gives way", Guard.first(run, RIG.cabinYields), slow.cabinYields, 3e-6);
        guard.holds("wheel", Guard.first(run, RIG.wheelStruck), slow.wheel, 3e-6);
        guard.holds("dash", Guard.first(run, RIG.dashStruck), slow.dash, 3e-6);
        guard.holds("thermal energy", run.read(RIG.thermal), slow.startEnergy + run.read(RIG.byBrake) - slow.mechanical,
                1e-3 * slow.startEnergy);
        for (double[] row : slow.rows) {
            run.seek(row[0]);
            guard.holds("sled's velocity", run.read(RIG.velocity), row[1], 1e-4 * scale);
            guard.holds("chest's velocity", run.read(RIG.chestVelocity), row[2], 5e-4 * scale);
            guard.holds("head's velocity", run.read(RIG.headVelocity), row[3], 3e-3 * scale);
            guard.holds("cabin pushed in", run.read(RIG.intrusion), row[6], 1e-6 * scale);
        }
    }

    private void holdOutcomes(Run run, SlowCrash slow, double scale) {
        guard.holds("front crushed", came(run, RIG.frontCrush), slow.frontCrush, 1e-6 * scale);
        guard.holds("cabin pushed in at last", came(run, RIG.pushedIn), slow.pushedIn, 1e-6 * scale);
        guard.holds("head injury criterion", came(run, RIG.hic), slow.hic, 0.02 * slow.hic + 0.1);
        guard.holds("chest clip", came(run, RIG.clip) * HeadInjury.G, slow.clip, 0.03 * slow.clip + 1);
    }

    private static double came(Run run, Outcome outcome) {
        return run.outcome(outcome);
    }
}
