package cauldron.core.apparatus.spring;

import cauldron.core.apparatus.Action;
import cauldron.core.apparatus.Gravity;
import cauldron.core.apparatus.Manifest;
import cauldron.core.apparatus.OdeExperiment;
import cauldron.core.apparatus.Settings;
import cauldron.core.instrument.BeamTimer;

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
 *
 * <p>State: x (m), x' (m/s), thermal energy (J).
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

    private static final double FREE = 0;
    private static final double IN_HAND = 1;
    private static final double AT_REST = 2;

    private static final int HIGHEST = 0;
    private static final int LOWEST = 1;
    private static final int EQUILIBRIUM = 2;
    private static final int AT_REST_EVENT = 3;

    private double k;
    private double mass;
    private double inertia;
    private double damping;
    private double gravity;
    private double frameHeight;

    private double hold;
    /** Its beam lies at equilibrium. */
    private final BeamTimer timer = new BeamTimer();
    private double handTime = Double.NaN;
    private double handSpeed;

    HangingSpringExperiment(Manifest manifest, Settings settings) {
        super(manifest, settings, 3, 3);
        apply(settings);
        hold = settings.on("held") ? IN_HAND : FREE;
        begin(new double[] {equilibrium() + settings.amount("drawn") / 1000, 0, 0});
    }

    @Override
    protected void apply(Settings settings) {
        k = HangingSpring.constant(settings);
        mass = settings.amount("mass") / 1000;
        inertia = inertia(mass, HangingSpring.coilMass(settings));
        damping = settings.amount("damping");
        gravity = Gravity.of(settings);
        frameHeight = HangingSpring.frameHeight(settings);
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
    protected void derivatives(double[] y, double[] dy) {
        if (hold != FREE) {
            dy[0] = 0;
            dy[1] = 0;
            dy[2] = 0;
            return;
        }
        dy[0] = y[1];
        dy[1] = (mass * gravity - k * y[0] - damping * y[1]) / inertia;
        dy[2] = damping * y[1] * y[1];
    }

    @Override
    protected double step() {
        double rhythm = 2 * Math.PI * Math.sqrt(inertia / k) / STEPS_PER_PERIOD;
        return damping > 0 ? Math.min(rhythm, PART_OF_DAMPING_TIME * inertia / damping) : rhythm;
    }

    @Override
    protected double switching(int which, double[] y) {
        if (which == 2) {
            // Overdamped, it creeps home without passing anything: only its nearness tells.
            double away = y[0] - equilibrium();
            return damping > 0 && hold == FREE ? away * away + y[1] * y[1] * inertia / k - REST * REST : 1;
        }
        return which == 0 ? y[1] : y[0] - equilibrium();
    }

    @Override
    protected void switched(int which, boolean rising, double atTime, double[] y, EventSink sink) {
        if (which == 0) {
            y[1] = 0;
            sink.event(rising ? HIGHEST : LOWEST, atTime);
        } else if (which == 1) {
            timer.cut(rising, atTime);
            sink.event(EQUILIBRIUM, atTime);
        }
        double speed = Math.abs(y[1]) * Math.sqrt(inertia / k);
        boolean near = Math.abs(y[0] - equilibrium()) + speed < REST || which == 2 && !rising;
        if (damping > 0 && hold == FREE && near) {
            double before = mechanical(y);
            y[0] = equilibrium();
            y[1] = 0;
            y[2] += before - mechanical(y);
            hold = AT_REST;
            sink.event(AT_REST_EVENT, atTime);
        }
    }

    private double mechanical(double[] y) {
        return 0.5 * inertia * y[1] * y[1] + 0.5 * k * y[0] * y[0] - mass * gravity * y[0];
    }

    @Override
    public void act(Action action, EventSink sink) {
        double[] y = state().clone();
        if (action instanceof Action.Change) {
            change((Action.Change) action);
            hold = hold == AT_REST ? FREE : hold;
        } else if (action instanceof Action.Grab) {
            hold = IN_HAND;
            y[1] = 0;
            handTime = Double.NaN;
            handSpeed = 0;
        } else if (action instanceof Action.Move && hold == IN_HAND) {
            double x = inReach(extensionAt(((Action.Move) action).y(), mass));
            double since = time() - handTime;
            if (since > 0) {
                handSpeed = (x - y[0]) / since;
            }
            handTime = time();
            y[0] = x;
        } else if (action instanceof Action.LetGo && hold == IN_HAND) {
            hold = FREE;
            y[1] = time() - handTime < STILL_HAND ? handSpeed : 0;
        } else if (action instanceof Action.Perform && ((Action.Perform) action).act().equals("let-go")
                && hold == IN_HAND) {
            hold = FREE;
        } else {
            throw new IllegalArgumentException("The hanging spring can't do that now");
        }
        timer.startAfresh();
        begin(y);
    }

    private double inReach(double x) {
        double low = SHORTEST - HangingSpring.NATURAL_LENGTH;
        double high = extensionAt(-REACH * frameHeight, mass);
        return Math.max(low, Math.min(high, x));
    }

    @Override
    public double read(int channel) {
        double x = state()[0];
        double v = state()[1];
        double resultant = k * x + damping * v - mass * gravity;
        switch (channel) {
            case 0:
                return x;
            case 1:
                return equilibrium() - x;
            case 2:
                return -v;
            case 3:
                return hold == FREE ? resultant / inertia : 0;
            case 4:
                return k * x;
            case 5:
                return hold == FREE ? resultant : 0;
            case 6:
                return 0.5 * inertia * v * v;
            case 7:
                return -mass * gravity * x;
            case 8:
                return 0.5 * k * x * x;
            case 9:
                return state()[2];
            case 10:
                return mechanical(state()) + state()[2];
            default:
                return timer.period();
        }
    }

    @Override
    public void scene(double[] out) {
        double x = state()[0];
        double size = halfSize(mass);
        double hook = -HangingSpring.NATURAL_LENGTH - x;
        out[0] = 0;
        out[1] = 0;
        out[2] = hook;
        out[3] = 0;
        out[4] = hook - size;
        out[5] = size;
        out[6] = hold == IN_HAND ? 1 : 0;
        out[7] = -HangingSpring.NATURAL_LENGTH;
        out[8] = -HangingSpring.NATURAL_LENGTH - equilibrium();
        out[9] = ARROW * frameHeight;
        out[10] = ARROW * frameHeight * k * x / (mass * gravity);
    }

    @Override
    protected double[] extra() {
        double[] t = timer.snapshot();
        return new double[] {hold, t[0], t[1], t[2], handTime, handSpeed};
    }

    @Override
    protected void restoreExtra(double[] e) {
        hold = e[0];
        timer.restore(e, 1);
        handTime = e[4];
        handSpeed = e[5];
    }
}
