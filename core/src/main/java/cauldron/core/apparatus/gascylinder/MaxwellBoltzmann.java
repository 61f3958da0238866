package cauldron.core.apparatus.gascylinder;

import org.hipparchus.special.Erf;

/**
 * The distribution of speeds and of energies of motion in a gas at rest in equilibrium, in three
 * dimensions (J. C. Maxwell 1860; F. Reif, Fundamentals of Statistical and Thermal Physics, §7.10).
 *
 * @param mass of one molecule in kilograms
 * @param kT   Boltzmann's constant times temperature, in joules
 */
record MaxwellBoltzmann(double mass, double kT) {

    /** Probability density of the speed, per m/s. */
    double speedDensity(double v) {
        double a = mass / (2 * kT);
        return 4 / Math.sqrt(Math.PI) * a * Math.sqrt(a) * v * v * Math.exp(-a * v * v);
    }

    /** The share of molecules slower than v. */
    double slower(double v) {
        double u = v * Math.sqrt(mass / (2 * kT));
        return Erf.erf(u) - 2 / Math.sqrt(Math.PI) * u * Math.exp(-u * u);
    }

    /** Probability density of the energy of motion, per joule. */
    double energyDensity(double e) {
        return e <= 0 ? 0 : 2 / Math.sqrt(Math.PI) / kT * Math.sqrt(e / kT) * Math.exp(-e / kT);
    }

    /** Most probable, mean and root mean square speed. */
    double[] speeds() {
        return new double[] {Math.sqrt(2 * kT / mass), Math.sqrt(8 * kT / (Math.PI * mass)), Math.sqrt(3 * kT / mass)};
    }

    /** Most probable, mean and root mean square energy. */
    double[] energies() {
        return new double[] {0.5 * kT, 1.5 * kT, Math.sqrt(3.75) * kT};
    }
}
