package cauldron.core.apparatus;

import cauldron.core.apparatus.SceneField.Kind;
import cauldron.core.instrument.Instrument;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.IntFunction;

/**
 * What something declares of itself, as fields that are at once what people are told and the handles by which the
 * model reaches its values:
 *
 * <pre>final Amount length = amount("length", "L", "Length of the cord", "m").within(0.1, 2.5).first(1).live();</pre>
 *
 * <p>Order counts: what is declared first is shown first, and what a thing names must stand above it. Nothing is
 * refused while it is declared; all that is wrong is told together when it is closed.
 */
public abstract class Declaration {

    final List<Setting> settings = new ArrayList<>();
    final List<Channel> channels = new ArrayList<>();
    final List<Distribution> distributions = new ArrayList<>();
    final List<Event> events = new ArrayList<>();
    final List<View> views = new ArrayList<>();
    final List<SceneField> scene = new ArrayList<>();
    final List<SceneCurve> curves = new ArrayList<>();
    final List<Handle> handles = new ArrayList<>();
    final List<Act> acts = new ArrayList<>();
    final List<Layer> layers = new ArrayList<>();
    final List<Body> bodies = new ArrayList<>();
    final List<Ledger> ledgers = new ArrayList<>();
    final List<Outcome> outcomes = new ArrayList<>();
    final List<Profile> profiles = new ArrayList<>();
    final List<Force> forces = new ArrayList<>();
    final List<Instrument> tray = new ArrayList<>();
    final Map<String, Channel> hooks = new LinkedHashMap<>();
    final List<String> slips = new ArrayList<>();

    /** A setting that is a number in a unit. */
    protected final Amount amount(String id, String symbol, String name, String unit) {
        return add(settings, new Amount(this, id, symbol, name, unit, false));
    }

    /** A setting that is a whole number of things. */
    protected final Amount count(String id, String symbol, String name) {
        return add(settings, new Amount(this, id, symbol, name, "", true));
    }

    /**
     * A setting that is one of several named things, which its options say.
     *
     * @param standsFor what an option stands for in the model: a number in SI, a substance, a mode
     */
    protected final <T> Choice<T> choice(String id, String name, Class<T> standsFor) {
        return add(settings, new Choice<>(this, id, name));
    }

    /** A setting that is on or off. */
    protected final Switch toggle(String id, String name) {
        return add(settings, new Switch(this, id, name));
    }

    /**
     * A setting that is a list of things.
     *
     * @param one    what one of them is called, in small letters
     * @param fields what each of them has: the settings of a declaration
     */
    protected final Items items(String id, String name, String one, Declaration fields) {
        return add(settings, new Items(this, id, name, one, fields));
    }

    /** As many alike as there may be of something: each is declared with its number, from 1 on. */
    protected static <D> List<D> each(int most, IntFunction<D> declare) {
        List<D> all = new ArrayList<>();
        for (int i = 1; i <= most; i++) {
            all.add(declare.apply(i));
        }
        return all;
    }

    /** Takes in all that another declaration has, such as the choice of gravity, at this place. */
    protected final <D extends Declaration> D include(D part) {
        settings.addAll(part.settings);
        channels.addAll(part.channels);
        distributions.addAll(part.distributions);
        events.addAll(part.events);
        views.addAll(part.views);
        scene.addAll(part.scene);
        curves.addAll(part.curves);
        handles.addAll(part.handles);
        acts.addAll(part.acts);
        layers.addAll(part.layers);
        bodies.addAll(part.bodies);
        ledgers.addAll(part.ledgers);
        outcomes.addAll(part.outcomes);
        profiles.addAll(part.profiles);
        forces.addAll(part.forces);
        tray.addAll(part.tray);
        hooks.putAll(part.hooks);
        slips.addAll(part.slips);
        return part;
    }

    /** A quantity that can be read off at any time, in SI; the unit is what people see. */
    protected final Channel channel(String id, String symbol, String name, String unit) {
        return add(channels, new Channel(this, id, symbol, name, unit));
    }

    /** Something of its own that channels belong to. */
    protected final Body body(String id, String name) {
        return add(bodies, new Body(this, id, name));
    }

    /** An account whose entries are channels. */
    protected final Ledger ledger(String id, String name) {
        return add(ledgers, new Ledger(this, id, name));
    }

    /** A value that stands once a run, or a stretch of it, is over. */
    protected final Outcome outcome(String id, String symbol, String name, String unit) {
        return add(outcomes, new Outcome(this, id, symbol, name, unit));
    }

    /** A curve at one instant. */
    protected final Profile profile(String id, String name) {
        return add(profiles, new Profile(this, id, name));
    }

    /** Many values at one instant. */
    protected final Distribution distribution(String id, String symbol, String name, String unit) {
        return add(distributions, new Distribution(this, id, symbol, name, unit));
    }

    /** Something that happens at an instant. */
    protected final Event event(String id, String name) {
        return add(events, new Event(this, id, name));
    }

    /** A way of looking at it. */
    protected final View view(String id, String name) {
        return add(views, new View(this, id, name));
    }

    /** A place in the scene: its fields are {@code id.x} and {@code id.y}. */
    protected final Place place(String id) {
        return new Place(right(id), up(id));
    }

    /** How far right something is in the scene: its field is {@code id.x}. */
    protected final Coordinate right(String id) {
        return add(scene, new Coordinate(this, id + ".x", Kind.X));
    }

    /** How far up something is in the scene: its field is {@code id.y}. */
    protected final Coordinate up(String id) {
        return add(scene, new Coordinate(this, id + ".y", Kind.Y));
    }

    /** A length in the scene. */
    protected final Coordinate length(String id) {
        return add(scene, new Coordinate(this, id, Kind.LENGTH));
    }

    /** A number in the scene that is neither a place nor a length. */
    protected final SceneNumber number(String id) {
        return add(scene, new SceneNumber(this, id));
    }

    /** A force that can be drawn as an arrow where it acts; its components are fields {@code id.right}, {@code id.up}. */
    protected final Force force(String id, String symbol, String name, Place at) {
        return add(forces, new Force(this, id, symbol, name, at, number(id + ".right"), number(id + ".up")));
    }

    /** A line through many points in the scene. */
    protected final SceneCurve curve(String id) {
        return add(curves, new SceneCurve(this, id));
    }

    /** A yes or no in the scene. */
    protected final Flag flag(String id) {
        return add(scene, new Flag(this, id));
    }

    /** A part that can be moved by hand, where it is and how far around it can be taken hold of. */
    protected final Handle handle(String id, String name, Place at, Coordinate radius) {
        return add(handles, new Handle(this, id, name, at, radius));
    }

    /** Something that can be done to it. */
    protected final Act act(String id, String name) {
        return add(acts, new Act(this, id, name));
    }

    /** Something shown over it on request. */
    protected final Layer layer(String id, String name) {
        return add(layers, new Layer(this, id, name));
    }

    /** Instruments that make sense here. */
    protected final void tray(Instrument... instruments) {
        tray.addAll(Arrays.asList(instruments));
    }

    /** An instrument that makes sense here and shows a channel once it is hooked in. */
    protected final void tray(Instrument instrument, Channel hookedInto) {
        tray.add(instrument);
        hooks.put(instrument.id(), hookedInto);
    }

    /** What learners commonly get wrong with it. */
    protected final void slips(String... inWords) {
        slips.addAll(Arrays.asList(inWords));
    }

    private static <D extends Declared> D add(List<? super D> list, D declared) {
        list.add(declared);
        return declared;
    }
}
