package cauldron.core.apparatus.gascylinder;

/**
 * What comes next for every molecule: the soonest meeting with another, and the soonest of its own events
 * with walls, partition, piston and borders of cells. It only looks: nothing here changes a molecule, and
 * every time it foresees depends on nothing but the states that meet. So how the cells are laid out, or
 * when they are laid out anew, can't change a bit of what happens.
 *
 * <p>A molecule keeps the soonest meeting it knows of. If the other one has changed its flight by then,
 * the meeting is off, and the molecule looks round again at that time: no other of its meetings can have
 * been sooner.
 */
final class CollisionPredictor {

    static final int TO_LEFT = 1;
    static final int TO_RIGHT = 2;
    static final int DOWN = 3;
    static final int UP = 4;
    static final int LEFT_WALL = 5;
    static final int LOWER_WALL = 6;
    static final int UPPER_WALL = 7;
    static final int FACE = 8;
    static final int PARTITION = 9;
    static final int PISTON = 10;

    private static final double PER_CELL = 2.2;
    /** The cells are laid out anew when the gas has become so much denser or thinner. */
    private static final double REGRID = 1.6;

    private final Molecules m;
    private final Piston piston;
    private final double height;
    private final double depth;
    private final double longest;
    /** Where the partition stands, or NaN. */
    double partition = Double.NaN;

    private Cells cells;
    private double gridLength;
    private EventQueue soonest;
    private int[] own = new int[0];
    private double[] ownTime = new double[0];
    private double[] pairTime = new double[0];
    private int[] pairWith = new int[0];
    private int[] pairChange = new int[0];
    private int zoneFrom;
    private double zoneUntil;

    CollisionPredictor(Molecules molecules, Piston piston, double height, double depth, double longest) {
        this.m = molecules;
        this.piston = piston;
        this.height = height;
        this.depth = depth;
        this.longest = longest;
    }

    /** Whose event is next; one beyond the molecules if there are none. */
    int first() {
        return soonest.first();
    }

    double time(int i) {
        return i < m.count ? soonest.time(i) : Double.POSITIVE_INFINITY;
    }

    /** Whether a molecule's next event is a meeting with another. */
    boolean isPair(int i) {
        return pairTime[i] <= ownTime[i];
    }

    /** Whom it meets, or −1 if the other has changed its flight meanwhile. */
    int partner(int i) {
        return m.changes[pairWith[i]] == pairChange[i] ? pairWith[i] : -1;
    }

    /** Which of its own events is next. */
    int own(int i) {
        return own[i];
    }

    /** Until when the piston stays within the columns that are watched. */
    double zoneUntil() {
        return zoneUntil;
    }

    /** Looks again where the piston is, at the end of {@link #zoneUntil}. */
    void watchPiston(double now) {
        double length = piston.at(now);
        if (length > REGRID * gridLength || gridLength > REGRID * length) {
            lookAround(now);
        } else {
            reviewZone(now);
        }
    }

    /** The piston moves otherwise from now on. */
    void pistonChanged(double now) {
        reviewZone(now);
        for (int c = zoneFrom; c < cells.columns; c++) {
            foreseeColumn(c);
        }
    }

    /** A molecule's flight has changed. */
    void changed(int i) {
        foreseeOwn(i);
        foreseePairs(i);
        enter(i);
    }

    /** Looks for another meeting in place of one that is off. */
    void lookForPairs(int i) {
        foreseePairs(i);
        enter(i);
    }

    /** A molecule is gone. */
    void drop(int i) {
        cells.take(i);
        soonest.set(i, Double.POSITIVE_INFINITY);
    }

    /** Begins to lay out cells for so many molecules, to put new ones where there is room. */
    void makeRoom(int molecules, double now) {
        cells = grid(molecules, now);
        for (int i = 0; i < m.count; i++) {
            if (!m.out[i]) {
                cells.place(i, m.xAt(i, now), m.yAt(i, now));
            }
        }
    }

    /** A molecule stands at a place of the cells that were laid out. */
    void place(int i, double x, double y) {
        cells.place(i, x, y);
    }

    boolean isFree(double x, double y, double z, double radius, double now) {
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

    private Cells grid(int molecules, double now) {
        gridLength = piston.at(now);
        double widest = 2 * Math.max(m.radius[0], m.radius[1]);
        double size = Math.sqrt(PER_CELL * gridLength * height / Math.max(1, molecules));
        return new Cells(longest, height, Math.max(1.01 * widest, Math.min(height / 3, size)), molecules);
    }

    /** Lays out the cells afresh and foresees every molecule's next event: nothing physical happens. */
    void lookAround(double now) {
        makeRoom(m.count, now);
        soonest = new EventQueue(m.count);
        if (own.length < m.count) {
            int room = m.x.length;
            own = new int[room];
            ownTime = new double[room];
            pairTime = new double[room];
            pairWith = new int[room];
            pairChange = new int[room];
        }
        zoneFrom = 0;
        reviewZone(now);
        for (int i = 0; i < m.count; i++) {
            if (!m.out[i]) {
                changed(i);
            }
        }
    }

    /** A molecule goes over into the next cell. */
    void cross(int i) {
        switch (own[i]) {
            case TO_LEFT:
                cross(i, -1, 0);
                break;
            case TO_RIGHT:
                cross(i, 1, 0);
                break;
            case DOWN:
                cross(i, 0, -1);
                break;
            default:
                cross(i, 0, 1);
                break;
        }
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
    private void reviewZone(double now) {
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
