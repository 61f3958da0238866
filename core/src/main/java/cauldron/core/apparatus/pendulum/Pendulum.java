package cauldron.core.apparatus.pendulum;

import cauldron.core.apparatus.Act;
import cauldron.core.apparatus.Amount;
import cauldron.core.apparatus.Apparatus;
import cauldron.core.apparatus.Channel.Account;
import cauldron.core.apparatus.Channel;
import cauldron.core.apparatus.Choice;
import cauldron.core.apparatus.Coordinate;
import cauldron.core.apparatus.Event;
import cauldron.core.apparatus.Experiment;
import cauldron.core.apparatus.Flag;
import cauldron.core.apparatus.Frame;
import cauldron.core.apparatus.Gravity;
import cauldron.core.apparatus.Handle;
import cauldron.core.apparatus.Place;
import cauldron.core.apparatus.Placing;
import cauldron.core.apparatus.Settings;
import cauldron.core.apparatus.Switch;
import cauldron.core.apparatus.View;
import cauldron.core.instrument.beamtimer.LightGate;
import cauldron.core.instrument.magnifier.Magnifier;
import cauldron.core.instrument.markers.PositionMarkers;
import cauldron.core.instrument.protractor.Protractor;
import cauldron.core.instrument.ruler.Ruler;
import cauldron.core.instrument.springscale.SpringScale;
import cauldron.core.instrument.stopwatch.Stopwatch;

/** The pendulum's declaration; its law is in {@link PendulumExperiment}. */
public final class Pendulum extends Apparatus {

    private static final double MAX_ANGLE = Math.toRadians(90);
    /** Widths of the frame as parts of its height's step. */
    private static final double[] WIDTHS = {1.15, 1.5, 1.9};
    private static final double[] FRAME_HEIGHTS = {0.35, 0.5, 0.7, 1.0, 1.4, 2.0, 2.8};

    final Amount length = amount("length", "L", "Length to the middle of the bob", "m").within(0.10, 2.50).step(0.01).first(1)
            .live();
    final Amount mass = amount("mass", "m", "Mass of the bob", "g").within(20, 1000).step(10).first(200).live();
    /** Radius in metres. */
    final Choice<Double> size = choice("size", "Size of the bob", Double.class).option("small", "small, 12 mm", 0.012)
            .option("medium", "medium, 20 mm", 0.020).option("large", "large, 35 mm", 0.035).first("medium").live();
    final Amount angle = amount("angle", "θ₀", "Release angle", "°").within(-90, 90).first(20);
    final Gravity gravity = include(new Gravity());
    final Switch drag = toggle("drag", "Air drag").in("losses").live();
    final Amount friction = amount("friction", "b", "Pivot friction", "mN m s").within(0, 10).step(0.1).in("losses").live();
    final Switch held = toggle("held", "Held by the catch at first");

    final Channel theta = channel("angle", "θ", "Angle", "°").typically(-90, 90).decimals(1);
    final Channel omega = channel("angular-speed", "ω", "Angular velocity", "rad/s").typically(-6, 6);
    final Channel height = channel("height", "h", "Height above the lowest point", "m").decimals(3);
    final Channel speed = channel("speed", "v", "Speed", "m/s").typically(0, 4).decimals(3);
    final Channel kinetic = energy("kinetic", "E_k", "Kinetic energy", Account.KINETIC);
    final Channel potential = energy("potential", "E_p", "Potential energy", Account.POTENTIAL);
    final Channel thermal = energy("thermal", "E_th", "Thermal energy", Account.THERMAL);
    final Channel total = energy("total", "E", "Total energy", Account.TOTAL);
    final Channel tension = channel("tension", "F", "Tension of the cord", "N").typically(0, 6);
    final Channel period = channel("period", "T", "Period by beam timer", "s").typically(0, 4).decimals(3);
    final Channel work = channel("work", "W", "Work done from outside", "J").typically(-1, 1).decimals(3);

    final Event highest = event("highest", "highest point");
    final Event lowest = event("lowest", "lowest point");

    final View side = view("side", "Side view");
    final Place pivot = place("pivot").filmed();
    final Place bob = place("bob").filmed();
    final Coordinate radius = length("bob.radius").filmed();
    final Flag shut = flag("catch.shut").filmed();

    final Handle bobInHand = handle("bob", "bob", bob, radius);
    final Act open = act("open-catch", "Open the catch").when(shut).leads();

    /** The pendulum. */
    public Pendulum() {
        super("pendulum", 2, "Pendulum");
        about("A bob on a light cord, swinging at any angle up to 90°, with air drag and friction at the pivot if wanted.",
                "oscillation", "period", "energy", "gravity", "damping");
        tray(Ruler.twoMetres(), Protractor.inDegrees(), Stopwatch.toHundredths(), LightGate.toMilliseconds(),
                PositionMarkers.box(), Magnifier.glass());
        tray(SpringScale.upTo(3), tension);
        portrait().with(angle, 32).at(0.12);
        slips("Timing one swing instead of many", "Half a swing taken for a whole one",
                "Length measured to the top of the bob", "Counting from one instead of zero",
                "Angle too wide for the simple law", "Mass expected to matter");
    }

    private Channel energy(String id, String symbol, String name, Account account) {
        return channel(id, symbol, name, "J").typically(0, 2).decimals(3).account(account);
    }

    @Override
    public Experiment prepare(Settings settings, int seed) {
        return new PendulumExperiment(this, settings);
    }

    @Override
    public Frame frame(View view, Settings settings) {
        double reach = settings.si(length) + 0.05;
        double h = FRAME_HEIGHTS[FRAME_HEIGHTS.length - 1];
        for (double candidate : FRAME_HEIGHTS) {
            if (0.9 * candidate >= reach) {
                h = candidate;
                break;
            }
        }
        double aside = settings.si(length) * Math.sin(Math.abs(settings.si(angle)));
        double w = h * WIDTHS[WIDTHS.length - 1];
        for (double candidate : WIDTHS) {
            if (aside < h * (candidate / 2 - 0.06)) {
                w = h * candidate;
                break;
            }
        }
        return new Frame(-w / 2, -0.94 * h, w, 1.04 * h);
    }

    @Override
    protected void placed(Handle handle, double x, double y, Settings settings, Placing placing) {
        placing.whole(angle, angleTo(x, y));
    }

    /** The angle from the vertical of a bob drawn towards a place, kept within a quarter turn. */
    static double angleTo(double x, double y) {
        return Math.max(-MAX_ANGLE, Math.min(MAX_ANGLE, Math.atan2(x, -y)));
    }
}
