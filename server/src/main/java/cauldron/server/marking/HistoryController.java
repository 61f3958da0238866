package cauldron.server.marking;

import cauldron.server.assignments.Assignments;
import cauldron.server.platform.Person;
import jakarta.validation.constraints.NotNull;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What was done with a work, for its student and its teacher. */
@RestController
@RequestMapping("/api/works/{workId}/history")
class HistoryController {

    /**
     * Something that was done.
     *
     * @param about  what the question asks; empty where it is about none
     * @param words  a mark's comment, or what to do again
     * @param reason why a mark took the place of another
     * @param handIn of handing in, by which it can be looked at as it was
     */
    record DoneView(@NotNull Instant at, @NotNull String by, @NotNull History.Deed deed, @NotNull String about,
                    Double points, @NotNull String words, @NotNull String reason, UUID handIn) {
    }

    private final History history;
    private final Assignments assignments;

    HistoryController(History history, Assignments assignments) {
        this.history = history;
        this.assignments = assignments;
    }

    /** Newest first. */
    @GetMapping
    List<DoneView> history(@PathVariable UUID workId, @AuthenticationPrincipal Person me) {
        return history.of(assignments.open(workId, me)).stream()
                .map(d -> new DoneView(d.at(), d.by(), d.deed(), d.about(),
                d.points(), d.words(), d.reason(), d.submission())).toList();
    }
}
