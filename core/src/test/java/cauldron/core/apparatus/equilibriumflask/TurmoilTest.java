package cauldron.core.apparatus.equilibriumflask;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import cauldron.core.RandomSource;
import cauldron.core.Tree;
import cauldron.core.apparatus.Run;
import cauldron.core.apparatus.Settings;
import cauldron.core.chemistry.Reaction;
import org.junit.jupiter.api.Test;

/** Spans that are leapt over, against the same chain followed step by step. */
class TurmoilTest {

    private static final EquilibriumFlask FLASK = new EquilibriumFlask();

    private static Kinetics hot(Reversible of) {
        return new Kinetics(of, of.temperatures.most() + 273.15, of.volumes.least() / 1000, 8);
    }

    private static int[] numbers(Reversible of) {
        return of.terms().stream().mapToInt(Reaction.Term::count).toArray();
    }

    private static double grain(Reversible of) {
        return of == Reversible.IRON_AND_THIOCYANATE ? 1e-4 : 0.1;
    }

    /** The chain followed for long, each place weighted with the time spent there: mean and variance of what is made. */
    private static double[] slowly(Reversible of, int[] counts, int which, int steps) {
        Kinetics kinetics = hot(of);
        RandomSource chance = new RandomSource(5);
        int[] now = counts.clone();
        int[] numbers = numbers(of);
        double time = 0;
        double sum = 0;
        double squares = 0;
        for (int i = 0; i < steps; i++) {
            double ahead = kinetics.propensity(true, now, grain(of));
            double back = kinetics.propensity(false, now, grain(of));
            double stays = chance.exponential() / (ahead + back);
            if (i > steps / 10) {
                time += stays;
                sum += stays * now[which];
                squares += stays * now[which] * now[which];
            }
            int way = chance.unit() * (ahead + back) < ahead ? 1 : -1;
            for (int k = 0; k < now.length; k++) {
                now[k] += way * numbers[k];
            }
        }
        return new double[] {sum / time, squares / time - sum * sum / time / time};
    }

    @Test
    void whereItIsAfterALongSpanIsDistributedAsTheChainIsThatIsFollowed() {
        for (Reversible of : Reversible.values()) {
            int[] first = of.terms().stream().mapToInt(t -> t.count() < 0 ? 60 : 20).toArray();
            double[] slow = slowly(of, first, first.length - 1, 400_000);
            Turmoil turmoil = new Turmoil(numbers(of), grain(of), new RandomSource(9));
            int n = 4000;
            double sum = 0;
            double squares = 0;
            for (int i = 0; i < n; i++) {
                turmoil.over(1e4, first, hot(of));
                double there = first[first.length - 1]
                        + (turmoil.forwards() - turmoil.backwards()) * of.terms().get(first.length - 1).count();
                sum += there;
                squares += there * there;
            }
            double mean = sum / n;
            double variance = squares / n - mean * mean;
            assertThat(mean).as("mean of %s", of).isCloseTo(slow[0], within(5 * Math.sqrt(slow[1] / n) + 0.02 * Math.sqrt(slow[1])));
            assertThat(variance).as("variance of %s", of).isCloseTo(slow[1], within(0.1 * slow[1] + 0.05));
        }
    }

    /** How often it goes each way in a second at rest is what mass action says. */
    @Test
    void itGoesBothWaysAsOftenAsMassActionSays() {
        Reversible of = Reversible.HYDROGEN_AND_IODINE;
        int[] first = {100, 100, 0};
        Turmoil turmoil = new Turmoil(numbers(of), 0.1, new RandomSource(2));
        Kinetics kinetics = hot(of);
        turmoil.over(1e5, first, kinetics);
        int[] rest = first.clone();
        for (int i = 0; i < rest.length; i++) {
            rest[i] += (int) (turmoil.forwards() - turmoil.backwards()) * numbers(of)[i];
        }
        turmoil.over(1e5, rest, kinetics);
        assertThat(turmoil.backwards() / 1e5).isCloseTo(kinetics.propensity(true, rest, 0.1),
                within(0.35 * kinetics.propensity(true, rest, 0.1)));
        assertThat(turmoil.forwards()).isGreaterThan(1e5);
    }

    /** Whatever is set, a second costs no more than some thousands of steps: ammonia, hot and squeezed, took millions. */
    @Test
    void noSpanCostsMoreThanSomeThousandSteps() {
        for (Reversible of : Reversible.values()) {
            for (double temperature : new double[] {of.temperatures.least(), of.temperatures.most()}) {
                for (double volume : new double[] {of.volumes.least(), of.volumes.most()}) {
                    Kinetics kinetics = new Kinetics(of, temperature + 273.15, volume / 1000, 8);
                    Turmoil turmoil = new Turmoil(numbers(of), grain(of) / 5, new RandomSource(3));
                    int[] counts = of.terms().stream().mapToInt(t -> 500).toArray();
                    for (int i = 0; i < 20; i++) {
                        long before = turmoil.followed();
                        turmoil.over(0.5, counts, kinetics);
                        assertThat(turmoil.followed() - before).as("%s at %s °C in %s L", of, temperature, volume).isLessThan(60_000);
                        for (int k = 0; k < counts.length; k++) {
                            counts[k] += (int) (turmoil.forwards() - turmoil.backwards()) * numbers(of)[k];
                            assertThat(counts[k]).isNotNegative();
                        }
                    }
                }
            }
        }
    }

    /** Ten moles of each at 550 °C in 5 L with a catalyst: particles and rate equations agree, atoms are kept. */
    @Test
    void theHottestAmmoniaKeepsItsAtomsAndAgreesWithItsRateEquation() {
        Run run = new Run(FLASK, Settings.of(FLASK.manifest(), Tree.of("reaction", "ammonia", "ammonia-1", 10.0, "ammonia-2",
                10.0, "ammonia-3", 10.0, "ammonia-t", 550.0, "ammonia-v", 5.0, "catalyst", true, "grain", "fine")), 4);
        run.seek(400);
        Vessel vessel = FLASK.of(Reversible.NITROGEN_AND_HYDROGEN);
        double[] counted = vessel.matter.stream().mapToDouble(m -> run.read(m.counted)).toArray();
        assertThat(2 * counted[0] + counted[2]).isCloseTo(30, within(1e-9));
        assertThat(2 * counted[1] + 3 * counted[2]).isCloseTo(50, within(1e-9));
        assertThat(counted[2]).isCloseTo(run.read(vessel.matter.get(2).amount), within(0.6));
    }
}
