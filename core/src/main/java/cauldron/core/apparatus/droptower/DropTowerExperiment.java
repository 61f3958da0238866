package cauldron.core.apparatus.droptower;

import cauldron.core.apparatus.Act;
import cauldron.core.apparatus.Handle;
import cauldron.core.apparatus.OdeExperiment;
import cauldron.core.apparatus.Outcomes;
import cauldron.core.apparatus.Readings;
import cauldron.core.apparatus.Register;
import cauldron.core.apparatus.Scene;
import cauldron.core.apparatus.Settings;

/**
 * One or two things that fall straight down a shaft side by side, each by itself:
 * <pre>m v' = −(m − ρV) g − ½ ρ C_d A v |v|,   y' = v</pre>
 * upwards positive, y the height of its lowest point above the floor (G. K. Batchelor, An Introduction to Fluid Dynamics,
 * Cambridge 1967, 5.11 for drag at large Reynolds numbers; buoyancy by Archimedes). From rest, without buoyancy, that is
 * v = −v_t tanh(g t/v_t) with v_t = √(2 m g/ρ C_d A), the closed form it is held against.
 *
 * <p>The floor gives back a share of the speed, the coefficient of restitution; a rebound slower than 2 cm/s is rest. A flare's
 * parachute opens at a height, at once. Heat is the work of drag and what bounces lose; potential energy counts weight less
 * buoyancy, from the floor.
 *
 * <p>Assumptions: drag coefficients don't change with speed, things don't tumble, drift or meet, the medium is as dense at the
 * top as at the bottom and isn't dragged along (no added mass).
 */
final class DropTowerExperiment extends OdeExperiment {

    private static final double SLOWEST = 0.02;
    /** A step is so short a part of the time in which drag changes anything, and no longer than this, in s. */
    private static final double PART = 0.01;
    private static final double LONGEST = 0.02;
    private static final double SHORTEST = 2e-4;
    /** Part of the way up that a step takes at most. */
    private static final double UPWARDS = 0.4;
    private static final double APART = 0.09;
    private static final int HELD = 0;
    private static final int FALLING = 1;
    private static final int RESTING = 2;

    private final DropTower d;
    private final int things;
    private final int[] y = new int[DropTower.THINGS];
    private final int[] v = new int[DropTower.THINGS];
    private final int heat = variable("thermal energy, J");
    private final Register[] phase = new Register[DropTower.THINGS];
    private final Register[] contactAt = new Register[DropTower.THINGS];
    private final Register[] contactSpeed = new Register[DropTower.THINGS];
    private final Register[] passed = new Register[DropTower.THINGS * DropTower.GATES];
    private final Register open = register(0);
    private final Register letGoAt = register(Double.NaN);

    private double gravity;
    private double density;

    DropTowerExperiment(DropTower declared, Settings s) {
        super(declared, s);
        d = declared;
        things = s.on(d.two) ? 2 : 1;
        for (int i = 0; i < DropTower.THINGS; i++) {
            y[i] = variable("height, m");
            v[i] = variable("velocity, m/s");
            phase[i] = register(HELD);
            contactAt[i] = register(Double.NaN);
            contactSpeed[i] = register(Double.NaN);
        }
        for (int i = 0; i < passed.length; i++) {
            passed[i] = register(Double.NaN);
        }
        for (int i = 0; i < things; i++) {
            watch(i, s);
        }
        apply(s);
        double h = s.si(d.height);
        begin(0, h, 0, h, 0);
    }

    private void watch(int i, Settings s) {
        when("floor", y[i]).fallsTo(0).then((rising, t, state, sink) -> {
            double speed = -state[v[i]];
            boolean first = Double.isNaN(contactAt[i].get());
            if (first) {
                contactAt[i].set(t - letGoAt.get());
                contactSpeed[i].set(speed);
            }
            sink.event(first ? d.contacts.get(i) : d.bounces.get(i), t);
            double back = d.falling(settings(), i).restitution * speed;
            back = back < SLOWEST ? 0 : back;
            // Two that strike at one instant are found one after the other, the second a trifle below the floor.
            state[heat] += 0.5 * mass(i) * (speed * speed - back * back) + effectiveWeight(i) * state[y[i]];
            state[y[i]] = 0;
            state[v[i]] = back;
            if (back == 0) {
                phase[i].set(RESTING);
                endAtRest(t, sink);
            }
        });
        when("top", v[i]).fallsTo(0).then((rising, t, state, sink) -> {
            state[v[i]] = 0;
            sink.event(d.tops.get(i), t);
        });
        if (s.on(d.gates)) {
            for (int gate = 0; gate < DropTower.GATES; gate++) {
                int pass = i * DropTower.GATES + gate;
                when("gate", y[i]).fallsTo(s.si(d.gateHeight.get(gate))).then((rising, t, state, sink) -> {
                    if (Double.isNaN(passed[pass].get())) {
                        passed[pass].set(t);
                    }
                    sink.event(d.passes.get(pass), t);
                });
            }
        }
        if (d.falling(s, i) == Thing.FLARE) {
            when("parachute", y[i]).fallsTo(s.si(d.opens)).then((rising, t, state, sink) -> {
                if (!open.isOn()) {
                    open.set(true);
                    sink.event(d.opened, t);
                }
            });
        }
    }

    private void endAtRest(double t, EventSink sink) {
        for (int i = 0; i < things; i++) {
            if (phase[i].get() != RESTING) {
                return;
            }
        }
        sink.event(d.atRest, t);
        end(t);
    }

    @Override
    protected void apply(Settings s) {
        gravity = d.gravity.of(s);
        density = s.value(d.medium);
    }

    private double mass(int i) {
        return d.falling(settings(), i).mass;
    }

    /** Half of density, drag coefficient and area: drag for each (m/s)². */
    private double drag(int i) {
        Thing thing = d.falling(settings(), i);
        return 0.5 * density * (thing == Thing.FLARE && open.isOn() ? thing.dragArea + Thing.PARACHUTE : thing.dragArea);
    }

    /** Weight less buoyancy, in N. */
    private double effectiveWeight(int i) {
        return (mass(i) - density * d.falling(settings(), i).volume) * gravity;
    }

    private double acceleration(int i, double velocity) {
        return phase[i].get() != FALLING ? 0 : (-effectiveWeight(i) - drag(i) * velocity * Math.abs(velocity)) / mass(i);
    }

    @Override
    protected void law(double t, double[] state, double[] dy) {
        for (int i = 0; i < things; i++) {
            if (phase[i].get() == FALLING) {
                double speed = state[v[i]];
                dy[y[i]] = speed;
                dy[v[i]] = acceleration(i, speed);
                dy[heat] += drag(i) * Math.abs(speed * speed * speed);
            }
        }
    }

    @Override
    protected double step(double[] state) {
        double h = LONGEST;
        for (int i = 0; i < things; i++) {
            double k = drag(i);
            if (k > 0) {
                double settling = Math.sqrt(mass(i) * mass(i) / (k * effectiveWeight(i)));
                h = Math.min(h, PART * Math.min(settling, mass(i) / (k * Math.abs(state[v[i]]) + 1e-300)));
            }
            // The floor is told from above and below by the sign of y: no bounce may begin and end within one step.
            if (phase[i].get() == FALLING && state[v[i]] > 0) {
                h = Math.min(h, Math.max(SHORTEST, UPWARDS * state[v[i]] / gravity));
            }
        }
        return h;
    }

    @Override
    protected void performed(Act act, Settings with, EventSink sink) {
        for (int i = 0; i < things; i++) {
            phase[i].set(FALLING);
        }
        letGoAt.set(time());
        if (d.falling(settings(), 0) == Thing.FLARE && settings().si(d.opens) >= settings().si(d.height)) {
            open.set(true);
            sink.event(d.opened, time());
        }
    }

    @Override
    protected void grabbed(Handle handle, EventSink sink) {
        throw new IllegalArgumentException("Restart to lift it again");
    }

    @Override
    public void read(Readings out) {
        double[] now = state();
        double moving = 0;
        double lifted = 0;
        for (int i = 0; i < DropTower.THINGS; i++) {
            boolean there = i < things;
            double speed = now[v[i]];
            out.put(d.heights.get(i), there ? now[y[i]] : Double.NaN);
            out.put(d.velocities.get(i), there ? speed : Double.NaN);
            out.put(d.accelerations.get(i), there ? acceleration(i, speed) : Double.NaN);
            out.put(d.drags.get(i), there ? 0 - drag(i) * speed * Math.abs(speed) : Double.NaN);
            moving += there ? 0.5 * mass(i) * speed * speed : 0;
            lifted += there ? effectiveWeight(i) * now[y[i]] : 0;
        }
        d.account.put(out, moving, lifted, now[heat]);
    }

    @Override
    public void outcomes(Outcomes out) {
        for (int i = 0; i < things; i++) {
            if (!Double.isNaN(contactAt[i].get())) {
                out.put(d.fell.get(i), contactAt[i].get());
                out.put(d.struck.get(i), contactSpeed[i].get());
                if (drag(i) > 0) {
                    out.put(d.terminal.get(i), Math.sqrt(effectiveWeight(i) / drag(i)));
                }
            }
            double one = passed[i * DropTower.GATES].get();
            double other = passed[i * DropTower.GATES + 1].get();
            if (!Double.isNaN(one) && !Double.isNaN(other)) {
                out.put(d.between.get(i), Math.abs(other - one));
            }
        }
    }

    @Override
    public void scene(Scene out) {
        double[] now = state();
        Settings s = settings();
        double tall = d.frameHeight(s);
        for (int i = 0; i < DropTower.THINGS; i++) {
            out.put(d.at.get(i), things == 1 ? 0 : (2 * i - 1) * APART * tall, now[y[i]]);
            out.put(d.which.get(i), d.falling(s, i).ordinal());
            out.put(d.size.get(i), d.drawn(s, d.falling(s, i)));
            out.put(d.gateAt.get(i), s.si(d.gateHeight.get(i)));
        }
        out.put(d.dropFrom, s.si(d.height));
        out.put(d.floor, 0);
        out.put(d.reach, Math.max(0.05, 0.04 * tall));
        out.put(d.wall, 0.2 * tall);
        out.put(d.gated, s.on(d.gates));
        out.put(d.both, things == 2);
        out.put(d.held, phase[0].get() == HELD);
        out.put(d.open, open.isOn());
        out.put(d.pumped, density == 0);
    }
}
