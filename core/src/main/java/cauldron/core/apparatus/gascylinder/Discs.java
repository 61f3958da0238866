package cauldron.core.apparatus.gascylinder;

import cauldron.core.RandomSource;

/**
 * Elastic discs in a box: the gas with every molecule in one plane. It is no apparatus; it is what the
 * speed and exactness of {@link HardSphereGas} are measured with beside other engines, which know only
 * two dimensions.
 */
public final class Discs implements HardSphereGas.Watcher {

    private final Molecules discs = new Molecules(new double[] {1, 1}, new double[2]);
    private final HardSphereGas gas;
    private double time;

    /**
     * Discs of mass 1 at places drawn by chance, all with one speed in directions drawn by chance.
     *
     * @param n        how many
     * @param side     side of the square box, in units of length
     * @param diameter of each disc
     * @param speed    of each disc, units of length in a second
     */
    public Discs(int n, double side, double diameter, double speed, int seed) {
        discs.radius[0] = diameter / 2;
        discs.radius[1] = diameter / 2;
        RandomSource chance = new RandomSource(seed);
        // So shallow a box has room for one layer only.
        double depth = 1e-6 * diameter;
        gas = new HardSphereGas(discs, new Piston(side, side, side), new HeatExchange(chance), side, depth, side);
        gas.insert(0, n, 0, 0, side, chance);
        for (int i = 0; i < n; i++) {
            discs.z[i] = depth / 2;
            discs.vz[i] = 0;
            double vx;
            double vy;
            do {
                vx = chance.between(-1, 1);
                vy = chance.between(-1, 1);
            } while (vx * vx + vy * vy > 1 || vx * vx + vy * vy == 0);
            double scale = speed / Math.sqrt(vx * vx + vy * vy);
            discs.vx[i] = vx * scale;
            discs.vy[i] = vy * scale;
        }
        gas.lookAround(0);
    }

    /** Goes on by so many seconds. */
    public void advance(double seconds) {
        time += seconds;
        gas.advanceTo(time, this);
    }

    /** All energy of motion, for masses of 1. */
    public double energy() {
        double sum = 0;
        for (int i = 0; i < discs.count; i++) {
            sum += discs.energy(i);
        }
        return sum;
    }

    /** Collisions between discs so far. */
    public double collisions() {
        return gas.pairHits;
    }

    /** Places of all discs at the beginning or now: x and y one after the other. */
    public double[] places() {
        double[] out = new double[2 * discs.count];
        for (int i = 0; i < discs.count; i++) {
            out[2 * i] = discs.xAt(i, time);
            out[2 * i + 1] = discs.yAt(i, time);
        }
        return out;
    }

    @Override
    public void pair(int i, int j, double at) {
        // Nobody listens.
    }

    @Override
    public void wall(int i, double at) {
        // Nobody listens.
    }

    @Override
    public void escaped(int i, double at) {
        // There is no hole.
    }

    @Override
    public void pistonEnded(double at) {
        // The walls stand still.
    }
}
