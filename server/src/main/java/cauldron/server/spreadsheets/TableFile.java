package cauldron.server.spreadsheets;

import cauldron.server.platform.Problems;
import com.github.miachm.sods.Sheet;
import com.github.miachm.sods.SpreadSheet;
import de.siegmar.fastcsv.writer.CsvWriter;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.StringWriter;
import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Objects;
import org.dhatim.fastexcel.Workbook;
import org.dhatim.fastexcel.Worksheet;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;

/** A table as a file: headings, and rows of numbers, texts and gaps. */
public final class TableFile {

    private static final int LONGEST_TITLE = 31;
    /** With what a text may begin that a spreadsheet would take for a formula. */
    private static final String FORMULA = "=+-@\t\r";
    /** Tells spreadsheets that a text is UTF-8. */
    private static final String UTF_8_MARK = "\ufeff";

    private TableFile() {
    }

    /**
     * Makes a file.
     *
     * @param format csv, ods or xlsx; 404 for any other
     */
    public static ResponseEntity<byte[]> of(String format, String title, List<String> headings,
            List<? extends List<?>> rows) throws IOException {
        return switch (format) {
            case "csv" -> file("text/csv;charset=UTF-8", csv(headings, rows));
            case "ods" -> file("application/vnd.oasis.opendocument.spreadsheet", ods(title, headings, rows));
            case "xlsx" -> file("application/vnd.openxmlformats-officedocument.spreadsheetml.sheet",
                    xlsx(title, headings, rows));
            default -> throw Problems.notFound("kind of file");
        };
    }

    private static ResponseEntity<byte[]> file(String type, byte[] body) {
        return ResponseEntity.ok().contentType(MediaType.parseMediaType(type)).body(body);
    }

    private static byte[] csv(List<String> headings, List<? extends List<?>> rows) throws IOException {
        StringWriter out = new StringWriter();
        out.write(UTF_8_MARK);
        try (CsvWriter csv = CsvWriter.builder().build(out)) {
            csv.writeRecord(headings.stream().map(TableFile::harmless).toList());
            for (List<?> row : rows) {
                csv.writeRecord(row.stream().map(TableFile::text).toList());
            }
        }
        return out.toString().getBytes(StandardCharsets.UTF_8);
    }

    private static String text(Object cell) {
        return cell instanceof Number number ? BigDecimal.valueOf(number.doubleValue()).stripTrailingZeros()
                .toPlainString()
                : cell == null ? "" : harmless(cell.toString());
    }

    /** Somebody's name must not be worked out as a formula by whoever opens the file. */
    private static String harmless(String text) {
        return !text.isEmpty() && FORMULA.indexOf(text.charAt(0)) >= 0 ? "'" + text : text;
    }

    /** A name that spreadsheets take for a sheet. */
    private static String name(String title) {
        String plain = title.replaceAll("[\\[\\]:*?/\\\\]", " ").strip();
        return plain.isEmpty() ? "Table" : plain.substring(0, Math.min(LONGEST_TITLE, plain.length()));
    }

    private static byte[] xlsx(String title, List<String> headings, List<? extends List<?>> rows) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (Workbook book = new Workbook(out, "Cauldron", "1.0")) {
            Worksheet sheet = book.newWorksheet(name(title));
            for (int j = 0; j < headings.size(); j++) {
                sheet.value(0, j, headings.get(j));
                sheet.style(0, j).bold().set();
            }
            for (int i = 0; i < rows.size(); i++) {
                List<?> row = rows.get(i);
                for (int j = 0; j < row.size(); j++) {
                    if (row.get(j) instanceof Number number) {
                        sheet.value(i + 1, j, number.doubleValue());
                    } else if (row.get(j) != null) {
                        sheet.value(i + 1, j, row.get(j).toString());
                    }
                }
            }
            sheet.freezePane(0, 1);
        }
        return out.toByteArray();
    }

    private static byte[] ods(String title, List<String> headings, List<? extends List<?>> rows) throws IOException {
        Sheet sheet = new Sheet(name(title), rows.size() + 1, headings.size());
        for (int j = 0; j < headings.size(); j++) {
            sheet.getRange(0, j).setValue(headings.get(j));
            sheet.getRange(0, j).setFontBold(true);
        }
        for (int i = 0; i < rows.size(); i++) {
            List<?> row = rows.get(i);
            if (row.stream().allMatch(Objects::isNull)) {
                // SODS 1.8 writes a row without cells as a copy of the next one.
                sheet.getRange(i + 1, 0).setValue("");
            }
            for (int j = 0; j < row.size(); j++) {
                Object cell = row.get(j);
                if (cell != null) {
                    sheet.getRange(i + 1, j).setValue(cell instanceof Number number ? number.doubleValue()
                            : cell.toString());
                }
            }
        }
        SpreadSheet book = new SpreadSheet();
        book.appendSheet(sheet);
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        book.save(out);
        return out.toByteArray();
    }
}
