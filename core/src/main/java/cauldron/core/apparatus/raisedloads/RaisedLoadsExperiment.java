package cauldron.core.apparatus.raisedloads;

import cauldron.core.apparatus.Act;
import cauldron.core.apparatus.Outcomes;
import cauldron.core.apparatus.Pick;
import cauldron.core.apparatus.Profile;
import cauldron.core.apparatus.ProfileLines;
import cauldron.core.apparatus.Readings;
import cauldron.core.apparatus.Register;
import cauldron.core.apparatus.Scene;
import cauldron.core.apparatus.Setting;
import cauldron.core.apparatus.Settings;
import cauldron.core.apparatus.StepsExperiment;
import java.util.ArrayList;
import java.util.List;

/**
 * Loads in a uniform field: a mass m at height h above the reference level has the potential energy
 * {@code E_p = m g h} (R. P. Feynman, Lectures on Physics I, §4-2). A load is moved slowly, so the lifting force is all
 * the way equal and opposite to its weight, its kinetic energy between is left out, and the work on a stretch is
 * {@code W = ∫ F·ds = m g Δh}: none on the level, negative on the way down, where the load does work on whoever lowers
 * it. What a body's muscles use up in carrying is no work on the load, and isn't counted.
 *
 * <p>A load that is let fall goes straight down to the floor without friction; at the floor all its kinetic energy
 * becomes thermal. Loads are points at the height on which they stand.
 */
final class RaisedLoadsExperiment extends StepsExperiment {

    /** Paths remembered for the profile: the last one and those before it. */
    private static final int PATHS = 4;
    private static final double ROOM = 0.45;
    private static final double NOTHING = -1;
    private static final double REACH = 0.35;

    private final RaisedLoads d;
    private final List<Register> x = new ArrayList<>();
    private final List<Register> y = new ArrayList<>();
    private final Register last = register(NOTHING);
    /** Whether the load moved last was brought, not dropped. */
    private final Register walked = register(0);
    private final Register falling = register(NOTHING);
    private final Register heat = register(0);
    private final Register lifted = register(0);
    private final Register carried = register(0);
    private final List<Remembered> paths = new ArrayList<>();
    private double level;
    private double gravity;

    /** A path that was taken, by its ends and manner. */
    private final class Remembered {
        private final Register load = register(NOTHING);
        private final Register by = register(0);
        private final Register fromX = register(0);
        private final Register fromY = register(0);
        private final Register toX = register(0);
        private final Register toY = register(0);

        boolean isNone() {
            return load.get() == NOTHING;
        }

        void take(Remembered other) {
            set((int) other.load.get(), LoadPath.By.values()[(int) other.by.get()], other.fromX.get(), other.fromY.get(),
                    other.toX.get(), other.toY.get());
        }

        void set(int which, LoadPath.By manner, double x0, double y0, double x1, double y1) {
            load.set(which);
            by.set(manner.ordinal());
            fromX.set(x0);
            fromY.set(y0);
            toX.set(x1);
            toY.set(y1);
        }

        LoadPath path() {
            return LoadPath.of(LoadPath.By.values()[(int) by.get()], fromX.get(), fromY.get(), toX.get(), toY.get(),
                    d.storeys(settings()));
        }
    }

    RaisedLoadsExperiment(RaisedLoads declared, Settings settings) {
        super(declared, settings);
        d = declared;
        int loads = settings.items(d.loads).size();
        for (int i = 0; i < loads; i++) {
            x.add(register(RaisedLoads.NEAREST + 0.1 + i * 3.3 / Math.max(1, loads - 1)));
            y.add(register(0));
        }
        for (int i = 0; i < PATHS; i++) {
            paths.add(new Remembered());
        }
        apply(settings);
    }

    private void apply(Settings s) {
        level = s.si(d.level);
        gravity = d.gravity.of(s);
    }

    @Override
    protected void changed(Setting setting, Settings before, EventSink sink) {
        apply(settings());
    }

    @Override
    protected void restored() {
        super.restored();
        apply(settings());
    }

    @Override
    protected void performed(Act act, Settings with, EventSink sink) {
        if (act == d.place) {
            place(with.pick(d.placedLoad), with, sink);
        } else if (act == d.drop) {
            int which = with.pick(d.dropped);
            if (y.get(which).get() <= 0) {
                throw new IllegalArgumentException("That load stands on the floor: put it on a landing first");
            }
            x.get(which).set(free(which, x.get(which).get(), 0));
            falling.set(which);
            last.set(which);
            walked.set(false);
        } else {
            int which = (int) falling.get();
            heat.add(d.mass(settings(), which) * gravity * y.get(which).get());
            y.get(which).set(0);
            falling.set(NOTHING);
            sink.event(d.struck, time());
        }
    }

    private void place(int which, Settings with, EventSink sink) {
        int onto = with.pick(d.onto);
        double toY = onto == Pick.OTHER ? 0 : d.heights(settings())[onto];
        double toX = free(which, with.si(d.at), toY);
        Remembered path = remember();
        path.set(which, with.value(d.by), x.get(which).get(), y.get(which).get(), toX, toY);
        x.get(which).set(toX);
        y.get(which).set(toY);
        last.set(which);
        walked.set(true);
        double mass = d.mass(settings(), which);
        path.path().walk((length, rise) -> {
            carried.add(length);
            lifted.add(mass * gravity * rise);
        });
        sink.event(d.placed, time());
    }

    private Remembered remember() {
        for (int i = PATHS - 1; i > 0; i--) {
            paths.get(i).take(paths.get(i - 1));
        }
        return paths.get(0);
    }

    /** The place nearest to the wanted one where no other load stands. */
    private double free(int which, double wanted, double height) {
        for (double off = 0; off <= RaisedLoads.FURTHEST; off += 0.05) {
            for (int sign = -1; sign <= 1; sign += 2) {
                double at = wanted + sign * off;
                if (at >= RaisedLoads.NEAREST && at <= RaisedLoads.FURTHEST && isFree(which, at, height)) {
                    return at;
                }
            }
        }
        throw new IllegalArgumentException("There is no room left there");
    }

    private boolean isFree(int which, double at, double height) {
        for (int i = 0; i < x.size(); i++) {
            if (i != which && y.get(i).get() == height && Math.abs(x.get(i).get() - at) < ROOM) {
                return false;
            }
        }
        return true;
    }

    private boolean isFalling(int which) {
        return falling.get() == which;
    }

    /** Height now: what falls is at the floor, with all its speed. */
    private double height(int which) {
        return isFalling(which) ? 0 : y.get(which).get();
    }

    private double potential(int which) {
        return d.mass(settings(), which) * gravity * (height(which) - level);
    }

    @Override
    public void read(Readings out) {
        double all = 0;
        for (int i = 0; i < RaisedLoads.MOST_LOADS; i++) {
            double one = i < x.size() ? potential(i) : Double.NaN;
            out.put(d.each.get(i), one);
            all += i < x.size() ? one : 0;
        }
        int which = (int) last.get();
        boolean any = which >= 0;
        out.put(d.mass, any ? d.mass(settings(), which) : Double.NaN);
        out.put(d.height, any ? height(which) : Double.NaN);
        out.put(d.above, any ? height(which) - level : Double.NaN);
        out.put(d.across, any ? x.get(which).get() : Double.NaN);
        out.put(d.energy, any ? potential(which) : Double.NaN);
        out.put(d.path, walked.isOn() ? paths.get(0).path().length() : Double.NaN);
        out.put(d.work, walked.isOn() ? work(paths.get(0)) : Double.NaN);
        int drops = (int) falling.get();
        double kinetic = drops < 0 ? 0 : d.mass(settings(), drops) * gravity * y.get(drops).get();
        out.put(d.kinetic, kinetic);
        out.put(d.potential, all);
        out.put(d.thermal, heat.get());
        out.put(d.total, kinetic + all + heat.get());
    }

    private double work(Remembered gone) {
        double weight = d.mass(settings(), (int) gone.load.get()) * gravity;
        double[] sum = {0};
        gone.path().walk((length, rise) -> sum[0] += weight * rise);
        return sum[0];
    }

    @Override
    public void outcomes(Outcomes out) {
        double all = 0;
        for (int i = 0; i < x.size(); i++) {
            all += potential(i);
        }
        out.put(d.lifted, lifted.get());
        out.put(d.carried, carried.get());
        out.put(d.inStore, all);
    }

    @Override
    public void profile(Profile profile, ProfileLines out) {
        for (int i = PATHS - 1; i >= 0; i--) {
            Remembered gone = paths.get(i);
            if (!gone.isNone()) {
                double weight = d.mass(settings(), (int) gone.load.get()) * gravity;
                double[] at = {0, 0};
                out.line(gone.by.get() == LoadPath.By.HOIST.ordinal() ? "by the hoist" : "by the stair");
                out.point(0, 0);
                gone.path().walk((length, rise) -> {
                    at[0] += length;
                    at[1] += weight * rise;
                    out.point(at[0], at[1]);
                });
            }
        }
    }

    @Override
    public void scene(Scene out) {
        Settings s = settings();
        for (int i = 0; i < RaisedLoads.MOST_LOADS; i++) {
            boolean there = i < x.size();
            out.put(d.loadAt.get(i), there ? x.get(i).get() : 0, there ? height(i) : 0);
            out.put(d.loadThing.get(i), there ? d.thing(s, i).ordinal() : NOTHING);
        }
        out.put(d.loadCount, x.size());
        out.put(d.reach, REACH);
        double[] heights = d.heights(s);
        for (int i = 0; i < RaisedLoads.MOST_LANDINGS; i++) {
            out.put(d.landingAt.get(i), RaisedLoads.EDGE, i < heights.length ? heights[i] : 0);
        }
        out.put(d.landingCount, heights.length);
        out.put(d.stairFoot, LoadPath.FOOT, 0);
        out.put(d.stairTurn, LoadPath.TURN);
        out.put(d.shaft, LoadPath.SHAFT);
        out.put(d.levelAt, level);
        out.put(d.moved, last.get());
        out.put(d.falling, falling.get() != NOTHING);
        out.put(d.pathGone, paths.get(0).isNone() ? new double[0] : paths.get(0).path().points());
    }
}
