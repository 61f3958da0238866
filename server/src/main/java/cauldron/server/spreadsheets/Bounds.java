package cauldron.server.spreadsheets;

import cauldron.server.platform.Problems;
import java.io.FilterInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.util.function.LongSupplier;
import org.springframework.web.ErrorResponseException;

/** What a file may hold, counted while it is read and never taken from what the file says of itself. */
final class Bounds {

    static final int ROWS = 20_000;
    static final int COLUMNS = 100;
    static final int SHEETS = 30;
    static final int CELLS = 400_000;
    static final int IN_A_CELL = 2_000;
    static final int IN_A_NUMBER = 60;
    private static final int ANSWER = 4_000_000;
    private static final long UNPACKED = 80_000_000;
    private static final long NANOS = 10_000_000_000L;
    private static final int LOOK_AT_CLOCK = 512;

    private final LongSupplier nanos;
    private final long end;
    private long unpacked;
    private long cells;
    private long characters;
    private int steps;

    Bounds(LongSupplier nanos) {
        this.nanos = nanos;
        this.end = nanos.getAsLong() + NANOS;
    }

    /** Called for each piece that is read: ends what takes too long, or what nobody waits for. */
    void step() {
        if (++steps % LOOK_AT_CLOCK == 0 && (nanos.getAsLong() > end || Thread.currentThread().isInterrupted())) {
            throw over("it takes longer than " + NANOS / 1_000_000_000L + " seconds to read");
        }
    }

    void cell(int row, int column, int repeatedRows, int repeatedColumns, String text) {
        if (column + (long) repeatedColumns > COLUMNS) {
            throw over("something stands right of column " + COLUMNS + ", and at most " + COLUMNS + " columns are taken");
        }
        if (row + (long) repeatedRows > ROWS) {
            throw over("something stands below row " + ROWS + ", and at most " + ROWS + " rows are taken");
        }
        long many = (long) repeatedRows * repeatedColumns;
        cells += many;
        characters += many * text.length();
        if (cells > CELLS) {
            throw over("it has more than " + CELLS + " cells");
        }
        if (characters > ANSWER) {
            throw over("it holds more than " + ANSWER + " characters");
        }
    }

    void shared(int count, int length) {
        if (count > CELLS) {
            throw over("it has more than " + CELLS + " texts");
        }
        text(length);
    }

    void text(int length) {
        if (length > IN_A_CELL) {
            throw over("a cell holds more than " + IN_A_CELL + " characters");
        }
    }

    void number(String digits) {
        if (digits.length() > IN_A_NUMBER) {
            throw over("a number has more than " + IN_A_NUMBER + " digits");
        }
    }

    void sheets(int count) {
        if (count > SHEETS) {
            throw over("it has more than " + SHEETS + " sheets");
        }
    }

    static ErrorResponseException over(String what) {
        return Problems.invalid("file", "File: " + what + ".");
    }

    /** Counts what comes out of a packed part. */
    InputStream counted(InputStream in) {
        return new FilterInputStream(in) {
            @Override
            public int read() throws IOException {
                int b = super.read();
                count(b < 0 ? 0 : 1);
                return b;
            }

            @Override
            public int read(byte[] buffer, int from, int length) throws IOException {
                int n = super.read(buffer, from, length);
                count(Math.max(0, n));
                return n;
            }

            private void count(int n) {
                unpacked += n;
                step();
                if (unpacked > UNPACKED) {
                    throw over("it is too large when unpacked: at most " + UNPACKED / 1_000_000 + " MB");
                }
            }
        };
    }
}
