package cauldron.core.block.table;

import static cauldron.core.form.Kinds.NUMBERS;
import static cauldron.core.form.Kinds.list;
import static cauldron.core.form.Kinds.map;
import static cauldron.core.form.Kinds.number;
import static cauldron.core.form.Kinds.text;

import cauldron.core.form.Field;
import cauldron.core.form.Filled;
import cauldron.core.form.Form;
import java.util.List;
import java.util.Map;

/** What a table keeps in a notebook. */
public final class TableSlots {

    private static final int MOST_COLUMNS = 100;
    private static final int MOST_ROWS = 20_000;
    private static final int LONGEST_CELL = 20_000;

    private TableSlots() {
    }

    /** The student's own columns, in order. */
    public record Columns(List<Map<String, Object>> columns) {
    }

    /**
     * The rows, in order.
     *
     * @param issued the highest number that a row's id has had, so that none is given twice; null in old notebooks
     */
    public record Rows(List<String> order, Double issued) {
    }

    /**
     * What was typed into a cell.
     *
     * @param reading where it was read off, or null
     */
    public record Cell(String text, String uncertainty, Reading reading) {
    }

    /**
     * Where a value was read off.
     *
     * @param trial       id of the trial
     * @param frame       frame of a film, or sample of a run
     * @param instruments how each instrument lay
     */
    public record Reading(String trial, double frame, String view, Map<String, Map<String, Object>> instruments) {
    }

    /**
     * What is said of a row.
     *
     * @param out why it is left out; empty where it isn't
     */
    public record Said(String out, String note) {
    }

    static final class ColumnsForm extends Form<Columns> {
        private final Field<Columns, List<Map<String, Object>>> columns = field("columns", list(new ColumnForm(), MOST_COLUMNS),
                Columns::columns).otherwise(List.of());

        ColumnsForm() {
            super("Columns", "The student's own columns, in order.");
        }

        @Override
        protected Columns make(Filled f) {
            return new Columns(f.get(columns));
        }
    }

    static final class RowsForm extends Form<Rows> {
        private final Field<Rows, List<String>> order = field("order", list(text(60), MOST_ROWS), Rows::order).otherwise(List.of());
        private final Field<Rows, Double> issued = field("issued", number(), Rows::issued).optional();

        RowsForm() {
            super("Rows", "The rows, in order.");
        }

        @Override
        protected Rows make(Filled f) {
            return new Rows(f.get(order), f.get(issued));
        }
    }

    static final class CellForm extends Form<Cell> {
        private final Field<Cell, String> text = field("text", text(LONGEST_CELL), Cell::text).otherwise("");
        private final Field<Cell, String> uncertainty = field("uncertainty", text(LONGEST_CELL), Cell::uncertainty).otherwise("");
        private final Field<Cell, Reading> reading = field("reading", new ReadingForm(), Cell::reading).optional();

        CellForm() {
            super("Cell", "What was typed into a cell.");
        }

        @Override
        protected Cell make(Filled f) {
            return new Cell(f.get(text), f.get(uncertainty), f.get(reading));
        }
    }

    private static final class ReadingForm extends Form<Reading> {
        private final Field<Reading, String> trial = field("trial", text(200), Reading::trial);
        private final Field<Reading, Double> frame = field("frame", number(), Reading::frame);
        private final Field<Reading, String> view = field("view", text(60), Reading::view).otherwise("");
        private final Field<Reading, Map<String, Map<String, Object>>> instruments = field("instruments", map(map(NUMBERS)), Reading::instruments)
                .otherwise(Map.of());

        ReadingForm() {
            super("Reading", "Where a value was read off.");
        }

        @Override
        protected Reading make(Filled f) {
            return new Reading(f.get(trial), f.get(frame), f.get(view), f.get(instruments));
        }
    }

    static final class SaidForm extends Form<Said> {
        private final Field<Said, String> out = field("out", text(4000), Said::out).otherwise("");
        private final Field<Said, String> note = field("note", text(20_000), Said::note).otherwise("");

        SaidForm() {
            super("Said", "What is said of a row.");
        }

        @Override
        protected Said make(Filled f) {
            return new Said(f.get(out), f.get(note));
        }
    }
}
