package cauldron.server.labs;

import cauldron.server.platform.Person;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.UUID;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Folders, putting labs on the shelf of the school, labs as files. */
@RestController
class OwnLabsController {

    private static final MediaType ZIP = MediaType.parseMediaType("application/zip");

    record Folder(@NotNull @Size(max = Lab.LONGEST_FOLDER,
            message = "A folder's name has at most 60 characters") String folder) {
    }

    record Shelving(@NotNull Boolean shared) {
    }

    record BroughtLab(@NotNull UUID id) {
    }

    private final OwnLabs labs;

    OwnLabsController(OwnLabs labs) {
        this.labs = labs;
    }

    @PostMapping("/api/drafts/{labId}/folder")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void file(@PathVariable UUID labId, @AuthenticationPrincipal Person me, @Valid @RequestBody Folder form) {
        labs.file(labId, me, form.folder());
    }

    /** Puts a lab on the shelf of the school, or takes it down. */
    @PostMapping("/api/drafts/{labId}/shelf")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void shelve(@PathVariable UUID labId, @AuthenticationPrincipal Person me, @Valid @RequestBody Shelving form) {
        labs.shelve(labId, me, form.shared());
    }

    @DeleteMapping("/api/drafts/{labId}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(@PathVariable UUID labId, @AuthenticationPrincipal Person me) {
        labs.remove(labId, me);
    }

    /** The newest version of a lab as a file. */
    @GetMapping(path = "/api/labs/{labId}/file", produces = "application/zip")
    ResponseEntity<byte[]> given(@PathVariable UUID labId, @AuthenticationPrincipal Person me) {
        return sent(labs.pack(labId, me));
    }

    /** A lab of one's own as a file, as it is written now. */
    @GetMapping(path = "/api/drafts/{labId}/file", produces = "application/zip")
    ResponseEntity<byte[]> written(@PathVariable UUID labId, @AuthenticationPrincipal Person me) {
        return sent(labs.packWritten(labId, me));
    }

    /** Takes in a lab from a file. */
    @PostMapping(path = "/api/drafts/file", consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    BroughtLab bring(@AuthenticationPrincipal Person me, InputStream body) throws IOException {
        return new BroughtLab(labs.unpack(body.readAllBytes(), me));
    }

    private static ResponseEntity<byte[]> sent(OwnLabs.Packed lab) {
        return ResponseEntity.ok().contentType(ZIP).header(HttpHeaders.CONTENT_DISPOSITION,
                ContentDisposition.attachment()
                .filename(lab.title() + ".zip", StandardCharsets.UTF_8).build().toString()).body(lab.zip());
    }
}
