package cauldron.server.notebooks;

import cauldron.server.platform.Person;
import cauldron.server.platform.Problems;
import cauldron.server.platform.Texts;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.annotation.JsonDeserialize;

/** Takes in the journal. It answers only after the commit. */
@RestController
@RequestMapping("/api/works/{workId}/entries")
class EntryController {

    /** Read one by one by the core, so that a bad one never stands in the way of the others. */
    record EntryForm(@NotNull @JsonDeserialize(using = Texts.Any.class) String id,
                     @NotNull @JsonDeserialize(using = Texts.Any.class) String block,
                     @NotNull @JsonDeserialize(using = Texts.Any.class) String slot, @NotNull @JsonDeserialize(using = Texts.Raw.class) Object value,
                     @NotNull @JsonDeserialize(using = Texts.Any.class) String time) {
    }

    /**
     * Entries of one tab.
     *
     * @param writer the tab that sends
     * @param seen   how far it knows the journal
     */
    record Entries(@NotNull @Size(max = 500, message = "At most 500 entries at a time") List<EntryForm> entries,
                   @Size(max = 40, message = "A writer's name has at most 40 characters") String writer, Long seen) {
    }

    record OutcomeView(@NotNull String id, @NotNull Boolean kept, String reason, @NotNull Boolean taken) {
    }

    record NewsView(@NotNull String block, @NotNull String slot, @NotNull Map<String, Object> value) {
    }

    record KeptView(@NotNull List<OutcomeView> outcomes, @NotNull Long seen, @NotNull List<NewsView> news) {
    }

    private final Notebooks notebooks;

    EntryController(Notebooks notebooks) {
        this.notebooks = notebooks;
    }

    @PostMapping
    KeptView keep(@PathVariable UUID workId, @AuthenticationPrincipal Person me, @Valid @RequestBody Entries form) {
        return view(notebooks.keep(workId, me, form.entries().stream()
                .map(e -> e == null ? null : new Notebooks.NewEntry(e.id(), e.block(), e.slot(), e.value(), e.time()))
                .toList(), writer(form.writer()), form.seen() == null ? Long.MAX_VALUE : form.seen()));
    }

    /** What other tabs and devices wrote. */
    @GetMapping
    KeptView news(@PathVariable UUID workId, @AuthenticationPrincipal Person me, @RequestParam String writer,
            @RequestParam long seen) {
        return view(notebooks.news(workId, me, writer(writer), seen));
    }

    private static String writer(String told) {
        if (told != null && !told.matches("[0-9a-zA-Z-]{0,40}")) {
            throw Problems.invalid("writer", "Writer: at most 40 letters and digits.");
        }
        return told == null ? "" : told;
    }

    @SuppressWarnings("unchecked")
    private static KeptView view(Notebooks.Kept kept) {
        return new KeptView(kept.outcomes().stream().map(o -> new OutcomeView(o.id(), o.kept(), o.reason(), o.taken()))
                .toList(), kept.seen(), kept.news().stream().filter(n -> n.value() instanceof Map)
                .map(n -> new NewsView(n.block(), n.slot(), (Map<String, Object>) n.value())).toList());
    }
}
