package cauldron.core.apparatus.springbench;

import cauldron.core.Tree;
import cauldron.core.apparatus.Act;
import cauldron.core.apparatus.Amount;
import cauldron.core.apparatus.Apparatus;
import cauldron.core.apparatus.Body;
import cauldron.core.apparatus.Channel;
import cauldron.core.apparatus.Channel.Account;
import cauldron.core.apparatus.Choice;
import cauldron.core.apparatus.Coordinate;
import cauldron.core.apparatus.Event;
import cauldron.core.apparatus.Experiment;
import cauldron.core.apparatus.Flag;
import cauldron.core.apparatus.Force;
import cauldron.core.apparatus.Frame;
import cauldron.core.apparatus.Place;
import cauldron.core.apparatus.Profile;
import cauldron.core.apparatus.SceneNumber;
import cauldron.core.apparatus.Settings;
import cauldron.core.apparatus.Switch;
import cauldron.core.apparatus.View;
import cauldron.core.instrument.gauge.Gauge;
import cauldron.core.instrument.ruler.Ruler;
import java.util.Map;

/** The slip's buffer springs in a screw press: its declaration; what happens to them is in {@link SpringBenchExperiment}. */
public final class SpringBench extends Apparatus {

    /** Natural length of a spring in m. */
    static final double NATURAL = 0.4;
    /** How far the screw draws the plate out from rest, in m. */
    static final double OUT = 0.5;
    /** How far it pushes it in. */
    static final double IN = 0.25;
    /** The most the press pulls or pushes, in N. */
    static final double STRONGEST = 120;
    private static final double CM = 0.01;
    private static final double LEFT = -0.16;
    private static final double BOTTOM = -0.44;
    private static final double HEIGHT = 0.88;
    private static final double SHORT = 2.24;
    private static final double LONG = 2.64;

    /** How the springs stand in the press. */
    enum Arrangement { ONE, SERIES, PARALLEL }

    /** Springs from the slip's store, and one of one's own. */
    enum Make {
        AUK(210), BRENT(340), CURLEW(520), OWN(0);

        final double k;

        Make(double k) {
            this.k = k;
        }
    }

    final Choice<Arrangement> arrangement = choice("arrangement", "In the press", Arrangement.class)
            .option("one", "one spring", Arrangement.ONE).option("series", "two, end to end", Arrangement.SERIES)
            .option("parallel", "two, side by side", Arrangement.PARALLEL);
    final Choice<Make> make = make("make", "Spring");
    final Amount stiffness = stiffness("stiffness", "k_1", "Its stiffness").when(make, Make.OWN);
    final Choice<Make> secondMake = make("second-make", "Second spring")
            .when(arrangement, Arrangement.SERIES, Arrangement.PARALLEL);
    final Amount secondStiffness = stiffness("second-stiffness", "k_2", "Stiffness of a second one of your own")
            .when(secondMake, Make.OWN);
    final Amount step = amount("step", "ΔF", "Step of the press", "N").within(0.5, 40).step(0.5).first(5);
    final Switch limited = toggle("limited", "Elastic limit");
    final Amount limit = amount("limit", "F_e", "Force at the elastic limit", "N").within(5, STRONGEST).step(1).first(40)
            .when(limited).note("Of each spring. Beyond it the line is flatter, and the spring doesn't come back.");

    final Body firstSpring = body("first", "first spring").when(arrangement, Arrangement.SERIES, Arrangement.PARALLEL);
    final Body secondSpring = body("second", "second spring").when(arrangement, Arrangement.SERIES, Arrangement.PARALLEL);

    final Channel force = channel("force", "F", "Force of the press", "N").typically(-STRONGEST, STRONGEST).decimals(1);
    final Channel displacement = channel("displacement", "x", "Displacement from rest", "cm").typically(-25, 50);
    final Channel springForce = channel("spring-force", "F_s", "Force of the spring", "N").typically(-STRONGEST, STRONGEST)
            .decimals(1);
    final Channel permanent = channel("permanent", "x_0", "Permanent set", "cm").typically(-10, 10);
    final Channel firstForce = channel("first-force", "F_1", "Force", "N").typically(-STRONGEST, STRONGEST).decimals(1)
            .of(firstSpring);
    final Channel firstExtension = channel("first-extension", "x_1", "Extension", "cm").typically(-25, 25).of(firstSpring);
    final Channel secondForce = channel("second-force", "F_2", "Force", "N").typically(-STRONGEST, STRONGEST).decimals(1)
            .of(secondSpring);
    final Channel secondExtension = channel("second-extension", "x_2", "Extension", "cm").typically(-25, 25)
            .of(secondSpring);
    final Channel stored = channel("stored", "E_s", "Energy stored in the springs", "J").typically(0, 10).decimals(3)
            .account(Account.ELASTIC);
    final Channel lost = channel("lost", "E_l", "Not given back: heat, and locked in the steel", "J").typically(0, 10)
            .decimals(3).account(Account.THERMAL);
    final Channel work = channel("work", "W", "Work of the press", "J").typically(0, 10).decimals(3).account(Account.TOTAL);

    final Event pressed = event("pressed", "press set");
    final Event yielded = event("yielded", "a spring gives way");

    final Profile path = profile("path", "Force along displacement").along("x", "displacement", "cm").up("F", "force", "N");

    final View side = view("side", "The press from the side");
    final Place plate = place("plate");
    final Coordinate joint = right("joint");
    final Coordinate rest = right("rest");
    final Coordinate grip = length("grip");
    final SceneNumber standing = number("arrangement");
    final SceneNumber turns = number("turns");
    final Flag longer = flag("longer");
    final Flag shorter = flag("shorter");
    final Flag free = flag("free");

    final Force ofPress = force("press", "F", "force of the press on the plate", plate);
    final Force ofSpring = force("spring", "F_s", "force of the spring on the plate", plate);

    final Act more = act("more", "A step longer").told("a step longer");
    final Act less = act("less", "A step shorter").told("a step shorter");
    final Act setForce = act("set-force", "Set the force …").told("force set to {force}");
    final Amount wantedForce = setForce.amount("force", "F", "Force, pulling counted positive", "N")
            .within(-STRONGEST, STRONGEST).step(1).first(10);
    final Act setPlace = act("set-place", "Set the displacement …").told("displacement set to {displacement}");
    final Amount wantedPlace = setPlace.amount("displacement", "x", "Displacement, longer counted positive", "cm")
            .within(-IN / CM, OUT / CM).step(0.1).first(1);
    final Act letOff = act("let-off", "Let off").unless(free).told("let off");

    /** Push–pull spring. */
    public SpringBench() {
        super("spring-bench", 1, "Push–pull spring");
        about("Buffer springs in a screw press are pulled longer and pushed shorter, step by step, with the force and the "
                + "displacement of each step.", "Hooke's law", "elastic energy", "springs in series and parallel");
        steps();
        setPlace.dragging(plate, grip, "plate");
        tray(Ruler.graduated("cm", 60, 0.1));
        tray(Gauge.showing("force-ring", "Force ring", "N", STRONGEST, 0.1), force);
        slips("Axes exchanged: then the gradient is 1/k", "Sign of a compression left out",
                "Displacement measured from the wall, not from the rest mark", "Centimetres or millimetres taken for metres",
                "Area taken as base times height, twice too large");
        portrait().doing(setForce, 0, Tree.of("force", 40.0)).through(-0.2, -0.5, 1.15, 1);
        setUp("both-ways", "Longer and shorter", "Press one step more, again and again, then back through the rest mark. The two"
                + " arrows at the plate are always alike and opposite; which one does the steel feel? Then switch on the run table.")
                .doing(setForce, 0, Tree.of("force", 30.0)).at(1).reading(force, displacement, springForce).forces().profile(path)
                .account();
        setUp("too-far", "Too far", "This spring has been pulled beyond its elastic limit and let off. Step back and forward:"
                + " where does the line bend, and what is left? Compare work and what is given back.")
                .with(limited, true).with(make, "curlew").doing(setForce, 0, Tree.of("force", 35.0))
                .doing(setForce, 1, Tree.of("force", 60.0))
                .doing(letOff, 2).at(3).reading(force, displacement, permanent).profile(path).account();
    }

    private Choice<Make> make(String id, String name) {
        return choice(id, name, Make.class).option("auk", "Auk", Make.AUK).option("brent", "Brent", Make.BRENT)
                .option("curlew", "Curlew", Make.CURLEW).option("own", "one of your own", Make.OWN);
    }

    private Amount stiffness(String id, String symbol, String name) {
        return amount(id, symbol, name, "N/m").within(50, 1000).step(10).first(400);
    }

    @Override
    public Experiment prepare(Settings settings, int seed) {
        return new SpringBenchExperiment(this, settings);
    }

    /** Where the plate is at rest, in m from the wall. */
    double restOf(Settings s) {
        return s.value(arrangement) == Arrangement.SERIES ? 2 * NATURAL : NATURAL;
    }

    @Override
    public Frame frame(View view, Settings settings) {
        return new Frame(LEFT, BOTTOM, settings.value(arrangement) == Arrangement.SERIES ? LONG : SHORT, HEIGHT);
    }

    /** The plate is drawn to a place: to a tenth of a millimetre, as far as the screw reaches. */
    @Override
    protected Map<String, Object> dragged(Act act, int which, double x, double y, Settings settings) {
        double to = Math.max(-IN, Math.min(OUT, x - restOf(settings)));
        return Tree.of(wantedPlace.id(), Math.rint(to * 1e4) / 100);
    }
}
