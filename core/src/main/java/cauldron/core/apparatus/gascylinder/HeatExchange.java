package cauldron.core.apparatus.gascylinder;

import cauldron.core.RandomSource;
import cauldron.core.Stateful;

/**
 * What the lower and upper walls do with a molecule that meets them: throw it back as it came (insulated),
 * give it or take from it what the heater owes (heater, lower wall), or send it off as from a gas at the
 * wall's temperature (held, both).
 *
 * <p>The last is the fully accommodating wall: the velocity along the normal has the density
 * v exp(−mv²/2kT), those along the wall the normal one (G. A. Bird, Molecular Gas Dynamics, §5.8). RandomSource is drawn
 * by comparisons only, so the bits are the same everywhere.
 */
final class HeatExchange implements Stateful {

    enum Mode { INSULATED, HEATER, HELD }

    /** How many meetings' worth of cooling may wait for molecules that can pay it. */
    private static final double MOST_WAITING = 20;
    /** A cooler takes at most this part of the energy of motion towards the wall at one meeting. */
    private static final double MOST_TAKEN = 0.5;

    final RandomSource chance;
    Mode mode = Mode.INSULATED;
    private double power;
    private double temperature;
    private double powerSince;
    private double owed;
    /** Heat given to the gas so far, in joules. */
    double given;
    /** Heat that a cooler could not take, since the gas had too little left: told, never owed. */
    double refused;
    /** What a meeting could give lately, in joules: a mean over about twenty of them. */
    private double payable;

    HeatExchange(RandomSource chance) {
        this.chance = chance;
    }

    /** Changes what the walls do, from a time on. */
    void set(double time, Mode newMode, double watts, double kelvin) {
        owed = mode == Mode.HEATER ? owed + power * (time - powerSince) : 0;
        bound();
        if (newMode != Mode.HEATER || watts >= 0 && owed < 0) {
            refused = owed < 0 ? refused - owed : refused;
            owed = 0;
        }
        mode = newMode;
        power = watts;
        temperature = kelvin;
        powerSince = time;
    }

    /**
     * A molecule has been brought to the lower or upper wall, and still has the velocity it came with.
     *
     * @param inward +1 at the lower wall, −1 at the upper
     */
    void meet(Molecules m, int i, int inward, double time) {
        double before = m.vy[i];
        if (mode == Mode.HELD) {
            double energy = m.energy(i);
            double spread = Math.sqrt(Gas.BOLTZMANN * temperature / m.mass[m.kind[i]]);
            m.vx[i] = spread * chance.exactNormal();
            m.vz[i] = spread * chance.exactNormal();
            m.vy[i] = spread * Math.sqrt(2 * chance.exponential()) * inward;
            // In this order, so that the browser adds up the same bits.
            given = m.energy(i) - energy + given;
        } else if (mode == Mode.HEATER && inward > 0) {
            owed += power * (time - powerSince);
            powerSince = time;
            double has = 0.5 * m.mass[m.kind[i]] * before * before;
            double gift = owed > -MOST_TAKEN * has ? owed : -MOST_TAKEN * has;
            payable = payable == 0 ? MOST_TAKEN * has : 0.95 * payable + 0.05 * (MOST_TAKEN * has);
            owed -= gift;
            bound();
            given += gift;
            m.vy[i] = Math.sqrt(2 * (has + gift) / m.mass[m.kind[i]]);
        } else {
            m.vy[i] = -before;
        }
    }

    /** What is owed beyond a few meetings' worth will never be taken: the gas is too cold for that power. */
    private void bound() {
        double most = -MOST_WAITING * payable;
        if (owed < most && payable > 0) {
            refused = most - owed + refused;
            owed = most;
        }
    }

    @Override
    public int size() {
        return 8 + chance.size();
    }

    @Override
    public void save(double[] out, int i) {
        out[i] = mode.ordinal();
        out[i + 1] = power;
        out[i + 2] = temperature;
        out[i + 3] = powerSince;
        out[i + 4] = owed;
        out[i + 5] = given;
        out[i + 6] = refused;
        out[i + 7] = payable;
        chance.save(out, i + 8);
    }

    @Override
    public void restore(double[] in, int i) {
        mode = Mode.values()[(int) in[i]];
        power = in[i + 1];
        temperature = in[i + 2];
        powerSince = in[i + 3];
        owed = in[i + 4];
        given = in[i + 5];
        refused = in[i + 6];
        payable = in[i + 7];
        chance.restore(in, i + 8);
    }
}
