package cauldron.server.classwork;

import cauldron.core.sheet.Sheet;
import cauldron.server.assignments.Assignments;
import cauldron.server.classes.Classes;
import cauldron.server.platform.Person;
import jakarta.validation.constraints.NotNull;
import java.time.Clock;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** A student's labs. */
@RestController
@RequestMapping("/api/assigned")
class AssignedController {

    /**
     * A lab of a student.
     *
     * @param points null where they aren't shown yet
     * @param state waiting (not open yet), not-started, working, returned (given back by the teacher) or submitted
     */
    record AssignedLab(@NotNull UUID id, @NotNull String title, @NotNull String summary, @NotNull Integer minutes,
                       @NotNull String category, @NotNull String className, Instant openAt, Instant dueAt,
                       @NotNull String state, String part, Double points, @NotNull Double of, @NotNull Boolean marked,
                       @NotNull Boolean late, @NotNull Boolean closed) {
    }

    record Begun(@NotNull UUID workId) {
    }

    private final Classes classes;
    private final Assignments assignments;
    private final Standings standings;
    private final Clock clock;

    AssignedController(Classes classes, Assignments assignments, Standings standings, Clock clock) {
        this.classes = classes;
        this.assignments = assignments;
        this.standings = standings;
        this.clock = clock;
    }

    @GetMapping
    List<AssignedLab> mine(@AuthenticationPrincipal Person me) {
        Map<UUID, Classes.ClassInfo> own = classes.byId(classes.ofStudent(me.id()));
        own.values().removeIf(Classes.ClassInfo::archived);
        List<Assignments.AssignmentInfo> given = assignments.ofStudent(me.id(), own.keySet());
        Map<UUID, Assignments.AssignmentInfo> givenById = new LinkedHashMap<>();
        given.forEach(a -> givenById.put(a.id(), a));
        Map<UUID, Sheet> sheets = new LinkedHashMap<>();
        Map<UUID, Assignments.WorkInfo> workOn = new LinkedHashMap<>();
        assignments.worksOf(me.id()).stream().filter(w -> givenById.containsKey(w.assignmentId())).forEach(w -> {
            workOn.put(w.assignmentId(), w);
            sheets.put(w.id(), assignments.sheet(givenById.get(w.assignmentId()), w));
        });
        Map<UUID, Standings.Standing> stands = standings.of(sheets);
        return given.stream().map(a -> {
            Assignments.WorkInfo work = workOn.get(a.id());
            return line(a, own.get(a.classId()), work, work == null ? assignments.sheet(a) : sheets.get(work.id()),
                    work == null ? null : stands.get(work.id()));
        }).toList();
    }

    private AssignedLab line(Assignments.AssignmentInfo a, Classes.ClassInfo of, Assignments.WorkInfo work, Sheet sheet,
            Standings.Standing s) {
        Instant now = clock.instant();
        Sheet.Part at = s == null ? sheet.parts().get(0) : s.at(sheet);
        boolean in = work != null && work.submittedAt() != null;
        String state = work == null ? a.terms().waits(now) ? "waiting" : "not-started" : in ? "submitted"
                : work.reopenedAt() != null ? "returned" : "working";
        // Who has nothing in yet is late as soon as it was due.
        boolean late = work == null ? a.terms().late(now) : a.late(work, now);
        return new AssignedLab(a.id(), sheet.title(), sheet.summary(), sheet.minutes(), sheet.category(), of.name(),
                a.terms().openAt(), a.dueAt(), state, at == null ? null : at.title(),
                !a.showsPoints() ? null : s == null ? 0 : s.points(), sheet.points(),
                s != null && !s.unmarked() && a.showsPoints(), late,
                !in && a.closed(work == null ? null : work.reopenedAt(), now));
    }

    /** Opens the student's work on a lab, beginning it if need be. */
    @PostMapping("/{assignmentId}/work")
    Begun begin(@PathVariable UUID assignmentId, @AuthenticationPrincipal Person me) {
        return new Begun(assignments.begin(assignmentId, me.id()).id());
    }
}
