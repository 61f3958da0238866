package cauldron.core.apparatus.gascylinder;

import cauldron.core.Stateful;

/**
 * The cylinder's right wall. Between two of its own events it moves at constant velocity (locked or
 * driven) or with the constant acceleration of a load, P A / M; so its meeting with a molecule is the
 * root of a quadratic. Driven it is as heavy as one likes; loaded it has mass {@link #MASS}, and a
 * meeting is an elastic collision of two bodies.
 */
final class Piston implements Stateful {

    /**
     * Mass of the loaded piston in kilograms: about that of a thousand nitrogen molecules, so that it comes
     * to rest in a few nanoseconds instead of swinging on the gas for long.
     */
    static final double MASS = 5e-23;

    private final double wall;
    private final double longest;
    /** How far in it can go: to its own stop, or to the partition that stands in its way. */
    private double shortest;

    private double at;
    private double speed;
    private double since;
    /** Inward acceleration of the load, m/s²; 0 unless loaded and free to move. */
    private double load;
    private double loadWhenFree;
    private boolean loaded;
    private double target;

    /** A locked piston at a place, between two stops, in metres. */
    Piston(double at, double shortest, double longest) {
        this.at = at;
        this.wall = shortest;
        this.shortest = shortest;
        this.longest = longest;
        this.target = at;
    }

    double at(double time) {
        double s = time - since;
        return at + speed * s - 0.5 * load * s * s;
    }

    /** Outward velocity in m/s. */
    double speed(double time) {
        return speed - load * (time - since);
    }

    boolean isLoaded() {
        return loaded;
    }

    boolean isMoving() {
        return speed != 0 || load != 0;
    }

    private void reset(double time) {
        double here = at(time);
        double now = speed(time);
        at = here;
        speed = now;
        since = time;
    }

    /**
     * Puts something in its way, or takes it out.
     *
     * @param place how far in it can go now; NaN: to its own stop
     */
    void obstacle(double time, double place) {
        double inmost = Double.isNaN(place) ? wall : Math.max(wall, place);
        if (inmost == shortest) {
            return;
        }
        shortest = inmost;
        if (loaded) {
            reset(time);
            load = at <= shortest && speed <= 0 ? 0 : loadWhenFree;
        } else if (target < shortest) {
            drive(time, shortest, Math.abs(speed(time)));
        }
    }

    /** Drives it to a place at a speed, from now on. */
    void drive(double time, double to, double byHand) {
        reset(time);
        loaded = false;
        load = 0;
        loadWhenFree = 0;
        target = Math.max(shortest, Math.min(longest, to));
        speed = target > at ? byHand : target < at ? -byHand : 0;
    }

    /** Puts a constant outer force on it, from now on. */
    void load(double time, double force) {
        reset(time);
        if (!loaded) {
            speed = 0;
        }
        loaded = true;
        loadWhenFree = force / MASS;
        load = at <= shortest && speed <= 0 ? 0 : loadWhenFree;
    }

    /** Work a load does for each metre inwards, in newtons; 0 unless loaded. */
    double force() {
        return loaded ? loadWhenFree * MASS : 0;
    }

    /** When it arrives where its motion ends: its target when driven, a stop when loaded. */
    double ends() {
        if (!loaded) {
            return speed == 0 ? Double.POSITIVE_INFINITY : since + (target - at) / speed;
        }
        return Math.min(reaches(shortest), reaches(longest));
    }

    /** Halts it where its motion ends. */
    void end(double time) {
        if (!loaded) {
            at = target;
            speed = 0;
            since = time;
            return;
        }
        boolean inside = speed(time) < 0;
        at = inside ? shortest : longest;
        since = time;
        speed = 0;
        load = inside ? 0 : loadWhenFree;
    }

    /** When a loaded piston reaches a stop, or infinity. */
    private double reaches(double stop) {
        if (load == 0) {
            return Double.POSITIVE_INFINITY;
        }
        double gap = stop - at;
        double under = speed * speed - 2 * load * gap;
        if (gap <= 0) {
            double root = Math.sqrt(under);
            return since + (speed > 0 ? (speed + root) / load : -2 * gap / (root - speed));
        }
        return speed > 0 && under >= 0 ? since + 2 * gap / (speed + Math.sqrt(under)) : Double.POSITIVE_INFINITY;
    }

    /** Until when it is surely no further than a distance from where it is at a time. */
    double within(double distance, double time) {
        double v = Math.abs(speed(time));
        return v == 0 && load == 0 ? Double.POSITIVE_INFINITY
                : time + 2 * distance / (v + Math.sqrt(v * v + 2 * load * distance));
    }

    /** When a molecule that was at x with velocity v at a time meets it. */
    double meets(double x, double v, double time) {
        double from = Math.max(time, since);
        double gap = at(from) - x - v * (from - time);
        if (gap < 0) {
            gap = 0;
        }
        double closing = v - speed(from);
        if (load == 0) {
            return closing > 0 ? from + gap / closing : Double.POSITIVE_INFINITY;
        }
        double root = Math.sqrt(closing * closing + 2 * load * gap);
        return from + (closing > 0 ? 2 * gap / (closing + root) : (root - closing) / load);
    }

    /** A molecule of mass m and velocity v meets it; gives the molecule's velocity afterwards. */
    double hit(double time, double m, double v) {
        double u = speed(time);
        if (!loaded) {
            return u + u - v;
        }
        reset(time);
        double both = m + MASS;
        double change = 2 * (v - u) / both;
        speed = u + m * change;
        load = loadWhenFree;
        return v - MASS * change;
    }

    @Override
    public int size() {
        return 8;
    }

    @Override
    public void save(double[] out, int i) {
        out[i] = at;
        out[i + 1] = speed;
        out[i + 2] = since;
        out[i + 3] = load;
        out[i + 4] = loadWhenFree;
        out[i + 5] = loaded ? 1 : 0;
        out[i + 6] = target;
        out[i + 7] = shortest;
    }

    @Override
    public void restore(double[] in, int i) {
        at = in[i];
        speed = in[i + 1];
        since = in[i + 2];
        load = in[i + 3];
        loadWhenFree = in[i + 4];
        loaded = in[i + 5] != 0;
        target = in[i + 6];
        shortest = in[i + 7];
    }
}
