package cauldron.core.apparatus.gascylinder;

import cauldron.core.RandomSource;
import cauldron.core.Stateful;

/**
 * Hard spheres between walls, event after event: between collisions every molecule flies straight, and
 * each next collision is the exact root of a quadratic (B. J. Alder and T. E. Wainwright, J. Chem. Phys. 31
 * (1959) 459). No molecule is moved but by its own events (B. D. Lubachevsky, J. Comput. Phys. 94 (1991) 255), so the
 * numbers don't depend on how often the display asks, nor on how neighbours are looked for.
 *
 * <p>Assumptions: classical, elastic, no forces at a distance, no gravity (m g h is a 10⁻⁸ part of kT
 * here). Walls act on the molecules' centres, so that volume and wall area are those the centres can
 * reach, for both gases alike. Only + − × ÷ and square roots are used: the JVM and the browser get the
 * same bits.
 */
final class HardSphereGas implements Stateful {

    /** Told of what happens. */
    interface Watcher {
        void pair(int i, int j, double time);

        void wall(int i, double time);

        void escaped(int i, double time);

        void pistonEnded(double time);
    }

    private static final int TRIES = 2000;
    /** How near the piston comes to the partition, in metres: molecules between them need some room. */
    static final double CLEAR_OF_PARTITION = 2e-9;

    final Molecules m;
    final Piston piston;
    final HeatExchange heat;
    private final CollisionPredictor next;
    private final double height;
    private final double depth;

    private double holeFrom = Double.NaN;
    private double holeTo = Double.NaN;
    private double pistonEnds;
    private double now;

    /** Momentum given to the walls for each area, in Pa s. */
    double impulse;
    double pairHits;
    double wallHits;
    /** Momentum given to the piston, in N s. */
    double pistonImpulse;
    /** Work done on the gas by the piston, in joules. */
    double work;

    HardSphereGas(Molecules molecules, Piston piston, HeatExchange heat, double height, double depth, double longest) {
        this.m = molecules;
        this.piston = piston;
        this.heat = heat;
        this.height = height;
        this.depth = depth;
        this.next = new CollisionPredictor(molecules, piston, height, depth, longest);
        lookAround(0);
    }

    /** Volume in m³ at a time. */
    double volume(double time) {
        return piston.at(time) * height * depth;
    }

    /** Area of the walls in m², without what the hole takes of them. */
    double wallArea(double time) {
        double length = piston.at(time);
        double hole = Double.isNaN(holeFrom) ? 0 : (holeTo - holeFrom) * depth;
        return 2 * (height * depth + length * depth + length * height) - hole;
    }

    double partition() {
        return next.partition;
    }

    /** Puts the partition at a place, or takes it out with NaN. */
    void setPartition(double at) {
        next.partition = at;
        piston.obstacle(now, at + CLEAR_OF_PARTITION);
        lookAround(now);
    }

    /** Opens a slot of a width in the middle of the left wall, through all its depth; 0 shuts it. */
    void setHole(double width) {
        holeFrom = width > 0 ? 0.5 * (height - width) : Double.NaN;
        holeTo = 0.5 * (height + width);
    }

    /**
     * Puts in molecules at places drawn by chance where there is room, with velocities of a temperature.
     *
     * @param from left end of where they go, in metres
     * @param to   right end
     */
    void insert(int kind, int n, double kelvin, double from, double to, RandomSource chance) {
        double spread = Math.sqrt(Gas.BOLTZMANN * kelvin / m.mass[kind]);
        next.makeRoom(m.count + n, now);
        for (int k = 0; k < n; k++) {
            double x = chance.between(from, to);
            double y = chance.between(0, height);
            double z = chance.between(0, depth);
            for (int tries = 0; tries < TRIES && !next.isFree(x, y, z, m.radius[kind], now); tries++) {
                x = chance.between(from, to);
                y = chance.between(0, height);
                z = chance.between(0, depth);
            }
            int i = m.add(kind, x, y, z, now);
            m.vx[i] = spread * chance.exactNormal();
            m.vy[i] = spread * chance.exactNormal();
            m.vz[i] = spread * chance.exactNormal();
            next.place(i, x, y);
        }
        lookAround(now);
    }

    /** To be called after the piston has been driven or loaded anew. */
    void pistonChanged() {
        pistonEnds = piston.ends();
        next.pistonChanged(now);
    }

    /** To be called after molecules have been changed otherwise than by events. */
    void lookAround(double time) {
        now = time;
        pistonEnds = piston.ends();
        next.lookAround(now);
    }

    /** Goes on to a time. */
    void advanceTo(double target, Watcher watcher) {
        while (true) {
            int i = next.first();
            double t = next.time(i);
            if (pistonEnds <= t && pistonEnds <= target) {
                now = pistonEnds;
                piston.end(now);
                pistonChanged();
                watcher.pistonEnded(now);
            } else if (next.zoneUntil() <= t && next.zoneUntil() <= target) {
                now = next.zoneUntil();
                next.watchPiston(now);
            } else if (t <= target) {
                now = t;
                if (next.isPair(i)) {
                    meetPair(i, watcher);
                } else {
                    meetOwn(i, watcher);
                }
            } else {
                break;
            }
        }
        now = target;
    }

    private void meetPair(int i, Watcher watcher) {
        int j = next.partner(i);
        if (j < 0) {
            next.lookForPairs(i);
            return;
        }
        m.collide(i, j, now);
        pairHits++;
        next.changed(i);
        next.changed(j);
        watcher.pair(i, j, now);
    }

    private void meetOwn(int i, Watcher watcher) {
        int event = next.own(i);
        switch (event) {
            case CollisionPredictor.TO_LEFT:
            case CollisionPredictor.TO_RIGHT:
            case CollisionPredictor.DOWN:
            case CollisionPredictor.UP:
                next.cross(i);
                return;
            case CollisionPredictor.PARTITION:
                m.bring(i, now);
                m.x[i] = next.partition;
                m.vx[i] = -m.vx[i];
                break;
            case CollisionPredictor.LEFT_WALL:
                m.bring(i, now);
                m.x[i] = 0;
                if (m.y[i] > holeFrom && m.y[i] < holeTo) {
                    m.out[i] = true;
                    next.drop(i);
                    watcher.escaped(i, now);
                    return;
                }
                m.vx[i] = -m.vx[i];
                push(i, 2 * m.vx[i]);
                break;
            case CollisionPredictor.PISTON:
                meetPiston(i);
                break;
            case CollisionPredictor.FACE:
                m.bring(i, now);
                m.z[i] = m.vz[i] < 0 ? 0 : depth;
                m.vz[i] = -m.vz[i];
                push(i, 2 * m.vz[i]);
                break;
            default:
                double before = m.vy[i];
                m.bring(i, now);
                m.y[i] = event == CollisionPredictor.LOWER_WALL ? 0 : height;
                heat.meet(m, i, event == CollisionPredictor.LOWER_WALL ? 1 : -1, now);
                push(i, m.vy[i] - before);
                break;
        }
        next.changed(i);
        watcher.wall(i, now);
    }

    private void meetPiston(int i) {
        double before = m.vx[i];
        m.bring(i, now);
        m.x[i] = piston.at(now);
        double energy = m.energy(i);
        m.vx[i] = piston.hit(now, m.mass[m.kind[i]], before);
        work = m.energy(i) - energy + work;
        pistonImpulse += m.mass[m.kind[i]] * (before - m.vx[i]);
        push(i, m.vx[i] - before);
        if (piston.isLoaded()) {
            pistonChanged();
        }
    }

    private void push(int i, double change) {
        wallHits++;
        impulse += m.mass[m.kind[i]] * Math.abs(change) / wallArea(now);
    }

    @Override
    public int size() {
        return 6;
    }

    @Override
    public void save(double[] out, int at) {
        out[at] = impulse;
        out[at + 1] = pairHits;
        out[at + 2] = wallHits;
        out[at + 3] = pistonImpulse;
        out[at + 4] = work;
        out[at + 5] = next.partition;
    }

    /** Once molecules, piston and heat are back, too, {@link #lookAround} has to follow. */
    @Override
    public void restore(double[] in, int at) {
        impulse = in[at];
        pairHits = in[at + 1];
        wallHits = in[at + 2];
        pistonImpulse = in[at + 3];
        work = in[at + 4];
        next.partition = in[at + 5];
    }
}
