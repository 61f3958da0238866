package cauldron.core.reference;

import cauldron.core.Tree;
import cauldron.core.analysis.DataTable;
import cauldron.core.analysis.Fit;
import cauldron.core.quantity.Numbers;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** A student's fits beside what they would have come to with what the apparatus showed. */
public final class FitCheck {

    /**
     * One parameter.
     *
     * @param own   with the student's readings, with its unit
     * @param truth with what the apparatus showed
     * @param off   by how much the first is more, as a share of the second; NaN where that has no meaning
     * @param sure  whether the difference is no larger than the uncertainty that the first has
     */
    public record Parameter(String name, String own, String truth, double off, boolean sure) {

        private static final double NOTHING = 5e-4;
        private static final double FAR = 10;

        /** How far off it is, in words: “1.2 % more”; empty where that has no meaning. */
        public String words() {
            if (sure) {
                return "within its uncertainty";
            }
            if (!(Math.abs(off) < FAR)) {
                return "";
            }
            return Math.abs(off) < NOTHING ? "as good as the same"
                    : Numbers.print(100 * Math.abs(off), 2) + (off > 0 ? " % more" : " % less");
        }
    }

    /**
     * A fit.
     *
     * @param graph   id of the graph
     * @param trouble why there is none, or none to hold it against; empty where there is
     */
    public record Fitted(String graph, String equation, List<Parameter> parameters, String trouble) {
    }

    /** A fit as a graph asks for it. */
    public record Asked(String graph, Map<String, Object> fit) {
    }

    private FitCheck() {
    }

    /** Fits twice. */
    static List<Fitted> of(TableCheck check, Map<String, Object> tree, List<Asked> asked) {
        List<Fitted> all = new ArrayList<>();
        if (check.truths().isEmpty()) {
            return all;
        }
        DataTable truth = DataTable.of(withTruths(check, tree));
        for (Asked one : asked) {
            try {
                Map<String, Object> own = Fit.of(check.table(), one.fit()).toTree();
                Map<String, Object> right = Fit.of(truth, one.fit()).toTree();
                all.add(new Fitted(one.graph(), Tree.text(own, "equation"), parameters(own, right), ""));
            } catch (IllegalArgumentException e) {
                all.add(new Fitted(one.graph(), "", List.of(), e.getMessage() + "."));
            }
        }
        return all;
    }

    private static List<Parameter> parameters(Map<String, Object> own, Map<String, Object> right) {
        List<Map<String, Object>> truths = Tree.maps(right, "parameters");
        List<Map<String, Object>> owns = Tree.maps(own, "parameters");
        List<Parameter> all = new ArrayList<>();
        for (int i = 0; i < owns.size(); i++) {
            double truth = Tree.number(truths.get(i), "value");
            double value = Tree.number(owns.get(i), "value");
            all.add(new Parameter(Tree.text(owns.get(i), "name"), Tree.text(owns.get(i), "text"),
                    Tree.text(truths.get(i), "text"), truth == 0 ? Double.NaN : value / truth - 1,
                    owns.get(i).get("uncertainty") instanceof Double u && Math.abs(value - truth) <= u));
        }
        return all;
    }

    /** The table with what the apparatus showed in the place of what was typed, wherever that is known. */
    static Map<String, Object> withTruths(TableCheck check, Map<String, Object> tree) {
        List<Map<String, Object>> rows = new ArrayList<>();
        for (Map<String, Object> row : Tree.maps(tree, "rows")) {
            Map<String, Object> cells = new LinkedHashMap<>(Tree.map(row, "cells"));
            cells.replaceAll((column, typed) -> {
                Double truth = check.truths().get(Tree.text(row, "id") + "/" + column);
                return truth == null ? typed : Double.toString(truth);
            });
            Map<String, Object> same = new LinkedHashMap<>(row);
            same.put("cells", cells);
            rows.add(same);
        }
        return Tree.of("columns", Tree.maps(tree, "columns"), "rows", rows);
    }
}
