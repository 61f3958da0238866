package cauldron.core.apparatus;

/** Something that happens at an instant and can be stopped at. */
public final class Event extends Declared {

    Event(Declaration owner, String id, String name) {
        super(owner, id, name);
    }

    @Override
    String sort() {
        return "event";
    }
}
