package cauldron.core.apparatus.gas;

import cauldron.core.Chance;

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
final class HardSphereGas {

    /** Told of what happens. */
    interface Watcher {
        void pair(int i, int j, double time);

        void wall(int i, double time);

        void escaped(int i, double time);

        void pistonEnded(double time);
    }

    private static final int TO_LEFT = 1;
    private static final int TO_RIGHT = 2;
    private static final int DOWN = 3;
    private static final int UP = 4;
    private static final int LEFT_WALL = 5;
    private static final int LOWER_WALL = 6;
    private static final int UPPER_WALL = 7;
    private static final int FACE = 8;
    private static final int PARTITION = 9;
    private static final int PISTON = 10;

    private static final double PER_CELL = 2.2;
    private static final int TRIES = 2000;
    /** The cells are laid out anew when the gas has become so much denser or thinner. */
    private static final double REGRID = 1.6;

    final Molecules m;
    final Piston piston;
    final HeatExchange heat;
    private final double height;
    private final double depth;
    private final double longest;

    /** Where the partition stands, or NaN. */
    private double partition = Double.NaN;
    private double holeFrom = Double.NaN;
    private double holeTo = Double.NaN;

    private Cells cells;
    private double gridLength;
    private Soonest soonest;
    private int[] own = new int[0];
    private double[] ownTime = new double[0];
    private double[] pairTime = new double[0];
    private int[] pairWith = new int[0];
    private int[] pairChange = new int[0];
    private int zoneFrom;
    private double zoneUntil;
    private double pistonEnds;
    private double now;

    /** Momentum given to the walls for each area, in Pa s. */
    double impulse;
    double pairHits;
    double wallHits;
    /** Work done on the gas by the piston, in joules. */
    double work;

    HardSphereGas(Molecules molecules, Piston piston, HeatExchange heat, double height, double depth, double longest) {
        this.m = molecules;
        this.piston = piston;
        this.heat = heat;
        this.height = height;
        this.depth = depth;
        this.longest = longest;
        lookAround(0);
    }

    /** Volume in m³ at a time. */
    double volume(double time) {
        return piston.at(time) * height * depth;
    }

    double wallArea(double time) {
        double length = piston.at(time);
        return 2 * (height * depth + length * depth + length * height);
    }

    double partition() {
        return partition;
    }

    /** Puts the partition at a place, or takes it out with NaN. */
    void setPartition(double at) {
        partition = at;
        lookAround(now);
    }

    /** To be called after molecules, piston and heat have been put back to an earlier state. */
    void restored(double time, double partitionAt) {
        partition = partitionAt;
        lookAround(time);
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
    void insert(int kind, int n, double kelvin, double from, double to, Chance chance) {
        double spread = Math.sqrt(Gas.BOLTZMANN * kelvin / m.mass[kind]);
        cells = grid(m.count + n);
        for (int i = 0; i < m.count; i++) {
            if (!m.out[i]) {
                cells.place(i, m.xAt(i, now), m.yAt(i, now));
            }
        }
        for (int k = 0; k < n; k++) {
            double x = chance.between(from, to);
            double y = chance.between(0, height);
            double z = chance.between(0, depth);
            for (int tries = 0; tries < TRIES && !isFree(x, y, z, m.radius[kind]); tries++) {
                x = chance.between(from, to);
                y = chance.between(0, height);
                z = chance.between(0, depth);
            }
            int i = m.add(kind, x, y, z, now);
            m.vx[i] = spread * chance.exactNormal();
            m.vy[i] = spread * chance.exactNormal();
            m.vz[i] = spread * chance.exactNormal();
            cells.place(i, x, y);
        }
        lookAround(now);
    }

    private boolean isFree(double x, double y, double z, double radius) {
        int c = (int) Math.floor(x / cells.width);
        int r = (int) Math.floor(y / cells.height);
        for (int dc = -1; dc <= 1; dc++) {
            for (int dr = -1; dr <= 1; dr++) {
                for (int j = cells.first(c + dc, r + dr); j >= 0; j = cells.after(j)) {
                    double dx = m.xAt(j, now) - x;
                    double dy = m.yAt(j, now) - y;
                    double dz = m.zAt(j, now) - z;
                    double touch = radius + m.radius[m.kind[j]];
                    if (dx * dx + dy * dy + dz * dz < touch * touch) {
                        return false;
                    }
                }
            }
        }
        return true;
    }

    /** Takes one molecule away. */
    void remove(int i) {
        m.remove(i);
        lookAround(now);
    }

    /** To be called after the piston has been driven or loaded anew. */
    void pistonChanged() {
        pistonEnds = piston.ends();
        reviewZone();
        for (int c = zoneFrom; c < cells.columns; c++) {
            foreseeColumn(c);
        }
    }

    private Cells grid(int molecules) {
        gridLength = piston.at(now);
        double widest = 2 * Math.max(m.radius[0], m.radius[1]);
        double size = Math.sqrt(PER_CELL * gridLength * height / Math.max(1, molecules));
        return new Cells(longest, height, Math.max(1.01 * widest, Math.min(height / 3, size)), molecules);
    }

    /** Lays out the cells afresh and foresees every molecule's next event: nothing physical happens. */
    void lookAround(double time) {
        now = time;
        cells = grid(m.count);
        soonest = new Soonest(m.count);
        if (own.length < m.count) {
            int room = m.x.length;
            own = new int[room];
            ownTime = new double[room];
            pairTime = new double[room];
            pairWith = new int[room];
            pairChange = new int[room];
        }
        for (int i = 0; i < m.count; i++) {
            if (!m.out[i]) {
                cells.place(i, m.xAt(i, now), m.yAt(i, now));
            }
        }
        pistonEnds = piston.ends();
        zoneFrom = 0;
        reviewZone();
        for (int i = 0; i < m.count; i++) {
            if (!m.out[i]) {
                foreseeOwn(i);
                foreseePairs(i);
                enter(i);
            }
        }
    }

    /** Goes on to a time. */
    void advanceTo(double target, Watcher watcher) {
        while (true) {
            int i = soonest.first();
            double t = i < m.count ? soonest.time(i) : Double.POSITIVE_INFINITY;
            if (pistonEnds <= t && pistonEnds <= target) {
                now = pistonEnds;
                piston.end(now);
                pistonChanged();
                watcher.pistonEnded(now);
            } else if (zoneUntil <= t && zoneUntil <= target) {
                now = zoneUntil;
                double length = piston.at(now);
                if (length > REGRID * gridLength || gridLength > REGRID * length) {
                    lookAround(now);
                } else {
                    reviewZone();
                }
            } else if (t <= target) {
                now = t;
                if (pairTime[i] <= ownTime[i]) {
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
        int j = pairWith[i];
        if (m.changes[j] != pairChange[i]) {
            foreseePairs(i);
            enter(i);
            return;
        }
        m.collide(i, j, now);
        pairHits++;
        foreseeOwn(i);
        foreseeOwn(j);
        foreseePairs(i);
        foreseePairs(j);
        enter(i);
        enter(j);
        watcher.pair(i, j, now);
    }

    private void meetOwn(int i, Watcher watcher) {
        switch (own[i]) {
            case TO_LEFT:
                cross(i, -1, 0);
                return;
            case TO_RIGHT:
                cross(i, 1, 0);
                return;
            case DOWN:
                cross(i, 0, -1);
                return;
            case UP:
                cross(i, 0, 1);
                return;
            case PARTITION:
                m.bring(i, now);
                m.x[i] = partition;
                m.vx[i] = -m.vx[i];
                break;
            case LEFT_WALL:
                m.bring(i, now);
                m.x[i] = 0;
                if (m.y[i] > holeFrom && m.y[i] < holeTo) {
                    m.out[i] = true;
                    cells.take(i);
                    soonest.set(i, Double.POSITIVE_INFINITY);
                    watcher.escaped(i, now);
                    return;
                }
                m.vx[i] = -m.vx[i];
                push(i, 2 * m.vx[i]);
                break;
            case PISTON:
                meetPiston(i);
                break;
            case FACE:
                m.bring(i, now);
                m.z[i] = m.vz[i] < 0 ? 0 : depth;
                m.vz[i] = -m.vz[i];
                push(i, 2 * m.vz[i]);
                break;
            default:
                double before = m.vy[i];
                m.bring(i, now);
                m.y[i] = own[i] == LOWER_WALL ? 0 : height;
                heat.meet(m, i, own[i] == LOWER_WALL ? 1 : -1, now);
                push(i, m.vy[i] - before);
                break;
        }
        foreseeOwn(i);
        foreseePairs(i);
        enter(i);
        watcher.wall(i, now);
    }

    private void meetPiston(int i) {
        double before = m.vx[i];
        m.bring(i, now);
        m.x[i] = piston.at(now);
        double energy = m.energy(i);
        m.vx[i] = piston.hit(now, m.mass[m.kind[i]], before);
        work = m.energy(i) - energy + work;
        push(i, m.vx[i] - before);
        if (piston.isLoaded()) {
            pistonChanged();
        }
    }

    private void push(int i, double change) {
        wallHits++;
        impulse += m.mass[m.kind[i]] * Math.abs(change) / wallArea(now);
    }

    private void cross(int i, int columns, int rows) {
        cells.move(i, columns, rows);
        int c = cells.column[i];
        int r = cells.row[i];
        for (int k = -1; k <= 1; k++) {
            foreseePairsIn(i, columns == 0 ? c + k : c + columns, rows == 0 ? r + k : r + rows);
        }
        foreseeOwn(i);
        enter(i);
    }

    private void enter(int i) {
        soonest.set(i, pairTime[i] <= ownTime[i] ? pairTime[i] : ownTime[i]);
    }

    private void foreseePairs(int i) {
        pairTime[i] = Double.POSITIVE_INFINITY;
        int c = cells.column[i];
        int r = cells.row[i];
        for (int dc = -1; dc <= 1; dc++) {
            for (int dr = -1; dr <= 1; dr++) {
                foreseePairsIn(i, c + dc, r + dr);
            }
        }
    }

    private void foreseePairsIn(int i, int c, int r) {
        for (int j = cells.first(c, r); j >= 0; j = cells.after(j)) {
            if (j == i || partition == partition && isLeft(i) != isLeft(j)) {
                continue;
            }
            double t = m.meeting(i, j);
            if (t < pairTime[i]) {
                pairTime[i] = t;
                pairWith[i] = j;
                pairChange[i] = m.changes[j];
            }
        }
    }

    /** Which side of the partition a molecule is on. */
    boolean isLeft(int i) {
        return m.x[i] < partition || m.x[i] == partition && m.vx[i] < 0;
    }

    private void foreseeOwn(int i) {
        double best = Double.POSITIVE_INFINITY;
        int which = 0;
        int c = cells.column[i];
        double v = m.vx[i];
        double x = m.x[i];
        if (v > 0 && c < cells.columns - 1) {
            best = ((c + 1) * cells.width - x) / v;
            which = TO_RIGHT;
        } else if (v < 0) {
            best = (c * cells.width - x) / v;
            which = c == 0 ? LEFT_WALL : TO_LEFT;
        }
        if (v > 0 && x < partition || v < 0 && x > partition) {
            double s = (partition - x) / v;
            // At the same instant the partition comes before a border of cells.
            if (s <= best) {
                best = s;
                which = PARTITION;
            }
        }
        int r = cells.row[i];
        v = m.vy[i];
        // The wall's own place, not that of the last border: it mustn't depend on the cells.
        double above = r == cells.rows - 1 ? height : (r + 1) * cells.height;
        double s = v > 0 ? (above - m.y[i]) / v : v < 0 ? (r * cells.height - m.y[i]) / v : best;
        if (s < best) {
            best = s;
            which = v > 0 ? r == cells.rows - 1 ? UPPER_WALL : UP : r == 0 ? LOWER_WALL : DOWN;
        }
        v = m.vz[i];
        s = v > 0 ? (depth - m.z[i]) / v : v < 0 ? -m.z[i] / v : best;
        if (s < best) {
            best = s;
            which = FACE;
        }
        best = m.time[i] + best;
        if (c >= zoneFrom) {
            double t = piston.meets(x, m.vx[i], m.time[i]);
            if (t <= best) {
                best = t;
                which = PISTON;
            }
        }
        ownTime[i] = best;
        own[i] = which;
    }

    /** Which columns the piston may reach before it is looked at again; only there is a meeting foreseen. */
    private void reviewZone() {
        double x = piston.at(now);
        int from = Math.max(0, (int) Math.floor(x / cells.width) - 1);
        int before = zoneFrom;
        zoneFrom = from;
        zoneUntil = piston.within(cells.width, now);
        // Columns that come under the piston's reach, or leave it.
        for (int c = Math.min(from, before); c < Math.max(from, before); c++) {
            foreseeColumn(c);
        }
    }

    private void foreseeColumn(int c) {
        for (int r = 0; r < cells.rows; r++) {
            for (int i = cells.first(c, r); i >= 0; i = cells.after(i)) {
                foreseeOwn(i);
                enter(i);
            }
        }
    }
}
