package cauldron.core.apparatus.gas;

import cauldron.core.Tree;
import cauldron.core.apparatus.Apparatus;
import cauldron.core.apparatus.Channel;
import cauldron.core.apparatus.Experiment;
import cauldron.core.apparatus.Manifest;
import cauldron.core.apparatus.Manifest.Distribution;
import cauldron.core.apparatus.Manifest.SceneField;
import cauldron.core.apparatus.Manifest.SceneField.Kind;
import cauldron.core.apparatus.Setting;
import cauldron.core.apparatus.Setting.Option;
import cauldron.core.apparatus.Settings;
import java.util.List;
import java.util.Map;

/** The gas cylinder's declaration; its law is in {@link HardSphereGas}. */
public final class GasCylinder implements Apparatus {

    static final double HEIGHT = 80e-9;
    static final double DEPTH = 16e-9;
    static final double SHORTEST = 20e-9;
    static final double LONGEST = 160e-9;
    private static final double NANO = 1e-9;
    private static final double LEFT = -16e-9;
    private static final double BOTTOM = -14e-9;
    private static final double FRAME_HEIGHT = 108e-9;
    /** Room for the piston and a piece of its rod. */
    private static final double BESIDE = 26e-9;

    /** Told apart by the settings that name them. */
    private static final List<String> GASES = List.of("gas1", "gas2");
    private static final List<String> MARKS = List.of("most probable", "mean", "root mean square");

    private static final Manifest MANIFEST = new Manifest("gas-cylinder", 2, "Gas cylinder",
            "Molecules in a cylinder with a piston, counted one by one: pressure from their blows, temperature from "
                    + "their energy, and how their speeds are spread.",
            List.of("gas", "pressure", "temperature", "molecules", "diffusion", "energy"), 1e-12, 1e-10, "ps",
            List.of(
                    new Setting.Choice("gas1", "Gas 1", Gas.options(), "nitrogen", "", false, ""),
                    count("count1", "N_1", "Molecules of gas 1", 5000, 1000),
                    new Setting.Choice("gas2", "Gas 2", Gas.options(), "helium", "", false, ""),
                    count("count2", "N_2", "Molecules of gas 2", 2500, 0),
                    new Setting.Amount("temperature", "T", "Temperature", "K", 20, 2000, 10, 300.0,
                            false, "heat", true, ""),
                    new Setting.Choice("heat", "Walls", List.of(new Option("insulated", "insulated"),
                            new Option("heater", "heater or cooler below"), new Option("held", "held at temperature T")),
                            "insulated", "heat", true, ""),
                    new Setting.Amount("power", "P", "Power of the heater", "nW", -20, 20, 0.5, 5.0, false, "heat", true,
                            "heat=heater"),
                    new Setting.Choice("piston", "Piston", List.of(new Option("locked", "locked"),
                            new Option("hand", "moved by hand"), new Option("loaded", "loaded: held at a pressure")),
                            "locked", "piston", true, ""),
                    new Setting.Amount("length", "L", "Length of the cylinder", "nm", 20, 160, 1, 40.0, false, "piston",
                            true, ""),
                    new Setting.Amount("hand", "u", "Speed of the hand", "m/s", 5, 400, 5, 100.0, false, "piston", true,
                            "piston=hand"),
                    new Setting.Amount("load", "p_o", "External pressure", "kPa", 10, 500, 5, 100.0, false, "piston", true,
                            "piston=loaded"),
                    new Setting.Switch("partition", "Partition in the middle: gas 1 left, gas 2 right", false, "openings",
                            false, ""),
                    new Setting.Switch("hole", "Hole in the left wall", false, "openings", true, ""),
                    new Setting.Amount("slot", "h", "Height of the hole", "nm", 1, 30, 1, 8.0, false, "openings", true,
                            "hole=true",
                            "Molecules leave one by one (effusion) while the hole is narrow. Through a wide one a dense gas"
                                    + " flows as a stream, about 10% faster than the law of effusion says."),
                    new Setting.Amount("averaging", "τ", "Averaging time of the gauges", "ps", 5, 1000, 5, 200.0, false,
                            "gauges", true, "")),
            List.of(
                    channel("pressure", "p", "Pressure", "kPa", 0, 300, 1),
                    channel("temperature", "T", "Temperature", "K", 0, 1000, 1),
                    channel("volume", "V", "Volume", "nm³", 0, 205_000, 0),
                    channel("n1", "N_1", "Molecules of gas 1 inside", "", 0, 5000, 0),
                    channel("n2", "N_2", "Molecules of gas 2 inside", "", 0, 2500, 0),
                    channel("speed1", "v_1", "Mean speed, gas 1", "m/s", 0, 2000, 0),
                    channel("speed2", "v_2", "Mean speed, gas 2", "m/s", 0, 2000, 0),
                    channel("energy1", "ε_1", "Mean kinetic energy, gas 1", "zJ", 0, 20, 3),
                    channel("energy2", "ε_2", "Mean kinetic energy, gas 2", "zJ", 0, 20, 3),
                    channel("pair-rate", "f_p", "Collisions between molecules, per ps", "ps⁻¹", 0, 100, 1),
                    channel("wall-rate", "f_w", "Collisions with the walls, per ps", "ps⁻¹", 0, 500, 1),
                    channel("inner", "U", "Internal energy", "aJ", 0, 100, 4),
                    channel("heat", "Q", "Heat given to the gas", "aJ", -50, 50, 4),
                    channel("work", "W", "Work done on the gas", "aJ", -50, 50, 4),
                    channel("left1", "N_1l", "Gas 1 in the left half", "", 0, 5000, 0),
                    channel("left2", "N_2l", "Gas 2 in the left half", "", 0, 2500, 0),
                    channel("escaped1", "N_1e", "Gas 1 escaped", "", 0, 5000, 0),
                    channel("escaped2", "N_2e", "Gas 2 escaped", "", 0, 2500, 0),
                    channel("tag-speed", "v_t", "Speed of the tagged molecule", "m/s", 0, 2000, 0),
                    channel("tag-x", "x_t", "Tagged molecule, from the left", "nm", 0, 160, 1),
                    channel("tag-y", "y_t", "Tagged molecule, from below", "nm", 0, 80, 1),
                    channel("piston-force", "F_p", "Force of the gas on the piston", "pN", 0, 200, 1),
                    channel("not-taken", "Q_n", "Heat the cooler could not take", "aJ", 0, 50, 4)),
            List.of(new Distribution("speeds", "v", "Speed", "m/s", 1500, GASES, MARKS),
                    new Distribution("energies", "ε", "Kinetic energy", "zJ", 25, GASES, MARKS)),
            List.of(new Manifest.EventKind("tag-pair", "the tagged molecule meets another"),
                    new Manifest.EventKind("tag-wall", "the tagged molecule meets a wall"),
                    new Manifest.EventKind("escape", "a molecule escapes"),
                    new Manifest.EventKind("piston", "the piston comes to a halt")),
            List.of(new Manifest.View("side", "Section from the side")),
            List.of(field("left.x", Kind.X), field("bottom.y", Kind.Y), field("top.y", Kind.Y), field("piston.x", Kind.X),
                    field("piston.y", Kind.Y), field("piston.grip", Kind.LENGTH), field("target.x", Kind.X),
                    field("partition.x", Kind.X), field("partition.on", Kind.FLAG), field("hole.half", Kind.LENGTH),
                    field("heater.on", Kind.FLAG), field("cooler.on", Kind.FLAG), field("held.on", Kind.FLAG),
                    field("loaded.on", Kind.FLAG), field("radius.1", Kind.LENGTH), field("radius.2", Kind.LENGTH),
                    field("tag.x", Kind.X), field("tag.y", Kind.Y), field("longest.x", Kind.X),
                    field("hand.on", Kind.FLAG)),
            List.of(new Manifest.Handle("piston", "piston rod", "piston.x", "piston.y", "piston.grip")),
            List.of(new Manifest.Act("take-out", "Take the partition out", "partition.on=1")),
            List.of(new Manifest.Layer("tag", "Tagged molecule"), new Manifest.Layer("path", "Path of the tagged molecule", List.of("tag-x", "tag-y")),
                    new Manifest.Layer("large", "Molecules drawn larger than life")),
            List.of("fine-ruler", "stopwatch", "pressure-gauge", "thermometer"),
            List.of("The lighter gas taken for the hotter one", "All molecules taken to be equally fast",
                    "Pressure taken to come from speed alone"));

    private static Setting count(String id, String symbol, String name, double max, double initial) {
        return new Setting.Amount(id, symbol, name, "", 0, max, 50, initial, true, "", true, "");
    }

    private static Channel channel(String id, String symbol, String name, String unit, double from, double to,
                                   int decimals) {
        return new Channel(id, symbol, name, unit, from, to, decimals, null);
    }

    private static SceneField field(String id, Kind kind) {
        return new SceneField(id, kind, true);
    }

    @Override
    public Manifest manifest() {
        return MANIFEST;
    }

    @Override
    public Experiment prepare(Settings settings, int seed) {
        return new GasCylinderExperiment(MANIFEST, settings, seed);
    }

    @Override
    public double[] frame(String view, Settings settings) {
        double length = settings.amount("length") * NANO;
        // A piston that can move may go all the way.
        double reach = !settings.choice("piston").equals("locked") || length > 100e-9 ? LONGEST
                : length > 60e-9 ? 100e-9 : 60e-9;
        return new double[] {LEFT, BOTTOM, reach + BESIDE - LEFT, FRAME_HEIGHT};
    }

    @Override
    public Map<String, Object> placed(String handle, double x, double y, Settings settings) {
        return Tree.of("length", (double) Math.round(Math.max(SHORTEST, Math.min(LONGEST, x)) / NANO));
    }
}
