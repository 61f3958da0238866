package cauldron.core.apparatus.pendulum;

import cauldron.core.apparatus.Action;
import cauldron.core.apparatus.Gravity;
import cauldron.core.apparatus.Manifest;
import cauldron.core.apparatus.OdeExperiment;
import cauldron.core.apparatus.Settings;
import cauldron.core.instrument.BeamTimer;

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
 * <p>State: θ (rad), θ' (rad/s), thermal energy (J). A highest point is where θ' passes zero, a lowest
 * point where θ does.
 */
final class PendulumExperiment extends OdeExperiment {

    private static final double AIR_DENSITY = 1.204;
    private static final double DRAG_COEFFICIENT = 0.47;
    private static final int STEPS_PER_PERIOD = 400;
    private static final double FREE = 0;
    private static final double CAUGHT = 1;
    private static final double IN_HAND = 2;

    private double length;
    private double mass;
    private double radius;
    private double gravity;
    private double dragPerMass;
    private double friction;

    private double hold;
    /** Work done from outside, in joules. */
    private double work;
    /** Its beam lies at the lowest point. */
    private final BeamTimer timer = new BeamTimer();

    PendulumExperiment(Manifest manifest, Settings settings) {
        super(manifest, settings, 3, 2);
        apply(settings);
        hold = settings.on("held") ? CAUGHT : FREE;
        begin(new double[] {Math.toRadians(settings.amount("angle")), 0, 0});
    }

    @Override
    protected void apply(Settings values) {
        length = values.amount("length");
        mass = values.amount("mass") / 1000;
        friction = values.amount("friction") / 1000;
        switch (values.choice("size")) {
            case "small":
                radius = 0.012;
                break;
            case "large":
                radius = 0.035;
                break;
            default:
                radius = 0.020;
        }
        gravity = Gravity.of(values);
        dragPerMass = values.on("drag")
                ? 0.5 * AIR_DENSITY * DRAG_COEFFICIENT * Math.PI * radius * radius / mass : 0;
    }

    @Override
    protected void derivatives(double[] y, double[] dy) {
        if (hold != FREE) {
            dy[0] = 0;
            dy[1] = 0;
            dy[2] = 0;
            return;
        }
        double omega = y[1];
        double pivot = friction / (mass * length * length) * omega;
        double drag = dragPerMass * length * Math.abs(omega) * omega;
        dy[0] = omega;
        dy[1] = -gravity / length * Math.sin(y[0]) - pivot - drag;
        dy[2] = mass * length * length * omega * (pivot + drag);
    }

    @Override
    protected double step() {
        return 2 * Math.PI * Math.sqrt(length / gravity) / STEPS_PER_PERIOD;
    }

    @Override
    protected double switching(int which, double[] y) {
        return which == 0 ? y[1] : y[0];
    }

    @Override
    protected void switched(int which, boolean rising, double atTime, double[] y, EventSink sink) {
        if (which == 0) {
            y[1] = 0;
        } else {
            y[0] = 0;
            timer.cut(rising, atTime);
        }
        sink.event(which, atTime);
    }

    @Override
    public void act(Action action, EventSink sink) {
        double[] y = state().clone();
        double before = mechanical(y);
        double lengthBefore = length;
        if (action instanceof Action.Change) {
            change((Action.Change) action);
            y[1] *= lengthBefore * lengthBefore / (length * length);
        } else if (action instanceof Action.Grab) {
            hold = IN_HAND;
            y[1] = 0;
        } else if (action instanceof Action.Move && hold == IN_HAND) {
            y[0] = Pendulum.angleTo(((Action.Move) action).x(), ((Action.Move) action).y());
        } else if (action instanceof Action.LetGo && hold == IN_HAND
                || hold == CAUGHT && action instanceof Action.Perform
                && ((Action.Perform) action).act().equals("open-catch")) {
            hold = FREE;
        } else {
            throw new IllegalArgumentException("The pendulum can't do that now");
        }
        work += mechanical(y) - before;
        timer.startAfresh();
        begin(y);
    }

    private double mechanical(double[] y) {
        double half = Math.sin(y[0] / 2);
        return 0.5 * mass * length * length * y[1] * y[1] + mass * gravity * 2 * length * half * half;
    }

    @Override
    public double read(int channel) {
        double theta = state()[0];
        double omega = state()[1];
        double speed = length * Math.abs(omega);
        // 1 − cos θ in the form that keeps its digits at small angles.
        double half = Math.sin(theta / 2);
        double height = 2 * length * half * half;
        double kinetic = 0.5 * mass * speed * speed;
        double potential = mass * gravity * height;
        switch (channel) {
            case 0:
                return theta;
            case 1:
                return omega;
            case 2:
                return height;
            case 3:
                return speed;
            case 4:
                return kinetic;
            case 5:
                return potential;
            case 6:
                return state()[2];
            case 7:
                return kinetic + potential + state()[2];
            case 8:
                return mass * (gravity * Math.cos(theta) + length * omega * omega);
            case 9:
                return timer.period();
            default:
                return work;
        }
    }

    @Override
    public void scene(double[] out) {
        double theta = state()[0];
        out[0] = 0;
        out[1] = 0;
        out[2] = length * Math.sin(theta);
        out[3] = -length * Math.cos(theta);
        out[4] = radius;
        out[5] = hold == CAUGHT ? 1 : 0;
    }

    @Override
    protected double[] extra() {
        double[] t = timer.snapshot();
        return new double[] {hold, t[0], t[1], t[2], work};
    }

    @Override
    protected void restoreExtra(double[] e) {
        hold = e[0];
        timer.restore(e, 1);
        work = e[4];
    }
}
