package cauldron.core.apparatus;

import cauldron.core.Stateful;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.hipparchus.analysis.solvers.BrentSolver;

/**
 * An experiment ruled by ordinary differential equations y' = f(t, y), with {@link Detector detectors} beside the law.
 *
 * <p>It {@link LutherStep steps} with Luther's sixth-order Runge–Kutta method on a grid of its own, started afresh
 * wherever a detector's function changes its sign and at every action, so that a law which changes there (a catch, a
 * stop, the turn of a drag force) never lies inside a step. The state between two grid points is one shorter step from
 * the first of them: as exact as the grid, and independent of how often the display asks.
 *
 * <p>A law that says it {@link #isStiff} is followed by {@link StiffSteps} between grid points instead.
 *
 * <p>A subclass names its variables, registers and detectors, then takes its settings and calls {@link #begin}.
 */
public abstract class OdeExperiment extends Experiment {

    /** Steps of the grid between two looks for a condition to stop at: some eighty looks in a period. */
    private static final int STEPS_BETWEEN_LOOKS = 5;
    private static final double TIME_ACCURACY = 1e-14;
    private static final int MAX_EVALUATIONS = 100;
    /** Shortest part of a step in which a second event is looked for after one at its start. */
    private static final double CLEAR_OF_START = 1e-6;

    private final BrentSolver solver = new BrentSolver(TIME_ACCURACY, TIME_ACCURACY, 1e-300);
    private final List<Detector> detectors = new ArrayList<>();
    /** When it is over; infinite until it is known. */
    private final Register over = register(Double.POSITIVE_INFINITY);
    private int size;
    /** From the start of the grid step. */
    private Steps steps;

    private double time;
    private double[] now;
    private double start;
    private double[] atStart;
    private double end;
    private double[] atEnd;
    private int eventAtEnd;
    /** Sign of each detector's function when it was last clear of zero. */
    private double[] signs;

    /** An experiment of an apparatus under its first settings. */
    protected OdeExperiment(Apparatus apparatus, Settings settings) {
        super(apparatus, settings);
        remember(new Grid());
    }

    /**
     * Names one more variable of the state.
     *
     * @param inWords what it is and its SI unit
     * @return its place in the state: {@code y[theta]}
     */
    protected final int variable(String inWords) {
        if (now != null) {
            throw new IllegalStateException(inWords + ": variables are named before the beginning");
        }
        return size++;
    }

    /** Watches a variable. */
    protected final Detector when(String name, int variable) {
        return when(name, (t, y) -> y[variable]);
    }

    /** Watches a function of time and state. Those named first are asked first. */
    protected final Detector when(String name, Detector.Watched watched) {
        Detector detector = new Detector(name, watched);
        detectors.add(detector);
        return detector;
    }

    /** The law of motion: fills in dy for y at time t. */
    protected abstract void law(double t, double[] y, double[] dy);

    /**
     * Whether something in the law may die away far faster than a grid step. Its steps are then parted as their error
     * demands, so a grid step may be as long as what is watched allows; events are found in it all the same.
     */
    protected boolean isStiff() {
        return false;
    }

    /** The length of the next grid step in seconds under the present law, from a state. */
    protected abstract double step(double[] y);

    /**
     * Told of every point of the grid as it is left behind, events among them, for what has to be gathered along the way.
     * The grid is the same however often the display asks.
     */
    protected void stepped(double t, double[] y) {
        // Most laws remember nothing but their state.
    }

    /** Ends the run by itself; for what happens at a detector. */
    protected final void end(double t) {
        over.set(t);
    }

    @Override
    public final boolean isOver() {
        return time >= over.get();
    }

    /** Takes the settings that are in force from now on. */
    protected abstract void apply(Settings settings);

    /** Starts from a state at time 0, in the order in which the variables were named. */
    protected final void begin(double... y) {
        if (y.length != size) {
            throw new IllegalArgumentException(size + " variables were named, but " + y.length + " values begin");
        }
        signs = new double[detectors.size()];
        now = y;
        // Time counts from the start of the step, so that its length isn't rounded away late in a long run.
        Steps.Law law = (since, at, dy) -> {
            Arrays.fill(dy, 0);
            law(start + since, at, dy);
        };
        steps = isStiff() ? new StiffSteps(law, size) : new LutherStep(law, size);
        startAfresh();
    }

    private void startAfresh() {
        start = time;
        atStart = now.clone();
        for (int i = 0; i < signs.length; i++) {
            signs[i] = Math.signum(detectors.get(i).value(start, atStart));
        }
        prepareStep();
    }

    /** The state now. It may be written to only where something is being done to the experiment. */
    protected final double[] state() {
        return now;
    }

    @Override
    public double resolution() {
        return STEPS_BETWEEN_LOOKS * step(now);
    }

    @Override
    public final double time() {
        return time;
    }

    @Override
    public void act(Action action, EventSink sink) {
        double[] before = now;
        now = now.clone();
        try {
            super.act(action, sink);
        } catch (IllegalArgumentException e) {
            now = before;
            throw e;
        }
        startAfresh();
    }

    @Override
    protected void changed(Setting setting, Settings before, EventSink sink) {
        apply(settings());
    }

    @Override
    public final void advanceTo(double time, EventSink sink) {
        double target = Math.min(time, over.get());
        while (target >= end) {
            System.arraycopy(atEnd, 0, atStart, 0, size);
            start = end;
            if (eventAtEnd >= 0) {
                signs[eventAtEnd] = -signs[eventAtEnd];
                detectors.get(eventAtEnd).passed(signs[eventAtEnd] > 0, start, atStart, sink);
            }
            stepped(start, atStart);
            target = Math.min(target, over.get());
            for (int i = 0; i < signs.length; i++) {
                if (signs[i] == 0) {
                    signs[i] = Math.signum(detectors.get(i).value(start, atStart));
                }
            }
            prepareStep();
        }
        this.time = target;
        now = target == start ? atStart.clone() : part(target - start);
    }

    private void prepareStep() {
        steps.from(atStart);
        double h = step(atStart);
        atEnd = part(h);
        end = start + h;
        eventAtEnd = -1;
        double at = h;
        for (int i = 0; i < signs.length; i++) {
            double sign = signs[i] != 0 ? signs[i] : Math.signum(value(i, CLEAR_OF_START * h));
            if (signs[i] == 0) {
                signs[i] = sign;
            }
            double ahead = at == h ? detectors.get(i).value(start + h, atEnd) : value(i, at);
            if (sign * ahead < 0) {
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
        double from = sign * detectors.get(which).value(start, atStart) > 0 ? 0 : CLEAR_OF_START * upTo;
        if (sign * value(which, from) <= 0) {
            return from;
        }
        try {
            return solver.solve(MAX_EVALUATIONS, h -> value(which, h), from, upTo);
        } catch (RuntimeException e) {
            throw new IllegalStateException("“" + detectors.get(which) + "” after " + start + " s", e);
        }
    }

    /** The value of a detector's function so long after the start of the step. */
    private double value(int which, double h) {
        return detectors.get(which).value(start + h, part(h));
    }

    private double[] part(double h) {
        return h == 0 ? atStart.clone() : steps.to(h);
    }

    @Override
    protected void restored() {
        apply(settings());
        prepareStep();
    }

    /** Where on the grid it is. */
    private final class Grid implements Stateful {

        @Override
        public int size() {
            return 2 + 2 * size + signs.length;
        }

        @Override
        public void save(double[] out, int at) {
            out[at] = time;
            out[at + 1] = start;
            System.arraycopy(now, 0, out, at + 2, size);
            System.arraycopy(atStart, 0, out, at + 2 + size, size);
            System.arraycopy(signs, 0, out, at + 2 + 2 * size, signs.length);
        }

        @Override
        public void restore(double[] in, int at) {
            time = in[at];
            start = in[at + 1];
            now = Arrays.copyOfRange(in, at + 2, at + 2 + size);
            atStart = Arrays.copyOfRange(in, at + 2 + size, at + 2 + 2 * size);
            System.arraycopy(in, at + 2 + 2 * size, signs, 0, signs.length);
        }
    }
}
