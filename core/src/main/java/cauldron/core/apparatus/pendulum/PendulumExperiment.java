package cauldron.core.apparatus.pendulum;

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
 * A pendulum of finite angle: a point mass m at the end of a light, stiff-in-tension cord of length L,
 * <pre>θ'' = −(g/L) sin θ − b/(m L²) θ' − (ρ C_d A L / 2m) |θ'| θ'</pre>
 *
 * <p>Laws: the exact equation of a simple pendulum (L. D. Landau, E. M. Lifshitz, Mechanics, §11);
 * viscous torque −bθ' at the pivot; quadratic drag on a sphere with C_d = 0.47, the plateau for Reynolds
 * numbers of 10³ to 10⁵ (R. A. Nelson, M. G. Olsson, Am. J. Phys. 54 (1986) 112), in air of
 * 1.204 kg/m³ (20 °C, 101.325 kPa). Assumptions: the bob's own moment of inertia, the cord's mass and
 * drag, and buoyancy are left out. Mechanical energy taken by both losses is summed as thermal energy.
 *
 * <p>A cord that is drawn in or let out in mid-swing pulls along itself, so m L² θ' stays; the bob's energy doesn't, and
 * what was done to it from outside (by that, by another mass or place, by a hand) is summed as work.
 *
 * <p>A highest point is where θ' passes zero, a lowest point where θ does.
 */
final class PendulumExperiment extends OdeExperiment {

    private static final double AIR_DENSITY = 1.204;
    private static final double DRAG_COEFFICIENT = 0.47;
    private static final int STEPS_PER_PERIOD = 400;

    private final Pendulum d;
    private final int theta = variable("angle, rad");
    private final int omega = variable("angular velocity, rad/s");
    private final int heat = variable("thermal energy, J");
    private final Register caught = register(0);
    /** Work done from outside, in joules. */
    private final Register work = register(0);
    /** Its beam lies at the lowest point. */
    private final BeamTimer timer = remember(new BeamTimer());

    private double length;
    private double mass;
    private double radius;
    private double gravity;
    private double dragPerMass;
    private double friction;

    PendulumExperiment(Pendulum declared, Settings settings) {
        super(declared, settings);
        d = declared;
        when("highest point", omega).crosses(0).then((rising, t, y, sink) -> {
            y[omega] = 0;
            sink.event(d.highest, t);
        });
        when("lowest point", theta).crosses(0).then((rising, t, y, sink) -> {
            y[theta] = 0;
            timer.cut(rising, t);
            sink.event(d.lowest, t);
        });
        apply(settings);
        caught.set(settings.on(d.held));
        begin(settings.si(d.angle), 0, 0);
    }

    @Override
    protected void apply(Settings s) {
        length = s.si(d.length);
        mass = s.si(d.mass);
        friction = s.si(d.friction);
        radius = s.value(d.size);
        gravity = d.gravity.of(s);
        dragPerMass = s.on(d.drag) ? 0.5 * AIR_DENSITY * DRAG_COEFFICIENT * Math.PI * radius * radius / mass : 0;
    }

    @Override
    protected void law(double t, double[] y, double[] dy) {
        if (caught.isOn() || inHand()) {
            return;
        }
        double w = y[omega];
        double pivot = friction / (mass * length * length) * w;
        double drag = dragPerMass * length * Math.abs(w) * w;
        dy[theta] = w;
        dy[omega] = -gravity / length * Math.sin(y[theta]) - pivot - drag;
        dy[heat] = mass * length * length * w * (pivot + drag);
    }

    @Override
    protected double step(double[] y) {
        return 2 * Math.PI * Math.sqrt(length / gravity) / STEPS_PER_PERIOD;
    }

    @Override
    public void act(Action action, EventSink sink) {
        double before = mechanical();
        super.act(action, sink);
        work.add(mechanical() - before);
        timer.startAfresh();
    }

    @Override
    protected void changed(Setting setting, Settings before, EventSink sink) {
        super.changed(setting, before, sink);
        double lengthBefore = before.si(d.length);
        state()[omega] *= lengthBefore * lengthBefore / (length * length);
    }

    @Override
    protected void grabbed(Handle handle, EventSink sink) {
        caught.set(false);
        state()[omega] = 0;
    }

    @Override
    protected void moved(Handle handle, double x, double y, EventSink sink) {
        state()[theta] = Pendulum.angleTo(x, y);
    }

    @Override
    protected void performed(Act act, Settings with, EventSink sink) {
        caught.set(false);
    }

    private double mechanical() {
        double half = Math.sin(state()[theta] / 2);
        double w = state()[omega];
        return 0.5 * mass * length * length * w * w + mass * gravity * 2 * length * half * half;
    }

    @Override
    public void read(Readings out) {
        double angle = state()[theta];
        double w = state()[omega];
        double speed = length * Math.abs(w);
        // 1 − cos θ in the form that keeps its digits at small angles.
        double half = Math.sin(angle / 2);
        double height = 2 * length * half * half;
        double kinetic = 0.5 * mass * speed * speed;
        double potential = mass * gravity * height;
        out.put(d.theta, angle);
        out.put(d.omega, w);
        out.put(d.height, height);
        out.put(d.speed, speed);
        out.put(d.kinetic, kinetic);
        out.put(d.potential, potential);
        out.put(d.thermal, state()[heat]);
        out.put(d.total, kinetic + potential + state()[heat]);
        out.put(d.tension, mass * (gravity * Math.cos(angle) + length * w * w));
        out.put(d.period, timer.period());
        out.put(d.work, work.get());
    }

    @Override
    public void scene(Scene out) {
        double angle = state()[theta];
        out.put(d.pivot, 0, 0);
        out.put(d.bob, length * Math.sin(angle), -length * Math.cos(angle));
        out.put(d.radius, radius);
        out.put(d.shut, caught.isOn());
    }
}
