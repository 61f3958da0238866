package cauldron.core.reference;

import cauldron.core.Tree;
import cauldron.core.apparatus.Manifest;
import cauldron.core.instrument.Instrument;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/**
 * Where a value was read: the trial's id, the frame, the view and how the instruments lay.
 *
 * @param view        empty: the first
 * @param instruments how each lay, by its id, and {@code id~2} for the second of an id
 */
record Reading(String trial, double frame, String view, Map<String, Object> instruments) {

    /** From a cell as it was kept; null where it was typed without one, or where it can't be read. */
    static Reading of(Map<String, Object> cell) {
        try {
            if (!(cell.get("reading") instanceof Map<?, ?>)) {
                return null;
            }
            Map<String, Object> tree = Tree.map(cell, "reading");
            return new Reading(Tree.text(tree, "trial"), Tree.number(tree, "frame"), Tree.text(tree, "view", ""),
                    tree.get("instruments") instanceof Map<?, ?> ? Tree.map(tree, "instruments") : Map.of());
        } catch (IllegalArgumentException e) {
            return null;
        }
    }

    /** The frame at which the stopwatch was set to zero; NaN where none lay there. */
    double zero() {
        if (!(instruments.get("stopwatch") instanceof Map<?, ?>)) {
            return Double.NaN;
        }
        return Tree.number(Tree.map(instruments, "stopwatch"), "zero", Double.NaN);
    }

    /** The straight scales that lay there. */
    List<LaidScale> scales(Manifest manifest) {
        List<LaidScale> all = new ArrayList<>();
        for (String laidAs : instruments.keySet()) {
            String id = laidAs.indexOf('~') < 0 ? laidAs : laidAs.substring(0, laidAs.indexOf('~'));
            Instrument one = manifest.instruments().stream().filter(i -> i.id().equals(id)).findFirst().orElse(null);
            LaidScale scale = one == null || !(instruments.get(laidAs) instanceof Map<?, ?>) ? null
                    : LaidScale.of(one, Tree.map(instruments, laidAs));
            if (scale != null) {
                all.add(scale);
            }
        }
        return all;
    }
}
