package cauldron.core.block;

import cauldron.core.form.Form;
import cauldron.core.form.Where;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;

/**
 * A place in a notebook where a block keeps something: a name, or the beginning of one with as many parts after it as
 * there are things of that sort, such as {@code cell/row/column}.
 *
 * @param <V> what it holds, once read
 */
public final class Slot<V> {

    /** Where a value says its version. */
    public static final String VERSION = "v";

    private final String name;
    private final int parts;
    private final Supplier<Form<V>> holds;
    private final List<UnaryOperator<Map<String, Object>>> steps = new ArrayList<>();

    Slot(String name, int parts, Supplier<Form<V>> holds) {
        this.name = name;
        this.parts = parts;
        this.holds = holds;
    }

    /** What it may hold. */
    public Form<V> holds() {
        return holds.get();
    }

    /**
     * Gives what it holds a further version: whatever was kept before is read as this step makes it. A page keeps the
     * version beside the value as {@value #VERSION}; the first needs none.
     */
    public Slot<V> changed(UnaryOperator<Map<String, Object>> fromTheVersionBefore) {
        steps.add(fromTheVersionBefore);
        return this;
    }

    /** The version of what it holds now. */
    public int version() {
        return steps.size() + 1;
    }

    /**
     * A value as the version of now would have it.
     *
     * @throws IllegalArgumentException where it is of a version yet to come, or of none
     */
    public Map<String, Object> toNow(Map<String, Object> value) {
        Object said = value.getOrDefault(VERSION, 1.0);
        double version = said instanceof Number number ? number.doubleValue() : Double.NaN;
        if (!(version >= 1 && version == Math.rint(version))) {
            throw new IllegalArgumentException("its version isn't a whole number from 1 on");
        }
        if (version > version()) {
            throw new IllegalArgumentException("it was kept by a newer page than this one can read");
        }
        Map<String, Object> now = value;
        for (int v = (int) version; v < version(); v++) {
            now = new LinkedHashMap<>(steps.get(v - 1).apply(now));
            now.put(VERSION, v + 1.0);
        }
        return now;
    }

    /** What a value of now holds; null where it can't be read. */
    public V read(Map<String, Object> value) {
        Where at = Where.lenient();
        V read = holds().read(value, at);
        return at.count() == 0 ? read : null;
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
