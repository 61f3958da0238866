package cauldron.server.marking;

import cauldron.core.sheet.Score;
import cauldron.server.accounts.Accounts;
import cauldron.server.acts.Acts;
import cauldron.server.assignments.Assignments;
import cauldron.server.assignments.Trying;
import cauldron.server.labs.Shown;
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
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** One student's work: for the student to do, for the teacher to read and mark. */
@RestController
@RequestMapping("/api/works/{workId}")
public class WorkController {

    record TrialView(@NotNull UUID id, @NotNull String block, @NotNull Integer number,
                     @NotNull Map<String, Object> chosen) {
    }

    record TryView(@NotNull String number, @NotNull String unit, @NotNull String verdict, @NotNull Instant at) {
    }

    /** The best try, how many more can bring points, and all of them, oldest first. */
    record TriedView(@NotNull String number, @NotNull String unit, @NotNull String verdict, @NotNull String feedback,
                     @NotNull Double points, @NotNull Integer left, @NotNull List<TryView> all) {
    }

    /** What can't be read of what was stored. */
    record UnreadableView(@NotNull String block, @NotNull String slot, @NotNull String reason) {
    }

    record MarkView(@NotNull Double points, @NotNull String comment) {
    }

    /**
     * What the work brings.
     *
     * @param done    what is done of what the lab asks for
     * @param forDone points for that; 0 where none are for completeness
     */
    record ScoreView(@NotNull Double points, @NotNull Integer done, @NotNull Integer asked, @NotNull Double forDone) {
    }

    /** Given back by a teacher, with what to do again. */
    record AgainView(@NotNull String by, @NotNull Instant at, @NotNull String words) {
    }

    record GivingBack(@Size(max = 1000, message = "At most 1000 characters") String words) {
    }

    record WorkView(@NotNull UUID id, @NotNull UUID assignmentId, @NotNull Boolean own, @NotNull String student,
                    @NotNull Map<String, Object> sheet, @NotNull Map<String, Map<String, Object>> notebook,
                    @NotNull List<TrialView> trials, @NotNull Map<String, TriedView> tried,
                    @NotNull Map<String, MarkView> marks, ScoreView score, AgainView again, Instant dueAt,
                    Instant submittedAt, @NotNull Boolean late, @NotNull Boolean closed, @NotNull Boolean takesBack,
                    UUID tryOf, @NotNull Long seen,
                    @NotNull List<UnreadableView> unreadable) {
    }

    record Missing(@NotNull List<MissingItem> items) {
    }

    record MissingItem(@NotNull String part, @NotNull String block, @NotNull String text) {
    }

    record Answer(@NotBlank String block,
                  @NotNull @Size(max = 40, message = "A number has at most 40 characters") String number,
                  @NotNull @Size(max = 40, message = "A unit has at most 40 characters") String unit) {
    }

    /** {@code left}: how many tries can still bring points. */
    record Checked(@NotNull String verdict, @NotNull String feedback, @NotNull Integer left) {
    }

    record NewMark(@NotBlank String block, @NotNull(message = "Give points") Double points,
                   @NotNull @Size(max = 4000, message = "A comment has at most 4000 characters") String comment,
                   @Size(max = 1000, message = "A reason has at most 1000 characters") String reason) {
    }

    record Opening(@NotBlank String block) {
    }

    private static final String BEYOND = " Your tries at this question were used up before: the answer is kept, but brings"
            + " no points until your teacher opens the question again.";

    private final Acts acts;
    private final Marking marking;
    private final TableMarks tables;
    private final History history;
    private final Assignments assignments;
    private final Accounts accounts;
    private final Trying trying;
    private final Clock clock;

    WorkController(Marking marking, TableMarks tables, History history, Assignments assignments, Trying trying,
            Accounts accounts, Acts acts, Clock clock) {
        this.acts = acts;
        this.marking = marking;
        this.tables = tables;
        this.history = history;
        this.assignments = assignments;
        this.trying = trying;
        this.accounts = accounts;
        this.clock = clock;
    }

    /**
     * A work as it stands, or as it was handed in.
     *
     * @param handIn a time it was handed in, as the history names it
     */
    @GetMapping
    WorkView read(@PathVariable UUID workId, @RequestParam(required = false) UUID handIn,
            @AuthenticationPrincipal Person me) {
        Assignments.Opened opened = assignments.open(workId, me);
        Marking.Standing known = handIn == null ? marking.standing(opened)
                : marking.standing(opened, history.seqOf(workId, handIn));
        boolean shown = !opened.own() || opened.assignment().showsPoints();
        Marking.Standing standing = shown ? known : known.withoutMarks();
        Score score = standing.score();
        History.GivenBack again = history.givenBack(opened);
        Map<String, TriedView> tried = new LinkedHashMap<>();
        standing.tried().forEach((block, t) -> tried.put(block,
                new TriedView(t.number(), t.unit(), t.verdict(), t.feedback(), t.points(), t.left(),
                        t.all().stream().map(a -> new TryView(a.number(), a.unit(), a.verdict(), a.at())).toList())));
        Map<String, MarkView> marks = new LinkedHashMap<>();
        standing.marked().forEach((block, m) -> marks.put(block, new MarkView(m.points(), m.comment())));
        UUID student = opened.work().studentId();
        return new WorkView(workId, opened.assignment().id(), opened.own(),
                accounts.people(Set.of(student)).get(student).displayName(), Shown.toStudents(opened.sheet()),
                standing.progress().written().slots(),
                standing.trials().stream().map(t -> new TrialView(t.id(), t.block(), t.number(), t.chosen())).toList(),
                tried, marks,
                shown ? new ScoreView(score.points(), score.done(), score.asked(), score.forDone()) : null,
                again == null ? null : new AgainView(again.by(), again.at(), again.words()),
                opened.assignment().dueAt(), opened.work().submittedAt(),
                opened.assignment().late(opened.work(), clock.instant()),
                opened.assignment().closed(opened.work().reopenedAt(), clock.instant()),
                opened.work().submittedAt() != null && known.marked().isEmpty()
                        && opened.assignment().terms().takesBack(clock.instant()),
                trying.labOf(opened), standing.book().seen(),
                standing.book().unreadable().stream().map(u -> new UnreadableView(u.block(), u.slot(), u.reason())).toList());
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
        return new Checked(result.result().verdict().name().toLowerCase().replace('_', '-'),
                result.result().feedback() + (result.beyond() ? BEYOND : ""), result.left());
    }

    /** Opens a question again whose tries are used up. */
    @PostMapping("/openings")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void open(@PathVariable UUID workId, @AuthenticationPrincipal Person me, @Valid @RequestBody Opening form) {
        marking.open(workId, me, form.block());
    }

    /** Takes back what one has handed in oneself. */
    @PostMapping("/taking-back")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void takeBack(@PathVariable UUID workId, @AuthenticationPrincipal Person me) {
        marking.takeBack(workId, me);
    }

    /** Gives a work back to its student, to be handed in again. */
    @PostMapping("/reopening")
    @Transactional
    public void reopen(@PathVariable UUID workId, @AuthenticationPrincipal Person me,
            @Valid @RequestBody(required = false) GivingBack form) {
        UUID student = marking.reopen(workId, me, form == null || form.words() == null ? "" : form.words()).studentId();
        if (student.equals(me.id())) {
            return;
        }
        acts.keep(me, "opened again the work of", accounts.people(Set.of(student)).get(student).displayName());
    }

    @PostMapping("/submission")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void submit(@PathVariable UUID workId, @AuthenticationPrincipal Person me) {
        marking.submit(workId, me);
        tables.atHandIn(workId, me);
    }

    @PostMapping("/marks")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void mark(@PathVariable UUID workId, @AuthenticationPrincipal Person me, @Valid @RequestBody NewMark form) {
        marking.mark(workId, me, form.block(), form.points(), form.comment(),
                form.reason() == null ? "" : form.reason());
    }
}
