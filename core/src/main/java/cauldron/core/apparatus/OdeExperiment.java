package cauldron.core.apparatus;

import org.hipparchus.analysis.solvers.BrentSolver;
import org.hipparchus.ode.OrdinaryDifferentialEquation;
import org.hipparchus.ode.nonstiff.LutherIntegrator;

/**
 * An experiment ruled by ordinary differential equations y' = f(y), with events where a switching
 * function changes sign.
 *
 * <p>It steps with Luther's sixth-order Runge–Kutta method (H. A. Luther, Math. Comp. 22 (1968) 434) on
 * a grid of its own, started afresh at every event and every action, so that a law which changes there
 * (a catch, a stop, the turn of a drag force) never lies inside a step. The state between two grid
 * points is one shorter step from the first of them: as exact as the grid, and independent of how often
 * the display asks.
 */
public abstract class OdeExperiment implements Experiment {

    /** Steps of the grid between two looks for a condition to stop at: some eighty looks in a period. */
    private static final int STEPS_BETWEEN_LOOKS = 5;
    private static final double TIME_ACCURACY = 1e-14;
    /** Values at the head of a snapshot: time, start of the step, settings in force. */
    private static final int HEAD = 3;
    private static final int MAX_EVALUATIONS = 100;
    /** Shortest part of a step in which a second event is looked for after one at its start. */
    private static final double CLEAR_OF_START = 1e-6;

    private final int size;
    private final int switches;
    private final LutherIntegrator integrator = new LutherIntegrator(1);
    private final OrdinaryDifferentialEquation equation;
    private final BrentSolver solver = new BrentSolver(TIME_ACCURACY, TIME_ACCURACY, 1e-300);

    private final SettingsInForce inForce;

    private double time;
    private double[] now;
    private double start;
    private double[] atStart;
    private double end;
    private double[] atEnd;
    private int eventAtEnd;
    /** Sign of each switching function when it was last clear of zero. */
    private final double[] signs;

    /**
     * Prepares the integrator; call {@link #apply} and {@link #begin} before use.
     *
     * @param size     length of the state
     * @param switches number of switching functions
     */
    protected OdeExperiment(Manifest manifest, Settings settings, int size, int switches) {
        this.inForce = new SettingsInForce(manifest, settings);
        this.size = size;
        this.switches = switches;
        this.signs = new double[switches];
        this.equation = new OrdinaryDifferentialEquation() {
            @Override
            public int getDimension() {
                return OdeExperiment.this.size;
            }

            @Override
            public double[] computeDerivatives(double t, double[] y) {
                double[] dy = new double[y.length];
                derivatives(y, dy);
                return dy;
            }
        };
    }

    /** The law of motion: fills in dy for y. */
    protected abstract void derivatives(double[] y, double[] dy);

    /** The length of a grid step in seconds under the present law. */
    protected abstract double step();

    @Override
    public double resolution() {
        return STEPS_BETWEEN_LOOKS * step();
    }

    /** The value of a switching function in a state. */
    protected abstract double switching(int which, double[] y);

    /** Called at each change of sign, with the exact state; may change it. */
    protected abstract void switched(int which, boolean rising, double atTime, double[] y, EventSink sink);

    /** Takes the settings that are in force from now on. */
    protected abstract void apply(Settings settings);

    /** Values beyond state and settings that a snapshot must hold: phases, last crossings. */
    protected abstract double[] extra();

    /** Takes back what {@link #extra} gave. */
    protected abstract void restoreExtra(double[] extra);

    /** Starts, or starts again after an action, from a state at the present time. */
    protected final void begin(double[] y) {
        now = y.clone();
        start = time;
        atStart = y.clone();
        for (int i = 0; i < switches; i++) {
            signs[i] = Math.signum(switching(i, atStart));
        }
        prepareStep();
    }

    /** Changes one setting, if it may change while it runs. */
    protected final void change(Action.Change change) {
        apply(inForce.change(change));
    }

    /** The state now; not to be written to. */
    protected final double[] state() {
        return now;
    }

    @Override
    public final Settings settings() {
        return inForce.now();
    }

    @Override
    public final double time() {
        return time;
    }

    @Override
    public final void advanceTo(double target, EventSink sink) {
        while (target >= end) {
            System.arraycopy(atEnd, 0, atStart, 0, size);
            start = end;
            if (eventAtEnd >= 0) {
                signs[eventAtEnd] = -signs[eventAtEnd];
                switched(eventAtEnd, signs[eventAtEnd] > 0, start, atStart, sink);
            }
            for (int i = 0; i < switches; i++) {
                if (signs[i] == 0) {
                    signs[i] = Math.signum(switching(i, atStart));
                }
            }
            prepareStep();
        }
        time = target;
        now = target == start ? atStart.clone() : part(target - start);
    }

    private void prepareStep() {
        double h = step();
        atEnd = part(h);
        end = start + h;
        eventAtEnd = -1;
        double at = h;
        for (int i = 0; i < switches; i++) {
            double sign = signs[i] != 0 ? signs[i] : Math.signum(switching(i, part(CLEAR_OF_START * h)));
            if (signs[i] == 0) {
                signs[i] = sign;
            }
            if (sign * switching(i, part(at)) < 0) {
                at = locate(i, sign, at);
                eventAtEnd = i;
            }
        }
        if (eventAtEnd >= 0) {
            atEnd = part(at);
            end = start + at;
        }
    }

    private double locate(int which, double sign, double upTo) {
        // At the start itself the function may still show the old sign's rounding of zero.
        double from = sign * switching(which, atStart) > 0 ? 0 : CLEAR_OF_START * upTo;
        if (sign * switching(which, part(from)) <= 0) {
            return from;
        }
        return solver.solve(MAX_EVALUATIONS, t -> switching(which, part(t)), from, upTo);
    }

    private double[] part(double h) {
        return h == 0 ? atStart.clone() : integrator.singleStep(equation, 0, atStart, h);
    }

    @Override
    public final double[] snapshot() {
        double[] extra = extra();
        double[] out = new double[HEAD + 2 * size + switches + extra.length];
        out[0] = time;
        out[1] = start;
        out[2] = inForce.mark();
        System.arraycopy(now, 0, out, HEAD, size);
        System.arraycopy(atStart, 0, out, HEAD + size, size);
        System.arraycopy(signs, 0, out, HEAD + 2 * size, switches);
        System.arraycopy(extra, 0, out, HEAD + 2 * size + switches, extra.length);
        return out;
    }

    @Override
    public final void restore(double[] snapshot) {
        time = snapshot[0];
        start = snapshot[1];
        apply(inForce.restore(snapshot[2]));
        System.arraycopy(snapshot, HEAD, now, 0, size);
        System.arraycopy(snapshot, HEAD + size, atStart, 0, size);
        System.arraycopy(snapshot, HEAD + 2 * size, signs, 0, switches);
        double[] extra = new double[snapshot.length - HEAD - 2 * size - switches];
        System.arraycopy(snapshot, HEAD + 2 * size + switches, extra, 0, extra.length);
        restoreExtra(extra);
        prepareStep();
    }
}
