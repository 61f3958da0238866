package cauldron.core.apparatus;

import cauldron.core.Tree;
import cauldron.core.instrument.Instrument;
import cauldron.core.quantity.QuantityNames;
import cauldron.core.quantity.Units;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;

/**
 * All that an apparatus declares of itself, closed. Settings panels, readouts, graphs, stop-at, catalogue pages
 * and the checks of sheets are made from it.
 *
 * @param modelVersion  rises when the same recipe would give other numbers
 * @param clock         what kind of time it has
 * @param counting      while this flag of the scene is up a person's time counts; null for other clocks
 * @param interval      seconds of model time between samples of the channels
 * @param speed         model seconds for each second on the wall at speed 1
 * @param fastest       the highest speed it can usefully be shown at, as a multiple of speed 1
 * @param timeUnit      unit in which its time is shown
 * @param scaleNote     how true to scale its picture is, in words
 * @param scene         what a drawing needs, in order
 * @param curves        lines of the scene
 * @param distributions what many values at one instant there are
 * @param layers        what can be shown over the apparatus on the open bench
 * @param bodies        what channels may belong to
 * @param ledgers       accounts besides that of energy
 * @param outcomes      what stands once a run is over
 * @param profiles      curves at an instant
 * @param forces        what can be drawn as arrows
 * @param instruments   instruments that make sense here
 * @param hooks         which channel an instrument shows that is hooked in, by the instrument's id
 * @param slips         what learners commonly get wrong with it
 */
public record Manifest(String id, int modelVersion, String name, String summary, List<String> topics,
                       Clock clock, Flag counting, double interval, double speed, double fastest, String timeUnit, String scaleNote, List<Setting> settings, List<Channel> channels,
                       List<Distribution> distributions, List<Event> events, List<View> views, List<SceneField> scene,
                       List<SceneCurve> curves, List<Handle> handles, List<Act> acts, List<Layer> layers, List<Body> bodies,
                       List<Ledger> ledgers, List<Outcome> outcomes, List<Profile> profiles,
                       List<Force> forces, List<Instrument> instruments,
                       Map<String, Channel> hooks, List<String> slips) {

    /** How forces are shown: as arrows, with components, with their sum. */
    static final List<String> FORCE_VIEWS = List.of("forces", "forces/components", "forces/sum");

    private List<List<? extends Declared>> lists() {
        return List.of(settings, channels, distributions, events, views, scene, curves, handles, acts, layers, bodies, ledgers,
                outcomes, profiles, forces);
    }

    /** Looks for all that is wrong, and gives everything its place if nothing is. */
    void close() {
        Faults faults = new Faults();
        if (!id.equals(id.toLowerCase()) || id.isBlank() || id.contains(".") || id.contains(" ")) {
            faults.add("id “" + id + "”: lower-case letters and digits, with hyphens between words");
        }
        for (List<? extends Declared> list : lists()) {
            List<String> ids = new ArrayList<>();
            for (Declared declared : list) {
                declared.check(faults);
                if (ids.contains(declared.id())) {
                    faults.add(declared, "declared twice");
                }
                ids.add(declared.id());
            }
        }
        for (Setting setting : settings) {
            if (setting.condition() != null) {
                setting.condition().check(setting, this, faults);
            }
        }
        for (int i = 0; i < settings.size(); i++) {
            if (settings.get(i) instanceof Amount amount && amount.ceiling() != null
                    && !settings.subList(0, i).contains(amount.ceiling())) {
                faults.add(amount, "is bounded by a setting that isn't declared above it");
            }
        }
        channels.forEach(c -> c.check(this, faults));
        bodies.forEach(b -> b.check(this, faults));
        curves.forEach(c -> c.check(this, faults));
        forces.forEach(f -> f.check(this, faults));
        ledgers.forEach(l -> l.check(this, faults));
        distributions.forEach(d -> d.check(this, faults));
        handles.forEach(h -> h.check(this, faults));
        outcomes.forEach(o -> o.check(this, faults));
        acts.forEach(a -> a.check(this, faults));
        layers.forEach(l -> l.check(this, faults));
        checkTray(faults);
        checkWhole(faults);
        if (!faults.all().isEmpty()) {
            throw new DeclarationException(name, faults.all());
        }
        for (List<? extends Declared> list : lists()) {
            for (int i = 0; i < list.size(); i++) {
                list.get(i).index(i);
            }
        }
    }

    private void checkTray(Faults faults) {
        List<String> seen = new ArrayList<>();
        for (Instrument instrument : instruments) {
            if (seen.contains(instrument.id())) {
                faults.add("tray: “" + instrument.id() + "” lies there twice");
            }
            if (instrument.kind().hooked() != hooks.containsKey(instrument.id())) {
                faults.add("tray: “" + instrument.id() + "” " + (instrument.kind().hooked() ? "needs a channel to show"
                        : "shows no channel"));
            }
            seen.add(instrument.id());
        }
        hooks.forEach((instrument, channel) -> {
            if (channel == null || !channels.contains(channel)) {
                faults.add("tray: “" + instrument + "” is hooked into a channel that isn't declared here");
            }
        });
    }

    private void checkWhole(Faults faults) {
        if (!(interval > 0) || !(speed > 0) || !(fastest >= 1)) {
            faults.add("time: interval and speed must be above 0, the fastest speed at least 1");
        }
        try {
            Units.parse(timeUnit);
        } catch (IllegalArgumentException e) {
            faults.add("time: its unit can't be read: " + e.getMessage());
        }
        if (clock == Clock.PERSON && !scene.contains(counting)) {
            faults.add("time: a person's counts while a flag of the scene is up, which isn't declared here");
        }
        if (clock != Clock.PERSON && acts.stream().anyMatch(Act::isAPersons)) {
            faults.add("time: there are answers to what is shown, but no person's time");
        }
        if (summary.isBlank() || topics.isEmpty()) {
            faults.add("about: say in a sentence what it is, and what it is used to teach");
        }
        if (views.isEmpty()) {
            faults.add("needs at least one view");
        }
        if (channels.isEmpty()) {
            faults.add("needs at least one channel");
        }
    }

    /** The setting of an id; refuses one it doesn't have. */
    public Setting setting(String settingId) {
        for (Setting setting : settings) {
            if (setting.id().equals(settingId)) {
                return setting;
            }
        }
        throw new SettingException(settingId, name + " has no setting “" + settingId + "”");
    }

    /**
     * What can be set somewhere: on the apparatus, in a list of things, with an act.
     *
     * @param owner empty, the id of a list, or that of an act
     */
    public Setting settingOf(String owner, String settingId) {
        List<Setting> among = settings;
        for (Setting setting : settings) {
            if (setting instanceof Items && setting.id().equals(owner)) {
                among = ((Items) setting).fields();
            }
        }
        for (Act act : acts) {
            if (act.id().equals(owner)) {
                among = act.arguments();
            }
        }
        return named(among, "setting", settingId);
    }

    /** The channel of an id; refuses one it doesn't have. */
    public Channel channel(String channelId) {
        return named(channels, "channel", channelId);
    }

    /** The event of an id; refuses one it doesn't have. */
    public Event event(String eventId) {
        return named(events, "event", eventId);
    }

    /** The outcome of an id; refuses one it doesn't have. */
    public Outcome outcome(String outcomeId) {
        return named(outcomes, "outcome", outcomeId);
    }

    /** The profile of an id; refuses one it doesn't have. */
    public Profile profile(String profileId) {
        return named(profiles, "profile", profileId);
    }

    /** The ledger of an id; refuses one it doesn't have. */
    public Ledger ledger(String ledgerId) {
        return named(ledgers, "account", ledgerId);
    }

    /** The view of an id; refuses one it doesn't have. */
    public View view(String viewId) {
        return named(views, "view", viewId);
    }

    /** The act of an id; refuses one it doesn't have. */
    public Act act(String actId) {
        return named(acts, "act", actId);
    }

    /** The handle of an id; refuses one it doesn't have. */
    public Handle handle(String handleId) {
        return named(handles, "handle", handleId);
    }

    /** Refuses what can't be shown over it: neither a layer nor, where there are forces, one of their views. */
    public void checkShown(String layerId) {
        if (forces.isEmpty() || !FORCE_VIEWS.contains(layerId)) {
            layer(layerId);
        }
    }

    /** The layer of an id; refuses one it doesn't have. */
    public Layer layer(String layerId) {
        return named(layers, "layer", layerId);
    }

    /** The distribution of an id; refuses one it doesn't have. */
    public Distribution distribution(String distributionId) {
        return named(distributions, "distribution", distributionId);
    }

    /** The instrument of an id; refuses one that isn't on its tray. */
    public Instrument instrument(String instrumentId) {
        return instruments.stream().filter(i -> i.id().equals(instrumentId)).findFirst().orElseThrow(() ->
                new IllegalArgumentException(name + " has no instrument “" + instrumentId + "”"));
    }

    /** The scene's field of an id; refuses one it doesn't have. */
    public SceneField sceneField(String fieldId) {
        return named(scene, "scene field", fieldId);
    }

    private <D extends Declared> D named(List<D> list, String kind, String wanted) {
        for (D declared : list) {
            if (declared.id().equals(wanted)) {
                return declared;
            }
        }
        throw new IllegalArgumentException(name + " has no " + kind + " “" + wanted + "”");
    }

    /** What it has to do with: the quantities of its channels and outcomes that have an everyday name. */
    public List<String> quantities() {
        Set<String> named = new LinkedHashSet<>();
        channels.forEach(c -> named.add(QuantityNames.plain(c.read())));
        outcomes.forEach(o -> named.add(QuantityNames.plain(o.read())));
        named.remove("");
        return List.copyOf(named);
    }

    /** All of it as plain data. */
    public Map<String, Object> toTree() {
        List<Object> i = new ArrayList<>();
        instruments.forEach(x -> i.add(x.toTree(hooks.containsKey(x.id()) ? hooks.get(x.id()).id() : "")));
        return Tree.of("id", id, "modelVersion", (double) modelVersion, "name", name, "summary", summary, "topics",
                topics, "clock", clock.inWords(), "counting", counting == null ? "" : counting.id(), "interval", interval, "speed", speed, "fastest", fastest, "timeUnit", timeUnit, "scaleNote", scaleNote,
                "timePerSi", 1 / Units.parse(timeUnit).factor(), "settings", trees(settings, Setting::toTree),
                "channels", trees(channels, Channel::toTree), "distributions", trees(distributions, Distribution::toTree),
                "events", trees(events, Event::toTree), "views", names(views), "scene", trees(scene, SceneField::toTree), "curves",
                trees(curves, SceneCurve::toTree), "handles", trees(handles, Handle::toTree), "acts", trees(acts, Act::toTree), "layers", trees(layers, Layer::toTree),
                "bodies", trees(bodies, Body::toTree), "ledgers", trees(ledgers, Ledger::toTree), "outcomes",
                trees(outcomes, Outcome::toTree), "profiles", trees(profiles, Profile::toTree), "forces",
                trees(forces, Force::toTree), "instruments", i, "slips",
                slips);
    }

    private static <D> List<Object> trees(List<D> list, Function<D, Map<String, Object>> toTree) {
        List<Object> trees = new ArrayList<>();
        list.forEach(x -> trees.add(toTree.apply(x)));
        return trees;
    }

    private static List<Object> names(List<? extends Declared> list) {
        List<Object> trees = new ArrayList<>();
        list.forEach(x -> trees.add(Tree.of("id", x.id(), "name", x.name())));
        return trees;
    }
}
