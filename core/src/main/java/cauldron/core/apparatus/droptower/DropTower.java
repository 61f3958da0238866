package cauldron.core.apparatus.droptower;

import cauldron.core.apparatus.Act;
import cauldron.core.apparatus.Amount;
import cauldron.core.apparatus.Apparatus;
import cauldron.core.apparatus.Body;
import cauldron.core.apparatus.Channel;
import cauldron.core.apparatus.Choice;
import cauldron.core.apparatus.Coordinate;
import cauldron.core.apparatus.Energies;
import cauldron.core.apparatus.Event;
import cauldron.core.apparatus.Experiment;
import cauldron.core.apparatus.Flag;
import cauldron.core.apparatus.Frame;
import cauldron.core.apparatus.Gravity;
import cauldron.core.apparatus.Handle;
import cauldron.core.apparatus.Outcome;
import cauldron.core.apparatus.Place;
import cauldron.core.apparatus.Placing;
import cauldron.core.apparatus.SceneNumber;
import cauldron.core.apparatus.Settings;
import cauldron.core.apparatus.Switch;
import cauldron.core.apparatus.View;
import cauldron.core.instrument.markers.PositionMarkers;
import cauldron.core.instrument.ruler.Ruler;
import cauldron.core.instrument.stopwatch.Stopwatch;
import cauldron.core.instrument.tape.LongTape;
import java.util.List;

/** The clock-weight shaft: its declaration; how things fall in it is in {@link DropTowerExperiment}. */
public final class DropTower extends Apparatus {

    static final int THINGS = 2;
    static final int GATES = 2;
    private static final double HIGHEST = 60;
    private static final double[] FRAMES = {1.2, 2.5, 5, 10, 20, 35, 64};
    private static final double BELOW = 0.07;
    private static final double ASPECT = 0.55;
    /** Part of the picture's height that a thing is drawn with at least. */
    private static final double SEEN = 0.035;
    private static final double ATMOSPHERE_AT_SEA = 1.225;
    private static final double ATMOSPHERE_AT_5000 = 0.736;
    private static final double CARBON_DIOXIDE = 1.87;

    final Choice<Thing> thing = things(choice("thing", "Thing", Thing.class), true);
    final Switch two = toggle("two", "Another beside it");
    final Choice<Thing> second = things(choice("second", "The other thing", Thing.class), false).first("cone").when(two);
    final Amount height = amount("height", "h", "Height", "m").within(0.5, HIGHEST).step(0.5).first(10);
    final Choice<Double> medium = choice("medium", "In the shaft", Double.class)
            .option("air", "air, 1.225 kg/m³", ATMOSPHERE_AT_SEA).option("none", "vacuum, 0 kg/m³", 0.0)
            .option("thin", "thin mountain air, 0.736 kg/m³", ATMOSPHERE_AT_5000)
            .option("carbon-dioxide", "carbon dioxide, 1.87 kg/m³", CARBON_DIOXIDE);
    final Amount opens = amount("opens", "h_p", "Parachute opens at", "m").within(0.5, HIGHEST).step(0.5).first(5)
            .noMoreThan(height).when(thing, Thing.FLARE);
    final Switch gates = toggle("gates", "Gates that time what passes");
    final List<Amount> gateHeight = each(GATES, i -> amount("gate." + i, "h_" + i, "Height of gate " + i, "m").within(0.1, HIGHEST)
            .step(0.1).first(i == 1 ? 6 : 2).noMoreThan(height).when(gates));
    final Gravity gravity = include(new Gravity());

    final Body other = body("other", "the other thing").when(two);

    final List<Channel> heights = each(THINGS, i -> channel("height." + i, index("y", i), "Height", "m").typically(0, 20)
            .decimals(3));
    final List<Channel> velocities = each(THINGS, i -> channel("velocity." + i, index("v", i), "Velocity, upwards positive", "m/s")
            .typically(-20, 10).decimals(3));
    final List<Channel> accelerations = each(THINGS, i -> channel("acceleration." + i, index("a", i),
            "Acceleration, upwards positive", "m/s²").typically(-12, 10));
    final List<Channel> drags = each(THINGS, i -> channel("drag." + i, index("F_d", i), "Drag, upwards positive", "N")
            .typically(-0.5, 2).decimals(3));
    {
        List.of(heights, velocities, accelerations, drags).forEach(list -> list.get(1).of(other));
    }

    final Energies account = include(new Energies(10, 3));

    final List<Event> contacts = each(THINGS, i -> event("contact." + i, i == 1 ? "first contact" : "first contact of the other").leaps());
    final List<Event> bounces = each(THINGS, i -> event("bounce." + i, i == 1 ? "later contact" : "later contact of the other").leaps());
    final List<Event> tops = each(THINGS, i -> event("top." + i, i == 1 ? "top of a bounce" : "top of a bounce of the other"));
    final List<Event> passes = each(THINGS * GATES, i -> event("gate." + i,
            "gate " + gateOf(i) + (thingOf(i) == 1 ? "" : ", the other")));
    final Event opened = event("opened", "parachute opens");
    final Event atRest = event("rest", "all at rest");

    final List<Outcome> fell = each(THINGS, i -> outcome("fell." + i, index("T", i), ofWhich("Time of first contact", i), "s")
            .decimals(3));
    final List<Outcome> struck = each(THINGS, i -> outcome("struck." + i, index("v_c", i), ofWhich("Speed at first contact", i), "m/s")
            .decimals(3));
    final List<Outcome> terminal = each(THINGS, i -> outcome("terminal." + i, index("v_t", i),
            ofWhich("Terminal speed in this medium", i), "m/s").decimals(2).aside());
    final List<Outcome> between = each(THINGS, i -> outcome("between." + i, index("Δt", i), ofWhich("Between the gates", i), "s")
            .decimals(4));

    final View shaft = view("shaft", "The shaft");
    final List<Place> at = each(THINGS, i -> place("thing." + i).filmed());
    final List<SceneNumber> which = each(THINGS, i -> number("thing." + i + ".which").filmed());
    final List<Coordinate> size = each(THINGS, i -> length("thing." + i + ".size").filmed());
    final Coordinate dropFrom = up("from").filmed();
    final Coordinate floor = up("floor").filmed();
    final List<Coordinate> gateAt = each(GATES, i -> up("gate." + i).filmed());
    final Coordinate reach = length("reach");
    final Coordinate wall = length("wall").filmed();
    final Flag gated = flag("gated").filmed();
    final Flag both = flag("both").filmed();
    final Flag held = flag("held");
    final Flag open = flag("open").filmed();
    final Flag pumped = flag("pumped").filmed();

    final Handle hand = handle("thing", "what is let fall", at.get(0), reach);
    final Act letGo = act("let-go", "Let fall").when(held).leads();

    /** Drop tower. */
    public DropTower() {
        super("drop-tower", 1, "Drop tower");
        about("Things fall down the shaft of a lighthouse, alone or two at once, through air, other gas or none; gates time what "
                + "passes.", "free fall", "drag and terminal speed", "motion graphs");
        upToSpeed(2);
        tray(Ruler.twoMetres(), LongTape.tenMetres(), Stopwatch.toHundredths(), PositionMarkers.box());
        slips("A more negative velocity is called smaller", "The gradient of the height is read as acceleration",
                "Rounding hides the row of first contact", "The heavier thing is thought to fall faster in vacuum, too");
        portrait().with(thing, "flare").with(height, 2.0).with(opens, 1.5).doing(letGo, 0).at(0.5)
                .through(-0.8, -0.2, 1.6, 2.5);
        setUp("two-fall", "Nut and paper cone", "Ask first: which one is down sooner? Let fall in air. Then choose vacuum in the"
                + " settings, and let fall again. Pause on the way: whose velocity is more negative?")
                .with(two, true).with(second, "cone").with(height, 5.0).reading(heights.get(0), velocities.get(0), heights.get(1),
                        velocities.get(1)).graphing(heights.get(0), heights.get(1)).at(0);
        setUp("parachute", "The flare's parachute", "Let fall from 40 m; the parachute opens at 25 m. Watch acceleration jump upwards"
                + " while the velocity still points down, and where each comes to rest at a value.")
                .with(thing, "flare").with(height, 40.0).with(opens, 25.0).reading(heights.get(0), velocities.get(0),
                        accelerations.get(0)).graphing(velocities.get(0), accelerations.get(0)).at(0);
    }

    private static Choice<Thing> things(Choice<Thing> choice, boolean flare) {
        for (Thing one : Thing.values()) {
            if (flare || one != Thing.FLARE) {
                choice.option(one.id, one.inWords, one);
            }
        }
        return choice;
    }

    private static String index(String symbol, int i) {
        return i == 1 ? symbol : symbol.contains("_") ? symbol + "2" : symbol + "_2";
    }

    private static String ofWhich(String name, int i) {
        return i == 1 ? name : name + ", the other";
    }

    /** Passages are declared gate by gate, for one thing after the other. */
    static int gateOf(int pass) {
        return (pass - 1) % GATES + 1;
    }

    static int thingOf(int pass) {
        return (pass - 1) / GATES + 1;
    }

    /** What falls as one of the two, from 0 on. */
    Thing falling(Settings s, int i) {
        return s.value(i == 0 ? thing : second);
    }

    @Override
    public Experiment prepare(Settings settings, int seed) {
        return new DropTowerExperiment(this, settings);
    }

    @Override
    public Frame frame(View view, Settings settings) {
        double top = frameHeight(settings);
        return new Frame(-0.5 * ASPECT * top, -BELOW * top, ASPECT * top, top * (1 + BELOW));
    }

    /** How tall the picture is above the floor, in m. */
    double frameHeight(Settings settings) {
        double wanted = 1.06 * settings.si(height) + 0.25;
        for (double one : FRAMES) {
            if (one >= wanted) {
                return one;
            }
        }
        return FRAMES[FRAMES.length - 1];
    }

    /** How tall a thing is drawn: as tall as it is, or as tall as can be seen. */
    double drawn(Settings settings, Thing one) {
        return Math.max(one.size, SEEN * frameHeight(settings));
    }

    @Override
    protected void placed(Handle handle, double x, double y, Settings s, Placing placing) {
        placing.stepped(height, y);
    }
}
