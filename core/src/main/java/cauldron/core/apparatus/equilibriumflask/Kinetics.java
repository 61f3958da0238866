package cauldron.core.apparatus.equilibriumflask;

/**
 * Mass action, as if both directions went in one step (C. M. Guldberg and P. Waage, 1864): {@code r = k Π c^ν} over
 * what is gas or dissolved; a pure solid only has to be there. Concentrations in mol/m³, rates in mol/(m³ s).
 */
final class Kinetics {

    /** Less of a solid than this, in mol, is none. */
    private static final double NOTHING = 1e-12;

    /** Numbers of the reaction, negative for what it takes; and whether each counts. */
    private final int[] numbers;
    private final boolean[] counts;
    private final double forward;
    private final double back;
    private final double constant;
    private final double volume;

    /**
     * @param temperature in K
     * @param volume      in m³
     * @param faster      how many times faster both directions are by a catalyst
     */
    Kinetics(Reversible of, double temperature, double volume, double faster) {
        numbers = new int[of.terms().size()];
        counts = new boolean[numbers.length];
        for (int i = 0; i < numbers.length; i++) {
            numbers[i] = of.terms().get(i).count();
            counts[i] = Reversible.counts(of.terms().get(i));
        }
        this.volume = volume;
        constant = of.constant(temperature);
        forward = faster * of.forward(temperature);
        back = forward / constant;
    }

    /** K_c, in powers of mol/m³. */
    double constant() {
        return constant;
    }

    /** Rate of one direction for amounts in mol, where all solids it takes are there. */
    double rate(boolean forwards, double[] moles) {
        double rate = forwards ? forward : back;
        for (int i = 0; i < moles.length; i++) {
            if (numbers[i] < 0 == forwards) {
                rate *= counts[i] ? power(moles[i] / volume, Math.abs(numbers[i])) : 1;
            }
        }
        return rate;
    }

    /** Whether all solids that a direction takes are there. */
    boolean canGo(boolean forwards, double[] moles) {
        for (int i = 0; i < moles.length; i++) {
            if (numbers[i] < 0 == forwards && !counts[i] && moles[i] <= NOTHING) {
                return false;
            }
        }
        return true;
    }

    /** How fast it goes on in all, in mol/s, where all solids are there. */
    double net(double[] moles) {
        return volume * (rate(true, moles) - rate(false, moles));
    }

    /**
     * How often a direction happens each second among so many particles, each of which stands for an amount in mol:
     * there are N (N − 1) … ways to choose what meets (D. T. Gillespie, J. Phys. Chem. 81, 2340 (1977)).
     */
    double propensity(boolean forwards, int[] particles, double grain) {
        double rate = (forwards ? forward : back) * volume / grain;
        for (int i = 0; i < particles.length; i++) {
            if (numbers[i] < 0 == forwards) {
                int many = Math.abs(numbers[i]);
                if (!counts[i]) {
                    rate *= particles[i] >= many ? 1 : 0;
                    continue;
                }
                for (int k = 0; k < many; k++) {
                    rate *= Math.max(0, particles[i] - k) * grain / volume;
                }
            }
        }
        return rate;
    }

    /** Q_c of amounts in mol, in powers of mol/m³; infinite where nothing of what is taken is there. */
    double quotient(double[] moles) {
        double over = 1;
        double under = 1;
        for (int i = 0; i < moles.length; i++) {
            if (counts[i]) {
                double factor = power(Math.max(0, moles[i]) / volume, Math.abs(numbers[i]));
                over *= numbers[i] > 0 ? factor : 1;
                under *= numbers[i] < 0 ? factor : 1;
            }
        }
        return over / under;
    }

    private static double power(double base, int exponent) {
        double out = 1;
        for (int i = 0; i < exponent; i++) {
            out *= Math.max(0, base);
        }
        return out;
    }
}
