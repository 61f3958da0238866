package cauldron.core.apparatus.raisedloads;

import cauldron.core.Tree;
import cauldron.core.apparatus.Act;
import cauldron.core.apparatus.Amount;
import cauldron.core.apparatus.Apparatus;
import cauldron.core.apparatus.Body;
import cauldron.core.apparatus.Channel;
import cauldron.core.apparatus.Channel.Account;
import cauldron.core.apparatus.Choice;
import cauldron.core.apparatus.Coordinate;
import cauldron.core.apparatus.Declaration;
import cauldron.core.apparatus.Event;
import cauldron.core.apparatus.Experiment;
import cauldron.core.apparatus.Flag;
import cauldron.core.apparatus.Frame;
import cauldron.core.apparatus.Gravity;
import cauldron.core.apparatus.Handle;
import cauldron.core.apparatus.Items;
import cauldron.core.apparatus.Layer;
import cauldron.core.apparatus.Ledger;
import cauldron.core.apparatus.Outcome;
import cauldron.core.apparatus.Pick;
import cauldron.core.apparatus.Place;
import cauldron.core.apparatus.Placing;
import cauldron.core.apparatus.Profile;
import cauldron.core.apparatus.SceneCurve;
import cauldron.core.apparatus.SceneNumber;
import cauldron.core.apparatus.Settings;
import cauldron.core.apparatus.View;
import cauldron.core.instrument.ruler.Ruler;
import cauldron.core.instrument.tape.LongTape;
import java.util.List;
import java.util.Map;

/** The store in the tower: its declaration; what happens to the loads is in {@link RaisedLoadsExperiment}. */
public final class RaisedLoads extends Apparatus {

    static final int MOST_LOADS = 5;
    static final int MOST_LANDINGS = 4;
    /** How far from the wall a load may stand, in metres. */
    static final double NEAREST = 0.4;
    static final double FURTHEST = 3.9;
    /** Where the edge of the landings can be taken hold of, in metres from the wall. */
    static final double EDGE = 4.1;
    private static final double STOREY = 0.8;
    private static final double[] FRAME_HEIGHTS = {3.6, 4.6, 5.6, 6.6, 7.6, 8.6, 10, 11, 12, 13, 14.2};
    private static final double TOP = 2;
    private static final double BOTTOM = 1.1;
    private static final double LEFT = -3;
    private static final double RIGHT = 5.6;

    /** What a load is, which says how it looks. */
    enum Thing { DRUM, ROPE, LINE, BOX, LENS }

    /** What each load has. */
    static final class Load extends Declaration {
        final Choice<Thing> thing = choice("thing", "What it is", Thing.class)
                .option("drum", "Drum of lamp oil", Thing.DRUM).option("rope", "Coil of rope", Thing.ROPE)
                .option("line", "Lead line", Thing.LINE).option("box", "Box of charts", Thing.BOX)
                .option("lens", "Lens ring", Thing.LENS);
        final Amount mass = amount("mass", "m", "Mass", "kg").within(0.005, 40).step(0.1).first(5);
    }

    /** What each landing has. */
    static final class Landing extends Declaration {
        final Amount height = amount("height", "h", "Height", "m").within(0.2, 12).step(0.1).first(3);
    }

    private final Load load = new Load();
    private final Landing landing = new Landing();

    final Amount level = amount("level", "h_0", "Reference level", "m").within(0, 12).step(0.1).live()
            .note("Energies and bars count from here.");
    final Items loads = items("loads", "Loads", "load", load).between(1, MOST_LOADS).namedBy(load.thing)
            .with(load.thing, "drum", load.mass, 18.0).with(load.thing, "rope", load.mass, 6.0)
            .with(load.thing, "line", load.mass, 3.5).with(load.thing, "lens", load.mass, 0.24);
    final Items landings = items("landings", "Landings", "landing", landing).between(1, MOST_LANDINGS)
            .rising(landing.height, STOREY)
            .with(landing.height, 2.5).with(landing.height, 5.0).with(landing.height, 8.0);
    final Gravity gravity = include(new Gravity());

    final List<Body> bodies = each(MOST_LOADS, i -> body("load." + i, "Load " + i).oneOf(loads, i - 1));
    final Ledger stored = ledger("stored", "Potential energy of each load");

    final Channel mass = channel("mass", "m", "Mass of the load moved last", "kg").typically(0, 20).decimals(3);
    final Channel height = channel("height", "h", "Height above the floor", "m").typically(0, 10);
    final Channel above = channel("above", "Δh", "Height above the reference level", "m").typically(0, 10);
    final Channel across = channel("across", "x", "Distance from the wall", "m").typically(0, 4);
    final Channel path = channel("path", "s", "Length of its path", "m").typically(0, 20);
    final Channel work = channel("work", "W", "Work of the lifting force on its path", "J").typically(0, 1500).decimals(1);
    final Channel energy = channel("energy", "E_p", "Potential energy of the load moved last", "J").typically(0, 1500)
            .decimals(1);
    final Channel kinetic = account("kinetic", "E_k", "Kinetic energy", Account.KINETIC);
    final Channel potential = account("potential", "E_g", "Potential energy of all", Account.POTENTIAL);
    final Channel thermal = account("thermal", "E_th", "Thermal energy", Account.THERMAL);
    final Channel total = account("total", "E", "Total energy", Account.TOTAL);
    final List<Channel> each = each(MOST_LOADS, i -> channel("potential." + i, "E_" + i, "Potential energy", "J")
            .typically(0, 1500).decimals(1).of(bodies.get(i - 1)).in(stored));

    final Event placed = event("placed", "load put down");
    final Event struck = event("struck", "load struck the floor");

    final Outcome lifted = outcome("lifted", "W_all", "Total work of lifting", "J").decimals(1);
    final Outcome carried = outcome("carried", "s_all", "Total path length", "m");
    final Outcome inStore = outcome("in-store", "E_all", "Potential energy stored", "J").decimals(1);

    final Profile along = profile("along", "Work along the path").along("s", "along the path", "m").up("W", "work", "J");

    final View section = view("section", "Section of the tower");
    final List<Place> loadAt = each(MOST_LOADS, i -> place("load." + i));
    final List<SceneNumber> loadThing = each(MOST_LOADS, i -> number("load." + i + ".thing"));
    final SceneNumber loadCount = number("loads");
    final Coordinate reach = length("reach");
    final List<Place> landingAt = each(MOST_LANDINGS, i -> place("landing." + i));
    final SceneNumber landingCount = number("landings");
    final Place stairFoot = place("stair.foot");
    final Coordinate stairTurn = right("stair.turn");
    final Coordinate shaft = right("shaft");
    final Coordinate levelAt = up("level");
    final SceneNumber moved = number("moved");
    final Flag falling = flag("falling");
    final Layer pathShown = layer("path", "Path of the load moved last");
    final SceneCurve pathGone = curve("path").on(pathShown);

    final List<Handle> landingInHand = each(MOST_LANDINGS, i -> handle("landing." + i, "landing " + i,
            landingAt.get(i - 1), reach).whileThereAre(landingCount, i));

    final Act place = act("place", "Put a load on …").unless(falling)
            .told("To {onto} by {by}: {load}");
    final Pick placedLoad = place.pick("load", "Load", loads);
    final Pick onto = place.pick("onto", "Onto", landings).or("floor", "the floor");
    final Choice<LoadPath.By> by = place.choice("by", "By", LoadPath.By.class).option("hoist", "the hoist", LoadPath.By.HOIST)
            .option("stair", "the stair", LoadPath.By.STAIR);
    final Amount at = place.amount("at", "x", "Distance from the wall", "m").within(NEAREST, FURTHEST).step(0.1).first(2);
    final Act drop = act("drop", "Let a load fall …").unless(falling).told("{load} falls, and is about to strike");
    final Pick dropped = drop.pick("load", "Load", loads);
    final Act strike = act("strike", "It strikes the floor").when(falling).leads();

    /** Raised loads. */
    public RaisedLoads() {
        super("raised-loads", 1, "Raised loads");
        about("Loads are brought up and down a tower, by hoist or stair, a step at a time: each has its height, its "
                + "energy and the work it took.", "energy", "work", "gravity", "reference level");
        steps();
        layer("heights", "Heights");
        place.dragging(loadAt, reach, loadCount);
        tray(Ruler.twoMetres(), LongTape.tenMetres());
        slips("Height taken from the wrong level", "Grams for kilograms", "The longer path thought to store more",
                "Weight and mass mixed up: g left out");
        portrait().doing(place, 0, Tree.of("load", "1", "onto", "2", "at", 0.7)).doing(place, 1, Tree.of("load", "2", "onto", "1"))
                .doing(place, 2, Tree.of("load", "4", "onto", "3", "at", 2.6)).showing(pathShown);
    }

    {
        setUp("two-ways", "Two ways up", "The drum was brought to the top by the hoist, down again, and up by the stair. Step "
                + "back and forward: which curve is longer, and where does each end?")
                .doing(place, 0, Tree.of("load", "1", "onto", "3", "by", "hoist"))
                .doing(place, 1, Tree.of("load", "1", "onto", "floor", "by", "hoist", "at", 0.5))
                .doing(place, 2, Tree.of("load", "1", "onto", "3", "by", "stair")).at(3)
                .reading(path, work, energy).profile(along).showing(pathShown);
        setUp("fall", "A fall, and its account", "The drum is about to strike the floor. Which bars changed, which didn't? "
                + "Let it strike, then step back.")
                .doing(place, 0, Tree.of("load", "1", "onto", "3")).doing(drop, 1, Tree.of("load", "1")).at(2)
                .reading(height, energy).account();
    }

    private Channel account(String id, String symbol, String name, Account part) {
        return channel(id, symbol, name, "J").typically(0, 2000).decimals(1).account(part);
    }

    /** A load's mass in kilograms. */
    double mass(Settings s, int which) {
        return s.items(loads).get(which).si(load.mass);
    }

    /** What a load is. */
    Thing thing(Settings s, int which) {
        return s.items(loads).get(which).value(load.thing);
    }

    /** Heights of the landings in metres, from the lowest up. */
    double[] heights(Settings s) {
        return s.items(landings).stream().mapToDouble(l -> l.si(landing.height)).toArray();
    }

    /** Heights at which the stair can be left: the floor and the landings. */
    double[] storeys(Settings s) {
        double[] heights = heights(s);
        double[] all = new double[heights.length + 1];
        System.arraycopy(heights, 0, all, 1, heights.length);
        return all;
    }

    @Override
    public Experiment prepare(Settings settings, int seed) {
        return new RaisedLoadsExperiment(this, settings);
    }

    @Override
    public Frame frame(View view, Settings settings) {
        double[] heights = heights(settings);
        double reach = heights[heights.length - 1] + TOP;
        double top = FRAME_HEIGHTS[FRAME_HEIGHTS.length - 1];
        for (int i = FRAME_HEIGHTS.length - 1; i >= 0; i--) {
            top = FRAME_HEIGHTS[i] >= reach ? FRAME_HEIGHTS[i] : top;
        }
        return new Frame(LEFT, -BOTTOM, RIGHT - LEFT, top + BOTTOM);
    }

    @Override
    protected void placed(Handle handle, double x, double y, Settings s, Placing placing) {
        int which = landingInHand.indexOf(handle);
        if (which < s.items(landings).size()) {
            placing.field(s, landings, which, landing.height, y);
        }
    }

    /** Where it is let go it comes to stand: on the nearest floor below or just above the hand. */
    @Override
    protected Map<String, Object> dragged(Act act, int which, double x, double y, Settings settings) {
        double[] storeys = storeys(settings);
        int best = 0;
        for (int i = 1; i < storeys.length; i++) {
            best = Math.abs(y - storeys[i]) < Math.abs(y - storeys[best]) ? i : best;
        }
        double to = Math.rint(10 * Math.max(NEAREST, Math.min(FURTHEST, x))) / 10;
        return Tree.of(placedLoad.id(), String.valueOf(which + 1), onto.id(), best == 0 ? "floor" : String.valueOf(best),
                at.id(), to);
    }
}
