package cauldron.server.classwork;

import cauldron.server.accounts.Accounts;
import cauldron.server.acts.Acts;
import cauldron.server.assignments.Assignments;
import cauldron.server.assignments.Terms;
import cauldron.server.assignments.Trying;
import cauldron.server.classes.Classes;
import cauldron.server.platform.Person;
import cauldron.server.platform.Problems;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Giving labs to classes, on which terms, and trying them. */
@RestController
@RequestMapping("/api/teaching")
public class GivingController {

    private static final String TRIES = "Tries: 1 to " + Terms.MOST_TRIES + ", or none to leave it as the lab says";

    /** A class to give a lab to, and its times. */
    record GiveTo(@NotNull(message = "Choose a class") UUID classId, Instant openAt, Instant dueAt) {
    }

    /** Without a rule, work after the due time counts as late. */
    record Give(@NotNull UUID labId,
                @NotEmpty(message = "Choose a class") @Size(max = 50, message = "At most 50 classes at once")
                List<@NotNull @Valid GiveTo> classes,
                Terms.LateRule lateRule, Boolean again, Boolean together,
                @Min(value = 1, message = TRIES) @Max(value = Terms.MOST_TRIES, message = TRIES) Integer tries) {
    }

    record GivenTo(@NotNull UUID id, @NotNull UUID classId) {
    }

    record OtherTerms(Instant openAt, Instant dueAt,
                      @NotNull(message = "Choose what happens after the due time") Terms.LateRule lateRule,
                      @NotNull Boolean again, Boolean together,
                      @Min(value = 1, message = TRIES) @Max(value = Terms.MOST_TRIES, message = TRIES) Integer tries) {
    }

    /** Without a time the student has no more time than the others. */
    record MoreTime(@NotNull UUID studentId, Instant dueAt) {
    }

    /** Whether students see points and marks from now on. */
    record PointsShown(@NotNull Boolean shown) {
    }

    /** A lab to try: as it is written now, or its newest version. */
    record Try(@NotNull UUID labId, @NotNull Boolean asWritten) {
    }

    /** A lab and a class that has it. */
    record GivenLabIn(@NotNull UUID labId, @NotNull UUID assignmentId, @NotNull String className) {
    }

    record TryBegun(@NotNull UUID workId) {
    }

    private static final Duration FARTHEST = Duration.ofDays(36_500);

    private final Acts acts;
    private final Classes classes;
    private final Assignments assignments;
    private final Trying trying;
    private final Accounts accounts;
    private final Clock clock;

    GivingController(Classes classes, Assignments assignments, Trying trying, Accounts accounts, Acts acts,
            Clock clock) {
        this.acts = acts;
        this.classes = classes;
        this.assignments = assignments;
        this.trying = trying;
        this.accounts = accounts;
        this.clock = clock;
    }

    /** Gives a lab to classes, to all of them or to none. */
    @PostMapping("/assignments")
    @Transactional
    public List<GivenTo> give(@AuthenticationPrincipal Person me, @Valid @RequestBody Give form) {
        if (form.classes().stream().map(GiveTo::classId).distinct().count() < form.classes().size()) {
            throw Problems.invalid("classes", "Classes: one is there twice.");
        }
        List<GivenTo> given = new ArrayList<>();
        for (GiveTo to : form.classes()) {
            if (to.dueAt() != null && to.dueAt().isBefore(clock.instant())) {
                throw Problems.invalid("dueAt", (form.classes().size() == 1 ? ""
                        : classes.ownedBy(to.classId(), me.id()).name() + ": ") + "The due time lies in the past.");
            }
            Terms terms = terms(to.openAt(), to.dueAt(), form.lateRule() == null ? Terms.LateRule.MARKED
                    : form.lateRule(),
                    form.again() != null && form.again(), form.tries(), Boolean.TRUE.equals(form.together()));
            given.add(new GivenTo(assignments.give(me.id(), to.classId(), form.labId(), terms).id(), to.classId()));
        }
        return given;
    }

    /** Other terms; a due time that lies in the past ends the work now. */
    @PostMapping("/assignments/{id}/terms")
    @Transactional
    public void change(@PathVariable UUID id, @AuthenticationPrincipal Person me, @Valid @RequestBody OtherTerms form) {
        Assignments.AssignmentInfo a = assignments.change(me.id(), id,
                terms(form.openAt(), form.dueAt(), form.lateRule(), form.again(), form.tries(),
                        Boolean.TRUE.equals(form.together())));
        acts.keep(me, "changed the terms of", title(a));
    }

    /** More time for one student. */
    @PostMapping("/assignments/{id}/extensions")
    @Transactional
    public void extend(@PathVariable UUID id, @AuthenticationPrincipal Person me, @Valid @RequestBody MoreTime form) {
        Assignments.AssignmentInfo a = assignments.extend(me.id(), id, form.studentId(), bounded("dueAt",
                form.dueAt()));
        String student = accounts.people(Set.of(form.studentId())).get(form.studentId()).displayName();
        acts.keep(me, form.dueAt() == null ? "took back more time of " + student + " for"
                : "gave more time to " + student + " for", title(a));
    }

    /** Has points and marks appear to all students of the class. */
    @PostMapping("/assignments/{id}/points")
    @Transactional
    public void showPoints(@PathVariable UUID id, @AuthenticationPrincipal Person me,
            @Valid @RequestBody PointsShown form) {
        acts.keep(me, form.shown() ? "showed the points of" : "hid the points of",
                title(assignments.showPoints(me.id(), id, form.shown())));
    }

    /** Whoever has not begun yet begins the newest version. */
    @PostMapping("/assignments/{id}/version")
    @Transactional
    public void renew(@PathVariable UUID id, @AuthenticationPrincipal Person me) {
        acts.keep(me, "moved who had not begun to the newest version of", title(assignments.renew(me.id(), id)));
    }

    @DeleteMapping("/assignments/{id}")
    @Transactional
    public void remove(@PathVariable UUID id, @AuthenticationPrincipal Person me) {
        acts.keep(me, "took away", title(assignments.remove(me.id(), id)));
    }

    /** Which labs this teacher's classes have now. */
    @GetMapping("/given")
    List<GivenLabIn> given(@AuthenticationPrincipal Person me) {
        return assignments.labsOf(classes.ofTeacher(me.id()).stream().filter(c -> !c.archived()).toList()).stream()
                .map(g -> new GivenLabIn(g.labId(), g.assignmentId(), g.className())).toList();
    }

    /** Begins a lab anew as a student would; nothing of it is in any class. */
    @PostMapping("/tries")
    TryBegun tryOut(@AuthenticationPrincipal Person me, @Valid @RequestBody Try form) {
        return new TryBegun(trying.begin(form.labId(), me, form.asWritten()));
    }

    private String title(Assignments.AssignmentInfo a) {
        return assignments.sheet(a).title() + ", " + classes.byId(Set.of(a.classId())).get(a.classId()).name();
    }

    private Terms terms(Instant openAt, Instant dueAt, Terms.LateRule rule, boolean again, Integer tries,
            boolean together) {
        bounded("dueAt", dueAt);
        bounded("openAt", openAt);
        if (openAt != null && dueAt != null && !openAt.isBefore(dueAt)) {
            throw Problems.invalid("openAt", "Opens: before it is due.");
        }
        return new Terms(openAt, dueAt, rule, again, tries, together);
    }

    private Instant bounded(String field, Instant at) {
        if (at != null && (at.isAfter(clock.instant().plus(FARTHEST)) || at.isBefore(clock.instant()
                .minus(FARTHEST)))) {
            throw Problems.invalid(field, (field.equals("dueAt") ? "Due time" : "Opens")
                    + ": at most a hundred years from now.");
        }
        return at;
    }
}
