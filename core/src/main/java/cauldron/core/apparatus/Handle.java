package cauldron.core.apparatus;

import cauldron.core.Tree;
import java.util.Map;

/** A part that can be moved by hand. */
public final class Handle extends Declared {

    private final Place at;
    private final Coordinate radius;
    private SceneNumber many;
    private int number;
    private Amount set;

    Handle(Declaration owner, String id, String name, Place at, Coordinate radius) {
        super(owner, id, name);
        this.at = at;
        this.radius = radius;
    }

    @Override
    String sort() {
        return "handle";
    }

    /** It is there while there are at least so many of something. */
    public Handle whileThereAre(SceneNumber count, int least) {
        stillOpen();
        many = count;
        number = least;
        return this;
    }

    /**
     * Moving it sets a setting, before the run and while it runs: what {@link Apparatus#placed} says of it is then a change,
     * and nobody has anything in hand.
     */
    public Handle sets(Amount amount) {
        stillOpen();
        set = amount;
        return this;
    }

    /** Where it is. */
    public Place at() {
        return at;
    }

    /** How far around that it can be taken hold of. */
    public Coordinate radius() {
        return radius;
    }

    void check(Manifest all, Faults faults) {
        faults.known(this, at == null ? null : at.x(), all.scene());
        faults.known(this, radius, all.scene());
        if (many != null) {
            faults.known(this, many, all.scene());
        }
        if (set != null) {
            faults.known(this, set, all.settings());
            if (!set.isLive()) {
                faults.add(this, "sets “" + set.id() + "”, which can't change while it runs");
            }
        }
    }

    Map<String, Object> toTree() {
        return Tree.of("id", id(), "name", name(), "xField", at.x().id(), "yField", at.y().id(), "radiusField",
                radius.id(), "manyField", many == null ? "" : many.id(), "least", (double) number,
                "sets", set == null ? "" : set.id());
    }
}
