package cauldron.core.apparatus.crashrig;

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
import cauldron.core.apparatus.Handle;
import cauldron.core.apparatus.Layer;
import cauldron.core.apparatus.Ledger;
import cauldron.core.apparatus.Outcome;
import cauldron.core.apparatus.Place;
import cauldron.core.apparatus.Placing;
import cauldron.core.apparatus.Settings;
import cauldron.core.apparatus.Switch;
import cauldron.core.apparatus.View;
import cauldron.core.instrument.ruler.Ruler;
import cauldron.core.instrument.stopwatch.Stopwatch;

/** The vehicle shop's crash rig: its declaration; the law is in {@link CrashRigExperiment}. */
public final class CrashRig extends Apparatus {

    static final String MET_GROUP = "what it meets";
    private static final String BELT_GROUP = "belt";
    private static final String BAG_GROUP = "airbag";
    private static final String BRAKE_GROUP = "automatic braking";
    private static final String WORK = "kJ";

    /** Which sled is driven. */
    enum Build { LIGHT, MIDDLE, HEAVY, OWN }

    /** What it is driven against. */
    enum Met { BLOCK, SLED }

    final Choice<Build> build = choice("build", "Sled", Build.class)
            .option("light", "light: 700 kg, front 0.4 m", Build.LIGHT)
            .option("middle", "middle: 1100 kg, front 0.6 m", Build.MIDDLE)
            .option("heavy", "heavy: 1700 kg, front 0.8 m", Build.HEAVY)
            .option("own", "your own", Build.OWN).first("middle");
    final Amount ownMass = amount("mass", "m", "Mass without front and cabin", "kg").within(400, 2500).step(50)
            .first(1100)
            .when(build, Build.OWN);
    final Amount ownLength = amount("length", "L", "Length that can be crushed", "m").within(0.2, 1.2).step(0.05)
            .first(0.6)
            .when(build, Build.OWN);
    final Amount front = amount("front", "F_f", "Strength of the front", "kN").within(50, 700).step(10).first(400);
    final Amount cabin = amount("cabin", "F_c", "Strength of the cabin", "kN").within(100, 900).step(10).first(550);
    final Amount speed = amount("speed", "v_0", "Speed of the sled", "km/h").within(10, 140).step(1).first(50);

    final Switch belt = toggle("belt", "Belt").in(BELT_GROUP).first(true);
    final Amount beltStiffness = amount("belt-stiffness", "k_b", "Stiffness", "kN/m").within(20, 300).step(5).first(150)
            .in(BELT_GROUP).when(belt);
    final Amount slack = amount("slack", "d_b", "Slack", "cm").within(0, 15).step(0.5).first(3).in(BELT_GROUP)
            .when(belt);
    final Amount limit = amount("limit", "F_b", "Pays out at", "kN").within(4, 60).step(1).first(60).in(BELT_GROUP)
            .when(belt)
            .note("Of both straps together.");
    final Switch bag = toggle("bag", "Airbag").in(BAG_GROUP);
    final Amount delay = amount("delay", "t_a", "Full after", "ms").within(10, 100).step(1).first(30).in(BAG_GROUP)
            .when(bag)
            .note("Counted from first contact.");
    final Amount bagStiffness = amount("bag-stiffness", "k_a", "Stiffness", "kN/m").within(5, 200).step(5).first(40)
            .in(BAG_GROUP).when(bag);
    final Amount stroke = amount("stroke", "d_a", "Depth", "cm").within(5, 35).step(1).first(25).in(BAG_GROUP)
            .when(bag);

    final Choice<Met> met = choice("met", "Driven against", Met.class).option("block", "a fixed block", Met.BLOCK)
            .option("sled", "a second sled", Met.SLED).in(MET_GROUP);
    final Amount secondMass = amount("second-mass", "m_2", "Its mass", "kg").within(400, 4000).step(50).first(1800)
            .in(MET_GROUP).when(met, Met.SLED);
    final Amount secondSpeed = amount("second-speed", "v_2", "Its speed towards the first", "km/h").within(0, 140)
            .step(1).first(50)
            .in(MET_GROUP).when(met, Met.SLED);
    final Amount secondFront = amount("second-front", "F_f2", "Strength of its front", "kN").within(50, 700).step(10)
            .first(400)
            .in(MET_GROUP).when(met, Met.SLED);
    final Amount secondLength = amount("second-length", "L_2", "Length of its front", "m").within(0.2, 1.2).step(0.05)
            .first(0.6)
            .in(MET_GROUP).when(met, Met.SLED);
    final Amount secondCabin = amount("second-cabin", "F_c2", "Strength of its cabin", "kN").within(100, 900).step(10)
            .first(550)
            .in(MET_GROUP).when(met, Met.SLED);

    final Switch brake = toggle("brake", "Brakes by itself").in(BRAKE_GROUP);
    final Amount braking = amount("braking", "a_b", "Deceleration", "m/s²").within(2, 9).step(0.5).first(7)
            .in(BRAKE_GROUP)
            .when(brake);
    final Amount brakingWay = amount("braking-way", "s_b", "Over the last", "m").within(1, 30).step(1).first(8)
            .in(BRAKE_GROUP)
            .when(brake).note("Braked before the run begins, and let go just before contact.");

    final Body sled = body("sled", "sled");
    final Body chest = body("chest", "chest");
    final Body head = body("head", "head");
    final Body second = body("second", "second sled").when(met, Met.SLED);
    final Ledger work = ledger("work", "Where the energy went");
    final Ledger momentum = ledger("momentum", "Momentum");

    final Channel since = channel("since", "t_c", "Time since first contact", "ms").typically(0, 200).decimals(1);
    final Channel velocity = channel("velocity", "v", "Velocity", "m/s").typically(-5, 20).of(sled);
    final Channel acceleration = channel("acceleration", "a", "Acceleration", "m/s²").typically(-400, 100).decimals(0)
            .of(sled);
    final Channel force = channel("force", "F", "Force on the front", "kN").typically(0, 600).decimals(1).of(sled);
    final Channel crush = channel("crush", "c", "Front crushed by", "cm").typically(0, 80).decimals(1).of(sled);
    final Channel intrusion = channel("intrusion", "i", "Cabin pushed in by", "cm").typically(0, 40).decimals(1)
            .of(sled);
    final Channel chestVelocity = channel("chest-velocity", "v_c", "Velocity", "m/s").typically(-5, 20).of(chest);
    final Channel chestAcceleration = channel("chest-acceleration", "a_c", "Acceleration", "m/s²").typically(-600, 200)
            .decimals(0).of(chest);
    final Channel chestForward = channel("chest-forward", "s_c", "Forward in the sled", "cm").typically(0, 50)
            .decimals(1).of(chest);
    final Channel beltForce = channel("belt-force", "F_b", "Force of the belt", "kN").typically(0, 40).of(chest);
    final Channel bagForce = channel("bag-force", "F_a", "Force of the airbag", "kN").typically(0, 20).of(chest);
    final Channel wheelForce = channel("wheel-force", "F_w", "Force of the wheel", "kN").typically(0, 40).of(chest);
    final Channel headVelocity = channel("head-velocity", "v_h", "Velocity", "m/s").typically(-5, 20).of(head);
    final Channel headAcceleration = channel("head-acceleration", "a_h", "Acceleration", "m/s²").typically(-1500, 300)
            .decimals(0).of(head);
    final Channel headForward = channel("head-forward", "s_h", "Forward in the sled", "cm").typically(0, 60)
            .decimals(1).of(head);
    final Channel headBagForce = channel("head-bag-force", "F_ah", "Force of the airbag", "kN").typically(0, 5)
            .of(head);
    final Channel dashForce = channel("dash-force", "F_d", "Force of the dash", "kN").typically(0, 10).of(head);
    final Channel secondVelocity = channel("second-velocity", "v_2", "Velocity", "m/s").typically(-20, 5).of(second);
    final Channel secondAcceleration = channel("second-acceleration", "a_2", "Acceleration", "m/s²")
            .typically(-100, 400)
            .decimals(0).of(second);
    final Channel secondCrush = channel("second-crush", "c_2", "Front crushed by", "cm").typically(0, 80).decimals(1)
            .of(second);
    final Channel secondIntrusion = channel("second-intrusion", "i_2", "Cabin pushed in by", "cm").typically(0, 40)
            .decimals(1)
            .of(second);
    final Channel kinetic = channel("kinetic", "E_k", "Kinetic energy", WORK).typically(0, 200).decimals(1)
            .account(Account.KINETIC);
    final Channel elastic = channel("elastic", "E_el", "Elastic energy", WORK).typically(0, 200).decimals(1)
            .account(Account.ELASTIC);
    final Channel thermal = channel("thermal", "E_th", "Thermal energy", WORK).typically(0, 200).decimals(1)
            .account(Account.THERMAL);
    final Channel total = channel("total", "E", "Total energy", WORK).typically(0, 200).decimals(1)
            .account(Account.TOTAL);
    final Channel byFront = went("by-front", "W_f", "Crush of the front");
    final Channel byCabin = went("by-cabin", "W_c", "Crush of the cabin");
    final Channel bySecond = went("by-second", "W_2", "Crush of the second sled");
    final Channel byBelt = went("by-belt", "W_b", "Belt");
    final Channel byBag = went("by-bag", "W_a", "Airbag");
    final Channel byInside = went("by-inside", "W_i", "Wheel, dash, seat and neck");
    final Channel byBrake = went("by-brake", "W_br", "Brake");
    final Channel ofSled = carried("momentum-sled", "p_1", "Of the sled");
    final Channel ofFigure = carried("momentum-figure", "p_f", "Of the figure");
    final Channel ofSecond = carried("momentum-second", "p_2", "Of the second sled");
    final Channel ofBlock = carried("momentum-block", "p_b", "Given to the block");
    final Channel together = carried("momentum-total", "p", "Together");

    final Event contact = event("contact", "first contact");
    final Event usedUp = event("used-up", "front used up");
    final Event cabinYields = event("cabin", "cabin gives way");
    final Event greatest = event("greatest", "greatest crush");
    final Event parted = event("parted", "front free again");
    final Event beltTight = event("belt", "belt takes up");
    final Event paysOut = event("pays-out", "belt pays out");
    final Event bagFull = event("bag", "airbag full");
    final Event chestInBag = event("chest-bag", "chest in the airbag");
    final Event headInBag = event("head-bag", "head in the airbag");
    final Event wheelStruck = event("wheel", "wheel struck by the chest");
    final Event dashStruck = event("dash", "dash struck by the head");
    final Event seatStruck = event("seat", "back in the seat");
    final Event noRoom = event("no-room", "no room left");
    final Event stopped = event("stopped", "stopped before contact");
    final Event over = event("over", "end of the run");

    final Outcome survival = outcome("survival", "P", "Likelihood of survival", "%").decimals(1);
    final Outcome headRisk = outcome("head-risk", "P_h", "Risk of a critical head injury", "%").decimals(1);
    final Outcome chestRisk = outcome("chest-risk", "P_c", "Risk of a critical chest injury", "%").decimals(1);
    final Outcome chestMet = outcome("chest-met", "chest", "Chest was stopped by", "")
            .words("nothing", "belt", "airbag", "wheel");
    final Outcome headMet = outcome("head-met", "head", "Head was stopped by", "").words("neck", "airbag", "dash");
    final Outcome frontCrush = outcome("front-crush", "c", "Front crushed by", "cm").decimals(1);
    final Outcome pushedIn = outcome("pushed-in", "i", "Cabin pushed in by", "cm").decimals(1);
    final Outcome hic = outcome("hic", "HIC", "Head injury criterion, 15 ms", "").decimals(0).aside();
    final Outcome clip = outcome("clip", "A", "Chest acceleration held for 3 ms, in g", "").decimals(1).aside();
    final Outcome lost = outcome("lost", "Δv", "Change of the sled's velocity", "m/s").decimals(1).aside();
    final Outcome hardest = outcome("hardest", "a", "Greatest deceleration of the sled", "m/s²").decimals(0).aside();
    final Outcome mass = outcome("mass-of-build", "m", "Mass of the build", "kg").decimals(0);
    final Outcome cost = outcome("cost", "K", "Cost of the build, in crowns", "").decimals(0);

    final View side = view("side", "Section from the side");
    final Place chestAt = place("chest");
    final Place headAt = place("head");
    final Place nose = place("nose");
    final Place bulkhead = place("bulkhead");
    final Coordinate bulkheadRadius = length("bulkhead.radius");
    final Coordinate tail = right("tail");
    final Coordinate seat = right("seat");
    final Coordinate wheel = right("wheel");
    final Coordinate dash = right("dash");
    final Coordinate bagDepth = length("bag.depth");
    final Coordinate bagAtChest = length("bag.chest");
    final Coordinate bagAtHead = length("bag.head");
    final Coordinate slackNow = length("slack");
    final Flag buckled = flag("buckled");
    final Flag twoSleds = flag("two-sleds");
    final Flag noRoomLeft = flag("no-room");
    final Coordinate secondNose = right("second.nose");
    final Coordinate secondBulkhead = right("second.bulkhead");
    final Coordinate secondTail = right("second.tail");
    final Coordinate frontBefore = length("front.before");
    final Coordinate secondBefore = length("second.before");
    final Layer before = layer("before", "Outline before the crash");

    final Force crushArrow = force("force.front", "F", "force on the front", nose);
    final Force onChest = force("force.chest", "F_c", "force on the chest", chestAt);
    final Force onHead = force("force.head", "F_h", "force on the head", headAt);

    final Handle wall = handle("bulkhead", "front wall of the cabin", bulkhead, bulkheadRadius);

    /** The crash rig. */
    public CrashRig() {
        super("crash-rig", 2, "Crash rig");
        about("A sled with a test figure meets a block or a second sled: what the front, the belt and the airbag do in a "
                + "tenth of a second, and what it comes to.", "momentum", "impulse", "force", "energy", "engineering");
        time(0.001, 0.02, "ms");
        tray(Ruler.twoMetres(), Stopwatch.toHundredths());
        slips("Stiffer thought to be safer", "Force read at the wrong body",
                "A larger survival that came from a lower speed, not from the design",
                "The figure thought to stop when the sled does");
        portrait().with(bag, true).with(front, 250.0).at(0.085).through(-2.35, -0.3, 2.9, 2.35);
        setUp("stiffer", "Is stiffer safer?", "Let the class say what a stronger front will do. Run; then set its strength to "
                + "300 kN and run again. Compare the two trials.")
                .with(front, 700.0).at(0).reading(velocity, chestVelocity, chestAcceleration)
                        .graphing(velocity, chestVelocity, headVelocity);
        setUp("heavier", "Head-on with a heavier one",
                "The force on both fronts is the same. Which figure would you rather be? "
                + "Read the velocities before and after, and the momenta.")
                .with(met, "sled").at(0).reading(velocity, secondVelocity, force).graphing(velocity, secondVelocity)
                        .bars(momentum);
    }

    private Channel went(String id, String symbol, String name) {
        return channel(id, symbol, name, WORK).typically(0, 200).decimals(1).in(work);
    }

    private Channel carried(String id, String symbol, String name) {
        return channel(id, symbol, name, "kN s").typically(-40, 40).decimals(2).in(momentum);
    }

    @Override
    protected void placed(Handle handle, double x, double y, Settings s, Placing placing) {
        placing.choice(build, Build.OWN);
        placing.whole(ownMass, new Design(this, s).base);
        placing.stepped(ownLength, new Approach(this, s).from - x);
    }

    @Override
    public Experiment prepare(Settings settings, int seed) {
        return new CrashRigExperiment(this, settings);
    }

    @Override
    public Frame frame(View view, Settings s) {
        return s.value(met) == Met.SLED ? new Frame(-4.9, -0.35, 9.4, 2.5) : new Frame(-4.4, -0.35, 5.6, 2.5);
    }
}
