package cauldron.core.block.table;

import cauldron.core.Tree;
import cauldron.core.analysis.DataTable;
import cauldron.core.block.Written;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** A student's table, gathered from the slots it was kept in. */
public final class Gathered {

    private static final int LONGEST_TOLD = 20;

    private Gathered() {
    }

    /** As {@code DataTable} takes it. */
    public static Map<String, Object> table(TableBlock block, Written written) {
        List<Map<String, Object>> columns = columns(block, written);
        Set<String> slots = Set.copyOf(written.slots(block.id()));
        List<Map<String, Object>> rows = new ArrayList<>();
        for (String row : Tree.texts(written.slot(block.id(), "rows"), "order")) {
            Map<String, Object> cells = new LinkedHashMap<>();
            Map<String, Object> uncertainties = new LinkedHashMap<>();
            for (Map<String, Object> c : columns) {
                String column = Tree.text(c, "id");
                String place = "cell/" + row + "/" + column;
                if (slots.contains(place)) {
                    Map<String, Object> cell = written.slot(block.id(), place);
                    cells.put(column, Tree.text(cell, "text", ""));
                    uncertainties.put(column, Tree.text(cell, "uncertainty", ""));
                }
            }
            rows.add(Tree.of("id", row, "cells", cells, "uncertainties", uncertainties, "out",
                    Tree.text(written.slot(block.id(), "row/" + row), "out", "")));
        }
        return Tree.of("columns", columns, "rows", rows);
    }

    private static List<Map<String, Object>> columns(TableBlock block, Written written) {
        List<Map<String, Object>> own = Tree.maps(written.slot(block.id(), "columns"), "columns");
        return own.isEmpty() ? block.columns() : own;
    }

    /** What was typed into a cell last, such as "L 88.5 cm"; empty where nothing stands in any. */
    static String lastReading(TableBlock block, Written written) {
        List<String> slots = written.slots(block.id());
        // What was written last stands last.
        for (int i = slots.size() - 1; i >= 0; i--) {
            String[] place = slots.get(i).split("/");
            if (place.length == 3 && place[0].equals("cell")) {
                String text = Tree.text(written.slot(block.id(), slots.get(i)), "text", "").strip();
                Map<String, Object> column = columns(block, written).stream()
                        .filter(c -> Tree.text(c, "id", "").equals(place[2])).findFirst().orElse(null);
                if (!text.isEmpty() && column != null) {
                    return (Tree.text(column, "symbol", "") + " " + shortened(text) + " "
                            + Tree.text(column, "unit", "")).strip();
                }
            }
        }
        return "";
    }

    private static String shortened(String text) {
        return text.length() <= LONGEST_TOLD ? text : text.substring(0, LONGEST_TOLD - 1) + "…";
    }

    /** How many of the rows that a lab asks for stand in a student's table, and what the others lack. */
    public static RowsAsked rows(TableBlock block, Written written) {
        return RowsAsked.of(written.worked(block.id()), block.columns(), block.rows());
    }

    /** Which unit is still to be found, in words; null where none is. */
    static String unitLack(DataTable table) {
        for (DataTable.Column column : table.columns()) {
            if (column.calculated() && column.trouble() == null && !column.unitFound()) {
                return "find the unit of " + column.symbol();
            }
        }
        return null;
    }
}
