package cauldron.server.acts;

import jakarta.validation.constraints.NotNull;
import java.time.Instant;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** What was done, for the administrator to read. */
@RestController
class ActController {

    record ActView(@NotNull Long seq, @NotNull String who, @NotNull String what, @NotNull String about,
                   @NotNull Instant at) {
    }

    private final Acts acts;

    ActController(Acts acts) {
        this.acts = acts;
    }

    /** A hundred at a time, newest first; {@code before} is the last one's number to go on from. */
    @GetMapping("/api/admin/acts")
    List<ActView> list(@RequestParam(required = false) Long before) {
        return acts.before(before == null ? Long.MAX_VALUE : before);
    }
}
