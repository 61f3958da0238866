package cauldron.core.apparatus;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
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

    /** Sets an amount, given in SI, to the nearest of its steps within its range. */
    public void stepped(Amount amount, double si) {
        double per = Math.rint(1 / amount.step());
        double own = Math.rint(si / amount.si(1) * per) / per;
        values.put(amount.id(), Math.max(amount.min(), Math.min(amount.max(), own)));
    }

    /** Sets a choice to what stands for something. */
    public <T> void choice(Choice<T> choice, T value) {
        values.put(choice.id(), choice.idOf(value));
    }

    /** Sets a field of one of a list of things, given in SI, to the nearest step where it may be. */
    @SuppressWarnings("unchecked")
    public void field(Settings now, Items items, int which, Amount field, double si) {
        Object before = values.getOrDefault(items.id(), now.kept(items));
        List<Map<String, Object>> rows = new ArrayList<>((List<Map<String, Object>>) before);
        double steps = Math.rint(si / field.si(1) / field.step());
        // A whole number of tenths, not tenths of tenths.
        double own = 1 / field.step() == Math.rint(1 / field.step()) ? steps / Math.rint(1 / field.step()) : steps * field.step();
        Map<String, Object> row = new LinkedHashMap<>(rows.get(which));
        row.put(field.id(), items.kept(rows, which, field, own));
        rows.set(which, row);
        values.put(items.id(), rows);
    }

    /** Values as {@link Settings} takes them, by the ids of their settings. */
    public Map<String, Object> toTree() {
        return values;
    }
}
