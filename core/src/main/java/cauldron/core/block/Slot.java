package cauldron.core.block;

import cauldron.core.form.Form;
import java.util.function.Supplier;

/**
 * A place in a notebook where a block keeps something: a name, or the beginning of one with as many parts after it as
 * there are things of that sort, such as {@code cell/row/column}.
 *
 * @param <V> what it holds, once read
 */
public final class Slot<V> {

    private final String name;
    private final int parts;
    private final Supplier<Form<V>> holds;

    Slot(String name, int parts, Supplier<Form<V>> holds) {
        this.name = name;
        this.parts = parts;
        this.holds = holds;
    }

    /** What it may hold. */
    public Form<V> holds() {
        return holds.get();
    }

    /** The part of its name that is always the same. */
    public String name() {
        return name;
    }

    /** How many parts follow its name. */
    public int parts() {
        return parts;
    }

    /** The name of one. */
    public String at(String... which) {
        if (which.length != parts) {
            throw new IllegalArgumentException(name + " has " + parts + " parts after it");
        }
        return parts == 0 ? name : name + "/" + String.join("/", which);
    }

    /** Whether a name is one of this sort. */
    public boolean isAt(String slot) {
        if (parts == 0) {
            return slot.equals(name);
        }
        if (!slot.startsWith(name + "/")) {
            return false;
        }
        int slashes = 0;
        for (int i = 0; i < slot.length(); i++) {
            slashes += slot.charAt(i) == '/' ? 1 : 0;
        }
        return slashes >= parts;
    }
}
