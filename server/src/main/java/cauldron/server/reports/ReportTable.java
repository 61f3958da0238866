package cauldron.server.reports;

import cauldron.core.Tree;
import cauldron.core.analysis.DataTable;
import cauldron.core.block.Slot;
import cauldron.core.block.table.TableBlock;
import cauldron.core.block.table.TableSlots;
import cauldron.core.sheet.Blocks;
import cauldron.core.sheet.Notebook;
import cauldron.core.sheet.Progress;
import java.util.List;
import java.util.Map;
import cauldron.server.worksheets.Told;
import org.jsoup.nodes.Element;

/** A table of the notebook in a report: as it is on the page, with uncertainties, rows left out and notes. */
final class ReportTable {

    /** What fits on a score of pages; longer tables are for spreadsheets. */
    private static final int MOST_ROWS = 600;
    /** Cells, columns and characters a cell that are printed of a table. */
    private static final int MOST_CELLS = 12_000;
    private static final int MOST_COLUMNS = 40;
    private static final int LONGEST = 200;

    private final TableBlock block;
    private final List<DataTable.Column> columns;
    private final List<Map<String, Object>> rows;
    private final Notebook written;

    ReportTable(TableBlock block, DataTable table, List<Map<String, Object>> rows, Notebook written) {
        this.block = block;
        this.columns = shown(table.columns());
        this.rows = rows;
        this.written = written;
    }

    static ReportTable of(TableBlock block, Progress progress) {
        Map<String, Object> tree = progress.table(block);
        return new ReportTable(block, DataTable.of(tree), Tree.maps(tree, "rows"), progress.written());
    }

    void appendTo(Element to) {
        if (rows.isEmpty()) {
            to.appendElement("p").addClass("soft").text("No row was typed.");
            return;
        }
        Element grid = to.appendElement("table");
        Element heads = grid.appendElement("thead").appendElement("tr");
        heads.appendElement("th").text("");
        columns.forEach(c -> head(c, heads.appendElement("th")));
        Element body = grid.appendElement("tbody");
        int shown = Math.min(Math.min(MOST_ROWS, Math.max(1, MOST_CELLS / Math.max(1, columns.size()))), rows.size());
        for (int i = 0; i < shown; i++) {
            row(i, body);
        }
        if (shown < rows.size()) {
            to.appendElement("p").addClass("soft").text("And " + (rows.size() - shown) + " more rows. Save the table as a spreadsheet to have them all.");
        }
    }

    private void head(DataTable.Column column, Element th) {
        boolean label = Tree.text(column.spec(), "kind", "").equals("label");
        th.appendText(Tree.text(column.spec(), "name", ""));
        if (!label) {
            th.appendText(" ");
            Told.symbol(column.symbol(), th.appendElement("i"));
            boolean back = block.unitsAsked() && column.calculated() && !column.unitFound();
            String unit = back ? "?" : column.unit().symbol();
            if (!unit.isEmpty()) {
                th.appendText(" / " + unit);
            }
        }
        String formula = Tree.text(column.spec(), "formula", "");
        if (!formula.isBlank()) {
            th.appendElement("div").addClass("soft").text("= " + formula);
        }
        if (column.trouble() != null) {
            th.appendElement("div").addClass("soft").text(column.trouble());
        }
    }

    private void row(int i, Element body) {
        Slot<TableSlots.Said> slot = Blocks.ALL.kind(TableBlock.Kind.class).row;
        TableSlots.Said said = slot.read(written.slot(block.id(), slot.at(Tree.text(rows.get(i), "id"))));
        String out = said == null ? "" : said.out();
        String note = said == null ? "" : said.note();
        Element tr = body.appendElement("tr");
        tr.appendElement("td").addClass("soft").text(String.valueOf(i + 1));
        for (DataTable.Column column : columns) {
            Element td = tr.appendElement("td");
            boolean label = Tree.text(column.spec(), "kind", "").equals("label");
            td.addClass(label ? "label" : "number");
            Element text = out.isBlank() ? td : td.appendElement("s");
            String words = cell(column, i);
            text.text(words.length() > LONGEST ? words.substring(0, LONGEST) + "…" : words);
        }
        if (!out.isBlank() || !note.isBlank()) {
            Element more = body.appendElement("tr");
            more.appendElement("td");
            more.appendElement("td").addClass("label soft").attr("colspan", String.valueOf(columns.size()))
                    .text((out.isBlank() ? "" : "Row " + (i + 1) + " left out: " + out + ". ") + note);
        }
    }

    private static List<DataTable.Column> shown(List<DataTable.Column> all) {
        return all.subList(0, Math.min(MOST_COLUMNS, all.size()));
    }

    private String cell(DataTable.Column column, int row) {
        if (block.uncertaintiesHidden()) {
            return column.text(row);
        }
        if (column.calculated()) {
            String sure = column.sureness(row);
            return sure.isEmpty() ? column.text(row) : sure;
        }
        String own = Tree.text(Tree.map(rows.get(row), "uncertainties"), column.id(), "");
        String u = own.isBlank() ? Tree.text(column.spec(), "uncertainty", "") : own;
        return column.text(row) + (u.isBlank() || column.text(row).isBlank() ? "" : " ± " + u);
    }
}
