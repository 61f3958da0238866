package cauldron.core.apparatus;

import cauldron.core.Tree;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/**
 * A bench made ready for demonstrating one thing: a run up to a moment, what is shown of it, and a word for whoever
 * stands before the class.
 */
public final class SetUp extends Staging<SetUp> {

    private static final String ENERGY = "energy";

    private final String id;
    private final String name;
    private final String about;
    private final List<String> readouts = new ArrayList<>();
    private final List<String> graphed = new ArrayList<>();
    private final List<String> bars = new ArrayList<>();
    private final List<String> profiles = new ArrayList<>();
    private final List<String> views = new ArrayList<>();
    private String against = "";
    private boolean table;

    SetUp(Apparatus of, String id, String name, String about) {
        super(of);
        this.id = id;
        this.name = name;
        this.about = about;
    }

    @Override
    SetUp self() {
        return this;
    }

    /** What it is called in recipes and tests. */
    public String id() {
        return id;
    }

    /** With channels as figures. */
    public SetUp reading(Channel... channels) {
        for (Channel channel : channels) {
            readouts.add(channel.id());
        }
        return this;
    }

    /** With channels in a graph against time, or the steps. */
    public SetUp graphing(Channel... channels) {
        for (Channel channel : channels) {
            graphed.add(channel.id());
        }
        return this;
    }

    /** The graph is drawn against another channel. */
    public SetUp against(Channel channel) {
        against = channel.id();
        return this;
    }

    /** With the energy account as bars. */
    public SetUp account() {
        bars.add(ENERGY);
        return this;
    }

    /** With another account as bars. */
    public SetUp bars(Ledger ledger) {
        bars.add(ledger.id());
        return this;
    }

    /** With a curve at an instant. */
    public SetUp profile(Profile profile) {
        profiles.add(profile.id());
        return this;
    }

    /** With its forces as arrows. */
    public SetUp forces() {
        views.add(Manifest.FORCE_VIEWS.get(0));
        return this;
    }

    /** With the run's table. */
    public SetUp table() {
        table = true;
        return this;
    }

    Map<String, Object> toTree() {
        List<String> shown = new ArrayList<>(views);
        layers().forEach(layer -> shown.add(layer.id()));
        return Tree.of("id", id, "name", name, "about", about, "recipe", recipe().toTree(), "until", run().head(), "at",
                moment(), "shown", Tree.of("readouts", readouts, "graphed", graphed, "against", against, "bars", bars,
                        "profiles", profiles, "layers", shown, "table", table));
    }
}
