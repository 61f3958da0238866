package cauldron.core.apparatus.glider;

import cauldron.core.apparatus.Action;
import cauldron.core.apparatus.Manifest;
import cauldron.core.apparatus.OdeExperiment;
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
 * <p>State: s (m), v (m/s), turning rate as part of full, energy lost to air film, buffer and hand (J) and work of
 * the thrust (J), both since the thread parted. What the glider moves with when it parts counts as work done before, so
 * that at any moment the work is what is in motion and what was lost.
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
    private static final double ARROW = 0.22;

    private static final int CUT = 0;
    private static final int BUFFER = 1;

    private double mass;
    private double full;
    private double throttle;
    private double drag;
    private double offset;
    private double added;

    private boolean started;
    private boolean parted;
    private boolean stopped;
    private boolean inHand;

    PropellerGliderExperiment(Manifest manifest, Settings settings) {
        super(manifest, settings, 5, 2);
        apply(settings);
        parted = settings.on("cut");
        begin(new double[5]);
    }

    @Override
    protected void apply(Settings s) {
        added = s.amount("added") / 1000;
        mass = s.amount("glider") / 1000 + added;
        full = s.amount("thrust");
        throttle = s.amount("throttle") / 100;
        drag = s.amount("drag");
        offset = s.amount("offset");
    }

    private double thrust(double[] y) {
        return full * y[2] * y[2] * (1 - y[1] / NO_THRUST);
    }

    private double pull(double[] y) {
        if (parted) {
            return 0;
        }
        return Math.max(0, PropellerGlider.SCALE_STIFFNESS * y[0] + SCALE_DAMPER * y[1]);
    }

    @Override
    protected void derivatives(double[] y, double[] dy) {
        boolean moves = !stopped && !inHand;
        dy[0] = moves ? y[1] : 0;
        dy[1] = moves ? (thrust(y) - drag * y[1] - pull(y)) / mass : 0;
        dy[2] = started ? (throttle - y[2]) / SPIN_UP : 0;
        dy[3] = moves && parted ? drag * y[1] * y[1] : 0;
        dy[4] = moves && parted ? thrust(y) * y[1] : 0;
    }

    @Override
    protected double step() {
        return STEP;
    }

    @Override
    protected double switching(int which, double[] y) {
        return which == 0 ? y[0] - PropellerGlider.TRACK_END : y[0];
    }

    @Override
    protected void switched(int which, boolean rising, double atTime, double[] y, EventSink sink) {
        if (which == 1) {
            if (!rising) {
                y[0] = 0;
                stop(y);
            }
        } else if (rising) {
            y[0] = PropellerGlider.TRACK_END;
            stop(y);
            stopped = true;
            sink.event(BUFFER, atTime);
        }
    }

    /** Brings it to rest; once the thread has parted, what it had goes into the account. */
    private void stop(double[] y) {
        y[3] += parted ? 0.5 * mass * y[1] * y[1] : 0;
        y[1] = 0;
    }

    @Override
    public void act(Action action, EventSink sink) {
        double[] y = state().clone();
        if (action instanceof Action.Change) {
            change((Action.Change) action);
        } else if (action instanceof Action.Perform && ((Action.Perform) action).act().equals("start") && !started) {
            started = true;
        } else if (action instanceof Action.Perform && ((Action.Perform) action).act().equals("cut") && !parted) {
            parted = true;
            y[4] = 0.5 * mass * y[1] * y[1];
            sink.event(CUT, time());
        } else if (action instanceof Action.Grab) {
            if (!parted) {
                throw new IllegalArgumentException("The glider hangs on its thread: cut the thread first");
            }
            inHand = true;
            stopped = false;
            stop(y);
        } else if (action instanceof Action.Move && inHand) {
            y[0] = Math.max(0, Math.min(PropellerGlider.TRACK_END - 1e-6, ((Action.Move) action).x()));
        } else if (action instanceof Action.LetGo && inHand) {
            inHand = false;
        } else {
            throw new IllegalArgumentException(started && parted ? "The propeller runs and the thread is cut already"
                    : "The glider can't do that now");
        }
        begin(y);
    }

    @Override
    public double read(int channel) {
        double[] y = state();
        double resultant = stopped || inHand ? 0 : thrust(y) - drag * y[1] - pull(y);
        switch (channel) {
            case 0:
                return y[0];
            case 1:
                return y[1];
            case 2:
                return resultant / mass;
            case 3:
                return thrust(y);
            case 4:
                return pull(y);
            case 5:
                return resultant;
            case 6:
                return 0.5 * mass * y[1] * y[1];
            case 7:
                return y[3];
            default:
                return y[4];
        }
    }

    @Override
    public void scene(double[] out) {
        double[] y = state();
        double stretch = parted ? 0 : pull(y) / PropellerGlider.SCALE_STIFFNESS;
        double moved = stretch + offset / PropellerGlider.SCALE_STIFFNESS;
        out[0] = y[0];
        out[1] = 0.045;
        out[2] = HALF_LENGTH;
        out[3] = 0;
        out[4] = PropellerGlider.TRACK_END + HALF_LENGTH;
        out[5] = PropellerGlider.HOOK + stretch;
        out[6] = PropellerGlider.POINTER + moved;
        out[7] = PropellerGlider.POINTER;
        out[8] = 1 / PropellerGlider.SCALE_STIFFNESS;
        out[9] = parted ? 0 : 1;
        out[10] = parted ? 1 : 0;
        out[11] = started ? 1 : 0;
        out[12] = 0.0001 * Math.rint(added * 1000);
        double perNewton = ARROW / 1.0;
        out[13] = perNewton * thrust(y);
        out[14] = perNewton * pull(y);
        out[15] = perNewton * drag * y[1];
    }

    @Override
    protected double[] extra() {
        return new double[] {started ? 1 : 0, parted ? 1 : 0, stopped ? 1 : 0, inHand ? 1 : 0};
    }

    @Override
    protected void restoreExtra(double[] e) {
        started = e[0] != 0;
        parted = e[1] != 0;
        stopped = e[2] != 0;
        inHand = e[3] != 0;
    }
}
