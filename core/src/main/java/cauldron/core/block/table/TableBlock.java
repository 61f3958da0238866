package cauldron.core.block.table;

import static cauldron.core.form.Kinds.FLAG;
import static cauldron.core.form.Kinds.list;
import static cauldron.core.form.Kinds.text;
import static cauldron.core.form.Kinds.whole;
import static cauldron.core.form.Kinds.word;

import cauldron.core.analysis.DataTable;
import cauldron.core.block.Block;
import cauldron.core.block.BlockKind;
import cauldron.core.block.Neighbours;
import cauldron.core.block.Slot;
import cauldron.core.block.Written;
import cauldron.core.form.Field;
import cauldron.core.form.Filled;
import java.util.List;
import java.util.Map;

/**
 * A table for readings.
 *
 * @param columns             the columns it starts with, as {@code DataTable} takes them
 * @param rows                complete rows that are asked for
 * @param unitsAsked          whether the student is to find the units of calculated columns, gradients and areas
 * @param uncertaintiesHidden whether ± is kept away
 */
public record TableBlock(String id, String title, List<Map<String, Object>> columns, int rows, boolean unitsAsked,
                         boolean uncertaintiesHidden) implements Block {

    @Override
    public String type() {
        return "table";
    }

    /** How it is declared, kept and done. */
    public static final class Kind extends BlockKind<TableBlock> {

        private final Field<TableBlock, String> title = field("title", text(200), TableBlock::title);
        private final Field<TableBlock, List<Map<String, Object>>> columns = field("columns", list(new ColumnForm(), 100),
                TableBlock::columns);
        private final Field<TableBlock, Integer> rows = field("rows", whole(0, 10_000), TableBlock::rows)
                .says("How many complete rows are asked for.");
        private final Field<TableBlock, String> units = field("units", word("given", "asked"),
                (TableBlock t) -> t.unitsAsked() ? "asked" : "given").otherwise("given").hidden()
                .says("Whether the student is to find the units of what is worked out.");
        private final Field<TableBlock, String> uncertainties = field("uncertainties", word("shown", "hidden"),
                (TableBlock t) -> t.uncertaintiesHidden() ? "hidden" : "shown").otherwise("shown").hidden()
                .says("Whether ± is kept away.");
        /** The student's own columns, in order. */
        public final Slot<TableSlots.Columns> ownColumns = slot("columns", 0, new TableSlots.ColumnsForm());
        /** The rows, in order. */
        public final Slot<TableSlots.Rows> ownRows = slot("rows", 0, new TableSlots.RowsForm());
        /** What stands in a cell: {@code cell/row/column}. */
        public final Slot<TableSlots.Cell> cell = slot("cell", 2, new TableSlots.CellForm());
        /** What is said of a row: {@code row/id}. */
        public final Slot<TableSlots.Said> row = slot("row", 1, new TableSlots.SaidForm());

        /** The kind. */
        public Kind() {
            super("table", "Table", "A table for readings.");
            told("unitsAsked", FLAG, TableBlock::unitsAsked);
            told("uncertaintiesHidden", FLAG, TableBlock::uncertaintiesHidden);
        }

        @Override
        protected TableBlock make(Filled f) {
            return new TableBlock(f.get(id), f.get(title), f.get(columns), f.get(rows), f.get(units).equals("asked"),
                    f.get(uncertainties).equals("hidden"));
        }

        @Override
        public String lack(TableBlock block, Neighbours all, Written written) {
            DataTable table = DataTable.of(Gathered.table(block, written));
            int have = Gathered.completeRows(table);
            return have < block.rows() ? have + " of " + block.rows() + " rows complete"
                    : block.unitsAsked() ? Gathered.unitLack(table) : null;
        }
    }
}
