package cauldron.core.apparatus;

import java.util.LinkedHashMap;
import java.util.Map;

/** Settings that follow from a part moved by hand before a run begins. */
public final class Placing {

    private final Map<String, Object> values = new LinkedHashMap<>();

    Placing() {
    }

    /** Sets an amount, given in SI, to the nearest whole number of its unit within its range. */
    public void whole(Amount amount, double si) {
        double own = Math.round(si / amount.si(1));
        values.put(amount.id(), Math.max(amount.min(), Math.min(amount.max(), own)));
    }

    /** Values as {@link Settings} takes them, by the ids of their settings. */
    public Map<String, Object> toTree() {
        return values;
    }
}
