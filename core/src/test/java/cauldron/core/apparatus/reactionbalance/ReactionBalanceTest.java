package cauldron.core.apparatus.reactionbalance;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import cauldron.core.RandomSource;
import cauldron.core.Tree;
import cauldron.core.apparatus.Action;
import cauldron.core.apparatus.Run;
import cauldron.core.apparatus.Settings;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Reactions on two balances, against masses worked out by hand from the equations. */
class ReactionBalanceTest {

    private static final ReactionBalance BALANCE = new ReactionBalance();
    private static final double LONG = 600;

    private static Run run(String act, Object... settings) {
        Run run = new Run(BALANCE, Settings.of(BALANCE.manifest(), Tree.of(settings)), 1);
        run.act(new Action.Perform(act, Map.of()));
        run.seek(LONG);
        return run;
    }

    private static double grams(Run run, cauldron.core.apparatus.Channel channel) {
        return 1000 * run.read(channel);
    }

    private static double change(Run run, cauldron.core.apparatus.Outcome outcome) {
        return 1000 * run.outcome(outcome);
    }

    @Test
    void marbleLosesTheDioxideOfWhatTheScarcerOneAllows() {
        // 1 g CaCO3 is 9.991 mmol, 20 mL of acid hold 40 mmol: 0.4397 g CO2, and 240.3 mL at 20 °C.
        Run run = run("tip", "mixing", "carbonate");
        assertThat(grams(run, BALANCE.inSample)).isCloseTo(-0.4397, within(1e-4));
        assertThat(1e6 * run.outcome(BALANCE.gasMade)).isCloseTo(240.4, within(0.2));
        assertThat(word(run)).isEqualTo("the marble");
        // 5 mL of acid hold 10 mmol, enough for 0.5005 g of it.
        Run little = run("tip", "mixing", "carbonate", "acid", 5);
        assertThat(grams(little, BALANCE.inSample)).isCloseTo(-0.22, within(2e-4));
        assertThat(word(little)).isEqualTo("the acid");
        assertThat(change(little, BALANCE.left)).isCloseTo(0.4996, within(2e-4));
    }

    @Test
    void theOtherReactionsGiveWhatTheirEquationsSay() {
        // 1.6 g NaHCO3 = 19.046 mmol, 1 g citric acid = 5.205 mmol, enough for 15.615: 15.615 mmol CO2 = 0.6872 g.
        assertThat(grams(run("tip", "mixing", "tablet"), BALANCE.inSample)).isCloseTo(-0.6872, within(2e-4));
        // 15 mL of 10 % peroxide = 45.60 mmol, half as much O2 = 0.7295 g.
        assertThat(grams(run("tip", "mixing", "foam"), BALANCE.inSample)).isCloseTo(-0.7295, within(3e-4));
        Run clear = run("tip", "mixing", "precipitate");
        assertThat(grams(clear, BALANCE.inSample)).isZero();
        assertThat(change(clear, BALANCE.wholeChange)).isZero();
        // 10 mmol of the 20 mmol of calcium chloride are left: 1.1098 g.
        assertThat(change(clear, BALANCE.left)).isCloseTo(1.1098, within(2e-4));
    }

    @Test
    void woolGetsHeavierByTheOxygenItTakes() {
        // 1 g Fe = 17.906 mmol takes 11.937 mmol O2 = 0.3820 g.
        Run open = run("light", "mixing", "wool");
        assertThat(grams(open, BALANCE.inSample)).isCloseTo(0.3820, within(1e-4));
        assertThat(change(open, BALANCE.wholeChange)).isGreaterThan(0.3);
        Run shut = run("light", "mixing", "wool", "closed", "sealed");
        assertThat(change(shut, BALANCE.wholeChange)).isZero();
        assertThat(change(shut, BALANCE.sampleChange)).isGreaterThan(0.3);
        // 2 L of air hold 17.4 mmol of oxygen: it goes out when a twentieth of the gas is left of it.
        Run much = run("light", "mixing", "wool", "wool", 2, "closed", "sealed");
        assertThat(much.read(BALANCE.oxygen)).isCloseTo(0.05, within(1e-9));
        assertThat(word(much)).isEqualTo("the oxygen");
        double n = 101_325 * 2e-3 / (8.314462618 * 293.15);
        double taken = n * (0.20946 - 0.05) / 0.95;
        assertThat(grams(much, BALANCE.inSample)).isCloseTo(taken * 31.9988, within(1e-6));
    }

    @Test
    void inDioxideAndArgonItDoesNotBurnAndInOxygenToItsEnd() {
        for (String gas : new String[] {"carbon-dioxide", "argon"}) {
            Run run = run("light", "mixing", "wool", "gas", gas);
            assertThat(grams(run, BALANCE.inSample)).isZero();
            assertThat(word(run)).startsWith("nothing");
        }
        assertThat(grams(run("light", "mixing", "wool", "wool", 2, "closed", "sealed", "gas", "oxygen"),
                BALANCE.inSample))
                .isCloseTo(0.7640, within(2e-4));
    }

    @Test
    void aSealedJarStaysTheSameToTheLastDigitAndItsPressureIsThatOfTheGasInIt() {
        RandomSource chance = new RandomSource(5);
        for (int i = 0; i < 20; i++) {
            double grams = Math.rint(10 * chance.between(0.2, 2)) / 10;
            Run run = run("tip", "mixing", "carbonate", "chips", grams, "closed", "sealed", "acid", 40);
            assertThat(change(run, BALANCE.wholeChange)).isZero();
            double made = grams / 100.0869 * 8.314462618 * 293.15 / 2e-3;
            assertThat(run.read(BALANCE.pressure)).isCloseTo(101_325 + made, within(20.0));
        }
        // Its lid taken off, what was too much goes out, and the whole is lighter.
        Run run = run("tip", "mixing", "carbonate", "closed", "sealed");
        run.act(new Action.Change("closed", "open"));
        run.seek(LONG + 20);
        assertThat(change(run, BALANCE.wholeChange)).isBetween(-0.44, -0.2);
        assertThat(run.read(BALANCE.pressure)).isEqualTo(101_325);
    }

    @Test
    void theBalloonsLossIsTheWeightOfTheAirItPushesAside() {
        Run run = run("tip", "mixing", "foam", "peroxide", 30, "closed", "balloon");
        double volume = run.read(BALANCE.balloon);
        // Dry air at 20 °C and 101.325 kPa: 1.2041 kg/m³.
        assertThat(change(run, BALANCE.wholeChange)).isCloseTo(-1000 * 1.2041 * volume, within(0.012));
        assertThat(volume).isBetween(9e-4, 1.15e-3);
        assertThat(grams(run, BALANCE.outside)).isZero();
        assertThat(run.read(BALANCE.pressure)).isCloseTo(103_325, within(1e-6));
    }

    @Test
    void toCloseItOtherwiseTheJarIsOpenForAMoment() {
        Run run = run("tip", "mixing", "foam", "closed", "balloon");
        assertThat(run.read(BALANCE.balloon)).isPositive();
        run.act(new Action.Change("closed", "sealed"));
        assertThat(run.read(BALANCE.pressure)).isCloseTo(101_325, within(1.0));
        assertThat(grams(run, BALANCE.outside)).isPositive();
        assertThat(grams(run, BALANCE.altogether)).isCloseTo(0, within(1e-12));
    }

    @Test
    void massIsKeptInEveryWayItCanBeDone() {
        for (Mixing mixing : Mixing.values()) {
            for (String closed : new String[] {"open", "sealed", "balloon"}) {
                for (Gas gas : Gas.values()) {
                    String act = mixing == Mixing.WOOL ? "light" : "tip";
                    Run run = new Run(BALANCE, Settings.of(BALANCE.manifest(),
                            Tree.of("mixing", mixing.id, "closed", closed, "gas", gas.id)), 1);
                    run.act(new Action.Perform(act, Map.of()));
                    for (double t = 5; t <= 60; t += 11) {
                        run.seek(t);
                        assertThat(grams(run, BALANCE.altogether)).as("%s, %s, %s", mixing, closed, gas).isCloseTo(0,
                                within(1e-12));
                    }
                    run.act(new Action.Change("closed", "open"));
                    run.seek(90);
                    assertThat(grams(run, BALANCE.altogether)).isCloseTo(0, within(1e-12));
                }
            }
        }
    }

    private static String word(Run run) {
        return BALANCE.limit.words().get((int) run.outcome(BALANCE.limit));
    }
}
