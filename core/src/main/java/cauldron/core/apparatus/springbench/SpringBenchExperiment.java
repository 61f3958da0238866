package cauldron.core.apparatus.springbench;

import cauldron.core.apparatus.Act;
import cauldron.core.apparatus.Amount;
import cauldron.core.apparatus.Choice;
import cauldron.core.apparatus.Profile;
import cauldron.core.apparatus.ProfileLines;
import cauldron.core.apparatus.Readings;
import cauldron.core.apparatus.Register;
import cauldron.core.apparatus.Scene;
import cauldron.core.apparatus.Setting;
import cauldron.core.apparatus.Settings;
import cauldron.core.apparatus.StepsExperiment;
import cauldron.core.apparatus.springbench.SpringBench.Arrangement;
import cauldron.core.apparatus.springbench.SpringBench.Make;
import cauldron.core.quantity.Numbers;
import java.util.function.DoubleUnaryOperator;

/**
 * One or two {@link BufferSpring buffer springs} in a press that is turned slowly: force and displacement are in equilibrium
 * at every step. End to end they bear the same force and their extensions add; side by side they are as long as each other
 * and their forces add (Halliday, Resnick, Walker, Fundamentals of Physics, 10th ed., ch. 15 problems; any text on statics).
 * The work of the press is the area under force along displacement, exact for the straight stretches that it has.
 *
 * <p>Assumptions: the plate is guided, springs don't buckle or touch, press and plates are rigid, gravity acts across.
 */
final class SpringBenchExperiment extends StepsExperiment {

    private static final double SCREW_PITCH = 0.005;
    private static final double GRIP = 0.07;
    private static final int HALVINGS = 200;
    private static final double ROUNDING = 1e-9;

    private final SpringBench d;
    private final Arrangement arrangement;
    private final BufferSpring first;
    private final BufferSpring second;
    private final Register force = register(0);
    private final Register displacement = register(0);
    private final Register work = register(0);
    private final PressPath path = remember(new PressPath());

    SpringBenchExperiment(SpringBench declared, Settings s) {
        super(declared, s);
        d = declared;
        arrangement = s.value(d.arrangement);
        double limit = s.on(d.limited) ? s.si(d.limit) : Double.POSITIVE_INFINITY;
        first = new BufferSpring(stiffness(s, d.make, d.stiffness), limit, register(0), register(0));
        second = new BufferSpring(stiffness(s, d.secondMake, d.secondStiffness), limit, register(0), register(0));
    }

    private static double stiffness(Settings s, Choice<Make> make, Amount own) {
        return s.value(make) == Make.OWN ? s.si(own) : s.value(make).k;
    }

    private double extensionAt(double f) {
        switch (arrangement) {
            case ONE:
                return first.extensionAt(f);
            case SERIES:
                return first.extensionAt(f) + second.extensionAt(f);
            default:
                return solve(x -> first.forceAt(x) + second.forceAt(x), f, 2 * SpringBench.OUT);
        }
    }

    private double forceAt(double x) {
        switch (arrangement) {
            case ONE:
                return first.forceAt(x);
            case PARALLEL:
                return first.forceAt(x) + second.forceAt(x);
            default:
                return solve(f -> first.extensionAt(f) + second.extensionAt(f), x, 2 * SpringBench.STRONGEST);
        }
    }

    /** Where a rising function has a value, between −reach and reach; one of the two where it lies beyond. */
    private static double solve(DoubleUnaryOperator rising, double value, double reach) {
        double low = -reach;
        double high = reach;
        for (int i = 0; i < HALVINGS; i++) {
            double middle = 0.5 * (low + high);
            if (rising.applyAsDouble(middle) < value) {
                low = middle;
            } else {
                high = middle;
            }
        }
        return high;
    }

    @Override
    protected void performed(Act act, Settings with, EventSink sink) {
        double step = settings().si(d.step);
        if (act == d.more) {
            press(force.get() + step, sink);
        } else if (act == d.less) {
            press(force.get() - step, sink);
        } else if (act == d.setForce) {
            press(with.si(d.wantedForce), sink);
        } else if (act == d.setPlace) {
            double x = with.si(d.wantedPlace);
            double f = forceAt(x);
            if (Math.abs(f) > SpringBench.STRONGEST) {
                throw new IllegalArgumentException("That needs more than the press has: it pulls and pushes up to "
                        + Numbers.printShort(SpringBench.STRONGEST) + " N");
            }
            press(f, x, sink);
        } else {
            press(0, sink);
        }
    }

    /** Steps add up to whole newtons, not to a billionth beside them. */
    private void press(double wanted, EventSink sink) {
        double f = Math.abs(wanted - Math.rint(wanted)) < ROUNDING ? Math.rint(wanted) : wanted;
        if (Math.abs(f) > SpringBench.STRONGEST + ROUNDING) {
            throw new IllegalArgumentException("The press pulls and pushes up to " + Numbers.printShort(SpringBench.STRONGEST)
                    + " N");
        }
        double x = extensionAt(f);
        if (x > SpringBench.OUT + ROUNDING || x < -SpringBench.IN - ROUNDING) {
            throw new IllegalArgumentException("The screw ends at "
                    + Numbers.printShort(100 * (x > 0 ? SpringBench.OUT : SpringBench.IN))
                    + " cm, before that force is reached");
        }
        press(f, x, sink);
    }

    private void press(double f, double x, EventSink sink) {
        double[] corners = new double[4];
        int bends = bends(f, corners);
        for (int i = 0; i < bends; i++) {
            walkTo(corners[2 * i], corners[2 * i + 1]);
        }
        double f1 = arrangement == Arrangement.PARALLEL ? first.forceAt(x) : f;
        double f2 = arrangement == Arrangement.PARALLEL ? second.forceAt(x) : f;
        walkTo(x, f);
        first.load(f1);
        if (arrangement != Arrangement.ONE) {
            second.load(f2);
        }
        sink.event(d.pressed, time());
        if (bends > 0) {
            sink.event(d.yielded, time());
        }
    }

    /** Where on the way to a force the line bends since a spring begins to give way: x and F, the nearest first. */
    private int bends(double f, double[] corners) {
        int n = 0;
        BufferSpring[] springs = arrangement == Arrangement.ONE ? new BufferSpring[] {first} : new BufferSpring[] {first, second};
        for (BufferSpring spring : springs) {
            double share = arrangement == Arrangement.PARALLEL ? spring.forceAt(extensionAt(f)) : f;
            double own = spring.yieldsOnTheWayTo(share);
            if (!Double.isNaN(own)) {
                double atForce = arrangement == Arrangement.PARALLEL ? forceAt(own) : spring.forceAt(own);
                corners[2 * n] = arrangement == Arrangement.PARALLEL ? own : extensionAt(atForce);
                corners[2 * n + 1] = atForce;
                n++;
            }
        }
        if (n == 2 && Math.abs(corners[1] - force.get()) > Math.abs(corners[3] - force.get())) {
            double[] later = {corners[0], corners[1]};
            corners[0] = corners[2];
            corners[1] = corners[3];
            corners[2] = later[0];
            corners[3] = later[1];
        }
        return n;
    }

    private void walkTo(double x, double f) {
        work.add(0.5 * (force.get() + f) * (x - displacement.get()));
        displacement.set(x);
        force.set(f);
        path.add(x, f);
    }

    private double firstForce() {
        return arrangement == Arrangement.PARALLEL ? first.forceAt(displacement.get()) : force.get();
    }

    private double secondForce() {
        return arrangement == Arrangement.PARALLEL ? second.forceAt(displacement.get()) : force.get();
    }

    @Override
    protected void changed(Setting setting, Settings before, EventSink sink) {
        throw impossible();
    }

    @Override
    public void read(Readings out) {
        boolean two = arrangement != Arrangement.ONE;
        double stored = first.stored(firstForce()) + (two ? second.stored(secondForce()) : 0);
        double lost = first.lost() + (two ? second.lost() : 0);
        out.put(d.force, force.get());
        // Not −0 where nothing pulls.
        out.put(d.springForce, 0 - force.get());
        out.put(d.displacement, displacement.get());
        out.put(d.permanent, extensionAt(0));
        out.put(d.firstForce, two ? firstForce() : Double.NaN);
        out.put(d.secondForce, two ? secondForce() : Double.NaN);
        out.put(d.firstExtension, two ? first.extensionAt(firstForce()) : Double.NaN);
        out.put(d.secondExtension, two ? second.extensionAt(secondForce()) : Double.NaN);
        out.put(d.stored, stored);
        out.put(d.lost, lost);
        out.put(d.work, work.get());
    }

    @Override
    public void scene(Scene out) {
        double rest = d.restOf(settings());
        double at = rest + displacement.get();
        out.put(d.plate, at, 0);
        out.put(d.joint, SpringBench.NATURAL + first.extensionAt(firstForce()));
        out.put(d.rest, rest);
        out.put(d.grip, GRIP);
        out.put(d.standing, arrangement.ordinal());
        out.put(d.turns, displacement.get() / SCREW_PITCH);
        out.put(d.longer, displacement.get() > ROUNDING);
        out.put(d.shorter, displacement.get() < -ROUNDING);
        out.put(d.free, force.get() == 0);
        out.put(d.ofPress, force.get(), 0);
        out.put(d.ofSpring, 0 - force.get(), 0);
    }

    @Override
    public void profile(Profile profile, ProfileLines out) {
        out.line("so far");
        path.each(out::point);
        out.mark(displacement.get(), force.get());
    }
}
