package cauldron.core.apparatus.equilibriumflask;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import cauldron.core.RandomSource;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class KineticsTest {

    private static final double LITRE = 1e-3;

    private static Kinetics at(Reversible of) {
        return new Kinetics(of, of.temperatures.first() + 273.15, of.volumes.first() * LITRE, 1);
    }

    private static double[] some(Reversible of) {
        double[] moles = new double[of.terms().size()];
        for (int i = 0; i < moles.length; i++) {
            moles[i] = 1.5 + 0.7 * i;
        }
        return moles;
    }

    @ParameterizedTest
    @EnumSource(Reversible.class)
    void ratesStandAsQuotientAndConstant(Reversible of) {
        Kinetics kinetics = at(of);
        double[] moles = some(of);
        assertThat(kinetics.rate(false, moles) / kinetics.rate(true, moles))
                .isCloseTo(kinetics.quotient(moles) / kinetics.constant(), within(1e-12));
    }

    @ParameterizedTest
    @EnumSource(Reversible.class)
    void manySmallParticlesReactAsOftenAsTheRatesSay(Reversible of) {
        Kinetics kinetics = at(of);
        double[] moles = some(of);
        double grain = 1e-7;
        int[] particles = new int[moles.length];
        for (int i = 0; i < moles.length; i++) {
            particles[i] = (int) Math.round(moles[i] / grain);
        }
        double volume = of.volumes.first() * LITRE;
        for (boolean forwards : new boolean[] {true, false}) {
            double expected = kinetics.rate(forwards, moles) * volume / grain;
            assertThat(kinetics.propensity(forwards, particles, grain)).isCloseTo(expected, within(1e-6 * expected));
        }
    }

    @Test
    void oneParticleAloneCanNotMeetItself() {
        Kinetics kinetics = at(Reversible.NITROGEN_AND_HYDROGEN);
        assertThat(kinetics.propensity(false, new int[] {0, 0, 1}, 0.1)).isZero();
        assertThat(kinetics.propensity(true, new int[] {1, 2, 0}, 0.1)).isZero();
        assertThat(kinetics.propensity(true, new int[] {1, 3, 0}, 0.1)).isPositive();
    }

    @Test
    void aSolidOnlyHasToBeThere() {
        Kinetics kinetics = at(Reversible.LIME);
        assertThat(kinetics.rate(true, new double[] {9, 1, 0})).isEqualTo(kinetics.rate(true, new double[] {1, 1, 0}));
        assertThat(kinetics.canGo(true, new double[] {0, 1, 1})).isFalse();
        assertThat(kinetics.canGo(false, new double[] {0, 1, 1})).isTrue();
        assertThat(kinetics.propensity(true, new int[] {0, 5, 5}, 0.1)).isZero();
    }

    @Test
    void particlesComeBackFromASnapshotAndGoOnAlike() {
        Reversible of = Reversible.HYDROGEN_AND_IODINE;
        RandomSource chance = new RandomSource(4);
        Particles particles = new Particles(of.terms(), 0.05, chance);
        particles.put(0, 100);
        particles.put(1, 80);
        particles.to(50, at(of));
        double[] kept = new double[particles.size()];
        particles.save(kept, 0);
        double[] drawn = new double[chance.size()];
        chance.save(drawn, 0);
        particles.to(400, at(of));
        int[] first = particles.counts().clone();
        double x = particles.at(0, false, 400);
        particles.restore(kept, 0);
        chance.restore(drawn, 0);
        particles.to(400, at(of));
        assertThat(particles.counts()).isEqualTo(first);
        assertThat(particles.at(0, false, 400)).isEqualTo(x);
        particles.put(1, -1000);
        assertThat(particles.counts()[1]).isZero();
    }
}
