package cauldron.core.apparatus;

import cauldron.core.Tree;
import cauldron.core.quantity.Units;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/**
 * All that an apparatus declares of itself. Settings panels, readouts, graphs, stop-at, catalogue pages
 * and the checks of sheets are made from it.
 *
 * @param modelVersion rises when the same recipe would give other numbers
 * @param interval     seconds of model time between samples of the channels
 * @param speed        model seconds for each second on the wall at speed 1
 * @param timeUnit     unit in which its time is shown
 * @param scene        what a drawing needs, in order
 * @param distributions what many values at one instant there are
 * @param layers       what can be shown over the apparatus on the open bench
 * @param instruments  ids of instruments that make sense here; {@code spring-scale=tension} says which channel
 *                     an instrument is hooked into
 * @param slips        what learners commonly get wrong with it
 */
public record Manifest(String id, int modelVersion, String name, String summary, List<String> topics,
                       double interval, double speed, String timeUnit, List<Setting> settings, List<Channel> channels,
                       List<Distribution> distributions, List<EventKind> events, List<View> views, List<SceneField> scene, List<Handle> handles,
                       List<Act> acts, List<Layer> layers, List<String> instruments, List<String> slips) {

    /** Something that happens at an instant and can be stopped at. */
    public record EventKind(String id, String name) {
    }

    /**
     * Many values at one instant, shown as a histogram.
     *
     * @param unit        unit people see
     * @param typicalMax  end of the scale, in that unit
     * @param populations what the values are told apart by: ids of the choices that name them
     * @param marks       names of the marked values
     */
    public record Distribution(String id, String symbol, String name, String unit, double typicalMax,
                               List<String> populations, List<String> marks) {
    }

    /** A way of looking at the apparatus. */
    public record View(String id, String name) {
    }

    /**
     * One number of the scene: metres, radians, or 0 and 1.
     *
     * @param kind   how a film turns it into picture coordinates
     * @param filmed whether a camera would see it
     */
    public record SceneField(String id, Kind kind, boolean filmed) {
        /** What a field stands for. */
        public enum Kind { X, Y, LENGTH, FLAG }
    }

    /**
     * A part that can be moved by hand.
     *
     * @param xField scene field of its place
     * @param yField scene field of its place
     */
    public record Handle(String id, String name, String xField, String yField, String radiusField) {
    }

    /**
     * Something that can be done to it besides moving and setting.
     *
     * @param shownWhen offered only while a flag of the scene is up or down: {@code "thread.on=1"}; empty: always
     */
    public record Act(String id, String name, String shownWhen) {
    }

    /**
     * Something drawn over the apparatus on request, such as force arrows; no camera sees it.
     *
     * @param trail ids of the two channels whose path so far it shows; empty where the scene draws it
     */
    public record Layer(String id, String name, List<String> trail) {

        /** A layer that the scene draws. */
        public Layer(String id, String name) {
            this(id, name, List.of());
        }
    }

    /** Ids of the instruments that make sense here. */
    public List<String> instrumentIds() {
        return instruments.stream().map(i -> i.contains("=") ? i.substring(0, i.indexOf('=')) : i).toList();
    }

    /** What instruments are hooked into here: channel by instrument. */
    private Map<String, Object> hooked() {
        Map<String, Object> hooked = Tree.of();
        for (String entry : instruments) {
            int at = entry.indexOf('=');
            if (at >= 0) {
                hooked.put(entry.substring(0, at), entry.substring(at + 1));
            }
        }
        return hooked;
    }

    public Setting setting(String settingId) {
        for (Setting setting : settings) {
            if (setting.id().equals(settingId)) {
                return setting;
            }
        }
        throw new SettingException(settingId, name + " has no setting “" + settingId + "”");
    }

    /** The place of a channel in {@link #channels}. */
    public int channel(String channelId) {
        for (int i = 0; i < channels.size(); i++) {
            if (channels.get(i).id().equals(channelId)) {
                return i;
            }
        }
        throw new IllegalArgumentException(name + " has no channel “" + channelId + "”");
    }

    /** The place of an event kind in {@link #events}. */
    public int event(String eventId) {
        for (int i = 0; i < events.size(); i++) {
            if (events.get(i).id().equals(eventId)) {
                return i;
            }
        }
        throw new IllegalArgumentException(name + " has no event “" + eventId + "”");
    }

    /** The place of a scene field in {@link #scene}. */
    public int sceneField(String fieldId) {
        for (int i = 0; i < scene.size(); i++) {
            if (scene.get(i).id().equals(fieldId)) {
                return i;
            }
        }
        throw new IllegalArgumentException(name + " has no scene field “" + fieldId + "”");
    }

    public Map<String, Object> toTree() {
        List<Object> s = new ArrayList<>();
        settings.forEach(x -> s.add(x.toTree()));
        List<Object> c = new ArrayList<>();
        for (Channel channel : channels) {
            Map<String, Object> tree = channel.toTree();
            tree.put("perSi", 1 / Units.parse(channel.unit()).factor());
            c.add(tree);
        }
        List<Object> d = new ArrayList<>();
        distributions.forEach(x -> d.add(Tree.of("id", x.id(), "symbol", x.symbol(), "name", x.name(), "unit",
                x.unit(), "typicalMax", x.typicalMax(), "populations", x.populations(), "marks", x.marks(), "perSi",
                1 / Units.parse(x.unit()).factor())));
        List<Object> e = new ArrayList<>();
        events.forEach(x -> e.add(Tree.of("id", x.id(), "name", x.name())));
        List<Object> v = new ArrayList<>();
        views.forEach(x -> v.add(Tree.of("id", x.id(), "name", x.name())));
        List<Object> f = new ArrayList<>();
        scene.forEach(x -> f.add(Tree.of("id", x.id(), "kind", x.kind().name().toLowerCase(), "filmed", x.filmed())));
        List<Object> h = new ArrayList<>();
        handles.forEach(x -> h.add(Tree.of("id", x.id(), "name", x.name(), "xField", x.xField(), "yField",
                x.yField(), "radiusField", x.radiusField())));
        List<Object> a = new ArrayList<>();
        acts.forEach(x -> a.add(Tree.of("id", x.id(), "name", x.name(), "shownWhen", x.shownWhen())));
        List<Object> l = new ArrayList<>();
        layers.forEach(x -> l.add(Tree.of("id", x.id(), "name", x.name(), "trail", x.trail())));
        return Tree.of("id", id, "modelVersion", (double) modelVersion, "name", name, "summary", summary, "topics",
                topics, "interval", interval, "speed", speed, "timeUnit", timeUnit, "timePerSi",
                1 / Units.parse(timeUnit).factor(), "settings", s, "channels", c, "distributions", d, "events", e, "views", v,
                "scene", f, "handles", h, "acts", a, "layers", l, "instruments", instrumentIds(), "hooked", hooked(), "slips", slips);
    }
}
