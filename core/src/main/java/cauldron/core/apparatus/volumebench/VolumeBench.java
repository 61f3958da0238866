package cauldron.core.apparatus.volumebench;

import cauldron.core.Tree;
import cauldron.core.apparatus.Act;
import cauldron.core.apparatus.Amount;
import cauldron.core.apparatus.Apparatus;
import cauldron.core.apparatus.Body;
import cauldron.core.apparatus.Channel;
import cauldron.core.apparatus.Choice;
import cauldron.core.apparatus.Coordinate;
import cauldron.core.apparatus.Event;
import cauldron.core.apparatus.Experiment;
import cauldron.core.apparatus.Flag;
import cauldron.core.apparatus.Frame;
import cauldron.core.apparatus.Layer;
import cauldron.core.apparatus.Ledger;
import cauldron.core.apparatus.Outcome;
import cauldron.core.apparatus.Place;
import cauldron.core.apparatus.Scene;
import cauldron.core.apparatus.SceneCurve;
import cauldron.core.apparatus.SceneNumber;
import cauldron.core.apparatus.Settings;
import cauldron.core.apparatus.View;
import cauldron.core.instrument.magnifier.Magnifier;
import cauldron.core.instrument.ruler.Ruler;
import java.util.List;
import java.util.Map;

/** The fuel store's sampling table: its declaration; what happens on it is in {@link VolumeBenchExperiment}. */
public final class VolumeBench extends Apparatus {

    static final int CYLINDERS = 3;
    /** The most a cylinder can be asked to hold at first, in mL. */
    private static final double MOST = 250;
    /** How high the eye can go, in cm. */
    static final double HIGHEST = 27;
    static final double LEAST_POURED = 0.5;
    static final double MOST_POURED = 1500;

    /** What water can be in, in the order in which it is told. */
    enum Where {
        JUG("jug", "the jug"), FIRST("first", "the first cylinder"), SECOND("second", "the second cylinder"),
        THIRD("third", "the third cylinder"), BEAKER("beaker", "the beaker"), CAN("can", "the overflow can"),
        SINK("sink", "the sink"), TABLE("table", "the table");

        /** Never changes: recipes are kept with it. */
        final String id;
        /** What it is called within a sentence. */
        final String inWords;

        Where(String id, String inWords) {
            this.id = id;
            this.inWords = inWords;
        }
    }

    /** Where a thing can be put; those that are vessels come first, in their order. */
    enum Spot { FIRST, SECOND, THIRD, BEAKER, CAN, BALANCE, SHELF }

    /** Where a vessel can stand. */
    enum Stand { HOME, SPOUT, BALANCE }

    /** How a thing is put into water. */
    enum How { FREE, HELD }

    /** What a pipette does. */
    enum Drops { IN, OUT }

    final List<Choice<Cylinder>> kind = List.of(cylinder("first", "First cylinder").first("250-fine"),
            cylinder("second", "Second cylinder").first("50"), cylinder("third", "Third cylinder").first("10"));
    final List<Amount> fill = List.of(fill("first-fill", "In the first cylinder, about"),
            fill("second-fill", "In the second cylinder, about"), fill("third-fill", "In the third cylinder, about"));
    final Amount canFill = fill("can-fill", "In the overflow can, about");
    final Amount eyeAtFirst = amount("eye", "z_e", "Height of the eye", "cm").within(0, HIGHEST).step(0.1).first(25);

    final List<Body> bodies = List.of(body("first-cylinder", "First cylinder"), body("second-cylinder", "Second "
            + "cylinder"),
            body("third-cylinder", "Third cylinder"));
    final List<Body> others = List.of(body("jug", "Jug"), body("beaker", "Beaker"), body("can", "Overflow can"),
            body("sink", "Sink"), body("table", "Table and cloth"));
    final Ledger water = ledger("water", "Water in each");

    final Channel balance = channel("balance", "m", "Balance", "g").typically(0, 400).decimals(2);
    final Channel eye = channel("eye-height", "z_e", "Height of the eye", "cm").typically(0, HIGHEST).decimals(1);
    final List<Channel> seen = each(CYLINDERS, i -> channel("seen." + i, "V_" + i, "Reading as the eye stands", "mL")
            .typically(0, MOST).decimals(2).of(bodies.get(i - 1)));
    final List<Channel> inside = each(CYLINDERS, i -> held("water." + i, "w_" + i, bodies.get(i - 1)));
    final List<Channel> elsewhere = List.of(held("water.jug", "w_j", others.get(0)), held("water.beaker", "w_b",
            others.get(1)),
            held("water.can", "w_c", others.get(2)), held("water.sink", "w_s", others.get(3)),
            held("water.table", "w_t", others.get(4)));
    final Event poured = event("poured", "poured");
    final Event dipped = event("dipped", "a thing put somewhere");
    final Event ran = event("ran", "water runs over the spout");
    final Event spilled = event("spilled", "water runs over onto the table");

    final List<Outcome> level = each(CYLINDERS, i -> unshown("level." + i, "V_" + i, "Reading with the eye level"));
    final List<Outcome> edge = each(CYLINDERS, i -> unshown("edge." + i, "V_" + i, "Reading at the edge of the curve"));
    final List<Outcome> asSeen = each(CYLINDERS, i -> unshown("as-seen." + i, "V_" + i, "Reading as the eye stands"));
    final Outcome under = unshown("under", "V_u", "Part under water of the thing put somewhere last");
    final Outcome ranOver = unshown("ran-over", "V_o", "Water over the spout by the thing put somewhere last");
    final List<Outcome> volumes = each(Thing.values().length, i -> unshown("volume." + Thing.values()[i - 1].id, "V",
            Thing.values()[i - 1].inWords));
    final List<Outcome> masses = each(Thing.values().length, i -> outcome("mass." + Thing.values()[i - 1].id, "m",
            Thing.values()[i - 1].inWords, "g").decimals(2).unshown());
    final List<Outcome> densities = each(Thing.values().length, i -> outcome("density." + Thing.values()[i - 1].id, "ρ",
            Thing.values()[i - 1].inWords, "g/cm³").decimals(2).unshown());

    final View front = view("front", "The table from the front");
    final Place jug = place("jug");
    final Place beaker = place("beaker");
    final Place can = place("can");
    final List<Place> cylinders = each(CYLINDERS, i -> place("cylinder." + i));
    final List<Place> lips = each(CYLINDERS, i -> place("lip." + i));
    final Place jugLip = place("lip.jug");
    final Place beakerLip = place("lip.beaker");
    final Place canLip = place("lip.can");
    final List<Place> feet = each(CYLINDERS, i -> place("foot." + i));
    final Place beakerFoot = place("foot.beaker");
    final List<Place> things = each(Thing.values().length, i -> place("thing." + Thing.values()[i - 1].id));
    final List<Place> grips = each(Thing.values().length, i -> place("grip." + Thing.values()[i - 1].id));
    final List<SceneNumber> size = each(Thing.values().length, i -> number("size." + Thing.values()[i - 1].id));
    final Place eyeAt = place("eye");
    final Place spout = place("spout");
    final Place pan = place("pan");
    final Place sink = place("sink");
    final Coordinate shelf = up("shelf");
    final Coordinate grip = length("grip");
    final List<SceneNumber> capacity = each(CYLINDERS, i -> number("capacity." + i));
    final List<SceneNumber> division = each(CYLINDERS, i -> number("division." + i));
    final List<SceneNumber> labelled = each(CYLINDERS, i -> number("labelled." + i));
    final List<Coordinate> bore = each(CYLINDERS, i -> length("bore." + i));
    final List<Coordinate> zero = each(CYLINDERS, i -> up("zero." + i));
    final List<Coordinate> top = each(CYLINDERS, i -> up("top." + i));
    final List<Coordinate> brim = each(CYLINDERS, i -> up("brim." + i));
    final List<Coordinate> bottomOfCurve = each(CYLINDERS, i -> up("bottom." + i));
    final List<Coordinate> wallFront = each(CYLINDERS, i -> up("wall-front." + i));
    final List<Coordinate> wallBack = each(CYLINDERS, i -> up("wall-back." + i));
    final List<SceneCurve> curve = each(CYLINDERS, i -> curve("curve." + i));
    final List<Flag> wet = each(CYLINDERS, i -> flag("wet." + i));
    /** Front and back of the surface in jug, beaker and can, as seen. */
    final List<Coordinate> otherFront = List.of(up("jug-front"), up("beaker-front"), up("can-front"));
    final List<Coordinate> otherBack = List.of(up("jug-back"), up("beaker-back"), up("can-back"));
    final SceneNumber display = number("display");
    final Flag overloaded = flag("overloaded");
    final SceneNumber justRan = number("just-ran");
    final Layer curveShown = layer("curve", "Bottom and edge of the curve");

    final Act pour = act("pour", "Pour …").told("{from} into {into}: about {amount}");
    final Choice<Where> pourFrom = vessels(pour.choice("from", "From", Where.class), Where.SINK, Where.TABLE);
    final Choice<Where> pourInto = vessels(pour.choice("into", "Into", Where.class), Where.TABLE);
    final Amount pourAmount = pour.amount("amount", "V", "About; as much as there is, if less", "mL")
            .within(LEAST_POURED, MOST_POURED)
            .step(0.5).first(20);
    final Act fillUp = act("fill", "Fill to a mark …").told("{from} into {into}, to about {to}");
    final Choice<Where> fillFrom = vessels(fillUp.choice("from", "From", Where.class), Where.SINK, Where.TABLE);
    final Choice<Where> fillInto = vessels(fillUp.choice("into", "Into", Where.class), Where.TABLE);
    final Amount fillTo = fillUp.amount("to", "V", "To the mark, about", "mL").within(LEAST_POURED, MOST_POURED)
            .step(0.5).first(20);
    final Act put = act("put", "Put a thing …").told("{thing} to {to}, {how}");
    final Choice<Thing> putThing = things(put.choice("thing", "Thing", Thing.class));
    final Choice<Spot> putTo = put.choice("to", "To", Spot.class).option("first", "the first cylinder", Spot.FIRST)
            .option("second", "the second cylinder", Spot.SECOND).option("third", "the third cylinder", Spot.THIRD)
            .option("beaker", "the beaker", Spot.BEAKER).option("can", "the overflow can", Spot.CAN)
            .option("balance", "the balance", Spot.BALANCE).option("shelf", "the shelf, wiped dry", Spot.SHELF);
    final Choice<How> putHow = put.choice("how", "How", How.class).option("free", "let go", How.FREE)
            .option("held", "held under with a needle", How.HELD);
    final Act stand = act("stand", "Stand a vessel …").told("{vessel} {at}");
    final Choice<Where> standVessel = stand.choice("vessel", "Vessel", Where.class).options(new Where[] {Where.FIRST,
        Where.SECOND, Where.THIRD, Where.BEAKER}, w -> w.id, w -> w.inWords);
    final Choice<Stand> standAt = stand.choice("at", "Where", Stand.class).option("spout", "under the spout",
            Stand.SPOUT)
            .option("balance", "onto the balance", Stand.BALANCE).option("home", "to its place", Stand.HOME);
    final Act drip = act("drops", "Use the pipette …").told("pipette, {into}, {way}: {drops} drops");
    final Choice<Where> dripInto = vessels(drip.choice("into", "At", Where.class), Where.TABLE);
    final Choice<Drops> dripWay = drip.choice("way", "Drops", Drops.class).option("in", "put in", Drops.IN)
            .option("out", "taken out", Drops.OUT);
    final Amount drops = drip.amount("drops", "n", "How many", "").within(1, 40).step(1).first(5);
    final Act look = act("look", "Bring the eye to …").told("eye to {height}");
    final Amount lookAt = look.amount("height", "z_e", "Height of the eye", "cm").within(0, HIGHEST).step(0.1)
            .first(12);
    final Act tare = act("tare", "Set the balance to zero").told("balance set to zero");

    /** Volume bench. */
    public VolumeBench() {
        super("volume-bench", 1, "Volume bench");
        about("Water is poured, and things are dipped into it; volumes are read from three cylinders with scales of "
                + "their own, "
                + "with the eye level with the bottom of the curve.", "volume", "reading a scale", "displacement",
                        "density");
        steps();
        look.dragging(eyeAt, grip, "the eye");
        fillUp.dragging(List.of(jugLip, lips.get(0), lips.get(1), lips.get(2), beakerLip, canLip), grip, fillFrom);
        stand.dragging(List.of(feet.get(0), feet.get(1), feet.get(2), beakerFoot), grip, standVessel);
        put.dragging(grips, grip, putThing);
        tray(Magnifier.glass(), Ruler.graduated("mm", 150, 1));
        slips("A division counted as 1", "Spaces over difference, upside down", "Read at the edge of the curve",
                "The eye not level with the curve", "Thing not wholly under water", "Can not full to the spout");
        portrait().with(fill.get(0), 120.0).with(fill.get(1), 31.0).with(fill.get(2), 6.4).with(eyeAtFirst, 12.0)
                .through(0.08, -0.01, 0.19, 0.25);
        setUp("three-scales", "Three scales", "What does one space stand for on each? Two labels, their difference, "
                + "and the "
                + "spaces between. Then bring the eye down to each curve, and lay the glass on it.")
                .with(fill.get(0), 137.0).with(fill.get(1), 33.0).with(fill.get(2), 7.3).reading(eye);
        setUp("brim", "Full to the spout, or not", "The can isn't full to its spout. Put the shackle in: how much "
                + "runs out? Then "
                + "fill it until it runs, empty the beaker, and do it again.")
                .with(canFill, 241.0).doing(stand, 0, Tree.of("vessel", "beaker", "at", "spout")).at(1).bars(water);
    }

    private Choice<Cylinder> cylinder(String id, String name) {
        return choice(id, name, Cylinder.class).options(Cylinder.values(), c -> c.id, Cylinder::inWords);
    }

    private Amount fill(String id, String name) {
        return amount(id, "V_0", name, "mL").within(0, MOST).step(1).first(0);
    }

    private Channel held(String id, String symbol, Body of) {
        return channel(id, symbol, "Water", "mL").typically(0, MOST).decimals(2).of(of).in(water);
    }

    private Outcome unshown(String id, String symbol, String name) {
        return outcome(id, symbol, name, "mL").decimals(2).unshown();
    }

    private static Choice<Where> vessels(Choice<Where> choice, Where... not) {
        for (Where where : Where.values()) {
            if (!List.of(not).contains(where)) {
                choice.option(where.id, where.inWords, where);
            }
        }
        return choice;
    }

    private static Choice<Thing> things(Choice<Thing> choice) {
        for (Thing thing : Thing.values()) {
            choice.option(thing.id, "the " + thing.inWords.toLowerCase(), thing);
        }
        return choice;
    }

    @Override
    public Experiment prepare(Settings settings, int seed) {
        return new VolumeBenchExperiment(this, settings, seed);
    }

    @Override
    public Frame frame(View view, Settings settings) {
        return new Frame(-0.015, -0.095, 0.605, 0.375);
    }

    @Override
    protected Map<String, Object> dragged(Act act, int which, double x, double y, Settings settings, Scene now) {
        return new Dropped(this, settings, now, x, y).means(act, which);
    }
}
