package cauldron.server.trials;

import cauldron.server.labs.FilmBytes;
import cauldron.server.platform.Person;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import java.util.Map;
import java.util.UUID;
import org.springframework.http.MediaType;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.json.JsonMapper;

/** Asking for recordings and getting their films. */
@RestController
class TrialController {

    record NewTrial(@NotNull UUID id, @NotBlank String block, @NotNull Map<String, Object> chosen) {
    }

    record TrialView(@NotNull UUID id, @NotNull String block, @NotNull Integer number,
                     @NotNull Map<String, Object> chosen) {
    }

    private final Trials trials;
    private final JsonMapper json;

    TrialController(Trials trials, JsonMapper json) {
        this.trials = trials;
        this.json = json;
    }

    @PostMapping("/api/works/{workId}/trials")
    TrialView make(@PathVariable UUID workId, @AuthenticationPrincipal Person me, @Valid @RequestBody NewTrial form) {
        Trials.TrialInfo t = trials.make(form.id(), workId, me, form.block(), form.chosen());
        return new TrialView(t.id(), t.block(), t.number(), t.chosen());
    }

    /** A film, as {@link FilmBytes} tells. */
    @GetMapping(path = "/api/trials/{id}/film", produces = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    byte[] film(@PathVariable UUID id, @RequestParam(defaultValue = "") String view,
                @AuthenticationPrincipal Person me) {
        return FilmBytes.of(trials.film(id, view, me), json);
    }
}
