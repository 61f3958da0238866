package cauldron.core.apparatus.propellerglider;

import cauldron.core.apparatus.Act;
import cauldron.core.apparatus.Handle;
import cauldron.core.apparatus.OdeExperiment;
import cauldron.core.apparatus.Readings;
import cauldron.core.apparatus.Register;
import cauldron.core.apparatus.Scene;
import cauldron.core.apparatus.Settings;

/**
 * A glider of mass m on a level air track:
 * <pre>m s'' = T − c s' − F_scale</pre>
 * Thread and spring scale pull it back with {@code F_scale = k s + c_s s'} (a spring with a damper in the
 * scale) until the thread is parted; a thread can't push.
 *
 * <p>Thrust falls evenly with speed, {@code T = T₀ (1 − v/v₀)}, as that of a propeller of fixed pitch does
 * near rest (B. W. McCormick, Aerodynamics, Aeronautics and Flight Mechanics, ch. 6), and goes with the square of the
 * rate of turning; T₀ is at rest and full throttle. The propeller takes some time to spin up. The air
 * film's drag is that of a thin viscous layer, in proportion to the speed; it doesn't rise with the load,
 * and the drag of the body in the air is left out. The buffer stops the glider for good. On its left the track ends where
 * the thread is just taut: the glider goes no further, also when the throttle is cut back.
 *
 * <p>What is lost and the work of the thrust count since the thread parted. What the glider moves with when it parts
 * counts as work done before, so that at any moment the work is what is in motion and what was lost.
 */
final class PropellerGliderExperiment extends OdeExperiment {

    /** Speed at which the propeller would push no more, in m/s. */
    static final double NO_THRUST = 150;
    /** Time in which the propeller comes within 1/e of its rate, in seconds. */
    private static final double SPIN_UP = 0.12;
    /** Damper in the scale, in N s/m: enough that the pointer comes to rest within a second. */
    private static final double SCALE_DAMPER = 4;
    private static final double STEP = 1.0 / 480;
    private static final double HALF_LENGTH = 0.09;
    /** Length of an arrow for each newton, in metres. */
    private static final double ARROW = 0.22;

    private final PropellerGlider d;
    private final int s = variable("position, m");
    private final int v = variable("speed, m/s");
    private final int rate = variable("turning rate, part of full");
    private final int lost = variable("lost to air film, buffer and hand, J");
    private final int work = variable("work of the thrust, J");
    private final Register started = register(0);
    private final Register parted = register(0);
    private final Register stopped = register(0);

    private double mass;
    private double full;
    private double throttle;
    private double drag;
    private double offset;
    private double added;

    PropellerGliderExperiment(PropellerGlider declared, Settings settings) {
        super(declared, settings);
        d = declared;
        when("buffer", s).risesTo(PropellerGlider.TRACK_END).then((rising, t, y, sink) -> {
            y[s] = PropellerGlider.TRACK_END;
            stop(y);
            stopped.set(true);
            sink.event(d.stopped, t);
        });
        when("left end", s).fallsTo(0).then((rising, t, y, sink) -> {
            y[s] = 0;
            stop(y);
        });
        apply(settings);
        parted.set(settings.on(d.cutAtFirst));
        begin(0, 0, 0, 0, 0);
    }

    @Override
    protected void apply(Settings settings) {
        added = settings.si(d.added);
        mass = settings.si(d.gliderMass) + added;
        full = settings.si(d.fullThrust);
        throttle = settings.si(d.throttle);
        drag = settings.si(d.drag);
        offset = settings.si(d.offset);
    }

    private double thrust(double[] y) {
        return full * y[rate] * y[rate] * (1 - y[v] / NO_THRUST);
    }

    private double pull(double[] y) {
        if (parted.isOn()) {
            return 0;
        }
        return Math.max(0, PropellerGlider.SCALE_STIFFNESS * y[s] + SCALE_DAMPER * y[v]);
    }

    private boolean moves() {
        return !stopped.isOn() && !inHand();
    }

    @Override
    protected void law(double t, double[] y, double[] dy) {
        dy[rate] = started.isOn() ? (throttle - y[rate]) / SPIN_UP : 0;
        if (moves()) {
            dy[s] = y[v];
            dy[v] = (thrust(y) - drag * y[v] - pull(y)) / mass;
            dy[lost] = parted.isOn() ? drag * y[v] * y[v] : 0;
            dy[work] = parted.isOn() ? thrust(y) * y[v] : 0;
        }
    }

    @Override
    protected double step(double[] y) {
        return STEP;
    }

    /** Brings it to rest; once the thread has parted, what it had goes into the account. */
    private void stop(double[] y) {
        y[lost] += parted.isOn() ? 0.5 * mass * y[v] * y[v] : 0;
        y[v] = 0;
    }

    @Override
    protected void performed(Act act, Settings with, EventSink sink) {
        if (act == d.start) {
            started.set(true);
        } else {
            parted.set(true);
            state()[work] = 0.5 * mass * state()[v] * state()[v];
            sink.event(d.parted, time());
        }
    }

    @Override
    protected void grabbed(Handle handle, EventSink sink) {
        if (!parted.isOn()) {
            throw new IllegalArgumentException("The glider hangs on its thread: cut the thread first");
        }
        stopped.set(false);
        stop(state());
    }

    @Override
    protected void moved(Handle handle, double x, double y, EventSink sink) {
        state()[s] = Math.max(0, Math.min(PropellerGlider.TRACK_END - 1e-6, x));
    }

    @Override
    public void read(Readings out) {
        double[] y = state();
        double resultant = moves() ? thrust(y) - drag * y[v] - pull(y) : 0;
        out.put(d.position, y[s]);
        out.put(d.speed, y[v]);
        out.put(d.acceleration, resultant / mass);
        out.put(d.thrust, thrust(y));
        out.put(d.scaleForce, pull(y));
        out.put(d.resultant, resultant);
        out.put(d.kinetic, 0.5 * mass * y[v] * y[v]);
        out.put(d.lost, y[lost]);
        out.put(d.work, y[work]);
    }

    @Override
    public void scene(Scene out) {
        double[] y = state();
        double stretch = pull(y) / PropellerGlider.SCALE_STIFFNESS;
        double moved = stretch + offset / PropellerGlider.SCALE_STIFFNESS;
        out.put(d.glider, y[s], 0.045);
        out.put(d.half, HALF_LENGTH);
        out.put(d.rail, 0);
        out.put(d.buffer, PropellerGlider.TRACK_END + HALF_LENGTH);
        out.put(d.hook, PropellerGlider.HOOK + stretch);
        out.put(d.pointer, PropellerGlider.POINTER + moved);
        out.put(d.zero, PropellerGlider.POINTER);
        out.put(d.newton, 1 / PropellerGlider.SCALE_STIFFNESS);
        out.put(d.thread, !parted.isOn());
        out.put(d.blade, parted.isOn());
        out.put(d.propeller, started.isOn());
        out.put(d.loads, 0.0001 * Math.rint(added * 1000));
        out.put(d.thrustArrow, ARROW * thrust(y));
        out.put(d.threadArrow, ARROW * pull(y));
        out.put(d.dragArrow, ARROW * drag * y[v]);
    }
}
