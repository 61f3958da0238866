package cauldron.server.marking;

import cauldron.server.accounts.Accounts;
import cauldron.server.assignments.Assignments;
import cauldron.server.platform.Person;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Clock;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** One student's work: for the student to do, for the teacher to read and mark. */
@RestController
@RequestMapping("/api/works/{workId}")
class WorkController {

    record TrialView(@NotNull UUID id, @NotNull String block, @NotNull Integer number,
                     @NotNull Map<String, Object> chosen) {
    }

    record TriedView(@NotNull String number, @NotNull String unit, @NotNull String verdict, @NotNull String feedback,
                     @NotNull Double points) {
    }

    record MarkView(@NotNull Double points, @NotNull String comment) {
    }

    record WorkView(@NotNull UUID id, @NotNull UUID assignmentId, @NotNull Boolean own, @NotNull String student,
                    @NotNull Map<String, Object> sheet, @NotNull Map<String, Map<String, Object>> notebook,
                    @NotNull List<TrialView> trials, @NotNull Map<String, TriedView> tried,
                    @NotNull Map<String, MarkView> marks, @NotNull Double points, Instant dueAt,
                    Instant submittedAt) {
    }

    record Missing(@NotNull List<MissingItem> items) {
    }

    record MissingItem(@NotNull String part, @NotNull String block, @NotNull String text) {
    }

    record Answer(@NotBlank String block,
                  @NotNull @Size(max = 40, message = "A number has at most 40 characters") String number,
                  @NotNull @Size(max = 40, message = "A unit has at most 40 characters") String unit) {
    }

    record Checked(@NotNull String verdict, @NotNull String feedback) {
    }

    record NewMark(@NotBlank String block, @NotNull(message = "Give points") Double points,
                   @NotNull @Size(max = 4000, message = "A comment has at most 4000 characters") String comment) {
    }

    private final Marking marking;
    private final Assignments assignments;
    private final Accounts accounts;
    private final Clock clock;

    WorkController(Marking marking, Assignments assignments, Accounts accounts, Clock clock) {
        this.marking = marking;
        this.assignments = assignments;
        this.accounts = accounts;
        this.clock = clock;
    }

    @GetMapping
    WorkView read(@PathVariable UUID workId, @AuthenticationPrincipal Person me) {
        Assignments.Opened opened = assignments.open(workId, me);
        Marking.Standing standing = marking.standing(opened);
        Map<String, TriedView> tried = new LinkedHashMap<>();
        standing.tried().forEach((block, t) -> tried.put(block,
                new TriedView(t.number(), t.unit(), t.verdict(), t.feedback(), t.points())));
        Map<String, MarkView> marks = new LinkedHashMap<>();
        standing.marked().forEach((block, m) -> marks.put(block, new MarkView(m.points(), m.comment())));
        UUID student = opened.work().studentId();
        return new WorkView(workId, opened.assignment().id(), opened.own(),
                accounts.people(Set.of(student)).get(student).displayName(), opened.sheet().forStudent(),
                standing.progress().notebook(),
                standing.trials().stream().map(t -> new TrialView(t.id(), t.block(), t.number(), t.chosen())).toList(),
                tried, marks, standing.points(), opened.assignment().dueAt(), opened.work().submittedAt());
    }

    @GetMapping("/missing")
    Missing missing(@PathVariable UUID workId, @AuthenticationPrincipal Person me) {
        return new Missing(marking.standing(assignments.open(workId, me)).progress().missing().stream()
                .map(m -> new MissingItem((String) m.get("part"), (String) m.get("block"), (String) m.get("text")))
                .toList());
    }

    @PostMapping("/checks")
    Checked check(@PathVariable UUID workId, @AuthenticationPrincipal Person me, @Valid @RequestBody Answer form) {
        var result = marking.check(workId, me, form.block(), form.number(), form.unit());
        return new Checked(result.verdict().name().toLowerCase().replace('_', '-'), result.feedback());
    }

    @PostMapping("/submission")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void submit(@PathVariable UUID workId, @AuthenticationPrincipal Person me) {
        marking.submit(workId, me, clock.instant());
    }

    @PostMapping("/marks")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void mark(@PathVariable UUID workId, @AuthenticationPrincipal Person me, @Valid @RequestBody NewMark form) {
        marking.mark(workId, me, form.block(), form.points(), form.comment());
    }
}
