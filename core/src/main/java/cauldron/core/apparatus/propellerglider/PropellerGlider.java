package cauldron.core.apparatus.propellerglider;

import cauldron.core.apparatus.Act;
import cauldron.core.apparatus.Amount;
import cauldron.core.apparatus.Apparatus;
import cauldron.core.apparatus.Channel.Account;
import cauldron.core.apparatus.Channel;
import cauldron.core.apparatus.Coordinate;
import cauldron.core.apparatus.Event;
import cauldron.core.apparatus.Experiment;
import cauldron.core.apparatus.Flag;
import cauldron.core.apparatus.Frame;
import cauldron.core.apparatus.Handle;
import cauldron.core.apparatus.Place;
import cauldron.core.apparatus.Settings;
import cauldron.core.apparatus.Switch;
import cauldron.core.apparatus.View;
import cauldron.core.instrument.magnifier.Magnifier;
import cauldron.core.instrument.markers.PositionMarkers;
import cauldron.core.instrument.ruler.Ruler;
import cauldron.core.instrument.springscale.SpringScale;
import cauldron.core.instrument.stopwatch.Stopwatch;
import cauldron.core.instrument.tape.LongTape;

/** The propeller glider's declaration; its law is in {@link PropellerGliderExperiment}. */
public final class PropellerGlider extends Apparatus {

    /** Stiffness of the spring scale in N/m: its full 2.5 N are 62.5 mm long. */
    static final double SCALE_STIFFNESS = 40;
    /** Where the middle of the glider meets the buffer, in metres from where it is held. */
    static final double TRACK_END = 1.9;
    /** Where the scale's hook is while it is relaxed, and where its plate begins. */
    static final double HOOK = -0.16;
    static final double POINTER = -0.24;

    final Amount throttle = amount("throttle", "q", "Throttle", "%").within(10, 100).step(5).first(60).live();
    final Amount fullThrust = amount("thrust", "F_0", "Thrust at rest, full throttle", "N").within(0.5, 2.4).step(0.05)
            .first(2.2);
    final Amount gliderMass = amount("glider", "m_g", "Mass of the glider", "g").within(150, 350).step(5).first(250);
    final Amount added = amount("added", "m_a", "Added mass", "g").within(0, 600).step(50);
    final Amount offset = amount("offset", "F_z", "Scale shows at rest", "N").within(-0.1, 0.1).step(0.01).first(0)
            .in("scale");
    final Amount drag = amount("drag", "c", "Drag of the air film", "N s/m").within(0, 0.1).step(0.002).first(0.004)
            .in("losses").live();
    final Switch cutAtFirst = toggle("cut", "Thread cut from the beginning");

    final Channel position = channel("position", "s", "Position along the track", "cm").typically(0, 190).decimals(1);
    final Channel speed = channel("speed", "v", "Speed", "m/s").typically(0, 6).decimals(3);
    final Channel acceleration = channel("acceleration", "a", "Acceleration", "m/s²").typically(0, 10).decimals(3);
    final Channel thrust = force("thrust", "F_t", "Thrust");
    final Channel scaleForce = force("scale", "F_s", "Force on the spring scale");
    final Channel resultant = force("resultant", "F", "Resultant force");
    final Channel kinetic = channel("kinetic", "E_k", "Kinetic energy", "J").typically(0, 5).decimals(3)
            .account(Account.KINETIC);
    final Channel lost = channel("thermal", "E_th", "Lost to air film, buffer and hand", "J").decimals(3)
            .account(Account.THERMAL);
    final Channel work = channel("total", "W", "Work of the thrust since the cut", "J").typically(0, 5).decimals(3)
            .account(Account.TOTAL);

    final Event parted = event("cut", "thread parted");
    final Event stopped = event("buffer", "buffer reached");

    final View track = view("track", "Track from the side");
    final View closeUp = view("scale", "Spring scale, close up");
    final Place glider = place("glider").filmed();
    final Coordinate half = length("glider.half").filmed();
    final Coordinate rail = up("track").filmed();
    final Coordinate buffer = right("buffer").filmed();
    final Coordinate hook = right("hook").filmed();
    final Coordinate pointer = right("pointer").filmed();
    final Coordinate zero = right("zero").filmed();
    final Coordinate newton = length("newton").filmed();
    final Flag thread = flag("thread.on").filmed();
    final Flag blade = flag("blade.down").filmed();
    final Flag propeller = flag("propeller.on").filmed();
    final Coordinate loads = length("loads").filmed();
    final Coordinate thrustArrow = length("thrust.arrow");
    final Coordinate threadArrow = length("thread.arrow");
    final Coordinate dragArrow = length("drag.arrow");

    final Handle gliderInHand = handle("glider", "glider", glider, half);
    final Act start = act("start", "Start the propeller").unless(propeller).leads();
    final Act cut = act("cut", "Cut the thread").when(thread).leads();

    /** The propeller glider. */
    public PropellerGlider() {
        super("propeller-glider", 2, "Propeller glider");
        about("A glider on an air track pulls at a spring scale with its propeller; then the thread is cut.",
                "force", "acceleration", "mass", "Newton's second law");
        time(1.0 / 120, 1, "s");
        layer("forces", "Force arrows");
        tray(Ruler.twoMetres(), LongTape.tenMetres(), Stopwatch.toHundredths(), PositionMarkers.box(), Magnifier.glass());
        tray(SpringScale.upTo(3), scaleForce);
        portrait().doing(start, 0.1).at(1.2).through(-0.37, -0.3, 0.72, 0.64);
        slips("Time zero taken before the thread parts", "The scale's zero not taken off", "Centimetres for metres",
                "Average taken for instantaneous speed", "Force and acceleration exchanged on the axes");
    }

    private Channel force(String id, String symbol, String name) {
        return channel(id, symbol, name, "N").typically(0, 2.5).decimals(3);
    }

    @Override
    public Experiment prepare(Settings settings, int seed) {
        return new PropellerGliderExperiment(this, settings);
    }

    @Override
    public Frame frame(View view, Settings settings) {
        return view == closeUp ? new Frame(-0.29, 0.02, 0.17, 0.05) : new Frame(-0.38, -0.3, 2.5, 0.6);
    }
}
