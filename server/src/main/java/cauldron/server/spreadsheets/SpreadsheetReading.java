package cauldron.server.spreadsheets;

import cauldron.server.platform.Problems;
import com.github.miachm.sods.Range;
import com.github.miachm.sods.Sheet;
import com.github.miachm.sods.SpreadSheet;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.math.BigDecimal;
import java.math.MathContext;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import org.apache.commons.compress.archivers.zip.ZipArchiveEntry;
import org.apache.commons.compress.archivers.zip.ZipFile;
import org.dhatim.fastexcel.reader.Cell;
import org.dhatim.fastexcel.reader.CellType;
import org.dhatim.fastexcel.reader.ReadableWorkbook;
import org.dhatim.fastexcel.reader.Row;

/**
 * Reads spreadsheet files that people bring: what stands in the cells, as text. A file comes from anywhere, so its
 * size unpacked is counted before anything reads it, and one that declares a document type, which no spreadsheet
 * program writes, is refused.
 */
final class SpreadsheetReading {

    /** A sheet of a file. */
    record Page(String name, List<List<String>> rows) {
    }

    static final int LARGEST_FILE = 10_000_000;
    private static final long LARGEST_UNPACKED = 120_000_000;
    private static final int MOST_ROWS = 20_000;
    private static final int MOST_COLUMNS = 100;
    private static final int MOST_SHEETS = 30;
    /** Figures that a spreadsheet keeps: what lies beyond is rounding, as in 0.30000000000000004. */
    private static final MathContext KEPT = new MathContext(15);

    private SpreadsheetReading() {
    }

    /**
     * Reads a file.
     *
     * @param name its name, whose ending tells its kind
     */
    static List<Page> read(String name, byte[] file) {
        String ending = name.substring(name.lastIndexOf('.') + 1).toLowerCase(Locale.ROOT);
        if (!ending.equals("xlsx") && !ending.equals("ods")) {
            throw Problems.invalid("name", "File: only .xlsx and .ods are read here. Save it as one of these, or as .csv.");
        }
        try {
            refuseHarm(file);
            List<Page> pages = ending.equals("xlsx") ? xlsx(file) : ods(file);
            if (pages.stream().allMatch(p -> p.rows().isEmpty())) {
                throw Problems.invalid("file", "File: there is nothing in its sheets.");
            }
            return pages;
        } catch (org.springframework.web.ErrorResponseException e) {
            throw e;
        } catch (IOException | RuntimeException e) {
            throw Problems.invalid("file", "File: it can't be read as ." + ending + ". Is it a whole spreadsheet file?");
        }
    }

    private static void refuseHarm(byte[] file) throws IOException {
        long unpacked = 0;
        byte[] buffer = new byte[65_536];
        try (ZipFile zip = ZipFile.builder().setByteArray(file).get()) {
            for (ZipArchiveEntry entry : Collections.list(zip.getEntries())) {
                try (InputStream in = zip.getInputStream(entry)) {
                    boolean first = true;
                    for (int n = in.readNBytes(buffer, 0, buffer.length); n > 0; n = in.readNBytes(buffer, 0, buffer.length)) {
                        unpacked += n;
                        if (unpacked > LARGEST_UNPACKED) {
                            throw Problems.invalid("file", "File: it is too large when unpacked. At most " + MOST_ROWS + " rows and "
                                    + MOST_COLUMNS + " columns are taken.");
                        }
                        String begin = first ? new String(buffer, 0, n, StandardCharsets.ISO_8859_1) : "";
                        // In UTF-8 or, with a nought between any two letters, in UTF-16.
                        if (begin.replace("\0", "").contains("<!DOCTYPE")) {
                            throw Problems.invalid("file", "File: it declares a document type, which spreadsheets don't.");
                        }
                        first = false;
                    }
                }
            }
        }
    }

    private static List<Page> xlsx(byte[] file) throws IOException {
        List<Page> pages = new ArrayList<>();
        try (ReadableWorkbook book = new ReadableWorkbook(new ByteArrayInputStream(file))) {
            for (org.dhatim.fastexcel.reader.Sheet sheet : book.getSheets().limit(MOST_SHEETS).toList()) {
                List<List<String>> rows = new ArrayList<>();
                try (Stream<Row> read = sheet.openStream()) {
                    read.limit(MOST_ROWS).forEach(row -> {
                        // Empty rows aren't in the file; their places count.
                        while (rows.size() < Math.min(MOST_ROWS, row.getRowNum() - 1)) {
                            rows.add(List.of());
                        }
                        rows.add(trimmed(Stream.iterate(0, i -> i < Math.min(MOST_COLUMNS, row.getCellCount()), i -> i + 1)
                                .map(i -> text(row.getOptionalCell(i).orElse(null))).toList()));
                    });
                }
                pages.add(new Page(sheet.getName(), rows));
            }
        }
        return pages;
    }

    private static String text(Cell cell) {
        if (cell == null || cell.getType() == CellType.EMPTY || cell.getType() == CellType.ERROR) {
            return "";
        }
        if (cell.getValue() instanceof BigDecimal) {
            return number(cell.asNumber());
        }
        return cell.getText() == null ? "" : cell.getText();
    }

    private static List<Page> ods(byte[] file) throws IOException {
        List<Page> pages = new ArrayList<>();
        try (InputStream in = new ByteArrayInputStream(file)) {
            SpreadSheet book = new SpreadSheet(in);
            for (Sheet sheet : book.getSheets().subList(0, Math.min(MOST_SHEETS, book.getSheets().size()))) {
                int width = Math.min(MOST_COLUMNS, sheet.getMaxColumns());
                int height = Math.min(MOST_ROWS, sheet.getMaxRows());
                List<List<String>> rows = new ArrayList<>();
                if (width > 0 && height > 0) {
                    Range all = sheet.getRange(0, 0, height, width);
                    for (Object[] row : all.getValues()) {
                        rows.add(trimmed(Stream.of(row).map(v -> v == null ? "" : v instanceof Number n
                                ? number(new BigDecimal(n.toString())) : v.toString()).toList()));
                    }
                }
                while (!rows.isEmpty() && rows.get(rows.size() - 1).isEmpty()) {
                    rows.remove(rows.size() - 1);
                }
                pages.add(new Page(sheet.getName(), rows));
            }
        }
        return pages;
    }

    private static String number(BigDecimal value) {
        BigDecimal rounded = value.round(KEPT).stripTrailingZeros();
        return Math.abs(rounded.precision() - rounded.scale()) > 12 ? rounded.toString() : rounded.toPlainString();
    }

    private static List<String> trimmed(List<String> row) {
        int end = row.size();
        while (end > 0 && row.get(end - 1).isBlank()) {
            end--;
        }
        return List.copyOf(row.subList(0, end));
    }
}
