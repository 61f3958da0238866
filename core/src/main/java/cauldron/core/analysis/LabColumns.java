package cauldron.core.analysis;

import cauldron.core.Tree;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/**
 * A student's table under the symbols of the lab's own columns, so that one formula can be worked out in every
 * student's table: a student may give a column another symbol or unit, but not another id.
 */
public final class LabColumns {

    private LabColumns() {
    }

    /**
     * The lab's columns with what a student typed into them, in the student's units.
     *
     * @param lab  the lab's columns
     * @param tree the student's table; without columns of its own, the lab's are used as they are
     */
    public static Map<String, Object> of(List<Map<String, Object>> lab, Map<String, Object> tree) {
        List<Map<String, Object>> columns = new ArrayList<>();
        for (Map<String, Object> spec : lab) {
            Map<String, Object> own = Tree.maps(tree, "columns").stream()
                    .filter(c -> Tree.text(c, "id", "").equals(Tree.text(spec, "id", ""))).findFirst().orElse(spec);
            Map<String, Object> named = Tree.of();
            named.putAll(own);
            named.put("symbol", Tree.text(spec, "symbol"));
            columns.add(named);
        }
        return Tree.of("columns", columns, "rows", Tree.maps(tree, "rows"));
    }
}
