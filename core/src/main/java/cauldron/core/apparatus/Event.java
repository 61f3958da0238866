package cauldron.core.apparatus;

import cauldron.core.Tree;
import java.util.Map;

/** Something that happens at an instant and can be stopped at. */
public final class Event extends Declared {

    private boolean told;
    private boolean leaps;
    private boolean named;

    Event(Declaration owner, String id, String name) {
        super(owner, id, name);
    }

    /** While a person's time counts, the page tells whoever answers that it has happened. */
    public Event told() {
        stillOpen();
        told = true;
        return this;
    }

    /** Something leaps at it, a velocity say: a run can be stopped just before it and just after. */
    public Event leaps() {
        stillOpen();
        leaps = true;
        return this;
    }

    /** It decides what follows, so its mark on the time line bears its name. */
    public Event named() {
        stillOpen();
        named = true;
        return this;
    }

    Map<String, Object> toTree() {
        return Tree.of("id", id(), "name", name(), "told", told, "leaps", leaps, "named", named);
    }

    @Override
    String sort() {
        return "event";
    }
}
