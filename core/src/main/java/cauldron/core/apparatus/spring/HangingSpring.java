package cauldron.core.apparatus.spring;

import cauldron.core.Tree;
import cauldron.core.apparatus.Apparatus;
import cauldron.core.apparatus.Channel;
import cauldron.core.apparatus.Channel.Account;
import cauldron.core.apparatus.Experiment;
import cauldron.core.apparatus.Gravity;
import cauldron.core.apparatus.Manifest;
import cauldron.core.apparatus.Manifest.SceneField;
import cauldron.core.apparatus.Manifest.SceneField.Kind;
import cauldron.core.apparatus.Setting;
import cauldron.core.apparatus.Setting.Option;
import cauldron.core.apparatus.Settings;
import java.util.List;
import java.util.Map;

/** The hanging spring's declaration; its law is in {@link HangingSpringExperiment}. */
public final class HangingSpring implements Apparatus {

    /** Length of every spring with nothing on it, in metres. */
    static final double NATURAL_LENGTH = 0.20;
    private static final double[] FRAME_HEIGHTS = {0.5, 0.7, 1.0, 1.4, 2.0, 2.8, 4.0, 5.6};
    private static final double WIDTH = 0.8;
    private static final double MOST_DRAWN_ASIDE = 150;

    private static final Manifest MANIFEST = new Manifest("hanging-spring", 2, "Hanging spring",
            "A mass on a spring: stretch it, let go, and watch force, energy and rhythm. Damping from none to heavy.",
            List.of("oscillation", "force", "energy", "elasticity", "damping"), 1.0 / 60, 1, "s",
            List.of(
                    new Setting.Choice("spring", "Spring", List.of(new Option("soft", "soft, 8 N/m, 14 g"),
                            new Option("medium", "medium, 20 N/m, 22 g"), new Option("stiff", "stiff, 45 N/m, 35 g"),
                            new Option("own", "your own")), "medium", "", false, ""),
                    new Setting.Amount("constant", "k", "Spring constant", "N/m", 2, 60, 0.5, 20.0, false, "", false,
                            "spring=own"),
                    new Setting.Amount("coil", "m_s", "Mass of the spring", "g", 0, 50, 1, 20.0, false, "", false,
                            "spring=own"),
                    new Setting.Switch("heavy", "The spring's own mass counts", false, "", false, ""),
                    new Setting.Amount("mass", "m", "Hung mass", "g", 10, 500, 10, 200.0, false, "", true, ""),
                    new Setting.Amount("drawn", "A", "Drawn down by", "mm", -MOST_DRAWN_ASIDE, MOST_DRAWN_ASIDE, 5,
                            40.0, false, "", false, ""),
                    Gravity.settings().get(0), Gravity.settings().get(1),
                    new Setting.Switch("held", "Held by hand at first", false, "", false, ""),
                    new Setting.Amount("damping", "c", "Damping", "N s/m", 0, 6, 0.05, 0.0, false, "losses", true, "")),
            List.of(
                    new Channel("extension", "x", "Extension", "cm", 0, 30, 2, null),
                    new Channel("displacement", "y", "Displacement from equilibrium", "cm", -15, 15, 2, null),
                    new Channel("velocity", "v", "Velocity, upwards", "m/s", -2, 2, 3, null),
                    new Channel("acceleration", "a", "Acceleration, upwards", "m/s²", -20, 20, 2, null),
                    new Channel("spring-force", "F_s", "Force of the spring, upwards", "N", 0, 10, 2, null),
                    new Channel("resultant", "F", "Resultant force, upwards", "N", -5, 5, 2, null),
                    new Channel("kinetic", "E_k", "Kinetic energy", "J", 0, 0.2, 4, Account.KINETIC),
                    new Channel("gravitational", "E_g", "Gravitational energy", "J", -1, 0, 4, Account.POTENTIAL),
                    new Channel("elastic", "E_e", "Elastic energy", "J", 0, 1, 4, Account.ELASTIC),
                    new Channel("thermal", "E_th", "Thermal energy", "J", 0, 0.2, 4, Account.THERMAL),
                    new Channel("total", "E", "Total energy", "J", -1, 1, 4, Account.TOTAL),
                    new Channel("period", "T", "Period by beam timer", "s", 0, 3, 3, null)),
            List.of(), List.of(new Manifest.EventKind("highest", "highest point"),
                    new Manifest.EventKind("lowest", "lowest point"),
                    new Manifest.EventKind("equilibrium", "equilibrium passed"),
                    new Manifest.EventKind("rest", "at rest")),
            List.of(new Manifest.View("front", "Front view")),
            List.of(new SceneField("support.x", Kind.X, true), new SceneField("support.y", Kind.Y, true),
                    new SceneField("hook.y", Kind.Y, true), new SceneField("body.x", Kind.X, true),
                    new SceneField("body.y", Kind.Y, true), new SceneField("body.size", Kind.LENGTH, true),
                    new SceneField("hand.on", Kind.FLAG, true), new SceneField("natural.y", Kind.Y, false),
                    new SceneField("equilibrium.y", Kind.Y, false), new SceneField("weight.arrow", Kind.LENGTH, false),
                    new SceneField("spring.arrow", Kind.LENGTH, false)),
            List.of(new Manifest.Handle("body", "mass", "body.x", "body.y", "body.size")),
            List.of(new Manifest.Act("let-go", "Let go", "hand.on=1")),
            List.of(new Manifest.Layer("forces", "Force arrows"), new Manifest.Layer("lines", "Natural length and equilibrium")),
            List.of("ruler", "stopwatch", "beam-timer", "markers", "magnifier",
                    "spring-scale=spring-force"),
            List.of("Total length taken for the extension", "Grams for kilograms", "Gradient upside down",
                    "Period against mass read as a straight line"));

    @Override
    public Manifest manifest() {
        return MANIFEST;
    }

    @Override
    public Experiment prepare(Settings settings, int seed) {
        return new HangingSpringExperiment(MANIFEST, settings);
    }

    static double constant(Settings settings) {
        switch (settings.choice("spring")) {
            case "soft":
                return 8;
            case "medium":
                return 20;
            case "stiff":
                return 45;
            default:
                return settings.amount("constant");
        }
    }

    /** The spring's own mass in kilograms, 0 where it isn't to count. */
    static double coilMass(Settings settings) {
        if (!settings.on("heavy")) {
            return 0;
        }
        switch (settings.choice("spring")) {
            case "soft":
                return 0.014;
            case "medium":
                return 0.022;
            case "stiff":
                return 0.035;
            default:
                return settings.amount("coil") / 1000;
        }
    }

    static double equilibrium(Settings settings) {
        return settings.amount("mass") / 1000 * Gravity.of(settings) / constant(settings);
    }

    static double frameHeight(Settings settings) {
        double reach = NATURAL_LENGTH + equilibrium(settings) + Math.abs(settings.amount("drawn")) / 1000 + 0.08;
        for (double candidate : FRAME_HEIGHTS) {
            if (0.92 * candidate >= reach) {
                return candidate;
            }
        }
        return FRAME_HEIGHTS[FRAME_HEIGHTS.length - 1];
    }

    @Override
    public double[] frame(String view, Settings settings) {
        double h = frameHeight(settings);
        return new double[] {-WIDTH * h / 2, -0.93 * h, WIDTH * h, h};
    }

    @Override
    public Map<String, Object> placed(String handle, double x, double y, Settings settings) {
        double drawn = 1000 * (HangingSpringExperiment.extensionAt(y, settings.amount("mass") / 1000)
                - equilibrium(settings));
        return Tree.of("drawn", (double) Math.round(Math.max(-MOST_DRAWN_ASIDE, Math.min(MOST_DRAWN_ASIDE, drawn))));
    }
}
