package cauldron.core.apparatus.liquidbridge;

import cauldron.core.apparatus.Act;
import cauldron.core.apparatus.Amount;
import cauldron.core.apparatus.Apparatus;
import cauldron.core.apparatus.Channel;
import cauldron.core.apparatus.Choice;
import cauldron.core.apparatus.Coordinate;
import cauldron.core.apparatus.Event;
import cauldron.core.apparatus.Experiment;
import cauldron.core.apparatus.Flag;
import cauldron.core.apparatus.Frame;
import cauldron.core.apparatus.Handle;
import cauldron.core.apparatus.Outcome;
import cauldron.core.apparatus.Place;
import cauldron.core.apparatus.Placing;
import cauldron.core.apparatus.Profile;
import cauldron.core.apparatus.SceneCurve;
import cauldron.core.apparatus.SceneNumber;
import cauldron.core.apparatus.Settings;
import cauldron.core.apparatus.View;
import cauldron.core.instrument.magnifier.Magnifier;
import cauldron.core.instrument.markers.PositionMarkers;
import cauldron.core.instrument.ruler.Ruler;
import cauldron.core.instrument.stopwatch.Stopwatch;
import cauldron.core.matter.Liquid;

/** A drop between two studs on a fine screw: its declaration; the law is in {@link LiquidBridgeExperiment}. */
public final class LiquidBridge extends Apparatus {

    /** Radius of the studs' faces in m. */
    static final double FACE = 0.002;

    final Choice<Liquid> liquid = choice("liquid", "Liquid", Liquid.class)
            .options(Liquid.values(), o -> o.id, o -> o.inWords).first("water");
    final Amount volume = amount("volume", "V", "Volume of the drop", "mm³").within(30, 50).step(0.5).first(40);
    final Amount temperature = amount("temperature", "T", "Temperature", "°C").within(10, 40).step(1).first(20);
    final Amount start = amount("start", "h_0", "Gap at first", "mm").within(2.8, 3.4).step(0.1).first(3);
    final Amount draw = amount("draw", "v", "The screw draws", "mm/s").within(0.1, 1).step(0.05).first(0.5).live();

    final Channel gap = channel("gap", "h", "Gap between the faces", "mm").typically(2, 7).decimals(3);
    final Channel neck = channel("neck", "d", "Width of the neck", "mm").typically(0, 5).decimals(2);
    final Channel pull = channel("pull", "F", "Pull on the upper stud", "µN").typically(-200, 700).decimals(0);
    final Channel pressure = channel("pressure", "p", "Pressure at the lower face, over the air's", "Pa")
            .typically(-20, 60).decimals(1);
    final Channel above = channel("above", "V_a", "Liquid over the neck", "mm³").typically(0, 50).decimals(1);

    final Event letsGo = event("lets-go", "no shape at rest is left");
    final Event parted = event("parted", "parted");

    final Outcome widest = outcome("widest", "h_m", "Widest gap", "mm").decimals(2);
    final Outcome lastNeck = outcome("last-neck", "d_m", "Neck at the widest gap", "mm").decimals(2);
    final Outcome leftAbove = outcome("left-above", "V_a", "Stays on the upper stud", "mm³").decimals(1);
    final Outcome thinning = outcome("thinning", "t_n", "The neck thins for", "ms").decimals(0);

    final Profile outline = profile("outline", "Outline of the liquid").along("z", "Height over the lower face", "mm")
            .up("r", "Radius", "mm");

    final View close = view("close", "Close to the studs");
    final View bench = view("bench", "Studs and screw");
    final Place lowerFace = place("lower").filmed();
    final Place upperFace = place("upper").filmed();
    final Coordinate faceRadius = length("face.radius").filmed();
    /** All around what hangs together with the lower stud, and with the upper one. */
    final SceneCurve lowerOutline = curve("lower.outline").filmed();
    final SceneCurve upperOutline = curve("upper.outline").filmed();
    final SceneNumber turned = number("drum.turned").filmed();
    final Flag whole = flag("whole");
    final Flag ready = flag("ready");
    final Flag turning = flag("turning");
    final Coordinate grip = length("grip");

    final Handle stud = handle("stud", "upper stud", upperFace, grip);
    final Act turn = act("turn", "Turn the screw").when(ready).leads();
    final Act hold = act("hold", "Hold the screw").when(turning);

    /** The liquid bridge. */
    public LiquidBridge() {
        super("liquid-bridge", 1, "Liquid bridge");
        about("A drop between two glass studs on a fine screw is drawn out until no shape at rest is left and it "
                + "parts.",
                "surface tension", "intermolecular forces", "liquids");
        time(1.0 / 60, 1, "s");
        tray(Ruler.graduated("mm", 12, 0.5), Stopwatch.showing("s", 0.01), PositionMarkers.box(), Magnifier.glass());
        slips("A frame after the parting taken for the last whole one", "Ruler's zero at the wrong face",
                "Viscosity taken for surface tension", "Drops of unlike volume compared");
        portrait().with(liquid, "water").doing(turn, 0).at(5.4).through(-0.0055, -0.0022, 0.011, 0.0102);
        setUp("thick", "Thick isn't strong", "Glycerol flows a thousand times less readily than water. Ask which of "
                + "the two can be drawn out further, turn the screw, then take water and compare the trials.")
                .with(liquid, "glycerol").reading(gap, neck).graphing(neck).at(0);
        setUp("longer-chains", "Longer chains", "Hexane, octane, decane: the longer the molecule, the stronger they "
                + "hold together. Draw out one after the other and look at the widest gap.")
                .with(liquid, "hexane").reading(gap, pull).graphing(pull).at(0);
    }

    @Override
    public Experiment prepare(Settings settings, int seed) {
        return new LiquidBridgeExperiment(this, settings);
    }

    @Override
    public Frame frame(View view, Settings settings) {
        return view == close ? new Frame(-0.006, -0.0015, 0.012, 0.009) : new Frame(-0.0125, -0.0055, 0.027, 0.0215);
    }

    @Override
    protected void placed(Handle handle, double x, double y, Settings s, Placing placing) {
        placing.stepped(start, y);
    }
}
