package cauldron.core.apparatus.railrun;

import cauldron.core.apparatus.Advice;
import cauldron.core.apparatus.Amount;
import cauldron.core.apparatus.Apparatus;
import cauldron.core.apparatus.Channel;
import cauldron.core.apparatus.Choice;
import cauldron.core.apparatus.Coordinate;
import cauldron.core.apparatus.Declaration;
import cauldron.core.apparatus.Energies;
import cauldron.core.apparatus.Event;
import cauldron.core.apparatus.Experiment;
import cauldron.core.apparatus.Flag;
import cauldron.core.apparatus.Force;
import cauldron.core.apparatus.Forecast;
import cauldron.core.apparatus.Frame;
import cauldron.core.apparatus.Gravity;
import cauldron.core.apparatus.Handle;
import cauldron.core.apparatus.Items;
import cauldron.core.apparatus.Layer;
import cauldron.core.apparatus.Ledger;
import cauldron.core.apparatus.Outcome;
import cauldron.core.apparatus.Place;
import cauldron.core.apparatus.Placing;
import cauldron.core.apparatus.Profile;
import cauldron.core.apparatus.Recipe;
import cauldron.core.apparatus.Scene;
import cauldron.core.apparatus.SceneCurve;
import cauldron.core.apparatus.SceneNumber;
import cauldron.core.apparatus.Setting;
import cauldron.core.apparatus.Settings;
import cauldron.core.apparatus.View;
import cauldron.core.instrument.markers.PositionMarkers;
import cauldron.core.instrument.ruler.Ruler;
import cauldron.core.instrument.stopwatch.Stopwatch;
import cauldron.core.instrument.tape.LongTape;
import cauldron.core.quantity.Numbers;
import java.util.List;

/** The coal wagon on the light station's rail: its declaration; the law is in {@link RailRunExperiment}. */
public final class RailRun extends Apparatus {

    static final int MOST_POINTS = 9;
    private static final double GAP = 0.8;
    /** Where the reference level is taken hold of, in metres across. */
    static final double LEVEL_GRIP = 15.9;

    /** Which rail lies there. */
    enum Shape { TROUGH, SKERRIES, LOOP, SLIPWAY, OWN }

    /** What each point of one's own rail has. */
    static final class Point extends Declaration {
        final Amount x = amount("x", "x", "Across", "m").within(0, 16).step(0.1).first(1);
        final Amount y = amount("y", "y", "Height", "m").within(0.3, 10).step(0.1).first(3);
    }

    private final Point point = new Point();

    final Choice<Shape> shape = choice("shape", "Rail", Shape.class)
            .option("trough", "Coal trough", Shape.TROUGH).option("skerries", "Two skerries", Shape.SKERRIES)
            .option("loop", "Keeper's loop", Shape.LOOP).option("slipway", "Slipway", Shape.SLIPWAY)
            .option("own", "your own", Shape.OWN).first("trough");
    final Amount start = amount("start", "y_0", "Let go at height", "m").within(0.3, 10).step(0.1).first(6)
            .note("On the first slope from the left, or as near as it comes.").advised();
    final Amount mass = amount("mass", "m", "Mass of the wagon", "kg").within(20, 120).step(5).first(60);
    final Amount friction = amount("friction", "μ", "Friction coefficient", "").within(0, 0.2).step(0.005).live().forecast();
    final Amount level = amount("level", "h_0", "Reference level", "m").within(0, 10).step(0.1).first(0.6).live()
            .note("Potential energy counts from here. It can be dragged in the picture.");
    final Gravity gravity = include(new Gravity());

    final Items points = items("points", "Points of the rail", "point", point).between(3, MOST_POINTS).rising(point.x, GAP)
            .with(point.x, 0.5, point.y, 8.0).with(point.x, 4.0, point.y, 1.5).with(point.x, 7.5, point.y, 4.5)
            .with(point.x, 11.0, point.y, 1.0).with(point.x, 15.5, point.y, 7.0).when(shape, Shape.OWN);

    final Ledger works = ledger("work", "Work of each force so far");

    final Channel speed = channel("speed", "v", "Speed", "m/s").typically(0, 12);
    final Channel height = channel("height", "h", "Height above the reference level", "m").typically(0, 8);
    final Channel across = channel("across", "x", "Across", "m").typically(0, 16);
    final Channel distance = channel("distance", "s", "Distance travelled", "m").typically(0, 60);
    final Channel normal = channel("normal", "N", "Normal force", "N").typically(0, 1500).decimals(0);
    final Channel weight = channel("weight", "W", "Weight", "N").typically(0, 1200).decimals(0);
    final Channel frictionForce = channel("friction-force", "F_r", "Friction", "N").typically(0, 200).decimals(0);
    final Channel tangential = channel("tangential", "a_t", "Tangential acceleration", "m/s²").typically(-10, 10);
    final Energies account = include(new Energies(5000, 0));
    final Channel byGravity = work("by-gravity", "W_g", "Work of gravity");
    final Channel byNormal = work("by-normal", "W_N", "Work of the normal force");
    final Channel byFriction = work("by-friction", "W_r", "Work of friction");
    final Channel byHand = work("by-hand", "W_h", "Work of the hand");

    final Event highest = event("highest", "highest point");
    final Event lowest = event("lowest", "lowest point");
    final Event levelPassed = event("level", "reference level passed");
    final Event left = event("left", "rail left").named();
    final Event landed = event("landed", "landed").leaps().named();
    final Event bumped = event("bumped", "end buffer").leaps();
    final Event rest = event("rest", "at rest");

    final Outcome travelled = outcome("travelled", "s_rest", "Distance until at rest", "m").decimals(1);
    final Outcome heat = outcome("heat", "E_th", "Thermal energy at rest", "J").decimals(0);

    final Profile energies = profile("energies", "Energy along the rail").along("s", "along the rail", "m")
            .up("E", "energy", "J");

    final View side = view("side", "Side view");
    final Place car = place("car").filmed();
    final Coordinate carRadius = length("car.radius").filmed();
    final SceneNumber tilt = number("car.tilt").filmed();
    final Coordinate levelAt = up("level");
    final Place levelGrip = place("level.grip");
    final Coordinate ground = up("ground");
    final List<Place> pointAt = each(MOST_POINTS, i -> place("point." + i));
    final SceneNumber pointCount = number("points");
    final Flag flying = flag("flying");
    final Flag held = flag("held");
    final SceneCurve rail = curve("rail");
    final Layer band = layer("band", "Energy band along the rail");
    final SceneCurve bandPotential = curve("band.potential").on(band);
    final SceneCurve bandKinetic = curve("band.kinetic").on(band);
    final SceneCurve bandThermal = curve("band.thermal").on(band);

    final Force weightArrow = force("force.weight", "W", "weight", car);
    final Force normalArrow = force("force.normal", "N", "normal force", car);
    final Force frictionArrow = force("force.friction", "F_r", "friction", car);

    final Handle inHand = handle("car", "wagon", car, carRadius);
    final Handle levelInHand = handle("level", "reference level", levelGrip, carRadius).sets(level);
    final List<Handle> pointInHand = each(MOST_POINTS, i -> handle("point." + i, "point " + i + " of the rail",
            pointAt.get(i - 1), carRadius).whileThereAre(pointCount, i));

    /** The rail run. */
    public RailRun() {
        super("rail-run", 2, "Rail run");
        about("A wagon runs on a rail of any shape: energies trade places, forces do work or none, and a little friction "
                + "takes it all in the end.", "energy", "work", "friction", "circular motion", "forces");
        tray(Ruler.twoMetres(), LongTape.tenMetres(), Stopwatch.toHundredths(), PositionMarkers.box());
        slips("Energy thought to be used up", "The normal force thought to do work",
                "Potential energy thought to be absolute", "Length of rail taken for height",
                "Friction left on from the trial before");
        portrait().with(shape, "loop").with(start, 6.4).at(1.75).showing(band);
        setUp("trade", "Two energies trade", "The wagon stands at its highest point. Draw its forces; which of them does work? "
                + "Run to the lowest point, and pause there again.").at(0).reading(speed, height).account().forces();
        setUp("little-friction", "A little friction", "With friction on, the total stays, motion dies, and all is thermal in the "
                + "end. Look at the dial beside friction before you run.")
                .with(friction, 0.03).at(0).reading(speed, distance).account().graphing(account.kinetic(),
                        account.thermal(), account.total());
        setUp("off-the-rail", "Off the rail", "At the first skerry the wagon is too fast to stay. Where does it leave the rail, and "
                + "why there? What pushes it while it flies? Look at its thermal energy before and after it lands.")
                .with(shape, "skerries").with(level, 0.9).at(0).reading(speed, height).account().forces();
    }

    @Override
    protected Advice advice(Setting setting, Settings s) {
        double across = Forerun.of(rail(s), s.si(start), s.si(friction), gravity.of(s)).leaves;
        return Double.isNaN(across) ? null : Advice.first("Let go from here the wagon leaves the rail, "
                + Numbers.print(across, 2) + " m across, and flies.");
    }

    private Channel work(String id, String symbol, String name) {
        return channel(id, symbol, name, "J").typically(-5000, 5000).decimals(0).in(works);
    }

    /** The rail that lies there. */
    Rail rail(Settings s) {
        switch (s.value(shape)) {
            case TROUGH:
                return Rail.through(0.6, 8.6, 2.6, 4.0, 5.2, 1.3, 8, 0.6, 10.8, 1.3, 13.4, 4.0, 15.4, 8.6);
            case SKERRIES:
                return Rail.through(0.5, 8.2, 2.6, 3.6, 4.8, 1.6, 7.6, 4.6, 10.2, 1.0, 12.9, 3.0, 15.5, 7.6);
            case LOOP:
                return Track.from(0.6, 7.2, -62).straight(5.4).turn(62, 3).straight(0.4).turn(360, LOOP_RADIUS).straight(1.6)
                        .turn(50, 3).straight(4.2).rail();
            case SLIPWAY:
                return Track.from(0.6, 7.2, -40).straight(7.6).turn(40, 4).straight(6.4).rail();
            default:
                List<Settings> own = s.items(points);
                double[] xy = new double[2 * own.size()];
                for (int i = 0; i < own.size(); i++) {
                    xy[2 * i] = own.get(i).si(point.x);
                    xy[2 * i + 1] = own.get(i).si(point.y);
                }
                return Rail.through(xy);
        }
    }

    /** Radius of the loop in metres. */
    static final double LOOP_RADIUS = 2;

    /** Puts the points of one's own rail into the scene. */
    void pointsOf(Scene out, Settings s) {
        boolean own = s.value(shape) == Shape.OWN;
        List<Settings> all = s.items(points);
        for (int i = 0; i < MOST_POINTS; i++) {
            boolean there = own && i < all.size();
            out.put(pointAt.get(i), there ? all.get(i).si(point.x) : 0, there ? all.get(i).si(point.y) : 0);
        }
        out.put(pointCount, own ? all.size() : 0);
    }

    /** The first version had wagons run through a buffer, and creep where friction holds them; all else is the same. */
    @Override
    protected Recipe migrate(Recipe older) {
        return older.ofVersion(2);
    }

    @Override
    public Experiment prepare(Settings settings, int seed) {
        return new RailRunExperiment(this, settings);
    }

    @Override
    public Frame frame(View view, Settings settings) {
        return new Frame(-0.6, -0.9, 17.2, 11.4);
    }

    @Override
    protected Forecast forecast(Setting setting, Settings s) {
        return setting == friction ? FrictionForecast.of(rail(s), s.si(start), s.si(friction), gravity.of(s)) : null;
    }

    @Override
    protected void placed(Handle handle, double x, double y, Settings s, Placing placing) {
        if (handle == inHand) {
            Rail lies = rail(s);
            placing.stepped(start, lies.at(lies.nearest(x, y))[1]);
            return;
        }
        if (handle == levelInHand) {
            placing.stepped(level, y);
            return;
        }
        int which = pointInHand.indexOf(handle);
        if (s.value(shape) == Shape.OWN && which < s.items(points).size()) {
            placing.field(s, points, which, point.x, x);
            placing.field(s, points, which, point.y, y);
        }
    }
}
