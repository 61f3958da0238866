package cauldron.core.apparatus.springtrolley;

import cauldron.core.apparatus.Act;
import cauldron.core.apparatus.Amount;
import cauldron.core.apparatus.Apparatus;
import cauldron.core.apparatus.Channel;
import cauldron.core.apparatus.Channel.Account;
import cauldron.core.apparatus.Choice;
import cauldron.core.apparatus.Coordinate;
import cauldron.core.apparatus.Event;
import cauldron.core.apparatus.Experiment;
import cauldron.core.apparatus.Flag;
import cauldron.core.apparatus.Force;
import cauldron.core.apparatus.Frame;
import cauldron.core.apparatus.Handle;
import cauldron.core.apparatus.Outcome;
import cauldron.core.apparatus.Place;
import cauldron.core.apparatus.Placing;
import cauldron.core.apparatus.SceneNumber;
import cauldron.core.apparatus.Settings;
import cauldron.core.apparatus.Switch;
import cauldron.core.apparatus.View;
import cauldron.core.instrument.magnifier.Magnifier;
import cauldron.core.instrument.markers.PositionMarkers;
import cauldron.core.instrument.ruler.Ruler;
import cauldron.core.instrument.springscale.SpringScale;
import cauldron.core.instrument.stopwatch.Stopwatch;
import cauldron.core.instrument.tape.LongTape;

/** The rescue trolley on its slip rails: its declaration; the law is in {@link SpringTrolleyExperiment}. */
public final class SpringTrolley extends Apparatus {

    /** Where the pin of the trolley meets the buffer, in m from where the cord goes slack. */
    static final double END = 1.4;
    /** The furthest it can be drawn back, in m. */
    static final double FURTHEST = 0.4;
    static final double HALF_LENGTH = 0.09;
    /** Height of the pin over the rails, of the spring's axis, in m. */
    static final double PIN = -0.03;
    static final double BAY = -0.13;
    /** Where the pulley's axle is, where the spring is held, and where its free end is while it is relaxed, in m. */
    static final double PULLEY = 0.12;
    static final double HELD_AT = -0.62;
    static final double RELAXED_END = -0.34;
    static final double DIAL = -0.76;
    /** Straight ends of the spring, each, in m. */
    static final double LEAD = 0.011;
    /** Length of the dial's hand in m; it swings 270° over the full scale, clockwise from the lower left. */
    static final double HAND = 0.085;
    /** What a dial may show at most, in N. */
    private static final double[] DIALS = {5, 10, 20, 40};

    /** Springs from the slip's store, and one of one's own. */
    enum Make {
        SOFT(12), MEDIUM(24), STIFF(48), OWN(0);

        final double k;

        Make(double k) {
            this.k = k;
        }
    }

    final Choice<Make> make = choice("spring", "Spring", Make.class).option("soft", "soft, 12 N/m", Make.SOFT)
            .option("medium", "medium, 24 N/m", Make.MEDIUM).option("stiff", "stiff, 48 N/m", Make.STIFF)
            .option("own", "your own value", Make.OWN).first("medium");
    final Amount constant = amount("constant", "k", "Spring constant", "N/m").within(8, 80).step(0.5).first(24)
            .when(make, Make.OWN);
    final Amount mass = amount("mass", "m", "Mass of the trolley", "kg").within(0.3, 1.2).step(0.05).first(0.6);
    final Amount back = amount("back", "x_0", "Drawn back by", "cm").within(5, 100 * FURTHEST).step(0.5).first(20);
    final Amount rolling = amount("rolling", "c_rr", "Coefficient of rolling friction", "").within(0, 0.05).step(0.001)
            .first(0.006).in("losses").live();
    final Switch latched = toggle("latched", "Drawn back from the beginning");

    final Channel stretch = channel("stretch", "x", "Stretch of the spring", "cm").typically(0, 40);
    final Channel springForce = channel("spring-force", "F_s", "Force of the spring", "N").typically(0, 12).decimals(3);
    final Channel position = channel("position", "s", "Position from where the cord goes slack", "m").typically(-0.4,
            1.4)
            .decimals(3);
    final Channel velocity = channel("velocity", "v", "Velocity", "m/s").typically(-0.2, 3).decimals(3);
    final Channel acceleration = channel("acceleration", "a", "Acceleration", "m/s²").typically(-1, 12);
    final Channel friction = channel("friction", "F_r", "Rolling friction", "N").typically(0, 0.3).decimals(3);
    final Channel kinetic = energy("kinetic", "E_k", "Kinetic energy", Account.KINETIC);
    final Channel elastic = energy("elastic", "E_s", "Energy of the spring", Account.ELASTIC);
    final Channel thermal = energy("thermal", "E_th", "Thermal energy", Account.THERMAL);
    final Channel total = energy("total", "W_w", "Work of the winch", Account.TOTAL);

    final Event drawn = event("drawn", "latch closes");
    final Event freed = event("freed", "let go");
    final Event slack = event("slack", "cord goes slack");
    final Event rest = event("rest", "at rest");

    final Outcome slackSpeed = outcome("slack-speed", "v_0", "Speed as the cord goes slack", "m/s").decimals(3);
    final Outcome given = outcome("given", "W", "Work of the spring", "J").decimals(4);
    final Outcome kept = outcome("kept", "E_k", "Kinetic energy as the cord goes slack", "J").decimals(4);
    final Outcome share = outcome("share", "η", "Share lost until then", "%").decimals(1);

    final View rails = view("rails", "Coasting rails");
    final View bay = view("bay", "Spring bay");
    final View gauge = view("gauge", "Gauge bench");
    final Place trolley = place("trolley").filmed();
    final Coordinate half = length("trolley.half").filmed();
    final Coordinate load = length("trolley.load").filmed();
    final Coordinate deck = up("deck").filmed();
    final Coordinate buffer = right("buffer").filmed();
    final Coordinate latchAt = right("latch").filmed();
    final Place pulley = place("pulley").filmed();
    final Coordinate held = right("spring.held").filmed();
    final Place free = place("spring.free").filmed();
    final Coordinate pitch = length("spring.pitch").filmed();
    final SceneNumber coils = number("spring.coils").filmed();
    final Place ring = place("ring").filmed();
    final Place dial = place("dial").filmed();
    final SceneNumber full = number("dial.full").filmed();
    /** The end of the dial's hand. */
    final Place tip = place("dial.tip").filmed();
    final Flag taut = flag("taut").filmed();
    final Flag caught = flag("caught").filmed();
    final Flag home = flag("home").filmed();

    final Force pull = force("pull", "F_s", "pull of the cord", trolley);
    final Force hold = force("hold", "F_h", "winch or latch", trolley);
    final Force drag = force("drag", "F_r", "rolling friction", trolley);

    final Handle inHand = handle("trolley", "trolley", trolley, half);
    final Act draw = act("draw", "Draw it back").when(home).leads();
    final Act letGo = act("let-go", "Let go").when(caught).leads();

    /** The spring-drawn trolley. */
    public SpringTrolley() {
        super("spring-trolley", 1, "Spring-drawn trolley");
        about("A spring draws the rescue trolley along its slip rails by a cord over a pulley; once the cord is slack "
                + "it "
                + "coasts.", "elastic energy", "work", "kinetic energy", "friction");
        time(1.0 / 120, 1, "s");
        tray(Ruler.twoMetres(), LongTape.tenMetres(), Stopwatch.toHundredths(), PositionMarkers.box(),
                Magnifier.glass());
        tray(SpringScale.upTo(40), springForce);
        slips("Time taken from the release, not from the slack cord", "A speed given where a distance is asked",
                "Centimetres for metres", "Work taken as force times stretch, not half of it");
        portrait().with(latched, true).with(back, 30.0).doing(letGo, 0).at(0.15).through(-0.9, -0.4, 1.3, 0.9);
        setUp("hand-over", "The spring hands over", "The trolley is held. Ask: where is it fastest, and where does it "
                + "stop "
                + "getting faster? Let go, pause as the cord goes slack (stop at that event), and compare the bars.")
                .with(latched, true).with(back, 30.0).reading(velocity, stretch).account().forces()
                .graphing(velocity, acceleration).at(0);
        setUp("what-is-lost", "What rolling costs", "The same stretch with friction at 0.04. The share lost stands "
                + "beside the "
                + "picture as soon as the cord is slack. A heavier trolley next: what changes?")
                .with(latched, true).with(back, 25.0).with(rolling, 0.04).reading(velocity, position).account()
                .graphing(kinetic, elastic, thermal).at(0);
    }

    private Channel energy(String id, String symbol, String name, Account part) {
        return channel(id, symbol, name, "J").typically(0, 2).decimals(4).account(part);
    }

    /** The spring constant that settings stand for, in N/m. */
    double constant(Settings s) {
        Make chosen = s.value(make);
        return chosen == Make.OWN ? s.si(constant) : chosen.k;
    }

    /** The smallest dial that shows whatever the spring can pull; it goes with the spring in coarse steps only. */
    double dialFor(Settings s) {
        double most = constant(s) * FURTHEST;
        for (double one : DIALS) {
            if (one >= most) {
                return one;
            }
        }
        return DIALS[DIALS.length - 1];
    }

    @Override
    public Experiment prepare(Settings settings, int seed) {
        return new SpringTrolleyExperiment(this, settings);
    }

    @Override
    public Frame frame(View view, Settings settings) {
        if (view == bay) {
            return new Frame(-0.68, -0.28, 0.9, 0.3);
        }
        return view == gauge ? new Frame(-1, -0.28, 0.84, 0.3) : new Frame(-0.95, -0.4, 2.6, 0.66);
    }

    @Override
    protected void placed(Handle handle, double x, double y, Settings s, Placing placing) {
        placing.stepped(back, -x);
    }
}
