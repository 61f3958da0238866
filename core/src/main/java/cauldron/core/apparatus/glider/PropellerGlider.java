package cauldron.core.apparatus.glider;

import cauldron.core.Tree;
import cauldron.core.apparatus.Apparatus;
import cauldron.core.apparatus.Channel;
import cauldron.core.apparatus.Channel.Account;
import cauldron.core.apparatus.Experiment;
import cauldron.core.apparatus.Manifest;
import cauldron.core.apparatus.Manifest.SceneField;
import cauldron.core.apparatus.Manifest.SceneField.Kind;
import cauldron.core.apparatus.Setting;
import cauldron.core.apparatus.Settings;
import java.util.List;
import java.util.Map;

/** The propeller glider's declaration; its law is in {@link PropellerGliderExperiment}. */
public final class PropellerGlider implements Apparatus {

    /** Stiffness of the spring scale in N/m: its full 2.5 N are 62.5 mm long. */
    static final double SCALE_STIFFNESS = 40;
    /** Where the middle of the glider meets the buffer, in metres from where it is held. */
    static final double TRACK_END = 1.9;
    /** Where the scale's hook is while it is relaxed, and where its plate begins. */
    static final double HOOK = -0.16;
    static final double POINTER = -0.24;

    private static final Manifest MANIFEST = new Manifest("propeller-glider", 2, "Propeller glider",
            "A glider on an air track pulls at a spring scale with its propeller; then the thread is cut.",
            List.of("force", "acceleration", "mass", "Newton's second law"), 1.0 / 120, 1, "s",
            List.of(
                    new Setting.Amount("throttle", "q", "Throttle", "%", 10, 100, 5, 60.0, false, "", true, ""),
                    new Setting.Amount("thrust", "F_0", "Thrust at rest, full throttle", "N", 0.5, 2.4, 0.05, 2.2, false, "",
                            false, ""),
                    new Setting.Amount("glider", "m_g", "Mass of the glider", "g", 150, 350, 5, 250.0, false, "", false, ""),
                    new Setting.Amount("added", "m_a", "Added mass", "g", 0, 600, 50, 0.0, false, "", false, ""),
                    new Setting.Amount("offset", "F_z", "Scale shows at rest", "N", -0.1, 0.1, 0.01, 0.0, false, "scale", false,
                            ""),
                    new Setting.Amount("drag", "c", "Drag of the air film", "N s/m", 0, 0.1, 0.002, 0.004, false, "losses",
                            true, ""),
                    new Setting.Switch("cut", "Thread cut from the beginning", false, "", false, "")),
            List.of(
                    new Channel("position", "s", "Position along the track", "cm", 0, 190, 1, null),
                    new Channel("speed", "v", "Speed", "m/s", 0, 6, 3, null),
                    new Channel("acceleration", "a", "Acceleration", "m/s²", 0, 10, 3, null),
                    new Channel("thrust", "F_t", "Thrust", "N", 0, 2.5, 3, null),
                    new Channel("scale", "F_s", "Force on the spring scale", "N", 0, 2.5, 3, null),
                    new Channel("resultant", "F", "Resultant force", "N", 0, 2.5, 3, null),
                    new Channel("kinetic", "E_k", "Kinetic energy", "J", 0, 5, 3, Account.KINETIC),
                    new Channel("thermal", "E_th", "Lost to air film, buffer and hand", "J", 0, 1, 3, Account.THERMAL),
                    new Channel("total", "W", "Work of the thrust since the cut", "J", 0, 5, 3, Account.TOTAL)),
            List.of(), List.of(new Manifest.EventKind("cut", "thread parted"),
                    new Manifest.EventKind("buffer", "buffer reached")),
            List.of(new Manifest.View("track", "Track from the side"), new Manifest.View("scale", "Spring scale, close up")),
            List.of(new SceneField("glider.x", Kind.X, true), new SceneField("glider.y", Kind.Y, true),
                    new SceneField("glider.half", Kind.LENGTH, true), new SceneField("track.y", Kind.Y, true),
                    new SceneField("buffer.x", Kind.X, true), new SceneField("hook.x", Kind.X, true),
                    new SceneField("pointer.x", Kind.X, true), new SceneField("zero.x", Kind.X, true),
                    new SceneField("newton", Kind.LENGTH, true), new SceneField("thread.on", Kind.FLAG, true),
                    new SceneField("blade.down", Kind.FLAG, true), new SceneField("propeller.on", Kind.FLAG, true),
                    new SceneField("loads", Kind.LENGTH, true), new SceneField("thrust.arrow", Kind.LENGTH, false),
                    new SceneField("thread.arrow", Kind.LENGTH, false), new SceneField("drag.arrow", Kind.LENGTH, false)),
            List.of(new Manifest.Handle("glider", "glider", "glider.x", "glider.y", "glider.half")),
            List.of(new Manifest.Act("start", "Start the propeller", "propeller.on=0"),
                    new Manifest.Act("cut", "Cut the thread", "thread.on=1")),
            List.of(new Manifest.Layer("forces", "Force arrows")),
            List.of("ruler", "tape", "stopwatch", "markers", "magnifier", "spring-scale=scale"),
            List.of("Time zero taken before the thread parts", "The scale's zero not taken off", "Centimetres for metres",
                    "Average taken for instantaneous speed", "Force and acceleration exchanged on the axes"));

    @Override
    public Manifest manifest() {
        return MANIFEST;
    }

    @Override
    public Experiment prepare(Settings settings, int seed) {
        return new PropellerGliderExperiment(MANIFEST, settings);
    }

    @Override
    public double[] frame(String view, Settings settings) {
        return view.equals("scale") ? new double[] {-0.29, 0.02, 0.17, 0.05} : new double[] {-0.38, -0.3, 2.5, 0.6};
    }

    @Override
    public Map<String, Object> placed(String handle, double x, double y, Settings settings) {
        return Tree.of();
    }
}
