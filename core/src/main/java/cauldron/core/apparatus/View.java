package cauldron.core.apparatus;

/** A way of looking at the apparatus. */
public final class View extends Declared {

    View(Declaration owner, String id, String name) {
        super(owner, id, name);
    }

    @Override
    String sort() {
        return "view";
    }
}
