package cauldron.core.apparatus.equilibriumflask;

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
import cauldron.core.apparatus.Switch;
import cauldron.core.apparatus.View;
import cauldron.core.instrument.stopwatch.Stopwatch;
import java.util.ArrayList;
import java.util.List;

/** A vessel in which a reaction goes both ways: its declaration; the law is in {@link EquilibriumFlaskExperiment}. */
public final class EquilibriumFlask extends Apparatus {

    /** Width of the vessel's drawing, and its height at the largest volume, in m. */
    static final double WIDE = 0.24;
    static final double TALL = 0.2;
    private static final double[][] FIRST = {{5, 5, 0}, {2, 2, 0}, {4, 10, 0}, {5, 0, 0}, {5, 5, 0, 0}};

    final Choice<Reversible> reaction = choice("reaction", "Reaction", Reversible.class)
            .options(Reversible.values(), o -> o.id, o -> o.inWords);
    final Ledger amounts = ledger("amounts", "Amounts");
    final List<Vessel> vessels = vessels();
    final Switch catalyst = toggle("catalyst", "Catalyst").live();
    final Choice<Double> grain = choice("grain", "A particle stands for", Double.class)
            .option("coarse", "0.1 mol", 0.1).option("middle", "0.05 mol", 0.05).option("fine", "0.02 mol", 0.02)
            .first("middle").note("For iron and thiocyanate a thousandth of that.").in("particles");

    final Channel forward = channel("forward", "r_f", "Rate forwards", "mmol/(L s)").typically(0, 2).decimals(4);
    final Channel back = channel("back", "r_b", "Rate back", "mmol/(L s)").typically(0, 2).decimals(4);
    final Channel wentForward = channel("went-forward", "N_f", "Particles: forwards so far", "").typically(0, 500)
            .decimals(0);
    final Channel wentBack = channel("went-back", "N_b", "Particles: back so far", "").typically(0, 500).decimals(0);

    final Event settled = event("settled", "rates equal within half a percent");
    final Event usedUp = event("used-up", "a solid is used up");

    final Outcome settledAfter = outcome("settled-after", "t_e", "Equilibrium after", "s").decimals(0);

    final View front = view("front", "The vessel");
    final Place floor = place("floor");
    final Place lid = place("lid");
    final Coordinate wide = length("wide");
    final SceneNumber which = number("which");
    /** Light that gets through what is coloured, in percent. */
    final SceneNumber clear = number("clear");
    final SceneNumber went = number("went");
    final SceneNumber returned = number("returned");
    final Flag catalysed = flag("catalysed");
    final Coordinate grip = length("grip");

    final Handle piston = handle("lid", "lid of the vessel", lid, grip);

    /** The equilibrium flask. */
    public EquilibriumFlask() {
        super("equilibrium-flask", 1, "Equilibrium flask");
        about("A reaction that goes both ways: its particles as they meet, its amounts by rate equations, until both "
                + "directions are equally fast.", "chemical equilibrium", "reaction rates", "law of mass action",
                "Le Chatelier's principle");
        time(0.5, 20, "s");
        upToSpeed(1024);
        scale("particles not to scale");
        tray(Stopwatch.showing("s", 0.1));
        slips("Amounts taken for concentrations", "Coefficients not taken as powers", "The fraction upside down",
                "A solid counted in", "Equilibrium thought to be equal amounts", "The reactions thought to stop");
        portrait().with(grain, "middle").at(60).through(-0.015, -0.015, 0.27, 0.225);
        Vessel iodide = of(Reversible.HYDROGEN_AND_IODINE);
        setUp("either-side", "From either side", "Run it until both rates are equal. Then no hydrogen, no iodine, 10 "
                + "mol of hydrogen iodide: run again. Compare where they end.")
                .reading(iodide.matter.get(0).amount, iodide.matter.get(2).amount).graphing(forward, back).at(0);
        Vessel lime = of(Reversible.LIME);
        setUp("solid", "More of the solid", "Let it come to rest, then put in more calcium carbonate. What changes?")
                .with(reaction, Reversible.LIME.id).reading(lime.matter.get(2).concentration, lime.quotient,
                        lime.constant)
                .graphing(lime.matter.get(2).amount).at(0);
        Vessel ammonia = of(Reversible.NITROGEN_AND_HYDROGEN);
        setUp("squeeze", "Squeezed", "At rest, halve the volume. Q and K are no longer equal: which way does it go?")
                .with(reaction, Reversible.NITROGEN_AND_HYDROGEN.id).with(catalyst, true)
                .reading(ammonia.matter.get(2).amount, ammonia.quotient, ammonia.constant).graphing(forward, back)
                        .at(0);
    }

    private List<Vessel> vessels() {
        List<Vessel> all = new ArrayList<>();
        for (Reversible one : Reversible.values()) {
            all.add(include(new Vessel(reaction, one, amounts, FIRST[one.ordinal()])));
        }
        return all;
    }

    Vessel of(Reversible one) {
        return vessels.get(one.ordinal());
    }

    /** Height of the drawing for a volume in m³. */
    static double height(Reversible of, double volume) {
        return TALL * volume / (of.volumes.most() / 1000);
    }

    @Override
    public Experiment prepare(Settings settings, int seed) {
        return new EquilibriumFlaskExperiment(this, settings, seed);
    }

    @Override
    public Frame frame(View view, Settings settings) {
        return new Frame(-0.03, -0.03, 0.3, 0.28);
    }

    @Override
    protected void placed(Handle handle, double x, double y, Settings s, Placing placing) {
        Reversible now = s.value(reaction);
        placing.stepped(of(now).volume, y / TALL * now.volumes.most() / 1000);
    }
}
