package cauldron.core.apparatus;

import cauldron.core.Tree;
import java.util.Map;

/** Something that happens at an instant and can be stopped at. */
public final class Event extends Declared {

    private boolean told;

    Event(Declaration owner, String id, String name) {
        super(owner, id, name);
    }

    /** While a person's time counts, the page tells whoever answers that it has happened. */
    public Event told() {
        stillOpen();
        told = true;
        return this;
    }

    Map<String, Object> toTree() {
        return Tree.of("id", id(), "name", name(), "told", told);
    }

    @Override
    String sort() {
        return "event";
    }
}
