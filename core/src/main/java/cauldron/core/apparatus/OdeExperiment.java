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
    /** So small a part of a step shows on which side a function stands just after the step's start. */
    private static final double CLEAR_OF_START = 1e-6;
    /** A function that is so many times what it was at its zero is another one. */
    private static final double NOISE = 1e3;
    /** At one instant no more than so many times the detectors there are may happen. */
    private static final int MOST_ROUNDS = 8;

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
    /** On which side of zero each detector's function stands just after the step's start; 0 where that doesn't show. */
    private double[] signs;
    /** Whether it is at its beginning, and what happens there hasn't happened yet. */
    private boolean unasked;

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
        unasked = true;
        startAfresh();
    }

    private void startAfresh() {
        start = time;
        atStart = now.clone();
        steps.from(atStart);
        for (int i = 0; i < signs.length; i++) {
            double now = detectors.get(i).isWatched() ? Math.signum(value(i, 0)) : 0;
            double side = now != 0 ? now : side(i);
            signs[i] = unasked && detectors.get(i).happensAlready(side) ? -side : side;
        }
        prepareStep();
    }

    /** The side of zero on which a function stands just after the step's start; 0 where it isn't watched or doesn't show. */
    private double side(int which) {
        if (!detectors.get(which).isWatched()) {
            return 0;
        }
        double ahead = Math.signum(value(which, CLEAR_OF_START * step(atStart)));
        return ahead != 0 ? ahead : Math.signum(value(which, 0));
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
        if (unasked) {
            happenings(-1, sink);
            prepareStep();
        }
        double target = Math.min(time, over.get());
        while (target >= end) {
            System.arraycopy(atEnd, 0, atStart, 0, size);
            start = end;
            if (eventAtEnd >= 0) {
                happenings(eventAtEnd, sink);
            }
            stepped(start, atStart);
            target = Math.min(target, over.get());
            prepareStep();
        }
        this.time = target;
        now = target == start ? atStart.clone() : part(target - start);
    }

    /**
     * All that happens at the start of the step, at one instant: what was found there, and what that brings about. What
     * happens may move the state and exchange functions, so that each is asked anew on which side it stands. Only the
     * one that has just changed its sign by itself is left on its new side, where rounding may hide it.
     */
    private void happenings(int found, EventSink sink) {
        unasked = false;
        int which = found;
        for (int left = MOST_ROUNDS * signs.length; left > 0; left--) {
            if (which >= 0) {
                double before = value(which, 0);
                signs[which] = -signs[which];
                detectors.get(which).passed(signs[which] > 0, start, atStart, sink);
                double after = value(which, 0);
                steps.from(atStart);
                if (Math.abs(after) > NOISE * Math.abs(before)) {
                    // Its function is another one now, and stands clear of zero, however little.
                    signs[which] = Math.signum(after);
                } else if (after != before || after == 0 || !detectors.get(which).isWatched()) {
                    lookAnew(which);
                }
            } else {
                steps.from(atStart);
            }
            which = broughtAbout(which);
            if (which < 0) {
                return;
            }
        }
    }

    /** The next one that what happened at this instant has put on its other side; -1 if none. */
    private int broughtAbout(int happened) {
        for (int i = 0; i < signs.length; i++) {
            if (i == happened) {
                continue;
            }
            if (signs[i] != 0 && detectors.get(i).isWatched() && signs[i] == Math.signum(value(i, 0))) {
                // It may pass zero a hair later; then it is found there, not taken for having happened here.
                continue;
            }
            if (signs[i] != 0 && side(i) == -signs[i]) {
                return i;
            }
            lookAnew(i);
        }
        return -1;
    }

    /** Where a function stands; what rests at zero keeps its side. */
    private void lookAnew(int which) {
        double side = side(which);
        if (side != 0 || !detectors.get(which).isWatched()) {
            signs[which] = side;
        }
    }

    private void prepareStep() {
        steps.from(atStart);
        double h = step(atStart);
        atEnd = part(h);
        end = start + h;
        eventAtEnd = -1;
        double at = h;
        for (int i = 0; i < signs.length; i++) {
            if (!detectors.get(i).isWatched()) {
                signs[i] = 0;
                continue;
            }
            if (signs[i] == 0) {
                signs[i] = side(i);
            }
            double ahead = at == h ? detectors.get(i).value(start + h, atEnd) : value(i, at);
            if (signs[i] * ahead < 0) {
                at = locate(i, signs[i], at);
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
            return 3 + 2 * size + signs.length;
        }

        @Override
        public void save(double[] out, int at) {
            out[at] = time;
            out[at + 1] = start;
            System.arraycopy(now, 0, out, at + 2, size);
            System.arraycopy(atStart, 0, out, at + 2 + size, size);
            System.arraycopy(signs, 0, out, at + 2 + 2 * size, signs.length);
            out[at + 2 + 2 * size + signs.length] = unasked ? 1 : 0;
        }

        @Override
        public void restore(double[] in, int at) {
            time = in[at];
            start = in[at + 1];
            now = Arrays.copyOfRange(in, at + 2, at + 2 + size);
            atStart = Arrays.copyOfRange(in, at + 2 + size, at + 2 + 2 * size);
            System.arraycopy(in, at + 2 + 2 * size, signs, 0, signs.length);
            unasked = in[at + 2 + 2 * size + signs.length] != 0;
        }
    }
}
