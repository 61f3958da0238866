package cauldron.core.apparatus.hangingspring;

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
import cauldron.core.instrument.ruler.Ruler;
import cauldron.core.instrument.springscale.SpringScale;
import cauldron.core.instrument.stopwatch.Stopwatch;

/** The hanging spring's declaration; its law is in {@link HangingSpringExperiment}. */
public final class HangingSpring extends Apparatus {

    /** Length of every spring with nothing on it, in metres. */
    static final double NATURAL_LENGTH = 0.20;
    private static final double[] FRAME_HEIGHTS = {0.5, 0.7, 1.0, 1.4, 2.0, 2.8, 4.0, 5.6};
    private static final double WIDTH = 0.8;

    /**
     * A spring in the drawer.
     *
     * @param constant in N/m; NaN: one's own
     * @param mass     in kilograms; NaN: one's own
     */
    record Coil(double constant, double mass) {
        static final Coil OWN = new Coil(Double.NaN, Double.NaN);
    }

    final Choice<Coil> spring = choice("spring", "Spring", Coil.class)
            .option("soft", "soft, 8 N/m, 14 g", new Coil(8, 0.014))
            .option("medium", "medium, 20 N/m, 22 g", new Coil(20, 0.022))
            .option("stiff", "stiff, 45 N/m, 35 g", new Coil(45, 0.035))
            .option("own", "your own", Coil.OWN).first("medium");
    final Amount ownConstant = amount("constant", "k", "Spring constant", "N/m").within(2, 60).step(0.5).first(20)
            .when(spring, Coil.OWN);
    final Amount ownMass = amount("coil", "m_s", "Mass of the spring", "g").within(0, 50).first(20).when(spring, Coil.OWN);
    final Switch heavy = toggle("heavy", "The spring's own mass counts");
    final Amount mass = amount("mass", "m", "Hung mass", "g").within(10, 500).step(10).first(200).live();
    final Amount drawn = amount("drawn", "A", "Drawn down by", "mm").within(-150, 150).step(5).first(40);
    final Gravity gravity = include(new Gravity());
    final Switch held = toggle("held", "Held by hand at first");
    final Amount damping = amount("damping", "c", "Damping", "N s/m").within(0, 6).step(0.05).in("losses").live();

    final Channel extension = channel("extension", "x", "Extension", "cm").typically(0, 30);
    final Channel displacement = channel("displacement", "y", "Displacement from equilibrium", "cm").typically(-15, 15);
    final Channel velocity = channel("velocity", "v", "Velocity, upwards", "m/s").typically(-2, 2).decimals(3);
    final Channel acceleration = channel("acceleration", "a", "Acceleration, upwards", "m/s²").typically(-20, 20);
    final Channel springForce = channel("spring-force", "F_s", "Force of the spring, upwards", "N").typically(0, 10);
    final Channel resultant = channel("resultant", "F", "Resultant force, upwards", "N").typically(-5, 5);
    final Channel kinetic = energy("kinetic", "E_k", "Kinetic energy", 0, 0.2, Account.KINETIC);
    final Channel gravitational = energy("gravitational", "E_g", "Gravitational energy", -1, 0, Account.POTENTIAL);
    final Channel elastic = energy("elastic", "E_e", "Elastic energy", 0, 1, Account.ELASTIC);
    final Channel thermal = energy("thermal", "E_th", "Thermal energy", 0, 0.2, Account.THERMAL);
    final Channel total = energy("total", "E", "Total energy", -1, 1, Account.TOTAL);
    final Channel period = channel("period", "T", "Period by beam timer", "s").typically(0, 3).decimals(3);

    final Event highest = event("highest", "highest point");
    final Event lowest = event("lowest", "lowest point");
    final Event equilibriumPassed = event("equilibrium", "equilibrium passed");
    final Event rest = event("rest", "at rest");

    final View front = view("front", "Front view");
    final Place support = place("support").filmed();
    final Coordinate hook = up("hook").filmed();
    final Place body = place("body").filmed();
    final Coordinate bodySize = length("body.size").filmed();
    final Flag handOn = flag("hand.on").filmed();
    final Coordinate natural = up("natural");
    final Coordinate equilibrium = up("equilibrium");
    final Coordinate weightArrow = length("weight.arrow");
    final Coordinate springArrow = length("spring.arrow");

    final Handle bodyInHand = handle("body", "mass", body, bodySize);
    final Act letGo = act("let-go", "Let go").when(handOn).leads();

    /** The hanging spring. */
    public HangingSpring() {
        super("hanging-spring", 2, "Hanging spring");
        about("A mass on a spring: stretch it, let go, and watch force, energy and rhythm. Damping from none to heavy.",
                "oscillation", "force", "energy", "elasticity", "damping");
        layer("forces", "Force arrows");
        layer("lines", "Natural length and equilibrium");
        tray(Ruler.twoMetres(), Stopwatch.toHundredths(), LightGate.toMilliseconds(), PositionMarkers.box(),
                Magnifier.glass());
        tray(SpringScale.upTo(3), springForce);
        slips("Total length taken for the extension", "Grams for kilograms", "Gradient upside down",
                "Period against mass read as a straight line");
    }

    private Channel energy(String id, String symbol, String name, double from, double to, Account account) {
        return channel(id, symbol, name, "J").typically(from, to).decimals(4).account(account);
    }

    @Override
    public Experiment prepare(Settings settings, int seed) {
        return new HangingSpringExperiment(this, settings);
    }

    /** The spring constant in N/m. */
    double constant(Settings s) {
        return s.value(spring) == Coil.OWN ? s.si(ownConstant) : s.value(spring).constant();
    }

    /** The spring's own mass in kilograms, 0 where it isn't to count. */
    double coilMass(Settings s) {
        if (!s.on(heavy)) {
            return 0;
        }
        return s.value(spring) == Coil.OWN ? s.si(ownMass) : s.value(spring).mass();
    }

    /** Extension at equilibrium, in metres. */
    double equilibrium(Settings s) {
        return s.si(mass) * gravity.of(s) / constant(s);
    }

    /** Height of the picture in metres. */
    double frameHeight(Settings s) {
        double reach = NATURAL_LENGTH + equilibrium(s) + Math.abs(s.si(drawn)) + 0.08;
        for (double candidate : FRAME_HEIGHTS) {
            if (0.92 * candidate >= reach) {
                return candidate;
            }
        }
        return FRAME_HEIGHTS[FRAME_HEIGHTS.length - 1];
    }

    @Override
    public Frame frame(View view, Settings settings) {
        double h = frameHeight(settings);
        return new Frame(-WIDTH * h / 2, -0.93 * h, WIDTH * h, h);
    }

    @Override
    protected void placed(Handle handle, double x, double y, Settings s, Placing placing) {
        placing.whole(drawn, HangingSpringExperiment.extensionAt(y, s.si(mass)) - equilibrium(s));
    }
}
