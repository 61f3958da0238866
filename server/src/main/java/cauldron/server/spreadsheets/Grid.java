package cauldron.server.spreadsheets;

import java.util.ArrayList;
import java.util.List;

/** Rows of a sheet as they are read: empty ones only where something stands below them. */
final class Grid {

    private final Bounds bounds;
    private final List<List<String>> rows = new ArrayList<>();

    Grid(Bounds bounds) {
        this.bounds = bounds;
    }

    /** Puts a text into a place, or into a block of places; an empty one takes no room. */
    void put(int row, int column, int repeatedRows, int repeatedColumns, String text) {
        bounds.step();
        if (text.isBlank()) {
            return;
        }
        bounds.cell(row, column, repeatedRows, repeatedColumns, text);
        for (int i = row; i < row + repeatedRows; i++) {
            while (rows.size() <= i) {
                rows.add(new ArrayList<>());
            }
            List<String> cells = rows.get(i);
            for (int j = column; j < column + repeatedColumns; j++) {
                while (cells.size() <= j) {
                    cells.add("");
                }
                cells.set(j, text);
            }
        }
    }

    List<List<String>> rows() {
        return rows;
    }
}
