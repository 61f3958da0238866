package cauldron.core.apparatus.volumebench;

import cauldron.core.RandomSource;
import cauldron.core.apparatus.Register;
import cauldron.core.apparatus.Settings;
import cauldron.core.apparatus.volumebench.VolumeBench.Spot;
import cauldron.core.apparatus.volumebench.VolumeBench.Stand;
import cauldron.core.apparatus.volumebench.VolumeBench.Where;
import cauldron.core.matter.Liquid;
import java.util.ArrayList;
import java.util.List;
import java.util.function.DoubleFunction;
import java.util.function.Supplier;

/**
 * What is on the table and where: water in each vessel, vessels and things in their places; and what follows from that.
 */
final class OnTable {

    static final double DENSITY = Liquid.WATER.density(20);
    static final Where[] ALL = Where.values();
    static final Thing[] THINGS = Thing.values();
    private static final double SPREAD = 0.04;
    private static final Spot[] SPOTS = Spot.values();
    private static final Stand[] STANDS = Stand.values();

    private final VolumeBench d;
    private final Supplier<Settings> settings;
    private final double[] size = new double[THINGS.length];
    private final List<Register> water = new ArrayList<>();
    private final List<Register> wetted = new ArrayList<>();
    private final List<Register> standing = new ArrayList<>();
    private final List<Register> spot = new ArrayList<>();
    private final List<Register> held = new ArrayList<>();
    private final List<Register> film = new ArrayList<>();

    /**
     * A table with everything in its place, and nothing wet.
     *
     * @param register makes a number that is remembered
     */
    OnTable(VolumeBench declared, Supplier<Settings> settings, int seed, DoubleFunction<Register> register) {
        d = declared;
        this.settings = settings;
        RandomSource chance = RandomSource.named(seed, "things");
        for (int i = 0; i < THINGS.length; i++) {
            size[i] = 1 + SPREAD * (2 * chance.unit() - 1);
            spot.add(register.apply(Spot.SHELF.ordinal()));
            held.add(register.apply(0));
            film.add(register.apply(0));
        }
        for (int i = 0; i < ALL.length; i++) {
            water.add(register.apply(0));
            wetted.add(register.apply(0));
            standing.add(register.apply(Stand.HOME.ordinal()));
        }
    }

    // Things

    /** A thing's length to that of its kind. */
    double size(Thing thing) {
        return size[thing.ordinal()];
    }

    double width(Thing thing) {
        return thing.width * size(thing);
    }

    double height(Thing thing) {
        return thing.height * size(thing);
    }

    double volume(Thing thing) {
        double s = size(thing);
        return thing.volume * s * s * s;
    }

    double mass(Thing thing) {
        return thing.density * volume(thing);
    }

    Spot spotOf(Thing thing) {
        return SPOTS[(int) spot.get(thing.ordinal()).get()];
    }

    boolean isHeld(Thing thing) {
        return held.get(thing.ordinal()).isOn();
    }

    void place(Thing thing, Spot to, boolean under) {
        spot.get(thing.ordinal()).set(to.ordinal());
        held.get(thing.ordinal()).set(under);
    }

    /** Water that clings to a thing, in m³. */
    Register film(Thing thing) {
        return film.get(thing.ordinal());
    }

    /** Water that clings to all things. */
    double films() {
        double sum = 0;
        for (Register one : film) {
            sum += one.get();
        }
        return sum;
    }

    /** The vessel a thing is in; null where it is in none. */
    Where vesselOf(Thing thing) {
        return isVessel(spotOf(thing)) ? ALL[spotOf(thing).ordinal() + 1] : null;
    }

    static boolean isVessel(Spot spot) {
        return spot.ordinal() < Spot.BALANCE.ordinal();
    }

    /** The most of a thing that its vessel's water can cover, in m³. */
    private double mostUnder(Thing thing) {
        return isHeld(thing) ? volume(thing) : Math.min(volume(thing), mass(thing) / DENSITY);
    }

    double underWater(Thing thing) {
        Where vessel = vesselOf(thing);
        return vessel == null ? 0 : Math.min(volume(thing) / height(thing) * depth(vessel), mostUnder(thing));
    }

    // Vessels

    Vessel vessel(Where where) {
        return Table.vessel(d, settings.get(), where);
    }

    /** Water in a vessel, in m³. */
    Register water(Where where) {
        return water.get(where.ordinal());
    }

    double in(Where where) {
        return water(where).get();
    }

    /** Whether more than a film is in it. */
    boolean isWet(Where vessel) {
        return in(vessel) > vessel(vessel).staysBehind(vessel(vessel).brim());
    }

    /** The things in a vessel, as they dip in. */
    Immersion things(Where vessel) {
        double[] section = new double[THINGS.length];
        double[] most = new double[THINGS.length];
        int n = 0;
        for (Thing thing : THINGS) {
            if (vesselOf(thing) == vessel) {
                section[n] = volume(thing) / height(thing);
                most[n++] = mostUnder(thing);
            }
        }
        return new Immersion(vessel(vessel).area(), section, most, n);
    }

    /** Depth of the water in a vessel, in m. */
    double depth(Where vessel) {
        return things(vessel).depth(in(vessel));
    }

    /** Remembers how high up a vessel's wall is wet. */
    void wets(Where vessel) {
        Register height = wetted.get(vessel.ordinal());
        height.set(Math.max(height.get(), depth(vessel)));
    }

    /** What can be poured out of a vessel, in m³. */
    double canLeave(Where vessel) {
        return Math.max(0, in(vessel) - vessel(vessel).staysBehind(wetted.get(vessel.ordinal()).get()));
    }

    /** Water and what is under it, in m³: what the scale tells. */
    double stands(Where vessel) {
        return depth(vessel) * vessel(vessel).area();
    }

    Stand standOf(Where vessel) {
        return STANDS[(int) standing.get(vessel.ordinal()).get()];
    }

    void stand(Where vessel, Stand at) {
        standing.get(vessel.ordinal()).set(at.ordinal());
    }

    /** The vessel in a place; null where there is none. */
    Where standingAt(Stand place) {
        for (Where where : ALL) {
            if (standOf(where) == place) {
                return where;
            }
        }
        return null;
    }

    /** Height of what a vessel stands on. */
    double ground(Where vessel) {
        return standOf(vessel) == Stand.BALANCE ? Table.PAN_HEIGHT : 0;
    }

    /** Where a vessel is along the table. */
    double at(Where vessel) {
        Stand stand = standOf(vessel);
        return stand == Stand.SPOUT ? Table.SPOUT_AT : stand == Stand.BALANCE ? Table.PAN_AT : Table.home(vessel);
    }

    // The balance

    boolean isBalanceFree() {
        for (Thing thing : THINGS) {
            if (spotOf(thing) == Spot.BALANCE) {
                return false;
            }
        }
        return standingAt(Stand.BALANCE) == null;
    }

    /** Mass on the balance in kg. */
    double onBalance() {
        double sum = 0;
        Where vessel = standingAt(Stand.BALANCE);
        if (vessel != null) {
            sum += vessel(vessel).mass() + DENSITY * in(vessel);
        }
        for (Thing thing : THINGS) {
            if (spotOf(thing) == Spot.BALANCE || vessel != null && vesselOf(thing) == vessel) {
                sum += mass(thing) + DENSITY * film(thing).get();
            }
        }
        return sum;
    }
}
