package cauldron.core.apparatus.springbench;

import cauldron.core.apparatus.Register;

/**
 * A spring that follows Hooke's law up to its elastic limit, and beyond it gives way: F = k (x − p) with the permanent set p,
 * linear kinematic hardening (W. Prager, Proc. Inst. Mech. Eng. 169 (1955) 41; J. C. Simo, T. J. R. Hughes, Computational
 * Inelasticity, Springer 1998, 1.2 and 1.4: the return map in closed form). While it gives way its line is four times flatter.
 *
 * <p>Assumptions: no friction, no mass, the same pulled and pushed; what the steel remembers is p alone. Work done on it is
 * what it gives back, F²/2k, what stays locked in the steel, H p²/2, and heat, F_e |Δp|.
 */
final class BufferSpring {

    /** Slope beyond the limit, as a share of that below it. */
    private static final double FLATTER = 0.25;

    private final double k;
    private final double limit;
    /** Hardening modulus H: 1/(share k) = 1/k + 1/H. */
    private final double hardening;
    private final Register set;
    private final Register heat;

    /**
     * A spring.
     *
     * @param k     stiffness in N/m
     * @param limit force at the elastic limit in N; infinite for none
     * @param set   remembers its permanent set in m
     * @param heat  remembers what has become heat in it, in J
     */
    BufferSpring(double k, double limit, Register set, Register heat) {
        this.k = k;
        this.limit = limit;
        this.hardening = k * FLATTER / (1 - FLATTER);
        this.set = set;
        this.heat = heat;
    }

    /** Force in N at an extension in m, if it were drawn there now. */
    double forceAt(double x) {
        return k * (x - setAt(x));
    }

    private double setAt(double x) {
        double p = set.get();
        double beyond = k * (x - p) - hardening * p;
        if (beyond > limit) {
            return (k * x - limit) / (k + hardening);
        }
        return beyond < -limit ? (k * x + limit) / (k + hardening) : p;
    }

    /** Extension in m under a force in N, if that were put on it now. */
    double extensionAt(double force) {
        return force / k + setUnder(force);
    }

    private double setUnder(double force) {
        double p = set.get();
        double beyond = force - hardening * p;
        if (beyond > limit) {
            return (force - limit) / hardening;
        }
        return beyond < -limit ? (force + limit) / hardening : p;
    }

    /** The extension between here and a force at which it begins to give way; NaN where it doesn't. */
    double yieldsOnTheWayTo(double force) {
        double p = set.get();
        double next = setUnder(force);
        return next == p ? Double.NaN : Math.copySign(limit, next - p) / k + hardening * p / k + p;
    }

    /** Puts a force on it, and keeps what that leaves behind. */
    void load(double force) {
        double next = setUnder(force);
        if (next != set.get()) {
            heat.add(limit * Math.abs(next - set.get()));
            set.set(next);
        }
    }

    /** How much longer it stays without force, in m. */
    double permanentSet() {
        return set.get();
    }

    /** What it would give back, in J. */
    double stored(double force) {
        return 0.5 * force * force / k;
    }

    /** What it wouldn't give back: heat, and what stays locked in the steel, in J. */
    double lost() {
        return heat.get() + 0.5 * hardening * set.get() * set.get();
    }

    /** Stiffness in N/m below the limit. */
    double stiffness() {
        return k;
    }
}
