package cauldron.core.apparatus.swiftshot;

import cauldron.core.apparatus.Act;
import cauldron.core.apparatus.Amount;
import cauldron.core.apparatus.Apparatus;
import cauldron.core.apparatus.Channel;
import cauldron.core.apparatus.Channel.Account;
import cauldron.core.apparatus.Coordinate;
import cauldron.core.apparatus.Event;
import cauldron.core.apparatus.Experiment;
import cauldron.core.apparatus.Flag;
import cauldron.core.apparatus.Frame;
import cauldron.core.apparatus.Handle;
import cauldron.core.apparatus.Outcome;
import cauldron.core.apparatus.Place;
import cauldron.core.apparatus.Placing;
import cauldron.core.apparatus.Settings;
import cauldron.core.apparatus.View;
import cauldron.core.instrument.magnifier.Magnifier;
import cauldron.core.instrument.markers.PositionMarkers;
import cauldron.core.instrument.ruler.Ruler;
import cauldron.core.instrument.stopwatch.Stopwatch;
import cauldron.core.instrument.tape.LongTape;

/** The line-throwing tube and its range board: its declaration; the law is in {@link SwiftShotExperiment}. */
public final class SwiftShot extends Apparatus {

    /** Radius of the float and of the tube, in m. */
    static final double RADIUS = 0.01;
    /** Where the net stops the float's leading edge, in m from the muzzle. */
    static final double NET = 2.4;
    private static final double MS = 1e-3;

    final Amount pressure = amount("pressure", "p_0", "Pressure in the reservoir, above the air's", "bar").within(2, 6)
            .step(0.1)
            .first(4);
    final Amount mass = amount("mass", "m", "Mass of the float", "g").within(2, 6).step(0.1).first(3);
    final Amount barrel = amount("barrel", "L", "Length of the tube", "cm").within(20, 30).step(1).first(25);

    final Channel position = channel("position", "s", "Leading edge, from the muzzle", "m").typically(-0.3, 2.4)
            .decimals(4);
    final Channel speed = channel("speed", "v", "Speed", "m/s").typically(0, 250);
    final Channel acceleration = channel("acceleration", "a", "Acceleration along the board", "m/s²").typically(-2000,
            60_000)
            .decimals(0);
    final Channel behind = channel("behind", "p", "Pressure behind the float, above the air's", "bar").typically(0, 6);
    final Channel kinetic = energy("kinetic", "E_k", "Kinetic energy", Account.KINETIC);
    final Channel potential = energy("potential", "E_p", "Potential energy, from the height of the tube",
            Account.POTENTIAL);
    final Channel thermal = energy("thermal", "E_th", "Lost to air and net", Account.THERMAL);
    final Channel total = energy("total", "W", "Work of the air in the tube", Account.TOTAL);

    final Event opened = event("opened", "valve opens");
    final Event clear = event("clear", "clear of the muzzle");
    final Event caught = event("caught", "net");

    final Outcome muzzleSpeed = outcome("muzzle-speed", "v_0", "Speed at the muzzle", "m/s").decimals(1);
    final Outcome inTube = outcome("in-tube", "t_L", "Time in the tube", "ms").decimals(3);
    final Outcome alongBoard = outcome("along-board", "t_s", "Time from the muzzle to the net", "ms").decimals(3);
    final Outcome slowed = outcome("slowed", "Δv", "Slower at the net by", "m/s").decimals(1);

    final View board = view("board", "Whole range board");
    final View muzzle = view("muzzle", "At the muzzle");
    final Place shot = place("float").filmed();
    final Coordinate radius = length("float.radius").filmed();
    final Place breech = place("breech").filmed();
    final Place mouth = place("muzzle").filmed();
    final Coordinate net = right("net").filmed();
    /** Posts of the board stand so far apart. */
    final Coordinate apart = length("posts.apart").filmed();
    final Flag open = flag("valve.open").filmed();
    final Flag ready = flag("ready");

    final Coordinate grip = length("grip");

    final Handle end = handle("breech", "closed end of the tube", breech, grip);
    final Act fire = act("fire", "Open the valve").when(ready).leads();

    /** The swift shot. */
    public SwiftShot() {
        super("swift-shot", 1, "Swift shot");
        about("A light float leaves an air tube at up to 230 m/s; a fast camera follows it along a range board.",
                "speed", "motion graphs", "drag", "work");
        time(0.05 * MS, 2 * MS, "ms");
        tray(Ruler.twoMetres(), LongTape.tenMetres(), Stopwatch.showing("ms", 0.001), PositionMarkers.box(),
                Magnifier.glass());
        slips("Milliseconds taken for seconds", "The edge of the float changed between frames",
                "The number of the frame taken for the time", "Zero taken before the float is clear of the tube");
        portrait().doing(fire, 0).at(0.006).through(-0.42, -0.4, 0.9, 0.66);
        setUp("evenly", "Evenly, or nearly", "Open the valve, slowed as far as it goes. Ask: after the muzzle, is "
                + "anything still "
                + "pushing? Look at position against time, then at speed, with its axis stretched.")
                .with(mass, 2.0).reading(position, speed).graphing(position, speed).at(0);
        setUp("longer-tube", "A longer tube", "Each centimetre of tube adds work, but less than the one before: the "
                + "pressure behind the "
                + "float falls. Shoot, change the length, shoot again, and compare the trials.")
                .with(barrel, 30.0).reading(speed, behind).account().graphing(speed, behind).at(0);
    }

    private Channel energy(String id, String symbol, String name, Account part) {
        return channel(id, symbol, name, "J").typically(0, 50).decimals(3).account(part);
    }

    @Override
    public Experiment prepare(Settings settings, int seed) {
        return new SwiftShotExperiment(this, settings, SwiftShotExperiment.GRAVITY);
    }

    @Override
    public Frame frame(View view, Settings settings) {
        return view == muzzle ? new Frame(-0.14, -0.2, 1.1, 0.36) : new Frame(-0.52, -0.4, 3.05, 0.66);
    }

    @Override
    protected void placed(Handle handle, double x, double y, Settings s, Placing placing) {
        placing.stepped(barrel, -x);
    }
}
