package cauldron.core.block.table;

import cauldron.core.Tree;
import cauldron.core.analysis.DataTable;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * How many of the rows that a lab asks for are complete, and what the others lack. A row is complete when everything that
 * is typed stands in it and can be read; what is worked out or constant isn't typed. A column that a student, or a run's
 * table, has added may have gaps; where the lab asks for no columns, all count.
 *
 * @param complete how many rows are complete
 * @param asked    how many the lab asks for
 * @param lacks    what the others lack, a column each, in plain words
 */
public record RowsAsked(int complete, int asked, List<String> lacks) {

    private static final int MOST_COLUMNS_TOLD = 3;
    private static final int MOST_ROWS_TOLD = 4;

    /**
     * Counts a table's rows.
     *
     * @param asked the columns that the lab asks for
     * @param rows  how many rows it asks for
     */
    public static RowsAsked of(DataTable table, List<Map<String, Object>> asked, int rows) {
        Set<String> counting = new HashSet<>();
        asked.forEach(column -> counting.add(Tree.text(column, "id", "")));
        List<DataTable.Column> typed = table.columns().stream()
                .filter(c -> c.byHand() && (counting.isEmpty() || counting.contains(c.id()))).toList();
        int all = table.columns().isEmpty() ? 0 : table.columns().get(0).values().length;
        int complete = 0;
        List<List<Integer>> empty = lists(typed.size());
        List<List<Integer>> unreadable = lists(typed.size());
        for (int row = 0; row < all; row++) {
            boolean full = true;
            for (int c = 0; c < typed.size(); c++) {
                boolean blank = typed.get(c).text(row).isBlank();
                boolean odd = !blank && typed.get(c).troubles()[row] != null;
                full &= !blank && !odd;
                if (blank) {
                    empty.get(c).add(row + 1);
                }
                if (odd) {
                    unreadable.get(c).add(row + 1);
                }
            }
            complete += full ? 1 : 0;
        }
        List<String> lacks = new ArrayList<>();
        for (int c = 0; c < typed.size(); c++) {
            String name = "“" + name(typed.get(c)) + "”";
            if (!empty.get(c).isEmpty()) {
                lacks.add(name + " is empty in " + rows(empty.get(c)));
            }
            if (!unreadable.get(c).isEmpty()) {
                lacks.add(name + " can't be read in " + rows(unreadable.get(c)));
            }
        }
        int untold = Math.max(0, lacks.size() - MOST_COLUMNS_TOLD);
        List<String> told = new ArrayList<>(lacks.subList(0, lacks.size() - untold));
        if (untold > 0) {
            told.add("and " + untold + (untold == 1 ? " other gap" : " other gaps"));
        }
        return new RowsAsked(complete, rows, List.copyOf(told));
    }

    private static List<List<Integer>> lists(int count) {
        List<List<Integer>> lists = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            lists.add(new ArrayList<>());
        }
        return lists;
    }

    private static String name(DataTable.Column column) {
        String name = Tree.text(column.spec(), "name", "").strip();
        return name.isEmpty() ? column.symbol() : name;
    }

    private static String rows(List<Integer> rows) {
        if (rows.size() > MOST_ROWS_TOLD) {
            return rows.size() + " rows";
        }
        StringBuilder words = new StringBuilder(rows.size() == 1 ? "row " : "rows ");
        for (int i = 0; i < rows.size(); i++) {
            words.append(i == 0 ? "" : i == rows.size() - 1 ? " and " : ", ").append(rows.get(i));
        }
        return words.toString();
    }

    /** Whether all that the lab asks for are there. */
    public boolean enough() {
        return complete >= asked;
    }

    /** How far it has come, and what lacks: {@code 1 of 3 rows complete; “core” is empty in row 2}. */
    public String words() {
        return complete + " of " + asked + (asked == 1 ? " row" : " rows") + " complete"
                + (lacks.isEmpty() || enough() ? "" : "; " + String.join(", ", lacks));
    }
}
