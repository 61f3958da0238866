package cauldron.core.apparatus.pendulum;

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
import cauldron.core.Tree;
import java.util.List;
import java.util.Map;

/** The pendulum's declaration; its law is in {@link PendulumExperiment}. */
public final class Pendulum implements Apparatus {

    static final double MAX_ANGLE = Math.toRadians(90);
    /** Widths of the frame as parts of its height's step. */
    private static final double[] WIDTHS = {1.15, 1.5, 1.9};
    private static final double[] FRAME_HEIGHTS = {0.35, 0.5, 0.7, 1.0, 1.4, 2.0, 2.8};

    private static final Manifest MANIFEST = new Manifest("pendulum", 2, "Pendulum",
            "A bob on a light cord, swinging at any angle up to 90°, with air drag and friction at the pivot"
                    + " if wanted.",
            List.of("oscillation", "period", "energy", "gravity", "damping"), 1.0 / 60, 1, "s",
            List.of(
                    new Setting.Amount("length", "L", "Length to the middle of the bob", "m", 0.10, 2.50, 0.01, 1.0,
                            false, "", true, ""),
                    new Setting.Amount("mass", "m", "Mass of the bob", "g", 20, 1000, 10, 200.0, false, "", true, ""),
                    new Setting.Choice("size", "Size of the bob", List.of(new Option("small", "small, 12 mm"),
                            new Option("medium", "medium, 20 mm"), new Option("large", "large, 35 mm")),
                            "medium", "", true, ""),
                    new Setting.Amount("angle", "θ₀", "Release angle", "°", -90, 90, 1, 20.0, false, "", false, ""),
                    Gravity.settings().get(0), Gravity.settings().get(1),
                    new Setting.Switch("drag", "Air drag", false, "losses", true, ""),
                    new Setting.Amount("friction", "b", "Pivot friction", "mN m s", 0, 10, 0.1, 0.0, false, "losses",
                            true, ""),
                    new Setting.Switch("held", "Held by the catch at first", false, "", false, "")),
            List.of(
                    new Channel("angle", "θ", "Angle", "°", -90, 90, 1, null),
                    new Channel("angular-speed", "ω", "Angular velocity", "rad/s", -6, 6, 2, null),
                    new Channel("height", "h", "Height above the lowest point", "m", 0, 1, 3, null),
                    new Channel("speed", "v", "Speed", "m/s", 0, 4, 3, null),
                    new Channel("kinetic", "E_k", "Kinetic energy", "J", 0, 2, 3, Account.KINETIC),
                    new Channel("potential", "E_p", "Potential energy", "J", 0, 2, 3, Account.POTENTIAL),
                    new Channel("thermal", "E_th", "Thermal energy", "J", 0, 2, 3, Account.THERMAL),
                    new Channel("total", "E", "Total energy", "J", 0, 2, 3, Account.TOTAL),
                    new Channel("tension", "F", "Tension of the cord", "N", 0, 6, 2, null),
                    new Channel("period", "T", "Period by beam timer", "s", 0, 4, 3, null),
                    new Channel("work", "W", "Work done from outside", "J", -1, 1, 3, null)),
            List.of(), List.of(new Manifest.EventKind("highest", "highest point"),
                    new Manifest.EventKind("lowest", "lowest point")),
            List.of(new Manifest.View("side", "Side view")),
            List.of(new SceneField("pivot.x", Kind.X, true), new SceneField("pivot.y", Kind.Y, true),
                    new SceneField("bob.x", Kind.X, true), new SceneField("bob.y", Kind.Y, true),
                    new SceneField("bob.radius", Kind.LENGTH, true), new SceneField("catch.shut", Kind.FLAG, true)),
            List.of(new Manifest.Handle("bob", "bob", "bob.x", "bob.y", "bob.radius")),
            List.of(new Manifest.Act("open-catch", "Open the catch", "catch.shut=1")),
            List.of(),
            List.of("ruler", "protractor", "stopwatch", "beam-timer", "markers", "magnifier",
                    "spring-scale=tension"),
            List.of("Timing one swing instead of many", "Half a swing taken for a whole one",
                    "Length measured to the top of the bob", "Counting from one instead of zero",
                    "Angle too wide for the simple law", "Mass expected to matter"));

    @Override
    public Manifest manifest() {
        return MANIFEST;
    }

    @Override
    public Experiment prepare(Settings settings, int seed) {
        return new PendulumExperiment(MANIFEST, settings);
    }

    @Override
    public double[] frame(String view, Settings settings) {
        double reach = settings.amount("length") + 0.05;
        double h = FRAME_HEIGHTS[FRAME_HEIGHTS.length - 1];
        for (double candidate : FRAME_HEIGHTS) {
            if (0.9 * candidate >= reach) {
                h = candidate;
                break;
            }
        }
        double side = settings.amount("length") * Math.sin(Math.toRadians(Math.abs(settings.amount("angle"))));
        double w = h * WIDTHS[WIDTHS.length - 1];
        for (double candidate : WIDTHS) {
            if (side < h * (candidate / 2 - 0.06)) {
                w = h * candidate;
                break;
            }
        }
        return new double[] {-w / 2, -0.94 * h, w, 1.04 * h};
    }

    @Override
    public Map<String, Object> placed(String handle, double x, double y, Settings settings) {
        double degrees = Math.toDegrees(angleTo(x, y));
        return Tree.of("angle", (double) Math.round(degrees));
    }

    /** The angle from the vertical of a bob drawn towards a place, kept within a quarter turn. */
    static double angleTo(double x, double y) {
        return Math.max(-MAX_ANGLE, Math.min(MAX_ANGLE, Math.atan2(x, -y)));
    }
}
