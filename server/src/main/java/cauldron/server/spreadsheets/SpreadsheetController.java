package cauldron.server.spreadsheets;

import cauldron.server.platform.Desk;
import cauldron.server.platform.Problems;
import com.github.miachm.sods.Sheet;
import com.github.miachm.sods.SpreadSheet;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.util.List;
import java.util.Objects;
import org.dhatim.fastexcel.Workbook;
import org.dhatim.fastexcel.Worksheet;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;
import tools.jackson.databind.json.JsonMapper;

/** Reads spreadsheet files, and makes them: numbers as numbers, everything else as text that is never a formula. */
@RestController
class SpreadsheetController {

    private static final int MOST_CELLS = 400_000;
    private static final int LONGEST_TITLE = 31;

    private final Desk desk;

    SpreadsheetController(JsonMapper json) {
        this.desk = new Desk("spreadsheets", json);
    }

    /** A table: headings, and rows of numbers, texts and gaps. */
    record Table(@NotNull @Size(max = 200) String title, @NotNull @Size(min = 1, max = 100) List<@NotNull @Size(max = 200) String> headings,
                 @NotNull @Size(max = 20_000) List<@NotNull List<Object>> rows) {
    }

    /** What stands in the sheets of a file. */
    record Book(@NotNull List<BookSheet> sheets) {
    }

    record BookSheet(@NotNull String name, @NotNull List<List<String>> rows) {
    }

    /**
     * Reads a file that somebody brings; nothing of it is kept. The answer is lines of JSON, as a {@link Desk} writes
     * them; the last holds a {@link Book}.
     */
    @PostMapping(path = "/api/spreadsheets/reading", consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE,
            produces = MediaType.APPLICATION_NDJSON_VALUE)
    ResponseEntity<StreamingResponseBody> read(@RequestParam @Size(max = 200) String name, InputStream body)
            throws IOException {
        byte[] file = body.readNBytes(SpreadsheetReading.LARGEST_FILE + 1);
        return ResponseEntity.ok().contentType(MediaType.APPLICATION_NDJSON).body(desk.take(() -> new Book(
                SpreadsheetReading.read(name, file, System::nanoTime).stream()
                        .map(p -> new BookSheet(p.name(), p.rows())).toList())));
    }

    @PostMapping("/api/spreadsheets/{format}")
    ResponseEntity<byte[]> make(@PathVariable String format, @Valid @RequestBody Table table) throws IOException {
        if ((long) table.headings().size() * table.rows().size() > MOST_CELLS) {
            throw Problems.invalid("rows", "Rows: at most " + MOST_CELLS + " cells in one file.");
        }
        for (List<Object> row : table.rows()) {
            if (row.size() > table.headings().size()) {
                throw Problems.invalid("rows", "Rows: none may have more cells than there are headings.");
            }
        }
        switch (format) {
            case "xlsx":
                return file("application/vnd.openxmlformats-officedocument.spreadsheetml.sheet", xlsx(table));
            case "ods":
                return file("application/vnd.oasis.opendocument.spreadsheet", ods(table));
            default:
                throw Problems.notFound("kind of file");
        }
    }

    private static ResponseEntity<byte[]> file(String type, byte[] body) {
        return ResponseEntity.ok().contentType(MediaType.parseMediaType(type)).body(body);
    }

    /** A name that spreadsheets take for a sheet. */
    private static String name(String title) {
        String plain = title.replaceAll("[\\[\\]:*?/\\\\]", " ").strip();
        return plain.isEmpty() ? "Table" : plain.substring(0, Math.min(LONGEST_TITLE, plain.length()));
    }

    private static byte[] xlsx(Table table) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (Workbook book = new Workbook(out, "Cauldron", "1.0")) {
            Worksheet sheet = book.newWorksheet(name(table.title()));
            for (int j = 0; j < table.headings().size(); j++) {
                sheet.value(0, j, table.headings().get(j));
                sheet.style(0, j).bold().set();
            }
            for (int i = 0; i < table.rows().size(); i++) {
                List<Object> row = table.rows().get(i);
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

    private static byte[] ods(Table table) throws IOException {
        Sheet sheet = new Sheet(name(table.title()), table.rows().size() + 1, table.headings().size());
        for (int j = 0; j < table.headings().size(); j++) {
            sheet.getRange(0, j).setValue(table.headings().get(j));
            sheet.getRange(0, j).setFontBold(true);
        }
        for (int i = 0; i < table.rows().size(); i++) {
            List<Object> row = table.rows().get(i);
            if (row.stream().allMatch(Objects::isNull)) {
                // SODS 1.8 writes a row without cells as a copy of the next one.
                sheet.getRange(i + 1, 0).setValue("");
            }
            for (int j = 0; j < row.size(); j++) {
                Object cell = row.get(j);
                if (cell != null) {
                    sheet.getRange(i + 1, j).setValue(cell instanceof Number number ? number.doubleValue() : cell.toString());
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
