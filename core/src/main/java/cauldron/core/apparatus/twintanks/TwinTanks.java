package cauldron.core.apparatus.twintanks;

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

/** The boathouse's two heating tanks: their declaration; what goes on in them is in {@link TwinTanksExperiment}. */
public final class TwinTanks extends Apparatus {

    /** Length of the neck in m. */
    static final double NECK = 0.05;
    /** Half the width of a tank, and its height, in m. */
    static final double HALF = 0.08;
    static final double TALL = 0.1;
    /** Where the thermometers stand, and how tall a kelvin is on them, in m. */
    static final double THERMOMETER = 0.12;
    static final double KELVIN = 0.001;
    static final double ZERO = 273.15;

    final Amount upper = amount("upper", "T_1", "Water above, at the start", "°C").within(2, 98).step(1).first(20);
    final Amount lower = amount("lower", "T_2", "Water below, at the start", "°C").within(2, 98).step(1).first(70);
    final Choice<Neck> neck = choice("neck", "In the neck", Neck.class)
            .options(Neck.values(), o -> o.id, o -> o.inWords).first("open");
    final Choice<Double> section = choice("section", "Section of the neck", Double.class)
            .option("narrow", "narrow, 4 cm²", 4e-4).option("wide", "wide, 12 cm²", 12e-4);
    final Amount loss = amount("loss", "G", "Loss to the room, each tank", "W/K").within(0, 2).step(0.05).first(0)
            .in("losses").live().note("The room has 20 °C.");

    final Ledger heat = ledger("heat", "Energy, counted from 0 °C");

    final Channel above = channel("above", "T_1", "Temperature above", "°C").typically(0, 100);
    final Channel below = channel("below", "T_2", "Temperature below", "°C").typically(0, 100);
    final Channel mixed = channel("mixed", "w", "Mixed", "%").typically(0, 100).decimals(1);
    final Channel flow = channel("flow", "q", "Water exchanged", "mL/s").typically(0, 5);
    final Channel power = channel("power", "P", "Heat flow downwards", "W").typically(-50, 50).decimals(1);
    final Channel densityAbove = channel("density-above", "ρ_1", "Density above", "kg/m³").typically(958, 1000);
    final Channel densityBelow = channel("density-below", "ρ_2", "Density below", "kg/m³").typically(958, 1000);
    final Channel energyAbove = energy("energy-above", "E_1", "Water above");
    final Channel energyBelow = energy("energy-below", "E_2", "Water below");
    final Channel energyLost = energy("energy-lost", "E_l", "Given to the room");
    final Channel energyTotal = energy("energy-total", "E", "Together");

    final Event even = event("even", "within half a degree");
    final Event blended = event("blended", "mixed to 95 %");

    final Outcome evenAt = outcome("even-at", "t_e", "Within half a degree after", "min").decimals(1);
    final Outcome reached = outcome("reached", "T_e", "Temperature then", "°C").decimals(1);
    final Outcome blendedAt = outcome("blended-at", "t_m", "Mixed to 95 % after", "min").decimals(1);

    final View front = view("front", "The tanks");
    final Place mercuryAbove = place("above.mercury");
    final Place mercuryBelow = place("below.mercury");
    final Place middle = place("middle");
    final Coordinate width = length("neck.width");
    final SceneNumber kind = number("neck.kind");
    /** Which part of the water in a tank was above at the start. */
    final SceneNumber fromAboveAbove = number("above.share");
    final SceneNumber fromAboveBelow = number("below.share");
    final Flag flows = flag("flows");
    final Coordinate grip = length("grip");

    final Handle handAbove = handle("above", "thermometer above", mercuryAbove, grip);
    final Handle handBelow = handle("below", "thermometer below", mercuryBelow, grip);

    /** The twin tanks. */
    public TwinTanks() {
        super("twin-tanks", 1, "Twin tanks");
        about("Two tanks of water, one above the other: a core between them conducts, an open tube lets the denser "
                + "water "
                + "sink.", "heat", "thermal conduction", "convection", "density of water");
        time(1, 60, "min");
        upToSpeed(16);
        tray(Stopwatch.showing("min", 0.01));
        slips("“Heat rises” said for: warm water rises", "The end temperature thought to depend on the core",
                "Judged after too few trials", "Cold water thought always to sink");
        portrait().with(upper, 15.0).with(lower, 80.0).at(100).through(-0.13, -0.16, 0.3, 0.32);
        setUp("hot-below", "Hot below", "An open tube. Ask first: fast or slow? Run, and watch the threads of both "
                + "waters, then "
                + "exchange the two temperatures and run again.")
                .with(upper, 20.0).with(lower, 70.0).reading(above, below, mixed).graphing(above, below).at(0);
        setUp("four-degrees", "Around four degrees", "The water above is warmer by two degrees, so it stays there, or "
                + "does it? "
                + "Look at the two densities. Then both ten degrees warmer: run again.")
                .with(upper, 4.0).with(lower, 2.0).reading(above, below, densityAbove, densityBelow)
                .graphing(above, below).at(0);
    }

    private Channel energy(String id, String symbol, String name) {
        return channel(id, symbol, name, "kJ").typically(0, 200).decimals(2).in(heat);
    }

    /** The foot of a thermometer's scale, in m: above, below. */
    static double foot(boolean isAbove) {
        return isAbove ? 0.5 * NECK : -0.5 * NECK - TALL;
    }

    @Override
    public Experiment prepare(Settings settings, int seed) {
        return new TwinTanksExperiment(this, settings);
    }

    @Override
    public Frame frame(View view, Settings settings) {
        return new Frame(-0.16, -0.15, 0.36, 0.3);
    }

    @Override
    protected void placed(Handle handle, double x, double y, Settings s, Placing placing) {
        boolean isAbove = handle == handAbove;
        placing.stepped(isAbove ? upper : lower, ZERO + (y - foot(isAbove)) / KELVIN);
    }
}
