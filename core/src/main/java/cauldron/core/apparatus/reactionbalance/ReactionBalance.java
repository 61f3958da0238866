package cauldron.core.apparatus.reactionbalance;

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
import cauldron.core.apparatus.Ledger;
import cauldron.core.apparatus.Outcome;
import cauldron.core.apparatus.Place;
import cauldron.core.apparatus.Placing;
import cauldron.core.apparatus.SceneNumber;
import cauldron.core.apparatus.Settings;
import cauldron.core.apparatus.View;
import cauldron.core.instrument.stopwatch.Stopwatch;

/** A jar on a balance with a small balance in it: its declaration; the law is in {@link ReactionBalanceExperiment}. */
public final class ReactionBalance extends Apparatus {

    /** Height of the jar's mouth, and of its lid when it is taken off, in m. */
    static final double MOUTH = 0.17;
    static final double LIFTED = 0.24;

    /** How the jar is closed. */
    enum Closed {
        OPEN("open", "open"), SEALED("sealed", "lid on"), BALLOON("balloon", "balloon over it");

        final String id;
        final String inWords;

        Closed(String id, String inWords) {
            this.id = id;
            this.inWords = inWords;
        }
    }

    final Choice<Mixing> mixing = choice("mixing", "In the dish", Mixing.class)
            .options(Mixing.values(), o -> o.id, o -> o.inWords);
    final Amount chips = mass("chips", "m_1", "Marble chips", 0.2, 2, 1, Mixing.CARBONATE);
    final Amount acid = volume("acid", "V_2", "Hydrochloric acid, 2 mol/L", 5, 40, 20, Mixing.CARBONATE);
    final Amount wool = mass("wool", "m_1", "Steel wool", 0.2, 2, 1, Mixing.WOOL);
    final Amount hydrogencarbonate = mass("hydrogencarbonate", "m_1", "Sodium hydrogencarbonate", 0.4, 3, 1.6,
            Mixing.TABLET);
    final Amount citric = mass("citric", "m_2", "Citric acid", 0.2, 3, 1, Mixing.TABLET);
    final Amount peroxide = volume("peroxide", "V_1", "Hydrogen peroxide, 10 %", 5, 30, 15, Mixing.FOAM);
    final Amount chloride = volume("chloride", "V_1", "Calcium chloride, 1 mol/L", 5, 40, 20, Mixing.PRECIPITATE);
    final Amount carbonate = volume("carbonate", "V_2", "Sodium carbonate, 1 mol/L", 5, 40, 10, Mixing.PRECIPITATE);
    final Choice<Closed> closed = choice("closed", "The jar is", Closed.class)
            .options(Closed.values(), o -> o.id, o -> o.inWords).live();
    final Choice<Gas> gas = choice("gas", "Gas in it at first", Gas.class)
            .options(Gas.values(), o -> o.id, o -> o.inWords);

    final Ledger masses = ledger("masses", "Where the mass is, counted from the start");

    final Channel whole = channel("whole", "m_w", "Whole, on its balance", "g").typically(700, 760).decimals(2);
    final Channel sample = channel("sample", "m_s", "Sample, on its balance", "g").typically(50, 120).decimals(2);
    final Channel pressure = channel("pressure", "p", "Pressure in the jar", "kPa").typically(80, 160).decimals(1);
    final Channel oxygen = channel("oxygen", "x_O", "Oxygen in the gas", "%").typically(0, 100).decimals(1);
    final Channel dioxide = channel("dioxide", "x_C", "Carbon dioxide in the gas", "%").typically(0, 100).decimals(1);
    final Channel balloon = channel("balloon", "V_b", "Gas in the balloon", "mL").typically(0, 1000).decimals(0);
    final Channel lift = channel("lift", "L", "The air outside lifts the balloon by", "mN").typically(0, 15)
            .decimals(2);
    final Channel inSample = mass("in-sample", "Δm_s", "In the dish");
    final Channel inGas = mass("in-gas", "Δm_g", "In the gas of jar and balloon");
    final Channel outside = mass("outside", "Δm_o", "Gone out into the room");
    final Channel altogether = mass("altogether", "Δm", "Together");

    final Event begins = event("begins", "it begins");
    final Event finished = event("finished", "over to a part in a thousand");
    final Event goesOut = event("goes-out", "the flame goes out");

    final Outcome wholeChange = outcome("whole-change", "Δm_w", "The whole has changed by", "g").decimals(2);
    final Outcome sampleChange = outcome("sample-change", "Δm_s", "The sample has changed by", "g").decimals(2);
    final Outcome gasMade = outcome("gas-made", "V_g", "Gas made, at 20 °C and the air's pressure", "mL").decimals(0);
    final Outcome limit = outcome("limit", "l", "Used up", "").words("the marble", "the acid", "the wool", "the oxygen",
            "the hydrogencarbonate", "the citric acid", "the peroxide", "the calcium chloride", "the sodium carbonate",
            "nothing: it doesn't burn");
    final Outcome left = outcome("left", "m_l", "Left of the other", "g").decimals(2);

    final View front = view("front", "Both balances");
    final View dish = view("dish", "Into the dish");
    final Place base = place("base").filmed();
    final Place lid = place("lid").filmed();
    final Coordinate balloonRadius = length("balloon.radius").filmed();
    final Coordinate level = length("level").filmed();
    final Coordinate foam = length("foam").filmed();
    /** What is in the dish, how the jar is closed, which gas: places in their lists. */
    final SceneNumber what = number("what").filmed();
    final SceneNumber how = number("how").filmed();
    final SceneNumber which = number("which").filmed();
    /** How far it has come, in percent, and how lively it is, 0 to 10. */
    final SceneNumber progress = number("progress").filmed();
    final SceneNumber lively = number("lively").filmed();
    /** What the displays show, in whole grams and hundredths. */
    final SceneNumber wholeGrams = number("whole.grams").filmed();
    final SceneNumber wholeHundredths = number("whole.hundredths").filmed();
    final SceneNumber sampleGrams = number("sample.grams").filmed();
    final SceneNumber sampleHundredths = number("sample.hundredths").filmed();
    final SceneNumber phase = number("phase").filmed();
    final Flag together = flag("together").filmed();
    final Flag canTip = flag("can-tip");
    final Flag canLight = flag("can-light");
    final Coordinate grip = length("grip");

    final Handle lidInHand = handle("lid", "lid of the jar", lid, grip);
    final Act tip = act("tip", "Bring them together").when(canTip).leads();
    final Act light = act("light", "Light the wool").when(canLight).leads();

    /** The reaction on the balance. */
    public ReactionBalance() {
        super("reaction-balance", 1, "Reaction on the balance");
        about("A reaction in a dish on a balance, in a jar on another one: open, under a lid or a balloon, in air or "
                + "another gas.", "conservation of mass", "stoichiometry", "gases", "combustion");
        time(0.1, 1, "s");
        upToSpeed(256);
        tray(Stopwatch.showing("s", 0.1));
        slips("What burns thought to become lighter", "A gas thought to weigh nothing",
                "Mass thought to change in a sealed jar", "Buoyancy of the balloon taken for lost mass",
                "The substance with the smaller mass thought to be the one used up");
        portrait().with(mixing, Mixing.CARBONATE.id).with(closed, Closed.BALLOON.id).with(chips, 2.0).doing(tip, 0)
                .at(60).through(-0.13, -0.08, 0.26, 0.42);
        setUp("burning", "Burning makes heavier", "Ask first: will the wool's balance go up or down? Light it, look at "
                + "both. Then the lid on, and again: what does the outer balance say?")
                .with(mixing, Mixing.WOOL.id).reading(whole, sample).graphing(whole, sample).at(0);
        setUp("nothing-lost", "Nothing lost", "Under the lid the marble's gas stays: the sample gets lighter, the "
                + "whole doesn't. Set the jar to open when it is over.")
                .with(mixing, Mixing.CARBONATE.id).with(closed, Closed.SEALED.id).reading(whole, sample, pressure)
                .graphing(whole, sample).at(0);
        setUp("balloon", "Is something lost after all?", "Under a balloon nothing gets out, yet the balance goes down. "
                + "Look at what the air outside does.")
                .with(mixing, Mixing.FOAM.id).with(closed, Closed.BALLOON.id).reading(whole, balloon, lift)
                .graphing(whole, balloon).at(0);
    }

    private Amount mass(String id, String symbol, String name, double least, double most, double first, Mixing of) {
        return amount(id, symbol, name, "g").within(least, most).step(0.1).first(first).when(mixing, of);
    }

    private Amount volume(String id, String symbol, String name, double least, double most, double first, Mixing of) {
        return amount(id, symbol, name, "mL").within(least, most).step(1).first(first).when(mixing, of);
    }

    private Channel mass(String id, String symbol, String name) {
        return channel(id, symbol, name, "g").typically(-1, 1).decimals(3).in(masses);
    }

    @Override
    public Experiment prepare(Settings settings, int seed) {
        return new ReactionBalanceExperiment(this, settings);
    }

    @Override
    public Frame frame(View view, Settings settings) {
        return view == dish ? new Frame(-0.065, 0.005, 0.13, 0.11) : new Frame(-0.2, -0.085, 0.4, 0.4);
    }

    @Override
    protected void placed(Handle handle, double x, double y, Settings s, Placing placing) {
        placing.choice(closed, y > (MOUTH + LIFTED) / 2 ? Closed.OPEN : Closed.SEALED);
    }
}
