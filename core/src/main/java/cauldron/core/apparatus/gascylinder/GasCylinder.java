package cauldron.core.apparatus.gascylinder;

import cauldron.core.apparatus.Act;
import cauldron.core.apparatus.Advice;
import cauldron.core.apparatus.Amount;
import cauldron.core.apparatus.Apparatus;
import cauldron.core.apparatus.Channel;
import cauldron.core.apparatus.Choice;
import cauldron.core.apparatus.Coordinate;
import cauldron.core.apparatus.Distribution;
import cauldron.core.apparatus.Event;
import cauldron.core.apparatus.Experiment;
import cauldron.core.apparatus.Flag;
import cauldron.core.apparatus.Frame;
import cauldron.core.apparatus.Handle;
import cauldron.core.apparatus.Layer;
import cauldron.core.apparatus.Place;
import cauldron.core.apparatus.Placing;
import cauldron.core.apparatus.Setting;
import cauldron.core.apparatus.Settings;
import cauldron.core.apparatus.Switch;
import cauldron.core.apparatus.View;
import cauldron.core.instrument.gauge.Gauge;
import cauldron.core.instrument.ruler.Ruler;
import cauldron.core.instrument.stopwatch.Stopwatch;

/** The gas cylinder's declaration; its law is in {@link HardSphereGas}. */
public final class GasCylinder extends Apparatus {

    static final double HEIGHT = 80e-9;
    static final double DEPTH = 16e-9;
    static final double SHORTEST = 20e-9;
    static final double LONGEST = 160e-9;
    private static final double LEFT = -16e-9;
    private static final double BOTTOM = -14e-9;
    private static final double FRAME_HEIGHT = 108e-9;
    /** Room for the piston and a piece of its rod. */
    private static final double BESIDE = 26e-9;

    /** What holds the piston. */
    enum Hold { LOCKED, HAND, LOAD }

    final Choice<Gas> gas1 = gas("gas1", "Gas 1").first("nitrogen");
    final Amount count1 = count("count1", "N_1", "Molecules of gas 1").within(0, 5000).step(50).first(1000).live();
    final Choice<Gas> gas2 = gas("gas2", "Gas 2").first("helium");
    final Amount count2 = count("count2", "N_2", "Molecules of gas 2").within(0, 2500).step(50).live();
    final Amount temperature = amount("temperature", "T", "Temperature", "K").within(20, 2000).step(10).first(300).in("heat")
            .live().advised();
    final Choice<HeatExchange.Mode> walls = choice("heat", "Walls", HeatExchange.Mode.class)
            .option("insulated", "insulated", HeatExchange.Mode.INSULATED)
            .option("heater", "heater or cooler below", HeatExchange.Mode.HEATER)
            .option("held", "held at temperature T", HeatExchange.Mode.HELD).in("heat").live();
    final Amount power = amount("power", "P", "Power of the heater", "nW").within(-20, 20).step(0.5).first(5).in("heat").live()
            .when(walls, HeatExchange.Mode.HEATER);
    final Choice<Hold> piston = choice("piston", "Piston", Hold.class).option("locked", "locked", Hold.LOCKED)
            .option("hand", "moved by hand", Hold.HAND).option("loaded", "loaded: held at a pressure", Hold.LOAD).in("piston")
            .live();
    final Amount length = amount("length", "L", "Length of the cylinder", "nm").within(20, 160).first(40).in("piston").live();
    final Amount handSpeed = amount("hand", "u", "Speed of the hand", "m/s").within(5, 400).step(5).first(100).in("piston")
            .live().when(piston, Hold.HAND);
    final Amount load = amount("load", "p_o", "External pressure", "kPa").within(10, 500).step(5).first(100).in("piston").live()
            .when(piston, Hold.LOAD);
    final Switch partition = toggle("partition", "Partition in the middle: gas 1 left, gas 2 right").in("openings");
    final Switch hole = toggle("hole", "Hole in the left wall").in("openings").live();
    final Amount slot = amount("slot", "h", "Height of the hole", "nm").within(1, 30).first(8).in("openings").live().when(hole)
            .note("Molecules leave one by one (effusion) while the hole is narrow. Through a wide one a dense gas"
                    + " flows as a stream, about 10% faster than the law of effusion says.");
    final Amount averaging = amount("averaging", "τ", "Averaging time of the gauges", "ps").within(5, 1000).step(5).first(200)
            .in("gauges").live();

    final Channel pressure = channel("pressure", "p", "Pressure", "kPa").typically(0, 300).decimals(1);
    final Channel kelvin = channel("temperature", "T", "Temperature", "K").typically(0, 1000).decimals(1);
    final Channel volume = channel("volume", "V", "Volume", "nm³").typically(0, 205_000).decimals(0);
    final Channel inside1 = molecules("n1", "N_1", "Molecules of gas 1 inside", 5000);
    final Channel inside2 = molecules("n2", "N_2", "Molecules of gas 2 inside", 2500);
    final Channel speed1 = speed("speed1", "v_1", "Mean speed, gas 1");
    final Channel speed2 = speed("speed2", "v_2", "Mean speed, gas 2");
    final Channel energy1 = channel("energy1", "ε_1", "Mean kinetic energy, gas 1", "zJ").typically(0, 20).decimals(3);
    final Channel energy2 = channel("energy2", "ε_2", "Mean kinetic energy, gas 2", "zJ").typically(0, 20).decimals(3);
    final Channel pairRate = channel("pair-rate", "f_p", "Collisions between molecules, per ps", "ps⁻¹").typically(0, 100)
            .decimals(1);
    final Channel wallRate = channel("wall-rate", "f_w", "Collisions with the walls, per ps", "ps⁻¹").typically(0, 500)
            .decimals(1);
    final Channel inner = channel("inner", "U", "Internal energy", "aJ").typically(0, 100).decimals(4);
    final Channel heatGiven = channel("heat", "Q", "Heat given to the gas", "aJ").typically(-50, 50).decimals(4);
    final Channel work = channel("work", "W", "Work done on the gas", "aJ").typically(-50, 50).decimals(4);
    final Channel left1 = molecules("left1", "N_1l", "Gas 1 in the left half", 5000);
    final Channel left2 = molecules("left2", "N_2l", "Gas 2 in the left half", 2500);
    final Channel escaped1 = molecules("escaped1", "N_1e", "Gas 1 escaped", 5000);
    final Channel escaped2 = molecules("escaped2", "N_2e", "Gas 2 escaped", 2500);
    final Channel tagSpeed = speed("tag-speed", "v_t", "Speed of the tagged molecule");
    final Channel tagX = channel("tag-x", "x_t", "Tagged molecule, from the left", "nm").typically(0, 160).decimals(1);
    final Channel tagY = channel("tag-y", "y_t", "Tagged molecule, from below", "nm").typically(0, 80).decimals(1);
    final Channel pistonForce = channel("piston-force", "F_p", "Force of the gas on the piston", "pN").typically(0, 200)
            .decimals(1);
    final Channel notTaken = channel("not-taken", "Q_n", "Heat the cooler could not take", "aJ").typically(0, 50).decimals(4);

    final Layer tagged = layer("tag", "Tagged molecule");
    final Distribution speeds = spread(distribution("speeds", "v", "Speed", "m/s").upTo(1500).decimals(0));
    final Distribution energies = spread(distribution("energies", "ε", "Kinetic energy", "zJ").upTo(25));

    final Event tagMeetsAnother = event("tag-pair", "the tagged molecule meets another");
    final Event tagMeetsWall = event("tag-wall", "the tagged molecule meets a wall");
    final Event escape = event("escape", "a molecule escapes");
    final Event pistonHalts = event("piston", "the piston comes to a halt");

    final View side = view("side", "Section from the side");
    final Coordinate leftWall = right("left").filmed();
    final Coordinate bottom = up("bottom").filmed();
    final Coordinate top = up("top").filmed();
    final Place rod = place("piston").filmed();
    final Coordinate grip = length("piston.grip").filmed();
    final Coordinate target = right("target").filmed();
    final Coordinate partitionAt = right("partition").filmed();
    final Flag partitionOn = flag("partition.on").filmed();
    final Coordinate holeHalf = length("hole.half").filmed();
    final Flag heaterOn = flag("heater.on").filmed();
    final Flag coolerOn = flag("cooler.on").filmed();
    final Flag heldOn = flag("held.on").filmed();
    final Flag loadedOn = flag("loaded.on").filmed();
    final Coordinate radius1 = length("radius.1").filmed();
    final Coordinate radius2 = length("radius.2").filmed();
    final Place tag = place("tag").filmed();
    final Coordinate longest = right("longest").filmed();
    final Flag handOn = flag("hand.on").filmed();

    final Handle pistonRod = handle("piston", "piston rod", rod, grip);
    final Act takeOut = act("take-out", "Take the partition out").when(partitionOn);
    final Act another = act("another", "Follow another molecule");
    final Act follow = act("follow", "Follow the molecule pointed at");
    final Amount pointedX = follow.amount("x", "x", "From the left", "nm").within(0, 200);
    final Amount pointedY = follow.amount("y", "y", "From below", "nm").within(0, 100);

    /** The gas cylinder. */
    public GasCylinder() {
        super("gas-cylinder", 2, "Gas cylinder");
        about("Molecules in a cylinder with a piston, counted one by one: pressure from their blows, temperature from "
                + "their energy, and how their speeds are spread.",
                "gas", "pressure", "temperature", "molecules", "diffusion", "energy");
        time(1e-12, 1e-10, "ps");
        layer("path", "Path of the tagged molecule").trail(tagX, tagY);
        Layer large = layer("large", "Molecules drawn larger than life").note("molecules drawn 4 times larger than life");
        tray(Ruler.graduated("nm", 200, 1).called("fine-ruler", "Ruler"), Stopwatch.showing("ps", 1));
        tray(Gauge.showing("pressure-gauge", "Pressure gauge", "kPa", 1000, 0.1), pressure);
        tray(Gauge.showing("thermometer", "Thermometer", "K", 3000, 0.1), kelvin);
        follow.pointing(pointedX, pointedY);
        portrait().with(count1, 220).with(count2, 140).with(length, 45).at(60e-12).showing(large);
        slips("The lighter gas taken for the hotter one", "All molecules taken to be equally fast",
                "Pressure taken to come from speed alone");
    }

    private Distribution spread(Distribution values) {
        return values.of(gas1, gas2).endingAt(3.1, 1).counting("molecules", "both gases").follows("the tagged molecule", tagged)
                .marks("most probable", "mean", "root mean square");
    }

    private Choice<Gas> gas(String id, String name) {
        Choice<Gas> choice = choice(id, name, Gas.class);
        Gas.ALL.forEach(g -> choice.option(g.id(), g.name() + ", " + g.formula(), g));
        return choice;
    }

    private Channel molecules(String id, String symbol, String name, double most) {
        return channel(id, symbol, name, "").typically(0, most).decimals(0);
    }

    private Channel speed(String id, String symbol, String name) {
        return channel(id, symbol, name, "m/s").typically(0, 2000).decimals(0);
    }

    @Override
    protected Advice advice(Setting setting, Settings s) {
        return s.value(walls) != HeatExchange.Mode.INSULATED ? null : Advice.told("The walls are insulated. While it runs a "
                + "changed T does nothing to the gas inside; molecules that are added come in at it.")
                .offering("Hold the walls at T", walls, HeatExchange.Mode.HELD);
    }

    @Override
    public Experiment prepare(Settings settings, int seed) {
        return new GasCylinderExperiment(this, settings, seed);
    }

    @Override
    public Frame frame(View view, Settings settings) {
        double now = settings.si(length);
        // A piston that can move may go all the way.
        double reach = settings.value(piston) != Hold.LOCKED || now > 100e-9 ? LONGEST : now > 60e-9 ? 100e-9 : 60e-9;
        return new Frame(LEFT, BOTTOM, reach + BESIDE - LEFT, FRAME_HEIGHT);
    }

    @Override
    protected void placed(Handle handle, double x, double y, Settings settings, Placing placing) {
        placing.whole(length, x);
    }
}
