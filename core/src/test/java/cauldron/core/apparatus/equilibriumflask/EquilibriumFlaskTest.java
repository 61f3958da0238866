package cauldron.core.apparatus.equilibriumflask;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import cauldron.core.RandomSource;
import cauldron.core.Tree;
import cauldron.core.apparatus.Action;
import cauldron.core.apparatus.Run;
import cauldron.core.apparatus.Settings;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Where reactions come to rest, against the solved polynomial; particles against the rate equations. */
class EquilibriumFlaskTest {

    private static final EquilibriumFlask FLASK = new EquilibriumFlask();
    private static final double LONG = 3000;

    private static Run run(int seed, Object... settings) {
        return new Run(FLASK, Settings.of(FLASK.manifest(), Tree.of(settings)), seed);
    }

    private static double moles(Run run, Reversible of, int place) {
        return run.read(FLASK.of(of).matter.get(place - 1).amount);
    }

    /** The extent at which Q is K, by bisection of the polynomial in amounts and litres. */
    private static double extent(Reversible of, double k, double litres, double... first) {
        double low = -1e9;
        double high = 1e9;
        for (int i = 0; i < first.length; i++) {
            int nu = of.terms().get(i).count();
            if (nu > 0) {
                low = Math.max(low, -first[i] / nu);
            } else {
                high = Math.min(high, first[i] / -nu);
            }
        }
        for (int step = 0; step < 200; step++) {
            double x = (low + high) / 2;
            double over = 1;
            double under = k;
            for (int i = 0; i < first.length; i++) {
                int nu = of.terms().get(i).count();
                if (Reversible.counts(of.terms().get(i))) {
                    double c = (first[i] + nu * x) / litres;
                    over *= nu > 0 ? Math.pow(c, nu) : 1;
                    under *= nu < 0 ? Math.pow(c, -nu) : 1;
                }
            }
            if (over < under) {
                low = x;
            } else {
                high = x;
            }
        }
        return (low + high) / 2;
    }

    private static double kInLitres(Reversible of, double celsius) {
        return of.constant(celsius + 273.15) / Math.pow(1000, of.growth());
    }

    @Test
    void constantsAreThoseOfTheirSources() {
        assertThat(kInLitres(Reversible.HYDROGEN_AND_IODINE, 763.8 - 273.15)).isCloseTo(45.62, within(0.1));
        assertThat(kInLitres(Reversible.IRON_AND_THIOCYANATE, 25)).isCloseTo(138, within(1e-9));
        // K_p = K_c (RT)^-2 in atm: 1.64e-4 at 400 °C, 1.44e-5 at 500 °C (Larson and Dodge).
        double rt = 0.082057 * 773.15;
        assertThat(kInLitres(Reversible.NITROGEN_AND_HYDROGEN, 500) / (rt * rt)).isCloseTo(1.44e-5, within(0.15e-5));
        // One atmosphere of carbon dioxide over lime at 898 °C, 0.106 at 777 °C (CRC Handbook: 0.105 bar near 1050 K).
        double lime = kInLitres(Reversible.LIME, 777) * 0.082057 * 1050.15;
        assertThat(lime).isCloseTo(0.135, within(0.03));
    }

    @Test
    void itComesToRestWhereThePolynomialHasItsRoot() {
        RandomSource chance = new RandomSource(3);
        for (Reversible of : Reversible.values()) {
            for (int trial = 0; trial < 2; trial++) {
                double[] first = new double[of.terms().size()];
                Map<String, Object> settings = Tree.of("reaction", of.id, "grain", "coarse", "catalyst", true);
                for (int i = 0; i < first.length; i++) {
                    first[i] = Math.rint(10 * chance.between(0.5, 10)) / 10;
                    settings.put(of.id + "-" + (i + 1), first[i]);
                }
                double celsius = Math.rint(chance.between(of.temperatures.first(), of.temperatures.most()));
                settings.put(of.id + "-t", celsius);
                double unit = of == Reversible.IRON_AND_THIOCYANATE ? 1e-3 : 1;
                for (int i = 0; i < first.length; i++) {
                    first[i] *= unit;
                }
                Run run = new Run(FLASK, Settings.of(FLASK.manifest(), settings), 1);
                // Ions are soon done, and many particles to follow.
                run.seek(of == Reversible.IRON_AND_THIOCYANATE ? 100 : 2 * LONG);
                double x = extent(of, kInLitres(of, celsius), of.volumes.first(), first);
                for (int i = 0; i < first.length; i++) {
                    double expected = first[i] + of.terms().get(i).count() * x;
                    assertThat(moles(run, of, i + 1)).as("%s at %s °C", of, celsius).isCloseTo(expected, within(1e-9));
                }
            }
        }
    }

    @Test
    void fromEitherSideItEndsAlikeAndACatalystChangesOnlyTheTime() {
        Run there = run(1, "iodide-t", 460);
        Run back = run(1, "iodide-t", 460, "iodide-1", 0, "iodide-2", 0, "iodide-3", 10);
        Run fast = run(1, "iodide-t", 460, "catalyst", true);
        for (Run run : new Run[] {there, back, fast}) {
            run.seek(LONG);
        }
        assertThat(moles(there, Reversible.HYDROGEN_AND_IODINE, 3)).isCloseTo(moles(back,
                Reversible.HYDROGEN_AND_IODINE, 3), within(1e-9));
        assertThat(moles(fast, Reversible.HYDROGEN_AND_IODINE, 3)).isCloseTo(moles(there,
                Reversible.HYDROGEN_AND_IODINE, 3), within(1e-9));
        assertThat(there.outcome(FLASK.settledAfter) / fast.outcome(FLASK.settledAfter)).isCloseTo(8, within(1e-5));
        assertThat(there.read(FLASK.forward)).isCloseTo(there.read(FLASK.back), within(1e-12)).isPositive();
    }

    @Test
    void moreOfASolidChangesNothingAndWithoutAnyItStaysShort() {
        Run run = run(1, "reaction", "lime");
        run.seek(LONG);
        double gas = moles(run, Reversible.LIME, 3);
        assertThat(gas / 50).isCloseTo(kInLitres(Reversible.LIME, 900), within(1e-12));
        run.act(new Action.Change("lime-1", 9));
        run.seek(2 * LONG);
        assertThat(moles(run, Reversible.LIME, 3)).isCloseTo(gas, within(1e-12));
        Run little = run(1, "reaction", "lime", "lime-1", 0.2, "lime-t", 1000);
        little.seek(LONG);
        assertThat(moles(little, Reversible.LIME, 1)).isCloseTo(0, within(1e-12));
        assertThat(moles(little, Reversible.LIME, 3)).isCloseTo(0.2, within(1e-12));
        assertThat(little.read(FLASK.of(Reversible.LIME).quotient)).isLessThan(little.read(FLASK.of(Reversible.LIME)
                .constant));
    }

    @Test
    void squeezedItGoesToFewerParticlesAndHeatedTheWayThatTakesHeat() {
        Run run = run(1, "reaction", "ammonia", "catalyst", true);
        run.seek(LONG);
        double before = moles(run, Reversible.NITROGEN_AND_HYDROGEN, 3);
        run.act(new Action.Change("ammonia-v", 10));
        run.seek(2 * LONG);
        double squeezed = moles(run, Reversible.NITROGEN_AND_HYDROGEN, 3);
        assertThat(squeezed).isGreaterThan(before + 0.2);
        run.act(new Action.Change("ammonia-t", 450));
        run.seek(3 * LONG);
        assertThat(moles(run, Reversible.NITROGEN_AND_HYDROGEN, 3)).isLessThan(squeezed - 0.2);
        assertThatThrownBy(() -> run.act(new Action.Change("ammonia-2", 0))).hasMessageContaining("can't be taken out");
    }

    /** 200 runs: the mean of the particles lies within three standard errors of the rate equations. */
    @Test
    void particlesFollowTheRateEquationsInTheMean() {
        for (Reversible of : new Reversible[] {Reversible.HYDROGEN_AND_IODINE, Reversible.ACID_AND_ALCOHOL}) {
            double[] times = {20, 60, 400};
            double[] sum = new double[times.length];
            double[] squares = new double[times.length];
            double[] exact = new double[times.length];
            int runs = 200;
            Kinetics kinetics = new Kinetics(of, of.temperatures.first() + 273.15, of.volumes.first() / 1000, 1);
            for (int seed = 1; seed <= runs; seed++) {
                Particles particles = new Particles(of.terms(), 0.02, new RandomSource(seed));
                particles.put(0, 250);
                particles.put(1, 250);
                for (int i = 0; i < times.length; i++) {
                    particles.to(times[i], kinetics);
                    double counted = 0.02 * particles.counts()[2];
                    sum[i] += counted;
                    squares[i] += counted * counted;
                }
            }
            Run run = run(1, "reaction", of.id, "grain", "coarse");
            for (int i = 0; i < times.length; i++) {
                run.seek(times[i]);
                exact[i] = moles(run, of, 3);
            }
            for (int i = 0; i < times.length; i++) {
                double mean = sum[i] / runs;
                double error = Math.sqrt((squares[i] / runs - mean * mean) / (runs - 1));
                assertThat(error).isPositive();
                // Among few particles the mean itself lies a little off the rate equations: at most half a particle.
                assertThat(mean).as("%s after %s s", of, times[i]).isCloseTo(exact[i], within(3 * error + 0.01));
            }
        }
    }

    @Test
    void theColourGoesAsTheConcentration() {
        Run run = run(1, "reaction", "thiocyanate");
        run.seek(200);
        double c = moles(run, Reversible.IRON_AND_THIOCYANATE, 3);
        // 4700 L/(mol cm) through 1 cm; one litre.
        assertThat(run.read(FLASK.of(Reversible.IRON_AND_THIOCYANATE).absorbance)).isCloseTo(4700 * c, within(1e-9));
    }

    @Test
    void noParticleOfAnElementIsLost() {
        Run run = run(7, "grain", "middle");
        for (double t = 10; t < 300; t += 40) {
            run.seek(t);
            double hydrogen = 2 * counted(run, 1) + counted(run, 3);
            assertThat(hydrogen).isCloseTo(10, within(1e-9));
        }
        assertThat(run.read(FLASK.wentForward)).isPositive();
        assertThat(run.read(FLASK.wentBack)).isPositive();
    }

    private static double counted(Run run, int place) {
        return run.read(FLASK.of(Reversible.HYDROGEN_AND_IODINE).matter.get(place - 1).counted);
    }
}
