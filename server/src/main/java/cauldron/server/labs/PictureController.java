package cauldron.server.labs;

import cauldron.server.platform.Person;
import jakarta.validation.constraints.NotNull;
import java.io.IOException;
import java.io.InputStream;
import java.time.Duration;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Pictures for labs. Whoever knows a picture's hash has met it in a lab, and may see it. */
@RestController
@RequestMapping("/api/pictures")
class PictureController {

    record Kept(@NotNull String id) {
    }

    private final Pictures pictures;

    PictureController(Pictures pictures) {
        this.pictures = pictures;
    }

    @PostMapping(consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    Kept keep(@AuthenticationPrincipal Person me, InputStream body) throws IOException {
        return new Kept(pictures.keep(body.readAllBytes(), me));
    }

    @GetMapping("/{id}")
    ResponseEntity<byte[]> one(@PathVariable String id) {
        Pictures.Shot shot = pictures.shot(id);
        return ResponseEntity.ok().contentType(MediaType.parseMediaType(shot.media()))
                .cacheControl(CacheControl.maxAge(Duration.ofDays(365)).cachePrivate().immutable()).body(shot.bytes());
    }
}
