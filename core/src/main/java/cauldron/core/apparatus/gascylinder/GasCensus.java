package cauldron.core.apparatus.gascylinder;

import cauldron.core.RandomSource;
import cauldron.core.apparatus.Population;
import cauldron.core.apparatus.Register;

/** Counts the molecules and adds up what they have, once for each moment that is asked about. */
final class GasCensus {

    private static final int NONE = -1;

    private final Molecules m;
    /** Which molecule the class chose to follow; none: the first. */
    private final Register picked;
    private double takenAt = Double.NaN;
    final double[] inside = new double[2];
    final double[] left = new double[2];
    final double[] escaped = new double[2];
    private final double[] energy = new double[2];
    private final double[] speed = new double[2];
    private int tag = NONE;
    private boolean tagKnown;
    private double[] values = new double[0];

    GasCensus(Molecules molecules, Register picked) {
        this.m = molecules;
        this.picked = picked;
    }

    /** Something was done to the gas at the present moment. */
    void forget() {
        takenAt = Double.NaN;
        tagKnown = false;
    }

    void take(double time, double middle) {
        if (time == takenAt) {
            return;
        }
        takenAt = time;
        for (double[] a : new double[][] {inside, left, escaped, energy, speed}) {
            a[0] = 0;
            a[1] = 0;
        }
        for (int i = 0; i < m.count; i++) {
            int kind = m.kind[i];
            if (m.out[i]) {
                escaped[kind]++;
                continue;
            }
            double s2 = m.speedSquared(i);
            inside[kind]++;
            energy[kind] += 0.5 * m.mass[kind] * s2;
            speed[kind] += Math.sqrt(s2);
            if (m.xAt(i, time) < middle) {
                left[kind]++;
            }
        }
    }

    double energy() {
        return energy[0] + energy[1];
    }

    double meanEnergy(int kind) {
        return inside[kind] == 0 ? Double.NaN : energy[kind] / inside[kind];
    }

    double meanSpeed(int kind) {
        return inside[kind] == 0 ? Double.NaN : speed[kind] / inside[kind];
    }

    double temperature() {
        double n = inside[0] + inside[1];
        return n == 0 ? Double.NaN : 2 * energy() / (3 * n * Gas.BOLTZMANN);
    }

    /** Makes the temperature exactly so, without changing which molecule is how much faster than another. */
    void scaleTo(double kelvin) {
        forget();
        take(0, 0);
        double n = inside[0] + inside[1];
        if (n == 0) {
            return;
        }
        double factor = Math.sqrt(kelvin / temperature());
        for (int i = 0; i < m.count; i++) {
            m.vx[i] = m.vx[i] * factor;
            m.vy[i] = m.vy[i] * factor;
            m.vz[i] = m.vz[i] * factor;
        }
        forget();
    }

    /** Follows a molecule of the class's choice from now on. */
    void pick(int which) {
        picked.set(which);
        tagKnown = false;
    }

    /** One molecule is taken out: those behind it move up, and one that was picked is picked no more. */
    void removed(int which) {
        if (picked.get() == which) {
            picked.set(NONE);
        } else if (picked.get() > which) {
            picked.add(-1);
        }
        tagKnown = false;
    }

    /** The molecule inside that is nearest to a place, in metres; −1 if there is none. */
    int nearest(double atX, double atY, double now) {
        int best = NONE;
        double least = Double.POSITIVE_INFINITY;
        for (int i = 0; i < m.count; i++) {
            double dx = m.xAt(i, now) - atX;
            double dy = m.yAt(i, now) - atY;
            if (!m.out[i] && dx * dx + dy * dy < least) {
                least = dx * dx + dy * dy;
                best = i;
            }
        }
        return best;
    }

    /** The next molecule inside after the tagged one; −1 if there is none. */
    int next() {
        for (int k = 1; k <= m.count; k++) {
            int i = (Math.max(0, tag()) + k) % m.count;
            if (!m.out[i]) {
                return i;
            }
        }
        return NONE;
    }

    /** The tagged molecule: the one picked, else the first of gas 1, or of gas 2; −1 if there is none. */
    int tag() {
        if (!tagKnown && picked.get() >= 0 && picked.get() < m.count) {
            tag = (int) picked.get();
            tagKnown = true;
        }
        if (!tagKnown) {
            tag = -1;
            for (int i = 0; i < m.count && (tag < 0 || m.kind[tag] == 1); i++) {
                if (tag < 0 || m.kind[i] == 0) {
                    tag = i;
                }
            }
            tagKnown = true;
        }
        return tag;
    }

    /** One of a gas inside, drawn by chance, but not the tagged one while there are others; −1 if there is none. */
    int oneOf(int kind, RandomSource chance) {
        forget();
        int n = 0;
        for (int i = 0; i < m.count; i++) {
            n += m.kind[i] == kind && !m.out[i] && i != tag() ? 1 : 0;
        }
        int nth = chance.below(Math.max(1, n));
        for (int i = 0; i < m.count; i++) {
            if (m.kind[i] == kind && !m.out[i] && i != tag() && nth-- == 0) {
                return i;
            }
        }
        return tag() >= 0 && m.kind[tag()] == kind && !m.out[tag()] ? tag() : -1;
    }

    /** Speeds or energies of one gas now, with Maxwell and Boltzmann's law at the temperature of all of it. */
    Population population(boolean energies, int kind) {
        if (values.length < m.count) {
            values = new double[m.x.length];
        }
        int n = 0;
        double sum = 0;
        int all = 0;
        for (int i = 0; i < m.count; i++) {
            if (m.out[i]) {
                continue;
            }
            double s2 = m.speedSquared(i);
            double e = 0.5 * m.mass[m.kind[i]] * s2;
            sum += e;
            all++;
            if (m.kind[i] == kind) {
                values[n++] = energies ? e : Math.sqrt(s2);
            }
        }
        MaxwellBoltzmann law = new MaxwellBoltzmann(m.mass[kind], 2 * sum / (3 * Math.max(1, all)));
        int t = tag();
        double followed = t < 0 || m.kind[t] != kind || m.out[t] ? Double.NaN
                : energies ? m.energy(t) : Math.sqrt(m.speedSquared(t));
        return new Population(values, n, n == 0 ? null : energies ? law::energyDensity : law::speedDensity,
                n == 0 ? new double[] {Double.NaN, Double.NaN, Double.NaN} : energies ? law.energies() : law.speeds(),
                followed);
    }
}
