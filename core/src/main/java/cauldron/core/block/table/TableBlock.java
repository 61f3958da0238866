package cauldron.core.block.table;

import static cauldron.core.form.Kinds.FLAG;
import static cauldron.core.form.Kinds.list;
import static cauldron.core.form.Kinds.number;
import static cauldron.core.form.Kinds.text;
import static cauldron.core.form.Kinds.whole;

import cauldron.core.block.Block;
import cauldron.core.block.BlockKind;
import cauldron.core.block.Slot;
import cauldron.core.block.Written;
import cauldron.core.form.Field;
import cauldron.core.form.Filled;
import cauldron.core.reference.Judging;
import java.util.List;
import java.util.Map;

/**
 * A table for readings.
 *
 * @param columns             the columns it starts with, as {@code DataTable} takes them
 * @param rows                complete rows that are asked for
 * @param unitsAsked          whether the student is to find the units of calculated columns, gradients and areas
 * @param uncertaintiesHidden whether ± is kept away
 * @param judging             how it is judged
 */
public record TableBlock(String id, String title, List<Map<String, Object>> columns, int rows, boolean unitsAsked,
                         boolean uncertaintiesHidden, Judging judging) implements Block {

    @Override
    public String prompt() {
        return title;
    }

    @Override
    public double points() {
        return judging.points();
    }

    @Override
    public String lack(Written written) {
        RowsAsked have = Gathered.rows(this, written);
        if (!have.enough()) {
            return "“" + title + "”, " + have.words();
        }
        return unitsAsked ? Gathered.unitLack(written.worked(id)) : null;
    }

    @Override
    public String counted(Written written) {
        return Gathered.rows(this, written).complete() + " of " + rows + " rows";
    }

    @Override
    public String lastReading(Written written) {
        return Gathered.lastReading(this, written);
    }

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
        private final Field<TableBlock, Boolean> unitsAsked = field("unitsAsked", FLAG, TableBlock::unitsAsked).otherwise(false)
                .says("Whether the student is to find the units of what is worked out.");
        private final Field<TableBlock, Boolean> uncertaintiesHidden = field("uncertaintiesHidden", FLAG,
                TableBlock::uncertaintiesHidden).otherwise(false).says("Whether ± is kept away.");
        private final Field<TableBlock, Judging> judging = field("judging", new Judging.Declared(), TableBlock::judging)
                .otherwise(Judging.NONE).hidden().says("How it is judged.");
        private final Field<TableBlock, Double> points = told("points", number(0, 1000), TableBlock::points)
                .says("Points it can bring.");
        /** The student's own columns, in order. */
        public final Slot<TableSlots.Columns> ownColumns = slot("columns", 0, TableSlots.ColumnsForm::new);
        /** The rows, in order. */
        public final Slot<TableSlots.Rows> ownRows = slot("rows", 0, TableSlots.RowsForm::new);
        /** What stands in a cell: {@code cell/row/column}. */
        public final Slot<TableSlots.Cell> cell = slot("cell", 2, TableSlots.CellForm::new);
        /** What is said of a row: {@code row/id}. */
        public final Slot<TableSlots.Said> row = slot("row", 1, TableSlots.SaidForm::new);

        /** The kind. */
        public Kind() {
            super("table", "Table", "A table for readings.");
        }

        @Override
        protected TableBlock make(Filled f) {
            return new TableBlock(f.get(id), f.get(title), f.get(columns), f.get(rows), f.get(unitsAsked),
                    f.get(uncertaintiesHidden), f.get(judging));
        }
    }
}
