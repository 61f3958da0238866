package cauldron.core.apparatus.springtrolley;

import cauldron.core.apparatus.Act;
import cauldron.core.apparatus.Handle;
import cauldron.core.apparatus.OdeExperiment;
import cauldron.core.apparatus.Outcomes;
import cauldron.core.apparatus.Readings;
import cauldron.core.apparatus.Register;
import cauldron.core.apparatus.Scene;
import cauldron.core.apparatus.Settings;

/**
 * A trolley of mass m on level rails, s = 0 where the cord goes slack and negative where it is drawn back:
 * <pre>m s'' = −k s − c m g   while the cord is taut,   m s'' = −c m g   from then on</pre>
 * (Hooke's law; rolling friction in proportion to the load, D. Tabor, Phil. Mag. 43, 1055, 1952). A winch draws it
 * back evenly first, against spring and friction; its work is what the account is held
 * against. The closed form for the speed at the slack cord is v² = k x₀²/m − 2 c g x₀.
 *
 * <p>Where friction holds it, or stops it before the cord is slack, it stays: that end of the run is rest like any
 * other, with what is left in the spring. The buffer stops it for good.
 *
 * <p>Assumptions: cord, spring and pulley have no mass, the pulley turns freely, nothing swings; rolling friction
 * doesn't depend on the speed, and the air's drag is left out (0.006 N at 1 m/s, a tenth of a usual friction).
 */
final class SpringTrolleyExperiment extends OdeExperiment {

    private static final double GRAVITY = 9.81;
    /** The winch's speed in m/s: slow enough to read the dial against the ruler on any frame. */
    private static final double WINCH = 0.05;
    private static final double STEP = 1.0 / 480;
    private static final int HOME = 0;
    private static final int DRAWING = 1;
    private static final int LATCHED = 2;
    private static final int TAUT = 3;
    private static final int COASTING = 4;
    private static final int STOPPED = 5;
    /** How high a load of 1 kg stands on the trolley, in m, and what the empty trolley has. */
    private static final double HEIGHT_OF_LOAD = 0.075;
    private static final double EMPTY = 0.3;
    /** How many turns a spring is drawn with: fewer, the larger the dial it needs. */
    private static final int MOST_COILS = 26;
    private static final double SWING = 270;

    private final SpringTrolley d;
    private final int s = variable("position, m");
    private final int v = variable("velocity, m/s");
    private final int heat = variable("thermal energy, J");
    private final int work = variable("work of the winch, J");
    private final Register phase = register(HOME);
    private final Register before = register(HOME);
    private final Register freedFrom = register(Double.NaN);
    private final Register slackSpeed = register(Double.NaN);
    private final double k;
    private final double m;
    private final double back;
    private double c;

    SpringTrolleyExperiment(SpringTrolley declared, Settings settings) {
        super(declared, settings);
        d = declared;
        k = declared.constant(settings);
        m = settings.si(declared.mass);
        back = settings.si(declared.back);
        when("latch", s).fallsTo(-back).then((rising, t, y, sink) -> {
            if (phase.get() == DRAWING) {
                y[s] = -back;
                halt(y);
                phase.set(LATCHED);
                sink.event(d.drawn, t);
            }
        });
        when("slack", s).risesTo(0).then((rising, t, y, sink) -> {
            if (phase.get() == TAUT) {
                y[s] = 0;
                phase.set(COASTING);
                slackSpeed.set(y[v]);
                sink.event(d.slack, t);
            }
        });
        when("rest", v).fallsTo(0).then((rising, t, y, sink) -> {
            if (rolls()) {
                stop(t, y, sink);
            }
        });
        when("buffer", s).risesTo(SpringTrolley.END).then((rising, t, y, sink) -> {
            y[s] = SpringTrolley.END;
            stop(t, y, sink);
        });
        apply(settings);
        boolean ready = settings.on(declared.latched);
        phase.set(ready ? LATCHED : HOME);
        begin(ready ? -back : 0, 0, 0, ready ? 0.5 * k * back * back : 0);
    }

    @Override
    protected void apply(Settings settings) {
        c = settings.si(d.rolling);
    }

    private boolean rolls() {
        return phase.get() == TAUT || phase.get() == COASTING;
    }

    /** Brings it to rest; what it moved with is heat. */
    private void halt(double[] y) {
        y[heat] += 0.5 * m * y[v] * y[v];
        y[v] = 0;
    }

    private void stop(double t, double[] y, EventSink sink) {
        halt(y);
        before.set(phase.get());
        phase.set(STOPPED);
        sink.event(d.rest, t);
        end(t);
    }

    /** The spring is stretched by what the trolley is drawn back, as long as the cord hangs on its pin. */
    private double stretch(double[] y) {
        return isTaut() ? Math.max(0, -y[s]) : 0;
    }

    private boolean isTaut() {
        return phase.get() <= TAUT || phase.get() == STOPPED && before.get() == TAUT;
    }

    /** Rolling friction while it moves, in N. */
    private double friction() {
        return c * m * GRAVITY;
    }

    /** Friction on it now, rightwards: against the motion, or, at rest and let go, as much as holds it. */
    private double held(double[] y) {
        return phase.get() == DRAWING ? friction() : rolls() ? -friction() : phase.get() == STOPPED ? -k * stretch(y)
                : 0;
    }

    @Override
    protected void law(double t, double[] y, double[] dy) {
        if (phase.get() == DRAWING) {
            dy[s] = y[v];
            dy[heat] = friction() * WINCH;
            dy[work] = (friction() - k * y[s]) * WINCH;
        } else if (rolls()) {
            dy[s] = y[v];
            dy[v] = (phase.get() == TAUT ? -k * y[s] - friction() : -friction()) / m;
            dy[heat] = friction() * y[v];
        }
    }

    @Override
    protected double step(double[] y) {
        return STEP;
    }

    @Override
    protected void performed(Act act, Settings with, EventSink sink) {
        double[] y = state();
        if (act == d.draw) {
            phase.set(DRAWING);
            y[v] = -WINCH;
            y[work] += 0.5 * m * WINCH * WINCH;
            return;
        }
        halt(y);
        phase.set(TAUT);
        freedFrom.set(-y[s]);
        sink.event(d.freed, time());
        if (stretch(y) * k <= friction()) {
            stop(time(), y, sink);
        }
    }

    @Override
    protected void grabbed(Handle handle, EventSink sink) {
        throw new IllegalArgumentException("Restart to draw it back again");
    }

    @Override
    public void read(Readings out) {
        double[] y = state();
        double x = stretch(y);
        out.put(d.stretch, x);
        out.put(d.springForce, k * x);
        out.put(d.position, y[s]);
        out.put(d.velocity, y[v]);
        out.put(d.acceleration, rolls() ? (k * x + held(y)) / m : 0);
        out.put(d.friction, Math.abs(held(y)));
        out.put(d.kinetic, 0.5 * m * y[v] * y[v]);
        out.put(d.elastic, 0.5 * k * x * x);
        out.put(d.thermal, y[heat]);
        out.put(d.total, y[work]);
    }

    @Override
    public void outcomes(Outcomes out) {
        if (!Double.isNaN(slackSpeed.get())) {
            double given = 0.5 * k * freedFrom.get() * freedFrom.get();
            double kept = 0.5 * m * slackSpeed.get() * slackSpeed.get();
            out.put(d.slackSpeed, slackSpeed.get());
            out.put(d.given, given);
            out.put(d.kept, kept);
            out.put(d.share, (given - kept) / given);
        }
    }

    @Override
    public void scene(Scene out) {
        double[] y = state();
        double x = stretch(y);
        out.put(d.trolley, y[s], 0.05);
        out.put(d.half, SpringTrolley.HALF_LENGTH);
        out.put(d.load, HEIGHT_OF_LOAD * (m - EMPTY));
        out.put(d.deck, 0);
        out.put(d.buffer, SpringTrolley.END + SpringTrolley.HALF_LENGTH);
        out.put(d.latchAt, -back - SpringTrolley.HALF_LENGTH);
        out.put(d.pulley, SpringTrolley.PULLEY, 0.5 * (SpringTrolley.PIN + SpringTrolley.BAY));
        out.put(d.held, SpringTrolley.HELD_AT);
        out.put(d.free, SpringTrolley.RELAXED_END + x, SpringTrolley.BAY);
        double full = d.dialFor(settings());
        long turns = MOST_COILS - 4 * Math.round(Math.log(full / 5) / Math.log(2));
        out.put(d.coils, turns);
        out.put(d.pitch, (SpringTrolley.RELAXED_END + x - SpringTrolley.HELD_AT - 2 * SpringTrolley.LEAD) / turns);
        out.put(d.ring, isTaut() ? y[s] : 0, SpringTrolley.PIN);
        out.put(d.dial, SpringTrolley.DIAL, SpringTrolley.BAY);
        out.put(d.full, full);
        double turned = Math.toRadians(-SWING / 2 + SWING * k * x / full);
        out.put(d.tip, SpringTrolley.DIAL + SpringTrolley.HAND * Math.sin(turned),
                SpringTrolley.BAY + SpringTrolley.HAND * Math.cos(turned));
        out.put(d.taut, isTaut());
        out.put(d.caught, phase.get() == DRAWING && y[s] < 0 || phase.get() == LATCHED);
        out.put(d.home, phase.get() == HOME);
        boolean winds = phase.get() == DRAWING;
        out.put(d.pull, k * x, 0);
        out.put(d.hold, winds ? -k * x - friction() : phase.get() == LATCHED ? -k * x : 0, 0);
        out.put(d.drag, held(y), 0);
    }
}
