package cauldron.core.block.graph;

import static cauldron.core.form.Kinds.FLAG;
import static cauldron.core.form.Kinds.text;

import cauldron.core.Tree;
import cauldron.core.analysis.DataTable;
import cauldron.core.analysis.Fit;
import cauldron.core.block.Block;
import cauldron.core.block.BlockKind;
import cauldron.core.block.Neighbours;
import cauldron.core.block.Slot;
import cauldron.core.block.Written;
import cauldron.core.block.table.TableBlock;
import cauldron.core.form.Field;
import cauldron.core.form.Filled;
import cauldron.core.form.Where;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;

/**
 * A graph of a table.
 *
 * @param title what it is called where a table has several
 * @param along the column it opens with along, empty for the first of the table's
 * @param up the column it opens with upright, empty for the next
 * @param line whether a straight line is to be fitted
 */
public record GraphBlock(String id, String title, String table, String along, String up, boolean line) implements Block {

    @Override
    public String lack(Written written) {
        return !line || hasLine(written) ? null : isSwitchedOn(written)
                ? "the line on the graph needs two points that lie apart" : "fit a line on the graph";
    }

    @Override
    public String counted(Written written) {
        return !line ? "" : hasLine(written) ? "line fitted" : "no line yet";
    }

    private boolean isSwitchedOn(Written written) {
        return Tree.flag(written.slot(id, "view"), "line");
    }

    /** Whether a line is asked for, and can be had from the points that are there. */
    private boolean hasLine(Written written) {
        DataTable points = isSwitchedOn(written) ? written.worked(table) : null;
        return points != null && fits(written, points).stream().anyMatch(fit -> {
            try {
                Fit.of(points, fit);
                return true;
            } catch (IllegalArgumentException e) {
                return false;
            }
        });
    }

    /** What a student fits on it, as {@link Fit} takes it: each with the columns it stands on. */
    public List<Map<String, Object>> fits(Written written, DataTable points) {
        Map<String, Object> view = LookForm.lineAsFit(written.slot(id, "view"));
        List<String> numbers = points.columns().stream().filter(c -> !"label".equals(c.spec().get("kind")))
                .map(DataTable.Column::id).toList();
        String x = first(Tree.text(view, "x", ""), along, numbers.isEmpty() ? "" : numbers.get(0));
        String y = first(Tree.text(view, "y", ""), up, numbers.size() < 2 ? "" : numbers.get(1));
        List<Map<String, Object>> all = new ArrayList<>();
        for (Map<String, Object> fit : Tree.maps(view, "fits")) {
            Map<String, Object> asked = new LinkedHashMap<>(fit);
            asked.put("x", x);
            asked.put("y", first(Tree.text(fit, "series", ""), y, ""));
            all.add(asked);
        }
        return all;
    }

    private static String first(String one, String other, String last) {
        return !one.isEmpty() ? one : !other.isEmpty() ? other : last;
    }

    @Override
    public String type() {
        return "graph";
    }

    /** How it is declared, kept and done. */
    public static final class Kind extends BlockKind<GraphBlock> {

        private final Field<GraphBlock, String> title = field("title", text(60), GraphBlock::title).otherwise("")
                .says("What it is called where a lab has several.");
        private final Field<GraphBlock, String> table = field("table", text(60), GraphBlock::table)
                .says("The table whose rows are its points.");
        private final Field<GraphBlock, String> along = field("along", text(60), GraphBlock::along).otherwise("")
                .says("The column it opens with along; without it, the first of numbers.");
        private final Field<GraphBlock, String> up = field("up", text(60), GraphBlock::up).otherwise("")
                .says("The column it opens with upright; without it, the second of numbers.");
        private final Field<GraphBlock, Boolean> line = field("line", FLAG, GraphBlock::line).otherwise(true)
                .says("Whether a straight line is to be fitted.");
        /** How the student looks at it. */
        public final Slot<Look> view = slot("view", 0, LookForm::new).changed(LookForm::lineAsFit);

        /** The kind. */
        public Kind() {
            super("graph", "Graph", "A graph of a table.");
        }

        @Override
        protected GraphBlock make(Filled f) {
            return new GraphBlock(f.get(id), f.get(title), f.get(table), f.get(along), f.get(up), f.get(line));
        }

        @Override
        public void checkAmong(GraphBlock block, Neighbours all, Where at) {
            TableBlock shown = all.block(block.table(), TableBlock.class);
            if (shown == null) {
                at.fault("there is no table “" + block.table() + "”");
                return;
            }
            axis(block.along(), "along", shown, at);
            axis(block.up(), "up", shown, at);
        }

        private static void axis(String column, String field, TableBlock table, Where at) {
            if (!column.isEmpty() && table.columns().stream().noneMatch(c -> Objects.equals(c.get("id"), column)
                    && !Objects.equals(c.get("kind"), "label"))) {
                at.in(field).fault("table “" + table.id() + "” has no column “" + column + "” of numbers");
            }
        }
    }
}
