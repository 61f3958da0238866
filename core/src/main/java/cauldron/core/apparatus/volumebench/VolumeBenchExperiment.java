package cauldron.core.apparatus.volumebench;

import cauldron.core.RandomSource;
import cauldron.core.apparatus.Act;
import cauldron.core.apparatus.Outcomes;
import cauldron.core.apparatus.Readings;
import cauldron.core.apparatus.Register;
import cauldron.core.apparatus.Scene;
import cauldron.core.apparatus.Setting;
import cauldron.core.apparatus.Settings;
import cauldron.core.apparatus.StepsExperiment;
import cauldron.core.apparatus.volumebench.VolumeBench.Drops;
import cauldron.core.apparatus.volumebench.VolumeBench.How;
import cauldron.core.apparatus.volumebench.VolumeBench.Spot;
import cauldron.core.apparatus.volumebench.VolumeBench.Stand;
import cauldron.core.apparatus.volumebench.VolumeBench.Where;

/**
 * Water and things on the sampling table. Nothing is lost: what leaves one vessel is in another, in the sink, or on the
 * table and the cloth. The levels follow from volumes and displacement ({@link Immersion}), the surfaces from
 * capillarity ({@link Meniscus}), what is read from where the eye is ({@link Sight}).
 *
 * <p>Assumptions: water of 20 °C; a thing dips in as an upright prism; a wet thing carries a film of water ({@link
 * Vessel#FILM}) over six times the two-thirds power of its volume, as a cube has; a hand pours what it wants to within
 * 3 % and a quarter of a millilitre; a drop is 0.05 mL; buoyancy in air, a thousandth, is left out on the balance.
 * Things of one kind differ by up to 4 % in length, by the seed.
 */
final class VolumeBenchExperiment extends StepsExperiment {

    private static final double ML = 1e-6;
    private static final double JUGFUL = 1e-3;
    private static final double DROP = 0.05 * ML;
    private static final double UNSTEADY = 0.03;
    private static final double CLUMSY = 0.25 * ML;
    /** What a balance can carry and what it can tell, in kg. */
    private static final double CARRIES = 0.5;
    private static final double TELLS = 1e-5;
    private static final double LOOSE = 0.0005;
    private static final double CLEAR = 0.005;
    private static final double NOTHING = -1;
    /** More than there is, in m³. */
    private static final double MOST = 1;

    private final VolumeBench d;
    private final int seed;
    private final OnTable t;
    private final Register tare = register(0);
    private final Register eye = register(0);
    private final Register last = register(NOTHING);
    private final Register ranOver = register(0);
    private final Register justRan = register(0);

    VolumeBenchExperiment(VolumeBench declared, Settings settings, int seed) {
        super(declared, settings);
        d = declared;
        this.seed = seed;
        t = new OnTable(declared, this::settings, seed, this::register);
        RandomSource hand = RandomSource.named(seed, "filling");
        t.water(Where.JUG).set(JUGFUL);
        for (int i = 0; i < VolumeBench.CYLINDERS; i++) {
            double most = settings.value(d.kind.get(i)).capacity;
            t.water(OnTable.ALL[1 + i]).set(Math.min(most, byHand(settings.si(d.fill.get(i)), hand)));
        }
        t.water(Where.CAN).set(Math.min(Table.CAN.area() * Table.CAN.brim(), byHand(settings.si(d.canFill), hand)));
        eye.set(settings.si(d.eyeAtFirst));
        for (int i = 0; i <= Where.CAN.ordinal(); i++) {
            t.wets(OnTable.ALL[i]);
        }
    }

    /** About what is wanted, in m³, as a hand pours it. */
    private static double byHand(double wanted, RandomSource hand) {
        double off = UNSTEADY * wanted * (2 * hand.unit() - 1) + Math.min(CLUMSY, wanted / 10) * (2 * hand.unit() - 1);
        return wanted + off;
    }

    @Override
    protected void changed(Setting setting, Settings before, EventSink sink) {
        throw impossible();
    }

    @Override
    protected void performed(Act act, Settings with, EventSink sink) {
        if (act == d.look) {
            eye.set(with.si(d.lookAt));
        } else if (act == d.pour) {
            Where from = with.value(d.pourFrom);
            pour(from, with.value(d.pourInto), with.si(d.pourAmount), sink);
        } else if (act == d.fillUp) {
            Where into = with.value(d.fillInto);
            double missing = into == Where.SINK ? MOST : with.si(d.fillTo) - t.stands(into);
            if (missing <= 0) {
                throw new IllegalArgumentException("The water in " + into.inWords + " stands higher already");
            }
            pour(with.value(d.fillFrom), into, missing, sink);
        } else if (act == d.drip) {
            drip(with.value(d.dripInto), with.value(d.dripWay) == Drops.IN, with.si(d.drops) * DROP, sink);
        } else if (act == d.put) {
            put(with.value(d.putThing), with.value(d.putTo), with.value(d.putHow) == How.HELD, sink);
        } else if (act == d.stand) {
            stand(with.value(d.standVessel), with.value(d.standAt));
        } else {
            tare.set(t.onBalance());
        }
    }

    private void pour(Where from, Where into, double wanted, EventSink sink) {
        if (from == into) {
            throw new IllegalArgumentException("From and into are the same vessel");
        }
        double there = t.canLeave(from);
        if (there <= 0) {
            throw new IllegalArgumentException("Nothing more comes out of " + from.inWords);
        }
        RandomSource hand = RandomSource.named(seed, "pour " + (int) time());
        move(from, into, wanted >= there ? there : Math.min(there, byHand(wanted, hand)), sink);
        sink.event(d.poured, time());
    }

    private void drip(Where at, boolean in, double amount, EventSink sink) {
        if (at == Where.JUG || at == Where.SINK) {
            throw new IllegalArgumentException("The pipette goes between the jug and another vessel");
        }
        Where from = in ? Where.JUG : at;
        if (t.in(from) < amount) {
            throw new IllegalArgumentException("There is less than that in " + from.inWords);
        }
        move(from, in ? at : Where.JUG, amount, sink);
    }

    private void move(Where from, Where into, double amount, EventSink sink) {
        justRan.set(0);
        t.water(from).add(-amount);
        receive(into, amount, sink);
    }

    private void receive(Where into, double amount, EventSink sink) {
        t.water(into).add(amount);
        if (into != Where.SINK && into != Where.TABLE) {
            runOver(into, sink);
            t.wets(into);
        }
    }

    /** Lets go what is above a vessel's brim. */
    private void runOver(Where vessel, EventSink sink) {
        Vessel shape = t.vessel(vessel);
        double stays = shape.area() * shape.brim() - t.things(vessel).under(shape.brim());
        double over = t.in(vessel) - stays;
        if (over <= 0) {
            return;
        }
        t.water(vessel).add(-over);
        Where below = null;
        if (vessel == Where.CAN) {
            below = t.standingAt(Stand.SPOUT);
            justRan.add(over);
        }
        sink.event(vessel == Where.CAN ? d.ran : d.spilled, time());
        receive(below == null ? Where.TABLE : below, over, sink);
    }

    private void put(Thing thing, Spot to, boolean under, EventSink sink) {
        Where into = OnTable.isVessel(to) ? OnTable.ALL[to.ordinal() + 1] : null;
        if (into != null) {
            mustFit(thing, into);
        } else if (to == Spot.BALANCE && t.spotOf(thing) != to && !t.isBalanceFree()) {
            throw new IllegalArgumentException("There is something on the balance");
        }
        justRan.set(0);
        Where from = t.vesselOf(thing);
        if (from != null && from != into && t.underWater(thing) > 0) {
            double side = Math.cbrt(t.volume(thing));
            double taken = Math.min(t.in(from), Vessel.FILM * 6 * side * side);
            t.water(from).add(-taken);
            t.film(thing).add(taken);
        }
        t.place(thing, to, under && into != null);
        last.set(thing.ordinal());
        if (to != Spot.BALANCE) {
            double clinging = t.film(thing).get();
            t.film(thing).set(0);
            receive(into == null ? Where.TABLE : into, clinging, sink);
        }
        ranOver.set(justRan.get());
        sink.event(d.dipped, time());
    }

    private void mustFit(Thing thing, Where vessel) {
        double open = 2 * t.vessel(vessel).radius() - LOOSE;
        double wide = t.width(thing);
        if (wide > open) {
            throw new IllegalArgumentException("The " + thing.inWords.toLowerCase() + " doesn't go into "
                    + vessel.inWords
                    + ": it is wider than the opening");
        }
        for (Thing other : OnTable.THINGS) {
            wide += other != thing && t.vesselOf(other) == vessel ? t.width(other) : 0;
        }
        if (wide > open) {
            throw new IllegalArgumentException("There is no room left in " + vessel.inWords);
        }
    }

    private void stand(Where vessel, Stand at) {
        if (t.standOf(vessel) == at) {
            throw new IllegalArgumentException("It stands there");
        }
        Where under = t.standingAt(Stand.SPOUT);
        if (at == Stand.SPOUT && under != null) {
            throw new IllegalArgumentException("Under the spout stands " + under.inWords);
        }
        if (at == Stand.SPOUT && t.vessel(vessel).floor() + t.vessel(vessel).brim() > Table.SPOUT_HEIGHT - CLEAR) {
            throw new IllegalArgumentException("It is too tall for the spout");
        }
        if (at == Stand.BALANCE && !t.isBalanceFree()) {
            throw new IllegalArgumentException("There is something on the balance");
        }
        t.stand(vessel, at);
    }

    /** What the balance shows, in kg; NaN if it can't carry that. */
    private double shown() {
        double mass = t.onBalance();
        return mass > CARRIES ? Double.NaN : Math.rint((mass - tare.get()) / TELLS) * TELLS;
    }

    /**
     * What is read on a cylinder's scale where a point of its surface is, in m³; NaN where it is empty.
     *
     * @param above  of the point above the lowest one, in m
     * @param asSeen from where the eye is; else from its own height
     */
    private double reading(int which, double above, boolean asSeen) {
        Where vessel = OnTable.ALL[1 + which];
        if (!t.isWet(vessel)) {
            return Double.NaN;
        }
        Vessel shape = t.vessel(vessel);
        double height = shape.bottomOfCurve(t.stands(vessel)) + above;
        Sight sight = new Sight(eye.get() - t.ground(vessel));
        return shape.volumeAtCurve(asSeen ? sight.seen(height, shape.radius(), shape.radius()) : height);
    }

    @Override
    public void read(Readings out) {
        for (int i = 0; i < VolumeBench.CYLINDERS; i++) {
            out.put(d.seen.get(i), reading(i, 0, true));
            out.put(d.inside.get(i), t.in(OnTable.ALL[1 + i]));
        }
        out.put(d.elsewhere.get(0), t.in(Where.JUG));
        out.put(d.elsewhere.get(1), t.in(Where.BEAKER));
        out.put(d.elsewhere.get(2), t.in(Where.CAN));
        out.put(d.elsewhere.get(3), t.in(Where.SINK));
        out.put(d.elsewhere.get(4), t.in(Where.TABLE) + t.films());
        out.put(d.balance, shown());
        out.put(d.eye, eye.get());
    }

    @Override
    public void outcomes(Outcomes out) {
        for (int i = 0; i < VolumeBench.CYLINDERS; i++) {
            double rise = t.vessel(OnTable.ALL[1 + i]).curve().rise();
            out.put(d.level.get(i), reading(i, 0, false));
            out.put(d.edge.get(i), reading(i, rise, false));
            out.put(d.asSeen.get(i), reading(i, 0, true));
        }
        boolean any = last.get() >= 0;
        out.put(d.under, any ? t.underWater(OnTable.THINGS[(int) last.get()]) : Double.NaN);
        out.put(d.ranOver, any ? ranOver.get() : Double.NaN);
        for (Thing thing : OnTable.THINGS) {
            out.put(d.volumes.get(thing.ordinal()), t.volume(thing));
            out.put(d.masses.get(thing.ordinal()), t.mass(thing));
            out.put(d.densities.get(thing.ordinal()), thing.density);
        }
    }

    @Override
    public void scene(Scene out) {
        new TableScene(d, t, eye.get(), out).draw(settings());
        boolean much = Double.isNaN(shown());
        out.put(d.overloaded, much);
        out.put(d.display, much ? 0 : 1000 * shown());
        out.put(d.justRan, justRan.get() / ML);
    }
}
