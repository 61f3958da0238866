package cauldron.core.apparatus.gascylinder;

import java.util.Arrays;

/** Square cells over the cylinder's section, each with a list of the molecules in it, to find neighbours. */
final class Cells {

    final int columns;
    final int rows;
    final double width;
    final double height;
    private final int[] head;
    private int[] next;
    private int[] previous;
    int[] column;
    int[] row;

    /** Cells of about a given size over a section, for so many molecules. */
    Cells(double length, double sectionHeight, double size, int molecules) {
        columns = Math.max(1, (int) Math.floor(length / size));
        rows = Math.max(1, (int) Math.floor(sectionHeight / size));
        width = length / columns;
        height = sectionHeight / rows;
        head = new int[columns * rows];
        Arrays.fill(head, -1);
        int room = Math.max(16, molecules);
        next = new int[room];
        previous = new int[room];
        column = new int[room];
        row = new int[room];
    }

    /** Puts a molecule where its place says. */
    void place(int i, double x, double y) {
        put(i, Math.max(0, Math.min(columns - 1, (int) Math.floor(x / width))),
                Math.max(0, Math.min(rows - 1, (int) Math.floor(y / height))));
    }

    private void put(int i, int toColumn, int toRow) {
        column[i] = toColumn;
        row[i] = toRow;
        int cell = toColumn * rows + toRow;
        next[i] = head[cell];
        previous[i] = -1;
        if (head[cell] >= 0) {
            previous[head[cell]] = i;
        }
        head[cell] = i;
    }

    void take(int i) {
        if (previous[i] >= 0) {
            next[previous[i]] = next[i];
        } else {
            head[column[i] * rows + row[i]] = next[i];
        }
        if (next[i] >= 0) {
            previous[next[i]] = previous[i];
        }
    }

    void move(int i, int byColumns, int byRows) {
        take(i);
        put(i, column[i] + byColumns, row[i] + byRows);
    }

    /** The first molecule of a cell, or −1, also for a cell outside. */
    int first(int c, int r) {
        return c < 0 || r < 0 || c >= columns || r >= rows ? -1 : head[c * rows + r];
    }

    /** The molecule after one in its cell, or −1. */
    int after(int i) {
        return next[i];
    }
}
