package cauldron.server.spreadsheets;

import cauldron.server.platform.Desk;
import cauldron.server.platform.Problems;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.io.IOException;
import java.io.InputStream;
import java.util.List;
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
        return TableFile.of(format, table.title(), table.headings(), table.rows());
    }
}
