package cauldron.server.worksheets;

import cauldron.core.sheet.Sheet;
import cauldron.server.labs.Drafts;
import cauldron.server.labs.Labs;
import cauldron.server.labs.Pictures;
import cauldron.server.platform.Person;
import cauldron.server.print.PaperStyle;
import cauldron.server.print.PdfPrinter;
import java.util.UUID;
import org.jsoup.nodes.Document;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Labs as PDF, for teachers. */
@RestController
class WorksheetController {

    private final Labs labs;
    private final Drafts drafts;

    private final Pictures pictures;

    WorksheetController(Labs labs, Drafts drafts, Pictures pictures) {
        this.pictures = pictures;
        this.labs = labs;
        this.drafts = drafts;
    }

    /** The newest version of a lab on paper. */
    @GetMapping(path = "/api/labs/{labId}/paper", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<byte[]> given(@PathVariable UUID labId, @AuthenticationPrincipal Person me,
            @RequestParam(defaultValue = "A4") PaperStyle.Size size,
                    @RequestParam(defaultValue = "false") boolean key) {
        return paper(labs.newest(labId, me.id()).sheet(), size, key);
    }

    /** A lab of one's own on paper, as it is written now. */
    @GetMapping(path = "/api/drafts/{labId}/paper", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<byte[]> written(@PathVariable UUID labId, @AuthenticationPrincipal Person me,
            @RequestParam(defaultValue = "A4") PaperStyle.Size size,
                    @RequestParam(defaultValue = "false") boolean key) {
        return paper(drafts.sound(labId, me), size, key);
    }

    /** One after the other: a page with pictures takes some room while it is set. */
    private synchronized ResponseEntity<byte[]> paper(Sheet sheet, PaperStyle.Size size, boolean key) {
        Document page = new Worksheet(sheet, key, size).document();
        pictures.putInto(page);
        return ResponseEntity.ok().contentType(MediaType.APPLICATION_PDF).body(PdfPrinter.print(page));
    }
}
