package cauldron.server.voices;

import cauldron.server.platform.Person;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.io.IOException;
import java.io.InputStream;
import java.util.UUID;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Spoken explanations of a work, brought in pieces so that a lost network loses none. */
@RestController
@RequestMapping("/api/works/{workId}/voices/{voiceId}")
class VoiceController {

    private final Voices voices;

    VoiceController(Voices voices) {
        this.voices = voices;
    }

    /**
     * Keeps a piece.
     *
     * @param number from 0 on
     * @param block  the question it is for
     */
    @PutMapping(path = "/pieces/{number}", consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void keep(@PathVariable UUID workId, @PathVariable UUID voiceId, @PathVariable int number,
            @RequestParam @NotBlank @Size(max = 60) String block, @AuthenticationPrincipal Person me, InputStream body)
            throws IOException {
        voices.keep(workId, voiceId, number, block, body.readAllBytes(), me);
    }

    /** The sound as far as it has come; the header {@code Pieces} says how many pieces that are. */
    @GetMapping
    ResponseEntity<byte[]> hear(@PathVariable UUID workId, @PathVariable UUID voiceId,
            @AuthenticationPrincipal Person me) {
        Voices.Heard heard = voices.hear(workId, voiceId, me);
        return ResponseEntity.ok().contentType(MediaType.parseMediaType(heard.media()))
                .cacheControl(CacheControl.noStore()).header("Pieces", String.valueOf(heard.pieces()))
                .body(heard.bytes());
    }
}
