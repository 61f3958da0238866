package cauldron.core.apparatus;

/**
 * Something that an apparatus declares: at once what people are told of it and the handle by which its model
 * reaches it. It can be said more about until its declaration is closed.
 */
public abstract class Declared {

    private final Declaration owner;
    private final String id;
    private final String name;
    private int index = -1;

    Declared(Declaration owner, String id, String name) {
        this.owner = owner;
        this.id = id;
        this.name = name;
    }

    /** What it is called in recipes, sheets and drawings: lower-case letters, digits, hyphens and full stops. */
    public final String id() {
        return id;
    }

    /** What people call it. */
    public final String name() {
        return name;
    }

    /** Its place among those of its kind, once the declaration is closed. */
    public final int index() {
        return index;
    }

    final void index(int place) {
        index = place;
    }

    final Declaration owner() {
        return owner;
    }

    /** Refuses anything more to be said once the declaration is closed. */
    final void stillOpen() {
        if (index >= 0) {
            throw new IllegalStateException(this + " is declared already");
        }
    }

    /** What kind of thing it is, in a fault's words. */
    abstract String sort();

    /** Looks for what is wrong with it by itself. */
    void check(Faults faults) {
        boolean plain = !id.isEmpty();
        for (int i = 0; i < id.length(); i++) {
            char c = id.charAt(i);
            plain &= c >= 'a' && c <= 'z' || c >= '0' && c <= '9' || c == '-' || c == '.';
        }
        if (!plain) {
            faults.add(this, "an id has lower-case letters, digits, hyphens and full stops");
        }
    }

    @Override
    public final String toString() {
        return sort() + " “" + id + "”";
    }
}
