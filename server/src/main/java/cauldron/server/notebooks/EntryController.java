package cauldron.server.notebooks;

import cauldron.server.platform.Person;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Takes in the journal. It answers only after the commit. */
@RestController
class EntryController {

    record EntryForm(@NotNull UUID id, @NotBlank @Size(max = 80) String block,
                     @NotNull @Size(max = 200) String slot, @NotNull Map<String, Object> value, @NotNull Instant time) {
    }

    record Entries(@NotNull @Size(max = 500, message = "At most 500 entries at a time") List<@Valid EntryForm> entries) {
    }

    record OutcomeView(@NotNull UUID id, @NotNull Boolean kept, String reason) {
    }

    private final Notebooks notebooks;

    EntryController(Notebooks notebooks) {
        this.notebooks = notebooks;
    }

    @PostMapping("/api/works/{workId}/entries")
    List<OutcomeView> keep(@PathVariable UUID workId, @AuthenticationPrincipal Person me,
            @Valid @RequestBody Entries form) {
        return notebooks.keep(workId, me, form.entries().stream()
                .map(e -> new Notebooks.NewEntry(e.id(), e.block(), e.slot(), e.value(), e.time())).toList())
                .stream().map(o -> new OutcomeView(o.id(), o.kept(), o.reason())).toList();
    }
}
