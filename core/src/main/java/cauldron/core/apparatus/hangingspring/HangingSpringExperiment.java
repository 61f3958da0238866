package cauldron.core.apparatus.hangingspring;

import cauldron.core.apparatus.Act;
import cauldron.core.apparatus.Action;
import cauldron.core.apparatus.Handle;
import cauldron.core.apparatus.OdeExperiment;
import cauldron.core.apparatus.Readings;
import cauldron.core.apparatus.Register;
import cauldron.core.apparatus.Scene;
import cauldron.core.apparatus.Setting;
import cauldron.core.apparatus.Settings;
import cauldron.core.instrument.beamtimer.BeamTimer;

/**
 * A mass m on a spring that obeys Hooke's law, with a damping force in proportion to the velocity:
 * <pre>m_eff x'' = −k x − c x' + m g</pre>
 * where x is the extension, downwards positive.
 *
 * <p>A spring of mass m_s swings in its lowest mode, {@code m_eff = m_s/β²} with {@code β tan β = m_s/m} (exact for an
 * even spring with a mass at its end: Lord Rayleigh, The Theory of Sound, §156; for a light spring it comes to m + m_s/3).
 * Higher modes and its weight's own stretching of the spring are left out. The spring takes
 * compression as it takes tension, and no extension is too much for it. Gravitational energy counts from
 * the natural length. A hand that takes hold stops the mass; let go while it moves, the mass keeps the
 * hand's last speed. The hand reaches no further than the picture. A mass that is within 0.1 µm of equilibrium and all but still is at rest from then
 * on; what energy it had left becomes thermal.
 */
final class HangingSpringExperiment extends OdeExperiment {

    private static final int STEPS_PER_PERIOD = 400;
    /** A step is also this short a part of the damping time, so that heavy damping is followed as well. */
    private static final double PART_OF_DAMPING_TIME = 0.02;
    private static final double REST = 1e-7;
    private static final int ROOT_HALVINGS = 60;
    /** The hook comes no nearer to the support than this, in metres: coils have some thickness. */
    private static final double SHORTEST = 0.03;
    /** Part of the picture's height below the support that the hand reaches. */
    private static final double REACH = 0.9;
    /** A hand that hasn't moved for so long, in seconds, lets go from rest. */
    private static final double STILL_HAND = 0.08;
    private static final double BRASS = 8500;
    private static final double ARROW = 0.13;

    private final HangingSpring d;
    private final int x = variable("extension, m");
    private final int v = variable("its rate, m/s");
    private final int heat = variable("thermal energy, J");
    private final Register atRest = register(0);
    /** Its beam lies at equilibrium. */
    private final BeamTimer timer = remember(new BeamTimer());
    private final Register handTime = register(Double.NaN);
    private final Register handSpeed = register(0);

    private double k;
    private double mass;
    private double inertia;
    private double damping;
    private double gravity;
    private double frameHeight;

    HangingSpringExperiment(HangingSpring declared, Settings settings) {
        super(declared, settings);
        d = declared;
        when("turning point", v).crosses(0).then((rising, t, y, sink) -> {
            y[v] = 0;
            sink.event(rising ? d.highest : d.lowest, t);
            restsNear(t, y, sink);
        });
        when("equilibrium", (t, y) -> y[x] - equilibrium()).crosses(0).then((rising, t, y, sink) -> {
            timer.cut(rising, t);
            sink.event(d.equilibriumPassed, t);
            restsNear(t, y, sink);
        });
        when("all but at rest", (t, y) -> nearness(y)).fallsTo(0).then((rising, t, y, sink) -> rest(t, y, sink));
        apply(settings);
        if (settings.on(d.held)) {
            hold(d.bodyInHand);
        }
        begin(equilibrium() + settings.si(d.drawn), 0, 0);
    }

    private boolean isFree() {
        return !inHand() && !atRest.isOn();
    }

    @Override
    protected void apply(Settings s) {
        k = d.constant(s);
        mass = s.si(d.mass);
        inertia = inertia(mass, d.coilMass(s));
        damping = s.si(d.damping);
        gravity = d.gravity.of(s);
        frameHeight = d.frameHeight(s);
    }

    /** The mass that swings, in kilograms, for a mass at the end of a spring that has mass. */
    static double inertia(double mass, double spring) {
        if (spring == 0) {
            return mass;
        }
        double ratio = spring / mass;
        // Between these the left side rises from 0 without end.
        double low = 0;
        double high = Math.PI / 2;
        for (int i = 0; i < ROOT_HALVINGS; i++) {
            double middle = 0.5 * (low + high);
            if (middle * Math.tan(middle) < ratio) {
                low = middle;
            } else {
                high = middle;
            }
        }
        return spring / (low * high);
    }

    private double equilibrium() {
        return mass * gravity / k;
    }

    /** Half the height of a brass cylinder as high as wide. */
    private static double halfSize(double mass) {
        return Math.cbrt(mass / (2 * Math.PI * BRASS));
    }

    /** The extension when the middle of the mass is at height y below the support at 0. */
    static double extensionAt(double y, double mass) {
        return -y - halfSize(mass) - HangingSpring.NATURAL_LENGTH;
    }

    @Override
    protected void law(double t, double[] y, double[] dy) {
        if (!isFree()) {
            return;
        }
        dy[x] = y[v];
        dy[v] = (mass * gravity - k * y[x] - damping * y[v]) / inertia;
        dy[heat] = damping * y[v] * y[v];
    }

    @Override
    protected double step(double[] y) {
        double rhythm = 2 * Math.PI * Math.sqrt(inertia / k) / STEPS_PER_PERIOD;
        return damping > 0 ? Math.min(rhythm, PART_OF_DAMPING_TIME * inertia / damping) : rhythm;
    }

    /** Overdamped, it creeps home without passing anything: only its nearness to rest tells. */
    private double nearness(double[] y) {
        double away = y[x] - equilibrium();
        return damping > 0 && isFree() ? away * away + y[v] * y[v] * inertia / k - REST * REST : 1;
    }

    private void restsNear(double t, double[] y, EventSink sink) {
        double speed = Math.abs(y[v]) * Math.sqrt(inertia / k);
        if (Math.abs(y[x] - equilibrium()) + speed < REST) {
            rest(t, y, sink);
        }
    }

    private void rest(double t, double[] y, EventSink sink) {
        if (damping > 0 && isFree()) {
            double before = mechanical(y);
            y[x] = equilibrium();
            y[v] = 0;
            y[heat] += before - mechanical(y);
            atRest.set(true);
            sink.event(d.rest, t);
        }
    }

    private double mechanical(double[] y) {
        return 0.5 * inertia * y[v] * y[v] + 0.5 * k * y[x] * y[x] - mass * gravity * y[x];
    }

    @Override
    public void act(Action action, EventSink sink) {
        super.act(action, sink);
        timer.startAfresh();
    }

    @Override
    protected void changed(Setting setting, Settings before, EventSink sink) {
        super.changed(setting, before, sink);
        atRest.set(false);
    }

    @Override
    protected void grabbed(Handle handle, EventSink sink) {
        atRest.set(false);
        state()[v] = 0;
        handTime.set(Double.NaN);
        handSpeed.set(0);
    }

    @Override
    protected void moved(Handle handle, double toX, double toY, EventSink sink) {
        double to = inReach(extensionAt(toY, mass));
        double since = time() - handTime.get();
        if (since > 0) {
            handSpeed.set((to - state()[x]) / since);
        }
        handTime.set(time());
        state()[x] = to;
    }

    @Override
    protected void letGo(Handle handle, EventSink sink) {
        state()[v] = time() - handTime.get() < STILL_HAND ? handSpeed.get() : 0;
    }

    @Override
    protected void performed(Act act, Settings with, EventSink sink) {
        release();
    }

    private double inReach(double to) {
        double low = SHORTEST - HangingSpring.NATURAL_LENGTH;
        double high = extensionAt(-REACH * frameHeight, mass);
        return Math.max(low, Math.min(high, to));
    }

    @Override
    public void read(Readings out) {
        double extension = state()[x];
        double speed = state()[v];
        double resultant = k * extension + damping * speed - mass * gravity;
        out.put(d.extension, extension);
        out.put(d.displacement, equilibrium() - extension);
        out.put(d.velocity, -speed);
        out.put(d.acceleration, isFree() ? resultant / inertia : 0);
        out.put(d.springForce, k * extension);
        out.put(d.resultant, isFree() ? resultant : 0);
        out.put(d.kinetic, 0.5 * inertia * speed * speed);
        out.put(d.gravitational, -mass * gravity * extension);
        out.put(d.elastic, 0.5 * k * extension * extension);
        out.put(d.thermal, state()[heat]);
        out.put(d.total, mechanical(state()) + state()[heat]);
        out.put(d.period, timer.period());
    }

    @Override
    public void scene(Scene out) {
        double extension = state()[x];
        double size = halfSize(mass);
        double hook = -HangingSpring.NATURAL_LENGTH - extension;
        out.put(d.support, 0, 0);
        out.put(d.hook, hook);
        out.put(d.body, 0, hook - size);
        out.put(d.bodySize, size);
        out.put(d.handOn, inHand());
        out.put(d.natural, -HangingSpring.NATURAL_LENGTH);
        out.put(d.equilibrium, -HangingSpring.NATURAL_LENGTH - equilibrium());
        out.put(d.weightArrow, ARROW * frameHeight);
        out.put(d.springArrow, ARROW * frameHeight * k * extension / (mass * gravity));
    }
}
