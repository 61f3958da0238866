package cauldron.server.reports;

import cauldron.core.Tree;
import cauldron.core.analysis.DataTable;
import cauldron.core.sheet.Block;
import java.util.List;
import java.util.Map;
import org.jsoup.nodes.Element;

/** A table of the notebook in a report: as it is on the page, with uncertainties, rows left out and notes. */
final class ReportTable {

    /** What fits on a score of pages; longer tables are for spreadsheets. */
    private static final int MOST_ROWS = 600;

    private final Block.Table block;
    private final DataTable table;
    private final List<Map<String, Object>> rows;
    private final Map<String, Object> slots;

    ReportTable(Block.Table block, DataTable table, List<Map<String, Object>> rows, Map<String, Object> slots) {
        this.block = block;
        this.table = table;
        this.rows = rows;
        this.slots = slots;
    }

    void appendTo(Element to) {
        if (rows.isEmpty()) {
            to.appendElement("p").addClass("soft").text("No row was typed.");
            return;
        }
        Element grid = to.appendElement("table");
        Element heads = grid.appendElement("thead").appendElement("tr");
        heads.appendElement("th").text("");
        table.columns().forEach(c -> head(c, heads.appendElement("th")));
        Element body = grid.appendElement("tbody");
        int shown = Math.min(MOST_ROWS, rows.size());
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
            symbol(column.symbol(), th.appendElement("i"));
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

    private static void symbol(String symbol, Element to) {
        int low = symbol.indexOf('_');
        to.appendText(low < 0 ? symbol : symbol.substring(0, low));
        if (low >= 0) {
            to.appendElement("sub").text(symbol.substring(low + 1));
        }
    }

    private void row(int i, Element body) {
        Map<String, Object> words = Tree.map(slots, "row/" + Tree.text(rows.get(i), "id"));
        String out = Tree.text(words, "out", "");
        String note = Tree.text(words, "note", "");
        Element tr = body.appendElement("tr");
        tr.appendElement("td").addClass("soft").text(String.valueOf(i + 1));
        for (DataTable.Column column : table.columns()) {
            Element td = tr.appendElement("td");
            boolean label = Tree.text(column.spec(), "kind", "").equals("label");
            td.addClass(label ? "label" : "number");
            Element text = out.isBlank() ? td : td.appendElement("s");
            text.text(cell(column, i));
        }
        if (!out.isBlank() || !note.isBlank()) {
            Element more = body.appendElement("tr");
            more.appendElement("td");
            more.appendElement("td").addClass("label soft").attr("colspan", String.valueOf(table.columns().size()))
                    .text((out.isBlank() ? "" : "Row " + (i + 1) + " left out: " + out + ". ") + note);
        }
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
